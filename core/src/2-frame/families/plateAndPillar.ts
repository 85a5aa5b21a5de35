/**
 * Plate and pillar: two level bars joined by two hand posts, the camera on the lower bar between them, a handle on top,
 * feet to set it down. The middle of the lower bar's top face is the origin; the posts stand to left and right.
 */
import { figure, materialOf, say, type Finding, type Phrase, type Vec3 } from '../../0-base';
import type { PlacedLoad } from '../../1-load';
import type { Contact, Hands, Member, Part, Rig, StatedConnection } from '../../model';
import type { Family, FamilyInput, Sizing } from '../family';
import {
  choiceSpec,
  lengthSpec,
  loadBox,
  named,
  toFiveMillimetres,
  usualInput,
  within,
  type Held,
  setOn,
} from '../familyTools';
import { barOf, barOptions, RODS, SLOTTED_STRIPS, WOOD_STRIPS } from '../parts/bars';
import { foamGrip, FOOT_HEIGHT, QUICK_RELEASE_HEIGHT, quickRelease, rubberFoot, woodenGrip } from '../parts/hardware';
import { FLAT_BARS } from '../parts/flatBars';
import { plate } from '../parts/plate';
import { USUAL_SOCKET } from '../parts/camera';
import { boltThread } from '../parts/washers';
import { ANY_FLAT } from '../parts/ownSizes';
import { ACROSS_FLATS, FLAT_WASHER, NUT, SOCKET_WIDE, WIDE_WASHER } from '../hardware/sizes';
import { threadOf, type Thread } from '../hardware/thread';

const TURNS_BEYOND = 2.5; // of a rod's thread beyond its nut
const TURNS_SUNK = 2; // the same, where the nut lies in the bar
const CAP_THICK = 0.002; // of what closes its pocket
const CAP_PROUD = 0.0005; // of the bar's face, to be got out again
const LEFT_UNDER = 0.005; // of wood under a pocket
const PLATE = { screws: 0.018, wide: 0.06 }; // of the camera plate: its screws from its middle, each side
const UNDER_CLAMP = { screws: 0.034, wide: 0.084 }; // the same, clear of a clamp on it: its own screw is under the plate
const SLIDE = 0.02;
const PLATE_BEYOND = 0.03; // of the camera's hole and of what the plate slides on
const FROM_EDGE = 0.00675; // of a foot bar's M4 screws, from the lower bar's edges: one and a half holes
const ASIDE = 0.005; // and of each from the foot bar's middle: across the corners of a narrow bar there is more between them
const FOOT_RECESS = 0.004; // of the screw's head in a rubber foot
const FINGERS = 0.05; // from a post's middle to the nearest thing the knuckles meet

interface Layout {
  readonly bar: Member['stock'];
  readonly thickness: number;
  readonly width: number;
  readonly rod: Member['stock'];
  readonly rodDiameter: number;
  /** Face of the lower bar is z = 0; the upper bar's underside is here. */
  readonly upper: number;
  readonly rodLength: number;
  readonly thread: Thread;
  /** Of the wide washers on each side of a bar, and beyond the last one: a nut and some turns. */
  readonly washer: { readonly outside: number; readonly thickness: number };
  readonly beyond: number;
  /** How deep nuts lie in the bars' outer faces, under their caps; nought where they stand on them. */
  readonly sunk: number;
}

function layOut({ dimensions: d, choices, own }: FamilyInput): Layout {
  const bar = barOf(choices['bar']!, own);
  const { section } = bar;
  if (section.kind !== 'flat') throw new TypeError('the bars are flat');
  const rod = barOf(choices['rod']!, own);
  const rodDiameter = rod.section.kind === 'rod' ? rod.section.diameter : 0.008;
  const thread = threadOf(boltThread(rodDiameter));
  const washer = { outside: WIDE_WASHER.outside.of(thread)!, thickness: WIDE_WASHER.thick.of(thread)! };
  // Where the bars do not take a pocket they are drawn on them, and it is told.
  const isSunk = choices['nuts'] === 'sunk' && takesPocket(bar, thread);
  const beyond = NUT.of(thread)! + (isSunk ? TURNS_SUNK : TURNS_BEYOND) * thread.pitch;
  const sunk = isSunk ? pocketDeep(thread) : 0;
  const outer = isSunk ? FLAT_WASHER.thick.of(thread)! - sunk : washer.thickness;
  return {
    bar,
    thickness: section.thickness,
    width: section.width,
    rod,
    rodDiameter,
    upper: d['post']! + 2 * washer.thickness,
    rodLength: d['post']! + 2 * section.thickness + 2 * washer.thickness + 2 * (outer + beyond),
    thread,
    washer,
    beyond,
    sunk,
  };
}

/** For washer, nut, thread beyond it and cap, in whole millimetres. */
const pocketDeep = (thread: Thread): number =>
  Math.ceil((FLAT_WASHER.thick.of(thread)! + NUT.of(thread)! + TURNS_SUNK * thread.pitch + CAP_THICK) * 1000 - 1e-6) /
  1000;
/** Pockets are bored in wood, and leave enough of it to bear the nut. */
const takesPocket = ({ section, material }: Member['stock'], thread: Thread): boolean =>
  materialOf(material)?.look === 'wood' &&
  section.kind === 'flat' &&
  section.thickness >= pocketDeep(thread) + LEFT_UNDER - 1e-9;

function build(input: FamilyInput): Rig {
  const { dimensions: d, choices } = input;
  const lay = layOut(input);
  const half = d['span']! / 2;
  const reach = half + d['overhang']!;
  const sides = [
    { side: 'left', s: 1 },
    { side: 'right', s: -1 },
  ] as const;
  const level = (id: string, name: string, z: number): { nodes: { id: string; at: Vec3 }[]; member: Member } => ({
    nodes: [
      { id: `${id}-left`, at: [0, reach, z] },
      { id: `${id}-right`, at: [0, -reach, z] },
    ],
    member: {
      id,
      name,
      from: `${id}-left`,
      to: `${id}-right`,
      stock: lay.bar,
      leftLong: 0,
      path: { kind: 'straight', widthDirection: [1, 0, 0] },
      holes: [],
    },
  });
  const [lower, upper] = [
    level('lower-bar', 'lower bar', -lay.thickness / 2),
    level('upper-bar', 'upper bar', lay.upper + lay.thickness / 2),
  ];
  const below = lay.upper / 2 - lay.rodLength / 2;
  const rods = sides.map(({ side, s }) => ({
    nodes: [
      {
        id: `rod-${side}-low`,
        at: [0, s * half, below] as Vec3,
        twin: `rod-${side === 'left' ? 'right' : 'left'}-low`,
      },
      {
        id: `rod-${side}-high`,
        at: [0, s * half, below + lay.rodLength] as Vec3,
        twin: `rod-${side === 'left' ? 'right' : 'left'}-high`,
      },
    ],
    member: {
      id: `rod-${side}`,
      name: `${side} rod`,
      from: `rod-${side}-low`,
      to: `rod-${side}-high`,
      stock: lay.rod,
      leftLong: 0,
      holes: [],
      path: { kind: 'straight' as const, widthDirection: [1, 0, 0] as Vec3 },
      twin: `rod-${side === 'left' ? 'right' : 'left'}`,
    } satisfies Member,
  }));
  const posts = postParts(input, lay);
  const camera = cameraParts(input);
  const top = topHandle(input, lay);
  const piece = (id: string): { readonly kind: 'piece'; readonly piece: string } => ({ kind: 'piece', piece: id });
  const wide = { kind: 'washer' as const, washer: 'wide' as const };
  // In its pocket there is room for a common one.
  const outer = { kind: 'washer' as const, washer: lay.sunk > 0 ? ('flat' as const) : ('wide' as const) };
  const sunk = lay.sunk > 0 ? { recess: lay.sunk, endRecess: lay.sunk } : {};
  const caps = sides.flatMap(({ side, s }) => capsOf(side, s * half, lay));
  const nuts = sides.map(({ side, s }): StatedConnection => ({
    kind: 'bolted',
    id: `nuts-${side}`,
    name: `${side} rod’s nuts`,
    on: `rod-${side}`,
    point: [0, s * half, -lay.thickness],
    way: [0, 0, 1],
    thread: lay.thread.name,
    screw: `rod-${side}`,
    ...sunk,
    stack: [
      outer,
      piece('lower-bar'),
      wide,
      piece(choices['posts'] === 'foam' ? `sleeve-${side}` : `post-${side}`),
      wide,
      piece('upper-bar'),
      outer,
    ],
    end: { kind: 'nut' },
    packs: true,
  }));
  const feet = footParts(input, lay);
  return {
    bodies: [
      {
        id: 'rig',
        name: 'rig',
        nodes: [...lower.nodes, ...upper.nodes, ...rods.flatMap((r) => r.nodes)],
        members: [lower.member, upper.member, ...rods.map((r) => r.member)],
        joints: [],
        parts: [...posts.parts, ...camera.parts, ...top.parts, ...feet.parts, ...caps.flatMap((c) => c.parts)],
        stations: [],
        connections: [
          ...nuts,
          ...posts.connections,
          ...camera.connections,
          ...top.connections,
          ...feet.connections,
          ...caps.flatMap((c) => c.connections),
        ],
      },
    ],
    pivots: [],
    contacts: [
      ...sides.map(({ side, s }): Contact => ({
        id: `${side}-hand`,
        name: `${side} hand`,
        kind: 'hand',
        body: 'rig',
        at: [0, s * half, lay.upper / 2],
        direction: [0, 0, 1],
      })),
      ...(choices['handle'] === 'bar'
        ? [
            {
              id: 'top-hand',
              name: 'top hand',
              kind: 'hand' as const,
              body: 'rig',
              at: [0, 0, lay.upper + lay.thickness + 0.05] as Vec3,
              direction: [0, 0, 1] as Vec3,
            },
          ]
        : []),
      ...feet.contacts,
    ],
    poses: [
      { id: 'both-hands', name: 'Both hands on the posts', contacts: ['left-hand', 'right-hand'], arm: 0.3 },
      ...(choices['handle'] === 'bar'
        ? [{ id: 'from-above', name: 'One hand on top, low', contacts: ['top-hand'], arm: 0.12 }]
        : []),
    ],
    adjusters: [
      {
        id: 'camera-fore-aft',
        name: 'Camera, fore and aft',
        kind: 'slide',
        axis: [1, 0, 0],
        range: [-SLIDE, SLIDE],
        step: 0.0005,
        value: 0,
        moves: [
          { kind: 'part', id: 'camera-plate' },
          ...(choices['release'] === 'quick' ? [{ kind: 'part' as const, id: 'release' }] : []),
        ],
      },
    ],
  };
}

/** Plugs pressed into the pockets over the nuts, a hair proud of the bars' outer faces. */
function capsOf(side: 'left' | 'right', y: number, lay: Layout): readonly Held[] {
  if (lay.sunk === 0) return [];
  const across = pocketFor(lay);
  return (['low', 'high'] as const).map((end): Held => {
    const id = `cap-${side}-${end}`;
    const out = CAP_PROUD - CAP_THICK / 2;
    const z = end === 'low' ? -lay.thickness - out : lay.upper + lay.thickness + out;
    return {
      parts: [
        {
          id,
          name: `${side} end cap`,
          shape: { kind: 'tube', outerRadius: across / 2, innerRadius: 0, length: CAP_THICK },
          at: [0, y, z],
          material: 'pvc',
          twin: `cap-${side === 'left' ? 'right' : 'left'}-${end}`,
          supply: { item: `blanking plug ${Math.round(across * 2000) / 2} mm`, packOf: 4, packPrice: 1.8 },
        },
      ],
      connections: [
        {
          kind: 'seated',
          id: `${id}-in`,
          name: 'cap over its nut',
          piece: id,
          in: end === 'low' ? 'lower-bar' : 'upper-bar',
          packs: true,
        },
      ],
    };
  });
}
/** As its bit is: a socket turns in it. */
const pocketFor = ({ thread }: Layout): number =>
  Math.ceil(
    (Math.max(SOCKET_WIDE * ACROSS_FLATS.of(thread)!, FLAT_WASHER.outside.of(thread)!) + 0.0003) * 2000 - 1e-6,
  ) / 2000;

function postParts({ dimensions: d, choices }: FamilyInput, lay: Layout): Held {
  const middle = lay.upper / 2;
  const sides = (
    [
      ['left', 1],
      ['right', -1],
    ] as const
  ).map(([side, s]): Held => {
    const place = {
      id: `post-${side}`,
      at: [0, s * (d['span']! / 2), middle] as Vec3,
      axis: [0, 0, 1] as Vec3,
      length: d['post']!,
      twin: `post-${side === 'left' ? 'right' : 'left'}`,
    };
    if (choices['posts'] === 'wood')
      return only({
        ...woodenGrip({ ...place, diameter: d['postDiameter']!, bore: lay.rodDiameter + 0.0006 }),
        name: 'hand post',
      });
    if (choices['posts'] === 'dowel')
      return only({
        ...woodenGrip({ ...place, diameter: d['postDiameter']!, bore: lay.rodDiameter + 0.0006, material: 'pine' }),
        name: 'hand post',
      });
    const inside = Math.max(lay.rodDiameter + 0.006, d['postDiameter']! - 0.012);
    return {
      parts: [
        {
          id: `sleeve-${side}`,
          name: `${side} sleeve`,
          shape: {
            kind: 'tube',
            outerRadius: inside / 2,
            innerRadius: lay.rodDiameter / 2 + 0.0003,
            length: d['post']!,
          },
          at: place.at,
          material: 'pvc',
          twin: `sleeve-${side === 'left' ? 'right' : 'left'}`,
          supply: {
            item: `plastic tube ${Math.round(inside * 1000)} over ${Math.round(lay.rodDiameter * 1000)}, ${Math.round(d['post']! * 1000)} mm`,
            packOf: 1,
            packPrice: 1.6,
            sawn: 'length',
          },
        },
        { ...foamGrip({ ...place, inside }), name: 'hand post, foam on a sleeve' },
      ],
      connections: [
        {
          kind: 'slidOn',
          id: `foam-${side}-on`,
          name: `foam on the ${side} sleeve`,
          piece: place.id,
          over: `sleeve-${side}`,
        },
      ],
    };
  });
  return { parts: sides.flatMap((h) => h.parts), connections: sides.flatMap((h) => h.connections) };
}
const only = (part: Part): Held => ({ parts: [part], connections: [] });

/** The camera's plate, lengthwise in two slots over the lower bar's screws; whatever holds the camera is flush under it. */
function cameraParts({ dimensions: d, choices }: FamilyInput): Held {
  const quick = choices['release'] === 'quick';
  const ahead = d['cameraForward']!;
  const thick = 0.006;
  const { screws: aside, wide } = quick ? UNDER_CLAMP : PLATE;
  const slot = SLIDE + PLATE_BEYOND / 2;
  const [rear, front] = [Math.min(-slot, ahead - PLATE_BEYOND), Math.max(slot, ahead + PLATE_BEYOND)];
  const base: Part = {
    ...plate({
      id: 'camera-plate',
      name: 'camera plate',
      middle: [(rear + front) / 2, 0, thick / 2],
      size: [front - rear, wide, thick],
      material: 'aluminium',
      supply: {
        item: `aluminium plate ${Math.round((front - rear) * 1000)} × ${wide * 1000} × 6`,
        packOf: 1,
        packPrice: 5,
        sawn: 'sheet',
      },
    }),
    ...(quick ? {} : { mount: [ahead, 0, thick] as Vec3 }),
  };
  const screws = ([1, -1] as const).map((s): StatedConnection => ({
    kind: 'bolted',
    id: `plate-${s > 0 ? 'left' : 'right'}`,
    name: `${s > 0 ? 'left' : 'right'} screw of the camera plate`,
    on: 'lower-bar',
    point: [0, s * aside, thick],
    way: [0, 0, -1],
    thread: 'M5',
    head: 'sunk',
    stack: [
      { kind: 'piece', piece: 'camera-plate' },
      { kind: 'piece', piece: 'lower-bar' },
    ],
    end: { kind: 'nut' },
    packs: true,
  }));
  const up = {
    kind: 'bolted' as const,
    on: 'camera-plate',
    point: [ahead, 0, 0] as Vec3,
    way: [0, 0, 1] as Vec3,
    thread: '1/4-20',
    head: 'sunk' as const,
    stack: [{ kind: 'piece' as const, piece: 'camera-plate' }],
  };
  return {
    parts: [
      base,
      ...(quick
        ? [
            {
              ...quickRelease({ id: 'release', at: [ahead, 0, thick] }),
              mount: [ahead, 0, thick + QUICK_RELEASE_HEIGHT] as Vec3,
            },
          ]
        : []),
    ],
    connections: [
      ...screws,
      quick
        ? {
            ...up,
            id: 'release-on',
            name: 'screw of the quick-release clamp',
            end: { kind: 'tapped', piece: 'release', depth: 0.012, in: 'aluminium' },
          }
        : { ...up, id: 'camera', name: 'camera screw', end: { kind: 'camera', depth: USUAL_SOCKET } },
    ],
  };
}

function topHandle({ choices }: FamilyInput, lay: Layout): Held {
  if (choices['handle'] !== 'bar') return { parts: [], connections: [] };
  const top = lay.upper + lay.thickness;
  const post = (id: string, y: number): Part => ({
    id,
    name: 'handle stand-off',
    shape: { kind: 'tube', outerRadius: 0.006, innerRadius: 0.00275, length: 0.05 },
    at: [0, y, top + 0.025],
    material: 'aluminium',
    ...(id.endsWith('left') ? { twin: 'stand-off-right' } : { twin: 'stand-off-left' }),
    supply: { item: 'aluminium tube 12 × 3, 50 mm', packOf: 2, packPrice: 3.4, sawn: 'length' },
  });
  const bar: Part = {
    id: 'handle-bar',
    name: 'handle bar',
    shape: { kind: 'box', size: [0.02, 0.16, 0.004] },
    at: [0, 0, top + 0.052],
    material: 'aluminium',
    supply: { item: 'aluminium flat 20 × 4, short', packOf: 1, packPrice: 1.8, sawn: 'length' },
  };
  const ends = [
    ['left', 0.065],
    ['right', -0.065],
  ] as const;
  return {
    parts: [
      ...ends.map(([side, y]) => post(`stand-off-${side}`, y)),
      bar,
      {
        ...foamGrip({ id: 'handle-grip', at: [0, 0, top + 0.052], axis: [0, 1, 0], length: 0.1, inside: 0.021 }),
        name: 'handle grip',
      },
    ],
    connections: [
      ...ends.map(([side, y]): StatedConnection => ({
        kind: 'bolted',
        id: `stand-off-${side}-bolt`,
        name: `${side} bolt of the top handle`,
        on: 'upper-bar',
        point: [0, y, lay.upper],
        way: [0, 0, 1],
        thread: 'M5',
        stack: ['upper-bar', `stand-off-${side}`, 'handle-bar'].map((p) => ({ kind: 'piece' as const, piece: p })),
        end: { kind: 'nut' },
      })),
      {
        kind: 'slidOn',
        id: 'handle-grip-on',
        name: 'grip on the handle bar',
        piece: 'handle-grip',
        over: 'handle-bar',
      },
    ],
  };
}

function footParts({ dimensions: d }: FamilyInput, lay: Layout): Held & { readonly contacts: readonly Contact[] } {
  const half = d['foot']! / 2;
  const z = -lay.thickness;
  const strip = FLAT_BARS['aluminium-25x5']!;
  const thick = strip.section.kind === 'flat' ? strip.section.thickness : 0.005;
  const y = d['span']! / 2 - 0.035; // inside the post nuts
  const corners = (
    [
      ['left', 1],
      ['right', -1],
    ] as const
  ).flatMap(([side, s]) =>
    (
      [
        ['front', 1],
        ['rear', -1],
      ] as const
    ).map(([end, e]) => ({
      id: `foot-${end}-${side}`,
      twin: `foot-${end}-${side === 'left' ? 'right' : 'left'}`,
      at: [e * (half - 0.012), s * y, z - thick] as Vec3,
    })),
  );
  // Feet stand below the rods' nuts, or the nuts would be the feet.
  const tall = Math.max(FOOT_HEIGHT, lay.sunk > 0 ? 0 : lay.washer.thickness + lay.beyond - thick + 0.004);
  return {
    parts: [
      ...(
        [
          ['left', 1],
          ['right', -1],
        ] as const
      ).map(([side, s]): Part => ({
        id: `foot-bar-${side}`,
        name: 'foot bar',
        twin: `foot-bar-${side === 'left' ? 'right' : 'left'}`,
        shape: { kind: 'box', size: [d['foot']!, 0.025, thick] },
        at: [0, s * y, z - thick / 2],
        material: 'aluminium',
        supply: {
          item: `${strip.name}, ${Math.round(d['foot']! * 1000)} mm`,
          packOf: 1,
          packPrice: Math.round(d['foot']! * 600) / 100,
          sawn: 'length',
        },
      })),
      ...corners.map((c) => rubberFoot({ ...c, tall })),
    ],
    connections: [
      ...(
        [
          ['left', 1],
          ['right', -1],
        ] as const
      ).flatMap(([side, s]) =>
        (
          [
            ['front', 1],
            ['rear', -1],
          ] as const
        ).map(([end, e]): StatedConnection => ({
          kind: 'bolted',
          id: `foot-bar-${side}-${end}`,
          name: `${end} bolt of the ${side} foot bar`,
          on: 'lower-bar',
          point: [e * (lay.width / 2 - FROM_EDGE), s * (y + e * ASIDE), 0],
          way: [0, 0, -1],
          thread: 'M4',
          stack: [
            { kind: 'piece', piece: 'lower-bar' },
            { kind: 'piece', piece: `foot-bar-${side}` },
          ],
          end: { kind: 'nut' },
        })),
      ),
      ...corners.map((c): StatedConnection => ({
        kind: 'bolted',
        id: `${c.id}-on`,
        name: `screw of the ${c.id.replace('foot-', '').replace('-', ' ')} foot`,
        on: `foot-bar-${c.id.endsWith('left') ? 'left' : 'right'}`,
        point: [c.at[0], c.at[1], c.at[2] - tall],
        way: [0, 0, 1],
        thread: 'M4',
        recess: FOOT_RECESS,
        stack: [
          { kind: 'piece', piece: c.id },
          { kind: 'piece', piece: `foot-bar-${c.id.endsWith('left') ? 'left' : 'right'}` },
        ],
        end: { kind: 'nut' },
      })),
    ],
    contacts: corners.map((c) => ({
      id: `${c.id}-down`,
      name: 'foot',
      kind: 'ground',
      body: 'rig',
      at: [c.at[0], c.at[1], c.at[2] - tall],
      direction: [0, 0, 1],
    })),
  };
}

const dimensions = [
  lengthSpec('span', 'Post to post', 'post-left', 0.26, 0.16, 0.5, 'Between the middles of the two hand posts.'),
  lengthSpec('post', 'Post height', 'post-left', 0.13, 0.08, 0.3, 'Length of each hand post between its washers.'),
  lengthSpec('postDiameter', 'Post diameter', 'post-left', 0.032, 0.022, 0.045, 'Outside, where the hand closes.'),
  lengthSpec(
    'overhang',
    'Bar beyond the posts',
    'lower-bar',
    0.025,
    0.012,
    0.08,
    'From a post’s middle to the bar’s end.',
  ),
  setOn(
    'camera-fore-aft',
    lengthSpec(
      'cameraForward',
      'Camera ahead of the posts',
      'camera-plate',
      0.03,
      -0.06,
      0.12,
      'Camera hole from the line of the posts.',
    ),
  ),
  lengthSpec('foot', 'Foot bars', 'foot-bar-left', 0.2, 0.08, 0.4, 'Fore and aft, for the rig to stand on.'),
];

const choices = [
  choiceSpec(
    'bar',
    'Bars',
    'Upper and lower.',
    'aluminium-30x6',
    barOptions(FLAT_BARS, SLOTTED_STRIPS, WOOD_STRIPS),
    ANY_FLAT,
  ),
  choiceSpec(
    'rod',
    'Rods',
    'Through both bars and the posts.',
    'rod-m8',
    barOptions(Object.fromEntries(Object.entries(RODS).filter(([id]) => id.startsWith('rod-')))),
  ),
  choiceSpec(
    'nuts',
    'Rods’ nuts',
    'Sunk, nothing catches on them; that wants thick wooden bars.',
    'on',
    named({ on: 'on the bars', sunk: 'sunk in the bars, under end caps' }),
  ),
  choiceSpec(
    'posts',
    'Hand posts',
    'What your hands close on.',
    'wood',
    named({ wood: 'turned wood', dowel: 'bored dowel', foam: 'foam on a sleeve' }),
  ),
  choiceSpec(
    'handle',
    'Top handle',
    'For carrying, and for low shots.',
    'bar',
    named({ bar: 'bar on stand-offs', none: 'none' }),
  ),
  choiceSpec(
    'release',
    'Camera held by',
    'On its plate.',
    'screw',
    named({ screw: 'a camera screw', quick: 'a quick-release clamp' }),
  ),
];

function size(load: PlacedLoad | null, hands: Hands): Sizing {
  const usual = usualInput(dimensions, choices);
  const box = loadBox(load);
  const wide = Math.max(-box.low[1], box.high[1], 0.035);
  const span = toFiveMillimetres(within(2 * (wide + FINGERS + 0.01), 0.16, 0.5));
  const post = toFiveMillimetres(within(Math.max(hands.breadth + 0.03, box.high[2] + 0.03), 0.08, 0.3));
  const postDiameter = within(Math.round(hands.breadth * 0.36 * 1000) / 1000, 0.022, 0.045);
  const picked = {
    ...usual.choices,
    bar: box.mass > 1.2 ? 'aluminium-40x5' : box.mass > 0.3 ? 'aluminium-30x6' : 'aluminium-25x5',
  };
  // The load's own middle is brought over the line of the hands, or as near as its lens allows the knuckles to be unseen.
  const sums = load?.bodies.reduce((s, b) => ({ m: s.m + b.mass, x: s.x + b.mass * b.centre[0] }), { m: 0, x: 0 });
  const centre = sums && sums.m > 0 ? sums.x / sums.m : 0;
  const cameraForward = toFiveMillimetres(within(0.02 - centre, -0.06, 0.12));
  const foot = toFiveMillimetres(within(Math.max(0.16, 2 * (Math.abs(cameraForward + centre) + 0.06)), 0.08, 0.4));
  const reasons: Phrase[] = [
    say`Posts ${figure('length', span)} apart leave your knuckles ${figure('length', span / 2 - wide - postDiameter / 2)} beside the load.`,
    say`Posts ${figure('length', post)} high and ${figure('length', postDiameter)} thick fit a hand ${figure('length', hands.breadth)} across; the load stands between the bars.`,
    say`The camera sits ${figure('length', Math.abs(cameraForward))} ${cameraForward >= 0 ? 'ahead of' : 'behind'} the posts: its weight over your hands, the hands behind its lens.`,
  ];
  return {
    choices: picked,
    dimensions: { ...usual.dimensions, span, post, postDiameter, cameraForward, foot },
    reasons,
    startValues: {},
  };
}

function tooThinToSink({ choices }: FamilyInput, { bar, thread, thickness, sunk }: Layout): readonly Finding[] {
  if (choices['nuts'] !== 'sunk' || sunk > 0) return [];
  const isWood = materialOf(bar.material)?.look === 'wood';
  const deep = pocketDeep(thread);
  return [
    {
      code: 'tooThinToSink',
      severity: 'mend',
      about: 'lower-bar',
      figure: figure('length', thickness, 1),
      limit: figure('length', deep + LEFT_UNDER, 1),
      title: isWood
        ? say`Bars of ${figure('length', thickness, 1)} are too thin to sink these nuts in; they are drawn on them.`
        : say`Nuts are sunk in wooden bars, not in ${bar.name}; they are drawn on them.`,
      why: say`A pocket is ${figure('length', deep, 1)} deep; under it ${figure('length', LEFT_UNDER, 1)} of wood bears the nut.`,
      toDo: say`Take thicker bars or thinner rods, or leave the nuts on the bars.`,
      fixes: [
        { label: say`Nuts on the bars`, changes: [{ kind: 'choice', id: 'nuts', value: 'on' }] },
        { label: say`Bars of oak, 18 thick`, changes: [{ kind: 'choice', id: 'bar', value: 'oak-45x18' }] },
      ],
    },
  ];
}

function advise(input: FamilyInput): readonly Finding[] {
  const { choices: c } = input;
  const lay = layOut(input);
  const findings: Finding[] = [];
  const { section } = lay.bar;
  if (section.kind === 'flat' && section.slots && lay.washer.outside < section.slots.width + 0.01) {
    findings.push({
      code: 'washerInSlot',
      severity: 'mend',
      about: 'lower-bar',
      figure: figure('length', lay.washer.outside),
      limit: figure('length', section.slots.width + 0.01),
      title: say`A washer of ${figure('length', lay.washer.outside)} hardly bridges a slot ${figure('length', section.slots.width)} wide.`,
      why: say`It dishes into the slot when the nut is pulled up.`,
      toDo: say`Take a wider, thicker washer.`,
      fixes: [],
    });
  }
  if (section.kind === 'flat' && section.slots && lay.rodDiameter > section.slots.width) {
    findings.push({
      code: 'rodInSlot',
      severity: 'stop',
      about: 'rod-left',
      figure: figure('length', lay.rodDiameter),
      limit: figure('length', section.slots.width),
      title: say`A rod of ${figure('length', lay.rodDiameter)} does not go through a slot ${figure('length', section.slots.width)} wide.`,
      why: say`The strip comes with its slots.`,
      toDo: say`Take a thinner rod.`,
      fixes: [{ label: say`M6 rods`, changes: [{ kind: 'choice', id: 'rod', value: 'rod-m6' }] }],
    });
  }
  findings.push(...tooThinToSink(input, lay));
  findings.push({
    code: 'rodLength',
    severity: 'note',
    about: 'rod-left',
    figure: figure('length', lay.rodLength),
    limit: null,
    title: say`Cut both rods ${figure('length', lay.rodLength)} long.`,
    why: say`The post of ${figure('length', input.dimensions['post']!)}, two bars, four washers, two nuts and ${figure('length', lay.beyond - NUT.of(lay.thread)!, 1)} of thread beyond each${lay.sunk > 0 ? ', less what lies in the pockets' : ''}.`,
    toDo:
      c['posts'] === 'foam'
        ? say`Both the same, or the bars are not parallel.`
        : say`Both the same; face the posts square, and recess their ends ${figure('length', 0.002)} so that the washers do not bear on end grain alone.`,
    fixes: [],
  });
  return findings;
}

export const plateAndPillar: Family = {
  id: 'plate-and-pillar',
  name: 'Plate and pillar',
  summary:
    'Two bars joined by two hand posts, camera between them, handle on top, feet to set it down. Both hands, no surprises.',
  goodFor: ['both hands', 'low from the top handle', 'setting down between takes'],
  givesUp: 'It steadies by width alone; running still shows.',
  suits: {
    carries: ['eye level', 'waist', 'low'],
    moves: ['walking', 'tight spaces', 'standing still'],
    hands: 2,
    wet: false,
    hangs: false,
  },
  goesWrong: [
    'The two rods are not the same length and the bars are not parallel.',
    'Washers sink into end grain and the posts come loose.',
    'Knuckles between post and lens.',
  ],
  dimensions,
  choices,
  size,
  build,
  advise,
  drawn: (input) => {
    const lay = layOut(input);
    const half = input.dimensions['span']! / 2;
    return [
      { dimension: 'span', from: [0, half, lay.upper], to: [0, -half, lay.upper], view: 'front', offset: 74 },
      { dimension: 'post', from: [0, half, 0], to: [0, half, lay.upper], view: 'front', offset: -62 },
      {
        dimension: 'cameraForward',
        from: [Math.min(0, input.dimensions['cameraForward']!), 0, 0],
        to: [Math.max(0, input.dimensions['cameraForward']!), 0, 0],
        view: 'side',
        offset: 96,
      },
      {
        dimension: 'foot',
        from: [-input.dimensions['foot']! / 2, 0, -lay.thickness],
        to: [input.dimensions['foot']! / 2, 0, -lay.thickness],
        view: 'side',
        offset: 56,
      },
    ];
  },
};
