/** Holes that connections need in plates, boards, prints and fittings: members have theirs on their own sheets. */
import { figure, say } from '../../0-base';
import { printedParts } from '../../2-frame';
import { holeSheets } from '../../5-stock';
import { AND } from '../joinedAs';
import { namesOf } from '../namesOf';
import { byHole } from '../order/drilledTogether';
import { printStep } from './printing';
import { drillCare } from '../drillCare';
import { bitOf, connectStep, cutStep, type BuildStep, type StepMaker } from '../step';
import { workedAs } from '../workedAs';

/** Of a hole that a bolt cuts its thread in. */
export const BITES =
  'The bolt just starts by hand. Turn it in slowly and straight, back a little for each turn, and leave it: each time out it holds less.';
const CAUTION = 'Sleeves and hair back. Clamp the piece: a caught bit spins it.';

export const drillingParts: StepMaker = {
  id: 'drillingParts',
  place: 42,
  make: ({ rig, order }) => {
    const together = byHole(order.drilledTogether);
    const nameOf = namesOf(rig);
    const printed = new Set(printedParts(rig).map((p) => p.id));
    return holeSheets(rig).flatMap(({ piece, name, marks }) => {
      const worked = workedAs(rig, piece);
      const isPrint = printed.has(piece);
      return marks.flatMap((hole): BuildStep[] => {
        if (isPrint && (hole.thread === null || hole.bitten)) return [];
        const others = together.get(hole.id);
        // Told once, with the first of them.
        if (others && others.pieces[0] !== piece) return [];
        return [
          {
            id: `drill:${hole.id}`,
            about: piece,
            final: true,
            minutes: 6,
            needs: [cutStep(piece), ...(others ? [connectStep(others.after)] : isPrint ? [printStep(piece)] : [])],
            makes: others ? others.pieces.map((p) => `${p}/hole/${others.connection}`) : [hole.id],
            handles: others ? others.pieces : [piece],
            title: others
              ? say`Drill through the ${AND.format(others.pieces.map(nameOf))} in one go for the ${hole.name}`
              : hole.bitten
                ? say`Drill the ${name} under size for the ${hole.name}`
                : hole.thread
                  ? isPrint
                    ? say`Tap the ${name} ${hole.thread} for the ${hole.name}`
                    : say`Drill the ${name} for the ${hole.name} and tap it ${hole.thread}`
                  : say`Drill the ${name} for the ${hole.name}`,
            setUp: bitOf(hole.diameter),
            tool: [
              worked.begin,
              'drill',
              ...(hole.thread && !hole.bitten ? [`${hole.thread} tap`] : []),
              ...(hole.sunk ? ['countersink'] : []),
            ].join(', '),
            figures: [
              hole.place,
              say`${figure('drill', hole.diameter)}`,
              ...(worked.drilled ? [say`${worked.drilled}`] : []),
              ...(hole.recess
                ? [
                    say`first ${figure('drill', hole.recess.diameter)}, ${figure('length', hole.recess.depth, 1)} deep, for its head${hole.recess.six ? ', then filed to its six sides so that it cannot turn' : ''}`,
                  ]
                : []),
              ...(hole.bitten
                ? [say`${hole.thread!} cuts its own thread in it`]
                : hole.deep === null
                  ? []
                  : [say`thread ${figure('length', hole.deep, 1)} deep${worked.tapped ? `, ${worked.tapped}` : ''}`]),
            ],
            check: hole.bitten
              ? say`${BITES}`
              : hole.thread
                ? say`The screw runs in by hand and does not wobble.`
                : hole.sunk
                  ? say`The screw passes without rattle, and its head lies flush.`
                  : say`The screw passes without force and without rattle.`,
            ...drillCare(worked, hole.bitten ? 'bolt' : hole.thread ? 'tap' : null),
            caution: `${worked.care} ${CAUTION}`,
          },
        ];
      });
    });
  },
};
