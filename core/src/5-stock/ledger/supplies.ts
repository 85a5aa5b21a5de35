/** What each piece of a rig is bought as, so that what a step takes in hand can be taken out of the bin. */
import type { Rig } from '../../model';
import { barPlans } from '../barMarks';

export type SupplyOf =
  | { readonly kind: 'length'; readonly item: string; readonly length: number }
  /** `weighed`: sold by weight, of which the bin counts packs and cannot tell what a joint takes. */
  | { readonly kind: 'piece'; readonly item: string; readonly weighed: boolean };

/** By a piece's id; null of what is not bought for itself. Washers are asked by theirs: “rear-bolt/2”. */
export function suppliesOf(rig: Rig): (piece: string) => SupplyOf | null {
  const found = new Map<string, SupplyOf>();
  const piece = (id: string, item: string | undefined, weighed = false): void => {
    if (item !== undefined) found.set(id, { kind: 'piece', item, weighed });
  };
  for (const { member, stock, blank } of barPlans(rig))
    found.set(member, { kind: 'length', item: stock, length: blank });
  const washers = new Map<string, string>();
  for (const { parts, joints, stations } of rig.bodies) {
    for (const p of parts) piece(p.id, p.supply?.item, p.uses !== undefined);
    for (const j of joints) piece(j.id, j.hub?.supply?.item);
    for (const s of stations) if (s.washer.supply) washers.set(s.id, s.washer.supply.item);
  }
  return (id) => {
    const known = found.get(id);
    if (known) return known;
    const item = washers.get(id.slice(0, id.lastIndexOf('/')));
    return item === undefined ? null : { kind: 'piece', item, weighed: false };
  };
}
