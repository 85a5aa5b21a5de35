/** How many times its loads a frame bears before it gives way sideways: (K + factor · KG) v = 0, KG from first-order axial forces. */
import { ZERO, type Vec3 } from '../../0-base';
import { largestPairs, type Pair } from '../solver/lanczos';
import { factored, skyline, solve, times } from '../solver/skyline';
import { sandwiched } from '../solver/small';
import { frameAtRest } from './frameAnswer';
import type { FrameModel } from './frameModel';
import { frameSystem, spreadInto } from './frameSystem';
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
  const { stiffness, row } = system;
  const own = factored(stiffness);
  const atRest = frameAtRest(system, field, own);
  if (atRest.kind !== 'solved') throw new RangeError('The frame moves without bending: it bears nothing.');
  const cuts = atRest.answer.through(0);
  const axial = model.members.map((_, i) => {
    const along = cuts.filter((c) => c.member === i).map((c) => c.force[0]);
    return along.reduce((a, b) => a + b, 0) / along.length;
  });
  const stiffening = skyline(stiffness.first);
  for (const { beam, unknowns } of system.elements)
    if (beam) spreadInto(stiffening, moved(pieceStiffening(beam.piece, axial[beam.member]!), beam.ends), unknowns, row);
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

  function moved(k: Float64Array, ends: Float64Array): Float64Array {
    return ends.length === 144 ? k : sandwiched(k, ends, 12, ends.length / 12);
  }
}
