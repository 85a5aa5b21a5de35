/** Build: the steps in a valid order, and drawings as plain data. */
export { buildSteps } from './buildSteps';
export { orderSteps, type Ordered } from './orderSteps';
export { type BuildStep } from './step';
export { barTemplate, type BarTemplate, type SheetMark } from './sheets/barTemplate';
export { scaleFor, squareOn, type SheetOutline, type SheetView, type SquareOnSheet } from './sheets/squareOn';
