import * as fc from 'fast-check';
import { holds } from '../../testing/holds';
import { boltUp, type Bolt, type BoltEnd } from './boltUp';
import { CAP_NUT_DEPTH, NUT, TAPPING_HOLE } from './sizes';
import { threadArea, threadOf, THREADS } from './thread';

const bolt = (more: Partial<Bolt> = {}): Bolt => ({
  thread: threadOf('M6'),
  layers: [
    { name: 'bar', thickness: 0.005 },
    { name: 'plate', thickness: 0.009 },
  ],
  washers: { head: 'flat', end: 'flat' },
  end: { kind: 'nut' },
  ...more,
});
const ends: fc.Arbitrary<BoltEnd> = fc.oneof(
  fc.constantFrom<BoltEnd>({ kind: 'nut' }, { kind: 'thin' }, { kind: 'lock' }),
  fc.record({
    kind: fc.constant('tapped' as const),
    depth: fc.double({ min: 0.004, max: 0.03, noNaN: true }),
    in: fc.constantFrom('steel' as const, 'aluminium' as const, 'plastic' as const),
  }),
  fc.record({ kind: fc.constant('camera' as const), depth: fc.double({ min: 0.005, max: 0.008, noNaN: true }) }),
);

describe('a bolt with all that it brings', () => {
  it('stands as it is put together: head, washer, stack, washer, nut, and two turns beyond', () => {
    const { fit, pieces, packed } = boltUp(bolt());
    expect(pieces.map((p) => p.item)).toEqual([
      'M6 × 25 hexagon screw, threaded all along',
      'M6 flat washer',
      'M6 flat washer',
      'M6 nut',
    ]);
    expect(packed).toBe(0);
    // 5 + 9 and two washers of 1.6, a nut of 5.2, two turns of 1.
    expect(fit.neededLength).toBeCloseTo(0.0244, 12);
    expect(fit.chosenLength).toBe(0.025);
    [-0.0016, -0.0016, 0.014, 0.0156].forEach((at, i) => expect(pieces[i]!.fastener.at).toBeCloseTo(at, 12));
  });
  it('is asked for in its own units', () => {
    const inch = boltUp(bolt({ thread: threadOf('1/4-20') }));
    expect(inch.pieces[0]!.item).toBe('1/4-20 × 1 in hexagon screw, threaded all along');
  });
  it('puts a spring washer under its nut, or under its head where it is screwed in', () => {
    const { pieces } = boltUp(bolt({ lockWasher: 'spring' }));
    // 1.6 of washer under the head, 14 of stack, 1.6 of washer, 1.6 of spring washer, then the nut.
    expect(pieces.map((p) => p.role)).toEqual(['screw', 'washer-head', 'washer-end', 'washer-lock', 'nut']);
    expect(pieces[3]!.item).toBe('M6 spring washer');
    expect(pieces[3]!.fastener.at).toBeCloseTo(0.0156, 12);
    expect(pieces[4]!.fastener.at).toBeCloseTo(0.0172, 12);
    const into = boltUp(bolt({ lockWasher: 'spring', end: { kind: 'tapped', depth: 0.02, in: 'steel' }, washers: {} }));
    expect(into.pieces.map((p) => [p.role, p.fastener.at])).toEqual([
      ['screw', -0.0016],
      ['washer-lock', -0.0016],
    ]);
  });
  it('goes into a cap nut as far as its thread holds and short of its bottom, on a screw and on a rod', () => {
    holds(
      fc.property(
        fc.constantFrom('M5', 'M6', 'M8', 'M10'),
        fc.double({ min: 0.002, max: 0.2, noNaN: true }),
        (name, stack) => {
          const thread = threadOf(name);
          const made = boltUp(bolt({ thread, layers: [{ thickness: stack }], washers: {}, end: { kind: 'cap' } }));
          const screw = made.pieces.find((p) => p.role === 'screw')!.fastener;
          if (!('length' in screw)) return fail('a screw has a length');
          const into = screw.at + screw.length - stack;
          expect(into).toBeGreaterThanOrEqual(0.8 * thread.diameter - 1e-9);
          expect(into).toBeLessThanOrEqual(CAP_NUT_DEPTH.of(thread)! - thread.pitch + 0.001 + 1e-9);
        },
      ),
      { seed: 1803, numRuns: 200 },
    );
  });
  it('weighs a cap nut as its hexagon round the thread and half a round over it', () => {
    const thread = threadOf('M8');
    const nut = boltUp(bolt({ thread, end: { kind: 'cap' } })).pieces.find((p) => p.role === 'nut')!;
    const hexagon = (Math.sqrt(3) / 2) * 0.013 ** 2;
    const volume = (hexagon - threadArea(thread)) * 0.011 + (Math.PI / 6) * 0.013 ** 2 * 0.004;
    expect(nut.mass).toBeCloseTo(7850 * volume, 9);
  });
  it('in a fine thread has the hexagons of the coarse one, its own pitch beyond the nut and its own tapping hole', () => {
    const fine = boltUp(bolt({ thread: threadOf('M8×1'), washers: {} }));
    const coarse = boltUp(bolt({ thread: threadOf('M8'), washers: {} }));
    expect(coarse.fit.neededLength - fine.fit.neededLength).toBeCloseTo(2 * 0.00025, 12);
    expect(TAPPING_HOLE.of({ name: 'M8×1' })).toBe(0.007);
    expect(TAPPING_HOLE.of({ name: '1/4-28' })).toBe(0.0054);
    expect(fine.pieces.at(-1)!.item).toBe('M8×1 nut');
  });
  it('takes up with washers under its head what no sold length is short enough for', () => {
    const shallow = bolt({
      thread: threadOf('1/4-20'),
      layers: [{ name: 'plate', thickness: 0.003 }],
      washers: {},
      end: { kind: 'camera', depth: 0.0055 },
    });
    const { fit, packed, pieces } = boltUp(shallow);
    expect(packed).toBeGreaterThan(0);
    expect(pieces.filter((p) => p.role.startsWith('washer-packing')).length).toBe(packed);
    expect(fit.engagement!).toBeGreaterThanOrEqual(0.0045 - 1e-9);
    expect(fit.clearOfBottom!).toBeGreaterThanOrEqual(0.0005 - 1e-9);
  });
  it('says so where none suits, and of a thread that a part has no size for', () => {
    const none = boltUp(bolt({ layers: [{ thickness: 0.2 }], end: { kind: 'camera', depth: 0.0055 } }));
    expect(none.pieces).toEqual([]);
    expect(none.length).toBeNull();
    expect(none.fit.judged.every((j) => j.faults.includes('short'))).toBeTrue();
    expect(() => boltUp(bolt({ thread: threadOf('5/16-18'), washers: { head: 'wide' } }))).toThrowError(RangeError);
  });
  it('is a rod with a nut for a head where no screw is sold so long: two turns beyond each', () => {
    const { pieces, length, engagement } = boltUp(bolt({ layers: [{ thickness: 0.2 }] }));
    expect(pieces.map((p) => p.role)).toEqual(['screw', 'nut-head', 'washer-head', 'washer-end', 'nut']);
    const [rod, head] = pieces;
    const nut = NUT.of(threadOf('M6'))!;
    // 200, two washers of 1.6, two nuts of 5.2 and twice two turns of 1: 217.6, to the next whole millimetre.
    expect(length).toBeCloseTo(0.218, 9);
    expect(engagement).toBe(nut);
    expect(head!.fastener.at).toBeCloseTo(-0.0016 - nut, 12);
    expect(rod!.fastener.at).toBeCloseTo(-0.0016 - nut - 0.002, 12);
  });
  it('is sawn from the next longer where none fits a blind thread, to the middle of what is allowed', () => {
    const { pieces, length, engagement } = boltUp({
      thread: threadOf('1/4-20'),
      layers: [{ thickness: 0.0103 }],
      end: { kind: 'camera', depth: 0.0055 },
    });
    expect(pieces[0]!.item).toContain('5/8 in');
    expect(pieces[0]!.sawn).toBeTrue();
    // Between 4.5 and 5 mm in the camera, half a millimetre off its bottom.
    expect(engagement).toBeGreaterThanOrEqual(0.0045);
    expect(engagement).toBeLessThanOrEqual(0.005);
    expect(length! - engagement!).toBeCloseTo(0.0103, 12);
  });
  it('reaches with the most washers and holds with none, by the thickness that varies', () => {
    const { fit, pieces, length } = boltUp(
      bolt({ layers: [{ thickness: 0.01 }, { thickness: 0.006, plusMinus: 0.006 }], stands: 0.01 }),
    );
    expect(length!).toBeGreaterThanOrEqual(fit.stackMost + NUT.of(threadOf('M6'))! + 2 * 0.001 - 1e-9);
    // It is drawn bare.
    expect(pieces.find((p) => p.role === 'nut')!.fastener.at).toBeCloseTo(0.01 + 0.0016, 12);
  });
  it('holds at every thread, stack and end: each piece touches the next, the thread reaches, and it weighs what its parts weigh', () => {
    holds(
      fc.property(
        fc.constantFrom(...THREADS),
        fc.array(fc.double({ min: 0.001, max: 0.02, noNaN: true }), { minLength: 1, maxLength: 5 }),
        ends,
        fc.boolean(),
        fc.boolean(),
        (thread, thicknesses, end, washed, full) => {
          const { pieces, packed, engagement } = boltUp({
            thread,
            layers: thicknesses.map((thickness) => ({ thickness })),
            washers: washed ? { head: 'flat', end: 'flat' } : {},
            end,
            full,
          });
          if (pieces.length === 0) return;
          const through = thicknesses.reduce((s, x) => s + x, 0);
          const [screw] = pieces;
          if (screw!.fastener.type === 'threadedRod') return;
          if (screw!.fastener.type !== 'hexHeadScrew') throw new Error('the screw comes first');
          const tip = screw!.fastener.at + screw!.fastener.length;
          const at = (role: string): number | undefined => pieces.find((p) => p.role === role)?.fastener.at;
          const thick = (role: string): number => {
            const all = pieces.filter((p) => p.role.startsWith(role)).map((p) => p.fastener);
            return all.reduce((sum, f) => sum + (f.type === 'washer' ? f.thickness * f.count : 0), 0);
          };
          // Head on packing on washer on the first layer; the last layer on washer on nut.
          expect(screw!.fastener.at + thick('washer-packing') + thick('washer-head')).toBeCloseTo(0, 12);
          expect(at('washer-end') ?? through).toBeCloseTo(through, 12);
          if (at('nut') !== undefined) {
            expect(at('nut')!).toBeCloseTo(through + thick('washer-end'), 12);
            const nut = pieces.find((p) => p.role === 'nut')!.fastener;
            if (nut.type === 'hexNut') expect(tip - at('nut')! - nut.height).toBeGreaterThan(2 * thread.pitch - 1e-9);
          } else expect(tip - through - thick('washer-end')).toBeCloseTo(engagement!, 9);
          // Plain shank stays within what it passes.
          expect(screw!.fastener.length - screw!.fastener.threadLength).toBeLessThanOrEqual(
            through + packed * 0.003 + thick('washer-head') + thick('washer-end') + 1e-9,
          );
          if (full) expect(screw!.fastener.threadLength).toBe(screw!.fastener.length);
          for (const p of pieces) {
            expect(p.mass).toBeGreaterThan(0);
            expect(p.spread).toBeLessThan(0.05 * p.mass);
          }
        },
      ),
      { seed: 1803, numRuns: 300 },
    );
  });
  it('changes with its thread in everything that follows from it', () => {
    const small = boltUp(bolt());
    const large = boltUp(bolt({ thread: threadOf('M8') }));
    expect(small.pieces.map((p) => p.role)).toEqual(large.pieces.map((p) => p.role));
    for (const [i, p] of large.pieces.entries()) expect(p.mass).toBeGreaterThan(small.pieces[i]!.mass);
    expect(large.fit.neededLength - small.fit.neededLength).toBeCloseTo(
      NUT.of(threadOf('M8'))! - NUT.of(threadOf('M6'))! + 2 * 0.00025,
      9,
    );
  });
});
