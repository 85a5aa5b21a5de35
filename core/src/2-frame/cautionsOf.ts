/** What can hurt about a rig, from what it is: the usual cautions in plain words, to be shown beside it and printed on its cards. */
import { length, subtract } from '../0-base';
import type { Rig } from '../model';
import { placesOf } from './members/memberEnds';

interface Caution {
  readonly applies: (rig: Rig) => boolean;
  readonly words: readonly string[];
}

const LONG = 0.75; // m: longer than this meets what the holder does not see
const onHead = (rig: Rig): boolean => rig.contacts.some((c) => c.kind === 'helmet');
const spins = (rig: Rig): boolean => rig.pivots.some((p) => p.kind === 'swivel' && !p.clamped);
const longest = (rig: Rig): number =>
  Math.max(
    0,
    ...rig.bodies.flatMap((b) => {
      const places = placesOf(b.nodes);
      return b.members.map((m) => length(subtract(places.get(m.to) ?? [0, 0, 0], places.get(m.from) ?? [0, 0, 0])));
    }),
  );

const CAUTIONS: readonly Caution[] = [
  {
    applies: onHead,
    words: [
      'Never a bolt, screw or rod that points at the head. The mount must break away by hand.',
      'A helmet tested for falls is changed by anything fixed to it: follow its label and local rules, and do not drill it.',
      'Stop at any pain or dizziness: this program cannot say what your neck stands.',
    ],
  },
  {
    applies: spins,
    words: [
      'Spinning ends sweep at the height of faces. Not in streets, crowds or traffic, not on wheels or boards, not near branches, wires or water.',
      'Give both ends a bright, soft cover, rope off the circle, and stop when anyone comes near.',
    ],
  },
  {
    applies: (rig) => rig.contacts.some((c) => c.kind === 'shoulder'),
    words: [
      'Change shoulders and rest before it hurts; numb fingers mean stop. You do not see what the tail meets behind you.',
    ],
  },
  {
    applies: (rig) => !onHead(rig) && rig.pivots.filter((p) => p.kind === 'hinge' && !p.clamped).length > 1,
    words: ['Its arms swing: keep fingers and faces out of the frame.'],
  },
  {
    applies: (rig) => longest(rig) > LONG,
    words: ['It is long: look up and behind before you turn. Never near overhead wires; mind lamps, doors and people.'],
  },
  {
    applies: (rig) => rig.bodies.some((b) => b.members.some((m) => m.stock.material === 'carbonEpoxy')),
    words: ['Carbon splinters, and its dust harms: wet the cut, wear mask and glasses, and follow the resin’s label.'],
  },
  {
    applies: () => true,
    words: ['Tether it over people, from heights and over water; walk with eyes on the way, not on the screen.'],
  },
];

export const cautionsOf = (rig: Rig): readonly string[] =>
  CAUTIONS.filter((c) => c.applies(rig)).flatMap((c) => c.words);
