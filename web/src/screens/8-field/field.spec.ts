import { figure, METRIC, showFigure, type Loadout, type SetUp } from '@tide-pebble/core';
import { benchAt, camera, loadout } from '../../testing/bench';
import { sheet, type PlayedWorkspace } from '../../testing/sheets';
import { Field } from './field';

const flood: Loadout = {
  id: 'flood',
  name: 'Flood',
  conditions: 'Screen out.',
  items: [{ id: 'm-cam', item: 'gannet', on: null, offset: [0, 0, 0] }],
};
const setup = (id: string, of: string, values: SetUp['values'], rig = 'r1'): SetUp => ({
  id,
  rig,
  loadout: of,
  values,
});
const withSetups =
  (setups: readonly SetUp[]) =>
  (w: PlayedWorkspace): void => {
    w.kit$.next(
      new Map([camera, { ...camera, id: 'gannet', name: 'Gannet body', mass: { value: 0.62 } }].map((k) => [k.id, k])),
    );
    w.loadouts$.next([flood, loadout]);
    w.setups$.next(setups);
  };
const cards = (page: HTMLElement): readonly HTMLElement[] => [...page.querySelectorAll<HTMLElement>('article')];

describe('the field cards', () => {
  it('are one a set-up of this rig, the one that is on first', async () => {
    const { page } = await sheet(
      Field,
      benchAt({}),
      withSetups([
        setup('s2', 'flood', { 'foot-count': 3 }),
        setup('s1', 'ebb', { 'foot-count': 5 }),
        setup('other', 'ebb', {}, 'r9'),
      ]),
    );
    expect(cards(page).map((c) => c.querySelector('.loadout')!.textContent.trim())).toEqual([
      'Ebb',
      'Flood (not on the rig now)',
    ]);
    expect(cards(page)[1]!.textContent).toContain('Screen out.');
    expect(cards(page)[1]!.textContent).toContain('card 2 of 2');
  });
  it('say washers and marks as they are set, and weigh what they weigh', async () => {
    const bench = benchAt({ 'foot-count': 5, 'stage-fore-aft': -0.0123 });
    const { page } = await sheet(Field, bench, withSetups([setup('s1', 'ebb', bench.values)]));
    const section = (name: string): string =>
      [...page.querySelectorAll('section')]
        .find((s) => s.querySelector('h2')!.textContent === name)!
        .textContent.replace(/\s+/g, ' ');
    expect(section('Foot washers')).toContain('5 washers');
    expect(section('Rear washers')).toContain('bare bolt');
    expect(section('Stage, fore and aft')).toContain('12.3 mm back');
    expect(section('Stage, side to side')).toContain('on the mark');
    expect(page.textContent).toContain(
      `${showFigure(figure('mass', bench.judged.evaluation.mass), METRIC)} in the hand`,
    );
    expect(page.querySelectorAll('.care li').length).toBeGreaterThan(0);
  });
  it('do not promise a drop to what turns over', async () => {
    const { page } = await sheet(
      Field,
      benchAt({}),
      withSetups([setup('s1', 'ebb', { 'foot-count': 0, 'rear-count': 0, 'front-count': 0, 'pivot-height': -0.0075 })]),
    );
    expect(page.querySelector('.expect')!.textContent).toContain('turns over');
    expect(page.querySelector('.expect')!.textContent).toContain('it does not right itself');
  });
  it('of a held rig tell the wrist and how long the hand holds it; of a frame of axes what is left on the worst', async () => {
    for (const [family, words] of [
      ['hand-frame', /in the wrist|in the hand/],
      ['three-axis-frame', /left on the .* axis; its friction hides/],
      ['boom', /in the hand|in the wrist/],
    ] as const) {
      const { page } = await sheet(Field, benchAt({}, family), withSetups([setup('s1', 'ebb', {})]));
      expect(page.querySelector('.expect')!.textContent).withContext(family).toMatch(words);
      expect(page.textContent)
        .withContext(family)
        .not.toMatch(/NaN|undefined|Infinity/);
    }
  });
  it('without a set-up lead to where one is made', async () => {
    const { page } = await sheet(Field, benchAt({}), withSetups([]));
    expect(page.querySelector('.none a')!.getAttribute('href')).toBe('/balance');
    expect(page.textContent).toContain('Trim Limpet in Balance');
  });
});
