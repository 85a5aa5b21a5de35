/**
 * Swivelling wooden grip: two boards of one outline glued face to face, a plate on a square-necked bolt at the top that tilts
 * or turns and is clamped by a wing nut, the camera on the plate. The hand's middle is the origin; the grip stands upright.
 */
import {
  figure,
  quaternionOfTurns,
  rotationOf,
  say,
  transform,
  type Finding,
  type Phrase,
  type Vec3,
} from '../../0-base';
import { massCentre, sumsOf, type PlacedLoad } from '../../1-load';
import type { Hands, Member, Part, Rig, StatedConnection } from '../../model';
import type { Family, FamilyInput, Sizing } from '../family';
import {
  angleSpec,
  choiceSpec,
  lengthSpec,
  loadBox,
  named,
  toFiveMillimetres,
  usualInput,
  within,
  given,
  setOn,
} from '../familyTools';
import { outlineArea } from '../outlines/outlineArea';
import { barOf, WOOD_STRIPS } from '../parts/bars';
import { intoCamera } from '../parts/camera';
import { plate } from '../parts/plate';
import { BOARD } from '../parts/ownSizes';
import { FLAT_WASHER, WING_HEIGHT } from '../hardware/sizes';

const BOLT = 0.008; // M8, square under its head so that it cannot turn in the wood
const EAR = 0.004; // the bracket's flange, clamped against the wood
const IN_WOOD = 0.03; // of an upright bolt, down to the middle of the cross dowel it is screwed into
const BARREL = { radius: 0.007, length: 0.028 };
const FACING = 0.002; // leather or rubber
const OVER_NUT = 0.0105; // between an upright bolt's wings and the plate bridging it: room for the camera's screw
const PAD = 0.0015;
/** What the ear reaches below its bolt: the hole’s width and a little, so that it does not tear out. */
const EAR_BELOW = 0.01;
const WEB_BEHIND = 0.026; // clear of the wings as they turn
const PLATE: Vec3 = [0.06, 0.045, 0.004];
/** What fingers put into a wing nut, N m. */
const TIGHT: Readonly<Record<string, { readonly name: string; readonly torque: number }>> = {
  light: { name: 'lightly', torque: 0.5 },
  firm: { name: 'firmly', torque: 1 },
  hard: { name: 'as hard as fingers go', torque: 1.8 },
};
/** Friction between the plate and what it bears on. */
const FACES: Readonly<Record<string, { readonly name: string; readonly friction: number }>> = {
  bare: { name: 'bare wood', friction: 0.3 },
  leather: { name: 'a leather washer', friction: 0.45 },
  rubber: { name: 'a rubber washer', friction: 0.6 },
};
const NUT_FACTOR = 0.2;
const SLOT = 0.03; // along the plate: the camera's screw stands anywhere in it
/** Clamp by a nut of `torque`: force T/(0.2 d) on a ring, holding (2/3) mu F (ro³ - ri³)/(ro² - ri²) at the face that matters. */
function holdOf(torque: number, friction: number, face: number): number {
  const force = torque / (NUT_FACTOR * BOLT);
  const inner = BOLT / 2;
  return (2 / 3) * friction * force * ((face ** 3 - inner ** 3) / (face ** 2 - inner ** 2));
}

function layOut({ dimensions: d, choices, own }: FamilyInput) {
  const stock = barOf(choices['wood']!, own);
  if (stock.section.kind !== 'flat') throw new TypeError('the outlines are sawn from board');
  const board = stock.section.thickness;
  const top = d['handBelow']!;
  const across = choices['turns'] === 'tilt';
  // Tilting, the bolt goes level through both boards; turning, it stands upright in the grip's top.
  const boltAt: Vec3 = across ? [0, 0, top - 0.015] : [0, 0, top];
  // On top of the wood: what rubs, the plate's foot, a washer, the wings.
  const facing = choices['facing'] === 'bare' ? 0 : FACING;
  const above = facing + EAR + FLAT_WASHER.thick.of(M8)! + WING_HEIGHT.of(M8)!;
  return { stock, board, width: stock.section.width, top, across, boltAt, facing, above };
}
const M8 = { name: 'M8' };

const ROUND = 0.009; // at the grip's foot
const PALM = 0.004; // swell of the back into the palm
const STEPS = 48;

/**
 * The boards' outline, from the foot up: the front with a hollow for each finger round the hand's middle, the back swelling
 * into the palm, the foot rounded, the top left square for the bolt.
 */
function handOutline({ dimensions: d }: FamilyInput, width: number): readonly (readonly [number, number])[] {
  const long = d['grip']!;
  const half = width / 2;
  const middle = long - d['handBelow']!;
  const finger = d['knuckles']! / 4;
  const rounded = (along: number): number =>
    along >= ROUND ? 0 : ROUND - Math.sqrt(Math.max(0, ROUND ** 2 - (ROUND - along) ** 2));
  const front = (along: number): number => {
    const place = (along - (middle - 2 * finger)) / finger;
    const hollow = place < 0 || place > 4 ? 0 : (d['hollows']! * (1 - Math.cos(2 * Math.PI * place))) / 2;
    return half - hollow - rounded(along);
  };
  const back = (along: number): number =>
    -half + PALM * (1 - Math.sin(Math.min(1, along / long) * Math.PI)) + rounded(along);
  const up = Array.from({ length: STEPS + 1 }, (_, i) => (long * i) / STEPS);
  return [...up.map((a) => [a, front(a)] as const), ...[...up].reverse().map((a) => [a, back(a)] as const)];
}

function build(input: FamilyInput): Rig {
  const { dimensions: d, choices } = input;
  const lay = layOut(input);
  const bottom = lay.top - d['grip']!;
  const outline = handOutline(input, lay.width);
  const boards: Member[] = [
    ['left', 1],
    ['right', -1],
  ].map(([side]) => ({
    id: `board-${side}`,
    name: `${side} board`,
    from: `${side}-low`,
    to: `${side}-high`,
    stock: lay.stock,
    leftLong: 0.005,
    outline: [...outline],
    path: { kind: 'straight', widthDirection: [1, 0, 0] },
    twin: `board-${side === 'left' ? 'right' : 'left'}`,
    holes: [],
  }));
  const nodes = (
    [
      ['left', 1],
      ['right', -1],
    ] as const
  ).flatMap(([side, s]) => [
    {
      id: `${side}-low`,
      at: [0, (s * lay.board) / 2, bottom] as Vec3,
      twin: `${side === 'left' ? 'right' : 'left'}-low`,
    },
    {
      id: `${side}-high`,
      at: [0, (s * lay.board) / 2, lay.top] as Vec3,
      twin: `${side === 'left' ? 'right' : 'left'}-high`,
    },
  ]);
  const turn = lay.across
    ? quaternionOfTurns({ toTheLeft: 0, noseDown: d['tilt']!, leftSideDown: 0 })
    : quaternionOfTurns({ toTheLeft: d['tilt']!, noseDown: 0, leftSideDown: 0 });
  const about = (p: Vec3): Vec3 => {
    const r = transform(rotationOf(turn), [p[0] - lay.boltAt[0], p[1] - lay.boltAt[1], p[2] - lay.boltAt[2]]);
    return [lay.boltAt[0] + r[0], lay.boltAt[1] + r[1], lay.boltAt[2] + r[2]];
  };
  // Turning, the plate bridges the nut: the camera stands clear of it.
  const rise = lay.across ? d['plateAbove']! : lay.above + OVER_NUT;
  const middle: Vec3 = [d['cameraForward']!, 0, lay.boltAt[2] + rise + PLATE[2] / 2];
  const onPlate: Vec3 = [middle[0], 0, middle[2] + PLATE[2] / 2];
  const ahead = transform(rotationOf(turn), [1, 0, 0]);
  const upward = transform(rotationOf(turn), [0, 0, 1]);
  const earY = lay.board + lay.facing + EAR / 2;
  const face = d['face']! / 2;
  const held = clampOf(lay, face);
  const head: Part[] = [
    ...held.facing,
    {
      ...plate({
        id: 'camera-plate',
        name: 'turning plate',
        middle: about(middle),
        size: PLATE,
        material: 'aluminium',
        supply: { item: 'aluminium angle 50 × 45 × 4', packOf: 1, packPrice: 3.2, sawn: 'length' },
      }),
      turn,
    },
    {
      id: 'camera-pad',
      name: 'rubber pad under the camera',
      shape: { kind: 'box', size: [0.03, 0.03, PAD] },
      at: about([middle[0], 0, onPlate[2] + PAD / 2]),
      turn,
      material: 'rubberFoam',
      mount: about([middle[0], 0, onPlate[2] + PAD]),
      mountTurn: turn,
      supply: { item: 'rubber sheet, a hand wide', packOf: 4, packPrice: 3, sawn: 'sheet' },
    },
    ...(lay.across
      ? []
      : [
          {
            id: 'ear',
            name: 'foot of the plate',
            of: 'camera-plate',
            shape: { kind: 'box' as const, size: [0.02 + WEB_BEHIND, 0.04, EAR] as Vec3 },
            at: about([(0.02 - WEB_BEHIND) / 2, 0, lay.boltAt[2] + lay.facing + EAR / 2]),
            turn,
            material: 'aluminium',
          },
          {
            id: 'web',
            name: 'web between foot and plate',
            of: 'camera-plate',
            shape: { kind: 'box' as const, size: [EAR, 0.04, rise - EAR - lay.facing] as Vec3 },
            at: about([EAR / 2 - WEB_BEHIND, 0, lay.boltAt[2] + (rise + EAR + lay.facing) / 2]),
            turn,
            material: 'aluminium',
          },
        ]),
    ...(lay.across
      ? [
          {
            id: 'ear',
            name: 'ear of the plate',
            of: 'camera-plate',
            shape: { kind: 'box' as const, size: [0.03, EAR, rise + EAR_BELOW] as Vec3 },
            at: about([0, earY, lay.boltAt[2] + (rise - EAR_BELOW) / 2]),
            turn,
            material: 'aluminium',
          },
        ]
      : []),
  ];
  return {
    bodies: [
      {
        id: 'handle',
        name: 'handle',
        nodes,
        members: boards,
        joints: [],
        stations: [],
        connections: [
          {
            kind: 'bonded',
            id: 'glue-line',
            name: 'glue line',
            piece: 'board-left',
            to: 'board-right',
            glue: 'wood',
            area: outlineArea(outline),
          },
          ...held.connections,
        ],
        parts: [...held.parts],
      },
      {
        id: 'head',
        name: 'turning plate with camera',
        nodes: [],
        members: [],
        joints: [],
        parts: head,
        stations: [],
        connections: [
          intoCamera({
            on: 'camera-pad',
            point: about([middle[0], 0, middle[2] - PLATE[2] / 2]),
            way: upward,

            washer: 'flat',
            stack: [
              { kind: 'piece', piece: 'camera-plate' },
              { kind: 'piece', piece: 'camera-pad' },
            ],
          }),
        ],
      },
    ],
    pivots: [
      {
        id: 'clamp',
        name: 'wing-nut clamp',
        kind: lay.across ? 'hinge' : 'swivel',
        at: lay.boltAt,
        axis: lay.across ? [0, 1, 0] : [0, 0, 1],
        heldBy: 'handle',
        carries: 'head',
        clamped: true,
        frictionTorque: {
          value: holdOf(TIGHT[choices['tight']!]!.torque, FACES[choices['facing']!]!.friction, face),
          source: 'nut torque, friction and face as chosen; rough',
        },
      },
    ],
    contacts: [{ id: 'hand-on-grip', name: 'hand', kind: 'hand', body: 'handle', at: [0, 0, 0], direction: [0, 0, 1] }],
    poses: [
      { id: 'carried', name: 'In one hand, arm bent', contacts: ['hand-on-grip'], arm: 0.3 },
      { id: 'close', name: 'Elbow on the ribs', contacts: ['hand-on-grip'], arm: 0.18 },
    ],
    adjusters: [
      {
        id: 'camera-along',
        name: 'Camera, along its slot',
        kind: 'slide',
        axis: ahead,
        range: [-SLOT / 2, SLOT / 2],
        step: 0.0005,
        value: 0,
        moves: [{ kind: 'part', id: 'camera-pad' }],
      },
    ],
  };
}

/** The bolt the plate turns on, what rubs under the plate, and for an upright bolt the cross dowel that holds it in the wood. */
function clampOf(
  lay: ReturnType<typeof layOut>,
  face: number,
): {
  readonly parts: readonly Part[];
  /** Goes round with the plate. */
  readonly facing: readonly Part[];
  readonly connections: readonly StatedConnection[];
} {
  const facing: Part[] =
    lay.facing === 0
      ? []
      : [
          {
            id: 'facing',
            name: 'washer that rubs',
            shape: { kind: 'tube', outerRadius: face, innerRadius: BOLT / 2 + 0.0002, length: FACING },
            at: lay.across ? [0, lay.board + FACING / 2, lay.boltAt[2]] : [0, 0, lay.top + FACING / 2],
            ...(lay.across ? { turn: [Math.SQRT1_2, Math.SQRT1_2, 0, 0] as const } : {}),
            material: 'rubberFoam',
            supply: { item: `leather or rubber washer ${Math.round(2000 * face)} mm`, packOf: 2, packPrice: 1.5 },
          },
        ];
  const rubs = facing.map((p) => ({ kind: 'piece' as const, piece: p.id }));
  const foot = { kind: 'piece' as const, piece: 'camera-plate' };
  if (lay.across)
    return {
      parts: [],
      facing,
      connections: [
        {
          kind: 'bolted',
          id: 'clamp-bolt',
          name: 'bolt the plate tilts on',
          on: 'board-right',
          point: [0, -lay.board, lay.boltAt[2]],
          way: [0, 1, 0],
          thread: 'M8',
          // Its square neck keeps it from turning in the wood.
          head: 'square',
          stack: [{ kind: 'piece', piece: 'board-right' }, { kind: 'piece', piece: 'board-left' }, ...rubs, foot],
          end: { kind: 'wing' },
          packs: true,
        },
      ],
    };
  const barrel: Part = {
    id: 'barrel',
    name: 'cross dowel M8',
    shape: {
      kind: 'tube',
      outerRadius: BARREL.radius,
      innerRadius: 0,
      length: Math.min(BARREL.length, 2 * lay.board - 0.004),
    },
    at: [0, 0, lay.top - IN_WOOD],
    turn: [Math.SQRT1_2, Math.SQRT1_2, 0, 0],
    material: 'steel',
    supply: { item: 'cross dowel M8, 14 mm', packOf: 4, packPrice: 2.8 },
    drilled: true,
  };
  return {
    parts: [barrel],
    facing,
    connections: [
      { kind: 'seated', id: 'barrel-left', name: 'cross dowel', piece: 'barrel', in: 'board-left', bored: true },
      { kind: 'seated', id: 'barrel-right', name: 'cross dowel', piece: 'barrel', in: 'board-right', bored: true },
      {
        kind: 'bolted',
        id: 'clamp-bolt',
        name: 'stud the plate turns on',
        on: 'barrel',
        point: [0, 0, lay.top + lay.facing + EAR],
        way: [0, 0, -1],
        thread: 'M8',
        head: 'wing',
        rod: true,
        washer: 'flat',
        // Down a groove between the boards.
        inside: ['board-right', 'board-left'],
        stack: [foot, ...rubs, { kind: 'bare', length: IN_WOOD - BARREL.radius, plusMinus: 0 }],
        end: { kind: 'tapped', piece: 'barrel', depth: 2 * BARREL.radius, in: 'steel' },
        packs: true,
      },
    ],
  };
}

const dimensions = [
  lengthSpec('grip', 'Grip length', 'board-left', 0.135, 0.09, 0.22, 'Both boards, of one outline.'),
  lengthSpec(
    'handBelow',
    'Hand below the top',
    'hand-on-grip',
    0.06,
    0.04,
    0.14,
    'The hand’s middle from the grip’s top.',
  ),
  given(
    'measured',
    lengthSpec('knuckles', 'Closed hand, across', 'board-left', 0.088, 0.06, 0.12, 'Four fingers’ hollows share it.'),
  ),
  lengthSpec('hollows', 'Finger hollows', 'board-left', 0.004, 0, 0.009, 'How deep; none for gloves.'),
  lengthSpec(
    'plateAbove',
    'Plate above the bolt',
    'camera-plate',
    0.024,
    0.018,
    0.08,
    'When it tilts: the nearer the camera’s mass to the bolt, the less must be held.',
  ),
  setOn(
    'camera-along',
    lengthSpec(
      'cameraForward',
      'Camera ahead of the bolt',
      'camera-plate',
      0,
      -0.06,
      0.06,
      'The middle of the slot in the plate.',
    ),
  ),
  lengthSpec(
    'face',
    'Clamping face, across',
    'clamp',
    0.03,
    0.016,
    0.06,
    'Washer or plate that rubs: the wider, the better it holds.',
  ),
  given(
    'shot',
    angleSpec(
      'tilt',
      'Set to',
      'camera-pad',
      0,
      -90,
      90,
      'Nose down, or turned to the left; up and right are negative.',
    ),
  ),
];
const choices = [
  choiceSpec(
    'wood',
    'Boards',
    'Two, glued face to face.',
    'oak-45x18',
    Object.entries(WOOD_STRIPS)
      .filter(([id]) => !id.startsWith('printed'))
      .map(([id, s]) => ({ id, name: s.name })),
    BOARD,
  ),
  choiceSpec(
    'turns',
    'The plate',
    'About a level bolt, or an upright one.',
    'tilt',
    named({ tilt: 'tilts', turn: 'turns' }),
  ),
  choiceSpec(
    'tight',
    'Wing nut tightened',
    'By hand, never with pliers.',
    'firm',
    Object.entries(TIGHT).map(([id, t]) => ({ id, name: t.name })),
  ),
  choiceSpec(
    'facing',
    'Plate bears on',
    'What rubs when it slips.',
    'leather',
    Object.entries(FACES).map(([id, f]) => ({ id, name: f.name })),
  ),
];

function size(load: PlacedLoad | null, hands: Hands): Sizing {
  const usual = usualInput(dimensions, choices);
  const box = loadBox(load);
  const grip = toFiveMillimetres(within(hands.breadth + 0.055, 0.09, 0.22));
  const handBelow = toFiveMillimetres(within(hands.breadth / 2 + 0.03, 0.04, 0.14));
  const centre = load && load.bodies.length > 0 ? massCentre(sumsOf(load.bodies)) : ([0, 0, 0.03] as const);
  const cameraForward = Math.round(within(-centre[0], -0.06, 0.06) * 1000) / 1000 + 0;
  const worst = box.mass * 9.81 * Math.hypot(centre[2] + 0.024 + PLATE[2], centre[0] + cameraForward);
  // The least that holds it half as much again, with the camera abeam.
  const picks = Object.keys(FACES)
    .flatMap((facing) =>
      [0.03, 0.04, 0.05, 0.06].map((face) => ({
        facing,
        face,
        hold: holdOf(TIGHT['firm']!.torque, FACES[facing]!.friction, face / 2),
      })),
    )
    .filter((p) => p.facing !== 'bare');
  const enough = picks.filter((p) => p.hold >= 1.6 * worst).sort((a, b) => a.face - b.face)[0] ?? picks.at(-1)!;
  const reasons: Phrase[] = [
    say`Your hand is ${figure('length', hands.breadth)} across: the outline is ${figure('length', grip)} long, held ${figure('length', handBelow)} under its top.`,
    say`The camera stands ${figure('length', Math.abs(cameraForward))} ${cameraForward >= 0 ? 'ahead of' : 'behind'} the bolt, its mass over it.`,
    say`Laid over, the camera tips the clamp with ${figure('torque', worst)}; ${FACES[enough.facing]!.name} ${figure('length', enough.face)} across holds ${figure('torque', enough.hold)} with the nut tightened firmly.`,
  ];
  return {
    choices: { ...usual.choices, facing: enough.facing },
    dimensions: {
      ...usual.dimensions,
      grip,
      handBelow,
      cameraForward,
      face: enough.face,
      knuckles: within(hands.breadth, 0.06, 0.12),
    },
    reasons,
    startValues: {},
  };
}

function advise(input: FamilyInput): readonly Finding[] {
  return [
    {
      code: 'outlinePattern',
      severity: 'note',
      about: 'board-left',
      figure: null,
      limit: null,
      title: say`Print the outline full size: “On paper”, from the side, 1 : 1.`,
      why: say`Its hollows are for a hand ${figure('length', input.dimensions['knuckles']!)} across; the bar on the sheet shows whether the printer kept the scale.`,
      toDo: say`Glue the print on one board, saw both together outside the line, and rasp to it with your own hand as the judge.`,
      fixes: [],
    },
    {
      code: 'socketByHand',
      severity: 'note',
      about: 'camera-pad',
      figure: null,
      limit: null,
      title: say`Tighten the camera’s own screw by two fingers only.`,
      why: say`A camera’s socket is held by thin metal or plastic; more than a finger’s pull strips or lifts it. The clamp is tightened at the wing nut, not there.`,
      toDo: say`If it turns on its plate, put cork or rubber between, or a pin.`,
      fixes: [],
    },
  ];
}

export const swivelGrip: Family = {
  id: 'swivel-grip',
  name: 'Swivelling wooden grip',
  summary:
    'Two boards glued to the outline of your hand, a plate on a square-necked bolt that tilts or turns, clamped by a wing nut.',
  goodFor: ['one hand, elbow on the ribs', 'high and low angles', 'an evening with wood'],
  givesUp: 'It steadies only what your elbow does, and holds only what its clamp rubs.',
  suits: {
    carries: ['eye level', 'waist', 'low', 'overhead'],
    moves: ['tight spaces', 'standing still'],
    hands: 1,
    wet: false,
    hangs: false,
    loadAtMost: 1.2,
  },
  goesWrong: [
    'The clamp slips when the camera is laid over.',
    'The camera’s socket is stripped by tightening there instead of at the nut.',
    'End grain splits at the bolt’s square neck: pilot it.',
  ],
  dimensions,
  choices,
  size,
  build,
  advise,
  drawn: (input) => {
    const lay = layOut(input);
    return [
      {
        dimension: 'grip',
        from: [0, 0, lay.top],
        to: [0, 0, lay.top - input.dimensions['grip']!],
        view: 'side',
        offset: 80,
      },
      { dimension: 'handBelow', from: [0, 0, lay.top], to: [0, 0, 0], view: 'side', offset: -70 },
    ];
  },
};
