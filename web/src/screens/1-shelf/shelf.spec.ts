import { parseRigFile, rigFileOf, type LogEntry, type RigDocument, type SetUp } from '@tide-pebble/core';
import { benchAt, camera, loadout } from '../../testing/bench';
import { pause } from '../../testing/pause';
import { screen } from '../../testing/store';
import { until } from '../../testing/until';
import { Shelf } from './shelf';

const limpet = benchAt({}).rig;
const setup: SetUp = { id: 's1', rig: 'r1', loadout: 'ebb', values: { 'foot-count': 6 } };
const log: LogEntry = {
  id: 'l1',
  rig: 'r1',
  loadout: 'ebb',
  when: '2026-06-14T10:00:00Z',
  values: {},
  expected: { noseDown: 0, leftSideDown: 0, dropPitch: null, dropSpread: null },
  seen: { dropTimes: [2] },
  notes: '',
};
const held = { rig: [limpet], kit: [camera], loadout: [loadout], setup: [setup], log: [log] };
const names = (page: HTMLElement): readonly string[] =>
  [...page.querySelectorAll<HTMLInputElement>('tp-rig-card input.name')].map((i) => i.value);
const give = (page: HTMLElement, label: string, file: File): void => {
  const input = page.querySelector<HTMLInputElement>(`input[aria-label="${label}"]`)!;
  const files = new DataTransfer();
  files.items.add(file);
  input.files = files.files;
  input.dispatchEvent(new Event('change'));
};

describe('the shelf', () => {
  it('tells of each rig what it is for and what state it is in', async () => {
    const { page, fixture } = await screen(Shelf, {
      ...held,
      rig: [
        limpet,
        {
          ...limpet,
          id: 'r9',
          name: 'Odd',
          design: { kind: 'family', family: 'sail', dimensions: {}, choices: {}, edits: [] },
        },
      ],
    });
    const [first, odd] = [...page.querySelectorAll('tp-rig-card')];
    await pause(fixture);
    expect(first!.textContent).toContain('Bent bar on a universal joint, for Ebb');
    expect(first!.querySelectorAll('path.shape').length).toBeGreaterThan(3);
    expect(first!.textContent).toContain('On the bench');
    expect(odd!.textContent).toContain('that this version does not know');
    expect(odd!.querySelector('.picture svg')).toBeNull();
    expect(odd!.querySelector('.state')!.textContent).toBe('');
  });
  it('copies a rig with its set-ups under a free name, without what is done', async () => {
    const { page, press, documents } = await screen(Shelf, {
      ...held,
      rig: [{ ...limpet, done: { 'cut-bar': true } }],
    });
    await press('Copy Limpet');
    await press('Copy Limpet');
    expect(names(page)).toEqual(['Limpet', 'Limpet copy', 'Limpet copy 2']);
    const copy = documents.all('rig').find((r) => r.name === 'Limpet copy')!;
    expect(copy.done).toEqual({});
    expect(documents.all('setup').find((s) => s.rig === copy.id)!.values).toEqual(setup.values);
    expect(documents.all('setup').find((s) => s.id === 's1')!.rig).toBe('r1');
  });
  it('renames, but not to nothing', async () => {
    const { page, documents, fixture } = await screen(Shelf, held);
    const rename = async (text: string): Promise<void> => {
      const input = page.querySelector<HTMLInputElement>('tp-rig-card input.name')!;
      input.value = text;
      input.dispatchEvent(new Event('change'));
      await fixture.whenStable();
    };
    await rename('  ');
    expect(documents.get('rig', 'r1')!.name).toBe('Limpet');
    await rename(' Winkle ');
    expect(documents.get('rig', 'r1')!.name).toBe('Winkle');
  });
  it('stands by name, what is on the bench first, and keeps its order while a name is changed', async () => {
    const named = (id: string, name: string): RigDocument => ({ ...limpet, id, name });
    const { page, workspace, documents, fixture } = await screen(Shelf, {
      ...held,
      rig: [named('r1', 'Limpet'), named('r2', 'Rig 10'), named('r3', 'Rig 9'), named('r4', 'Anemone')],
    });
    expect(names(page)).toEqual(['Limpet', 'Anemone', 'Rig 9', 'Rig 10']);
    documents.commit('renaming', [{ kind: 'rig', id: 'r4', body: named('r4', 'Zoea') }]);
    workspace.choose('r2');
    await fixture.whenStable();
    expect(names(page)).toEqual(['Limpet', 'Zoea', 'Rig 9', 'Rig 10']);
    documents.commit('one less', [{ kind: 'rig', id: 'r3', body: null }]);
    await fixture.whenStable();
    expect(names(page)).toEqual(['Rig 10', 'Limpet', 'Zoea']);
  });
  it('says of a rig with pieces built in that they are not in the bin, and a copy has none', async () => {
    const taken = [{ step: 'cut:bar', item: 'aluminium flat 30 × 6', pieces: ['bar'] }];
    const { said, documents, press } = await screen(Shelf, { ...held, rig: [{ ...limpet, taken }] });
    await press('Copy Limpet');
    expect(documents.all('rig').find((r) => r.name === 'Limpet copy')?.taken).toBeUndefined();
    await press('Delete Limpet');
    expect(said[0]).toContain('built into it is not in your bin');
  });
  it('deletes a rig with its set-ups and log, and one undo brings all of it back', async () => {
    const { page, press, documents, said, fixture } = await screen(Shelf, held);
    await press('Delete Limpet');
    expect(said).toEqual(['Limpet is deleted, with its set-ups, log and walks.']);
    expect([documents.all('rig').length, documents.all('setup').length, documents.all('log').length]).toEqual([
      0, 0, 0,
    ]);
    expect(page.textContent).toContain('Nothing here yet');
    documents.undo();
    await fixture.whenStable();
    expect(names(page)).toEqual(['Limpet']);
    expect([documents.all('setup').length, documents.all('log').length]).toEqual([1, 1]);
  });
  it('exports a file that can be read again, with what the rig needs', async () => {
    const blobs: Blob[] = [];
    spyOn(URL, 'createObjectURL').and.callFake((blob) => {
      blobs.push(blob as Blob);
      return '#';
    });
    spyOn(HTMLAnchorElement.prototype, 'click');
    const { press } = await screen(Shelf, held);
    await press('Export Limpet');
    const read = parseRigFile(await (await until(() => blobs[0], 'the file')).text());
    if (!read.ok) return fail(JSON.stringify(read.faults));
    expect([read.value.rig.name, read.value.kit.length, read.value.loadouts.length, read.value.setups.length]).toEqual([
      'Limpet',
      1,
      1,
      1,
    ]);
  });
  it('takes a rig file in beside what is there, and a bad one not at all, saying where it is wrong', async () => {
    const { page, documents, said, bench, fixture } = await screen(Shelf, held);
    const file = rigFileOf(
      { ...limpet, id: 'r7', name: 'Guillemot' },
      { kit: [camera], loadouts: [loadout], setups: [] },
    );
    give(page, 'Rig file', new File([JSON.stringify({ ...file, rig: { ...file.rig, kerf: -1 } })], 'bad.rig.json'));
    const wrong = await until(() => page.querySelector('[role=alert]'), 'what is wrong with the file');
    expect(wrong.textContent).toMatch(/bad\.rig\.json was not taken in\. .*kerf/);
    expect(documents.all('rig').map((r) => r.name)).toEqual(['Limpet']);
    give(page, 'Rig file', new File([JSON.stringify(file)], 'good.rig.json'));
    await until(() => said.length > 0, 'the file taken in');
    await fixture.whenStable();
    expect(page.querySelector('[role=alert]')).toBeNull();
    expect(
      documents
        .all('rig')
        .map((r: RigDocument) => r.name)
        .sort(),
    ).toEqual(['Guillemot', 'Limpet']);
    expect((await bench()).rig.name).toBe('Guillemot');
    expect(said).toEqual(['Guillemot is on the shelf.']);
  });
});
