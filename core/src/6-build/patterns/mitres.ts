/** Mitred ends as words, each lean once; an end that is as good as square is none. */
import { dot, figure, say, type Phrase, type Vec3 } from '../../0-base';
import type { PieceShape } from '../../2-frame';

type Mitres = PieceShape['mitres'];
/** Nearer square than this is square, rad. */
const SQUARE = Math.PI / 360;
const leanOf = (normal: Vec3, run: Vec3): number => Math.acos(Math.min(1, Math.abs(dot(normal, run))));

export const slanted = (mitres: Mitres, run: Vec3): Mitres => mitres.filter((m) => leanOf(m.normal, run) > SQUARE);

export function mitreWords(mitres: Mitres, run: Vec3): readonly Phrase[] {
  const leans = mitres.map((m) => leanOf(m.normal, run));
  return leans.flatMap((lean, i) => {
    if (leans.slice(0, i).some((l) => Math.abs(l - lean) < 1e-6)) return [];
    const both = leans.some((l, j) => j > i && Math.abs(l - lean) < 1e-6);
    return [
      say`${both ? 'Both ends are' : 'An end is'} mitred, ${figure('angle', lean, 1)} off square: saw along the ${both ? 'lines' : 'line'}.`,
    ];
  });
}
