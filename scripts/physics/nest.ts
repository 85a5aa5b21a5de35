import { barsAtLeast, nest as pack } from '@tide-pebble/core/making';
import type { CaseKind, Given } from '../physicsCase';

export const nest: CaseKind = {
  kind: 'nest',
  compute: (given, expect) => {
    const problem = {
      barLength: given['barLength'],
      kerf: given['kerf'],
      pieces: given['pieces'],
      leftovers: given['leftovers'] ?? [],
    };
    const pieces = problem.pieces as readonly { length: number; count: number }[];
    const pieceCount = pieces.reduce((n, p) => n + p.count, 0);
    const found = pack(problem);
    if (found.kind === 'noSolution') return { pieceCount, possible: false };
    const bars = found.newBars.length;
    const cut = pieces.reduce((s, p) => s + p.length * p.count, 0);
    const alone = problem.leftovers.length > 0 ? pack({ ...problem, leftovers: [] }) : found;
    return {
      pieceCount,
      possible: true,
      // Only a proven count may stand for the least one.
      newBars: found.kind === 'solved' ? bars : null,
      lowerBoundWithoutLeftovers: barsAtLeast(problem),
      newBarsWithoutLeftovers: alone.kind === 'solved' ? alone.newBars.length : null,
      totalNotInPieces: bars * problem.barLength + found.leftovers.reduce((s, b) => s + b.length, 0) - cut,
      exampleCutting: holds(found, given) ? expect['exampleCutting'] : found.newBars,
    };
  },
};

/** The case's example is one optimum of several: ours stands for it when it cuts every piece once and overruns no bar. */
function holds(found: Extract<ReturnType<typeof pack>, { newBars: unknown }>, given: Given): boolean {
  const bars = [...found.leftovers, ...found.newBars];
  const fits = bars.every(
    (b) => b.pieces.reduce((s, p) => s + p, 0) + (b.pieces.length - 1) * given['kerf'] <= b.length + 1e-9,
  );
  const cut = bars
    .flatMap((b) => b.pieces)
    .sort((a, b) => a - b)
    .join();
  const asked = given['pieces']
    .flatMap((p: { length: number; count: number }) => Array.from({ length: p.count }, () => p.length))
    .sort((a: number, b: number) => a - b)
    .join();
  return fits && cut === asked;
}
