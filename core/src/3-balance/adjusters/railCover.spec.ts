import * as fc from 'fast-check';
import { evaluate, railCover, type RailInput } from '..';
import { coverOnRig } from '../../measuring';
import { figure, METRIC, showFigure, type Vec3 } from '../../0-base';
import { sumsOf, type Sums } from '../../1-load';
import { bentBarAssembly, kit, loadout } from '../../testing/rigs';
import { holds } from '../../testing/holds';

const point = (mass: number, centre: Vec3): Sums =>
  sumsOf([
    {
      mass,
      centre,
      inertia: [
        [0, 0, 0],
        [0, 0, 0],
        [0, 0, 0],
      ],
    },
  ]);
const base: RailInput = {
  pivot: [0, 0, 0],
  base: point(1, [0.01, 0, -0.2]),
  direction: [1, 0, 0],
  range: [-0.05, 0.05],
  leanAllowed: null,
  loadouts: [{ id: 'a', onRail: point(0.5, [0.03, 0, 0.05]) }],
};

describe('many loadouts on one rail', () => {
  it('by hand: moments about the pivot sum to zero', () => {
    const cover = railCover(base);
    expect(cover.places[0]!.position).toBeCloseTo(-(0.01 + 0.015) / 0.5, 12);
    expect(cover.places[0]!.bottomHeaviness).toBeCloseTo((0.2 - 0.025) / 1.5, 12);
    expect([cover.places[0]!.withinRange, cover.travelNeeded]).toEqual([true, 0]);
  });
  it('out of travel, on an upright rail, or with no load: said, not guessed', () => {
    expect(railCover({ ...base, range: [0, 0.05] }).allWithinRange).toBeFalse();
    expect(railCover({ ...base, direction: [0, 0, 1] }).places[0]!.position).toBeNull();
    expect(railCover({ ...base, loadouts: [] })).toEqual({
      places: [],
      from: null,
      to: null,
      travelNeeded: null,
      allWithinRange: false,
      fixed: null,
    });
  });
  it('hangs within the lean allowed at both ends of its run, and nowhere when top-heavy', () => {
    const lean = 0.05;
    const cover = railCover({ ...base, leanAllowed: lean });
    const [from, to] = cover.places[0]!.withinLean!;
    const half = ((1.5 / 0.5) * (0.2 - 0.025) * Math.tan(lean)) / 1.5;
    expect(to - from).toBeCloseTo(2 * half, 9);
    expect(cover.fixed).toEqual([from, to]);
    expect(railCover({ ...base, leanAllowed: lean, base: point(1, [0, 0, 0.2]) }).fixed).toBeNull();
  });
  it('shifted or turned about the plumb line, asks the same of the rail', () => {
    const by = fc.double({ min: -0.5, max: 0.5, noNaN: true });
    holds(
      fc.property(by, by, fc.double({ min: -3, max: 3, noNaN: true }), (x, z, angle) => {
        const [c, s] = [Math.cos(angle), Math.sin(angle)];
        const at = (p: Vec3): Vec3 => [c * p[0] - s * p[1] + x, s * p[0] + c * p[1], p[2] + z];
        const moved = railCover({
          ...base,
          pivot: at([0, 0, 0]),
          direction: [c, s, 0],
          base: point(1, at([0.01, 0, -0.2])),
          loadouts: [{ id: 'a', onRail: point(0.5, at([0.03, 0, 0.05])) }],
        });
        return Math.abs(moved.places[0]!.position! - railCover(base).places[0]!.position!) < 1e-9;
      }),
      { seed: 307 },
    );
  });
});

describe('the loadouts at hand on the rig at hand', () => {
  it('put where the cover says, the rig hangs level that way, others as set', () => {
    const assembly = bentBarAssembly();
    const values = { 'stage-sideways': 0.002, 'pivot-height': 0.003 };
    const bare = { ...loadout, id: 'bare', items: [loadout.items[0]!] };
    const slides = coverOnRig(assembly, values, [loadout, bare], kit, 0.01);
    expect(slides.map((s) => s.adjuster.id)).toEqual(['stage-fore-aft', 'stage-sideways']);
    const position = slides[0]!.cover.places[0]!.position!;
    const { hung } = evaluate(assembly, { ...values, 'stage-fore-aft': position });
    // The stage may not reach it; where it does, the mass centre lies under the pivot.
    if (slides[0]!.cover.places[0]!.withinRange)
      expect(Math.abs(hung!.massCentre[0] - hung!.pivotAt[0])).toBeLessThan(1e-9);
    expect(slides[0]!.cover.travelNeeded).toBeGreaterThan(0);
    expect(showFigure(figure('length', slides[0]!.cover.travelNeeded!), METRIC)).toContain('mm');
  });
  it('has none for a rig without a mount that slides', () => {
    expect(coverOnRig({ ...bentBarAssembly(), mount: null }, {}, [loadout], kit, 0.01)).toEqual([]);
  });
});
