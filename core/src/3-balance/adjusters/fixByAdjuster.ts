/** The setting of one adjuster that mends a reading, as a change to offer in a click. */
import { figure, rootBetween, say, unit, type Fix, type Phrase } from '../../0-base';
import { valuesInOrder } from '../../2-frame';
import type { Adjuster } from '../../model';
import type { BalanceContext } from '../balanceCheck';
import type { QuickReading } from '../quickBalance';
import { toStep } from '../trim/toStep';

/**
 * Tries every slide and thread along rig axis 0, 1 or 2 (so that a fix of one thing disturbs no other): the one whose own
 * move brings `miss` to zero within its travel, rounded to what the hand can set. Null when none does. `miss` is signed
 * and continuous in the adjuster; it may be infinite at an end.
 */
export function fixByAdjuster(
  context: BalanceContext,
  axis: 0 | 1 | 2,
  miss: (reading: QuickReading) => number,
): Fix | null {
  const { assembly, values, quick } = context;
  if (!quick) return null;
  const inOrder = valuesInOrder(assembly.rig, values);
  const now = miss(quick.at(values));
  for (const [index, adjuster] of assembly.rig.adjusters.entries()) {
    if (adjuster.kind === 'count' || Math.abs(unit(adjuster.axis ?? [1, 0, 0])[axis]) < 0.7) continue;
    const at = (value: number): number => miss(quick.at({ ...values, [adjuster.id]: value }));
    const here = inOrder[index]!;
    const end = adjuster.range.find((value) => at(value) * now < 0);
    if (end === undefined) continue;
    const value = toStep(adjuster, rootFinite(at, here, end, adjuster.step / 100));
    if (Math.abs(value - here) < adjuster.step / 2) continue;
    return { label: moveLabel(adjuster, here, value), changes: [{ kind: 'adjuster', id: adjuster.id, value }] };
  }
  return null;
}

const rootFinite = (f: (x: number) => number, a: number, b: number, within: number): number =>
  rootBetween((x) => Math.max(-1e9, Math.min(1e9, f(x))), a, b, within);

/** "Stage, fore and aft: 1.2 mm back", in turns too where it has a thread. */
export function moveLabel(adjuster: Adjuster, from: number, to: number): Phrase {
  const by = to - from;
  const way = wayOf(adjuster, by);
  if (adjuster.kind === 'count')
    return say`${adjuster.name}: ${figure('count', to)} instead of ${figure('count', from)}`;
  if (!adjuster.perTurn) return say`${adjuster.name}: ${figure('length', Math.abs(by), 2)} ${way}`;
  return say`${adjuster.name}: ${turnsOf(Math.abs(by) / adjuster.perTurn)} ${way} (${figure('length', Math.abs(by), 2)})`;
}

/** Turns in whole and sixteenths, as a hand reads a knob: "1 3/16 turns". */
export function turnsOf(turns: number): string {
  const sixteenths = Math.round(turns * 16);
  const whole = Math.floor(sixteenths / 16);
  let [above, below] = [sixteenths % 16, 16];
  while (above > 0 && above % 2 === 0) [above, below] = [above / 2, below / 2];
  const part = above === 0 ? '' : `${above}/${below}`;
  const text = [whole > 0 ? `${whole}` : '', part].filter(Boolean).join(' ') || '0';
  return `${text} ${whole > 1 || (whole === 1 && above > 0) ? 'turns' : 'turn'}`;
}

/** What is only known to lie within so many turns, in no finer parts than that deserves. */
export const someTurns = (turns: number): string =>
  turnsOf(turns >= 10 ? Math.round(turns) : turns >= 2 ? Math.round(4 * turns) / 4 : turns);

/** The word for a move along an adjuster's axis: forward, back, to the left, up. */
export function wayOf(adjuster: Pick<Adjuster, 'axis'>, by: number): string {
  const [x, y, z] = unit(adjuster.axis ?? [1, 0, 0]);
  const size = Math.max(Math.abs(x), Math.abs(y), Math.abs(z));
  if (size === Math.abs(x)) return x * by > 0 ? 'forward' : 'back';
  if (size === Math.abs(y)) return y * by > 0 ? 'to the left' : 'to the right';
  return z * by > 0 ? 'up' : 'down';
}
