/** Materials as data, each with a spread and a source. Editable in a rig file under `materials`. */
export interface Material {
  readonly name: string;
  /** kg/m³ */
  readonly density: number;
  /** Standard uncertainty of the density, as a part of it. */
  readonly densitySpread: number;
  /** Young's modulus, Pa. */
  readonly stiffness: number;
  /** Yield stress, Pa, of the ordinary bar grade. */
  readonly yield: number;
  /** Elongation at break, as a part: how far the outer skin of a bend may stretch. */
  readonly elongation: number;
  /** How it is drawn. */
  readonly look: 'steel' | 'wood' | 'plastic' | 'rubber';
  readonly source: string;
}

const handbook = 'handbook value for common grades; measure yours';

export const MATERIALS: Readonly<Record<string, Material>> = {
  steel: {
    name: 'mild steel',
    density: 7850,
    densitySpread: 0.005,
    stiffness: 200e9,
    yield: 235e6,
    elongation: 0.22,
    look: 'steel',
    source: handbook,
  },
  aluminium: {
    name: 'aluminium',
    density: 2700,
    densitySpread: 0.01,
    stiffness: 69e9,
    yield: 145e6,
    elongation: 0.12,
    look: 'steel',
    source: handbook,
  },
  brass: {
    name: 'brass',
    density: 8500,
    densitySpread: 0.01,
    stiffness: 100e9,
    yield: 150e6,
    elongation: 0.2,
    look: 'steel',
    source: handbook,
  },
  copper: {
    name: 'copper',
    density: 8940,
    densitySpread: 0.005,
    stiffness: 117e9,
    yield: 200e6,
    elongation: 0.12,
    look: 'steel',
    source: handbook,
  },
  birchPly: {
    name: 'birch plywood',
    density: 680,
    densitySpread: 0.05,
    stiffness: 9e9,
    yield: 40e6,
    elongation: 0.01,
    look: 'wood',
    source: handbook,
  },
  oak: {
    name: 'oak',
    density: 720,
    densitySpread: 0.08,
    stiffness: 12e9,
    yield: 50e6,
    elongation: 0.01,
    look: 'wood',
    source: handbook,
  },
  pvc: {
    name: 'PVC',
    density: 1400,
    densitySpread: 0.04,
    stiffness: 2.9e9,
    yield: 50e6,
    elongation: 0.4,
    look: 'plastic',
    source: `${handbook}; spread by makers' compounds, and by how far pipe walls differ`,
  },
  pine: {
    name: 'pine',
    density: 500,
    densitySpread: 0.1,
    stiffness: 10e9,
    yield: 35e6,
    elongation: 0.01,
    look: 'wood',
    source: handbook,
  },
  malleableIron: {
    name: 'malleable iron',
    density: 7300,
    densitySpread: 0.02,
    stiffness: 170e9,
    yield: 220e6,
    elongation: 0.06,
    look: 'steel',
    source: handbook,
  },
  cpvc: {
    name: 'CPVC',
    density: 1550,
    densitySpread: 0.04,
    stiffness: 2.5e9,
    yield: 50e6,
    elongation: 0.3,
    look: 'plastic',
    source: `${handbook}; spread by makers' compounds, and by how far pipe walls differ`,
  },
  polyethylene: {
    name: 'polyethylene',
    density: 950,
    densitySpread: 0.02,
    stiffness: 0.9e9,
    yield: 22e6,
    elongation: 1,
    look: 'plastic',
    source: handbook,
  },
  pla: {
    name: 'printed PLA, solid',
    density: 1240,
    densitySpread: 0.04,
    stiffness: 3.3e9,
    yield: 50e6,
    elongation: 0.04,
    look: 'plastic',
    source: 'along the layers; far weaker across them',
  },
  petg: {
    name: 'printed PETG, solid',
    density: 1270,
    densitySpread: 0.04,
    stiffness: 2e9,
    yield: 45e6,
    elongation: 0.1,
    look: 'plastic',
    source: 'along the layers; far weaker across them',
  },
  carbonEpoxy: {
    name: 'carbon and epoxy',
    density: 1550,
    densitySpread: 0.05,
    stiffness: 120e9,
    yield: 600e6,
    elongation: 0.012,
    look: 'plastic',
    source: 'along the fibres; weak across them',
  },
  lead: {
    name: 'lead shot, poured',
    density: 6800,
    densitySpread: 0.05,
    stiffness: 1e9,
    yield: 1e6,
    elongation: 0.3,
    look: 'steel',
    source: 'random packing of shot, about 0.6 solid',
  },
  hookAndLoop: {
    name: 'hook-and-loop strap',
    density: 700,
    densitySpread: 0.2,
    stiffness: 1e6,
    yield: 1e6,
    elongation: 0.3,
    look: 'rubber',
    source: 'rough',
  },
  rubberFoam: {
    name: 'rubber foam',
    density: 250,
    densitySpread: 0.2,
    stiffness: 2e6,
    yield: 1e6,
    elongation: 1,
    look: 'rubber',
    source: 'rough; foams differ threefold',
  },
};

/** The material with this id, looked up in the rig's own table first; null when neither knows it. */
export function materialOf(id: string, own: Readonly<Record<string, Material>> = {}): Material | null {
  return own[id] ?? MATERIALS[id] ?? null;
}
