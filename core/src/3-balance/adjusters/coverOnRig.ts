/** The loadouts at hand on the rig at hand: what each asks of the slide that carries them. */
import { add, unit, type Vec3 } from '../../0-base';
import { addSums, moveSums, NO_SUMS, placeLoad, sumsOf, sumsOfOne, turnedBody, type Sums } from '../../1-load';
import {
  bodiesBeyond,
  countOf,
  moversOf,
  pivotAt,
  placesOnRig,
  shiftOf,
  stackSums,
  valuesInOrder,
  type AdjusterValues,
  type Assembly,
} from '../../2-frame';
import type { Adjuster, KitItem, Loadout } from '../../model';
import { railCover, type RailCover } from './railCover';

export interface SlideCover {
  readonly adjuster: Adjuster;
  readonly cover: RailCover;
}

/**
 * One entry for each slide that moves the load and lies nearer level than upright; the other adjusters stay as set. Empty
 * when the rig hangs on no universal joint or nothing slides the load.
 */
export function coverOnRig(
  assembly: Assembly,
  values: AdjusterValues,
  loadouts: readonly Loadout[],
  kit: ReadonlyMap<string, KitItem>,
  leanAllowed: number,
): readonly SlideCover[] {
  const { rig, mount } = assembly;
  const pivot = rig.pivots.find((p) => p.kind === 'universal');
  if (!pivot || !mount) return [];
  const beyond = bodiesBeyond(rig, pivot);
  const holder = rig.bodies.flatMap((b) => b.parts).find((p) => p.mount)!;
  const onRig = placesOnRig(rig);
  const turn = assembly.mountTurn;
  // What stands on another piece of the rig is neither moved by the slide nor left behind: it is that piece's own.
  const loads = loadouts.map((l) => ({
    id: l.id,
    bodies: placeLoad(l, kit, onRig).bodies.map((b) => turnedBody(b, turn)),
  }));
  const carriers = new Map(rig.bodies.flatMap((b) => b.parts.map((p) => [p.id, b.id] as const)));
  return rig.adjusters.flatMap((adjuster, index): SlideCover[] => {
    const direction = unit(adjuster.axis ?? [0, 0, 1]);
    if (adjuster.kind === 'count' || Math.abs(direction[2]) > 0.7 || !adjuster.moves.some((m) => m.id === holder.id))
      return [];
    // Everything as set, but this slide at zero: its places are then those its scale shows.
    const inOrder = valuesInOrder(rig, values).map((v, i) => (i === index ? 0 : v));
    const fixed: { base: Sums; onRail: Sums } = { base: NO_SUMS, onRail: NO_SUMS };
    const take = (sums: Sums, movedBy: readonly number[]): void => {
      const key = movedBy.includes(index) ? 'onRail' : 'base';
      fixed[key] = addSums(fixed[key], moveSums(sums, shiftOf(rig, movedBy, inOrder)));
    };
    for (const piece of assembly.pieces)
      if (beyond.has(piece.body) && !piece.isLoad) take(sumsOfOne(piece.flat), piece.movedBy);
    for (const stack of assembly.stacks) {
      if (beyond.has(stack.body)) take(stackSums(stack, countOf(stack, inOrder)), stack.movedBy);
    }
    const foot = mount.map((x, i) => x + shiftOf(rig, assembly.mountMovedBy, inOrder)[i]!) as unknown as Vec3;
    const onRail = loads.flatMap(({ id, bodies }) => {
      const standing = sumsOf(bodies.filter((b) => !b.carriedBy));
      if (!(standing.mass > 0)) return [];
      const aside = bodies.filter((b) => b.carriedBy && beyond.has(carriers.get(b.carriedBy) ?? ''));
      let [off, on] = [NO_SUMS, addSums(fixed.onRail, moveSums(standing, foot))];
      for (const body of aside) {
        const movedBy = moversOf(rig.adjusters, carriers.get(body.carriedBy!)!, body.carriedBy!);
        const sums = moveSums(sumsOfOne(body), add(mount, shiftOf(rig, movedBy, inOrder)));
        if (movedBy.includes(index)) on = addSums(on, sums);
        else off = addSums(off, sums);
      }
      return [{ id, alsoFixed: off, onRail: on }];
    });
    return [
      {
        adjuster,
        cover: railCover({
          pivot: pivotAt(rig, pivot, inOrder),
          base: fixed.base,
          direction,
          range: adjuster.range,
          leanAllowed,
          loadouts: onRail,
        }),
      },
    ];
  });
}
