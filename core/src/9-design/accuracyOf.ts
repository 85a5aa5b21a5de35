/** A rig's own list of what may be off as built (its family's sizes, its masses, where bought things' mass centres lie), and what must be accurate. */
import { cross, DEGREE, dot, length, scale, sourceWords, subtract, unit } from '../0-base';
import { addSums, massCentre, moveSums, scaleSums, sumsOf, sumsOfOne, type Sums } from '../1-load';
import {
  bodiesBeyond,
  changedDesign,
  placedPieces,
  valuesInOrder,
  type AdjusterValues,
  type Assembly,
} from '../2-frame';
import { axesIn, supportOf, type AxisReading } from '../3-balance';
import {
  accuracy,
  aboutSupport,
  mendedBySlides,
  mendedOnAxes,
  riding,
  sumsAbout,
  withCounts,
  trimProblem,
  wantedOf,
  type Accuracy,
  type AxisOffsets,
  type ConditionId,
  type Unsure,
} from '../3-balance/bench';
import { designedOf, workpiece, type Workpiece } from './derive';
import type { KitItem, Loadout, RigDocument } from '../model';

export interface AccuracyInput {
  readonly rig: Pick<RigDocument, 'design' | 'wants' | 'hands' | 'made'>;
  readonly loadout: Loadout | null;
  readonly kit: ReadonlyMap<string, KitItem>;
  readonly values: AdjusterValues;
  /** One standard uncertainty of what a maker saws and bends, m and rad. */
  readonly lengths: number;
  readonly angles: number;
  readonly builds: number;
  readonly seed: number;
}
export type AccuracyOutcome =
  | { readonly kind: 'found'; readonly accuracy: Accuracy }
  /** As it is set up it does not do what is wanted, wherever the slides go: no leeway is left to be told. */
  | { readonly kind: 'fails'; readonly condition: ConditionId | null }
  | { readonly kind: 'none'; readonly reason: 'nothingBears' | 'broken' };

/** Sizes are tried this much off, for how the sums change with them. */
const TRIED = { length: 0.001, angle: 0.5 * DEGREE };
const MOST = { length: 0.05, angle: 20 * DEGREE };
/** A mass off by more than this part of itself is another thing. */
const MOST_MASS = 0.5;
/** Lighter than this nobody weighs, kg. */
const LEAST_MASS = 0.002;

export function accuracyOf(input: AccuracyInput, tell: (part: number) => void = () => undefined): AccuracyOutcome {
  const made = workFor(input, []);
  if (!made) return { kind: 'none', reason: 'broken' };
  const by = { seed: input.seed, builds: input.builds, tell };
  const axesAt = (assembly: Assembly, values = input.values): readonly AxisReading[] =>
    axesIn(assembly, valuesInOrder(assembly.rig, values), placedPieces(assembly, values));
  if (axesAt(made.assembly).length > 0) {
    const mended = mendedOnAxes(made.assembly, input.values, (values) => axesAt(made.assembly, values));
    const offsets = (assembly: Assembly): AxisOffsets => axesAt(assembly).map((a) => a.offset);
    const between = (a: AxisOffsets, b: AxisOffsets, apart: number): AxisOffsets =>
      a.map((o, i) => scale(subtract(b[i]!, o), 1 / apart));
    if (!mended.mended(mended.still)) return { kind: 'fails', condition: mended.fails(mended.still) };
    const moved = (change: AxisOffsets): boolean => change.some((c) => length(c) > 1e-9);
    return {
      kind: 'found',
      accuracy: accuracy(
        mended,
        [
          ...sizes(input, made, (p) => offsets(p.assembly), between, moved),
          ...squareness(made, axesAt(made.assembly), input.angles),
          ...massesOnAxes(made, mended.still, offsets, between).filter((u) => moved(u.change)),
        ],
        by,
      ),
    };
  }
  const stance = stanceOf(made, input);
  if (!stance) return { kind: 'none', reason: 'nothingBears' };
  const mended = mendedBySlides(
    stance.problem,
    stance.still,
    // What hangs, or rests on a hinge, shows it as a lean; a hand feels it.
    supportOf(made.rig)?.kind === 'hands' ? 'torque' : 'length',
  );
  if (!mended.mended(mended.still)) return { kind: 'fails', condition: mended.fails(mended.still) };
  const between = (a: Sums, b: Sums, apart: number): Sums => scaleSums(addSums(b, scaleSums(a, -1)), 1 / apart);
  const about = (p: Workpiece): Sums | null => stanceOf(p, input)?.about ?? null;
  return {
    kind: 'found',
    accuracy: accuracy(mended, [...sizes(input, made, about, between, moved), ...masses(made, input, stance.at)], by),
  };
}

function workFor({ rig, loadout, kit }: AccuracyInput, changes: Parameters<typeof changedDesign>[1]): Workpiece | null {
  let n = 0;
  const made = workpiece(
    { ...designedOf(rig), design: changedDesign(rig.design, changes, () => `off-${++n}`) },
    loadout,
    kit,
  );
  return made.ok ? made.work : null;
}

function stanceOf({ assembly }: Workpiece, { values, rig: { wants } }: AccuracyInput) {
  const wanted = wantedOf(assembly, values, wants);
  if (!wanted) return null;
  const raw = trimProblem(assembly, values, wanted.borne, wanted.firm);
  const about = aboutSupport(raw);
  const counts = about.stacks.map((s) => Math.min(s.byCount.length - 1, Math.max(0, s.now - s.least)));
  const [problem, still] = [riding(about, counts), withCounts(about, counts)];
  return {
    problem,
    still,
    about: sumsAbout(
      problem,
      still,
      problem.movers.map((m) => m.now),
    ),
    at: raw.support,
  };
}

/** How what is to be balanced changes with each size of the family, everything else as set. */
function sizes<C>(
  input: AccuracyInput,
  made: Workpiece,
  look: (work: Workpiece) => C | null,
  between: (a: C, b: C, apart: number) => C,
  moves: (change: C) => boolean,
): readonly Unsure<C>[] {
  const { family, input: built } = made;
  const here = look(made);
  if (!family || !built || here === null) return [];
  return family.dimensions.flatMap((d): readonly Unsure<C>[] => {
    const tried = TRIED[d.kind];
    const value = built.dimensions[d.id]!;
    // From both sides where there is room, so that what is square in it falls out.
    const found = [value - tried, value + tried]
      .filter((v) => v >= d.range[0] && v <= d.range[1])
      .flatMap((v) => {
        const there = workFor(input, [{ kind: 'dimension', id: d.id, value: v }]);
        const seen = there && look(there);
        return seen ? [{ v, seen }] : [];
      });
    const [low, high] = [found[0], found.at(-1)];
    if (!low || !high) return [];
    const from = low === high ? { v: value, seen: here } : low;
    const change = between(from.seen, high.seen, high.v - from.v);
    return moves(change)
      ? [
          {
            id: d.id,
            name: d.name,
            kind: d.kind,
            spread: d.kind === 'length' ? input.lengths : input.angles,
            most: MOST[d.kind],
            change,
          },
        ]
      : [];
  });
}

/** Each axis leant, to either side of where it should run: what it carries then lies beside it by the lean times its way along it. */
function squareness(
  { assembly }: Workpiece,
  axes: readonly AxisReading[],
  spread: number,
): readonly Unsure<AxisOffsets>[] {
  return axes.flatMap((axis, i) => {
    const along = unit(axis.pivot.axis ?? [0, 0, 1]);
    const beyond = bodiesBeyond(assembly.rig, axis.pivot);
    const carried = assembly.pieces.filter((p) => beyond.has(p.body)).map((p) => p.flat);
    if (carried.length === 0) return [];
    const way = dot(subtract(massCentre(sumsOf(carried)), axis.at), along);
    const one = unit(Math.abs(along[2]) < 0.9 ? cross(along, [0, 0, 1]) : [1, 0, 0]);
    return [one, cross(along, one)].flatMap((lean, n): readonly Unsure<AxisOffsets>[] =>
      Math.abs(way) < 1e-4
        ? []
        : [
            {
              id: axis.pivot.id,
              name: `${axis.pivot.name}, out of square ${n === 0 ? 'one way' : 'the other way'}`,
              kind: 'angle',
              spread,
              most: MOST.angle,
              change: axes.map((_, k) => (k === i ? scale(lean, way) : [0, 0, 0])),
            },
          ],
    );
  });
}

/** Masses on axes, by what they have in common, each tried a hundredth heavier. */
function massesOnAxes(
  { assembly }: Workpiece,
  still: AxisOffsets,
  offsets: (assembly: Assembly) => AxisOffsets,
  between: (a: AxisOffsets, b: AxisOffsets, apart: number) => AxisOffsets,
): readonly Unsure<AxisOffsets>[] {
  const sources = new Map<string, { mass: number; spread: number; owner: string }>();
  for (const { flat } of assembly.pieces) {
    const before = sources.get(flat.source);
    sources.set(flat.source, {
      mass: (before?.mass ?? 0) + flat.mass,
      spread: (before?.spread ?? 0) + flat.massSpread,
      owner: before?.owner ?? flat.owner,
    });
  }
  return [...sources].flatMap(([name, { mass, spread, owner }]): readonly Unsure<AxisOffsets>[] => {
    if (mass <= LEAST_MASS || spread <= 0) return [];
    const heavier = {
      ...assembly,
      pieces: assembly.pieces.map((p) =>
        p.flat.source === name ? { ...p, flat: { ...p.flat, mass: p.flat.mass * 1.01 } } : p,
      ),
    };
    return [
      {
        id: owner,
        name: sourceWords(name),
        kind: 'mass',
        spread,
        most: MOST_MASS * mass,
        change: between(still, offsets(heavier), 0.01 * mass),
      },
    ];
  });
}

const moved = (s: Sums): boolean => Math.abs(s.mass) > 1e-9 || s.first.some((f) => Math.abs(f) > 1e-9);

/** Masses, by what they have in common: a scale, a density, one kind of washer. */
function masses(
  { assembly }: Workpiece,
  { values, rig: { wants } }: AccuracyInput,
  support: readonly [number, number, number],
): readonly Unsure[] {
  const wanted = wantedOf(assembly, values, wants)!;
  const back = [-support[0], -support[1], -support[2]] as const;
  const bySource = new Map<string, { readonly name: string; readonly id: string; sums: Sums; spread: number }>();
  const take = (name: string, owner: string, sums: Sums, spread: number): void => {
    const before = bySource.get(name);
    bySource.set(
      name,
      before
        ? { ...before, sums: addSums(before.sums, sums), spread: before.spread + spread }
        : { name, id: owner, sums, spread },
    );
  };
  for (const { body, flat } of placedPieces(assembly, values))
    if (wanted.borne.carries.has(body)) take(flat.source, flat.owner, moveSums(sumsOfOne(flat), back), flat.massSpread);
  return [...bySource.values()].flatMap(({ name, id, sums, spread }) =>
    sums.mass > LEAST_MASS && spread > 0
      ? [
          {
            id,
            name: sourceWords(name),
            kind: 'mass' as const,
            spread,
            most: MOST_MASS * sums.mass,
            change: scaleSums(sums, 1 / sums.mass),
          },
        ]
      : [],
  );
}
