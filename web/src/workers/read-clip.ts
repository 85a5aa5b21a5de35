/** A clip read frame by frame: how its picture moved, and what that says of the walk. The clip itself is not kept. */
import { figure, say, type Phrase } from '@tide-pebble/core/words';
import {
  frameMotion,
  prepared,
  walkOfClip,
  type PictureShifts,
  type Prepared,
  type WalkFigures,
} from '@tide-pebble/core/steady';
import { VideoSampleSink } from 'mediabunny';
import { clipTrack } from './clip-track';

export interface ClipRead {
  readonly outcome:
    | {
        readonly ok: true;
        readonly figures: WalkFigures;
        readonly frames: number;
        /** Frames whose picture could not be followed: bridged from their neighbours. */
        readonly lost: number;
        readonly width: number;
        readonly height: number;
      }
    | { readonly ok: false; readonly reason: Phrase };
}

/** The longer side at which it is looked at: enough for a hundredth of a degree of a usual lens. */
const LONGER_SIDE = 320;
/** Less of the picture’s edges moved along: a cut, a flash, a hand before the lens. */
const FOLLOWED = 0.3;
/** More lost than this is no walk that can be read. */
const LOST_AT_MOST = 0.2;
const MINUTES_AT_MOST = 20;

/** What a clip’s picture did, whatever the lens saw. */
export type Followed =
  | {
      readonly ok: true;
      readonly stamps: Float64Array;
      readonly shifts: PictureShifts;
      /** The longer side that shifts are told in pixels of. */
      readonly side: number;
      readonly lost: number;
      readonly width: number;
      readonly height: number;
    }
  | { readonly ok: false; readonly reason: Phrase };

/** `across` is the lens’s angle of view across the picture’s longer side, rad. */
export function readClip(followed: Followed, across: number): ClipRead {
  if (!followed.ok) return { outcome: followed };
  const { stamps, shifts, side, lost, width, height } = followed;
  const walk = walkOfClip(shifts, side / 2 / Math.tan(across / 2), stamps);
  return {
    outcome: walk.ok ? { ok: true, figures: walk.figures, frames: stamps.length, lost, width, height } : walk,
  };
}

export async function followClip(file: Blob, tell: (part: number) => void): Promise<Followed> {
  const refused = (reason: Phrase): Followed => ({ ok: false, reason });
  const opened = await clipTrack(file);
  if (!opened.ok) return opened;
  const { input, track } = opened;
  try {
    const [given, seconds] = [
      { width: track.displayWidth, height: track.displayHeight },
      await track.computeDuration(),
    ];
    if (seconds > 60 * MINUTES_AT_MOST)
      return refused(say`It is longer than ${figure('count', MINUTES_AT_MOST)} minutes. Cut out the walk.`);
    const scale = LONGER_SIDE / Math.max(given.width, given.height);
    const [width, height] = [Math.round(given.width * scale), Math.round(given.height * scale)];
    const canvas = new OffscreenCanvas(width, height);
    const context = canvas.getContext('2d', { willReadFrequently: true })!;
    const stamps: number[] = [];
    const motions: ({ right: number; down: number; clockwise: number } | null)[] = [];
    let before: Prepared | null = null;
    let lost = 0;
    for await (const sample of new VideoSampleSink(track).samples()) {
      const stamp = sample.timestamp;
      sample.draw(context, 0, 0, width, height);
      sample.close();
      // A stamp told twice is one frame.
      if (stamps.length > 0 && stamp <= stamps.at(-1)!) continue;
      const now = prepared(greyOf(context.getImageData(0, 0, width, height).data), width, height);
      if (before) {
        const { right, down, clockwise, along } = frameMotion(before, now);
        if (along < FOLLOWED) lost++;
        motions.push(along < FOLLOWED ? null : { right, down, clockwise });
      }
      before = now;
      stamps.push(stamp);
      tell(Math.min(1, stamp / Math.max(seconds, 1e-3)));
    }
    if (stamps.length < 2) return refused(say`It holds ${figure('count', stamps.length)} frames: no clip.`);
    if (lost > LOST_AT_MOST * motions.length)
      return refused(
        say`Of its ${figure('count', motions.length)} steps from frame to frame ${figure('count', lost)} could not be followed: too dark, too blurred, or nothing with edges in view.`,
      );
    const shifts = bridged(motions);
    return { ok: true, stamps: Float64Array.from(stamps), shifts, side: Math.max(width, height), lost, ...given };
  } finally {
    input.dispose();
  }
}

/** Luma of the eyes: green counts most (Rec. 709). */
function greyOf(rgba: Uint8ClampedArray): Float32Array {
  const grey = new Float32Array(rgba.length / 4);
  for (let i = 0; i < grey.length; i++)
    grey[i] = 0.2126 * rgba[4 * i]! + 0.7152 * rgba[4 * i + 1]! + 0.0722 * rgba[4 * i + 2]!;
  return grey;
}

type Motions = readonly ({ readonly right: number; readonly down: number; readonly clockwise: number } | null)[];
/** What could not be followed moved as its neighbours did. */
function bridged(motions: Motions): PictureShifts {
  const known = motions.flatMap((m, i) => (m ? [i] : []));
  const of = (way: 'right' | 'down' | 'clockwise'): Float64Array =>
    Float64Array.from(motions, (m, i) => {
      if (m) return m[way];
      const [a, b] = [known.filter((k) => k < i).at(-1), known.find((k) => k > i)];
      const [from, to] = [motions[a ?? b!]![way], motions[b ?? a!]![way]];
      return a === undefined || b === undefined ? from : from + ((to - from) * (i - a)) / (b - a);
    });
  return { right: of('right'), down: of('down'), clockwise: of('clockwise') };
}
