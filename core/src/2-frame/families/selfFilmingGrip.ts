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
  quaternionOf,
  say,
  type Finding,
  type Phrase,
  type Vec3,
} from '../../0-base';
import { massCentre, sumsOf, type PlacedLoad } from '../../1-load';
import type { Hands, Part, Rig, StatedConnection, Stock } from '../../model';
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
import { WOOD_STRIPS } from '../parts/bars';
import { intoCamera } from '../parts/camera';
import { FLAT_BARS } from '../parts/flatBars';
import { gripOnPipe, strap } from '../parts/hardware';
import { goesThrough, isOfPipe, lShape } from '../parts/lShape';
import { ANY_FLAT } from '../parts/ownSizes';
import type { Bare } from '../fittings/pipework';

const PAD = 0.0015; // of rubber under the camera: its hole, a size small, keeps the screw on the shelf
const PIN_OUT = 0.0035; // of the pin, into the camera
const WRAP = 0.003;
const SLEEVE = 0.1; // of foam or wrap under the hand
const WRAP_UNDER = 0.006; // of a leaning grip's wrap from the shelf
const WRAP_CLEAR = 0.001;
const STRAP = { from: 0.015, thick: 0.003, wide: 0.02 }; // of the wrist strap from the grip's end
const WRIST_EASY = 25 * DEGREE;
const HAND_HIGHEST = 0.05;
const HAND_FROM_END = 0.03;
const CLEAR_OF_GRIP = 0.02; // of the camera's hole from the corner: a washer lies under the shelf, beside the grip

const STRIPS: Readonly<Record<string, Stock>> = { ...WOOD_STRIPS, 'aluminium-30x6': FLAT_BARS['aluminium-30x6']! };

/** Up till fingers and wrap meet the shelf, down till the hand or its wrap runs out of grip, from where it is drawn. */
const handTravel = (handBelow: number, grip: number, hasStrap: boolean): [number, number] => {
  const wrapEnds = SLEEVE / 2 + (hasStrap ? STRAP.from + STRAP.wide / 2 : 0) + WRAP_CLEAR;
  return [
    Math.min(0, Math.max(HAND_HIGHEST, SLEEVE / 2 + WRAP_UNDER) - handBelow),
    Math.max(0, grip - Math.max(HAND_FROM_END, wrapEnds) - handBelow),
  ];
};

/** What of the grip's pipe is left for foam over the strap. */
const aboveStrap = ({ from, to }: Bare, choices: FamilyInput['choices']): Bare =>
  choices['strap'] === 'yes' ? { from, to: [to[0], to[1], to[2] + STRAP.from + STRAP.wide / 2] } : { from, to };

function build(input: FamilyInput): Rig {
  const { dimensions: d, choices } = input;
  const lay = lShape(input);
  const at: Vec3 = [lay.corner[0] + (lay.level?.screw ?? d['cameraForward']!), 0, lay.top];
  const onPad: Vec3 = [at[0], 0, lay.top + PAD];
  // Clear of the heads of the corner's screws.
  const padRear = Math.max(at[0] - 0.02, lay.level?.free.from[0] ?? lay.corner[0] + 0.008);
  const padFront = Math.min(at[0] + 0.02, lay.level?.free.to[0] ?? Infinity);
  const passes = lay.thickness + PAD;
  const isPipe = isOfPipe(input);
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
      supply: { item: 'rubber sheet, a hand wide', packOf: 4, packPrice: 3, sawn: 'sheet' },
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
      ? [
          gripOnPipe(
            { id: 'sleeve', at: [0, 0, 0], length: SLEEVE, inside: lay.outside },
            aboveStrap(lay.bare!, choices),
          ),
        ]
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
      ...(isPipe && !goesThrough(input) ? { head: 'sunk' as const } : { washer: 'flat' as const }),
      stack: [
        { kind: 'piece', piece: lay.under },
        { kind: 'piece', piece: 'camera-pad' },
      ],
    }),
    {
      kind: 'seated',
      id: 'pin-in',
      name: 'pin',
      piece: 'pin',
      in: lay.under,
      bored: true,
      through: ['camera-pad'],
      intoLoad: d['pinHole']!,
    },
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
    [
      ...namesOf(STRIPS),
      { id: 'pipe', name: 'PVC pipe and an elbow, a plate clipped on' },
      { id: 'pipeThrough', name: 'PVC pipe and an elbow, screw and pin straight through' },
    ],
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

/** Screw and pin go through the pipe itself, and not through a fitting that it stands in: where they cannot they are drawn as near as they go. */
function besideFittings(input: FamilyInput): readonly Finding[] {
  const { level } = lShape(input);
  const { dimensions: d } = input;
  if (!level) return [];
  const [asked, ahead] = [d['cameraForward']!, Math.ceil(level.screw * 1000 - 1e-6) / 1000];
  const longer = Math.ceil((level.shelf + (ahead - level.screw)) * 1000 - 1e-6) / 1000;
  const isLonger = level.shelf > d['shelf']! + 1e-9;
  if (!isLonger && Math.abs(asked - level.screw) < 1e-9) return [];
  return [
    {
      code: 'screwThroughFitting',
      severity: 'mend',
      about: 'shelf',
      figure: figure('length', asked, 1),
      limit: figure('length', level.screw, 1),
      title: isLonger
        ? say`On this shelf there is no room for screw and pin between the fittings.`
        : asked < level.screw
          ? say`The screw would go through the elbow.`
          : say`The pin would go through the end cap.`,
      why: say`A washer lies round the screw, and both go through the pipe alone. They are drawn ${figure('length', level.screw, 1)} ahead of the corner${isLonger ? ', on a longer shelf' : ''}.`,
      toDo: say`Move the camera along the pipe, or take a longer one.`,
      fixes: [
        {
          label: [
            ...say`Screw ${figure('length', ahead)} ahead`,
            ...(longer > d['shelf']! + 1e-9 ? say` on a shelf of ${figure('length', longer)}` : []),
          ],
          changes: [
            { kind: 'dimension', id: 'cameraForward', value: ahead },
            ...(longer > d['shelf']! + 1e-9 ? [{ kind: 'dimension' as const, id: 'shelf', value: longer }] : []),
          ],
        },
      ],
    },
  ];
}

function advise(input: FamilyInput): readonly Finding[] {
  const { dimensions: d } = input;
  const lean = d['angle']! - 90 * DEGREE;
  const findings: Finding[] = [];
  findings.push(...besideFittings(input));
  if (isOfPipe(input) && Math.abs(lean) > 0.5 * DEGREE) {
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
    const lay = lShape(input);
    const end = lay.nodes.find((n) => n.id === 'grip-end')!.at;
    return [
      { dimension: 'grip', from: lay.corner, to: end, view: 'side', offset: -96 },
      { dimension: 'handBelow', from: lay.corner, to: [0, 0, 0], view: 'side', offset: 84 },
    ];
  },
};
