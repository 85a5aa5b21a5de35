/** All that the model does not know for sure of what is borne at a point: how the sums about it change with each, wherever the slides stand. */
import { add, scale, subtract, type Vec3 } from '../../0-base';
import { moveSums, NO_SUMS, sumsOf, type FlatBody, type Shift, type Sums } from '../../1-load';
import { placedPieces, type AdjusterValues, type Assembly } from '../../2-frame';
import type { Pivot } from '../../model';
import { centreId, massId, shiftId, shiftsOf } from '../../3-balance';

export interface Figure {
  readonly id: string;
  readonly source: string;
  readonly owner: string;
}
export interface At {
  /** As the model has it, about the point it is borne at. */
  readonly base: Sums;
  /** By figure: what one standard uncertainty of it changes; it may be without mass. */
  readonly changes: ReadonlyMap<string, Sums>;
  readonly bodies: readonly FlatBody[];
}

/** What the model may have left out altogether, as a shift of the mass centre, m, standard. */
export const LEFT_OUT: Vec3 = [0.0015, 0.001, 0.001];
export const LEFT_OUT_IDS: readonly string[] = ['left out ahead', 'left out left', 'left out above'];

/** A scale tells a mass to better than this part of it; what is known less well came from a list, or was guessed. */
const WEIGHED_TO = 0.01;
/** What was weighed is not what is wrong: something that hangs with it and was left off the list may be. */
export const isWeighed = ({ massFrom, mass, massSpread }: FlatBody): boolean =>
  massFrom === 'measured' && massSpread <= WEIGHED_TO * mass;

/** What a list says of a camera is of it bare: a battery, a cap, a cable may be on it besides. Unless weighed, it is sure to this part only. */
const LOAD_SURE_TO = 0.1;
export function withUnsureLoad(assembly: Assembly): Assembly {
  return {
    ...assembly,
    pieces: assembly.pieces.map((p) =>
      p.isLoad && !isWeighed(p.flat)
        ? { ...p, flat: { ...p.flat, massSpread: Math.max(p.flat.massSpread, LOAD_SURE_TO * p.flat.mass) } }
        : p,
    ),
  };
}

/** What a reading is of: all that lies beyond a joint, or the whole rig, about the joint or about the hand that holds it. */
export interface Subject {
  readonly carries: ReadonlySet<string>;
  /** Where it is borne with the adjusters so, m. */
  at(set: AdjusterValues): Vec3;
  /** What the model may have left out shifts its mass centre, so far as nobody has a better reading of it. */
  readonly mayLack: boolean;
}

/** With the adjusters so: its sums about the point it is borne at, and all that is unsure of them. */
export function carriedAt(assembly: Assembly, { carries, at: pointOf, mayLack }: Subject, set: AdjusterValues): At {
  const bodies = placedPieces(assembly, set)
    .filter((p) => carries.has(p.body))
    .map((p) => p.flat);
  const at = pointOf(set);
  const base = moveSums(sumsOf(bodies), subtract([0, 0, 0], at));
  const left = LEFT_OUT.map((size, axis): Sums => ({
    ...NO_SUMS,
    first: [0, 1, 2].map((k) => (k === axis ? size * base.mass : 0)) as unknown as Vec3,
  }));
  return {
    base,
    bodies,
    changes: new Map([
      ...shiftsOf(bodies).map((s) => [s.id, fromHere(s.sums, at)] as const),
      ...(mayLack ? LEFT_OUT_IDS.map((id, i) => [id, left[i]!] as const) : []),
    ]),
  };
}

export const frictionId = ({ id }: Pick<Pivot, 'id'>): string => `friction ${id}`;
/** Where none is told, a friction is only known to its half. */
const FRICTION_SURE_TO = 0.5;
export const frictionSpread = ({ frictionTorque }: Pick<Pivot, 'frictionTorque'>): number =>
  frictionTorque ? (frictionTorque.spread ?? FRICTION_SURE_TO * frictionTorque.value) : 0;

export const figuresOf = ({ bodies }: At): readonly Figure[] =>
  shiftsOf(bodies).map(({ id, source, owner }) => ({ id, source, owner }));
/** Of the bodies' mass, what the figure is of, kg; zero when it is of no mass. */
export const massUnder = ({ source }: Figure, { bodies }: At): number =>
  bodies.filter((b) => b.source === source && b.massSpread > 0).reduce((m, b) => m + b.mass, 0);

/** The rig with every named figure moved by so many of its spreads; but for how washers lie on their bolts, which is another way each time. */
export function asLearned(assembly: Assembly, off: ReadonlyMap<string, number>): Assembly {
  const by = (id: string): number => off.get(id) ?? 0;
  return {
    ...assembly,
    pieces: assembly.pieces.map((p) => ({ ...p, flat: learnedBody(p.flat, by) })),
    rig: {
      ...assembly.rig,
      pivots: assembly.rig.pivots.map((p) =>
        p.frictionTorque
          ? {
              ...p,
              frictionTorque: {
                ...p.frictionTorque,
                value: Math.max(0, p.frictionTorque.value + by(frictionId(p)) * frictionSpread(p)),
              },
            }
          : p,
      ),
    },
    stacks: assembly.stacks.map((s) => ({
      ...s,
      station: { ...s.station, seat: add(s.station.seat, shiftBy(s.shifts, by)) },
      one: { ...s.one, mass: Math.max(0, s.one.mass + by(massId(s.one.source)) * s.one.massSpread) },
    })),
  };
}

function learnedBody(flat: FlatBody, by: (id: string) => number): FlatBody {
  const part = flat.mass > 0 ? Math.max(0, 1 + (by(massId(flat.source)) * flat.massSpread) / flat.mass) : 1;
  const own = flat.centreSpread.map((spread, axis) => spread * by(centreId(flat, axis))) as unknown as Vec3;
  return {
    ...flat,
    mass: flat.mass * part,
    inertia: flat.inertia.map((row) => row.map((x) => x * part)) as unknown as FlatBody['inertia'],
    centre: add(flat.centre, add(own, shiftBy(flat.shifts ?? [], by))),
  };
}

const shiftBy = (shifts: readonly Shift[], by: (id: string) => number): Vec3 =>
  shifts.reduce<Vec3>((sum, s) => add(sum, scale(s.by, by(shiftId(s.source)))), [0, 0, 0]);

/** A difference of sums about the origin, as one about a point: it may have no mass of its own, so it is carried term by term. */
export function fromHere({ mass, first, inertia }: Sums, p: Vec3): Sums {
  const moved: Vec3 = [first[0] - mass * p[0], first[1] - mass * p[1], first[2] - mass * p[2]];
  // I about p: I + terms of -2 F·p + m p·p, tensor form.
  const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  const spread = -2 * dot(first, p) + mass * dot(p, p);
  const row = (i: 0 | 1 | 2): Vec3 =>
    [0, 1, 2].map(
      (k) => inertia[i][k]! + (i === k ? spread : 0) + first[i] * p[k]! + p[i] * first[k]! - mass * p[i] * p[k]!,
    ) as unknown as Vec3;
  return { mass, first: moved, inertia: [row(0), row(1), row(2)] };
}
