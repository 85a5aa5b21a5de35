/** Pivots that no connection stands for: what turns is fitted when the rest is together. */
import { say } from '../../0-base';
import { connectStep, type BuildStep, type StepMaker } from '../step';

export const hangStep = (pivot: string): string => `hang:${pivot}`;

export const hanging: StepMaker = {
  id: 'hanging',
  place: 55,
  make: ({ rig, order }) => {
    const bodyOf = new Map(
      rig.bodies.flatMap((b) => [...b.members, ...b.parts, ...b.joints].map((e) => [e.id, b.id] as const)),
    );
    const joined = order.joinings.flatMap((j) =>
      j.connections.map((c) => new Set([...c.pieces, ...c.hardware].flatMap((p) => bodyOf.get(p) ?? []))),
    );
    return rig.pivots
      .filter((p) => !joined.some((bodies) => bodies.has(p.heldBy) && bodies.has(p.carries)))
      .map((pivot): BuildStep => ({
        id: hangStep(pivot.id),
        about: pivot.id,
        final: false,
        minutes: 5,
        needs: order.joinings.map((j) => connectStep(j.id)),
        title: say`Fit the ${rig.bodies.find((b) => b.id === pivot.heldBy)?.name ?? 'grip'} under the ${pivot.name}`,
        tool: 'spanners',
        figures: [],
        check: say`It turns freely every way and does not drop out when lifted.`,
        caution: null,
      }));
  },
};
