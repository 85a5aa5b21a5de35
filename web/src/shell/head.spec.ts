import { HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { Units } from '../services/units';
import { benchAt, camera, loadout } from '../testing/bench';
import { screen } from '../testing/store';
import { until } from '../testing/until';
import { Head } from './head';

const limpet = benchAt({}).rig;
const held = { rig: [limpet, { ...limpet, id: 'r2', name: 'Whelk' }], kit: [camera], loadout: [loadout] };
const status = (page: HTMLElement): string => page.querySelector('[role=status]')!.textContent.trim();
const pick = (page: HTMLElement, label: string, value: string): void => {
  const select = page.querySelector<HTMLSelectElement>(`select[aria-label="${label}"]`)!;
  select.value = value;
  select.dispatchEvent(new Event('change'));
};

describe('the head', () => {
  it('puts another rig on the bench, and another loadout on the rig', async () => {
    const { page, bench, documents, fixture } = await screen(Head, held);
    pick(page, 'Rig', 'r2');
    await fixture.whenStable();
    expect((await bench()).rig.name).toBe('Whelk');
    pick(page, 'Loadout', '');
    expect(documents.get('rig', 'r2')!.loadout).toBeNull();
    expect(documents.get('rig', 'r1')!.loadout).toBe('ebb');
  });
  it('says what undo and redo would do, and nothing when there is nothing', async () => {
    const { page, documents, fixture } = await screen(Head, held);
    const tool = (words: RegExp): HTMLButtonElement =>
      [...page.querySelectorAll<HTMLButtonElement>('button.tool')].find((b) =>
        words.test(b.getAttribute('aria-label')!),
      )!;
    expect([tool(/undo/i).disabled, tool(/redo/i).disabled]).toEqual([true, true]);
    documents.commit('renaming Limpet', [{ kind: 'rig', id: 'r1', body: { ...limpet, name: 'Plover' } }]);
    await fixture.whenStable();
    expect(tool(/undo/i).getAttribute('aria-label')).toBe('Undo renaming Limpet');
    documents.undo();
    await fixture.whenStable();
    expect(tool(/redo/i).getAttribute('aria-label')).toBe('Redo renaming Limpet');
    expect(tool(/undo/i).disabled).toBeTrue();
  });
  it('tells whether all is kept: while it is sent, when it is, when the server is away, and when it is refused', async () => {
    const { page, documents, fixture } = await screen(Head, held);
    const http = TestBed.inject(HttpTestingController);
    const change = async (name: string) => {
      documents.commit('a name', [{ kind: 'rig', id: 'r1', body: { ...limpet, name } }]);
      await fixture.whenStable();
      return until(() => http.match('/api/changes')[0], 'the change sent');
    };
    expect(status(page)).toBe('All kept');
    const first = await change('Plover');
    expect(status(page)).toBe('Keeping…');
    first.flush({ saved: [{ kind: 'rig', id: 'r1', revision: 2 }] });
    await until(() => status(page).startsWith('All kept, '), 'all kept');
    (await change('Knot')).error(new ProgressEvent('offline'));
    await until(() => status(page) === 'Server away: kept in this browser, sent later', 'the server away');
    expect(page.querySelector('[role=status]')!.classList).toContain('trouble');
    (await until(() => http.match('/api/changes')[0], 'the change sent again')).flush(
      { type: 'about:blank', title: 'No', status: 400, detail: 'The rig’s name is too long.' },
      { status: 400, statusText: 'Bad Request' },
    );
    await until(() => status(page) === 'Not kept: The rig’s name is too long.', 'the reason');
  }, 20_000);
  it('shows fractions only where they are used', async () => {
    const { page, press, fixture } = await screen(Head, held);
    expect(page.querySelector('.fraction')).toBeNull();
    await press('inch');
    const fraction = page.querySelector<HTMLSelectElement>('.fraction select')!;
    fraction.value = '64';
    fraction.dispatchEvent(new Event('change'));
    await fixture.whenStable();
    expect(TestBed.inject(Units).now()).toEqual(jasmine.objectContaining({ system: 'inch', fraction: 64 }));
    await press('mm');
    expect(page.querySelector('.fraction')).toBeNull();
  });
  it('offers nothing to choose on an empty shelf', async () => {
    const { page } = await screen(Head, {});
    expect(page.querySelector<HTMLSelectElement>('select[aria-label=Rig]')!.disabled).toBeTrue();
    expect(page.querySelector('select[aria-label=Loadout]')).toBeNull();
  });
});
