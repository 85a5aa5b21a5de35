import { rotationOf, type PanRig } from '@tide-pebble/core';
import { firstAcceleration, SAMPLE, swing, type HandMotion } from '@tide-pebble/core/bench';
import type { CaseKind, Given } from '../physicsCase';

/** The extremes are read off samples this close, s. */
const FINE = 0.002;

export const pushResponse: CaseKind = {
  kind: 'pushResponse',
  compute: (given) => {
    const rig: PanRig = {
      mass: given['mass'],
      fromPivot: given['massCentreFromPivot'],
      inertia: given['inertiaAboutPivot'],
    };
    const motion: HandMotion = { pushes: given['handAcceleration'] };
    const joint = {
      viscous: given['viscousTorquePerRate'] ?? 0,
      dry: given['dryFrictionTorque'] ?? 0,
      ...(given['panSpring'] === undefined
        ? {}
        : { pan: { spring: given['panSpring'], damper: given['panDamper'] ?? 0 } }),
    };
    const times = given['times'] as readonly number[];
    const outcome = swing({ rig, motion, joint, every: FINE, until: Math.max(...times) });
    if (outcome.kind !== 'swings') return null;
    const { samples, count } = outcome.swing;
    const turn = (n: number) =>
      rotationOf([samples[n * SAMPLE]!, samples[n * SAMPLE + 1]!, samples[n * SAMPLE + 2]!, samples[n * SAMPLE + 3]!]);
    const lens = Array.from({ length: count }, (_, n) => Math.asin(turn(n)[2][0]));
    const left = Array.from({ length: count }, (_, n) => Math.asin(turn(n)[2][1]));
    return {
      atTimes: times.map((time): Given => {
        const n = Math.round(time / FINE);
        const r = turn(n);
        return {
          time,
          upVector: r[2],
          lensDirectionWorld: [r[0][0], r[1][0], r[2][0]],
          angularVelocityWorld: [4, 5, 6].map((i) => samples[n * SAMPLE + i]!),
        };
      }),
      largestLensElevation: Math.max(...lens),
      smallestLensElevation: Math.min(...lens),
      largestLeftAxisElevation: Math.max(...left),
      smallestLeftAxisElevation: Math.min(...left),
      angularAccelerationAtFirstInstantWorld: firstAcceleration({ rig, motion, joint }),
    };
  },
};
