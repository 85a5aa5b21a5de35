/** How a rig is built, as it is set: its steps in an order found for it, and what no order puts together. */
import type { AdjusterValues, Assembly } from '../2-frame';
import { buildSteps } from './buildSteps';
import { buildOrder, type Blocked } from './order/buildOrder';
import type { Ordered } from './orderSteps';

export interface BuildPlan {
  readonly ordered: Ordered;
  readonly blocked: readonly Blocked[];
}

export function planBuild(assembly: Assembly, values: AdjusterValues): BuildPlan {
  const order = buildOrder(assembly, values);
  return { ordered: buildSteps(assembly.rig, values, order), blocked: order.blocked };
}
