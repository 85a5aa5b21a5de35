import { kitItem } from '../model';
import { itemFigures } from './estimate';
import { takesLens, TYPICAL_CAMERAS, TYPICAL_LENSES, TYPICAL_OTHERS, typicalItem } from './typicalKit';

describe('typical kit', () => {
  it('is whole, of a size that weighs what its kind weighs, and never says that it was weighed', () => {
    for (const kind of [...TYPICAL_CAMERAS, ...TYPICAL_LENSES, ...TYPICAL_OTHERS]) {
      const item = typicalItem(kind, kind.id);
      expect(kitItem.safeParse(item).success).withContext(kind.id).toBeTrue();
      const { mass, massSpread, weighed } = itemFigures(item);
      expect(weighed).toBeFalse();
      expect(massSpread / mass).toBeGreaterThan(0.1);
    }
    const heavier = (a: string, b: string): boolean => {
      const of = (id: string): number =>
        itemFigures(
          typicalItem(
            [...TYPICAL_CAMERAS, ...TYPICAL_LENSES].find((k) => k.id === id)!,
            id,
          ),
        ).mass;
      return of(a) > of(b);
    };
    for (const [a, b] of [
      ['full-body', 'small-body'],
      ['cinema', 'full-body'],
      ['fast-zoom', 'zoom'],
      ['long', 'prime'],
    ] as const)
      expect(heavier(a, b)).withContext(`${a} over ${b}`).toBeTrue();
  });

  it('takes a mass that is known, and a lens only where there is none built in', () => {
    expect(itemFigures(typicalItem(TYPICAL_CAMERAS[0]!, 'p', 0.21)).mass).toBe(0.21);
    expect(TYPICAL_CAMERAS.filter(takesLens).map((c) => c.id)).toEqual(['small-body', 'full-body', 'cinema']);
  });
});
