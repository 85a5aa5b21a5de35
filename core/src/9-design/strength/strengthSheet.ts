/** A rig's strength as the screen tells it: the figures, what they mean and what to do, and lines to draw and move. */
import { DEGREE, figure, fromTo, length, say, type Phrase, type Vec3 } from '../../0-base';
import {
  FELT_BELOW,
  FIRM_ABOVE,
  strengthOf,
  type Carried,
  type LivesIn,
  type RigMode,
  type RigStrength,
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
export interface StrengthSheet {
  /** The lowest that moves what is carried, Hz; null: none found. */
  readonly lowest: ShownMode | null;
  /** How far the camera sags by bending, m, and turns, rad. */
  readonly sag: { readonly down: number; readonly turn: number } | null;
  readonly walk: { readonly rate: number; readonly turn: number } | null;
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
          title: say`${outcome.name} moves without bending anything.`,
          why: say`Nothing holds it ${wayWords(outcome.by)}, so there is no sag and no stress to tell.`,
          toDo: say`Fasten it that way too, on Frame.`,
        },
      };
    case 'solved':
      return { kind: 'told', sheet: sheetOf(outcome.strength, input.bump) };
  }
}

function sheetOf(strength: RigStrength, bump: number): StrengthSheet {
  const { frame, sag, strains, carried, walk } = strength;
  const names = [...frame.model.nodes.keys()];
  const at = new Map(names.map((n, i) => [n, i]));
  const modes = strength.modes.map((m) => shown(m, names));
  const lowest = modes.find((m) => m.livesIn[0]?.kind !== 'held') ?? null;
  const told = {
    lowest,
    sag: sag && { down: length(sag.displacement), turn: length(sag.rotation) },
    walk: walk && { rate: walk.rate, turn: length(walk.peak) },
    weakest: strains[0] ?? null,
  };
  return {
    ...told,
    words: [
      ...frame.loose.map((p): StrengthWord => ({
        severity: 'mend',
        about: p.id,
        title: say`${p.name} hangs on nothing that is held.`,
        why: say`It is left out here: what it weighs strains nothing.`,
        toDo: say`Fasten it, on Frame.`,
      })),
      ...strains.filter((s) => s.reserve < s.wanted).map((s) => strained(s, bump)),
      ...carried.filter((c) => c.holds !== null && c.moment > OPENS_AT * c.holds).map((c) => opens(c, bump)),
      ...(lowest && lowest.frequency < FIRM_ABOVE ? [wobbles(lowest)] : []),
      ...(told.sag && told.sag.turn > SAG_SEEN ? [sags(told.sag)] : []),
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
const GRAVE = { stop: 0, mend: 1, measure: 2, note: 3 };

function shown({ frequency, range, livesIn, damping, camera, shape }: RigMode, names: readonly string[]): ShownMode {
  const largest = Math.max(...names.map((n) => length(shape.get(n)!)), Number.MIN_VALUE);
  return {
    frequency,
    range,
    livesIn,
    damping,
    way: camera ? pictureWay(camera.rotation, camera.displacement) : 'no camera in it',
    shape: names.map((n) => shape.get(n)!.map((x) => x / largest) as unknown as Vec3),
  };
}

/** A turn of a tenth of this over its shift is seen before the shift is, m. */
const ARM = 0.1;
function pictureWay(rotation: Vec3, displacement: Vec3): string {
  const turns = rotation.map((x) => Math.abs(x) * ARM);
  const most = turns.indexOf(Math.max(...turns));
  if (turns[most]! < 0.1 * length(displacement)) return 'hardly turns';
  return ['rolls', 'nods', 'pans'][most]!;
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

function strained(s: Strain, bump: number): StrengthWord {
  const breaks = s.reserve < 1;
  return {
    severity: breaks ? 'stop' : 'mend',
    about: s.piece,
    title: breaks
      ? say`${s.name} would give way in a bump.`
      : say`${s.name} bears ${figure('count', s.reserve, 1)} such bumps; it should bear ${figure('count', s.wanted)}.`,
    why: say`Bumped to ${figure('count', bump)} times its weight it is strained to ${figure('stress', s.stress)}; ${s.material} surely bears ${figure('stress', s.strength)}${s.acrossLayers ? ' across its layers' : ''}.${s.hole === null ? '' : ' It is weakest at a hole.'}`,
    toDo: say`Thicker stock, a shorter reach, or less weight on its end: see below what each change buys.`,
  };
}

const opens = (c: Carried, bump: number): StrengthWord => {
  const isCamera = c.kind === 'cameraScrew';
  return {
    severity: c.moment > c.holds! ? 'mend' : 'note',
    about: c.pieces[1],
    title: isCamera ? say`A bump may turn the camera on its screw.` : say`A bump may work ${c.name} loose.`,
    why: say`At ${figure('count', bump)} times its weight ${c.name} carries ${figure('torque', c.moment)}; its faces part, or it slips, at ${figure('torque', c.holds!)} (${c.source}).`,
    toDo: isCamera
      ? say`Bring the camera’s middle over its screw, use a plate with a second screw or a pin, and tighten before each take.`
      : say`A second screw beside it, a thicker one, or less weight beyond it; see that it is tight before each take.`,
  };
};

const sags = ({ down, turn }: { down: number; turn: number }): StrengthWord => ({
  severity: 'note',
  about: null,
  title: say`It sags ${figure('length', down)} and tilts ${figure('angle', turn)} under its own load.`,
  why: say`That is bending alone, against how it is made; the balance is reckoned with it stiff.`,
  toDo: say`Level the camera on the finished rig, with its load on.`,
});
