/** A step ticked off takes its pieces out of the bin, an offcut comes back; ticked on again, all of it is as it was. */
import { keptAs } from '../../2-frame';
import type { BinItem, Rig, Taken } from '../../model';
import type { StockPlan } from '../buyList';
import { isSame, OpenBin, SHORTEST_OFFCUT } from './bins';
import { suppliesOf } from './supplies';

/** What of a build step the ledger asks. */
export interface Ticked {
  readonly id: string;
  readonly handles?: readonly string[];
}
export interface Ledger {
  readonly taken: readonly Taken[];
  /** Only what is otherwise than before. */
  readonly bin: readonly BinItem[];
}
interface Sawn {
  readonly rig: Rig;
  readonly kerf: number;
  /** Which bar each piece is to come out of; null while it is not known: then the shortest offcut that will do. */
  readonly plan: StockPlan | null;
}

/** Of one kind to a record; what an earlier step took is not taken twice. */
export function takenBy(
  step: Ticked,
  before: readonly Taken[],
  bin: readonly BinItem[],
  sawn: Sawn,
  newId: () => string,
): Ledger {
  const open = new OpenBin(bin, newId);
  const had = new Set(before.flatMap((t) => t.pieces));
  const supplyOf = suppliesOf(sawn.rig);
  const records: Taken[] = [];
  const alike = new Map<string, { readonly pieces: string[]; readonly weighed: boolean }>();
  for (const piece of new Set(step.handles ?? [])) {
    const supply = had.has(piece) ? null : supplyOf(piece);
    if (supply?.kind === 'length') {
      const cut = saw(open, supply.item, supply.length, sawn);
      records.push({ step: step.id, item: supply.item, pieces: [piece], ...(cut ? { cut } : {}) });
    } else if (supply) {
      const mine = alike.get(supply.item) ?? { pieces: [], weighed: supply.weighed };
      mine.pieces.push(piece);
      alike.set(supply.item, mine);
    }
  }
  for (const [item, { pieces, weighed }] of alike) {
    const count = weighed ? 0 : Math.min(pieces.length, open.counted(item));
    open.addCount(item, -count);
    records.push({ step: step.id, item, pieces, ...(count > 0 ? { count } : {}) });
  }
  return { taken: [...before, ...records], bin: open.changed() };
}

/** The bar as planned, else the shortest offcut that is long enough, else a fresh bar as it is sold; null where none is known. */
function saw(open: OpenBin, item: string, length: number, { kerf, plan }: Sawn): Taken['cut'] | null {
  const planned = plan?.cuts.find((c) => keptAs(c.stock) === keptAs(item));
  const has = (whole: number): boolean => open.lengths(item).some((l) => isSame(l, whole));
  const bar =
    planned?.bars.find((b) => b.fromBin && has(b.length) && b.pieces.some((p) => isSame(p, length)))?.length ??
    Math.min(...open.lengths(item).filter((l) => l >= length || isSame(l, length)));
  const fresh = !Number.isFinite(bar);
  const from = fresh ? (planned?.barLength ?? 0) : bar;
  if (from <= 0 || (from < length && !isSame(from, length))) return null;
  const left = Math.max(0, from - length - kerf);
  if (!fresh) open.takeLength(item, from);
  open.addLength(item, left);
  return { length, from, left, ...(fresh ? { fresh: true } : {}) };
}

/** What these steps took goes back; of a bar sawn further since, the rest grows by the piece and its kerf. */
export function givenBack(
  steps: ReadonlySet<string>,
  before: readonly Taken[],
  bin: readonly BinItem[],
  newId: () => string,
): Ledger {
  const open = new OpenBin(bin, newId);
  let taken = [...before];
  // The last cut first: then what is left of its bar mostly still lies there as it was left.
  for (let i = taken.length - 1; i >= 0; i--) {
    const record = taken[i]!;
    if (!steps.has(record.step)) continue;
    open.addCount(record.item, record.count ?? 0);
    taken = uncut(open, taken, i).filter((_, j) => j !== i);
  }
  return { taken, bin: open.changed() };
}

/** The cuts that were made off what one left, their bar as long as if it had never been made. */
function uncut(open: OpenBin, taken: readonly Taken[], at: number): Taken[] {
  const { cut, item } = taken[at]!;
  const same = [...taken];
  if (!cut) return same;
  const further: number[] = [];
  let rest = cut.left;
  for (let j = at + 1; j < taken.length; j++) {
    const later = taken[j]!;
    if (!later.cut || later.cut.fresh || keptAs(later.item) !== keptAs(item) || !isSame(later.cut.from, rest)) continue;
    further.push(j);
    rest = later.cut.left;
  }
  const grows = cut.from - cut.left;
  if (rest >= SHORTEST_OFFCUT && !open.takeLength(item, rest)) {
    // Somebody else has had the rest: the piece itself is what there is.
    open.addLength(item, cut.length);
    return same;
  }
  if (further.length > 0) open.addLength(item, rest + grows);
  else if (!cut.fresh) open.addLength(item, cut.from);
  further.forEach((j, nth) => {
    const { cut: later, ...record } = taken[j]!;
    const { length, from, left } = later!;
    const isFresh = nth === 0 && cut.fresh;
    same[j] = {
      ...record,
      cut: { length, from: from + grows, left: left + grows, ...(isFresh ? { fresh: true as const } : {}) },
    };
  });
  return same;
}
