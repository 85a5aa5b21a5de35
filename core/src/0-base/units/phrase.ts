/**
 * A sentence with figures in it, kept as data so that the unit is chosen where it is shown. `say` builds one;
 * `render` prints it in the maker's units.
 */
import { showAngle, showTime } from './angleAndTime';
import { showLength, type Fraction, type LengthSystem } from './length';
import { showMass } from './mass';

export type QuantityKind = 'length' | 'mass' | 'angle' | 'time' | 'count' | 'money' | 'ratio' | 'percent' | 'torque' | 'force';
export interface Figure {
  readonly kind: QuantityKind;
  /** SI; a percent is stored as a part of one. */
  readonly value: number;
  readonly decimals?: number;
}
export type Phrase = readonly (string | Figure)[];
export interface UnitChoice {
  readonly system: LengthSystem;
  readonly fraction: Fraction;
}

const POUND_FORCE = 4.4482216152605; // N, exact
const POUND_INCH = POUND_FORCE * 0.0254;

export const METRIC: UnitChoice = { system: 'mm', fraction: 32 };

export const figure = (kind: QuantityKind, value: number, decimals?: number): Figure =>
  decimals === undefined ? { kind, value } : { kind, value, decimals };

/** Tagged template: strings and figures in the order written. */
export function say(strings: TemplateStringsArray, ...figures: readonly (Figure | string)[]): Phrase {
  return strings.flatMap((text, i) => (i < figures.length ? [text, figures[i]!] : [text])).filter((piece) => piece !== '');
}

export const render = (phrase: Phrase, units: UnitChoice): string =>
  phrase.map((piece) => (typeof piece === 'string' ? piece : showFigure(piece, units))).join('');

/**
 * One figure with its unit. Lengths under 3 mm stay in millimetres (or thousandths of an inch) because a fraction of an
 * inch would hide them; a rounded fraction is marked with a tilde.
 */
export function showFigure({ kind, value, decimals }: Figure, units: UnitChoice): string {
  if (!Number.isFinite(value)) return 'not known';
  switch (kind) {
    case 'length': {
      if (units.system === 'inch' && Math.abs(value) < 0.003) return `${((value / 0.0254) * 1000).toFixed(0)} thou`;
      const shown = showLength(value, units.system, units.fraction, decimals ?? (Math.abs(value) < 0.01 ? 2 : Math.abs(value) < 0.1 ? 1 : 0));
      return units.system === 'inch' && shown.roundedBy !== 0 ? `~${shown.text}` : shown.text;
    }
    case 'mass': return showMass(value, units.system, decimals);
    case 'angle': return showAngle(value, decimals);
    case 'time': return showTime(value, decimals);
    case 'count': return value.toFixed(decimals ?? 0);
    case 'money': return value.toFixed(2);
    case 'ratio': return `${value >= 100 ? Number(value.toPrecision(2)).toFixed(0) : value.toFixed(decimals ?? (value < 10 ? 1 : 0))} ×`;
    case 'torque': return units.system === 'inch' ? `${(value / POUND_INCH).toFixed(decimals ?? 1)} lb·in` : `${value.toFixed(decimals ?? 2)} N·m`;
    case 'force': return units.system === 'inch' ? `${(value / POUND_FORCE).toFixed(decimals ?? 1)} lbf` : `${value.toFixed(decimals ?? 0)} N`;
    case 'percent': return `${(value * 100).toFixed(decimals ?? 1)} %`;
  }
}
