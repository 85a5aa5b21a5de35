import { assemble, FAMILIES, USUAL_HANDS } from '../2-frame';
import { buildOrder, buildSteps, isDone, ticked, type BuildStep } from '.';

const rig = FAMILIES.find((f) => f.id === 'hand-frame')!.build({
  ...FAMILIES.find((f) => f.id === 'hand-frame')!.size(null, USUAL_HANDS),
});
const ordered = buildSteps(rig, {}, buildOrder(assemble(rig, null), {}));
const steps: readonly BuildStep[] = ordered.kind === 'ordered' ? ordered.steps : [];

describe('a step ticked off', () => {
  it('is told from others, and taken back', () => {
    const [first, second] = steps;
    const done = ticked({}, first!, true);
    expect([isDone(done, first!), isDone(done, second!)]).toEqual([true, false]);
    expect(ticked(done, first!, false)).toEqual({});
  });
  it('stays so where its fitting was ticked as one step before, until it is taken back', () => {
    const tee = steps.filter((s) => s.joins?.connections.some((c) => c.pieces[1] === 'joint-bottom'));
    expect(tee.length).toBeGreaterThan(1);
    const before = { 'join:joint-bottom': true } as const;
    const alone = tee.filter((s) => s.joins!.connections.length === 1);
    expect(alone.every((s) => isDone(before, s))).toBeTrue();
    expect(steps.filter((s) => !tee.includes(s)).some((s) => isDone(before, s))).toBeFalse();
    expect(ticked(before, alone[0]!, false)).toEqual({});
  });
});
