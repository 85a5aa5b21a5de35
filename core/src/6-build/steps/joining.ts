/** Join the parts at the rig's joints, hang it at its pivots and fit the weight bolts. */
import { say } from '../../0-base';
import type { BuildStep, StepMaker } from '../step';

export const joining: StepMaker = {
  id: 'joining',
  place: 50,
  make: ({ rig, bars }) => {
    const drilled = bars.flatMap((b) => b.marks.filter((m) => m.kind === 'hole' && !m.last).map((m) => `drill:${m.id}`));
    const nameOf = new Map(rig.bodies.flatMap((b) => [...b.parts, ...b.members]).map((e) => [e.id, e.name]));
    const joints = rig.bodies.flatMap((b) => b.joints).map((joint): BuildStep => ({
      id: `join:${joint.id}`, about: joint.joins.at(-1) ?? joint.id, final: !joint.reversible, needs: drilled,
      title: say`Fasten the ${joint.joins.slice(1).map((j) => nameOf.get(j) ?? j).join(' and ')} to the ${nameOf.get(joint.joins[0] ?? '') ?? 'frame'}`,
      tool: joint.fitting === 'boltThrough' ? 'spanners, thread lock' : joint.fitting === 'glue' ? 'glue, clamps' : joint.fitting === 'weld' ? 'welder' : 'screwdriver',
      figures: [],
      check: say`It does not turn or rock when you twist it by hand.`,
      caution: joint.fitting === 'weld' ? 'Weld only if you are trained, with screen and gloves; local rules come first.' : joint.fitting === 'glue' ? 'Gloves and fresh air; follow the label.' : null,
    }));
    const pivots = rig.pivots.map((pivot): BuildStep => ({
      id: `hang:${pivot.id}`, about: pivot.id, final: false, needs: joints.map((j) => j.id),
      title: say`Fit the ${rig.bodies.find((b) => b.id === pivot.heldBy)?.name ?? 'grip'} under the ${pivot.name}`,
      tool: 'spanners', figures: [],
      check: say`It turns freely every way and does not drop out when lifted.`, caution: null,
    }));
    const stations = rig.bodies.flatMap((b) => b.stations).map((station): BuildStep => ({
      id: `bolt:${station.id}`, about: station.id, final: false,
      needs: [...joints.map((j) => j.id), ...bars.flatMap((b) => b.marks.filter((m) => m.kind === 'hole').map((m) => `drill:${m.id}`))],
      title: say`Fit the bolt for the ${station.name.toLowerCase()}`,
      tool: 'spanners', figures: [],
      check: say`The head sits flat and the nut runs the whole thread.`, caution: null,
    }));
    return [...joints, ...pivots, ...stations];
  },
};
