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
export { ringRead } from './borne/ringRead';
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
export { toStep } from './trim/toStep';
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
