/**
 * Closed hand frame: an upright rectangle of pipe, the camera on a stub set forward of it, a handle on a pin above, what
 * else threads in below. The middle of the bottom pipe is the origin.
 */
import { addScaled, DEGREE, figure, say, type Finding, type Phrase, type Vec3 } from '../../0-base';
import type { PlacedLoad } from '../../1-load';
import type { Hands, Joint, Member, Part, Rig } from '../../model';
import { hubOf } from '../fittings/fittingFor';
import { cutLengthOf } from '../members/memberEnds';
import type { Family, FamilyInput, Sizing } from '../family';
import {
  angleSpec,
  choiceSpec,
  lengthSpec,
  loadBox,
  named,
  toFiveMillimetres,
  usualInput,
  weighed,
  within,
} from '../familyTools';
import { foamGrip, handlebarClamp, shoulderPad } from '../parts/hardware';
import { pipeOf, pipeOptions } from '../parts/pipes';
import { plate } from '../parts/plate';
import { pipework, type Pipework, type Run } from '../fittings/pipework';

const PLATE: Vec3 = [0.07, 0.055, 0.006];
const KERF = 0.0015; // a hacksaw's, for what one length of pipe gives
const PIN = 0.005;
const PIN_HOLE = 0.0055;
const NECK = 0.05; // nipple above the top tee, for the handle to be pinned to

function runsOf({ dimensions: d, choices }: FamilyInput): readonly Run[] {
  const run = (
    id: string,
    name: string,
    from: string,
    to: string,
    direction: Vec3,
    cut: number,
    twin?: string,
  ): Run => ({ id, name, from, to, direction, cut, ...(twin ? { twin } : {}) });
  return [
    run('bottom-left', 'bottom, left', 'bottom', 'low-left', [0, 1, 0], d['halfWidth']!, 'bottom-right'),
    run('bottom-right', 'bottom, right', 'bottom', 'low-right', [0, -1, 0], d['halfWidth']!, 'bottom-left'),
    run('side-left', 'side, left', 'low-left', 'high-left', [0, 0, 1], d['side']!, 'side-right'),
    run('side-right', 'side, right', 'low-right', 'high-right', [0, 0, 1], d['side']!, 'side-left'),
    run('top-left', 'top, left', 'high-left', 'top', [0, -1, 0], d['halfWidth']!, 'top-right'),
    run('top-right', 'top, right', 'high-right', 'top', [0, 1, 0], d['halfWidth']!, 'top-left'),
    run('neck', 'neck', 'top', 'neck-end', [0, 0, 1], NECK),
    ...(choices['camera'] === 'stub'
      ? [
          run('stub', 'stub', 'bottom', 'stub-bend', [1, 0, 0], d['stub']!),
          run('riser', 'riser', 'stub-bend', 'camera-end', [0, 0, 1], d['riser']!),
        ]
      : []),
    ...(choices['extension'] === 'monopod' || choices['extension'] === 'longHandle'
      ? [
          run(
            'extension',
            choices['extension'] === 'monopod' ? 'monopod leg' : 'long handle',
            'bottom',
            'extension-end',
            [0, 0, -1],
            d['extension']!,
          ),
        ]
      : []),
    ...(choices['extension'] === 'shoulder'
      ? [run('extension', 'shoulder tube', 'bottom', 'extension-end', [-1, 0, 0], d['extension']!)]
      : []),
  ];
}

function layOut(input: FamilyInput): Pipework {
  const pipe = pipeOf(input.choices['pipe']!);
  return pipework({
    pipe,
    start: { node: 'bottom', at: [0, 0, 0] },
    runs: runsOf(input),
    bare: ['neck-end'],
    short: { value: 0, spread: 0.0005 },
    // The extension and the stub come out for the bag; the ring is glued for good.
    dry: ['stub-bend'],
    fastens: { 'camera-end': ['camera-plate'], 'extension-end': ['shoulder-pad'] },
    twins: { 'low-left': 'low-right', 'low-right': 'low-left', 'high-left': 'high-right', 'high-right': 'high-left' },
  });
}

function build(input: FamilyInput): Rig {
  const { dimensions: d, choices } = input;
  const pipes = layOut(input);
  const { size } = pipeOf(choices['pipe']!);
  const outside = size.stock.section.kind === 'tube' ? size.stock.section.outerDiameter : 0;
  const lean: Vec3 = [Math.sin(d['handleAngle']!), 0, Math.cos(d['handleAngle']!)];
  const pin = pipes.at('neck-end');
  const handleEnd = addScaled(pin, lean, d['handle']!);
  const hand = addScaled(pin, lean, d['handle']! - d['gripLength']! / 2 - size.depth - size.takeOff.cap);
  // The handle is the same pipe, slotted over the neck and pinned: its own length runs from the pin.
  const handle: Member = {
    id: 'handle',
    name: 'handle',
    from: 'neck-end',
    to: 'handle-end',
    stock: size.stock,
    leftLong: 0,
    path: { kind: 'straight', widthDirection: [0, 1, 0] },
    holes: [{ id: 'hole-pin', name: 'pin', along: 0.012, across: 0, diameter: PIN_HOLE, afterBending: false }],
  };
  const joints: Joint[] = [
    {
      id: 'pin-joint',
      name: 'hinge pin',
      node: 'neck-end',
      fitting: 'hingePin',
      joins: ['handle', 'neck'],
      reversible: true,
      packs: true,
      loose: { clearance: PIN_HOLE - PIN, over: 2 * outside },
    },
    {
      id: 'joint-handle-end',
      name: 'cap',
      node: 'handle-end',
      fitting: 'cap',
      hold: 'pressed',
      joins: ['handle'],
      reversible: true,
      packs: false,
      hub: hubOf('cap', pipeOf(choices['pipe']!).system, size, [[-lean[0], 0, -lean[2]]]),
    },
  ];
  const parts: Part[] = [
    ...cameraParts(input, pipes),
    foamGrip({ id: 'grip', at: hand, axis: lean, length: d['gripLength']!, inside: outside }),
    ...(['left', 'right'] as const).map((side) =>
      foamGrip({
        id: `grip-${side}`,
        at: sideMiddle(pipes, side),
        axis: [0, 0, 1],
        length: Math.min(d['gripLength']!, d['side']! - 0.02),
        inside: outside,
        twin: side === 'left' ? 'grip-right' : 'grip-left',
      }),
    ),
    ...(choices['extension'] === 'shoulder'
      ? [shoulderPad({ id: 'shoulder-pad', at: addScaled(pipes.at('extension-end'), [-1, 0, 0], -0.04) })]
      : []),
  ];
  return {
    bodies: [
      {
        id: 'frame',
        name: 'frame',
        nodes: [...pipes.nodes, { id: 'handle-end', at: handleEnd }],
        members: [...pipes.members, handle],
        joints: [...pipes.joints, ...joints],
        parts,
        stations: [],
      },
    ],
    pivots: [],
    contacts: [
      { id: 'hand-on-top', name: 'hand', kind: 'hand', body: 'frame', at: hand, direction: [0, 0, 1] },
      {
        id: 'left-hand',
        name: 'left hand',
        kind: 'hand',
        body: 'frame',
        at: sideMiddle(pipes, 'left'),
        direction: [0, 0, 1],
      },
      {
        id: 'right-hand',
        name: 'right hand',
        kind: 'hand',
        body: 'frame',
        at: sideMiddle(pipes, 'right'),
        direction: [0, 0, 1],
      },
    ],
    poses: [
      { id: 'both-hands', name: 'Both hands on the sides', contacts: ['left-hand', 'right-hand'], arm: 0.3 },
      { id: 'one-hand-low', name: 'One hand on the handle, low', contacts: ['hand-on-top'], arm: 0.12 },
    ],
    adjusters: [
      {
        id: 'camera-fore-aft',
        name: 'Camera along its plate',
        kind: 'slide',
        axis: [1, 0, 0],
        range: [-0.015, 0.015],
        step: 0.0005,
        value: 0,
        moves: [{ kind: 'part', id: 'camera-plate' }],
      },
    ],
  };
}

const sideMiddle = (pipes: Pipework, side: 'left' | 'right'): Vec3 => {
  const [low, high] = [pipes.at(`low-${side}`), pipes.at(`high-${side}`)];
  return [(low[0] + high[0]) / 2, (low[1] + high[1]) / 2, (low[2] + high[2]) / 2];
};

function cameraParts({ dimensions: d, choices }: FamilyInput, pipes: Pipework): readonly Part[] {
  const screw = { diameter: 0.00635, length: 0.0127, passes: 0.008 };
  if (choices['camera'] === 'clamp') {
    const middle: Vec3 = [d['stub']!, 0, 0.036];
    return [
      handlebarClamp({ id: 'bar-clamp', at: [0, 0, 0] }),
      {
        id: 'clamp-arm',
        name: 'clamp arm',
        shape: { kind: 'box', size: [d['stub']!, 0.02, 0.006] },
        at: [d['stub']! / 2, 0, 0.03],
        material: 'aluminium',
        supply: { item: 'aluminium flat 20 × 6, short', packOf: 1, packPrice: 1.5 },
      },
      {
        ...plate({
          id: 'camera-plate',
          name: 'camera plate',
          middle,
          size: PLATE,
          material: 'aluminium',
          mount: true,
          supply: { item: 'aluminium plate 70 × 55 × 6', packOf: 1, packPrice: 3.8 },
        }),
        screw,
      },
    ];
  }
  const end = pipes.at('camera-end');
  return [
    {
      ...plate({
        id: 'camera-plate',
        name: 'camera plate',
        middle: [end[0], 0, end[2] + PLATE[2] / 2],
        size: PLATE,
        material: 'aluminium',
        mount: true,
        supply: { item: 'aluminium plate 70 × 55 × 6', packOf: 1, packPrice: 3.8 },
      }),
      screw,
    },
  ];
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
  lengthSpec('extension', 'Extension', 'extension', 0.4, 0.1, 1.4, 'Sawn length of what threads in below or behind.'),
];

const choices = [
  choiceSpec(
    'pipe',
    'Pipe',
    'The whole ring and its stub.',
    'pvc/1/2',
    pipeOptions(['pvc', 'plasticMetric', 'cpvc', 'steel', 'copper', 'copperMetric']),
  ),
  choiceSpec(
    'camera',
    'Camera on',
    'A stub of the same pipe, or a bought clamp.',
    'stub',
    named({ stub: 'a stub with an elbow', clamp: 'a handlebar clamp' }),
  ),
  choiceSpec(
    'extension',
    'Extension',
    'What threads in at the bottom.',
    'none',
    named({ none: 'none', shoulder: 'shoulder piece', longHandle: 'long handle', monopod: 'monopod foot' }),
  ),
];

/** All that is sawn from the pipe, a kerf for each piece, and what one length sold leaves over. */
export function oneLength(rig: Rig, sold: number): { readonly needed: number; readonly over: number } {
  const body = rig.bodies[0]!;
  const needed = body.members.reduce((sum, m) => sum + cutLengthOf(m, body) + KERF, 0);
  return { needed, over: sold - needed };
}

const soldFor = (choice: string, needed: number): number => {
  const lengths = pipeOf(choice)
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
  const stub = toFiveMillimetres(within(0.03 - box.low[0], 0.045, 0.2));
  const at = (handle: number, handleAngle: number): FamilyInput => ({
    choices: picked,
    dimensions: { ...usual.dimensions, halfWidth, side, stub, handle, handleAngle, gripLength },
  });
  let handle = toFiveMillimetres(within(gripLength + 0.05, 0.1, 0.3));
  // One length of stock: what is left over makes a longer handle, else a wider ring.
  const first = oneLength(build(at(handle, 0)), 0).needed;
  const sold = soldFor(picked.pipe, first);
  const spare = sold - first;
  if (spare > 0 && spare < 0.6) {
    const longer = Math.min(spare, 0.3 - handle);
    handle = Math.floor((handle + longer) * 1000) / 1000;
    halfWidth = Math.floor(Math.min(0.25, halfWidth + (spare - longer) / 4) * 1000) / 1000;
  }
  const { centre } = weighed(build(at(handle, 0)), load);
  const pin = build(at(handle, 0)).bodies[0]!.nodes.find((n) => n.id === 'neck-end')!.at;
  const { size: pipe } = pipeOf(picked.pipe);
  const reach = handle - gripLength / 2 - pipe.depth - pipe.takeOff.cap;
  const handleAngle = within(
    Math.round(Math.asin(within((centre[0] - pin[0]) / reach, -0.34, 0.86)) / DEGREE) * DEGREE,
    -20 * DEGREE,
    60 * DEGREE,
  );
  const sized = at(handle, handleAngle);
  const over = oneLength(build(sized), sold).over;
  const reasons: Phrase[] = [
    say`The ring is ${figure('length', 2 * halfWidth)} of pipe wide: your ${figure('mass', box.mass)} load and a hand's room each side.`,
    say`The camera sits ${figure('length', stub)} ahead, so that hands and frame stay behind the lens.`,
    say`The handle leans ${figure('angle', handleAngle, 0)} so that your hand is over the mass centre.`,
    ...(over >= 0 && spare < 0.6
      ? [say`All of it comes from one length of ${figure('length', sold)}, with ${figure('length', over)} left over.`]
      : []),
  ];
  return { ...sized, reasons, startValues: {} };
}

function advise(input: FamilyInput, rig: Rig): readonly Finding[] {
  const { dimensions: d, choices: c } = input;
  const needed = oneLength(rig, 0).needed;
  const sold = soldFor(c['pipe']!, needed);
  const over = sold - needed;
  const findings: Finding[] = [];
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
    const [pin, end] = ['neck-end', 'handle-end'].map((n) => rig.bodies[0]!.nodes.find((o) => o.id === n)!.at) as [
      Vec3,
      Vec3,
    ];
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
