/**
 * Closed hand frame: an upright rectangle of pipe, the camera on a stub set forward of it, a handle on a pin above, what
 * else threads in below. The middle of the bottom pipe is the origin.
 */
import { DEGREE, figure, say, type Finding, type Phrase, type Vec3 } from '../../0-base';
import type { PlacedLoad } from '../../1-load';
import type { Hands, Part, Rig } from '../../model';
import { fittingFor, hubOf } from '../fittings/fittingFor';
import { cutLengthOf } from '../members/memberEnds';
import type { Family, FamilyInput, Sizing } from '../family';
import {
  angleSpec,
  choiceSpec,
  lengthSpec,
  loadBox,
  named,
  namesOf,
  toFiveMillimetres,
  usualInput,
  weighed,
  within,
  type Held,
} from '../familyTools';
import { intoCamera } from '../parts/camera';
import { inPipe } from '../parts/capBolt';
import { GRIPPING } from '../hands';
import { handleFits, handleReach, NECK, pinnedHandle } from '../parts/pinnedHandle';
import { extensionOn, extensionRuns, EXTENSIONS } from '../parts/pipeExtension';
import { CLAMP_TOP, gripOnPipe, handlebarClamp } from '../parts/hardware';
import { pipeOf, pipeOptions } from '../parts/pipes';
import { plate } from '../parts/plate';
import { ROUND_TUBES } from '../parts/bars';
import { pipeLike, ROUND_TUBE, type OwnSizes } from '../parts/ownSizes';
import { pipework, type Pipework, type Run } from '../fittings/pipework';

const PLATE: Vec3 = [0.07, 0.055, 0.006];
const KERF = 0.0015; // a hacksaw's, for what one length of pipe gives
const PAD = 0.0015; // of rubber under a camera on a round fitting
const USUAL_FITTING = 0.014; // radius of a fitting on half-inch pipe
const AHEAD = 0.028; // camera hole from the screw that holds its plate: the slot between them is 15 mm each way
const SLIDE = 0.015;
const ARM = { width: 0.025, thickness: 0.006 };

function runsOf(input: FamilyInput): readonly Run[] {
  const { dimensions: d, choices, own } = input;
  const run = (
    id: string,
    name: string,
    from: string,
    to: string,
    direction: Vec3,
    cut: number,
    twin?: string,
  ): Run => ({ id, name, from, to, direction, cut, ...(twin ? { twin } : {}) });
  // The shorter of the two fittings in the middle is made up for, or the ring does not close.
  const more = middleTakeOff(input, [[0, 0, 1]]) - middleTakeOff(input, waysDown(choices));
  const [low, high] = [d['halfWidth']! + Math.max(0, more), d['halfWidth']! + Math.max(0, -more)];
  return [
    ...(closesByUnion(input)
      ? [
          run('bottom-left', 'bottom, left, inner', 'bottom', 'bottom-union', [0, 1, 0], low / 2 - unionTakeOff(input)),
          run(
            'bottom-left-outer',
            'bottom, left, outer',
            'bottom-union',
            'low-left',
            [0, 1, 0],
            low / 2 - unionTakeOff(input),
          ),
          run('bottom-right', 'bottom, right', 'bottom', 'low-right', [0, -1, 0], low),
        ]
      : [
          run('bottom-left', 'bottom, left', 'bottom', 'low-left', [0, 1, 0], low, 'bottom-right'),
          run('bottom-right', 'bottom, right', 'bottom', 'low-right', [0, -1, 0], low, 'bottom-left'),
        ]),
    run('side-left', 'side, left', 'low-left', 'high-left', [0, 0, 1], d['side']!, 'side-right'),
    run('side-right', 'side, right', 'low-right', 'high-right', [0, 0, 1], d['side']!, 'side-left'),
    run('top-left', 'top, left', 'high-left', 'top', [0, -1, 0], high, 'top-right'),
    run('top-right', 'top, right', 'high-right', 'top', [0, 1, 0], high, 'top-left'),
    run('neck', 'neck', 'top', 'neck-end', [0, 0, 1], NECK + pipeOf(choices['pipe']!, own).size.depth),
    ...(choices['camera'] === 'stub'
      ? [
          run('stub', 'stub', 'bottom', 'stub-bend', [1, 0, 0], d['stub']!),
          run('riser', 'riser', 'stub-bend', 'camera-end', [0, 0, 1], d['riser']!),
        ]
      : []),
    ...extensionRuns(choices['extension']!, d['extension']!),
  ];
}

/** Threads turn: a ring of them closes only where two pipes meet in a union. */
const closesByUnion = ({ choices, own }: FamilyInput): boolean =>
  pipeOf(choices['pipe']!, own).system.hold === 'threaded';
function unionTakeOff({ choices, own }: FamilyInput): number {
  const { system, size } = pipeOf(choices['pipe']!, own);
  return hubOf('union', system, size, [[0, 1, 0]]).sockets[0]!.takeOff;
}

/** What leaves the middle of the bottom beside the two level pieces. */
const waysDown = (choices: FamilyInput['choices']): readonly Vec3[] => [
  ...(choices['camera'] === 'stub' ? [[1, 0, 0] as const] : []),
  ...extensionRuns(choices['extension']!, 0).map((r) => r.direction),
  ...openWays(choices),
];

/** A camera straight on the middle stands on a tee, whose branch looks back and stays open: the ends of the pipes leave its screw room. */
const openWays = (choices: FamilyInput['choices']): readonly Vec3[] =>
  choices['camera'] === 'fitting' && choices['extension'] === 'none' ? [[-1, 0, 0]] : [];

/** Of the fitting in the middle of two level pieces, with these other ways, m. */
function middleTakeOff({ choices, own }: FamilyInput, others: readonly Vec3[]): number {
  const { system, size } = pipeOf(choices['pipe']!, own);
  const found = fittingFor(system, size, [[0, 1, 0], [0, -1, 0], ...others]);
  return found.kind === 'fits' ? found.hub.sockets[0]!.takeOff : 0;
}

function layOut(input: FamilyInput): Pipework {
  const pipe = pipeOf(input.choices['pipe']!, input.own);
  return pipework({
    pipe,
    start: { node: 'bottom', at: [0, 0, 0] },
    runs: runsOf(input),
    bare: ['neck-end'],
    open: { bottom: openWays(input.choices) },
    short: { value: 0, spread: 0.0005 },
    ...(closesByUnion(input) ? { unions: ['bottom-union'] } : {}),
    // The extension and the stub come out for the bag; the ring is glued for good.
    dry: ['stub-bend'],
    twins: { 'low-left': 'low-right', 'low-right': 'low-left', 'high-left': 'high-right', 'high-right': 'high-left' },
  });
}

function build(input: FamilyInput): Rig {
  const { dimensions: d, choices, own } = input;
  const pipes = layOut(input);
  const { size } = pipeOf(choices['pipe']!, own);
  const outside = size.stock.section.kind === 'tube' ? size.stock.section.outerDiameter : 0;
  const handle = pinnedHandle(input, pipes.at('neck-end'));
  const camera = cameraParts(input, pipes);
  const extension = extensionOn(input, pipes, d['gripLength']!);
  const parts: Part[] = [
    ...camera.parts,
    ...handle.parts,
    ...(['left', 'right'] as const).map((side) =>
      gripOnPipe(
        {
          id: `grip-${side}`,
          at: sideMiddle(pipes, side),
          length: d['gripLength']!,
          inside: outside,
          twin: side === 'left' ? 'grip-right' : 'grip-left',
        },
        pipes.bare(`side-${side}`),
      ),
    ),
    ...extension.parts,
  ];
  return {
    bodies: [
      {
        id: 'frame',
        name: 'frame',
        nodes: [...pipes.nodes, ...handle.nodes],
        members: [...pipes.members, handle.member],
        joints: [...pipes.joints, ...handle.joints],
        parts,
        stations: [],
        connections: [
          ...camera.connections,
          ...handle.connections,
          ...extension.connections,
          { kind: 'slidOn', id: 'grip-left-on', name: 'grip on the left side', piece: 'grip-left', over: 'side-left' },
          {
            kind: 'slidOn',
            id: 'grip-right-on',
            name: 'grip on the right side',
            piece: 'grip-right',
            over: 'side-right',
          },
        ],
      },
    ],
    pivots: [],
    contacts: [
      { id: 'hand-on-top', name: 'hand', kind: 'hand', body: 'frame', at: handle.hand, direction: [0, 0, 1] },
      {
        id: 'left-hand',
        name: 'left hand',
        kind: 'hand',
        body: 'frame',
        at: sideMiddle(pipes, 'left'),
        direction: [0, 0, 1],
        also: [...GRIPPING],
      },
      {
        id: 'right-hand',
        name: 'right hand',
        kind: 'hand',
        body: 'frame',
        at: sideMiddle(pipes, 'right'),
        direction: [0, 0, 1],
        also: [...GRIPPING],
      },
      ...extension.contacts,
    ],
    poses: [
      { id: 'both-hands', name: 'Both hands on the sides', contacts: ['left-hand', 'right-hand'], arm: 0.3 },
      { id: 'one-hand-low', name: 'One hand on the handle, low', contacts: ['hand-on-top'], arm: 0.12 },
      ...extension.poses,
    ],
    adjusters: camera.parts.some((p) => p.id === 'camera-plate')
      ? [
          {
            id: 'camera-fore-aft',
            name: 'Camera along its plate',
            kind: 'slide',
            axis: [1, 0, 0],
            range: [-SLIDE, SLIDE],
            step: 0.0005,
            value: 0,
            moves: [{ kind: 'part', id: 'camera-plate' }],
          },
        ]
      : [],
  };
}

const sideMiddle = (pipes: Pipework, side: 'left' | 'right'): Vec3 => {
  const [low, high] = [pipes.at(`low-${side}`), pipes.at(`high-${side}`)];
  return [(low[0] + high[0]) / 2, (low[1] + high[1]) / 2, (low[2] + high[2]) / 2];
};

/** The plate that slides over one flush screw, and ahead of it the camera's own, flush from below. */
function cameraPlate(on: string, [x, y, z]: Vec3, thread: string): Held {
  const camera: Vec3 = [x + AHEAD, y, z];
  const [rear, front] = [x - SLIDE - 0.012, camera[0] + 0.02];
  return {
    parts: [
      {
        ...plate({
          id: 'camera-plate',
          name: 'camera plate',
          middle: [(rear + front) / 2, y, z + PLATE[2] / 2],
          size: [front - rear, PLATE[1], PLATE[2]],
          material: 'aluminium',
          supply: { item: 'aluminium plate 75 × 55 × 6', packOf: 1, packPrice: 3.8, sawn: 'sheet' },
        }),
        mount: [camera[0], y, z + PLATE[2]],
      },
    ],
    connections: [
      {
        kind: 'bolted',
        id: 'plate-on',
        name: 'plate’s screw',
        on,
        point: [x, y, z + PLATE[2]],
        way: [0, 0, -1],
        thread,
        head: 'sunk',
        stack: [
          { kind: 'piece', piece: 'camera-plate' },
          { kind: 'piece', piece: on },
        ],
        end: { kind: 'nut' },
      },
      intoCamera({
        on: 'camera-plate',
        point: camera,

        // Flush: the plate slides over what holds it.
        head: 'sunk',
        stack: [{ kind: 'piece', piece: 'camera-plate' }],
      }),
    ],
  };
}

/** Straight on the tee in the middle of the bottom, on a pad; the screw goes up through both its walls. */
function onFitting(pipes: Pipework): Held {
  // Where no fitting is sold that takes all that meets there, which is told, a usual one's.
  const high = pipes.joints.find((j) => j.node === 'bottom')?.hub?.outerRadius ?? USUAL_FITTING;
  return {
    parts: [
      {
        id: 'camera-pad',
        name: 'rubber pad under the camera',
        shape: { kind: 'box', size: [0.03, 0.03, PAD] },
        at: [0, 0, high + PAD / 2],
        material: 'rubberFoam',
        mount: [0, 0, high + PAD],
        supply: { item: 'rubber sheet, a hand wide', packOf: 4, packPrice: 3, sawn: 'sheet' },
      },
    ],
    connections: [
      intoCamera({
        on: 'joint-bottom',
        point: [0, 0, -high],
        washer: 'flat',
        stack: ['joint-bottom', 'camera-pad'].map((piece) => ({ kind: 'piece' as const, piece })),
      }),
    ],
  };
}

function cameraParts({ dimensions: d, choices, own }: FamilyInput, pipes: Pipework): Held {
  if (choices['camera'] === 'fitting') return onFitting(pipes);
  if (choices['camera'] !== 'clamp') {
    const end = pipes.at('camera-end');
    return cameraPlate('joint-camera-end', [end[0], 0, end[2]], inPipe(choices['pipe']!, own, ['M6', 'M5']));
  }
  // The clamp goes round the fitting in the middle of the bottom.
  const around = 2 * pipes.joints.find((j) => j.node === 'bottom')!.hub!.outerRadius;
  const clamp = handlebarClamp({ id: 'bar-clamp', at: [0, 0, 0], round: around });
  const top = clamp.shape.kind === 'box' ? clamp.at[2] + clamp.shape.size[2] / 2 : 0;
  const [rear, front] = [-0.015, d['stub']! + 0.014];
  const made = cameraPlate('clamp-arm', [d['stub']!, 0, top + ARM.thickness], 'M6');
  return {
    parts: [
      clamp,
      plate({
        id: 'clamp-arm',
        name: 'clamp arm',
        middle: [(rear + front) / 2, 0, top + ARM.thickness / 2],
        size: [front - rear, ARM.width, ARM.thickness],
        material: 'aluminium',
        supply: { item: 'aluminium flat 25 × 6, short', packOf: 1, packPrice: 1.5, sawn: 'length' },
      }),
      ...made.parts,
    ],
    connections: [
      { kind: 'clamped', id: 'bar-clamp-on', name: 'clamp on the bottom', piece: 'bar-clamp', on: 'joint-bottom' },
      {
        kind: 'bolted',
        id: 'clamp-arm-on',
        name: 'arm on its clamp',
        on: 'bar-clamp',
        point: [0, 0, top + ARM.thickness],
        way: [0, 0, -1],
        thread: 'M6',
        stack: [{ kind: 'piece', piece: 'clamp-arm' }],
        end: { kind: 'tapped', piece: 'bar-clamp', depth: CLAMP_TOP - 0.001, in: 'aluminium' },
      },
      ...made.connections,
    ],
  };
}

const dimensions = [
  lengthSpec(
    'halfWidth',
    'Half width',
    'bottom-left',
    0.11,
    0.05,
    0.25,
    'Sawn length of each of the four level pieces: all the same, or it is not square.',
  ),
  lengthSpec('side', 'Side', 'side-left', 0.17, 0.1, 0.35, 'Sawn length of both sides: your hands go here.'),
  lengthSpec(
    'stub',
    'Camera ahead of the frame',
    'stub',
    0.08,
    0.045,
    0.25,
    'Sawn length of the stub, or reach of the clamp’s arm.',
  ),
  lengthSpec('riser', 'Riser', 'riser', 0.05, 0.04, 0.2, 'Sawn length from the stub’s elbow up to the camera.'),
  lengthSpec('handle', 'Handle', 'handle', 0.17, 0.1, 0.4, 'From the pin to the handle’s end.'),
  angleSpec(
    'handleAngle',
    'Handle leans forward',
    'handle',
    20,
    -20,
    60,
    'From upright: enough brings the hand over the mass centre.',
  ),
  lengthSpec('gripLength', 'Grip length', 'grip', 0.118, 0.07, 0.2, 'Foam on handle and sides.'),
  lengthSpec(
    'extension',
    'Extension length',
    'extension',
    0.4,
    0.1,
    1.4,
    'Sawn length of what threads in below or behind.',
  ),
];

/** Pipes it can be made of. */
const SYSTEMS = ['pvc', 'plasticMetric', 'cpvc', 'steel', 'copper', 'copperMetric'];
const choices = [
  choiceSpec('pipe', 'Pipe', 'The whole ring and its stub.', 'pvc/1/2', pipeOptions(SYSTEMS), pipeLike(SYSTEMS)),
  choiceSpec(
    'camera',
    'Camera on',
    'A stub of the same pipe ahead of the frame, a bought clamp, or the frame itself: then a wide lens sees it.',
    'stub',
    named({
      stub: 'a stub with an elbow',
      clamp: 'a handlebar clamp',
      fitting: 'the tee in the middle of the bottom, straight on it',
    }),
  ),
  choiceSpec(
    'handlePipe',
    'Handle from',
    'The same pipe held between two straps, or a leftover tube that slides over the neck or into it and is pinned through both.',
    'same',
    [{ id: 'same', name: 'the same pipe' }, ...namesOf(ROUND_TUBES)],
    ROUND_TUBE,
  ),
  choiceSpec('extension', 'Extension', 'What threads in at the bottom.', 'none', named(EXTENSIONS)),
];

/** All that is sawn from the pipe, a kerf for each piece, and what one length sold leaves over. */
export function oneLength(rig: Rig, sold: number): { readonly needed: number; readonly over: number } {
  const body = rig.bodies[0]!;
  const { name } = body.members[0]!.stock;
  const needed = body.members.reduce((sum, m) => (m.stock.name === name ? sum + cutLengthOf(m, body) + KERF : sum), 0);
  return { needed, over: sold - needed };
}

const soldFor = (choice: string, own: OwnSizes, needed: number): number => {
  const lengths = pipeOf(choice, own)
    .size.stock.sold.map((s) => s.length)
    .sort((a, b) => a - b);
  return lengths.find((l) => l >= needed) ?? lengths.at(-1)!;
};

function size(load: PlacedLoad | null, hands: Hands): Sizing {
  const usual = usualInput(dimensions, choices);
  const box = loadBox(load);
  const picked = { ...usual.choices, pipe: box.mass > 1.4 ? 'pvc/1' : box.mass > 0.5 ? 'pvc/3/4' : 'pvc/1/2' };
  const gripLength = within(hands.breadth + 0.03, 0.07, 0.2);
  const wide = Math.max(Math.abs(box.low[1]), box.high[1]);
  // Hands beside the camera with fingers' room, and a side as long as the hand and the camera's height ask.
  let halfWidth = toFiveMillimetres(within(wide + 0.05, 0.09, 0.2));
  const side = toFiveMillimetres(within(Math.max(gripLength + 0.03, box.high[2] + 0.05), 0.1, 0.35));
  const stub = toFiveMillimetres(within(0.03 - box.low[0] - AHEAD, 0.045, 0.2));
  const at = (handle: number, handleAngle: number): FamilyInput => ({
    choices: picked,
    dimensions: { ...usual.dimensions, halfWidth, side, stub, handle, handleAngle, gripLength },
  });
  let handle = toFiveMillimetres(within(gripLength + 0.05, 0.1, 0.3));
  // One length of stock: what is left over makes a longer handle, else a wider ring.
  const first = oneLength(build(at(handle, 0)), 0).needed;
  const sold = soldFor(picked.pipe, [], first);
  const spare = sold - first;
  if (spare > 0 && spare < 0.6) {
    const longer = Math.min(spare, 0.3 - handle);
    handle = Math.floor((handle + longer) * 1000) / 1000;
    halfWidth = Math.floor(Math.min(0.25, halfWidth + (spare - longer) / 4) * 1000) / 1000;
  }
  const { centre } = weighed(build(at(handle, 0)), load);
  const { pin, reach } = handleReach(at(handle, 0), layOut(at(handle, 0)).at('neck-end'));
  const handleAngle = within(
    Math.round(Math.asin(within((centre[0] - pin[0]) / reach, -0.34, 0.86)) / DEGREE) * DEGREE,
    -20 * DEGREE,
    60 * DEGREE,
  );
  const sized = at(handle, handleAngle);
  const over = oneLength(build(sized), sold).over;
  const reasons: Phrase[] = [
    say`The ring is ${figure('length', 2 * halfWidth)} of pipe wide: your ${figure('mass', box.mass)} load and a hand's room each side.`,
    say`The camera sits ${figure('length', stub + AHEAD)} ahead, so that hands and frame stay behind the lens.`,
    say`The handle leans ${figure('angle', handleAngle, 0)} so that your hand is over the mass centre.`,
    ...(over >= 0 && spare < 0.6
      ? [say`All of it comes from one length of ${figure('length', sold)}, with ${figure('length', over)} left over.`]
      : []),
  ];
  return { ...sized, reasons, startValues: {} };
}

/** A screw up through the middle fitting, or a clamp round it, needs it free below. */
function meetsLeg({ choices: c }: FamilyInput): readonly Finding[] {
  const below = extensionRuns(c['extension']!, 0).some((r) => r.direction[2] !== 0);
  const is = c['camera'];
  if (!below || is === 'stub') return [];
  return [
    {
      code: 'cameraMeetsLeg',
      severity: 'stop',
      about: 'extension',
      figure: null,
      limit: null,
      title: say`The camera’s ${is === 'clamp' ? 'clamp' : 'screw'} and the pipe below want the same place.`,
      why:
        is === 'clamp'
          ? say`The clamp goes all round the fitting that the pipe goes into.`
          : say`The screw comes up through the fitting that the pipe goes into.`,
      toDo: say`Put the camera on a stub, or leave the extension off.`,
      fixes: [
        { label: say`Camera on a stub`, changes: [{ kind: 'choice', id: 'camera', value: 'stub' }] },
        { label: say`No extension`, changes: [{ kind: 'choice', id: 'extension', value: 'none' }] },
      ],
    },
  ];
}

function advise(input: FamilyInput, rig: Rig): readonly Finding[] {
  const { dimensions: d, choices: c, own } = input;
  const needed = oneLength(rig, 0).needed;
  const sold = soldFor(c['pipe']!, own, needed);
  const over = sold - needed;
  const findings: Finding[] = [...handleFits(input), ...meetsLeg(input)];
  const longer = Math.min(0.4, d['handle']! + over);
  if (over > 0.005 && over < 0.25) {
    findings.push({
      code: 'pipeLeftOver',
      severity: 'note',
      about: 'handle',
      figure: figure('length', over),
      limit: figure('length', 0.005),
      title: say`One length of ${figure('length', sold)} leaves ${figure('length', over)} over.`,
      why: say`All pieces with their saw cuts take ${figure('length', needed)}.`,
      toDo: say`Use it as a longer handle, or keep it for the bin.`,
      fixes:
        longer > d['handle']! + 0.005
          ? [
              {
                label: say`Handle of ${figure('length', Math.floor(longer * 1000) / 1000)}`,
                changes: [{ kind: 'dimension', id: 'handle', value: Math.floor(longer * 1000) / 1000 }],
              },
            ]
          : [],
    });
  }
  if (over < 0) {
    const halfWidth = Math.floor((d['halfWidth']! + over / 4) * 1000) / 1000;
    findings.push({
      code: 'moreThanOneLength',
      severity: 'note',
      about: 'bottom-left',
      figure: figure('length', needed),
      limit: figure('length', sold),
      title: say`It takes ${figure('length', needed)} of pipe, ${figure('length', -over)} more than the longest sold.`,
      why: say`A second length for a short piece is mostly waste.`,
      toDo: say`Make the ring a little smaller, or use a leftover.`,
      fixes:
        halfWidth >= 0.05
          ? [
              {
                label: say`Half width of ${figure('length', halfWidth)}`,
                changes: [{ kind: 'dimension', id: 'halfWidth', value: halfWidth }],
              },
            ]
          : [],
    });
  }
  return findings;
}

export const handFrame: Family = {
  id: 'hand-frame',
  name: 'Closed hand frame',
  summary:
    'A rectangle of pipe with the camera on a stub ahead of it; hold the sides with both hands or the pinned handle with one.',
  goodFor: ['low and waist shots', 'tight spaces', 'an evening’s build'],
  givesUp: 'It steadies only by its size and your arms: it has no weights and no joint.',
  suits: {
    carries: ['eye level', 'waist', 'low'],
    moves: ['walking', 'running', 'tight spaces'],
    hands: 2,
    wet: true,
    hangs: false,
  },
  goesWrong: [
    'One level piece is a few millimetres longer and the ring is not square.',
    'An elbow sets before it is turned true.',
    'Thumbs in the picture of a wide lens.',
  ],
  dimensions,
  choices,
  size,
  build,
  advise,
  drawn: (input) => {
    const pipes = layOut(input);
    const [bottom, lowLeft, highLeft, lowRight] = ['bottom', 'low-left', 'high-left', 'low-right'].map((n) =>
      pipes.at(n),
    ) as [Vec3, Vec3, Vec3, Vec3];
    const rig = build(input);
    const end = rig.bodies[0]!.nodes.find((o) => o.id === 'handle-end')!.at;
    const { pin } = handleReach(input, pipes.at('neck-end'));
    return [
      { dimension: 'halfWidth', from: bottom, to: lowLeft, view: 'front', offset: 44 },
      { dimension: 'side', from: lowRight, to: [lowRight[0], lowRight[1], highLeft[2]], view: 'front', offset: -52 },
      ...(input.choices['camera'] === 'stub'
        ? [{ dimension: 'stub', from: bottom, to: pipes.at('stub-bend'), view: 'side' as const, offset: 44 }]
        : []),
      { dimension: 'handle', from: pin, to: end, view: 'side', offset: -66 },
    ];
  },
};
