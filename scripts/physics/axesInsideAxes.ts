import { massCentre, nestedAxes, torqueAtTilt } from '@tide-pebble/core';
import { sumsOfBodies, type CaseKind, type Given } from '../physicsCase';

export const axesInsideAxes: CaseKind = {
  kind: 'axesInsideAxes',
  compute: (given) => {
    const list = given['stages'] as Given[];
    const stages = nestedAxes(
      list.map((s) => {
        const sums = sumsOfBodies(s['bodies']);
        return {
          axisPoint: s['axisPoint'],
          axisDirection: s['axisDirection'],
          frictionTorque: s['frictionTorque'] ?? 0,
          mass: sums.mass,
          massCentre: massCentre(sums),
          ...(s['slides'] ? { slides: s['slides'] } : {}),
        };
      }),
      given['balance'] === true,
    );
    return {
      stages: stages.map((stage, i) => ({
        ...stage,
        name: list[i]!['name'],
        ...(list[i]!['tiltOfAxisFromLevel'] === undefined
          ? {}
          : { torqueWithAxisTilted: torqueAtTilt(stage.residualTorque, list[i]!['tiltOfAxisFromLevel']) }),
      })),
    };
  },
};
