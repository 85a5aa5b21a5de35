import { from, lastValueFrom, toArray } from 'rxjs';
import { settled, type ScaleReading } from './scale';
import { ScaleWorks } from './simulated-scale';

const at = (grams: number, stable = true, overload = false): ScaleReading => ({ mass: grams / 1000, stable, overload });
const taken = (readings: readonly ScaleReading[]): Promise<number[]> =>
  lastValueFrom(from(readings).pipe(settled(0.001), toArray()));

describe('a settled reading', () => {
  it('is taken once the figure has stood still for five, and once for each rest', async () => {
    const grams = (
      await taken([
        at(480, false),
        at(487),
        at(486),
        at(486),
        at(486),
        at(486),
        at(486),
        at(486),
        at(0, false),
        at(0),
        at(0),
        at(0),
        at(0),
        at(0),
      ])
    ).map((v) => Math.round(v * 10_000) / 10);
    expect(grams).toEqual([486.2, 0]);
  });
  it('is never taken while it swings, jumps or is overloaded', async () => {
    expect(await taken([at(1), at(5), at(9), at(13), at(17), at(21), at(25)])).toEqual([]);
    expect(await taken(Array.from({ length: 12 }, () => at(0, true, true)))).toEqual([]);
    expect(await taken(Array.from({ length: 12 }, () => at(9, false)))).toEqual([]);
    expect(await taken([at(9), at(9), at(9), at(9), at(9, false), at(9), at(9), at(9), at(9)])).toEqual([]);
  });
});

describe('the simulated scale', () => {
  const chance = (): number => 0.5;
  const run = (works: ScaleWorks, seconds: number): ScaleReading[] =>
    Array.from({ length: Math.round(seconds * 10) }, () => works.advance(0.1));
  it('swings past, settles, and counts in whole steps', () => {
    const works = new ScaleWorks(0.001, 5, chance);
    works.put(0.4863);
    const readings = run(works, 3);
    expect(readings.some((r) => !r.stable)).toBeTrue();
    expect(Math.max(...readings.map((r) => r.mass))).toBeGreaterThan(0.487);
    expect(readings.at(-1)).toEqual({ mass: 0.486, stable: true, overload: false });
    for (const r of readings) expect(Math.abs(r.mass / 0.001 - Math.round(r.mass / 0.001))).toBeLessThan(1e-6);
  });
  it('tares what lies on it, and reads below zero when that is lifted', () => {
    const works = new ScaleWorks(0.001, 5, chance);
    works.put(0.1);
    run(works, 3);
    works.tare();
    expect(run(works, 1).at(-1)!.mass).toBeCloseTo(0, 9);
    works.put(0);
    expect(run(works, 3).at(-1)!.mass).toBeCloseTo(-0.1, 9);
  });
  it('says too heavy, drifts a little, and falls asleep when left alone', () => {
    const works = new ScaleWorks(0.0001, 5, () => 0.9);
    works.put(6);
    expect(run(works, 3).at(-1)!.overload).toBeTrue();
    works.put(1);
    const first = run(works, 3).at(-1)!.mass;
    const later = run(works, 60).at(-1)!.mass;
    expect(later).not.toBe(first);
    expect(Math.abs(later - first)).toBeLessThan(0.002);
    expect(works.asleep).toBeFalse();
    run(works, 40);
    expect(works.asleep).toBeTrue();
  });
});
