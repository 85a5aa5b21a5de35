/** The words of the trade that this program uses, each in a line or two. One list: what is explained in place, in the help and in the palette. */
export interface Term {
  readonly word: string;
  /** Other forms of it as they stand in sentences. */
  readonly forms?: readonly string[];
  readonly says: string;
  /** Also a word of every day, which a sentence need not explain. */
  readonly isPlain?: true;
  /** Paths on a sheet 120 wide and 60 high, y down, where a drawing tells it sooner. */
  readonly picture?: readonly { readonly look: 'thing' | 'measure' | 'pebble'; readonly path: string }[];
}

export const GLOSSARY: readonly Term[] = [
  {
    word: 'pool',
    isPlain: true,
    says: 'The range you want a figure to lie in. Its pebble lies in the pool when the rig does what you want.',
    picture: [
      { look: 'thing', path: 'M8 34h104' },
      { look: 'measure', path: 'M40 34h44' },
      { look: 'pebble', path: 'M56 34a6 5 0 1 0 12 0a6 5 0 1 0-12 0' },
    ],
  },
  {
    word: 'drop',
    isPlain: true,
    forms: ['drop time', 'drops'],
    says: 'Hold the rig level on its pivot and let the foot fall: the time until it first hangs upright. Two seconds is calm, one is quick, and a long drop is touchy.',
    picture: [
      { look: 'thing', path: 'M30 12L90 12M30 12v14' },
      { look: 'measure', path: 'M86 18A56 44 0 0 1 34 52' },
      { look: 'pebble', path: 'M26 12a4 4 0 1 0 8 0a4 4 0 1 0-8 0' },
    ],
  },
  {
    word: 'trim',
    isPlain: true,
    forms: ['trimmed', 'Trim it'],
    says: 'To set washers, slides and screws so that the rig hangs or holds as you want. “Trim it” works the set-up out for you.',
  },
  {
    word: 'calm',
    isPlain: true,
    says: 'How little the picture turns in a walk, beside the bare camera in the same hands.',
  },
  {
    word: 'wobble',
    isPlain: true,
    says: 'How the rig rings by bending when it is knocked or carried. A slow wobble shows at every step; a quick one hardly does.',
  },
  {
    word: 'firm',
    isPlain: true,
    says: 'A rig that rings so quickly that a walk does not set it going: over about 12 swings a second.',
  },
  {
    word: 'mass centre',
    forms: ['mass centres'],
    says: 'The point where a thing balances whichever way it is turned. Nearly all that this program does is to put it in the right place.',
    picture: [
      { look: 'thing', path: 'M20 20h80v12h-80z' },
      { look: 'measure', path: 'M60 36l-9 16h18z' },
      { look: 'pebble', path: 'M55 26a5 5 0 1 0 10 0a5 5 0 1 0-10 0' },
    ],
  },
  {
    word: 'foot',
    isPlain: true,
    says: 'Of a camera or what is mounted: the face that is screwed on, where its places are measured from. Of a rig: the end that hangs lowest.',
  },
  {
    word: 'pivot',
    isPlain: true,
    forms: ['pivots'],
    says: 'Where the rig turns freely in the hand: a ball, a ring of bearings, or pins across each other.',
  },
  {
    word: 'gimbal',
    forms: ['gimbals'],
    says: 'A pivot that lets the rig turn every way while the hand does not turn with it.',
  },
  {
    word: 'counterweight',
    forms: ['counterweights'],
    says: 'Washers or a block that balance the camera from the other side of the pivot.',
  },
  {
    word: 'nose',
    isPlain: true,
    says: 'The end of the rig that the lens looks out of. “Nose down” is a rig that tips forward.',
  },
  { word: 'plumb', says: 'Straight down, as a weight hangs on a string.' },
  {
    word: 'pan',
    isPlain: true,
    forms: ['panned', 'panning'],
    says: 'To turn the camera left or right, about an upright line.',
  },
  { word: 'tilt', isPlain: true, says: 'To turn the camera up or down.' },
  { word: 'roll', isPlain: true, says: 'To lean the camera to one side, so that the horizon is not level.' },
  { word: 'kit', isPlain: true, says: 'All that you may carry: cameras, lenses, microphones, lights, batteries.' },
  {
    word: 'loadout',
    forms: ['loadouts'],
    says: 'What goes out together on one rig: this body, that lens, the small microphone.',
  },
  {
    word: 'set-up',
    forms: ['set-ups'],
    says: 'How the rig is set for one loadout: how many washers, how far each slide.',
  },
  {
    word: 'stage',
    isPlain: true,
    says: 'On a rig: the plate that slides under the camera, to set it fore and aft or sideways. On this page: a part of the work.',
  },
  { word: 'kerf', says: 'The width that a saw takes away with each cut. It counts: ten cuts lose a finger’s breadth.' },
  { word: 'thou', says: 'A thousandth of an inch: a quarter of the thickness of a sheet of paper.' },
  {
    word: 'spread',
    isPlain: true,
    says: 'How far a figure may be off, told after ±. In 95 of 100 cases the true figure lies within it.',
  },
  {
    word: 'offcut',
    forms: ['offcuts'],
    says: 'What is left of a bar when the pieces are cut. Long enough, it is the next rig’s handle.',
  },
  { word: 'blank', isPlain: true, says: 'A piece cut to length and still straight, before it is bent or shaped.' },
  {
    word: 'former',
    isPlain: true,
    forms: ['formers'],
    says: 'A wooden or round shape that a bar or tube is bent against.',
  },
  {
    word: 'spring-back',
    says: 'How far a bent bar opens again when it is let go. The former is made smaller by that much.',
  },
  { word: 'mitre', forms: ['mitres', 'mitred'], says: 'An end cut aslant, so that two pieces meet in a corner.' },
  {
    word: 'cope',
    forms: ['copes'],
    says: 'The hollow cut in a tube’s end so that it lies against another tube’s side.',
  },
  {
    word: 'pilot',
    isPlain: true,
    says: 'A small hole drilled first, so that the large drill does not wander.',
  },
  { word: 'deburr', forms: ['deburred', 'burr'], says: 'To take off the sharp edge that a saw or drill leaves.' },
  {
    word: 'countersink',
    forms: ['countersunk'],
    says: 'A cone at the mouth of a hole that lets a flat screw head lie flush.',
  },
  {
    word: 'tap',
    isPlain: true,
    forms: ['tapped'],
    says: 'The tool that cuts a thread into a hole. A die cuts one onto a rod.',
  },
  { word: 'lock nut', forms: ['lock nuts'], says: 'A nut with a ring of nylon in it, that does not shake loose.' },
  {
    word: 'insert',
    isPlain: true,
    forms: ['inserts'],
    says: 'A brass thread pressed or screwed into plastic or wood.',
  },
  {
    word: 'tee',
    isPlain: true,
    forms: ['tees'],
    says: 'A fitting with three ends: one pipe goes on through, another joins at its side.',
  },
  { word: 'elbow', isPlain: true, forms: ['elbows'], says: 'A fitting that takes a pipe round a corner.' },
  { word: 'union', isPlain: true, says: 'A fitting that two pipes are screwed together by, and apart again.' },
  {
    word: 'cement',
    isPlain: true,
    forms: ['cemented'],
    says: 'The solvent that welds plastic pipe into its fitting. It sets in seconds.',
  },
  { word: 'flux', says: 'The paste that lets solder run into a joint of copper.' },
  { word: 'tow', says: 'A loose strand of carbon, wetted with epoxy and wound round a joint.' },
  {
    word: 'jig',
    isPlain: true,
    forms: ['jigs'],
    says: 'Something made to hold the work in its place while it is glued or drilled.',
  },
  {
    word: 'brace',
    isPlain: true,
    forms: ['braces'],
    says: 'A bar across a corner or a frame that keeps it from leaning.',
  },
  { word: 'gusset', forms: ['gussets'], says: 'A plate or bar across an inside corner that stiffens it.' },
  { word: 'riser', forms: ['risers'], says: 'A block that lifts the camera higher above its plate.' },
  { word: 'creep', says: 'How plastic goes on bending, slowly, under a load that stays.' },
  { word: 'damping', says: 'How quickly a wobble dies away.' },
  { word: 'smear', forms: ['smeared'], says: 'How far the picture moves while the shutter is open.' },
  {
    word: 'angle of view',
    says: 'How much a lens takes in, from one side of the picture to the other.',
    picture: [
      { look: 'thing', path: 'M14 24h22v12h-22z' },
      { look: 'measure', path: 'M36 30L108 6M36 30L108 54' },
    ],
  },
  { word: 'flange', says: 'The ring on a body that lenses lock onto.' },
  { word: 'shoe', isPlain: true, says: 'The slot on top of a camera that a light or microphone slides into.' },
  {
    word: 'hold',
    isPlain: true,
    says: 'How long an arm holds the rig up until the shoulder, elbow or wrist gives out. Rough: arms differ.',
  },
  {
    word: 'N·m',
    forms: ['lb·in'],
    says: 'A turning pull. One newton metre is about a 100 g bar of chocolate held at the end of a metre’s arm.',
  },
  { word: 'slack', isPlain: true, says: 'How long a step may wait before the whole job takes longer.' },
  {
    word: 'verdict',
    isPlain: true,
    says: 'The one answer that every screen gives: it holds, it may not, or it does not, and why.',
  },
];

export const termFor = (word: string): Term | null => BY_FORM.get(word.toLowerCase()) ?? null;

const BY_FORM: ReadonlyMap<string, Term> = new Map(
  GLOSSARY.flatMap((t) => [t.word, ...(t.forms ?? [])].map((f): [string, Term] => [f.toLowerCase(), t])),
);
const WORDS = new RegExp(
  `(?<![\\p{L}\\p{N}-])(${[...BY_FORM]
    .filter(([, t]) => !t.isPlain)
    .map(([form]) => form)
    .sort((a, b) => b.length - a.length)
    .join('|')})(?![\\p{L}\\p{N}-])`,
  'giu',
);

export interface Told {
  readonly text: string;
  /** What may be asked for; null: plain words. */
  readonly term: Term | null;
}

/** A sentence in parts, each term of the trade marked where it first stands. */
export function toldIn(text: string): readonly Told[] {
  const parts: Told[] = [];
  const seen = new Set<Term>();
  let from = 0;
  for (const found of text.matchAll(WORDS)) {
    const term = termFor(found[0])!;
    if (seen.has(term)) continue;
    seen.add(term);
    if (found.index > from) parts.push({ text: text.slice(from, found.index), term: null });
    parts.push({ text: found[0], term });
    from = found.index + found[0].length;
  }
  if (from < text.length) parts.push({ text: text.slice(from), term: null });
  return parts;
}
