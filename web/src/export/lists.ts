/** What a rig is made of and set to, as tables for other programs: true numbers, a unit in every heading. */
import { METRIC, render, type Adjuster, type AdjusterValues } from '@tide-pebble/core';
import type { BarPlan, BuildStep, BuyLine, HoleSheet } from '@tide-pebble/core/making';

export type Row = Readonly<Record<string, string | number>>;
export interface List {
  readonly name: string;
  readonly rows: readonly Row[];
}

/** To the thousandth: what a file is read back from. */
const millimetres = (metres: number): number => Math.round(metres * 1e6) / 1e3;
const grams = (kilograms: number): number => Math.round(kilograms * 1e4) / 10;
const cents = (money: number): number => Math.round(money * 100) / 100;

export const buyRows = (lines: readonly BuyLine[], currency: string): readonly Row[] =>
  lines.map((l) => ({
    item: l.item,
    needed: l.unit ? grams(l.needed) : l.needed,
    in_bin: l.unit ? grams(l.inBin) : l.inBin,
    to_buy: l.tooLong ? 'none is long enough' : l.buy,
    sold_by: l.kind === 'bars' ? 'bar' : l.unit ? 'pack, in g' : 'pack',
    bar_length_mm: l.barLength === null ? '' : millimetres(l.barLength),
    pack_of: l.kind === 'packs' ? (l.unit ? grams(l.packOf) : l.packOf) : '',
    price: l.unitPrice,
    cost: cents(l.cost),
    currency,
  }));

/** Each piece with its marks from one end, a row a mark. */
export const cutRows = (bars: readonly BarPlan[]): readonly Row[] =>
  bars.flatMap((bar): readonly Row[] => {
    const piece = {
      piece: bar.name,
      stock: bar.stock,
      cut_length_mm: millimetres(bar.blank),
      finished_length_mm: millimetres(bar.finished),
    };
    const marks = bar.marks.map((m) => ({
      ...piece,
      mark: m.name,
      kind: m.kind,
      from_rear_end_mm: millimetres(m.along),
      hole_diameter_mm: m.diameter ? millimetres(m.diameter) : '',
    }));
    return marks.length > 0 ? marks : [{ ...piece, mark: '', kind: '', from_rear_end_mm: '', hole_diameter_mm: '' }];
  });

/** Holes in plates and fittings, a row a hole. */
export const holeRows = (sheets: readonly HoleSheet[]): readonly Row[] =>
  sheets.flatMap((sheet) =>
    sheet.marks.map((m) => ({
      piece: sheet.name,
      measured_from: sheet.from,
      hole_for: m.name,
      diameter_mm: millimetres(m.diameter),
      thread: m.thread ?? '',
      deep_mm: m.deep === null ? '' : millimetres(m.deep),
      place: render(m.place, METRIC),
    })),
  );

export interface SetUpToList {
  readonly name: string;
  readonly values: AdjusterValues | null;
  /** More that is said of it, each under a heading of its own. */
  readonly also?: Row;
}
/** A row a loadout, a column an adjuster. */
export const setUpRows = (adjusters: readonly Adjuster[], setUps: readonly SetUpToList[]): readonly Row[] =>
  setUps.map(({ name, values, also }) =>
    Object.fromEntries<string | number>([
      ['loadout', name],
      ...adjusters.map((a): [string, string | number] => {
        const value = values?.[a.id];
        const heading = a.kind === 'count' ? a.name : `${a.name} (mm)`;
        return [heading, value === undefined ? '' : a.kind === 'count' ? Math.round(value) : millimetres(value)];
      }),
      ...Object.entries(also ?? {}),
    ]),
  );

export const stepRows = (steps: readonly BuildStep[], isDone: (step: BuildStep) => boolean): readonly Row[] =>
  steps.map((step, i) => ({
    step: i + 1,
    what: render(step.title, METRIC),
    tool: step.tool,
    figures: step.figures.map((f) => render(f, METRIC)).join('; '),
    check: render(step.check, METRIC),
    caution: step.caution ?? '',
    minutes: Math.round(step.minutes * 10) / 10,
    sets_hours: step.dries ? Math.round((step.dries / 3600) * 10) / 10 : '',
    done: isDone(step) ? 'yes' : '',
  }));
