/**
 * Boom held at its mass centre: a long tube, the camera rigid on its flattened front end, a bar across the tail with
 * weights above and below so that the mass centre falls on the tube. The hold mark is the origin; the tube lies along x.
 */
import {
  figure,
  materialOf,
  quaternionOfTurns,
  rotationOf,
  say,
  transform,
  type Finding,
  type Phrase,
  type Vec3,
} from '../../0-base';
import type { PlacedLoad } from '../../1-load';
import type { Hands, Member, Part, Rig, StatedConnection, Station } from '../../model';
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
  setOn,
} from '../familyTools';
import { barOf, barOptions, ROUND_TUBES } from '../parts/bars';
import { intoCamera } from '../parts/camera';
import { FLAT_BARS } from '../parts/flatBars';
import { foamGrip } from '../parts/hardware';
import { plate } from '../parts/plate';
import { boltThread, WASHERS, washerOf } from '../parts/washers';
import { ANY_WASHER, ROUND_TUBE } from '../parts/ownSizes';

const FLAT = 0.045; // of the tube's end, hammered flat
const STACK_ROOM = 0.09;
const TAIL_THICK = 0.005;
const PLUG = 0.04; // in the tube's rear end, tapped for the tail bar's bolt
const PLATE: Vec3 = [0.075, 0.045, 0.006];
const CAMERA_AHEAD = 0.035; // of its hole from the bolt the plate turns on
const EAR = 0.004;
const PLATE_ABOVE = 0.026; // of a nodding plate's underside from its bolt
const TAIL_END = 0.021; // from a bolt to the bar's end, so that the end does not tear
/** Of the tube ahead of the hand, m: room for the bracket. */
const LEAST_AHEAD = 0.15;
const WANTED = 0.42; // of the tube behind the hand, to start from

function layOut({ dimensions: d, choices, own }: FamilyInput) {
  const stock = barOf(choices['tube']!, own);
  const outside =
    stock.section.kind === 'tube'
      ? stock.section.outerDiameter
      : stock.section.kind === 'square'
        ? stock.section.width
        : 0.02;
  const rear: Vec3 = [-d['holdFromRear']!, 0, 0];
  const front: Vec3 = [d['length']! - d['holdFromRear']!, 0, 0];
  const tailAt = rear[0] - TAIL_THICK / 2;
  const wall = stock.section.kind === 'tube' ? stock.section.wall : 0.002;
  // A flat end lying level takes an upright bolt: the bracket turns about it. Upright, the bracket nods.
  const level = choices['flat'] === 'level';
  // Where the bolt meets the face of the flat that the plate lies on.
  const neck: Vec3 = [front[0] - FLAT / 2, level ? 0 : wall, level ? wall : 0];
  return { stock, outside, wall, rear, front, tailAt, neck, level };
}

function build(input: FamilyInput): Rig {
  const { dimensions: d, choices, own } = input;
  const lay = layOut(input);
  const { stock, outside, wall, rear, front, tailAt, level } = lay;
  const { washer, boltDiameter } = washerOf(choices['washer']!, own);
  const half = d['tailBar']! / 2;
  // A hole leaves its own width of bar at its sides.
  const flatBar = FLAT_BARS[boltDiameter > 0.0105 ? 'aluminium-40x5' : 'aluminium-25x5']!;
  const straight = (
    id: string,
    name: string,
    from: string,
    to: string,
    of: Member['stock'],
    widthDirection: Vec3,
  ): Member => ({ id, name, from, to, stock: of, leftLong: 0, holes: [], path: { kind: 'straight', widthDirection } });
  const station = (id: string, name: string, z: number): Station => ({
    id,
    name,
    seat: [rear[0] - TAIL_THICK, 0, z],
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
  const head = headParts(input, lay);
  const bore = outside / 2 - wall;
  const parts: Part[] = [
    ...head.parts,
    foamGrip({ id: 'grip', at: [0, 0, 0], axis: [1, 0, 0], length: d['gripLength']!, inside: outside }),
    {
      id: 'tail-plug',
      name: 'plug in the rear end',
      shape: { kind: 'tube', outerRadius: bore, innerRadius: 0, length: PLUG },
      at: [rear[0] + PLUG / 2, 0, 0],
      turn: [Math.SQRT1_2, 0, Math.SQRT1_2, 0],
      material: 'aluminium',
      supply: {
        item: `aluminium round ${Math.round(bore * 20000) / 10} mm, 40 mm`,
        packOf: 1,
        packPrice: 2.2,
        sawn: 'length',
      },
    },
  ];
  const connections: StatedConnection[] = [
    ...head.connections,
    { kind: 'slidOn', id: 'grip-on', name: 'grip on the tube', piece: 'grip', over: 'tube' },
    {
      kind: 'bonded',
      id: 'plug-in',
      name: 'plug in the tube',
      piece: 'tail-plug',
      to: 'tube',
      glue: 'epoxy',
      area: 2 * Math.PI * bore * PLUG,
    },
    {
      kind: 'bolted',
      id: 'tail-on-tube',
      name: 'tail bar’s bolt',
      on: 'tail-bar',
      point: [rear[0] - TAIL_THICK, 0, 0],
      way: [1, 0, 0],
      thread: bore > 0.0065 ? 'M8' : 'M6',
      washer: 'flat',
      stack: [{ kind: 'piece', piece: 'tail-bar' }],
      end: { kind: 'tapped', piece: 'tail-plug', depth: PLUG - 0.01, in: 'aluminium' },
      packs: true,
    },
    ...bolts.map(({ id, z }): StatedConnection => ({
      kind: 'bolted',
      id: `tail-${id}-bolt`,
      name: `${id === 'up' ? 'upper' : 'lower'} weight bolt`,
      on: 'tail-bar',
      point: [rear[0], 0, z],
      way: [-1, 0, 0],
      thread: boltThread(boltDiameter),
      stack: [
        { kind: 'piece', piece: 'tail-bar' },
        { kind: 'row', station: `tail-${id}` },
      ],
      end: { kind: 'nut' },
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
          {
            ...straight('tube', 'boom tube', 'rear', 'front', stock, level ? [0, 1, 0] : [0, 0, 1]),
            flattened: FLAT,
          },
          straight('tail-bar', 'tail bar', 'tail-high', 'tail-low', flatBar, [0, 1, 0]),
        ],
        joints: [],
        parts,
        stations: [station('tail-up', 'Upper tail washers', end), station('tail-down', 'Lower tail washers', -end)],
        connections,
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

/**
 * The camera's plate on the flat, turned about the bolt that holds it: level, it turns to the sides; upright, it nods on an ear. What
 * that bolt does not do is done by the camera's own screw and by rolling the boom: the camera alone is turned by it.
 */
function headParts(
  { dimensions: d }: FamilyInput,
  { neck, wall, level }: ReturnType<typeof layOut>,
): { readonly parts: readonly Part[]; readonly connections: readonly StatedConnection[] } {
  const none = { toTheLeft: 0, noseDown: 0, leftSideDown: 0 };
  const turn = quaternionOfTurns(
    level ? { ...none, toTheLeft: d['turnLeft']! } : { ...none, noseDown: d['noseDown']! },
  );
  const rotation = rotationOf(turn);
  const about = (p: Vec3): Vec3 => {
    const r = transform(rotation, [p[0] - neck[0], p[1] - neck[1], p[2] - neck[2]]);
    return [neck[0] + r[0], neck[1] + r[1], neck[2] + r[2]];
  };
  const under = neck[2] + (level ? 0 : PLATE_ABOVE);
  const middle: Vec3 = [neck[0] + CAMERA_AHEAD - PLATE[0] / 2 + 0.02, 0, under + PLATE[2] / 2];
  const camera: Vec3 = [neck[0] + CAMERA_AHEAD, 0, under];
  const low = -0.012;
  return {
    parts: [
      {
        ...plate({
          id: 'camera-plate',
          name: level ? 'camera plate' : 'nodding plate',
          middle: about(middle),
          size: PLATE,
          material: 'aluminium',
          supply: level
            ? { item: 'aluminium plate 75 × 45 × 6', packOf: 1, packPrice: 2.8, sawn: 'sheet' }
            : { item: 'aluminium angle 50 × 75 × 6', packOf: 1, packPrice: 4.2, sawn: 'length' },
        }),
        turn,
        mount: about([camera[0], 0, under + PLATE[2]]),
        mountTurn: quaternionOfTurns({
          toTheLeft: d['turnLeft']!,
          noseDown: d['noseDown']!,
          leftSideDown: d['leanLeft']!,
        }),
      },
      ...(level
        ? []
        : [
            {
              id: 'ear',
              name: 'ear of the plate',
              of: 'camera-plate',
              shape: { kind: 'box' as const, size: [0.03, EAR, PLATE_ABOVE - low] as Vec3 },
              at: about([neck[0], neck[1] + EAR / 2, neck[2] + (PLATE_ABOVE + low) / 2]),
              turn,
              material: 'aluminium',
            },
          ]),
    ],
    connections: [
      level
        ? {
            kind: 'bolted',
            id: 'neck',
            name: 'bolt the plate turns on',
            on: 'tube',
            point: [neck[0], 0, neck[2] + PLATE[2]],
            way: [0, 0, -1],
            thread: 'M6',
            // Flush under the camera.
            head: 'sunk',
            stack: [
              { kind: 'piece', piece: 'camera-plate' },
              { kind: 'piece', piece: 'tube' },
            ],
            end: { kind: 'wing' },
            packs: true,
          }
        : {
            kind: 'bolted',
            id: 'neck',
            name: 'bolt the plate nods on',
            on: 'tube',
            point: [neck[0], -wall, neck[2]],
            way: [0, 1, 0],
            thread: 'M6',
            stack: [
              { kind: 'piece', piece: 'tube' },
              { kind: 'piece', piece: 'camera-plate' },
            ],
            end: { kind: 'wing' },
            packs: true,
          },
      intoCamera({
        on: 'camera-plate',
        point: about(camera),
        way: transform(rotation, [0, 0, 1]),

        head: 'sunk',
        stack: [{ kind: 'piece', piece: 'camera-plate' }],
      }),
    ],
  };
}

const dimensions = [
  lengthSpec('length', 'Tube length', 'tube', 1.1, 0.5, 2.2, 'End to end, the flattened end included.'),
  setOn(
    'hold-mark',
    lengthSpec(
      'holdFromRear',
      'Hold mark from the rear',
      'hand-on-mark',
      0.45,
      0.15,
      1.6,
      'Where it balances on a finger, from the rear end.',
    ),
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
    ROUND_TUBE,
  ),
  choiceSpec(
    'flat',
    'Front end flattened',
    'Which way the flat lies decides which way the camera’s plate turns.',
    'level',
    named({
      level: 'level: the plate turns about an upright bolt',
      upright: 'upright: the plate nods about a level bolt',
    }),
  ),
  choiceSpec('washer', 'Washers', 'On both ends of the tail bar.', 'm12-37', namesOf(WASHERS), ANY_WASHER),
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
  const { washer } = washerOf(picked.washer, []);
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
  const tailX = -WANTED * length;
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
  const { level, front, stock } = layOut(input);
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
  if (materialOf(stock.material)?.look !== 'steel')
    findings.push({
      code: 'endDoesNotFlatten',
      severity: 'stop',
      about: 'tube',
      figure: null,
      limit: null,
      title: say`A tube of ${materialOf(stock.material)?.name ?? stock.material} breaks when its end is hammered flat.`,
      why: say`Only metal bends so far; this splits along its length.`,
      toDo: say`Take an aluminium or steel tube.`,
      fixes: [{ label: say`An aluminium tube`, changes: [{ kind: 'choice', id: 'tube', value: 'tube-alu-25x2' }] }],
    });
  const about = level ? 'turns to both sides' : 'nods up and down';
  findings.push({
    code: 'reach',
    severity: 'note',
    about: 'camera-plate',
    figure: null,
    limit: null,
    title: say`Three tilts reach any direction: the plate ${about}, the camera turns on its screw, the boom rolls in your hand.`,
    why: level
      ? say`With the flat level the bolt is upright: to look up or down, roll the boom a quarter turn or tilt on the screw. Now it looks ${figure('angle', Math.abs(d['noseDown']!), 0)} ${d['noseDown']! >= 0 ? 'down' : 'up'} and ${figure('angle', Math.abs(d['turnLeft']!), 0)} to the ${d['turnLeft']! >= 0 ? 'left' : 'right'}.`
      : say`With the flat upright the plate nods till the camera meets the tube; turning is on the screw. Now it looks ${figure('angle', Math.abs(d['noseDown']!), 0)} ${d['noseDown']! >= 0 ? 'down' : 'up'} and ${figure('angle', Math.abs(d['turnLeft']!), 0)} to the ${d['turnLeft']! >= 0 ? 'left' : 'right'}.`,
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
