import { freeDroop, poleOf, spinningPole as spin, type Vec3 } from '@tide-pebble/core';
import { sumsOfBodies, type CaseKind } from '../physicsCase';

export const spinningPole: CaseKind = {
  kind: 'spinningPole',
  compute: (given) => {
    const sums = sumsOfBodies(given['bodies']);
    const hinge: Vec3 = given['hinge'];
    const pole = poleOf(sums, hinge, {
      stopDown: given['stopCameraEndDown'] ?? Math.PI,
      stopUp: given['stopCameraEndUp'] ?? Math.PI,
      hingeAhead:
        given['hingeAheadOfSwivel'] ??
        given['hingeAheadOfSwivelAxis'] ??
        (given['swivel'] ? hinge[0] - given['swivel'][0] : 0),
    });
    const free = freeDroop(pole);
    const rates: number[] = [0, ...(given['spinRates'] ?? [])];
    return {
      mass: sums.mass,
      massCentreFromHinge: pole.fromHinge,
      neutral: free === null,
      freeDroopAtRest: free,
      atRates: [...new Set(rates)].map((rate) => spin(pole, rate)),
    };
  },
};
