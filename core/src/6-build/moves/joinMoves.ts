/** What the hand does, one after the other, by what the pieces are kept together with. */
import { say, type Phrase } from '../../0-base';
import type { Connection } from '../../2-frame';
import type { Rig, StatedConnection } from '../../model';
import { different } from '../joinedAs';
import { sticksBy, type Sticks } from '../sticksBy';

const PIPE_CEMENT: readonly string[] = [
  'Push it in dry once more: does it reach its mark, and point where it should?',
  'Roughen and wipe both. Cement thin on the pipe’s end, then in the socket.',
  'Push it home with a quarter turn, and hold it for half a minute: it creeps out again.',
  'Press it flat on the table and square at once. There are seconds for it.',
  'Wipe off the bead round its mouth.',
];
const FACE_CEMENT: readonly string[] = [
  'Lay it on dry, and draw round it.',
  'Roughen and wipe both faces, and cement both thin.',
  'Press it on with a short slide, and hold it for half a minute.',
];
const BY: Readonly<Record<Sticks, readonly string[]>> = {
  cement: PIPE_CEMENT,
  pvcCement: FACE_CEMENT,
  cpvcCement: FACE_CEMENT,
  solder: [
    'Rub both bright with abrasive cloth, and touch neither afterwards.',
    'Flux both thin, push it home, and turn it once.',
    'A wet rag round every joint nearby that is done already.',
    'Heat the thicker of the two, not the solder, and go round it.',
    'Touch solder to the side away from the flame: it is hot enough when it is drawn in. Feed it until a bright ring shows all round.',
    'Leave it still until it turns dull, then wipe off the flux with a wet rag.',
  ],
  wood: [
    'Lay them together dry, clamped as they will be.',
    'Glue thin on both faces, to the edges.',
    'Rub one on the other until it grabs, and clamp it from the middle outwards.',
    'Wipe off what comes out with a damp rag, and look again in five minutes: it slides.',
  ],
  contact: [
    'Draw round it where it will lie.',
    'Coat both faces thin, and wait until neither is wet to the touch.',
    'Set it down at one edge and roll it on: it grabs where it touches.',
    'Press it all over, hard.',
  ],
  epoxy: [
    'Lay them together dry, held as they will be.',
    'Roughen both and wipe them with spirit.',
    'Gloves on. Mix both parts for a full minute, no more than ten minutes’ work.',
    'Smear both, join them, and take off what comes out with a rag and spirit.',
    'Hold it by tape or clamps, not squeezed dry, and leave it alone.',
  ],
  weld: [
    'Tack it at two places, and look at it square.',
    'Weld it in short runs, from side to side, so that it does not draw.',
  ],
};
/** Tubes joined end on by epoxy under a lashing: that is what carries. */
const LASHED: readonly string[] = [
  'Lay them together dry in their jig: the end lies on the other all round.',
  'Roughen both for two diameters each way and wipe them with spirit. Cut the tows to length and lay them by.',
  'Gloves on. Mix both parts for a full minute, no more than ten minutes’ work.',
  'Smear the joint, set it in the jig, and tape it so.',
  'Wet the tows through, and wind them crosswise round both tubes, tight, each turn beside the last.',
  'Wind tape over them, its sticky side out, until resin comes through; wipe it off.',
  'Leave it in the jig until it is hard, take off the tape, and sand off the ridges, wet.',
];

export function joinMoves(
  connections: readonly Connection[],
  stated: ReadonlyMap<string, StatedConnection>,
  rig: Rig,
  nameOf: (piece: string) => string,
): readonly Phrase[] {
  const bolts = connections.filter((c) => stated.get(c.id)?.kind === 'bolted' && c.stack);
  return different([
    ...connections.flatMap((c) => {
      const sticks = sticksBy(c, stated.get(c.id), rig);
      if (!sticks) return PLAIN[c.kind]?.map((m) => say`${m}`) ?? [];
      const of = stated.get(c.id);
      return (of?.kind === 'bonded' && of.lashed ? LASHED : BY[sticks]).map((m) => say`${m}`);
    }),
    ...bolts.flatMap((c) => fromHead(c, nameOf)),
    ...(bolts.length > 1 ? [say`All of them by hand first; set it square; then tighten them in turn.`] : []),
  ]);
}

const PLAIN: Readonly<Partial<Record<Connection['kind'], readonly string[]>>> = {
  slidOn: [
    'Wet the bore with soapy water.',
    'Push and twist it on from its end without stopping; a stop is where it stays.',
    'Let it dry for a night before you trust it to a hand.',
  ],
  clamped: [
    'Open it wide enough not to scratch, and set it to its mark.',
    'Close its screws a turn each, one after the other, so that its gap stays even.',
  ],
};

/** Everything on its thread, in order. */
function fromHead(c: Connection, nameOf: (piece: string) => string): readonly Phrase[] {
  const layers = c.stack!.map((l) => l.piece);
  const role = (r: string): readonly string[] => c.hardware.filter((h) => h === `${c.id}/${r}`);
  const ends = c.pieces.filter((p) => !layers.includes(p) && !c.hardware.includes(p));
  const all = [...role('screw'), ...role('nut-head'), ...layers, ...role('nut'), ...role('lock')];
  const others = c.hardware.filter((h) => !all.includes(h));
  // What is not said where it goes would make the rest wrong.
  if (others.length > 0 || all.length + ends.length < 3) return [];
  const names: string[] = [];
  const times: number[] = [];
  for (const name of [...all, ...ends].map(nameOf)) {
    if (names.at(-1) === name) times[times.length - 1]! += 1;
    else {
      names.push(name);
      times.push(1);
    }
  }
  return [
    say`In this order from its head: ${names.map((n, i) => (times[i]! > 1 ? `${times[i]} × ${n}` : n)).join(', ')}.`,
  ];
}
