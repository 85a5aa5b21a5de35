/** How a rig's weight is shared among shoulder, chest and hands, which can only push: an estimate, since there are more of them than equations. */
import { cross, scale, subtract, unit, type Vec3, solveDefinite } from '../../../0-base';

export interface Push {
  /** Where it bears, m, level axes. */
  readonly point: Vec3;
  /** The way it pushes the rig. */
  readonly direction: Vec3;
  /** Force that is still comfortable, N; all alike when none is given. */
  readonly comfortLimit?: number;
}
/** A force on the rig from outside, N, where it acts, m, level axes: a tug on a strap, a hand on the lens, wind. */
export interface Outside {
  readonly force: Vec3;
  readonly point: Vec3;
}
export type ContactLoads =
  /** Forces in the order given, N. `unique`: no other set holds it, so this is no estimate. */
  | {
      readonly kind: 'held';
      readonly forces: readonly number[];
      readonly sumOfSquaredShares: number;
      readonly unique: boolean;
    }
  /** Pushing alone cannot hold it: with the best that pushing can do, this force (N) and torque (N m, about the mass centre) are left over. */
  | { readonly kind: 'cannotHold'; readonly leftForce: Vec3; readonly leftTorque: Vec3 };

/** Arms of about this length make moments as large as forces, so that neither hides the other, m. */
const SCALE = 0.3;
/** Parts of the weight that count as zero in the equilibrium. */
const NOUGHT = 1e-9;

/**
 * Equilibrium on level ground at rest: forces and moments of all pushes, the weight (N, through `massCentre`) and what acts
 * from outside add up to zero, each push at least zero; of all that do, the one with the least sum of (force / comfort limit)². That is the
 * minimum-norm answer on the set that carries, found exactly once the set is known.
 */
export function contactLoads(
  weight: number,
  massCentre: Vec3,
  pushes: readonly Push[],
  outside: readonly Outside[] = [],
): ContactLoads {
  const limits = pushes.map((p) => p.comfortLimit ?? 1);
  const columns = pushes.map((p, i) => columnOf(p, massCentre, limits[i]!));
  const wanted = outside.reduce<readonly number[]>(
    (sum, { force, point }) => {
      const moment = scale(cross(subtract(point, massCentre), force), 1 / SCALE);
      return sum.map((w, i) => w - (i < 3 ? force[i]! : moment[i - 3]!));
    },
    [0, 0, weight, 0, 0, 0],
  );
  const whole = columns.map((_, i) => i);
  const all = leastOn(columns, whole, wanted);
  // Where even pulling would not hold it, pushing does not.
  const best = !all || all.every((g) => g >= -NOUGHT * weight) ? all : carriers(columns, wanted);
  if (!best) return { kind: 'cannotHold', ...leftOver(columns, wanted, weight) };
  const shares = best.map((g) => Math.max(0, g));
  return {
    kind: 'held',
    forces: shares.map((g, i) => g * limits[i]!),
    sumOfSquaredShares: shares.reduce((sum, g) => sum + g * g, 0),
    unique: rankOf(columns) === columns.length,
  };
}

function columnOf({ point, direction }: Push, about: Vec3, limit: number): readonly number[] {
  const way = unit(direction);
  return [...scale(way, limit), ...scale(cross(subtract(point, about), way), limit / SCALE)];
}

/** Steps of the dual climb; a dozen are usual. */
const STEPS_AT_MOST = 120;

/**
 * The shares g >= 0 of least |g|² with A g = b, through their dual: g = max(0, Aᵀy), y the least of |max(0, Aᵀy)|²/2 - b·y, a
 * convex function of six numbers. Newton with a little damping and halving; the set that carries is then solved exactly.
 * Null when y runs away: then some y has Aᵀy <= 0 and b·y > 0, and no push helps against that.
 */
function carriers(columns: readonly (readonly number[])[], wanted: readonly number[]): readonly number[] | null {
  const [count, rows] = [columns.length, wanted.length];
  const lengths = columns.map(norm);
  const trace = lengths.reduce((sum, l) => sum + l * l, 0) / rows;
  const size = norm(wanted);
  const shares = new Float64Array(count);
  /** Fills `shares` for this y and gives the dual's value there. */
  const dual = (at: readonly number[]): number => {
    let value = -product(wanted, at);
    for (let i = 0; i < count; i++) {
      const g = Math.max(0, product(columns[i]!, at));
      shares[i] = g;
      value += (g * g) / 2;
    }
    return value;
  };
  let y = wanted.map(() => 0);
  let now = dual(y);
  for (let step = 0; step < STEPS_AT_MOST; step++) {
    const left = [...wanted];
    const gram = wanted.map(() => new Array<number>(rows).fill(0));
    for (let i = 0; i < count; i++) {
      const c = columns[i]!;
      if (step === 0 ? product(c, wanted) <= 0 : shares[i]! <= 0) continue;
      for (let r = 0; r < rows; r++) {
        left[r]! -= c[r]! * shares[i]!;
        for (let k = 0; k <= r; k++) gram[r]![k]! += c[r]! * c[k]!;
      }
    }
    const off = norm(left);
    if (off <= 1e-11 * size) break;
    const damping = trace * Math.max(1e-10, 1e-3 * Math.min(1, off / size));
    for (let r = 0; r < rows; r++) gram[r]![r]! += damping;
    const way = solveDefinite(gram, left);
    const fall = product(left, way);
    let part = 1;
    let next = y;
    let value = now;
    for (; part > 1e-9; part /= 2) {
      next = y.map((v, r) => v + part * way[r]!);
      value = dual(next);
      if (value <= now - 1e-4 * part * fall) break;
    }
    [y, now] = [next, value];
    const far = norm(y);
    if (product(wanted, y) > 0 && columns.every((c, i) => product(c, y) <= 1e-9 * far * lengths[i]!)) return null;
  }
  let most = 0;
  for (const g of shares) most = Math.max(most, g);
  const exact = leastOn(
    columns,
    columns.map((_, i) => i).filter((i) => shares[i]! > 1e-9 * most),
    wanted,
  );
  return exact?.every((x) => x >= -NOUGHT * most) ? exact : null;
}

/** Minimum-norm answer of the columns in `members` (the rest zero); null when they cannot make what is wanted. */
function leastOn(
  columns: readonly (readonly number[])[],
  members: readonly number[],
  wanted: readonly number[],
): readonly number[] | null {
  // With orthonormal rows of the columns' space, the least answer is read off directly: modified Gram-Schmidt over rows.
  const rows = wanted.map((w, r) => ({ row: members.map((c) => columns[c]![r]!), right: w }));
  const size = Math.max(...rows.map(({ row }) => norm(row)), 1e-300);
  const basis: { row: number[]; right: number }[] = [];
  for (const given of rows) {
    let { row, right } = { row: [...given.row], right: given.right };
    // Twice is enough to be orthogonal to rounding.
    for (let pass = 0; pass < 2; pass++) {
      for (const b of basis) {
        const along = product(row, b.row);
        row = row.map((x, i) => x - along * b.row[i]!);
        right -= along * b.right;
      }
    }
    const left = norm(row);
    if (left <= 1e-10 * size) {
      if (Math.abs(right) > 1e-9 * norm(wanted)) return null;
      continue;
    }
    basis.push({ row: row.map((x) => x / left), right: right / left });
  }
  const answer = columns.map(() => 0);
  for (const b of basis) members.forEach((c, i) => (answer[c] = answer[c]! + b.right * b.row[i]!));
  return answer;
}

function rankOf(columns: readonly (readonly number[])[]): number {
  const basis: number[][] = [];
  for (const column of columns) {
    let left = [...column];
    for (const b of basis) {
      const along = product(left, b);
      left = left.map((x, i) => x - along * b[i]!);
    }
    const size = norm(left);
    if (size > 1e-10 * norm(column)) basis.push(left.map((x) => x / size));
  }
  return basis.length;
}

/** What the nearest pushes (projected descent, bounded steps) leave: enough to say which way it falls. */
function leftOver(
  columns: readonly (readonly number[])[],
  wanted: readonly number[],
  weight: number,
): { leftForce: Vec3; leftTorque: Vec3 } {
  const answer = columns.map(() => 0);
  const size = columns.reduce((sum, c) => sum + product(c, c), 0) || 1;
  const residual = (): number[] => wanted.map((w, r) => w - columns.reduce((sum, c, i) => sum + c[r]! * answer[i]!, 0));
  for (let step = 0; step < 400; step++) {
    const now = residual();
    columns.forEach((c, i) => (answer[i] = Math.max(0, answer[i]! + product(c, now) / size)));
  }
  const now = residual().map((x) => (Math.abs(x) < 1e-6 * weight ? 0 : x));
  // What the pushes must still make is the opposite of what the rig then does.
  return {
    leftForce: [-now[0]!, -now[1]!, -now[2]!],
    leftTorque: [-now[3]! * SCALE, -now[4]! * SCALE, -now[5]! * SCALE],
  };
}

function product(a: readonly number[], b: readonly number[]): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!;
  return sum;
}
const norm = (a: readonly number[]): number => Math.sqrt(product(a, a));
