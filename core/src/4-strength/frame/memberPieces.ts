/** A member cut into short beams in rig axes: straight ones by shape functions, pieces of arcs by what a force on their end does. */
import {
  add,
  addScaled,
  cross,
  dot,
  length,
  rotationAbout,
  scale,
  subtract,
  transform,
  transpose,
  unit,
  type Mat3,
  type Vec3,
} from '../../0-base';
import { sandwiched } from '../solver/small';
import { arcPiece, type ArcLine } from './arcPiece';
import { axialStiffening, beamMass, beamStiffness, evenLoad, type Theory } from './element';
import type { FrameMember } from './frameModel';

export interface MemberPiece {
  /** How far along the member it starts, m. */
  readonly startsAt: number;
  /** Its line, from start to end: two points where it is straight. */
  readonly points: readonly Vec3[];
  /** Rows are its own x y z at each stretch between two points; and at its two ends. */
  readonly axes: readonly Mat3[];
  readonly endAxes: readonly [Mat3, Mat3];
  /** 12 × 12, rig axes, start's six unknowns then the end's. */
  readonly stiffness: Float64Array;
  readonly mass: Float64Array;
  /** 12 × 3: what a field of one m/s² along x, y, z puts on its ends. */
  readonly weight: Float64Array;
}

/** Slices of one piece of an arc. */
const SLICES = 12;

/** The member's line in `count` equal pieces. No length or no section: throws. */
export function memberPieces(
  member: FrameMember,
  [from, to]: readonly [Vec3, Vec3],
  theory: Theory,
  count: number,
): readonly MemberPiece[] {
  const line = lineOf(member, from, to);
  const size = lineLength(member, from, to);
  return Array.from({ length: count }, (_, i) => ({
    ...(member.arc
      ? arcPiece(member, arcOf(member, line, i / count, (i + 1) / count), theory)
      : straightPiece(member, line(i / count), line((i + 1) / count), theory)),
    startsAt: (size * i) / count,
  }));
}

/** A point of its line at a part of its length. */
export function lineOf({ arc }: Pick<FrameMember, 'arc'>, from: Vec3, to: Vec3): (part: number) => Vec3 {
  if (!arc) return (part) => addScaled(from, subtract(to, from), part);
  const axis = unit(arc.axis);
  const arm = subtract(from, arc.centre);
  return (part) => add(arc.centre, transform(rotationAbout(axis, arc.angle * part), arm));
}

export const lineLength = ({ arc }: Pick<FrameMember, 'arc'>, from: Vec3, to: Vec3): number =>
  arc ? Math.abs(arc.angle) * length(subtract(from, arc.centre)) : length(subtract(to, from));

/** Rows x y z: x along, y the wanted direction made square to it. */
export function memberAxes(along: Vec3, yDirection?: Vec3): Mat3 {
  const x = unit(along);
  const wanted: Vec3 = yDirection ?? (Math.abs(x[1]) < 0.9 ? [0, 1, 0] : [1, 0, 0]);
  const square = subtract(wanted, scale(x, dot(x, wanted)));
  const y = length(square) > 1e-6 * length(wanted) ? unit(square) : memberAxes(along)[1];
  return [x, y, cross(x, y)];
}

/** What an axial force (tension, N) adds to its stiffness, rig axes. */
export function pieceStiffening({ points, endAxes }: MemberPiece, tension: number): Float64Array {
  const own = axialStiffening(length(subtract(points.at(-1)!, points[0]!)));
  return sandwiched(own, rotationBlocks(endAxes[0]), 12, 12).map((x) => x * tension);
}

/** Its own axes turned into the rig's: four 3 × 3 blocks. */
function rotationBlocks(axes: Mat3): Float64Array {
  const t = new Float64Array(144);
  for (let block = 0; block < 4; block++)
    for (let i = 0; i < 3; i++) for (let j = 0; j < 3; j++) t[(3 * block + i) * 12 + 3 * block + j] = axes[i]![j]!;
  return t;
}

function straightPiece(
  { section, material, yDirection, id }: FrameMember,
  from: Vec3,
  to: Vec3,
  theory: Theory,
): Omit<MemberPiece, 'startsAt'> {
  const along = subtract(to, from);
  const size = length(along);
  if (!(size > 0)) throw new RangeError(`${id} has no length.`);
  const axes = memberAxes(along, yDirection);
  const t = rotationBlocks(axes);
  const line = material.density * section.area;
  // Column by column: a field along each of the rig's axes, seen in the piece's own, and its end forces turned back.
  const weight = new Float64Array(36);
  const back = transpose(axes);
  for (let axis = 0; axis < 3; axis++) {
    const own = evenLoad([line * axes[0][axis]!, line * axes[1][axis]!, line * axes[2][axis]!], size);
    for (let block = 0; block < 4; block++) {
      const turned = transform(back, [own[3 * block]!, own[3 * block + 1]!, own[3 * block + 2]!]);
      for (let i = 0; i < 3; i++) weight[(3 * block + i) * 3 + axis] = turned[i]!;
    }
  }
  return {
    points: [from, to],
    axes: [axes],
    endAxes: [axes, axes],
    stiffness: sandwiched(beamStiffness(section, material, size, theory), t, 12, 12),
    mass: sandwiched(beamMass(section, material, size, theory), t, 12, 12),
    weight,
  };
}

function arcOf(member: FrameMember, line: (part: number) => Vec3, from: number, to: number): ArcLine {
  const { arc, yDirection } = member;
  const axis = unit(arc!.axis);
  const part = (t: number): number => from + (to - from) * t;
  return {
    slices: SLICES,
    length: Math.abs(arc!.angle) * (to - from) * length(subtract(line(0), arc!.centre)),
    at: (t) => line(part(t)),
    axesAt: (t) =>
      memberAxes(scale(cross(axis, subtract(line(part(t)), arc!.centre)), Math.sign(arc!.angle)), yDirection),
  };
}
