/** Small changes that the item's editors share. */
import type { KitItem } from '@tide-pebble/core';

/** Made to the item as it is by then: two quick edits never undo each other. */
export type ItemChange = (item: KitItem) => KitItem;

/** What was typed, kept beside the figure in SI. */
export const words = (item: KitItem, name: string, typed: string | undefined): Pick<KitItem, 'typed'> =>
  typed === undefined ? {} : { typed: { ...item.typed, [name]: typed } };

export function replaced(
  v: readonly [number, number, number],
  axis: 0 | 1 | 2,
  value: number,
): [number, number, number] {
  return v.map((x, i) => (i === axis ? value : x)) as [number, number, number];
}

/** An id made of a name, not yet taken in the list: readable in a file. */
export function freshId(name: string, taken: readonly { readonly id: string }[]): string {
  const base =
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 40) || 'thing';
  const ids = new Set(taken.map((t) => t.id));
  let id = base;
  for (let n = 2; ids.has(id); n++) id = `${base}-${n}`;
  return id;
}
