/** Parts that are sawn out of sheet, bar or tube that was bought for them. */
import { figure, say, type Phrase } from '../../0-base';
import { sawnParts } from '../../2-frame';
import type { Part } from '../../model';
import { cutMoves, isRound } from '../moves/cutMoves';
import { cutId, cutStep, sawOf, type BuildStep, type StepMaker } from '../step';
import { workedAs } from '../workedAs';

export const sawingOut: StepMaker = {
  id: 'sawingOut',
  place: 12,
  make: ({ rig }) => {
    const all = rig.bodies.flatMap((b) => b.parts);
    return sawnParts(rig).map((part): BuildStep => {
      const worked = workedAs(rig, part.id);
      const { item, sawn } = part.supply!;
      const pair = all.find((p) => p.id === part.twin)?.name;
      const lugs = all.filter((p) => p.of === part.id);
      return {
        id: cutStep(part.id),
        about: part.id,
        final: true,
        minutes: worked.saw === 'knife' ? 5 : sawn === 'sheet' ? 12 : 8,
        needs: [],
        makes: [cutId(part.id)],
        handles: [part.id],
        title: say`Saw the ${part.name} out of ${item}`,
        setUp: sawOf(worked.saw),
        tool: [...new Set(`${worked.saw}, ${worked.edges}`.split(', '))].join(', '),
        figures: [
          ...sizeOf(part),
          ...lugs.map((l) => say`in one with the ${l.name}: its pattern shows each face`),
          ...slotsOf(part),
        ],
        moves: sawn === 'sheet' ? worked.outs.map((m) => say`${m}`) : cutMoves(worked, isRound(rig, part.id)),
        check: pair ? say`Laid on the ${pair}: every edge is flush.` : say`${worked.edgeCheck}`,
        wrong: say`${worked.tooShort}`,
        caution: `${worked.care} Clamp it so that it cannot spin or spring.`,
      };
    });
  },
};

/** Without its thickness: that is bought so. */
function sizeOf({ shape }: Part): readonly Phrase[] {
  if (shape.kind === 'box') {
    const [long, wide] = [...shape.size].sort((a, b) => b - a);
    return [say`${figure('length', long!, 1)} × ${figure('length', wide!, 1)}`];
  }
  if (shape.kind !== 'tube') return [];
  return shape.length < shape.outerRadius
    ? [say`round, ${figure('length', 2 * shape.outerRadius, 1)} across`]
    : [say`${figure('length', shape.length, 1)} long`];
}

/** Of its own, and no connection's: made with it. */
const slotsOf = ({ holes }: Part): readonly Phrase[] =>
  (holes ?? []).flatMap((h) =>
    h.by || !h.slot
      ? []
      : [
          say`a slot ${figure('length', h.diameter, 1)} wide and ${figure('length', Math.hypot(...h.slot) + h.diameter, 1)} long over its round ends: a row of holes, the webs sawn out, filed straight`,
        ],
  );
