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
  /** How a length is sawn off once its line is drawn, and how a shape comes out of a sheet, one move after the other. */
  readonly cuts: readonly string[];
  readonly outs: readonly string[];
  /** How it is brought to a curved outline and rounded, and with what. */
  readonly shapes: readonly string[];
  readonly shapedBy: string;
  /** How it is drilled, and what is put on a tap; empty where there is nothing to say. */
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
  cuts: ['Saw on its waste side, close to the vise.', 'File to the line, square both ways.'],
  outs: [
    'Stick its pattern on, or scribe it from two square edges.',
    'Saw outside the line, and leave the line standing.',
    'File to the line, and try it with a square.',
    'Draw the file once along every edge.',
  ],
  shapes: [
    'Stick its pattern on, its holes over the holes.',
    'Saw outside the line, with cuts up to it where it turns in.',
    'File to the line, and round every edge that a hand meets.',
  ],
  shapedBy: 'hacksaw, file, vise',
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
  cuts: [
    'Set the cutter’s wheel on the line and turn it round once.',
    'Tighten it an eighth of a turn and turn again, until it parts: more at a time dents the tube.',
    'Ream the burr out inside: it would hold the pipe from its socket’s bottom.',
  ],
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
  cuts: [
    'Score the line with a knife, and put tape over it: it does not splinter.',
    'Saw on the waste side, and hold the end as it comes off.',
  ],
  outs: [
    'Stick its pattern on, its grain along the sheet’s.',
    'Put tape where the saw comes out.',
    'Saw outside the line, and leave the line standing.',
    'Sand to the line with a block, and break every edge.',
  ],
  shapes: [
    'Stick its pattern on the outer face, its holes over the holes.',
    'Saw outside the line, with cuts up to it where it turns in.',
    'Rasp to the line, always from the edge inwards: outwards it tears the far face.',
    'Round every edge that a hand meets, trying it in the hand as you go.',
    'Sand out the marks of the rasp: 80, then 120.',
  ],
  shapedBy: 'coping saw, rasp, abrasive paper, vise',
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
  cuts: ['Saw or cut on the line, slowly: heat smears it.', 'Scrape the burr off, inside and out.'],
  outs: [
    'Stick its pattern on.',
    'Saw outside the line, slowly: heat smears it.',
    'File to the line, and scrape every edge.',
  ],
  shapes: [
    'Stick its pattern on, its holes over the holes.',
    'Saw outside the line, slowly: heat smears it.',
    'File to the line, and round every edge that a hand meets.',
  ],
  shapedBy: 'coping saw, file, vise',
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
  cuts: [
    'Wind tape round it where it is cut, and wet it.',
    'Saw with a fine blade and turn it as you go: no fibre lifts at the end.',
    'Wipe up the dust wet.',
  ],
  outs: [
    'Stick its pattern on, and tape where the saw comes out.',
    'Saw outside the line with a fine blade, wet.',
    'Sand to the line, wet, and wipe up the dust.',
  ],
  shapes: [
    'Stick its pattern on, and tape where the saw comes out.',
    'Saw outside the line with a fine blade, wet.',
    'Sand to the line, wet, and round every edge.',
  ],
  shapedBy: 'fine saw, abrasive paper, vise',
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
  cuts: ['Cut along a rule on a board, in one pull.'],
  outs: ['Draw round its pattern.', 'Cut along a rule on a board, in one pull.'],
  shapes: ['Draw round its pattern.', 'Cut along the line on a board.'],
  shapedBy: 'knife',
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
