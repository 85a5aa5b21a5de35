/** A rig's strength as the screen tells it: the figures, what they mean and what to do, and lines to draw and move. */
import { DEGREE, figure, fromTo, length, say, type Phrase, type Vec3 } from '../../0-base';
import {
  FELT_BELOW,
  FIRM_ABOVE,
  FALL_FROM_TABLE,
  pictureWay,
  rattledTurn,
  STEADY,
  strainedShare,
  strengthOf,
  type Carried,
  type CaseTold,
  type FirstToBreak,
  type LivesIn,
  type RigFrame,
  type RigMode,
  type Rattle,
  type RigStrength,
  type Shake,
  type Softening,
  type Strain,
  type StrengthInput,
} from '../../4-strength';

/** Told of each: gravest first. */
export interface StrengthWord {
  readonly severity: 'stop' | 'mend' | 'measure' | 'note';
  /** The piece to light up; null: the whole rig. */
  readonly about: string | null;
  readonly title: Phrase;
  readonly why: Phrase;
  readonly toDo: Phrase;
}
export interface ShownMode {
  readonly frequency: number;
  readonly range: readonly [number, number];
  readonly livesIn: readonly LivesIn[];
  readonly damping: number;
  /** Which way the picture goes. */
  readonly way: string;
  /** Of each node, as large as the largest is one. */
  readonly shape: readonly Vec3[];
}
export interface ShakenTold {
  readonly id: 'walk' | 'run' | 'knock';
  readonly name: string;
  readonly rate: number | null;
  /** Peak, and root mean square, rad; about x y z the peaks: rolls, nods, pans. */
  readonly turn: number;
  readonly rms: number | null;
  readonly about: Vec3;
  readonly smear: number | null;
}
export interface StrengthSheet {
  /** The lowest that moves what is carried, Hz; null: none found. */
  readonly lowest: ShownMode | null;
  /** How far the camera sags by bending, m, and turns, rad. */
  readonly sag: { readonly down: number; readonly turn: number } | null;
  /** How far it sags once plastic and wood have given for a day; null: nothing of it does. */
  readonly crept: { readonly down: number; readonly turn: number } | null;
  /** The lens in a walk, a run, a knock: the most it turns by bending, rad, and while the shutter is open. */
  readonly shaken: readonly ShakenTold[];
  readonly rattles: readonly Rattle[];
  /** All that rattles together, each way, rad. */
  readonly rattled: number;
  /** With hands and shoulders as the springs they are, Hz. */
  readonly inHand: number | null;
  readonly cases: readonly CaseTold[];
  readonly breaksFirst: FirstToBreak | null;
  readonly weakest: Strain | null;
  readonly words: readonly StrengthWord[];
  readonly strains: readonly Strain[];
  readonly carried: readonly Carried[];
  readonly modes: readonly ShownMode[];
  readonly proven: boolean;
  readonly unknowns: number;
  readonly bump: number;
  /** For the drawing: places, lines between them (by place), where the camera stands. */
  readonly nodes: readonly Vec3[];
  readonly lines: readonly { readonly from: number; readonly to: number; readonly piece: string }[];
  readonly camera: number | null;
}
export type StrengthSheetOutcome =
  { readonly kind: 'told'; readonly sheet: StrengthSheet } | { readonly kind: 'cannot'; readonly word: StrengthWord };

/** A joint in use should be strained to less than half of where its faces part. */
const OPENS_AT = 0.5;
/** More than this of sag is seen beside the level, rad. */
const SAG_SEEN = 0.5 * DEGREE;
const TOLD_STRAINS = 8;
const LEAST_TOLD = 3;
/** So many bumps are told as “over” it: the figure means nothing any more. */
export const SURE = 100;

export function strengthSheet(input: StrengthInput): StrengthSheetOutcome {
  const outcome = strengthOf(input);
  switch (outcome.kind) {
    case 'notHeld':
      return {
        kind: 'cannot',
        word: {
          severity: 'stop',
          about: null,
          title: say`Nothing says where this rig is held.`,
          why: say`What bends is reckoned from where a hand, a shoulder or the ground holds it.`,
          toDo: say`Give it something that holds it, on Frame.`,
        },
      };
    case 'mechanism':
      return {
        kind: 'cannot',
        word: {
          severity: 'stop',
          about: outcome.piece,
          title: say`${upper(outcome.name)} moves without bending anything.`,
          why: say`Nothing holds it ${wayWords(outcome.by)}, so there is no sag and no stress to tell.`,
          toDo: say`Fasten it that way too, on Frame.`,
        },
      };
    case 'solved':
      return { kind: 'told', sheet: sheetOf(outcome.strength, input.bump) };
  }
}

function sheetOf(strength: RigStrength, bump: number): StrengthSheet {
  const { frame, sag, crept, strains, carried, shakes, cases, rattles } = strength;
  const names = [...frame.model.nodes.keys()];
  const at = new Map(names.map((n, i) => [n, i]));
  const modes = strength.modes.map((m) => shown(m, names));
  const lowest = modes.find((m) => m.livesIn[0]?.kind !== 'held') ?? null;
  const told = {
    lowest,
    sag: sag && sized(sag),
    crept: crept?.sag ? sized(crept.sag) : null,
    shaken: shakes
      ? [
          shakenTold('walk', 'A walk', shakes.walk),
          shakenTold('run', 'A run', shakes.run),
          shakenTold('knock', 'A knock of 0.3 N·s', shakes.knock),
        ]
      : [],
    rattles,
    rattled: rattledTurn(rattles),
    inHand: strength.inHand,
    cases,
    breaksFirst: strength.breaksFirst,
    weakest: strains[0] ?? null,
  };
  return {
    ...told,
    words: [
      ...frame.loose.map((p): StrengthWord => ({
        severity: 'mend',
        about: p.id,
        title: say`${upper(p.name)} hangs on nothing that is held.`,
        why: say`It is left out here: what it weighs strains nothing.`,
        toDo: say`Fasten it, on Frame.`,
      })),
      ...frame.ofUnknown.map(unknownStuff),
      ...strains.filter((s) => s.reserve < s.wanted).map((s) => strained(s, cases)),
      ...carried
        .filter((c, i) => strainedShare(c) > OPENS_AT && carried.findIndex((o) => o.name === c.name) === i)
        .map((c) => opens(c, saysOf(cases, c.in))),
      ...(strength.buckles === null ? [] : [buckling(strength.buckles, bump)]),
      ...(lowest && lowest.frequency < FIRM_ABOVE ? [wobbles(lowest)] : []),
      ...(told.sag && told.sag.turn > SAG_SEEN ? [sags(told.sag)] : []),
      ...(told.sag && told.crept && told.crept.turn - told.sag.turn > SAG_SEEN / 2
        ? [creeps(told.sag, told.crept)]
        : []),
      ...(told.rattled > 0 ? [rattling(rattles)] : []),
      ...(strength.softens[0] && strength.softens[0].at[0] < HOT_CAR[1] ? [softening(strength.softens)] : []),
      ...(strength.breaksFirst && strength.breaksFirst.blow < FALL_FROM_TABLE[1] ? [breaks(strength.breaksFirst)] : []),
    ].sort((a, b) => GRAVE[a.severity] - GRAVE[b.severity]),
    // What bears a hundred such bumps is not worth a line, but for the first few.
    strains: strains.filter((s, i) => i < LEAST_TOLD || s.reserve < SURE).slice(0, TOLD_STRAINS),
    carried: carried.slice(0, TOLD_STRAINS),
    modes,
    proven: strength.proven,
    unknowns: strength.unknowns,
    bump,
    nodes: names.map((n) => frame.model.nodes.get(n)!),
    lines: [
      ...frame.model.members.map((m, i) => ({
        from: at.get(m.from)!,
        to: at.get(m.to)!,
        piece: frame.memberOf[i]!.id,
      })),
      // A rigid piece is drawn by its arms to where it is joined.
      ...frame.model.links.map((l) => ({ from: at.get(l.from)!, to: at.get(l.to)!, piece: '' })),
    ],
    camera: frame.camera === null ? null : (at.get(frame.camera) ?? null),
  };
}
/** What it is made of is not known, so neither is how it bends. */
const unknownStuff = ({ id, name }: RigFrame['ofUnknown'][number]): StrengthWord => ({
  severity: 'measure',
  about: id,
  title: say`How stiff and how strong ${name} is, is not known.`,
  why: say`Its material is none that is known here, so it is reckoned as if it did not bend, and nothing says what it bears.`,
  toDo: say`Choose a known stock for it on Frame, or give its material a stiffness and a yield in the rig file.`,
});
const GRAVE = { stop: 0, mend: 1, measure: 2, note: 3 };

const sized = ({ displacement, rotation }: NonNullable<RigStrength['sag']>): { down: number; turn: number } => ({
  down: length(displacement),
  turn: length(rotation),
});
const shakenTold = (id: ShakenTold['id'], name: string, { rate, rms, peak, smear }: Shake): ShakenTold => ({
  id,
  name,
  rate,
  turn: length(peak),
  rms: rms && length(rms),
  about: peak,
  smear,
});

function shown({ frequency, range, livesIn, damping, camera, shape }: RigMode, names: readonly string[]): ShownMode {
  const largest = Math.max(...names.map((n) => length(shape.get(n)!)), Number.MIN_VALUE);
  return {
    frequency,
    range,
    livesIn,
    damping,
    way: camera ? (pictureWay(camera.rotation, camera.displacement) ?? 'hardly turns') : 'no camera in it',
    shape: names.map((n) => shape.get(n)!.map((x) => x / largest) as unknown as Vec3),
  };
}

const wayWords = ([x, y, z]: Vec3): string => {
  const sizes = [Math.abs(x), Math.abs(y), Math.abs(z)];
  return ['forwards and back', 'sideways', 'up and down'][sizes.indexOf(Math.max(...sizes))]!;
};

const where = ({ livesIn: [first] }: ShownMode): string =>
  !first ? 'the rig' : first.kind === 'join' ? `the joint “${first.name}”` : first.name;

function wobbles(mode: ShownMode): StrengthWord {
  const [least, most] = mode.range;
  const felt = mode.frequency < FELT_BELOW;
  const spread: Phrase =
    most - least < 0.1 * mode.frequency
      ? say`${figure('frequency', mode.frequency)}`
      : [...fromTo('frequency', least, most), ' as joints may be'];
  return {
    severity: felt ? 'mend' : 'note',
    about: mode.livesIn[0]?.id ?? null,
    title: felt
      ? say`It wobbles: it rings at ${figure('frequency', mode.frequency)}.`
      : ['A walk may set it ringing: ', ...spread, '.'],
    why: [
      `Steps shake it at 1.6 to 2.8 Hz and at two to four times that. The picture ${mode.way}; it gives most in ${where(mode)}`,
      ...say` (${figure('percent', mode.livesIn[0]?.share ?? 0, 0)} of it). Range: `,
      ...spread,
      '.',
    ],
    toDo: say`Over ${figure('frequency', FIRM_ABOVE, 0)} a walk hardly rings it. See below what each change buys; or flick it and count its swings.`,
  };
}

const saysOf = (cases: readonly CaseTold[], id: string): string => cases.find((c) => c.id === id)?.says ?? '';
const upper = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);

function strained(s: Strain, cases: readonly CaseTold[]): StrengthWord {
  const breaks = s.reserve < 1;
  const says = saysOf(cases, s.in);
  const noun = (cases.find((c) => c.id === s.in)?.name ?? 'that').toLowerCase();
  return {
    severity: breaks ? 'stop' : 'mend',
    about: s.piece,
    title: breaks
      ? say`${upper(s.name)} would give way in ${noun}.`
      : say`${upper(s.name)} gives way at ${figure('count', s.reserve, 1)} times such ${noun}; it should bear ${figure('count', s.wanted)}.`,
    why: say`${upper(says)}, it is strained to ${figure('stress', s.stress)}; ${s.material} surely bears ${figure('stress', s.strength)}${s.acrossLayers ? ' across its layers' : ''}.${s.hole === null ? '' : ' It is weakest at a hole.'}`,
    toDo: say`Thicker stock, a shorter reach, or less weight on its end: see below what each change buys.`,
  };
}

const GIVES: Readonly<Record<NonNullable<Carried['nearest']>['way'], string>> = {
  along: 'it pulls out',
  across: 'it slips',
  twist: 'it turns',
  tilt: 'its faces part, or it slips,',
};

function opens(c: Carried, says: string): StrengthWord {
  const { way, carries, holds } = c.nearest!;
  const isCamera = c.kind === 'cameraScrew';
  const kind = way === 'along' || way === 'across' ? 'force' : 'torque';
  return {
    // A handle that turns when it is pulled is turned back.
    severity: carries > holds && c.in !== 'pulled' ? 'mend' : 'note',
    about: c.pieces[1],
    title: isCamera ? say`The camera may turn on its screw.` : say`${upper(c.name)} may work loose.`,
    why: say`${upper(says)}, ${c.name} carries ${figure(kind, carries)}; ${GIVES[way]} at ${figure(kind, holds)} (${c.source}).`,
    toDo: isCamera
      ? say`Bring the camera’s middle over its screw, use a plate with a second screw or a pin, and tighten before each take.`
      : say`A second screw or a pin beside it, a thicker one, or less weight beyond it; see that it is tight before each take.`,
  };
}

const buckling = (factor: number, bump: number): StrengthWord => ({
  severity: factor < 1 ? 'stop' : 'mend',
  about: null,
  title: say`What is pressed gives way sideways at ${figure('count', factor, 1)} such bumps.`,
  why: say`Bumped to ${figure('count', bump)} times its weight a slender strut should bear ${figure('count', STEADY)} times that before it bows out.`,
  toDo: say`A larger tube, a shorter strut, or a brace half way.`,
});

const creeps = (sag: { turn: number }, crept: { turn: number }): StrengthWord => ({
  severity: 'note',
  about: null,
  title: say`It goes on sagging: after a day from ${figure('angle', sag.turn)} to ${figure('angle', crept.turn)}.`,
  why: say`Plastic and wood give slowly under a load that stays on.`,
  toDo: say`Take the camera off between takes, and level it again after a break.`,
});

const rattling = (rattles: readonly Rattle[]): StrengthWord => {
  const [most] = rattles.filter((r) => r.rattles).sort((a, b) => b.angle - a.angle);
  return {
    severity: 'note',
    about: most!.about,
    title: say`${upper(most!.name)} rattles: ${figure('angle', most!.angle, 2)} each way, at each step.`,
    why: say`It has room, and its weight does not hold it to one side. That comes on top of what bends.`,
    toDo: say`A shim, tape or a lock screw takes up the room; Frame tells what share of the picture it is.`,
  };
};

/** °C inside. */
const HOT_CAR = [60, 80] as const;
const softening = ([first]: readonly Softening[]): StrengthWord => ({
  severity: 'note',
  about: first!.piece,
  title: say`Not in a hot car: ${first!.name} will sag.`,
  why: say`${upper(first!.material)} gives up at ${figure('count', first!.at[0])} to ${figure('count', first!.at[1])} °C; a car in the sun reaches ${figure('count', HOT_CAR[0])} to ${figure('count', HOT_CAR[1])} °C.`,
  toDo: say`Carry it in the shade, with nothing leaning on it.`,
});

const breaks = ({ id, name, blow }: FirstToBreak): StrengthWord => ({
  severity: 'note',
  about: id,
  title: say`Dropped, ${name} is likely to break first.`,
  why: say`It gives way at some ${figure('count', blow, 0)} times its weight; a fall from a table onto a hard floor brings ${figure('count', FALL_FROM_TABLE[0])} to ${figure('count', FALL_FROM_TABLE[1])} times that.`,
  toDo: say`Pack it in foam with the camera off, and look at that place before each use.`,
});

const sags = ({ down, turn }: { down: number; turn: number }): StrengthWord => ({
  severity: 'note',
  about: null,
  title: say`It sags ${figure('length', down)} and tilts ${figure('angle', turn)} under its own load.`,
  why: say`That is bending alone, against how it is made; the balance is reckoned with it stiff.`,
  toDo: say`Level the camera on the finished rig, with its load on.`,
});
