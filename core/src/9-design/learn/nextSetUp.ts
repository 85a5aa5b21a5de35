/** What to set next, by what was learned. */
import type { Sums } from '../../1-load';
import type { AdjusterValues, Assembly } from '../../2-frame';
import { setToZero } from '../../3-balance';
import { countsIn, isCount, trim, withKept, type TrimOutcome } from '../../3-balance/bench';
import type { Adjuster, Wants } from '../../model';

/** This part of the pool's size is near enough to its middle: left as it is. */
const WELL_INSIDE = 0.6;
/** Of what is allowed. */
const SPARE = 0.25;

/**
 * With the washers as they are, where that will do: every piece moved is known only so well, so little is
 * moved. Every slide goes to its best place and not just inside the pool's edge, for what was not quite learned must lie in it too.
 */
export function nextSetUp(assembly: Assembly, from: AdjusterValues, wants: Wants, also: Sums): TrimOutcome {
  const stays =
    !setToZero(assembly.rig) &&
    trim(
      withKept(assembly, from, () => true),
      from,
      { ...wants, levelWithin: wants.levelWithin * WELL_INSIDE },
      { also },
    );
  if (stays && stays.kind === 'solved' && stays.unmet.length === 0) return stays;
  const slidesOnly = (counts: AdjusterValues): TrimOutcome =>
    trim(withKept(assembly, counts, isCount), { ...from, ...countsIn(assembly, counts) }, wants, { also });
  const asItIs = slidesOnly(from);
  if (asItIs.kind === 'solved' && asItIs.unmet.length === 0) return asItIs;
  const few = gentlest(trim(assembly, from, wants, { aim: 'fewestMoves', also }), assembly.rig.adjusters, from);
  if (few.kind !== 'solved') return few;
  // Wishes that washers cannot meet either are not worth a change of them.
  if (asItIs.kind === 'solved' && asItIs.unmet.length <= few.unmet.length) return asItIs;
  const middle = slidesOnly(few.values);
  return middle.kind === 'solved' && middle.unmet.length <= few.unmet.length ? middle : few;
}

/** Of as few moves, those that go least far, with something to spare where that can be: what is still wrong of a figure counts for less. */
function gentlest(outcome: TrimOutcome, adjusters: readonly Adjuster[], from: AdjusterValues): TrimOutcome {
  if (outcome.kind !== 'solved') return outcome;
  const far = ({ values }: { readonly values: AdjusterValues }): number =>
    adjusters.reduce(
      (sum, { id, range, value }) =>
        sum + Math.abs((values[id] ?? value) - (from[id] ?? value)) / Math.max(range[1] - range[0], 1e-9),
      0,
    );
  const spare = Math.min(SPARE, Math.max(...outcome.ties.map((t) => t.slack)));
  const [first] = outcome.ties.filter((t) => t.slack >= spare).sort((a, b) => far(a) - far(b));
  return first ? { ...outcome, values: first.values, addedMass: first.added } : outcome;
}
