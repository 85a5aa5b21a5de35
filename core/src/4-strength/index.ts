/** Strength: how a frame bends, rings and buckles, and what holds it: screws, pins, clamped faces. */
export {
  requiredEngagement,
  screwFit,
  stackHeight,
  suitableLengths,
  withFewestWashers,
  type Socket,
} from './screwStack';
export { preload, slipTwist } from './clampedRing';
// frames of beams
export type {
  EndSpring,
  FrameArc,
  FrameEquipment,
  FrameLink,
  FrameLoad,
  FrameMember,
  FrameModel,
  FrameSupport,
  Six,
} from './frame/frameModel';
export { barSection, boxSection, tubeSection, type Section } from './frame/section';
export type { BeamMaterial, Theory } from './frame/element';
export { frameSystem, type FrameSystem } from './frame/frameSystem';
export {
  frameAtRest,
  type FrameAnswer,
  type FrameOutcome,
  type Motion,
  type Moved,
  type SpringMoment,
  type Through,
} from './frame/frameAnswer';
export { modesOf, settledModes, type FrameMode, type FrameModes, type Settled } from './frame/modesOf';
export { skinStress, type SkinStress } from './frame/skinStress';
export { bucklingOf, standsUpTo, type Buckling } from './frame/bucklingOf';
// what answers
export { shakenBy, type Harmonic, type Shaken, type Shaking, type Swing } from './answer/shakenBy';
export {
  heardRinging,
  lumpedStiffness,
  springHeard,
  type Flick,
  type Heard,
  type UnknownSpring,
} from './answer/ringing';
export { footfall } from './answer/footfall';
// a rig
export { rigFrame, type RigFrame, type RigFrameInput, type RigFrameOutcome } from './rig/rigFrame';
export type { StrengthCase } from './strengthCase';
export { strainedShare, type Carried, type Nearest } from './rig/carriedBy';
export type { LivesIn } from './rig/energyShares';
export { rattledTurn, type Rattle } from './rig/rattles';
export type { Shake, Shakes } from './rig/shakes';
export type { Strain } from './rig/strains';
export type { CaseTold } from './rig/underCases';
export { FALL_FROM_TABLE, type FirstToBreak } from './rig/firstToBreak';
export type { Crept, Softening } from './rig/creep';
export {
  bumpsToBuckle,
  STEADY,
  strengthOf,
  type RigMode,
  type RigStrength,
  type StrengthInput,
  type StrengthOutcome,
} from './rig/strengthOf';
export { FELT_BELOW, FIRM_ABOVE } from './answer/felt';
export { jointsHeard, type HeardInput, type HeardOutcome, type JointMoved } from './rig/jointsHeard';
export { NOTHING_HEARD, type JointHeard, type JointsHeard } from './rig/knownJoints';
export { rungBy, type RungInput } from './answer/rungBy';
export { rung, type RigRungInput } from './rig/rung';
export { PICTURE_WAYS, pictureWay, type PictureWay } from './rig/pictureWay';
