import * as fc from 'fast-check';
import {
  barGap,
  breakDown,
  designRig,
  FAMILIES,
  fitsBag,
  pointGap,
  reachFromAxis,
  solidGap,
  sweep,
  type Solid3,
} from '..';
import { IDENTITY, rotationAbout, type Vec3 } from '../../0-base';

const box = (at: Vec3, size: Vec3, rotation = IDENTITY): Solid3 => ({ shape: { kind: 'box', size }, at, rotation });
const tube = (at: Vec3, outerRadius: number, length: number, rotation = IDENTITY): Solid3 => ({
  shape: { kind: 'tube', outerRadius, innerRadius: 0, length },
  at,
  rotation,
});

describe('room between solids', () => {
  it('is measured to faces, edges and corners of a box', () => {
    const b = box([0, 0, 0], [2, 2, 2]);
    expect(pointGap([3, 0, 0], b)).toBeCloseTo(2, 12);
    expect(pointGap([2, 2, 0], b)).toBeCloseTo(Math.SQRT2, 12);
    expect(pointGap([2, 2, 2], b)).toBeCloseTo(Math.sqrt(3), 12);
    expect(pointGap([0.5, 0.2, 0], b)).toBe(0);
  });
  it('is measured to the side and the rim of a tube', () => {
    const t = tube([0, 0, 0], 1, 2);
    expect(pointGap([3, 0, 0], t)).toBeCloseTo(2, 12);
    expect(pointGap([2, 0, 2], t)).toBeCloseTo(Math.SQRT2, 12);
  });
  it('from a bar agrees with dense points along it, whatever way both are turned', () => {
    expect(() =>
      fc.assert(
        fc.property(
          fc.double({ min: -3, max: 3, noNaN: true }),
          fc.tuple(fc.double({ min: -1, max: 1, noNaN: true }), fc.double({ min: -1, max: 1, noNaN: true })),
          (angle, [y, z]) => {
            const solid = box([0, 0, 0], [0.3, 0.2, 0.1], rotationAbout([0, 0, 1], angle));
            const bar = { from: [-0.5, y, z] as Vec3, to: [0.6, y * 0.5, z + 0.2] as Vec3, radius: 0.01 };
            const dense =
              Math.min(
                ...Array.from({ length: 4001 }, (_, i) => i / 4000).map((t) =>
                  pointGap([-0.5 + 1.1 * t, y - 0.5 * y * t, z + 0.2 * t], solid),
                ),
              ) - 0.01;
            const exact = barGap(bar, solid);
            return exact <= dense + 1e-9 && dense - exact < 2e-4;
          },
        ),
        { numRuns: 100, seed: 7 },
      ),
    ).not.toThrow();
  });
  it('of two solids is the same from either side, and zero where they meet', () => {
    const [a, b] = [box([0, 0, 0], [1, 1, 1]), tube([2, 0.3, 0], 0.5, 1)];
    expect(solidGap(a, b)).toBeCloseTo(1, 3);
    expect(solidGap(b, a)).toBeCloseTo(solidGap(a, b), 3);
    expect(solidGap(a, box([0.9, 0, 0], [1, 1, 1]))).toBeLessThan(1e-5);
  });
  it('sweeps a lever into a post at the angle geometry says', () => {
    // A thin lever a metre long turned from +x meets a bar at 60° when its own edge does.
    const result = sweep({
      axis: { point: [0, 0, 0], direction: [0, 0, 1] },
      travel: [0, Math.PI / 2],
      turning: [box([0.5, 0, 0], [1, 0.02, 0.02])],
      bars: [{ from: [0.25, 0.433, -1], to: [0.25, 0.433, 1], radius: 0.01 }],
    });
    expect(result.bars[0]!.firstTouchAngle!).toBeCloseTo(Math.PI / 3 - Math.asin(0.02 / 0.5), 3);
    expect(result.sweptRadius).toBeCloseTo(Math.hypot(1, 0.01, 0), 4);
    expect(reachFromAxis(tube([1, 0, 0], 0.1, 0.2), { point: [0, 0, 0], direction: [0, 0, 1] })).toBeCloseTo(1.1, 9);
  });
});

describe('taken apart', () => {
  it('every rig loses nothing: its pieces weigh what it does', () => {
    for (const family of FAMILIES) {
      const made = designRig({ kind: 'family', family: family.id, dimensions: {}, choices: {}, edits: [] });
      if (!made.ok) return fail(made.reason);
      const { pieces, opens, setUpMinutes } = breakDown(made.rig);
      const ids = pieces.flatMap((p) => p.ids);
      expect(new Set(ids).size).withContext(family.id).toBe(ids.length);
      // What goes in a pocket need not come apart.
      if (pieces.some((p) => p.box[0] > 0.25))
        expect(opens.length + made.rig.pivots.length)
          .withContext(family.id)
          .toBeGreaterThan(0);
      expect(setUpMinutes).toBeGreaterThan(3);
    }
  });
  it('glued joints stay together and dry ones open', () => {
    const made = designRig({ kind: 'family', family: 'tube-frame', dimensions: {}, choices: {}, edits: [] });
    if (!made.ok) return fail(made.reason);
    const side = breakDown(made.rig).pieces.find((p) => p.ids.includes('leg-left'))!;
    expect(side.ids).toContain('foot-left');
    expect(side.ids).not.toContain('leg-right');
  });
  it('a slender piece may lie across the bag, a wide one not', () => {
    const piece = (box: [number, number, number]) => ({ ids: ['a'], name: 'a', mass: 1, box });
    expect(fitsBag([piece([0.55, 0.03, 0.03])], [0.5, 0.32, 0.2]).fits).toBeTrue();
    expect(fitsBag([piece([0.6, 0.03, 0.03])], [0.5, 0.32, 0.2]).fits).toBeFalse();
    expect(fitsBag([piece([0.55, 0.25, 0.03])], [0.5, 0.32, 0.2]).fits).toBeFalse();
  });
});
