/** Holes: punched, small bit first, full size after, in the bent bar; the last ones wait for the hanging rig. */
import { figure, say } from '../../0-base';
import { AND } from '../joinedAs';
import { namesOf } from '../namesOf';
import { pilotFor } from '../pilot';
import { byHole } from '../order/drilledTogether';
import { BITES } from './drillingParts';
import { drillCare } from '../drillCare';
import { bitOf, connectStep, type BuildStep, type StepMaker } from '../step';
import { workedAs } from '../workedAs';

const CAUTION = 'Sleeves and hair back. Clamp it: a caught bit spins it.';

export const drilling: StepMaker = {
  id: 'drilling',
  place: 40,
  make: ({ bars, rig, order }) => {
    const together = byHole(order.drilledTogether);
    const nameOf = namesOf(rig);
    const twins = new Map(rig.bodies.flatMap((b) => b.members.map((m) => [m.id, m.twin] as const)));
    const byMember = new Map(bars.map((b) => [b.member, b]));
    const isRound = new Set(
      rig.bodies
        .flatMap((b) => b.members)
        .flatMap((m) => (m.stock.section.kind === 'tube' || m.stock.section.kind === 'rod' ? [m.id] : [])),
    );
    return bars.flatMap((bar) => {
      const worked = workedAs(rig, bar.member);
      const caution = `${worked.care} ${CAUTION}`;
      const pair = twins.get(bar.member);
      const other = pair && byMember.get(pair);
      const bends = [...bar.bends.map((_, i) => `bend:${bar.member}:${i + 1}`), `flatten:${bar.member}`];
      return bar.marks
        .filter((m) => m.kind === 'hole' && !m.last)
        .flatMap((mark): BuildStep[] => {
          const diameter = mark.diameter!;
          const glued = together.get(mark.id);
          // Told once, with the first of them.
          if (glued && glued.pieces[0] !== bar.member) return [];
          return [
            {
              id: `pilot:${mark.id}`,
              about: bar.member,
              final: false,
              minutes: 3,
              needs: [`mark:${bar.member}`, ...bends, ...(glued ? [connectStep(glued.after)] : [])],
              handles: glued ? glued.pieces : [bar.member],
              title: say`Mark and pilot the hole for the ${mark.name}`,
              tool: `${worked.begin}, drill`,
              setUp: bitOf(pilotFor(diameter)),
              figures: [
                say`${figure('length', mark.along, 1)} from the ${bar.bends.length > 0 ? 'rear end' : 'end you marked'}`,
                mark.place ?? say`in the middle of the width`,
                say`pilot ${figure('drill', pilotFor(diameter))}`,
              ],
              check: glued
                ? say`The glue has set, and the mark is where it should be, measured from both edges.`
                : other
                  ? say`Clamped to the ${other.name}, ends flush: the hole is drilled through both in one pass, so that they match.`
                  : isRound.has(bar.member)
                    ? say`On the line, and the far wall marked right opposite: a strip of paper round the tube finds it.`
                    : say`The mark is where it should be, measured from both edges.`,
              caution,
            },
            {
              id: `drill:${mark.id}`,
              about: bar.member,
              final: true,
              minutes: 4,
              needs: [`pilot:${mark.id}`],
              makes: glued ? glued.pieces.map((p) => `${p}/hole/${glued.connection}`) : [mark.id],
              handles: glued ? glued.pieces : [bar.member],
              title: glued
                ? say`Drill through the ${AND.format(glued.pieces.map(nameOf))} in one go for the ${mark.name}`
                : say`Drill the ${mark.name} hole to size`,
              setUp: bitOf(diameter),
              tool: mark.thread?.by === 'tap' ? `drill, ${mark.thread.name} tap` : 'drill',
              figures: [
                ...(mark.recess
                  ? [
                      say`first ${figure('drill', mark.recess.diameter)}, ${figure('length', mark.recess.depth, 1)} deep from the ${mark.recess.face} face, with a flat-bottomed bit`,
                    ]
                  : []),
                say`${figure('drill', diameter)}`,
                ...(worked.drilled ? [say`${worked.drilled}`] : []),
                ...(mark.thread?.by === 'tap' && worked.tapped ? [say`thread ${worked.tapped}`] : []),
                ...(mark.thread?.by === 'bolt' ? [say`${mark.thread.name} cuts its own thread in it`] : []),
              ],
              check: !mark.thread
                ? say`The bolt passes without force and without rattle.`
                : mark.thread.by === 'bolt'
                  ? say`${BITES}`
                  : say`The screw runs in by hand and does not wobble.`,
              ...drillCare(worked, mark.thread ? mark.thread.by : null),
              caution,
            },
          ];
        });
    });
  },
};
