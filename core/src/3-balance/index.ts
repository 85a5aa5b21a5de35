/** Balance: how the rig hangs, rights itself and steadies the picture, and how to set it. */
export { hang, restWithUp, stageToLevel, type Hang, type Rest } from './borne/hung/hang';
export { hangOnTwoPins, type TwoPinHang } from './borne/hung/twoPins';
export { dropMotion, dropTime, FROM_LEVEL, type Drop, type Friction, type Pendulum } from './borne/hung/dropTime';
export { dropFactor, dropFromLevel } from './borne/hung/dropFactor';
export { pinDepth } from './borne/hung/pins';
export { equivalentPendulum } from './borne/hung/equivalentPendulum';
export { aboutAxis, heightForDrop, sliderForDrop, type HeightForDrop } from './borne/hung/dropTimeWanted';
export { evaluate, type Calm, type Evaluation, type Hung } from './evaluate';
export { centreId, massId, shiftId, shiftsOf, type BalanceSpread, type Contribution } from './spread/spread';
export { adjusterSteps, readings, type AdjusterStep } from './adjusters/adjusterSteps';
export { leadingWay, wayOfRig, readingsOf, USUALLY_FIRM, wantsOf, waysOf } from './borne/ways';
export type { CardLine, Curve, BenchNote, Readout, ReadingKind, Want, Way, WayGauge } from './borne/way';
export { NOTHING_SEEN, readingFigure, readingWords, sawNothing, seenOf, seenWords, withSeen } from './borne/seen';
export { readoutsOf } from './readoutsOf';
export { calmGauge, costGauge, massGauge } from './gaugesOfAny';
export { setDownOf } from './borne/setDown';
export { clampHolds, clampsOf, type ClampHold } from './borne/clamped/clampHold';
export { strengthFrom } from './borne/held/strengthFrom';
export { restAfter } from './borne/held/restAfter';
export { MOST_DROOP } from './borne/turning/poleLimits';
export { moveLabel, someTurns, turnsOf, wayOf } from './adjusters/fixByAdjuster';
export { quickBalance, type QuickBalance, type QuickReading } from './quickBalance';
export { poolOf, type Pool } from './borne/hung/pool';
export { judge } from './judge';
export { DOES_NOT_TO, HOLDS_FROM, verdictOf, type Verdict } from './verdict';
export { likelyOf, type Likely } from './borne/hung/likely';
export { spreadOnBench, spreadWords } from './spread/spreadOnBench';
export { trim, type SetUpFound, type TrimOptions, type TrimOutcome } from './trim/trim';
export { tradeCurve, type TradePoint } from './trim/tradeCurve';
export { trimExplained, type ExplainedTrim } from './trim/trimExplained';
export { type Remedy } from './trim/remedies';
export { toStep } from './trim/toStep';
export { countsIn, isCount, withKept } from './trim/withKept';
export { type BalanceContext } from './balanceCheck';
export { railCover, type RailCover, type RailInput, type RailPlace } from './adjusters/railCover';
// held and set down
export { handLoad, twoHands, type HandLoad } from './borne/held/handLoad';
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
export { type HeldHand, type HeldPose } from './borne/held/held';
export {
  elbowMoment,
  reachOfArm,
  shoulderOf,
  stanceOf,
  statureOf,
  type Stance,
  type StanceOutcome,
} from './borne/held/person';
export { comfortOf, type Bearing } from './borne/worn/worn';
export { freeAxes, heldPoses, poleHinge, setToZero, supportAt, supportOf, type Support } from './borne/support';
export { ALL_DAY, holdFor, wristAtMost } from './borne/held/wantsOfHands';
export { tipOver, type TipOver, type TipOverOutcome } from './borne/held/tipOver';
// worn, spun and nested
export { contactLoads, type ContactLoads, type Push } from './borne/worn/contactLoads';
export {
  freeDroop,
  hingeRaise,
  poleOf,
  poleSlope,
  spinningPole,
  type Pole,
  type PoleSpun,
} from './borne/turning/spinningPole';
export { axesIn, balancedAxes, type AxisReading, type PoleReading } from './borne/turning/turning';
export {
  axesGap,
  nestedAxes,
  torqueAtTilt,
  type StageBalance,
  type StageInput,
  type StageSlide,
} from './borne/turning/nestedAxes';
// panned
export { leanBeyondLimit, panLimit, steadyPan, type PanLimit, type PanRest, type PanRig } from './pan/panLean';
// set in motion
export {
  addAcceleration,
  breaksOf,
  headingAt,
  STILL,
  type Gust,
  type HandMotion,
  type PanTurn,
  type Wobble,
  type Push as HandPush,
} from './swing/handMotion';
export {
  energyAt,
  firstAcceleration,
  SAMPLE,
  swing,
  turnFromUp,
  type Joint as SwingJoint,
  type Swing,
  type SwingInput,
  type SwingOutcome,
} from './swing/swing';
// the solver
export {
  drop as dropCondition,
  dropOf as dropOfSums,
  leanInPan,
  level as levelCondition,
  upright as uprightCondition,
  type Condition,
  type ConditionId,
} from './trim/conditions';
export {
  riding,
  sumsAbout,
  trimProblem,
  withCounts,
  type Mover,
  type StackChoice,
  type TrimProblem,
} from './trim/trimProblem';
export { wantedOf, type Wanted } from './trim/wantedOf';
export {
  aboutSupport,
  accuracy,
  mendedBySlides,
  type Accuracy,
  type Chance,
  type Leeway,
  type Mended,
  type Unsure,
} from './trim/accuracy';
export { mendedOnAxes, type AxisOffsets } from './trim/accuracyOfAxes';
export { AIMS, trimWords, WANT_WORDS } from './trim/trimWords';
export { solveTrim, USUAL_PAN, type Aim, type Found, type Solved } from './trim/solveTrim';
export { MOTIONS, type Motion } from './swing/motions';
export {
  SETTLED,
  swingFigures,
  traceOf,
  turnAt,
  type AxisFigures,
  type SwingFigures,
  type SwingTrace,
} from './swing/swingFigures';
export { seenIn, type Seen } from './swing/steadiness';
export { bareSwinger, swingerOf, type Swinger } from './swing/swinger';
export { panPlans, type PanPlan } from './pan/panPlans';
export { type PanInput, type PanMove } from './pan/panWays';
export { panReading, panRigOf, smallLean, type PanReading } from './pan/panReading';
