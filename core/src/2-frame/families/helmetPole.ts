/**
 * Spinning helmet pole: a mount on the crown that breaks away, a swivel, a hinge bush through the pole's middle, the camera on
 * one end looking back at its wearer, washers on the other. The hinge is the origin; the pole is drawn level, camera end ahead.
 */
import {
  DEGREE,
  figure,
  multiply,
  quaternionOf,
  quaternionOfTurns,
  rotationOf,
  say,
  transform,
  type Finding,
  type Phrase,
  type Vec3,
} from '../../0-base';
import type { PlacedLoad } from '../../1-load';
import type { Hands, Part, Rig, Station } from '../../model';
import type { Family, FamilyInput, Sizing } from '../family';
import {
  angleSpec,
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
  given,
} from '../familyTools';
import { BARS, barOptions, ROUND_TUBES } from '../parts/bars';
import { endCap } from '../parts/hardware';
import { WASHERS, washerOf } from '../parts/washers';

const ROOM = 0.06; // of threaded end for washers
const FORK = 0.05; // height of swivel and fork under the hinge
/** Force at which a patch lets go sideways, N: of hook-and-loop about 0.04 N a square millimetre peeled at an edge; measure yours. */
const PATCHES: Readonly<Record<string, { readonly name: string; readonly force: number }>> = {
  small: { name: 'small hook-and-loop patch', force: 25 },
  large: { name: 'large hook-and-loop patch', force: 45 },
  magnet: { name: 'pot magnet', force: 35 },
};
const BACK = quaternionOfTurns({ toTheLeft: Math.PI, noseDown: 0, leftSideDown: 0 });
const OVER = quaternionOfTurns({ toTheLeft: 0, noseDown: 0, leftSideDown: Math.PI });
const CLAMP_DROP = 0.012; // of the camera's foot under the pole's middle

/** The fork's arms meet the pole this far from the hinge, m. */
const PADDED_AT = 0.06;

function layOut({ dimensions: d, choices }: FamilyInput) {
  const stock = BARS[choices['pole']!]!;
  const outside = stock.section.kind === 'tube' ? stock.section.outerDiameter : 0.02;
  const front: Vec3 = [d['length']! - d['hingeFromTail']!, 0, -d['hingeAbove']!];
  const tail: Vec3 = [-d['hingeFromTail']!, 0, -d['hingeAbove']!];
  return { stock, outside, front, tail };
}

function build(input: FamilyInput): Rig {
  const { dimensions: d, choices } = input;
  const { stock, outside, front, tail } = layOut(input);
  const { washer, boltDiameter } = washerOf(choices['washer']!);
  const second = choices['tailEnd'] === 'camera';
  const clampAt: Vec3 = [front[0] - 0.02, 0, front[2]];
  // The foot points up to the pole: the camera hangs upside down under it, looking back; the picture is turned over later.
  const turn = quaternionOf(
    multiply(
      rotationOf(BACK),
      multiply(
        rotationOf(quaternionOfTurns({ toTheLeft: 0, noseDown: d['noseDown']!, leftSideDown: 0 })),
        rotationOf(OVER),
      ),
    ),
  );
  const up = transform(rotationOf(turn), [0, 0, 1]);
  const plateAt: Vec3 = [clampAt[0], 0, clampAt[2] - outside / 2 - CLAMP_DROP];
  const mount: Vec3 = [plateAt[0] + up[0] * 0.004, 0, plateAt[2] + up[2] * 0.004];
  const station: Station = {
    id: 'tail',
    name: 'Tail washers',
    seat: [tail[0] - 0.004, 0, tail[2]],
    axis: [-1, 0, 0],
    boltDiameter,
    room: ROOM,
    washer,
    count: 0,
  };
  const parts: Part[] = [
    {
      id: 'hinge-bush',
      name: 'hinge bush',
      shape: { kind: 'tube', outerRadius: outside / 2 + 0.006, innerRadius: outside / 2, length: 0.03 },
      at: [0, 0, -d['hingeAbove']!],
      turn: [Math.SQRT1_2, 0, Math.SQRT1_2, 0],
      material: 'aluminium',
      supply: { item: 'hinge bush with pin', packOf: 1, packPrice: 6 },
    },
    {
      id: 'camera-clamp',
      name: 'camera clamp',
      shape: { kind: 'box', size: [0.03, 0.03, outside + 0.012] },
      at: [clampAt[0], 0, clampAt[2] - 0.002],
      material: 'aluminium',
      mass: { value: 0.035, spread: 0.005, source: 'mass of camera clamp' },
      mount,
      mountTurn: turn,
      screw: { diameter: 0.00635, length: 0.0111, passes: 0.0065 },
      supply: { item: 'small tube clamp with 1/4-20 screw', packOf: 1, packPrice: 7 },
    },
    {
      id: 'tail-bolt',
      name: 'threaded tail',
      shape: { kind: 'tube', outerRadius: boltDiameter / 2, innerRadius: 0, length: ROOM + 0.03 },
      at: [tail[0] - ROOM / 2 + 0.01, 0, tail[2]],
      turn: [Math.SQRT1_2, 0, Math.SQRT1_2, 0],
      material: 'steel',
      supply: { item: 'threaded insert and bolt', packOf: 1, packPrice: 2.2 },
    },
    ...(choices['endMark'] === 'ball'
      ? [
          {
            id: 'bright-end',
            name: 'bright foam ball',
            shape: { kind: 'tube' as const, outerRadius: 0.025, innerRadius: 0, length: 0.04 },
            at: [tail[0] - ROOM - 0.02, 0, tail[2]] as Vec3,
            turn: [Math.SQRT1_2, 0, Math.SQRT1_2, 0] as const,
            material: 'rubberFoam',
            mass: { value: 0.012, spread: 0.003, source: 'mass of foam ball' },
          },
        ]
      : []),
    ...(second
      ? [
          {
            id: 'second-camera',
            name: 'second camera, weigh yours',
            shape: { kind: 'box' as const, size: [0.033, 0.071, 0.051] as Vec3 },
            at: [tail[0] + 0.03, 0, tail[2] + outside / 2 + 0.03] as Vec3,
            material: 'petg',
            mass: { value: 0.13, spread: 0.02, source: 'mass of second camera' },
          },
        ]
      : []),
    { ...endCap({ id: 'front-cap', at: front, axis: [1, 0, 0], across: outside }), name: 'padded end' },
  ];
  const half = d['stop']!;
  return {
    bodies: [
      {
        id: 'helmet',
        name: 'helmet mount',
        nodes: [],
        members: [],
        joints: [],
        stations: [],
        parts: [
          {
            id: 'crown-plate',
            name: 'crown plate on its patch',
            shape: { kind: 'tube', outerRadius: 0.045, innerRadius: 0, length: 0.004 },
            at: [-d['hingeAhead']!, 0, -FORK - 0.03],
            material: 'petg',
            supply: { item: `${PATCHES[choices['patch']!]!.name} and plate`, packOf: 1, packPrice: 4 },
          },
        ],
      },
      {
        id: 'yoke',
        name: 'swivel and fork',
        nodes: [],
        members: [],
        joints: [],
        stations: [],
        parts: [
          {
            id: 'swivel',
            name: 'swivel',
            shape: { kind: 'tube', outerRadius: 0.0125, innerRadius: 0, length: 0.03 },
            at: [-d['hingeAhead']!, 0, -FORK - 0.012],
            material: 'steel',
            mass: { value: 0.06, spread: 0.006, source: 'mass of swivel' },
            supply: { item: 'swivel 25 mm', packOf: 1, packPrice: 4.5 },
          },
          {
            id: 'fork',
            name: 'fork',
            shape: { kind: 'box', size: [0.02, outside + 0.03, 0.02] },
            at: [0, 0, -FORK + 0.008],
            material: 'aluminium',
            mass: { value: 0.03, spread: 0.005, source: 'mass of fork' },
            supply: { item: 'aluminium fork, bent', packOf: 1, packPrice: 3 },
          },
        ],
      },
      {
        id: 'pole',
        name: 'pole',
        nodes: [
          { id: 'front', at: front },
          { id: 'tail', at: tail },
          { id: 'middle', at: [0, 0, -d['hingeAbove']!] },
        ],
        members: [
          {
            id: 'tube',
            name: 'pole tube',
            from: 'tail',
            to: 'front',
            stock,
            leftLong: 0,
            holes: [],
            path: { kind: 'straight', widthDirection: [0, 1, 0] },
          },
        ],
        joints: [
          {
            id: 'bush-on-pole',
            name: 'hinge pin',
            node: 'middle',
            fitting: 'hingePin',
            joins: ['tube', 'hinge-bush'],
            reversible: true,
            packs: true,
          },
          {
            id: 'tail-joint',
            name: 'insert in the tube',
            node: 'tail',
            fitting: 'epoxy',
            joins: ['tube', 'tail-bolt'],
            reversible: false,
            dryingTime: 24 * 3600,
          },
          {
            id: 'front-joint',
            name: 'clamp and cap',
            node: 'front',
            fitting: 'hoseClamp',
            joins: ['tube', 'camera-clamp'],
            reversible: true,
            packs: true,
          },
        ],
        parts,
        stations: [station],
      },
    ],
    pivots: [
      {
        id: 'swivel-axis',
        name: 'swivel',
        kind: 'swivel',
        at: [-d['hingeAhead']!, 0, 0],
        axis: [0, 0, 1],
        heldBy: 'helmet',
        carries: 'yoke',
        breaksAwayAt: PATCHES[choices['patch']!]!.force,
      },
      {
        id: 'hinge-axis',
        name: 'hinge',
        kind: 'hinge',
        at: [0, 0, 0],
        axis: [0, 1, 0],
        heldBy: 'yoke',
        carries: 'pole',
        stops: [-half, half],
        padding: { thickness: d['padding']!, fromAxis: PADDED_AT },
      },
    ],
    contacts: [
      {
        id: 'on-crown',
        name: 'crown of the helmet',
        kind: 'helmet',
        body: 'helmet',
        at: [-d['hingeAhead']!, 0, -FORK - 0.032],
        direction: [0, 0, 1],
      },
    ],
    poses: [{ id: 'worn', name: 'On the helmet', contacts: ['on-crown'] }],
    adjusters: [
      {
        id: 'camera-along',
        name: 'Camera, along the pole',
        kind: 'mark',
        axis: [1, 0, 0],
        range: [-0.12, 0.015],
        step: 0.001,
        value: 0,
        moves: [{ kind: 'part', id: 'camera-clamp' }],
      },
      {
        id: 'tail-count',
        name: 'Tail washers',
        kind: 'count',
        range: [0, Math.floor(ROOM / washer.thickness + 1e-9)],
        step: 1,
        value: 0,
        moves: [{ kind: 'station', id: 'tail' }],
      },
    ],
  };
}

const dimensions = [
  lengthSpec(
    'length',
    'Pole length',
    'tube',
    1.2,
    0.6,
    1.8,
    'End to end: the longer, the more of you is in the picture.',
  ),
  lengthSpec('hingeFromTail', 'Hinge from the tail', 'hinge-bush', 0.6, 0.2, 1.2, 'Where the bush sits on the pole.'),
  lengthSpec(
    'hingeAbove',
    'Hinge above the pole',
    'hinge-axis',
    0.012,
    0,
    0.06,
    'Pin over the pole’s middle: the higher, the less it droops.',
  ),
  lengthSpec(
    'hingeAhead',
    'Hinge ahead of the swivel',
    'hinge-axis',
    0,
    -0.03,
    0.03,
    'Best none: any sets the spin against you.',
  ),
  angleSpec(
    'stop',
    'Stops',
    'hinge-axis',
    45,
    10,
    70,
    'How far the pole may tip each way before it meets its padded stop.',
  ),
  lengthSpec(
    'padding',
    'Padding on each stop',
    'hinge-axis',
    0.008,
    0,
    0.03,
    'Foam where the fork meets the pole: thick enough to take its fall.',
  ),
  given(
    'shot',
    angleSpec(
      'noseDown',
      'Camera tilt',
      'camera-clamp',
      42,
      -20,
      75,
      'Down from level: so that pole and mount stay out of the picture, and you in it.',
    ),
  ),
];
const choices = [
  choiceSpec('pole', 'Pole', 'Light: it goes round your head.', 'tube-carbon-20x1', barOptions(ROUND_TUBES)),
  choiceSpec('washer', 'Washers', 'On the threaded tail.', 'm8-24', namesOf(WASHERS)),
  choiceSpec(
    'tailEnd',
    'On the tail',
    'Washers alone, or a second camera too.',
    'washers',
    named({ washers: 'washers', camera: 'a second camera, and washers to trim' }),
  ),
  choiceSpec(
    'patch',
    'Held on the helmet by',
    'It must let go. Never a bolt toward the head.',
    'small',
    namesOf(PATCHES),
  ),
  choiceSpec(
    'endMark',
    'Tail end',
    'Others must see it come.',
    'ball',
    named({ ball: 'a bright foam ball', none: 'nothing' }),
  ),
];

function size(load: PlacedLoad | null, hands: Hands): Sizing {
  const usual = usualInput(dimensions, choices);
  const { mass } = loadBox(load);
  const length = mass > 0.18 ? 1.0 : 1.2;
  const at = (hingeFromTail: number): FamilyInput => ({
    choices: usual.choices,
    dimensions: { ...usual.dimensions, length, hingeFromTail },
  });
  const count = Math.round(within(mass / 0.012, 4, 22));
  const start = { 'tail-count': count };
  // The hinge goes where the pole balances with its washers on: a hair to the camera's side, so that it droops that way.
  const hingeFromTail =
    Math.round(zeroOf((x) => weighed(build(at(x)), load, start, ['pole']).centre[0], 0.2, length - 0.2) * 1000) / 1000;
  const drop = weighed(build(at(hingeFromTail)), load, start, ['pole']).centre[2];
  // The camera hangs under the pole and draws the mass centre down; the hinge stands at least a finger's width above that.
  const hingeAbove = toFiveMillimetres(within(Math.max(0.01, 0.012 + drop + 0.012), 0, 0.06));
  const reasons: Phrase[] = [
    say`A pole of ${figure('length', length)} and ${figure('count', count)} washers balance your ${figure('mass', mass)} about a hinge ${figure('length', hingeFromTail)} from the tail.`,
    say`The hinge stands ${figure('length', hingeAbove)} above the pole, and the mass centre ${figure('length', Math.abs(drop - 0.012 + hingeAbove))} under it: so it hangs level and does not lie on a stop.`,
    say`A camera tilt of ${figure('angle', 42 * DEGREE, 0)} keeps pole and mount over the top edge of most lenses. Your hand, ${figure('length', hands.breadth)} across, must be able to stop it: walk it round first.`,
  ];
  const sized = {
    ...at(hingeFromTail),
    dimensions: { ...at(hingeFromTail).dimensions, hingeAbove, stop: (hands.breadth > 0.1 ? 50 : 45) * DEGREE },
  };
  return { ...sized, reasons, startValues: start };
}

function advise({ dimensions: d, choices: c }: FamilyInput): readonly Finding[] {
  const radius = Math.max(d['length']! - d['hingeFromTail']!, d['hingeFromTail']! + ROOM);
  const findings: Finding[] = [
    {
      code: 'sweepCircle',
      severity: 'note',
      about: 'tube',
      figure: figure('length', radius + 0.5),
      limit: null,
      title: say`Keep everyone and everything out of a circle ${figure('length', 2 * (radius + 0.5))} across.`,
      why: say`The ends sweep ${figure('length', radius)} from your head; people step back late, and the pole leans.`,
      toDo: say`Rope it off or have a friend watch. Stop turning when anyone comes near. Not in streets, crowds or on anything that moves.`,
      fixes: [],
    },
  ];
  if (c['endMark'] === 'none')
    findings.push({
      code: 'endNotSeen',
      severity: 'mend',
      about: 'tail-bolt',
      figure: null,
      limit: null,
      title: say`The tail end cannot be seen coming.`,
      why: say`It is at the height of faces, and steel.`,
      toDo: say`Put a bright foam ball on it.`,
      fixes: [{ label: say`A bright foam ball`, changes: [{ kind: 'choice', id: 'endMark', value: 'ball' }] }],
    });
  if (Math.abs(d['hingeAhead']!) > 0.001)
    findings.push({
      code: 'hingeAheadOfSwivel',
      severity: 'note',
      about: 'hinge-axis',
      figure: figure('length', Math.abs(d['hingeAhead']!)),
      limit: figure('length', 0.001),
      title: say`The hinge stands ${figure('length', Math.abs(d['hingeAhead']!))} off the swivel.`,
      why: say`Spun, that tips the pole and pulls the mount aside even when it is balanced.`,
      toDo: say`Put it over the swivel.`,
      fixes: [{ label: say`Over the swivel`, changes: [{ kind: 'dimension', id: 'hingeAhead', value: 0 }] }],
    });
  findings.push({
    code: 'levelOnHead',
    severity: 'note',
    about: 'crown-plate',
    figure: figure('angle', 3 * DEGREE, 0),
    limit: null,
    title: say`The plate must sit within ${figure('angle', 3 * DEGREE, 0)} of level on your head as you stand.`,
    why: say`A swivel that leans makes the pole climb and fall once a turn.`,
    toDo: say`Look in a mirror with a level on the plate, and shim the patch.`,
    fixes: [],
  });
  return findings;
}

export const helmetPole: Family = {
  id: 'helmet-pole',
  name: 'Spinning helmet pole',
  summary:
    'A light pole on a swivel on your helmet, camera on one end looking back at you, washers on the other: the world turns round you.',
  goodFor: ['the world turning round you', 'both hands free', 'a light action camera'],
  givesUp: 'Safety, wherever there are people, branches or wheels. It is for an empty field.',
  suits: {
    carries: ['eye level'],
    moves: ['walking', 'standing still'],
    hands: 1,
    wet: true,
    hangs: false,
    loadAtMost: 0.25,
  },
  goesWrong: [
    'It catches on a branch and the mount does not let go.',
    'The hinge is under the mass centre and it lies on its stop.',
    'Somebody walks into the circle.',
  ],
  dimensions,
  choices,
  size,
  build,
  advise,
  drawn: (input) => {
    const { front, tail } = layOut(input);
    return [
      { dimension: 'length', from: tail, to: front, view: 'side', offset: -70 },
      { dimension: 'hingeFromTail', from: tail, to: [0, 0, tail[2]], view: 'side', offset: 60 },
    ];
  },
};
