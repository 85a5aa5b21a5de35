/** Steel washers used as weights, by trade size: outside and hole radius, thickness, and the bolt they sit on. */
import type { Washer } from '../../model';
import { RARER_THREADS, THREADS } from '../hardware/thread';
import { ownOf, type OwnSizes } from './ownSizes';

export interface WasherSize extends Washer {
  readonly boltDiameter: number;
}

const size = (
  name: string,
  bolt: number,
  outer: number,
  hole: number,
  thickness: number,
  packOf: number,
  packPrice: number,
): WasherSize => ({
  name,
  boltDiameter: bolt,
  outerRadius: outer / 2,
  innerRadius: hole / 2,
  thickness,
  material: 'steel',
  supply: { item: name, packOf, packPrice },
});

export const WASHERS: Readonly<Record<string, WasherSize>> = {
  'm6-30': size('M6 penny washer 30 mm', 0.006, 0.03, 0.0064, 0.0015, 25, 3.6),
  'm8-40': size('M8 penny washer 40 mm', 0.008, 0.04, 0.0084, 0.003, 10, 4.8),
  '1/4-1.25in': size('1/4 in fender washer 1 1/4 in', 0.00635, 0.03175, 0.0071, 0.0016, 25, 4.2),
  'm8-24': size('M8 washer 24 mm', 0.008, 0.024, 0.0084, 0.002, 25, 3.2),
  'm10-30': size('M10 wide washer 30 mm', 0.01, 0.03, 0.0105, 0.0025, 20, 4.4),
  'm12-37': size('M12 wide washer 37 mm', 0.012, 0.037, 0.013, 0.003, 10, 4.1),
  '3/8-1.5in': size('3/8 in wide washer 1 1/2 in', 0.009525, 0.0381, 0.0103, 0.0016, 20, 4.9),
};

/** Of bolts too thin to be chosen as a weight's. */
const SMALL: Readonly<Record<string, WasherSize>> = {
  'm5-15': size('M5 wide washer 15 mm', 0.005, 0.015, 0.0053, 0.001, 25, 2.6),
};

/** The thread of a bolt of this diameter, by its usual name. */
export function boltThread(diameter: number): string {
  const found = [...THREADS, ...RARER_THREADS].find((t) => Math.abs(t.diameter - diameter) < 1e-5);
  if (!found) throw new RangeError(`no thread of ${diameter * 1000} mm`);
  return found.name;
}

/** A size as the washer itself and the bolt it sits on. */
export function washerOf(id: string, own?: OwnSizes): { readonly washer: Washer; readonly boltDiameter: number } {
  const typed = ownOf(own, 'washer', id);
  if (typed) return typed;
  const found = WASHERS[id] ?? SMALL[id];
  if (!found) throw new RangeError(`no washer “${id}”`);
  const { boltDiameter, ...washer } = found;
  return { washer, boltDiameter };
}
