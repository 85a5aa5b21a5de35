/** The whole build, in a valid order, from the rig. */
import { barPlans, type StockPlan } from '../5-stock';
import type { Rig } from '../model';
import { orderSteps, type Ordered } from './orderSteps';
import { STEP_MAKERS } from './steps';

export function buildSteps(rig: Rig, stock: StockPlan): Ordered {
  const input = { rig, bars: barPlans(rig), stock };
  const makers = [...STEP_MAKERS].sort((a, b) => a.place - b.place);
  return orderSteps(makers.flatMap((m) => m.make(input)));
}
