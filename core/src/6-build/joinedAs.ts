/** How each kind of connection is made by hand: what it is called, with what, how it shows that it is right. No family has words of its own. */
import { say, type Phrase } from '../0-base';
import { jointFacts, type Connection, type ConnectionKind } from '../2-frame';
import type { Bolted, Glue, Hold, Joint, Rig, StatedConnection } from '../model';

export interface JoinedAs {
  readonly title: Phrase;
  readonly tool: string;
  readonly check: Phrase;
  /** Hands-on, rough. */
  readonly minutes: number;
  /** Until it may be loaded, s. */
  readonly dries: number;
  readonly caution: string | null;
}

export const AND = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** Of a name that comes more than once, how often. */
export function counted(names: readonly string[]): readonly string[] {
  return [...new Set(names)].map((name) => {
    const times = names.filter((n) => n === name).length;
    return times > 1 ? `${times} × ${name}` : name;
  });
}

/** Each phrase once. */
export const different = (phrases: readonly Phrase[]): readonly Phrase[] => [
  ...new Map(phrases.map((p) => [JSON.stringify(p), p])).values(),
];

interface Words {
  readonly title: (pieces: readonly string[], connection: Connection) => Phrase;
  readonly tool: string;
  readonly check: Phrase;
  readonly minutes: number;
}
const WORDS: Readonly<Record<ConnectionKind, Words>> = {
  bolted: {
    // A screw that ends in neither nut nor piece waits for what is screwed on later: the camera.
    title: (pieces, c) =>
      pieces.length > 1 && (c.hardware.includes(`${c.id}/nut`) || c.holes.some((h) => h.thread))
        ? say`Bolt the ${AND.format(pieces)} together`
        : say`Put the ${c.name} through the ${AND.format(pieces)}`,
    tool: 'spanners',
    check: say`The head sits flat, and nothing turns when you twist it by hand.`,
    minutes: 4,
  },
  slidOn: {
    title: ([piece, over]) => say`Slide the ${piece ?? ''} over the ${over ?? ''}`,
    tool: 'soapy water',
    check: say`It sits where the hand goes and does not turn.`,
    minutes: 3,
  },
  seated: {
    title: ([piece, into]) => say`Set the ${piece ?? ''} into the ${into ?? ''}`,
    tool: 'hand',
    check: say`It fills the bore without force and without rattle.`,
    minutes: 2,
  },
  socketed: {
    title: ([pipe, fitting]) => say`Put the ${pipe ?? ''} into the ${fitting ?? ''}`,
    tool: 'hand',
    check: say`It is home to its mark and points where it should.`,
    minutes: 4,
  },
  clamped: {
    title: ([piece, on]) => say`Clamp the ${piece ?? ''} on the ${on ?? ''}`,
    tool: 'hex key or spanner',
    check: say`It does not move when you push and twist it by hand.`,
    minutes: 4,
  },
  bonded: {
    title: (pieces) => say`Glue the ${AND.format(pieces)} together`,
    tool: 'clamps, a rag',
    check: say`A thin line of glue shows all round, and nothing has slid.`,
    minutes: 12,
  },
  laid: {
    title: ([piece, on]) => say`Lay the ${piece ?? ''} on the ${on ?? ''}`,
    tool: 'hand',
    check: say`It lies flat and does not peel at its edges.`,
    minutes: 3,
  },
  screwedIn: {
    title: ([piece, into]) => say`Screw the ${piece ?? ''} into the ${into ?? ''}`,
    tool: 'screwdriver',
    check: say`It pulls up tight and its thread does not slip.`,
    minutes: 4,
  },
  hinged: {
    title: ([held, carried]) => say`Join the ${held ?? ''} and the ${carried ?? ''} so that they turn`,
    tool: 'spanners',
    check: say`It turns freely all the way, and does not rattle.`,
    minutes: 5,
  },
  welded: {
    title: (pieces) => say`Weld the ${AND.format(pieces)} together`,
    tool: 'welder',
    check: say`The seam is closed all round.`,
    minutes: 15,
  },
};

const HOLD_WORD: Readonly<Record<Hold, string>> = {
  threaded: 'Screw',
  glued: 'Cement',
  soldered: 'Solder',
  pressed: 'Press',
  setScrew: 'Set-screw',
  pinned: 'Pin',
};
/** What a glue is worked like: a joint made with it. */
const LIKE: Readonly<Record<Glue, Pick<Joint, 'fitting' | 'hold'>>> = {
  epoxy: { fitting: 'epoxy' },
  wood: { fitting: 'glue' },
  contact: { fitting: 'glue' },
  pvcCement: { fitting: 'cap', hold: 'glued' },
  cpvcCement: { fitting: 'cap', hold: 'glued' },
  solder: { fitting: 'solder' },
};

export function joinedAs(
  connection: Connection,
  stated: StatedConnection | undefined,
  rig: Rig,
  nameOf: (piece: string) => string,
): JoinedAs {
  const words = WORDS[connection.kind];
  const names = [...new Set(connection.pieces.map(nameOf))];
  const plain = { ...words, title: words.title(names, connection), dries: 0, caution: null };
  const joint = jointOf(connection, rig);
  if (stated?.kind === 'bolted') return { ...plain, tool: turnedBy(stated) };
  if (joint) return ofJoint(joint, names);
  if (stated?.kind !== 'bonded' || !stated.glue) return plain;
  const facts = jointFacts(LIKE[stated.glue]);
  return {
    ...plain,
    ...(goesInto(stated, rig)
      ? { check: say`It was pushed in dry to its mark first, went by hand, and glue shows all round its end.` }
      : {}),
    title: goesInto(stated, rig)
      ? say`Glue the ${names[0] ?? ''} into the ${names[1] ?? ''}`
      : stated.glue === 'solder'
        ? say`Solder the ${AND.format(names)} together`
        : plain.title,
    tool: `${facts.tool}, a rag`,
    dries: facts.dryingTime,
    caution: facts.caution,
  };
}

/** A round that fills a tube. */
function goesInto({ piece, to }: StatedConnection & { kind: 'bonded' }, { bodies }: Rig): boolean {
  const members = bodies.flatMap((b) => b.members);
  const kindOf = (id: string) => members.find((m) => m.id === id)?.stock.section.kind;
  return kindOf(piece) === 'rod' && kindOf(to) === 'tube';
}

/** What turns its head and what turns or holds its end. */
function turnedBy({ head, held, end }: Bolted): string {
  const top =
    head === 'sunk' || head === 'low' ? 'hex key' : head === 'wing' || head === 'square' || held ? null : 'spanner';
  const bottom = end.kind === 'wing' ? null : end.kind === 'tapped' || end.kind === 'camera' ? null : 'spanner';
  const tools = [top, bottom].filter((t) => t !== null);
  if (tools.length === 2 && top === bottom) return 'spanners';
  return tools.length > 0 ? tools.join(', ') : 'fingers';
}

/** The fitting, or what else a joint of the rig says of it. */
const jointOf = ({ id, kind, pieces }: Connection, { bodies }: Rig): Joint | undefined =>
  bodies.flatMap((b) => b.joints).find((j) => j.id === id || (kind === 'socketed' && j.id === pieces[1]));

function ofJoint(joint: Joint, names: readonly string[]): JoinedAs {
  const facts = jointFacts(joint);
  const [first, ...others] = names;
  const closes = joint.hub?.sockets.length === 1;
  return {
    title: joint.hold
      ? !joint.hub
        ? say`${HOLD_WORD[joint.hold]} the ${joint.name} on the ${AND.format(names)}`
        : closes
          ? say`${HOLD_WORD[joint.hold]} the ${joint.name} over the end of the ${first ?? 'pipe'}`
          : say`${HOLD_WORD[joint.hold]} the ${first ?? 'pipe'} into the ${others.join(' and ')}`
      : say`Fasten the ${others.join(' and ')} to the ${first ?? 'frame'}`,
    tool: facts.tool,
    minutes: facts.minutes,
    dries: joint.dryingTime ?? facts.dryingTime,
    caution: facts.caution,
    check: joint.reversible
      ? say`It does not turn or rock when you twist it by hand.`
      : say`Square and in line with its pencil marks: it cannot be turned once it has set.`,
  };
}
