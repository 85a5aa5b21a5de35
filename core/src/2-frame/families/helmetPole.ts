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
import type { Hands, Part, Rig, StatedConnection, Station } from '../../model';
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
import { barOf, barOptions, ROUND_TUBES } from '../parts/bars';
import { intoCamera } from '../parts/camera';
import { endCap } from '../parts/hardware';
import { FLAT_WASHER, NUT, WIDE_WASHER } from '../hardware/sizes';
import { threadOf } from '../hardware/thread';
import { boltThread, WASHERS, washerOf } from '../parts/washers';
import { ANY_WASHER, ROUND_TUBE } from '../parts/ownSizes';

const ROOM = 0.06; // of threaded end for washers
const FORK = 0.05; // of the hinge over the swivel, at least
const BLOCK = 0.012; // of the fork between its cheeks
const BUSH = { length: 0.03, wall: 0.006, over: 0.008, clear: 0.004 };
const CHEEK = { wide: 0.02, thick: 0.003 };
const SWIVEL = 0.015; // each half
const CROWN = { radius: 0.045, thick: 0.004, patch: 0.002 };
const BALL = 0.04; // long, on the tail's stud
const PLUG = 0.03; // in the tail, tapped for its stud
const ROOT = 0.024;
const CLAMP = { long: 0.03, wall: 0.008, lug: 0.014, fromEnd: 0.05 };
const EAR = 0.003;
const PLATE = { from: 0.015, thick: 0.003 }; // of the camera's plate, from the bolt it tilts on
const SECOND_WALL = 0.012;
/** Force at which a patch lets go sideways, N: of hook-and-loop about 0.04 N a square millimetre peeled at an edge; measure yours. */
const PATCHES: Readonly<Record<string, { readonly name: string; readonly force: number }>> = {
  small: { name: 'small hook-and-loop patch', force: 25 },
  large: { name: 'large hook-and-loop patch', force: 45 },
  magnet: { name: 'pot magnet', force: 35 },
};
const BACK = quaternionOfTurns({ toTheLeft: Math.PI, noseDown: 0, leftSideDown: 0 });
const OVER = quaternionOfTurns({ toTheLeft: 0, noseDown: 0, leftSideDown: Math.PI });

/** The fork's arms meet the pole this far from the hinge, m. */
const PADDED_AT = 0.06;

function layOut({ dimensions: d, choices, own }: FamilyInput) {
  const stock = barOf(choices['pole']!, own);
  const outside = stock.section.kind === 'tube' ? stock.section.outerDiameter : 0.02;
  const front: Vec3 = [d['length']! - d['hingeFromTail']!, 0, -d['hingeAbove']!];
  const tail: Vec3 = [-d['hingeFromTail']!, 0, -d['hingeAbove']!];
  // The pole's bush clears the fork's block, however high the hinge stands over the pole.
  const fork = Math.max(FORK, d['hingeAbove']! + outside / 2 + BUSH.wall + BUSH.clear + BLOCK);
  return { stock, outside, front, tail, fork };
}

function build(input: FamilyInput): Rig {
  const { dimensions: d, choices, own } = input;
  const lay = layOut(input);
  const { stock, outside, front, tail, fork } = lay;
  const { washer, boltDiameter } = washerOf(choices['washer']!, own);
  const second = choices['tailEnd'] === 'camera';
  const clampAt: Vec3 = [front[0] - CLAMP.fromEnd, 0, front[2]];
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
  // Of the bolt the camera's plate tilts on, in the clamp's lug.
  const tilt: Vec3 = [clampAt[0], 0, clampAt[2] - outside / 2 - BUSH.wall - CLAMP.lug / 2];
  const off = (far: number, aside = 0): Vec3 => [tilt[0] + up[0] * far, aside, tilt[2] + up[2] * far];
  const clampHalf = outside / 2 + CLAMP.wall;
  const thread = threadOf(boltThread(boltDiameter));
  // What the washers lie on, over the tube's end.
  const wide = WIDE_WASHER.thick.of({ name: boltThread(boltDiameter) })!;
  const bore = outside / 2 - (stock.section.kind === 'tube' ? stock.section.wall : 0.001);
  const alongX: Part['turn'] = [Math.SQRT1_2, 0, Math.SQRT1_2, 0];
  const bushTop = BUSH.over + d['hingeAbove']!;
  const bushHalf = outside / 2 + BUSH.wall;
  const station: Station = {
    id: 'tail',
    name: 'Tail washers',
    seat: [tail[0] - wide, 0, tail[2]],
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
      shape: { kind: 'box', size: [BUSH.length, outside + 2 * BUSH.wall, 2 * bushHalf], bore: [outside, outside] },
      at: [0, 0, -d['hingeAbove']!],
      material: 'aluminium',
      mass: { value: 0.028, spread: 0.004, source: 'mass of hinge bush' },
      supply: { item: 'split hinge bush', packOf: 1, packPrice: 6 },
    },
    // Where the hinge stands over the pole, a lug on the bush carries its bolt.
    ...(bushTop > bushHalf
      ? [
          {
            id: 'bush-lug',
            name: 'hinge bush',
            of: 'hinge-bush',
            shape: { kind: 'box' as const, size: [BUSH.length, 2 * bushHalf, bushTop - bushHalf] as Vec3 },
            at: [0, 0, -d['hingeAbove']! + (bushHalf + bushTop) / 2] as Vec3,
            material: 'aluminium',
          },
        ]
      : []),
    {
      id: 'camera-clamp',
      name: 'camera clamp',
      shape: {
        kind: 'box',
        size: [CLAMP.long, 2 * clampHalf, outside + 2 * BUSH.wall],
        bore: [outside, outside],
      },
      at: clampAt,
      material: 'aluminium',
      mass: { value: 0.03, spread: 0.005, source: 'mass of camera clamp' },
      supply: { item: 'small tube clamp with a lug', packOf: 1, packPrice: 7 },
    },
    {
      id: 'clamp-lug',
      name: 'camera clamp',
      of: 'camera-clamp',
      shape: { kind: 'box', size: [0.012, 2 * clampHalf, CLAMP.lug] },
      at: tilt,
      material: 'aluminium',
    },
    {
      id: 'camera-plate',
      name: 'tilting plate',
      shape: { kind: 'box', size: [0.03, 2 * (clampHalf + EAR), PLATE.thick] },
      at: off(PLATE.from + PLATE.thick / 2),
      turn,
      material: 'aluminium',
      mount: off(PLATE.from + PLATE.thick),
      mountTurn: turn,
      supply: { item: 'aluminium angle 30 × 30 × 3, short', packOf: 1, packPrice: 1.8, sawn: 'length' },
    },
    {
      id: 'plate-ear',
      name: 'tilting plate',
      of: 'camera-plate',
      shape: { kind: 'box', size: [0.014, EAR, PLATE.from + 0.006] },
      at: off((PLATE.from - 0.006) / 2, clampHalf + EAR / 2),
      turn,
      material: 'aluminium',
    },
    {
      id: 'tail-plug',
      name: 'plug in the tail',
      shape: { kind: 'tube', outerRadius: bore, innerRadius: 0, length: PLUG },
      at: [tail[0] + PLUG / 2, 0, tail[2]],
      turn: alongX,
      material: 'aluminium',
      supply: {
        item: `aluminium round ${Math.round(bore * 20000) / 10} mm, 30 mm`,
        packOf: 1,
        packPrice: 1.8,
        sawn: 'length',
      },
    },
    ...(choices['endMark'] === 'ball'
      ? [
          {
            id: 'bright-end',
            name: 'bright foam ball',
            shape: { kind: 'tube' as const, outerRadius: 0.025, innerRadius: boltDiameter / 2, length: BALL },
            // Behind the nut, and out with it as washers go on.
            at: [tail[0] - wide - NUT.of(thread)! - BALL / 2, 0, tail[2]] as Vec3,
            rides: 'tail',
            turn: [Math.SQRT1_2, 0, Math.SQRT1_2, 0] as const,
            material: 'rubberFoam',
            mass: { value: 0.012, spread: 0.003, source: 'mass of foam ball' },
            supply: { item: 'bright foam ball 50 mm', packOf: 1, packPrice: 1.5 },
          },
        ]
      : []),
    ...(second
      ? [
          {
            id: 'second-camera',
            name: 'second camera, weigh yours',
            shape: { kind: 'box' as const, size: [0.033, 0.071, 0.051] as Vec3 },
            at: [tail[0] + 0.05, 0, tail[2] + outside / 2 + SECOND_WALL + 0.0255] as Vec3,
            material: 'petg',
            mass: { value: 0.13, spread: 0.02, source: 'mass of second camera' },
            supply: { item: 'second camera', packOf: 1, packPrice: 120 },
          },
          {
            id: 'second-clamp',
            name: 'clamp of the second camera',
            shape: {
              kind: 'box' as const,
              size: [CLAMP.long, outside + 2 * BUSH.wall, outside + 2 * SECOND_WALL] as Vec3,
              bore: [outside, outside] as [number, number],
            },
            at: [tail[0] + 0.05, 0, tail[2]] as Vec3,
            material: 'aluminium',
            mass: { value: 0.035, spread: 0.005, source: 'mass of clamp of the second camera' },
            supply: { item: 'small tube clamp', packOf: 1, packPrice: 6 },
          },
        ]
      : []),
    { ...endCap({ id: 'front-cap', at: front, axis: [1, 0, 0], across: outside }), name: 'padded end' },
  ];
  const half = d['stop']!;
  const connections = connectionsOf();
  return {
    bodies: [
      {
        id: 'helmet',
        name: 'helmet mount',
        nodes: [],
        members: [],
        joints: [],
        stations: [],
        parts: helmetParts(input, fork),
        connections: [
          ...([-1, 1] as const).map((e): StatedConnection => ({
            kind: 'bolted',
            id: `swivel-screw-${e < 0 ? 'right' : 'left'}`,
            name: `${e < 0 ? 'right' : 'left'} screw of the swivel`,
            on: 'crown-plate',
            // Its point away from the head, its head flush over it.
            point: [-d['hingeAhead']!, e * 0.007, -fork - 2 * SWIVEL - CROWN.thick],
            way: [0, 0, 1],
            thread: 'M3',
            head: 'sunk',
            stack: [{ kind: 'piece', piece: 'crown-plate' }],
            end: { kind: 'tapped', piece: 'swivel-base', depth: 0.01, in: 'steel' },
          })),
          { kind: 'laid', id: 'patch-on', name: 'patch under its plate', piece: 'patch', on: 'crown-plate' },
          {
            kind: 'hinged',
            id: 'swivel-turns',
            name: 'swivel',
            pivot: 'swivel-axis',
            held: 'swivel-base',
            carried: 'swivel',
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
        parts: forkParts(input, lay),
        connections: connections.fork,
      },
      {
        id: 'pole',
        name: 'pole',
        nodes: [
          { id: 'front', at: front },
          { id: 'tail', at: tail },
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
        joints: [],
        parts,
        stations: [station],
        connections: connections.pole,
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
        at: [-d['hingeAhead']!, 0, -fork - 2 * SWIVEL - CROWN.thick - CROWN.patch],
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
        moves: ['camera-clamp', 'clamp-lug', 'camera-plate', 'plate-ear'].map((id) => ({ kind: 'part' as const, id })),
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

  function connectionsOf(): { readonly fork: StatedConnection[]; readonly pole: StatedConnection[] } {
    const piece = (id: string, wall?: 'near') => ({ kind: 'piece' as const, piece: id, ...(wall ? { wall } : {}) });
    const width = outside / 2 + BUSH.wall + FLAT_WASHER.thick.of({ name: 'M6' })!;
    return {
      fork: [
        ...(['left', 'right'] as const).flatMap((side) =>
          ([-1, 1] as const).map((e): StatedConnection => {
            const s = side === 'left' ? 1 : -1;
            return {
              kind: 'bolted',
              id: `cheek-${side}-${e < 0 ? 'rear' : 'front'}`,
              name: `${e < 0 ? 'rear' : 'front'} screw of the ${side} cheek`,
              on: 'fork',
              point: [e * 0.005, s * (width + CHEEK.thick), -fork + BLOCK / 2],
              way: [0, -s, 0],
              thread: 'M4',
              stack: [piece(`cheek-${side}`)],
              end: { kind: 'tapped', piece: 'fork', depth: 0.01, in: 'aluminium' },
            };
          }),
        ),
        {
          kind: 'bolted',
          id: 'fork-on-swivel',
          name: 'screw of the fork',
          on: 'fork',
          point: [-d['hingeAhead']!, 0, -fork + BLOCK],
          way: [0, 0, -1],
          thread: 'M5',
          recess: 0.004,
          stack: [piece('fork')],
          end: { kind: 'tapped', piece: 'swivel', depth: 0.012, in: 'steel' },
        },
        {
          kind: 'bolted',
          id: 'hinge-bolt',
          name: 'hinge bolt',
          on: 'cheek-left',
          point: [0, width + CHEEK.thick, 0],
          way: [0, -1, 0],
          thread: 'M6',
          stack: [
            piece('cheek-left'),
            { kind: 'washer', washer: 'flat' },
            piece('hinge-bush'),
            { kind: 'washer', washer: 'flat' },
            piece('cheek-right'),
          ],
          // Low over the pole, it goes through it.
          ...(d['hingeAbove']! < outside / 2 + 0.003 ? { inside: ['tube'] } : {}),
          end: { kind: 'lock' },
          packs: true,
        },
      ],
      pole: [
        { kind: 'clamped', id: 'bush-on-pole', name: 'bush on the pole', piece: 'hinge-bush', on: 'tube' },
        {
          kind: 'clamped',
          id: 'clamp-on-pole',
          name: 'camera clamp on the pole',
          piece: 'camera-clamp',
          on: 'tube',
          packs: true,
        },
        {
          kind: 'bolted',
          id: 'tilt-bolt',
          name: 'screw the camera tilts on',
          on: 'camera-clamp',
          point: off(0, clampHalf + EAR),
          way: [0, -1, 0],
          thread: 'M4',
          stack: [piece('camera-plate')],
          end: { kind: 'tapped', piece: 'camera-clamp', depth: 0.012, in: 'aluminium' },
        },
        intoCamera({
          on: 'camera-plate',
          point: off(PLATE.from),
          way: up,

          stack: [piece('camera-plate')],
        }),
        {
          kind: 'bonded',
          id: 'tail-joint',
          name: 'plug in the tube',
          piece: 'tail-plug',
          to: 'tube',
          glue: 'epoxy',
          area: 2 * Math.PI * bore * PLUG,
        },
        {
          kind: 'bolted',
          id: 'tail-bolt',
          name: 'tail stud',
          on: 'tail-plug',
          point: tail,
          way: [-1, 0, 0],
          thread: thread.name,
          root: { piece: 'tail-plug', depth: ROOT },
          // What lies on the tube's end.
          stack: [
            { kind: 'washer', washer: 'wide' },
            { kind: 'row', station: 'tail' },
          ],
          end: { kind: 'nut' },
        },
        { kind: 'slidOn', id: 'front-cap-on', name: 'cap on the front end', piece: 'front-cap', over: 'tube' },
        ...(choices['endMark'] === 'ball'
          ? [
              {
                kind: 'slidOn' as const,
                id: 'ball-on',
                name: 'ball on the tail stud',
                piece: 'bright-end',
                over: 'tail-bolt/screw',
              },
            ]
          : []),
        ...(second
          ? [
              {
                kind: 'clamped' as const,
                id: 'second-clamp-on',
                name: 'second clamp on the pole',
                piece: 'second-clamp',
                on: 'tube',
              },
              {
                kind: 'bolted' as const,
                id: 'second-camera-on',
                name: 'screw of the second camera',
                on: 'second-clamp',
                point: [tail[0] + 0.05, 0, tail[2] + outside / 2] as Vec3,
                way: [0, 0, 1] as Vec3,
                thread: '1/4-20',
                head: 'sunk' as const,
                stack: [piece('second-clamp', 'near')],
                end: { kind: 'tapped' as const, piece: 'second-camera', depth: 0.008, in: 'steel' as const },
              },
            ]
          : []),
      ],
    };
  }
}

/** What stays on the helmet: the patch, its plate and the lower half of the swivel. */
const helmetParts = ({ dimensions: d, choices }: FamilyInput, fork: number): Part[] => [
  {
    id: 'crown-plate',
    name: 'crown plate',
    shape: { kind: 'tube', outerRadius: CROWN.radius, innerRadius: 0, length: CROWN.thick },
    at: [-d['hingeAhead']!, 0, -fork - 2 * SWIVEL - CROWN.thick / 2],
    material: 'petg',
    supply: { item: 'round plastic plate 90 × 4', packOf: 1, packPrice: 2, sawn: 'sheet' },
  },
  {
    id: 'patch',
    name: PATCHES[choices['patch']!]!.name,
    shape: { kind: 'tube', outerRadius: CROWN.radius, innerRadius: 0, length: CROWN.patch },
    at: [-d['hingeAhead']!, 0, -fork - 2 * SWIVEL - CROWN.thick - CROWN.patch / 2],
    material: 'hookAndLoop',
    mass: { value: 0.012, spread: 0.004, source: 'mass of patch' },
    supply: { item: PATCHES[choices['patch']!]!.name, packOf: 1, packPrice: 3 },
  },
  swivelHalf('swivel-base', 'swivel, lower half', [-d['hingeAhead']!, 0, -fork - 1.5 * SWIVEL]),
];

const swivelHalf = (id: string, name: string, at: Vec3): Part => ({
  id,
  name,
  shape: { kind: 'tube', outerRadius: 0.0125, innerRadius: 0, length: SWIVEL },
  at,
  material: 'steel',
  mass: { value: 0.03, spread: 0.004, source: `mass of ${name}` },
  supply: { item: 'swivel 25 mm', packOf: 2, packPrice: 4.5 },
});

/** The swivel's upper half, the fork's block on it, and a cheek on each side of the pole's bush. */
function forkParts({ dimensions: d }: FamilyInput, { outside, fork }: ReturnType<typeof layOut>): Part[] {
  const width = outside / 2 + BUSH.wall + FLAT_WASHER.thick.of({ name: 'M6' })!;
  const ahead = d['hingeAhead']!;
  return [
    swivelHalf('swivel', 'swivel, upper half', [-ahead, 0, -fork - SWIVEL / 2]),
    {
      id: 'fork',
      name: 'block of the fork',
      shape: { kind: 'box', size: [CHEEK.wide + Math.abs(ahead), 2 * width, BLOCK] },
      at: [-ahead / 2, 0, -fork + BLOCK / 2],
      material: 'aluminium',
      supply: {
        item: `aluminium bar 20 × 12, ${Math.round(2000 * width)} mm`,
        packOf: 1,
        packPrice: 2,
        sawn: 'length',
      },
    },
    ...(
      [
        ['left', 1],
        ['right', -1],
      ] as const
    ).map(([side, s]): Part => ({
      id: `cheek-${side}`,
      name: `${side} cheek of the fork`,
      shape: { kind: 'box', size: [CHEEK.wide, CHEEK.thick, fork + BUSH.over] },
      at: [0, s * (width + CHEEK.thick / 2), (BUSH.over - fork) / 2],
      material: 'aluminium',
      supply: {
        item: `aluminium flat 20 × 3, ${Math.round(1000 * (fork + BUSH.over))} mm`,
        packOf: 1,
        packPrice: 1.2,
        sawn: 'length',
      },
    })),
  ];
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
  choiceSpec(
    'pole',
    'Pole',
    'Light: it goes round your head.',
    'tube-carbon-20x1',
    barOptions(ROUND_TUBES),
    ROUND_TUBE,
  ),
  choiceSpec('washer', 'Washers', 'On the threaded tail.', 'm8-24', namesOf(WASHERS), ANY_WASHER),
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
