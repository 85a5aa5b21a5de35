/** Join the parts at the rig's joints, hang it at its pivots and fit the weight bolts. */
import { figure, say } from '../../0-base';
import { connectionsOf, jointFacts, piecesHeld } from '../../2-frame';
import type { Body, Hold, Joint, Rig } from '../../model';
import { AND, connectStep } from './connecting';
import type { BuildStep, StepMaker } from '../step';

const HOLD_WORD: Readonly<Record<Hold, string>> = {
  threaded: 'Screw',
  glued: 'Cement',
  soldered: 'Solder',
  pressed: 'Press',
  setScrew: 'Set-screw',
  pinned: 'Pin',
};

export const joining: StepMaker = {
  id: 'joining',
  place: 50,
  make: ({ rig, bars }) => {
    const drilled = bars.flatMap((b) =>
      b.marks.filter((m) => m.kind === 'hole' && !m.last).map((m) => `drill:${m.id}`),
    );
    const nameOf = new Map(rig.bodies.flatMap((b) => [...b.parts, ...b.members]).map((e) => [e.id, e.name]));
    const deburred = bars.map((b) => `deburr:${b.member}`);
    const connected = connectionsOf(rig, () => 0);
    const joints = rig.bodies
      .flatMap((body) => body.joints.map((joint) => ({ body, joint })))
      .map(({ body, joint }): BuildStep => {
        const facts = jointFacts(joint);
        const [first, ...others] = joint.joins.map((j) => nameOf.get(j) ?? j);
        const own = connected.filter((c) => c.id.startsWith(`${joint.id}/`) || c.id === joint.id);
        const hardware = own.flatMap((c) => c.hardware).filter((id) => id !== joint.id);
        return {
          id: `join:${joint.id}`,
          about: joint.hub ? joint.id : (joint.joins.at(-1) ?? joint.id),
          final: !joint.reversible,
          minutes: facts.minutes,
          needs: [...deburred, ...drilled, ...before(rig, body, joint), `dryfit:${body.id}`],
          does: own.map((c) => c.id),
          handles: [...(joint.hub || joint.mass ? [joint.id] : []), ...joint.joins, ...hardware],
          title: joint.hold
            ? say`${HOLD_WORD[joint.hold]} the ${joint.name} ${others.length > 0 ? 'on' : 'over the end of'} the ${joint.joins.map((j) => nameOf.get(j) ?? j).join(', ')}`
            : say`Fasten the ${others.join(' and ')} to the ${first ?? 'frame'}`,
          tool: facts.tool,
          figures: [
            ...(hardware.length > 0 ? [say`with ${AND.format(hardware.map((id) => nameOf.get(id) ?? 'glue'))}`] : []),
            ...(joint.hub ? [say`${figure('length', joint.hub.sockets[0]!.depth, 1)} of each pipe goes in`] : []),
            ...((joint.dryingTime ?? facts.dryingTime) > 0
              ? [
                  say`leave it ${figure('time', joint.dryingTime ?? facts.dryingTime, 0)} before it is loaded; the label decides`,
                ]
              : []),
          ],
          check: joint.reversible
            ? say`It does not turn or rock when you twist it by hand.`
            : say`Square and in line with its pencil marks: it cannot be turned once it has set.`,
          caution: facts.caution,
          ...((joint.dryingTime ?? facts.dryingTime) > 0 ? { dries: joint.dryingTime ?? facts.dryingTime } : {}),
        };
      });
    const pivots = rig.pivots.map((pivot): BuildStep => ({
      id: `hang:${pivot.id}`,
      about: pivot.id,
      final: false,
      minutes: 5,
      needs: joints.map((j) => j.id),
      title: say`Fit the ${rig.bodies.find((b) => b.id === pivot.heldBy)?.name ?? 'grip'} under the ${pivot.name}`,
      tool: 'spanners',
      figures: [],
      check: say`It turns freely every way and does not drop out when lifted.`,
      caution: null,
    }));
    const onScrews = new Set(rig.bodies.flatMap((b) => (b.connections ?? []).flatMap(piecesHeld)));
    const stations = rig.bodies
      .flatMap((b) => b.stations)
      .filter((s) => !onScrews.has(s.id))
      .map((station): BuildStep => ({
        id: `bolt:${station.id}`,
        about: station.id,
        final: false,
        minutes: 3,
        needs: [
          ...joints.map((j) => j.id),
          ...bars.flatMap((b) => b.marks.filter((m) => m.kind === 'hole').map((m) => `drill:${m.id}`)),
        ],
        title: say`Fit the bolt for the ${station.name.toLowerCase()}`,
        tool: 'spanners',
        figures: [],
        check: say`The head sits flat and the nut runs the whole thread.`,
        caution: null,
      }));
    return [...joints, ...pivots, ...stations];
  },
};

/** What must be in a cap, or on its pipe, before it is closed: its screws, and grips and sleeves. */
function before(rig: Rig, body: Body, joint: Joint): readonly string[] {
  if (joint.hub?.sockets.length !== 1) return [];
  return rig.bodies
    .flatMap((b) => b.connections ?? [])
    .filter(
      (c) =>
        (c.kind === 'bolted' && piecesHeld(c).includes(joint.id)) ||
        (c.kind === 'slidOn' &&
          body.members.some((m) => m.id === c.over && (m.from === joint.node || m.to === joint.node))),
    )
    .map((c) => connectStep(c.id));
}
