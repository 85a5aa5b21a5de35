import * as fc from 'fast-check';
import { DEGREE, METRIC, render, STANDARD_GRAVITY } from '../0-base';
import { familyById, handMargins } from '../2-frame';
import { ALL_DAY, evaluate, markFromEnd, readoutsOf } from '../3-balance';
import { trim } from '../3-balance/bench';
import type { BalanceContext } from '../3-balance';
import type { Wants } from '../model';
import { holds } from '../testing/holds';
import { THREE_LOADS } from '../testing/loads';
import { wants } from '../testing/rigs';
import { judged, workpiece } from './derive';
import { setUpsFor } from './setUpsFor';
import { sizesForAll } from './sizeForAll';
import { startRig } from './startRig';

const allKit = new Map(THREE_LOADS.flatMap((l) => [...l.kit]));
const loadouts = THREE_LOADS.map((l) => l.loadout);
const rigOf = (family: string, more: Partial<Wants> = {}, sizedFor = 0) => {
  const first = THREE_LOADS[sizedFor];
  const start = startRig(familyById(family)!, first!.loadout, allKit, wants);
  const rig = {
    id: 'r',
    design: start.design,
    wants: { ...wants, massAtMost: 20, calmAtLeast: 0, ...more },
    loadout: first!.loadout.id,
  };
  const contextOf = (n: number, values: Readonly<Record<string, number>>): BalanceContext => {
    const made = workpiece(rig, loadouts[n]!, allKit);
    if (!made.ok) throw new Error(made.reason);
    return judged(made.work, values, rig.wants).context;
  };
  return { start, rig, contextOf };
};

describe('each family brought to its own aim, for three loadouts', () => {
  for (const family of ['sliding-top-handle', 'boom', 'hand-frame', 'swivel-grip', 'plate-and-pillar']) {
    it(`${family}: set to where nothing tips fore and aft, within its own step, and not to where the wrist can just bear it`, () => {
      const { rig, contextOf } = rigOf(family, { wristAtMost: 6 });
      const rows = setUpsFor({ rig, loadouts, kit: allKit, setups: [], bin: [] }).filter((r) => r.state === null);
      rows.forEach((row) => {
        if (!row.values) return;
        const n = loadouts.findIndex((l) => l.id === row.loadout);
        const { evaluation, assembly } = contextOf(n, row.values);
        const slide = assembly.rig.adjusters.find((a) => a.kind !== 'count' && Math.abs(a.axis?.[0] ?? 0) > 0.9);
        if (!slide) return;
        const at = row.values[slide.id]!;
        const atEnd = at <= slide.range[0] + slide.step || at >= slide.range[1] - slide.step;
        const off = Math.abs(evaluation.fromSupport![0]);
        expect(atEnd || off <= slide.step)
          .withContext(`${row.name}: ${(off * 1000).toFixed(1)} mm off at ${(at * 1000).toFixed(1)} mm`)
          .toBeTrue();
      });
    });
  }
  it('a size that serves all is looked for by what is felt in the hand, not by what it can just bear', () => {
    const { rig, contextOf } = rigOf('sliding-top-handle', { wristAtMost: 6 });
    const found = sizesForAll({ rig, loadouts, kit: allKit, setups: [], bin: [] });
    const rows = setUpsFor({ rig, loadouts, kit: allKit, setups: [], bin: [] }).filter((r) => r.state === null);
    const calm = rows.filter((row) => {
      if (!row.values) return false;
      const { evaluation, hands } = contextOf(
        loadouts.findIndex((l) => l.id === row.loadout),
        row.values,
      );
      return (
        Math.hypot(...evaluation.fromSupport!.slice(0, 2)) * evaluation.mass * STANDARD_GRAVITY <=
        ALL_DAY * hands.wristStrength
      );
    });
    expect(found.served).toBe(calm.length);
  });
  it('a pole’s bush moved by what is said of it brings the rest that is wanted', () => {
    const { start, rig, contextOf } = rigOf('helmet-pole', { droop: 6 * DEGREE });
    if (start.design.kind !== 'family') throw new Error('a family was asked for');
    const context = contextOf(0, start.values);
    const said = readoutsOf(context).find((r) => r.id === 'pole-bush')!;
    expect(render(said.lines[0]!, METRIC)).toContain('nearer the');
    const [x, , z] = context.evaluation.pole!.pole.fromHinge;
    const by = x + z * Math.tan(6 * DEGREE);
    const at = start.design.dimensions['hingeFromTail']!.value + by;
    const design = { ...start.design, dimensions: { ...start.design.dimensions, hingeFromTail: { value: at } } };
    const made = workpiece({ ...rig, design }, loadouts[0]!, allKit);
    if (!made.ok) return fail(made.reason);
    const then = judged(made.work, start.values, rig.wants).context.evaluation.pole!.rest.droop!;
    // The bush itself moves along and draws it back a little.
    expect(Math.abs(then - 6 * DEGREE)).toBeLessThan(1 * DEGREE);
  });
  it('where all of it cannot be had, as little tips as can be: no washer is saved at the wrist’s cost', () => {
    // Sized for a telephone, it cannot be brought level with the long lens on.
    const { rig, contextOf } = rigOf('boom', { wristAtMost: 6 });
    const made = workpiece(rig, loadouts[2]!, allKit);
    if (!made.ok) return fail(made.reason);
    const found = trim(made.work.assembly, {}, rig.wants);
    if (found.kind !== 'solved') return fail(found.kind);
    expect(found.unmet).toContain('wristFelt');
    const tips = (values: Readonly<Record<string, number>>): number =>
      Math.abs(contextOf(2, values).evaluation.held[0]!.hands[0]!.noseDown);
    const full = Object.fromEntries(
      made.work.rig.adjusters.map((a) => [a.id, a.kind === 'count' ? a.range[1] : found.values[a.id]!]),
    );
    expect(tips(found.values)).toBeLessThan(tips(full) + 0.2);
  });
  it('a pole comes to rest with the droop that is wanted, whichever that is', () => {
    holds(
      fc.property(fc.double({ min: -15, max: 15, noNaN: true }), (degrees) => {
        const { rig, start, contextOf } = rigOf('helmet-pole', { droop: degrees * DEGREE });
        const made = workpiece(rig, loadouts[0]!, allKit);
        if (!made.ok) return false;
        const found = trim(made.work.assembly, start.values, rig.wants);
        if (found.kind !== 'solved' || found.unmet.length > 0) return true;
        const { evaluation } = contextOf(0, found.values);
        return Math.abs(evaluation.pole!.rest.droop! - degrees * DEGREE) <= 4 * DEGREE + 1e-9;
      }),
      { seed: 41, numRuns: 20 },
    );
  });
  it('the curve of a pole’s droop over its washers is what the pole does with that many', () => {
    const { start, contextOf } = rigOf('helmet-pole');
    const context = contextOf(0, start.values);
    const curve = readoutsOf(context).find((r) => r.curve)!.curve!;
    for (const { x, y } of curve.points) {
      const { evaluation } = contextOf(0, { ...start.values, 'tail-count': x });
      expect(y).withContext(`${x} washers`).toBeCloseTo(evaluation.pole!.rest.droop!, 9);
    }
    expect(curve.points.some((p) => p.x === curve.here)).toBeTrue();
  });
  it('a boom’s mark is told from its tube’s rear end, and moves with the mark', () => {
    const { start, contextOf } = rigOf('boom');
    const { assembly } = contextOf(0, start.values);
    const mark = assembly.rig.adjusters.find((a) => a.kind === 'mark')!;
    const at = (value: number) => markFromEnd(assembly.rig, mark, { ...start.values, [mark.id]: value })!;
    expect(at(0.02).along - at(-0.03).along).toBeCloseTo(0.05, 12);
    expect(at(0).tube).toContain('tube');
    expect(at(0).along).toBeGreaterThan(0);
  });
  it('hands are told by how far they stay out of each lens’s picture', () => {
    const { start, contextOf } = rigOf('hand-frame');
    const context = contextOf(0, start.values);
    const hands = context.assembly.rig.contacts.filter((c) => c.kind === 'hand').length;
    const margins = handMargins({ ...context, rig: context.assembly.rig });
    expect(margins.length).toBe(hands * context.cones.length);
    for (const { clear } of margins) if (clear) expect(Math.sign(clear.distance)).toBe(Math.sign(clear.angle));
  });
  it('tells a held rig off its mark what that costs, and offers the move that ends it', () => {
    const { rig } = rigOf('boom', { wristAtMost: 6 }, 2);
    const made = workpiece(rig, loadouts[2]!, allKit);
    if (!made.ok) return fail(made.reason);
    const set = trim(made.work.assembly, {}, rig.wants);
    if (set.kind !== 'solved') return fail(set.kind);
    const mark = made.work.rig.adjusters.find((a) => a.kind === 'mark')!;
    const at = set.values[mark.id]!;
    const off = { ...set.values, [mark.id]: at > 0 ? at - 0.06 : at + 0.06 };
    const { findings } = judged(made.work, off, rig.wants);
    const found = findings.find((f) => f.code === 'offTheMark')!;
    expect(render(found.title, METRIC)).toMatch(/(ahead of|behind) the hand: [\d.]+ N·m in the wrist/);
    const [change] = found.fixes[0]!.changes;
    if (change?.kind !== 'adjuster') return fail('a move was expected');
    const after = evaluate(made.work.assembly, { ...off, [change.id]: change.value });
    expect(Math.abs(after.fromSupport![0])).toBeLessThan(mark.step);
  });
  it('tells a rig that is top-heavy in the hand how hard the wrist must hold, and by what below it is cured', () => {
    const { start, rig } = rigOf('self-filming-grip');
    const made = workpiece(rig, loadouts[0]!, allKit);
    if (!made.ok) return fail(made.reason);
    const { evaluation, findings } = judged(made.work, start.values, rig.wants);
    const found = findings.find((f) => f.code === 'topHeavyInHand');
    const asks = evaluation.mass * STANDARD_GRAVITY * evaluation.fromSupport![2];
    expect(found !== undefined).toBe(asks > 0.5);
    if (found) expect(render(found.toDo, METRIC)).toMatch(/ g some|[Ww]ashers/);
  });
});
