/** What can be read of each free axis: how far it may be turned and still stays, and the twist that just moves it. */
import { DEGREE, dot, scale, STANDARD_GRAVITY, subtract, unit } from '../../../0-base';
import type { Sums } from '../../../1-load';
import type { Pivot, Rig } from '../../../model';
import type { BalanceContext } from '../../balanceCheck';
import { ON_THE_SCALE } from '../held/handReadings';
import { BEST } from '../says';
import { freeAxes } from '../support';
import type { Expected, ReadingKind } from '../way';
import { capital } from '../words';

/** Standard uncertainties: a tilt, rad; friction from one try to the next, as a part. */
const READ = { tilt: 2 * DEGREE, again: 0.1 };

/** Of what the axis carries from it, m. */
function away({ first, mass }: Sums, { axis = [0, 0, 1] }: Pivot): number {
  const along = unit(axis);
  return Math.hypot(...subtract(first, scale(along, dot(first, along)))) / mass;
}
const arm = (s: Sums, torque: number): number => torque / (s.mass * STANDARD_GRAVITY);

export const axisReadings = (rig: Rig): readonly ReadingKind[] => [
  ...freeAxes(rig).flatMap((pivot): readonly ReadingKind[] => [
    {
      kind: 'axisTilt',
      name: `${capital(pivot.name)}: stays put up to`,
      help: 'Turned from where it hangs by itself, the largest angle at which it stays. A pan axis: tilt the rig till it moves.',
      quantity: 'angle',
      range: [0.005, 1.57],
      about: pivot.id,
      expects: (context) =>
        range(context, pivot.id, (rubs, _left, offset, weight) =>
          // Rubs more than its weight could ever pull: it stays at any angle.
          rubs >= weight * offset ? null : Math.asin(rubs / (weight * offset)),
        ),
      axis: pivot,
      // Turned so far from where it hangs, what pulls it back is just what rubs: M g r sin = T.
      says: ({ value }) => [
        {
          value: (s, friction) => away(s, pivot) * Math.sin(value) - arm(s, friction),
          spread: (s, friction) =>
            Math.max(BEST, Math.hypot(away(s, pivot) * Math.cos(value) * READ.tilt, READ.again * arm(s, friction))),
        },
      ],
    },
    {
      kind: 'axisMoves',
      name: `${capital(pivot.name)}: a twist that just moves it`,
      help: 'A small weight on an arm, weight times arm, with the camera balanced.',
      quantity: 'torque',
      range: [0.0001, 10],
      about: pivot.id,
      expects: (context) => range(context, pivot.id, (rubs, left) => rubs + left),
      axis: pivot,
      // What is left on the axis helps or hinders, by how it stands: that is all the reading's doubt.
      says: ({ value }) => [
        {
          value: (s, friction) => arm(s, value) - arm(s, friction),
          spread: (s) => Math.max(BEST, Math.hypot(READ.again * arm(s, value), away(s, pivot) / 2)),
        },
      ],
    },
  ]),
  ON_THE_SCALE,
];

/** Over all that its friction may be, and what is left on it helping or hindering. */
function range(
  { evaluation }: BalanceContext,
  id: string,
  of: (rubs: number, left: number, offset: number, weight: number) => number | null,
): Expected | null {
  const axis = evaluation.axes.find((a) => a.pivot.id === id);
  if (!axis) return null;
  const spread = axis.pivot.frictionTorque?.spread ?? 0;
  const weight = axis.carriedMass * STANDARD_GRAVITY;
  const at = (rubs: number, left: number): number | null => of(Math.max(0, rubs), left, axis.distance, weight);
  const value = at(axis.friction, 0);
  const least = at(axis.friction - 2 * spread, -axis.residual);
  const most = at(axis.friction + 2 * spread, axis.residual);
  return value === null || least === null || most === null ? null : { value, least: Math.max(0, least), most };
}
