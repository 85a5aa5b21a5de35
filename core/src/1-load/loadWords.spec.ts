import { METRIC, render, type Vec3 } from '../0-base';
import {
  coverageOf,
  coverWords,
  drawnLoadWords,
  extremeWords,
  fromFootWords,
  nextMeasureWords,
  shiftWords,
  whatIsOpen,
  withMeasurement,
} from '../measuring';
import type { KitItem, Loadout, Measurement } from '../model';
import { camera, kit } from '../testing/rigs';
import { newItem } from './newItem';

const at = (id: string, offset: Vec3): Loadout => ({
  id,
  name: id === 'a' ? 'Ebb' : 'Flood',
  conditions: '',
  items: [{ id: `${id}-b`, item: camera.id, on: null, offset }],
});
const shown = (words: Parameters<typeof render>[0]): string => render(words, METRIC);

describe('the load in words', () => {
  it('a place from the foot on either side, each axis in its own', () => {
    const lines = ([0, 1, 2] as const).flatMap((axis) => [0.038, -0.0042].map((v) => shown(fromFootWords(axis, v))));
    expect(lines).toEqual([
      '38 mm ahead of the foot',
      '4.2 mm behind the foot',
      '38 mm to the left of the foot',
      '4.2 mm to the right of the foot',
      '38 mm above the foot',
      '4.2 mm below the foot',
    ]);
    expect(shown(drawnLoadWords('Ebb', [-0.02, 0.03, 0.06], 4))).toBe(
      'Ebb, square-on at 1 to 4. Its mass centre lies 20 mm behind the foot, 30 mm to the left of the foot, 60 mm above the foot.',
    );
  });
  it('a shift by its greatest part', () => {
    expect(shown(shiftWords([0.001, -0.012, 0.003]))).toBe('12 mm to the right');
    expect(shown(shiftWords([-0.012, 0.001, 0.003]))).toBe('12 mm back');
    expect(shown(shiftWords([0, 0, 0.0051]))).toBe('5.1 mm up');
  });
  it('what all loadouts ask of a slide, and nothing for one alone', () => {
    const coverage = coverageOf([at('a', [0, 0, 0]), at('b', [0.03, 0, 0])], kit);
    expect(shown(coverWords(coverage)!)).toMatch(
      /^To cover all 2 loadouts a slide must travel 30 mm ± .* fore and aft, 0 mm ± .* sideways\.$/,
    );
    expect(coverWords(coverageOf([at('a', [0, 0, 0])], kit))).toBeNull();
    expect(coverWords(coverageOf([], kit))).toBeNull();
    const { least, most } = coverage.axes![0];
    expect(shown(extremeWords(most, 0, coverage.loadouts, kit))).toMatch(/^Flood, \d+ mm ahead of the foot/);
    expect(shown(extremeWords(least, 0, coverage.loadouts, kit))).toMatch(/^Ebb, /);
  });
  it('the measurement that would tell most', () => {
    const next = { item: 'c', now: 0, then: 0, before: 0.004, after: 0.001 };
    expect(nextMeasureWords({ ...next, what: 'mass', axis: null, helps: 0 }, 'Heron')).toEqual({
      what: 'Weigh Heron',
      along: 'fore and aft',
    });
    expect(nextMeasureWords({ ...next, what: 'centre', axis: 2, helps: 2 }, 'Heron')).toEqual({
      what: 'Balance Heron for its height',
      along: 'in height',
    });
  });
  it('what of an item is open: its mass, an axis, two ways that disagree, a second way, nothing', () => {
    let lens: KitItem = { ...newItem('l', 'lens', 'Long lens'), size: [0.1, 0.07, 0.07], boxCentre: [0.05, 0, 0] };
    const take = (m: Partial<Measurement> & Pick<Measurement, 'id' | 'method'>, read: Record<string, number>): void => {
      lens = withMeasurement(lens, {
        scaleStep: 0.001,
        rulerStep: 0.001,
        readings: Object.fromEntries(Object.entries(read).map(([id, value]) => [id, [{ value }]])),
        ...m,
      });
    };
    expect(whatIsOpen(lens)).toMatch(/^Put it on the scale/);
    take({ id: 'w', method: 'weigh' }, { scale: 0.4 });
    expect(whatIsOpen(lens)).toMatch(/^Balance it on an edge fore and aft, sideways and for its height: /);
    for (const axis of [0, 1, 2] as const)
      take({ id: `e${axis}`, method: 'onAnEdge', axis }, { tipsOneWay: 0.034, tipsOtherWay: 0.036 });
    expect(whatIsOpen(lens)).toMatch(/^All is measured\. A second way fore and aft/);
    take({ id: 'off', method: 'onAnEdge', axis: 1 }, { tipsOneWay: 0.05, tipsOtherWay: 0.052 });
    expect(whatIsOpen(lens)).toMatch(/^Two ways disagree/);
    take({ id: 'off', method: 'onAnEdge', axis: 1 }, { tipsOneWay: 0.034, tipsOtherWay: 0.036 });
    for (const axis of [0, 2] as const)
      take({ id: `f${axis}`, method: 'onAnEdge', axis }, { tipsOneWay: 0.034, tipsOtherWay: 0.036 });
    expect(whatIsOpen(lens)).toBe('All is measured, each axis in more than one way.');
  });
});
