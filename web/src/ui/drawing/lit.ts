/** All that lights up for what is pointed at: an adjuster lights what it moves, a dimension its part, "load" the load. */
import type { Bench } from '../../services/workspace';

export function litBy(at: string | null, { work, judged }: Bench): ReadonlySet<string> {
  if (at === null) return new Set();
  const moves = work.rig.adjusters.find((a) => a.id === at)?.moves.map((m) => m.id) ?? [];
  const about = work.family?.dimensions.find((d) => d.id === at)?.about;
  const load = at === 'load' ? judged.evaluation.pieces.filter((p) => p.isLoad).map((p) => p.flat.owner) : [];
  return new Set([at, ...moves, ...load, ...(about ? [about] : [])]);
}
