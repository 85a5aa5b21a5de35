import * as fc from 'fast-check';
import { itemFigures, loadFindings, placeLoad } from '.';
import { coverageOf, lensCones } from '../measuring';
import { METRIC, quaternionAbout, render } from '../0-base';
import type { KitItem, Loadout } from '../model';
import { camera, kit, lens, loadout } from '../testing/rigs';
import { holds } from '../testing/holds';
import { massCentre, sumsOf } from './moments';
import { LOAD_CHECKS } from './checks';

const zoomLens: KitItem = {
  ...lens,
  id: 'zoom',
  name: 'Zoom',
  states: [
    {
      id: 'zoom',
      name: 'zoom',
      choices: [
        { id: 'wide', name: 'wide', focalLength: 0.012 },
        { id: 'long', name: 'long', focalLength: 0.04, change: { kind: 'moves', by: [0.02, 0, 0] } },
      ],
    },
  ],
};
const screened: KitItem = {
  ...camera,
  id: 'cam2',
  name: 'Screen body',
  states: [
    {
      id: 'screen',
      name: 'screen',
      choices: [
        { id: 'in', name: 'in' },
        { id: 'out', name: 'out', change: { kind: 'moves', by: [0, 0.004, 0] } },
      ],
    },
    {
      id: 'strap',
      name: 'strap',
      choices: [
        { id: 'off', name: 'off' },
        {
          id: 'on',
          name: 'on',
          change: { kind: 'adds', mass: { value: 0.06, spread: 0.001 }, at: [-0.02, 0.03, 0.01] },
        },
      ],
    },
  ],
};
const all = new Map<string, KitItem>([...kit, [zoomLens.id, zoomLens], [screened.id, screened]]);
const with_ = (id: string, body: string, glass: string | null, states: Record<string, string> = {}): Loadout => ({
  id,
  name: id,
  conditions: '',
  items: [
    { id: `${id}-b`, item: body, on: null, offset: [0, 0, 0], states },
    ...(glass
      ? [{ id: `${id}-g`, item: glass, on: { mounted: `${id}-b`, point: 'flange' }, offset: [0, 0, 0] as const }]
      : []),
  ],
});

describe('states', () => {
  it('move the centre or add mass, and their order does not matter', () => {
    const out = itemFigures(screened, { screen: 'out', strap: 'on' });
    expect(out.mass).toBeCloseTo(0.56, 12);
    const hand = [0, 1, 2].map(
      (i) => (0.5 * (screened.massCentre!.at[i]! + (i === 1 ? 0.004 : 0)) + 0.06 * [-0.02, 0.03, 0.01][i]!) / 0.56,
    );
    out.centre.forEach((c, i) => expect(c).toBeCloseTo(hand[i]!, 12));
    const turned: KitItem = { ...screened, states: [...screened.states!].reverse() };
    itemFigures(turned, { screen: 'out', strap: 'on' }).centre.forEach((c, i) => expect(c).toBeCloseTo(hand[i]!, 12));
    expect(itemFigures(screened)).toEqual(itemFigures(camera));
  });
  it('never take off more than there is', () => {
    const odd: KitItem = {
      ...camera,
      states: [
        {
          id: 's',
          name: 's',
          choices: [
            { id: 'a', name: 'a' },
            { id: 'b', name: 'b', change: { kind: 'adds', mass: { value: -2 }, at: [0, 0, 0] } },
          ],
        },
      ],
    };
    expect(itemFigures(odd, { s: 'b' }).mass).toBe(0.5);
  });
});

describe('coverage', () => {
  it('of one loadout is its own mass centre, as the rig reckons it', () => {
    const { loadouts, axes } = coverageOf([loadout], kit);
    const whole = massCentre(sumsOf(placeLoad(loadout, kit).bodies));
    loadouts[0]!.centre.forEach((c, i) => expect(c).toBeCloseTo(whole[i]!, 12));
    expect(axes![0].travel).toBe(0);
    expect(loadouts[0]!.mass).toBeCloseTo(0.7, 12);
  });
  it('spans its loadouts, names the extremes and what carries them there', () => {
    const { axes } = coverageOf([with_('bare', 'cam', null), with_('lensed', 'cam', 'lens')], all);
    const lensed = (0.5 * 0.006 + 0.2 * (0.034 + 0.027)) / 0.7;
    expect(axes![0].travel).toBeCloseTo(lensed - 0.006, 12);
    expect(axes![0].middle).toBeCloseTo((lensed + 0.006) / 2, 12);
    expect([axes![0].least.loadout, axes![0].most.loadout, axes![0].most.because!.item]).toEqual([
      'bare',
      'lensed',
      'lens',
    ]);
  });
  it('folds in the states left open, not those set', () => {
    const open = coverageOf([with_('a', 'cam2', 'zoom')], all).loadouts[0]!;
    expect(open.to[0] - open.centre[0]).toBeGreaterThan((0.02 * 0.2) / 0.77);
    expect(open.shifts.map((s) => `${s.state} ${s.choice}`)).toEqual(['screen out', 'strap on', 'zoom long']);
    expect(open.shifts[2]!.moves[0]).toBeCloseTo((0.02 * 0.2) / 0.7, 12);
    const rough: KitItem = {
      ...screened,
      states: [
        {
          id: 'screen',
          name: 'screen',
          choices: [
            { id: 'in', name: 'in' },
            { id: 'out', name: 'out', change: { kind: 'moves', by: [0, 0.004, 0], spread: [0, 0.001, 0] } },
          ],
        },
      ],
    };
    const one = coverageOf([with_('a', 'cam', null)], new Map([['cam', rough]])).axes![1];
    expect(one.travel).toBeCloseTo(0.004, 12);
    expect(one.travelSpread).toBeCloseTo(0.001, 12);
    const set = coverageOf([with_('a', 'cam2', null, { screen: 'in', strap: 'off' })], all).loadouts[0]!;
    expect(set.from).toEqual(set.centre);
    expect(set.shifts).toEqual([]);
  });
  it('finds the same ends as trying every mix of states', () => {
    const shift = fc.double({ min: -0.03, max: 0.03, noNaN: true });
    const state = fc.record({ dm: fc.double({ min: -0.1, max: 0.3, noNaN: true }), at: shift, by: shift });
    holds(
      fc.property(fc.array(state, { minLength: 1, maxLength: 4 }), (list) => {
        const item: KitItem = {
          ...camera,
          states: list.map((s, i) => ({
            id: `s${i}`,
            name: `s${i}`,
            choices: [
              { id: 'a', name: 'a' },
              { id: 'b', name: 'b', change: { kind: 'adds', mass: { value: s.dm }, at: [s.at, 0, 0] } },
              { id: 'c', name: 'c', change: { kind: 'moves', by: [s.by, 0, 0] } },
            ],
          })),
        };
        const found = coverageOf([with_('a', 'cam', null)], new Map([['cam', item]])).loadouts[0]!;
        const places: number[] = [];
        const walk = (i: number, chosen: Record<string, string>): void => {
          if (i === list.length) places.push(itemFigures(item, chosen).centre[0]);
          else for (const c of ['a', 'b', 'c']) walk(i + 1, { ...chosen, [`s${i}`]: c });
        };
        walk(0, {});
        return (
          Math.abs(found.from[0] - Math.min(...places)) < 1e-9 && Math.abs(found.to[0] - Math.max(...places)) < 1e-9
        );
      }),
      { seed: 305 },
    );
  });
  it('turned and moved as a whole, spans the same', () => {
    holds(
      fc.property(fc.double({ min: -3, max: 3, noNaN: true }), (angle) => {
        const turned = (l: Loadout): Loadout => ({
          ...l,
          items: l.items.map((m) =>
            m.on ? m : { ...m, offset: [0.1, -0.2, 0.05], turn: quaternionAbout([0, 0, 1], angle) },
          ),
        });
        const plain = coverageOf([with_('a', 'cam', 'lens')], all).loadouts[0]!;
        const [x, y] = coverageOf([turned(with_('a', 'cam', 'lens'))], all).loadouts[0]!.centre;
        const [c, s] = [Math.cos(angle), Math.sin(angle)];
        return (
          Math.abs(x - (0.1 + c * plain.centre[0] - s * plain.centre[1])) < 1e-12 &&
          Math.abs(y - (-0.2 + s * plain.centre[0] + c * plain.centre[1])) < 1e-12
        );
      }),
      { seed: 306 },
    );
  });
  it('names the one measurement that helps most, and what it would settle', () => {
    const rough: KitItem = { ...lens, massCentre: { at: [0.027, 0, 0], spread: [0.006, 0.0005, 0.0005] } };
    const { next } = coverageOf([with_('a', 'cam', 'lens')], new Map<string, KitItem>([...all, ['lens', rough]]));
    expect([next!.item, next!.what, next!.axis]).toEqual(['lens', 'centre', 0]);
    expect(next!.after).toBeLessThan(next!.before / 2);
    const exact: KitItem = {
      ...camera,
      mass: { value: 0.5, spread: 0.0001 },
      massCentre: { at: [0, 0, 0], spread: [0.0001, 0.0001, 0.0001] },
    };
    expect(coverageOf([with_('a', 'cam', null)], new Map([['cam', exact]])).next).toBeNull();
  });
  it('has nothing to say about nothing', () => {
    expect(coverageOf([{ ...loadout, items: [] }], kit)).toEqual({ loadouts: [], axes: null, next: null });
  });
});

describe('the lens cone', () => {
  const sensor = { width: 0.024, height: 0.016 };
  const seeing = (more: Partial<KitItem>, glass: Partial<KitItem> = {}): ReadonlyMap<string, KitItem> =>
    new Map<string, KitItem>([
      ['cam', { ...camera, sensor, ...more }],
      ['lens', { ...lens, focalLength: { shortest: 0.012, longest: 0.024 }, ...glass }],
    ]);
  const cone = (k: ReadonlyMap<string, KitItem>, l = with_('a', 'cam', 'lens')) => lensCones(l, k)[0]!;
  it('is a right angle for a sensor twice the focal length, and starts at the front of the lens', () => {
    const found = cone(seeing({}));
    expect(found.kind === 'cone' && found.cone.wide.across).toBeCloseTo(Math.PI / 2, 12);
    expect(found.kind === 'cone' && found.cone.long.across).toBeCloseTo(2 * Math.atan(0.5), 12);
    expect(found.kind === 'cone' && found.cone.front[0]).toBeCloseTo(0.034 + 0.06, 12);
  });
  it('narrows with crop and widens with squeeze, across only', () => {
    const cropped = cone(seeing({ sensor: { ...sensor, crop: 2 } }));
    expect(cropped.kind === 'cone' && cropped.cone.wide.across).toBeCloseTo(2 * Math.atan(0.5), 12);
    const squeezed = cone(seeing({}, { squeeze: 2 }));
    expect(squeezed.kind === 'cone' && squeezed.cone.wide.across).toBeCloseTo(2 * Math.atan(2), 12);
    expect(squeezed.kind === 'cone' && squeezed.cone.wide.up).toBeCloseTo(2 * Math.atan(0.016 / 0.024), 12);
  });
  it('takes a zoom as it is set, or all of it when left open', () => {
    const k = new Map<string, KitItem>([
      ['cam', { ...camera, sensor }],
      ['zoom', zoomLens],
    ]);
    const open = cone(k, with_('a', 'cam', 'zoom'));
    expect(open.kind === 'cone' && [open.cone.wide.focalLength, open.cone.long.focalLength]).toEqual([0.012, 0.04]);
    const l = with_('a', 'cam', 'zoom');
    const set = cone(k, { ...l, items: [l.items[0]!, { ...l.items[1]!, states: { zoom: 'long' } }] });
    expect(set.kind === 'cone' && set.cone.wide.focalLength).toBe(0.04);
  });
  it('is not known without sensor, lens or focal length, and says what to look up', () => {
    const { focalLength: _f, ...blind } = lens;
    expect(lensCones(with_('a', 'cam', 'lens'), all)[0]).toEqual(
      jasmine.objectContaining({ kind: 'notKnown', measure: jasmine.stringContaining('sensor') as never }),
    );
    expect(
      cone(
        new Map<string, KitItem>([
          ['cam', { ...camera, sensor }],
          ['lens', blind],
        ]),
      ),
    ).toEqual(jasmine.objectContaining({ measure: jasmine.stringContaining('focal length') as never }));
    expect(cone(seeing({}), with_('a', 'cam', null))).toEqual(
      jasmine.objectContaining({ measure: jasmine.stringContaining('no lens') as never }),
    );
  });
});

describe('a loadout judged', () => {
  const codes = (l: Loadout, k: ReadonlyMap<string, KitItem>): readonly string[] =>
    loadFindings(l, k).map((f) => f.code);
  it('found its checks, and a sound one has no findings', () => {
    expect(LOAD_CHECKS.length).toBeGreaterThanOrEqual(4);
    expect(codes(loadout, kit)).toEqual([]);
  });
  it('asks for what was never weighed', () => {
    const { mass: _mass, ...unweighed } = camera;
    const found = loadFindings(loadout, new Map<string, KitItem>([...kit, ['cam', unweighed]]));
    expect(found.map((f) => f.code)).toEqual(['notWeighed']);
    expect(render(found[0]!.title, METRIC)).toBe('Heron body has never been weighed.');
  });
  it('misses what is tied, and offers to mount it', () => {
    const tied = new Map<string, KitItem>([...all, ['cam', { ...camera, goesWith: ['zoom', 'gone'] }]]);
    const found = loadFindings(loadout, tied);
    expect(found.map((f) => f.fixes.flatMap((x) => x.changes))).toEqual([
      [{ kind: 'mount', id: 'zoom', into: 'ebb' }],
      [],
    ]);
  });
  it('sees what stands where a screen must swing, and what only touches', () => {
    const clear = (x: number): ReadonlyMap<string, KitItem> =>
      new Map<string, KitItem>([
        ...kit,
        [
          'cam',
          {
            ...camera,
            clearances: [{ id: 'c', kind: 'screen swing', at: [x, 0.003, 0.037], size: [0.02, 0.02, 0.02] }],
          },
        ],
      ]);
    expect(codes(loadout, clear(0.05))).toEqual(['standsInTheWay']);
    expect(codes(loadout, clear(0.024))).toEqual([]);
  });
  it('stops at what stands on itself', () => {
    const ring: Loadout = {
      ...loadout,
      items: [{ ...loadout.items[0]!, on: { mounted: 'm-lens', point: 'flange' } }, loadout.items[1]!],
    };
    expect(codes(ring, kit)).toEqual(['loadNotPlaced', 'loadNotPlaced']);
  });
});
