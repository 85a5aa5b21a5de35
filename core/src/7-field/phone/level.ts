/**
 * A phone as a level: laid flat on the rig with its screen up and its top forward, then again turned end for end, so that its own
 * fault and that of what it lies on fall out.
 */
import { DEGREE, figure, length, say, STANDARD_GRAVITY } from '../../0-base';
import { notFound, wrongWith, type Found, type PhoneSample } from './sample';

/** Nose and left side down are positive, rad. */
export interface Lean {
  readonly noseDown: number;
  readonly leftSideDown: number;
}
export interface LevelRead extends Lean {
  /** Of either, a standard uncertainty, rad. */
  readonly spread: number;
  /** What the phone said too much by itself, rad; null where it was not turned round. */
  readonly own: Lean | null;
}

const SAMPLES_AT_LEAST = 20;
/** Of a phone that was not turned round: what its sensor and its back are off by, standard, rad. */
const OWN_FAULT = 1 * DEGREE;
/** Of one that was: how well it is laid the second time, standard, rad. */
const LAID_AGAIN = 0.15 * DEGREE;
/** Swinging by more than this it is no reading, rad. */
const STILL = 1.5 * DEGREE;
/** Off one g by more than this share it is being moved, or the sensor is not to be trusted. */
const G_WITHIN = 0.08;
/** More than this is no phone's own fault: it was not turned end for end, rad. */
const OWN_AT_MOST = 6 * DEGREE;

/** As laid once. Some browsers tell what pulls in place of what bears: with the screen up it is told from the sign. Mean of each lean over the samples. */
export function readLevel(samples: readonly PhoneSample[]): Found<LevelRead> {
  const wrong = wrongWith(samples, { atLeast: SAMPLES_AT_LEAST, of: 'borne' });
  if (wrong) return notFound(wrong);
  const mean = ([0, 1, 2] as const).map((k) => samples.reduce((s, x) => s + x.borne[k], 0) / samples.length);
  const g = length(mean as unknown as PhoneSample['borne']);
  if (Math.abs(g / STANDARD_GRAVITY - 1) > G_WITHIN)
    return notFound(['It was moved while it was read, or its sensor is off: let it come to rest, and read again.']);
  if (Math.abs(mean[2]!) < g / 2) return notFound(['Lay the phone flat, its screen up, and read again.']);
  const up = Math.sign(mean[2]!);
  const leans = samples.map(
    ({ borne: [x, y, z] }) => [Math.atan2(-up * y, up * z), Math.atan2(up * x, up * z)] as const,
  );
  const [nose, left] = ([0, 1] as const).map((k) => {
    const middle = leans.reduce((s, l) => s + l[k], 0) / leans.length;
    const scatter = Math.sqrt(leans.reduce((s, l) => s + (l[k] - middle) ** 2, 0) / (leans.length - 1));
    return { middle, scatter };
  }) as [Middle, Middle];
  const scatter = Math.max(nose.scatter, left.scatter);
  if (scatter > STILL)
    return notFound(say`It still swings by ${figure('angle', 2 * scatter)}: let it come to rest, and read again.`);
  return {
    ok: true,
    found: { noseDown: nose.middle, leftSideDown: left.middle, spread: Math.hypot(OWN_FAULT, scatter), own: null },
  };
}
interface Middle {
  readonly middle: number;
  readonly scatter: number;
}

/** From one reading with its top forward and one with its top backward: half their difference is the rig's, half their sum the phone's. */
export function readTurnedRound(forward: LevelRead, backward: LevelRead): Found<LevelRead> {
  const half = (k: keyof Lean, sign: 1 | -1): number => (forward[k] + sign * backward[k]) / 2;
  const own: Lean = { noseDown: half('noseDown', 1), leftSideDown: half('leftSideDown', 1) };
  const most = Math.max(Math.abs(own.noseDown), Math.abs(own.leftSideDown));
  if (most > OWN_AT_MOST)
    return notFound(
      say`Both readings lean the same way by ${figure('angle', most)}: turn the phone end for end on the same spot, and read again.`,
    );
  const scatter = Math.hypot(
    ...[forward, backward].map((r) => Math.sqrt(Math.max(0, r.spread ** 2 - OWN_FAULT ** 2)) / 2),
  );
  return {
    ok: true,
    found: {
      noseDown: half('noseDown', -1),
      leftSideDown: half('leftSideDown', -1),
      spread: Math.hypot(LAID_AGAIN, scatter),
      own,
    },
  };
}
