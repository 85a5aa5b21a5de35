import type { LogEntry, RigDocument } from '@tide-pebble/core';
import { benchAt } from '../../../testing/bench';
import { screen } from '../../../testing/store';
import { until } from '../../../testing/until';
import { Versions } from './versions';

const bench = benchAt({});
const wish: LogEntry = {
  id: 'wish',
  rig: bench.rig.id,
  loadout: null,
  when: '2026-06-14T10:00:00Z',
  values: {},
  expected: { noseDown: null, leftSideDown: null, dropPitch: null, dropSpread: null },
  seen: { dropTimes: [] },
  notes: '',
  toTry: 'A thicker bar.',
};
const second: RigDocument = {
  ...bench.rig,
  id: 'second',
  name: 'Limpet, version 2',
  version: {
    line: bench.rig.id,
    number: 2,
    from: bench.rig.id,
    begun: '2026-06-20T10:00:00Z',
    wish: 'Calmer.',
    entries: [],
  },
};
const at = async (rigs: readonly RigDocument[], log: readonly LogEntry[] = []) => {
  localStorage.setItem('tide-pebble.rig', bench.rig.id);
  return screen(Versions, {
    rig: rigs,
    log,
    loadout: bench.loadout ? [bench.loadout] : [],
    setup: bench.setup ? [bench.setup] : [],
  });
};

describe('versions', () => {
  it('begin with what the log wishes, its set-ups taken along, and one undo takes all of it back', async () => {
    const { page, press, documents, went } = await at([bench.rig], [wish]);
    await until(() => page.textContent.includes('A thicker bar.'), 'the wish');
    await press('Begin version 2');
    const made = documents.all('rig').find((r) => r.id !== bench.rig.id)!;
    expect([made.version!.number, made.version!.wish, made.version!.entries]).toEqual([2, 'A thicker bar.', ['wish']]);
    expect(documents.all('setup').filter((s) => s.rig === made.id).length).toBe(
      documents.all('setup').filter((s) => s.rig === bench.rig.id).length,
    );
    expect(went).toEqual(['/frame']);
    documents.undo();
    expect(documents.all('rig').length).toBe(1);
  });

  it('leave a wish that is put aside for another time', async () => {
    const { page, press, documents } = await at([bench.rig], [wish]);
    const box = await until(() => page.querySelector<HTMLInputElement>('li input[type=checkbox]'), 'the wish');
    box.click();
    await press('Begin version 2');
    const made = documents.all('rig').find((r) => r.id !== bench.rig.id)!;
    expect([made.version!.wish, made.version!.entries]).toEqual(['', []]);
  });

  it('stand side by side, the newest told first, each with what it was begun for', async () => {
    const { page } = await at([bench.rig, second, { ...bench.rig, id: 'other', name: 'Whelk' }]);
    await until(() => page.querySelectorAll('thead th').length === 3, 'both in figures');
    expect([...page.querySelectorAll('section h2')].map((h) => h.textContent.trim().slice(0, 9))).toEqual([
      'Version 2',
      'Version 1',
    ]);
    expect(page.textContent).toContain('Calmer.');
    expect(page.textContent).toContain('Nothing that it is made of, yet.');
    expect(page.textContent).toContain('No path is walked with both yet');
    expect(page.textContent).not.toContain('Whelk');
    expect(page.textContent).not.toMatch(/NaN|undefined|Infinity/);
  });
});
