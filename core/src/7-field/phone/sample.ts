/** What the motion sensors of a phone say, sample by sample. The phone's own axes: x to the right of its screen, y to its top, z out of it. */
import { figure, say, type Phrase, type Vec3 } from '../../0-base';

export interface PhoneSample {
  /** s, by the sensor's own clock. */
  readonly time: number;
  /** How fast it turns about its axes, right-handed, rad/s. */
  readonly turning: Vec3;
  /** What bears it, m/s²: at rest one g straight up. */
  readonly borne: Vec3;
}
export type Found<T> = { readonly ok: true; readonly found: T } | { readonly ok: false; readonly reason: Phrase };
export const notFound = (reason: Phrase): { readonly ok: false; readonly reason: Phrase } => ({ ok: false, reason });

/** A sensor at rest still shivers in its last place: more than this share of samples alike, and it is stuck. */
const STUCK = 0.25;

/** In words what is wrong with these samples before anything is read from them; null where nothing is. */
export function wrongWith(
  samples: readonly PhoneSample[],
  { atLeast, of }: { readonly atLeast: number; readonly of: 'turning' | 'borne' },
): Phrase | null {
  if (samples.length < atLeast)
    return say`Only ${figure('count', samples.length)} samples came from the phone: keep its screen on, and read again.`;
  const none = samples.findIndex((s) => !s[of].every(Number.isFinite) || !Number.isFinite(s.time));
  if (none >= 0)
    return [
      of === 'turning' ? 'This phone has no gyroscope that tells its turning.' : 'This phone does not tell its level.',
    ];
  const alike = samples.filter((s, i) => i > 0 && s[of].every((x, k) => x === samples[i - 1]![of][k])).length;
  if (alike > STUCK * samples.length)
    return ['The sensor told the same figure over and over: it is stuck. Close what else uses it, and read again.'];
  return null;
}
