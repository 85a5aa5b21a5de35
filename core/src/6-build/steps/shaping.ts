/** To its outline, rounded for the hand: once what is one board is glued, and its holes are bored while it is square. */
import { say, type Phrase } from '../../0-base';
import { drilledTo } from '../drilledTo';
import { finishesOf } from '../finishes';
import { AND } from '../joinedAs';
import { namesOf } from '../namesOf';
import { connectStep, cutStep, shapeId, type BuildStep, type StepMaker } from '../step';
import { workedAs } from '../workedAs';

export const shapeStep = (piece: string): string => `shape:${piece}`;

export const shaping: StepMaker = {
  id: 'shaping',
  place: 44,
  make: ({ rig, bars, order }) => {
    const nameOf = namesOf(rig);
    const members = new Map(rig.bodies.flatMap((b) => b.members).map((m) => [m.id, m]));
    const holes = drilledTo(rig, bars, order);
    return finishesOf(rig, order).flatMap(({ pieces, before }): BuildStep[] => {
      const outlined = pieces.filter((p) => members.get(p)?.outline);
      const [first] = outlined;
      if (first === undefined) return [];
      const worked = workedAs(rig, first);
      const ends = bars
        .filter((b) => outlined.includes(b.member))
        .flatMap((b) => b.marks.filter((m) => m.kind === 'finishedEnd'));
      const moves: readonly Phrase[] = worked.shapes.map((m) => say`${m}`);
      return [
        {
          id: shapeStep(first),
          about: first,
          final: true,
          minutes: 45,
          needs: [...outlined.map(cutStep), ...before.map(connectStep), ...pieces.flatMap((p) => holes(p, before))],
          makes: [...outlined.map(shapeId), ...ends.map((e) => e.id)],
          handles: outlined,
          title: say`Shape the ${AND.format(outlined.map(nameOf))} to the outline${outlined.length > 1 ? ', as one' : ''}`,
          tool: worked.shapedBy,
          figures: [],
          moves,
          check: say`Square across both faces wherever it is not rounded, and it lies in your own hand without an edge.`,
          wrong: say`Sawn inside the line: fair the curve to the deepest cut, if a finger’s width is left round each hole. Split: glue it, bind it, and go on when it has set.`,
          caution: worked.care,
        },
      ];
    });
  },
};
