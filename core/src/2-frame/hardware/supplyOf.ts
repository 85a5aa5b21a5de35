/** How a fastener is bought: by its usual name, singly. */
import type { Supply } from '../../model';
import type { BoltPiece } from './boltUp';

/** In the maker's own coin: a little for the handling of each and the rest by weight. Rough; a price typed once stays. */
const EACH = 0.1;
const PER_KG = 12;
/** Rod is sold by the metre. */
const ROD = 1;
const ROD_PER_MM = 0.35;

export function supplyOf({ item, fastener, mass }: BoltPiece): Supply {
  if (fastener.type === 'threadedRod')
    return {
      item: `${item}, ${ROD} m`,
      packOf: Math.max(1, Math.floor(ROD / fastener.length)),
      packPrice: roundly(1 + ROD_PER_MM * fastener.threadDiameter * 1000),
    };
  return { item, packOf: 1, packPrice: roundly(EACH + PER_KG * mass) };
}

const roundly = (price: number): number => Math.max(0.05, Math.round(price * 20) / 20);
