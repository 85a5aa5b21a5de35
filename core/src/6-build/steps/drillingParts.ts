/** Holes that connections need in plates, boards, prints and fittings: members have theirs on their own sheets. */
import { figure, say } from '../../0-base';
import { holeSheets } from '../../5-stock';
import type { BuildStep, StepMaker } from '../step';
import { workedAs } from '../workedAs';

const CAUTION = 'Sleeves and hair back. Clamp the piece: a caught bit spins it.';

export const drillingParts: StepMaker = {
  id: 'drillingParts',
  place: 42,
  make: ({ rig }) =>
    holeSheets(rig).flatMap(({ piece, name, marks }) => {
      const worked = workedAs(rig, piece);
      return marks.map((hole): BuildStep => ({
        id: `drill:${hole.id}`,
        about: piece,
        final: true,
        minutes: 6,
        needs: [],
        makes: [hole.id],
        handles: [piece],
        title: hole.thread
          ? say`Drill the ${name} for the ${hole.name} and tap it ${hole.thread}`
          : say`Drill the ${name} for the ${hole.name}`,
        tool: [
          worked.begin,
          'drill',
          ...(hole.thread ? [`${hole.thread} tap`] : []),
          ...(hole.sunk ? ['countersink'] : []),
        ].join(', '),
        figures: [
          hole.place,
          say`${figure('drill', hole.diameter)}`,
          ...(worked.drilled ? [say`${worked.drilled}`] : []),
          ...(hole.recess
            ? [
                say`first ${figure('drill', hole.recess.diameter)}, ${figure('length', hole.recess.depth, 1)} deep, for its head`,
              ]
            : []),
          ...(hole.deep === null
            ? []
            : [say`thread ${figure('length', hole.deep, 1)} deep${worked.tapped ? `, ${worked.tapped}` : ''}`]),
        ],
        check: hole.thread
          ? say`The screw runs in by hand and does not wobble.`
          : hole.sunk
            ? say`The screw passes without rattle, and its head lies flush.`
            : say`The screw passes without force and without rattle.`,
        caution: `${worked.care} ${CAUTION}`,
      }));
    }),
};
