/** What a rig does under its weight, a bump and a walk: sag, the weakest place of each piece, how it rings and what the lens sees of it. */
import { length, scale, subtract, type Vec3 } from '../../0-base';
import type { AdjusterValues, Assembly } from '../../2-frame';
import type { Pose } from '../../model';
import { footfall } from '../answer/footfall';
import { shakenBy } from '../answer/shakenBy';
import { frameAtRest, type FrameAnswer } from '../frame/frameAnswer';
import { frameSystem, withLinks, type FrameSystem } from '../frame/frameSystem';
import { modesOf, type FrameMode } from '../frame/modesOf';
import type { Section } from '../frame/section';
import { skinStress } from '../frame/skinStress';
import { applied } from '../solver/small';
import { HELD_DAMPING } from './heldLike';
import { joinHolds } from './joinHolds';
import type { Join } from './joins';
import { sureStrength } from './materialFacts';
import { rigFrame, type LinkMeaning, type RigFrame } from './rigFrame';
import type { StrengthPiece } from './strengthPieces';

export interface StrengthInput {
  readonly assembly: Assembly;
  readonly values: AdjusterValues;
  readonly pose: Pose | null;
  /** Weights of a bump, 3 is usual. */
  readonly bump: number;
  readonly modes?: number;
  /** Without the range that joins leave it is three times as quick. */
  readonly ranges?: boolean;
}
/** How hard a piece is strained in a bump. */
export interface Strain {
  readonly piece: string;
  readonly name: string;
  readonly at: Vec3;
  /** Pa, all directions summed (von Mises). */
  readonly stress: number;
  /** What it surely bears, Pa: of prints across their layers, as how they lie in it is not known. */
  readonly strength: number;
  /** How many bumps like this it bears, and how many it should. */
  readonly reserve: number;
  readonly wanted: number;
  readonly material: string;
  readonly acrossLayers: boolean;
  /** At a hole so wide, m: by what is left beside it, and its peak where the material does not give. */
  readonly hole: number | null;
}
/** What passes through a join in a bump. */
export interface Carried {
  readonly id: string;
  readonly name: string;
  readonly pieces: readonly [string, string];
  readonly at: Vec3;
  /** N and N m. */
  readonly force: number;
  readonly moment: number;
  /** The moment at which its faces part or it slips, N m; null: not known. */
  readonly holds: number | null;
  readonly kind: Join['kind'];
  /** Of what it holds, or of how it gives. */
  readonly source: string;
}
export interface LivesIn {
  /** A piece to light up. */
  readonly id: string;
  readonly name: string;
  readonly kind: 'piece' | 'join' | 'pivot' | 'held';
  /** Of the energy of the swing. */
  readonly share: number;
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
  /** Weakest first. */
  readonly strains: readonly Strain[];
  /** Most strained first. */
  readonly carried: readonly Carried[];
  readonly modes: readonly RigMode[];
  /** None below the last was missed. */
  readonly proven: boolean;
  /** Peak turns of the lens by bending in a walk, rad about x y z; the worst of all rates of step. */
  readonly walk: { readonly rate: number; readonly peak: Vec3 } | null;
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
/** One step's force is not the next one's: peaks in a walk over those of even steps. */
const UNEVEN = 1.3;
const WALKS = [1.6, 1.7, 1.8, 1.9, 2, 2.1, 2.2, 2.3, 2.4, 2.5, 2.6, 2.7, 2.8];
/** A first mode under this is felt at each step; above the other a walk hardly rings it, Hz. */
export const FELT_BELOW = 8;
export const FIRM_ABOVE = 15;

export function strengthOf(input: StrengthInput): StrengthOutcome {
  const made = rigFrame({ ...input, held: 'vice', pivots: 'still' });
  if (made.kind !== 'framed') return made;
  const { frame } = made;
  const system = frameSystem(frame.model, () => PIECES);
  const rest = frameAtRest(system, frame.gravity);
  if (rest.kind !== 'solved') return mechanism(frame, rest.motion);
  const count = input.modes ?? MODES;
  const found = modesOf(system, count);
  // Two deviations softer, and stiffer, all joins at once.
  const ends = [-1, 1].map((way) =>
    input.ranges === false
      ? null
      : modesOf(
          withLinks(system, (i) => {
            const meaning = frame.links[i]!;
            return meaning.kind === 'join' ? meaning.stiffness.within ** way : 1;
          }),
          count,
        ),
  );
  const modes = (found?.modes ?? []).map((mode, i): RigMode => {
    const shares = sharesOf(system, frame, mode);
    return {
      frequency: mode.frequency,
      range: [ends[0]?.modes[i]?.frequency ?? mode.frequency, ends[1]?.modes[i]?.frequency ?? mode.frequency],
      livesIn: shares.slice(0, 4).map(({ damping: _, ...lives }) => lives),
      damping: shares.reduce((sum, s) => sum + s.share * s.damping, 0),
      camera: frame.camera ? mode.at(frame.camera) : null,
      shape: new Map([...frame.model.nodes.keys()].map((n) => [n, mode.at(n).displacement])),
    };
  });
  return {
    kind: 'solved',
    strength: {
      frame,
      sag: frame.camera ? rest.answer.at(frame.camera) : null,
      strains: strainsOf(frame, rest.answer, input.bump),
      carried: carriedBy(frame, rest.answer, input.bump),
      modes,
      proven: found?.proven ?? false,
      walk: found && frame.camera ? walkOf(system, found.modes, modes, frame.camera) : null,
      unknowns: system.stiffness.size,
    },
  };
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

function walkOf(
  system: FrameSystem,
  modes: readonly FrameMode[],
  told: readonly RigMode[],
  at: string,
): NonNullable<RigStrength['walk']> {
  const damping = modes.map((_, i) => Math.max(0.001, told[i]!.damping));
  const answers = WALKS.map((rate) => {
    const { rotation } = shakenBy(system, modes, { direction: [0, 0, 1], ...footfall(rate), damping, at });
    return { rate, peak: scale(rotation.peak, UNEVEN) };
  });
  return answers.reduce((a, b) => (length(b.peak) > length(a.peak) ? b : a));
}

/** Round a hole in what does not give before it breaks the stress peaks to this many times. */
const PEAK = 2.5;

/** By piece the place that is strained most. */
function strainsOf({ model, memberOf, holes }: RigFrame, { through }: FrameAnswer, bump: number): readonly Strain[] {
  const worst = new Map<string, Strain>();
  for (const cut of through(3)) {
    const piece = memberOf[cut.member]!;
    const { material } = piece;
    if (!material) continue;
    const { section } = model.members[cut.member]!;
    const { facts } = material;
    const hole = holes.find(
      (h) => h.piece === piece.id && length(subtract(h.at, cut.at)) < h.diameter + deepest(section),
    );
    const left = hole ? partLeft(section, hole.diameter) : 1;
    const stress = ((bump * skinStress(cut, section).vonMises) / left) * (hole && !facts.ductile ? PEAK : 1);
    if (stress <= (worst.get(piece.id)?.stress ?? 0)) continue;
    const isPrint = isLayered(piece);
    const strength = sureStrength(facts) * (isPrint ? facts.across : 1);
    worst.set(piece.id, {
      piece: piece.id,
      name: piece.name,
      at: cut.at,
      stress,
      strength,
      reserve: strength / stress,
      wanted: isPrint ? 4 : facts.ductile && piece.flats[0]!.look === 'steel' ? 2 : 3,
      material: material.name,
      acrossLayers: isPrint,
      hole: hole?.diameter ?? null,
    });
  }
  return [...worst.values()].sort((a, b) => a.reserve / a.wanted - b.reserve / b.wanted);
}
const deepest = ({ halfWidth, halfHeight }: Section): number => Math.max(halfWidth, halfHeight);

/** What a hole through it leaves of a section's bending: of a bar its broad side less the hole; of a tube, where the walls it goes through are strained most. */
const partLeft = (section: Section, hole: number): number =>
  Math.max(0.1, section.round ? 1 - (4 * hole) / (2 * Math.PI * section.halfWidth) : 1 - hole / (2 * deepest(section)));

const isLayered = ({ material }: StrengthPiece): boolean => /print/.test(material?.name ?? '');

function carriedBy({ model, links }: RigFrame, { at }: FrameAnswer, bump: number): readonly Carried[] {
  return model.links
    .flatMap((link, i): Carried[] => {
      const meaning = links[i]!;
      if (meaning.kind !== 'join') return [];
      const { join, stiffness } = meaning;
      const [from, to] = [link.from, link.to].map((node) => {
        const { displacement, rotation } = at(node);
        const arm = link.at.map((x, k) => x - model.nodes.get(node)![k]!) as unknown as Vec3;
        return {
          shift: [
            displacement[0] + rotation[1] * arm[2] - rotation[2] * arm[1],
            displacement[1] + rotation[2] * arm[0] - rotation[0] * arm[2],
            displacement[2] + rotation[0] * arm[1] - rotation[1] * arm[0],
          ] as Vec3,
          rotation,
        };
      }) as unknown as [{ shift: Vec3; rotation: Vec3 }, { shift: Vec3; rotation: Vec3 }];
      const own = (k: 'shift' | 'rotation', axis: number): number =>
        link.axes[axis]!.reduce((s, x, j) => s + x * (to[k][j]! - from[k][j]!), 0);
      const sized = (k: 'shift' | 'rotation', first: number): number =>
        bump * Math.hypot(...[0, 1, 2].map((a) => link.stiffness[first + a]! * own(k, a)));
      const holds = joinHolds(join);
      return [
        {
          id: link.id,
          name: join.name,
          pieces: [join.from.id, join.to.id],
          at: link.at,
          force: sized('shift', 0),
          moment: sized('rotation', 3),
          kind: join.kind,
          holds: holds?.moment ?? null,
          source: holds?.source ?? stiffness.source,
        },
      ];
    })
    .sort((a, b) => share(b) - share(a) || b.moment - a.moment);
}
/** Of what it holds; what is not known comes last. */
const share = ({ moment, holds }: Carried): number => (holds === null ? 0 : moment / holds);

type Share = LivesIn & { readonly damping: number };

/** Where the energy of a mode is, most first. */
function sharesOf({ elements }: FrameSystem, { memberOf, links }: RigFrame, mode: FrameMode): readonly Share[] {
  const found = new Map<string, Share>();
  let total = 0;
  for (const { unknowns, stiffness, beam, link } of elements) {
    if (!stiffness) continue;
    const n = unknowns.length;
    const v = unknowns.map((u) => mode.shape[u]!);
    const energy = applied(stiffness, v, n, n).reduce((sum, f, i) => sum + f * v[i]!, 0) / 2;
    total += energy;
    const who = beam ? ofPiece(memberOf[beam.member]!) : link === undefined ? null : ofLink(links[link]!);
    if (!who) continue;
    const known = found.get(`${who.kind} ${who.id}`);
    found.set(`${who.kind} ${who.id}`, { ...who, share: (known?.share ?? 0) + energy });
  }
  return [...found.values()]
    .map((s) => ({ ...s, share: s.share / Math.max(total, Number.MIN_VALUE) }))
    .sort((a, b) => b.share - a.share);
}

const ofPiece = ({ id, name, material }: StrengthPiece): Share => ({
  id,
  name,
  kind: 'piece',
  share: 0,
  damping: material?.facts.damping ?? 0.01,
});

function ofLink(meaning: LinkMeaning): Share {
  switch (meaning.kind) {
    case 'join':
      return {
        id: meaning.join.to.id,
        name: meaning.join.name,
        kind: 'join',
        share: 0,
        damping: meaning.stiffness.damping,
      };
    case 'pivot':
      return { id: meaning.pivot.id, name: meaning.pivot.name, kind: 'pivot', share: 0, damping: 0.02 };
    case 'contact':
      return { id: meaning.contact.id, name: meaning.contact.name, kind: 'held', share: 0, damping: HELD_DAMPING };
  }
}
