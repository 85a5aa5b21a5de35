import * as fc from 'fast-check';
import {
  changedLoadout,
  CLASS_FACTS,
  freePoints,
  itemFigures,
  newItem,
  placeItems,
  standingOn,
  withClass,
  type LoadoutChange,
} from '.';
import { holds } from '../testing/holds';
import { KIT_CLASSES, kitItem, loadout as loadoutSchema, type KitClass, type KitItem, type Loadout } from '../model';

const item = (id: string, kind: KitClass, more: Partial<KitItem> = {}): KitItem => ({
  ...newItem(id, kind, id),
  ...more,
});
const list = [
  item('body', 'camera'),
  item('other-body', 'camera'),
  item('cage', 'cage'),
  item('wide', 'lens'),
  item('tele', 'lens', { goesWith: ['collar'] }),
  item('collar', 'clamp', { goesWith: ['screw'] }),
  item('screw', 'other'),
  item('mic', 'microphone'),
  item('filter', 'filter'),
  item('cell', 'battery'),
  item('plate', 'plate', { goesWith: ['screw'] }),
];
const kit = new Map(list.map((k) => [k.id, k]));
let made = 0;
const newId = (): string => `e${++made}`;
const empty: Loadout = { id: 'l', name: 'l', conditions: '', items: [] };
const after = (...changes: readonly LoadoutChange[]): Loadout =>
  changes.reduce((now, change) => changedLoadout(now, change, kit, newId), empty);
const mount = (id: string): LoadoutChange => ({ kind: 'mount', item: id });
const things = (l: Loadout): string => l.items.map((m) => m.item).join(' ');
const entry = (l: Loadout, id: string): Loadout['items'][number] => l.items.find((m) => m.item === id)!;

describe('kit by class', () => {
  it('makes an item its schema takes, with a guess of its mass, for every class', () => {
    expect(Object.keys(CLASS_FACTS).sort()).toEqual([...KIT_CLASSES].sort());
    for (const kind of KIT_CLASSES) {
      const fresh = newItem('x', kind, kind);
      expect(kitItem.safeParse(fresh).success).withContext(kind).toBeTrue();
      const figures = itemFigures(fresh);
      expect(figures.mass).withContext(kind).toBeGreaterThan(0);
      expect(figures.massSpread)
        .withContext(kind)
        .toBeGreaterThan(0.1 * figures.mass);
      expect(figures.weighed || figures.balanced)
        .withContext(kind)
        .toBeFalse();
      expect(fresh.mountPoints.every((p) => p.kind !== undefined))
        .withContext(kind)
        .toBeTrue();
    }
  });
  it('turns one into another without losing its sizes', () => {
    const lens = withClass({ ...newItem('x', 'camera', 'x'), size: [0.09, 0.07, 0.07] }, 'lens');
    expect([lens.form, lens.foot, lens.boxCentre[0]]).toEqual(['cylinder', 'lens mount', 0.045]);
    expect(lens.mountPoints.map((p) => p.at[0])).toEqual([0.09]);
  });
});

describe('mounting', () => {
  it('finds each thing the point that is made for it', () => {
    const l = after(mount('body'), mount('wide'), mount('mic'), mount('cell'), mount('filter'));
    expect(l.items.map((m) => m.on?.point ?? 'rig')).toEqual(['rig', 'flange', 'shoe', 'battery', 'front']);
    expect(entry(l, 'filter').on!.mounted).toBe(entry(l, 'wide').id);
    expect(freePoints(l, kit)).toEqual([]);
    expect(standingOn(kit.get('tele')!, l, kit)).toEqual({ mounted: entry(l, 'body').id, point: 'flange' });
  });
  it('brings what is tied, and what that is tied to, each once', () => {
    expect(things(after(mount('body'), mount('tele')))).toBe('body tele collar screw');
    expect(things(after(mount('body'), mount('screw'), mount('tele')))).toBe('body screw tele collar');
  });
  it('ignores what is not in the kit, and what is not mounted', () => {
    expect(things(after(mount('body'), mount('ghost')))).toBe('body');
    const l = after(mount('body'));
    expect(changedLoadout(l, { kind: 'takeOff', mounted: 'nobody' }, kit, newId)).toBe(l);
    expect(changedLoadout(l, { kind: 'swap', mounted: 'nobody', item: 'wide' }, kit, newId)).toBe(l);
  });
});

describe('taking off and swapping', () => {
  it('takes off all that stands on it, and what was tied to it alone', () => {
    const l = after(mount('body'), mount('plate'), mount('tele'));
    expect(things(l)).toBe('body plate screw tele collar');
    expect(things(changedLoadout(l, { kind: 'takeOff', mounted: entry(l, 'tele').id }, kit, newId))).toBe(
      'body plate screw',
    );
    expect(things(changedLoadout(l, { kind: 'takeOff', mounted: entry(l, 'body').id }, kit, newId))).toBe('');
  });
  it('puts the other in the same place, with all that stood on the first', () => {
    const l = after(mount('body'), mount('wide'), mount('mic'), mount('filter'));
    const body = changedLoadout(l, { kind: 'swap', mounted: entry(l, 'body').id, item: 'other-body' }, kit, newId);
    expect(things(body)).toBe('other-body wide mic filter');
    expect(placeItems(body, kit).faults).toEqual([]);
    const lens = changedLoadout(l, { kind: 'swap', mounted: entry(l, 'wide').id, item: 'tele' }, kit, newId);
    expect(things(lens)).toContain('tele');
    expect(things(lens)).toContain('collar');
    expect(entry(lens, 'filter').on!.point).toBe('front');
  });
  it('never leaves a loadout that its schema refuses or that names what is not there', () => {
    const change = fc.record({
      kind: fc.constantFrom('mount', 'takeOff', 'swap'),
      item: fc.constantFrom(...list.map((k) => k.id)),
      at: fc.nat(9),
    });
    holds(
      fc.property(fc.array(change, { maxLength: 14 }), (changes) => {
        const l = changes.reduce<Loadout>((now, { kind, item: id, at }) => {
          const mounted = now.items[at % Math.max(1, now.items.length)]?.id ?? 'none';
          return changedLoadout(
            now,
            kind === 'mount' ? mount(id) : kind === 'takeOff' ? { kind, mounted } : { kind: 'swap', mounted, item: id },
            kit,
            newId,
          );
        }, empty);
        const ids = new Set(l.items.map((m) => m.id));
        return (
          loadoutSchema.safeParse(l).success &&
          ids.size === l.items.length &&
          l.items.every((m) => !m.on || ids.has(m.on.mounted)) &&
          placeItems(l, kit).faults.every((f) => f.reason.includes('mounting point'))
        );
      }),
      { seed: 309, numRuns: 200 },
    );
  });
});
