import { handLoad, heldTurn, inertiaAbout, massCentre, STANDARD_GRAVITY, twoHands, type Vec3 } from '@tide-pebble/core';
import { attitudeOf, sumsOfBodies, type CaseKind } from '../physicsCase';

export const heldBoom: CaseKind = {
  kind: 'heldBoom',
  compute: (given) => {
    const sums = sumsOfBodies(given['bodies']);
    const [hand, centre, attitude] = [given['grip'] as Vec3, massCentre(sums), attitudeOf(given['attitude'])];
    const about = inertiaAbout(sums, hand);
    const bare = given['bareCameraBodies']
      ? inertiaAbout(sumsOfBodies(given['bareCameraBodies']), given['bareCameraGrip'])
      : null;
    const hands = given['twoHands'] as [Vec3, Vec3] | undefined;
    return {
      mass: sums.mass,
      massCentreFromGrip: centre.map((c, i) => c - hand[i]!),
      inertiaAboutGrip: about,
      weight: sums.mass * STANDARD_GRAVITY,
      gravityTorqueOnHandLevelAxes: handLoad({ mass: sums.mass, centre, hand, attitude }).torque,
      freeTurnAboutGrip: (given['handAccelerations'] as Vec3[] | undefined)?.map((acceleration) => ({
        handAcceleration: acceleration,
        angularAcceleration: heldTurn({ sums, hand, acceleration, attitude }),
      })),
      ...(bare
        ? { inertiaRatioToBareCamera: [0, 1, 2].map((i) => about[i as 0]![i as 0]! / bare[i as 0]![i as 0]!) }
        : {}),
      ...(hands ? { handForcesUp: twoHands({ mass: sums.mass, centre, hands, attitude }) } : {}),
    };
  },
};
