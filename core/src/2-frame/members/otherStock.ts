/** The nearest other stock that a member could be cut from to meet a need: same metal or plastic, same kind of section, least heavier. */
import type { Member, Section, Stock } from '../../model';
import { STOCK_OPTIONS, stockById } from '../parts/stocks';

/** Area of the section, m²: what its weight goes by. */
function area(s: Section): number {
  switch (s.kind) {
    case 'flat':
      return s.width * s.thickness;
    case 'tube':
      return Math.PI * s.wall * (s.outerDiameter - s.wall);
    case 'rod':
      return (Math.PI * s.diameter ** 2) / 4;
    case 'square':
      return s.width * s.height - (s.width - 2 * s.wall) * (s.height - 2 * s.wall);
  }
}

export function otherStock(
  member: Member,
  fits: (section: Section) => boolean,
  material = member.stock.material,
): { readonly id: string; readonly stock: Stock } | null {
  const now = member.stock;
  const found = STOCK_OPTIONS.flatMap(({ id }) => {
    const stock = stockById(id)!;
    return stock.name !== now.name &&
      stock.material === material &&
      stock.section.kind === now.section.kind &&
      fits(stock.section)
      ? [{ id, stock }]
      : [];
  });
  return found.sort((a, b) => area(a.stock.section) - area(b.stock.section))[0] ?? null;
}
