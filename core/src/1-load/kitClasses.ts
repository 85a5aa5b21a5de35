/** What each kind of kit is like before anything is known of it: how dense, how big, what holds it and what it holds. */
import type { KitClass, KitItem, MountKind, MountPoint } from '../model';

export interface KitClassFacts {
  /** Mean density over the outside box, kg/m³, and its relative standard uncertainty. Rough: from weighing mixed gear. */
  readonly density: number;
  readonly densitySpread: number;
  /** A start to overtype, m. */
  readonly size: readonly [number, number, number];
  readonly form: KitItem['form'];
  readonly foot: MountKind;
  /** Lenses and filters stand on their rear face, all else on its underside. */
  readonly standsOnRear?: true;
  readonly points: (size: readonly [number, number, number]) => readonly MountPoint[];
}

const none = (): readonly MountPoint[] => [];
const onTop = (size: readonly [number, number, number]): readonly MountPoint[] => [
  { id: 'top', name: 'top', kind: 'thread', at: [0, 0, size[2]] },
];
const cameraPoints = ([length, , height]: readonly [number, number, number]): readonly MountPoint[] => [
  { id: 'flange', name: 'lens flange', kind: 'lens mount', at: [length / 2, 0, height / 2] },
  { id: 'shoe', name: 'shoe', kind: 'shoe', at: [0, 0, height] },
  { id: 'battery', name: 'battery bay', kind: 'bay', at: [0, 0, 0.02] },
];
const front = (size: readonly [number, number, number]): readonly MountPoint[] => [
  { id: 'front', name: 'front thread', kind: 'thread', at: [size[0], 0, 0] },
];
const cagePoints = ([, , height]: readonly [number, number, number]): readonly MountPoint[] => [
  { id: 'inside', name: 'floor', kind: 'thread', at: [0, 0, 0.006] },
  { id: 'shoe', name: 'top shoe', kind: 'shoe', at: [0, 0, height] },
];

export const CLASS_FACTS: Readonly<Record<KitClass, KitClassFacts>> = {
  camera: {
    density: 750,
    densitySpread: 0.3,
    size: [0.06, 0.12, 0.08],
    form: 'box',
    foot: 'thread',
    points: cameraPoints,
  },
  'action camera': {
    density: 1150,
    densitySpread: 0.2,
    size: [0.034, 0.07, 0.05],
    form: 'box',
    foot: 'clip',
    points: none,
  },
  phone: { density: 1900, densitySpread: 0.2, size: [0.008, 0.15, 0.072], form: 'box', foot: 'clip', points: none },
  lens: {
    density: 1100,
    densitySpread: 0.35,
    size: [0.07, 0.065, 0.065],
    form: 'cylinder',
    foot: 'lens mount',
    standsOnRear: true,
    points: front,
  },
  battery: { density: 2000, densitySpread: 0.2, size: [0.04, 0.03, 0.02], form: 'box', foot: 'bay', points: none },
  card: { density: 1500, densitySpread: 0.3, size: [0.03, 0.025, 0.004], form: 'box', foot: 'bay', points: none },
  microphone: {
    density: 450,
    densitySpread: 0.4,
    size: [0.15, 0.022, 0.022],
    form: 'cylinder',
    foot: 'shoe',
    points: none,
  },
  light: { density: 600, densitySpread: 0.4, size: [0.03, 0.08, 0.06], form: 'box', foot: 'shoe', points: none },
  monitor: { density: 700, densitySpread: 0.35, size: [0.025, 0.13, 0.08], form: 'box', foot: 'thread', points: none },
  viewfinder: { density: 500, densitySpread: 0.4, size: [0.1, 0.05, 0.05], form: 'box', foot: 'shoe', points: none },
  receiver: { density: 900, densitySpread: 0.35, size: [0.02, 0.06, 0.08], form: 'box', foot: 'shoe', points: none },
  recorder: { density: 700, densitySpread: 0.35, size: [0.1, 0.06, 0.04], form: 'box', foot: 'thread', points: onTop },
  cable: { density: 500, densitySpread: 0.6, size: [0.1, 0.02, 0.02], form: 'box', foot: 'clip', points: none },
  cage: { density: 450, densitySpread: 0.4, size: [0.07, 0.14, 0.11], form: 'box', foot: 'thread', points: cagePoints },
  plate: { density: 2000, densitySpread: 0.35, size: [0.05, 0.05, 0.01], form: 'box', foot: 'thread', points: onTop },
  clamp: { density: 2500, densitySpread: 0.4, size: [0.04, 0.04, 0.03], form: 'box', foot: 'clip', points: onTop },
  filter: {
    density: 1500,
    densitySpread: 0.4,
    size: [0.006, 0.07, 0.07],
    form: 'cylinder',
    foot: 'thread',
    standsOnRear: true,
    points: none,
  },
  strap: { density: 300, densitySpread: 0.6, size: [0.05, 0.14, 0.05], form: 'box', foot: 'clip', points: none },
  other: { density: 700, densitySpread: 0.5, size: [0.05, 0.05, 0.05], form: 'box', foot: 'thread', points: none },
};
