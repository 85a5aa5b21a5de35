/**
 * What to move so that a pan does not lean: both products of inertia about the pivot to nought at once, with the rig level
 * as before. Weights go up, ahead or aside against one another, and slides with them; the best their travel allows.
 */
import { solveDefinite, type Vec3 } from '../../0-base';
import { addSums, NO_SUMS, sumsOf, sumsOfOne, type Sums } from '../../1-load';
import { valuesInOrder, type AdjusterValues, type PlacedPiece } from '../../2-frame';
import type { Rig } from '../../model';
import type { Hung } from '../evaluate';
import { panRigOf, smallLean } from './panReading';

export interface PanMove {
  readonly id: string;
  readonly name: string;
  /** A thing by itself, or an adjuster and what it carries. */
  readonly kind: 'thing' | 'adjuster';
  readonly along: Vec3;
  /** m along `along`. */
  readonly by: number;
}
export interface PanPlan {
  readonly moves: readonly PanMove[];
  /** Part of what makes it lean that this takes away: one, or less where nothing may be moved so far. */
  readonly takesAway: number;
  /** The mass centre stays at its height. */
  readonly keepsHeight: boolean;
}
export interface PanInput {
  readonly rig: Rig;
  readonly values: AdjusterValues;
  readonly hung: Hung;
  readonly pieces: readonly PlacedPiece[];
  /** Bodies that hang. */
  readonly carries: ReadonlySet<string>;
  /** By what a thing is moved, itself or its twin, and whether with a twin; null for what does not move by itself. */
  readonly movesAs: (owner: string) => { readonly id: string; readonly pair: boolean } | null;
}

/** A thing may be moved this far; further is another rig, m. */
const FAR = 0.12;
/** Less than a hand sets by eye, m. */
const LEAST = 5e-4;
/** A lean under a third of a degree in a usual pan, 45° a second, is not seen. */
const SEEN = 0.006;
const SEEN_AT = Math.PI / 4;
/** Ways of moving looked at, those that do most first; all pairs and threes of them are tried. */
const LOOKED_AT = 18;
const AT_MOST = 4;
const PLANS = 3;
const SAME_HEIGHT = 3e-4;

/** One way to move something, and what a metre of it changes: exact for one straight way, whatever its length. */
interface Way extends Omit<PanMove, 'by'> {
  readonly range: readonly [number, number];
  /** First moments ahead, to the left and up, kg; products Ixz and Iyz, kg m. */
  readonly first: Vec3;
  readonly xz: number;
  readonly yz: number;
}

/** Plans with the fewest moves first, of those the smallest; empty where nothing is seen to lean. */
export function panPlans(input: PanInput): readonly PanPlan[] {
  const { hung } = input;
  const rig = panRigOf(hung);
  const lean = smallLean(rig, SEEN_AT);
  const seen = { xz: Math.abs(lean.noseUp) > SEEN, yz: Math.abs(lean.leftUp) > SEEN };
  if (!seen.xz && !seen.yz) return [];
  const target = { xz: -rig.inertia[0][2], yz: -rig.inertia[1][2] };
  const ways = waysOf(input, seen);
  const found: { readonly plan: PanPlan; readonly most: number }[] = [];
  for (let size = 1; size <= AT_MOST && !found.some((f) => f.plan.takesAway === 1); size++) {
    for (const set of setsOf(size === AT_MOST ? ways.slice(0, LOOKED_AT / 2) : ways, size)) {
      if (new Set(set.map((w) => w.id)).size < size) continue;
      const rows = [
        { row: set.map((w) => w.xz), target: seen.xz ? target.xz : 0 }, { row: set.map((w) => w.yz), target: seen.yz ? target.yz : 0 },
        { row: set.map((w) => w.first[0]), target: 0 }, { row: set.map((w) => w.first[1]), target: 0 },
      ].filter(({ row, target: t }) => t !== 0 || row.some((x) => Math.abs(x) > 1e-9));
      // What leans must be within reach of the set.
      if (rows.some(({ row }) => row.every((x) => Math.abs(x) <= 1e-9))) continue;
      // More things than there is something to keep or take away share it, each moving less.
      if (rows.length === 0 || rows.length > size) continue;
      const by = solve(rows);
      if (!by || by.some((u) => Math.abs(u) < LEAST)) continue;
      const part = set.reduce((least, w, i) => Math.min(least, Math.max(0, w.range[by[i]! > 0 ? 1 : 0] / by[i]!)), 1);
      if (!(part > 0.05)) continue;
      const up = set.reduce((sum, w, i) => sum + w.first[2] * by[i]! * part, 0);
      found.push({ most: Math.max(...by.map(Math.abs)), plan: { takesAway: part, keepsHeight: Math.abs(up) < SAME_HEIGHT * rig.mass, moves: set.map(({ id, name, kind, along }, i) => ({ id, name, kind, along, by: part * by[i]! })) } });
    }
  }
  const whole = found.filter((f) => f.plan.takesAway === 1).sort((a, b) => a.most - b.most);
  const best = whole.length > 0 ? whole : found.sort((a, b) => worth(b.plan) - worth(a.plan)).slice(0, 1);
  // Not three plans with the same first thing.
  return best.filter((f, i) => best.slice(0, i).every((g) => g.plan.moves.some((m) => !f.plan.moves.some((n) => n.id === m.id)))).slice(0, PLANS).map((f) => f.plan);
}

/** One more thing to move is worth it for a tenth more taken away. */
const worth = ({ takesAway, moves }: PanPlan): number => takesAway - 0.1 * moves.length;

function waysOf({ rig, values, hung, pieces, carries, movesAs }: PanInput, seen: { readonly xz: boolean; readonly yz: boolean }): readonly Way[] {
  const way = (of: Pick<Way, 'id' | 'name' | 'kind' | 'along' | 'range'>, { mass, first }: Sums): Way => {
    const [x, y, z] = [0, 1, 2].map((i) => first[i as 0 | 1 | 2] - mass * hung.pivotAt[i as 0 | 1 | 2]) as [number, number, number];
    const [a, b, c] = of.along;
    // Ixz = -Σ m x z: moved by u along (a, b, c) it changes by -(z a + x c) m u, with z m and x m the first moments.
    return { ...of, first: [mass * a, mass * b, mass * c], xz: -(z * a + x * c), yz: -(z * b + y * c) };
  };
  const owners = new Map<string, { readonly pair: boolean; readonly own: PlacedPiece[] }>();
  for (const p of pieces) {
    const as = carries.has(p.body) && !p.isLoad ? movesAs(p.flat.owner) : null;
    if (as) owners.set(as.id, { pair: as.pair, own: [...(owners.get(as.id)?.own ?? []), p] });
  }
  const things = [...owners].flatMap(([id, { pair, own }]): readonly Way[] => {
    const sums = sumsOf(own.map((p) => p.flat));
    // Known by what of it weighs most: washers with their bolt, or the bolt where there are few.
    const name = own.reduce((a, b) => (b.flat.mass > a.flat.mass ? b : a)).flat.name.replace(/^\d+ × /, '');
    // A mirrored pair goes apart sideways, and changes nothing by it.
    const directions: readonly Vec3[] = pair ? [[0, 0, 1], [1, 0, 0]] : [[0, 0, 1], [1, 0, 0], [0, 1, 0]];
    return sums.mass > 0 ? directions.map((along) => way({ id, name, kind: 'thing', along, range: [-FAR, FAR] }, sums)) : [];
  });
  const now = valuesInOrder(rig, values);
  const slides = rig.adjusters.flatMap((a, i): readonly Way[] => {
    const moved = pieces.filter((p) => carries.has(p.body) && p.movedBy.includes(i));
    if (a.kind === 'count' || !a.axis || moved.length === 0 || a.moves.some((m) => m.kind === 'pivot')) return [];
    return [way({ id: a.id, name: a.name, kind: 'adjuster', along: a.axis, range: [a.range[0] - now[i]!, a.range[1] - now[i]!] }, moved.reduce((sum, p) => addSums(sum, sumsOfOne(p.flat)), NO_SUMS))];
  });
  const does = (w: Way): number => Math.max(seen.xz ? Math.abs(w.xz) : 0, seen.yz ? Math.abs(w.yz) : 0) + 0.05 * Math.hypot(w.first[0], w.first[1]);
  return [...slides, ...things].sort((a, b) => does(b) - does(a)).slice(0, LOOKED_AT);
}

function setsOf<T>(all: readonly T[], size: number): readonly (readonly T[])[] {
  if (size === 0) return [[]];
  return all.flatMap((first, i) => setsOf(all.slice(i + 1), size - 1).map((rest) => [first, ...rest]));
}

/** Of all that meet the rows the one of least size, by the normal equations of the rows brought to one size; null where they do not stand apart. */
function solve(rows: readonly { readonly row: readonly number[]; readonly target: number }[]): readonly number[] | null {
  const unit = rows.map(({ row, target }) => {
    const size = Math.hypot(...row);
    return { row: row.map((x) => x / size), target: target / size };
  });
  const gram = unit.map((a) => unit.map((b) => a.row.reduce((sum, x, i) => sum + x * b.row[i]!, 0)));
  const weights = solveDefinite(gram, unit.map((u) => u.target));
  const by = unit[0]!.row.map((_, i) => unit.reduce((sum, u, k) => sum + weights[k]! * u.row[i]!, 0));
  const largest = Math.max(...unit.map((u) => Math.abs(u.target)));
  return by.every(Number.isFinite) && unit.every((u) => Math.abs(u.row.reduce((sum, x, i) => sum + x * by[i]!, 0) - u.target) <= 1e-6 * largest) ? by : null;
}
