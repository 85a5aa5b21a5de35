/** On every sheet of the bench: what was asked of one rig says nothing of, and does nothing to, the next one put there. */
import type { Type } from '@angular/core';
import type { LogEntry, RigDocument, SetUp } from '@tide-pebble/core';
import { benchAt, camera, loadout } from '../../testing/bench';
import { pause } from '../../testing/pause';
import { screen } from '../../testing/store';
import { AccuracySheet } from './accuracy/accuracy';
import { Balance } from './balance';
import { Learn } from './learn/learn';
import { Pan } from './pan/pan';
import { SetUps } from './set-ups/set-ups';

const limpet = benchAt({}).rig;
// What a copy of it is: the same design, the same wants.
const whelk: RigDocument = { ...limpet, id: 'r2', name: 'Whelk' };
const set: SetUp['values'] = { 'foot-count': 10, 'stage-fore-aft': -0.02 };
const setups: SetUp[] = ['r1', 'r2'].map((rig) => ({ id: `s-${rig}`, rig, loadout: 'ebb', values: set }));
const flood = { ...loadout, id: 'flood', name: 'Flood' };
const log: LogEntry[] = [
  {
    id: 'l1',
    rig: 'r1',
    loadout: 'ebb',
    when: '2026-06-14T10:00:00Z',
    values: set,
    expected: { noseDown: 0, leftSideDown: 0, dropPitch: null, dropSpread: null },
    seen: { noseDown: 0.2, dropTimes: [] },
    notes: '',
  },
];

const open = async <T>(component: Type<T>) => {
  localStorage.setItem('tide-pebble.rig', 'r1');
  const made = await screen(component, {
    rig: [limpet, whelk],
    kit: [camera],
    loadout: [loadout, flood],
    setup: setups,
    log,
  });
  await pause(made.fixture);
  return made;
};

describe('another rig on the bench', () => {
  const asked: readonly {
    readonly sheet: Type<unknown>;
    readonly press: string;
    readonly job: string;
    readonly shows: RegExp;
  }[] = [
    { sheet: Balance, press: 'Trim it', job: 'trim', shows: /Balanced with/ },
    { sheet: Balance, press: 'Show what each drop time costs', job: 'trade', shows: /of washers/ },
    { sheet: AccuracySheet, press: 'Work it out', job: 'accuracy', shows: /May be off by|no leeway is left/ },
    { sheet: Pan, press: 'Set it so that it leans least', job: 'trim', shows: /Balanced with/ },
    { sheet: SetUps, press: 'Look for them', job: 'sizes', shows: /instead of|Neither one size/ },
  ];
  for (const { sheet, press, job, shows } of asked)
    it(`is not what “${press}” was asked of`, async () => {
      const { page, press: pressed, jobs, workspace, documents, fixture } = await open(sheet);
      jobs.held = [];
      await pressed(press);
      expect(jobs.asked.at(-1)!).toBe(job as (typeof jobs.asked)[number]);
      expect(page.querySelector('mat-progress-bar')).not.toBeNull();
      workspace.choose('r2');
      await fixture.whenStable();
      jobs.letGo();
      await fixture.whenStable();
      expect(documents.all('setup')).toEqual(setups);
      expect(page.textContent).not.toMatch(shows);
      // And it can be asked of this one.
      await pressed(press);
      await pause(fixture);
      expect(page.textContent).toMatch(shows);
    });

  it('shows no set-ups of the one before, and keeps none under its name', async () => {
    const { page, jobs, workspace, documents, press, fixture } = await open(SetUps);
    expect(page.querySelectorAll('tbody tr').length).toBe(2);
    jobs.held = [];
    workspace.choose('r2');
    await fixture.whenStable();
    expect(page.querySelectorAll('tbody tr').length).toBe(0);
    expect([...page.querySelectorAll('button')].find((b) => b.textContent.includes('Keep all'))!.disabled).toBeTrue();
    jobs.letGo();
    await fixture.whenStable();
    await press('Keep all as set-up cards');
    expect(
      documents
        .all('setup')
        .filter((s) => s.rig === 'r2')
        .map((s) => s.loadout)
        .sort(),
    ).toEqual(['ebb', 'flood']);
    expect(documents.all('setup').filter((s) => s.rig === 'r1')).toEqual(setups.slice(0, 1));
  });
  it('has learned nothing from the readings of the one before', async () => {
    const { page, workspace, fixture } = await open(Learn);
    expect(page.textContent).toContain('Next move, by one reading');
    workspace.choose('r2');
    await fixture.whenStable();
    expect(page.textContent).not.toContain('Next move');
    workspace.choose('r1');
    await fixture.whenStable();
    expect(page.textContent).toContain('Next move, by one reading');
  });
});
