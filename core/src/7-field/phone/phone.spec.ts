import fc from 'fast-check';
import { DEGREE, METRIC, normalDraws, render, STANDARD_GRAVITY, type Vec3 } from '../../0-base';
import { ellipticK } from '../../0-base/ellipticK';
import { holds } from '../../testing/holds';
import { hasFallen, readDrop } from './drop';
import { hasRung, readRing } from './ring';
import { readLevel, readTurnedRound, type Lean } from './level';
import type { Found, PhoneSample } from './sample';

const RATE = 100;
const reasonOf = <T>(f: Found<T>): string => (f.ok ? '' : render(f.reason, METRIC));
function found<T>(f: Found<T>): T {
  if (!f.ok) throw new Error(reasonOf(f));
  return f.found;
}

/** At rest on a rig that leans so; `sign` -1 as some browsers tell it. */
function lies({ noseDown, leftSideDown }: Lean, seed: number, noise = 0.02, sign: 1 | -1 = 1): readonly PhoneSample[] {
  const draw = normalDraws(seed);
  const [a, b] = [Math.tan(noseDown), Math.tan(leftSideDown)];
  const g = STANDARD_GRAVITY / Math.hypot(1, a, b);
  return Array.from({ length: 150 }, (_, i) => ({
    time: i / RATE,
    turning: [0, 0, 0],
    borne: [sign * (b * g + noise * draw()), sign * (-a * g + noise * draw()), sign * (g + noise * draw())],
  }));
}

describe('a phone as a level', () => {
  const lean = fc.record({
    noseDown: fc.double({ min: -0.5, max: 0.5, noNaN: true }),
    leftSideDown: fc.double({ min: -0.5, max: 0.5, noNaN: true }),
  });
  it('reads how it lies, whichever way the browser tells gravity', () => {
    holds(
      fc.property(
        lean,
        fc.integer({ min: 1, max: 1e6 }),
        fc.constantFrom(1 as const, -1 as const),
        (truth, seed, sign) => {
          const read = found(readLevel(lies(truth, seed, 0.02, sign)));
          expect(Math.abs(read.noseDown - truth.noseDown)).toBeLessThan(0.1 * DEGREE);
          expect(Math.abs(read.leftSideDown - truth.leftSideDown)).toBeLessThan(0.1 * DEGREE);
          expect(read.spread).toBeGreaterThan(0.9 * DEGREE);
        },
      ),
      { seed: 71 },
    );
  });
  it('turned end for end, its own fault falls out and is told', () => {
    const small = fc.record({
      noseDown: fc.double({ min: -0.1, max: 0.1, noNaN: true }),
      leftSideDown: fc.double({ min: -0.1, max: 0.1, noNaN: true }),
    });
    const own = fc.record({
      noseDown: fc.double({ min: -0.05, max: 0.05, noNaN: true }),
      leftSideDown: fc.double({ min: -0.05, max: 0.05, noNaN: true }),
    });
    holds(
      fc.property(small, own, (rig, fault) => {
        const said = (sign: 1 | -1): Lean => ({
          noseDown: sign * rig.noseDown + fault.noseDown,
          leftSideDown: sign * rig.leftSideDown + fault.leftSideDown,
        });
        const read = found(readTurnedRound(found(readLevel(lies(said(1), 3))), found(readLevel(lies(said(-1), 4)))));
        for (const k of ['noseDown', 'leftSideDown'] as const) {
          expect(Math.abs(read[k] - rig[k])).toBeLessThan(0.1 * DEGREE);
          expect(Math.abs(read.own![k] - fault[k])).toBeLessThan(0.1 * DEGREE);
        }
        expect(read.spread).toBeLessThan(0.3 * DEGREE);
      }),
      { seed: 72 },
    );
  });
  it('is refused in words while it swings, on its side, stuck, silent, or not turned round', () => {
    const flat = { noseDown: 0, leftSideDown: 0 };
    const swings = lies(flat, 5).map((s, i) => ({
      ...s,
      borne: [s.borne[0], 0.6 * Math.sin(i / 20), s.borne[2]] as const,
    }));
    expect(reasonOf(readLevel(swings))).toContain('still swings');
    const onSide = lies(flat, 5).map((s) => ({ ...s, borne: [s.borne[2], s.borne[1], s.borne[0]] as const }));
    expect(reasonOf(readLevel(onSide))).toContain('Lay the phone flat');
    const thrown = lies(flat, 5).map((s) => ({ ...s, borne: [0, 0, 14] as const }));
    expect(reasonOf(readLevel(thrown.map((s, i) => ({ ...s, borne: [i / 1e4, 0, 14] }))))).toContain('moved');
    expect(reasonOf(readLevel(thrown))).toContain('stuck');
    expect(reasonOf(readLevel([]))).toContain('Only 0 samples');
    expect(reasonOf(readLevel(lies(flat, 5).map((s) => ({ ...s, borne: [NaN, 0, 9] }))))).toContain('does not tell');
    const tilted = found(readLevel(lies({ noseDown: 0.2, leftSideDown: 0 }, 6)));
    expect(reasonOf(readTurnedRound(tilted, tilted))).toContain('end for end');
  });
});

/** Held level for so long, then a pendulum let go at 90 degrees, stepped by the fourth-order Runge-Kutta rule. */
function falls(
  time: number,
  more: { held?: number; from?: number; bias?: Vec3; noise?: number; about?: Vec3; until?: number; seed?: number } = {},
): readonly PhoneSample[] {
  const { held = 1, from = Math.PI / 2, bias = [0, 0, 0], noise = 0, about = [1, 0, 0], until = 1.7, seed = 1 } = more;
  const w2 = (ellipticK(Math.sin(Math.PI / 4)) / time) ** 2;
  const draw = normalDraws(seed);
  let [angle, rate] = [from, 0];
  const steps = 20;
  const dt = 1 / RATE / steps;
  const step = (): void => {
    const f = (a: number): number => -w2 * Math.sin(a);
    const [k1, l1] = [rate, f(angle)];
    const [k2, l2] = [rate + (dt / 2) * l1, f(angle + (dt / 2) * k1)];
    const [k3, l3] = [rate + (dt / 2) * l2, f(angle + (dt / 2) * k2)];
    const [k4, l4] = [rate + dt * l3, f(angle + dt * k3)];
    angle += (dt / 6) * (k1 + 2 * k2 + 2 * k3 + k4);
    rate += (dt / 6) * (l1 + 2 * l2 + 2 * l3 + l4);
  };
  return Array.from({ length: Math.ceil((held + until * time) * RATE) }, (_, i) => {
    if (i / RATE > held) for (let k = 0; k < steps; k++) step();
    return {
      time: i / RATE,
      turning: about.map((x, k) => x * rate + bias[k]! + noise * draw()) as unknown as Vec3,
      borne: [0, 0, 0] as const,
    };
  });
}

describe('a drop read by a gyroscope', () => {
  it('is the time from letting go to upright, however it is strapped, past its own turning and noise', () => {
    holds(
      fc.property(
        fc.double({ min: 0.35, max: 12, noNaN: true }),
        fc.double({ min: 0, max: Math.PI, noNaN: true }),
        fc.integer({ min: 1, max: 1e6 }),
        (time, turn, seed) => {
          const about: Vec3 = [Math.cos(turn) * 0.8, Math.sin(turn) * 0.8, 0.6];
          const read = found(readDrop(falls(time, { about, bias: [0.01, -0.02, 0.005], noise: 0.002, seed })));
          expect(Math.abs(read.time - time)).toBeLessThan(3 * read.spread);
          expect(read.spread).toBeLessThan(0.02 + 0.02 * time);
          // Held for a second; its first step falls between two samples.
          expect(Math.abs(read.letGo - 1)).toBeLessThan(3 * read.spread);
        },
      ),
      { seed: 73 },
    );
  });
  it('is waited for till it is past upright', () => {
    const all = falls(1.4);
    const at = (t: number) => hasFallen(all.slice(0, Math.round(t * RATE)));
    expect([at(0.9), at(1.9), at(3.2)]).toEqual([false, false, true]);
  });
  it('is refused in words where it did not fall, was not held still, began elsewhere than level, or the sensor is at fault', () => {
    expect(
      reasonOf(
        readDrop(
          falls(1.4)
            .slice(0, 100)
            .map((s, i) => ({ ...s, turning: [i * 1e-5, 0, 0] })),
        ),
      ),
    ).toContain('did not fall');
    expect(reasonOf(readDrop(falls(1.4, { held: 0.05 })))).toContain('Hold it still');
    expect(reasonOf(readDrop(falls(1.4, { from: 0.9, noise: 0.001 })))).toContain('hold it level');
    expect(reasonOf(readDrop(falls(1.4).map((s) => ({ ...s, turning: [0.4, 0, 0] }))))).toContain('stuck');
    expect(reasonOf(readDrop(falls(1.4).map((s) => ({ ...s, turning: [NaN, NaN, NaN] }))))).toContain('no gyroscope');
  });
});

describe('a phone that feels a flick', () => {
  interface Rung {
    readonly frequency: number;
    /** 1/s */
    readonly dying: number;
    readonly about?: Vec3;
    readonly noise?: number;
    /** Its pace at the end, as a share of that at first. */
    readonly late?: number;
    readonly rate?: number;
  }
  /** Flicked after a second, with a push before it rings. */
  function rings(
    { frequency, dying, about = [1, 0.2, 0.1], noise = 0.002, late = 1, rate = 100 }: Rung,
    seed: number,
  ): readonly PhoneSample[] {
    const draw = normalDraws(seed);
    const over = Math.min(9, 5 / dying);
    let phase = 0;
    return Array.from({ length: Math.round((2.5 + over) * rate) }, (_, i) => {
      const t = i / rate - 1;
      let w = 0;
      if (t >= 0 && t < 0.03) w = 1.5;
      else if (t >= 0.03) {
        phase += (2 * Math.PI * frequency * (1 + (late - 1) * Math.min(1, t / over))) / rate;
        w = 0.8 * Math.exp(-dying * t) * Math.cos(phase);
      }
      return {
        time: i / rate,
        turning: [
          0.01 + w * about[0] + noise * draw(),
          -0.02 + w * about[1] + noise * draw(),
          w * about[2] + noise * draw(),
        ],
        borne: [0, 0, STANDARD_GRAVITY],
      };
    });
  }
  const rung = fc.record({
    frequency: fc.double({ min: 2, max: 30, noNaN: true }),
    swings: fc.double({ min: 10, max: 25, noNaN: true }),
    noise: fc.double({ min: 0.0005, max: 0.01, noNaN: true }),
  });
  it('reads its pace within its spread, and which way it goes', () => {
    holds(
      fc.property(
        rung,
        fc.integer({ min: 1, max: 1e6 }),
        fc.constantFrom(0, 1, 2),
        ({ frequency, swings, noise }, seed, axis) => {
          const about = [0.2, 0.2, 0.2].map((x, k) => (k === axis ? 1 : x)) as unknown as Vec3;
          // It dies to a twentieth in so many swings.
          const read = found(readRing(rings({ frequency, dying: (3 * frequency) / swings, noise, about }, seed)));
          expect(Math.abs(read.frequency - frequency))
            .withContext(`${read.frequency} of ${frequency}, ± ${read.spread}`)
            .toBeLessThan(4 * read.spread);
          expect(read.way).toBe((['nods', 'rolls', 'pans'] as const)[axis]);
        },
      ),
      { seed: 74 },
    );
  });
  it('tells whether it slows down or quickens as it dies', () => {
    const dies = (late: number): string | undefined =>
      found(readRing(rings({ frequency: 8, dying: 0.6, late }, 5))).dies;
    expect([dies(1), dies(0.8), dies(1.2)]).toEqual(['even', 'slower', 'quicker']);
    // Of few swings it is not told.
    expect(found(readRing(rings({ frequency: 5, dying: 2 }, 5))).dies).toBeUndefined();
  });
  it('says in words why there is no pace', () => {
    expect(
      reasonOf(readRing(rings({ frequency: 8, dying: 0.6 }, 1).map((s) => ({ ...s, turning: [0, 0, 0] as Vec3 })))),
    ).toContain('stuck');
    expect(
      reasonOf(
        readRing(
          lies({ noseDown: 0, leftSideDown: 0 }, 3).map((s, i) => ({ ...s, turning: [1e-4 * (i % 7), 0, 0] as Vec3 })),
        ),
      ),
    ).toContain('No flick');
    expect(reasonOf(readRing(rings({ frequency: 2, dying: 6 }, 1)))).toMatch(/died away after|No flick/);
    // Sixty samples a second tell nothing of 40 Hz; nor does a hand that shakes it any way.
    const draw = normalDraws(9);
    expect(
      reasonOf(
        readRing(
          rings({ frequency: 8, dying: 0.6 }, 1).map((s) => ({ ...s, turning: [draw(), draw(), draw()] as Vec3 })),
        ),
      ),
    ).toContain('No one tone');
    expect(reasonOf(readRing([]))).toContain('Only 0 samples');
  });
  it('knows when it is over', () => {
    const all = rings({ frequency: 8, dying: 2 }, 4);
    expect(hasRung(all)).toBeTrue();
    expect(hasRung(all.slice(0, 180))).toBeFalse();
    expect(hasRung(all.slice(0, 60))).toBeFalse();
  });
});
