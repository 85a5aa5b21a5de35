/**
 * A sentence with figures in it, kept as data so that the unit is chosen where it is shown. `say` builds one;
 * `render` prints it in the maker's units.
 */
import { showAngle, showTime } from './angleAndTime';
import { showDrill } from './drill';
import { INCH, showLength, type Fraction, type LengthSystem } from './length';
import { showMass } from './mass';

export type QuantityKind =
  | 'length'
  | 'mass'
  | 'angle'
  | 'time'
  | 'count'
  | 'money'
  | 'ratio'
  | 'percent'
  | 'torque'
  | 'force'
  | 'drill'
  | 'frequency'
  | 'stress';
export interface Figure {
  readonly kind: QuantityKind;
  /** SI; a percent is stored as a part of one. */
  readonly value: number;
  readonly decimals?: number;
  /** A greater one told in the same breath: both are shown in its unit. */
  readonly beside?: number;
}
export type Phrase = readonly (string | Figure)[];
export interface UnitChoice {
  readonly system: LengthSystem;
  readonly fraction: Fraction;
  /** What prices are in, as the maker writes it; left out: unsaid. */
  readonly currency?: string;
}

const POUND_FORCE = 4.4482216152605; // N, exact
const POUND_INCH = POUND_FORCE * 0.0254;
const PSI = POUND_FORCE / 0.0254 ** 2;

export const METRIC: UnitChoice = { system: 'mm', fraction: 32 };

export const figure = (kind: QuantityKind, value: number, decimals?: number): Figure =>
  decimals === undefined ? { kind, value } : { kind, value, decimals };

/** A range, both ends in one unit: “1.5 min to 6 min”, never seconds beside minutes. */
export const fromTo = (kind: QuantityKind, least: number, most: number, decimals?: number): Phrase => [
  { ...figure(kind, least, decimals), beside: most },
  ' to ',
  figure(kind, most, decimals),
];

/** Tagged template: strings and figures in the order written. */
export function say(strings: TemplateStringsArray, ...figures: readonly (Figure | string)[]): Phrase {
  return strings
    .flatMap((text, i) => (i < figures.length ? [text, figures[i]!] : [text]))
    .filter((piece) => piece !== '');
}

export const render = (phrase: Phrase, units: UnitChoice): string =>
  phrase.map((piece) => (typeof piece === 'string' ? piece : showFigure(piece, units))).join('');

/**
 * One figure with its unit. Lengths under 3 mm stay in millimetres (or thousandths of an inch) because a fraction of an
 * inch would hide them; a rounded fraction is marked with a tilde.
 */
export function showFigure({ kind, value, decimals, beside }: Figure, units: UnitChoice): string {
  if (!Number.isFinite(value)) return 'not known';
  switch (kind) {
    case 'length': {
      if (units.system === 'inch' && Math.abs(value) < 0.003) return showThou(value, decimals);
      const shown = showLength(
        value,
        units.system,
        units.fraction,
        decimals ?? (Math.abs(value) < 0.01 ? 2 : Math.abs(value) < 0.1 ? 1 : 0),
      );
      return units.system === 'inch' && shown.roundedBy !== 0 ? `~${shown.text}` : shown.text;
    }
    case 'mass':
      return showMass(value, units.system, decimals);
    case 'angle':
      return showAngle(value, decimals);
    case 'time':
      return showTime(value, decimals, beside);
    case 'drill':
      return showDrill(value, units.system);
    case 'count':
      return value.toFixed(decimals ?? 0);
    case 'money':
      return units.currency ? `${value.toFixed(2)} ${units.currency}` : value.toFixed(2);
    case 'ratio':
      return `${value >= 100 ? Number(value.toPrecision(2)).toFixed(0) : value.toFixed(decimals ?? (value < 10 ? 1 : 0))} ×`;
    case 'torque':
      return units.system === 'inch'
        ? `${(value / POUND_INCH).toFixed(decimals ?? 1)} lb·in`
        : `${value.toFixed(decimals ?? 2)} N·m`;
    case 'force':
      return units.system === 'inch'
        ? `${(value / POUND_FORCE).toFixed(decimals ?? 1)} lbf`
        : `${value.toFixed(decimals ?? 0)} N`;
    case 'frequency':
      return `${value.toFixed(decimals ?? (value < 100 ? 1 : 0))} Hz`;
    case 'stress':
      return units.system === 'inch'
        ? `${Number((value / PSI).toPrecision(2))} psi`
        : `${(value / 1e6).toFixed(decimals ?? (value < 20e6 ? 1 : 0))} MPa`;
    case 'percent':
      return `${(value * 100).toFixed(decimals ?? 1)} %`;
  }
}

/** Thousandths of an inch: no maker works finer, so less than one is told as that, unless two figures must read apart. */
function showThou(metres: number, decimals?: number): string {
  const thou = (metres / INCH) * 1000;
  if (thou === 0) return '0 in';
  const finer = Math.max(0, (decimals ?? 0) - 2);
  return Math.abs(thou) < 1 && finer === 0 ? `${thou < 0 ? '-' : ''}<1 thou` : `${thou.toFixed(finer)} thou`;
}

/** Most decimals more that a figure gets to be told from its limit: beyond that the two are the same to a hand. */
const DECIMALS_MORE = 3;

/** Decimals at which these of a kind read differently in both unit systems; undefined where they do already, or never will. */
export function decimalsApart(kind: QuantityKind, a: number, b: number): number | undefined {
  const reads = (decimals?: number): boolean =>
    ([METRIC, { system: 'inch', fraction: 64 }] as const).every(
      (units) =>
        showFigure({ kind, value: a, ...(decimals === undefined ? {} : { decimals }) }, units) !==
        showFigure({ kind, value: b, ...(decimals === undefined ? {} : { decimals }) }, units),
    );
  if (a === b || reads()) return undefined;
  for (let decimals = 1; decimals <= 1 + DECIMALS_MORE; decimals++) if (reads(decimals)) return decimals;
  return undefined;
}

/** A sentence in which two figures that would read the same are told with the digits that separate them. */
export function toldApart(phrase: Phrase, kind: QuantityKind, a: number, b: number): Phrase {
  const decimals = decimalsApart(kind, a, b);
  if (decimals === undefined) return phrase;
  return phrase.map((piece) =>
    typeof piece !== 'string' && piece.kind === kind && (piece.value === a || piece.value === b)
      ? { ...piece, decimals: Math.max(decimals, piece.decimals ?? 0) }
      : piece,
  );
}
