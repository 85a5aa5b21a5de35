/** How hard each piece of a frame at rest is strained, against what its material surely bears. */
import { length, subtract, type Vec3 } from '../../0-base';
import type { FrameAnswer, Through } from '../frame/frameAnswer';
import type { Section } from '../frame/section';
import { skinStress } from '../frame/skinStress';
import type { Hole } from './joins';
import { sureStrength } from './materialFacts';
import type { RigFrame } from './rigFrame';
import type { StrengthPiece } from './strengthPieces';

/** How hard a piece is strained where it is strained most. */
export interface Strain {
  readonly piece: string;
  readonly name: string;
  readonly at: Vec3;
  /** Pa, all directions summed (von Mises). */
  readonly stress: number;
  /** What it surely bears, Pa: of prints across their layers, as how they lie in it is not known. */
  readonly strength: number;
  /** How many times as much it bears, and how many it should. */
  readonly reserve: number;
  readonly wanted: number;
  readonly material: string;
  readonly acrossLayers: boolean;
  /** At a hole so wide, m: by what is left beside it, and its peak where the material does not give. */
  readonly hole: number | null;
  /** In which case, by id. */
  readonly in: string;
}
/** Round a hole in what does not give before it breaks the stress peaks to this many times. */
const PEAK = 2.5;

/** By piece the place that is strained most. */
export function strainer({
  model,
  memberOf,
  holes,
}: RigFrame): (answer: FrameAnswer, inCase: string) => readonly Strain[] {
  /** Of each cut the hole it is at: the cuts of a frame are the same in all cases. */
  let holeAt: readonly (Hole | null)[] | null = null;
  const find = (cut: Through): Hole | null => {
    const { id } = memberOf[cut.member]!;
    const reach = deepest(model.members[cut.member]!.section);
    return holes.find((h) => h.piece === id && length(subtract(h.at, cut.at)) < h.diameter + reach) ?? null;
  };
  return ({ through }, inCase) => {
    const cuts = through(3);
    holeAt ??= cuts.map(find);
    const worst = new Map<StrengthPiece, { cut: Through; stress: number; hole: Hole | null }>();
    cuts.forEach((cut, i) => {
      const piece = memberOf[cut.member]!;
      if (!piece.material) return;
      const { section } = model.members[cut.member]!;
      const hole = holeAt![i]!;
      const left = hole ? partLeft(section, hole.diameter) : 1;
      const stress = (skinStress(cut, section).vonMises / left) * (hole && !piece.material.facts.ductile ? PEAK : 1);
      if (stress > (worst.get(piece)?.stress ?? 0)) worst.set(piece, { cut, stress, hole });
    });
    return [...worst].map(([piece, { cut, stress, hole }]): Strain => {
      const { facts, name } = piece.material!;
      const isPrint = isLayered(piece);
      const strength = sureStrength(facts) * (isPrint ? facts.across : 1);
      return {
        piece: piece.id,
        name: piece.name,
        at: cut.at,
        stress,
        strength,
        reserve: strength / stress,
        wanted: isPrint ? 4 : facts.ductile && piece.flats[0]!.look === 'steel' ? 2 : 3,
        material: name,
        acrossLayers: isPrint,
        hole: hole?.diameter ?? null,
        in: inCase,
      };
    });
  };
}
const deepest = ({ halfWidth, halfHeight }: Section): number => Math.max(halfWidth, halfHeight);

/** What a hole through it leaves of a section's bending: of a bar its broad side less the hole; of a tube, where the walls it goes through are strained most. */
const partLeft = (section: Section, hole: number): number =>
  Math.max(0.1, section.round ? 1 - (4 * hole) / (2 * Math.PI * section.halfWidth) : 1 - hole / (2 * deepest(section)));

const isLayered = ({ material }: StrengthPiece): boolean => /print/.test(material?.name ?? '');

/** Weakest first, by what it should bear. */
export const byReserve = (a: Strain, b: Strain): number => a.reserve / a.wanted - b.reserve / b.wanted;
