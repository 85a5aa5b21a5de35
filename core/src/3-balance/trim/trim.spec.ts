import * as fc from 'fast-check';
import type { Rig } from '../../model';
import { assemble, USUAL_HANDS, type Assembly } from '../../2-frame';
import { bentBar, bentBarAssembly, kit, loadout, plainRig, wants } from '../../testing/rigs';
import { holds } from '../../testing/holds';
import { placeLoad } from '../../1-load';
import { evaluate, readings, toStep, trim } from '..';

/** A bar with room for few washers, so that trying everything the slow way stays quick. */
function smallBar(room: number, pivotHeight = 0): { assembly: Assembly; values: Record<string, number> } {
  const load = placeLoad(loadout, kit);
  const sized = bentBar.size(load, USUAL_HANDS);
  const rig = bentBar.build({ ...sized, dimensions: { ...sized.dimensions, stackRoom: room } });
  return { assembly: assemble(rig, load), values: { 'pivot-height': pivotHeight } };
}

describe('trim', () => {
  it('meets the wants, as evaluating its answer shows', () => {
    const assembly = bentBarAssembly();
    const found = trim(assembly, {}, wants);
    if (found.kind !== 'solved') return fail(found.kind);
    const seen = readings(evaluate(assembly, found.values));
    expect(Math.abs(seen.noseDown!)).toBeLessThanOrEqual(wants.levelWithin);
    expect(Math.abs(seen.leftSideDown!)).toBeLessThanOrEqual(wants.levelWithin);
    expect(seen.dropPitch!).toBeGreaterThanOrEqual(wants.dropTime[0]);
    expect(seen.dropPitch!).toBeLessThanOrEqual(wants.dropTime[1]);
    expect(evaluate(assembly, found.values).addedMass).toBeCloseTo(found.addedMass, 12);
  });

  it('is never beaten by trying everything through evaluate', () => {
    holds(fc.property(fc.double({ min: -0.005, max: 0.006, noNaN: true }), fc.double({ min: 1.2, max: 3, noNaN: true }), (pivotHeight, middle) => {
      const { assembly, values } = smallBar(0.03, pivotHeight);
      const want = { levelWithin: wants.levelWithin, dropTime: [middle * 0.8, middle * 1.2] as const };
      const quick = trim(assembly, values, want);
      const slow = slowTrim(assembly, values, want);
      return quick.kind === 'solved' ? slow !== null && Math.abs(quick.addedMass - slow) < 1e-9 : slow === null;
    }), { seed: 31, numRuns: 4 });
  });

  it('says which limit is in the way, and changes nothing then', () => {
    const { assembly } = smallBar(0.012, -0.006);
    const heavy = trim(assembly, { 'pivot-height': -0.006 }, wants);
    expect(heavy.kind === 'noSolution' && heavy.obstacle).toBe('topHeavy');
    const far = trim(bentBarAssembly(), {}, { ...wants, dropTime: [0.05, 0.06] });
    expect(far.kind === 'noSolution' && far.obstacle).toBe('dropTooLong');
    const touchy = trim(bentBarAssembly(), {}, { levelWithin: 1e-7, dropTime: [1.8, 2.4] });
    expect(touchy.kind === 'noSolution' && touchy.obstacle).toBe('slideStep');
  });

  it('names the slide that has too little travel', () => {
    const assembly = bentBarAssembly();
    const short: Rig = { ...assembly.rig, adjusters: assembly.rig.adjusters.map((a) => (a.id === 'stage-sideways' ? { ...a, range: [0.004, 0.005] as const, value: 0.004 } : a)) };
    const found = trim({ ...assembly, rig: short }, {}, wants);
    expect(found.kind === 'noSolution' && [found.obstacle, found.adjuster]).toEqual(['slideTravel', 'stage-sideways']);
  });

  it('does not start what it cannot finish, and needs a joint to hang on', () => {
    const assembly = bentBarAssembly();
    const wide = { ...assembly, rig: { ...assembly.rig, adjusters: assembly.rig.adjusters.map((a) => (a.kind === 'count' ? { ...a, range: [0, 200] as const } : a)) } };
    expect(trim(wide, {}, wants).kind).toBe('tooLarge');
    expect(trim(assemble({ ...plainRig, pivots: [] }, null), {}, wants).kind).toBe('notHung');
  });

  it('rounds to what the hand can set', () => {
    expect(toStep({ range: [-0.01, 0.01], step: 0.0005 }, 0.00123)).toBe(0.001);
    expect(toStep({ range: [-0.01, 0.01], step: 0.0005 }, 0.4)).toBe(0.01);
  });
});

/** The obvious way: every count, and every step of both slides near the level place, through the full evaluation. */
function slowTrim(assembly: Assembly, values: Record<string, number>, want: { levelWithin: number; dropTime: readonly [number, number] }): number | null {
  const counts = assembly.rig.adjusters.filter((a) => a.kind === 'count');
  let best: number | null = null;
  const visit = (i: number, set: Record<string, number>): void => {
    if (i < counts.length) {
      for (let n = counts[i]!.range[0]; n <= counts[i]!.range[1]; n++) visit(i + 1, { ...set, [counts[i]!.id]: n });
      return;
    }
    const added = evaluate(assembly, set).addedMass;
    if (best !== null && added >= best - 1e-12) return;
    const settled = { ...set };
    for (const [id, axis] of [['stage-fore-aft', 0], ['stage-sideways', 1]] as const) {
      const adjuster = assembly.rig.adjusters.find((a) => a.id === id)!;
      const offset = (s: number): number => evaluate(assembly, { ...settled, [id]: s }).hung!.hang.fromPivot[axis];
      const [low, high] = [offset(adjuster.range[0]), offset(adjuster.range[1])];
      if (low * high > 0) return;
      settled[id] = toStep(adjuster, adjuster.range[0] + ((adjuster.range[1] - adjuster.range[0]) * low) / (low - high));
    }
    const { hung } = evaluate(assembly, settled);
    const rest = hung!.hang.rest;
    const { drop } = hung!.pitch;
    // Trim reckons without the bearing's guessed friction, so this compares like with like.
    const free = rest && drop.kind === 'falls' ? hung!.pitch : null;
    if (!free || Math.abs(rest!.noseDown) > want.levelWithin || Math.abs(rest!.leftSideDown) > want.levelWithin) return;
    const time = 1.8540746773013719 * Math.sqrt(free.inertia / (hung!.sums.mass * 9.80665 * free.distance));
    if (time >= want.dropTime[0] && time <= want.dropTime[1]) best = added;
  };
  visit(0, values);
  return best;
}
