/**
 * An item and all that was measured of it: each result worked out from its readings, results of one thing compared, and
 * the best of them set as the item's figures. A measurement left out, or one that cannot be, counts for nothing.
 */
import type { Vec3 } from '../0-base';
import type { KitItem, Measurement, Quantity, Reading, StateChange } from '../model';
import { agreement, type Agreement, type Found } from './agreement';
import { averaged, type Averaged } from './averaged';
import { axesKnown, guessedCentreSpread } from './estimate';
import { VIEW_AXES, type Axis, type Method, type MethodFound, type MethodOutcome } from './method';
import { METHODS } from './methods';

export const methodById = (id: string): Method | null => METHODS.find((m) => m.id === id) ?? null;

export interface Result {
  readonly measurement: Measurement;
  /** Null when this version knows no such method: its readings are kept all the same. */
  readonly method: Method | null;
  readonly outcome: MethodOutcome;
  /** Averages by reading, for showing the scatter. */
  readonly averages: Readonly<Record<string, Averaged>>;
}

/** Every measurement of an item worked out, in the order they were made. */
export function resultsOf(item: KitItem): readonly Result[] {
  const measurements = item.measurements ?? [];
  const weights = measurements
    .filter((m) => !m.state && !m.leftOut && methodById(m.method)?.finds === 'mass')
    .map((m) => worked(item, m, null));
  const found = agreement(foundIn(weights, (f) => f.what === 'mass'))?.best;
  const weight: Found | null = found ?? (item.mass ? { value: item.mass.value, spread: item.mass.spread ?? 0 } : null);
  return measurements.map((m) => worked(item, m, weight));
}

function worked(item: KitItem, measurement: Measurement, weight: Found | null): Result {
  const method = methodById(measurement.method);
  const averages: Record<string, Averaged> = {};
  for (const { id, kind } of method?.readings ?? []) {
    const mean = averaged(
      measurement.readings[id] ?? [],
      kind === 'mass' ? measurement.scaleStep : measurement.rulerStep,
    );
    if (mean) averages[id] = mean;
  }
  const view = measurement.view ?? 'side';
  const outcome: MethodOutcome = method
    ? method.work({
        item,
        axis: measurement.axis ?? VIEW_AXES[view][0],
        view,
        scaleStep: measurement.scaleStep,
        rulerStep: measurement.rulerStep,
        weight,
        read: (id) => averages[id] ?? null,
      })
    : { kind: 'waiting', next: '' };
  return { measurement, method, outcome, averages };
}

const foundIn = (results: readonly Result[], wanted: (f: MethodFound) => boolean): readonly MethodFound[] =>
  results.flatMap((r) => (r.outcome.kind === 'found' && !r.measurement.leftOut ? r.outcome.found.filter(wanted) : []));

export interface Compared {
  readonly what: MethodFound['what'];
  readonly axis: Axis | null;
  /** Names of the methods, in the order of the agreement's places. */
  readonly methods: readonly string[];
  readonly results: readonly Found[];
  readonly agreement: Agreement;
}

/** Each figure of the usual item that was measured, with how its results agree. */
export function comparedOf(item: KitItem, results = resultsOf(item)): readonly Compared[] {
  const usual = results.filter((r) => !r.measurement.state);
  const kinds: readonly (readonly [MethodFound['what'], Axis | null])[] = [
    ['mass', null],
    ['centre', 0],
    ['centre', 1],
    ['centre', 2],
    ['size', 0],
    ['size', 1],
    ['size', 2],
    ['depth', null],
  ];
  return kinds.flatMap(([what, axis]) => {
    const here = usual.flatMap((r) =>
      foundIn([r], (f) => f.what === what && f.axis === axis).map((found) => ({ found, method: r.method!.name })),
    );
    const agreed = agreement(here.map((h) => h.found));
    return agreed
      ? [{ what, axis, methods: here.map((h) => h.method), results: here.map((h) => h.found), agreement: agreed }]
      : [];
  });
}

/** Puts a measurement in (or in place of the one with its id) and works the item's figures out again. */
export function withMeasurement(item: KitItem, measurement: Measurement): KitItem {
  const held = item.measurements ?? [];
  const there = held.some((m) => m.id === measurement.id);
  return settled(item, there ? held.map((m) => (m.id === measurement.id ? measurement : m)) : [...held, measurement]);
}

export const withoutMeasurement = (item: KitItem, id: string): KitItem =>
  settled(
    item,
    (item.measurements ?? []).filter((m) => m.id !== id),
  );

/** Works out again after the item's box or foot was changed: places were read from faces. */
export const remeasured = (item: KitItem): KitItem => (item.measurements ? settled(item, item.measurements) : item);

/** A mass typed as one figure: one reading on the scale, in place of all weighing before. Null: never weighed. */
export function weighedAs(item: KitItem, mass: Quantity | null, id: string, scaleStep: number): KitItem {
  const { mass: _before, ...rest } = item;
  const others = (item.measurements ?? []).filter((m) => m.state || methodById(m.method)?.finds !== 'mass');
  if (!mass) return settled(rest, others);
  const readings: Reading[] = [{ value: mass.value, ...(mass.typed === undefined ? {} : { typed: mass.typed }) }];
  return settled(rest, [
    ...others,
    { id, method: 'weigh', readings: { scale: readings }, scaleStep, rulerStep: 0.001 },
  ]);
}

function settled(item: KitItem, measurements: readonly Measurement[]): KitItem {
  const before = comparedOf(item);
  const { measurements: _old, ...rest } = item;
  const kept: KitItem = measurements.length === 0 ? rest : { ...rest, measurements: [...measurements] };
  const sized = withSizes(kept, comparedOf(kept));
  const comparisons = comparedOf(sized);
  const had = (what: Compared['what'], axis: Axis | null): boolean =>
    before.some((c) => c.what === what && c.axis === axis);
  const best = (what: Compared['what'], axis: Axis | null): Found | null =>
    comparisons.find((c) => c.what === what && c.axis === axis)?.agreement.best ?? null;
  const withMass = massOf(sized, best('mass', null), had('mass', null));
  const withCentre = centreOf(
    withMass,
    [0, 1, 2].map((axis) => ({ best: best('centre', axis as Axis), had: had('centre', axis as Axis) })),
  );
  const depth = best('depth', null);
  const deep: KitItem = depth
    ? { ...withCentre, socketDepth: { value: depth.value, spread: depth.spread, source: `socket of ${item.name}` } }
    : withCentre;
  return withStates(deep);
}

/** A measured size; the foot stays where it was, from the face it was measured from. */
function withSizes(item: KitItem, comparisons: readonly Compared[]): KitItem {
  let { size, boxCentre } = item;
  for (const { what, axis, agreement: found } of comparisons) {
    if (what !== 'size' || axis === null) continue;
    const foot = size[axis] / 2 - boxCentre[axis];
    const inMiddle = Math.abs(boxCentre[axis]) < 1e-9;
    boxCentre = replaced(boxCentre, axis, inMiddle ? 0 : found.best.value / 2 - foot);
    size = replaced(size, axis, found.best.value);
  }
  return { ...item, size, boxCentre };
}

const replaced = (v: Vec3, axis: Axis, value: number): [number, number, number] =>
  v.map((x, i) => (i === axis ? value : x)) as [number, number, number];

function massOf(item: KitItem, best: Found | null, had: boolean): KitItem {
  if (!best) {
    const { mass: _mass, ...unweighed } = item;
    return had ? unweighed : item;
  }
  const readings = (item.measurements ?? [])
    .filter((m) => m.method === 'weigh' && !m.leftOut && !m.state)
    .flatMap((m) => m.readings['scale'] ?? []);
  // One reading and nothing else: the maker's own words stand for the mass.
  const typed = readings.length === 1 && readings[0]!.value === best.value ? readings[0]!.typed : undefined;
  return {
    ...item,
    mass: {
      value: best.value,
      spread: best.spread,
      source: `mass of ${item.name}`.slice(0, 120),
      ...(typed === undefined ? {} : { typed }),
    },
  };
}

function centreOf(item: KitItem, axes: readonly { best: Found | null; had: boolean }[]): KitItem {
  if (axes.every((a) => !a.best && !a.had)) return item;
  const guess = guessedCentreSpread(item);
  const known = item.massCentre;
  const before = axesKnown(item);
  // An axis that was only filled in with the guess is not known by that.
  const kept = axes.map(({ best, had }, i) => best !== null || (!had && before[i]!));
  if (!kept.some(Boolean)) {
    const { massCentre: _centre, ...guessed } = item;
    return guessed;
  }
  const at = axes.map(({ best, had }, i) => best?.value ?? (had || !known ? item.boxCentre[i]! : known.at[i]!)) as [
    number,
    number,
    number,
  ];
  const spread = axes.map(
    ({ best, had }, i) => best?.spread ?? (had || !known ? guess[i]! : (known.spread?.[i] ?? 0)),
  ) as [number, number, number];
  return { ...item, massCentre: { at, spread, source: 'measured' } };
}

/** What was measured in a state, as a change against the usual item. */
function withStates(item: KitItem): KitItem {
  if (!item.states || !item.measurements?.some((m) => m.state)) return item;
  const results = resultsOf(item);
  const states = item.states.map((state) => ({
    ...state,
    choices: state.choices.map((choice) => {
      const here = results.filter(
        (r) => r.measurement.state?.state === state.id && r.measurement.state.choice === choice.id,
      );
      const change = changeMeasured(item, here, choice.change);
      return change ? { ...choice, change } : choice;
    }),
  }));
  return { ...item, states };
}

function changeMeasured(item: KitItem, here: readonly Result[], now: StateChange | undefined): StateChange | undefined {
  const mass = agreement(foundIn(here, (f) => f.what === 'mass'))?.best;
  if (mass && item.mass) {
    const at = now?.kind === 'adds' ? now.at : (item.massCentre?.at ?? item.boxCentre);
    return {
      kind: 'adds',
      mass: { value: mass.value - item.mass.value, spread: Math.hypot(mass.spread, item.mass.spread ?? 0) },
      at,
      ...(now?.spread ? { spread: now.spread } : {}),
    };
  }
  const centres = ([0, 1, 2] as const).map(
    (axis) => agreement(foundIn(here, (f) => f.what === 'centre' && f.axis === axis))?.best ?? null,
  );
  if (centres.every((c) => c === null)) return now;
  const usual = item.massCentre?.at ?? item.boxCentre;
  const usualSpread = item.massCentre?.spread ?? guessedCentreSpread(item);
  const before = now?.kind === 'moves' ? now : null;
  return {
    kind: 'moves',
    by: centres.map((c, i) => (c ? c.value - usual[i]! : (before?.by[i] ?? 0))) as [number, number, number],
    spread: centres.map((c, i) => (c ? Math.hypot(c.spread, usualSpread[i]!) : (before?.spread?.[i] ?? 0))) as [
      number,
      number,
      number,
    ],
  };
}
