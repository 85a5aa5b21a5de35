/** Balance: how the rig hangs, rights itself and steadies the picture, and how to set it. */
export { hang, restWithUp, stageToLevel, type Hang, type Rest } from './borne/hung/hang';
export { hangOnTwoPins } from './borne/hung/twoPins';
export { dropMotion, dropTime, FROM_LEVEL, type Drop, type Friction } from './borne/hung/dropTime';
export { dropFactor, dropFromLevel } from './borne/hung/dropFactor';
export { pinDepth } from './borne/hung/pins';
export { equivalentPendulum } from './borne/hung/equivalentPendulum';
export { aboutAxis, heightForDrop, sliderForDrop } from './borne/hung/dropTimeWanted';
export { evaluate, type Evaluation, type Hung } from './evaluate';
export { centreId, massId, shiftId, shiftsOf } from './spread/spread';
export { adjusterSteps, readings, type AdjusterStep } from './adjusters/adjusterSteps';
export { leadingWay, NOTHING_BEARS, wayOfRig, readingsOf, USUALLY_FIRM, wantsOf, waysOf } from './borne/ways';
export type { CardLine, Curve, Readout, ReadingKind, Want, Way, WayGauge } from './borne/way';
export { leanWords } from './borne/words';
export { NOTHING_SEEN, readingFigure, sawNothing, seenOf, seenWords, withSeen } from './borne/seen';
export { readoutsOf } from './readoutsOf';
export { calmGauge, costGauge, massGauge } from './gaugesOfAny';

export { clampHolds } from './borne/clamped/clampHold';
export type { Observation, OwnFigure } from './borne/says';
export { shortestDrop } from './borne/hung/hungReadings';
export { strengthFrom } from './borne/held/strengthFrom';

export { turnsOf, wayOf } from './adjusters/fixByAdjuster';
export { quickBalance, type QuickBalance } from './quickBalance';
export { poolOf } from './borne/hung/pool';
export { judge } from './judge';
export { verdictOf, type Verdict } from './verdict';
export { likelyOf } from './borne/hung/likely';
export { spreadOnBench, spreadWords } from './spread/spreadOnBench';
export { trim, type SetUpFound, type TrimOutcome } from './trim/trim';
export { tradeCurve, type TradePoint } from './trim/tradeCurve';
export { trimExplained, type ExplainedTrim } from './trim/trimExplained';
export { type Remedy } from './trim/remedies';
export { toStep } from './trim/toStep';
export { countsIn, isCount, withKept } from './trim/withKept';
export { type BalanceContext } from './balanceCheck';
export { railCover, type RailInput } from './adjusters/railCover';
// held and set down
export { handLoad, twoHands } from './borne/held/handLoad';
export { heldTurn } from './borne/held/heldTurn';
export {
  endurance,
  firstToTire,
  shareForTime,
  timeHeld,
  timeInTurn,
  type EnduranceCurve,
  type Endurance,
  type Tires,
} from './borne/held/endurance';
export { holdTimeWords, holdWords } from './borne/held/holdWords';
export { markFromEnd } from './adjusters/markFromEnd';
export { type HeldPose } from './borne/held/held';
export { elbowMoment, reachOfArm, statureOf, type Stance } from './borne/held/person';
export { besideRig, stancesOf } from './borne/held/stances';
export { comfortOf } from './borne/worn/worn';
export { freeAxes, heldPoses, poleHinge, setToZero, supportAt, supportOf } from './borne/support';
export { ALL_DAY, holdFor, wristAtMost } from './borne/held/wantsOfHands';
export { tipOver } from './borne/held/tipOver';
// worn, spun and nested
export { contactLoads, type Push } from './borne/worn/contactLoads';
export { freeDroop, hingeRaise, poleOf, poleSlope, spinningPole, type Pole } from './borne/turning/spinningPole';
export { axesIn, balancedAxes, type AxisReading } from './borne/turning/turning';
export { axesGap, nestedAxes, torqueAtTilt, type StageInput } from './borne/turning/nestedAxes';
// panned
export { leanBeyondLimit, panLimit, steadyPan, type PanRig } from './pan/panLean';
// set in motion
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
// the solver
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
