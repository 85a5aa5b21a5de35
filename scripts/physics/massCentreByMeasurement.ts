import { boardOneScale, twoHangings, twoScales } from '@tide-pebble/core';
import type { CaseKind } from '../physicsCase';

export const massCentreByMeasurement: CaseKind = {
  kind: 'massCentreByMeasurement',
  compute: (given) => {
    const steps = {
      scaleStep: given['scaleStep'] ?? 0,
      rulerStep: given['rulerStep'] ?? 0,
      distance: given['supportDistance'],
    };
    switch (given['method']) {
      case 'twoScales':
        return placed(twoScales({ ...steps, atOrigin: given['forceAtOrigin'], atFar: given['forceAtFarSupport'] }));
      case 'boardOneScale':
        return placed(
          boardOneScale({
            ...steps,
            withBody: given['forceAtFarSupport'],
            boardAlone: given['forceOfBoardAlone'],
            weight: given['weight'],
          }),
        );
      case 'twoHangings': {
        const [a, b] = given['hangings'].map((h: { hangPoint: unknown; downInRigAxes: unknown }) => ({
          point: h.hangPoint,
          down: h.downInRigAxes,
        }));
        return twoHangings(a, b);
      }
      default:
        return null;
    }
  },
};

const placed = (found: ReturnType<typeof twoScales>) =>
  found.ok ? { x: found.at, standardUncertainty: found.spread } : { x: null };
