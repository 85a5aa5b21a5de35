/**
 * Multi-grip shoulder rig: a spine of pipe over the shoulder, a bar down to the chest, a grip for each hand in front, a
 * tail with weight behind, a handle on top to carry it low. The pad's face on the shoulder is the origin.
 */
import { addScaled, alignZ, figure, quaternionOf, say, type Phrase, type Vec3 } from '../../0-base';
import type { PlacedLoad } from '../../1-load';
import type { Contact, Hands, Part, Rig, Station } from '../../model';
import type { Family, FamilyInput, Sizing } from '../family';
import {
  choiceSpec,
  lengthSpec,
  loadBox,
  named,
  namesOf,
  zeroOf,
  toFiveMillimetres,
  usualInput,
  weighed,
  within,
} from '../familyTools';
import { DISC_PLATES, sideError } from '../parts/discs';
import { foamGrip } from '../parts/hardware';
import { pipeOf, pipeOptions } from '../parts/pipes';
import { plate } from '../parts/plate';
import { pipework, type Pipework } from '../fittings/pipework';

const PAD = 0.03; // thick, under the spine
const BOLT = 0.01; // M10 through the tail's cap
const ROOM = 0.09; // of that bolt, for discs
const PLATE: Vec3 = [0.1, 0.06, 0.006];
const GRIP = 0.11; // foam on each hand pipe
/** Ways a hand that grips can push, beside up: it draws down, pushes forward and pulls back. */
const GRIPPING: readonly Vec3[] = [
  [0, 0, -1],
  [1, 0, 0],
  [-1, 0, 0],
];

interface Layout {
  readonly pipes: Pipework;
  readonly outside: number;
  /** To the left for the right shoulder: the camera stands before the eye, not before the ear. */
  readonly s: 1 | -1;
  readonly spineHigh: number;
}

function layOut({ dimensions: d, choices }: FamilyInput): Layout {
  const pipe = pipeOf(choices['pipe']!);
  const { section } = pipe.size.stock;
  const outside = section.kind === 'tube' ? section.outerDiameter : 0.0213;
  const s = choices['shoulder'] === 'left' ? -1 : 1;
  const spineHigh = PAD + outside / 2;
  const pipes = pipework({
    pipe,
    start: { node: 'rest', at: [0, 0, spineHigh] },
    dry: ['rest', 'front', 'chest-tee'],
    runs: [
      {
        id: 'spine-rear',
        name: 'spine, rear',
        from: 'rest',
        to: 'chest-tee',
        direction: [1, 0, 0],
        cut: d['chestAhead']!,
      },
      {
        id: 'spine-front',
        name: 'spine, front',
        from: 'chest-tee',
        to: 'front',
        direction: [1, 0, 0],
        cut: d['reach']!,
      },
      {
        id: 'chest-drop',
        name: 'chest bar',
        from: 'chest-tee',
        to: 'chest-end',
        direction: [0, 0, -1],
        cut: d['chestDrop']!,
      },
      {
        id: 'right-pipe',
        name: s > 0 ? 'right grip pipe' : 'left grip pipe',
        from: 'front',
        to: 'near-end',
        direction: [0, 0, -1],
        cut: d['gripDrop']!,
      },
      { id: 'cross', name: 'cross pipe', from: 'front', to: 'camera-elbow', direction: [0, s, 0], cut: d['offset']! },
      {
        id: 'left-pipe',
        name: s > 0 ? 'left grip pipe' : 'right grip pipe',
        from: 'camera-elbow',
        to: 'far-end',
        direction: [0, 0, -1],
        cut: d['gripDrop']!,
      },
      { id: 'tail', name: 'tail', from: 'rest', to: 'tail-elbow', direction: [-1, 0, 0], cut: d['tail']! },
      {
        id: 'tail-side',
        name: 'tail, to the side',
        from: 'tail-elbow',
        to: 'tail-end',
        direction: [0, -s, 0],
        cut: d['tailOffset']!,
      },
    ],
    fastens: { 'camera-elbow': ['camera-plate'], rest: ['pad'], 'chest-end': ['chest-pad'], 'tail-end': ['weights'] },
  });
  return { pipes, outside, s, spineHigh };
}

function build(input: FamilyInput): Rig {
  const { dimensions: d, choices } = input;
  const { pipes, outside, s } = layOut(input);
  const aside: Vec3 = [0, -s, 0];
  const [front, elbow, chest, tail] = ['front', 'camera-elbow', 'chest-end', 'tail-end'].map((n) => pipes.at(n)) as [
    Vec3,
    Vec3,
    Vec3,
    Vec3,
  ];
  const disc = DISC_PLATES[choices['disc']!]!;
  const station: Station = {
    id: 'weights',
    name: 'Tail discs',
    seat: tail,
    axis: aside,
    boltDiameter: BOLT,
    room: ROOM,
    washer: disc,
    sideError: sideError(2 * disc.innerRadius, BOLT, 'washers'),
    count: 0,
  };
  const gripAt = (node: Vec3): Vec3 => [node[0], node[1], node[2] - outside / 2 - 0.025 - GRIP / 2];
  const middle: Vec3 = [
    elbow[0] + d['cameraForward']!,
    elbow[1] - s * 0.02,
    elbow[2] + outside / 2 + PLATE[2] / 2 + 0.004,
  ];
  const top: Vec3 = [front[0] - d['handleBack']!, 0, front[2] + outside / 2 + 0.055];
  const parts: Part[] = [
    {
      id: 'pad',
      name: 'shoulder pad',
      shape: { kind: 'box', size: [0.12, 0.08, PAD] },
      at: [0, 0, PAD / 2],
      material: 'rubberFoam',
      mass: { value: 0.09, spread: 0.02, source: 'mass of shoulder pad' },
      supply: { item: 'foam shoulder pad', packOf: 1, packPrice: 8 },
    },
    {
      id: 'chest-pad',
      name: 'chest pad',
      shape: { kind: 'box', size: [0.025, 0.12, 0.05] },
      at: [chest[0] - outside / 2 - 0.0125, 0, chest[2] + 0.02],
      material: 'rubberFoam',
      mass: { value: 0.05, spread: 0.01, source: 'mass of chest pad' },
      supply: { item: 'foam pad, small', packOf: 1, packPrice: 4 },
    },
    {
      ...plate({
        id: 'camera-plate',
        name: 'camera plate',
        middle,
        size: PLATE,
        material: 'aluminium',
        mount: true,
        supply: { item: 'aluminium plate 100 × 60 × 6 with pipe clips', packOf: 1, packPrice: 7.5 },
      }),
      screw: { diameter: 0.00635, length: 0.0127, passes: 0.008 },
    },
    { ...foamGrip({ id: 'near-grip', at: gripAt(front), axis: [0, 0, 1], length: GRIP, inside: outside }) },
    { ...foamGrip({ id: 'far-grip', at: gripAt(elbow), axis: [0, 0, 1], length: GRIP, inside: outside }) },
    {
      id: 'tail-bolt',
      name: 'tail bolt M10',
      shape: { kind: 'tube', outerRadius: BOLT / 2, innerRadius: 0, length: ROOM + 0.03 },
      at: addScaled(tail, aside, ROOM / 2 - 0.005),
      turn: quaternionOf(alignZ(aside)),
      material: 'steel',
      supply: { item: 'bolt M10 × 120 with nut', packOf: 1, packPrice: 1.9 },
    },
    ...[-1, 1].map((e, i): Part => ({
      id: `handle-post-${i + 1}`,
      name: 'handle stand-off',
      shape: { kind: 'tube', outerRadius: 0.006, innerRadius: 0, length: 0.05 },
      at: [top[0] + e * 0.065, 0, top[2] - 0.028],
      material: 'aluminium',
      supply: { item: 'stand-off 50 mm with clip', packOf: 2, packPrice: 5 },
    })),
    { ...foamGrip({ id: 'top-grip', at: top, axis: [1, 0, 0], length: 0.145, inside: 0.017 }), name: 'top handle' },
  ];
  const hand = (id: string, name: string, at: Vec3): Contact => ({
    id,
    name,
    kind: 'hand',
    body: 'rig',
    at,
    direction: [0, 0, 1],
    also: [...GRIPPING],
  });
  return {
    bodies: [
      {
        id: 'rig',
        name: 'rig',
        nodes: [...pipes.nodes],
        members: [...pipes.members],
        joints: [...pipes.joints],
        parts,
        stations: [station],
      },
    ],
    pivots: [],
    contacts: [
      {
        id: 'on-shoulder',
        name: 'shoulder',
        kind: 'shoulder',
        body: 'rig',
        at: [0, 0, 0],
        direction: [0, 0, 1],
        also: [
          [-1, 0, 0],
          [0, 1, 0],
          [0, -1, 0],
        ],
      },
      {
        id: 'on-chest',
        name: 'chest',
        kind: 'chest',
        body: 'rig',
        at: [chest[0] - outside / 2 - 0.025, 0, chest[2] + 0.02],
        direction: [1, 0, 0],
      },
      hand('near-hand', s > 0 ? 'right hand' : 'left hand', gripAt(front)),
      hand('far-hand', s > 0 ? 'left hand' : 'right hand', gripAt(elbow)),
      hand('top-hand', 'hand on top', top),
    ],
    poses: [
      {
        id: 'eye-level',
        name: 'On the shoulder, eye level',
        contacts: ['on-shoulder', 'on-chest', 'near-hand', 'far-hand'],
        arm: 0.3,
      },
      { id: 'waist', name: 'At the waist, both grips', contacts: ['near-hand', 'far-hand'], arm: 0.25 },
      { id: 'low', name: 'Carried low by the top handle', contacts: ['top-hand'], arm: 0.1 },
    ],
    adjusters: [
      {
        id: 'camera-fore-aft',
        name: 'Camera, fore and aft',
        kind: 'slide',
        axis: [1, 0, 0],
        range: [-0.04, 0.04],
        step: 0.0005,
        value: 0,
        moves: [{ kind: 'part', id: 'camera-plate' }],
      },
      {
        id: 'tail-count',
        name: 'Tail discs',
        kind: 'count',
        range: [0, Math.floor(ROOM / disc.thickness + 1e-9)],
        step: 1,
        value: 0,
        moves: [{ kind: 'station', id: 'weights' }],
      },
    ],
  };
}

const dimensions = [
  lengthSpec(
    'chestAhead',
    'Chest bar ahead of the pad',
    'spine-rear',
    0.07,
    0.03,
    0.16,
    'Sawn length; the bar must clear your chest.',
  ),
  lengthSpec(
    'reach',
    'Spine, front',
    'spine-front',
    0.14,
    0.06,
    0.35,
    'Sawn length from the chest bar to the grips: the further, the heavier the front.',
  ),
  lengthSpec('chestDrop', 'Chest bar', 'chest-drop', 0.2, 0.1, 0.35, 'Sawn length down to the pad on your chest.'),
  lengthSpec(
    'offset',
    'Camera to the side',
    'cross',
    0.1,
    0.05,
    0.2,
    'Sawn length of the cross pipe: brings the finder before the eye.',
  ),
  lengthSpec(
    'gripDrop',
    'Grip pipes',
    'right-pipe',
    0.15,
    0.1,
    0.25,
    'Both the same, sawn length down from the spine.',
  ),
  lengthSpec(
    'tail',
    'Tail',
    'tail',
    0.2,
    0.05,
    0.5,
    'Sawn length behind the shoulder: the longer, the less weight it needs.',
  ),
  lengthSpec(
    'tailOffset',
    'Tail, to the side',
    'tail-side',
    0.08,
    0.05,
    0.25,
    'Sawn length away from the camera’s side: the weight there keeps it from rolling.',
  ),
  lengthSpec(
    'cameraForward',
    'Camera ahead of its pipe',
    'camera-plate',
    0,
    -0.08,
    0.08,
    'Camera hole from the cross pipe.',
  ),
  lengthSpec(
    'handleBack',
    'Top handle behind the grips',
    'top-grip',
    0.08,
    0,
    0.3,
    'For the low carry: over the whole rig’s balance.',
  ),
];
const choices = [
  choiceSpec('pipe', 'Pipe', 'All of it.', 'pvc/3/4', pipeOptions(['pvc', 'cpvc', 'plasticMetric', 'steel'])),
  choiceSpec('shoulder', 'Shoulder', 'Which one carries.', 'right', named({ right: 'right', left: 'left' })),
  choiceSpec('disc', 'Tail disc', 'On the tail’s bolt.', 'disc-0.5kg', namesOf(DISC_PLATES)),
];

function size(load: PlacedLoad | null, hands: Hands): Sizing {
  const usual = usualInput(dimensions, choices);
  const box = loadBox(load);
  const pipe = box.mass > 2 ? 'pvc/1' : box.mass > 0.4 ? 'pvc/3/4' : 'pvc/1/2';
  const disc = box.mass > 1.4 ? 'disc-1kg' : 'disc-0.5kg';
  const picked = { ...usual.choices, pipe, disc, shoulder: hands.leftHanded ? 'left' : 'right' };
  // A camera's back stands a thumb before the eye, which is about over the chest bar.
  const cameraForward = toFiveMillimetres(within(-0.02, -0.08, 0.08));
  const gripDrop = toFiveMillimetres(within(hands.breadth + 0.065, 0.1, 0.25));
  const tail = toFiveMillimetres(within(0.16 + 0.06 * Math.min(2.5, box.mass), 0.05, 0.5));
  const at = (handleBack: number, tailOffset: number): FamilyInput => ({
    choices: picked,
    dimensions: { ...usual.dimensions, cameraForward, gripDrop, tail, handleBack, tailOffset },
  });
  const rig = build(at(0.08, 0.08));
  const most = rig.adjusters.find((a) => a.id === 'tail-count')!.range[1];
  // Discs until the mass centre lies just ahead of the shoulder: then the hands guide and hardly carry.
  let count = 0;
  while (count < most && weighed(rig, load, { 'tail-count': count }).centre[0] > 0.04) count++;
  // And out to the side till it neither rolls to the camera nor away from it.
  const tailOffset = toFiveMillimetres(
    zeroOf((side) => weighed(build(at(0.08, side)), load, { 'tail-count': count }).centre[1], 0.05, 0.25),
  );
  const { centre } = weighed(build(at(0.08, tailOffset)), load, { 'tail-count': count });
  const front = rig.bodies[0]!.nodes.find((n) => n.id === 'front')!.at[0];
  const sized = at(toFiveMillimetres(within(front - centre[0], 0, 0.3)), tailOffset);
  const reasons: Phrase[] = [
    say`${figure('count', count)} discs on a tail of ${figure('length', tail)} bring the mass centre ${figure('length', Math.abs(centre[0]))} ${centre[0] >= 0 ? 'ahead of' : 'behind'} the shoulder: the hands guide, the shoulder carries.`,
    say`The tail goes ${figure('length', tailOffset)} to the side, against the camera before the eye.`,
    say`Grip pipes of ${figure('length', gripDrop)} fit a hand ${figure('length', hands.breadth)} across and let the elbows hang.`,
    say`The top handle stands over the balance, for the low carry.`,
  ];
  return { ...sized, reasons, startValues: { 'tail-count': count } };
}

export const shoulderRig: Family = {
  id: 'shoulder-rig',
  name: 'Multi-grip shoulder rig',
  summary:
    'Pipe over the shoulder with a chest bar, two grips in front, weight on the tail and a handle on top: several ways to hold it, against fatigue.',
  goodFor: ['long takes at eye level', 'a finder at the eye', 'changing grip instead of putting it down'],
  givesUp: 'You breathe and walk into the picture; the tail’s weight is carried all day.',
  suits: {
    carries: ['eye level', 'waist', 'low'],
    moves: ['walking', 'standing still'],
    hands: 2,
    wet: true,
    hangs: false,
  },
  goesWrong: [
    'Nose-heavy: the hands hold it up all day and shake.',
    'The tail strikes a door frame behind you.',
    'The finder is a hand’s breadth from the eye.',
  ],
  dimensions,
  choices,
  size,
  build,
  advise: () => [],
  drawn: (input) => {
    const { pipes } = layOut(input);
    const [rest, tee, front, elbow, near, tail, chest] = [
      'rest',
      'chest-tee',
      'front',
      'camera-elbow',
      'near-end',
      'tail-end',
      'chest-end',
    ].map((n) => pipes.at(n)) as [Vec3, Vec3, Vec3, Vec3, Vec3, Vec3, Vec3];
    return [
      { dimension: 'tail', from: tail, to: rest, view: 'side', offset: -70 },
      { dimension: 'reach', from: tee, to: front, view: 'side', offset: 100 },
      { dimension: 'chestDrop', from: tee, to: chest, view: 'side', offset: 60 },
      { dimension: 'gripDrop', from: front, to: near, view: 'side', offset: -56 },
      { dimension: 'offset', from: front, to: elbow, view: 'front', offset: -60 },
    ];
  },
};
