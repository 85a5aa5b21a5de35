/** A flat strip followed along its bends: where each point of the flat blank ends up in the bent bar. */
import {
  add,
  addScaled,
  cross,
  fromColumns,
  scale,
  transform,
  rotationAbout,
  unit,
  dot,
  subtract,
  type Mat3,
  type Vec3,
} from '../../0-base';
import type { BendSegment } from '../../model';
import type { Shape } from '../../model';

/** Middle of the thickness at one place: position, run, the way the thickness looks, and across the width. */
export interface StripFrame {
  readonly at: Vec3;
  readonly along: Vec3;
  readonly across: Vec3;
  readonly width: Vec3;
}

/** One solid stretch of the bent strip, with the frame it starts from and its share of the flat blank. */
export interface Stretch {
  readonly shape: Shape;
  readonly origin: Vec3;
  readonly rotation: Mat3;
  readonly start: StripFrame;
  readonly end: StripFrame;
  /** Distances along the flat blank, m. */
  readonly from: number;
  readonly to: number;
  readonly bend: {
    readonly angle: number;
    readonly insideRadius: number;
    readonly midRadius: number;
    readonly neutralFraction: number;
  } | null;
}

export interface BentStrip {
  readonly stretches: readonly Stretch[];
  readonly developedLength: number;
  readonly end: StripFrame;
  /** Ends of every straight and bend, mid-thickness, the start included. */
  readonly turningPoints: readonly Vec3[];
  /** Skin against mid-thickness at the tightest bend: (t/2)/(R + t/2). Zero for a straight strip. */
  readonly largestOuterStrain: number;
}

/** A start frame from a run and an across direction; the latter is made square to the run. */
export function stripStart(at: Vec3, along: Vec3, across: Vec3): StripFrame {
  const run = unit(along);
  const look = unit(subtract(across, scale(run, dot(across, run))));
  return { at, along: run, across: look, width: cross(run, look) };
}

/**
 * Follows the segments from `start`. Bends turn the run towards +across when positive, about a mid-thickness radius of
 * insideRadius + thickness/2; the blank's share of a bend is angle·(insideRadius + k·thickness), k the neutral fraction
 * (0.5 for R/t > 8, 0.33 to 0.45 tighter). A roll turns the strip about its own run, right-handed, and takes no length.
 */
export function followBends(
  section: { thickness: number; width: number },
  segments: readonly BendSegment[],
  start: StripFrame,
): BentStrip {
  let frame = start;
  let along = 0;
  let largestOuterStrain = 0;
  const stretches: Stretch[] = [];
  const turningPoints: Vec3[] = [start.at];
  for (const segment of segments) {
    if ('roll' in segment) {
      const turn = rotationAbout(frame.along, segment.roll);
      frame = { ...frame, across: transform(turn, frame.across), width: transform(turn, frame.width) };
      continue;
    }
    const stretch =
      'straight' in segment
        ? straightStretch(section, segment.straight, frame, along)
        : bendStretch(section, segment, frame, along);
    if (!stretch) continue;
    if (stretch.bend) largestOuterStrain = Math.max(largestOuterStrain, section.thickness / 2 / stretch.bend.midRadius);
    stretches.push(stretch);
    along = stretch.to;
    frame = stretch.end;
    turningPoints.push(frame.at);
  }
  return { stretches, developedLength: along, end: frame, turningPoints, largestOuterStrain };
}

function straightStretch(
  section: { thickness: number; width: number },
  length: number,
  start: StripFrame,
  from: number,
): Stretch {
  return {
    shape: { kind: 'box', size: [length, section.thickness, section.width] },
    origin: addScaled(start.at, start.along, length / 2),
    rotation: fromColumns(start.along, start.across, start.width),
    start,
    end: { ...start, at: addScaled(start.at, start.along, length) },
    from,
    to: from + length,
    bend: null,
  };
}

function bendStretch(
  section: { thickness: number; width: number },
  { angle, insideRadius, neutralFraction }: { angle: number; insideRadius: number; neutralFraction: number },
  start: StripFrame,
  from: number,
): Stretch | null {
  if (angle === 0) return null;
  const side = Math.sign(angle);
  const midRadius = insideRadius + section.thickness / 2;
  const centre = addScaled(start.at, start.across, side * midRadius);
  const axis = scale(start.width, side);
  return {
    shape: { kind: 'arcBar', midRadius, thickness: section.thickness, width: section.width, angle: Math.abs(angle) },
    origin: centre,
    rotation: fromColumns(scale(start.across, -side), start.along, axis),
    start,
    end: turned(start, centre, axis, Math.abs(angle)),
    from,
    to: from + Math.abs(angle) * (insideRadius + neutralFraction * section.thickness),
    bend: { angle, insideRadius, midRadius, neutralFraction },
  };
}

function turned(frame: StripFrame, centre: Vec3, axis: Vec3, angle: number): StripFrame {
  const turn = rotationAbout(axis, angle);
  return {
    at: add(centre, transform(turn, subtract(frame.at, centre))),
    along: transform(turn, frame.along),
    across: transform(turn, frame.across),
    width: transform(turn, frame.width),
  };
}

/** Where the point `along` the flat blank (m) lies in the bent strip; beyond either end it runs on straight. */
export function frameAlong(strip: BentStrip, along: number): StripFrame {
  const stretch = strip.stretches.find((s) => along <= s.to) ?? strip.stretches.at(-1);
  if (!stretch) throw new RangeError('a strip needs at least one stretch');
  const past = along - stretch.from;
  if (!stretch.bend || past < 0)
    return { ...stretch.start, at: addScaled(stretch.start.at, stretch.start.along, past) };
  if (along > stretch.to)
    return { ...stretch.end, at: addScaled(stretch.end.at, stretch.end.along, along - stretch.to) };
  const axis = scale(stretch.start.width, Math.sign(stretch.bend.angle));
  return turned(
    stretch.start,
    stretch.origin,
    axis,
    (Math.abs(stretch.bend.angle) * past) / (stretch.to - stretch.from),
  );
}

/** The neutral fraction k to use for a bend of this inside radius and thickness; docs/sources.md, Bends. */
export function neutralFractionFor(insideRadius: number, thickness: number): number {
  const slenderness = insideRadius / thickness;
  if (slenderness > 8) return 0.5;
  return 0.33 + 0.12 * Math.min(1, Math.max(0, (slenderness - 1) / 7));
}

/** Stretch of the outer skin against the neutral line: (1 - k) t/(R + k t); compare with the metal's elongation. */
export const outerStrain = (insideRadius: number, thickness: number, k: number): number =>
  ((1 - k) * thickness) / (insideRadius + k * thickness);
