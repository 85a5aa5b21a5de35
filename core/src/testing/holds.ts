/** A property-based expectation: fixed seed, the failing input told. */
import * as fc from 'fast-check';

export function holds<T>(property: fc.IProperty<T>, options: { seed: number; numRuns?: number }): void {
  const run = fc.check(property, { numRuns: 100, ...options });
  expect(run.failed)
    .withContext(run.failed ? (fc.defaultReportMessage(run as fc.RunDetails<T>) ?? '') : '')
    .toBeFalse();
}
