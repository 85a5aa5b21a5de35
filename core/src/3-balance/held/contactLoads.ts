/** How a rig's weight is shared among shoulder, chest and hands, which can only push: an estimate, since there are more of them than equations. */
import { cross, scale, subtract, unit, type Vec3 } from '../../0-base';

export interface Push {
  /** Where it bears, m, level axes. */
  readonly point: Vec3;
  /** The way it pushes the rig. */
  readonly direction: Vec3;
  /** Force that is still comfortable, N; all alike when none is given. */
  readonly comfortLimit?: number;
}
export type ContactLoads =
  /** Forces in the order given, N. `unique`: no other set holds it, so this is no estimate. */
  | { readonly kind: 'held'; readonly forces: readonly number[]; readonly sumOfSquaredShares: number; readonly unique: boolean }
  /** Pushing alone cannot hold it: with the best that pushing can do, this force (N) and torque (N m, about the mass centre) are left over. */
  | { readonly kind: 'cannotHold'; readonly leftForce: Vec3; readonly leftTorque: Vec3 };

/** Arms of about this length make moments as large as forces, so that neither hides the other, m. */
const SCALE = 0.3;
/** Parts of the weight that count as nought in the equilibrium. */
const NOUGHT = 1e-9;

/**
 * Equilibrium on level ground at rest: forces and moments of all pushes and the weight (N, through `massCentre`) add up to
 * nought, each push at least nought; of all that do, the one with the least sum of (force / comfort limit)². The least is
 * the minimum-norm answer on the set that carries, so each set of contacts is tried, all of them first (at most 12: 4096).
 */
export function contactLoads(weight: number, massCentre: Vec3, pushes: readonly Push[]): ContactLoads {
  const limits = pushes.map((p) => p.comfortLimit ?? 1);
  const columns = pushes.map((p, i) => columnOf(p, massCentre, limits[i]!));
  const wanted = [0, 0, weight, 0, 0, 0];
  const whole = columns.map((_, i) => i);
  const all = leastOn(columns, whole, wanted);
  const best = all && all.every((g) => g >= -NOUGHT * weight) ? all : tryAll(columns, wanted, weight);
  if (!best) return { kind: 'cannotHold', ...leftOver(columns, wanted, weight) };
  const shares = best.map((g) => Math.max(0, g));
  return { kind: 'held', forces: shares.map((g, i) => g * limits[i]!), sumOfSquaredShares: shares.reduce((sum, g) => sum + g * g, 0), unique: rankOf(columns) === columns.length };
}

function columnOf({ point, direction }: Push, about: Vec3, limit: number): readonly number[] {
  const way = unit(direction);
  return [...scale(way, limit), ...scale(cross(subtract(point, about), way), limit / SCALE)];
}

function tryAll(columns: readonly (readonly number[])[], wanted: readonly number[], weight: number): readonly number[] | null {
  let best: readonly number[] | null = null;
  let least = Infinity;
  for (let set = 1; set < 2 ** columns.length; set++) {
    const members = columns.map((_, i) => i).filter((i) => (set >> i) & 1);
    const found = leastOn(columns, members, wanted);
    if (!found?.every((g) => g >= -NOUGHT * weight)) continue;
    const size = found.reduce((sum, g) => sum + g * g, 0);
    if (size < least) [best, least] = [found, size];
  }
  return best;
}

/** Minimum-norm answer of the columns in `members` (the rest nought); null when they cannot make what is wanted. */
function leastOn(columns: readonly (readonly number[])[], members: readonly number[], wanted: readonly number[]): readonly number[] | null {
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
function leftOver(columns: readonly (readonly number[])[], wanted: readonly number[], weight: number): { leftForce: Vec3; leftTorque: Vec3 } {
  const answer = columns.map(() => 0);
  const size = columns.reduce((sum, c) => sum + product(c, c), 0) || 1;
  const residual = (): number[] => wanted.map((w, r) => w - columns.reduce((sum, c, i) => sum + c[r]! * answer[i]!, 0));
  for (let step = 0; step < 2000; step++) {
    const now = residual();
    columns.forEach((c, i) => (answer[i] = Math.max(0, answer[i]! + product(c, now) / size)));
  }
  const now = residual().map((x) => (Math.abs(x) < 1e-6 * weight ? 0 : x));
  // What the pushes must still make is the opposite of what the rig then does.
  return { leftForce: [-now[0]!, -now[1]!, -now[2]!], leftTorque: [-now[3]! * SCALE, -now[4]! * SCALE, -now[5]! * SCALE] };
}

const product = (a: readonly number[], b: readonly number[]): number => a.reduce((sum, x, i) => sum + x * b[i]!, 0);
const norm = (a: readonly number[]): number => Math.hypot(...a);
