/** Frame: a rig's shape from its dimensions; what it is made of, how it bends, where every body lies. */
export {
  assemble,
  bodiesBeyond,
  countOf,
  contactAt,
  pivotAt,
  placedPieces,
  shiftOf,
  stackBody,
  valuesInOrder,
  type AdjusterValues,
  type Assembly,
  type Piece,
  type PlacedPiece,
  type RigFault,
  type StackPlace,
} from './assemble';
export { cautionsOf } from './cautionsOf';
export { changedDesign } from './edits/changedDesign';
export { designRig, familyById, type DesignedRig } from './designRig';
export { FAMILIES } from './families';
export {
  type ChoiceSpec,
  type DimensionFault,
  type DimensionSpec,
  type DrawnDimension,
  type Family,
  type FamilyInput,
  type Sizing,
} from './family';
export { USUAL_HANDS } from './hands';
export { FRAME_CHECKS } from './checks';
// bends and cuts
export {
  followBends,
  frameAlong,
  neutralFractionFor,
  outerStrain,
  stripStart,
  type BentStrip,
  type Stretch,
  type StripFrame,
} from './members/bend';
export { bentStrip } from './members/memberBodies';
export { atHand, keptAs, washerName, type AtHand } from './atHand';
export { finishedLength } from './members/finishedLength';
export { springBack, type SpringBack } from './members/springBack';
export { cutLength, inserted, takeOff, type EndFitting } from './members/cutLength';
export { cutLengthOf, memberEnds, placesOf, type MemberEnd, type MemberEnds } from './members/memberEnds';
// joints and stock
export { fittingFor, FITTING_NAMES, hubOf, type FittingOutcome } from './fittings/fittingFor';
export { jointFacts, usualJointMass, type JointFacts } from './fittings/jointFacts';
export { PIPE_SYSTEMS, pipeOf, type PipeSize, type PipeSystem } from './parts/pipes';
export { WASHERS } from './parts/washers';
export { stockById, STOCK_OPTIONS } from './parts/stocks';
export { BARS } from './parts/bars';
export { pipework, type Pipework, type Run } from './fittings/pipework';
export { breakDown, fitsBag, type BagFit, type BreakDown, type PackedPiece } from './fittings/breakDown';
export { fittingAt, pipeOfMember } from './fittings/refit';
export { CARRIES, MOVES, type Suitability } from './family';
export { pinPlay } from './clearances/pinPlay';
export { snapOf } from './edits/snapOf';
export { freed, withEdit, withoutWeight } from './edits/withEdit';
export { BORROWED, type BorrowedPiece } from './parts/borrowed';
export { fastenerId, homeOf, outrigger, outriggerBodies, outriggerId } from './parts/outrigger';
export { PART_LIBRARY, type LibraryPart } from './parts/library';
export { applyEdits, type EditedRig } from './edits/applyEdits';
// room between things
export { handMargins, type HandMargin } from './clearances/handMargins';
export { barGap, pointGap, reachFromAxis, solidGap, type RoundBar, type Solid3 } from './clearances/clearance';
export { sweep, type Sweep, type SweepInput } from './clearances/sweep';
// drawing
export { boreOutline, nearness, outline, project, type Point2, type View } from './outlines/outline';
