/**
 * Open tube frame on a universal joint: two mirrored sides of soldered or glued tube, a platform across the top, bolts
 * across the foot that hold the sides together and carry the weights. Open to the rear for the arm. The pivot is the origin.
 */
import { figure, say, type Finding, type Phrase, type Vec3 } from '../../0-base';
import type { PlacedLoad } from '../../1-load';
import type { Hands, Member, Part, Rig, StatedConnection, Station } from '../../model';
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
  setOn,
} from '../familyTools';
import { mirroredMember, mirroredNode } from '../edits/mirror';
import { RODS } from '../parts/bars';
import { intoCamera } from '../parts/camera';
import { jointAndGrip } from '../parts/jointAndGrip';
import { pipeOf, pipeOptions } from '../parts/pipes';
import { plate } from '../parts/plate';
import { boltThread, WASHERS, washerOf } from '../parts/washers';
import { ANY_WASHER, pipeLike } from '../parts/ownSizes';
import { CLEARANCE, NUT } from '../hardware/sizes';
import { threadOf } from '../hardware/thread';
import { capRadius } from '../parts/capBolt';
import { pipework, type Pipework } from '../fittings/pipework';

const HAND_ROOM = 0.045; // below the grip, so that the rig may swing 20 degrees before the rods meet the fist
const PLATE_THICKNESS = 0.006;
const GRID_PITCH = 0.01;
const ROD_OVER = 0.001;
const CAMERA_PLATE: Vec3 = [0.055, 0.06, 0.006];
const UNDER_CAMERA_PLATE = 0.013; // room for the head of the camera's screw and what packs it
const PLATE_SCREWS = 0.02; // of the camera plate, each side: clear of the joint
const DECK_TRAVEL = 0.04;
const PAD = 0.0015;
const FROM_END = 0.012; // of a deck screw, from the deck's end and from the tube's fittings
const SHIM_STEP = 0.0005;
const BOLT_BEFORE_CORNER = 0.03; // the rear one
const CLEAR_OF_ELBOW = 0.001;
const BOLT_BEHIND_CORNER = 0.05; // clear of the elbow's socket, for the hole must not pass through the joint

const mirrorId = (id: string): string => id.replace('left', 'right');

/** Fittings are thicker than their tube: the platform lies on shims as high as their rims, in half millimetres. */
function shimUnder({ choices, own }: Pick<FamilyInput, 'choices' | 'own'>): number {
  const { section } = pipeOf(choices['tube']!, own).size.stock;
  const outside = section.kind === 'tube' ? section.outerDiameter : 0;
  return Math.ceil((capRadius(choices['tube']!, own) - outside / 2) / SHIM_STEP - 1e-6) * SHIM_STEP;
}

function layOut({ dimensions: d, choices, own }: FamilyInput): Pipework {
  const pipe = pipeOf(choices['tube']!, own);
  const outside = pipe.size.stock.section.kind === 'tube' ? pipe.size.stock.section.outerDiameter : 0;
  const top = d['jointHeight']! - outside / 2 - shimUnder({ choices, own });
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
  const { dimensions: d, choices, own } = input;
  const left = layOut(input);
  const { size } = pipeOf(choices['tube']!, own);
  const outside = size.stock.section.kind === 'tube' ? size.stock.section.outerDiameter : 0;
  const { washer, boltDiameter } = washerOf(choices['washer']!, own);
  const rod = RODS[boltDiameter > 0.0099 ? 'rod-m10' : boltDiameter > 0.0075 ? 'rod-m8' : 'rod-m6']!;
  const rodDiameter = rod.section.kind === 'rod' ? rod.section.diameter : boltDiameter;
  // For the two rods, drilled with both sides clamped together, from the front end of each foot tube; washers and nuts clear the elbows.
  const clear = size.depth + Math.max(washer.outerRadius, boltDiameter) + CLEAR_OF_ELBOW;
  const frontAlong = Math.max(BOLT_BEHIND_CORNER, clear);
  const rearAlong = d['footTube']! - Math.max(BOLT_BEFORE_CORNER, clear);
  const members = left.members;
  const right = members.map((m) => ({
    ...mirroredMember(m, m.twin!, mirrorId),
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
  const thread = threadOf(boltThread(rodDiameter));
  // Tube, as many washers as go on, the nut and two turns of thread.
  const half = d['width']! / 2 + outside / 2 + d['stackRoom']! + NUT.of(thread)! + 2 * thread.pitch + ROD_OVER;
  const rods = [
    rodAcross('front', [corner[0] - inset - frontAlong, 0, corner[2]], half, rod),
    rodAcross('rear', [corner[0] - inset - rearAlong, 0, corner[2]], half, rod),
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
  const joint = jointAndGrip({
    height: d['jointHeight']!,
    thickness: PLATE_THICKNESS,
    on: 'platform',
    gripLength: d['gripLength']!,
  });
  const weights = rods.flatMap(({ id, member }) =>
    (['left', 'right'] as const).map((side): StatedConnection => {
      const s = side === 'left' ? 1 : -1;
      const at = rods.find((r) => r.id === id)!.at;
      return {
        kind: 'bolted',
        id: `${id}-${side}-nuts`,
        name: `${id} rod on the ${side}`,
        on: member.id,
        point: [at[0], s * (d['width']! / 2 - outside / 2), at[2]],
        way: [0, s, 0],
        thread: thread.name,
        screw: member.id,
        stack: [
          { kind: 'piece', piece: `foot-${side}` },
          { kind: 'row', station: `${id}-${side}` },
        ],
        end: { kind: 'nut' },
        packs: true,
      };
    }),
  );
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
        name: 'frame with camera',
        nodes: [...left.nodes, ...left.nodes.map((n) => mirroredNode(n, n.twin!)), ...rods.flatMap((r) => r.nodes)],
        members: [...members, ...right, ...rods.map((r) => r.member)],
        joints,
        parts: [...deck.parts, ...joint.carried.parts],
        stations,
        connections: [...joint.carried.connections, ...deck.connections, ...weights],
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
      {
        id: 'deck-fore-aft',
        name: choices['deck'] === 'grid' ? 'Camera hole, fore and aft' : 'Camera in the slot, fore and aft',
        kind: choices['deck'] === 'grid' ? 'holes' : 'slide',
        axis: [1, 0, 0],
        range: [-DECK_TRAVEL, DECK_TRAVEL],
        step: choices['deck'] === 'grid' ? GRID_PITCH : 0.00025,
        value: 0,
        moves: [
          { kind: 'part', id: 'camera-plate' },
          { kind: 'part', id: 'camera-pad' },
        ],
      },
      {
        id: 'deck-sideways',
        name: 'Camera, side to side',
        kind: 'slide',
        axis: [0, 1, 0],
        // Its screw's washer stays clear of the spacers of the plate's screws.
        range: [-0.007, 0.007],
        step: 0.00025,
        value: 0,
        moves: [{ kind: 'part', id: 'camera-pad' }],
      },
      joint.pivotHeight,
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

function rodAcross(id: 'front' | 'rear', at: Vec3, half: number, stock: Member['stock']) {
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

/** The platform bolted on its tubes, and on it the camera's own plate, which slides along: its screws pass beside the joint. */
function deckParts(input: FamilyInput): {
  readonly parts: readonly Part[];
  readonly connections: readonly StatedConnection[];
} {
  const { dimensions: d, choices } = input;
  const bottom = d['jointHeight']!;
  const top = bottom + PLATE_THICKNESS;
  const camera = d['cameraFromPivot']!;
  // The platform reaches from the joint's screws to beyond the camera plate's furthest holes.
  const reach = DECK_TRAVEL + 0.025;
  const [rear, front] = [Math.min(-0.025, camera - reach), Math.max(0.025, camera + reach)];
  const gridHoles = [-PLATE_SCREWS, PLATE_SCREWS].flatMap((y) =>
    Array.from({ length: 9 }, (_, i) => ({
      at: [camera + (i - 4) * GRID_PITCH, y, bottom + PLATE_THICKNESS / 2] as Vec3,
      axis: [0, 0, 1] as Vec3,
      diameter: CLEARANCE.medium.of({ name: 'M5' })!,
    })),
  );
  const underPlate = top + UNDER_CAMERA_PLATE;
  const onPlate = underPlate + CAMERA_PLATE[2];
  const isPly = choices['deckMaterial'] === 'birchPly';
  return {
    parts: [
      plate({
        id: 'platform',
        name: 'platform',
        middle: [(rear + front) / 2, 0, bottom + PLATE_THICKNESS / 2],
        size: [front - rear, d['width']! + 0.03, PLATE_THICKNESS],
        material: choices['deckMaterial']!,
        // Of a grid the camera plate uses two at a time: those are its own.
        ...(choices['deck'] === 'grid' ? { holes: gridHoles.filter((_, i) => i % 9 !== 4) } : {}),
        supply: { item: `${isPly ? 'plywood' : 'aluminium'} plate 6 mm, A5`, packOf: 1, packPrice: 7, sawn: 'sheet' },
      }),
      plate({
        id: 'camera-plate',
        name: 'camera plate',
        middle: [camera, 0, underPlate + CAMERA_PLATE[2] / 2],
        size: CAMERA_PLATE,
        material: 'aluminium',
        supply: { item: 'aluminium plate 6 mm, 55 × 60', packOf: 1, packPrice: 3, sawn: 'sheet' },
      }),
      {
        id: 'camera-pad',
        name: 'rubber pad under the camera',
        shape: { kind: 'box', size: [0.05, 0.025, PAD] },
        at: [camera, 0, onPlate + PAD / 2],
        material: 'rubberFoam',
        mount: [camera, 0, onPlate + PAD],
        supply: { item: 'rubber sheet, a hand wide', packOf: 4, packPrice: 3, sawn: 'sheet' },
      },
    ],
    connections: [
      ...([1, -1] as const).flatMap((s) => deckScrews(input, s, [rear, front])),
      ...([1, -1] as const).map((s): StatedConnection => ({
        kind: 'bolted',
        id: `camera-plate-${s > 0 ? 'left' : 'right'}`,
        name: `camera plate’s ${s > 0 ? 'left' : 'right'} screw`,
        on: 'camera-plate',
        point: [camera, s * PLATE_SCREWS, onPlate],
        way: [0, 0, -1],
        thread: 'M5',
        // Flush under the camera.
        head: 'sunk',
        stack: [
          { kind: 'piece', piece: 'camera-plate' },
          { kind: 'spacer', length: UNDER_CAMERA_PLATE },
          { kind: 'piece', piece: 'platform' },
        ],
        end: { kind: 'nut' },
      })),
      intoCamera({
        on: 'camera-pad',
        point: [camera, 0, underPlate],

        washer: 'flat',
        stack: [
          { kind: 'piece', piece: 'camera-plate' },
          { kind: 'piece', piece: 'camera-pad' },
        ],
      }),
    ],
  };
}

/** Two down through the platform and its tube, near the ends of what lies on each other. */
function deckScrews(
  input: FamilyInput,
  s: 1 | -1,
  [rear, front]: readonly [number, number],
): readonly StatedConnection[] {
  const { dimensions: d } = input;
  const { at, joints } = layOut(input);
  const side = s > 0 ? 'left' : 'right';
  const inFitting = (node: string): number => joints.find((j) => j.node === node)?.hub?.sockets[0]?.takeOff ?? 0;
  const depth = joints.find((j) => j.hub)?.hub?.sockets[0]?.depth ?? 0;
  const least = Math.max(rear, at('rear-top-left')[0] + inFitting('rear-top-left') + depth) + FROM_END;
  const most = Math.min(front, at('front-top-left')[0] - inFitting('front-top-left') - depth) - FROM_END;
  const top = d['jointHeight']! + PLATE_THICKNESS;
  return (
    [
      ['rear', least],
      ['front', most],
    ] as const
  ).map(([end, x]): StatedConnection => ({
    kind: 'bolted',
    id: `deck-${end}-${side}`,
    name: `platform’s ${end} ${side} screw`,
    on: 'platform',
    point: [x, (s * d['width']!) / 2, top],
    way: [0, 0, -1],
    thread: 'M5',
    head: 'sunk',
    stack: [
      { kind: 'piece', piece: 'platform' },
      { kind: 'spacer', length: shimUnder(input) },
      { kind: 'piece', piece: `top-${side}` },
    ],
    end: { kind: 'nut' },
    packs: true,
  }));
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
  setOn(
    'deck-fore-aft',
    lengthSpec(
      'cameraFromPivot',
      'Camera ahead of the pivot',
      'camera-plate',
      0,
      -0.15,
      0.06,
      'Middle hole of the platform; behind is negative.',
    ),
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

/** Pipes it can be made of. */
const SYSTEMS = ['copper', 'copperMetric', 'cpvc', 'pvc', 'plasticMetric'];
const choices = [
  choiceSpec(
    'tube',
    'Tube',
    'Both sides. Copper is soldered, plastic glued.',
    'copper/1/2-M',
    pipeOptions(SYSTEMS),
    pipeLike(SYSTEMS),
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
  choiceSpec('washer', 'Washers', 'On the four ends of the rods.', 'm10-30', namesOf(WASHERS), ANY_WASHER),
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
  const { washer } = washerOf(picked.washer, []);
  const each = 7850 * Math.PI * (washer.outerRadius ** 2 - washer.innerRadius ** 2) * washer.thickness;
  const most = 4 * Math.floor(at(0.2, 0.03, 0).dimensions['stackRoom']! / washer.thickness + 1e-9);
  const clear = (jointHeight: number): number =>
    toFiveMillimetres(within(jointHeight + 0.02 + gripLength + HAND_ROOM + 0.01, 0.14, 0.5));
  // A light camera leaves the bare frame bottom-heavy: a taller joint lowers the pivot until it is not, with way to spare each way.
  let jointHeight = 0.03;
  const depth = (leg: number): number => -weighed(build(at(leg, jointHeight, 0)), load, {}, ['sled']).centre[2];
  for (let step = 0; step < 6 && depth(clear(jointHeight)) > 0.002 && jointHeight < 0.119; step++)
    jointHeight = toFiveMillimetres(Math.min(0.12, jointHeight + 1.2 * (depth(clear(jointHeight)) - 0.001)));
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

function advise({ dimensions: d, choices: c, own }: FamilyInput, rig: Rig): readonly Finding[] {
  const rodTop = rig.bodies[1]!.stations[0]!.seat[2] + washerOf(c['washer']!, own).washer.outerRadius;
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
