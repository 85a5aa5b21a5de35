/**
 * Self-filming grip: an L, its upright in the hand, its shelf under a small camera that looks back at whoever holds it.
 * A screw holds the camera, a pin beside it keeps it from turning. The hand's middle is the origin; the shelf is level.
 */
import {
  addScaled,
  alignZ,
  DEGREE,
  figure,
  quaternionOf,
  say,
  type Finding,
  type Phrase,
  type Vec3,
} from '../../0-base';
import { massCentre, sumsOf, type PlacedLoad } from '../../1-load';
import type { Hands, Joint, Member, Node, Part, Rig, Stock } from '../../model';
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
import { FLAT_BARS } from '../parts/flatBars';
import { foamGrip, strap } from '../parts/hardware';
import { pipeOf } from '../parts/pipes';
import { plate } from '../parts/plate';
import { pipework } from '../fittings/pipework';

const SCREW = 0.00635; // 1/4-20
const SCREWS_SOLD = [0.0095, 0.0127, 0.0159, 0.019, 0.0222, 0.0254, 0.0318, 0.0381];
const ENGAGED = 0.0046; // into the socket: enough thread, and short of the bottom of most
const WASHERS = 0.0016 + 0.0017; // plain and split, under the head
const LOCK_NUT = 0.0056; // thin nut that keeps the screw on the shelf
const PIPE = 'pvc/1/2';
const PLATE_THICKNESS = 0.006;
const WRIST_EASY = 25 * DEGREE;
const HAND_HIGHEST = 0.05;
const HAND_FROM_END = 0.03;

const STRIPS: Readonly<Record<string, Stock>> = { ...WOOD_STRIPS, 'aluminium-30x6': FLAT_BARS['aluminium-30x6']! };

interface Layout {
  readonly nodes: readonly Node[];
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
  /** The face the camera stands on, over the hole, and how much the screw passes under it. */
  readonly top: number;
  readonly passes: number;
  readonly down: Vec3;
  readonly corner: Vec3;
  readonly outside: number;
}

function layOut(input: FamilyInput): Layout {
  return input.choices['make'] === 'pipe' ? pipes(input) : strips(input, STRIPS[input.choices['make']!]!);
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
  const along = (at: Vec3): number => at[0] - rear[0];
  const straight = (id: string, name: string, from: string, to: string, holes: Member['holes']): Member => ({
    id,
    name,
    from,
    to,
    stock,
    leftLong: 0,
    holes,
    path: { kind: 'straight', widthDirection: [0, 1, 0] },
  });
  const screwAt = corner[0] + d['cameraForward']!;
  return {
    nodes: [
      { id: 'corner', at: corner },
      { id: 'grip-end', at: end },
      { id: 'shelf-rear', at: rear },
      { id: 'shelf-front', at: front },
    ],
    members: [
      straight('grip', 'grip', 'corner', 'grip-end', []),
      straight('shelf', 'shelf', 'shelf-rear', 'shelf-front', [
        {
          id: 'hole-screw',
          name: 'camera screw',
          along: along([screwAt, 0, 0]),
          across: 0,
          diameter: d['screwHole']!,
          afterBending: false,
        },
        {
          id: 'hole-pin',
          name: 'pin',
          along: along([screwAt + d['pinFromScrew']!, 0, 0]),
          across: 0,
          diameter: d['pinHole']!,
          afterBending: false,
        },
      ]),
    ],
    joints: [
      {
        id: 'corner-joint',
        name: 'glued and screwed',
        node: 'corner',
        fitting: section.thickness < 0.008 ? 'boltThrough' : 'glue',
        joins: ['grip', 'shelf'],
        reversible: section.thickness < 0.008,
        dryingTime: section.thickness < 0.008 ? 0 : 12 * 3600,
      },
    ],
    top,
    passes: section.thickness + WASHERS,
    down,
    corner,
    outside: section.width,
  };
}

/** Two lengths of pipe in an elbow; the camera on a plate bolted to the level one. The elbow is square, whatever angle is asked. */
function pipes({ dimensions: d }: FamilyInput): Layout {
  const pipe = pipeOf(PIPE);
  const outside = pipe.size.stock.section.kind === 'tube' ? pipe.size.stock.section.outerDiameter : 0.021;
  const corner: Vec3 = [0, 0, d['handBelow']!];
  const laid = pipework({
    pipe,
    start: { node: 'corner', at: corner },
    runs: [
      { id: 'grip', name: 'grip', from: 'corner', to: 'grip-end', direction: [0, 0, -1], cut: d['grip']! },
      { id: 'shelf', name: 'shelf', from: 'corner', to: 'shelf-front', direction: [1, 0, 0], cut: d['shelf']! },
    ],
    fastens: { 'shelf-front': ['camera-plate'] },
  });
  return {
    nodes: [...laid.nodes],
    members: [...laid.members],
    joints: [...laid.joints],
    top: corner[2] + outside / 2 + PLATE_THICKNESS,
    passes: PLATE_THICKNESS + WASHERS,
    down: [0, 0, -1],
    corner,
    outside,
  };
}

/** Up till the fingers meet the shelf, down till the hand runs out of grip, from where it is drawn. */
const handTravel = (handBelow: number, grip: number): [number, number] => [
  Math.min(0, HAND_HIGHEST - handBelow),
  Math.max(0, grip - HAND_FROM_END - handBelow),
];

function build(input: FamilyInput): Rig {
  const { dimensions: d, choices } = input;
  const lay = layOut(input);
  const at: Vec3 = [lay.corner[0] + d['cameraForward']!, 0, lay.top];
  const length = SCREWS_SOLD.find((s) => s >= lay.passes + ENGAGED) ?? SCREWS_SOLD.at(-1)!;
  const screw = {
    diameter: SCREW,
    length,
    passes: lay.passes,
    hole: d['screwHole']!,
    pin: { diameter: d['pin']!, hole: d['pinHole']!, fromScrew: d['pinFromScrew']! },
  };
  const under = lay.top - lay.passes;
  const parts: Part[] = [
    {
      id: 'camera-screw',
      name: 'camera screw with its washers',
      shape: { kind: 'tube', outerRadius: 0.0075, innerRadius: 0, length: 0.006 },
      at: [at[0], 0, under - 0.003],
      material: 'steel',
      mass: { value: 0.011, spread: 0.002, source: 'mass of camera screw' },
      mount: at,
      screw,
      supply: {
        item: `1/4-20 screw ${Math.round(length * 10000) / 10} mm, washer and split washer`,
        packOf: 1,
        packPrice: 1.1,
      },
    },
    {
      id: 'lock-nut',
      name: 'lock nut',
      shape: { kind: 'tube', outerRadius: 0.0055, innerRadius: SCREW / 2, length: LOCK_NUT },
      at: [at[0], 0, under + WASHERS + LOCK_NUT / 2],
      material: 'steel',
      supply: { item: '1/4-20 thin lock nut', packOf: 4, packPrice: 1.2 },
    },
    {
      id: 'pin',
      name: 'anti-twist pin',
      shape: { kind: 'tube', outerRadius: d['pin']! / 2, innerRadius: 0, length: lay.passes },
      at: [at[0] + d['pinFromScrew']!, 0, lay.top - lay.passes / 2 + 0.002],
      material: 'steel',
      supply: { item: 'wire nail, shank filed to its hole', packOf: 10, packPrice: 0.5 },
    },
    ...(choices['make'] === 'pipe'
      ? [
          plate({
            id: 'camera-plate',
            name: 'camera plate',
            middle: [at[0], 0, lay.top - PLATE_THICKNESS / 2],
            size: [0.06, 0.045, PLATE_THICKNESS],
            material: 'aluminium',
            supply: { item: 'aluminium plate 60 × 45 × 6', packOf: 1, packPrice: 2.6 },
          }),
        ]
      : []),
    ...(choices['make'] === 'pipe'
      ? [foamGrip({ id: 'sleeve', at: [0, 0, 0], axis: lay.down, length: 0.1, inside: lay.outside })]
      : [
          {
            id: 'sleeve',
            name: 'cork wrap',
            shape: { kind: 'tube' as const, outerRadius: 0.02, innerRadius: 0.017, length: 0.1 },
            at: [0, 0, 0] as Vec3,
            turn: quaternionOf(alignZ(lay.down)),
            material: 'rubberFoam',
            supply: { item: 'cork or foam wrap', packOf: 1, packPrice: 2.2 },
          },
        ]),
    ...(choices['strap'] === 'yes'
      ? [{ ...strap({ id: 'wrist-strap', at: addScaled([0, 0, 0], lay.down, 0.06) }), name: 'wrist strap' }]
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
        range: handTravel(d['handBelow']!, d['grip']!),
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
  lengthSpec(
    'handBelow',
    'Hand below the corner',
    'hand-on-grip',
    0.07,
    HAND_HIGHEST,
    0.3,
    'The hand’s middle, under the shelf: fingers clear the camera.',
  ),
  lengthSpec('shelf', 'Shelf length', 'shelf', 0.09, 0.05, 0.2, 'From the grip’s back forward; sawn length for pipe.'),
  angleSpec('angle', 'Corner', 'corner-joint', 100, 75, 135, 'Between shelf and grip. Pipe elbows are square.'),
  lengthSpec(
    'cameraForward',
    'Camera ahead of the corner',
    'camera-screw',
    0.035,
    0.012,
    0.15,
    'The screw’s hole, from the corner.',
  ),
  lengthSpec('screwHole', 'Screw hole', 'camera-screw', 0.0064, 0.00635, 0.008, 'Drill for the camera screw.'),
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
  choiceSpec('make', 'Made of', 'Both legs of the L.', 'oak-45x18', [
    ...Object.entries(STRIPS).map(([id, s]) => ({ id, name: s.name })),
    { id: 'pipe', name: 'PVC pipe and an elbow' },
  ]),
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
  const cameraForward = toFiveMillimetres(within(Math.max(-centre - cornerAhead, 0.015), 0.012, 0.15));
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
  const lay = layOut(input);
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
    about: 'lock-nut',
    figure: figure('length', lay.passes, 1),
    limit: null,
    title: say`The lock nut keeps the screw on the shelf: run it up to ${figure('length', ENGAGED, 1)} from the end.`,
    why: say`A screw that falls out in the field is a grip left at home. Under the head go the split washer, then the plain one.`,
    toDo: say`Recess the shelf for the nut, or let it into the hole.`,
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
    'The screw falls out: no lock nut.',
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
