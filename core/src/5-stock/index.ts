/** Stock: blanks and marks, cuts packed into bars, what to buy and what it costs. */
export { barsAtLeast, nest, type NestProblem } from './nest';
export { barPlans, type BarMark, type BarPlan } from './barMarks';
export { holeSheets, type HoleMark, type HoleSheet } from './holeSheets';
export { stockPlan, stockPlanFor, type Build, type BuyLine, type StockPlan } from './buyList';
export { givenBack, takenBy, type Ledger, type Ticked } from './ledger/take';
export { takenApart, type Apart, type StaysOut } from './ledger/takenApart';
export { shopOf, SHOPS, type Shop } from './shops';
export { bought, shoppingTrip, type Trip, type TripLine } from './trip';
export { sheetNeeds, type SheetNeed, type SheetPiece } from './sheets/sheetPieces';
export { sheetNest, sheetsByArea, type SheetNest, type SheetProblem, type SheetSpot } from './sheets/sheetNest';
