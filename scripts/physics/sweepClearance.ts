import { sweep } from '@tide-pebble/core';
import { bodiesOf, type CaseKind, type Given } from '../physicsCase';

export const sweepClearance: CaseKind = {
  kind: 'sweepClearance',
  compute: (given) => {
    const bars = given['fixedBars'] as readonly Given[];
    // Only the shapes matter; a mass lets a body be made.
    const turning = bodiesOf((given['turning'] as readonly Given[]).map((t) => ({ mass: 1, ...t })));
    const result = sweep({
      axis: { point: given['axisPoint'], direction: given['axisDirection'] },
      travel: given['travel'],
      turning,
      bars: bars.map((b) => ({ from: b['from'], to: b['to'], radius: b['radius'] })),
    });
    return {
      sweptRadius: result.sweptRadius,
      bars: result.bars.map((b) => ({
        bar: bars[b.bar]!['name'],
        touches: b.touches,
        leastClearance: b.leastClearance,
        atAngle: b.atAngle,
        firstTouchAngle: b.firstTouchAngle,
      })),
      anyTouch: result.bars.some((b) => b.touches),
      leastClearance: Math.min(...result.bars.map((b) => b.leastClearance)),
    };
  },
};
