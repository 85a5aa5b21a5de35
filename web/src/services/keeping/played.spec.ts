import { playKeeping } from './played';

describe('keeping what is typed, played with loss, delay, reloads, restarts, two windows and another folder', () => {
  it('loses nothing and overwrites nothing in silence, over two thousand runs', () => {
    const wrong: string[] = [];
    for (let seed = 1; seed <= 2000; seed++) wrong.push(...playKeeping(seed).map((w) => `seed ${seed}: ${w}`));
    expect(wrong.slice(0, 5)).toEqual([]);
  });
});
