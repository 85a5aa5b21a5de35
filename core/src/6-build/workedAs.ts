/**
 * How a material is worked by hand: which saw and drill, what is put on them, what its dust and edges do. Read by every step that
 * cuts or drills, so that no sentence of one material stands over another.
 */
import { materialOf } from '../0-base';
import type { Rig } from '../model';

export interface Worked {
  /** Tools, one after the other with commas: each is one that a maker has or borrows. */
  readonly saw: string;
  readonly edges: string;
  /** A hole is begun by it. */
  readonly begin: string;
  /** How it is sawn and drilled, and what is put on a tap; empty where there is nothing to say. */
  readonly sawn: string;
  readonly drilled: string;
  readonly tapped: string;
  /** Before the usual one of clamping the piece. */
  readonly care: string;
  /** How it shows that a cut edge is done. */
  readonly edgeCheck: string;
  /** What can be done when it was cut too short, or a hole is off. */
  readonly tooShort: string;
  readonly holeOff: string;
}

const METAL: Worked = {
  saw: 'hacksaw, vise',
  edges: 'file, abrasive paper',
  begin: 'centre punch',
  sawn: '',
  drilled: '',
  tapped: 'with cutting oil, back half a turn for each turn in',
  care: 'Glasses on.',
  edgeCheck: 'Draw a rag over every edge: nothing catches.',
  tooShort: 'Too short: type what it measures, the rest may make up for it; else it serves for a shorter piece.',
  holeOff:
    'Off by less than half its width: file it to a slot, with a wide washer over it. Further off: turn the piece end for end, or take a new one; two holes that run into each other hold nothing.',
};
const STEEL: Worked = {
  ...METAL,
  drilled: 'slowly, with cutting oil',
  care: 'Glasses on. The swarf is hot and sharp.',
};
const ALUMINIUM: Worked = { ...METAL, drilled: 'with a drop of spirit, so that it does not clog' };
const COPPER: Worked = {
  ...METAL,
  saw: 'hacksaw or pipe cutter, vise',
  sawn: 'square all round; ream it inside',
  drilled: 'slowly, it grabs',
  tooShort:
    'Too short: a coupling and a short piece make it longer where there is room for one; else it serves for a shorter piece.',
  holeOff:
    'Off: solder a sleeve of the next larger tube over it and drill anew, or turn the piece round so that the hole does not show.',
};
const WOOD: Worked = {
  saw: 'mitre saw, vise',
  edges: 'abrasive paper',
  begin: 'awl',
  sawn: 'tape over the line keeps it from splintering',
  drilled: 'with a board under it, so that it does not break out',
  tapped: '',
  care: 'Glasses on, and a mask for the dust.',
  edgeCheck: 'Run a rag along every edge: no splinter stands.',
  tooShort: 'Too short: nothing holds on end grain, so saw it again; what is left serves for a smaller piece.',
  holeOff: 'Off: glue in a dowel along the grain, saw it flush when it has set, and drill anew.',
};
const PLASTIC: Worked = {
  saw: 'hacksaw or pipe cutter, vise',
  edges: 'knife, abrasive paper',
  begin: 'awl',
  sawn: 'square all round: paper wound round it shows the line',
  drilled: 'slowly and dry, with wood behind it',
  tapped: 'dry',
  care: 'Glasses on. Let it cool: what melts closes the hole again.',
  edgeCheck: 'No burr inside or out: a burr pushes the glue away.',
  tooShort:
    'Too short: a coupling and a short piece make it longer where there is room for one; it is cheap to cut again.',
  holeOff:
    'Off: drill anew a diameter and a half away, or turn the piece round; a hole filled with glue holds no screw.',
};
const CARBON: Worked = {
  saw: 'hacksaw, vise',
  edges: 'abrasive paper',
  begin: 'awl',
  sawn: 'with a fine blade, wet, taped where it is cut',
  drilled: 'with a sharp bit, slowly, taped, a plug of wood inside',
  tapped: '',
  care: 'Glasses, mask and gloves on. Its dust harms: wet it, wipe it up, never blow.',
  edgeCheck: 'No splinter stands; seal the cut with a smear of epoxy.',
  tooShort: 'Too short: glue a plug half into each piece, two diameters deep each way, if it must be longer.',
  holeOff:
    'Off: fill it with epoxy and chopped fibre over a plug, and drill anew when it is hard; never file it longer along the fibres.',
};
const RUBBER: Worked = {
  saw: 'knife',
  edges: 'knife',
  begin: 'pencil',
  sawn: 'on a board, in one pull',
  drilled: 'punched through, or with a sharpened tube',
  tapped: '',
  care: 'Cut away from the hand.',
  edgeCheck: 'The edge is straight and not torn.',
  tooShort: 'Too short: cut it again.',
  holeOff: 'Off: punch it anew beside the first, or turn the piece over.',
};
const OWN: Readonly<Record<string, Worked>> = {
  steel: STEEL,
  malleableIron: STEEL,
  aluminium: ALUMINIUM,
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
