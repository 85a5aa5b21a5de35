/** A clip stepped by hand: a drop from two marked frames, a lean from two lines laid on one of them. */
import { DEGREE, figure, say } from '../../0-base';
import { notFound, type Found } from '../phone/sample';

/** Picture points, px: to the right and down. */
export type At = readonly [number, number];
export type Line = readonly [At, At];

/** Between two frames it happened somewhere: each mark is told to half a frame, evenly likely within it. */
const WITHIN_FRAME = 1 / Math.sqrt(12);
/** Laid by a finger, standard, px of the picture. */
const LAID = 1.5;
/** Shorter lines tell no angle, px. */
const LINE_AT_LEAST = 30;
const PLUMB_WITHIN = 45 * DEGREE;
const LEANS_AT_MOST = 60 * DEGREE;
/** A frame longer than this is no watch, s. */
const FRAME_AT_MOST = 0.2;

/** `stamps`: when each frame was shown, s, as the file says it; frames need not come evenly. */
export function readClipDrop(
  stamps: readonly number[],
  letGo: number,
  upright: number,
): Found<{ readonly time: number; readonly spread: number }> {
  if (upright <= letGo)
    return notFound([
      'It stands upright before it is let go: step on to where it first stands upright, and mark that.',
    ]);
  /** How long before a frame the one before it was shown: what happened, happened in between. */
  const gap = (i: number): number => stamps[i]! - (stamps[i - 1] ?? stamps[i]! - (stamps[i + 1]! - stamps[i]!));
  const longest = Math.max(gap(letGo), gap(upright));
  if (!(longest <= FRAME_AT_MOST))
    return notFound(
      say`A frame of this clip lasts ${figure('time', longest, 2)}: too long to time a drop by. Film it at 30 frames a second or more.`,
    );
  return {
    ok: true,
    found: {
      time: stamps[upright]! - stamps[letGo]!,
      spread: WITHIN_FRAME * Math.hypot(gap(letGo), gap(upright)),
    },
  };
}

export interface LinesLaid {
  /** Along a plumb line, a door frame or whatever stands upright in the picture. */
  readonly plumb: Line;
  /** Along the rig. */
  readonly rig: Line;
  /** What of the rig it was laid along: what should lie level, or what should stand upright. */
  readonly along: 'level' | 'upright';
  /** Which way its nose points in the picture. */
  readonly nose: 'left' | 'right';
}

/** Nose down is positive, rad. The camera looks squarely at the rig's side; that it is held askew falls out by the plumb line. */
export function readClipLean({
  plumb,
  rig,
  along,
  nose,
}: LinesLaid): Found<{ readonly noseDown: number; readonly spread: number }> {
  const [upright, laid] = [spanOf(plumb), spanOf(rig)];
  const shorter = Math.min(upright.length, laid.length);
  if (shorter < LINE_AT_LEAST)
    return notFound(
      say`A line of ${figure('count', Math.round(shorter), 0)} picture points tells no angle: lay it from end to end.`,
    );
  const down: At = upright.way[1] >= 0 ? upright.way : [-upright.way[0], -upright.way[1]];
  if (Math.abs(Math.atan2(down[0], down[1])) > PLUMB_WITHIN)
    return notFound(['The plumb line lies flatter than it stands: lay it along what hangs or stands upright.']);
  const forward: At = nose === 'right' ? [down[1], -down[0]] : [-down[1], down[0]];
  const dot = (a: At, b: At): number => a[0] * b[0] + a[1] * b[1];
  // Which end of it was laid first says nothing.
  const faces = along === 'level' ? dot(laid.way, forward) : -dot(laid.way, down);
  const way: At = faces >= 0 ? laid.way : [-laid.way[0], -laid.way[1]];
  const noseDown =
    along === 'level' ? Math.atan2(dot(way, down), dot(way, forward)) : Math.atan2(dot(way, forward), -dot(way, down));
  if (Math.abs(noseDown) > LEANS_AT_MOST)
    return notFound(
      say`By these lines it leans by ${figure('angle', Math.abs(noseDown), 0)}: was the line laid along what should ${along === 'level' ? 'lie level' : 'stand upright'}?`,
    );
  return {
    ok: true,
    found: { noseDown, spread: Math.SQRT2 * LAID * Math.hypot(1 / upright.length, 1 / laid.length) },
  };
}

function spanOf([from, to]: Line): { readonly way: At; readonly length: number } {
  const [u, v] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(u, v);
  return { way: length > 0 ? [u / length, v / length] : [0, 0], length };
}
