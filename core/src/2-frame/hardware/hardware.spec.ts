import * as fc from 'fast-check';
import { holds } from '../../testing/holds';
import { fastenerMass, type Fastener } from './fastenerMass';
import { boltUp } from './boltUp';
import {
  ACROSS_FLATS,
  CAP_NUT,
  CAP_NUT_DEPTH,
  CLEARANCE,
  FLAT_WASHER,
  HEX_HEAD,
  isTabled,
  LOCK_NUT,
  NUT,
  SOLD_LENGTHS,
  SPRING_WASHER,
  TAPPING_HOLE,
  THIN_NUT,
  WIDE_WASHER,
} from './sizes';
import { stackUp, type StackEnd, type StackLayer } from './stackUp';
import { nutBore, pitchDiameter, RARER_THREADS, threadArea, threadCalled, threadOf, THREADS } from './thread';

const STEEL = 7850;
const screw = (name: string, length: number): Fastener => {
  const { diameter, pitch } = threadOf(name);
  return {
    type: 'hexHeadScrew',
    at: 0,
    acrossFlats: ACROSS_FLATS.of({ name })!,
    headHeight: HEX_HEAD.of({ name })!,
    threadDiameter: diameter,
    pitch,
    length,
    threadLength: length,
  };
};
const nut = (name: string): Fastener => {
  const { diameter, pitch } = threadOf(name);
  return {
    type: 'hexNut',
    at: 0,
    acrossFlats: ACROSS_FLATS.of({ name })!,
    height: NUT.of({ name })!,
    threadDiameter: diameter,
    pitch,
  };
};
const washer = (name: string, of: typeof FLAT_WASHER): Fastener => ({
  type: 'washer',
  at: 0,
  outerDiameter: of.outside.of({ name })!,
  innerDiameter: of.bore.of({ name })!,
  thickness: of.thick.of({ name })!,
  count: 1,
});

describe('threads of one’s own', () => {
  it('are read as a die says them, those of a table under the name it has there', () => {
    const read = (words: string): string | undefined => threadCalled(words)?.name;
    expect(read('M6x1')).toBe('M6');
    expect(read('m8 × 1.25')).toBe('M8');
    expect(read('M7×0,75')).toBe('M7×0.75');
    expect(read('m7')).toBe('M7');
    expect(read('#10-24')).toBe('10-24');
    expect(read('10-32')).toBe('10-32');
    expect(read(' 7/16-20 ')).toBe('7/16-20');
    expect(read('3/8 - 16')).toBe('3/8-16');
    expect(threadOf('10-32').diameter).toBeCloseTo(0.19 * 0.0254, 12);
    expect(threadOf('7/16-20').pitch).toBeCloseTo(0.0254 / 20, 12);
    for (const wrong of ['', 'M', 'x', 'M6×0', 'M6×5', 'M1×0.25', 'M40×2', '1/0-20', '0/4-20', '1/4-0', '14-20', '1/4'])
      expect(read(wrong)).withContext(wrong).toBeUndefined();
  });

  it('read back what they are called, whatever is typed', () => {
    const any = fc.oneof(
      fc
        .tuple(fc.integer({ min: 20, max: 180 }), fc.integer({ min: 1, max: 40 }))
        .map(([d, p]) => `M${d / 10}×${p / 10}`),
      fc
        .tuple(fc.integer({ min: 1, max: 20 }), fc.integer({ min: 1, max: 32 }), fc.integer({ min: 4, max: 90 }))
        .map(([a, b, t]) => `${a}/${b}-${t}`),
      fc.tuple(fc.integer({ min: 0, max: 14 }), fc.integer({ min: 4, max: 90 })).map(([n, t]) => `${n}-${t}`),
      fc.string({ maxLength: 20 }),
    );
    holds(
      fc.property(any, (words) => {
        const thread = threadCalled(words);
        if (!thread) return true;
        const again = threadCalled(thread.name);
        return (
          again?.name === thread.name &&
          Math.abs(again.diameter - thread.diameter) < 1e-12 &&
          nutBore(thread) > 0 &&
          thread.diameter > 0.0024 &&
          thread.diameter < 0.0161
        );
      }),
      { seed: 3, numRuns: 2000 },
    );
  });

  it('have the hexagons of their diameter, or between their neighbours’, and so much more is unsure', () => {
    expect(ACROSS_FLATS.of({ name: 'M6×0.75' })).toBe(ACROSS_FLATS.of({ name: 'M6' }));
    expect(ACROSS_FLATS.of({ name: '3/8-18' })).toBe(ACROSS_FLATS.of({ name: '3/8-16' }));
    expect(ACROSS_FLATS.of({ name: 'M7' })).toBeCloseTo(0.0115, 9);
    expect(NUT.of({ name: 'M7' })).toBeCloseTo(0.006, 9);
    expect(TAPPING_HOLE.of({ name: 'M7' })).toBeCloseTo(0.006, 9);
    for (const thread of RARER_THREADS) {
      const [lower, upper] = [
        ACROSS_FLATS.of(thread)! / thread.diameter,
        CLEARANCE.medium.of(thread)! - thread.diameter,
      ];
      expect([lower > 1.2, lower < 2.1, upper > 0, upper < 0.0025])
        .withContext(thread.name)
        .toEqual([true, true, true, true]);
    }
    const spreadOf = (name: string): number => {
      const nut = boltUp({ thread: threadOf(name), layers: [{ thickness: 0.01 }], end: { kind: 'nut' } }).pieces.find(
        (p) => p.role === 'nut',
      )!;
      return nut.spread / nut.mass;
    };
    expect(isTabled(threadOf('M7'))).toBeFalse();
    expect(spreadOf('M6×0.75')).toBeCloseTo(spreadOf('M6'), 12);
    expect(spreadOf('M7') / spreadOf('M6')).toBeGreaterThan(5);
  });
});

describe('threads', () => {
  it('have the areas of their profile, summed slice by slice over a pitch', () => {
    for (const t of THREADS) {
      const { diameter, pitch } = t;
      const [crest, root] = [diameter / 2, nutBore(t) / 2];
      const flank = (5 / 16) * pitch;
      const radius = (x: number): number => {
        if (x < pitch / 8) return crest;
        if (x < pitch / 8 + flank) return crest - ((crest - root) * (x - pitch / 8)) / flank;
        if (x < pitch / 8 + flank + pitch / 4) return root;
        return root + ((crest - root) * (x - pitch / 8 - flank - pitch / 4)) / flank;
      };
      const steps = 20_000;
      let area = 0;
      for (let i = 0; i < steps; i++) area += (Math.PI * radius(((i + 0.5) / steps) * pitch) ** 2) / steps;
      expect(threadArea(t) / area)
        .withContext(t.name)
        .toBeCloseTo(1, 7);
      // That of the pitch diameter and a few per cent more: ridges are sharper outside than grooves inside.
      expect(threadArea(t) / ((Math.PI / 4) * pitchDiameter(t) ** 2))
        .withContext(t.name)
        .toBeGreaterThan(1);
      expect(threadArea(t) / ((Math.PI / 4) * pitchDiameter(t) ** 2))
        .withContext(t.name)
        .toBeLessThan(1.035);
    }
  });
  it('have the diameters of the standard', () => {
    const m8 = threadOf('M8');
    expect(pitchDiameter(m8)).toBeCloseTo(0.007188, 6);
    expect(nutBore(m8)).toBeCloseTo(0.006647, 6);
    expect(() => threadOf('M77')).toThrowError(RangeError);
  });
});

describe('what fasteners weigh', () => {
  // Catalogue masses, g for 100 (a sheet's screws are chamfered, so a few per cent less).
  for (const [name, piece, grams, part] of [
    ['M5 × 16', screw('M5', 0.016), 349, 0.03],
    ['M6 × 20', screw('M6', 0.02), 622, 0.03],
    ['M8 × 40', screw('M8', 0.04), 1877, 0.03],
    ['M10 × 60', screw('M10', 0.06), 4116, 0.03],
    ['nut M6', nut('M6'), 256, 0.03],
    ['nut M8', nut('M8'), 553, 0.03],
    ['nut M10', nut('M10'), 1018, 0.03],
    ['nut 1/4-20', nut('1/4-20'), 355, 0.03],
    ['washer M8', washer('M8', FLAT_WASHER), 183, 0.08],
    ['wide washer M10', washer('M10', WIDE_WASHER), 1217, 0.08],
    [
      'rod M8 × 100',
      { type: 'threadedRod', at: 0, length: 0.1, threadDiameter: 0.008, pitch: 0.00125 } as Fastener,
      3186,
      0.02,
    ],
  ] as const)
    it(`${name} as the catalogue has it`, () => {
      expect(Math.abs((fastenerMass(piece, STEEL).mass * 1e5) / grams - 1)).toBeLessThan(part);
    });
  it('a nut on its screw is one whole: thread and hole fill each other', () => {
    holds(
      fc.property(fc.constantFrom(...THREADS), fc.double({ min: 0.002, max: 0.02, noNaN: true }), (t, height) => {
        const across = ACROSS_FLATS.of(t)!;
        const on = {
          type: 'hexNut',
          at: 0.01,
          acrossFlats: across,
          height,
          threadDiameter: t.diameter,
          pitch: t.pitch,
        } as const;
        const rod = {
          type: 'threadedRod',
          at: 0.01,
          length: height,
          threadDiameter: t.diameter,
          pitch: t.pitch,
        } as const;
        const whole = STEEL * (Math.sqrt(3) / 2) * across ** 2 * height;
        expect((fastenerMass(on, STEEL).mass + fastenerMass(rod, STEEL).mass) / whole).toBeCloseTo(1, 12);
      }),
      { seed: 1801 },
    );
  });
  it('a countersunk head with its key weighs as sliced, and moves with its place', () => {
    const f: Fastener = {
      type: 'countersunkScrew',
      at: 0.003,
      headDiameter: 0.012,
      headHeight: 0.0033,
      threadDiameter: 0.006,
      pitch: 0.001,
      length: 0.02,
      threadLength: 0.02,
      socketAcrossFlats: 0.004,
      socketDepth: 0.002,
    };
    const steps = 40_000;
    let [volume, moment] = [0, 0];
    for (let i = 0; i < steps; i++) {
      const z = ((i + 0.5) / steps) * f.length;
      const head = z < f.headHeight;
      const r = 0.006 - (0.003 * z) / f.headHeight;
      const area =
        (head ? Math.PI * r * r : threadArea({ diameter: 0.006, pitch: 0.001 })) -
        (z < 0.002 ? (Math.sqrt(3) / 2) * 0.004 ** 2 : 0);
      volume += (area * f.length) / steps;
      moment += (area * f.length * (z + f.at)) / steps;
    }
    const found = fastenerMass(f, STEEL);
    expect(found.mass / (STEEL * volume)).toBeCloseTo(1, 5);
    expect(found.centre / (moment / volume)).toBeCloseTo(1, 5);
    expect(fastenerMass({ ...f, at: 0.103 }, STEEL).centre - found.centre).toBeCloseTo(0.1, 12);
  });
});

describe('sizes by the standard', () => {
  it('grow with the thread, and fit each other', () => {
    for (const standard of ['ISO', 'unified'] as const) {
      const own = THREADS.filter((t) => t.standard === standard).sort((a, b) => a.diameter - b.diameter);
      for (const of of [
        ACROSS_FLATS,
        HEX_HEAD,
        NUT,
        THIN_NUT,
        LOCK_NUT,
        FLAT_WASHER.outside,
        WIDE_WASHER.outside,
        SPRING_WASHER.outside,
      ]) {
        const list = own.flatMap((t) => of.of(t) ?? []);
        expect(list)
          .withContext(`${standard} ${of.what}`)
          .toEqual([...list].sort((a, b) => a - b));
      }
    }
    for (const t of THREADS) {
      expect(THIN_NUT.of(t)!).withContext(t.name).toBeLessThan(NUT.of(t)!);
      expect(NUT.of(t)!).withContext(t.name).toBeLessThan(LOCK_NUT.of(t)!);
      const [close, medium, free] = [CLEARANCE.close, CLEARANCE.medium, CLEARANCE.free].map((h) => h.of(t)!);
      expect(t.diameter).toBeLessThan(close!);
      expect(close!).toBeLessThan(medium!);
      expect(medium!).toBeLessThan(free!);
      expect(TAPPING_HOLE.of(t)!)
        .withContext(t.name)
        .toBeGreaterThan(nutBore(t) - 0.0003);
      expect(TAPPING_HOLE.of(t)!).withContext(t.name).toBeLessThan(t.diameter);
      for (const w of [FLAT_WASHER, WIDE_WASHER, SPRING_WASHER])
        if (w.outside.of(t) !== null) {
          expect(w.bore.of(t)!).withContext(t.name).toBeGreaterThan(t.diameter);
          expect(w.outside.of(t)!).withContext(t.name).toBeGreaterThan(w.bore.of(t)!);
        }
      if (CAP_NUT.of(t) !== null) expect(CAP_NUT_DEPTH.of(t)!).toBeLessThan(CAP_NUT.of(t)!);
    }
  });
});

describe('the stack-up', () => {
  const layers = fc.array(
    fc.record({
      thickness: fc.double({ min: 0.0005, max: 0.02, noNaN: true }),
      plusMinus: fc.double({ min: 0, max: 0.0004, noNaN: true }),
      count: fc.integer({ min: 1, max: 12 }),
    }),
    { minLength: 1, maxLength: 6 },
  );
  const end: fc.Arbitrary<StackEnd> = fc.oneof(
    fc.record({
      type: fc.constant('nut' as const),
      height: fc.double({ min: 0.002, max: 0.01, noNaN: true }),
      pitchesBeyond: fc.integer({ min: 0, max: 4 }),
      mostBeyond: fc.double({ min: 0.004, max: 0.03, noNaN: true }),
    }),
    fc.record({
      type: fc.constant('blind' as const),
      threadDepth: fc.double({ min: 0.004, max: 0.02, noNaN: true }),
      engagementDiameters: fc.double({ min: 0.4, max: 2.5, noNaN: true }),
      clearOfBottom: fc.double({ min: 0, max: 0.001, noNaN: true }),
    }),
  );
  /** Every layer at either end of what it may be, one by one. */
  const corners = (list: readonly StackLayer[]): readonly number[] =>
    list.reduce<readonly number[]>(
      (sums, l) =>
        sums.flatMap((s) => [-1, 1].map((side) => s + (l.count ?? 1) * (l.thickness + side * (l.plusMinus ?? 0)))),
      [0],
    );
  it('says of every sold screw what every corner of the thicknesses says, and takes the shortest that suits', () => {
    holds(
      fc.property(fc.constantFrom(...THREADS), layers, end, (t, list, e) => {
        const sold = SOLD_LENGTHS[t.standard].map((length, i) => ({
          length,
          ...(i % 2 ? { threadLength: Math.min(length, 2 * t.diameter + 0.006) } : {}),
        }));
        const found = stackUp({ threadDiameter: t.diameter, pitch: t.pitch, layers: list, end: e, soldLengths: sold });
        const suits = sold.filter(({ length, threadLength = length }) =>
          corners(list).every((stack) => {
            const beyond = length - stack;
            const held =
              e.type === 'nut'
                ? beyond - e.height >= e.pitchesBeyond * t.pitch - 1e-9 && beyond - e.height <= e.mostBeyond! + 1e-9
                : beyond >= e.engagementDiameters * t.diameter - 1e-9 &&
                  beyond <= e.threadDepth - e.clearOfBottom + 1e-9;
            return held && length - threadLength <= stack + 1e-9;
          }),
        );
        expect(found.suitableLengths).toEqual(suits.map((s) => s.length));
        expect(found.chosenLength).toBe(suits[0]?.length ?? null);
        for (const j of found.judged) expect(j.faults.length === 0).toBe(found.suitableLengths.includes(j.length));
        if (found.chosenLength !== null) expect(found.chosenLength).toBeGreaterThanOrEqual(found.neededLength - 1e-9);
      }),
      { seed: 1802, numRuns: 300 },
    );
  });
});
