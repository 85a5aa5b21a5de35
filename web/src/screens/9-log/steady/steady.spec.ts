import { type Walk } from '@tide-pebble/core';
import { benchAt, camera, loadout } from '../../../testing/bench';
import { screen } from '../../../testing/store';
import { Steady } from './steady';

const { rig } = benchAt({});
const shake = (rms: number, strongest = 1.8): Walk['tilt'] => ({
  rms,
  peak: 2.5 * rms,
  strongest,
  bands: [rms, rms / 2],
});
const walk = (id: string, part: Partial<Walk>, size = 0.01): Walk => ({
  id,
  rig: rig.id,
  loadout: loadout.id,
  when: `2026-06-14T10:${id.padStart(2, '0')}:00Z`,
  path: 'pier',
  by: 'gyro',
  seconds: 30,
  rate: 100,
  tilt: shake(size),
  pan: shake(size),
  roll: shake(size, 12),
  horizon: 0.002,
  foretold: { tilt: 0.02, pan: 0.02, roll: 0.02 },
  view: { across: 0.4, up: 0.27 },
  notes: '',
  ...part,
});
const held = { rig: [rig], kit: [camera], loadout: [loadout] };
const three = (from: number, part: Partial<Walk>, size: number): Walk[] =>
  [0, 1, 2].map((i) => walk(`${from + i}`, part, size * (1 + 0.05 * i)));
const words = (page: HTMLElement, of = '.way'): string[] =>
  [...page.querySelectorAll(of)].map((e) => e.textContent.replace(/\s+/g, ' ').trim());

describe('was it steady', () => {
  it('asks for a walk where there is none', async () => {
    const { page } = await screen(Steady, held);
    expect(page.textContent).toContain('No walk yet');
    expect(page.textContent).not.toContain('Walks as CSV');
  });
  it('tells the rig steadier than the bare camera, its crop, and what was foretold', async () => {
    const { page } = await screen(Steady, {
      ...held,
      walk: [...three(1, { rig: null }, 0.02), ...three(5, {}, 0.008)],
    });
    const [bare, own] = words(page);
    expect(bare).toContain('The bare camera, Ebb 3 of 3 walks');
    expect(bare).not.toContain('steadier');
    expect(own).toContain('Tilt steadier: shakes 0.40 × as much as the bare camera');
    expect(own).toContain('Swing foretold 1.15° and 1.15°');
    expect(own).toMatch(/Hidden by cutting \d\.\d % off each side/);
    expect(page.textContent).toContain('Tilt shakes most at 1.8 Hz: your steps.');
  });
  it('says that nothing can be told of two that are alike, and what more it takes', async () => {
    const { page } = await screen(Steady, {
      ...held,
      walk: [...three(1, { rig: null }, 0.02), ...three(5, {}, 0.0198)],
    });
    expect(words(page)[1]).toContain('Tilt no difference from the bare camera can be told');
    const few = await screen(Steady, { ...held, walk: [walk('1', { rig: null }), ...three(5, {}, 0.004)] });
    expect(words(few.page)[1]).toContain('Three walks of each tell chance from cause: 2 more of that.');
  });
  it('keeps paths apart, deletes a walk and brings it back', async () => {
    const { page, press, documents, said } = await screen(Steady, {
      ...held,
      walk: [walk('1', {}), walk('2', { path: 'stairs' })],
    });
    expect(words(page).length).toBe(1);
    expect([...page.querySelectorAll<HTMLOptionElement>('select[aria-label=Path] option')].map((o) => o.value)).toEqual(
      ['stairs', 'pier'],
    );
    await press(`Delete the walk of ${page.querySelector('.pick strong')!.textContent}`);
    expect(documents.all('walk').map((w) => w.id)).toEqual(['1']);
    expect(said).toEqual(['The walk is deleted.']);
    documents.undo();
    expect(documents.all('walk').length).toBe(2);
  });
});
