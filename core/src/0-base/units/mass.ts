/** Masses: grams and kilograms, pounds and ounces. Stored in kilograms. */
import { parseWithUnits, type Parsed } from './parsed';
import type { LengthSystem } from './length';

export const POUND = 0.45359237; // kg, exact by definition
export const OUNCE = POUND / 16;

const UNITS: Readonly<Record<string, number>> = {
  kg: 1,
  g: 1e-3,
  gram: 1e-3,
  grams: 1e-3,
  lb: POUND,
  lbs: POUND,
  pound: POUND,
  pounds: POUND,
  oz: OUNCE,
  ounce: OUNCE,
  ounces: OUNCE,
};

/** Reads `620 g`, `1.2 kg`, `1 lb 6 oz`, `22 1/2 oz`. A bare number is grams, or ounces for inch people. */
export function parseMass(text: string, system: LengthSystem = 'mm'): Parsed {
  return parseWithUnits(text, UNITS, {
    what: 'mass',
    example: system === 'mm' ? '620 g or 1 lb 6 oz' : '1 lb 6 oz or 620 g',
    bareUnit: system === 'mm' ? 'g' : 'oz',
    fractionUnit: 'oz',
  });
}

/** Shows a mass (kg): whole grams (or `decimals`), or pounds and tenths of an ounce. */
/** Making one of these takes a hundred times as long as using it, and a list shows hundreds. */
const groupings = new Map<number, Intl.NumberFormat>();
function grouping(decimals: number): Intl.NumberFormat {
  const before = groupings.get(decimals);
  if (before) return before;
  const made = new Intl.NumberFormat('en-GB', { maximumFractionDigits: decimals });
  groupings.set(decimals, made);
  return made;
}

export function showMass(kilograms: number, system: LengthSystem, decimals = 0): string {
  if (system === 'mm') {
    const grams = Number((kilograms * 1000).toFixed(decimals));
    return `${grouping(decimals).format(grams)} g`;
  }
  const tenths = Math.round((Math.abs(kilograms) / OUNCE) * 10);
  const sign = kilograms < 0 && tenths > 0 ? '-' : '';
  const pounds = Math.floor(tenths / 160);
  const ounces = trim((tenths % 160) / 10);
  if (pounds === 0) return `${sign}${ounces} oz`;
  return Number(ounces) === 0 ? `${sign}${pounds} lb` : `${sign}${pounds} lb ${ounces} oz`;
}

const trim = (value: number): string => value.toFixed(1).replace(/\.0$/, '');
