/** A hinge that is clamped: does its friction hold what it carries, as it is set and at the worst tilt. */
import {
  cross,
  DEGREE,
  dot,
  figure,
  length,
  say,
  STANDARD_GRAVITY,
  subtract,
  unit,
  type Finding,
  type Vec3,
} from '../../0-base';
import { massCentre, sumsOf } from '../../1-load';
import { bodiesBeyond, pivotAt, valuesInOrder } from '../../2-frame';
import type { BalanceCheck } from '../balanceCheck';

/** A knock, a step and sweat: what holds must hold this many times over. */
const SPARE = 1.5;

export const clampHolds: BalanceCheck = {
  id: 'clampHolds',
  stage: 'frame',
  look: ({ assembly: { rig }, values, evaluation }) => {
    const inOrder = valuesInOrder(rig, values);
    return rig.pivots.flatMap((pivot): readonly Finding[] => {
      if (!pivot.clamped || !pivot.axis) return [];
      const beyond = bodiesBeyond(rig, pivot);
      const carried = evaluation.pieces.filter((p) => beyond.has(p.body)).map((p) => p.flat);
      if (carried.length === 0) return [];
      if (!pivot.frictionTorque) {
        return [
          {
            code: 'clampNotKnown',
            severity: 'measure' as const,
            about: pivot.id,
            figure: null,
            limit: null,
            title: say`What the ${pivot.name} holds is not known.`,
            why: say`It is held by friction alone.`,
            toDo: say`Hang a weight on an arm from it till it slips: weight times arm is its hold.`,
            fixes: [],
          },
        ];
      }
      const { mass, ...rest } = sumsOf(carried);
      const d = subtract(massCentre({ mass, ...rest }), pivotAt(rig, pivot, inOrder));
      const axis = unit(pivot.axis);
      const square: Vec3 = subtract(d, [axis[0] * dot(d, axis), axis[1] * dot(d, axis), axis[2] * dot(d, axis)]);
      const weight = mass * STANDARD_GRAVITY;
      const now = Math.abs(dot(axis, cross(d, [0, 0, -weight])));
      const worst = weight * length(square);
      const holds = pivot.frictionTorque.value;
      if (worst * SPARE <= holds) return [];
      const slipsNow = now * SPARE > holds;
      const upTo = Math.asin(Math.min(1, holds / (SPARE * worst)));
      return [
        {
          code: 'clampSlips',
          severity: slipsNow ? ('stop' as const) : ('mend' as const),
          about: pivot.id,
          figure: figure('torque', slipsNow ? now : worst),
          limit: figure('torque', holds / SPARE),
          title: slipsNow
            ? say`The ${pivot.name} slips: the camera tips it with ${figure('torque', now)}.`
            : say`The ${pivot.name} holds here, and slips when the camera lies over further.`,
          why: say`It holds ${figure('torque', holds)}, which should be half as much again as what it carries: ${figure('torque', now)} as set, ${figure('torque', worst)} with the camera abeam. It is safe within ${figure('angle', upTo, 0)} of balance${upTo < 1 * DEGREE ? ', which is nowhere' : ''}.`,
          toDo: say`Bring the camera’s mass nearer the bolt, tighten by a bigger nut, or put a wider or rougher washer in the clamp. Never tighten into the camera’s own socket by force.`,
          fixes: [],
        },
      ];
    });
  },
};
