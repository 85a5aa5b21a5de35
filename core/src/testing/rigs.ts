/** Rigs and loads that several specs share. */
import { placeLoad } from '../1-load';
import type { Change } from '../0-base';
import {
  assemble,
  familyById,
  placedPieces,
  USUAL_HANDS,
  type AdjusterValues,
  type Assembly,
  type Family,
} from '../2-frame';
import type { FrameContext } from '../2-frame/frameCheck';
import { evaluate, quickBalance, type BalanceContext } from '../3-balance';
import { rig as rigSchema, type KitItem, type Loadout, type Rig, type RigDocument } from '../model';

export const bentBar: Family = familyById('gimballed-bent-bar')!;
export const usual = {
  dimensions: Object.fromEntries(bentBar.dimensions.map((d) => [d.id, d.usual])),
  choices: Object.fromEntries(bentBar.choices.map((c) => [c.id, c.usual])),
};

export const camera: KitItem = {
  id: 'cam',
  name: 'Heron body',
  class: 'camera',
  mass: { value: 0.5, spread: 0.001, source: 'mass of Heron body' },
  form: 'box',
  size: [0.06, 0.12, 0.07],
  boxCentre: [0.004, 0.003, 0.035],
  massCentre: { at: [0.006, 0.002, 0.034], spread: [0.0005, 0.0005, 0.001] },
  mountPoints: [{ id: 'flange', name: 'lens flange', at: [0.034, 0.003, 0.037] }],
};
export const lens: KitItem = {
  id: 'lens',
  name: 'Wide lens',
  class: 'lens',
  mass: { value: 0.2, spread: 0.001, source: 'mass of Wide lens' },
  form: 'cylinder',
  size: [0.06, 0.062, 0.062],
  boxCentre: [0.03, 0, 0],
  massCentre: { at: [0.027, 0, 0], spread: [0.0005, 0.0002, 0.0002] },
  mountPoints: [],
};
export const loadout: Loadout = {
  id: 'ebb',
  name: 'Ebb',
  conditions: 'Strap off.',
  items: [
    { id: 'm-cam', item: 'cam', on: null, offset: [0, 0, 0] },
    { id: 'm-lens', item: 'lens', on: { mounted: 'm-cam', point: 'flange' }, offset: [0, 0, 0] },
  ],
};
export const kit: ReadonlyMap<string, KitItem> = new Map([
  [camera.id, camera],
  [lens.id, lens],
]);

export function bentBarAssembly(): Assembly {
  const load = placeLoad(loadout, kit);
  return assemble(bentBar.build(bentBar.size(load, USUAL_HANDS)), load);
}

export const wants: RigDocument['wants'] = {
  levelWithin: Math.PI / 180,
  dropTime: [1.8, 2.4],
  massAtMost: 2.5,
  calmAtLeast: 5,
  shopPrice: 200,
};

/** A family as it comes, with the usual load and wants. */
export const rigOf = (family: string): RigDocument => ({
  id: 'r',
  name: 'Limpet',
  notes: '',
  loadout: loadout.id,
  done: {},
  kerf: 0.0015,
  fastenersCounted: true,
  wants,
  design: { kind: 'family', family, dimensions: {}, choices: {}, edits: [] },
});

/** A rig of no family at all: a rod with a camera plate on top and a weight below, hung in its middle. */
export const plainRig: Rig = rigSchema.parse({
  bodies: [
    { id: 'hand', name: 'hand', nodes: [], members: [], joints: [], parts: [], stations: [] },
    {
      id: 'rod',
      name: 'rod',
      nodes: [
        { id: 'top', at: [0, 0, 0.1] },
        { id: 'low', at: [0, 0, -0.4] },
      ],
      members: [
        {
          id: 'post',
          name: 'post',
          from: 'top',
          to: 'low',
          stock: {
            name: 'tube 22',
            section: { kind: 'tube', outerDiameter: 0.022, wall: 0.001 },
            material: 'copper',
            sold: [{ length: 2, price: 9 }],
          },
          path: { kind: 'straight', widthDirection: [0, 1, 0] },
          leftLong: 0,
          holes: [],
        },
      ],
      joints: [],
      parts: [
        {
          id: 'plate',
          name: 'plate',
          shape: { kind: 'box', size: [0.08, 0.06, 0.01] },
          at: [0, 0, 0.105],
          material: 'slate',
          mount: [0, 0, 0.11],
        },
      ],
      stations: [
        {
          id: 'weights',
          name: 'Weights',
          seat: [0, 0, -0.4],
          axis: [0, 0, -1],
          boltDiameter: 0.01,
          room: 0.05,
          count: 4,
          washer: { name: 'disc', outerRadius: 0.03, innerRadius: 0.0055, thickness: 0.005, material: 'steel' },
        },
      ],
    },
  ],
  pivots: [{ id: 'joint', name: 'joint', kind: 'universal', at: [0, 0, 0], heldBy: 'hand', carries: 'rod' }],
  contacts: [],
  poses: [],
  adjusters: [],
  materials: {
    slate: {
      name: 'slate',
      density: 2800,
      densitySpread: 0.05,
      stiffness: 60e9,
      yield: 20e6,
      elongation: 0.01,
      look: 'wood',
      source: 'a test',
    },
  },
});

/** What frame and balance checks look at, for an assembly with nothing known of lenses and doors. */
export const frameContext = (
  assembly: Assembly,
  values: AdjusterValues = {},
  more: Partial<FrameContext> = {},
): FrameContext => ({
  rig: assembly.rig,
  assembly,
  values,
  pieces: placedPieces(assembly, values),
  hands: USUAL_HANDS,
  cones: [],
  spaces: [],
  socket: null,
  ...more,
});
export const balanceContext = (assembly: Assembly, values: AdjusterValues = {}, want = wants): BalanceContext => ({
  assembly,
  values,
  evaluation: evaluate(assembly, values),
  wants: want,
  quick: quickBalance(assembly),
  hands: USUAL_HANDS,
  cones: [],
  spaces: [],
  socket: null,
});

/** Figures a fix sets, by id; what it moves or mounts is left out. */
export const figuresOf = (changes: readonly Change[]): Record<string, number> =>
  Object.fromEntries(
    changes.flatMap((c) => (c.kind === 'dimension' || c.kind === 'adjuster' ? [[c.id, c.value]] : [])),
  );
