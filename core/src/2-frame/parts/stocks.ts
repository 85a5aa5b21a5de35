/** Everything long that a member can be cut from, pipes and bars in one list. */
import type { Stock } from '../../model';
import { BARS } from './bars';
import { ownOf, type OwnSizes } from './ownSizes';
import { PIPE_SYSTEMS } from './pipes';

const ALL: ReadonlyMap<string, Stock> = new Map([
  ...PIPE_SYSTEMS.flatMap((s) => s.sizes.map((size) => [`${s.id}/${size.id}`, size.stock] as const)),
  ...Object.entries(BARS),
]);

export const STOCK_OPTIONS: readonly { readonly id: string; readonly name: string }[] = [...ALL].map(([id, s]) => ({
  id,
  name: s.name,
}));
/** Null when no table and no size of the maker's own has it. */
export const stockById = (id: string, own?: OwnSizes): Stock | null =>
  ALL.get(id) ?? (ownOf(own, 'stock', id) ?? ownOf(own, 'pipe', id))?.stock ?? null;
/** The maker's own that a member can be cut from. */
export const ownStocks = (own: OwnSizes): typeof STOCK_OPTIONS =>
  (own ?? []).flatMap((o) => ('stock' in o ? [{ id: o.id, name: o.stock.name }] : []));
