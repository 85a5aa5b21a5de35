/** What can be wanted of a rig that hangs: level, its drop, its calm, its lean in a pan. */
import { DEGREE } from '../../../0-base';
import type { Want } from '../way';
import { optional, WASHERS_AT_MOST, without } from '../wantsOfAny';

const DROPS: readonly [number, number] = [0.3, 20];

export const LEVEL: Want = {
  id: 'level',
  name: 'Level within',
  kind: 'angle',
  range: [0.1 * DEGREE, 20 * DEGREE],
  firm: ['levelForeAft', 'levelSideways'],
  of: (w) => w.levelWithin,
  with: (w, v) => ({ ...w, levelWithin: v ?? w.levelWithin }),
};
export const DROP_LEAST: Want = {
  id: 'drop-least',
  name: 'Drop at least',
  kind: 'time',
  range: DROPS,
  firm: ['dropPitch'],
  of: (w) => w.dropTime[0],
  with: (w, v) => ({ ...w, dropTime: [v ?? w.dropTime[0], Math.max(v ?? 0, w.dropTime[1])] }),
};
export const DROP_MOST: Want = {
  id: 'drop-most',
  name: 'Drop at most',
  kind: 'time',
  range: DROPS,
  firm: [],
  of: (w) => w.dropTime[1],
  with: (w, v) => ({ ...w, dropTime: [Math.min(v ?? Infinity, w.dropTime[0]), v ?? w.dropTime[1]] }),
};
const DROP_ROLL: Want = {
  id: 'roll-least',
  name: 'Drop in roll, at least',
  kind: 'time',
  range: DROPS,
  optional: true,
  firm: ['dropRoll'],
  of: (w) => w.dropRoll?.[0] ?? null,
  with: (w, v) => (v === null ? without(w, 'dropRoll') : { ...w, dropRoll: [v, Math.max(v, w.dropRoll?.[1] ?? 20)] }),
};
export const CALM_PITCH: Want = {
  id: 'calm-pitch',
  name: 'Calm in pitch, times the bare camera',
  kind: 'number',
  range: [0, 1000],
  firm: ['calmPitch'],
  of: (w) => w.calmAtLeast,
  with: (w, v) => ({ ...w, calmAtLeast: v ?? 0 }),
};
const CALM_ROLL: Want = {
  id: 'calm-roll',
  name: 'Calm in roll, times',
  kind: 'number',
  range: [0, 1000],
  firm: ['calmRoll'],
  ...optional('calmRollAtLeast'),
};
const CALM_PAN: Want = {
  id: 'calm-pan',
  name: 'Calm in pan, times',
  kind: 'number',
  range: [0, 1000],
  firm: ['calmPan'],
  ...optional('calmPanAtLeast'),
};
const PAN_LEAN: Want = {
  id: 'pan',
  name: 'Lean in a usual pan, at most',
  kind: 'angle',
  range: [0.1 * DEGREE, 45 * DEGREE],
  help: 'Panned at 45° a second.',
  firm: ['panLean'],
  ...optional('panLeanAtMost'),
};

export const HUNG_WANTS: readonly Want[] = [
  LEVEL,
  DROP_LEAST,
  DROP_MOST,
  DROP_ROLL,
  WASHERS_AT_MOST,
  CALM_PITCH,
  CALM_ROLL,
  CALM_PAN,
  PAN_LEAN,
];
