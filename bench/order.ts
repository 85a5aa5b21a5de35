/** Finding the order of building: for each family's rig as it starts, and for one of 200 pieces. */
import {
  assemble,
  FAMILIES,
  USUAL_HANDS,
  withHardware,
  type Part,
  type Rig,
  type StatedConnection,
} from '@tide-pebble/core';
import { buildOrder } from '@tide-pebble/core/making';

export interface OrderTimes {
  /** The slowest last, ms. */
  readonly families: readonly { readonly id: string; readonly ms: number }[];
  readonly many: { readonly pieces: number; readonly ms: number };
}
const RUNS = 5;
const EACH = 50;

export function measureOrder(): OrderTimes {
  const families = FAMILIES.map((f) => ({ id: f.id, ms: timed(f.build(f.size(null, USUAL_HANDS))).ms }));
  return { families: families.sort((a, b) => a.ms - b.ms), many: timed(stairs()) };
}

function timed(rig: Rig): { readonly pieces: number; readonly ms: number } {
  const assembly = assemble(rig, null);
  const times = Array.from({ length: RUNS }, () => {
    const start = performance.now();
    buildOrder(assembly, {});
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return { pieces: new Set(assembly.pieces.map((p) => p.flat.owner)).size, ms: times[Math.floor(RUNS / 2)]! };
}

/** Plates that lie on one another like stairs, each screwed to the next. */
function stairs(): Rig {
  const parts = Array.from({ length: EACH }, (_, i): Part => ({
    id: `plate-${i}`,
    name: `plate ${i}`,
    shape: { kind: 'box', size: [0.06, 0.04, 0.004] },
    at: [0.03 * i, 0, 0.004 * i],
    material: 'aluminium',
  }));
  const connections = parts.slice(1).map((_, i): StatedConnection => ({
    kind: 'bolted',
    id: `screw-${i}`,
    name: `screw ${i}`,
    on: `plate-${i + 1}`,
    point: [0.03 * i + 0.015, 0, 0.004 * i + 0.006],
    way: [0, 0, -1],
    thread: 'M4',
    stack: [
      { kind: 'piece', piece: `plate-${i + 1}` },
      { kind: 'piece', piece: `plate-${i}` },
    ],
    end: { kind: 'nut' },
  }));
  return withHardware({
    bodies: [{ id: 'stairs', name: 'stairs', nodes: [], members: [], joints: [], parts, stations: [], connections }],
    pivots: [],
    contacts: [],
    poses: [],
    adjusters: [],
  });
}
