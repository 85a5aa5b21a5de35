/** What may be wanted of any rig; and how an optional want is left out. */
import type { Wants } from '../../model';
import type { Want } from './way';

export const without = <K extends keyof Wants>(wants: Wants, key: K): Wants => {
  const { [key]: _gone, ...rest } = wants;
  return rest as Wants;
};
type Optional = 'addedAtMost' | 'calmRollAtLeast' | 'calmPanAtLeast' | 'panLeanAtMost';
export const optional = (key: Optional): Pick<Want, 'optional' | 'of' | 'with'> => ({
  optional: true,
  of: (w) => w[key] ?? null,
  with: (w, value) => (value === null ? without(w, key) : { ...w, [key]: value }),
});

export const MASS_AT_MOST: Want = {
  id: 'mass',
  name: 'Mass at most',
  kind: 'mass',
  range: [0.05, 40],
  firm: ['mass'],
  of: (w) => w.massAtMost,
  with: (w, v) => ({ ...w, massAtMost: v ?? w.massAtMost }),
};
export const WASHERS_AT_MOST: Want = {
  id: 'added',
  name: 'Washers at most',
  kind: 'mass',
  range: [0.001, 10],
  firm: ['added'],
  ...optional('addedAtMost'),
};
export const SHOP_PRICE: Want = {
  id: 'shop-price',
  name: 'Shop price',
  kind: 'money',
  range: [0, 100_000],
  firm: [],
  of: (w) => w.shopPrice,
  with: (w, v) => ({ ...w, shopPrice: v ?? 0 }),
};
export const ANY_RIG: readonly Want[] = [MASS_AT_MOST];
