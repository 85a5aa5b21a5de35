/** Angles in degrees, times in seconds, torques in newton metres, forces in newtons; stored in radians and seconds. */
import { parseWithUnits, type Parsed } from './parsed';

export const DEGREE = Math.PI / 180;

const ANGLES: Readonly<Record<string, number>> = { '°': DEGREE, deg: DEGREE, degree: DEGREE, degrees: DEGREE, rad: 1 };
const TIMES: Readonly<Record<string, number>> = {
  s: 1,
  sec: 1,
  second: 1,
  seconds: 1,
  min: 60,
  minutes: 60,
  h: 3600,
  hours: 3600,
  ms: 1e-3,
};

export function parseAngle(text: string): Parsed {
  return parseWithUnits(text, ANGLES, {
    what: 'angle',
    example: '12.5° or 12.5 deg',
    bareUnit: 'deg',
    fractionUnit: 'deg',
  });
}

export function parseTime(text: string): Parsed {
  return parseWithUnits(text, TIMES, { what: 'time', example: '2.1 s', bareUnit: 's', fractionUnit: 's' });
}

const POUND_INCH = 4.4482216152605 * 0.0254; // N m, exact
const TORQUES: Readonly<Record<string, number>> = {
  'n·m': 1,
  'n m': 1,
  nm: 1,
  'n*m': 1,
  'lb·in': POUND_INCH,
  'lb in': POUND_INCH,
  'lbf·in': POUND_INCH,
  'in·lb': POUND_INCH,
  'n·cm': 0.01,
  ncm: 0.01,
};

/** Torques in newton metres; a bare figure is in the maker's own unit. */
export function parseTorque(text: string, system: 'mm' | 'inch'): Parsed {
  const bareUnit = system === 'inch' ? 'lb·in' : 'n·m';
  return parseWithUnits(text.toLowerCase(), TORQUES, {
    what: 'torque',
    example: system === 'inch' ? '12 lb·in' : '1.5 N·m',
    bareUnit,
    fractionUnit: bareUnit,
  });
}

const FORCES: Readonly<Record<string, number>> = {
  n: 1,
  newton: 1,
  newtons: 1,
  lbf: 4.4482216152605,
  lb: 4.4482216152605,
  kgf: 9.80665,
  kg: 9.80665,
};

/** Forces in newtons; a bare figure is in the maker's own unit, and what a luggage scale reads counts as a weight. */
export function parseForce(text: string, system: 'mm' | 'inch'): Parsed {
  const bareUnit = system === 'inch' ? 'lbf' : 'n';
  return parseWithUnits(text.toLowerCase(), FORCES, {
    what: 'force',
    example: system === 'inch' ? '7 lbf' : '30 N',
    bareUnit,
    fractionUnit: bareUnit,
  });
}

export const showAngle = (radians: number, decimals = 1): string => `${fixed(radians / DEGREE, decimals)}°`;
/** Seconds up to three minutes, then minutes, then hours: nobody waits 86,400 s. `beside`: a greater time told in the same breath, whose unit it shares. */
export function showTime(seconds: number, decimals = 1, beside = seconds): string {
  const told = Math.max(seconds, beside);
  if (told >= 3 * 3600) return `${fixed(seconds / 3600, seconds < 3 * 3600 ? 1 : 0)} h`;
  return told >= 180 ? `${fixed(seconds / 60, seconds < 180 ? 1 : 0)} min` : `${fixed(seconds, decimals)} s`;
}

function fixed(value: number, decimals: number): string {
  const text = value.toFixed(decimals);
  return Number(text) === 0 ? text.replace('-', '') : text;
}
