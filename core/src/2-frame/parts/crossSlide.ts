/** A cross-slide stage: a base screwed to what it stands on and a top plate that moves fore-aft and sideways and takes the camera. */
import type { Vec3 } from '../../0-base';
import type { Adjuster, Part, StatedConnection } from '../../model';
import { intoCamera } from './camera';

const SIZE = { length: 0.07, width: 0.05, base: 0.012, top: 0.008 };
/** A fine screw of 0.8 mm pitch read to a sixteenth of a turn. */
export const FINE_SCREW = { perTurn: 0.0008, step: 0.00005 };
/** Of its screws from its middle, usually, at most and one from the other at least. */
const SCREWS = { usual: 0.02, most: 0.028, apart: 0.02 };
const TAPPED = 0.01;

export interface CrossSlideInput {
  /** Middle of the base's underside. */
  readonly foot: Vec3;
  /** Each way, m. */
  readonly travel: { readonly foreAft: number; readonly sideways: number };
  /** What it stands on, and how thick that is there, m. */
  readonly on: string;
  readonly thickness: number;
  /** Where along x no screw may come up, and how near, m. */
  readonly keepOff: { readonly x: number; readonly within: number };
  /** Two pairs of rails so far apart carry the top, m; left out: the one pair it is sold with. */
  readonly railSpacing?: number;
}
export interface CrossSlide {
  readonly parts: readonly Part[];
  readonly connections: readonly StatedConnection[];
  readonly adjusters: readonly Adjuster[];
}

/** Sold as its base and its top. */
const STAGE = { item: 'cross-slide stage', packOf: 2, packPrice: 14.5 };

export function crossSlide(input: CrossSlideInput): CrossSlide {
  const { foot, travel, on, thickness, keepOff } = input;
  const [x, y, z] = foot;
  const { base, top, rails, connections } =
    input.railSpacing === undefined ? sold(foot) : onRails(foot, input.railSpacing);
  const underTop = top.at[2] - SIZE.top / 2;
  const moves = [{ kind: 'part' as const, id: 'stage-top' }];
  const slide = (id: string, name: string, axis: Vec3, range: number): Adjuster => ({
    id,
    name,
    kind: 'slide',
    axis,
    range: [-range, range],
    step: FINE_SCREW.step,
    perTurn: FINE_SCREW.perTurn,
    value: 0,
    moves,
  });
  const screw = (id: string, name: string, off: number): StatedConnection =>
    input.railSpacing === undefined
      ? {
          kind: 'bolted',
          id,
          name,
          on,
          point: [x + off, y, z - thickness],
          way: [0, 0, 1],
          thread: 'M5',
          stack: [{ kind: 'piece', piece: on }],
          end: { kind: 'tapped', piece: 'stage-base', depth: TAPPED, in: 'aluminium' },
        }
      : {
          kind: 'bolted',
          id,
          name,
          on: 'stage-base',
          point: [x + off, y, z + RAIL_BASE],
          way: [0, 0, -1],
          thread: 'M5',
          // Between the rails there is room for a nut under the bar, none to tap so thin a plate.
          head: 'sunk',
          stack: [
            { kind: 'piece', piece: 'stage-base' },
            { kind: 'piece', piece: on },
          ],
          end: { kind: 'nut' },
        };
  const [rear, front] = screwsAt(keepOff.x - x, keepOff.within);
  return {
    parts: [base, top, ...rails],
    connections: [
      screw('stage-rear', 'stage’s rear screw', rear),
      screw('stage-front', 'stage’s front screw', front),
      ...connections,
      intoCamera({
        on: 'stage-top',
        point: [x, y, underTop],

        // Flush, for there is no room between top and base: the camera is screwed on with the top off its rails.
        head: 'sunk',
        stack: [{ kind: 'piece', piece: 'stage-top' }],
      }),
    ],
    adjusters: [
      slide('stage-fore-aft', 'Stage, fore and aft', [1, 0, 0], travel.foreAft),
      slide('stage-sideways', 'Stage, side to side', [0, 1, 0], travel.sideways),
    ],
  };
}

/** Rear and front screw from the stage's middle: usually as far each way, but clear of what comes up between them. */
function screwsAt(avoid: number, within: number): readonly [number, number] {
  const clear = (off: number): boolean => Math.abs(off - avoid) >= within - 1e-9;
  const tries = [SCREWS.usual, ...[avoid - within, avoid + within].map(Math.abs), SCREWS.most];
  const fits = (side: 1 | -1): readonly number[] =>
    tries
      .flatMap((off) => [side * off, -side * off])
      .filter((off) => clear(off) && Math.abs(off) <= SCREWS.most)
      .sort((a, b) => Math.abs(a - side * SCREWS.usual) - Math.abs(b - side * SCREWS.usual));
  for (const rear of fits(-1))
    for (const front of fits(1)) if (front - rear >= SCREWS.apart - 1e-9) return [rear, front];
  return [-SCREWS.usual, SCREWS.usual];
}

interface Slides {
  readonly base: Part;
  readonly top: Part;
  readonly rails: readonly Part[];
  readonly connections: readonly StatedConnection[];
}

/** As it is sold, on one pair of rails. */
function sold([x, y, z]: Vec3): Slides {
  return {
    base: {
      id: 'stage-base',
      name: 'stage base',
      shape: { kind: 'box', size: [SIZE.length, SIZE.width, SIZE.base] },
      at: [x, y, z + SIZE.base / 2],
      material: 'aluminium',
      // Rails and screws leave it about half hollow: a catalogue mass, to be weighed.
      mass: { value: 0.062, spread: 0.004, source: 'mass of stage base' },
      supply: STAGE,
    },
    top: {
      id: 'stage-top',
      name: 'stage top',
      shape: { kind: 'box', size: [SIZE.length, SIZE.width, SIZE.top] },
      at: [x, y, z + SIZE.base + SIZE.top / 2],
      material: 'aluminium',
      mass: { value: 0.058, spread: 0.004, source: 'mass of stage top' },
      mount: [x, y, z + SIZE.base + SIZE.top],
      supply: STAGE,
    },
    rails: [],
    connections: [{ kind: 'clamped', id: 'stage-rails', name: 'stage’s rails', piece: 'stage-top', on: 'stage-base' }],
  };
}

const RAIL = { length: 0.09, width: 0.012, height: 0.012, tapped: 0.006, screws: 0.025 };
const RAIL_BASE = 0.006;

/** Two plates as wide as the rails between them. */
function onRails([x, y, z]: Vec3, spacing: number): Slides {
  const width = Math.max(spacing + 2 * RAIL.width, SIZE.width);
  const onBase = z + RAIL_BASE;
  const top = onBase + RAIL.height + SIZE.top / 2;
  const size = (thick: number): string =>
    `aluminium plate ${thick} mm, ${Math.round(SIZE.length * 1000)} × ${Math.round(width * 1000)}`;
  const sides = [
    ['left', 1],
    ['right', -1],
  ] as const;
  return {
    base: {
      id: 'stage-base',
      name: 'stage base',
      shape: { kind: 'box', size: [SIZE.length, width, RAIL_BASE] },
      at: [x, y, z + RAIL_BASE / 2],
      material: 'aluminium',
      supply: { item: size(6), packOf: 1, packPrice: 3.5, sawn: 'sheet' },
    },
    top: {
      id: 'stage-top',
      name: 'stage top',
      shape: { kind: 'box', size: [SIZE.length, width, SIZE.top] },
      at: [x, y, top],
      material: 'aluminium',
      mount: [x, y, top + SIZE.top / 2],
      supply: { item: size(8), packOf: 1, packPrice: 4.5, sawn: 'sheet' },
    },
    rails: sides.map(([side, s]) => ({
      id: `rails-${side}`,
      twin: `rails-${side === 'left' ? 'right' : 'left'}`,
      name: `${side} rails with carriage`,
      shape: { kind: 'box', size: [RAIL.length, RAIL.width, RAIL.height] },
      at: [x, y + (s * spacing) / 2, onBase + RAIL.height / 2],
      material: 'steel',
      mass: { value: 0.024, spread: 0.003, source: 'mass of rails with carriage' },
      supply: { item: 'rail pair with carriage and fine screw', packOf: 2, packPrice: 9 },
    })),
    connections: sides.flatMap(([side, s]): StatedConnection[] => [
      ...([-1, 1] as const).map((end): StatedConnection => ({
        kind: 'bolted',
        id: `rails-${side}-${end < 0 ? 'rear' : 'front'}`,
        name: `${end < 0 ? 'rear' : 'front'} screw of the ${side} rails`,
        on: 'stage-base',
        point: [x + end * RAIL.screws, y + (s * spacing) / 2, z],
        way: [0, 0, 1],
        thread: 'M3',
        // Flush under the base, which lies on the bar.
        head: 'sunk',
        stack: [{ kind: 'piece', piece: 'stage-base' }],
        end: { kind: 'tapped', piece: `rails-${side}`, depth: RAIL.tapped, in: 'steel' },
      })),
      {
        kind: 'clamped',
        id: `carriage-${side}`,
        name: `${side} carriage under the top`,
        piece: 'stage-top',
        on: `rails-${side}`,
      },
    ]),
  };
}
