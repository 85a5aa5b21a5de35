import * as fc from 'fast-check';
import { contactLoads, type Push } from '../..';
import { cross, subtract, type Vec3 } from '../../../0-base';

const up: Vec3 = [0, 0, 1];
const hands: readonly Push[] = [
  { point: [-0.05, 0, 0], direction: up },
  { point: [0.35, 0, 0], direction: up },
];
const worn: readonly Push[] = [
  { point: [0, 0, 0], direction: up, comfortLimit: 80 },
  { point: [0.03, 0, -0.25], direction: [1, 0, 0], comfortLimit: 40 },
  { point: [0, 0, 0], direction: [-1, 0, 0], comfortLimit: 35 },
  { point: [0.28, 0.18, -0.05], direction: up, comfortLimit: 30 },
  { point: [0.3, -0.18, -0.05], direction: up, comfortLimit: 30 },
  { point: [0.3, -0.18, -0.05], direction: [0, 0, -1], comfortLimit: 20 },
];
const millimetres = (least: number, most: number) => fc.integer({ min: least, max: most }).map((mm) => mm / 1000);
const place = fc.record({ x: millimetres(-100, 350), y: millimetres(-100, 100), z: millimetres(-200, 300) });

/** What is left of forces and of moments about the mass centre. */
function leftover(weight: number, centre: Vec3, pushes: readonly Push[], forces: readonly number[]): number {
  const total = [0, 0, -weight, 0, 0, 0];
  pushes.forEach((p, i) => {
    const f = p.direction.map((d) => d * forces[i]!) as unknown as Vec3;
    [...f, ...cross(subtract(p.point, centre), f)].forEach((x, k) => (total[k] = total[k]! + x));
  });
  return Math.hypot(...total);
}

describe('contactLoads', () => {
  it('two hands in a line share by the lever', () => {
    const outcome = contactLoads(20, [0.11, 0, 0.1], hands);
    expect(outcome.kind === 'held' && outcome.forces.map((f) => Math.round(f * 1e9) / 1e9)).toEqual([12, 8]);
    expect(outcome.kind === 'held' && outcome.unique).toBeTrue();
  });

  it('says it cannot be held by pushing, and which way it falls', () => {
    const outcome = contactLoads(20, [0.45, 0, 0.1], hands);
    if (outcome.kind !== 'cannotHold') return fail('it falls');
    // Nose down about the front hand.
    expect(outcome.leftTorque[1]).toBeGreaterThan(0);
    expect(contactLoads(20, [0, 0, 0], []).kind).toBe('cannotHold');
  });

  it('balances forces and moments wherever the mass centre lies, with pushes only', () => {
    let held = 0;
    expect(() =>
      fc.assert(
        fc.property(place, ({ x, y, z }) => {
          const outcome = contactLoads(40, [x, y, z], worn);
          if (outcome.kind !== 'held') return;
          held += 1;
          expect(Math.min(...outcome.forces)).toBeGreaterThanOrEqual(0);
          expect(leftover(40, [x, y, z], worn, outcome.forces)).toBeLessThan(1e-6);
        }),
        { numRuns: 200, seed: 11 },
      ),
    ).not.toThrow();
    expect(held).toBeGreaterThan(60);
  });

  it('is not beaten by any other sharing that holds', () => {
    const centre: Vec3 = [0.12, 0.01, 0.05];
    const outcome = contactLoads(40, centre, worn);
    if (outcome.kind !== 'held') return fail('it holds');
    // Along what changes nothing (a chest push against a shoulder push at another height cannot), every step costs.
    const cost = (forces: readonly number[]): number =>
      forces.reduce((sum, f, i) => sum + (f / worn[i]!.comfortLimit!) ** 2, 0);
    let compared = 0;
    expect(() =>
      fc.assert(
        fc.property(fc.array(fc.double({ min: -8, max: 8, noNaN: true }), { minLength: 6, maxLength: 6 }), (step) => {
          const other = contactLoads(
            40,
            centre,
            worn.map((p, i) => ({ ...p, comfortLimit: p.comfortLimit! * Math.exp(step[i]! / 8) })),
          );
          if (other.kind !== 'held') return;
          compared += 1;
          expect(cost(other.forces)).toBeGreaterThanOrEqual(cost(outcome.forces) - 1e-9);
        }),
        { numRuns: 60, seed: 12 },
      ),
    ).not.toThrow();
    expect(compared).toBeGreaterThan(50);
  });

  it('is the same in another order, and moved elsewhere', () => {
    const order = [3, 1, 5, 0, 4, 2];
    const centre: Vec3 = [0.12, 0.01, 0.05];
    const by: Vec3 = [1.2, -0.7, 0.4];
    const moved = (p: Vec3): Vec3 => [p[0] + by[0], p[1] + by[1], p[2] + by[2]];
    const [a, b, c] = [
      contactLoads(40, centre, worn),
      contactLoads(
        40,
        centre,
        order.map((i) => worn[i]!),
      ),
      contactLoads(
        40,
        moved(centre),
        worn.map((p) => ({ ...p, point: moved(p.point) })),
      ),
    ];
    if (a.kind !== 'held' || b.kind !== 'held' || c.kind !== 'held') return fail('it holds');
    order.forEach((from, to) => expect(b.forces[to]!).toBeCloseTo(a.forces[from]!, 8));
    a.forces.forEach((f, i) => expect(c.forces[i]!).toBeCloseTo(f, 8));
  });

  it('finds what trying every set of pushes finds, and says no when none of them holds', () => {
    const counts = { held: 0, not: 0 };
    expect(() =>
      fc.assert(
        fc.property(
          fc.array(
            fc.record({
              p: fc.tuple(millimetres(-300, 400), millimetres(-250, 250), millimetres(-300, 300)),
              d: fc.constantFrom<Vec3>([0, 0, 1], [0, 0, -1], [1, 0, 0], [-1, 0, 0], [0, 1, 0], [0, -1, 0]),
              limit: fc.integer({ min: 10, max: 90 }),
            }),
            { minLength: 6, maxLength: 9 },
          ),
          place,
          (list, { x, y, z }) => {
            const pushes: Push[] = list.map(({ p, d, limit }) => ({ point: p, direction: d, comfortLimit: limit }));
            // Three that can always lift, so that many hold.
            const all: Push[] = [
              ...pushes,
              { point: [-0.2, 0, 0], direction: up, comfortLimit: 50 },
              { point: [0.4, 0.2, 0], direction: up, comfortLimit: 50 },
              { point: [0.4, -0.2, 0], direction: up, comfortLimit: 50 },
            ];
            const fast = contactLoads(40, [x, y, z], all);
            const slow = bySets(40, [x, y, z], all);
            if (slow === null) {
              counts.not += 1;
              expect(fast.kind).toBe('cannotHold');
            } else {
              counts.held += 1;
              if (fast.kind !== 'held') return expect(fast.kind).toBe('held');
              expect(fast.sumOfSquaredShares).toBeCloseTo(slow, 7);
              expect(leftover(40, [x, y, z], all, fast.forces)).toBeLessThan(1e-6);
            }
          },
        ),
        { numRuns: 60, seed: 21 },
      ),
    ).not.toThrow();
    expect(counts.held).toBeGreaterThan(15);
    expect(counts.not).toBeGreaterThan(1);
  });
});

/** The slow obvious way: the least of the minimum-norm answers of every set of pushes that holds; null when none does. */
function bySets(weight: number, centre: Vec3, pushes: readonly Push[]): number | null {
  const columns = pushes.map(({ point, direction, comfortLimit = 1 }) =>
    [...direction, ...cross(subtract(point, centre), direction)].map((v) => v * comfortLimit),
  );
  const wanted = [0, 0, weight, 0, 0, 0];
  let least: number | null = null;
  for (let set = 1; set < 2 ** columns.length; set++) {
    const chosen = columns.filter((_, i) => (set >> i) & 1);
    const answer = normalEquations(chosen, wanted);
    if (!answer || answer.some((g) => g < -1e-7)) continue;
    const size = answer.reduce((sum, g) => sum + g * g, 0);
    if (least === null || size < least) least = size;
  }
  return least;
}

/** g = Cᵀ(C Cᵀ)⁻¹ b by elimination with pivots; rows that depend on others are dropped. Null where b is out of reach. */
function normalEquations(columns: readonly (readonly number[])[], wanted: readonly number[]): number[] | null {
  const rows = wanted.map((w, r) => [...wanted.map((_, k) => columns.reduce((sum, c) => sum + c[r]! * c[k]!, 0)), w]);
  const size = Math.max(...rows.flatMap((r) => r.slice(0, 6).map(Math.abs)));
  const pivots: number[] = [];
  for (let col = 0, row = 0; col < 6; col++) {
    const best = rows.slice(row).reduce((b, r, i) => (Math.abs(r[col]!) > Math.abs(rows[b]![col]!) ? row + i : b), row);
    if (row > 5 || Math.abs(rows[best]![col]!) < 1e-9 * size) continue;
    [rows[row], rows[best]] = [rows[best]!, rows[row]!];
    for (let r = 0; r < 6; r++) {
      if (r === row) continue;
      const k = rows[r]![col]! / rows[row]![col]!;
      rows[r] = rows[r]!.map((x, i) => x - k * rows[row]![i]!);
    }
    pivots.push(col);
    row++;
  }
  const y = Array<number>(6).fill(0);
  pivots.forEach((col, row) => (y[col] = rows[row]![6]! / rows[row]![col]!));
  const answer = columns.map((c) => c.reduce((sum, x, r) => sum + x * y[r]!, 0));
  const off = wanted.map((w, r) => w - columns.reduce((sum, c, i) => sum + c[r]! * answer[i]!, 0));
  return Math.hypot(...off) < 1e-7 * Math.hypot(...wanted) ? answer : null;
}
