/** Frame: a rig's shape from its dimensions; what it is made of, how it bends, where every body lies. */
export { assemble, bodiesBeyond, countOf, pivotAt, placedPieces, shiftOf, stackBody, valuesInOrder, type AdjusterValues, type Assembly, type Piece, type PlacedPiece, type RigFault, type StackPlace } from './assemble';
export { designRig, familyById, type DesignedRig } from './designRig';
export { FAMILIES } from './families';
export { type ChoiceSpec, type DimensionFault, type DimensionSpec, type DrawnDimension, type Family, type FamilyInput, type Hands, type Sizing } from './family';
export { FRAME_CHECKS } from './checks';
// bends and cuts
export { followBends, frameAlong, neutralFractionFor, outerStrain, stripStart, type BentStrip, type Stretch, type StripFrame } from './bend';
export { bentStrip } from './memberBodies';
export { springBack, type SpringBack } from './springBack';
export { cutLength, inserted, takeOff, type EndFitting } from './cutLength';
// drawing
export { nearness, outline, project, type Point2, type View } from './outline';
