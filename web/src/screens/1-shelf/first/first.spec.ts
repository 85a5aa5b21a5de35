import { FAMILIES } from '@tide-pebble/core';
import { readyCandidate, type ChooseInput } from '@tide-pebble/core/making';
import { throwError } from 'rxjs';
import { benchAt, camera, loadout } from '../../../testing/bench';
import { screen } from '../../../testing/store';
import { until } from '../../../testing/until';
import { firstLoad, withOwnIds } from './first-load';
import { First } from './first';

const forget = (): void => localStorage.removeItem('tide-pebble.answers');
const open = async (held: Parameters<typeof screen>[1] = {}) => {
  const made = await screen(First, held);
  const { page, fixture } = made;
  const check = async (label: RegExp): Promise<void> => {
    const tile = [...page.querySelectorAll('label.tile')].find((l) => label.test(l.textContent))!;
    tile.querySelector('input')!.click();
    await fixture.whenStable();
  };
  return { ...made, check };
};

describe('a first rig in four questions', () => {
  beforeEach(forget);
  afterEach(forget);

  it('shows three rigs side by side for the camera that is said; one press keeps rig, kit, loadout and bin in one step', async () => {
    const { page, press, check, documents, went, fixture } = await open();
    expect(page.textContent).not.toContain('Lens');
    await check(/^\s*walking/);
    await check(/Small body/);
    await check(/Zoom lens/);
    await check(/aluminium flat 25 × 5/);
    await press('Show me three rigs');
    await until(() => page.querySelectorAll('tp-ready-card').length === 3, 'three rigs');
    await fixture.whenStable();
    for (const card of page.querySelectorAll('tp-ready-card')) {
      expect(card.querySelectorAll('path.shape').length).toBeGreaterThan(1);
      expect(card.textContent).toContain('Gives up:');
      expect(card.textContent).not.toMatch(/NaN|undefined/);
    }
    await press(/^Put it on the bench/);
    const rig = documents.all('rig')[0]!;
    expect(documents.all('kit').map((k) => k.name)).toEqual(['Small body', 'Zoom lens']);
    expect(documents.all('loadout').map((l) => [l.id, l.name])).toEqual([[rig.loadout!, 'Small body, zoom lens']]);
    expect(documents.all('bin').map((b) => [b.name, b.lengths])).toEqual([['aluminium flat 25 × 5', [1]]]);
    expect(documents.all('setup').length).toBe(1);
    expect(went).toEqual(['/frame']);
    documents.undo();
    expect((['rig', 'kit', 'loadout', 'bin', 'setup'] as const).flatMap((k) => documents.all(k)).length).toBe(0);
  });

  it('keeps the answers in the browser, and what is shown goes with another answer', async () => {
    const { page, check, press } = await open();
    await check(/Phone/);
    await press('Show me three rigs');
    await until(() => page.querySelectorAll('tp-ready-card').length > 0, 'a rig');
    await check(/running/);
    expect(page.querySelectorAll('tp-ready-card').length).toBe(0);
    const again = await open();
    expect(again.page.querySelectorAll<HTMLInputElement>('input:checked').length).toBeGreaterThan(1);
    expect(localStorage.getItem('tide-pebble.answers')).toContain('"camera":"phone"');
  });

  it('with no camera said it is made for what stands in Load', async () => {
    const { page, press, documents } = await open({ rig: [benchAt({}).rig], kit: [camera], loadout: [loadout] });
    expect(page.textContent).toContain(`made for ${loadout.name}`);
    await press('Show me three rigs');
    await until(() => page.querySelectorAll('tp-ready-card').length > 0, 'a rig');
    await press(/^Put it on the bench/);
    expect(documents.all('rig').find((r) => r.id !== 'r1')!.loadout).toBe(loadout.id);
    expect(documents.all('kit').length).toBe(1);
  });

  it('says why there is none', async () => {
    const { page, jobs, press } = await open();
    spyOn(jobs, 'run').and.returnValue(throwError(() => new Error('out of memory')));
    await press('Show me three rigs');
    expect(page.querySelector('[role=alert]')!.textContent).toContain('could not be worked out: out of memory');
  });

  it('a lens goes on its body, and not on what has one built in', () => {
    const of = (camera: string): number =>
      firstLoad({ camera, cameraMass: null, lens: 'zoom', lensMass: 0.3 })!.items.length;
    expect([of('full-body'), of('phone'), of('camcorder')]).toEqual([2, 1, 1]);
    expect(firstLoad({ camera: null, cameraMass: null, lens: null, lensMass: null })).toBeNull();
    const own = withOwnIds(firstLoad({ camera: 'cinema', cameraMass: 1.2, lens: 'long', lensMass: null })!);
    expect(own.loadout.items.map((m) => m.item)).toEqual(own.items.map((i) => i.id));
    expect(own.loadout.items[1]!.on).toEqual({ mounted: own.loadout.items[0]!.id, point: 'flange' });
    const input: ChooseInput = {
      wishes: { carries: [], moves: [], hands: null, wet: false, hours: null, money: null, mass: null, tools: null },
      loadout: own.loadout,
      kit: new Map(own.items.map((i) => [i.id, i])),
      wants: benchAt({}).rig.wants,
    };
    expect(
      readyCandidate(
        FAMILIES.find((f) => f.id === 'boom')!,
        input,
      ).mass,
    ).toBeGreaterThan(2);
  });
});
