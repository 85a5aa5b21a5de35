/** A jig to print: blocks put together, channels and guides cut out of them; its own axes, m, lying on the bed at z = 0. */
import type { Phrase, Vec3 } from '../../0-base';
import { boundingBox, type FlatBody } from '../../1-load';
import type { PatternInput } from '../patterns/pattern';

export type Block = Pick<FlatBody, 'shape' | 'at' | 'rotation'>;
/** A round cut: from `at`, its middle, so far each way. */
export interface Bore {
  readonly at: Vec3;
  readonly way: Vec3;
  readonly diameter: number;
  readonly depth: number;
}
/** Where a bit is led: the hole it starts, in the jig’s axes. */
export interface Guide extends Bore {
  readonly hole: string;
}
export interface Jig {
  readonly id: string;
  /** The piece it is put on. */
  readonly about: string;
  readonly title: Phrase;
  readonly says: readonly Phrase[];
  readonly blocks: readonly Block[];
  readonly cuts: readonly (Block | Bore)[];
  readonly guides: readonly Guide[];
  /** On the bed, m. */
  readonly size: readonly [number, number, number];
}
export type JigMaker = (input: PatternInput) => readonly Jig[];

/** A print comes out within this much a side: so much room is left round what goes in, m. */
export const ROOM = 0.0002;
/** A bit turns in its guide with so much to spare over its width, m. */
export const GUIDE_ROOM = 0.0002;
/** Stuff round a guide or a channel, m. */
export const WALL = 0.006;

export const upright = (at: Vec3, size: Vec3): Block => ({
  shape: { kind: 'box', size },
  at,
  rotation: [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ],
});

/** Of the box round all blocks, m. */
export function sizeOf(blocks: readonly Block[]): Jig['size'] {
  const boxes = blocks.map((b) => boundingBox(b));
  const side = (k: 0 | 1 | 2): number =>
    Math.max(...boxes.map((b) => b[1][k])) - Math.min(...boxes.map((b) => b[0][k]));
  return [side(0), side(1), side(2)];
}
