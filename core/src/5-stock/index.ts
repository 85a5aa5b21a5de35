/** Stock: blanks and marks, cuts packed into bars, what to buy and what it costs. */
export { barsAtLeast, nest, type NestProblem } from './nest';
export { barPlans, type BarMark, type BarPlan } from './barMarks';
export { holeSheets, type HoleMark, type HoleSheet } from './holeSheets';
export { stockPlan, type BuyLine, type StockPlan } from './buyList';
