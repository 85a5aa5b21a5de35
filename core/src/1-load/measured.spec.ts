import * as fc from 'fast-check';
import { newItem } from '.';
import {
  agreement,
  averaged,
  comparedOf,
  METHODS,
  methodById,
  planeOfPhoto,
  remeasured,
  resultsOf,
  weighedAs,
  withMeasurement,
  withoutMeasurement,
  type MethodOutcome,
} from '../measuring';
import { METRIC, render } from '../0-base';
import type { KitItem, Measurement } from '../model';
import { holds } from '../testing/holds';

const lens: KitItem = { ...newItem('l', 'lens', 'Long lens'), size: [0.1, 0.07, 0.07], boxCentre: [0.05, 0, 0] };
const steps = { scaleStep: 0.001, rulerStep: 0.001 };
const one = (
  method: string,
  readings: Record<string, number | readonly number[]>,
  more: Partial<Measurement> = {},
): Measurement => ({
  id: more.id ?? method,
  method,
  ...steps,
  readings: Object.fromEntries(
    Object.entries(readings).map(([id, v]) => [id, (typeof v === 'number' ? [v] : v).map((value) => ({ value }))]),
  ),
  ...more,
});
const outcomeOf = (item: KitItem, m: Measurement): MethodOutcome =>
  resultsOf({ ...item, measurements: [m] })[0]!.outcome;
const reasonOf = (item: KitItem, m: Measurement): string => {
  const outcome = outcomeOf(item, m);
  return outcome.kind === 'impossible' ? render(outcome.reason, METRIC) : outcome.kind;
};
const centreFound = (item: KitItem, m: Measurement, place = 0): number => {
  const outcome = outcomeOf(item, m);
  return outcome.kind === 'found'
    ? outcome.found.filter((f) => f.what === 'centre')[place]!.value
    : (fail(reasonOf(item, m)) as never);
};

describe('repeated readings', () => {
  it('are averaged; scatter and step both count', () => {
    const found = averaged([{ value: 0.1 }, { value: 0.102 }], 0.001)!;
    expect(found.value).toBeCloseTo(0.101, 12);
    expect(found.spread).toBeCloseTo(Math.hypot(0.001, 0.001 / Math.sqrt(12)), 9);
    expect(averaged([{ value: 0.1 }], 0.001)!.spread).toBeCloseTo(0.001 / Math.sqrt(12), 12);
  });
  it('that stand apart are shown and still count, until left out', () => {
    const readings = [{ value: 0.05 }, { value: 0.0505 }, { value: 0.058 }, { value: 0.05 }];
    const found = averaged(readings, 0.001)!;
    expect(found.apart).toEqual([2]);
    expect(found.value).toBeCloseTo(0.052125, 9);
    const without = averaged(
      readings.map((r, i) => (i === 2 ? { ...r, leftOut: true as const } : r)),
      0.001,
    )!;
    expect(without.value).toBeCloseTo(0.0501667, 6);
    expect(without.apart).toEqual([]);
  });
  it('of a step or two are no outliers, and two alone never are', () => {
    expect(averaged([{ value: 0.05 }, { value: 0.05 }, { value: 0.05 }, { value: 0.051 }], 0.001)!.apart).toEqual([]);
    expect(averaged([{ value: 0.05 }, { value: 0.09 }], 0.001)!.apart).toEqual([]);
    expect(averaged([{ value: 1, leftOut: true }], 0.001)).toBeNull();
  });
});

describe('two ways of measuring one thing', () => {
  it('agree within two spreads of their difference, and make a better mean', () => {
    const found = agreement([
      { value: 0.05, spread: 0.001 },
      { value: 0.051, spread: 0.001 },
    ])!;
    expect(found.agrees).toBeTrue();
    expect(found.best.value).toBeCloseTo(0.0505, 12);
    expect(found.best.spread).toBeCloseTo(0.001 / Math.SQRT2, 12);
    expect(agreement([{ value: 1, spread: 0.1 }])!.agrees).toBeNull();
    expect(agreement([])).toBeNull();
  });
  it('that do not agree widen the plus-minus, and say by how much', () => {
    const found = agreement([
      { value: 0.05, spread: 0.001 },
      { value: 0.06, spread: 0.001 },
      { value: 0.0502, spread: 0.001 },
    ])!;
    expect(found.agrees).toBeFalse();
    expect([found.widest!.a, found.widest!.b]).toEqual([0, 1]);
    expect(found.widest!.difference).toBeCloseTo(0.01, 9);
    expect(found.best.spread).toBeGreaterThan(0.002);
  });
  it('the same result twice is never worse than once', () => {
    holds(
      fc.property(
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: 1e-4, max: 0.1, noNaN: true }),
        (value, spread) =>
          agreement([
            { value, spread },
            { value, spread },
          ])!.best.spread <= spread,
      ),
      { seed: 303 },
    );
  });
});

describe('the ways to measure', () => {
  it('are found, each with how, readings, and words for a result still waiting', () => {
    expect(METHODS.length).toBeGreaterThanOrEqual(9);
    for (const method of METHODS) {
      expect(method.how.length).withContext(method.id).toBeGreaterThanOrEqual(3);
      const waiting = outcomeOf(lens, { id: 'x', method: method.id, readings: {}, ...steps });
      expect(waiting.kind).withContext(method.id).toBe('waiting');
      expect(methodById(method.id)).toBe(method);
    }
  });
  it('on an edge: midway, from the foot', () => {
    expect(centreFound(lens, one('onAnEdge', { tipsOneWay: 0.044, tipsOtherWay: 0.046 }, { axis: 0 }))).toBeCloseTo(
      0.045,
      12,
    );
    expect(reasonOf(lens, one('onAnEdge', { tipsOneWay: 0.3, tipsOtherWay: 0.046 }, { axis: 0 }))).toContain(
      'outside the item',
    );
    expect(reasonOf(lens, one('onAnEdge', { tipsOneWay: 0.002, tipsOtherWay: 0.004 }, { axis: 0 }))).toContain(
      'at one end',
    );
    expect(reasonOf(lens, one('onAnEdge', { tipsOneWay: 0.01, tipsOtherWay: 0.09 }, { axis: 0 }))).toContain(
      '80 mm apart',
    );
  });
  it('on two scales: the shares, and never another weight than its own', () => {
    const weighed: KitItem = { ...lens, mass: { value: 0.4, spread: 0.0006 } };
    expect(
      centreFound(weighed, one('onTwoScales', { near: 0.22, far: 0.18, distance: 0.09, fromFace: 0.005 }, { axis: 0 })),
    ).toBeCloseTo(0.0455, 12);
    expect(reasonOf(weighed, one('onTwoScales', { near: 0.4, far: 0.18, distance: 0.09 }, { axis: 0 }))).toContain(
      'read 580 g, but it weighs 400 g',
    );
    expect(reasonOf(weighed, one('onTwoScales', { near: 0.2, far: 0.2, distance: 0.4 }, { axis: 0 }))).toContain(
      'outside the item',
    );
  });
  it('on a board: with the weight known, else asked for', () => {
    const board = one('onABoard', { boardAlone: 0.1, withItem: 0.19, distance: 0.4, toFace: 0.045 }, { axis: 0 });
    expect(reasonOf(lens, board)).toContain('Weigh the item first');
    expect(centreFound({ ...lens, mass: { value: 0.4 } }, board)).toBeCloseTo(0.045, 9);
    expect(
      reasonOf(
        { ...lens, mass: { value: 0.4 } },
        one('onABoard', { boardAlone: 0.2, withItem: 0.1, distance: 0.4 }, { axis: 0 }),
      ),
    ).toContain('reads less');
  });
  it('one end at a time: the mass too, heavier than the scale', () => {
    const outcome = outcomeOf(
      lens,
      one('oneEndAtATime', { near: 3, far: 2, distance: 0.09, fromFace: 0.005 }, { axis: 0 }),
    );
    expect(outcome.kind === 'found' && outcome.found.map((f) => [f.what, Math.round(f.value * 1e6) / 1e6])).toEqual([
      ['mass', 5],
      ['centre', 0.041],
    ]);
  });
  it('hung twice: where the lines cross, sharper for a right angle', () => {
    const hung = (second: readonly [number, number]): Measurement =>
      one(
        'hungTwice',
        {
          aAcross: 0.045,
          aUp: 0.07,
          aAcross2: 0.045,
          aUp2: 0,
          bAcross: 0.1,
          bUp: 0.035,
          bAcross2: second[0],
          bUp2: second[1],
        },
        { view: 'side' },
      );
    const square = outcomeOf(lens, hung([0, 0.035]));
    const flat = outcomeOf(lens, hung([0.03, 0.0]));
    const at = (o: MethodOutcome, i: number): { value: number; spread: number } =>
      o.kind === 'found' ? o.found[i]! : (fail(o) as never);
    expect(at(square, 0).value).toBeCloseTo(0.045, 9);
    expect(at(square, 1).value).toBeCloseTo(0.0, 9);
    expect(at(flat, 1).spread).toBeGreaterThan(at(square, 1).spread);
    expect(
      reasonOf(
        lens,
        one('hungTwice', {
          aAcross: 0.045,
          aUp: 0.07,
          aAcross2: 0.045,
          aUp2: 0,
          bAcross: 0.05,
          bUp: 0.07,
          bAcross2: 0.05,
          bUp2: 0,
        }),
      ),
    ).toContain('almost parallel');
    expect(
      reasonOf(
        lens,
        one('hungTwice', {
          aAcross: 0.045,
          aUp: 0.07,
          aAcross2: 0.045,
          aUp2: 0.069,
          bAcross: 0.1,
          bUp: 0.035,
          bAcross2: 0,
          bUp2: 0.035,
        }),
      ),
    ).toContain('too close together');
  });
  it('with and without: the difference, never nothing', () => {
    const outcome = outcomeOf(lens, one('difference', { with: 0.512, without: 0.5 }));
    expect(outcome.kind === 'found' && outcome.found[0]!.value).toBeCloseTo(0.012, 12);
    expect(reasonOf(lens, one('difference', { with: 0.5, without: 0.5 }))).toContain('no more than without');
  });
  it('a socket is no deeper than sockets are; a size is more than nothing', () => {
    expect(reasonOf(lens, one('socketWithNut', { tipToNut: 0.05 }))).toContain('deeper than any');
    expect(reasonOf(lens, one('outsideSize', { across: 0 }, { axis: 0 }))).toContain('more than nothing');
    expect(reasonOf(lens, one('weigh', { scale: 0 }))).toContain('more than nothing');
  });
  it('by any line method give back the centre the readings were made from', () => {
    const place = fc.double({ min: 0.02, max: 0.08, noNaN: true });
    holds(
      fc.property(place, fc.double({ min: 0.2, max: 3, noNaN: true }), fc.constantFrom(0, 1, 2), (at, mass, axis) => {
        const item: KitItem = {
          ...lens,
          size: [0.1, 0.1, 0.1],
          boxCentre: [0.05, 0.01, -0.02],
          mass: { value: mass, spread: 0.0006 },
        };
        const foot = at - 0.05 + item.boxCentre[axis]!;
        const found = [
          one('onAnEdge', { tipsOneWay: at - 0.001, tipsOtherWay: at + 0.001 }, { axis: axis as 0 }),
          one(
            'onTwoScales',
            { near: mass * (1 - (at - 0.01) / 0.08), far: (mass * (at - 0.01)) / 0.08, distance: 0.08, fromFace: 0.01 },
            { axis: axis as 0 },
          ),
          one(
            'onABoard',
            { boardAlone: 0.3, withItem: 0.3 + (mass * (at + 0.1)) / 0.5, distance: 0.5, toFace: 0.1 },
            { axis: axis as 0 },
          ),
          one(
            'oneEndAtATime',
            { near: mass * (1 - (at - 0.01) / 0.08), far: (mass * (at - 0.01)) / 0.08, distance: 0.08, fromFace: 0.01 },
            { axis: axis as 0 },
          ),
        ].map((m) => centreFound(item, m));
        return found.every((x) => Math.abs(x - foot) < 1e-9);
      }),
      { seed: 304 },
    );
  });
});

describe('an item measured', () => {
  const edge = one('onAnEdge', { tipsOneWay: 0.044, tipsOtherWay: 0.046 }, { axis: 0 });
  it('takes the best of its results, axis by axis, and the guess where there is none', () => {
    const item = withMeasurement(lens, edge);
    expect(item.massCentre!.at[0]).toBeCloseTo(0.045, 12);
    expect(item.massCentre!.spread![1]).toBeCloseTo(0.07 / 30, 12);
    const both = withMeasurement(
      weighedAs(item, { value: 0.4, typed: '400 g' }, 'w', 0.001),
      one('onTwoScales', { near: 0.22, far: 0.18, distance: 0.09, fromFace: 0.005 }, { axis: 0 }),
    );
    const compared = comparedOf(both).find((c) => c.what === 'centre' && c.axis === 0)!;
    expect([compared.methods, compared.agreement.agrees]).toEqual([['On an edge', 'On two scales'], true]);
    expect(both.mass).toEqual({
      value: 0.4,
      spread: jasmine.any(Number) as never,
      source: 'mass of Long lens',
      typed: '400 g',
    });
  });
  it('goes back to the guess when its measurements go', () => {
    const item = withoutMeasurement(withMeasurement(lens, edge), edge.id);
    expect(item.massCentre).toBeUndefined();
    expect(item.measurements).toBeUndefined();
    expect(weighedAs(weighedAs(lens, { value: 0.4 }, 'w', 0.001), null, 'x', 0.001).mass).toBeUndefined();
  });
  it('keeps a figure that came without readings until that figure is measured', () => {
    const known: KitItem = {
      ...lens,
      mass: { value: 0.5 },
      massCentre: { at: [0.04, 0.001, 0], spread: [0.001, 0.001, 0.001] },
    };
    const item = withMeasurement(known, edge);
    expect(item.mass).toEqual({ value: 0.5 });
    expect(item.massCentre!.at.slice(1)).toEqual([0.001, 0]);
  });
  it('moves with its foot: places were read from a face', () => {
    const item = withMeasurement(lens, edge);
    const moved = remeasured({ ...item, boxCentre: [0.04, 0, 0] });
    expect(moved.massCentre!.at[0]).toBeCloseTo(0.035, 12);
  });
  it('measured longer keeps its foot, and its centre is read anew', () => {
    const item = withMeasurement(withMeasurement(lens, edge), one('outsideSize', { across: 0.104 }, { axis: 0 }));
    expect(item.size[0]).toBe(0.104);
    expect(item.size[0] / 2 - item.boxCentre[0]).toBeCloseTo(0, 12);
    expect(item.massCentre!.at[0]).toBeCloseTo(0.045, 12);
  });
  it('a measurement left out counts for nothing, one of an unknown kind is kept', () => {
    expect(withMeasurement(lens, { ...edge, leftOut: true }).massCentre).toBeUndefined();
    const odd = withMeasurement(lens, one('byPendulum', { period: 1 }));
    expect(odd.measurements).toHaveSize(1);
    expect(odd.massCentre).toBeUndefined();
  });
  it('in a state: how far that moves the centre, and what it weighs more', () => {
    const zoom: KitItem = {
      ...withMeasurement(weighedAs(lens, { value: 0.4 }, 'w', 0.001), edge),
      states: [
        {
          id: 'zoom',
          name: 'zoom',
          choices: [
            { id: 'wide', name: 'wide' },
            { id: 'long', name: 'long' },
          ],
        },
      ],
    };
    const item = withMeasurement(
      zoom,
      one(
        'onAnEdge',
        { tipsOneWay: 0.05, tipsOtherWay: 0.052 },
        { id: 'e2', axis: 0, state: { state: 'zoom', choice: 'long' } },
      ),
    );
    expect(item.massCentre!.at[0]).toBeCloseTo(0.045, 12);
    const change = item.states![0]!.choices[1]!.change!;
    expect(change.kind === 'moves' && change.by[0]).toBeCloseTo(0.006, 12);
    const heavier = withMeasurement(
      zoom,
      one('weigh', { scale: 0.45 }, { id: 'w2', state: { state: 'zoom', choice: 'long' } }),
    );
    const added = heavier.states![0]!.choices[1]!.change!;
    expect(added.kind === 'adds' && added.mass.value).toBeCloseTo(0.05, 12);
    expect(heavier.mass!.value).toBe(0.4);
  });
});

describe('a photo', () => {
  it('gives places on the item, turned and scaled by two corners', () => {
    const plane = planeOfPhoto([100, 200], [100, 100], 0.1)!;
    // The item stands on its rear: along runs up the photo, so up on the item runs to the left of it.
    const [across, up] = plane.place([60, 150]);
    expect(across).toBeCloseTo(0.05, 12);
    expect(up).toBeCloseTo(0.04, 12);
    expect(planeOfPhoto([0, 0], [5, 5], 0.1)).toBeNull();
    expect(planeOfPhoto([0, 0], [500, 5], 0)).toBeNull();
  });
});
