/** Lengths: read what a maker types, show millimetres or inch fractions. Stored in metres. */
import { parseWithUnits, type Parsed } from './parsed';

export const INCH = 0.0254; // m, exact by definition (1959)
export type LengthSystem = 'mm' | 'inch';
export type Fraction = 16 | 32 | 64;

const UNITS: Readonly<Record<string, number>> = {
  mm: 1e-3,
  cm: 1e-2,
  m: 1,
  "'": 12 * INCH,
  ft: 12 * INCH,
  feet: 12 * INCH,
  foot: 12 * INCH,
  '"': INCH,
  in: INCH,
  inch: INCH,
  inches: INCH,
};

/** Reads `120 mm`, `12 cm`, `1.2 m`, `4 3/4`, `4-3/4"`, `1' 2 1/2"`. A bare number takes the system's unit, a bare fraction is inches. */
export function parseLength(text: string, system: LengthSystem = 'mm'): Parsed {
  return parseWithUnits(text, UNITS, {
    what: 'length',
    example: system === 'mm' ? '120 mm or 4 3/4 in' : '4 3/4 in or 120 mm',
    bareUnit: system === 'mm' ? 'mm' : 'in',
    fractionUnit: 'in',
  });
}

export interface ShownLength {
  readonly text: string;
  /** How much the shown figure differs from the true one, m. Zero when it is exact to the last shown digit's unit. */
  readonly roundedBy: number;
}

/** Shows a length (m). Inch fractions are rounded to 1/16, 1/32 or 1/64 and the error is returned, so the caller can say so. */
export function showLength(metres: number, system: LengthSystem, fraction: Fraction = 32, decimals = 1): ShownLength {
  if (system === 'mm') {
    const shown = Number((metres * 1000).toFixed(decimals));
    return { text: `${trimZeros(Math.abs(shown).toFixed(decimals), shown < 0)} mm`, roundedBy: shown / 1000 - metres };
  }
  const parts = Math.round((Math.abs(metres) / INCH) * fraction);
  const whole = Math.floor(parts / fraction);
  const [above, below] = reduced(parts % fraction, fraction);
  const sign = metres < 0 && parts > 0 ? '-' : '';
  const number = above === 0 ? `${whole}` : whole === 0 ? `${above}/${below}` : `${whole} ${above}/${below}`;
  const roundedBy = (Math.sign(metres) * parts * INCH) / fraction - metres;
  return { text: `${sign}${number} in`, roundedBy: Math.abs(roundedBy) < 1e-9 ? 0 : roundedBy };
}

const trimZeros = (digits: string, negative: boolean): string => {
  const short = digits.includes('.') ? digits.replace(/\.?0+$/, '') : digits;
  return negative && Number(short) !== 0 ? `-${short}` : short;
};

function reduced(above: number, below: number): [number, number] {
  while (above > 0 && above % 2 === 0 && below % 2 === 0) [above, below] = [above / 2, below / 2];
  return [above, below];
}
