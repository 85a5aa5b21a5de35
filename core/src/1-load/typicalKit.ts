/** Cameras and lenses by kind, as large as one of that kind usually is: something to start from, to be weighed and replaced. */
import type { KitClass, KitItem } from '../model';
import { newItem, withClass } from './newItem';

export interface TypicalKind {
  readonly id: string;
  /** As its item is called until the maker names it. */
  readonly name: string;
  readonly says: string;
  readonly class: KitClass;
  /** m. Its mass is guessed from that, as of all that was never weighed. */
  readonly size: readonly [number, number, number];
  readonly sensor?: readonly [number, number];
  readonly focal?: readonly [number, number];
}

export const TYPICAL_CAMERAS: readonly TypicalKind[] = [
  {
    id: 'phone',
    name: 'Phone',
    says: 'a phone',
    class: 'phone',
    size: [0.008, 0.15, 0.072],
    sensor: [0.0064, 0.0048],
    focal: [0.0048, 0.0048],
  },
  {
    id: 'action',
    name: 'Action camera',
    says: 'an action camera',
    class: 'action camera',
    size: [0.034, 0.07, 0.05],
    sensor: [0.0062, 0.0046],
    focal: [0.003, 0.003],
  },
  {
    id: 'compact',
    name: 'Pocket camera',
    says: 'a pocket camera, its lens built in',
    class: 'camera',
    size: [0.06, 0.108, 0.065],
    sensor: [0.0132, 0.0088],
    focal: [0.009, 0.03],
  },
  {
    id: 'small-body',
    name: 'Small body',
    says: 'a small body with lenses that change',
    class: 'camera',
    size: [0.06, 0.12, 0.072],
    sensor: [0.0173, 0.013],
  },
  {
    id: 'full-body',
    name: 'Full-frame body',
    says: 'a full-frame body',
    class: 'camera',
    size: [0.075, 0.134, 0.1],
    sensor: [0.036, 0.024],
  },
  {
    id: 'cinema',
    name: 'Cinema body',
    says: 'a cinema body, battery and card in it',
    class: 'camera',
    size: [0.13, 0.12, 0.12],
    sensor: [0.025, 0.014],
  },
  {
    id: 'camcorder',
    name: 'Camcorder',
    says: 'a camcorder, its lens built in',
    class: 'camera',
    size: [0.2, 0.075, 0.09],
    sensor: [0.0132, 0.0074],
    focal: [0.009, 0.11],
  },
];

export const TYPICAL_LENSES: readonly TypicalKind[] = [
  {
    id: 'prime',
    name: 'Small lens',
    says: 'a small fixed lens',
    class: 'lens',
    size: [0.05, 0.063, 0.063],
    focal: [0.028, 0.028],
  },
  {
    id: 'zoom',
    name: 'Zoom lens',
    says: 'a usual zoom',
    class: 'lens',
    size: [0.08, 0.07, 0.07],
    focal: [0.024, 0.07],
  },
  {
    id: 'fast-zoom',
    name: 'Fast zoom',
    says: 'a fast, heavy zoom',
    class: 'lens',
    size: [0.125, 0.088, 0.088],
    focal: [0.024, 0.07],
  },
  {
    id: 'long',
    name: 'Long lens',
    says: 'a long lens',
    class: 'lens',
    size: [0.2, 0.088, 0.088],
    focal: [0.07, 0.2],
  },
];

/** What else goes on a rig. */
export const TYPICAL_OTHERS: readonly TypicalKind[] = (
  [
    ['small-mic', 'Small microphone', 'a small microphone for the shoe', 'microphone', [0.08, 0.04, 0.05]],
    ['long-mic', 'Long microphone', 'a long microphone', 'microphone', [0.25, 0.022, 0.022]],
    ['receiver', 'Wireless receiver', 'a receiver of a wireless microphone', 'receiver', [0.02, 0.045, 0.045]],
    ['recorder', 'Recorder', 'a pocket recorder', 'recorder', [0.1, 0.06, 0.03]],
    ['light', 'Small light', 'a small light for the shoe', 'light', [0.02, 0.12, 0.07]],
    ['monitor', 'Monitor', 'a monitor of five inches', 'monitor', [0.025, 0.135, 0.08]],
    ['finder', 'Viewfinder', 'a viewfinder with its eyecup', 'viewfinder', [0.1, 0.055, 0.06]],
    ['power', 'Power bank', 'a power bank', 'battery', [0.14, 0.07, 0.016]],
    ['cage', 'Cage', 'a cage round a body', 'cage', [0.06, 0.15, 0.115]],
    ['filter', 'Grey filter', 'a grey filter', 'filter', [0.01, 0.067, 0.067]],
  ] as const
).map(([id, name, says, kind, size]) => ({ id, name, says, class: kind, size }));

/** What has its lens built in takes none. */
export const takesLens = ({ class: kind, focal }: TypicalKind): boolean => kind === 'camera' && focal === undefined;

/** `mass`: as the maker knows it, kg; null: never weighed. */
export function typicalItem(kind: TypicalKind, id: string, mass: number | null = null): KitItem {
  return {
    ...withClass({ ...newItem(id, kind.class, kind.name), size: kind.size }, kind.class),
    ...(mass === null ? {} : { mass: { value: mass, spread: TYPED_SPREAD, source: `mass of ${kind.name}` } }),
    ...(kind.sensor ? { sensor: { width: kind.sensor[0], height: kind.sensor[1] } } : {}),
    ...(kind.focal ? { focalLength: { shortest: kind.focal[0], longest: kind.focal[1] } } : {}),
  };
}
/** Of a figure from a scale or a maker's sheet, kg. */
const TYPED_SPREAD = 0.005;
