import { atHand, keptAs, washerName, type KitItem, type RigDocument, type SetUp } from '@tide-pebble/core';
import { firstValueFrom, throwError } from 'rxjs';
import { benchAt, camera, loadout } from '../testing/bench';
import { store } from '../testing/store';
import { until } from '../testing/until';

const limpet = benchAt({}).rig;
const whelk: RigDocument = { ...limpet, id: 'r2', name: 'Whelk' };
const one = { rig: [limpet], kit: [camera], loadout: [loadout] };
const setup = (id: string, rig: string, values: SetUp['values'], of = 'ebb'): SetUp => ({
  id,
  rig,
  loadout: of,
  values,
});

describe('the workspace', () => {
  it('has the first rig on the bench until one is chosen, and keeps the choice', async () => {
    const { workspace, bench } = await store({ ...one, rig: [limpet, whelk] });
    expect((await bench()).rig.name).toBe('Limpet');
    workspace.choose('r2');
    expect((await bench()).rig.name).toBe('Whelk');
    const again = await store({ ...one, rig: [limpet, whelk] });
    expect((await again.bench()).rig.name).toBe('Whelk');
  });
  it('without a rig has nothing on the bench, and one of a family it does not know is told', async () => {
    const { workspace } = await store({ rig: [] });
    expect(await firstValueFrom(workspace.bench$)).toEqual({ kind: 'none' });
    const strange = await store({
      rig: [{ ...limpet, design: { kind: 'family', family: 'sail', dimensions: {}, choices: {}, edits: [] } }],
    });
    const state = await firstValueFrom(strange.workspace.bench$);
    expect(state.kind === 'broken' && state.reason).toContain('sail');
  });
  it('takes the set-up of this rig with this loadout, and makes one where there is none', async () => {
    const { workspace, bench, documents } = await store({
      ...one,
      setup: [setup('s2', 'r2', { 'foot-count': 9 }), setup('s3', 'r1', { 'foot-count': 7 }, 'bare')],
    });
    expect((await bench()).values).toEqual({});
    workspace.setAdjusters('washers', { 'foot-count': 4 }, null, { 'foot-count': 'four' });
    expect((await bench()).values).toEqual({ 'foot-count': 4 });
    workspace.setAdjusters('the stage', { 'stage-fore-aft': 0.002 });
    const made = documents.all('setup').filter((s) => s.rig === 'r1' && s.loadout === 'ebb');
    expect(made).toHaveSize(1);
    // The words stand as long as the setting they were typed for.
    expect(made[0]).toEqual(
      jasmine.objectContaining({
        values: { 'foot-count': 4, 'stage-fore-aft': 0.002 },
        typed: { 'foot-count': 'four' },
      }),
    );
    workspace.setAdjusters('washers', { 'foot-count': 5 });
    expect(documents.all('setup').find((s) => s.id === made[0]!.id)!.typed).toEqual({});
    expect(documents.all('setup').find((s) => s.id === 's2')!.values).toEqual({ 'foot-count': 9 });
  });
  it('applies sizes, settings and wants let out as one step, undone by one', async () => {
    const { workspace, bench, documents } = await store(one);
    const before = (await bench()).rig;
    workspace.apply(
      'a remedy',
      [
        { kind: 'dimension', id: 'tail', value: 0.2 },
        { kind: 'adjuster', id: 'foot-count', value: 6 },
      ],
      { dropTime: [1, 3] },
    );
    const after = await bench();
    expect(after.work.input!.dimensions['tail']).toBe(0.2);
    expect([after.values['foot-count'], after.rig.wants.dropTime]).toEqual([6, [1, 3]]);
    expect(documents.undo()).toBe('a remedy');
    const back = await bench();
    expect([back.rig, back.values]).toEqual([before, {}]);
  });
  it('folds a drag of one size into one step, and keeps what was typed', async () => {
    const { workspace, bench, documents } = await store(one);
    for (const value of [0.14, 0.15, 0.16]) workspace.setDimension('tail', { value, typed: `${value * 1000} mm` });
    expect((await bench()).rig.design).toEqual(
      jasmine.objectContaining({ dimensions: { tail: { value: 0.16, typed: '160 mm' } } }),
    );
    documents.undo();
    expect((await bench()).rig.design).toEqual(limpet.design);
  });
  it('says of an edit that finds nothing that it was not made, and keeps none of those beside it', async () => {
    const { workspace, bench } = await store(one);
    const before = (await bench()).rig;
    expect(
      workspace.edit('two', [
        { kind: 'move', id: 'a', target: 'grip', by: [0, 0, 0.01] },
        { kind: 'move', id: 'b', target: 'sail', by: [0, 0, 0.01] },
      ]),
    ).toBeFalse();
    expect((await bench()).rig).toBe(before);
    expect(workspace.edit('one', { kind: 'weigh', id: 'c', target: 'grip', mass: { value: 0.2 } })).toBeTrue();
    expect((await bench()).judged.evaluation.mass).not.toBe(benchAt({}).judged.evaluation.mass);
    workspace.forgetWeight('grip');
    expect((await bench()).judged.evaluation.mass).toBeCloseTo(benchAt({}).judged.evaluation.mass, 12);
  });
  it('frees a rig: the same figures from plain parts, and its family back by one undo', async () => {
    const { workspace, bench, documents } = await store(one);
    const before = (await bench()).judged.evaluation;
    workspace.free();
    const free = await bench();
    expect(free.rig.design.kind).toBe('free');
    expect(free.work.family).toBeNull();
    expect(free.judged.evaluation.mass).toBeCloseTo(before.mass, 12);
    documents.undo();
    expect((await bench()).work.family!.id).toBe('gimballed-bent-bar');
  });
  it('asks the bin only where that is wanted: a rig that may take any washers is not made anew when it changes', async () => {
    const { workspace, bench, documents } = await store(one);
    const name = washerName((await bench()).work.rig.bodies.flatMap((b) => b.stations)[0]!);
    const put = (count: number): void =>
      documents.commit('the bin', [{ kind: 'bin', id: 'b', body: { id: 'b', name, count, lengths: [] } }]);
    const { work } = await bench();
    expect(work.assembly.atHand).toBeNull();
    put(3);
    expect((await bench()).work).toBe(work);
    workspace.editRig('only the bin', (rig) => ({ ...rig, wants: { ...rig.wants, onlyBin: true } }));
    expect((await bench()).work.assembly.atHand).toEqual(new Map([[keptAs(name), 3]]));
    put(8);
    expect((await bench()).work.assembly.atHand).toEqual(
      atHand({ onlyBin: true }, [{ id: 'b', name, count: 8, lengths: [] }]),
    );
  });
  it('puts kit that is missing into its loadout, also before there is a rig', async () => {
    const base: KitItem = {
      ...camera,
      id: 'ball',
      name: 'Ball head',
      class: 'plate',
      mountPoints: [{ id: 'top', name: 'top', at: [0, 0, 0.03] }],
    };
    const { workspace, documents } = await store({ rig: [], kit: [camera, base], loadout: [loadout] });
    workspace.apply('mounting', [{ kind: 'mount', id: 'ball', into: 'ebb' }]);
    expect(documents.get('loadout', 'ebb')!.items.map((i) => i.item)).toContain('ball');
    workspace.apply('mounting', [{ kind: 'mount', id: 'ball', into: 'nowhere' }]);
    expect(documents.get('loadout', 'ebb')!.items.filter((i) => i.item === 'ball')).toHaveSize(1);
  });
  it('cuts and buys by the plan of the rig as set, once it has been worked out', async () => {
    const { workspace, jobs } = await store(one);
    const plan = await firstValueFrom(workspace.stock$.pipe((from) => from));
    expect(plan).toBeNull();
    const found = await new Promise<unknown>((done) => {
      const watching = workspace.stock$.subscribe((p) => {
        if (!p) return;
        done(p);
        setTimeout(() => watching.unsubscribe());
      });
    });
    expect(jobs.asked).toContain('stock');
    expect(found).toEqual(jasmine.objectContaining({ cuts: jasmine.any(Array), lines: jasmine.any(Array) }));
  });
  it('tells a list of before the last change from that of the rig as it stands; a step ticked off changes none', async () => {
    const { workspace, jobs } = await store(one);
    const heard: { plan: unknown; isLate: boolean }[] = [];
    const watching = workspace.stockNow$.subscribe((now) => heard.push(now));
    await until(() => heard.at(-1)?.isLate === false, 'the list');
    const first = heard.at(-1)!.plan;
    workspace.setAdjusters('foot washers', { 'foot-count': 4 });
    expect(heard.at(-1)).toEqual({ plan: first, isLate: true });
    await until(() => heard.at(-1)?.isLate === false, 'the list of the rig as set');
    expect(heard.at(-1)!.plan).not.toBe(first);
    const asked = jobs.asked.length;
    workspace.editRig('a step', (rig) => ({ ...rig, done: { ...rig.done, 'cut:a': true } }));
    expect(heard.at(-1)!.isLate).toBeFalse();
    expect(jobs.asked.length).toBe(asked);
    watching.unsubscribe();
  });
  it('says when cuts and purchases cannot be worked out, and works them out for the next change', async () => {
    const { workspace, jobs, said } = await store(one);
    const plans: unknown[] = [];
    const watching = workspace.stock$.subscribe((p) => plans.push(p));
    const run = spyOn(jobs, 'run').and.returnValue(throwError(() => new Error('the computation stopped')));
    await until(() => said.length > 0, 'what is wrong');
    expect(said).toEqual(['What to cut and buy could not be worked out: the computation stopped. All else goes on.']);
    run.and.callThrough();
    workspace.setAdjusters('foot washers', { 'foot-count': 4 });
    await until(() => plans.at(-1), 'the plan');
    watching.unsubscribe();
  });
});
