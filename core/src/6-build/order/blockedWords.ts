/** What cannot be put together in any order, in words: what blocks one another, and what would free it. */
import { say, type Phrase } from '../../0-base';
import type { Connection } from '../../2-frame';
import type { Rig } from '../../model';
import type { Blocked } from './buildOrder';
import { namesOf } from '../namesOf';

export interface BlockedWords {
  /** To light up. */
  readonly pieces: readonly string[];
  readonly title: Phrase;
  readonly why: Phrase;
  readonly toDo: Phrase;
  /** Couplings that would free it as unions: one of them is enough. */
  readonly unions: readonly { readonly joint: string; readonly name: string }[];
}

const OR = new Intl.ListFormat('en-GB', { type: 'disjunction' });
const AND = new Intl.ListFormat('en-GB', { type: 'conjunction' });
/** More names tell a maker nothing. */
const NAMED = 4;

export function blockedWords({ pieces, connections, freedBy }: Blocked, rig: Rig): BlockedWords {
  const nameOf = namesOf(rig);
  const brought = new Set(connections.flatMap((c) => c.hardware));
  const own = [...new Set(pieces.filter((p) => !brought.has(p)).map(nameOf))];
  const joints = new Map(rig.bodies.flatMap((b) => b.joints).map((j) => [j.id, j]));
  const turns = connections.some((c) => joints.get(c.pieces[1] ?? '')?.hold === 'threaded');
  const between = [...new Set(freedBy.map((c) => whereOf(c, nameOf)))];
  return {
    pieces,
    title: say`No order puts together the ${AND.format(named(own))}: each waits for another.`,
    why: turns
      ? say`What is screwed in turns all the way round, and pipes in a ring cannot: the last thread never goes in.`
      : say`Whichever comes last meets another on its way in, or no way leads out between them.`,
    toDo:
      between.length === 0
        ? say`No single one frees it: see in Frame whether pieces stand in each other, and leave one open until the others are on.`
        : say`It goes together with a union ${OR.format(named(between))}.`,
    unions: [...new Set(freedBy.map((c) => joints.get(c.pieces[1] ?? '')))].flatMap((joint) =>
      joint?.fitting === 'coupling' ? [{ joint: joint.id, name: joint.name }] : [],
    ),
  };
}

const named = (names: readonly string[]): readonly string[] =>
  names.length <= NAMED ? names : [...names.slice(0, NAMED - 1), `${names.length - NAMED + 1} more`];

const whereOf = ({ pieces }: Connection, nameOf: (piece: string) => string): string => {
  const [one, other] = [...new Set(pieces)].map(nameOf);
  return other ? `between the ${one} and the ${other}` : `at the ${one}`;
};
