/**
 * Multi-grip shoulder rig: a spine of pipe over the shoulder, a bar down to the chest, a grip for each hand in front, a
 * tail with weight behind, a handle on top to carry it low. The pad's face on the shoulder is the origin.
 */
import {
  addScaled,
  alignZ,
  figure,
  length,
  quaternionOf,
  say,
  subtract,
  unit,
  type Phrase,
  type Vec3,
} from '../../0-base';
import type { PlacedLoad } from '../../1-load';
import type { Contact, Hands, Part, Rig, StatedConnection, Station } from '../../model';
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
  type Held,
  setOn,
} from '../familyTools';
import { intoCamera } from '../parts/camera';
import { inPipe } from '../parts/capBolt';
import { discOf, DISC_PLATES, sideError } from '../parts/discs';
import { foamGrip, gripOnPipe } from '../parts/hardware';
import { CLIP_FACE, pipeClip } from '../parts/pipeClip';
import { GRIPPING } from '../hands';
import { pipeOf, pipeOptions } from '../parts/pipes';
import { plate } from '../parts/plate';
import { ANY_DISC, pipeLike } from '../parts/ownSizes';
import { threadOf } from '../hardware/thread';
import { pipework, type Pipework } from '../fittings/pipework';

const PAD_FACE = [0.12, 0.08] as const;
const PAD = 0.03; // thick, under the spine
const BOARD = 0.006; // of plywood, under each pad
const ROOM = 0.09; // of the tail's bolt, for discs
const PLATE: Vec3 = [0.115, 0.06, 0.006];
const SLIDE = 0.04;
const CLIP = 0.045; // widest clip; narrower where the pipe is short
const CLEAR = 0.001; // of a clip from a fitting's rim
const TAIL_WASHER = { radius: 0.03, thickness: 0.004 }; // on the discs, whose bore no nut covers
const HANDLE = { base: 0.005, width: 0.025, post: 0.046, tube: 0.017, wall: 0.002, posts: 0.0875, beyond: 0.012 };
const GRIP = 0.11; // foam on each hand pipe
interface Layout {
  readonly pipes: Pipework;
  readonly outside: number;
  /** To the left for the right shoulder: the camera stands before the eye, not before the ear. */
  readonly s: 1 | -1;
  readonly spineHigh: number;
}

function layOut({ dimensions: d, choices, own }: FamilyInput): Layout {
  const pipe = pipeOf(choices['pipe']!, own);
  const { section } = pipe.size.stock;
  const outside = section.kind === 'tube' ? section.outerDiameter : 0.0213;
  const s = choices['shoulder'] === 'left' ? -1 : 1;
  const spineHigh = PAD + BOARD + CLIP_FACE + outside / 2;
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
  });
  return { pipes, outside, s, spineHigh };
}

function build(input: FamilyInput): Rig {
  const { choices, own } = input;
  const { pipes, outside, s } = layOut(input);
  const aside: Vec3 = [0, -s, 0];
  const [front, elbow, chest, tail] = ['front', 'camera-elbow', 'chest-end', 'tail-end'].map((n) => pipes.at(n)) as [
    Vec3,
    Vec3,
    Vec3,
    Vec3,
  ];
  const disc = discOf(choices['disc']!, own);
  const thread = inPipe(choices['pipe']!, own, ['M10', 'M8', 'M6', 'M5']);
  const boltDiameter = threadOf(thread).diameter;
  const station: Station = {
    id: 'weights',
    name: 'Tail discs',
    seat: tail,
    axis: aside,
    boltDiameter,
    room: ROOM,
    washer: disc,
    // Nothing fills the bores: how many discs there are changes.
    sideError: sideError(2 * disc.innerRadius, boltDiameter, 'none'),
    count: 0,
  };
  const gripAt = (node: Vec3): Vec3 => [node[0], node[1], node[2] - outside / 2 - 0.025 - GRIP / 2];
  const lay = layOut(input);
  const held = [cameraOn(input, lay), padOn(lay), chestPadOn(lay), topHandleOn(input, lay)];
  const top = topOf(input, lay);
  const parts: Part[] = [
    ...held.flatMap((h) => h.parts),
    gripOnPipe({ id: 'near-grip', at: gripAt(front), length: GRIP, inside: outside }, pipes.bare('right-pipe')),
    gripOnPipe({ id: 'far-grip', at: gripAt(elbow), length: GRIP, inside: outside }, pipes.bare('left-pipe')),
    {
      id: 'tail-washer',
      name: 'wide washer on the discs',
      shape: {
        kind: 'tube',
        outerRadius: TAIL_WASHER.radius,
        innerRadius: boltDiameter / 2 + 0.0005,
        length: TAIL_WASHER.thickness,
      },
      at: addScaled(tail, aside, TAIL_WASHER.thickness / 2),
      turn: quaternionOf(alignZ(aside)),
      material: 'steel',
      supply: { item: 'steel washer 60 mm', packOf: 1, packPrice: 1.4 },
      rides: 'weights',
    },
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
        connections: [
          ...held.flatMap((h) => h.connections),
          { kind: 'slidOn', id: 'near-grip-on', name: 'grip on its pipe', piece: 'near-grip', over: 'right-pipe' },
          { kind: 'slidOn', id: 'far-grip-on', name: 'grip on the far pipe', piece: 'far-grip', over: 'left-pipe' },
          {
            kind: 'bolted',
            id: 'tail-bolt',
            name: 'tail bolt',
            on: 'joint-tail-end',
            point: tail,
            way: aside,
            thread,
            stack: [
              { kind: 'piece', piece: 'joint-tail-end' },
              { kind: 'row', station: 'weights' },
              { kind: 'piece', piece: 'tail-washer' },
            ],
            end: { kind: 'nut' },
            packs: true,
          },
        ],
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
        at: [chest[0] - outside / 2 - CLIP_FACE - BOARD - CHEST_PAD[0], 0, chestPadHigh(lay)],
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
        range: [-SLIDE, SLIDE],
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

/** The bare stretch of a pipe between its fittings' rims, from its `from` end: where a clip can go. */
function bare({ pipes }: Layout, run: string): { readonly from: Vec3; readonly way: Vec3; readonly length: number } {
  const { from, to } = pipes.members.find((m) => m.id === run)!;
  const inside = (node: string): number => {
    const socket = pipes.joints.find((j) => j.node === node)?.hub?.sockets[0];
    return socket ? socket.takeOff + socket.depth + CLEAR : 0;
  };
  const [a, b] = [pipes.at(from), pipes.at(to)];
  const between = subtract(b, a);
  const way = unit(between);
  const free = length(between) - inside(from) - inside(to);
  return { from: addScaled(a, way, inside(from)), way, length: Math.max(0, free) };
}

/** A clip in the middle of a pipe's bare stretch, or `at` so far along it, as wide as goes there. */
function clipOn(
  lay: Layout,
  run: string,
  of: {
    id: string;
    name: string;
    face: Vec3;
    holds: readonly string[];
    thickness: number;
    at?: number;
    widest?: number;
  },
): ReturnType<typeof pipeClip> & { readonly at: Vec3; readonly width: number } {
  const free = bare(lay, run);
  const width = Math.max(0.012, Math.min(of.widest ?? CLIP, free.length));
  const at = addScaled(free.from, free.way, within(of.at ?? free.length / 2, width / 2, free.length - width / 2));
  return { ...pipeClip({ ...of, at, along: free.way, outside: lay.outside, width, pipe: run }), at, width };
}

/** The camera's plate, lengthwise in slots over a clip on the cross pipe. */
function cameraOn({ dimensions: d }: FamilyInput, lay: Layout): Held {
  const clip = clipOn(lay, 'cross', {
    id: 'camera-clip',
    name: 'clip under the camera plate',
    face: [0, 0, 1],
    holds: ['camera-plate'],
    thickness: PLATE[2],
  });
  const under = clip.at[2] + lay.outside / 2 + CLIP_FACE;
  const camera: Vec3 = [clip.at[0] + d['cameraForward']!, clip.at[1], under];
  const [rear, front] = [
    Math.min(clip.at[0] - PLATE[0] / 2, camera[0] - 0.03),
    Math.max(clip.at[0] + PLATE[0] / 2, camera[0] + 0.03),
  ];
  return {
    parts: [
      clip.part,
      {
        ...plate({
          id: 'camera-plate',
          name: 'camera plate',
          middle: [(rear + front) / 2, camera[1], under + PLATE[2] / 2],
          size: [front - rear, PLATE[1], PLATE[2]],
          material: 'aluminium',
          supply: {
            item: `aluminium plate ${Math.round((front - rear) * 1000)} × 60 × 6`,
            packOf: 1,
            packPrice: 5.5,
            sawn: 'sheet',
          },
        }),
        mount: [camera[0], camera[1], under + PLATE[2]],
      },
    ],
    connections: [
      ...clip.connections,
      intoCamera({
        on: 'camera-plate',
        point: camera,

        // Flush: the plate slides over its clip.
        head: 'sunk',
        stack: [{ kind: 'piece', piece: 'camera-plate' }],
      }),
    ],
  };
}

const padBoard = (id: string, name: string, middle: Vec3, size: Vec3): Part =>
  plate({
    id,
    name,
    middle,
    size,
    material: 'birchPly',
    supply: {
      item: `plywood 6 mm, ${size
        .filter((v) => v !== BOARD)
        .map((v) => Math.round(v * 1000))
        .join(' × ')}`,
      packOf: 1,
      packPrice: 1.5,
      sawn: 'sheet',
    },
  });

/** The shoulder's pad, glued to a board that clips hold under the spine, before and behind the fitting in its middle. */
function padOn(lay: Layout): Held {
  const front = bare(lay, 'spine-rear');
  const common = { face: [0, 0, -1] as Vec3, holds: ['pad-board'], thickness: BOARD, widest: 0.02 };
  const rear = clipOn(lay, 'tail', { id: 'pad-clip-rear', name: 'rear clip of the pad board', at: 0, ...common });
  // Where the spine is too short before its next fitting both are behind.
  const other = clipOn(lay, front.length >= 0.02 ? 'spine-rear' : 'tail', {
    id: 'pad-clip-front',
    name: 'front clip of the pad board',
    at: front.length >= 0.02 ? 0 : 0.035,
    ...common,
  });
  const at = [rear.at[0], other.at[0]];
  // Up to the next fitting, which is thicker than the pipe.
  const mouth = lay.pipes.bare('spine-rear').to[0] - 0.001;
  const low = Math.min(-0.07, ...at.map((x) => x - 0.02));
  const high = Math.max(Math.min(mouth, Math.max(0.07, ...at.map((x) => x + 0.02))), ...at.map((x) => x + 0.008));
  return {
    parts: [
      rear.part,
      other.part,
      padBoard('pad-board', 'pad board', [(low + high) / 2, 0, PAD + BOARD / 2], [high - low, 0.08, BOARD]),
      {
        id: 'pad',
        name: 'shoulder pad',
        shape: { kind: 'box', size: [...PAD_FACE, PAD] },
        at: [0, 0, PAD / 2],
        material: 'rubberFoam',
        mass: { value: 0.09, spread: 0.02, source: 'mass of shoulder pad' },
        supply: { item: 'foam shoulder pad', packOf: 1, packPrice: 8 },
      },
    ],
    connections: [
      ...rear.connections,
      ...other.connections,
      {
        kind: 'bonded',
        id: 'pad-on',
        name: 'pad on its board',
        piece: 'pad',
        to: 'pad-board',
        glue: 'contact',
        area: PAD_FACE[0] * PAD_FACE[1],
      },
    ],
  };
}

const CHEST_PAD: Vec3 = [0.025, 0.12, 0.05];
const chestClip = (lay: Layout): ReturnType<typeof clipOn> =>
  clipOn(lay, 'chest-drop', {
    id: 'chest-clip',
    name: 'clip of the chest board',
    face: [-1, 0, 0],
    holds: ['chest-board'],
    thickness: BOARD,
    at: bare(lay, 'chest-drop').length,
  });
const chestPadHigh = (lay: Layout): number => chestClip(lay).at[2];

/** The chest's pad on its board, clipped to the lower end of the chest bar. */
function chestPadOn(lay: Layout): Held {
  const clip = chestClip(lay);
  const board = clip.at[0] - lay.outside / 2 - CLIP_FACE - BOARD;
  const at: Vec3 = [board - CHEST_PAD[0] / 2, 0, clip.at[2]];
  return {
    parts: [
      clip.part,
      padBoard('chest-board', 'chest board', [board + BOARD / 2, 0, at[2]], [BOARD, CHEST_PAD[1], CHEST_PAD[2]]),
      {
        id: 'chest-pad',
        name: 'chest pad',
        shape: { kind: 'box', size: CHEST_PAD },
        at,
        material: 'rubberFoam',
        mass: { value: 0.05, spread: 0.01, source: 'mass of chest pad' },
        supply: { item: 'foam pad, small', packOf: 1, packPrice: 4 },
      },
    ],
    connections: [
      ...clip.connections,
      {
        kind: 'bonded',
        id: 'chest-pad-on',
        name: 'chest pad on its board',
        piece: 'chest-pad',
        to: 'chest-board',
        glue: 'contact',
        area: CHEST_PAD[1] * CHEST_PAD[2],
      },
    ],
  };
}

/** Middle of the top handle's tube. */
function topOf({ dimensions: d }: FamilyInput, { pipes, outside }: Layout): Vec3 {
  const front = pipes.at('front');
  const base = front[2] + outside / 2 + CLIP_FACE;
  return [front[0] - d['handleBack']!, 0, base + HANDLE.base + HANDLE.post + HANDLE.tube / 2];
}

/** A tube on two posts, the posts on a flat bar that one clip holds: the bar passes over the spine's fittings. */
function topHandleOn(input: FamilyInput, lay: Layout): Held {
  const top = topOf(input, lay);
  const base = top[2] - HANDLE.tube / 2 - HANDLE.post - HANDLE.base;
  // On the longer of the two bare stretches of the spine.
  const run = bare(lay, 'spine-front').length >= bare(lay, 'spine-rear').length ? 'spine-front' : 'spine-rear';
  const clip = clipOn(lay, run, {
    id: 'handle-clip',
    name: 'clip of the top handle',
    face: [0, 0, 1],
    holds: ['handle-base'],
    thickness: HANDLE.base,
  });
  const reach = HANDLE.posts + HANDLE.beyond;
  const [rear, front] = [
    Math.min(top[0] - reach, clip.at[0] - clip.width / 2),
    Math.max(top[0] + reach, clip.at[0] + clip.width / 2),
  ];
  const long = Math.round((front - rear) * 1000);
  const posts = ([-1, 1] as const).map((e) => ({
    id: `handle-post-${e < 0 ? 1 : 2}`,
    x: top[0] + e * HANDLE.posts,
    e,
  }));
  return {
    parts: [
      clip.part,
      plate({
        id: 'handle-base',
        name: 'base of the top handle',
        middle: [(rear + front) / 2, 0, base + HANDLE.base / 2],
        size: [front - rear, HANDLE.width, HANDLE.base],
        material: 'aluminium',
        supply: { item: `aluminium flat 25 × 5, ${long} mm`, packOf: 1, packPrice: 2.2, sawn: 'length' },
      }),
      {
        id: 'top-tube',
        name: 'tube of the top handle',
        shape: {
          kind: 'tube',
          outerRadius: HANDLE.tube / 2,
          innerRadius: HANDLE.tube / 2 - HANDLE.wall,
          length: 2 * reach,
        },
        at: top,
        turn: quaternionOf(alignZ([1, 0, 0])),
        material: 'aluminium',
        supply: {
          item: `aluminium tube 17 × 2, ${Math.round(2000 * reach)} mm`,
          packOf: 1,
          packPrice: 2,
          sawn: 'length',
        },
      },
      ...posts.map(({ id, x, e }): Part => ({
        id,
        name: `${e < 0 ? 'rear' : 'front'} post of the top handle`,
        shape: { kind: 'tube', outerRadius: 0.006, innerRadius: 0.00275, length: HANDLE.post },
        at: [x, 0, base + HANDLE.base + HANDLE.post / 2],
        material: 'aluminium',
        supply: { item: `aluminium tube 12 × 3, ${HANDLE.post * 1000} mm`, packOf: 1, packPrice: 0.8, sawn: 'length' },
      })),
      {
        ...foamGrip({ id: 'top-grip', at: top, axis: [1, 0, 0], length: 0.145, inside: HANDLE.tube }),
        name: 'top handle',
      },
    ],
    connections: [
      ...clip.connections,
      ...posts.map(({ id, x, e }): StatedConnection => ({
        kind: 'bolted',
        id: `${id}-bolt`,
        name: `bolt of the ${e < 0 ? 'rear' : 'front'} post`,
        on: 'handle-base',
        point: [x, 0, base],
        way: [0, 0, 1],
        thread: 'M5',
        // Flush: clips of other boards stand right below.
        head: 'sunk',
        stack: ['handle-base', id, 'top-tube'].map((piece) => ({ kind: 'piece' as const, piece })),
        end: { kind: 'nut' },
      })),
      { kind: 'slidOn', id: 'top-grip-on', name: 'top grip on its tube', piece: 'top-grip', over: 'top-tube' },
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
  setOn(
    'camera-fore-aft',
    lengthSpec(
      'cameraForward',
      'Camera ahead of its pipe',
      'camera-plate',
      0,
      -0.08,
      0.08,
      'Camera hole from the cross pipe.',
    ),
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
/** Pipes it can be made of. */
const SYSTEMS = ['pvc', 'cpvc', 'plasticMetric', 'steel'];
const choices = [
  choiceSpec('pipe', 'Pipe', 'All of it.', 'pvc/3/4', pipeOptions(SYSTEMS), pipeLike(SYSTEMS)),
  choiceSpec('shoulder', 'Shoulder', 'Which one carries.', 'right', named({ right: 'right', left: 'left' })),
  choiceSpec('disc', 'Tail disc', 'On the tail’s bolt.', 'disc-0.5kg', namesOf(DISC_PLATES), ANY_DISC),
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
