/** What comes after the balance: strength, stock, build, field and log. A door of its own (`@tide-pebble/core/making`), fetched by those stages. */
export * from './4-strength';
export * from './5-stock';
export * from './6-build';
export * from './7-field';
export * from './8-log';
export { accuracyOf, type AccuracyInput, type AccuracyOutcome } from './9-design/accuracyOf';
export { learnFrom, type Learned, type LearnInput, type LearnOutcome, type Lesson } from './9-design/learn/learnFrom';
export { lastDenies } from './9-design/learn/lastSays';
export { carryFor, type CarryInput } from './9-design/carryFor';
export { likelyCauses, type LikelyCauseInput } from './9-design/learn/likelyCause';
export { cannotBeWords, lessonWords, suspectWords, unexplainedWords } from './9-design/learn/learnWords';
export {
  asksForCare,
  chanceWords,
  failsWords,
  leewayFigure,
  leewayVerdict,
  withinWords,
} from './9-design/accuracyWords';
export { madeWords } from './9-design/made/madeWords';
export { whatNow, type WhatNow, type WhatNowInput, type WhatNowOutcome } from './9-design/made/whatNow';
export { moveWords } from './9-design/moveWords';
export type { OwnFigure } from './3-balance';
export { movesBetween, setUpsFor, type Move, type SetUpRow, type SetUpsInput } from './9-design/setUpsFor';
export { sizesForAll, type Serves, type SizeForAll, type SizesForAll } from './9-design/sizeForAll';
export { loadoutNamed } from './9-design/loadoutNamed';
export { analyse } from './9-design/analyse';
export { tripFor, type TripFor, type TripInput } from './9-design/tripFor';
export { wholeOf, wholeOfFile } from './9-design/whole/wholeOf';
export { cure, type Cure, type CureInput } from './9-design/cure';
export { takesLens, TYPICAL_CAMERAS, TYPICAL_LENSES, typicalItem, type TypicalKind } from './1-load/typicalKit';
export { readyCandidate, readyStart, type ReadyCandidate } from './9-design/readyStart';
export {
  candidate,
  chooseFamilies,
  type Candidate,
  type ChooseInput,
  type Reason,
  type Wishes,
} from './9-design/choose';
export {
  sheetsFor,
  USUAL_SHEET,
  type SheetPlan,
  type SheetSize,
  type SheetsFor,
  type SheetsInput,
} from './9-design/sheetsFor';
