/**
 * Balance arm with a cross-slide stage: stage on a head bar over the pivot, an arm reaching forward and down from its front,
 * weights clamped along the arm. Rebalanced in seconds. The pivot is the origin.
 */
import {
  addScaled,
  cross,
  dot,
  figure,
  fromColumns,
  quaternionOf,
  say,
  scale,
  type Phrase,
  type Vec3,
} from '../../0-base';
import type { PlacedLoad } from '../../1-load';
import type { Hands, Member, Part, Rig, StatedConnection, Station } from '../../model';
import { followBends, frameAlong, neutralFractionFor, stripStart, type StripFrame } from '../members/bend';
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
  setOn,
} from '../familyTools';
import { crossSlide } from '../parts/crossSlide';
import { FLAT_BARS } from '../parts/flatBars';
import { clampBlock } from '../parts/hardware';
import { jointAndGrip } from '../parts/jointAndGrip';
import { boltThread, WASHERS, washerOf } from '../parts/washers';
import { barOf } from '../parts/bars';
import { ANY_WASHER, METAL_FLAT } from '../parts/ownSizes';
import { NUT } from '../hardware/sizes';

const FROM_STUD = 0.015; // a stage's screw from the joint's stud: both have nuts and heads
const SLIDE = 0.03; // of a clamp, each way
const BLOCK = { length: 0.03, beside: 0.008, wall: 0.006 }; // round the arm; its wall under the head of the weight bolt
const TRAVEL = { foreAft: 0.04, sideways: 0.02 };
const HEAD_REAR = 0.06; // head bar behind the stage's middle, or behind the joint's where that lies further back
const BEND_RADIUS = 0.05; // of a straight arm's one bend: 6 mm aluminium takes it by hand
const HAND_ROOM = 0.045;
/** A carriage on one pair of rails rocks on its own bearing; on two pairs, over their spacing. */
const CARRIAGE = 0.03;

interface Layout {
  readonly arm: Member;
  readonly nodes: readonly { id: string; at: Vec3 }[];
  readonly low: StripFrame;
  readonly middle: StripFrame;
  /** How much the arm bows within each clamp, m. */
  readonly bow: { readonly low: number; readonly middle: number };
  /** How far each clamp slides back and out on the arm's straight run, m. */
  readonly slides: { readonly low: readonly [number, number]; readonly middle: readonly [number, number] };
  readonly thickness: number;
}

function layOut({ dimensions: d, choices, own }: FamilyInput): Layout {
  const stock = barOf(choices['bar']!, own);
  if (stock.section.kind !== 'flat') throw new TypeError('the arm is flat bar');
  const { thickness } = stock.section;
  const rear = Math.min(d['stageFromPivot']! - HEAD_REAR, -0.02);
  const start: Vec3 = [rear, 0, d['jointHeight']! + thickness / 2];
  const curved = choices['arm'] === 'curved';
  const insideRadius = curved ? d['armRadius']! : BEND_RADIUS;
  const neutralFraction = neutralFractionFor(insideRadius, thickness);
  const segments = [
    { straight: Math.max(d['stageFromPivot']!, 0) + Math.max(d['headAhead']!, 0.03) - rear },
    { angle: d['armAngle']!, insideRadius, neutralFraction },
    { straight: d['armLength']! },
  ];
  const strip = followBends(stock.section, segments, stripStart(start, [1, 0, 0], [0, 0, -1]));
  const total = strip.developedLength;
  // A straight block on a bend is filed out by as much as the arm bows in its length.
  const bend = [
    segments[0]!.straight!,
    segments[0]!.straight! + d['armAngle']! * (insideRadius + thickness / 2),
  ] as const;
  const bow = BLOCK.length ** 2 / 8 / (insideRadius + thickness / 2);
  const bowAt = (along: number): number =>
    along > bend[0] - BLOCK.length / 2 && along < bend[1] + BLOCK.length / 2 ? bow : 0;
  // Only on the straight run, and not off its end.
  const straight = [bend[1] + BLOCK.length / 2, total - BLOCK.length / 2] as const;
  const slideAt = (at: number): [number, number] =>
    at < straight[0] ? [0, 0] : [Math.max(-SLIDE, straight[0] - at), Math.max(0, Math.min(SLIDE, straight[1] - at))];
  const along = {
    low: total - Math.min(0.8 * total, d['lowClamp']!),
    middle: total - Math.min(0.8 * total, d['midClamp']!),
  };
  return {
    thickness,
    arm: {
      id: 'arm',
      name: 'arm',
      from: 'arm-start',
      to: 'arm-end',
      stock,
      path: { kind: 'bent', along: [1, 0, 0], across: [0, 0, -1], segments },
      leftLong: 0,
      holes: [],
    },
    nodes: [
      { id: 'arm-start', at: start },
      { id: 'arm-end', at: strip.end.at },
    ],
    low: frameAlong(strip, along.low),
    middle: frameAlong(strip, along.middle),
    bow: { low: bowAt(along.low), middle: bowAt(along.middle) },
    slides: { low: slideAt(along.low), middle: slideAt(along.middle) },
  };
}

function build(input: FamilyInput): Rig {
  const { dimensions: d, choices, own } = input;
  const lay = layOut(input);
  const { washer, boltDiameter } = washerOf(choices['washer']!, own);
  const room = d['stackRoom']!;
  const thread = boltThread(boltDiameter);
  // A nut where no screw is sold so long: it is the higher of the two.
  const recess = NUT.of({ name: thread })!;
  const wall = BLOCK.wall + recess;
  const stage = crossSlide({
    foot: [d['stageFromPivot']!, 0, d['jointHeight']! + lay.thickness],
    travel: TRAVEL,
    on: 'arm',
    thickness: lay.thickness,
    keepOff: { x: 0, within: FROM_STUD },
    ...(choices['rails'] === 'two' ? { railSpacing: d['railSpacing']! } : {}),
  });
  const joint = jointAndGrip({
    height: d['jointHeight']!,
    thickness: lay.thickness,
    on: 'arm',
    gripLength: d['gripLength']!,
  });
  const width = lay.arm.stock.section.kind === 'flat' ? lay.arm.stock.section.width : 0;
  const clamp = (id: string, { at, along, across, width: side }: StripFrame, bow: number): Part =>
    clampBlock({
      id,
      at,
      size: [BLOCK.length, width + 2 * BLOCK.beside, lay.thickness + 2 * wall],
      round: {
        bore: [width, lay.thickness + 2 * bow],
        turn: quaternionOf(fromColumns(along, side, scale(across, handed(along, side, across)))),
      },
    });
  const station = (id: string, name: string, frame: StripFrame): Station => ({
    id,
    name,
    seat: addScaled(frame.at, frame.across, lay.thickness / 2 + wall),
    axis: frame.across,
    boltDiameter,
    room,
    washer,
    count: 0,
  });
  const stations = [
    station('low', 'Low clamp washers', lay.low),
    station('middle', 'Middle clamp washers', lay.middle),
  ];
  const clamped = (['low', 'middle'] as const).flatMap((id): StatedConnection[] => [
    {
      kind: 'clamped',
      id: `${id}-on-arm`,
      name: `${id} clamp on the arm`,
      piece: `${id}-clamp`,
      on: 'arm',
      packs: true,
    },
    {
      kind: 'bolted',
      id: `${id}-bolt`,
      name: `${id} weight bolt`,
      on: `${id}-clamp`,
      point: addScaled(lay[id].at, lay[id].across, lay.thickness / 2),
      way: lay[id].across,
      thread,
      recess,
      held: true,
      stack: [
        { kind: 'piece', piece: `${id}-clamp`, wall: 'near' },
        { kind: 'row', station: id },
      ],
      end: { kind: 'nut' },
    },
  ]);
  const marks = (['low', 'middle'] as const).map((id) => ({
    id: `${id}-along`,
    name: id === 'low' ? 'Low clamp, along the arm' : 'Middle clamp, along the arm',
    kind: 'mark' as const,
    axis: lay[id].along,
    range: lay.slides[id],
    step: 0.001,
    value: 0,
    moves: [
      { kind: 'part' as const, id: `${id}-clamp` },
      { kind: 'station' as const, id },
    ],
  }));
  // On a curve only the tangent is straight: there the clamps are set by their dimension, not by a slide.
  const slides = choices['arm'] === 'straight' ? marks.filter((m) => m.range[0] < m.range[1]) : [];
  return {
    bodies: [
      {
        id: 'held-grip',
        name: 'grip',
        nodes: [],
        members: [],
        joints: [],
        parts: [...joint.held.parts],
        stations: [],
        connections: [...joint.held.connections],
      },
      {
        id: 'sled',
        name: 'arm with camera',
        nodes: [...lay.nodes],
        members: [lay.arm],
        joints: [],
        parts: [
          ...stage.parts,
          ...joint.carried.parts,
          clamp('low-clamp', lay.low, lay.bow.low),
          clamp('middle-clamp', lay.middle, lay.bow.middle),
        ],
        stations,
        connections: [...joint.carried.connections, ...stage.connections, ...clamped],
      },
    ],
    pivots: [joint.pivot],
    contacts: [
      {
        id: 'hand-on-grip',
        name: 'hand',
        kind: 'hand',
        body: 'held-grip',
        at: [0, 0, -0.02 - d['gripLength']! / 2],
        direction: [0, 0, 1],
      },
    ],
    poses: [{ id: 'carried', name: 'Carried upright', contacts: ['hand-on-grip'], arm: 0.35 }],
    adjusters: [
      // The carriages' play lets the stage rock over its rails: the nearer they stand, the more.
      ...stage.adjusters.map((a) =>
        a.id === stage.adjusters[0]!.id
          ? {
              ...a,
              play: {
                angle: Math.atan2(
                  d['railPlay']!,
                  choices['rails'] === 'two' ? Math.max(CARRIAGE, d['railSpacing']!) : CARRIAGE,
                ),
                way: 'roll' as const,
              },
            }
          : a,
      ),
      joint.pivotHeight,
      ...slides,
      ...stations.map((s) => ({
        id: `${s.id}-count`,
        name: s.name,
        kind: 'count' as const,
        range: [0, Math.floor(room / washer.thickness + 1e-9)] as const,
        step: 1,
        value: 0,
        moves: [{ kind: 'station' as const, id: s.id }],
      })),
    ],
  };
}

/** One when they are a right-handed set, else minus one. */
const handed = (x: Vec3, y: Vec3, z: Vec3): number => Math.sign(dot(cross(x, y), z));

const dimensions = [
  lengthSpec(
    'headAhead',
    'Arm leaves ahead of the stage',
    'arm',
    0.07,
    0.03,
    0.2,
    'From the stage’s middle to where the arm bends down.',
  ),
  lengthSpec('armLength', 'Arm, straight run', 'arm', 0.3, 0.05, 0.6, 'From the end of the bend to the arm’s end.'),
  lengthSpec('armRadius', 'Arm’s bend, inside radius', 'arm', 0.16, 0.05, 0.3, 'Of a curved arm.'),
  angleSpec(
    'armAngle',
    'Arm turns down',
    'arm',
    100,
    60,
    170,
    'From level: 90° hangs straight down, more comes back under the pivot.',
  ),
  setOn(
    'low-along',
    lengthSpec('lowClamp', 'Low clamp from the end', 'low', 0.03, 0.015, 0.3, 'Along the arm, from its end.'),
    -1,
  ),
  setOn(
    'middle-along',
    lengthSpec('midClamp', 'Middle clamp from the end', 'middle', 0.18, 0.06, 0.5, 'Along the arm, from its end.'),
    -1,
  ),
  lengthSpec(
    'stageFromPivot',
    'Stage ahead of the pivot',
    'stage-base',
    -0.02,
    -0.15,
    0.06,
    'Middle of the stage; behind is negative.',
  ),
  lengthSpec(
    'jointHeight',
    'Joint height',
    'joint-upper',
    0.035,
    0.02,
    0.07,
    'Pivot to the underside of the head bar, with the stud in the middle of its thread.',
  ),
  lengthSpec('gripLength', 'Grip length', 'grip', 0.12, 0.08, 0.18, 'Length of the hand grip.'),
  lengthSpec(
    'stackRoom',
    'Room for washers',
    'low',
    0.045,
    0.01,
    0.09,
    'Length of each clamp’s bolt that can take washers.',
  ),
  lengthSpec('railSpacing', 'Rail spacing', 'stage-base', 0.07, 0.02, 0.12, 'Between the two pairs of rails.'),
  given(
    'measured',
    lengthSpec(
      'railPlay',
      'Play of a carriage on its rails',
      'stage-top',
      0.00005,
      0,
      0.001,
      'Rock the stage by hand and measure at a feeler gauge.',
    ),
  ),
];

const choices = [
  choiceSpec(
    'arm',
    'Arm',
    'Curved keeps the weights under you; straight lets clamps slide.',
    'straight',
    named({ straight: 'straight, one tight bend', curved: 'curved' }),
  ),
  choiceSpec('bar', 'Bar', 'Flat bar by trade size.', 'aluminium-30x6', namesOf(FLAT_BARS), METAL_FLAT),
  choiceSpec(
    'rails',
    'Rails under the stage',
    'One pair rocks when you run; two do not.',
    'two',
    named({ one: 'one pair', two: 'two pairs' }),
  ),
  choiceSpec('washer', 'Washers', 'On both clamps.', 'm12-37', namesOf(WASHERS), ANY_WASHER),
];

function size(load: PlacedLoad | null, hands: Hands): Sizing {
  const usual = usualInput(dimensions, choices);
  const box = loadBox(load);
  const picked = {
    ...usual.choices,
    bar: box.mass > 1.4 ? 'aluminium-40x5' : 'aluminium-30x6',
    washer: box.mass > 0.5 ? 'm12-37' : 'm10-30',
  };
  const gripLength = within(hands.breadth + 0.03, 0.08, 0.18);
  const at = (armLength: number, stageFromPivot = 0): FamilyInput => ({
    choices: picked,
    dimensions: {
      ...usual.dimensions,
      armLength,
      stageFromPivot,
      gripLength,
      // On the straight run, where it slides.
      midClamp: toFiveMillimetres(within(usual.dimensions['midClamp']!, 0.06, armLength - 0.03)),
      stackRoom: box.mass > 1.4 ? 0.07 : 0.045,
    },
  });
  const { washer } = washerOf(picked.washer, []);
  const each = 7850 * Math.PI * (washer.outerRadius ** 2 - washer.innerRadius ** 2) * washer.thickness;
  const most = Math.floor(at(0.2).dimensions['stackRoom']! / washer.thickness + 1e-9);
  const least = toFiveMillimetres(gripLength + 0.02 + HAND_ROOM);
  let armLength = within(least, 0.05, 0.6);
  let wanted = 0;
  let rig = build(at(armLength));
  for (; armLength < 0.6; armLength = toFiveMillimetres(armLength + 0.01)) {
    rig = build(at(armLength));
    const bare = weighed(rig, load, {}, ['sled']);
    const depth = rig.bodies[1]!.stations[0]!.seat[2];
    wanted = Math.max(0, Math.ceil((bare.mass * (bare.centre[2] + 0.0015)) / (each * -(depth + 0.0015))));
    if (wanted <= most * 0.8) break;
  }
  const low = Math.min(most, wanted);
  // The whole arm moves over the pivot with its stage: where that brings the mass centre over the joint.
  const stageFromPivot = toFiveMillimetres(
    zeroOf((x) => weighed(build(at(armLength, x)), load, { 'low-count': low }, ['sled']).centre[0], -0.15, 0.06),
  );
  const reasons: Phrase[] = [
    say`An arm of ${figure('length', armLength)} hangs ${figure('count', low)} washers low enough to carry your ${figure('mass', box.mass)} and clears your fist.`,
    say`The stage sits ${figure('length', Math.abs(stageFromPivot))} ${stageFromPivot < 0 ? 'behind' : 'ahead of'} the pivot, against the arm that reaches forward.`,
    say`Two pairs of rails: with one, the play of a carriage is seen when you run.`,
  ];
  return { ...at(armLength, stageFromPivot), reasons, startValues: { 'low-count': low, 'middle-count': 0 } };
}

export const balanceArm: Family = {
  id: 'balance-arm',
  name: 'Balance arm with a cross-slide stage',
  summary:
    'Camera on a stage with two slides, an arm reaching forward and down, weights clamped along it: rebalanced in seconds.',
  goodFor: ['changing lenses often', 'walking shots', 'learning what balance does'],
  givesUp: 'Every slide has play, and bought slides cost more than the rest together.',
  suits: { carries: ['eye level', 'waist'], moves: ['walking', 'running'], hands: 1, wet: false, hangs: true },
  goesWrong: [
    'The stage rocks on one pair of rails when you run.',
    'A clamp creeps down the arm in the bag and all is lost: mark it.',
    'The arm’s end meets the knee.',
  ],
  dimensions,
  choices,
  size,
  build,
  advise: () => [],
  drawn: (input) => {
    const lay = layOut(input);
    const [start, end] = [lay.nodes[0]!.at, lay.nodes[1]!.at];
    const bendEnd = addScaled(end, lay.low.along, -input.dimensions['armLength']!);
    return [
      {
        dimension: 'headAhead',
        from: [input.dimensions['stageFromPivot']!, 0, start[2]],
        to: [input.dimensions['stageFromPivot']! + input.dimensions['headAhead']!, 0, start[2]],
        view: 'side',
        offset: -120,
      },
      { dimension: 'armLength', from: end, to: bendEnd, view: 'side', offset: 60 },
      {
        dimension: 'stageFromPivot',
        from: [Math.min(0, input.dimensions['stageFromPivot']!), 0, start[2]],
        to: [Math.max(0, input.dimensions['stageFromPivot']!), 0, start[2]],
        view: 'side',
        offset: -180,
      },
    ];
  },
};
