/** Everything long that a member can be cut from, pipes and bars in one list. */
import type { Stock } from '../../model';
import { BARS } from './bars';
import { PIPE_SYSTEMS } from './pipes';

const ALL: ReadonlyMap<string, Stock> = new Map([
  ...PIPE_SYSTEMS.flatMap((s) => s.sizes.map((size) => [`${s.id}/${size.id}`, size.stock] as const)),
  ...Object.entries(BARS),
]);

export const STOCK_OPTIONS: readonly { readonly id: string; readonly name: string }[] = [...ALL].map(([id, s]) => ({
  id,
  name: s.name,
}));
export const stockById = (id: string): Stock | null => ALL.get(id) ?? null;
