/** A rig after a day under its load, and in a hot car: plastic and wood go on giving. */
import type { Vec3 } from '../../0-base';
import { frameAtRest } from '../frame/frameAnswer';
import type { FrameModel } from '../frame/frameModel';
import { frameSystem } from '../frame/frameSystem';
import type { RigFrame } from './rigFrame';
import type { StrengthPiece } from './strengthPieces';

export interface Softening {
  readonly piece: string;
  readonly name: string;
  readonly material: string;
  /** Gives up from here on, °C. */
  readonly at: readonly [number, number];
}
export interface Crept {
  /** Of the camera after ten hours' use, with all that it does at once; null: none is carried. */
  readonly sag: { readonly displacement: Vec3; readonly rotation: Vec3 } | null;
}

const remains = ({ material }: StrengthPiece): number => material?.facts.creep ?? 1;

/** Null where nothing of it creeps. */
export function creptSag(frame: RigFrame, pieces: (member: number) => number): Crept | null {
  if (frame.memberOf.every((p) => remains(p) === 1)) return null;
  const softer = (m: FrameModel['members'][number], i: number): FrameModel['members'][number] => {
    const part = remains(frame.memberOf[i]!);
    const { stiffness, shear } = m.material;
    return part === 1 ? m : { ...m, material: { ...m.material, stiffness: stiffness * part, shear: shear * part } };
  };
  const links = frame.model.links.map((link, i) => {
    const meaning = frame.links[i]!;
    if (meaning.kind !== 'join') return link;
    const part = Math.min(remains(meaning.join.from), remains(meaning.join.to));
    return part === 1
      ? link
      : { ...link, stiffness: link.stiffness.map((k) => k * part) as unknown as typeof link.stiffness };
  });
  const model = { ...frame.model, members: frame.model.members.map(softer), links };
  const rest = frameAtRest(frameSystem(model, pieces), frame.gravity);
  return rest.kind === 'solved' ? { sag: frame.camera ? rest.answer.at(frame.camera) : null } : null;
}

/** What softens in a hot car, the first to give up first. */
export const softenings = (frame: RigFrame): readonly Softening[] =>
  frame.pieces
    .flatMap((p): Softening[] =>
      p.material?.facts.softens
        ? [{ piece: p.id, name: p.name, material: p.material.name, at: p.material.facts.softens }]
        : [],
    )
    .sort((a, b) => a.at[0] - b.at[0]);
