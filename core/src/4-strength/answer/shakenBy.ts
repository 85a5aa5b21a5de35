/** How a frame answers when all that holds it is shaken steadily: mode by mode, harmonic by harmonic, no gravity. */
import { unit, type Vec3 } from '../../0-base';
import { applied } from '../solver/small';
import type { FrameMode } from '../frame/modesOf';
import type { FrameSystem } from '../frame/frameSystem';

/** `amplitude` · sin(2π · order · frequency · t + phase), m/s². */
export interface Harmonic {
  readonly order: number;
  readonly amplitude: number;
  readonly phase: number;
}
export interface Shaking {
  readonly direction: Vec3;
  /** Hz */
  readonly frequency: number;
  readonly harmonics: readonly Harmonic[];
  /** Part of critical, of every mode; or of each. */
  readonly damping: number | readonly number[];
  /** The node asked about. */
  readonly at: string;
  /** How long the shutter is open, s: rotation(t + half) - rotation(t - half). */
  readonly exposure?: number;
}
export interface Swing {
  /** Root mean square and largest absolute value of each of x y z. */
  readonly rms: Vec3;
  readonly peak: Vec3;
}
export interface Shaken {
  /** Against what holds it, m. */
  readonly displacement: Swing;
  /** About x y z, rad. */
  readonly rotation: Swing;
  readonly overExposure: Swing | null;
}
/** Amplitude of each harmonic as a complex number, [real, imaginary] of q = Im(c e^{iWt}). */
export type Tone = readonly [number, number];

/** Samples of the quickest tone's period before a peak is refined. */
const SAMPLES = 48;

export function shakenBy(system: FrameSystem, modes: readonly FrameMode[], shaking: Shaking): Shaken {
  const shares = sharesOf(system, modes, shaking.direction);
  const tones = tonesAt(modesAt(system, modes, shaking.at), shares, shaking);
  const orders = shaking.harmonics.map((h) => h.order);
  const swing = (list: readonly (readonly Tone[])[]): Swing => ({
    rms: list.map(rmsOf) as unknown as Vec3,
    peak: list.map((t) => peakOf(t, orders)) as unknown as Vec3,
  });
  const { exposure } = shaking;
  return {
    displacement: swing(tones.slice(0, 3)),
    rotation: swing(tones.slice(3)),
    overExposure: exposure === undefined ? null : swing(smeared(tones.slice(3), shaking, exposure)),
  };
}

/** A mode at the node asked about: its frequency, Hz, and its six figures there. */
export interface ModeAt {
  readonly frequency: number;
  readonly six: readonly number[];
}
export const modesAt = (system: FrameSystem, modes: readonly FrameMode[], node: string): readonly ModeAt[] => {
  const first = system.unknownOf.get(node)!;
  return modes.map(({ frequency, shape }) => ({ frequency, six: Array.from(shape.slice(first, first + 6)) }));
};

/** How much of each mode a push of all that has mass along a direction rings. */
export function sharesOf(system: FrameSystem, modes: readonly FrameMode[], direction: Vec3): readonly number[] {
  const push = pushOf(system, unit(direction));
  return modes.map((m) => m.shape.reduce((sum, v, u) => sum + v * push[u]!, 0));
}

/** Of the node's three shifts and three turns each harmonic's tone. */
export const tonesAt = (
  modes: readonly ModeAt[],
  shares: readonly number[],
  { frequency, harmonics, damping }: Pick<Shaking, 'frequency' | 'harmonics' | 'damping'>,
): readonly (readonly Tone[])[] =>
  Array.from({ length: 6 }, (_, i) =>
    harmonics.map((h): Tone => {
      const W = 2 * Math.PI * frequency * h.order;
      let [re, im] = [0, 0];
      modes.forEach((mode, k) => {
        const w = 2 * Math.PI * mode.frequency;
        const z = typeof damping === 'number' ? damping : damping[k]!;
        // -share · amplitude / (w² - W² + 2 i z w W), times the shape at the node
        const [dr, di] = [w * w - W * W, 2 * z * w * W];
        const size = (-shares[k]! * h.amplitude * mode.six[i]!) / (dr * dr + di * di);
        re += size * dr;
        im -= size * di;
      });
      return [re * Math.cos(h.phase) - im * Math.sin(h.phase), re * Math.sin(h.phase) + im * Math.cos(h.phase)];
    }),
  );

/** What a tone moves by while the shutter is open: e^{iWT/2} - e^{-iWT/2} = 2 i sin(WT/2). */
export const smeared = (
  tones: readonly (readonly Tone[])[],
  { frequency, harmonics }: Pick<Shaking, 'frequency' | 'harmonics'>,
  exposure: number,
): readonly (readonly Tone[])[] =>
  tones.map((list) =>
    list.map(([re, im], h): Tone => {
      const turn = 2 * Math.sin(Math.PI * frequency * harmonics[h]!.order * exposure);
      return [-im * turn, re * turn];
    }),
  );

/** M times a unit shift of everything along the direction, held unknowns too: what a base's acceleration pushes with. */
function pushOf({ elements, unknownOf, count }: FrameSystem, direction: Vec3): Float64Array {
  const shift = new Float64Array(count);
  // Springs' own unknowns tell how far an end has left its node: carried along, they do not move. Nodes within members do.
  for (const { unknowns, beam } of elements)
    if (beam)
      for (let node = 0; node < 2; node++) for (let i = 0; i < 3; i++) shift[unknowns[6 * node + i]!] = direction[i]!;
  for (const first of unknownOf.values()) for (let i = 0; i < 3; i++) shift[first + i] = direction[i]!;
  const push = new Float64Array(count);
  for (const { unknowns, mass } of elements) {
    if (!mass) continue;
    const own = applied(
      mass,
      unknowns.map((u) => shift[u]!),
      unknowns.length,
      unknowns.length,
    );
    unknowns.forEach((u, i) => (push[u]! += own[i]!));
  }
  return push;
}

export const rmsOf = (tones: readonly Tone[]): number =>
  Math.sqrt(tones.reduce((sum, [re, im]) => sum + (re * re + im * im) / 2, 0));

/** The largest absolute value in a period, to 1e-6 of it: sampled, then by parabolas about the best sample. */
export function peakOf(tones: readonly Tone[], orders: readonly number[]): number {
  const at = (phase: number): number =>
    Math.abs(
      tones.reduce(
        (sum, [re, im], h) => sum + re * Math.sin(orders[h]! * phase) + im * Math.cos(orders[h]! * phase),
        0,
      ),
    );
  let step = (2 * Math.PI) / (SAMPLES * Math.max(1, ...orders));
  let best = 0;
  for (let phase = 0; phase < 2 * Math.PI; phase += step) if (at(phase) > at(best)) best = phase;
  for (let round = 0; round < 3; round++) {
    const [a, b, c] = [at(best - step), at(best), at(best + step)];
    const bend = a - 2 * b + c;
    if (bend < 0) best += (step * (a - c)) / (2 * bend);
    step /= 8;
  }
  return at(best);
}
