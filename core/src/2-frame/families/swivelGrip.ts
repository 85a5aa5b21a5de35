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
import type { Hands, Joint, Member, Part, PartHole, Rig } from '../../model';
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
} from '../familyTools';
import { WOOD_STRIPS } from '../parts/bars';
import { wingNut } from '../parts/hardware';
import { plate } from '../parts/plate';

const BOLT = 0.008; // M8, square under its head so that it cannot turn in the wood
const WASHER = { outer: 0.012, inner: 0.0042, thickness: 0.0016 };
const WING = 0.012; // the wing nut's own height
const BOLTS_SOLD = [0.04, 0.05, 0.06, 0.07, 0.08, 0.1, 0.12];
const EAR = 0.004; // the bracket's flange, clamped against the wood
const NECK_IN_WOOD = 0.03; // of an upright bolt
const OVER_NUT = 0.002; // between an upright bolt's nut and the plate bridging it
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
const SCREW: Pick<Part, 'id' | 'name' | 'material' | 'mass' | 'supply'> = {
  id: 'camera-screw',
  name: 'camera screw in its slot',
  material: 'steel',
  mass: { value: 0.009, spread: 0.002, source: 'mass of camera screw' },
  supply: { item: '1/4-20 screw with flat head, 9.5 mm', packOf: 1, packPrice: 0.9 },
};

/** Clamp by a nut of `torque`: force T/(0.2 d) on a ring, holding (2/3) mu F (ro³ - ri³)/(ro² - ri²) at the face that matters. */
function holdOf(torque: number, friction: number, face: number): number {
  const force = torque / (NUT_FACTOR * BOLT);
  const inner = BOLT / 2;
  return (2 / 3) * friction * force * ((face ** 3 - inner ** 3) / (face ** 2 - inner ** 2));
}

function layOut({ dimensions: d, choices }: FamilyInput) {
  const stock = WOOD_STRIPS[choices['wood']!]!;
  if (stock.section.kind !== 'flat') throw new TypeError('the outlines are sawn from board');
  const board = stock.section.thickness;
  const top = d['handBelow']!;
  const across = choices['turns'] === 'tilt';
  // Tilting, the bolt goes level through both boards; turning, it stands upright in the grip's top.
  const boltAt: Vec3 = across ? [0, 0, top - 0.015] : [0, 0, top];
  const stack = across
    ? 2 * board + EAR + 2 * WASHER.thickness + WING
    : NECK_IN_WOOD + EAR + 2 * WASHER.thickness + WING;
  const bolt = BOLTS_SOLD.find((l) => l >= stack) ?? BOLTS_SOLD.at(-1)!;
  return { stock, board, width: stock.section.width, top, across, boltAt, stack, bolt };
}

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
    holes: lay.across
      ? [
          {
            id: `bolt-hole-${side}`,
            name: 'square-necked bolt',
            along: d['grip']! - 0.015,
            across: 0,
            diameter: BOLT + 0.0003,
            afterBending: false,
          },
        ]
      : [],
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
  const rise = lay.across ? d['plateAbove']! : lay.stack - NECK_IN_WOOD + OVER_NUT;
  const middle: Vec3 = [d['cameraForward']!, 0, lay.boltAt[2] + rise + PLATE[2] / 2];
  const mount: Vec3 = [middle[0], 0, middle[2] + PLATE[2] / 2];
  const ahead = transform(rotationOf(turn), [1, 0, 0]);
  const slot: PartHole = {
    at: about(middle),
    axis: transform(rotationOf(turn), [0, 0, 1]),
    diameter: 0.0066,
    slot: [ahead[0] * SLOT, ahead[1] * SLOT, ahead[2] * SLOT],
  };
  const earY = lay.board + EAR / 2;
  const joints: Joint[] = [
    {
      id: 'glue-line',
      name: 'glued face to face',
      node: 'left-low',
      fitting: 'glue',
      joins: ['board-left', 'board-right'],
      reversible: false,
      dryingTime: 12 * 3600,
    },
    {
      id: 'wing-joint',
      name: 'wing nut',
      node: 'left-high',
      fitting: 'boltThrough',
      joins: ['board-left', 'camera-plate'],
      reversible: true,
      packs: true,
    },
  ];
  const head: Part[] = [
    {
      ...plate({
        id: 'camera-plate',
        name: 'turning plate',
        middle: about(middle),
        size: PLATE,
        material: 'aluminium',
        holes: [slot],
        supply: { item: 'aluminium angle 50 × 45 × 4', packOf: 1, packPrice: 3.2 },
      }),
      turn,
    },
    {
      ...SCREW,
      shape: { kind: 'tube', outerRadius: 0.006, innerRadius: 0, length: 0.003 },
      at: about([middle[0], 0, middle[2] - PLATE[2] / 2 - 0.0015]),
      turn,
      mount: about(mount),
      mountTurn: turn,
      screw: { diameter: 0.00635, length: 0.0095, passes: PLATE[2] + 0.0009 },
    },
    ...(lay.across
      ? []
      : [
          {
            id: 'ear',
            name: 'foot of the plate',
            shape: { kind: 'box' as const, size: [0.04, 0.04, EAR] as Vec3 },
            at: about([0, 0, lay.boltAt[2] + EAR / 2]),
            turn,
            material: 'aluminium',
          },
          {
            id: 'web',
            name: 'web between foot and plate',
            shape: { kind: 'box' as const, size: [EAR, 0.04, rise - EAR] as Vec3 },
            at: about([-0.02, 0, lay.boltAt[2] + (rise + EAR) / 2]),
            turn,
            material: 'aluminium',
          },
        ]),
    ...(lay.across
      ? [
          {
            id: 'ear',
            name: 'ear of the plate',
            shape: { kind: 'box' as const, size: [0.03, EAR, rise + 0.015] as Vec3 },
            at: about([0, earY, lay.boltAt[2] + rise / 2]),
            turn,
            material: 'aluminium',
          },
        ]
      : []),
  ];
  const face = d['face']! / 2;
  return {
    bodies: [
      {
        id: 'handle',
        name: 'handle',
        nodes,
        members: boards,
        joints: [joints[0]!],
        stations: [],
        parts: [
          {
            id: 'bolt',
            name: `square-necked bolt M8 × ${Math.round(lay.bolt * 1000)}`,
            shape: { kind: 'tube', outerRadius: BOLT / 2, innerRadius: 0, length: lay.bolt },
            at: lay.across ? [0, 0, lay.boltAt[2]] : [0, 0, lay.top - NECK_IN_WOOD + lay.bolt / 2],
            ...(lay.across ? { turn: [Math.SQRT1_2, Math.SQRT1_2, 0, 0] as const } : {}),
            material: 'steel',
            supply: { item: `square-necked bolt M8 × ${Math.round(lay.bolt * 1000)}`, packOf: 1, packPrice: 0.8 },
          },
          {
            ...wingNut({
              id: 'wing-nut',
              at: lay.across
                ? [0, lay.board + EAR + 2 * WASHER.thickness + WING / 2, lay.boltAt[2]]
                : [0, 0, lay.top + lay.stack - NECK_IN_WOOD - WING / 2],
              axis: lay.across ? [0, 1, 0] : [0, 0, 1],
            }),
            name: 'wing nut M8',
          },
        ],
      },
      { id: 'head', name: 'turning plate with camera', nodes: [], members: [], joints: [], parts: head, stations: [] },
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
        moves: [{ kind: 'part', id: 'camera-screw' }],
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
  lengthSpec(
    'cameraForward',
    'Camera ahead of the bolt',
    'camera-plate',
    0,
    -0.06,
    0.06,
    'The middle of the slot in the plate.',
  ),
  lengthSpec(
    'face',
    'Clamping face, across',
    'ear',
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
      'camera-screw',
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
  const lay = layOut(input);
  const out = lay.bolt - lay.stack;
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
      code: 'boltLength',
      severity: lay.bolt < lay.stack ? 'stop' : 'note',
      about: 'bolt',
      figure: figure('length', lay.bolt),
      limit: figure('length', lay.stack),
      title:
        lay.bolt < lay.stack
          ? say`No bolt sold is as long as the stack of ${figure('length', lay.stack)}.`
          : say`Take a bolt of ${figure('length', lay.bolt)}: ${figure('length', out)} sticks out beyond the nut.`,
      why: lay.across
        ? say`Two boards of ${figure('length', lay.board)}, the plate’s ear ${figure('length', EAR)}, two washers and a wing nut ${figure('length', WING)} make ${figure('length', lay.stack)}.`
        : say`The neck in the wood, the plate, two washers and the wing nut make ${figure('length', lay.stack)}.`,
      toDo:
        lay.bolt < lay.stack
          ? say`Thinner boards.`
          : say`Cut it back and round it, or turn the head to the side where no knuckle is.`,
      fixes: [],
    },
    {
      code: 'socketByHand',
      severity: 'note',
      about: 'camera-screw',
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
