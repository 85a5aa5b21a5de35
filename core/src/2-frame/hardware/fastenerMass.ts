/** What fasteners weigh, and where along their axis that lies. Sharp edges: no chamfer, fillet or run-out, which are worth a few per cent. */
import { threadArea } from './thread';

interface Threaded {
  readonly threadDiameter: number;
  readonly pitch: number;
}
interface Shank extends Threaded {
  /** Under the head, m; with a countersunk head, over all. Threaded from the far end. */
  readonly length: number;
  readonly threadLength: number;
}
/** A hexagonal hole with a flat bottom for the key, m. */
interface Key {
  readonly socketAcrossFlats?: number;
  readonly socketDepth?: number;
}
/** `at`, m along the axis: underside of a hexagon or socket head, outer face of a countersunk one, near face of all else. */
export type Fastener = { readonly at: number } & (
  | ({ readonly type: 'hexHeadScrew'; readonly acrossFlats: number; readonly headHeight: number } & Shank)
  | ({ readonly type: 'socketHeadScrew'; readonly headDiameter: number; readonly headHeight: number } & Shank & Key)
  | ({ readonly type: 'lowHeadScrew'; readonly headDiameter: number; readonly headHeight: number } & Shank & Key)
  | ({ readonly type: 'countersunkScrew'; readonly headDiameter: number; readonly headHeight: number } & Shank & Key)
  | ({ readonly type: 'threadedRod'; readonly length: number } & Threaded)
  | ({ readonly type: 'hexNut'; readonly acrossFlats: number; readonly height: number } & Threaded)
  | {
      readonly type: 'washer';
      readonly outerDiameter: number;
      readonly innerDiameter: number;
      readonly thickness: number;
      readonly count: number;
    }
);

export interface Weighed {
  /** kg. */
  readonly mass: number;
  /** Mass centre along the axis, m. */
  readonly centre: number;
}
/** A prism or frustum along the axis: its volume and where its middle of volume lies. */
interface Slice {
  readonly volume: number;
  readonly middle: number;
}

const hexagon = (acrossFlats: number): number => (Math.sqrt(3) / 2) * acrossFlats ** 2;
const disc = (diameter: number): number => (Math.PI / 4) * diameter ** 2;
const prism = (area: number, from: number, length: number): Slice => ({
  volume: area * length,
  middle: from + length / 2,
});
/** Between two diameters, `wide` at `from`. */
function frustum(wide: number, narrow: number, from: number, length: number): Slice {
  const [a, b] = [wide / 2, narrow / 2];
  const whole = a * a + a * b + b * b;
  return {
    volume: (Math.PI * length * whole) / 3,
    middle: from + (length * (a * a + 2 * a * b + 3 * b * b)) / (4 * whole),
  };
}
/** A part of a ball on its flat side at `base`, towards the axis's beginning. */
function cap(diameter: number, height: number, base: number): Slice {
  const a = diameter / 2;
  const ball = (a * a + height * height) / (2 * height);
  const offMiddle = (3 * (2 * ball - height) ** 2) / (4 * (3 * ball - height));
  return {
    volume: (Math.PI * height * (3 * a * a + height * height)) / 6,
    middle: base - (offMiddle - (ball - height)),
  };
}
const without = (slice: Slice): Slice => ({ ...slice, volume: -slice.volume });
/** Of no depth where there is none. */
const keyed = ({ socketAcrossFlats = 0, socketDepth = 0 }: Key, from: number): Slice =>
  without(prism(hexagon(socketAcrossFlats), from, socketDepth));

/** From `from` on: plain first, then threaded to the end. */
const shank = (f: Shank, from: number, length: number): readonly Slice[] => [
  prism(disc(f.threadDiameter), from, Math.max(0, length - f.threadLength)),
  prism(
    threadArea({ diameter: f.threadDiameter, pitch: f.pitch }),
    from + Math.max(0, length - f.threadLength),
    Math.min(length, f.threadLength),
  ),
];

function slices(f: Fastener): readonly Slice[] {
  switch (f.type) {
    case 'hexHeadScrew':
      return [prism(hexagon(f.acrossFlats), f.at - f.headHeight, f.headHeight), ...shank(f, f.at, f.length)];
    case 'socketHeadScrew':
      return [
        prism(disc(f.headDiameter), f.at - f.headHeight, f.headHeight),
        keyed(f, f.at - f.headHeight),
        ...shank(f, f.at, f.length),
      ];
    case 'lowHeadScrew':
      return [cap(f.headDiameter, f.headHeight, f.at), keyed(f, f.at - f.headHeight), ...shank(f, f.at, f.length)];
    case 'countersunkScrew':
      return [
        frustum(f.headDiameter, f.threadDiameter, f.at, f.headHeight),
        keyed(f, f.at),
        ...shank(f, f.at + f.headHeight, f.length - f.headHeight),
      ];
    case 'threadedRod':
      return [prism(threadArea({ diameter: f.threadDiameter, pitch: f.pitch }), f.at, f.length)];
    case 'hexNut':
      return [
        prism(hexagon(f.acrossFlats) - threadArea({ diameter: f.threadDiameter, pitch: f.pitch }), f.at, f.height),
      ];
    case 'washer':
      return [prism(disc(f.outerDiameter) - disc(f.innerDiameter), f.at, f.count * f.thickness)];
  }
}

/** For a density in kg/m³. All lengths in m, all positive; a head's volume left out of what its key takes away. */
export function fastenerMass(fastener: Fastener, density: number): Weighed {
  if (!(density > 0)) throw new RangeError('a fastener has a density');
  const all = slices(fastener);
  const volume = all.reduce((s, x) => s + x.volume, 0);
  if (!(volume > 0)) throw new RangeError('a fastener has a volume');
  return { mass: density * volume, centre: all.reduce((s, x) => s + x.volume * x.middle, 0) / volume };
}
