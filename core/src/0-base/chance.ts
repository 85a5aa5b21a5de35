/** Seeded chance: the same seed gives the same draws everywhere. Never the machine's own. */

/** Even draws in [0, 1): mulberry32 (Ettinger 2017), 2^32 long; good enough for some ten thousand builds. */
export function evenDraws(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** Normal draws of mean zero and spread one, in pairs by Box and Muller. */
export function normalDraws(seed: number): () => number {
  const even = evenDraws(seed);
  let spare: number | null = null;
  return () => {
    if (spare !== null) {
      const kept = spare;
      spare = null;
      return kept;
    }
    const radius = Math.sqrt(-2 * Math.log(1 - even()));
    const angle = 2 * Math.PI * even();
    spare = radius * Math.sin(angle);
    return radius * Math.cos(angle);
  };
}
