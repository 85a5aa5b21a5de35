/** How many times its loads a frame bears before it gives way sideways: (K + factor · KG) v = 0, KG from first-order axial forces. */
import { ZERO, type Vec3 } from '../../0-base';
import { largestPairs, type Pair } from '../solver/lanczos';
import { factored, skyline, solve, times, type Skyline } from '../solver/skyline';
import { sandwiched } from '../solver/small';
import { frameAtRest, type FrameAnswer } from './frameAnswer';
import type { FrameModel } from './frameModel';
import { frameSystem, spreadInto, type FrameSystem } from './frameSystem';
import { pieceStiffening } from './memberPieces';

export interface Buckling {
  /** Rising; fewer than asked for where tension holds the rest. */
  readonly factors: readonly number[];
  /** Of each member, by the loads as given, its middle, tension positive, N. */
  readonly axial: readonly number[];
  /** None below the last was missed. */
  readonly proven: boolean;
}
/** Short beams to a member: the lowest factors of a strut settle to 1e-6. */
const PIECES = 8;
const ROUNDS_AT_MOST = 8;

/** Weight in a field (m/s², left out: none) and loads keep their direction; Euler and Bernoulli's beams. A mechanism throws: it has no factor. */
export function bucklingOf(model: FrameModel, count: number, field: Vec3 = ZERO, pieces = PIECES): Buckling {
  const system = frameSystem({ ...model, theory: 'eulerBernoulli' }, () => pieces);
  const { stiffness } = system;
  const own = factored(stiffness);
  const atRest = frameAtRest(system, field, own);
  if (atRest.kind !== 'solved') throw new RangeError('The frame moves without bending: it bears nothing.');
  const axial = axialOf(system, atRest.answer);
  const stiffening = byAxial(system, axial);
  const operator = {
    size: stiffness.size,
    operate: (x: Float64Array) => solve(own, times(stiffening, x)).map((v) => -v),
    metric: (x: Float64Array) => times(stiffness, x),
  };
  const known: Pair[] = [];
  for (let round = 0; round < ROUNDS_AT_MOST; round++) {
    const more = largestPairs(operator, known.length === 0 ? count : 1, known);
    if (more === null) break;
    known.push(...more.filter((p) => p.value > 0));
    known.sort((a, b) => b.value - a.value);
    const factors = known.slice(0, count).map((p) => 1 / p.value);
    const last = factors.at(-1);
    if (last === undefined) return { factors, axial, proven: true };
    const bound = last * (1 + 1e-6);
    const below = known.filter((p) => 1 / p.value < bound).length;
    if (more.length === 0 || factored(stiffness, stiffening, bound).negative <= below)
      return { factors, axial, proven: true };
  }
  return { factors: known.slice(0, count).map((p) => 1 / p.value), axial, proven: false };
}

/** Whether it bears so many times what strains it at rest without giving way sideways: no factor lies below (Sylvester's count of signs). */
export function standsUpTo(system: FrameSystem, atRest: FrameAnswer, times: number): boolean {
  const stiffening = byAxial(system, axialOf(system, atRest));
  return factored(system.stiffness, stiffening, times).negative === 0;
}

/** Of each member its mean, tension positive, N. */
function axialOf({ model }: FrameSystem, answer: FrameAnswer): readonly number[] {
  const sums = model.members.map(() => ({ force: 0, cuts: 0 }));
  for (const { member, force } of answer.through(0)) {
    sums[member]!.force += force[0];
    sums[member]!.cuts += 1;
  }
  return sums.map(({ force, cuts }) => force / Math.max(1, cuts));
}

/** What axial forces add to the stiffness: KG. */
function byAxial({ elements, row, stiffness }: FrameSystem, axial: readonly number[]): Skyline {
  const stiffening = skyline(stiffness.first);
  for (const { beam, unknowns } of elements) {
    if (!beam) continue;
    const own = pieceStiffening(beam.piece, axial[beam.member]!);
    const moved = beam.ends.length === 144 ? own : sandwiched(own, beam.ends, 12, beam.ends.length / 12);
    spreadInto(stiffening, moved, unknowns, row);
  }
  return stiffening;
}
