import type { LogEntry } from '../model';
import { broughtIn, FIELD_LOG, parseFieldLog } from './fieldLog';

const entry = (id: string, rig = 'r'): LogEntry => ({
  id,
  rig,
  loadout: null,
  when: '2026-06-14T10:00:00Z',
  values: {},
  expected: { noseDown: null, leftSideDown: null, dropPitch: null, dropSpread: null },
  seen: { dropTimes: [1.9] },
  notes: '',
});
const file = (entries: readonly unknown[], more: object = {}): string =>
  JSON.stringify({ format: FIELD_LOG, version: 1, entries, ...more });

describe('what a field pack gives back', () => {
  it('reads as it was kept, and names what is wrong with what does not', () => {
    expect(parseFieldLog(file([entry('a')]))).toEqual({ ok: true, value: [entry('a')] });
    const wrong = (text: string): string => {
      const read = parseFieldLog(text);
      return read.ok ? '' : `${read.faults[0]!.path} ${read.faults[0]!.message}`.trim();
    };
    expect(wrong('oh')).toBe('is not a log that a field pack gave back');
    expect(wrong('[]')).not.toBe('');
    expect(wrong(file([], { format: 'other' }))).toContain('format');
    expect(wrong(file([{ ...entry('a'), when: 'Tuesday' }]))).toContain('entries.0.when');
    expect(wrong(file([{ ...entry('a'), seen: { dropTimes: [-1] } }]))).toContain('entries.0.seen.dropTimes.0');
    expect(wrong(file([{ ...entry('a'), script: 'x' }]))).toContain('not known: script');
  });

  it('is taken once each: what is here stays as it is, twice in one file is once, two phones are two', () => {
    const held = new Set(['a']);
    const outcome = broughtIn(
      [entry('a'), entry('b'), entry('b'), entry('c', 'gone')],
      (id) => held.has(id),
      (rig) => rig === 'r',
    );
    expect(outcome.fresh.map((e) => e.id)).toEqual(['b', 'c']);
    expect([outcome.known, outcome.ofGoneRigs]).toEqual([2, 1]);
  });
});
