/** How a frame answers when all that holds it is knocked aside: each mode rings on from a half-sine push. */
import type { Vec3 } from '../../0-base';
import type { ModeAt } from './shakenBy';

export interface Knock {
  /** What it changes the speed of the hold by, m/s. */
  readonly speed: number;
  /** How long it lasts, s. */
  readonly lasts: number;
  /** Part of critical, of each mode. */
  readonly damping: readonly number[];
}

/** Samples of the quickest mode's period, and periods of the slowest: the peak comes early. */
const SAMPLES = 16;
const PERIODS = 3;
const SAMPLES_AT_MOST = 4000;

/** `shares` of each mode along the knock. Peak turn about x y z after it, rad. No gravity, no damping within the knock. */
export function knocked(modes: readonly ModeAt[], shares: readonly number[], knock: Knock): Vec3 {
  if (modes.length === 0) return [0, 0, 0];
  const rings = modes.map((mode, k) => {
    const w = 2 * Math.PI * mode.frequency;
    return { w, z: knock.damping[k]!, size: (shares[k]! * knock.speed * halfSine(w * knock.lasts)) / w, mode };
  });
  const [quickest, slowest] = [Math.max(...rings.map((r) => r.w)), Math.min(...rings.map((r) => r.w))];
  const count = Math.min(SAMPLES_AT_MOST, Math.ceil((SAMPLES * PERIODS * quickest) / slowest));
  const step = (PERIODS * 2 * Math.PI) / slowest / count;
  const peak = [0, 0, 0];
  for (let n = 0; n <= count; n++) {
    const t = n * step;
    for (let i = 0; i < 3; i++) {
      let turn = 0;
      for (const { w, z, size, mode } of rings)
        turn += size * mode.six[3 + i]! * Math.sin(w * t) * Math.exp(-z * w * t);
      peak[i] = Math.max(peak[i]!, Math.abs(turn));
    }
  }
  return peak as unknown as Vec3;
}

/** What a half-sine as long as `angle`/w leaves ringing, of what a blow as large would: cos(x/2)/(1 - (x/π)²), π/4 at x = π. */
function halfSine(angle: number): number {
  const off = 1 - (angle / Math.PI) ** 2;
  return Math.abs(off) < 1e-6 ? Math.PI / 4 : Math.abs(Math.cos(angle / 2) / off);
}
