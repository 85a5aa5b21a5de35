/** A cross-slide stage: a base screwed to the bar and a top plate that moves fore-aft and sideways and takes the camera. */
import type { Vec3 } from '../../0-base';
import type { Adjuster, Part } from '../../model';

const SIZE = { length: 0.07, width: 0.05, base: 0.012, top: 0.008 };
/** A fine screw of 0.8 mm pitch read to a sixteenth of a turn. */
export const FINE_SCREW = { perTurn: 0.0008, step: 0.00005 };

export interface CrossSlide {
  readonly parts: readonly Part[];
  readonly adjusters: readonly Adjuster[];
  readonly height: number;
}

/** `foot` is the middle of the base's underside; travel is each way, m. */
export function crossSlide(foot: Vec3, travel: { foreAft: number; sideways: number }): CrossSlide {
  const [x, y, z] = foot;
  const base: Part = {
    id: 'stage-base',
    name: 'stage base',
    shape: { kind: 'box', size: [SIZE.length, SIZE.width, SIZE.base] },
    at: [x, y, z + SIZE.base / 2],
    material: 'aluminium',
    // Rails and screws leave it about half hollow: a catalogue mass, to be weighed.
    mass: { value: 0.062, spread: 0.004, source: 'mass of stage base' },
    supply: { item: 'cross-slide stage', packOf: 1, packPrice: 14.5 },
  };
  const top: Part = {
    id: 'stage-top',
    name: 'stage top',
    shape: { kind: 'box', size: [SIZE.length, SIZE.width, SIZE.top] },
    at: [x, y, z + SIZE.base + SIZE.top / 2],
    material: 'aluminium',
    mass: { value: 0.058, spread: 0.004, source: 'mass of stage top' },
    mount: [x, y, z + SIZE.base + SIZE.top],
  };
  const screw: Part = {
    id: 'camera-screw',
    name: 'camera screw',
    shape: { kind: 'tube', outerRadius: 0.008, innerRadius: 0, length: 0.006 },
    at: [x, y, z + SIZE.base - 0.004],
    mass: { value: 0.012, spread: 0.001, source: 'mass of camera screw' },
    material: 'steel',
    supply: { item: '1/4-20 camera screw', packOf: 1, packPrice: 1.2 },
  };
  const moves = [
    { kind: 'part' as const, id: 'stage-top' },
    { kind: 'part' as const, id: 'camera-screw' },
  ];
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
  return {
    parts: [base, top, screw],
    adjusters: [
      slide('stage-fore-aft', 'Stage, fore and aft', [1, 0, 0], travel.foreAft),
      slide('stage-sideways', 'Stage, side to side', [0, 1, 0], travel.sideways),
    ],
    height: SIZE.base + SIZE.top,
  };
}
