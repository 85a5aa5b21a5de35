/** A size that no table here has, as its maker measured it: typed once, then chosen wherever one of its kind can be. */
import * as z from 'zod';
import { id, positive, size } from './quantity';
import { stock, washer } from './rig';

const ring = washer.refine((w) => w.innerRadius < w.outerRadius, {
  path: ['innerRadius'],
  message: 'must be less than the outside',
});
const tube = stock.refine((s) => s.section.kind === 'tube', { path: ['section'], message: 'must be a round tube' });

export const ownSize = z.discriminatedUnion('kind', [
  /** A bar, board, rod or tube of any section. */
  z.strictObject({ kind: z.literal('stock'), id, stock }),
  /** A pipe whose fittings are of the kind of `like`: how deep it goes in, the wall of their arms, and from their centres to its end, m. */
  z.strictObject({
    kind: z.literal('pipe'),
    id,
    like: id,
    stock: tube,
    depth: size,
    wall: positive,
    takeOff: z.strictObject({ square: positive, half: positive, coupling: positive, cap: positive }),
  }),
  z.strictObject({ kind: z.literal('washer'), id, washer: ring, boltDiameter: positive }),
  z.strictObject({ kind: z.literal('disc'), id, washer: ring }),
]);
export type OwnSize = z.infer<typeof ownSize>;

/** By what name it is bought, and found in a list. */
export const ownName = (of: OwnSize): string => ('stock' in of ? of.stock.name : of.washer.name);
