/**
 * Self-filming grip: an L, its upright in the hand, its shelf under a small camera that looks back at whoever holds it.
 * A screw holds the camera, a pin beside it keeps it from turning. The hand's middle is the origin; the shelf is level.
 */
import {
  addScaled,
  cross,
  DEGREE,
  figure,
  fromColumns,
  materialOf,
  quaternionOf,
  say,
  type Finding,
  type Phrase,
  type Vec3,
} from '../../0-base';
import { massCentre, sumsOf, type PlacedLoad } from '../../1-load';
import type { Hands, Joint, Member, Node, Part, Rig, StatedConnection, Stock } from '../../model';
import type { Family, FamilyInput, Sizing } from '../family';
import {
  angleSpec,
  choiceSpec,
  namesOf,
  lengthSpec,
  loadBox,
  named,
  toFiveMillimetres,
  usualInput,
  within,
  given,
  setOn,
} from '../familyTools';
import { followBends, neutralFractionFor, stripStart } from '../members/bend';
import { barOf, WOOD_STRIPS } from '../parts/bars';
import { intoCamera } from '../parts/camera';
import { FLAT_BARS } from '../parts/flatBars';
import { gripOnPipe, strap } from '../parts/hardware';
import { CLIP_FACE, pipeClip } from '../parts/pipeClip';
import { pipeOf } from '../parts/pipes';
import { plate } from '../parts/plate';
import { ANY_FLAT } from '../parts/ownSizes';
import { pipework, type Bare } from '../fittings/pipework';

const SCREW = 0.00635; // 1/4-20
const PAD = 0.0015; // of rubber under the camera: its hole, a size small, keeps the screw on the shelf
const PIN_OUT = 0.0035; // of the pin, into the camera
const WOOD_SCREW = { diameter: 0.004, into: 0.022 };
const BEND_INSIDE = 0.012; // of a metal strip's corner
const THIN = 0.008; // a strip under this is bent, not joined
const WRAP = 0.003;
const PIPE = 'pvc/1/2';
const PLATE_THICKNESS = 0.006;
const SLEEVE = 0.1; // of foam or wrap under the hand
const WRAP_UNDER = 0.006; // of a leaning grip's wrap from the shelf
const WRAP_CLEAR = 0.001;
const STRAP = { from: 0.015, thick: 0.003, wide: 0.02 }; // of the wrist strap from the grip's end
const WRIST_EASY = 25 * DEGREE;
const HAND_HIGHEST = 0.05;
const HAND_FROM_END = 0.03;
const CLEAR_OF_GRIP = 0.02; // of the camera's hole from the corner: a washer lies under the shelf, beside the grip

const STRIPS: Readonly<Record<string, Stock>> = { ...WOOD_STRIPS, 'aluminium-30x6': FLAT_BARS['aluminium-30x6']! };

interface Layout {
  readonly nodes: readonly Node[];
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
  /** The face the camera stands on, over the hole, and how much the screw passes under it. */
  readonly top: number;
  /** What the camera's screw passes below its pad, and how thick that is. */
  readonly under: string;
  readonly thickness: number;
  readonly parts: readonly Part[];
  readonly connections: readonly StatedConnection[];
  /** Of the grip, the way it lies fore and aft. */
  readonly deep: number;
  /** Of a grip of pipe, what stands free of its fittings. */
  readonly bare?: Bare;
  readonly down: Vec3;
  readonly corner: Vec3;
  readonly outside: number;
}

function layOut(input: FamilyInput): Layout {
  return input.choices['make'] === 'pipe' ? pipes(input) : strips(input, barOf(input.choices['make']!, input.own));
}

function strips({ dimensions: d }: FamilyInput, stock: Stock): Layout {
  const { section } = stock;
  if (section.kind !== 'flat') throw new TypeError('the L is made of flat strips');
  const lean = d['angle']! - 90 * DEGREE;
  const down: Vec3 = [-Math.sin(lean), 0, -Math.cos(lean)];
  const corner = addScaled([0, 0, 0], down, -d['handBelow']!);
  const end = addScaled(corner, down, d['grip']!);
  const top = corner[2] + section.thickness;
  const shelfMiddle = corner[2] + section.thickness / 2;
  const [rear, front]: [Vec3, Vec3] = [
    [corner[0] - section.thickness / 2, 0, shelfMiddle],
    [corner[0] - section.thickness / 2 + d['shelf']!, 0, shelfMiddle],
  ];
  const common = { top, thickness: section.thickness, down, corner, outside: section.width, deep: section.thickness };
  if (section.thickness < THIN)
    return { ...common, ...bentStrip(stock, front, corner, down, d['grip']!), under: 'grip' };
  const straight = (id: string, name: string, from: string, to: string): Member => ({
    id,
    name,
    from,
    to,
    stock,
    leftLong: 0,
    holes: [],
    path: { kind: 'straight', widthDirection: [0, 1, 0] },
  });
  const long = Math.ceil((section.thickness + WOOD_SCREW.into) / 0.005) * 0.005;
  return {
    ...common,
    under: 'shelf',
    nodes: [
      { id: 'corner', at: corner },
      { id: 'grip-end', at: end },
      { id: 'shelf-rear', at: rear },
      { id: 'shelf-front', at: front },
    ],
    members: [straight('grip', 'grip', 'corner', 'grip-end'), straight('shelf', 'shelf', 'shelf-rear', 'shelf-front')],
    joints: [],
    parts: [],
    connections: [
      {
        kind: 'bonded',
        id: 'corner-joint',
        name: 'corner',
        piece: 'shelf',
        to: 'grip',
        mitred: true,
        glue: materialOf(stock.material)?.look === 'wood' ? 'wood' : 'epoxy',
        area: section.width * section.thickness,
      },
      ...([-1, 1] as const).map((s): StatedConnection => ({
        kind: 'screwedIn',
        id: `corner-screw-${s < 0 ? 'right' : 'left'}`,
        name: `${s < 0 ? 'right' : 'left'} screw of the corner`,
        point: addScaled([corner[0], (s * section.width) / 4, corner[2] + section.thickness], down, -0.01),
        way: down,
        diameter: WOOD_SCREW.diameter,
        length: long,
        through: 'shelf',
        into: 'grip',
      })),
    ],
  };
}

/** One strip, from the shelf's front back and down round the corner. */
function bentStrip(
  stock: Stock,
  front: Vec3,
  corner: Vec3,
  down: Vec3,
  grip: number,
): Pick<Layout, 'nodes' | 'members' | 'joints' | 'parts' | 'connections'> {
  const { section } = stock;
  if (section.kind !== 'flat') throw new TypeError('the L is bent from flat bar');
  const turn = Math.acos(-down[0]);
  // Where the middles of shelf and grip would meet.
  const meet: Vec3 = [corner[0] + (section.thickness / 2) * (down[0] / -down[2]) * -1, 0, front[2]];
  const short = (BEND_INSIDE + section.thickness / 2) * Math.tan(turn / 2);
  const neutralFraction = neutralFractionFor(BEND_INSIDE, section.thickness);
  const segments = [
    { straight: Math.max(0.005, front[0] - meet[0] - short) },
    { angle: turn, insideRadius: BEND_INSIDE, neutralFraction },
    { straight: Math.max(0.005, grip - short) },
  ];
  const strip = followBends(section, segments, stripStart(front, [-1, 0, 0], [0, 0, -1]));
  return {
    nodes: [
      { id: 'shelf-front', at: front },
      { id: 'grip-end', at: strip.end.at },
    ],
    members: [
      {
        id: 'grip',
        name: 'bent grip',
        from: 'shelf-front',
        to: 'grip-end',
        stock,
        leftLong: 0,
        holes: [],
        path: { kind: 'bent', along: [-1, 0, 0], across: [0, 0, -1], segments },
      },
    ],
    joints: [],
    parts: [],
    connections: [],
  };
}

/** Two lengths of pipe in an elbow; the camera on a plate bolted to the level one. The elbow is square, whatever angle is asked. */
function pipes({ dimensions: d }: FamilyInput): Layout {
  const pipe = pipeOf(PIPE, []);
  const outside = pipe.size.stock.section.kind === 'tube' ? pipe.size.stock.section.outerDiameter : 0.021;
  const corner: Vec3 = [0, 0, d['handBelow']!];
  const laid = pipework({
    pipe,
    start: { node: 'corner', at: corner },
    runs: [
      { id: 'grip', name: 'grip', from: 'corner', to: 'grip-end', direction: [0, 0, -1], cut: d['grip']! },
      { id: 'shelf', name: 'shelf', from: 'corner', to: 'shelf-front', direction: [1, 0, 0], cut: d['shelf']! },
    ],
  });
  const reach = (node: string): number => {
    const socket = laid.joints.find((j) => j.node === node)!.hub!.sockets[0]!;
    return socket.takeOff + socket.depth + 0.001;
  };
  const [rear, front] = [corner[0] + reach('corner'), laid.at('shelf-front')[0] - reach('shelf-front')];
  const width = Math.max(0.012, Math.min(0.04, front - rear));
  const clip = pipeClip({
    id: 'plate-clip',
    name: 'clip under the camera plate',
    at: [(rear + front) / 2, 0, corner[2]],
    along: [1, 0, 0],
    face: [0, 0, 1],
    outside,
    width,
    pipe: 'shelf',
    holds: ['camera-plate'],
    thickness: PLATE_THICKNESS,
  });
  const under = corner[2] + outside / 2 + CLIP_FACE;
  const camera = corner[0] + d['cameraForward']!;
  const [back, ahead] = [
    Math.min(camera, camera + d['pinFromScrew']!, clip.part.at[0] - width / 2) - 0.015,
    Math.max(camera, camera + d['pinFromScrew']!, clip.part.at[0] + width / 2) + 0.015,
  ];
  return {
    nodes: [...laid.nodes],
    members: [...laid.members],
    joints: [...laid.joints],
    top: under + PLATE_THICKNESS,
    under: 'camera-plate',
    thickness: PLATE_THICKNESS,
    parts: [
      clip.part,
      plate({
        id: 'camera-plate',
        name: 'camera plate',
        middle: [(back + ahead) / 2, 0, under + PLATE_THICKNESS / 2],
        size: [ahead - back, 0.045, PLATE_THICKNESS],
        material: 'aluminium',
        supply: { item: `aluminium plate ${Math.round((ahead - back) * 1000)} × 45 × 6`, packOf: 1, packPrice: 2.6 },
      }),
    ],
    connections: clip.connections,
    down: [0, 0, -1],
    bare: laid.bare('grip'),
    corner,
    outside,
    deep: outside,
  };
}

/** Up till fingers and wrap meet the shelf, down till the hand or its wrap runs out of grip, from where it is drawn. */
const handTravel = (handBelow: number, grip: number, hasStrap: boolean): [number, number] => {
  const wrapEnds = SLEEVE / 2 + (hasStrap ? STRAP.from + STRAP.wide / 2 : 0) + WRAP_CLEAR;
  return [
    Math.min(0, Math.max(HAND_HIGHEST, SLEEVE / 2 + WRAP_UNDER) - handBelow),
    Math.max(0, grip - Math.max(HAND_FROM_END, wrapEnds) - handBelow),
  ];
};

function build(input: FamilyInput): Rig {
  const { dimensions: d, choices } = input;
  const lay = layOut(input);
  const at: Vec3 = [lay.corner[0] + d['cameraForward']!, 0, lay.top];
  const onPad: Vec3 = [at[0], 0, lay.top + PAD];
  // Clear of the heads of the corner's screws.
  const padRear = Math.max(at[0] - 0.02, lay.corner[0] + 0.008);
  const padFront = at[0] + 0.02;
  const passes = lay.thickness + PAD;
  const isPipe = choices['make'] === 'pipe';
  const end = lay.nodes.find((n) => n.id === 'grip-end')!.at;
  const fore = cross([0, 1, 0], lay.down);
  const parts: Part[] = [
    ...lay.parts,
    {
      id: 'camera-pad',
      name: 'rubber pad under the camera',
      shape: { kind: 'box', size: [padFront - padRear, 0.03, PAD] },
      at: [(padFront + padRear) / 2, 0, lay.top + PAD / 2],
      material: 'rubberFoam',
      mount: onPad,
      screw: {
        diameter: SCREW,
        length: passes + 0.005,
        passes,
        hole: d['screwHole']!,
        pin: { diameter: d['pin']!, hole: d['pinHole']!, fromScrew: d['pinFromScrew']! },
      },
      supply: { item: 'rubber sheet, a hand wide', packOf: 4, packPrice: 3 },
    },
    {
      id: 'pin',
      name: 'anti-twist pin',
      shape: { kind: 'tube', outerRadius: d['pin']! / 2, innerRadius: 0, length: passes + PIN_OUT },
      at: [at[0] + d['pinFromScrew']!, 0, lay.top - lay.thickness + (passes + PIN_OUT) / 2],
      material: 'steel',
      supply: { item: 'wire nail, shank filed to its hole', packOf: 10, packPrice: 0.5 },
    },
    ...(isPipe
      ? [gripOnPipe({ id: 'sleeve', at: [0, 0, 0], length: SLEEVE, inside: lay.outside }, lay.bare!)]
      : [
          {
            id: 'sleeve',
            name: 'cork wrap',
            shape: {
              kind: 'box' as const,
              size: [SLEEVE, lay.outside + 2 * WRAP, lay.deep + 2 * WRAP] as Vec3,
              bore: [lay.outside, lay.deep] as [number, number],
            },
            at: [0, 0, 0] as Vec3,
            turn: quaternionOf(fromColumns(lay.down, [0, 1, 0], cross(lay.down, [0, 1, 0]))),
            material: 'rubberFoam',
            supply: { item: 'cork or foam wrap', packOf: 1, packPrice: 2.2 },
          },
        ]),
    ...(choices['strap'] === 'yes'
      ? [
          {
            ...strap({
              id: 'wrist-strap',
              at: addScaled(addScaled(lay.bare?.to ?? end, lay.down, -STRAP.from), fore, -(lay.deep + STRAP.thick) / 2),
            }),
            turn: quaternionOf(fromColumns(lay.down, [0, 1, 0], cross(lay.down, [0, 1, 0]))),
            name: 'wrist strap',
          },
        ]
      : []),
  ];
  const connections: StatedConnection[] = [
    ...lay.connections,
    intoCamera({
      on: 'camera-pad',
      point: [at[0], 0, lay.top - lay.thickness],

      hole: d['screwHole']!,
      ...(isPipe ? { head: 'sunk' as const } : { washer: 'flat' as const }),
      stack: [
        { kind: 'piece', piece: lay.under },
        { kind: 'piece', piece: 'camera-pad' },
      ],
    }),
    { kind: 'seated', id: 'pin-in', name: 'pin', piece: 'pin', in: lay.under, bored: true, through: ['camera-pad'] },
    isPipe
      ? { kind: 'slidOn', id: 'sleeve-on', name: 'foam on the grip', piece: 'sleeve', over: 'grip' }
      : { kind: 'laid', id: 'sleeve-on', name: 'wrap round the grip', piece: 'sleeve', on: 'grip' },
    ...(choices['strap'] === 'yes'
      ? [{ kind: 'laid' as const, id: 'strap-on', name: 'strap round the grip', piece: 'wrist-strap', on: 'grip' }]
      : []),
  ];
  return {
    bodies: [
      {
        id: 'grip-body',
        name: 'grip',
        nodes: [...lay.nodes],
        members: [...lay.members],
        joints: [...lay.joints],
        parts,
        stations: [],
        connections,
      },
    ],
    pivots: [],
    contacts: [
      { id: 'hand-on-grip', name: 'hand', kind: 'hand', body: 'grip-body', at: [0, 0, 0], direction: [0, 0, 1] },
    ],
    poses: [
      { id: 'facing-me', name: 'Arm out, facing me', contacts: ['hand-on-grip'], arm: d['armOut']!, facesHolder: true },
      { id: 'facing-ahead', name: 'Turned round, arm bent', contacts: ['hand-on-grip'], arm: 0.3 },
    ],
    adjusters: [
      {
        // A leaning grip brings the hand under the mass centre as it goes down it.
        id: 'hand-along',
        name: 'Hand, along the grip',
        kind: 'mark',
        axis: lay.down,
        range: handTravel(d['handBelow']!, d['grip']!, choices['strap'] === 'yes'),
        step: 0.001,
        value: 0,
        moves: [
          { kind: 'contact', id: 'hand-on-grip' },
          { kind: 'part', id: 'sleeve' },
        ],
      },
    ],
  };
}

const dimensions = [
  lengthSpec('grip', 'Grip length', 'grip', 0.16, 0.1, 0.4, 'From the corner down.'),
  setOn(
    'hand-along',
    lengthSpec(
      'handBelow',
      'Hand below the corner',
      'hand-on-grip',
      0.07,
      HAND_HIGHEST,
      0.3,
      'The hand’s middle, under the shelf: fingers clear the camera.',
    ),
  ),
  lengthSpec('shelf', 'Shelf length', 'shelf', 0.09, 0.05, 0.2, 'From the grip’s back forward; sawn length for pipe.'),
  angleSpec('angle', 'Corner', 'corner-joint', 100, 75, 135, 'Between shelf and grip. Pipe elbows are square.'),
  lengthSpec(
    'cameraForward',
    'Camera ahead of the corner',
    'camera-pad',
    0.035,
    0.012,
    0.15,
    'The screw’s hole, from the corner.',
  ),
  lengthSpec('screwHole', 'Screw hole', 'camera-pad', 0.0066, 0.0064, 0.008, 'Drill for the camera screw.'),
  lengthSpec('pin', 'Pin shank', 'pin', 0.004, 0.0025, 0.006, 'Measured over the filed shank.'),
  given(
    'measured',
    lengthSpec(
      'pinHole',
      'Pin hole in the camera',
      'pin',
      0.0042,
      0.0025,
      0.0065,
      'The small hole beside the socket, or the one you drill in its plate.',
    ),
  ),
  given(
    'measured',
    lengthSpec(
      'pinFromScrew',
      'Pin from the screw',
      'pin',
      0.0125,
      0.008,
      0.04,
      'Middle to middle, ahead of the screw.',
    ),
  ),
  given(
    'measured',
    lengthSpec(
      'armOut',
      'Arm out',
      'hand-on-grip',
      0.55,
      0.2,
      0.85,
      'Level distance from your face’s plumb to the hand.',
    ),
  ),
];
const choices = [
  choiceSpec(
    'make',
    'Made of',
    'Both legs of the L.',
    'oak-45x18',
    [...namesOf(STRIPS), { id: 'pipe', name: 'PVC pipe and an elbow' }],
    ANY_FLAT,
  ),
  choiceSpec('strap', 'Wrist strap', 'For water and heights.', 'yes', named({ yes: 'with a strap', no: 'none' })),
];

function size(load: PlacedLoad | null, hands: Hands): Sizing {
  const usual = usualInput(dimensions, choices);
  const box = loadBox(load);
  const grip = toFiveMillimetres(within(hands.breadth + 0.08, 0.1, 0.4));
  const handBelow = toFiveMillimetres(within(hands.breadth / 2 + 0.025, 0.05, 0.3));
  const centre = load && load.bodies.length > 0 ? massCentre(sumsOf(load.bodies))[0] : 0;
  // With the corner leaning, the hand stands behind it by this much; the camera's mass goes over the hand where its back clears the grip.
  const cornerAhead = handBelow * Math.sin(10 * DEGREE);
  const cameraForward = toFiveMillimetres(within(-centre - cornerAhead, CLEAR_OF_GRIP, 0.15));
  const shelf = toFiveMillimetres(within(cameraForward + Math.max(0.03, Math.min(0.06, box.high[0])), 0.05, 0.2));
  const make = box.mass > 0.4 ? 'oak-45x18' : 'ply-60x12';
  const armOut = toFiveMillimetres(within(hands.armOut + 0.05, 0.2, 0.85));
  const reasons: Phrase[] = [
    say`Your hand is ${figure('length', hands.breadth)} across: the grip is ${figure('length', grip)} long and held ${figure('length', handBelow)} under the shelf.`,
    say`The camera’s hole lies ${figure('length', cameraForward)} ahead of the corner, which brings its weight over the hand as near as its back allows.`,
    say`A corner of ${figure('angle', 100 * DEGREE, 0)} lets the wrist lie straight with the arm held out.`,
  ];
  return {
    choices: { ...usual.choices, make },
    dimensions: { ...usual.dimensions, grip, handBelow, cameraForward, shelf, armOut },
    reasons,
    startValues: {},
  };
}

function advise(input: FamilyInput): readonly Finding[] {
  const { dimensions: d, choices: c } = input;
  const lean = d['angle']! - 90 * DEGREE;
  const findings: Finding[] = [];
  if (c['make'] === 'pipe' && Math.abs(lean) > 0.5 * DEGREE) {
    findings.push({
      code: 'elbowIsSquare',
      severity: 'note',
      about: 'corner-joint',
      figure: figure('angle', d['angle']!, 0),
      limit: figure('angle', 90 * DEGREE, 0),
      title: say`Pipe elbows are square: the corner is drawn at ${figure('angle', 90 * DEGREE, 0)}.`,
      why: say`No elbow of ${figure('angle', d['angle']!, 0)} is sold.`,
      toDo: say`Take strips for another angle.`,
      fixes: [{ label: say`Make it square`, changes: [{ kind: 'dimension', id: 'angle', value: 90 * DEGREE }] }],
    });
  } else if (Math.abs(lean) > WRIST_EASY) {
    findings.push({
      code: 'wristAngle',
      severity: 'mend',
      about: 'corner-joint',
      figure: figure('angle', Math.abs(lean), 0),
      limit: figure('angle', WRIST_EASY, 0),
      title: say`The grip leans ${figure('angle', Math.abs(lean), 0)} from plumb.`,
      why: say`With the lens level the wrist bends by as much; over ${figure('angle', WRIST_EASY, 0)} it tires in a minute.`,
      toDo: say`Make the corner nearer square.`,
      fixes: [
        {
          label: say`Corner of ${figure('angle', 90 * DEGREE + Math.sign(lean) * WRIST_EASY, 0)}`,
          changes: [{ kind: 'dimension', id: 'angle', value: 90 * DEGREE + Math.sign(lean) * WRIST_EASY }],
        },
      ],
    });
  }
  if (d['pin']! > d['pinHole']! + 1e-9) {
    findings.push({
      code: 'pinDoesNotEnter',
      severity: 'stop',
      about: 'pin',
      figure: figure('length', d['pin']!, 2),
      limit: figure('length', d['pinHole']!, 2),
      title: say`A pin of ${figure('length', d['pin']!, 2)} does not go into a hole of ${figure('length', d['pinHole']!, 2)}.`,
      why: say`It would be forced into the camera.`,
      toDo: say`File the shank down to the hole, trying as you go.`,
      fixes: [
        {
          label: say`File it to ${figure('length', d['pinHole']!, 2)}`,
          changes: [{ kind: 'dimension', id: 'pin', value: d['pinHole']! }],
        },
      ],
    });
  }
  if (d['handBelow']! > d['grip']! - HAND_FROM_END) {
    findings.push({
      code: 'handBelowGrip',
      severity: 'stop',
      about: 'hand-on-grip',
      figure: figure('length', d['handBelow']!),
      limit: figure('length', d['grip']! - HAND_FROM_END),
      title: say`The hand would hold ${figure('length', d['handBelow']!)} down a grip of ${figure('length', d['grip']!)}.`,
      why: say`There is nothing left there to close on.`,
      toDo: say`Lengthen the grip, or hold it higher.`,
      fixes: [
        {
          label: say`Grip of ${figure('length', Math.min(0.4, toFiveMillimetres(d['handBelow']! + 0.05)))}`,
          changes: [{ kind: 'dimension', id: 'grip', value: Math.min(0.4, toFiveMillimetres(d['handBelow']! + 0.05)) }],
        },
      ],
    });
  }
  findings.push({
    code: 'screwStaysOn',
    severity: 'note',
    about: 'camera-pad',
    figure: figure('length', PAD, 1),
    limit: null,
    title: say`The rubber pad keeps the screw on the shelf.`,
    why: say`A screw that falls out in the field is a grip left at home.`,
    toDo: say`Punch its hole a size small and screw the screw through it.`,
    fixes: [],
  });
  return findings;
}

export const selfFilmingGrip: Family = {
  id: 'self-filming-grip',
  name: 'Self-filming grip',
  summary:
    'An L of wood or pipe under a small camera that looks back at you: a screw to hold it, a pin so that it cannot turn.',
  goodFor: ['filming yourself at arm’s length', 'walking and talking', 'a small camera, one hand'],
  givesUp: 'It steadies nothing: the arm is the whole support, and it tires.',
  suits: {
    carries: ['eye level', 'waist'],
    moves: ['walking', 'tight spaces'],
    hands: 1,
    wet: true,
    hangs: false,
    loadAtMost: 0.7,
  },
  goesWrong: [
    'The pin’s hole is a size too big and the camera ticks round at each step.',
    'The screw falls out: nothing keeps it on the shelf.',
    'The shelf shuts the battery door.',
  ],
  dimensions,
  choices,
  size,
  build,
  advise,
  drawn: (input) => {
    const lay = layOut(input);
    const end = lay.nodes.find((n) => n.id === 'grip-end')!.at;
    return [
      { dimension: 'grip', from: lay.corner, to: end, view: 'side', offset: -96 },
      { dimension: 'handBelow', from: lay.corner, to: [0, 0, 0], view: 'side', offset: 84 },
    ];
  },
};
