/** A strip glued along a face that is free, where a piece is weak or bends most; the screws there go through it too. */
import { dot, figure, say, scale, type Vec3 } from '../../../0-base';
import { doubled, DOUBLER_STRIPS, screwOnFace, SHORTEST_DOUBLER, withoutHardware } from '../../../2-frame';
import type { Rig, Section, Stock } from '../../../model';
import { standsClear } from '../standsClear';
import type { Stiffener, StiffChange } from '../stiffener';
import { CLEAR, pastScrews, spots, weakPlaces, type Doubling, type Stretch, type WeakPlace } from '../weakPlaces';

/** No longer than is glued at once, m. */
const AT_MOST = 0.4;

export const doublers: Stiffener = {
  id: 'doublers',
  tries: (work, now) => weakPlaces(work, now).flatMap((place) => (place.face.isRound ? [] : strips(place, work.rig))),
};

/** On both faces, as long as can be and round the weakest place. */
function strips(place: WeakPlace, rig: Rig): readonly StiffChange[] {
  const { face, body, target, where, twin, called } = place;
  const found = stripFor(face.width);
  if (!found) return [];
  const { id, stock, section } = found;
  return (['over', 'under'] as const).flatMap((lies) => {
    const out: Vec3 = lies === 'over' ? face.out : scale(face.out, -1);
    const screws = (body.connections ?? []).flatMap((c) => screwOnFace(c, target, face, out) ?? []);
    const blocked = [
      ...screws
        .filter((s) => s.how === 'blocks' && Math.abs(s.v) < section.width / 2 + s.reach)
        .map((s): Stretch => [s.u - s.reach, s.u + s.reach]),
      ...standingOn(place, lies, section),
    ];
    const through = screws.filter((s) => s.how === 'through');
    return spots(place, blocked, AT_MOST)
      .map((spot) => pastScrews(spot, through))
      .filter(([from, to]) => to - from >= SHORTEST_DOUBLER)
      .flatMap(([from, to]): StiffChange[] => {
        const laid = { from, to, stock: id };
        const change: Doubling = { ...where(lies), ...laid };
        // Seen in the mirror its face may be the other one.
        const isSame = twin && dot([out[0], -out[1], out[2]], twin.face.out) > 0;
        const changes = twin ? [change, { ...twin.where(isSame ? 'over' : 'under'), ...laid }] : [change];
        return areClear(changes, rig)
          ? [{ name: called, to: say`doubled with ${stock.name}, ${figure('length', to - from)} long`, changes }]
          : [];
      });
  });
}

/** Along the face, what a strip on it would run into; screws are looked at by themselves. */
const standingOn = (
  { face, beside }: WeakPlace,
  lies: 'over' | 'under',
  { width, thickness }: Flat,
): readonly Stretch[] =>
  beside.flatMap(({ by, reach: [u, v, w] }) => {
    if (by !== null) return [];
    const [low, high] = lies === 'over' ? w : [-w[1], -w[0]];
    const isOver = high > face.thick / 2 + CLEAR / 10 && low < face.thick / 2 + thickness + CLEAR;
    return isOver && v[0] < width / 2 + CLEAR && v[1] > -width / 2 - CLEAR ? [u] : [];
  });

type Flat = Extract<Section, { kind: 'flat' }>;
/** As wide as the face, or the next narrower. */
function stripFor(width: number): { readonly id: string; readonly stock: Stock; readonly section: Flat } | null {
  const fits = Object.entries(DOUBLER_STRIPS).flatMap(([id, stock]) =>
    stock.material === 'aluminium' && stock.section.kind === 'flat' && stock.section.width <= width + 1e-6
      ? [{ id, stock, section: stock.section }]
      : [],
  );
  return fits.sort((a, b) => b.section.width - a.section.width)[0] ?? null;
}

/** Nothing stands where they would lie, and their screws reach: made and looked at. */
function areClear(changes: readonly Doubling[], rig: Rig): boolean {
  let after = withoutHardware(rig);
  for (const { id: member, core: _core, stock: of, ...change } of changes) {
    const made = doubled(after, { ...change, member, stock: DOUBLER_STRIPS[of]! });
    if (made.kind !== 'made') return false;
    after = made.rig;
  }
  return standsClear(rig, after);
}
