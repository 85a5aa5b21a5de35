import {
  inertiaAbout,
  leanBeyondLimit,
  massCentre,
  panLimit,
  steadyPan,
  subtract,
  type PanRig,
  type Vec3,
} from '@tide-pebble/core';
import { sumsOfBodies, type CaseKind, type Given } from '../physicsCase';

export const panLean: CaseKind = {
  kind: 'panLean',
  compute: (given) => {
    const rig = panRigOf(given);
    const { balanced, unstableAbove } = panLimit(rig);
    return {
      mass: rig.mass,
      massCentreFromPivot: rig.fromPivot,
      inertiaAboutPivot: rig.inertia,
      balancedAtEveryRate: balanced,
      unstableAboveRate: unstableAbove,
      atRates: (given['panRates'] as readonly number[]).map((rate): Given => {
        const beyond = balanced ? leanBeyondLimit(rig, rate) : null;
        if (beyond !== null) return { rate, uprightStable: false, tiltFromUprightOfNewRest: beyond };
        const rest = steadyPan(rig, rate);
        return {
          rate,
          uprightStable: true,
          upVector: rest?.up,
          lensElevation: rest?.lensElevation,
          leftAxisElevation: rest?.leftElevation,
          minimumOfEffectivePotential: rest?.minimum,
        };
      }),
    };
  },
};

function panRigOf(given: Given): PanRig {
  if (!given['bodies'])
    return { mass: given['mass'], fromPivot: given['massCentreFromPivot'], inertia: given['inertiaAboutPivot'] };
  const sums = sumsOfBodies(given['bodies']);
  const pivot = (given['pivot'] ?? [0, 0, 0]) as Vec3;
  return { mass: sums.mass, fromPivot: subtract(massCentre(sums), pivot), inertia: inertiaAbout(sums, pivot) };
}
