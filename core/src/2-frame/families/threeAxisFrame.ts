/**
 * Three-axis passive frame: a tilt cradle inside a roll arm inside a pan arm, each on its own bearings, all axes through one
 * point. That point is the origin; the hand holds the grip above it.
 */
import { figure, say, type Finding, type Phrase, type Vec3 } from '../../0-base';
import { massCentre, sumsOf, type PlacedLoad } from '../../1-load';
import type { Adjuster, Hands, Joint, Member, Part, Rig } from '../../model';
import type { Family, FamilyInput, Sizing } from '../family';
import { choiceSpec, lengthSpec, loadBox, named, toFiveMillimetres, usualInput, within } from '../familyTools';
import { BARS, barOptions, ROUND_TUBES, SQUARE_TUBES } from '../parts/bars';
import { endCap, foamGrip } from '../parts/hardware';
import { plate } from '../parts/plate';

const CHEEK = 0.006; // thick, the cradle's two sides
const GAP = 0.012; // between a cheek and the arm's tube, for the bearing's flange
const BEARINGS: Readonly<Record<string, { readonly name: string; readonly friction: number; readonly price: number }>> =
  {
    plain: { name: 'plain bushes', friction: 0.02, price: 2 },
    ball: { name: 'ball bearings', friction: 0.005, price: 3.5 },
    sealed: { name: 'sealed ball bearings', friction: 0.009, price: 4 },
  };
const outsideOf = (stock: Member['stock']): number =>
  stock.section.kind === 'tube'
    ? stock.section.outerDiameter
    : stock.section.kind === 'square'
      ? stock.section.width
      : 0.02;

function layOut({ dimensions: d, choices }: FamilyInput) {
  const stock = BARS[choices['tube']!]!;
  const outside = outsideOf(stock);
  const half = d['width']! / 2;
  const arm = half + CHEEK + GAP + outside / 2;
  const rollAt = -d['reach']! - outside / 2 - GAP;
  return { stock, outside, half, arm, rollAt, high: d['high']! };
}

function build(input: FamilyInput): Rig {
  const { dimensions: d, choices } = input;
  const lay = layOut(input);
  const bearing = BEARINGS[choices['bearings']!]!;
  const straight = (id: string, name: string, from: string, to: string, twin?: string): Member => ({
    id,
    name,
    from,
    to,
    stock: lay.stock,
    leftLong: 0,
    holes: [],
    path: { kind: 'straight', widthDirection: id === 'drop' ? [0, 1, 0] : [0, 0, 1] },
    ...(twin ? { twin } : {}),
  });
  const hub = (id: string, name: string, at: Vec3, axis: 'x' | 'y' | 'z', twin?: string): Part => ({
    id,
    name,
    shape: { kind: 'tube', outerRadius: 0.011, innerRadius: 0.004, length: GAP + 0.004 },
    at,
    turn:
      axis === 'x'
        ? [Math.SQRT1_2, 0, Math.SQRT1_2, 0]
        : axis === 'y'
          ? [Math.SQRT1_2, Math.SQRT1_2, 0, 0]
          : [1, 0, 0, 0],
    material: 'steel',
    mass: { value: 0.024, spread: 0.003, source: 'mass of bearing with bolt' },
    ...(twin ? { twin } : {}),
    supply: { item: `${bearing.name} with bolt M8`, packOf: 1, packPrice: bearing.price },
  });
  const base: Vec3 = [0, 0, -d['drop']! - 0.003];
  const tall = d['drop']! + 0.012;
  const cheek = (id: string, s: number, twin: string): Part => ({
    id,
    name: s > 0 ? 'left cheek' : 'right cheek',
    shape: { kind: 'box', size: [0.035, CHEEK, tall] },
    at: [0, s * (lay.half + CHEEK / 2), 0.012 - tall / 2],
    material: 'birchPly',
    twin,
    supply: { item: 'plywood 6 mm, offcut', packOf: 2, packPrice: 1.5 },
  });
  const glued = choices['joined'] === 'glued';
  const joint = (id: string, node: string, joins: readonly string[]): Joint => ({
    id,
    name: glued ? 'glued and lashed' : 'bolted corner',
    node,
    fitting: glued ? 'epoxy' : 'boltThrough',
    joins: [...joins],
    reversible: !glued,
    ...(glued ? { dryingTime: 24 * 3600 } : { packs: true }),
  });
  const slide = (id: string, name: string, axis: Vec3, range: number, moves: Adjuster['moves']): Adjuster => ({
    id,
    name,
    kind: 'slide',
    axis,
    range: [-range, range],
    step: 0.0005,
    value: 0,
    moves: [...moves],
  });
  const body = (id: string) => ({ kind: 'body' as const, id });
  const pivot = (id: string) => ({ kind: 'pivot' as const, id });
  const part = (id: string) => ({ kind: 'part' as const, id });
  const friction = {
    value: bearing.friction,
    spread: 0.4 * bearing.friction,
    source: `friction of ${bearing.name}, a guess: measure yours`,
  };
  return {
    bodies: [
      {
        id: 'grip-body',
        name: 'grip',
        nodes: [],
        members: [],
        joints: [],
        stations: [],
        parts: [
          {
            ...foamGrip({
              id: 'grip',
              at: [0, 0, lay.high + 0.09],
              axis: [0, 0, 1],
              length: d['gripLength']!,
              inside: 0.022,
            }),
          },
          {
            id: 'grip-rod',
            name: 'grip rod M8',
            shape: { kind: 'tube', outerRadius: 0.004, innerRadius: 0, length: d['gripLength']! + 0.04 },
            at: [0, 0, lay.high + 0.08],
            material: 'steel',
            supply: { item: 'bolt M8 × 160 with nuts', packOf: 1, packPrice: 1.4 },
          },
        ],
      },
      {
        id: 'pan-arm',
        name: 'pan arm',
        nodes: [
          { id: 'roll-hub', at: [lay.rollAt, 0, 0] },
          { id: 'pan-corner', at: [lay.rollAt, 0, lay.high] },
          { id: 'pan-top', at: [0.02, 0, lay.high] },
        ],
        members: [
          straight('drop', 'pan arm, upright', 'roll-hub', 'pan-corner'),
          straight('top', 'pan arm, top', 'pan-corner', 'pan-top'),
        ],
        joints: [joint('pan-corner-joint', 'pan-corner', ['drop', 'top'])],
        parts: [
          hub('pan-bearing', 'pan bearing', [0, 0, lay.high + lay.outside / 2 + GAP / 2], 'z'),
          hub('roll-bearing', 'roll bearing', [lay.rollAt + lay.outside / 2 + GAP / 2, 0, 0], 'x'),
          endCap({ id: 'pan-cap', at: [0.02, 0, lay.high], axis: [1, 0, 0], across: lay.outside }),
        ],
        stations: [],
      },
      {
        id: 'roll-arm',
        name: 'roll arm',
        nodes: [
          { id: 'left-front', at: [0.015, lay.arm, 0], twin: 'right-front' },
          { id: 'left-rear', at: [-d['reach']!, lay.arm, 0], twin: 'right-rear' },
          { id: 'right-rear', at: [-d['reach']!, -lay.arm, 0], twin: 'left-rear' },
          { id: 'right-front', at: [0.015, -lay.arm, 0], twin: 'left-front' },
        ],
        members: [
          straight('arm-left', 'roll arm, left', 'left-rear', 'left-front', 'arm-right'),
          straight('back', 'roll arm, back', 'left-rear', 'right-rear'),
          straight('arm-right', 'roll arm, right', 'right-rear', 'right-front', 'arm-left'),
        ],
        joints: [
          joint('rear-left-joint', 'left-rear', ['arm-left', 'back']),
          joint('rear-right-joint', 'right-rear', ['back', 'arm-right']),
        ],
        parts: [
          hub('tilt-bearing-left', 'tilt bearing', [0, lay.half + CHEEK + GAP / 2, 0], 'y', 'tilt-bearing-right'),
          hub('tilt-bearing-right', 'tilt bearing', [0, -lay.half - CHEEK - GAP / 2, 0], 'y', 'tilt-bearing-left'),
          endCap({ id: 'left-cap', at: [0.015, lay.arm, 0], axis: [1, 0, 0], across: lay.outside, twin: 'right-cap' }),
          endCap({ id: 'right-cap', at: [0.015, -lay.arm, 0], axis: [1, 0, 0], across: lay.outside, twin: 'left-cap' }),
        ],
        stations: [],
      },
      {
        id: 'cradle',
        name: 'tilt cradle',
        nodes: [],
        members: [],
        joints: [],
        stations: [],
        parts: [
          {
            ...plate({
              id: 'camera-plate',
              name: 'camera plate',
              middle: [d['cameraForward']!, 0, base[2]],
              size: [0.09, 2 * lay.half - 0.004, 0.006],
              material: 'birchPly',
              mount: true,
              supply: { item: 'plywood 6 mm, offcut', packOf: 2, packPrice: 1.5 },
            }),
            screw: { diameter: 0.00635, length: 0.0127, passes: 0.008 },
          },
          cheek('cheek-left', 1, 'cheek-right'),
          cheek('cheek-right', -1, 'cheek-left'),
        ],
      },
    ],
    pivots: [
      {
        id: 'pan',
        name: 'pan axis',
        kind: 'hinge',
        at: [0, 0, lay.high],
        axis: [0, 0, 1],
        heldBy: 'grip-body',
        carries: 'pan-arm',
        frictionTorque: friction,
      },
      {
        id: 'roll',
        name: 'roll axis',
        kind: 'hinge',
        at: [lay.rollAt, 0, 0],
        axis: [1, 0, 0],
        heldBy: 'pan-arm',
        carries: 'roll-arm',
        frictionTorque: friction,
      },
      {
        id: 'tilt',
        name: 'tilt axis',
        kind: 'hinge',
        at: [0, 0, 0],
        axis: [0, 1, 0],
        heldBy: 'roll-arm',
        carries: 'cradle',
        frictionTorque: friction,
        stops: [-Math.PI / 2, Math.PI / 2],
      },
    ],
    contacts: [
      {
        id: 'hand-on-grip',
        name: 'hand',
        kind: 'hand',
        body: 'grip-body',
        at: [0, 0, lay.high + 0.09],
        direction: [0, 0, 1],
      },
    ],
    poses: [
      { id: 'low', name: 'Carried low, arm hanging', contacts: ['hand-on-grip'], arm: 0.12 },
      { id: 'waist', name: 'Before the chest, arm bent', contacts: ['hand-on-grip'], arm: 0.3 },
    ],
    adjusters: [
      slide('camera-fore-aft', 'Camera, fore and aft', [1, 0, 0], 0.04, [part('camera-plate')]),
      slide('camera-height', 'Camera, up and down', [0, 0, 1], 0.02, [part('camera-plate')]),
      slide('camera-side', 'Camera, side to side', [0, 1, 0], 0.015, [part('camera-plate')]),
      slide('arm-height', 'Roll arm, up and down', [0, 0, 1], 0.02, [body('cradle'), body('roll-arm'), pivot('tilt')]),
      slide('pan-fore-aft', 'Pan arm, fore and aft', [1, 0, 0], 0.08, [
        body('cradle'),
        body('roll-arm'),
        body('pan-arm'),
        pivot('tilt'),
        pivot('roll'),
      ]),
    ],
  };
}

const dimensions = [
  lengthSpec('width', 'Inside width', 'cheek-left', 0.15, 0.09, 0.3, 'Between the cradle’s cheeks.'),
  lengthSpec(
    'drop',
    'Camera plate under the tilt axis',
    'camera-plate',
    0.045,
    0.015,
    0.15,
    'So that the camera’s mass centre lies on the axis.',
  ),
  lengthSpec(
    'cameraForward',
    'Camera ahead of the tilt axis',
    'camera-plate',
    0,
    -0.12,
    0.1,
    'Camera hole on its plate; behind is negative.',
  ),
  lengthSpec(
    'reach',
    'Roll arm behind the axes',
    'back',
    0.13,
    0.06,
    0.35,
    'The camera’s back must swing clear of it.',
  ),
  lengthSpec('high', 'Pan arm above the axes', 'top', 0.14, 0.07, 0.35, 'The camera’s top must swing clear of it.'),
  lengthSpec('gripLength', 'Grip length', 'grip', 0.12, 0.08, 0.2, 'Above the pan bearing.'),
];
const choices = [
  choiceSpec('tube', 'Tube', 'Both arms: light and stiff.', 'tube-carbon-20x1', barOptions(ROUND_TUBES, SQUARE_TUBES)),
  choiceSpec(
    'bearings',
    'Bearings',
    'On all three axes: what they rub hides what is left unbalanced.',
    'sealed',
    Object.entries(BEARINGS).map(([id, b]) => ({ id, name: b.name })),
  ),
  choiceSpec('joined', 'Corners', 'Built in a jig.', 'glued', named({ glued: 'glued and lashed', bolted: 'bolted' })),
];

function size(load: PlacedLoad | null, hands: Hands): Sizing {
  const usual = usualInput(dimensions, choices);
  const box = loadBox(load);
  const centre = load && load.bodies.length > 0 ? massCentre(sumsOf(load.bodies)) : ([0.02, 0, 0.04] as const);
  const wide = Math.max(-box.low[1], box.high[1]);
  const width = toFiveMillimetres(within(2 * wide + 0.02, 0.09, 0.3));
  const drop = Math.round(within(centre[2], 0.015, 0.15) * 1000) / 1000;
  const cameraForward = Math.round(within(0 - centre[0], -0.12, 0.1) * 1000) / 1000 + 0;
  // The farthest corners swing round all axes: the arms stand clear of the ball that holds them.
  const swung = Math.hypot(Math.max(-(box.low[0] + cameraForward), 0.045), Math.max(box.high[2] - drop, drop + 0.006));
  const reach = toFiveMillimetres(within(swung + 0.025, 0.06, 0.35));
  const up = Math.hypot(Math.max(box.high[2] - drop, drop), wide + 0.02, Math.min(0.06, box.high[0] + cameraForward));
  const high = toFiveMillimetres(within(Math.max(up, lengthOf(width)) + 0.03, 0.07, 0.35));
  const gripLength = toFiveMillimetres(within(hands.breadth + 0.03, 0.08, 0.2));
  const reasons: Phrase[] = [
    say`The plate lies ${figure('length', drop)} under the tilt axis and the hole ${figure('length', Math.abs(cameraForward))} ${cameraForward < 0 ? 'behind' : 'ahead of'} it: your load’s mass centre is then on the axis.`,
    say`The camera’s back swings ${figure('length', swung)} round: the roll arm stands ${figure('length', reach)} behind.`,
    say`A grip of ${figure('length', gripLength)} above the pan bearing fits a hand ${figure('length', hands.breadth)} across.`,
  ];
  return {
    choices: usual.choices,
    dimensions: { ...usual.dimensions, width, drop, cameraForward, reach, high, gripLength },
    reasons,
    startValues: {},
  };
}

/** Half the roll arm's width, which swings under the pan arm too. */
const lengthOf = (width: number): number => width / 2 + CHEEK + GAP + 0.02;

function advise({ dimensions: d, choices: c }: FamilyInput): readonly Finding[] {
  return [
    {
      code: 'jig',
      severity: 'note',
      about: 'back',
      figure: figure('length', 0.001, 0),
      limit: null,
      title: say`Build it in a jig that holds all three axes through one point, within ${figure('length', 0.001, 0)}.`,
      why: say`A roll arm out of square by ${figure('length', 0.002, 0)} over its ${figure('length', d['reach']!)} moves the tilt axis off the roll axis, and no slide brings it back at every tilt.`,
      toDo:
        c['joined'] === 'glued'
          ? say`Rod through both bearings while the glue sets; measure both diagonals.`
          : say`Measure both diagonals before the bolts are pulled up.`,
      fixes: [],
    },
  ];
}

export const threeAxisFrame: Family = {
  id: 'three-axis-frame',
  name: 'Three-axis passive frame',
  summary:
    'A tilt cradle inside a roll arm inside a pan arm on bearings: the camera stays where it points while the grip turns round it.',
  goodFor: ['following through doors and over walls', 'learning what each axis does', 'slow, careful moves'],
  givesUp: 'Five slides to set for each load; wind moves it, and every arm adds to what the next must carry.',
  suits: { carries: ['waist', 'low'], moves: ['walking', 'standing still'], hands: 1, wet: false, hangs: false },
  goesWrong: [
    'The outer axis is balanced before the inner one, and all is done twice.',
    'The camera’s back strikes the roll arm when it looks up.',
    'The corners were glued out of square.',
  ],
  dimensions,
  choices,
  size,
  build,
  advise,
  drawn: (input) => {
    const lay = layOut(input);
    const { dimensions: d } = input;
    return [
      { dimension: 'reach', from: [-d['reach']!, 0, 0], to: [0, 0, 0], view: 'side', offset: 90 },
      { dimension: 'high', from: [lay.rollAt, 0, 0], to: [lay.rollAt, 0, lay.high], view: 'side', offset: -50 },
      {
        dimension: 'width',
        from: [0, lay.half, -d['drop']!],
        to: [0, -lay.half, -d['drop']!],
        view: 'front',
        offset: 60,
      },
    ];
  },
};
