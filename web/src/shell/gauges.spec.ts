import { METRIC, render } from '@tide-pebble/core';
import { trimWords } from '@tide-pebble/core/bench';
import type { StockPlan } from '@tide-pebble/core/making';
import { NOT_YET } from '../services/firmnesses';
import type { Bench } from '../services/workspace';
import { benchAt, massOf } from '../testing/bench';
import { gaugesOf } from './gauges';

/** As they are printed, in millimetres. */
const printed = (bench: Bench, stock: StockPlan | null = null) =>
  gaugesOf(bench, stock, NOT_YET).map(({ id, gauge }) => ({
    id,
    gauge: { ...gauge, figure: render(gauge.figure, METRIC), rest: render(gauge.rest, METRIC) },
  }));

describe('the tide line', () => {
  it('has seven gauges, each figure with its unit and a word', () => {
    const bench = benchAt({ 'foot-count': 10 });
    const gauges = printed(bench, { cuts: [], lines: [], cost: 31.4 });
    expect(gauges.map((g) => g.id)).toEqual(['first', 'second', 'third', 'mass', 'calm', 'wobble', 'cost']);
    expect(gauges[3]!.gauge.figure).toBe(`${Math.round(massOf(bench) * 1000).toLocaleString('en-GB')} g`);
    expect(gauges[6]!.gauge.rest).toBe('shop 200');
    // As far as its screw may have to go, which a hand can do something with.
    expect(gauges[0]!.gauge.rest).toMatch(/nose (up|down) ± [\d/ ]+ turns?$/);
  });
  it('says of a lean that is hardly known only that', () => {
    const bench = benchAt({ 'foot-count': 10 });
    const { evaluation } = bench.judged;
    const hung = evaluation.hung!;
    const spread = (noseDown: number): string =>
      printed({
        ...bench,
        judged: {
          ...bench.judged,
          context: {
            ...bench.judged.context,
            // Without a quick look at other settings no screw is known to take it up.
            quick: null,
            evaluation: { ...evaluation, hung: { ...hung, spread: { ...hung.spread, noseDown } } },
          },
        },
      })[0]!.gauge.rest;
    expect(spread(0.1)).toMatch(/nose (up|down) ± 11°$/);
    expect(spread(0.7)).toMatch(/nose (up|down) ± >45°$/);
  });
  it('prints no angle for a rig that turns over', () => {
    const gauges = printed(benchAt({}));
    expect(gauges[0]!.gauge.figure).toBe('turns over');
    expect(gauges[2]!.gauge).toEqual(jasmine.objectContaining({ figure: 'never', out: true }));
    expect(gauges[6]!.gauge.figure).toBe('–');
  });
  it('tells each way a trim can end', () => {
    const say = (outcome: Parameters<typeof trimWords>[0]): string =>
      render(trimWords(outcome, benchAt({}).work.rig.adjusters), METRIC);
    const solved = {
      kind: 'solved' as const,
      values: {},
      addedMass: 0.122,
      ties: [],
      cost: 0.07,
      next: null,
      gap: null,
      combinations: 4913,
      looked: 3,
      unmet: [],
    };
    expect(say(solved)).toBe('Balanced with 122 g of washers: proven the lightest of 4,913 ways to put them on.');
    expect(say({ ...solved, unmet: ['mass'], gap: { atMost: 0.01, looked: 10, of: 20 } })).toContain(
      'Not proven best: 10 of 20',
    );
    expect(say({ ...solved, unmet: ['mass'] })).toContain('Let go for it: mass at most.');
    const none = {
      kind: 'impossible' as const,
      nearest: {},
      failing: 'dropPitch' as const,
      beyond: null,
      combinations: 9,
      proven: true,
    };
    expect(say(none)).toContain(
      '“drop time” cannot be met. Every way was looked at or ruled out. Nothing was changed.',
    );
    expect(say({ ...none, beyond: { mover: 'stage-fore-aft', by: 0.005 }, proven: false })).toContain(
      'stage, fore and aft would have to go 5 mm further than it can. Not every way was looked at.',
    );
    expect(
      say({ kind: 'axesSet', values: {}, left: [{ name: 'tilt axis', residual: 0.02, friction: 0.01 }] }),
    ).toContain('tilt axis still pulls round with 0.020 N·m');
    expect(say({ kind: 'nothingBears' })).toContain('no hand holds it');
    expect(say({ kind: 'nothingToSet' })).toContain('nothing to set');
  });
});

describe('the tide line of a held rig', () => {
  it('tells what tips in the wrist and how long it is held, and no angle or drop', () => {
    const names = printed(benchAt({}, 'pipe-post')).map((g) => g.gauge.name);
    expect(names.slice(0, 3)).toEqual(['Wrist, nose', 'Wrist, sides', 'Hold, roughly']);
    const [, sides] = printed(benchAt({}, 'pipe-post'));
    expect(sides!.gauge.figure).toMatch(/N·m$/);
    expect(sides!.gauge.rest).toBe('left down');
  });
});

describe('the tide line of what is worn, spun or hung in axes', () => {
  const gauges = (family: string, values: Record<string, number> = {}) =>
    printed(benchAt(values, family))
      .slice(0, 3)
      .map((g) => g.gauge);
  it('tells what the hands and the body bear', () => {
    const [hands, body, hold] = gauges('shoulder-rig', { 'tail-count': 1 });
    expect([hands!.name, body!.name]).toEqual(['Hands', 'Body']);
    expect(hands!.figure).toMatch(/ N$/);
    expect(body!.rest).toMatch(/^shoulder, \d+ %$/);
    expect(hold!.name).toMatch(/^Hold/);
  });
  it('tells a pole’s droop at rest and spun, and what the neck feels', () => {
    const [rest, spun, neck] = gauges('helmet-pole', { 'tail-count': 10 });
    expect([rest!.name, spun!.name, neck!.name]).toEqual(['Droop at rest', 'At one turn a second', 'On the neck']);
    expect(neck!.figure).toMatch(/N·m$/);
    const [fallen] = gauges('helmet-pole', { 'tail-count': 0, 'camera-along': 0.015 });
    expect(fallen!.out).toBeTrue();
    expect(fallen!.rest).toMatch(/stop|end down/);
  });
  it('tells each axis against its friction, out when it is pulled round', () => {
    expect(gauges('three-axis-frame').map((g) => g.name)).toEqual(['Tilt axis', 'Roll axis', 'Pan axis']);
    const [tilt] = gauges('three-axis-frame', { 'camera-fore-aft': 0.04 });
    expect(tilt).toEqual(jasmine.objectContaining({ rest: 'pulls round', out: true }));
  });
});
