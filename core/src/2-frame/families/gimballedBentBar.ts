/**
 * Gimballed bent bar: one flat bar, its platform on top, bent forward and round to a foot below the pivot, hung on a
 * universal joint with a hand grip. The pivot is the origin; the bar starts at its rear end and runs forward.
 */
import { add, addScaled, figure, say, scale, type Finding, type Phrase, type Vec3 } from '../../0-base';
import { massCentre, sumsOf, type PlacedLoad } from '../../1-load';
import type { Hands, Member, Rig, StatedConnection, Station } from '../../model';
import { assemble } from '../assemble';
import {
  followBends,
  frameAlong,
  neutralFractionFor,
  stripStart,
  type BentStrip,
  type StripFrame,
} from '../members/bend';
import type { Family, FamilyInput, Sizing } from '../family';
import {
  angleSpec,
  choiceSpec,
  lengthSpec,
  namesOf,
  zeroOf,
  toFiveMillimetres,
  usualInput,
  weighed,
  given,
} from '../familyTools';
import { ACROSS_FLATS } from '../hardware/sizes';
import { crossSlide } from '../parts/crossSlide';
import { FLAT_BARS } from '../parts/flatBars';
import { jointAndGrip, type JointAndGrip } from '../parts/jointAndGrip';
import { boltThread, WASHERS, washerOf } from '../parts/washers';
import { barOf } from '../parts/bars';
import { ANY_WASHER, METAL_FLAT } from '../parts/ownSizes';

const STAGE_HALF = 0.035; // of the stage's base, fore and aft
const HEAD_ROOM = 0.002;
const REAR_HOLE = 0.018; // from the bar's rear end: one and a half times the widest bolt, so the end does not tear
const FROM_STUD = 0.015; // a stage's screw from the joint's stud: both have nuts and heads
const STAGE_BEHIND = 0.01; // bar kept behind the stage's rear screw, where it had none
const TAIL_BEYOND_FOOT = 0.02; // bar kept behind the foot hole for the same reason
const HAND_ROOM = 0.045; // below the grip, so that the rig may swing 20 degrees before it meets the fist
const TRAVEL = { foreAft: 0.025, sideways: 0.012 };
const LONGEST_STACK = 0.05; // what a bolt sold in common lengths leaves for washers

interface Layout {
  readonly bar: Member;
  readonly strip: BentStrip;
  readonly rear: StripFrame;
  readonly front: StripFrame;
  readonly foot: StripFrame;
  /** Left of the tail behind the foot hole, m; below TAIL_BEYOND_FOOT the foot does not fit under the pivot. */
  readonly tailBehindFoot: number;
  readonly thickness: number;
}

/** The stage's rear screw from its middle, m. */
function rearScrew(rig: Rig): number {
  const sled = rig.bodies.find((b) => b.id === 'sled');
  const screw = sled?.connections?.find((c) => c.id === 'stage-rear');
  const base = sled?.parts.find((p) => p.id === 'stage-base');
  return screw?.kind === 'bolted' && base ? screw.point[0] - base.at[0] : 0;
}

/** Along the bar from its rear end, m. */
const stageMiddle = ({ dimensions: d }: FamilyInput): number => d['pivotFromRear']! + d['stageFromPivot']!;

function layOut(input: FamilyInput): Layout {
  const { dimensions: d, choices } = input;
  const stock = barOf(choices['bar']!, input.own);
  if (stock.section.kind !== 'flat') throw new TypeError('the bent bar is made of flat bar');
  const { thickness } = stock.section;
  const start: Vec3 = [-d['pivotFromRear']!, 0, d['jointHeight']! + thickness / 2];
  const insideRadius = d['bendInsideRadius']!;
  const neutralFraction = neutralFractionFor(insideRadius, thickness);
  const bend = d['bendAngle']!;
  const roll = d['outOfPlane']!;
  const segments = [
    { straight: d['platformLength']! },
    ...(roll === 0 ? [] : [{ roll }]),
    { angle: bend, insideRadius, neutralFraction },
    { straight: d['tail']! },
  ];
  const strip = followBends(stock.section, segments, stripStart(start, [1, 0, 0], [0, 0, -1]));
  const arc = bend * (insideRadius + neutralFraction * thickness);
  const bendEnd = strip.turningPoints.at(-2)!;
  // The tail runs back towards the plane x = 0; along it the foot lies where it meets that plane.
  const toFoot = strip.end.along[0] < -0.2 ? -bendEnd[0] / strip.end.along[0] : 0;
  const footAlong = d['platformLength']! + arc + Math.max(0, toFoot);
  const bar: Member = {
    id: 'bar',
    name: 'bar',
    from: 'bar-start',
    to: 'bar-end',
    stock,
    path: { kind: 'bent', along: [1, 0, 0], across: [0, 0, -1], segments },
    leftLong: d['leftLong']!,
    holes: [],
  };
  return {
    bar,
    strip,
    thickness,
    rear: frameAlong(strip, REAR_HOLE),
    front: frameAlong(strip, d['platformLength']! + arc / 2),
    foot: frameAlong(strip, footAlong),
    tailBehindFoot: strip.developedLength - footAlong,
  };
}

function build(input: FamilyInput): Rig {
  const { dimensions: d, choices } = input;
  const lay = layOut(input);
  const { washer: weights, boltDiameter } = washerOf(choices['washer']!, input.own);
  const room = d['stackRoom']!;
  const stage = crossSlide({
    foot: [d['stageFromPivot']!, 0, d['jointHeight']! + lay.thickness],
    travel: TRAVEL,
    on: 'bar',
    thickness: lay.thickness,
    keepOff: { x: 0, within: FROM_STUD },
  });
  const joint = hungBy(input, lay.thickness);
  // Rear weights hang under the platform, front ones sit inside the arc, foot ones stand on the tail: all on the +across side.
  const station = (id: string, name: string, frame: StripFrame, off = 0): Station => ({
    id,
    name,
    seat: addScaled(frame.at, frame.across, lay.thickness / 2 + off),
    axis: frame.across,
    boltDiameter,
    room,
    washer: weights,
    count: 0,
  });
  // In the arc a flat washer stands on its rim, off the bottom of the hollow.
  const inside = d['bendInsideRadius']!;
  const hollow = inside - Math.sqrt(Math.max(0, inside ** 2 - weights.outerRadius ** 2));
  const stations = [
    station('rear', 'Rear washers', lay.rear),
    station('front', 'Front washers', lay.front, hollow),
    station('foot', 'Foot washers', lay.foot),
  ];
  const bolts = (
    [
      ['rear', 'rear weight bolt', lay.rear],
      ['front', 'front weight bolt', lay.front],
      ['foot', 'foot weight bolt', lay.foot],
    ] as const
  ).map(([id, name, frame]): StatedConnection => ({
    kind: 'bolted',
    id: `${id}-bolt`,
    name,
    on: 'bar',
    point: addScaled(frame.at, frame.across, -lay.thickness / 2),
    way: frame.across,
    thread: boltThread(boltDiameter),
    stack: [
      { kind: 'piece', piece: 'bar' },
      { kind: 'row', station: id },
    ],
    end: { kind: 'nut' },
    ...(id === 'foot' ? { last: true } : {}),
  }));
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
        name: 'bar with camera',
        nodes: [
          { id: 'bar-start', at: lay.strip.turningPoints[0]! },
          { id: 'bar-end', at: lay.strip.end.at },
        ],
        members: [lay.bar],
        joints: [],
        parts: [...stage.parts, ...joint.carried.parts],
        stations,
        connections: [...joint.carried.connections, ...stage.connections, ...bolts],
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
      ...stage.adjusters,
      joint.pivotHeight,
      ...stations.map((s) => ({
        id: `${s.id}-count`,
        name: s.name,
        kind: 'count' as const,
        range: [0, Math.floor(room / weights.thickness + 1e-9)] as const,
        step: 1,
        value: 0,
        moves: [{ kind: 'station' as const, id: s.id }],
      })),
    ],
  };
}

const hungBy = ({ dimensions: d }: FamilyInput, thickness: number): JointAndGrip =>
  jointAndGrip({ height: d['jointHeight']!, thickness, on: 'bar', gripLength: d['gripLength']! });

/** From the bar's rear end to where a stage clears the corners of the rear bolt's head, m. */
const headClear = (boltDiameter: number): number =>
  REAR_HOLE + ACROSS_FLATS.of({ name: boltThread(boltDiameter) })! / Math.sqrt(3) + HEAD_ROOM;

/** Foot washers that bring the mass centre just under the pivot, with the rear ones on; and how far it hangs under with none. */
function footWashersWanted(
  rig: Rig,
  load: PlacedLoad | null,
  rear: number,
): { readonly count: number; readonly under: number } {
  const bare = weighed(rig, load, { 'rear-count': rear }, ['sled']);
  const foot = assemble(rig, null).stacks.find((s) => s.station.id === 'foot')!;
  const wantedDepth = 0.0015;
  const perWasher = foot.one.mass * -(foot.station.seat[2] + 0.01 + wantedDepth);
  return {
    count: Math.max(0, Math.ceil((bare.mass * (bare.centre[2] + wantedDepth)) / perWasher)),
    under: -bare.centre[2],
  };
}

function size(load: PlacedLoad | null, hands: Hands): Sizing {
  const usual = usualInput(dimensions, choices);
  const gripLength = Math.min(0.16, Math.max(0.09, hands.breadth + 0.03));
  const loadMass = load ? sumsOf(load.bodies).mass : 0;
  const picked = {
    ...usual.choices,
    washer: loadMass > 1.3 ? 'm12-37' : 'm10-30',
    bar: loadMass > 1.6 ? 'aluminium-40x5' : loadMass > 0.3 ? 'aluminium-30x6' : 'aluminium-25x5',
  };
  const most = Math.floor(usual.dimensions['stackRoom']! / WASHERS[picked.washer]!.thickness);
  const clear = (jointHeight: number): number =>
    toFiveMillimetres((jointHeight + 0.02 + gripLength + HAND_ROOM + LONGEST_STACK) / 2 + 0.0024);
  let pivotFromRear = usual.dimensions['pivotFromRear']!;
  const at = (radius: number, jointHeight: number, stageFromPivot = 0): FamilyInput => ({
    choices: picked,
    dimensions: {
      ...usual.dimensions,
      gripLength,
      jointHeight,
      bendInsideRadius: radius,
      stageFromPivot,
      pivotFromRear,
      platformLength: usual.dimensions['platformLength']! + pivotFromRear - usual.dimensions['pivotFromRear']!,
    },
  });
  const rear = loadMass > 0.3 ? Math.round(most / 2) : 2;
  // A light camera leaves the bare bar bottom-heavy: a taller joint lowers the pivot until it is not.
  let jointHeight = usual.dimensions['jointHeight']!;
  const needed = (radius: number) => footWashersWanted(build(at(radius, jointHeight)), load, rear);
  for (let step = 0; step < 6 && needed(clear(jointHeight)).under > 0.004 && jointHeight < 0.119; step++)
    jointHeight = toFiveMillimetres(Math.min(0.12, jointHeight + 1.2 * (needed(clear(jointHeight)).under - 0.002)));
  let bendInsideRadius = clear(jointHeight);
  let { count } = needed(bendInsideRadius);
  while (count > 0.65 * most && bendInsideRadius < 0.245) {
    bendInsideRadius = toFiveMillimetres(bendInsideRadius + 0.005);
    ({ count } = needed(bendInsideRadius));
  }
  const startValues = { 'rear-count': rear, 'front-count': 0, 'foot-count': Math.min(count, most) };
  const stageOf = (): number =>
    toFiveMillimetres(
      zeroOf(
        (x) => weighed(build(at(bendInsideRadius, jointHeight, x)), load, startValues, ['sled']).centre[0],
        -0.12,
        0.06,
      ),
    );
  let stageFromPivot = stageOf();
  // A stage far back would stand on the rear bolt's head: more bar behind the pivot, which takes it forward again.
  const head = headClear(washerOf(picked.washer).boltDiameter);
  while (pivotFromRear + stageFromPivot < head + STAGE_HALF - 1e-9 && pivotFromRear < 0.22 - 1e-9) {
    pivotFromRear = toFiveMillimetres(pivotFromRear + 0.005);
    stageFromPivot = stageOf();
  }
  const reasons: Phrase[] = [
    say`The arc's inside radius of ${figure('length', bendInsideRadius)} clears your fist and lets ${figure('count', count)} foot washers carry a load of ${figure('mass', loadMass)}.`,
    say`The stage sits ${figure('length', Math.abs(stageFromPivot))} ${stageFromPivot < 0 ? 'behind' : 'ahead of'} the pivot, because the arc and the lens pull forward.`,
    say`The grip is your hand's breadth and ${figure('length', 0.03)} more.`,
  ];
  return { ...at(bendInsideRadius, jointHeight, stageFromPivot), reasons, startValues };
}

const dimensions = [
  lengthSpec(
    'platformLength',
    'Platform length',
    'bar',
    0.21,
    0.12,
    0.32,
    'Rear end of the bar to where the bend begins.',
  ),
  lengthSpec(
    'pivotFromRear',
    'Pivot from the rear end',
    'joint-upper',
    0.15,
    0.06,
    0.22,
    'Hole for the universal joint, from the rear end.',
  ),
  lengthSpec(
    'stageFromPivot',
    'Stage ahead of the pivot',
    'stage-base',
    -0.02,
    -0.12,
    0.06,
    'Middle of the stage; behind the pivot is negative.',
  ),
  lengthSpec(
    'bendInsideRadius',
    'Bend radius, inside',
    'bar',
    0.13,
    0.03,
    0.25,
    'Radius of the inside of the arc. The foot hangs twice this below the platform.',
  ),
  angleSpec(
    'bendAngle',
    'Bend angle',
    'bar',
    180,
    120,
    190,
    'How far the bar turns round: 180° brings the tail back level under the platform.',
  ),
  lengthSpec('tail', 'Tail', 'bar', 0.13, 0.05, 0.3, 'Straight run behind the bend, as finished.'),
  lengthSpec(
    'leftLong',
    'Left long',
    'bar',
    0.03,
    0,
    0.1,
    'Extra on the tail until the foot hole is drilled; cut off last.',
  ),
  given(
    'measured',
    angleSpec(
      'outOfPlane',
      'Bend out of its plane',
      'bar',
      0,
      -5,
      5,
      'How far the bend leans out of the plane of the platform; 0° is true.',
    ),
  ),
  lengthSpec(
    'jointHeight',
    'Joint height',
    'joint-upper',
    0.035,
    0.02,
    0.12,
    'Pivot to the underside of the bar, with the stud in the middle of its thread.',
  ),
  lengthSpec('gripLength', 'Grip length', 'grip', 0.12, 0.08, 0.18, 'Length of the hand grip.'),
  lengthSpec(
    'stackRoom',
    'Room for washers',
    'rear',
    0.04,
    0.01,
    0.08,
    'Length of each weight bolt that can take washers.',
  ),
];

const choices = [
  choiceSpec('bar', 'Bar', 'Flat bar by trade size.', 'aluminium-30x6', namesOf(FLAT_BARS), METAL_FLAT),
  choiceSpec('washer', 'Washers', 'Weights on all three bolts.', 'm10-30', namesOf(WASHERS), ANY_WASHER),
];

function advise(input: FamilyInput, rig: Rig): readonly Finding[] {
  const lay = layOut(input);
  const findings: Finding[] = [];
  const short = TAIL_BEYOND_FOOT - lay.tailBehindFoot;
  if (short > 1e-9) {
    const tail = toFiveMillimetres(input.dimensions['tail']! + short + 0.0024);
    findings.push({
      code: 'tailTooShort',
      severity: 'stop',
      about: 'bar',
      figure: figure('length', lay.tailBehindFoot),
      limit: figure('length', TAIL_BEYOND_FOOT),
      title: say`The tail is too short for a foot under the pivot.`,
      why: say`The foot hole needs ${figure('length', TAIL_BEYOND_FOOT)} of bar behind it, or the end tears out.`,
      toDo: say`Make the tail ${figure('length', tail)} long.`,
      fixes: [
        {
          label: say`Make the tail ${figure('length', tail)}`,
          changes: [{ kind: 'dimension', id: 'tail', value: tail }],
        },
      ],
    });
  }
  const head = headClear(washerOf(input.choices['washer']!, input.own).boltDiameter) + STAGE_HALF;
  if (stageMiddle(input) < head - 1e-9) {
    const more = head - stageMiddle(input);
    const ahead = Math.ceil((input.dimensions['stageFromPivot']! + more) * 1000 - 1e-6) / 1000;
    findings.push({
      code: 'stageOnBoltHead',
      severity: 'stop',
      about: 'stage-base',
      figure: figure('length', stageMiddle(input)),
      limit: figure('length', head),
      title: say`The stage stands on the head of the rear weight bolt.`,
      why: say`Its middle lies ${figure('length', stageMiddle(input))} from the bar’s rear end; it clears the head from ${figure('length', head)} on.`,
      toDo: say`Bring the stage forward, or leave more bar behind the pivot.`,
      fixes: [
        {
          label: say`Bring the stage forward by ${figure('length', ahead - input.dimensions['stageFromPivot']!)}`,
          changes: [{ kind: 'dimension', id: 'stageFromPivot', value: ahead }],
        },
      ],
    });
  }
  const behind = stageMiddle(input) + rearScrew(rig);
  if (behind < 0) {
    const ahead = Math.ceil((input.dimensions['stageFromPivot']! + STAGE_BEHIND - behind) * 1000 - 1e-6) / 1000;
    findings.push({
      code: 'stageOffTheBar',
      severity: 'stop',
      about: 'stage-base',
      figure: figure('length', -behind),
      limit: null,
      title: say`The stage's rear screw lies ${figure('length', -behind)} behind the end of the bar.`,
      why: say`It needs ${figure('length', STAGE_BEHIND)} of bar behind it, or the end tears out.`,
      toDo: say`Bring the stage forward, or leave more bar behind the pivot.`,
      fixes: [
        {
          label: say`Bring the stage forward by ${figure('length', ahead - input.dimensions['stageFromPivot']!)}`,
          changes: [{ kind: 'dimension', id: 'stageFromPivot', value: ahead }],
        },
      ],
    });
  }
  const stackTop = add(lay.foot.at, scale(lay.foot.across, lay.thickness / 2 + input.dimensions['stackRoom']!))[2];
  const gap = -0.02 - input.dimensions['gripLength']! - stackTop;
  if (gap < HAND_ROOM - 0.0005) {
    const radius = toFiveMillimetres(input.dimensions['bendInsideRadius']! + (HAND_ROOM - gap) / 2 + 0.0024);
    findings.push({
      code: 'fistMeetsWeights',
      severity: 'mend',
      about: 'foot',
      figure: figure('length', gap),
      limit: figure('length', HAND_ROOM),
      title: say`Only ${figure('length', gap)} between the grip and the foot's full bolt.`,
      why: say`With less than ${figure('length', HAND_ROOM)} the fist stops the swing.`,
      toDo: say`A wider bend, a shorter grip or a shorter foot bolt.`,
      fixes:
        radius <= 0.25
          ? [
              {
                label: say`Bend to ${figure('length', radius)} inside`,
                changes: [{ kind: 'dimension', id: 'bendInsideRadius', value: radius }],
              },
            ]
          : [],
    });
  }
  const lean = input.dimensions['outOfPlane']!;
  if (lean !== 0) {
    const centre = sideShift(rig);
    findings.push({
      code: 'bendOutOfPlane',
      severity: 'note',
      about: 'bar',
      figure: figure('length', Math.abs(centre)),
      limit: null,
      title: say`The bend leaves its plane by ${figure('angle', Math.abs(lean))}: the bar's own mass centre moves ${figure('length', Math.abs(centre))} to the ${centre > 0 ? 'left' : 'right'}.`,
      why: say`A few tenths of a millimetre sideways are degrees of lean on a slow rig; the stage must take it up.`,
      toDo: say`Bend against a flat former, and check both ends on a flat table before drilling.`,
      fixes: [{ label: say`Bend it true`, changes: [{ kind: 'dimension', id: 'outOfPlane', value: 0 }] }],
    });
  }
  return findings;
}

/** Sideways shift of the bare bar's mass centre, m; the true bar's is zero by symmetry. */
function sideShift(rig: Rig): number {
  const assembly = assemble(rig, null);
  return massCentre(sumsOf(assembly.pieces.filter((p) => p.flat.owner === 'bar').map((p) => p.flat)))[1];
}

export const gimballedBentBar: Family = {
  id: 'gimballed-bent-bar',
  name: 'Bent bar on a universal joint',
  summary:
    'One flat bar bent to an arc, camera on top, weights at the rear, the front and the foot, hung on a joint in the hand.',
  goodFor: ['follow shots', 'eye level', 'tight corners'],
  givesUp: 'It does not fold, and a slow one is touchy in wind.',
  suits: {
    carries: ['eye level', 'waist'],
    moves: ['walking', 'running', 'tight spaces'],
    hands: 1,
    wet: false,
    hangs: true,
  },
  goesWrong: [
    'The bend leaves its plane and it leans for ever.',
    'The foot hole is drilled before the bar has hung.',
    'A washer more or less after each change of lens.',
  ],
  dimensions,
  choices,
  size,
  build,
  drawn: (input) => {
    const { strip } = layOut(input);
    const d = input.dimensions;
    const start = strip.turningPoints[0]!;
    const bendStart = strip.turningPoints[1]!;
    const end = strip.end.at;
    return [
      { dimension: 'platformLength', from: start, to: bendStart, view: 'side', offset: -152 },
      {
        dimension: 'bendInsideRadius',
        from: [bendStart[0], 0, bendStart[2] - strip.stretches[1]!.bend!.midRadius],
        to: [bendStart[0] + d['bendInsideRadius']!, 0, bendStart[2] - strip.stretches[1]!.bend!.midRadius],
        view: 'side',
        offset: 0,
      },
      { dimension: 'tail', from: strip.turningPoints.at(-2)!, to: end, view: 'side', offset: -30 },
      { dimension: 'pivotFromRear', from: start, to: [0, 0, start[2]], view: 'side', offset: 60 },
    ];
  },
  advise,
};
