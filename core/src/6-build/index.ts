/** Build: the steps in a valid order, and drawings as plain data. */
export { buildSteps } from './buildSteps';
export { orderSteps } from './orderSteps';
export { isDone, ticked } from './isDone';
export { cutId, flattenId, goesOnFor, printId, type BuildStep } from './step';
export { asMadeOf, isOf, measuresIn, type Measure } from './measuresIn';
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
export { tasksOf } from './schedule/tasksOf';
