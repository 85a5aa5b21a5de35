/** The core's surface up to the balance, by stage; what comes after it, and what only Load needs, have doors of their own. Pure: data in, data out; no interface, network, file, clock, or unseeded chance. */
export * from './0-base';
export * from './model';
export * from './1-load';
export * from './2-frame';
export * from './3-balance';
export * from './contract';
export { designedOf, judged, workpiece, type Judged, type Workpiece, type WorkpieceOutcome } from './9-design/derive';
export { mayOffer, tried, type Tried, type TriedOn } from './9-design/tried';
export { asSet } from './9-design/takenOver';
export { fastenersCounted } from './9-design/fastenersCounted';
export { wantsFor } from './9-design/wantsFor';
export type { JointHeard, JointsHeard } from './4-strength/rig/knownJoints';
export { jointsKnown, sameJoints } from './9-design/strength/jointsKnown';
export type { Firmness } from './9-design/strength/firmness';
export { verdictWith } from './9-design/strength/verdictWith';
export { wobbleGauge } from './9-design/strength/wobbleGauge';
