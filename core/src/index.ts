/** The core's surface, by stage. Pure: data in, data out; no interface, network, file, clock, or unseeded chance. */
export * from './0-base';
export * from './model';
export * from './1-load';
export * from './2-frame';
export * from './3-balance';
export * from './4-strength';
export * from './5-stock';
export * from './6-build';
export * from './7-field';
export * from './8-log';
export * from './contract';
export { judged, workpiece, type Judged, type Workpiece, type WorkpieceOutcome } from './derive';
export { analyse } from './analyse';
