/** The whole Balance screen over the real store. */
import type { RigDocument, SetUp } from '@tide-pebble/core';
import { throwError } from 'rxjs';
import { benchAt, camera, loadout } from '../../testing/bench';
import { screen } from '../../testing/store';
import { Balance } from './balance';

const limpet = benchAt({}).rig;
const whelk: RigDocument = { ...limpet, id: 'r2', name: 'Whelk' };
const held = { rig: [limpet, whelk], kit: [camera], loadout: [loadout] };
const said = (page: HTMLElement): string => page.querySelector('.said')?.textContent.trim() ?? '';
const open = async () => {
  localStorage.setItem('tide-pebble.rig', 'r1');
  const made = await screen(Balance, held);
  const values = (rig: string): SetUp['values'] => made.documents.all('setup').find((s) => s.rig === rig)?.values ?? {};
  return { ...made, values };
};

describe('the balance screen', () => {
  it('trims what hangs, says how it is proven, and one undo takes both back', async () => {
    const { page, press, documents, values, fixture } = await open();
    await press('Trim it');
    expect(said(page)).toMatch(/^Balanced with \d+ g of washers: proven the lightest of [\d,]+ ways/);
    expect(Object.keys(values('r1')).length).toBeGreaterThan(3);
    // Trimmed to the middle; how sure that is, the measuring says.
    expect(page.querySelector('.verdict')!.textContent).toMatch(
      /It hangs level and rights itself|but may not|will hardly hang level/,
    );
    expect(page.querySelector('.verdict')!.textContent).toMatch(/in 100/);
    documents.undo();
    await fixture.whenStable();
    expect(values('r1')).toEqual({});
    // What it said is of a set-up that is no more.
    expect(said(page)).toBe('');
    documents.redo();
    await fixture.whenStable();
    expect(said(page)).toMatch(/^Balanced with/);
  });
  it('tells of a rig kept before its screws were counted what they change, once', async () => {
    const { fastenersCounted: _told, ...older } = limpet;
    localStorage.setItem('tide-pebble.rig', 'r1');
    const { page, press, documents, fixture } = await screen(Balance, { ...held, rig: [older] });
    const notice = (): string => page.querySelector('tp-fasteners-notice')?.textContent ?? '';
    expect(notice()).toMatch(/count now: \d+ pieces, \d+ g/);
    expect(notice()).toMatch(/As it is set it hangs upside down\./);
    await press('Trim it anew');
    await fixture.whenStable();
    expect(said(page)).toMatch(/^Balanced with/);
    expect(documents.get('rig', 'r1')!.fastenersCounted).toBeTrue();
    expect(notice()).toBe('');
  });
  it('never sets on one rig what was worked out for another', async () => {
    const { page, press, jobs, workspace, values, fixture } = await open();
    jobs.held = [];
    await press('Trim it');
    expect(page.querySelector('mat-progress-bar')!.getAttribute('aria-valuenow')).toBe('25');
    workspace.choose('r2');
    await fixture.whenStable();
    jobs.letGo();
    await fixture.whenStable();
    expect([values('r1'), values('r2'), said(page)]).toEqual([{}, {}, '']);
    expect(page.querySelector('mat-progress-bar')).toBeNull();
  });
  it('lets go of a trim when a want or a setting is changed, or it is stopped', async () => {
    const { page, press, jobs, workspace, values, fixture } = await open();
    const ways: readonly (() => unknown)[] = [
      () => workspace.editRig('a want', (rig) => ({ ...rig, wants: { ...rig.wants, dropTime: [2, 3] as const } })),
      () => workspace.setAdjusters('foot washers', { 'foot-count': 3 }),
      () => press('Stop trimming'),
    ];
    for (const change of ways) {
      jobs.held = [];
      await press('Trim it');
      await change();
      await fixture.whenStable();
      const before = values('r1');
      jobs.letGo();
      await fixture.whenStable();
      expect(values('r1')).toEqual(before);
      expect(page.querySelector('mat-progress-bar')).toBeNull();
    }
  });
  it('says why there is no answer when the work fails', async () => {
    const { page, press, jobs } = await open();
    spyOn(jobs, 'run').and.returnValue(throwError(() => new Error('the computation stopped')));
    await press('Trim it');
    expect(said(page)).toBe('the computation stopped');
    expect([...page.querySelectorAll('button')].some((b) => b.textContent.trim() === 'Trim it')).toBeTrue();
  });
  it('is worked with the keys, but not while something is typed', async () => {
    const { page, jobs, fixture } = await open();
    const field = page.querySelector('input')!;
    field.dispatchEvent(new KeyboardEvent('keydown', { key: 't', bubbles: true }));
    expect(jobs.asked).not.toContain('trim');
    document.dispatchEvent(new KeyboardEvent('keydown', { key: 't', ctrlKey: true, bubbles: true }));
    expect(jobs.asked).not.toContain('trim');
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 't', bubbles: true }));
    await fixture.whenStable();
    expect(jobs.asked.filter((j) => j === 'trim')).toHaveSize(1);
  });
  it('is looked at from above, and a rig without a loadout is told so first', async () => {
    const { page, press, documents, fixture } = await open();
    await press('From above');
    expect(
      [...page.querySelectorAll('button')]
        .find((b) => b.textContent.trim() === 'From side and front')!
        .getAttribute('aria-pressed'),
    ).toBe('true');
    documents.commit('choice of loadout', [{ kind: 'rig', id: 'r1', body: { ...limpet, loadout: null } }]);
    await fixture.whenStable();
    expect(page.querySelector('tp-finding-card')!.textContent).toContain('Nothing is mounted.');
  });
});
