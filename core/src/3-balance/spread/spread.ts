/** What is not known: masses and mass centres with their spreads, carried to first order into level and drop time. */
import { sourceOf, subtract, type Mat3, type Vec3 } from '../../0-base';
import {
  addScaledSums,
  addSums,
  massCentre,
  moveSums,
  scaleSums,
  sumsOfOne,
  type FlatBody,
  type Sums,
} from '../../1-load';
import { STANDARD_GRAVITY } from '../../0-base';
import { aboutAxis } from '../borne/hung/dropTimeWanted';
import { dropFromLevel } from '../borne/hung/dropFactor';
import { lowestPin, pinAt, pinDepth } from '../borne/hung/pins';
import type { Pivot } from '../../model';

/** One standard uncertainty of each; show twice as plus-minus. */
export interface BalanceSpread {
  readonly massCentre: Vec3;
  readonly noseDown: number;
  readonly leftSideDown: number;
  readonly dropPitch: number;
  /** What adds most to the fore-aft place of the mass centre, and to its height; null when nothing is uncertain. */
  readonly largestForeAft: Contribution | null;
  readonly largestSideways: Contribution | null;
  readonly largestHeight: Contribution | null;
  /** Of the mass centre's three places, m². */
  readonly covariance: Mat3;
}
export interface Contribution {
  readonly source: string;
  readonly owner: string;
  /** A mass, a mass centre, or how far a thing is put in. */
  readonly what: 'mass' | 'centre' | 'place';
  /** Its share of the variance. */
  readonly share: number;
}

export interface Change {
  /** The same figure of the same body, wherever the slides stand. */
  readonly id: string;
  readonly source: string;
  readonly owner: string;
  readonly what: Contribution['what'];
  readonly sums: Sums;
}
/** Of a body's place along one axis. */
export const centreId = ({ owner, name }: Pick<FlatBody, 'owner' | 'name'>, axis: number): string =>
  `centre ${axis} of ${owner} ${name}`;
export const massId = (source: string): string => `mass ${source}`;
export const shiftId = (source: string): string => `shift ${source}`;

/**
 * Each source is moved by its standard uncertainty and the change of the outcome taken (first order, so a lean of many
 * degrees is only an order of size). Bodies whose figures have the same source move together.
 */
export function spreadOf(
  bodies: readonly FlatBody[],
  sums: Sums,
  at: Vec3,
  joint: Pick<Pivot, 'pins' | 'frictionTorque'> = {},
): BalanceSpread {
  const shifts = shiftsOf(bodies);
  const now = outcome(sums, at, joint);
  const deltas = shifts.map((s) => {
    const moved = outcome(addSums(sums, s.sums), at, joint);
    return {
      s,
      x: moved.d[0] - now.d[0],
      y: moved.d[1] - now.d[1],
      z: moved.d[2] - now.d[2],
      drop: moved.drop === null || now.drop === null ? 0 : moved.drop - now.drop,
    };
  });
  const total = (pick: (d: (typeof deltas)[number]) => number): number => Math.hypot(...deltas.map(pick));
  const centre: Vec3 = [total((d) => d.x), total((d) => d.y), total((d) => d.z)];
  const [x, y, z] = now.d;
  const lean = (off: number, axis: 'pitch' | 'roll', along: number): number =>
    Math.atan2(off, Math.hypot(along, z + pinDepth(joint, axis)));
  return {
    massCentre: centre,
    noseDown: lean(centre[0], 'pitch', joint.pins ? x : Math.hypot(x, y)),
    leftSideDown: lean(centre[1], 'roll', joint.pins ? y : Math.hypot(x, y)),
    dropPitch: total((d) => d.drop),
    largestForeAft: largest(deltas.map((d) => ({ s: d.s, part: d.x }))),
    largestSideways: largest(deltas.map((d) => ({ s: d.s, part: d.y }))),
    covariance: covarianceOf(deltas),
    largestHeight: largest(deltas.map((d) => ({ s: d.s, part: d.z }))),
  };
}

/** Each thing not known, and how the sums change when it is off by one standard uncertainty; what has the same source moves together. */
export function shiftsOf(bodies: readonly FlatBody[]): readonly Change[] {
  const byMass = new Map<string, Change>();
  const byPlace = new Map<string, Change>();
  const centres: Change[] = [];
  for (const body of bodies) {
    const own = sumsOfOne(body);
    if (body.massSpread > 0) {
      const one = scaleSums(own, body.massSpread / body.mass);
      const before = byMass.get(body.source);
      byMass.set(body.source, {
        id: massId(body.source),
        source: body.source,
        owner: before?.owner ?? body.owner,
        what: 'mass',
        sums: before ? addSums(before.sums, one) : one,
      });
    }
    for (const { source, by } of body.shifts ?? []) {
      const one = addScaledSums(moveSums(own, by), own, -1);
      const before = byPlace.get(source);
      byPlace.set(source, {
        id: shiftId(source),
        source,
        owner: before?.owner ?? body.owner,
        what: 'place',
        sums: before ? addSums(before.sums, one) : one,
      });
    }
    body.centreSpread.forEach((spread, axis) => {
      if (spread <= 0) return;
      const by = [0, 0, 0].map((_, i) => (i === axis ? spread : 0)) as unknown as Vec3;
      centres.push({
        id: centreId(body, axis),
        source: sourceOf(`mass centre of ${body.name}`, body.owner),
        owner: body.owner,
        what: 'centre',
        sums: addScaledSums(moveSums(own, by), own, -1),
      });
    });
  }
  return [...byMass.values(), ...byPlace.values(), ...centres];
}

function outcome(
  sums: Sums,
  at: Vec3,
  joint: Pick<Pivot, 'pins' | 'frictionTorque'>,
): { d: Vec3; drop: number | null } {
  const d = subtract(massCentre(sums), at);
  if (d[2] >= -lowestPin(joint)) return { d, drop: null };
  const { inertia, distance } = aboutAxis(sums, pinAt(joint, at, 'pitch'), 'pitch');
  const drop = dropFromLevel(inertia, sums.mass * STANDARD_GRAVITY * distance, joint.frictionTorque?.value ?? 0);
  return { d, drop: Number.isFinite(drop) ? drop : null };
}

function covarianceOf(deltas: readonly { readonly x: number; readonly y: number; readonly z: number }[]): Mat3 {
  const both = (a: 'x' | 'y' | 'z', b: 'x' | 'y' | 'z'): number => deltas.reduce((sum, d) => sum + d[a] * d[b], 0);
  const row = (a: 'x' | 'y' | 'z'): Vec3 => [both(a, 'x'), both(a, 'y'), both(a, 'z')];
  return [row('x'), row('y'), row('z')];
}

function largest(parts: readonly { s: Change; part: number }[]): Contribution | null {
  const variance = parts.reduce((sum, p) => sum + p.part ** 2, 0);
  if (variance === 0) return null;
  const bySource = new Map<string, { owner: string; what: Contribution['what']; square: number }>();
  for (const { s, part } of parts)
    bySource.set(s.source, { owner: s.owner, what: s.what, square: (bySource.get(s.source)?.square ?? 0) + part ** 2 });
  const [source, { owner, what, square }] = [...bySource].reduce((a, b) => (b[1].square > a[1].square ? b : a));
  return { source, owner, what, share: square / variance };
}
