/** Parts that the maker saws out of sheet, bar or tube that is bought. */
import type { Part, Rig } from '../../model';

/** Those of a rig, each a piece by itself. */
export const sawnParts = ({ bodies }: Pick<Rig, 'bodies'>): readonly Part[] =>
  bodies.flatMap((b) => b.parts.filter((p) => p.supply?.sawn && !p.by && !p.of && !p.uses));
