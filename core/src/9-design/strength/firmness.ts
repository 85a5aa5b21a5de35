/** How firm a rig is, in short, without the range its joins leave: what the tide line, the shelf, the chooser, the cards and the log say. */
import type { AdjusterValues, Assembly } from '../../2-frame';
import { strainedShare, type Carried, type JointsHeard } from '../../4-strength';
import { strengthSheet, type StrengthSheet, type StrengthWord } from './strengthSheet';
import { USUAL_BUMP } from './strengthReport';

export interface FirmnessInput {
  readonly assembly: Assembly;
  readonly values: AdjusterValues;
  /** What flicks have said of its joints. */
  readonly joints?: JointsHeard | undefined;
}
export interface Firmness {
  /** The lowest that moves what is carried, Hz, and in what it gives most; null: it cannot be told, or nothing rings. */
  readonly rings: { readonly frequency: number; readonly way: string; readonly gives: string } | null;
  /** The most the lens turns by bending in a walk, rad; null: nothing is carried. */
  readonly walk: number | null;
  /** All that strength says against it, gravest first. */
  readonly against: readonly StrengthWord[];
  /** Screws, clamps and handles to see to before each take: those nearest to giving, nearest first. */
  readonly tight: readonly { readonly about: string; readonly name: string }[];
}

const MODES = 3;

export function firmnessOf({ assembly, values, joints }: FirmnessInput): Firmness {
  const outcome = strengthSheet({
    assembly,
    values,
    pose: assembly.rig.poses[0] ?? null,
    bump: USUAL_BUMP,
    modes: MODES,
    ranges: false,
    joints,
  });
  if (outcome.kind === 'cannot') return { rings: null, walk: null, against: [outcome.word], tight: [] };
  const { sheet } = outcome;
  return {
    rings: sheet.lowest && {
      frequency: sheet.lowest.frequency,
      way: sheet.lowest.way,
      gives: sheet.lowest.livesIn[0]?.name ?? 'the rig',
    },
    walk: sheet.shaken.find((s) => s.id === 'walk')?.turn ?? null,
    against: sheet.words.filter(isGrave),
    tight: tightOf(sheet),
  };
}

const isGrave = ({ severity }: StrengthWord): boolean => severity !== 'note';

/** What a hand can tighten. */
const TIGHTENED: ReadonlySet<Carried['kind']> = new Set<Carried['kind']>(['cameraScrew', 'bolted', 'clamped']);
/** Strained to more than this of what it holds it is worth a look before each take. */
const WORTH_A_LOOK = 0.2;
const LINES = 3;

const tightOf = ({ carried }: StrengthSheet): Firmness['tight'] =>
  carried
    .filter((c, i) => TIGHTENED.has(c.kind) && carried.findIndex((o) => o.name === c.name) === i)
    .filter((c) => strainedShare(c) > WORTH_A_LOOK)
    .slice(0, LINES)
    .map((c) => ({ about: c.pieces[1], name: c.name }));
