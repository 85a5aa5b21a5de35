import { massCentre, tipOver as tipOverOf, type Vec3 } from '@tide-pebble/core';
import { sumsOfBodies, type CaseKind } from '../physicsCase';

export const tipOver: CaseKind = {
  kind: 'tipOver',
  compute: (given) => {
    const sums = given['bodies'] ? sumsOfBodies(given['bodies']) : null;
    const centre: Vec3 = sums ? massCentre(sums) : given['massCentre'];
    const outcome = tipOverOf(centre, given['feet']);
    if (outcome.kind === 'noBase') return { standsAlone: false, massCentre: centre };
    const { tip } = outcome;
    return {
      leastTilt: tip.leastTilt,
      massCentre: centre,
      standsAlone: tip.standsAlone,
      towards: tip.towards,
      ...(given['alsoTowards']
        ? { tiltTowards: (given['alsoTowards'] as [number, number][]).map(tip.tiltTowards) }
        : {}),
      ...(given['pushHeight']
        ? { leastLevelPush: tip.leastPush(given['mass'] ?? sums?.mass, given['pushHeight']) }
        : {}),
    };
  },
};
