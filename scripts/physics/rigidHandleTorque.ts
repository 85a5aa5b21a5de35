import { handLoad, massCentre } from '@tide-pebble/core';
import { attitudeOf, sumsOfBodies, type CaseKind } from '../physicsCase';

export const rigidHandleTorque: CaseKind = {
  kind: 'rigidHandleTorque',
  compute: (given) => {
    const sums = sumsOfBodies(given['bodies']);
    const load = handLoad({
      mass: sums.mass,
      centre: massCentre(sums),
      hand: given['handle'],
      attitude: attitudeOf(given['attitude']),
      ...(given['handAcceleration'] ? { acceleration: given['handAcceleration'] } : {}),
    });
    return {
      mass: sums.mass,
      forceOnHand: load.force,
      torqueOnHandLevelAxes: load.torque,
      levelDistance: load.levelDistance,
      torqueAboutLevelAxesMagnitude: load.tipping,
      noseDownTorque: load.noseDown,
      leftSideDownTorque: load.leftSideDown,
    };
  },
};
