/** What waits for the rig as it will be used: the last holes under the pivot it hangs on, and ends left long until then. */
import { figure, say } from '../../0-base';
import type { Joining } from '../order/buildOrder';
import { drillCare } from '../drillCare';
import { bitOf, connectStep, type BuildStep, type StepMaker } from '../step';
import { workedAs } from '../workedAs';

export const hangingLast: StepMaker = {
  id: 'hangingLast',
  place: 60,
  make: ({ rig, bars, order }) => {
    const all = order.joinings.map((j) => connectStep(j.id));
    const outlined = new Set(rig.bodies.flatMap((b) => b.members.flatMap((m) => (m.outline ? [m.id] : []))));
    const hangs = rig.pivots.some((p) => p.kind === 'universal');
    return bars.flatMap((bar) => {
      const worked = workedAs(rig, bar.member);
      const caution = `${worked.care} Clamp it: a caught bit spins it.`;
      const last = bar.marks
        .filter((m) => m.last && m.kind === 'hole')
        .flatMap((mark): BuildStep[] => {
          // It hangs as it will be used but for what this hole is for, and what waits for that.
          const joining = order.joinings.find((j) =>
            j.connections.some((c) => mark.id === `${bar.member}/hole/${c.id}`),
          );
          return [
            {
              id: `plumb:${mark.id}`,
              about: bar.member,
              final: false,
              minutes: 10,
              needs: joining ? allBut(joining.id, order.joinings) : all,
              title: say`Hang the rig and plumb the ${mark.name} exactly below the pivot`,
              tool: 'plumb line, scriber',
              figures: [
                say`expect it ${figure('length', mark.along, 1)} from the rear end, along the bar; the plumb line decides`,
              ],
              check: say`Look from the side and from the front: the line falls on the mark both ways.`,
              caution: null,
            },
            {
              id: `pilot:${mark.id}`,
              about: bar.member,
              final: false,
              minutes: 4,
              needs: [`plumb:${mark.id}`],
              title: say`Take it down, punch and pilot the ${mark.name} hole`,
              tool: `${worked.begin}, drill`,
              figures: [say`small bit first`],
              check: say`Hang it once more: the pilot is still under the pivot.`,
              caution,
            },
            {
              id: `drill:${mark.id}`,
              about: bar.member,
              final: true,
              minutes: 4,
              needs: [`pilot:${mark.id}`],
              makes: [mark.id],
              handles: [bar.member],
              title: say`Drill the ${mark.name} hole to size`,
              tool: 'drill',
              setUp: bitOf(mark.diameter!),
              figures: [say`${figure('drill', mark.diameter!)}`, ...(worked.drilled ? [say`${worked.drilled}`] : [])],
              check: say`The bolt passes without force.`,
              ...drillCare(worked, null),
              caution,
            },
          ];
        });
      // What is sawn to an outline is cut to it.
      const end = outlined.has(bar.member) ? undefined : bar.marks.find((m) => m.kind === 'finishedEnd');
      const tail: BuildStep[] = end
        ? [
            {
              id: `tail:${bar.member}`,
              about: bar.member,
              final: true,
              minutes: 8,
              needs: [...last.map((s) => s.id), ...all],
              makes: [end.id],
              handles: [bar.member],
              title: hangs
                ? say`Cut the tail of the ${bar.name} to length and round it`
                : say`Cut the ${bar.name} to its finished length and round it`,
              tool: `${worked.saw}, ${worked.edges}`,
              figures: [say`${figure('length', bar.blank - bar.finished, 1)} comes off`],
              check: hangs
                ? say`The last hole is drilled and the foot stands: only then cut.`
                : say`All that goes on it fits: only then cut.`,
              wrong: say`${worked.tooShort}`,
              caution: hangs
                ? 'Glasses on. A sharp tail end is at shin height: round it well.'
                : 'Glasses on. Round the end well.',
            },
          ]
        : [];
      return [...last, ...tail];
    });
  },
};

/** Every joining but this one and what waits for it. */
function allBut(joining: string, all: readonly Joining[]): readonly string[] {
  const waits = new Set([joining]);
  // In order: each comes after what it waits for.
  for (const j of all) if (j.after.some((a) => waits.has(a))) waits.add(j.id);
  return all.filter((j) => !waits.has(j.id)).map((j) => connectStep(j.id));
}
