/** Build: the steps in a valid order, and drawings as plain data. */
export { buildSteps } from './buildSteps';
export { orderSteps } from './orderSteps';
export { holesMade, type HoleMade } from './holesMade';
export { isDone, ticked } from './isDone';
export { cutId, flattenId, goesOnFor, printId, shapeId, type BuildStep } from './step';
export { asMadeOf, isOf, massMeasure, measuresIn, turnsIn, valueAsTyped, weighedAt, type Measure } from './measuresIn';
export { barTemplate, type SheetMark } from './sheets/barTemplate';
export { scaleFor, squareOn, type SquareOnSheet } from './sheets/squareOn';
export {
  buildOrder,
  inStatedOrder,
  type Blocked,
  type BuildOrder,
  type Coming,
  type Joining,
} from './order/buildOrder';
export { planBuild, type BuildPlan } from './planBuild';
export { blockedWords, type BlockedWords } from './order/blockedWords';
export { criticalPath, schedule, type Planned, type Schedule, type Task, type Window } from './schedule/schedule';
export { endOf } from './schedule/endOf';
export { tasksOf, type Timing } from './schedule/tasksOf';
export { goesOnAt, ROOM, setsIn, tooColdFor } from './schedule/curing';
export { minutesOf, paceOf, workOf, type Pace, type Took } from './schedule/pace';
export { bySetUp, changesIn, setUpOf } from './bySetUp';
