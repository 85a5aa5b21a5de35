/** A property-based expectation: fixed seed, the failing input told. */
import * as fc from 'fast-check';

export function holds<T>(property: fc.IProperty<T>, options: { seed: number; numRuns?: number }): void {
  const run = fc.check(property, { numRuns: 100, ...options });
  expect(run.failed)
    .withContext(run.failed ? (fc.defaultReportMessage(run as fc.RunDetails<T>) ?? '') : '')
    .toBeFalse();
}

/** A seed of its own for each thing walked, by its name: one more of them changes nothing for the others. */
export const seedOf = (name: string): number =>
  [...name].reduce((hash, c) => (hash * 31 + c.charCodeAt(0)) | 0, 7) >>> 1;
