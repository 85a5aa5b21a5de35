/** How a rig bends, rings and holds. A door of its own (`@tide-pebble/core/strength`), fetched by that stage. */
export * from './4-strength';
export { strengthReport, USUAL_BUMP, type StrengthReport } from './9-design/strength/strengthReport';
export {
  strengthSheet,
  SURE,
  type ShakenTold,
  type ShownMode,
  type StrengthSheet,
  type StrengthSheetOutcome,
  type StrengthWord,
} from './9-design/strength/strengthSheet';
export {
  sideBySide,
  type Differs,
  type Side,
  type SideBySide,
  type SideBySideInput,
  type SideTold,
} from './9-design/strength/sideBySide';
export {
  stiffenings,
  stiffestWithin,
  type Spend,
  type Stiffest,
  type StiffenInput,
  type Stiffened,
  type Stiffening,
  type Stiffenings,
} from './9-design/strength/stiffen';
export { flickTold, type FlickInput, type FlickTold } from './9-design/strength/heardWords';
export { rungSwing, type Bending, type RungSwingInput } from './9-design/strength/rungSwing';
export { firmAfter, type FirmAfter, type FirmAfterInput } from './9-design/strength/firmAfter';
export { firmnessOf, type FirmnessInput } from './9-design/strength/firmness';
export { STIFFENERS } from './9-design/strength/changes';
export type { Stiffener, StiffChange } from './9-design/strength/stiffener';
export { versionsTold, type VersionsInput, type VersionTold } from './9-design/strength/versionsTold';
