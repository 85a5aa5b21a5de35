import fc from 'fast-check';
import { criticalPath, endOf, schedule, type Task, type Window } from '..';

const task = (id: string, handsOn: number, wait = 0, after: readonly string[] = [], machine?: string): Task => ({
  id,
  handsOn,
  wait,
  after,
  machine,
});
const starts = (of: ReturnType<typeof schedule>): ReadonlyMap<string, number> =>
  new Map(of.kind === 'planned' ? of.tasks.map((t) => [t.id, t.start]) : []);

/** Every order, each task as early as it can be. */
function leastOf(tasks: readonly Task[], windows: readonly Window[]): number | null {
  let least: number | null = null;
  const go = (
    left: readonly Task[],
    ends: ReadonlyMap<string, number>,
    now: number,
    free: ReadonlyMap<string, number>,
  ): void => {
    if (left.length === 0) {
      const end = Math.max(0, ...ends.values());
      if (least === null || end < least) least = end;
      return;
    }
    for (const t of left) {
      if (left.some((o) => t.after.includes(o.id) || t.onceLaid?.includes(o.id))) continue;
      const ready = Math.max(
        now,
        t.notBefore ?? 0,
        ...t.after.map((a) => ends.get(a) ?? 0),
        (free.get(t.machine ?? '') ?? 0) - t.handsOn,
      );
      const window = windows.find(([from, to]) => Math.max(from, ready) + t.handsOn <= to);
      if (!window) continue;
      const hands = Math.max(window[0], ready) + t.handsOn;
      go(
        left.filter((o) => o !== t),
        new Map([...ends, [t.id, hands + t.wait]]),
        hands,
        t.machine === undefined ? free : new Map([...free, [t.machine, hands + t.wait]]),
      );
    }
  };
  go(tasks, new Map(), 0, new Map());
  return least;
}

const someTasks = fc
  .array(
    fc.record({
      handsOn: fc.integer({ min: 1, max: 12 }),
      wait: fc.oneof(fc.constant(0), fc.integer({ min: 1, max: 40 })),
      after: fc.array(fc.nat(5), { maxLength: 2 }),
      onceLaid: fc.array(fc.nat(5), { maxLength: 1 }),
      machine: fc.constantFrom(undefined, undefined, 'printer'),
      notBefore: fc.constantFrom(undefined, undefined, 9, 25),
    }),
    { minLength: 1, maxLength: 6 },
  )
  .map((list) =>
    list.map(({ after, onceLaid, ...t }, i): Task => {
      const before = (all: readonly number[]): readonly string[] => all.filter((a) => a < i).map((a) => `t${a}`);
      return { ...t, id: `t${i}`, after: before(after), onceLaid: before(onceLaid) };
    }),
  );
const someWindows = fc
  .array(fc.tuple(fc.integer({ min: 1, max: 30 }), fc.integer({ min: 1, max: 20 })), { minLength: 1, maxLength: 6 })
  .map((list) => {
    let at = 0;
    return list.map(([gap, size]): Window => {
      const from = at + gap;
      at = from + size;
      return [from, at];
    });
  });

describe('a plan for one pair of hands', () => {
  it('ends as early as the best of all orders, and keeps every rule', () => {
    fc.assert(
      fc.property(someTasks, someWindows, (tasks, windows) => {
        const found = schedule(tasks, windows);
        const least = leastOf(tasks, windows);
        if (found.kind === 'planned') {
          expect(found.proven).toBeTrue();
          expect(found.finish).toBeCloseTo(least!, 6);
          expect(endOf(tasks, windows, starts(found))).toEqual({ end: found.finish });
        } else if (found.kind === 'noTime') {
          expect(found.proven).toBeTrue();
          expect(least).toBeNull();
          expect(found.left.length).toBeGreaterThan(0);
        } else expect(tasks.some((t) => windows.every(([from, to]) => t.handsOn > to - from))).toBeTrue();
      }),
      { seed: 211, numRuns: 300 },
    );
  });

  it('is bounded below even where the search is cut short, and says so', () => {
    fc.assert(
      fc.property(someTasks, someWindows, (tasks, windows) => {
        const short = schedule(tasks, windows, 0);
        if (short.kind !== 'planned') return;
        const whole = schedule(tasks, windows);
        if (whole.kind !== 'planned') return fail('a plan was found before');
        expect(short.bound).toBeLessThanOrEqual(whole.finish + 1e-6);
        expect(short.finish).toBeGreaterThanOrEqual(whole.finish - 1e-6);
        expect(short.bound).toBeGreaterThanOrEqual(criticalPath(tasks) - 1e-6);
      }),
      { seed: 212, numRuns: 200 },
    );
  });

  it('begins what cures longest first, and leaves the slack of the rest', () => {
    const tasks = [
      task('saw', 30),
      task('glue', 10, 600, []),
      task('sand', 20, 0, ['glue']),
      task('hang', 30, 0, ['saw', 'sand']),
    ];
    const found = schedule(tasks, [
      [0, 100],
      [1000, 1100],
    ]);
    if (found.kind !== 'planned') throw new Error(found.kind);
    expect(found.finish).toBe(1050);
    const slack = Object.fromEntries(found.tasks.map((t) => [t.id, t.slack]));
    expect(slack['hang']).toBe(0);
    expect(slack['sand']).toBe(0);
    // It could still be done as the first thing of this evening's end.
    expect(slack['glue']).toBeGreaterThan(0);
    expect(criticalPath(tasks)).toBe(660);
  });

  it('goes on with what is to do while the printer runs', () => {
    const found = schedule(
      [
        task('a', 2, 50, [], 'printer'),
        task('b', 2, 40, [], 'printer'),
        task('saw', 30),
        task('join', 5, 0, ['a', 'b', 'saw']),
      ],
      [[0, 1000]],
    );
    if (found.kind !== 'planned') throw new Error(found.kind);
    expect(found.finish).toBe(2 + 50 + 40 + 5);
    expect(found.proven).toBeTrue();
  });

  it('names a ring, a task longer than any evening, and what there is no time for', () => {
    const ring = [
      task('a', 1, 0, ['c']),
      task('b', 1, 0, ['a']),
      task('c', 1, 0, ['b']),
      task('d', 1, 0, ['c']),
      task('e', 1),
    ];
    const round = schedule(ring, [[0, 10]]);
    expect(round.kind === 'ring' && [...round.ids].sort()).toEqual(['a', 'b', 'c']);
    expect(() => criticalPath(ring)).toThrowError(RangeError);
    expect(schedule([task('long', 50)], [[0, 20]])).toEqual({ kind: 'tooLong', id: 'long', longest: 20 });
    const none = schedule([task('a', 15), task('b', 15)], [[0, 20]]);
    expect(none.kind === 'noTime' && none.left.length).toBe(1);
    expect(schedule([task('a', 5)], []).kind).toBe('tooLong');
    expect(schedule([], [[0, 10]])).toEqual({ kind: 'planned', tasks: [], finish: 0, bound: 0, proven: true });
  });

  it('is read by its own rules: what overlaps, comes too soon or lies outside is named', () => {
    const two = [task('a', 10), task('b', 10, 0, ['a'])];
    const read = (a: number, b: number) =>
      endOf(two, [[0, 30]], new Map([['a', a], ['b', b]])); // prettier-ignore
    expect(read(0, 10)).toEqual({ end: 20 });
    expect('wrong' in read(0, 5)).toBeTrue();
    expect('wrong' in read(0, 25)).toBeTrue();
  });
});
