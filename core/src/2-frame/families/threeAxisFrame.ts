/**
 * Three-axis passive frame: a tilt cradle inside a roll arm inside a pan arm, each on its own bearings, all axes through one
 * point. That point is the origin; the hand holds the grip above it.
 */
import { add, addScaled, figure, say, scale, type Finding, type Phrase, type Vec3 } from '../../0-base';
import { massCentre, sumsOf, type PlacedLoad } from '../../1-load';
import type { Adjuster, Hands, Member, Part, Rig, StatedConnection } from '../../model';
import type { Family, FamilyInput, Sizing } from '../family';
import {
  choiceSpec,
  lengthSpec,
  loadBox,
  named,
  toFiveMillimetres,
  usualInput,
  weighed,
  within,
  zeroOf,
  type Held,
  setOn,
} from '../familyTools';
import { barOf, barOptions, ROUND_TUBES, SQUARE_TUBES } from '../parts/bars';
import { endCap, foamGrip } from '../parts/hardware';
import { intoCamera } from '../parts/camera';
import { plate } from '../parts/plate';
import { ANY_TUBE } from '../parts/ownSizes';
import { NUT } from '../hardware/sizes';
import { threadOf } from '../hardware/thread';

const CHEEK = 0.006; // thick, the cradle's two sides
const CHEEK_WIDE = 0.07;
const CHEEK_BELOW = 0.05; // of the camera's plate: its slots let the plate up and down
const GAP = 0.012; // between a cheek and the arm's tube, for the bearing
const AXLE = 'M6';
const PAST_AXLE = 0.026; // of a tube, so that its end cap stays clear of the bearing's flange
const BLOCK = { length: 0.04, wall: 0.012, beside: 0.008 }; // clamped on the pan arm's top, under the grip
const ROLL_PLATE = { thick: 0.006, wide: 0.09, tall: 0.07, screws: 0.03, off: 0.022 }; // upright, its slot over the roll axle
const ANGLE = { thick: 0.003, deep: 0.025, tall: 0.02, long: 0.06, screws: 0.02 }; // under the plate, on each cheek
const PLATE = 0.006;
const PAD = 0.0015;
const GUSSET = { side: 0.06, thick: 0.003, screw: 0.025, edge: 0.00825, least: 0.009, clear: 0.002 };
const TRAVEL = { foreAft: 0.04, height: 0.02, side: 0.012, arm: 0.02, pan: 0.08 };
const BEARINGS: Readonly<Record<string, { readonly name: string; readonly friction: number; readonly price: number }>> =
  {
    plain: { name: 'plain bushes', friction: 0.02, price: 2 },
    ball: { name: 'ball bearings', friction: 0.005, price: 3.5 },
    sealed: { name: 'sealed ball bearings', friction: 0.009, price: 4 },
  };
const outsideOf = (stock: Member['stock']): number =>
  stock.section.kind === 'tube'
    ? stock.section.outerDiameter
    : stock.section.kind === 'square'
      ? stock.section.width
      : 0.02;

function layOut({ dimensions: d, choices, own }: FamilyInput) {
  const stock = barOf(choices['tube']!, own);
  const outside = outsideOf(stock);
  const half = d['width']! / 2;
  const arm = half + CHEEK + GAP + outside / 2;
  // Behind the roll arm's back: spacers and nut, the slotted plate, the bearing, and the upright.
  const rollAt = -d['reach']! - outside - ROLL_PLATE.off - ROLL_PLATE.thick - GAP;
  const grip = d['high']! + outside / 2 + BLOCK.wall + GAP;
  const isSquare = stock.section.kind === 'square';
  return { stock, outside, isSquare, half, arm, rollAt, grip, high: d['high']! };
}

function build(input: FamilyInput): Rig {
  const { dimensions: d, choices } = input;
  const lay = layOut(input);
  const bearing = BEARINGS[choices['bearings']!]!;
  const straight = (id: string, name: string, from: string, to: string, twin?: string): Member => ({
    id,
    name,
    from,
    to,
    stock: lay.stock,
    leftLong: 0,
    holes: [],
    path: { kind: 'straight', widthDirection: id === 'drop' ? [0, 1, 0] : [0, 0, 1] },
    ...(twin ? { twin } : {}),
  });
  const hub = (id: string, name: string, at: Vec3, axis: 'x' | 'y' | 'z', twin?: string): Part => ({
    id,
    name,
    shape: { kind: 'tube', outerRadius: 0.011, innerRadius: 0.003, length: GAP },
    at,
    turn:
      axis === 'x'
        ? [Math.SQRT1_2, 0, Math.SQRT1_2, 0]
        : axis === 'y'
          ? [Math.SQRT1_2, Math.SQRT1_2, 0, 0]
          : [1, 0, 0, 0],
    material: 'steel',
    mass: { value: 0.014, spread: 0.002, source: 'mass of bearing' },
    ...(twin ? { twin } : {}),
    supply: { item: `${bearing.name} for M6, a pair in its flange`, packOf: 1, packPrice: bearing.price },
  });
  const tall = d['drop']! + 0.012 + CHEEK_BELOW;
  const cheek = (id: string, s: number, twin: string): Part => ({
    id,
    name: s > 0 ? 'left cheek' : 'right cheek',
    shape: { kind: 'box', size: [CHEEK_WIDE, CHEEK, tall] },
    at: [0, s * (lay.half + CHEEK / 2), 0.012 - tall / 2],
    material: 'birchPly',
    twin,
    supply: { item: 'plywood 6 mm, offcut', packOf: 2, packPrice: 1.5, sawn: 'sheet' },
  });
  const glued = choices['joined'] === 'glued';
  // A corner is glued, or held between two plates by a bolt through each tube.
  const corner = (
    id: string,
    name: string,
    at: Vec3,
    flat: 'y' | 'z',
    tubes: readonly (readonly [tube: string, along: Vec3])[],
  ): Held => {
    if (glued)
      return {
        parts: [],
        connections: [
          {
            kind: 'bonded',
            id: `${id}-joint`,
            name,
            piece: tubes[1]![0],
            to: tubes[0]![0],
            glue: 'epoxy',
            // The lashing goes round each tube for as far as it is thick, and is soaked.
            area: 2 * Math.PI * lay.outside ** 2,
            lashed: true,
          },
        ],
      };
    const normal: Vec3 = flat === 'y' ? [0, 1, 0] : [0, 0, 1];
    // Those of the roll arm end behind the camera's plate, which tilts between them.
    const room = flat === 'y' ? Infinity : d['reach']! + lay.outside / 2 + plateEnds(d)[0] - GUSSET.clear;
    const least = lay.outside + GUSSET.least + GUSSET.edge;
    const wide = Math.min(GUSSET.side, Math.max(least, room));
    const screw = Math.min(GUSSET.screw, wide - lay.outside / 2 - GUSSET.edge);
    const middle = addScaled(at, add(tubes[0]![1], tubes[1]![1]), wide / 2 - lay.outside / 2);
    const side = (end: 1 | -1): string => `${id}-plate-${end > 0 ? 1 : 2}`;
    return {
      parts: ([1, -1] as const).map((end) =>
        plate({
          id: side(end),
          name: `${end > 0 ? 'first' : 'second'} plate of the ${name}`,
          middle: addScaled(middle, normal, end * (lay.outside / 2 + GUSSET.thick / 2)),
          size: flat === 'y' ? [wide, GUSSET.thick, wide] : [wide, wide, GUSSET.thick],
          material: 'aluminium',
          supply: {
            item: `aluminium plate ${Math.round(wide * 1000)} × ${Math.round(wide * 1000)} × 3`,
            packOf: 1,
            packPrice: 1.6,
            sawn: 'sheet',
          },
        }),
      ),
      connections: tubes.map(([tube, along], i): StatedConnection => ({
        kind: 'bolted',
        id: `${id}-bolt-${i + 1}`,
        name: `${i === 0 ? 'first' : 'second'} bolt of the ${name}`,
        on: tube,
        point: addScaled(addScaled(at, along, screw), normal, lay.outside / 2 + GUSSET.thick),
        way: scale(normal, -1),
        thread: 'M5',
        stack: [side(1), tube, side(-1)].map((p) => ({ kind: 'piece' as const, piece: p })),
        end: { kind: 'nut' },
        packs: true,
      })),
    };
  };
  const corners = {
    pan: corner('pan-corner', 'pan arm’s corner', [lay.rollAt, 0, lay.high], 'y', [
      ['drop', [0, 0, -1]],
      ['top', [1, 0, 0]],
    ]),
    left: corner('rear-left', 'left rear corner', [-d['reach']!, lay.arm, 0], 'z', [
      ['arm-left', [1, 0, 0]],
      ['back', [0, -1, 0]],
    ]),
    right: corner('rear-right', 'right rear corner', [-d['reach']!, -lay.arm, 0], 'z', [
      ['arm-right', [1, 0, 0]],
      ['back', [0, 1, 0]],
    ]),
  };
  const cradle = cradleOn(input, lay);
  const piece = (id: string, wall?: 'near') => ({ kind: 'piece' as const, piece: id, ...(wall ? { wall } : {}) });
  // The block stays on the arm at both ends of its slide.
  const panFront = TRAVEL.pan + BLOCK.length / 2 + 0.02;
  const rollPlateAt = -d['reach']! - lay.outside / 2 - ROLL_PLATE.off - ROLL_PLATE.thick / 2;
  const slide = (id: string, name: string, axis: Vec3, range: number, moves: Adjuster['moves']): Adjuster => ({
    id,
    name,
    kind: 'slide',
    axis,
    range: [-range, range],
    step: 0.0005,
    value: 0,
    moves: [...moves],
  });
  const body = (id: string) => ({ kind: 'body' as const, id });
  const pivot = (id: string) => ({ kind: 'pivot' as const, id });
  const part = (id: string) => ({ kind: 'part' as const, id });
  const friction = {
    value: bearing.friction,
    spread: 0.4 * bearing.friction,
    source: `friction of ${bearing.name}, a guess: measure yours`,
  };
  return {
    bodies: [
      {
        id: 'grip-body',
        name: 'grip',
        nodes: [],
        members: [],
        joints: [],
        stations: [],
        parts: [
          {
            ...foamGrip({
              id: 'grip',
              at: [0, 0, lay.grip + d['gripLength']! / 2],
              axis: [0, 0, 1],
              length: d['gripLength']!,
              inside: 0.022,
            }),
          },
          {
            id: 'grip-sleeve',
            name: 'grip’s sleeve',
            shape: { kind: 'tube', outerRadius: 0.011, innerRadius: 0.0035, length: d['gripLength']! },
            at: [0, 0, lay.grip + d['gripLength']! / 2],
            material: 'pvc',
            supply: {
              item: `plastic rod 22 bored 7, ${Math.round(d['gripLength']! * 1000)} mm`,
              packOf: 1,
              packPrice: 2,
            },
          },
        ],
        connections: [
          { kind: 'slidOn', id: 'grip-on', name: 'grip on its sleeve', piece: 'grip', over: 'grip-sleeve' },
          {
            kind: 'bolted',
            id: 'pan-axle',
            name: 'pan axle',
            on: 'grip-sleeve',
            point: [0, 0, lay.high + lay.outside / 2],
            way: [0, 0, 1],
            thread: AXLE,
            rod: true,
            // Nut and end of thread lie in the block, clear of the tube.
            recess: NUT.of({ name: AXLE })! + 2 * threadOf(AXLE).pitch + 0.0002,
            held: true,
            stack: [piece('pan-block', 'near'), piece('pan-bearing'), piece('grip-sleeve')],
            end: { kind: 'lock' },
          },
        ],
      },
      {
        id: 'pan-arm',
        name: 'pan arm',
        nodes: [
          { id: 'roll-hub', at: [lay.rollAt, 0, -PAST_AXLE] },
          { id: 'pan-corner', at: [lay.rollAt, 0, lay.high] },
          { id: 'pan-top', at: [panFront, 0, lay.high] },
        ],
        members: [
          straight('drop', 'pan arm, upright', 'roll-hub', 'pan-corner'),
          straight('top', 'pan arm, top', 'pan-corner', 'pan-top'),
        ],
        joints: [],
        parts: [
          {
            id: 'pan-block',
            name: 'pan block',
            shape: {
              kind: 'box',
              size: [BLOCK.length, lay.outside + 2 * BLOCK.beside, lay.outside + 2 * BLOCK.wall],
              bore: [lay.outside, lay.outside],
            },
            at: [0, 0, lay.high],
            material: 'aluminium',
            mass: { value: 0.055, spread: 0.006, source: 'mass of pan block' },
            supply: { item: 'split clamp block, bored to the tube', packOf: 1, packPrice: 8 },
          },
          ...corners.pan.parts,
          hub('pan-bearing', 'pan bearing', [0, 0, lay.high + lay.outside / 2 + BLOCK.wall + GAP / 2], 'z'),
          hub('roll-bearing', 'roll bearing', [lay.rollAt + lay.outside / 2 + GAP / 2, 0, 0], 'x'),
          endCap({
            id: 'pan-cap',
            at: [panFront, 0, lay.high],
            axis: [1, 0, 0],
            across: lay.outside,
            square: lay.isSquare,
          }),
          endCap({
            id: 'drop-cap',
            at: [lay.rollAt, 0, -PAST_AXLE],
            axis: [0, 0, -1],
            across: lay.outside,
            square: lay.isSquare,
          }),
        ],
        stations: [],
        connections: [
          ...corners.pan.connections,
          { kind: 'clamped', id: 'pan-block-on', name: 'pan block on the arm', piece: 'pan-block', on: 'top' },
          { kind: 'slidOn', id: 'pan-cap-on', name: 'cap on the pan arm', piece: 'pan-cap', over: 'top' },
          { kind: 'slidOn', id: 'drop-cap-on', name: 'cap on the upright', piece: 'drop-cap', over: 'drop' },
          {
            kind: 'bolted',
            id: 'roll-axle',
            name: 'roll axle',
            on: 'drop',
            point: [lay.rollAt - lay.outside / 2, 0, 0],
            way: [1, 0, 0],
            thread: AXLE,
            stack: [piece('drop'), piece('roll-bearing'), piece('roll-plate')],
            end: { kind: 'lock' },
          },
        ],
      },
      {
        id: 'roll-arm',
        name: 'roll arm',
        nodes: [
          { id: 'left-front', at: [PAST_AXLE, lay.arm, 0], twin: 'right-front' },
          { id: 'left-rear', at: [-d['reach']!, lay.arm, 0], twin: 'right-rear' },
          { id: 'right-rear', at: [-d['reach']!, -lay.arm, 0], twin: 'left-rear' },
          { id: 'right-front', at: [PAST_AXLE, -lay.arm, 0], twin: 'left-front' },
        ],
        members: [
          straight('arm-left', 'roll arm, left', 'left-rear', 'left-front', 'arm-right'),
          straight('back', 'roll arm, back', 'left-rear', 'right-rear'),
          straight('arm-right', 'roll arm, right', 'right-rear', 'right-front', 'arm-left'),
        ],
        joints: [],
        parts: [
          ...corners.left.parts,
          ...corners.right.parts,
          plate({
            id: 'roll-plate',
            name: 'slotted roll plate',
            middle: [rollPlateAt, 0, 0],
            size: [ROLL_PLATE.thick, ROLL_PLATE.wide, ROLL_PLATE.tall],
            material: 'aluminium',
            supply: { item: 'aluminium plate 90 × 70 × 6', packOf: 1, packPrice: 4.5, sawn: 'sheet' },
          }),
          hub('tilt-bearing-left', 'tilt bearing', [0, lay.half + CHEEK + GAP / 2, 0], 'y', 'tilt-bearing-right'),
          hub('tilt-bearing-right', 'tilt bearing', [0, -lay.half - CHEEK - GAP / 2, 0], 'y', 'tilt-bearing-left'),
          endCap({
            id: 'left-cap',
            at: [PAST_AXLE, lay.arm, 0],
            axis: [1, 0, 0],
            across: lay.outside,
            square: lay.isSquare,
            twin: 'right-cap',
          }),
          endCap({
            id: 'right-cap',
            at: [PAST_AXLE, -lay.arm, 0],
            axis: [1, 0, 0],
            across: lay.outside,
            square: lay.isSquare,
            twin: 'left-cap',
          }),
        ],
        stations: [],
        connections: [
          ...corners.left.connections,
          ...corners.right.connections,
          ...([1, -1] as const).map((s): StatedConnection => ({
            kind: 'bolted',
            id: `roll-plate-${s > 0 ? 'left' : 'right'}`,
            name: `${s > 0 ? 'left' : 'right'} bolt of the roll plate`,
            on: 'back',
            point: [-d['reach']! + lay.outside / 2, s * ROLL_PLATE.screws, 0],
            way: [-1, 0, 0],
            thread: 'M5',
            stack: [piece('back'), { kind: 'spacer', length: ROLL_PLATE.off }, piece('roll-plate')],
            end: { kind: 'nut' },
          })),
          { kind: 'slidOn', id: 'left-cap-on', name: 'cap on the left arm', piece: 'left-cap', over: 'arm-left' },
          { kind: 'slidOn', id: 'right-cap-on', name: 'cap on the right arm', piece: 'right-cap', over: 'arm-right' },
        ],
      },
      {
        id: 'cradle',
        name: 'tilt cradle',
        nodes: [],
        members: [],
        joints: [],
        stations: [],
        parts: [...cradle.parts, cheek('cheek-left', 1, 'cheek-right'), cheek('cheek-right', -1, 'cheek-left')],
        connections: [...cradle.connections],
      },
    ],
    pivots: [
      {
        id: 'pan',
        name: 'pan axis',
        kind: 'hinge',
        at: [0, 0, lay.high],
        axis: [0, 0, 1],
        heldBy: 'grip-body',
        carries: 'pan-arm',
        frictionTorque: friction,
      },
      {
        id: 'roll',
        name: 'roll axis',
        kind: 'hinge',
        at: [lay.rollAt, 0, 0],
        axis: [1, 0, 0],
        heldBy: 'pan-arm',
        carries: 'roll-arm',
        frictionTorque: friction,
      },
      {
        id: 'tilt',
        name: 'tilt axis',
        kind: 'hinge',
        at: [0, 0, 0],
        axis: [0, 1, 0],
        heldBy: 'roll-arm',
        carries: 'cradle',
        frictionTorque: friction,
        stops: [-Math.PI / 2, Math.PI / 2],
      },
    ],
    contacts: [
      {
        id: 'hand-on-grip',
        name: 'hand',
        kind: 'hand',
        body: 'grip-body',
        at: [0, 0, lay.grip + d['gripLength']! / 2],
        direction: [0, 0, 1],
      },
    ],
    poses: [
      { id: 'low', name: 'Carried low, arm hanging', contacts: ['hand-on-grip'], arm: 0.12 },
      { id: 'waist', name: 'Before the chest, arm bent', contacts: ['hand-on-grip'], arm: 0.3 },
    ],
    adjusters: [
      slide('camera-fore-aft', 'Camera, fore and aft', [1, 0, 0], TRAVEL.foreAft, [
        part('camera-plate'),
        part('camera-pad'),
      ]),
      slide('camera-height', 'Camera, up and down', [0, 0, 1], TRAVEL.height, [
        part('camera-plate'),
        part('camera-pad'),
        ...['angle-left', 'angle-right', 'angle-left-foot', 'angle-right-foot'].map(part),
      ]),
      slide('camera-side', 'Camera, side to side', [0, 1, 0], TRAVEL.side, [part('camera-pad')]),
      slide('arm-height', 'Roll arm, up and down', [0, 0, 1], TRAVEL.arm, [
        body('cradle'),
        body('roll-arm'),
        pivot('tilt'),
      ]),
      // The block and its bearing stay under the grip: the arm slides through it.
      slide('pan-fore-aft', 'Pan arm, fore and aft', [1, 0, 0], TRAVEL.pan, [
        body('cradle'),
        body('roll-arm'),
        { kind: 'member', id: 'drop' },
        { kind: 'member', id: 'top' },
        ...['pan-cap', 'drop-cap', 'roll-bearing', ...corners.pan.parts.map((p) => p.id)].map(part),
        pivot('tilt'),
        pivot('roll'),
      ]),
    ],
  };
}

/** Of the camera's plate, behind and ahead of the tilt axis: under its slots, and under the camera's screw. */
function plateEnds({ cameraForward }: FamilyInput['dimensions']): readonly [number, number] {
  const reach = TRAVEL.foreAft + 0.015;
  return [Math.min(-reach, cameraForward! - 0.03), Math.max(reach, cameraForward! + 0.03)];
}

/** The camera's plate on two angles, the angles in slots of the cheeks, the axles through cheek, bearing and arm. */
function cradleOn({ dimensions: d }: FamilyInput, { half }: ReturnType<typeof layOut>): Held {
  const ahead = d['cameraForward']!;
  const top = -d['drop']!;
  const under = top - PLATE;
  const [rear, front] = plateEnds(d);
  const sides = [
    ['left', 1],
    ['right', -1],
  ] as const;
  const piece = (id: string): { readonly kind: 'piece'; readonly piece: string } => ({ kind: 'piece', piece: id });
  return {
    parts: [
      plate({
        id: 'camera-plate',
        name: 'camera plate',
        middle: [(rear + front) / 2, 0, top - PLATE / 2],
        size: [front - rear, 2 * (half - ANGLE.thick) - 0.001, PLATE],
        material: 'birchPly',
        supply: { item: 'plywood 6 mm, offcut', packOf: 2, packPrice: 1.5, sawn: 'sheet' },
      }),
      {
        id: 'camera-pad',
        name: 'rubber pad under the camera',
        shape: { kind: 'box', size: [0.04, 0.03, PAD] },
        at: [ahead, 0, top + PAD / 2],
        material: 'rubberFoam',
        mount: [ahead, 0, top + PAD],
        supply: { item: 'rubber sheet, a hand wide', packOf: 4, packPrice: 3, sawn: 'sheet' },
      },
      ...sides.flatMap(([side, s]): Part[] => [
        {
          id: `angle-${side}`,
          name: `${side} angle`,
          shape: { kind: 'box', size: [ANGLE.long, ANGLE.thick, ANGLE.tall] },
          at: [0, s * (half - ANGLE.thick / 2), under - ANGLE.thick - ANGLE.tall / 2],
          material: 'aluminium',
          twin: `angle-${side === 'left' ? 'right' : 'left'}`,
          supply: { item: 'aluminium angle 30 × 25 × 3, 60 mm', packOf: 1, packPrice: 1.4, sawn: 'length' },
        },
        {
          id: `angle-${side}-foot`,
          name: `${side} angle`,
          of: `angle-${side}`,
          shape: { kind: 'box', size: [ANGLE.long, ANGLE.deep, ANGLE.thick] },
          at: [0, s * (half - ANGLE.deep / 2), under - ANGLE.thick / 2],
          material: 'aluminium',
          twin: `angle-${side === 'left' ? 'right' : 'left'}-foot`,
        },
      ]),
    ],
    connections: [
      ...sides.flatMap(([side, s]): StatedConnection[] => [
        ...([1, -1] as const).map((e): StatedConnection => ({
          kind: 'bolted',
          id: `angle-${side}-${e > 0 ? 'front' : 'rear'}`,
          name: `${e > 0 ? 'front' : 'rear'} bolt of the ${side} angle`,
          on: `angle-${side}`,
          point: [e * ANGLE.screws, s * (half + CHEEK), under - ANGLE.thick - ANGLE.tall / 2],
          way: [0, -s, 0],
          thread: 'M5',
          stack: [piece(`cheek-${side}`), piece(`angle-${side}`)],
          end: { kind: 'nut' },
        })),
        {
          kind: 'bolted',
          id: `plate-${side}`,
          name: `${side} bolt of the camera plate`,
          on: `angle-${side}`,
          point: [0, s * (half - ANGLE.deep + 0.009), top],
          way: [0, 0, -1],
          thread: 'M5',
          head: 'sunk',
          stack: [piece('camera-plate'), piece(`angle-${side}`)],
          end: { kind: 'nut' },
        },
        {
          kind: 'bolted',
          id: `tilt-axle-${side}`,
          name: `${side} tilt axle`,
          on: `cheek-${side}`,
          point: [0, s * half, 0],
          way: [0, s, 0],
          thread: AXLE,
          // Flush beside the camera.
          head: 'sunk',
          stack: [piece(`cheek-${side}`), piece(`tilt-bearing-${side}`), piece(`arm-${side}`)],
          end: { kind: 'lock' },
        },
      ]),
      intoCamera({
        on: 'camera-pad',
        point: [ahead, 0, under],

        washer: 'flat',
        stack: [piece('camera-plate'), piece('camera-pad')],
      }),
    ],
  };
}

const dimensions = [
  lengthSpec('width', 'Inside width', 'cheek-left', 0.15, 0.09, 0.3, 'Between the cradle’s cheeks.'),
  lengthSpec(
    'drop',
    'Camera plate under the tilt axis',
    'camera-plate',
    0.03,
    0.015,
    0.15,
    'So that the camera’s mass centre lies on the axis.',
  ),
  setOn(
    'camera-fore-aft',
    lengthSpec(
      'cameraForward',
      'Camera ahead of the tilt axis',
      'camera-plate',
      0,
      -0.12,
      0.1,
      'Camera hole on its plate; behind is negative.',
    ),
  ),
  lengthSpec(
    'reach',
    'Roll arm behind the axes',
    'back',
    0.13,
    0.06,
    0.35,
    'The camera’s back must swing clear of it.',
  ),
  lengthSpec('high', 'Pan arm above the axes', 'top', 0.14, 0.07, 0.35, 'The camera’s top must swing clear of it.'),
  lengthSpec('gripLength', 'Grip length', 'grip', 0.12, 0.08, 0.2, 'Above the pan bearing.'),
];
const choices = [
  choiceSpec(
    'tube',
    'Tube',
    'Both arms: light and stiff.',
    'tube-carbon-20x1',
    barOptions(ROUND_TUBES, SQUARE_TUBES),
    ANY_TUBE,
  ),
  choiceSpec(
    'bearings',
    'Bearings',
    'On all three axes: what they rub hides what is left unbalanced.',
    'sealed',
    Object.entries(BEARINGS).map(([id, b]) => ({ id, name: b.name })),
  ),
  choiceSpec('joined', 'Corners', 'Built in a jig.', 'glued', named({ glued: 'glued and lashed', bolted: 'bolted' })),
];

function size(load: PlacedLoad | null, hands: Hands): Sizing {
  const usual = usualInput(dimensions, choices);
  const box = loadBox(load);
  const centre = load && load.bodies.length > 0 ? massCentre(sumsOf(load.bodies)) : ([0.02, 0, 0.04] as const);
  const wide = Math.max(-box.low[1], box.high[1]);
  const width = toFiveMillimetres(within(2 * wide + 0.02, 0.09, 0.3));
  // Plate, angles and cheeks tilt along with the load: the middle of all of it goes on the axis.
  const tilting = (drop: number, cameraForward: number): readonly number[] =>
    weighed(
      build({ choices: usual.choices, dimensions: { ...usual.dimensions, width, drop, cameraForward } }),
      load,
      {},
      ['cradle'],
    ).centre;
  const rounded = (value: number): number => Math.round(value * 1000) / 1000 + 0;
  const drop = rounded(zeroOf((d) => tilting(d, -centre[0])[2]!, 0.015, 0.15));
  const cameraForward = rounded(zeroOf((x) => tilting(drop, x)[0]!, -0.12, 0.1));
  // The farthest corners swing round all axes: the arms stand clear of the ball that holds them.
  const low = Math.hypot(CHEEK_WIDE / 2, drop + CHEEK_BELOW);
  const swung = Math.max(
    low,
    Math.hypot(
      Math.max(-(box.low[0] + cameraForward), TRAVEL.foreAft + 0.015),
      Math.max(box.high[2] - drop, drop + PLATE),
    ),
  );
  const reach = toFiveMillimetres(within(swung + 0.025, 0.06, 0.35));
  const up = Math.max(
    Math.hypot(low, width / 2 + CHEEK),
    Math.hypot(Math.max(box.high[2] - drop, drop), wide + 0.02, Math.min(0.06, box.high[0] + cameraForward)),
  );
  const high = toFiveMillimetres(within(Math.max(up, lengthOf(width)) + 0.03, 0.07, 0.35));
  const gripLength = toFiveMillimetres(within(hands.breadth + 0.03, 0.08, 0.2));
  const reasons: Phrase[] = [
    say`The plate lies ${figure('length', drop)} under the tilt axis and the hole ${figure('length', Math.abs(cameraForward))} ${cameraForward < 0 ? 'behind' : 'ahead of'} it: your load’s mass centre is then on the axis.`,
    say`The camera’s back swings ${figure('length', swung)} round: the roll arm stands ${figure('length', reach)} behind.`,
    say`A grip of ${figure('length', gripLength)} above the pan bearing fits a hand ${figure('length', hands.breadth)} across.`,
  ];
  return {
    choices: usual.choices,
    dimensions: { ...usual.dimensions, width, drop, cameraForward, reach, high, gripLength },
    reasons,
    startValues: {},
  };
}

/** Half the roll arm's width, which swings under the pan arm too. */
const lengthOf = (width: number): number => width / 2 + CHEEK + GAP + 0.02;

function advise({ dimensions: d, choices: c }: FamilyInput): readonly Finding[] {
  return [
    {
      code: 'jig',
      severity: 'note',
      about: 'back',
      figure: figure('length', 0.001, 0),
      limit: null,
      title: say`Build it in a jig that holds all three axes through one point, within ${figure('length', 0.001, 0)}.`,
      why: say`A roll arm out of square by ${figure('length', 0.002, 0)} over its ${figure('length', d['reach']!)} moves the tilt axis off the roll axis, and no slide brings it back at every tilt.`,
      toDo:
        c['joined'] === 'glued'
          ? say`Rod through both bearings while the glue sets; measure both diagonals.`
          : say`Measure both diagonals before the bolts are pulled up.`,
      fixes: [],
    },
  ];
}

export const threeAxisFrame: Family = {
  id: 'three-axis-frame',
  name: 'Three-axis passive frame',
  summary:
    'A tilt cradle inside a roll arm inside a pan arm on bearings: the camera stays where it points while the grip turns round it.',
  goodFor: ['following through doors and over walls', 'learning what each axis does', 'slow, careful moves'],
  givesUp: 'Five slides to set for each load; wind moves it, and every arm adds to what the next must carry.',
  suits: { carries: ['waist', 'low'], moves: ['walking', 'standing still'], hands: 1, wet: false, hangs: false },
  goesWrong: [
    'The outer axis is balanced before the inner one, and all is done twice.',
    'The camera’s back strikes the roll arm when it looks up.',
    'The corners were glued out of square.',
  ],
  dimensions,
  choices,
  size,
  build,
  advise,
  drawn: (input) => {
    const lay = layOut(input);
    const { dimensions: d } = input;
    return [
      { dimension: 'reach', from: [-d['reach']!, 0, 0], to: [0, 0, 0], view: 'side', offset: 90 },
      { dimension: 'high', from: [lay.rollAt, 0, 0], to: [lay.rollAt, 0, lay.high], view: 'side', offset: -50 },
      {
        dimension: 'width',
        from: [0, lay.half, -d['drop']!],
        to: [0, -lay.half, -d['drop']!],
        view: 'front',
        offset: 60,
      },
    ];
  },
};
