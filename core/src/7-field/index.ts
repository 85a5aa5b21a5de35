/** Field: the set-up as it is re-created on the day. */
export { setupCard } from './setupCard';
export { cardMoves, cardTold, type CardPart } from './cardTold';
export { handlingSteps, handlingTools, type Handling, type HandlingStep } from './pack/handling';
export { timingsOf, type StepTook, type Timings } from './pack/timings';
export { guidesFor, type GuideTold } from './carry/guidesFor';
export { hasFallen, readDrop, type DropRead } from './phone/drop';
export { readLevel, readTurnedRound, type Lean, type LevelRead } from './phone/level';
export { readClipDrop, readClipLean, type At, type LinesLaid } from './clip/clipByHand';
export { hasRung, readRing, type RingRead } from './phone/ring';
export type { Found, PhoneSample } from './phone/sample';
