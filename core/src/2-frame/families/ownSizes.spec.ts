/** Sizes of the maker's own: a size typed like one of a table makes the same rig; any other makes a rig of that size, whole. */
import * as fc from 'fast-check';
import { placedPieces } from '../assemble';
import { assemble, changedDesign, designRig, FAMILIES, optionsOf } from '..';
import { familyInput, type Family } from '../family';
import { ownSize, type Design, type OwnSize, type Rig } from '../../model';
import { holds } from '../../testing/holds';
import { BARS } from '../parts/bars';
import { sizeLike } from '../parts/sizeLike';
import { withChosenSizes } from '../edits/chosenSizes';
import { THREADS } from '../hardware/thread';

const ID = 'own-size';
const designOf = (family: Family, choices: Record<string, string>, own?: readonly OwnSize[]): Design => ({
  kind: 'family',
  family: family.id,
  dimensions: {},
  choices,
  edits: [],
  ...(own ? { own: [...own] } : {}),
});
const rigOf = (design: Design): Rig => {
  const made = designRig(design);
  if (!made.ok) throw new Error(made.reason);
  return made.rig;
};
const CASES = FAMILIES.flatMap((family) =>
  family.choices.flatMap((c) =>
    c.options.flatMap((o) => {
      const size = c.takes && sizeLike(o.id, ID);
      return size && c.takes?.(size) ? [{ family, choice: c.id, option: o.id, size }] : [];
    }),
  ),
);
const massOf = (rig: Rig): number => placedPieces(assemble(rig, null), {}).reduce((sum, p) => sum + p.flat.mass, 0);

describe('sizes of the maker’s own', () => {
  it('can be chosen wherever stock, pipe, washers or discs are', () => {
    const taking = new Set(CASES.map((c) => `${c.family.id}/${c.choice}`));
    expect(taking.size).toBe(20);
    for (const { size } of CASES) expect(ownSize.safeParse(size).error).toBeUndefined();
  });
  it('typed as a table has them make the same rig', () => {
    for (const { family, choice, option, size } of CASES)
      expect(rigOf(designOf(family, { [choice]: ID }, [size])))
        .withContext(`${family.id} ${choice} ${option}`)
        .toEqual(rigOf(designOf(family, { [choice]: option })));
  });
  it('of any size make a rig that weighs something finite, with the size in it', () => {
    const scaled = fc.double({ min: 0.8, max: 1.3, noNaN: true });
    holds(
      fc.property(fc.constantFrom(...CASES), scaled, fc.constantFrom(...THREADS.slice(3, 7)), (of, by, thread) => {
        const size = resized(of.size, by, thread.diameter);
        expect(ownSize.safeParse(size).error).toBeUndefined();
        const rig = rigOf(designOf(of.family, { [of.choice]: ID }, [size]));
        const mass = massOf(rig);
        expect(Number.isFinite(mass) && mass > 0).toBeTrue();
        const text = JSON.stringify(rig);
        expect(text).not.toContain('null,null');
        expect(text).withContext(`${of.family.id} ${of.choice}`).toContain('of my own');
      }),
      { seed: 1801, numRuns: 120 },
    );
  });
  it('that a choice cannot take, or that are not there, leave the usual', () => {
    const bent = FAMILIES.find((f) => f.id === 'gimballed-bent-bar')!;
    const board: OwnSize = { kind: 'stock', id: ID, stock: BARS['oak-45x18']! };
    expect(familyInput(bent, {}, { bar: ID }, [board]).input.choices['bar']).toBe('aluminium-30x6');
    expect(familyInput(bent, {}, { bar: ID }, []).input.choices['bar']).toBe('aluminium-30x6');
    const bar = bent.choices.find((c) => c.id === 'bar')!;
    expect(optionsOf(bar, [board]).length).toBe(bar.options.length);
  });
  it('stay with a design through changes of it', () => {
    const [{ family, choice, size }] = CASES as [(typeof CASES)[number]];
    const design = designOf(family, { [choice]: ID }, [size]);
    const changed = changedDesign(
      design,
      [{ kind: 'dimension', id: family.dimensions[0]!.id, value: 0.1 }],
      () => 'e1',
    );
    expect(changed.kind === 'family' && changed.own).toEqual([size]);
  });
  it('go along while they are chosen, as they were last typed', () => {
    const [{ family, choice, size }] = CASES as [(typeof CASES)[number]];
    const newer = resized(size, 1.1, 0.008);
    const own = (design: Design): unknown => (design.kind === 'family' ? design.own : null);
    expect(own(withChosenSizes(designOf(family, { [choice]: ID }), [size]))).toEqual([size]);
    expect(own(withChosenSizes(designOf(family, { [choice]: ID }, [size]), [newer]))).toEqual([newer]);
    expect(own(withChosenSizes(designOf(family, { [choice]: ID }, [size]), []))).toEqual([size]);
    expect(own(withChosenSizes(designOf(family, {}, [size]), [size]))).toBeUndefined();
  });
});

/** Another size of the same kind, by another name. */
function resized(size: OwnSize, by: number, boltDiameter: number): OwnSize {
  switch (size.kind) {
    case 'stock':
    case 'pipe': {
      const { section } = size.stock;
      const stock = {
        ...size.stock,
        name: `${size.stock.name} of my own`,
        section:
          section.kind === 'flat'
            ? { ...section, thickness: section.thickness * by }
            : section.kind === 'tube'
              ? { ...section, wall: section.wall * by }
              : section,
      };
      return size.kind === 'stock' ? { ...size, stock } : { ...size, stock, depth: size.depth * by };
    }
    case 'washer':
      return {
        ...size,
        boltDiameter,
        washer: {
          ...size.washer,
          name: 'washer of my own',
          innerRadius: boltDiameter / 2 + 0.0002,
          outerRadius: Math.max(size.washer.outerRadius * by, boltDiameter),
        },
      };
    case 'disc':
      return {
        ...size,
        washer: { ...size.washer, name: 'disc of my own', innerRadius: size.washer.innerRadius * by },
      };
  }
}
