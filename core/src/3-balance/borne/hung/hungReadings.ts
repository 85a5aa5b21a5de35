/** What can be read of a rig that hangs, and what it should be. */
import { ON_THE_SCALE } from '../held/handReadings';
import { within } from '../expected';
import type { ReadingKind } from '../way';
import { NOSE, SIDES } from '../words';

export const HUNG_READINGS: readonly ReadingKind[] = [
  {
    kind: 'noseDown',
    name: 'Nose down',
    help: 'Nose up is negative.',
    quantity: 'angle',
    range: [-1.5, 1.5],
    about: null,
    words: NOSE,
    expects: ({ evaluation: { hung } }) =>
      hung?.hang.rest ? within(hung.hang.rest.noseDown, 2 * hung.spread.noseDown) : null,
  },
  {
    kind: 'leftSideDown',
    name: 'Left side down',
    help: 'Right side down is negative.',
    quantity: 'angle',
    range: [-1.5, 1.5],
    about: null,
    words: SIDES,
    expects: ({ evaluation: { hung } }) =>
      hung?.hang.rest ? within(hung.hang.rest.leftSideDown, 2 * hung.spread.leftSideDown) : null,
  },
  {
    kind: 'dropTimes',
    name: 'Drop time',
    help: 'Held level, let go, to upright.',
    quantity: 'time',
    range: [0.05, 60],
    about: null,
    expects: ({ evaluation: { hung } }) =>
      hung?.pitch.drop.kind === 'falls' ? within(hung.pitch.drop.time, 2 * hung.spread.dropPitch) : null,
  },
  {
    kind: 'turnsOver',
    name: 'It turned over',
    help: '',
    quantity: 'flag',
    range: [0, 1],
    about: null,
    expects: () => null,
  },
  ON_THE_SCALE,
  {
    kind: 'fingerAhead',
    name: 'Balances on a finger, ahead of the pivot',
    help: 'Held lying level; behind is negative.',
    quantity: 'length',
    range: [-0.5, 0.5],
    about: null,
    expects: ({ evaluation: { hung } }) =>
      hung ? within(hung.hang.fromPivot[0], 2 * hung.spread.massCentre[0]) : null,
  },
];
