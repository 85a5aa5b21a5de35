/** The loadouts at hand on the rig at hand: what each asks of the slide that carries them. */
import { unit, type Vec3 } from '../../0-base';
import { addSums, moveSums, NO_SUMS, placeLoad, sumsOf, sumsOfOne, type Sums } from '../../1-load';
import {
  bodiesBeyond,
  countOf,
  pivotAt,
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
  const loads = loadouts.map((l) => ({ id: l.id, sums: sumsOf(placeLoad(l, kit).bodies) }));
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
    const movers = rig.adjusters.flatMap((a, i) =>
      a.kind !== 'count' && a.moves.some((m) => m.id === holder.id) ? [i] : [],
    );
    const foot = mount.map((x, i) => x + shiftOf(rig, movers, inOrder)[i]!) as unknown as Vec3;
    const onRail = loads
      .filter((l) => l.sums.mass > 0)
      .map((l) => ({ id: l.id, onRail: addSums(fixed.onRail, moveSums(l.sums, foot)) }));
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
