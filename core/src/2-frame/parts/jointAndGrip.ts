/**
 * A universal joint on bearings with its hand grip. A stud lies flush in what it carries, a nut under it; the joint's upper half is
 * screwed up and down that stud and locked by a thin nut. Below the pivot, at the origin, all is held.
 */
import type { Vec3 } from '../../0-base';
import type { Adjuster, Part, Pivot, StatedConnection } from '../../model';
import { SUNK_HEAD, THIN_NUT } from '../hardware/sizes';
import { threadOf, type Thread } from '../hardware/thread';

const GRIP_RADIUS = 0.0165;
const LOWER = 0.02;
const SLEEVE = { outer: 0.014, inner: 0.009 };
const TRAVEL = 0.006;
/** Left of the upper half's thread above the pivot's own cross. */
const ABOVE_CROSS = 0.005;
const STUDS = ['M8', 'M6'] as const;
/** Of a plate too thin for the heads of the others. */
const THIN_STUD = 'M5';

export interface JointInput {
  /** From the pivot to the underside of what it carries, and how thick that is there, m. */
  readonly height: number;
  readonly thickness: number;
  /** What it carries. */
  readonly on: string;
  readonly gripLength: number;
}
export interface JointAndGrip {
  readonly held: { readonly parts: readonly Part[]; readonly connections: readonly StatedConnection[] };
  readonly carried: { readonly parts: readonly Part[]; readonly connections: readonly StatedConnection[] };
  readonly pivot: Pivot;
  readonly pivotHeight: Adjuster;
}

/** How far the joint goes up and down the stud, each way, in whole eighths of a turn, m. */
function travelOf(thread: Thread, height: number): number {
  const free = (height - 2 * THIN_NUT.of(thread)! - thread.diameter - ABOVE_CROSS) / 3;
  return Math.max(0, Math.floor(Math.min(TRAVEL, free) / (thread.pitch / 8) + 1e-9) * (thread.pitch / 8));
}

/** The thickest stud whose head the plate takes and that leaves the joint its whole travel; failing that, the one with the most. */
function studOf({ height, thickness }: JointInput): Thread {
  const fits = STUDS.map(threadOf).filter((t) => SUNK_HEAD.height.of(t)! <= thickness + 1e-9);
  const best = fits.reduce<Thread | null>(
    (found, t) => (found && travelOf(found, height) >= travelOf(t, height) - 1e-9 ? found : t),
    null,
  );
  return best ?? threadOf(THIN_STUD);
}

export function jointAndGrip(input: JointInput): JointAndGrip {
  const { height, thickness, on, gripLength } = input;
  const thread = studOf(input);
  const travel = travelOf(thread, height);
  const thin = THIN_NUT.of(thread)!;
  const top = height - 2 * thin - travel;
  const end = -LOWER - gripLength;
  return {
    held: { parts: heldParts(gripLength), connections: heldConnections(end) },
    carried: {
      parts: [
        {
          id: 'joint-upper',
          name: 'joint, upper half',
          shape: { kind: 'tube', outerRadius: 0.009, innerRadius: 0, length: top },
          at: [0, 0, top / 2],
          material: 'steel',
          mass: { value: 0.038, spread: 0.003, source: 'mass of joint, upper half' },
          supply: JOINT,
          drilled: true,
        },
      ],
      connections: [
        {
          kind: 'bolted',
          id: 'joint-stud',
          name: 'joint’s stud',
          on,
          point: [0, 0, height + thickness],
          way: [0, 0, -1],
          thread: thread.name,
          head: 'sunk',
          stack: [
            { kind: 'piece', piece: on },
            { kind: 'nut', nut: 'thin' },
            { kind: 'bare', length: travel, plusMinus: travel },
            { kind: 'nut', nut: 'thin', against: 'joint-upper' },
          ],
          end: { kind: 'tapped', piece: 'joint-upper', depth: top - ABOVE_CROSS + 0.001, in: 'steel' },
        },
        {
          kind: 'hinged',
          id: 'joint-turns',
          name: 'joint',
          pivot: 'joint',
          held: 'joint-lower',
          carried: 'joint-upper',
        },
      ],
    },
    pivot: {
      id: 'joint',
      name: 'universal joint',
      kind: 'universal',
      at: [0, 0, 0],
      heldBy: 'held-grip',
      carries: 'sled',
      frictionTorque: { value: 0.0002, spread: 0.0001, source: 'bearing friction, a guess' },
    },
    pivotHeight: {
      id: 'pivot-height',
      name: 'Pivot height',
      kind: 'thread',
      axis: [0, 0, 1],
      range: [-travel, travel],
      step: thread.pitch / 8,
      perTurn: thread.pitch,
      value: 0,
      moves: [
        { kind: 'pivot', id: 'joint' },
        { kind: 'body', id: 'held-grip' },
        { kind: 'part', id: 'joint-upper' },
      ],
    },
  };
}

/** Sold as its two halves. */
const JOINT = { item: 'universal joint with two bearings', packOf: 2, packPrice: 9.9 };

const heldParts = (gripLength: number): readonly Part[] => [
  {
    id: 'joint-lower',
    name: 'joint, lower half with bearing',
    shape: { kind: 'tube', outerRadius: 0.011, innerRadius: 0, length: LOWER },
    at: [0, 0, -LOWER / 2],
    material: 'steel',
    mass: { value: 0.046, spread: 0.003, source: 'mass of joint, lower half' },
    supply: JOINT,
    drilled: true,
  },
  {
    id: 'grip-sleeve',
    name: 'grip’s sleeve',
    shape: { kind: 'tube', outerRadius: SLEEVE.outer / 2, innerRadius: SLEEVE.inner / 2, length: gripLength },
    at: [0, 0, -LOWER - gripLength / 2],
    material: 'aluminium',
    supply: {
      item: `aluminium tube 14 × 2.5, ${Math.round(gripLength * 1000)} mm`,
      packOf: 1,
      packPrice: 1.4,
      sawn: 'length',
    },
  },
  {
    id: 'grip',
    name: 'hand grip',
    shape: { kind: 'tube', outerRadius: GRIP_RADIUS, innerRadius: SLEEVE.outer / 2, length: gripLength },
    at: [0, 0, -LOWER - gripLength / 2],
    material: 'rubberFoam',
    supply: { item: 'foam grip 14 mm inside', packOf: 1, packPrice: 2.6 },
  },
];

/** A rod up through the sleeve into the joint, its nut under the grip. */
const heldConnections = (end: number): readonly StatedConnection[] => [
  {
    kind: 'bolted',
    id: 'grip-rod',
    name: 'grip’s rod',
    on: 'joint-lower',
    point: [0, 0, end] as Vec3,
    way: [0, 0, 1],
    thread: 'M8',
    rod: true,
    washer: 'flat',
    stack: [{ kind: 'piece', piece: 'grip-sleeve' }],
    end: { kind: 'tapped', piece: 'joint-lower', depth: LOWER - ABOVE_CROSS, in: 'steel' },
  },
  { kind: 'slidOn', id: 'grip-on', name: 'grip on its sleeve', piece: 'grip', over: 'grip-sleeve' },
];
