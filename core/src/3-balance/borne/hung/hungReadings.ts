/** What can be read of a rig that hangs, and what it should be. */
import { DEGREE, ellipticK, STANDARD_GRAVITY } from '../../../0-base';
import { moveSums, type Sums } from '../../../1-load';
import type { Pivot } from '../../../model';
import { fingerSays, ON_THE_SCALE } from '../held/handReadings';
import { within } from '../expected';
import { BEST, type Observation, type Taken } from '../says';
import { supportOf } from '../support';
import type { ReadingKind } from '../way';
import { NOSE, SIDES } from '../words';
import { dropFactor } from './dropFactor';
import { pinDepth } from './pins';

/** Standard uncertainties: a lean by a level or a phone laid on, rad; a thumb on a stopwatch, s. */
const READ = { lean: 0.5 * DEGREE, drop: 0.1 };
/** How far above the pivot the mass centre is taken to lie when a rig turns over the first time, m. */
const ABOVE = 0.003;
const K = ellipticK(Math.SQRT1_2);
/** Where friction would stop it, it was seen to come all the same: no longer than this, of √(I/(M g d)). */
const MOST_FACTOR = 6;

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
    says: ({ value }) => [lean(value, 0)],
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
    says: ({ value }) => [lean(value, 1)],
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
    says: dropSays,
  },
  {
    kind: 'turnsOver',
    name: 'It turned over',
    help: '',
    quantity: 'flag',
    range: [0, 1],
    about: null,
    expects: () => null,
    // The mass centre lies above the pivot, by how much is not known. Turned over again, it was more.
    says: ({ over }) => {
      const above = ABOVE * 2 ** over;
      return [{ value: ({ first, mass }) => first[2] / mass - above, spread: () => above / 3 }];
    },
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
    says: fingerSays,
  },
];

function lean(angle: number, i: 0 | 1): Observation {
  const far = ({ first, mass }: Sums): number => Math.hypot(...first) / mass;
  return {
    value: ({ first, mass }) => (first[i] * Math.cos(angle) + first[2] * Math.sin(angle)) / mass,
    spread: (s) => Math.max(BEST, far(s) * READ.lean),
  };
}

/** T² M g h = k² I, so h - k² I/(M g T²) is zero; h along the way it was seen to hang, k with the friction there. */
function dropSays({ value: mean, seen, assembly: { rig } }: Taken): readonly Observation[] {
  const nose = seen.noseDown ?? 0;
  const support = supportOf(rig);
  const joint: Pick<Pivot, 'pins' | 'frictionTorque'> = support?.kind === 'pivot' ? support.pivot : {};
  return [
    {
      value: (about) => {
        const { first, inertia, mass } = moveSums(about, [0, 0, pinDepth(joint, 'pitch')]);
        const k = Math.min(
          MOST_FACTOR,
          dropFactor((joint.frictionTorque?.value ?? 0) / (STANDARD_GRAVITY * Math.hypot(first[0], first[2]))),
        );
        return (
          (first[0] * Math.sin(nose) - first[2] * Math.cos(nose)) / mass -
          (k ** 2 * inertia[1][1]) / (STANDARD_GRAVITY * mean ** 2 * mass)
        );
      },
      spread: ({ first, mass }) =>
        Math.max(
          BEST,
          (2 * Math.abs(Math.hypot(first[0], first[2]) / mass) * READ.drop) / Math.sqrt(seen.dropTimes.length) / mean,
        ),
    },
  ];
}

/** Quicker than a body of this size can fall from any pivot, by two thumbs: T is least where h² = I/M. */
export const shortestDrop = (s: Sums): number =>
  Math.max(0.1, K * Math.sqrt((2 * Math.sqrt(s.inertia[1][1] / s.mass)) / STANDARD_GRAVITY) - 2 * READ.drop);
