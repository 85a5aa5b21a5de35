/** Where the energy of a swing is: in which pieces, joins and holds it gives. */
import type { FrameSystem } from '../frame/frameSystem';
import type { FrameMode } from '../frame/modesOf';
import { applied } from '../solver/small';
import { HELD_DAMPING } from './heldLike';
import type { LinkMeaning, RigFrame } from './rigFrame';
import type { StrengthPiece } from './strengthPieces';

export interface LivesIn {
  /** A piece to light up. */
  readonly id: string;
  readonly name: string;
  readonly kind: 'piece' | 'join' | 'pivot' | 'held';
  /** Of the energy of the swing. */
  readonly share: number;
}
export type Share = LivesIn & { readonly damping: number };

/** Where the energy of a mode is, most first. */
export function energyShares(
  { elements }: FrameSystem,
  { memberOf, links }: RigFrame,
  mode: FrameMode,
): readonly Share[] {
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
