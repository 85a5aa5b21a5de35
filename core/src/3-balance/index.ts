/** Balance: how the rig hangs, rights itself and steadies the picture, and how to set it. */
export { hang, restWithUp, stageToLevel, type Hang, type Rest } from './hang';
export { hangOnTwoPins, type TwoPinHang } from './twoPins';
export { dropMotion, dropTime, FROM_LEVEL, type Drop, type Friction, type Pendulum } from './dropTime';
export { equivalentPendulum } from './equivalentPendulum';
export { aboutAxis, heightForDrop, sliderForDrop, type HeightForDrop } from './dropTimeWanted';
export { evaluate, type Calm, type Evaluation, type Hung } from './evaluate';
export { type BalanceSpread, type Contribution } from './spread';
export { adjusterSteps, readings, type AdjusterStep } from './adjusterSteps';
export { moveLabel, turnsOf, wayOf } from './fixByAdjuster';
export { quickBalance, type QuickBalance, type QuickReading } from './quickBalance';
export { poolOf, type Pool } from './pool';
export { judge } from './judge';
export { trim, toStep, type Obstacle, type TrimOutcome } from './trim/trim';
export { type BalanceContext } from './balanceCheck';
export { railCover, type RailCover, type RailInput, type RailPlace } from './railCover';
// held and set down
export { handLoad, twoHands, type HandLoad } from './held/handLoad';
export { heldTurn } from './held/heldTurn';
export { endurance, type Endurance } from './held/endurance';
export { type HeldHand, type HeldPose } from './held/held';
export { elbowMoment, reachOfArm, shoulderOf, stanceOf, statureOf, type Stance, type StanceOutcome } from './held/person';
export { comfortOf, type Bearing } from './held/worn';
export { supportAt, supportOf, type Support } from './support';
export { holdFor, wristAtMost } from './wantsOfHands';
export { tipOver, type TipOver, type TipOverOutcome } from './tipOver';
// worn, spun and nested
export { contactLoads, type ContactLoads, type Push } from './held/contactLoads';
export { freeDroop, hingeRaise, poleOf, spinningPole, type Pole, type PoleSpun } from './spinningPole';
export { axesIn, balancedAxes, type AxisReading, type PoleReading } from './turning';
export { axesGap, nestedAxes, torqueAtTilt, type StageBalance, type StageInput, type StageSlide } from './nestedAxes';
// panned
export { leanBeyondLimit, panLimit, steadyPan, type PanLimit, type PanRest, type PanRig } from './pan/panLean';
// set in motion
export { addAcceleration, breaksOf, headingAt, STILL, type Gust, type HandMotion, type PanTurn, type Push as HandPush } from './swing/handMotion';
export { energyAt, firstAcceleration, SAMPLE, swing, turnFromUp, type Joint as SwingJoint, type Swing, type SwingInput, type SwingOutcome } from './swing/swing';
