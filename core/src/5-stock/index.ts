/** Stock: blanks and marks, cuts packed into bars, what to buy and what it costs. */
export { barsAtLeast, nest, type CutBar, type Nest, type NestOutcome, type NestProblem } from './nest';
export { barPlans, type BarBend, type BarMark, type BarPlan } from './barMarks';
export { stockPlan, type BuyLine, type CutPlan, type StockPlan } from './buyList';
