/** The glue, cement or solder of one joint, as a piece of its own: a speck in its middle that weighs what stays there. */
import { add, scale, type Vec3 } from '../../0-base';
import { boundingBox, boxRound, type FlatBody } from '../../1-load';
import type { Part } from '../../model';
import { FILLER_SPREAD, FILLERS, type FillerKind } from '../hardware/fillers';

const SPECK = 0.001; // side of it, m: it is drawn within what it holds

interface Filled {
  readonly id: string;
  /** The connection or joint that takes it, and the piece it goes along with. */
  readonly by: string;
  readonly goesWith: string;
  readonly glue: FillerKind;
  /** m². */
  readonly area: number;
  readonly at: Vec3;
}

export function fillerPart({ id, by, goesWith, glue, area, at }: Filled): Part {
  const { name, item, used, kept, pack, price } = FILLERS[glue];
  const mass = kept * area;
  return {
    id,
    name,
    shape: { kind: 'box', size: [SPECK, SPECK, SPECK] },
    at,
    mass: { value: mass, spread: FILLER_SPREAD * mass, source: `${name} as it is spread` },
    reckoned: true,
    supply: { item, packOf: 1, packPrice: price },
    uses: { amount: used * area, pack },
    by,
    goesWith,
  };
}

/** Where two pieces meet: the middle of what their boxes share, or of the gap between them. */
export function betweenPieces(a: readonly FlatBody[], b: readonly FlatBody[]): Vec3 {
  const [one, other] = [boxRound(a.map(boundingBox)), boxRound(b.map(boundingBox))];
  const low = one[0].map((v, i) => Math.max(v, other[0][i]!)) as unknown as Vec3;
  const high = one[1].map((v, i) => Math.min(v, other[1][i]!)) as unknown as Vec3;
  return scale(add(low, high), 0.5);
}
