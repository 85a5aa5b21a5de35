/** What only the balance's own sheets and the workers ask: the solver, swings, pans, water. Apart, so that the first page does not fetch it. */
export { trim, type SetUpFound, type TrimOutcome } from './trim/trim';
export { tradeCurve, type TradePoint } from './trim/tradeCurve';
export { trimExplained, type ExplainedTrim } from './trim/trimExplained';
export { type Remedy } from './trim/remedies';
export { countsIn, isCount, withKept } from './trim/withKept';
export { STILL, type HandMotion } from './swing/handMotion';
export {
  energyAt,
  firstAcceleration,
  SAMPLE,
  swing,
  turnFromUp,
  type Swing,
  type SwingInput,
  type SwingOutcome,
} from './swing/swing';
export {
  drop as dropCondition,
  dropOf as dropOfSums,
  level as levelCondition,
  upright as uprightCondition,
  type Condition,
  type ConditionId,
} from './trim/conditions';
export { riding, sumsAbout, trimProblem, withCounts, type TrimProblem } from './trim/trimProblem';
export { wantedOf } from './trim/wantedOf';
export { aboutSupport, accuracy, mendedBySlides, type Accuracy, type Leeway, type Unsure } from './trim/accuracy';
export { mendedOnAxes, type AxisOffsets } from './trim/accuracyOfAxes';
export { AIMS, trimWords, WANT_WORDS } from './trim/trimWords';
export { solveTrim, type Aim, type Found } from './trim/solveTrim';
export { MOTIONS, type Motion } from './swing/motions';
export { SETTLED, swingFigures, traceOf, type SwingFigures, type SwingTrace } from './swing/swingFigures';
export { seenIn, type Seen } from './swing/steadiness';
export { bareSwinger, swingerOf, type Swinger } from './swing/swinger';
export { panPlans, type PanPlan } from './pan/panPlans';
export { overshootWords, panLimitWords, panMoveWords, panPlanWords, panReadingWords } from './pan/panWords';
export { panReading, panRigOf, type PanReading } from './pan/panReading';
export { inWater, WATERS, type InWater, type Water } from './water/inWater';
export { waterWords, type WaterWords } from './water/waterWords';
