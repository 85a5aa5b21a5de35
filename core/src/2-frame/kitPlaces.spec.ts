import { assemble, FAMILIES, familyById, kitPlaces, placedPieces, placesMissing, placesOnRig } from '.';
import { applyEdits, partCopied } from '.';
import { add, transform, type Vec3 } from '../0-base';
import { placeItems, placeLoad } from '../1-load';
import { coverOnRig } from '../3-balance/adjusters/coverOnRig';
import { evaluate } from '../3-balance';
import { kit, loadout } from '../testing/rigs';
import { partOf, rigOf } from '../testing/partsRig';
import { familyInput } from './family';
import type { KitItem, Loadout, Rig } from '../model';

const mike: KitItem = {
  id: 'mike',
  name: 'Whelk microphone',
  class: 'microphone',
  mass: { value: 0.1, spread: 0.001, source: 'mass of Whelk microphone' },
  form: 'box',
  size: [0.1, 0.02, 0.03],
  boxCentre: [0, 0, 0.015],
  massCentre: { at: [0.01, 0, 0.015] },
  mountPoints: [{ id: 'top', name: 'top', at: [0, 0, 0.03] }],
};
const all = new Map([...kit, ['mike', mike] as const]);
const withMike = (onRig?: string, more: Loadout['items'] = []): Loadout => ({
  ...loadout,
  items: [
    ...loadout.items,
    {
      id: 'm-mike',
      item: 'mike',
      on: { mounted: 'm-cam', point: 'flange' },
      offset: [0, 0, 0],
      ...(onRig ? { onRig } : {}),
    },
    ...more,
  ],
});
const built = (id: string, choices: Record<string, string> = {}): Rig => {
  const family = familyById(id)!;
  return family.build(familyInput(family, {}, choices).input);
};
const onRig = (rig: Rig, l: Loadout) => assemble(rig, placeLoad(l, all, placesOnRig(rig)));
const pieceOf = (rig: Rig, l: Loadout, values: Record<string, number> = {}) =>
  placedPieces(onRig(rig, l), values).find((p) => p.flat.id === 'm-mike')!;

describe('kit on the rig’s own shoes, rails and holes', () => {
  const phone = built('printed-phone-frame', { shoes: 'two' });

  it('stands in its place on the rig, and where it stood before on a rig that has none', () => {
    const [left] = kitPlaces(phone).filter((p) => p.kind === 'shoe');
    const { flat } = pieceOf(phone, withMike(left!.id));
    expect(flat.carriedBy).toBe(left!.piece);
    flat.centre.forEach((v, i) => expect(v).toBeCloseTo(add(left!.at, [0.01, 0, 0.015])[i]!, 12));
    const bar = built('gimballed-bent-bar');
    const [there, before] = [withMike(left!.id), withMike()].map((l) => pieceOf(bar, l).flat.centre);
    expect(there).toEqual(before);
  });

  it('says so where this rig has not the place that is asked for', () => {
    const [told] = placesMissing(built('gimballed-bent-bar'), withMike('shoe-left/top'), all);
    expect(told!.about).toBe('m-mike');
    expect(placesMissing(phone, withMike('shoe-left/top'), all)).toEqual([]);
    expect(placesMissing(phone, withMike(), all)).toEqual([]);
  });

  it('every place of every family is on a piece it has, its name its own', () => {
    for (const family of FAMILIES) {
      const rig = built(family.id);
      const places = kitPlaces(rig);
      const pieces = new Set(rig.bodies.flatMap((b) => b.parts).map((p) => p.id));
      expect(places.every((p) => pieces.has(p.piece)))
        .withContext(family.id)
        .toBeTrue();
      expect(new Set(places.map((p) => p.id)).size)
        .withContext(family.id)
        .toBe(places.length);
    }
  });

  it('what stands on such kit stands with it; both go with the piece that carries them and not with the camera', () => {
    const plate = partOf('plate', { kind: 'box', size: [0.1, 0.06, 0.006] }, [0, 0, 0.1], { mount: [0, 0, 0.103] });
    const rail = partOf('rail', { kind: 'box', size: [0.1, 0.03, 0.01] }, [0, 0, -0.1], {
      takes: [{ id: 'rail/top', name: 'rail', at: [0.02, 0, -0.095], up: [0, 0, 1], kind: 'dovetail' }],
    });
    const slide = (id: string, moves: string) => ({
      id,
      name: id,
      kind: 'slide' as const,
      axis: [1, 0, 0] as Vec3,
      range: [-0.05, 0.05] as const,
      step: 0.001,
      value: 0,
      moves: [{ kind: 'part' as const, id: moves }],
    });
    const rig: Rig = { ...rigOf([plate, rail]), adjusters: [slide('camera', 'plate'), slide('rail', 'rail')] };
    const l = withMike('rail/top', [
      { id: 'm-second', item: 'mike', on: { mounted: 'm-mike', point: 'top' }, offset: [0, 0, 0] },
    ]);
    const at = (id: string, values: Record<string, number>): Vec3 =>
      placedPieces(onRig(rig, l), values).find((p) => p.flat.id === id)!.flat.at;
    for (const id of ['m-mike', 'm-second']) {
      expect(at(id, { camera: 0.03 })).toEqual(at(id, {}));
      expect(at(id, { rail: 0.03 })[0] - at(id, {})[0]).toBeCloseTo(0.03, 12);
    }
    expect(at('m-cam', { rail: 0.03 })).toEqual(at('m-cam', {}));
    expect(at('m-second', {})[2] - at('m-mike', {})[2]).toBeCloseTo(0.03, 12);
    expect(onRig(rig, l).pieces.filter((p) => p.isLoad)[0]!.flat.id).toBe('m-cam');
  });

  it('turned, moved, mirrored and copied with its piece', () => {
    const shoe = partOf('shoe', { kind: 'box', size: [0.02, 0.02, 0.006] }, [0.05, 0.04, 0], {
      takes: [{ id: 'shoe/top', name: 'shoe', at: [0.05, 0.04, 0.003], up: [0, 0, 1], kind: 'shoe' }],
      twin: 'other',
    });
    const quarter = [Math.SQRT1_2, Math.SQRT1_2, 0, 0] as const;
    const rig = applyEdits(rigOf([]), [
      { kind: 'add', id: 'a', body: 'body', part: shoe },
      { kind: 'move', id: 'b', target: 'shoe', by: [0, 0, 0.1] },
      { kind: 'turn', id: 'c', target: 'shoe', turn: quarter },
    ]).rig;
    const [one, other] = kitPlaces(rig);
    expect(other!.id).toBe('other/top');
    expect(one!.up[1]).toBeCloseTo(-1, 12);
    expect(other!.up[1]).toBeCloseTo(1, 12);
    other!.at.forEach((v, i) => expect(v).toBeCloseTo([one!.at[0], -one!.at[1], one!.at[2]][i]!, 12));
    expect(partCopied(shoe, 'shoe-2', [0.02, 0, 0]).takes![0]).toEqual({
      ...shoe.takes![0]!,
      id: 'shoe-2/top',
      at: [0.07, 0.04, 0.003],
    });
  });

  it('up from a place is up for what stands on it', () => {
    const wall = partOf('wall', { kind: 'box', size: [0.1, 0.1, 0.01] }, [0, 0, 0], {
      mount: [0, 0, 0.005],
      mountTurn: [Math.SQRT1_2, 0, 0, Math.SQRT1_2],
      takes: [{ id: 'wall/side', name: 'side', at: [0.05, 0, 0], up: [1, 0, 0], kind: 'shoe' }],
    });
    const rig = rigOf([wall]);
    const { turn } = placeItems(withMike('wall/side'), all, placesOnRig(rig)).items.find(
      (i) => i.entry.id === 'm-mike',
    )!;
    const { flat } = pieceOf(rig, withMike('wall/side'));
    // In rig axes it stands out along x, whatever way the camera looks.
    expect(flat.at[0]).toBeCloseTo(0.05 + 0.015, 12);
    expect(transform(turn, [0, 0, 1])[1]).toBeCloseTo(-1, 12);
  });

  it('a slide that carries the camera brings level what stands on it, and leaves such kit where it is', () => {
    const shoe = partOf('shoe', { kind: 'box', size: [0.02, 0.02, 0.006] }, [-0.1, 0, -0.1], {
      takes: [{ id: 'shoe/top', name: 'shoe', at: [-0.1, 0, -0.097], up: [0, 0, 1], kind: 'shoe' }],
    });
    const bar = built('gimballed-bent-bar');
    const holder = bar.bodies.find((b) => b.parts.some((p) => p.mount))!.id;
    const { rig } = applyEdits(bar, [{ kind: 'add', id: 'a', body: holder, part: shoe }]);
    const l = withMike('shoe/top');
    const assembly = onRig(rig, l);
    const [slide] = coverOnRig(assembly, {}, [l], all, 0.01);
    const { position } = slide!.cover.places[0]!;
    const { fromSupport } = evaluate(assembly, { [slide!.adjuster.id]: position! });
    expect(Math.abs(fromSupport![0])).toBeLessThan(1e-9);
  });
});
