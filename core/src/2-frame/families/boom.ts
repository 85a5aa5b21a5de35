/**
 * Boom held at its mass centre: a long tube, the camera rigid on its flattened front end, a bar across the tail with
 * weights above and below so that the mass centre falls on the tube. The hold mark is the origin; the tube lies along x.
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
import type { PlacedLoad } from '../../1-load';
import type { Hands, Member, Part, Rig, Station } from '../../model';
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
  given,
} from '../familyTools';
import { BARS, barOptions, ROUND_TUBES } from '../parts/bars';
import { FLAT_BARS } from '../parts/flatBars';
import { foamGrip } from '../parts/hardware';
import { plate } from '../parts/plate';
import { WASHERS, washerOf } from '../parts/washers';

const FLAT = 0.045; // of the tube's end, hammered flat
const TAIL_BAR = 'aluminium-25x5';
const STACK_ROOM = 0.09;
const TAIL_END = 0.02; // from a bolt to the bar's end, so that the end does not tear
/** Of the tube ahead of the hand, m: room for the bracket. */
const LEAST_AHEAD = 0.15;
const WANTED = 0.42; // of the tube behind the hand, to start from

function layOut({ dimensions: d, choices }: FamilyInput) {
  const stock = BARS[choices['tube']!]!;
  const outside =
    stock.section.kind === 'tube'
      ? stock.section.outerDiameter
      : stock.section.kind === 'square'
        ? stock.section.width
        : 0.02;
  const rear: Vec3 = [-d['holdFromRear']!, 0, 0];
  const front: Vec3 = [d['length']! - d['holdFromRear']!, 0, 0];
  const tailAt = rear[0] + 0.03;
  // A flat end lying level takes an upright bolt: the bracket turns about it. Upright, the bracket nods.
  const level = choices['flat'] === 'level';
  const neck: Vec3 = [front[0] - FLAT / 2, 0, level ? 0.004 : outside / 2];
  return { stock, outside, rear, front, tailAt, neck, level };
}

function build(input: FamilyInput): Rig {
  const { dimensions: d, choices } = input;
  const { stock, outside, rear, front, tailAt, neck } = layOut(input);
  const { washer, boltDiameter } = washerOf(choices['washer']!);
  const half = d['tailBar']! / 2;
  const flatBar = FLAT_BARS[TAIL_BAR]!;
  const straight = (
    id: string,
    name: string,
    from: string,
    to: string,
    of: Member['stock'],
    widthDirection: Vec3,
    holes: Member['holes'] = [],
  ): Member => ({ id, name, from, to, stock: of, leftLong: 0, holes, path: { kind: 'straight', widthDirection } });
  const hole = (id: string, name: string, along: number, diameter: number) => ({
    id,
    name,
    along,
    across: 0,
    diameter,
    afterBending: false,
  });
  const station = (id: string, name: string, z: number): Station => ({
    id,
    name,
    seat: [tailAt - 0.0025, 0, z],
    axis: [-1, 0, 0],
    boltDiameter,
    room: STACK_ROOM,
    washer,
    count: 0,
  });
  const end = half - TAIL_END;
  const bolts = [
    { id: 'up', z: end },
    { id: 'down', z: -end },
  ];
  const parts: Part[] = [
    ...headParts(input, neck),
    foamGrip({ id: 'grip', at: [0, 0, 0], axis: [1, 0, 0], length: d['gripLength']!, inside: outside }),
    {
      id: 'tail-clamp',
      name: 'tail bolt and saddle',
      shape: { kind: 'box', size: [0.03, outside + 0.006, outside + 0.006] },
      at: [tailAt, 0, 0],
      material: 'aluminium',
      mass: { value: 0.06, spread: 0.008, source: 'mass of tail bolt and saddle' },
      supply: { item: 'saddle clamp with bolts', packOf: 1, packPrice: 5 },
    },
    ...bolts.map(({ id, z }): Part => ({
      id: `tail-${id}-bolt`,
      name: 'weight bolt',
      shape: { kind: 'tube', outerRadius: boltDiameter / 2, innerRadius: 0, length: STACK_ROOM + 0.02 },
      at: [tailAt - 0.03, 0, z],
      turn: [Math.SQRT1_2, 0, -Math.SQRT1_2, 0],
      material: 'steel',
      supply: { item: `bolt ${Math.round(boltDiameter * 1000)} mm × 80, with nut`, packOf: 1, packPrice: 1.4 },
    })),
  ];
  return {
    bodies: [
      {
        id: 'boom',
        name: 'boom',
        nodes: [
          { id: 'rear', at: rear },
          { id: 'front', at: front },
          { id: 'tail-high', at: [tailAt, 0, half] },
          { id: 'tail-low', at: [tailAt, 0, -half] },
        ],
        members: [
          straight(
            'tube',
            'boom tube',
            'rear',
            'front',
            stock,
            [0, 1, 0],
            [hole('hole-head', 'camera bracket bolt', d['length']! - FLAT / 2, 0.0066)],
          ),
          straight(
            'tail-bar',
            'tail bar',
            'tail-high',
            'tail-low',
            flatBar,
            [0, 1, 0],
            [
              hole('hole-up', 'upper weights', TAIL_END, boltDiameter + 0.0005),
              hole('hole-down', 'lower weights', d['tailBar']! - TAIL_END, boltDiameter + 0.0005),
            ],
          ),
        ],
        joints: [
          {
            id: 'head-on-tube',
            name: 'flattened end',
            node: 'front',
            fitting: 'flattened',
            joins: ['tube', 'camera-plate'],
            reversible: true,
            packs: true,
          },
          {
            id: 'tail-on-tube',
            name: 'saddle clamp',
            node: 'rear',
            fitting: 'boltThrough',
            joins: ['tube', 'tail-bar', 'tail-clamp'],
            reversible: true,
            packs: true,
          },
        ],
        parts,
        stations: [station('tail-up', 'Upper tail washers', end), station('tail-down', 'Lower tail washers', -end)],
      },
    ],
    pivots: [],
    contacts: [
      { id: 'hand-on-mark', name: 'hand', kind: 'hand', body: 'boom', at: [0, 0, 0], direction: [0, 0, 1] },
      {
        id: 'second-hand',
        name: 'second hand',
        kind: 'hand',
        body: 'boom',
        at: [-d['secondHand']!, 0, 0],
        direction: [0, 0, 1],
      },
    ],
    poses: [
      { id: 'carried-low', name: 'Carried low, arm hanging', contacts: ['hand-on-mark'], arm: 0.1 },
      { id: 'carried-high', name: 'Carried high, arm bent', contacts: ['hand-on-mark'], arm: 0.28 },
      { id: 'two-hands', name: 'Both hands, reaching', contacts: ['hand-on-mark', 'second-hand'], arm: 0.35 },
    ],
    adjusters: [
      {
        id: 'hold-mark',
        name: 'Hold mark',
        kind: 'mark',
        axis: [1, 0, 0],
        range: [
          -Math.max(0, Math.min(0.25, d['holdFromRear']! - 0.1)),
          Math.max(0, Math.min(0.25, front[0] - LEAST_AHEAD)),
        ],
        step: 0.001,
        value: 0,
        moves: [
          { kind: 'contact', id: 'hand-on-mark' },
          { kind: 'contact', id: 'second-hand' },
          { kind: 'part', id: 'grip' },
        ],
      },
      ...(['tail-up', 'tail-down'] as const).map((id) => ({
        id: `${id}-count`,
        name: id === 'tail-up' ? 'Upper tail washers' : 'Lower tail washers',
        kind: 'count' as const,
        range: [0, Math.floor(STACK_ROOM / washer.thickness + 1e-9)] as const,
        step: 1,
        value: 0,
        moves: [{ kind: 'station' as const, id }],
      })),
    ],
  };
}

/** A small angle bracket bolted on the flat, and the camera's foot on it, turned by the three tilts. */
function headParts({ dimensions: d }: FamilyInput, neck: Vec3): readonly Part[] {
  const turn = quaternionOfTurns({ toTheLeft: d['turnLeft']!, noseDown: d['noseDown']!, leftSideDown: d['leanLeft']! });
  const up = transform(rotationOf(turn), [0, 0, 1]);
  const middle: Vec3 = [neck[0] + 0.02, 0, neck[2] + 0.02];
  const mount: Vec3 = [middle[0] + up[0] * 0.003, middle[1] + up[1] * 0.003, middle[2] + up[2] * 0.003];
  return [
    {
      ...plate({
        id: 'camera-plate',
        name: 'camera plate',
        middle,
        size: [0.05, 0.045, 0.006],
        material: 'aluminium',
        supply: { item: 'angle bracket 50 mm', packOf: 1, packPrice: 2.4 },
      }),
      turn,
      mount,
      mountTurn: turn,
      screw: { diameter: 0.00635, length: 0.0127, passes: 0.008 },
    },
    {
      id: 'neck',
      name: 'neck bolt with wing nut',
      shape: { kind: 'tube', outerRadius: 0.006, innerRadius: 0, length: 0.03 },
      at: [neck[0], 0, neck[2] + 0.004],
      material: 'steel',
      mass: { value: 0.03, spread: 0.004, source: 'mass of neck bolt' },
      supply: { item: '1/4-20 bolt with wing nut', packOf: 1, packPrice: 1.2 },
    },
  ];
}

const dimensions = [
  lengthSpec('length', 'Tube length', 'tube', 1.1, 0.5, 2.2, 'End to end, the flattened end included.'),
  lengthSpec(
    'holdFromRear',
    'Hold mark from the rear',
    'hand-on-mark',
    0.45,
    0.15,
    1.6,
    'Where it balances on a finger, from the rear end.',
  ),
  lengthSpec(
    'tailBar',
    'Tail bar',
    'tail-bar',
    0.16,
    0.08,
    0.3,
    'Upright bar across the rear end; a bolt of weights at each end.',
  ),
  lengthSpec(
    'gripLength',
    'Grip length',
    'grip',
    0.15,
    0.1,
    0.3,
    'Foam round the hold mark: your hand and room for the mark to wander.',
  ),
  lengthSpec(
    'secondHand',
    'Second hand behind the mark',
    'second-hand',
    0.3,
    0.12,
    0.8,
    'Where the other hand steadies it.',
  ),
  given(
    'shot',
    angleSpec(
      'noseDown',
      'Camera tilt, nose down',
      'camera-plate',
      0,
      -90,
      90,
      'About the bolt through the neck; up is negative.',
    ),
  ),
  given(
    'shot',
    angleSpec(
      'turnLeft',
      'Camera turn, to the left',
      'camera-plate',
      0,
      -180,
      180,
      'About the camera screw or the upright bolt.',
    ),
  ),
  given(
    'shot',
    angleSpec(
      'leanLeft',
      'Camera lean, left side down',
      'camera-plate',
      0,
      -90,
      90,
      'About the tube: turn the whole boom in the hand.',
    ),
  ),
];

const choices = [
  choiceSpec(
    'tube',
    'Tube',
    'Stiff and light: it whips less and tires less.',
    'tube-alu-25x2',
    barOptions(ROUND_TUBES),
  ),
  choiceSpec(
    'flat',
    'Front end flattened',
    'Which way the flat lies decides which way the bracket turns.',
    'level',
    named({
      level: 'level: the bracket turns about an upright bolt',
      upright: 'upright: the bracket nods about a level bolt',
    }),
  ),
  choiceSpec('washer', 'Washers', 'On both ends of the tail bar.', 'm12-37', namesOf(WASHERS)),
];

function size(load: PlacedLoad | null, hands: Hands): Sizing {
  const usual = usualInput(dimensions, choices);
  const gripLength = within(hands.breadth + 0.06, 0.1, 0.3);
  const box = loadBox(load);
  const length = box.mass > 1 ? 0.9 : box.mass > 0.35 ? 1.1 : 1.4;
  const picked = {
    ...usual.choices,
    tube: box.mass > 1 ? 'tube-steel-3/4in' : box.mass > 0.35 ? 'tube-alu-25x2' : 'tube-alu-20x1.5',
    washer: box.mass > 0.35 ? 'm12-37' : 'm10-30',
  };
  const at = (holdFromRear: number, tailBar: number): FamilyInput => ({
    choices: picked,
    dimensions: { ...usual.dimensions, length, holdFromRear, tailBar, gripLength },
  });
  const { washer } = washerOf(picked.washer);
  const most = Math.floor(STACK_ROOM / washer.thickness + 1e-9);
  const each = 7850 * Math.PI * (washer.outerRadius ** 2 - washer.innerRadius ** 2) * washer.thickness;
  // How many more must hang below the tube than above it, for the mass centre to fall on the tube: a longer bar needs fewer.
  const bare = (tailBar: number) => weighed(build(at(WANTED * length, tailBar)), load);
  let tailBar = 0.16;
  let more = 0;
  for (; tailBar <= 0.3; tailBar = toFiveMillimetres(tailBar + 0.02)) {
    const { mass, centre } = bare(tailBar);
    more = Math.max(0, Math.round((mass * (centre[2] + 0.001)) / (each * (tailBar / 2 - TAIL_END))));
    if (more <= 0.7 * most) break;
  }
  tailBar = Math.min(tailBar, 0.3);
  const { mass, centre } = bare(tailBar);
  // And how many in all, for it to balance no nearer the camera than half way: then the arm is not at the camera.
  const tailX = 0.03 - WANTED * length;
  const forBalance = Math.ceil(
    (mass * (centre[0] - (0.5 - WANTED) * length)) / (each * ((0.5 - WANTED) * length - tailX)),
  );
  const count = within(Math.max(more, forBalance), 0, more + 2 * Math.max(0, most - more));
  const down = Math.min(most, Math.ceil((count + more) / 2));
  const tail = { up: Math.max(0, down - more), down };
  const hold = WANTED * length + weighed(build(at(WANTED * length, tailBar)), load, counts(tail)).centre[0];
  const holdFromRear = within(Math.round(hold * 1000) / 1000, 0.15, 1.6);
  const reasons: Phrase[] = [
    say`A boom of ${figure('length', length)} is as long as your ${figure('mass', box.mass)} lets one arm carry for a take.`,
    say`${figure('count', tail.up + tail.down)} washers on the tail bring the balance to ${figure('length', holdFromRear)} from the rear: mark it and hold it there.`,
    say`${figure('count', tail.down)} of them sit below the tube and ${figure('count', tail.up)} above, so that it does not roll over in the hand.`,
    say`Your hand is ${figure('length', hands.breadth)} across; the grip is ${figure('length', gripLength)}, so that the mark may wander with the loadout.`,
  ];
  return { ...at(holdFromRear, tailBar), reasons, startValues: counts(tail) };
}

const counts = (tail: { up: number; down: number }): Record<string, number> => ({
  'tail-up-count': tail.up,
  'tail-down-count': tail.down,
});

function advise(input: FamilyInput): readonly Finding[] {
  const { level, front } = layOut(input);
  const { dimensions: d } = input;
  const findings: Finding[] = [];
  const ahead = front[0];
  if (ahead < LEAST_AHEAD - 1e-9) {
    const hold = Math.max(0.15, Math.floor((d['length']! - LEAST_AHEAD) * 1000) / 1000);
    findings.push({
      code: 'markOffTheTube',
      severity: 'stop',
      about: 'hand-on-mark',
      figure: figure('length', d['holdFromRear']!),
      limit: figure('length', hold),
      title:
        ahead > 0
          ? say`The hold mark lies ${figure('length', ahead)} from the front end.`
          : say`The hold mark lies off the tube.`,
      why: say`The tube is ${figure('length', d['length']!)} long, and its bracket needs ${figure('length', LEAST_AHEAD)} ahead of the hand.`,
      toDo: say`Hold it nearer the rear, or make the tube longer.`,
      fixes: [
        {
          label: say`Hold it ${figure('length', hold)} from the rear`,
          changes: [{ kind: 'dimension', id: 'holdFromRear', value: hold }],
        },
      ],
    });
  } else if (ahead < 0.3) {
    findings.push({
      code: 'boomTooShortAhead',
      severity: 'note',
      about: 'tube',
      figure: figure('length', ahead),
      limit: figure('length', 0.3),
      title: say`Only ${figure('length', ahead)} of boom lies ahead of the hand.`,
      why: say`Much more of its length is behind you than in front: it reaches little and sweeps wide.`,
      toDo: say`Hang less on the tail, or hold it further back.`,
      fixes: [],
    });
  }
  const about = level ? 'turns to both sides' : 'nods up and down';
  findings.push({
    code: 'reach',
    severity: 'note',
    about: 'camera-plate',
    figure: null,
    limit: null,
    title: say`Three tilts reach any direction: the bracket ${about}, the camera turns on its screw, the boom rolls in your hand.`,
    why: level
      ? say`With the flat level the bolt is upright: to look up or down, roll the boom a quarter turn or tilt on the screw. Now it looks ${figure('angle', Math.abs(d['noseDown']!), 0)} ${d['noseDown']! >= 0 ? 'down' : 'up'} and ${figure('angle', Math.abs(d['turnLeft']!), 0)} to the ${d['turnLeft']! >= 0 ? 'left' : 'right'}.`
      : say`With the flat upright the bracket nods till the camera meets the tube; turning is on the screw. Now it looks ${figure('angle', Math.abs(d['noseDown']!), 0)} ${d['noseDown']! >= 0 ? 'down' : 'up'} and ${figure('angle', Math.abs(d['turnLeft']!), 0)} to the ${d['turnLeft']! >= 0 ? 'left' : 'right'}.`,
    toDo: say`Set the tilts before the take, tighten, and check that the tube stays out of the picture.`,
    fixes: [],
  });
  return findings;
}

export const boom: Family = {
  id: 'boom',
  name: 'Boom held at its balance',
  summary:
    'A long tube with the camera on its end and weights on the tail, held where it balances: low along the ground, high overhead, far out.',
  goodFor: ['long reach', 'low along the ground', 'high overhead'],
  givesUp: 'It sweeps wide, whips if the tube is thin, and the picture turns with every twist of the wrist.',
  suits: {
    carries: ['low', 'overhead', 'waist'],
    moves: ['walking', 'running', 'long reach'],
    hands: 1,
    wet: true,
    hangs: false,
  },
  goesWrong: [
    'All the tail weight on one side of the tube, and it rolls over in the hand.',
    'The flattened end cracks at the fold.',
    'Held off its mark after a change of lens, it droops all day.',
  ],
  dimensions,
  choices,
  size,
  build,
  advise,
  drawn: (input) => {
    const { rear, front, tailAt } = layOut(input);
    const half = input.dimensions['tailBar']! / 2;
    return [
      { dimension: 'length', from: rear, to: front, view: 'side', offset: 70 },
      { dimension: 'holdFromRear', from: rear, to: [0, 0, 0], view: 'side', offset: 40 },
      { dimension: 'tailBar', from: [tailAt, 0, -half], to: [tailAt, 0, half], view: 'side', offset: -60 },
    ];
  },
};
