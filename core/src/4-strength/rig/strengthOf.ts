/** What a rig does under all that may come to it: sag, the weakest place of each piece and join, how it rings and what the lens sees of it. */
import { length, type Vec3 } from '../../0-base';
import type { AdjusterValues, Assembly } from '../../2-frame';
import type { Contact, Pose } from '../../model';
import { bucklingOf, standsUpTo } from '../frame/bucklingOf';
import { frameAtRest, type FrameAnswer } from '../frame/frameAnswer';
import { frameSystem, withLinks } from '../frame/frameSystem';
import { modesOf } from '../frame/modesOf';
import type { Carried } from './carriedBy';
import type { JointsHeard } from './knownJoints';
import { creptSag, softenings, type Crept, type Softening } from './creep';
import { energyShares, type LivesIn } from './energyShares';
import { firstToBreak, type FirstToBreak } from './firstToBreak';
import { totalMass } from './lumps';
import { rattlesOf, type Rattle } from './rattles';
import { contactsOf, rigFrame, type RigFrame } from './rigFrame';
import { shakesOf, type Shakes } from './shakes';
import type { Strain } from './strains';
import { heldFrame, under, underCases, type CaseTold, type HeldFrame } from './underCases';

export interface StrengthInput {
  readonly assembly: Assembly;
  readonly values: AdjusterValues;
  readonly pose: Pose | null;
  /** Weights of a bump, 3 is usual. */
  readonly bump: number;
  /** How long the shutter is open, s; a fiftieth where it is not said. */
  readonly shutter?: number;
  readonly modes?: number;
  readonly joints?: JointsHeard | undefined;
  /** Without the range that joins leave, hands and creep it is several times as quick. */
  readonly ranges?: boolean;
}
export interface RigMode {
  /** Hz, and its range by what joins may be softer or stiffer. */
  readonly frequency: number;
  readonly range: readonly [number, number];
  /** Most first. */
  readonly livesIn: readonly LivesIn[];
  /** Of the camera: shift m and turn rad, as large as the swing is drawn. */
  readonly camera: { readonly displacement: Vec3; readonly rotation: Vec3 } | null;
  readonly damping: number;
  /** By node, for drawing. */
  readonly shape: ReadonlyMap<string, Vec3>;
}
export interface RigStrength {
  readonly frame: RigFrame;
  /** At the camera under its own weight, against how it is made; null: nothing carries one. */
  readonly sag: { readonly displacement: Vec3; readonly rotation: Vec3 } | null;
  /** After a day's use; null: nothing of it creeps. */
  readonly crept: Crept | null;
  readonly softens: readonly Softening[];
  /** By case where it is weakest. */
  readonly cases: readonly CaseTold[];
  /** The worst of all cases by piece, weakest first. */
  readonly strains: readonly Strain[];
  /** The worst of all cases by join, most strained first. */
  readonly carried: readonly Carried[];
  /** How many times its bump until a strut gives way sideways, where that is less than it should bear; null: it stands. */
  readonly buckles: number | null;
  /** Dropped; null: not asked, or nothing of it is known to break. */
  readonly breaksFirst: FirstToBreak | null;
  readonly modes: readonly RigMode[];
  /** None below the last was missed. */
  readonly proven: boolean;
  /** What bends and rings with hands and shoulders as the springs they are: its lowest, Hz; null: not asked, or none found. */
  readonly inHand: number | null;
  /** What the lens sees of bending. */
  readonly shakes: Shakes | null;
  /** What rocks without bending. */
  readonly rattles: readonly Rattle[];
  /** Unknowns of the equations. */
  readonly unknowns: number;
}
export type StrengthOutcome =
  | { readonly kind: 'solved'; readonly strength: RigStrength }
  | { readonly kind: 'notHeld' }
  /** It moves without bending: what moves most. */
  | { readonly kind: 'mechanism'; readonly piece: string; readonly name: string; readonly by: Vec3 };

/** Short beams to a stretch between two joins: low modes settle to a few parts in a thousand. */
const PIECES = 2;
const MODES = 6;
const USUAL_SHUTTER = 1 / 50;
/** Of a swing more than this must be bending: the rest is the hand that gives. */
const BENDS = 0.5;

export function strengthOf(input: StrengthInput): StrengthOutcome {
  const made = rigFrame({ ...input, held: 'vice', pivots: 'still' });
  if (made.kind !== 'framed') return made;
  const { frame } = made;
  const { rig } = input.assembly;
  const system = frameSystem(frame.model, () => PIECES);
  const rest = frameAtRest(system, frame.gravity);
  if (rest.kind !== 'solved') return mechanism(frame, rest.motion);
  const whole = input.ranges !== false;
  const count = input.modes ?? MODES;
  const found = modesOf(system, count);
  // Two deviations softer, and stiffer, all joins at once.
  const ends = [-1, 1].map((way) =>
    whole
      ? modesOf(
          withLinks(system, (i) => {
            const meaning = frame.links[i]!;
            return meaning.kind === 'join' ? meaning.stiffness.within ** way : 1;
          }),
          count,
        )
      : null,
  );
  const modes = (found?.modes ?? []).map((mode, i): RigMode => {
    const shares = energyShares(system, frame, mode);
    return {
      frequency: mode.frequency,
      range: [ends[0]?.modes[i]?.frequency ?? mode.frequency, ends[1]?.modes[i]?.frequency ?? mode.frequency],
      livesIn: shares.slice(0, 4).map(({ damping: _, ...lives }) => lives),
      damping: shares.reduce((sum, s) => sum + s.share * s.damping, 0),
      camera: frame.camera ? mode.at(frame.camera) : null,
      shape: new Map([...frame.model.nodes.keys()].map((n) => [n, mode.at(n).displacement])),
    };
  });
  const asPosed = heldFrame(frame, system);
  return {
    kind: 'solved',
    strength: {
      frame,
      sag: frame.camera ? rest.answer.at(frame.camera) : null,
      crept: whole ? creptSag(frame, () => PIECES) : null,
      softens: softenings(frame),
      ...underCases(rig, asPosed, contactsOf(rig, input.pose), input.bump, (contacts) => heldBy(input, contacts)),
      buckles: standsUpTo(system, rest.answer, STEADY * input.bump) ? null : bumpsToBuckle(frame, input.bump),
      breaksFirst: whole ? firstToBreak(asPosed) : null,
      modes,
      proven: found?.proven ?? false,
      inHand: whole ? inHandOf(input) : null,
      shakes:
        found && frame.camera
          ? shakesOf(
              system,
              found.modes,
              modes.map((m) => Math.max(0.001, m.damping)),
              frame.camera,
              totalMass(frame),
              input.shutter ?? USUAL_SHUTTER,
            )
          : null,
      rattles: rattlesOf(rig, frame, (field) => under(asPosed, field)),
      unknowns: system.stiffness.size,
    },
  };
}

/** So many times its bump a strut should bear before it gives way sideways. */
export const STEADY = 3;
/** Pieces of a strut: its lowest factor within a part in a thousand. */
const STRUT_PIECES = 4;
/** How many times such a bump what is pressed gives way sideways; null: nothing is pressed. */
export function bumpsToBuckle({ model, gravity }: RigFrame, bump: number): number | null {
  const [least] = bucklingOf(model, 1, gravity, STRUT_PIECES).factors;
  return least === undefined ? null : least / bump;
}

/** The same rig on other contacts, as hard as a table. */
function heldBy(input: StrengthInput, on: readonly Contact[]): HeldFrame | null {
  const made = rigFrame({ ...input, on, held: 'vice', pivots: 'still' });
  return made.kind === 'framed'
    ? heldFrame(
        made.frame,
        frameSystem(made.frame.model, () => PIECES),
      )
    : null;
}

/** Stiff it would move six ways on its springs: of seven modes one bends. */
const WITH_SPRINGS = 7;
function inHandOf(input: StrengthInput): number | null {
  const made = rigFrame({ ...input, held: 'asHeld', pivots: 'still' });
  if (made.kind !== 'framed') return null;
  const system = frameSystem(made.frame.model, () => PIECES);
  const found = modesOf(system, WITH_SPRINGS);
  const bends = found?.modes.find(
    (mode) =>
      energyShares(system, made.frame, mode).reduce((sum, s) => sum + (s.kind === 'held' ? s.share : 0), 0) < BENDS,
  );
  return bends?.frequency ?? null;
}

function mechanism(frame: RigFrame, motion: FrameAnswer['at']): StrengthOutcome {
  const moved = frame.pieces
    .flatMap((p) => {
      const node =
        p.stretches.length === 0 ? p.id : [...frame.model.nodes.keys()].find((n) => n.startsWith(`${p.id}@`));
      return node && frame.model.nodes.has(node) ? [{ p, by: motion(node).displacement }] : [];
    })
    .sort((a, b) => length(b.by) - length(a.by))[0];
  return { kind: 'mechanism', piece: moved?.p.id ?? '', name: moved?.p.name ?? '', by: moved?.by ?? [0, 0, 0] };
}
