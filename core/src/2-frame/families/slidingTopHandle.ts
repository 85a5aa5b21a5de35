/**
 * Sliding top handle: a dovetail rail on the camera's top plate, a quick-release clamp on the rail, a handle on the clamp.
 * The handle slides to stand over the mass centre of each loadout. The camera's top screw is the origin, at its top face.
 */
import {
  alignZ,
  figure,
  fromColumns,
  quaternionOf,
  say,
  unit,
  cross,
  type Finding,
  type Phrase,
  type Vec3,
} from '../../0-base';
import { massCentre, sumsOf, type PlacedLoad } from '../../1-load';
import type { Adjuster, Hands, KitPlace, Part, PartHole, Rig, StatedConnection } from '../../model';
import type { DimensionSpec, Family, FamilyInput, Sizing } from '../family';
import { choiceSpec, lengthSpec, named, namesOf, toFiveMillimetres, usualInput, within, given } from '../familyTools';
import { USUAL_SOCKET } from '../parts/camera';
import { foamGrip, woodenGrip } from '../parts/hardware';
import { plate } from '../parts/plate';

const RAIL = { wide: 0.038, thick: 0.012, hole: 0.0066 };
/** How far apart its holes are, m. */
const PITCHES: Readonly<Record<string, { readonly name: string; readonly pitch: number }>> = {
  by10: { name: '10 mm apart', pitch: 0.01 },
  by12: { name: '12.5 mm apart', pitch: 0.0125 },
  by20: { name: '20 mm apart', pitch: 0.02 },
  by25: { name: '25 mm apart', pitch: 0.025 },
};
/** Lengths that such rails are sold in, m, and what they are asked for. */
const RAILS: Readonly<Record<string, { readonly name: string; readonly length: number; readonly price: number }>> = {
  100: { name: '100 mm', length: 0.1, price: 9 },
  150: { name: '150 mm', length: 0.15, price: 12 },
  200: { name: '200 mm', length: 0.2, price: 15 },
  250: { name: '250 mm', length: 0.25, price: 19 },
  300: { name: '300 mm', length: 0.3, price: 23 },
};
/** How high a clamp is, how long along the rail, and what its lever or knob needs beside it. */
const CLAMPS: Readonly<
  Record<
    string,
    {
      readonly name: string;
      readonly length: number;
      readonly high: number;
      readonly beside: number;
      readonly mass: number;
      readonly price: number;
    }
  >
> = {
  lever: { name: 'lever clamp', length: 0.05, high: 0.02, beside: 0.022, mass: 0.095, price: 18 },
  knob: { name: 'screw-knob clamp', length: 0.04, high: 0.018, beside: 0.034, mass: 0.07, price: 10 },
};
const GRIP_LONG = 0.028; // beyond the hand, so that the posts stand clear of the knuckles
const POST = 0.006; // radius of the two posts under the grip
const FINGERS_DEEP = 0.032; // a finger and its glove under the grip
const GRIP_RADIUS = 0.0145;
const RAIL_END = 0.012; // from its first hole to its end
const BASE = { width: 0.025, thick: 0.006, screws: 0.012 }; // flat bar on the clamp, which carries the posts
const FROM_END = 0.012; // of the posts, from the ends of bar and grip
// Low, so that clamp and arm pass under the base bar.
const FINDER_CLAMP = { length: 0.03, high: 0.011, apart: 0.001 };
const FINDER_CLEAR = 0.005; // of bar and grip
const ARM = { width: 0.02, thick: 0.006, beyond: 0.012, least: 0.026 };
/** A screen is read from at least this far and at most that, m; a finder from no more than the last. */
const SCREEN_FROM = 0.2;
const SCREEN_TO = 0.7;
const FINDER_TO = 0.06;

function layOut({ dimensions: d, choices }: FamilyInput) {
  const rail = RAILS[choices['rail']!]!;
  const clamp = CLAMPS[choices['clamp']!]!;
  // The rail goes on by one of its holes: its middle stands a whole number of pitches from the camera's screw.
  const { pitch } = PITCHES[choices['pitch']!]!;
  // And the rail still covers that screw.
  const furthest = Math.floor((rail.length / 2 - RAIL_END) / pitch) * pitch;
  const middle = within(Math.round(d['railForward']! / pitch) * pitch, -furthest, furthest);
  const onClamp = RAIL.thick + clamp.high;
  const top = onClamp + BASE.thick;
  const grip = top + d['fingerRoom']! + GRIP_RADIUS;
  const travel = Math.max(0, rail.length / 2 - clamp.length / 2);
  return { rail, pitch, clamp, middle, onClamp, top, grip, travel, gripLength: d['gripLength']! };
}

function build(input: FamilyInput): Rig {
  const { dimensions: d, choices } = input;
  const lay = layOut(input);
  const ends = [-1, 1].map((s) => s * (lay.gripLength / 2 - FROM_END));
  const wood = choices['grip'] === 'wood';
  // Of foam the bar shows at both ends, where the posts meet it.
  const tube = GRIP_RADIUS - 0.006;
  const under = lay.grip - (wood ? GRIP_RADIUS : tube);
  const finder = finderParts(input, lay);
  const holes: PartHole[] = Array.from(
    { length: Math.floor((lay.rail.length - 0.02) / lay.pitch) + 1 },
    (_, i) => i,
  ).map((i) => {
    const count = Math.floor((lay.rail.length - 0.02) / lay.pitch);
    return {
      at: [lay.middle + (i - Math.round(count / 2)) * lay.pitch, 0, RAIL.thick / 2],
      axis: [0, 0, 1],
      diameter: RAIL.hole,
    };
  });
  const slides = ['clamp', 'base-bar', ...ends.map((_, i) => `post-${i + 1}`), 'grip', ...(wood ? [] : ['top-bar'])];
  const parts: Part[] = [
    {
      id: 'rail',
      name: 'dovetail rail',
      shape: { kind: 'box', size: [lay.rail.length, RAIL.wide, RAIL.thick] },
      at: [lay.middle, 0, RAIL.thick / 2],
      material: 'aluminium',
      holes,
      takes: railEnds(lay, finder.parts.length > 0),
      mount: [0, 0, -d['topHeight']!],
      supply: { item: `dovetail rail ${lay.rail.name}`, packOf: 1, packPrice: lay.rail.price },
    },
    {
      id: 'clamp',
      name: lay.clamp.name,
      shape: { kind: 'box', size: [lay.clamp.length, 0.05, lay.clamp.high] },
      at: [lay.middle, 0, RAIL.thick + lay.clamp.high / 2],
      material: 'aluminium',
      mass: { value: lay.clamp.mass, spread: 0.08 * lay.clamp.mass, source: `mass of ${lay.clamp.name}` },
      supply: { item: `quick-release ${lay.clamp.name}`, packOf: 1, packPrice: lay.clamp.price },
    },
    plate({
      id: 'base-bar',
      name: 'base bar',
      middle: [lay.middle, 0, lay.onClamp + BASE.thick / 2],
      size: [lay.gripLength, BASE.width, BASE.thick],
      material: 'aluminium',
      supply: {
        item: `aluminium flat 25 × 6, ${Math.round(lay.gripLength * 1000)} mm`,
        packOf: 1,
        packPrice: 1.8,
        sawn: 'length',
      },
    }),
    ...ends.map((x, i): Part => ({
      id: `post-${i + 1}`,
      name: i === 0 ? 'rear post' : 'front post',
      shape: { kind: 'tube', outerRadius: POST, innerRadius: 0.00275, length: under - lay.top },
      at: [lay.middle + x, 0, (under + lay.top) / 2],
      material: 'aluminium',
      supply: {
        item: `aluminium tube 12 × 3, ${Math.round((under - lay.top) * 10000) / 10} mm`,
        packOf: 1,
        packPrice: 0.9,
        sawn: 'length',
      },
    })),
    ...(wood
      ? [
          {
            ...woodenGrip({
              id: 'grip',
              at: [lay.middle, 0, lay.grip],
              axis: [1, 0, 0],
              length: lay.gripLength,
              diameter: 2 * GRIP_RADIUS,
              bore: 0,
            }),
            name: 'grip',
          },
        ]
      : [
          {
            id: 'top-bar',
            name: 'tube of the grip',
            shape: { kind: 'tube' as const, outerRadius: tube, innerRadius: tube - 0.002, length: lay.gripLength },
            at: [lay.middle, 0, lay.grip] as Vec3,
            turn: quaternionOf(alignZ([1, 0, 0])),
            material: 'aluminium',
            supply: {
              item: `aluminium tube 17 × 2, ${Math.round(lay.gripLength * 1000)} mm`,
              packOf: 1,
              packPrice: 1.6,
              sawn: 'length' as const,
            },
          },
          {
            ...foamGrip({
              id: 'grip',
              at: [lay.middle, 0, lay.grip],
              axis: [1, 0, 0],
              length: lay.gripLength - 4 * FROM_END,
              inside: 2 * tube,
            }),
            name: 'grip',
          },
        ]),
    ...finder.parts,
  ];
  const piece = (id: string): { readonly kind: 'piece'; readonly piece: string } => ({ kind: 'piece', piece: id });
  const rearEnd = lay.middle - lay.rail.length / 2;
  const second = [1, -1]
    .map((s) => s * lay.pitch)
    .find((x) => x > rearEnd + 0.01 && x < rearEnd + lay.rail.length - 0.01);
  const onCamera = [0, ...(second === undefined ? [] : [second])];
  const connections: StatedConnection[] = [
    ...onCamera.map((x, i): StatedConnection => ({
      kind: 'bolted',
      id: `rail-on-camera-${i + 1}`,
      name: `${i === 0 ? 'first' : 'second'} screw of the rail`,
      on: 'rail',
      point: [x, 0, RAIL.thick],
      way: [0, 0, -1],
      thread: '1/4-20',
      head: 'sunk',
      stack: [piece('rail')],
      end: { kind: 'camera', depth: USUAL_SOCKET },
      packs: true,
    })),
    { kind: 'clamped', id: 'clamp-on-rail', name: 'clamp on the rail', piece: 'clamp', on: 'rail', packs: true },
    ...([-1, 1] as const).map((e): StatedConnection => ({
      kind: 'bolted',
      id: `base-on-clamp-${e < 0 ? 'rear' : 'front'}`,
      name: `${e < 0 ? 'rear' : 'front'} screw of the base bar`,
      on: 'clamp',
      point: [lay.middle + e * BASE.screws, 0, lay.top],
      way: [0, 0, -1],
      thread: 'M4',
      head: 'sunk',
      stack: [piece('base-bar')],
      end: { kind: 'tapped', piece: 'clamp', depth: 0.01, in: 'aluminium' },
    })),
    ...ends.map((x, i): StatedConnection => ({
      kind: 'bolted',
      id: `post-${i + 1}-bolt`,
      name: `${i === 0 ? 'rear' : 'front'} bolt of the grip`,
      on: 'base-bar',
      point: [lay.middle + x, 0, lay.onClamp],
      way: [0, 0, 1],
      thread: 'M5',
      // Flush: a finder's arm passes right below.
      ...(choices['finder'] === 'none' ? {} : { head: 'sunk' as const }),
      stack: [piece('base-bar'), piece(`post-${i + 1}`), piece(wood ? 'grip' : 'top-bar')],
      end: { kind: 'nut' },
    })),
    ...(wood
      ? []
      : [{ kind: 'slidOn' as const, id: 'grip-on', name: 'foam on its tube', piece: 'grip', over: 'top-bar' }]),
    ...finder.connections,
  ];
  const slide: Adjuster = {
    id: 'handle-along',
    name: 'Handle, along the rail',
    kind: 'mark',
    axis: [1, 0, 0],
    // A finder's clamp takes its end of the rail.
    range: [-Math.max(0, lay.travel - finder.rear), Math.max(0, lay.travel - finder.front)],
    step: 0.0005,
    value: 0,
    moves: [{ kind: 'contact', id: 'hand-on-handle' }, ...slides.map((id) => ({ kind: 'part' as const, id }))],
  };
  return {
    bodies: [
      {
        id: 'camera',
        name: 'camera with its rail',
        nodes: [],
        members: [],
        joints: [],
        parts,
        stations: [],
        connections,
      },
    ],
    pivots: [],
    contacts: [
      {
        id: 'hand-on-handle',
        name: 'hand',
        kind: 'hand',
        body: 'camera',
        at: [lay.middle, 0, lay.grip],
        direction: [0, 0, 1],
      },
    ],
    poses: [
      { id: 'low', name: 'Carried low by the handle', contacts: ['hand-on-handle'], arm: 0.12 },
      { id: 'waist', name: 'At the waist, arm bent', contacts: ['hand-on-handle'], arm: 0.3 },
      // The camera stands on its own handle, upside down: the picture is turned over later.
      {
        id: 'inverted',
        name: 'Upside down over the handle',
        contacts: ['hand-on-handle'],
        arm: 0.3,
        turn: [0, 1, 0, 0],
      },
    ],
    adjusters: [slide],
  };
}

/** Where a clamp of the kit's own goes on the rail: both its ends, but for the finder's. */
const railEnds = ({ middle, rail, travel }: ReturnType<typeof layOut>, hasFinder: boolean): KitPlace[] =>
  ([1, -1] as const)
    .filter((e) => travel > 0 && !(hasFinder && e > 0))
    .map((e) => ({
      id: `rail/${e > 0 ? 'front' : 'rear'}`,
      name: `${e > 0 ? 'front' : 'rear'} end of the rail`,
      at: [middle + e * (rail.length / 2 - RAIL_END), 0, RAIL.thick],
      up: [0, 0, 1],
      kind: 'dovetail',
    }));

/** A clamp of its own at the rail's end, an arm of flat bar on it, and at the arm's end the finder. */
function finderParts(
  { dimensions: d, choices }: FamilyInput,
  lay: ReturnType<typeof layOut>,
): {
  readonly parts: readonly Part[];
  readonly connections: readonly StatedConnection[];
  /** What its clamp takes of the handle's way, behind and ahead, m. */
  readonly rear: number;
  readonly front: number;
} {
  if (choices['finder'] === 'none') return { parts: [], connections: [], rear: 0, front: 0 };
  const isMonitor = choices['finder'] === 'monitor';
  const size: Vec3 = isMonitor ? [0.02, 0.13, 0.08] : [0.1, 0.045, 0.045];
  // Beside the grip, or past the end of bar and grip.
  const beside = Math.max(0.08, GRIP_RADIUS + size[1] / 2 + FINDER_CLEAR);
  const side = choices['finderSide'] === 'left' ? beside : choices['finderSide'] === 'right' ? -beside : 0;
  const end = Math.sign(d['finderAhead']!) || -1;
  const past = side === 0 ? lay.gripLength / 2 + size[0] / 2 + FINDER_CLEAR : 0;
  const x = lay.middle + end * Math.max(Math.abs(d['finderAhead']!), past);
  const edge =
    lay.middle +
    end *
      Math.max(
        lay.rail.length / 2 - FINDER_CLAMP.length / 2,
        lay.clamp.length / 2 + FINDER_CLAMP.length / 2 + FINDER_CLAMP.apart,
      );
  // Far enough from the finder's own screw for both heads.
  const clampAt = side === 0 && Math.abs(x - edge) < ARM.least ? x - end * ARM.least : edge;
  const onClamp = RAIL.thick + FINDER_CLAMP.high;
  const along = unit([x - clampAt, side, 0]);
  const far = Math.hypot(x - clampAt, side);
  const finder: Vec3 = [x, side, onClamp + ARM.thick + size[2] / 2];
  const screw = (
    id: string,
    name: string,
    piece: string,
    at: readonly [number, number],
    up: 1 | -1,
  ): StatedConnection => ({
    kind: 'bolted',
    id,
    name,
    on: 'finder-arm',
    point: [at[0], at[1], up > 0 ? onClamp : onClamp + ARM.thick],
    way: [0, 0, up],
    // A thinner one holds in the low clamp.
    thread: piece === 'finder' ? '1/4-20' : 'M5',
    head: 'sunk',
    stack: [{ kind: 'piece', piece: 'finder-arm' }],
    end:
      piece === 'finder'
        ? { kind: 'tapped', piece, depth: 0.008, in: 'steel' }
        : { kind: 'tapped', piece, depth: FINDER_CLAMP.high - 0.001, in: 'aluminium' },
  });
  return {
    parts: [
      {
        id: 'finder-clamp',
        name: 'clamp of the finder',
        shape: { kind: 'box', size: [FINDER_CLAMP.length, 0.05, FINDER_CLAMP.high] },
        at: [clampAt, 0, RAIL.thick + FINDER_CLAMP.high / 2],
        material: 'aluminium',
        mass: { value: 0.05, spread: 0.005, source: 'mass of clamp of the finder' },
        supply: { item: 'small quick-release clamp', packOf: 1, packPrice: 8 },
      },
      {
        id: 'finder-arm',
        name: 'arm of the finder',
        shape: { kind: 'box', size: [far + 2 * ARM.beyond, ARM.width, ARM.thick] },
        at: [(clampAt + x) / 2, side / 2, onClamp + ARM.thick / 2],
        turn: quaternionOf(fromColumns(along, cross([0, 0, 1], along), [0, 0, 1])),
        material: 'aluminium',
        supply: {
          item: `aluminium flat 20 × 6, ${Math.round((far + 2 * ARM.beyond) * 1000)} mm`,
          packOf: 1,
          packPrice: 1.5,
          sawn: 'length',
        },
      },
      {
        id: 'finder',
        name: isMonitor ? 'monitor' : 'finder',
        shape: { kind: 'box', size },
        at: finder,
        material: 'petg',
        seenFrom: isMonitor ? [SCREEN_FROM, SCREEN_TO] : [0, FINDER_TO],
        mass: { value: isMonitor ? 0.25 : 0.2, spread: 0.04, source: `mass of ${isMonitor ? 'monitor' : 'finder'}` },
        supply: { item: isMonitor ? 'small monitor' : 'eye finder', packOf: 1, packPrice: isMonitor ? 90 : 60 },
      },
    ],
    connections: [
      {
        kind: 'clamped',
        id: 'finder-clamp-on',
        name: 'finder’s clamp on the rail',
        piece: 'finder-clamp',
        on: 'rail',
        packs: true,
      },
      screw('finder-arm-on', 'screw of the finder’s arm', 'finder-clamp', [clampAt, 0], -1),
      screw('finder-on', 'screw of the finder', 'finder', [x, side], 1),
    ],
    rear: end < 0 ? FINDER_CLAMP.length : 0,
    front: end < 0 ? 0 : FINDER_CLAMP.length,
  };
}

const dimensions: readonly DimensionSpec[] = [
  given(
    'measured',
    lengthSpec(
      'topHeight',
      'Top plate above the tripod socket',
      'rail',
      0.09,
      0.04,
      0.25,
      'Measure from the camera’s foot up to the plate the rail screws on.',
    ),
  ),
  {
    ...lengthSpec(
      'railForward',
      'Rail ahead of the camera’s top screw',
      'rail',
      0,
      -0.125,
      0.2,
      'Middle of the rail; it goes by the nearest of the rail’s holes.',
    ),
    stepOf: (choices) => PITCHES[choices['pitch']!]!.pitch,
  },
  lengthSpec(
    'fingerRoom',
    'Room under the grip',
    'grip',
    0.04,
    0.025,
    0.08,
    'From the base bar to the grip’s underside: four fingers and a glove.',
  ),
  lengthSpec('gripLength', 'Grip length', 'grip', 0.125, 0.09, 0.2, 'Your hand and a little.'),
  lengthSpec(
    'finderAhead',
    'Finder ahead of the rail’s middle',
    'finder',
    -0.06,
    -0.25,
    0.2,
    'Where the finder or monitor stands on the rail; behind is negative.',
  ),
  given(
    'measured',
    lengthSpec(
      'eyeRelief',
      'Eye behind the finder',
      'finder',
      0.02,
      0,
      0.5,
      'A finder takes the eye close; a screen is read from 250 mm and more.',
    ),
  ),
];
const choices = [
  choiceSpec(
    'rail',
    'Rail',
    'The longer, the more loadouts it balances.',
    '150',
    Object.entries(RAILS).map(([id, r]) => ({ id, name: r.name })),
  ),
  choiceSpec('pitch', 'Rail’s holes', 'It goes on by one of them.', 'by12', namesOf(PITCHES)),
  choiceSpec(
    'clamp',
    'Clamp',
    'On the rail, under the grip.',
    'lever',
    Object.entries(CLAMPS).map(([id, c]) => ({ id, name: c.name })),
  ),
  choiceSpec('grip', 'Grip', 'What the hand closes on.', 'foam', named({ foam: 'foam on a bar', wood: 'turned wood' })),
  choiceSpec(
    'finder',
    'Finder on the same rail',
    'Weigh yours and type its mass.',
    'none',
    named({ none: 'none', finder: 'eye finder', monitor: 'small monitor' }),
  ),
  choiceSpec(
    'finderSide',
    'Finder stands',
    'Beside the lens’s line or over it.',
    'middle',
    named({ middle: 'in the middle', left: 'to the left', right: 'to the right' }),
  ),
];

function size(load: PlacedLoad | null, hands: Hands): Sizing {
  const usual = usualInput(dimensions, choices);
  const sums = load && load.bodies.length > 0 ? sumsOf(load.bodies) : null;
  const centre = sums ? massCentre(sums)[0] : 0.02;
  // The rail screws on what stands on the foot itself: the camera's own top, not that of a lamp on it.
  const first = load?.bodies[0];
  const high = first?.shape.kind === 'box' ? first.at[2] + first.shape.size[2] / 2 : 0.09;
  const topHeight = Math.round(within(high, 0.04, 0.25) * 1000) / 1000;
  const gripLength = toFiveMillimetres(within(hands.breadth + 2 * GRIP_LONG, 0.09, 0.2));
  const fingerRoom = toFiveMillimetres(within(FINGERS_DEEP + (hands.breadth - 0.088) * 0.2 + 0.006, 0.025, 0.08));
  const rail =
    Object.entries(RAILS).find(
      ([, r]) => r.length / 2 - CLAMPS['lever']!.length / 2 >= Math.abs(centre) * 0.35 + 0.03,
    )?.[0] ?? '300';
  const usualPitch = PITCHES[usual.choices['pitch']!]!.pitch;
  const railForward = within(Math.round(centre / usualPitch) * usualPitch, -0.125, 0.2) + 0;
  const reasons: Phrase[] = [
    say`Your load’s mass centre lies ${figure('length', Math.abs(centre))} ${centre >= 0 ? 'ahead of' : 'behind'} its screw: the rail’s middle goes over it, by the nearest hole.`,
    say`A rail of ${figure('length', RAILS[rail]!.length)} lets the handle go ${figure('length', RAILS[rail]!.length / 2 - CLAMPS['lever']!.length / 2)} each way for other lenses.`,
    say`The grip is ${figure('length', gripLength)} long with ${figure('length', fingerRoom)} under it for a hand ${figure('length', hands.breadth)} across.`,
  ];
  return {
    choices: { ...usual.choices, rail },
    dimensions: { ...usual.dimensions, topHeight, railForward, fingerRoom, gripLength },
    reasons,
    startValues: {},
  };
}

function advise(input: FamilyInput): readonly Finding[] {
  const { dimensions: d, choices: c } = input;
  const lay = layOut(input);
  const findings: Finding[] = [];
  if (lay.rail.length < lay.clamp.length + 0.01) {
    findings.push({
      code: 'railShort',
      severity: 'stop',
      about: 'rail',
      figure: figure('length', lay.rail.length),
      limit: figure('length', lay.clamp.length + 0.01),
      title: say`The rail is no longer than its clamp.`,
      why: say`The handle could not slide at all.`,
      toDo: say`Take the next length.`,
      fixes: [],
    });
  }
  if (d['fingerRoom']! < FINGERS_DEEP) {
    const wanted = toFiveMillimetres(FINGERS_DEEP + 0.004);
    findings.push({
      code: 'handRoomUnder',
      severity: 'mend',
      about: 'grip',
      figure: figure('length', d['fingerRoom']!),
      limit: figure('length', FINGERS_DEEP),
      title: say`Only ${figure('length', d['fingerRoom']!)} under the grip for fingers.`,
      why: say`A finger in a glove takes ${figure('length', FINGERS_DEEP)}${c['clamp'] === 'lever' ? ', and the lever opens into it' : ', and the knob is turned beside it'}.`,
      toDo: say`Longer posts.`,
      fixes: [
        {
          label: say`Room of ${figure('length', wanted)}`,
          changes: [{ kind: 'dimension', id: 'fingerRoom', value: wanted }],
        },
      ],
    });
  }
  if (c['finder'] !== 'none') {
    const reach = lay.middle + d['finderAhead']!;
    if (Math.abs(d['finderAhead']!) > lay.rail.length / 2) {
      findings.push({
        code: 'finderOffRail',
        severity: 'mend',
        about: 'finder',
        figure: figure('length', Math.abs(d['finderAhead']!)),
        limit: figure('length', lay.rail.length / 2),
        title: say`The finder would stand off the rail’s end.`,
        why: say`The rail reaches ${figure('length', lay.rail.length / 2)} each way from its middle.`,
        toDo: say`A longer rail, or the finder nearer.`,
        fixes: [
          {
            label: say`Finder at the rail’s end`,
            changes: [
              {
                kind: 'dimension',
                id: 'finderAhead',
                value: Math.sign(d['finderAhead']!) * (lay.rail.length / 2 - 0.01),
              },
            ],
          },
        ],
      });
    }
    const screen = c['finder'] === 'monitor';
    const relief = d['eyeRelief']!;
    if (screen ? relief < SCREEN_FROM : relief > FINDER_TO) {
      findings.push({
        code: 'eyeDistance',
        severity: 'note',
        about: 'finder',
        figure: figure('length', relief),
        limit: figure('length', screen ? SCREEN_FROM : FINDER_TO),
        title: screen
          ? say`A screen ${figure('length', relief)} from the eye is too near to read.`
          : say`The eye is ${figure('length', relief)} behind the finder: it sees a keyhole.`,
        why: say`It stands ${figure('length', Math.abs(reach))} ${reach >= 0 ? 'ahead of' : 'behind'} the camera’s screw. Below it stands how far the eye is from it on the shoulder, at the waist and behind the tripod.`,
        toDo: screen ? say`Move it forward, or hold the rig lower.` : say`Move it back till the eye cup meets you.`,
        fixes: [],
      });
    }
  }
  findings.push({
    code: 'handleScale',
    severity: 'note',
    about: 'rail',
    figure: figure('length', 2 * lay.travel),
    limit: null,
    title: say`Stick a scale on the rail: the handle goes ${figure('length', lay.travel)} each way from its middle.`,
    why: say`Balance lists where each loadout wants it; a mark on the scale finds the place again in the dark.`,
    toDo: say`Set it, tighten, lift by a finger: the lens must stay level.`,
    fixes: [],
  });
  return findings;
}

export const slidingTopHandle: Family = {
  id: 'sliding-top-handle',
  name: 'Sliding top handle',
  summary:
    'A rail on the camera’s top with a handle that slides to stand over the mass centre of every lens; finder or monitor on the same rail.',
  goodFor: ['low and waist shots', 'changing lenses often', 'carrying between set-ups'],
  givesUp: 'It steadies by the camera’s own mass alone.',
  suits: { carries: ['low', 'waist'], moves: ['walking', 'tight spaces'], hands: 1, wet: true, hangs: false },
  goesWrong: [
    'The rail is too short for the long lens and the nose droops all day.',
    'The lever opens against the fingers.',
    'The eyepiece or a battery door is under the clamp.',
  ],
  dimensions,
  choices,
  size,
  build,
  advise,
  drawn: (input) => {
    const lay = layOut(input);
    return [
      {
        dimension: 'topHeight',
        from: [lay.middle - lay.rail.length / 2 - 0.02, 0, -input.dimensions['topHeight']!],
        to: [lay.middle - lay.rail.length / 2 - 0.02, 0, 0],
        view: 'side',
        offset: -40,
      },
      {
        dimension: 'gripLength',
        from: [lay.middle - lay.gripLength / 2, 0, lay.grip],
        to: [lay.middle + lay.gripLength / 2, 0, lay.grip],
        view: 'side',
        offset: -50,
      },
      {
        dimension: 'railForward',
        from: [Math.min(0, lay.middle), 0, 0],
        to: [Math.max(0, lay.middle), 0, 0],
        view: 'side',
        offset: 40,
      },
    ];
  },
};
