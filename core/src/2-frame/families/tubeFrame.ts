/**
 * Open tube frame on a universal joint: two mirrored sides of soldered or glued tube, a platform across the top, bolts
 * across the foot that hold the sides together and carry the weights. Open to the rear for the arm. The pivot is the origin.
 */
import { figure, say, type Finding, type Phrase, type Vec3 } from '../../0-base';
import type { PlacedLoad } from '../../1-load';
import type { Hands, Hole, Member, Part, Rig, Station } from '../../model';
import type { Family, FamilyInput, Sizing } from '../family';
import {
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
} from '../familyTools';
import { mirroredMember, mirroredNode } from '../edits/mirror';
import { RODS } from '../parts/bars';
import { cameraScrew } from '../parts/hardware';
import { lowerJointAndGrip, upperJoint } from '../parts/jointAndGrip';
import { pipeOf, pipeOptions } from '../parts/pipes';
import { holesOf, plate } from '../parts/plate';
import { WASHERS, washerOf } from '../parts/washers';
import { pipework, type Pipework } from '../fittings/pipework';

const STUD = { perTurn: 0.00125, step: 0.00015625, range: 0.006 };
const HAND_ROOM = 0.045; // below the grip, so that the rig may swing 20 degrees before the rods meet the fist
const PLATE_THICKNESS = 0.006;
const GRID_PITCH = 0.01;
const BOLT_BEHIND_CORNER = 0.05; // clear of the elbow's socket, for the hole must not pass through the joint

const mirrorId = (id: string): string => id.replace('left', 'right');

function layOut({ dimensions: d, choices }: FamilyInput): Pipework {
  const pipe = pipeOf(choices['tube']!);
  const outside = pipe.size.stock.section.kind === 'tube' ? pipe.size.stock.section.outerDiameter : 0;
  const top = d['jointHeight']! - outside / 2;
  return pipework({
    pipe,
    // A cup is filled to about half a millimetre.
    short: { value: 0, spread: 0.0005 },
    start: { node: 'front-top-left', at: [d['frontFromPivot']!, d['width']! / 2, top] },
    runs: [
      {
        id: 'top-left',
        name: 'top tube, left',
        from: 'rear-top-left',
        to: 'front-top-left',
        direction: [1, 0, 0],
        cut: d['topTube']!,
        twin: 'top-right',
      },
      {
        id: 'leg-left',
        name: 'front leg, left',
        from: 'front-top-left',
        to: 'front-foot-left',
        direction: [0, 0, -1],
        cut: d['leg']!,
        twin: 'leg-right',
      },
      {
        id: 'foot-left',
        name: 'foot tube, left',
        from: 'front-foot-left',
        to: 'rear-foot-left',
        direction: [-1, 0, 0],
        cut: d['footTube']!,
        twin: 'foot-right',
      },
    ],
    twins: Object.fromEntries(
      ['rear-top-left', 'front-top-left', 'front-foot-left', 'rear-foot-left'].map((n) => [n, mirrorId(n)]),
    ),
  });
}

function build(input: FamilyInput): Rig {
  const { dimensions: d, choices } = input;
  const left = layOut(input);
  const { size } = pipeOf(choices['tube']!);
  const outside = size.stock.section.kind === 'tube' ? size.stock.section.outerDiameter : 0;
  const { washer, boltDiameter } = washerOf(choices['washer']!);
  const rod = RODS[boltDiameter > 0.0099 ? 'rod-m10' : boltDiameter > 0.0075 ? 'rod-m8' : 'rod-m6']!;
  const rodDiameter = rod.section.kind === 'rod' ? rod.section.diameter : boltDiameter;
  const hole = (id: string, name: string, along: number): Hole => ({
    id,
    name,
    along,
    across: 0,
    diameter: rodDiameter + 0.0005,
    afterBending: false,
  });
  // Holes for the two rods, drilled with both sides clamped together, from the front end of each foot tube.
  const frontAlong = BOLT_BEHIND_CORNER;
  const rearAlong = d['footTube']! - 0.03;
  const withHoles = (m: Member): Member =>
    m.id === 'foot-left'
      ? {
          ...m,
          holes: [hole('hole-front-left', 'front rod', frontAlong), hole('hole-rear-left', 'rear rod', rearAlong)],
        }
      : m;
  const members = left.members.map(withHoles);
  const right = members.map((m) => ({
    ...mirroredMember(m, m.twin!, mirrorId),
    holes: m.holes.map((h) => ({ ...h, id: mirrorId(h.id) })),
    name: m.name.replace('left', 'right'),
  }));
  const joints = left.joints.flatMap((j) => [
    j,
    {
      ...j,
      id: mirrorId(j.id),
      node: mirrorId(j.node),
      joins: j.joins.map(mirrorId),
      ...(j.hub ? { hub: { ...j.hub, sockets: j.hub.sockets } } : {}),
    },
  ]);
  const corner = left.at('front-foot-left');
  const inset = left.joints.find((j) => j.node === 'front-foot-left')!.hub!.sockets[0]!.takeOff;
  const rods = [
    rodAcross('front', [corner[0] - inset - frontAlong, 0, corner[2]], d, rod),
    rodAcross('rear', [corner[0] - inset - rearAlong, 0, corner[2]], d, rod),
  ];
  const stations = rods.flatMap(({ id, at }) =>
    (['left', 'right'] as const).map((side): Station => {
      const s = side === 'left' ? 1 : -1;
      return {
        id: `${id}-${side}`,
        name: `${id === 'front' ? 'Front' : 'Rear'} ${side} washers`,
        seat: [at[0], s * (d['width']! / 2 + outside / 2), at[2]],
        axis: [0, s, 0],
        boltDiameter: rodDiameter,
        room: d['stackRoom']!,
        washer,
        count: 0,
      };
    }),
  );
  const deck = deckParts(input);
  const bolted = (id: string, node: string, joins: string[]) => ({
    id,
    name: 'bolts through',
    node,
    fitting: 'boltThrough' as const,
    joins,
    reversible: true,
    packs: true,
  });
  return {
    bodies: [
      {
        id: 'held-grip',
        name: 'grip',
        nodes: [],
        members: [],
        joints: [],
        parts: [...lowerJointAndGrip(d['gripLength']!)],
        stations: [],
      },
      {
        id: 'sled',
        name: 'frame with camera',
        nodes: [
          ...left.nodes,
          ...left.nodes.map((n) => mirroredNode(n, n.twin!)),
          ...rods.flatMap((r) => r.nodes),
          { id: 'under-deck', at: [0, 0, d['jointHeight']!] },
        ],
        members: [...members, ...right, ...rods.map((r) => r.member)],
        joints: [
          ...joints,
          bolted('deck-on-tubes', 'front-top-left', ['platform', 'top-left', 'top-right']),
          bolted('joint-on-deck', 'under-deck', ['platform', 'joint-upper']),
          ...rods.flatMap((r) =>
            (['left', 'right'] as const).map((side) => ({
              ...bolted(`rod-${r.id}-${side}`, `${r.id}-rod-${side}`, [`rod-${r.id}-across`, `foot-${side}`]),
              name: 'nuts and a cap nut',
            })),
          ),
        ],
        parts: [...deck, upperJoint(d['jointHeight']!)],
        stations,
      },
    ],
    pivots: [
      {
        id: 'joint',
        name: 'universal joint',
        kind: 'universal',
        at: [0, 0, 0],
        heldBy: 'held-grip',
        carries: 'sled',
        frictionTorque: { value: 0.0002, spread: 0.0001, source: 'bearing friction, a guess' },
      },
    ],
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
      {
        id: 'deck-fore-aft',
        name: choices['deck'] === 'grid' ? 'Camera hole, fore and aft' : 'Camera in the slot, fore and aft',
        kind: choices['deck'] === 'grid' ? 'holes' : 'slide',
        axis: [1, 0, 0],
        range: [-0.04, 0.04],
        step: choices['deck'] === 'grid' ? GRID_PITCH : 0.00025,
        value: 0,
        moves: [{ kind: 'part', id: 'camera-screw' }],
      },
      {
        id: 'deck-sideways',
        name: 'Camera, side to side',
        kind: 'slide',
        axis: [0, 1, 0],
        range: [-0.008, 0.008],
        step: 0.00025,
        value: 0,
        moves: [{ kind: 'part', id: 'camera-screw' }],
      },
      {
        id: 'pivot-height',
        name: 'Pivot height',
        kind: 'thread',
        axis: [0, 0, 1],
        range: [-STUD.range, STUD.range],
        step: STUD.step,
        perTurn: STUD.perTurn,
        value: 0,
        moves: [
          { kind: 'pivot', id: 'joint' },
          { kind: 'body', id: 'held-grip' },
        ],
      },
      // Left and right are set as a pair: side to side is what the platform's slide is for.
      ...(['front', 'rear'] as const).map((id) => ({
        id: `${id}-count`,
        name: `${id === 'front' ? 'Front' : 'Rear'} washers, each side`,
        kind: 'count' as const,
        range: [0, Math.floor(d['stackRoom']! / washer.thickness + 1e-9)] as const,
        step: 1,
        value: 0,
        moves: [
          { kind: 'station' as const, id: `${id}-left` },
          { kind: 'station' as const, id: `${id}-right` },
        ],
      })),
    ],
  };
}

function rodAcross(id: 'front' | 'rear', at: Vec3, d: FamilyInput['dimensions'], stock: Member['stock']) {
  const half = d['width']! / 2 + 0.012 + d['stackRoom']! + 0.01; // tube, stack, and a nut beyond
  const [from, to] = [`${id}-rod-left`, `${id}-rod-right`];
  const member: Member = {
    id: `rod-${id}-across`,
    name: `${id} rod`,
    from,
    to,
    stock,
    leftLong: 0,
    holes: [],
    path: { kind: 'straight', widthDirection: [1, 0, 0] },
  };
  return {
    id,
    at,
    member,
    nodes: [
      { id: from, at: [at[0], half, at[2]] as Vec3 },
      { id: to, at: [at[0], -half, at[2]] as Vec3 },
    ],
  };
}

function deckParts({ dimensions: d, choices }: FamilyInput): readonly Part[] {
  const bottom = d['jointHeight']!;
  const middle: Vec3 = [d['cameraFromPivot']!, 0, bottom + PLATE_THICKNESS / 2];
  // The plate reaches from the joint's screws to beyond the last hole.
  const [rear, front] = [
    Math.min(-0.025, d['cameraFromPivot']! - 0.065),
    Math.max(0.025, d['cameraFromPivot']! + 0.065),
  ];
  const holes =
    choices['deck'] === 'grid'
      ? holesOf({ kind: 'grid', diameter: 0.0066, pitch: GRID_PITCH, along: 9, across: 3 }, middle)
      : holesOf({ kind: 'slot', diameter: 0.0066, length: 0.08 }, middle);
  const deck = plate({
    id: 'platform',
    name: 'platform',
    middle: [(rear + front) / 2, 0, middle[2]],
    size: [front - rear, d['width']! + 0.03, PLATE_THICKNESS],
    material: choices['deckMaterial']!,
    holes,
    supply: {
      item: `${choices['deckMaterial'] === 'birchPly' ? 'plywood' : 'aluminium'} plate 6 mm, A5`,
      packOf: 1,
      packPrice: 7,
    },
  });
  const top = bottom + PLATE_THICKNESS;
  return [
    deck,
    {
      ...cameraScrew({ id: 'camera-screw', at: [d['cameraFromPivot']!, 0, bottom] }),
      mount: [d['cameraFromPivot']!, 0, top],
      screw: { diameter: 0.00635, length: 0.0127, passes: PLATE_THICKNESS + 0.002 },
    },
  ];
}

const dimensions = [
  lengthSpec(
    'width',
    'Width, tube to tube',
    'platform',
    0.11,
    0.08,
    0.2,
    'Between the middles of the two sides; the hand works between them.',
  ),
  lengthSpec('topTube', 'Top tube', 'top-left', 0.16, 0.1, 0.32, 'Sawn length, each side: the platform lies on these.'),
  lengthSpec('leg', 'Front leg', 'leg-left', 0.26, 0.14, 0.5, 'Sawn length, each side: how far the foot hangs below.'),
  lengthSpec('footTube', 'Foot tube', 'foot-left', 0.26, 0.12, 0.42, 'Sawn length, each side: the weights ride on it.'),
  lengthSpec(
    'frontFromPivot',
    'Front leg ahead of the pivot',
    'leg-left',
    0.1,
    0.06,
    0.2,
    'Middle of the leg from the pivot.',
  ),
  lengthSpec(
    'cameraFromPivot',
    'Camera ahead of the pivot',
    'camera-screw',
    0,
    -0.15,
    0.06,
    'Middle hole of the platform; behind is negative.',
  ),
  lengthSpec('jointHeight', 'Joint height', 'joint-upper', 0.03, 0.02, 0.12, 'Pivot to the underside of the platform.'),
  lengthSpec('gripLength', 'Grip length', 'grip', 0.12, 0.08, 0.18, 'Length of the hand grip.'),
  lengthSpec(
    'stackRoom',
    'Room for washers',
    'front-left',
    0.03,
    0.01,
    0.06,
    'Rod that sticks out each side for washers.',
  ),
];

const choices = [
  choiceSpec(
    'tube',
    'Tube',
    'Both sides. Copper is soldered, plastic glued.',
    'copper/1/2-M',
    pipeOptions(['copper', 'copperMetric', 'cpvc', 'pvc', 'plasticMetric']),
  ),
  choiceSpec(
    'deck',
    'Platform',
    'A grid of holes finds its place again; slots go anywhere.',
    'slots',
    named({ grid: 'hole grid, every 10 mm', slots: 'slots' }),
  ),
  choiceSpec(
    'deckMaterial',
    'Platform of',
    'Plate 6 mm thick.',
    'aluminium',
    named({ aluminium: 'aluminium', birchPly: 'birch plywood' }),
  ),
  choiceSpec('washer', 'Washers', 'On the four ends of the rods.', 'm10-30', namesOf(WASHERS)),
];

function size(load: PlacedLoad | null, hands: Hands): Sizing {
  const usual = usualInput(dimensions, choices);
  const box = loadBox(load);
  const tube = box.mass > 1.5 ? 'copper/3/4-M' : box.mass > 0.45 ? 'copper/1/2-M' : 'cpvc/1/2';
  const picked = { ...usual.choices, tube, washer: box.mass > 1.2 ? 'm8-40' : 'm6-30' };
  const gripLength = within(hands.breadth + 0.03, 0.08, 0.18);
  const at = (leg: number, jointHeight: number, cameraFromPivot: number): FamilyInput => ({
    choices: picked,
    dimensions: {
      ...usual.dimensions,
      leg,
      jointHeight,
      cameraFromPivot,
      gripLength,
      width: toFiveMillimetres(within(hands.breadth + 0.03, 0.08, 0.2)),
      stackRoom: box.mass > 1.2 ? 0.05 : 0.03,
      footTube: box.mass > 0.45 ? 0.26 : 0.2,
    },
  });
  const { washer } = washerOf(picked.washer);
  const each = 7850 * Math.PI * (washer.outerRadius ** 2 - washer.innerRadius ** 2) * washer.thickness;
  const most = 4 * Math.floor(at(0.2, 0.03, 0).dimensions['stackRoom']! / washer.thickness + 1e-9);
  const clear = (jointHeight: number): number =>
    toFiveMillimetres(within(jointHeight + 0.02 + gripLength + HAND_ROOM + 0.01, 0.14, 0.5));
  // A light camera leaves the bare frame bottom-heavy: a taller joint lowers the pivot until it is not.
  let jointHeight = 0.03;
  const depth = (leg: number): number => -weighed(build(at(leg, jointHeight, 0)), load, {}, ['sled']).centre[2];
  for (let step = 0; step < 6 && depth(clear(jointHeight)) > 0.004 && jointHeight < 0.119; step++)
    jointHeight = toFiveMillimetres(Math.min(0.12, jointHeight + 1.2 * (depth(clear(jointHeight)) - 0.002)));
  // A heavy one needs weights below, and longer legs when the rods cannot take so many.
  let leg = clear(jointHeight);
  let wanted = 0;
  for (; leg <= 0.5; leg = toFiveMillimetres(leg + 0.01)) {
    const rig = build(at(leg, jointHeight, 0));
    const bare = weighed(rig, load, {}, ['sled']);
    const foot = rig.bodies[1]!.stations[0]!.seat[2];
    wanted = Math.max(0, Math.ceil((bare.mass * (bare.centre[2] + 0.0015)) / (each * -(foot + 0.0015)) / 2) * 2);
    if (wanted <= most * 0.7) break;
  }
  leg = Math.min(leg, 0.5);
  const count = Math.min(most, wanted);
  const [front, rear] = [Math.ceil(count / 4), Math.floor(count / 4)];
  const startValues = { 'front-count': front, 'rear-count': rear };
  const cameraFromPivot = toFiveMillimetres(
    zeroOf((x) => weighed(build(at(leg, jointHeight, x)), load, startValues, ['sled']).centre[0], -0.15, 0.06),
  );
  const sized = at(leg, jointHeight, cameraFromPivot);
  const reasons: Phrase[] = [
    say`The sides stand ${figure('length', sized.dimensions['width']!)} apart: your hand's breadth and room to turn.`,
    say`Legs of ${figure('length', leg)} clear your fist and let ${figure('count', count)} washers on the four rod ends carry your ${figure('mass', box.mass)}.`,
    say`${tube.startsWith('cpvc') ? 'Plastic tube is enough for a load this light' : 'Copper tube, soldered: stiff enough that the foot does not whip'}.`,
  ];
  return { ...sized, reasons, startValues };
}

function advise({ dimensions: d, choices: c }: FamilyInput, rig: Rig): readonly Finding[] {
  const rodTop = rig.bodies[1]!.stations[0]!.seat[2] + WASHERS[c['washer']!]!.outerRadius;
  const gap = -0.02 - d['gripLength']! - rodTop;
  const findings: Finding[] = [];
  if (gap < HAND_ROOM - 0.0005) {
    const leg = toFiveMillimetres(d['leg']! + HAND_ROOM - gap + 0.0024);
    findings.push({
      code: 'fistMeetsRods',
      severity: 'mend',
      about: 'leg-left',
      figure: figure('length', gap),
      limit: figure('length', HAND_ROOM),
      title: say`Only ${figure('length', gap)} between the grip and the rods below it.`,
      why: say`With less than ${figure('length', HAND_ROOM)} the fist stops the swing.`,
      toDo: say`Longer legs, or a shorter grip.`,
      fixes:
        leg <= 0.5
          ? [{ label: say`Legs of ${figure('length', leg)}`, changes: [{ kind: 'dimension', id: 'leg', value: leg }] }]
          : [],
    });
  }
  const inside = d['width']! - (rig.bodies[1]!.members[0]!.stock.section.kind === 'tube' ? 0.022 : 0);
  if (inside < 0.075) {
    findings.push({
      code: 'handBetweenSides',
      severity: 'mend',
      about: 'platform',
      figure: figure('length', inside),
      limit: figure('length', 0.075),
      title: say`Only ${figure('length', inside)} between the sides for your hand.`,
      why: say`A fist that turns with the grip needs ${figure('length', 0.075)}.`,
      toDo: say`Set the sides further apart.`,
      fixes: [
        { label: say`Width of ${figure('length', 0.1)}`, changes: [{ kind: 'dimension', id: 'width', value: 0.1 }] },
      ],
    });
  }
  return findings;
}

export const tubeFrame: Family = {
  id: 'tube-frame',
  name: 'Open tube frame on a universal joint',
  summary:
    'Two mirrored sides of soldered or glued tube, a platform on top, washers on rods across the foot, hung on a joint in the hand.',
  goodFor: ['follow shots', 'eye level', 'heavier cameras'],
  givesUp: 'It is wide in doorways and takes a spanner to pack.',
  suits: { carries: ['eye level', 'waist'], moves: ['walking', 'running'], hands: 1, wet: false, hangs: true },
  goesWrong: [
    'One side is soldered crooked and the platform rocks.',
    'The rods’ holes do not meet: drill both sides clamped together.',
    'It packs in one piece because the washers stay on.',
  ],
  dimensions,
  choices,
  size,
  build,
  advise,
  drawn: (input) => {
    const left = layOut(input);
    const [rearTop, top, foot, rear] = ['rear-top-left', 'front-top-left', 'front-foot-left', 'rear-foot-left'].map(
      (n) => left.at(n),
    ) as [Vec3, Vec3, Vec3, Vec3];
    return [
      { dimension: 'topTube', from: rearTop, to: top, view: 'side', offset: -150 },
      { dimension: 'leg', from: foot, to: top, view: 'side', offset: 64 },
      { dimension: 'footTube', from: rear, to: foot, view: 'side', offset: 40 },
      {
        dimension: 'width',
        from: [foot[0], input.dimensions['width']! / 2, foot[2]],
        to: [foot[0], -input.dimensions['width']! / 2, foot[2]],
        view: 'front',
        offset: -60,
      },
    ];
  },
};
