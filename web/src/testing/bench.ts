/** A bench with the demo's kind of load, for component specs. */
import {
  judged,
  withoutHardware,
  workpiece,
  type KitItem,
  type Loadout,
  type Rig,
  type RigDocument,
} from '@tide-pebble/core';
import type { Bench } from '../services/workspace';

export const camera: KitItem = {
  id: 'cam',
  name: 'Heron body',
  class: 'camera',
  mass: { value: 0.5 },
  form: 'box',
  size: [0.06, 0.12, 0.07],
  boxCentre: [0, 0, 0.035],
  massCentre: { at: [0.01, 0, 0.034], spread: [0.0005, 0.0005, 0.001] },
  mountPoints: [],
};
export const loadout: Loadout = {
  id: 'ebb',
  name: 'Ebb',
  conditions: '',
  items: [{ id: 'm-cam', item: 'cam', on: null, offset: [0, 0, 0] }],
};
const limpet: RigDocument = {
  id: 'r1',
  name: 'Limpet',
  notes: '',
  loadout: 'ebb',
  done: {},
  kerf: 0.0015,
  fastenersCounted: true,
  wants: { levelWithin: 0.0175, dropTime: [1.8, 2.4], massAtMost: 2.5, calmAtLeast: 5, shopPrice: 200 },
  design: { kind: 'family', family: 'gimballed-bent-bar', dimensions: {}, choices: {}, edits: [] },
};

export function benchAt(
  values: Readonly<Record<string, number>>,
  family = 'gimballed-bent-bar',
  choices: Readonly<Record<string, string>> = {},
): Bench {
  return benchOf({ kind: 'family', family, dimensions: {}, choices: { ...choices }, edits: [] }, values);
}

/** The same rig taken in hand and changed. */
export const withRig = ({ work, values }: Bench, change: (rig: Rig) => Rig): Bench =>
  benchOf({ kind: 'free', rig: change(withoutHardware(work.rig)) }, values);

function benchOf(design: RigDocument['design'], values: Readonly<Record<string, number>>): Bench {
  const rig: RigDocument = { ...limpet, design };
  const made = workpiece(rig, loadout, new Map([[camera.id, camera]]));
  if (!made.ok) throw new Error(made.reason);
  return { rig, loadout, setup: null, values, work: made.work, judged: judged(made.work, values, rig.wants) };
}

export const massOf = (bench: Bench): number => bench.judged.evaluation.mass;
