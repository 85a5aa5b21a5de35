import { evaluate, washerName, type Loadout, type SetUp } from '@tide-pebble/core';
import { benchAt, camera, loadout } from '../../../testing/bench';
import { sheet } from '../../../testing/sheets';
import { SetUps } from './set-ups';

const heavy = { ...camera, id: 'gannet', name: 'Gannet body', mass: { value: 0.62 } };
const flood: Loadout = {
  id: 'flood',
  name: 'Flood',
  conditions: '',
  items: [{ id: 'm-cam', item: 'gannet', on: null, offset: [0, 0, 0] }],
};
const giant: Loadout = {
  id: 'storm',
  name: 'Storm',
  conditions: '',
  items: [{ id: 'm-cam', item: 'whale', on: null, offset: [0, 0, 0] }],
};
const whale = { ...camera, id: 'whale', name: 'Whale body', mass: { value: 14 } };
const two = async (more: readonly Loadout[] = []) =>
  sheet(SetUps, benchAt({}), (w) => {
    w.kit$.next(new Map([camera, heavy, whale].map((k) => [k.id, k])));
    w.loadouts$.next([loadout, flood, ...more]);
  });
const rows = (page: HTMLElement): readonly string[][] =>
  [...page.querySelectorAll('tbody tr')].map((tr) =>
    [...tr.querySelectorAll('th,td')].map((c) => c.textContent.replace(/\s+/g, ' ').trim()),
  );

describe('the set-ups of all loadouts', () => {
  it('are had, each with its row, and what is moved between two', async () => {
    const { page } = await two();
    expect(rows(page).map((r) => r[0])).toEqual(['Ebb', 'Flood']);
    expect(rows(page).every((r) => r.slice(1).every((c) => c !== '–' && c !== ''))).toBeTrue();
    const moves = [...page.querySelectorAll('.moves li')];
    expect(moves.length).toBeGreaterThan(0);
    // As many as the row says.
    expect(String(moves.length)).toBe(rows(page)[1]!.at(-1)!);
  });
  it('name what a loadout fails that cannot be had, and leave it out of the cards', async () => {
    const { page, press, documents } = await two([giant]);
    expect(rows(page)[2]![0]).toMatch(/^Storm cannot be had: /);
    expect(rows(page)[2]!.slice(1)).toEqual(
      rows(page)[2]!
        .slice(1)
        .map(() => '–'),
    );
    await press('Keep all as set-up cards');
    expect(documents.committed[0]!.edits.map((e) => (e.body as SetUp).loadout)).toEqual(['ebb', 'flood']);
  });
  it('are kept as they were found: each hangs level with what is written on its card', async () => {
    const { press, documents, said } = await two();
    await press('Keep all as set-up cards');
    const [ebb] = documents.committed[0]!.edits.map((e) => e.body as SetUp);
    const { hung } = evaluate(benchAt({}).work.assembly, ebb!.values);
    expect(Math.abs(hung!.hang.rest!.noseDown)).toBeLessThan(0.0175);
    expect(said[0]).toContain('2 set-ups are kept');
  });
  it('are looked for anew when the rig changes, not when it is set otherwise', async () => {
    const { fixture, workspace, jobs } = await two();
    workspace.setAdjusters('by hand', { 'foot-count': 3 });
    await fixture.whenStable();
    expect(jobs.asked).toEqual(['setUps']);
    workspace.put({
      ...benchAt({}),
      rig: { ...benchAt({}).rig, wants: { ...benchAt({}).rig.wants, levelWithin: 0.03 } },
    });
    await fixture.whenStable();
    expect(jobs.asked).toEqual(['setUps', 'setUps']);
  });
  it('keep to the bin where only that is wanted, and are looked for anew when it fills', async () => {
    const bench = benchAt({});
    const { page, fixture, workspace, jobs } = await sheet(
      SetUps,
      { ...bench, rig: { ...bench.rig, wants: { ...bench.rig.wants, onlyBin: true } } },
      (w) => w.kit$.next(new Map([[camera.id, camera]])),
    );
    expect(rows(page)[0]![0]).toBe('Ebb cannot be had: washers in the bin');
    workspace.bin$.next([
      { id: 'b', name: washerName(bench.work.rig.bodies.flatMap((b) => b.stations)[0]!), count: 60, lengths: [] },
    ]);
    await fixture.whenStable();
    expect(rows(page)[0]![0]).toBe('Ebb');
    expect(jobs.asked).toEqual(['setUps', 'setUps']);
  });
  it('without loadouts says where one is put together', async () => {
    const { page, button } = await sheet(SetUps, benchAt({}), (w) => w.loadouts$.next([]));
    expect(page.textContent).toContain('No loadouts yet');
    expect(button('Keep all as set-up cards')!.disabled).toBeTrue();
  });
});
