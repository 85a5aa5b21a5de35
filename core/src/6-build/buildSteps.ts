/** The whole build from the rig as it is set: what is made, and what is put together in the order that was found for it. */
import { valuesInOrder, type AdjusterValues } from '../2-frame';
import { barPlans } from '../5-stock';
import type { Rig } from '../model';
import type { BuildOrder } from './order/buildOrder';
import { orderSteps, type Ordered } from './orderSteps';
import { STEP_MAKERS } from './steps';

export function buildSteps(rig: Rig, values: AdjusterValues, order: BuildOrder): Ordered {
  const input = { rig: withWashersOn(rig, values), bars: barPlans(rig), order };
  const makers = [...STEP_MAKERS].sort((a, b) => a.place - b.place);
  return orderSteps(makers.flatMap((m) => m.make(input)));
}

/** With as many washers as are set: what a bolt passes follows from them. */
function withWashersOn(rig: Rig, values: AdjusterValues): Rig {
  const inOrder = valuesInOrder(rig, values);
  const counts = new Map(
    rig.adjusters.flatMap((a, i) =>
      a.kind === 'count' ? a.moves.map((m) => [m.id, Math.round(inOrder[i]!)] as const) : [],
    ),
  );
  return {
    ...rig,
    bodies: rig.bodies.map((b) => ({
      ...b,
      stations: b.stations.map((s) => ({ ...s, count: counts.get(s.id) ?? s.count })),
    })),
  };
}
