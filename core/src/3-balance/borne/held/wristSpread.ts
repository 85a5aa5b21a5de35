/** What the spread of the mass centre means in the hand, and where an adjuster brings it. */
import { figure, say, sourceWords, STANDARD_GRAVITY, type Phrase, type Vec3 } from '../../../0-base';
import type { Adjuster } from '../../../model';
import type { BalanceContext } from '../../balanceCheck';
import { spreadOf } from '../../spread/spread';
import type { BenchNote } from '../way';
import { wristAtMost } from './wantsOfHands';

/** Lengths are shown to a tenth of a millimetre, m. */
const SHOWN = 0.00005;
/** Torques are told to a hundredth, N m. */
const LEAST_TOLD = 0.01;
/** A spread that takes less than this part of what is wanted does not matter. */
const MATTERS = 0.1;

/** “mass centre 3.2 mm ahead of the hand”. */
export function fromHandWords(from: Vec3 | null, { axis, kind }: Adjuster, point: string): Phrase {
  if (!from) return [];
  const [x, , z] = from;
  const upright = axis === undefined || Math.abs(axis[0]) < 0.7;
  const byHeight = upright && kind === 'count' && Math.abs(z) > Math.abs(x);
  const offset = byHeight ? z : x;
  if (Math.abs(offset) < SHOWN) return [`mass centre at the ${point}`];
  const place = byHeight ? (z > 0 ? 'above' : 'below') : x > 0 ? 'ahead of' : 'behind';
  return say`mass centre ${figure('length', Math.abs(offset), 1)} ${place} the ${point}`;
}

/** “By these readings the mass centre lies 3 mm (± 2 mm) ahead of the hand, as set now.” */
export const placeWords = ([x]: Vec3, [spread]: Vec3, point: string): Phrase =>
  say`By these readings the mass centre lies ${figure('length', Math.abs(x), 1)} (± ${figure('length', 2 * spread, 1)}) ${x >= 0 ? 'ahead of' : 'behind'} the ${point}, as set now.`;

/** How far the mass centre may be off, as torque in the wrist; and whether that matters. */
export function wristSpread({ evaluation: { sums, pieces }, wants }: BalanceContext): readonly BenchNote[] {
  if (!(sums.mass > 0)) return [];
  const spread = spreadOf(
    pieces.map((p) => p.flat),
    sums,
    [0, 0, 0],
  );
  const off = 2 * spread.massCentre[0];
  const torque = sums.mass * STANDARD_GRAVITY * off;
  if (!(off > 0)) return [];
  const first = spread.largestForeAft;
  const known = say`Fore and aft the mass centre is known to ± ${figure('length', off, 1)}: ${torque < LEAST_TOLD ? 'less than' : '±'} ${figure('torque', Math.max(torque, LEAST_TOLD))} in the wrist`;
  return [
    {
      about: first?.owner ?? null,
      words:
        torque < MATTERS * wristAtMost(wants)
          ? [...known, ', which does not matter.']
          : [
              ...known,
              '.',
              ...(first
                ? say` ${figure('percent', first.share, 0)} of it comes from the ${sourceWords(first.source).replace(/^(mass|mass centre) of /, '')}.`
                : []),
            ],
    },
  ];
}
