import { TestBed } from '@angular/core/testing';
import { provideHttpClient } from '@angular/common/http';
import { provideHttpClientTesting } from '@angular/common/http/testing';
import { newItem, type KitItem, type Loadout } from '@tide-pebble/core';
import { Documents } from '../../services/keeping/documents';
import { LoadBench } from '../../services/load-bench';
import { pause } from '../../testing/pause';
import { type } from '../../testing/type';
import { CoverPanel } from './cover-panel';
import { EntryEditor } from './entry-editor';
import { KitList } from './kit-list';
import { LoadDrawing } from './load-drawing';
import { LoadoutPanel } from './loadout-panel';

const body: KitItem = {
  ...newItem('body', 'camera', 'Heron'),
  mass: { value: 0.5, spread: 0.0006 },
  states: [
    {
      id: 'screen',
      name: 'screen',
      choices: [
        { id: 'in', name: 'in' },
        { id: 'out', name: 'out', change: { kind: 'moves', by: [0, 0.01, 0] } },
      ],
    },
  ],
};
const short: KitItem = { ...newItem('short', 'lens', 'Short'), mass: { value: 0.2, spread: 0.0006 } };
const long: KitItem = {
  ...newItem('long', 'lens', 'Long'),
  mass: { value: 0.4, spread: 0.0006 },
  goesWith: ['collar'],
};
const collar: KitItem = { ...newItem('collar', 'clamp', 'Collar'), mass: { value: 0.05, spread: 0.0006 } };
const ebb: Loadout = {
  id: 'ebb',
  name: 'Ebb',
  conditions: '',
  items: [
    { id: 'e-body', item: 'body', on: null, offset: [0, 0, 0] },
    { id: 'e-lens', item: 'short', on: { mounted: 'e-body', point: 'flange' }, offset: [0, 0, 0] },
  ],
};

describe('the Load stage', () => {
  let load: LoadBench;
  let documents: Documents;
  beforeEach(() => {
    TestBed.configureTestingModule({ providers: [provideHttpClient(), provideHttpClientTesting()] });
    documents = TestBed.inject(Documents);
    documents.commit('the kit', [
      ...[body, short, long, collar].map((k) => ({ kind: 'kit' as const, id: k.id, body: k })),
      { kind: 'loadout', id: 'ebb', body: ebb },
    ]);
    load = TestBed.inject(LoadBench);
  });
  const loadout = (id: string): Loadout => documents.get('loadout', id)!;
  const shown = async <T>(component: new () => T, inputs: Record<string, unknown> = {}): Promise<HTMLElement> => {
    const fixture = TestBed.createComponent(component);
    for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value);
    await pause(fixture);
    return fixture.nativeElement as HTMLElement;
  };

  it('swaps one thing in a copy: what is tied comes along, and goes again', () => {
    load.copyLoadout(ebb);
    const copy = load.loadout()!;
    expect(copy.name).toBe('Ebb (copy)');
    load.remount(copy.id, { kind: 'swap', mounted: 'e-lens', item: 'long' });
    expect(loadout(copy.id).items.map((m) => m.item)).toEqual(['body', 'long', 'collar']);
    load.remount(copy.id, { kind: 'swap', mounted: 'e-lens', item: 'short' });
    expect(loadout(copy.id).items.map((m) => m.item)).toEqual(['body', 'short']);
    expect(loadout('ebb')).toEqual(ebb);
  });
  it('deletes kit from its loadouts and its ties in one step, and undo brings all back', () => {
    load.remount('ebb', { kind: 'swap', mounted: 'e-lens', item: 'long' });
    load.removeItem(collar);
    expect(loadout('ebb').items.map((m) => m.item)).toEqual(['body', 'long']);
    expect(documents.get('kit', 'long')!.goesWith).toEqual([]);
    documents.undo();
    expect(loadout('ebb').items.map((m) => m.item)).toEqual(['body', 'long', 'collar']);
    expect(documents.get('kit', 'long')!.goesWith).toEqual(['collar']);
  });
  it('nudges what is mounted by a millimetre, in the view it is seen in', async () => {
    const page = await shown(LoadDrawing);
    const lens = page.querySelector('[aria-label^="Short, from the front"]')!;
    lens.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', cancelable: true }));
    lens.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp', shiftKey: true, cancelable: true }));
    expect(loadout('ebb').items[1]!.offset).toEqual([0, 0.001, 0.01]);
  });
  it('drags it by whole millimetres at the drawing’s scale', async () => {
    const page = await shown(LoadDrawing);
    const lens = page.querySelector<SVGPathElement>('[aria-label^="Short, from the side"]')!;
    spyOn(lens, 'setPointerCapture');
    const at = (kind: string, x: number, y: number): void =>
      void lens.dispatchEvent(
        new PointerEvent(kind, { clientX: x, clientY: y, pointerId: 1, button: 0, cancelable: true }),
      );
    at('pointerdown', 100, 100);
    at('pointermove', 130, 80);
    at('pointerup', 130, 80);
    const [x, , z] = loadout('ebb').items[1]!.offset;
    expect(x).toBeGreaterThan(0.005);
    expect(z).toBeGreaterThan(0.003);
    expect(Math.abs(x * 1000 - Math.round(x * 1000))).toBeLessThan(1e-6);
  });
  it('sets place, turn, states and what it stands on, by typing', async () => {
    const page = await shown(EntryEditor, { loadout: ebb, entry: ebb.items[0] });
    await type(page, 'Forward', '5 mm', () => Promise.resolve());
    await type(page, 'Turned to the left', '90', () => Promise.resolve());
    const state = page.querySelector<HTMLSelectElement>('select[aria-label="screen"]')!;
    state.value = 'out';
    state.dispatchEvent(new Event('change'));
    const entry = loadout('ebb').items[0]!;
    expect(entry.offset[0]).toBe(0.005);
    expect(entry.typed).toEqual({ 'offset 0': '5 mm' });
    expect(entry.turn!.map((q) => Math.round(q * 1000) / 1000)).toEqual([0.707, 0, 0, 0.707]);
    expect(entry.states).toEqual({ screen: 'out' });
    const places = [...page.querySelectorAll('select[aria-label="Stands on"] option')].map((o) => o.textContent);
    // Nothing may stand on what stands on it.
    expect(places).toEqual(['the rig, where its load stands']);
  });
  it('tells travel, extremes, the reason, and what to measure next', async () => {
    load.copyLoadout(ebb);
    load.remount(load.loadout()!.id, { kind: 'swap', mounted: 'e-lens', item: 'long' });
    const text = (await shown(CoverPanel)).textContent ?? '';
    expect(text).toContain('What all 2 loadouts cover');
    expect(text).toMatch(/Most: Ebb \(copy\), \d+ mm ahead of the foot: its Long carries it there/);
    expect(text).toContain('Balance Heron sideways');
    expect(text).toContain('Heron, screen out: 5.3 mm to the left');
  });
  it('lists the kit, finds by name or kind, and weighs in place', async () => {
    const page = await shown(KitList);
    expect(page.querySelectorAll('[role=row]').length).toBe(5);
    await type(page, 'Mass of Short', '231 g', () => Promise.resolve());
    expect(documents.get('kit', 'short')!.mass!.typed).toBe('231 g');
    await type(page, 'Mass of Short', '', () => Promise.resolve());
    expect(documents.get('kit', 'short')!.mass).toBeUndefined();
  });
  it('says what stands on what, and in which state', async () => {
    load.changeEntry('ebb', 'e-body', (m) => ({ ...m, states: { screen: 'out' } }));
    const text = (await shown(LoadoutPanel)).textContent ?? '';
    expect(text).toContain('on the rig; screen out');
    expect(text).toContain('on Heron, lens flange');
    expect(text).toContain('700 g');
  });
});
