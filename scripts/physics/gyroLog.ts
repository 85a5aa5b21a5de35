import { evenTurning, shareOfHeight, shareOfWidth, turned } from '@tide-pebble/core/steady';
import type { CaseKind, Given } from '../physicsCase';

export const gyroLog: CaseKind = {
  kind: 'gyroLog',
  compute: (given) => {
    const { rate, samples } = given;
    const missing = (given['missing'] ?? []) as readonly (readonly [number, number])[];
    const rows = Array.from({ length: samples as number }, (_, i) => i).filter(
      (i) => !missing.some(([from, to]) => i / rate >= from && i / rate < to),
    );
    const told = (axis: string): Float64Array =>
      Float64Array.from(rows, (i) => rateAt(given['axes_'][axis] ?? {}, i / rate));
    const found = evenTurning({
      times: Float64Array.from(rows, (i) => i / rate),
      pan: told('pan'),
      tilt: told('pitch'),
      roll: told('roll'),
    });
    if (!found.ok) return null;
    const { even } = found;
    const picture = {
      focalLength: given['focalLength'],
      sensorWidth: given['sensorWidth'],
      sensorHeight: given['sensorHeight'],
    };
    const axis = (rates: Float64Array, share?: typeof shareOfWidth): Given => {
      const { angle: _, ...figures } = turned(rates, even.rate);
      return { ...figures, ...(share ? { pictureShareAtAnglePeak: share(figures.anglePeak, picture) } : {}) };
    };
    // What a file says beside its figures.
    void given['wholePeriods'];
    return {
      rowsMissing: even.rowsMissing,
      axes: { roll: axis(even.roll), pitch: axis(even.tilt, shareOfHeight), pan: axis(even.pan, shareOfWidth) },
    };
  },
};

function rateAt(axis: Given, time: number): number {
  let rate = axis['bias'] ?? 0;
  for (const [amplitude, frequency, phase] of axis['tones'] ?? [])
    rate += amplitude * Math.sin(2 * Math.PI * frequency * time + phase);
  for (const { from, to, value } of axis['bursts'] ?? []) if (time >= from && time < to) rate += value;
  return rate;
}
