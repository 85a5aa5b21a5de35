/**
 * Printed phone frame: a level plate with a clamp for the phone on it, a printed handle hung under each end by a bolt that
 * keeps it in compression, shoes above for a light or a microphone. The middle of the plate's top is the origin.
 */
import { figure, say, type Finding, type Phrase, type Vec3 } from '../../0-base';
import { massCentre, sumsOf, type PlacedLoad } from '../../1-load';
import type { Hands, Member, Node, Part, Rig, StatedConnection } from '../../model';
import type { Family, FamilyInput, Sizing } from '../family';
import {
  choiceSpec,
  lengthSpec,
  loadBox,
  named,
  namesOf,
  toFiveMillimetres,
  usualInput,
  within,
  setOn,
} from '../familyTools';
import { FLAT_WASHER, NUT } from '../hardware/sizes';
import { threadOf } from '../hardware/thread';
import { RODS } from '../parts/bars';
import {
  BEDS,
  boxFilled,
  cornerwise,
  NUT_ROOM,
  NUTS,
  pauseLayer,
  printedMaterial,
  printing,
  tubeFilled,
  type PrintSettings,
} from '../parts/printed';

const SIDES = [
  { side: 'left', other: 'right', s: 1 },
  { side: 'right', other: 'left', s: -1 },
] as const;
const PLATE_DEEP = 0.055; // fore and aft, at least
const SLIDE = 0.012; // of the phone's clamp, each way
const SLOT_EDGE = 0.011; // from the middle of its slot's end: one and a half times its width
const HANDLE_BORE = 0.0092; // round the M8 rod
const M8 = { name: 'M8' };
const SPLICE = { thick: 0.004, across: 0.015, along: 0.02 }; // its four screws from the seam's middle
const SHOE_SCREW = { diameter: 0.003, apart: 0.006, into: 0.009 };
const CLAMP_FOOT = 0.012; // depth of the thread in the phone clamp's foot

/** How far phone clamps open, m: measure yours. */
const CLAMPS: Readonly<
  Record<string, { readonly name: string; readonly opens: readonly [number, number]; readonly price: number }>
> = {
  phone: { name: 'phone clamp with 1/4-20 foot, to 95 mm', opens: [0.045, 0.095], price: 8 },
  wide: { name: 'wide clamp with 1/4-20 foot, to 200 mm', opens: [0.09, 0.2], price: 14 },
};

/** Fore and aft: the clamp's slot stays clear of both edges. */
const deepOf = ({ dimensions: d }: FamilyInput): number =>
  Math.max(PLATE_DEEP, 2 * (Math.abs(d['clampForward']!) + SLIDE + SLOT_EDGE));

const settingsOf = ({ dimensions: d, choices }: FamilyInput): PrintSettings => ({
  plastic: choices['plastic'] as PrintSettings['plastic'],
  wall: d['wall']!,
  skin: d['wall']!,
  infill: Number(choices['infill']!) / 100,
});

function build(input: FamilyInput): Rig {
  const { dimensions: d, choices } = input;
  const half = d['span']! / 2;
  const long = d['span']! + 0.05;
  const settings = settingsOf(input);
  const deep = deepOf(input);
  const plateSize: Vec3 = [deep, long, d['plate']!];
  const handle = { outerRadius: d['handleDiameter']! / 2, innerRadius: HANDLE_BORE / 2, length: d['handle']! };
  const under = -d['plate']!;
  const halves = choices['split'] === 'two';
  const bodyPlate = (id: string, y: number, width: number, name: string): Part => ({
    id,
    name,
    shape: { kind: 'box', size: [deep, width, d['plate']!] },
    at: [0, y, under / 2],
    material: 'printed-plate',
    ...(id === 'plate' ? {} : { twin: id === 'plate-left' ? 'plate-right' : 'plate-left' }),
    supply: { item: printing('plate'), packOf: 1, packPrice: 4 },
  });
  const clampTop: Vec3 = [d['clampForward']!, 0, 0.014];
  const nut = NUTS[choices['nut']!]!;
  const clamp = CLAMPS[choices['clamp']!]!;
  const parts: Part[] = [
    ...(halves
      ? [
          bodyPlate('plate-left', long / 4, long / 2, 'plate, left half'),
          bodyPlate('plate-right', -long / 4, long / 2, 'plate, right half'),
        ]
      : [bodyPlate('plate', 0, long, 'plate')]),
    ...(halves
      ? [
          {
            id: 'splice',
            name: 'splice',
            shape: { kind: 'box' as const, size: [deep, 0.07, SPLICE.thick] as Vec3 },
            at: [0, 0, under - SPLICE.thick / 2] as Vec3,
            material: 'aluminium',
            supply: { item: 'aluminium strip 55 × 4, 70 mm', packOf: 1, packPrice: 2.4, sawn: 'length' as const },
          },
        ]
      : []),
    ...SIDES.flatMap(({ side, other, s }): Part[] => [
      {
        id: `handle-${side}`,
        name: `${side} handle`,
        shape: { kind: 'tube', ...handle },
        at: [0, s * half, under - d['handle']! / 2],
        material: 'printed-handle',
        twin: `handle-${other}`,
        supply: { item: printing('handle'), packOf: 1, packPrice: 2.5 },
      },
      {
        id: `nut-${side}`,
        name: `captive nut ${nut.name}`,
        shape: { kind: 'tube', outerRadius: nut.flats * 0.53, innerRadius: nut.bolt / 2, length: nut.height },
        at: [0.018, s * (half - 0.04), -d['pocketTop']! + nut.height / 2],
        material: 'steel',
        twin: `nut-${other}`,
        supply: { item: `nut ${nut.name}`, packOf: 20, packPrice: 1.8 },
      },
    ]),
    {
      id: 'phone-clamp',
      name: 'phone clamp',
      shape: { kind: 'box', size: [0.02, 0.06, 0.014] },
      at: [d['clampForward']!, 0, 0.007],
      material: 'aluminium',
      mass: { value: 0.052, spread: 0.006, source: 'mass of phone clamp' },
      mount: clampTop,
      jaws: { axis: [0, 0, 1], opens: clamp.opens },
      supply: { item: clamp.name, packOf: 1, packPrice: clamp.price },
    },
    ...(choices['shoes'] === 'none' ? [] : shoes(choices['shoes']!, half)),
  ];
  const rod = RODS['rod-m8']!;
  // A washer, a nut and some turns beyond the handle and over the plate.
  const beyond = FLAT_WASHER.thick.of(M8)! + NUT.of(M8)! + 2 * threadOf('M8').pitch;
  const nodes: Node[] = SIDES.flatMap(({ side, other, s }) => [
    { id: `rod-${side}-low`, at: [0, s * half, under - d['handle']! - beyond] as Vec3, twin: `rod-${other}-low` },
    { id: `rod-${side}-high`, at: [0, s * half, beyond] as Vec3, twin: `rod-${other}-high` },
  ]);
  const members: Member[] = SIDES.map(({ side, other }) => ({
    id: `rod-${side}`,
    name: `${side} rod`,
    from: `rod-${side}-low`,
    to: `rod-${side}-high`,
    stock: rod,
    leftLong: 0,
    holes: [],
    path: { kind: 'straight', widthDirection: [1, 0, 0] },
    twin: `rod-${other}`,
  }));
  const plateOf = (side: string): string => (halves ? `plate-${side}` : 'plate');
  const piece = (id: string): { readonly kind: 'piece'; readonly piece: string } => ({ kind: 'piece', piece: id });
  const shoeSides = choices['shoes'] === 'none' ? [] : choices['shoes'] === 'one' ? SIDES.slice(0, 1) : SIDES;
  const connections: StatedConnection[] = [
    ...SIDES.flatMap(({ side, s }): StatedConnection[] => [
      {
        kind: 'bolted',
        id: `rod-${side}-nuts`,
        name: `${side} rod’s nuts`,
        on: `rod-${side}`,
        point: [0, s * half, under - d['handle']!],
        way: [0, 0, 1],
        thread: 'M8',
        screw: `rod-${side}`,
        stack: [piece(`handle-${side}`), piece(plateOf(side))],
        end: { kind: 'nut' },
        packs: true,
      },
      {
        kind: 'seated',
        six: true,
        id: `nut-${side}-in`,
        name: `${side} captive nut`,
        piece: `nut-${side}`,
        in: plateOf(side),
      },
    ]),
    ...(halves
      ? SIDES.flatMap(({ side, s }) =>
          ([1, -1] as const).map((e): StatedConnection => ({
            kind: 'bolted',
            id: `splice-${side}-${e > 0 ? 'front' : 'rear'}`,
            name: `${e > 0 ? 'front' : 'rear'} ${side} screw of the splice`,
            on: `plate-${side}`,
            point: [e * SPLICE.across, s * SPLICE.along, 0],
            way: [0, 0, -1],
            thread: 'M4',
            // Flush: the phone's clamp slides over it.
            head: 'sunk',
            stack: [piece(`plate-${side}`), piece('splice')],
            end: { kind: 'nut' },
          })),
        )
      : []),
    {
      kind: 'bolted',
      id: 'phone-clamp-on',
      name: 'screw of the phone clamp',
      on: 'phone-clamp',
      point: [d['clampForward']!, 0, under - (halves ? SPLICE.thick : 0)],
      way: [0, 0, 1],
      thread: '1/4-20',
      stack: halves ? [piece('splice'), piece('plate-left')] : [piece('plate')],
      // On the seam: half its slot is in each.
      ...(halves ? { inside: ['plate-right'] } : {}),
      end: { kind: 'tapped', piece: 'phone-clamp', depth: CLAMP_FOOT, in: 'aluminium' },
      packs: true,
    },
    ...shoeSides.flatMap(({ side, s }) =>
      ([1, -1] as const).map((e): StatedConnection => ({
        kind: 'screwedIn',
        id: `shoe-${side}-${e > 0 ? 'front' : 'rear'}`,
        name: `${e > 0 ? 'front' : 'rear'} screw of the ${side} shoe`,
        point: [e * SHOE_SCREW.apart, s * (half - 0.02), 0.006],
        way: [0, 0, -1],
        diameter: SHOE_SCREW.diameter,
        length: 0.006 + Math.min(SHOE_SCREW.into, Math.floor((d['plate']! - 0.001) * 1000) / 1000),
        through: `shoe-${side}`,
        into: plateOf(side),
      })),
    ),
  ];
  return {
    bodies: [{ id: 'frame', name: 'frame', nodes, members, joints: [], parts, stations: [], connections }],
    pivots: [],
    contacts: SIDES.map(({ side, s }) => ({
      id: `${side}-hand`,
      name: `${side} hand`,
      kind: 'hand',
      body: 'frame',
      at: [0, s * half, under - d['handle']! / 2],
      direction: [0, 0, 1],
    })),
    poses: [
      { id: 'both-hands', name: 'Both hands on the handles', contacts: ['left-hand', 'right-hand'], arm: 0.3 },
      { id: 'one-hand', name: 'One hand, the other pulls focus', contacts: ['right-hand'], arm: 0.3 },
    ],
    adjusters: [
      {
        id: 'clamp-fore-aft',
        name: 'Clamp, fore and aft',
        kind: 'slide',
        axis: [1, 0, 0],
        range: [-SLIDE, SLIDE],
        step: 0.0005,
        value: 0,
        moves: [{ kind: 'part', id: 'phone-clamp' }],
      },
    ],
    materials: {
      'printed-plate': printedMaterial('printed plate', boxFilled(plateSize, settings), settings),
      'printed-handle': printedMaterial('printed handle', tubeFilled(handle, settings), settings),
    },
  };
}

function shoes(which: string, half: number): readonly Part[] {
  const shoe = (id: string, side: string, y: number, other: string): Part => ({
    id,
    name: 'shoe',
    shape: { kind: 'box', size: [0.02, 0.02, 0.006] },
    at: [0, y, 0.003],
    material: 'aluminium',
    mass: { value: 0.009, spread: 0.001, source: 'mass of shoe' },
    takes: [{ id: `${id}/top`, name: `${side} shoe`, at: [0, y, 0.006], up: [0, 0, 1], kind: 'shoe' }],
    ...(other ? { twin: other } : {}),
    supply: { item: 'shoe, screw-on', packOf: 2, packPrice: 4 },
  });
  return which === 'one'
    ? [shoe('shoe-left', 'left', half - 0.02, '')]
    : [shoe('shoe-left', 'left', half - 0.02, 'shoe-right'), shoe('shoe-right', 'right', 0.02 - half, 'shoe-left')];
}

const dimensions = [
  lengthSpec('span', 'Handle to handle', 'handle-left', 0.24, 0.14, 0.36, 'Between the middles of the two handles.'),
  lengthSpec('plate', 'Plate thickness', 'plate', 0.012, 0.006, 0.03, 'Printed flat on the bed, top side down.'),
  lengthSpec(
    'handle',
    'Handle length',
    'handle-left',
    0.115,
    0.07,
    0.18,
    'Printed standing; the rod through it holds it in compression.',
  ),
  lengthSpec('handleDiameter', 'Handle diameter', 'handle-left', 0.032, 0.022, 0.045, 'Where the hand closes.'),
  setOn(
    'clamp-fore-aft',
    lengthSpec(
      'clampForward',
      'Clamp ahead of the handles',
      'phone-clamp',
      0,
      -0.02,
      0.02,
      'Middle of the clamp from the line of the handles.',
    ),
  ),
  lengthSpec(
    'wall',
    'Walls and skins',
    'plate',
    0.0016,
    0.0004,
    0.006,
    'All outlines together, on each side; the closed layers above and below the same.',
  ),
  lengthSpec('layer', 'Layer height', 'plate', 0.0002, 0.00008, 0.0004, 'As set in the slicer.'),
  lengthSpec(
    'pocketTop',
    'Top of the nut pocket above the bed',
    'nut-left',
    0.008,
    0.003,
    0.028,
    'Where the next layer would close over the nut.',
  ),
  lengthSpec(
    'pocketFlats',
    'Nut pocket, across flats',
    'nut-left',
    0.0082,
    0.006,
    0.014,
    'As drawn; a hot plastic shrinks a little into it.',
  ),
];
const choices = [
  choiceSpec(
    'plastic',
    'Plastic',
    'Soft when hot: not on a dashboard in the sun.',
    'petg',
    named({ petg: 'PETG', pla: 'PLA' }),
  ),
  choiceSpec(
    'infill',
    'Infill',
    'Of the inside.',
    '25',
    named({ 10: '10 %', 15: '15 %', 25: '25 %', 40: '40 %', 60: '60 %', 100: 'solid' }),
  ),
  choiceSpec('bed', 'Printer bed', 'Square, usable side.', '220', namesOf(BEDS)),
  choiceSpec(
    'split',
    'Plate',
    'In one piece, or two with a splice.',
    'one',
    named({ one: 'in one piece', two: 'in two halves, spliced' }),
  ),
  choiceSpec('nut', 'Captive nuts', 'For what is bolted on later.', 'm5', namesOf(NUTS)),
  choiceSpec('clamp', 'Clamp', 'Measure your phone across, in its case.', 'phone', namesOf(CLAMPS)),
  choiceSpec(
    'shoes',
    'Shoes',
    'For light or microphone.',
    'two',
    named({ two: 'one each side', one: 'one, left', none: 'none' }),
  ),
];

function size(load: PlacedLoad | null, hands: Hands): Sizing {
  const usual = usualInput(dimensions, choices);
  const box = loadBox(load);
  const wide = Math.max(-box.low[1], box.high[1]);
  const handleDiameter = Math.round(within(hands.breadth * 0.37, 0.022, 0.045) * 1000) / 1000;
  const span = toFiveMillimetres(within(2 * wide + handleDiameter + 0.05, 0.14, 0.36));
  const handle = toFiveMillimetres(within(hands.breadth + 0.025, 0.07, 0.18));
  const centre = load && load.bodies.length > 0 ? massCentre(sumsOf(load.bodies))[0] : 0;
  const clampForward = Math.round(within(0 - centre, -0.02, 0.02) * 1000) / 1000 + 0;
  const split = fitsBed(span + 0.05, BEDS[usual.choices['bed']!]!.side) ? 'one' : 'two';
  const reasons: Phrase[] = [
    say`Handles ${figure('length', span)} apart leave your thumbs beside a phone ${figure('length', 2 * wide)} wide.`,
    say`Handles ${figure('length', handle)} long and ${figure('length', handleDiameter)} thick fit a hand ${figure('length', hands.breadth)} across.`,
    split === 'one'
      ? say`The plate, ${figure('length', span + 0.05)} long, goes on the bed in one piece.`
      : say`The plate, ${figure('length', span + 0.05)} long, is printed in two halves with a splice.`,
  ];
  return {
    choices: { ...usual.choices, split },
    dimensions: { ...usual.dimensions, span, handle, handleDiameter, clampForward },
    reasons,
    startValues: {},
  };
}

const fitsBed = (long: number, bed: number): boolean => long <= bed || cornerwise(long, PLATE_DEEP) <= bed;

function advise(input: FamilyInput): readonly Finding[] {
  const { dimensions: d, choices: c } = input;
  const findings: Finding[] = [];
  const nut = NUTS[c['nut']!]!;
  const layer = pauseLayer(d['pocketTop']!, d['layer']!);
  const bed = BEDS[c['bed']!]!;
  const long = (d['span']! + 0.05) / (c['split'] === 'two' ? 2 : 1);
  if (!fitsBed(long, bed.side)) {
    findings.push({
      code: 'doesNotFitBed',
      severity: 'stop',
      about: c['split'] === 'two' ? 'plate-left' : 'plate',
      figure: figure('length', long),
      limit: figure('length', bed.side),
      title: say`A plate ${figure('length', long)} long does not go on a bed of ${figure('length', bed.side)}.`,
      why: say`Cornerwise it would need ${figure('length', cornerwise(long, PLATE_DEEP))}.`,
      toDo: say`Print it in two halves, split in the middle where the bending is taken by a splice, or bring the handles nearer.`,
      fixes:
        c['split'] === 'one' && fitsBed(long / 2, bed.side)
          ? [{ label: say`Two halves with a splice`, changes: [{ kind: 'choice', id: 'split', value: 'two' }] }]
          : [],
    });
  }
  const tight = nut.flats + NUT_ROOM;
  if (d['pocketFlats']! < nut.flats) {
    findings.push({
      code: 'nutDoesNotFit',
      severity: 'stop',
      about: 'nut-left',
      figure: figure('length', d['pocketFlats']!, 1),
      limit: figure('length', tight, 1),
      title: say`A nut ${nut.name} does not go into a pocket of ${figure('length', d['pocketFlats']!, 1)}.`,
      why: say`It is ${figure('length', nut.flats, 1)} across its flats.`,
      toDo: say`Draw the pocket ${figure('length', tight, 1)}, or take a smaller nut.`,
      fixes: [
        {
          label: say`Pocket of ${figure('length', tight, 1)}`,
          changes: [{ kind: 'dimension', id: 'pocketFlats', value: tight }],
        },
      ],
    });
  } else if (d['pocketFlats']! > nut.flats * 1.1) {
    findings.push({
      code: 'nutSpins',
      severity: 'mend',
      about: 'nut-left',
      figure: figure('length', d['pocketFlats']!, 1),
      limit: figure('length', tight, 1),
      title: say`A nut ${nut.name} spins in a pocket of ${figure('length', d['pocketFlats']!, 1)}.`,
      why: say`It is ${figure('length', nut.flats, 1)} across its flats.`,
      toDo: say`Draw the pocket ${figure('length', tight, 1)}.`,
      fixes: [
        {
          label: say`Pocket of ${figure('length', tight, 1)}`,
          changes: [{ kind: 'dimension', id: 'pocketFlats', value: tight }],
        },
      ],
    });
  }
  const roof = d['plate']! - d['pocketTop']!;
  if (d['pocketTop']! < nut.height + 2 * d['layer']! || roof < 3 * d['layer']!) {
    const top = Math.min(
      d['plate']! - 3 * d['layer']!,
      Math.max(nut.height + 5 * d['layer']!, d['plate']! / 2 + nut.height / 2),
    );
    findings.push({
      code: 'pocketShallow',
      severity: 'stop',
      about: 'nut-left',
      figure: figure('length', d['pocketTop']!, 1),
      limit: figure('length', nut.height, 1),
      title:
        roof < 3 * d['layer']!
          ? say`The pocket ends ${figure('length', Math.max(0, roof), 1)} under the plate’s face: too thin to close over.`
          : say`The pocket’s top, ${figure('length', d['pocketTop']!, 1)} above the bed, leaves no floor under a nut ${figure('length', nut.height, 1)} high.`,
      why: say`A nut needs its height, two layers under it and three above.`,
      toDo: say`Thicken the plate, move the pocket, or take a smaller nut.`,
      fixes:
        top > nut.height + 2 * d['layer']!
          ? [
              {
                label: say`Pocket’s top at ${figure('length', top, 1)}`,
                changes: [{ kind: 'dimension', id: 'pocketTop', value: top }],
              },
            ]
          : [],
    });
  }
  findings.push({
    code: 'pauseLayer',
    severity: 'note',
    about: 'nut-left',
    figure: figure('count', layer),
    limit: null,
    title: say`Pause the plate’s print after layer ${figure('count', layer)} and drop the nuts in.`,
    why: say`The pockets end ${figure('length', d['pocketTop']!, 1)} above the bed; layers are ${figure('length', d['layer']!, 2)}. One layer later they are closed.`,
    toDo: say`Have the nuts cleaned and at hand: a cold print lets go of its bed. A drop of glue keeps them down.`,
    fixes: [],
  });
  return findings;
}

export const printedPhoneFrame: Family = {
  id: 'printed-phone-frame',
  name: 'Printed phone frame',
  summary:
    'A printed plate with a phone clamp, a printed handle under each end held by a rod in compression, shoes for light and microphone.',
  goodFor: ['a phone with light and microphone', 'both hands', 'cheap, if you have a printer'],
  givesUp: 'Plastic creeps and softens in the sun; layers part where a handle is bent instead of pressed.',
  suits: {
    carries: ['eye level', 'waist', 'low'],
    moves: ['walking', 'tight spaces', 'standing still'],
    hands: 2,
    wet: true,
    hangs: false,
    loadAtMost: 0.6,
  },
  goesWrong: [
    'The pause comes a layer late and the pocket is closed.',
    'The handle snaps between two layers: no rod through it.',
    'Left in a hot car, the plate sags.',
  ],
  dimensions,
  choices,
  size,
  build,
  advise,
  drawn: ({ dimensions: d }) => [
    {
      dimension: 'span',
      from: [0, d['span']! / 2, -d['plate']! - d['handle']!],
      to: [0, -d['span']! / 2, -d['plate']! - d['handle']!],
      view: 'front',
      offset: 56,
    },
    {
      dimension: 'handle',
      from: [0, d['span']! / 2, -d['plate']!],
      to: [0, d['span']! / 2, -d['plate']! - d['handle']!],
      view: 'front',
      offset: -64,
    },
  ],
};
