/**
 * How a material is worked by hand: which saw and drill, what is put on them, what its dust and edges do. Read by every step that
 * cuts or drills, so that no sentence of one material stands over another.
 */
import { materialOf } from '../0-base';
import type { Rig } from '../model';

export interface Worked {
  readonly saw: string;
  readonly edges: string;
  readonly drill: string;
  /** Put on a tap; empty: nothing. */
  readonly tapWith: string;
  /** A hole is begun by it. */
  readonly begin: string;
  /** Before the usual one of clamping the piece. */
  readonly care: string;
  /** How it shows that a cut edge is done. */
  readonly edgeCheck: string;
}

const RAG = 'Draw a rag over every edge: nothing catches.';
const METAL: Worked = {
  saw: 'hacksaw, vise',
  edges: 'file, abrasive paper',
  drill: 'drill',
  tapWith: 'cutting oil',
  begin: 'centre punch',
  care: 'Glasses on.',
  edgeCheck: RAG,
};
const STEEL: Worked = {
  ...METAL,
  drill: 'drill, slowly, cutting oil',
  care: 'Glasses on. The swarf is hot and sharp.',
};
const SOFT_METAL: Worked = { ...METAL, drill: 'drill, a drop of spirit', tapWith: 'spirit' };
const WOOD: Worked = {
  saw: 'tenon saw or mitre saw',
  edges: 'abrasive paper on a block',
  drill: 'wood drill, a board under it',
  tapWith: '',
  begin: 'awl',
  care: 'Glasses on. Wear a mask for the dust.',
  edgeCheck: 'Run a finger along every edge: no splinter stands.',
};
const PLASTIC: Worked = {
  saw: 'fine saw or pipe cutter, square round',
  edges: 'knife, abrasive paper',
  drill: 'drill, slowly, backed with wood, nothing on it',
  tapWith: '',
  begin: 'awl',
  care: 'Glasses on. Let it cool: what melts closes the hole again.',
  edgeCheck: 'No burr inside or out: a burr pushes the glue away.',
};
const CARBON: Worked = {
  saw: 'fine saw or abrasive wheel, wet, taped where it is cut',
  edges: 'fine abrasive paper, wet',
  drill: 'sharp drill, slowly, taped, a plug of wood inside',
  tapWith: '',
  begin: 'a pinprick through the tape',
  care: 'Glasses, mask and gloves on. Its dust harms: wet it, wipe it up, never blow.',
  edgeCheck: 'No splinter stands: seal the cut with a smear of epoxy.',
};
const RUBBER: Worked = {
  saw: 'sharp knife, a board under it',
  edges: 'scissors',
  drill: 'hole punch or sharp tube',
  tapWith: '',
  begin: 'a pen',
  care: 'Cut away from the hand.',
  edgeCheck: 'The edge is straight and not torn.',
};
const COPPER: Worked = {
  ...SOFT_METAL,
  saw: 'pipe cutter',
  edges: 'reamer inside, file outside',
  tapWith: 'cutting oil',
};
const OWN: Readonly<Record<string, Worked>> = {
  steel: STEEL,
  malleableIron: STEEL,
  aluminium: SOFT_METAL,
  copper: COPPER,
  carbonEpoxy: CARBON,
};
const BY_LOOK: Readonly<Record<'steel' | 'wood' | 'plastic' | 'rubber', Worked>> = {
  steel: METAL,
  wood: WOOD,
  plastic: PLASTIC,
  rubber: RUBBER,
};

/** Of the piece with this id: a member, part or fitting; as metal where its material is not known. */
export function workedAs(rig: Rig, piece: string): Worked {
  for (const { members, parts, joints } of rig.bodies) {
    const id =
      members.find((m) => m.id === piece)?.stock.material ??
      parts.find((p) => p.id === piece)?.material ??
      joints.find((j) => j.id === piece)?.hub?.material;
    if (id) return OWN[id] ?? BY_LOOK[materialOf(id, rig.materials)?.look ?? 'steel'];
  }
  return METAL;
}
