import { DEGREE, METRIC, render } from '../../0-base';
import { lastDenies, leansReadRight } from './lastSays';

describe('the last reading against all together', () => {
  const now = { stage: 0.01, foot: 5 };
  const wants = { levelWithin: 3 * DEGREE };
  const read = (noseDown: number, values = now) => ({ values, seen: { dropTimes: [], noseDown: noseDown * DEGREE } });
  const words = (...given: Parameters<typeof lastDenies>): string => render(lastDenies(...given) ?? [], METRIC);
  it('denies the pool where it leans more than is wanted, set as it is now', () => {
    expect(words(read(4.3), now, wants)).toContain('4.3° nose down: read it once more');
    expect(words(read(-4.3), now, wants)).toContain('4.3° nose up');
  });
  it('says which leans are as wanted', () => {
    expect(leansReadRight(read(2.9), now, wants)).toEqual(['noseDown']);
    expect(leansReadRight(read(3.1), now, wants)).toEqual([]);
    expect(leansReadRight(read(1, { stage: 0.02, foot: 5 }), now, wants)).toEqual([]);
  });
  it('is silent within the pool, set otherwise, or with no lean read', () => {
    expect(lastDenies(read(2.9), now, wants)).toBeNull();
    expect(lastDenies(read(9, { stage: 0.02, foot: 5 }), now, wants)).toBeNull();
    expect(lastDenies({ values: now, seen: { dropTimes: [1.2] } }, now, wants)).toBeNull();
    expect(lastDenies(undefined, now, wants)).toBeNull();
  });
});
