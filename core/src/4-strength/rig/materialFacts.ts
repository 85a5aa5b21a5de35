/** What a material is beyond its density and stiffness: how it shears, breaks and dies away; each with where it comes from. */
import type { Material } from '../../0-base';

export interface MaterialFacts {
  /** Pa; of wood and fibre not from E. */
  readonly shear: number;
  /** Yield or break, along the grain or the layers, Pa: mean, and one deviation as a part of it. */
  readonly strength: number;
  readonly strengthSpread: number;
  /** Of it across grain or layers. */
  readonly across: number;
  /** Stretches before it breaks: a hole's peak evens out, once at rest. */
  readonly ductile: boolean;
  /** Part of critical. */
  readonly damping: number;
  /** What is left of its stiffness after ten hours under load; 1: it does not creep. */
  readonly creep: number;
  /** Gives up in heat from here on, °C; null: not in any car. */
  readonly softens: readonly [number, number] | null;
  readonly source: string;
}

const STAYS = { creep: 1, softens: null };
const METAL = { across: 1, ductile: true, damping: 0.002, ...STAYS };
/** Dry; damp it creeps twice as much (Eurocode 5). */
const WOOD = { across: 0.05, ductile: false, damping: 0.01, creep: 0.9, softens: null };
const HANDBOOK = 'handbook range of common grades; yours may differ';
const metal = (strength: number, strengthSpread: number): Omit<MaterialFacts, 'shear'> => ({
  ...METAL,
  strength,
  strengthSpread,
  source: HANDBOOK,
});
const wood = (shear: number, strength: number, strengthSpread = 0.2): MaterialFacts => ({
  ...WOOD,
  shear,
  strength,
  strengthSpread,
  source: 'clear wood, Wood Handbook; knots halve it',
});

/** By the material's id. Means of the ranges in docs/sources.md. */
const KNOWN: Readonly<Record<string, Partial<MaterialFacts>>> = {
  steel: metal(290e6, 0.1),
  aluminium: metal(165e6, 0.06),
  brass: metal(210e6, 0.2),
  copper: metal(275e6, 0.05),
  malleableIron: metal(220e6, 0.08),
  birchPly: wood(0.6e9, 55e6),
  oak: wood(0.8e9, 100e6, 0.16),
  pine: wood(0.6e9, 75e6),
  pvc: {
    strength: 50e6,
    strengthSpread: 0.05,
    damping: 0.02,
    ductile: true,
    creep: 0.78,
    softens: [60, 75],
    source: HANDBOOK,
  },
  cpvc: {
    strength: 50e6,
    strengthSpread: 0.06,
    damping: 0.02,
    ductile: true,
    creep: 0.78,
    softens: [95, 105],
    source: HANDBOOK,
  },
  pla: {
    strength: 52e6,
    strengthSpread: 0.08,
    across: 0.45,
    damping: 0.015,
    creep: 0.85,
    softens: [50, 58],
    source: 'solid prints; across layers 0.3 to 0.6',
  },
  petg: {
    strength: 45e6,
    strengthSpread: 0.08,
    across: 0.45,
    damping: 0.02,
    creep: 0.77,
    softens: [65, 75],
    source: 'solid prints; across layers 0.3 to 0.6',
  },
  carbonEpoxy: {
    shear: 4.5e9,
    strength: 650e6,
    strengthSpread: 0.2,
    across: 0.05,
    damping: 0.004,
    creep: 1,
    softens: null,
    source: 'laid by hand, along the fibres; crushing half',
  },
};

/** Of a material of the maker's own what it has is used, and the rest is that of its look. */
export function materialFacts(id: string, material: Material): MaterialFacts {
  const { stiffness, look } = material;
  return {
    shear: stiffness / (2 * (1 + (look === 'plastic' ? 0.38 : 0.32))),
    strength: material.yield,
    strengthSpread: 0.15,
    across: look === 'wood' ? 0.05 : 1,
    creep: look === 'wood' ? 0.9 : look === 'steel' ? 1 : 0.8,
    softens: look === 'plastic' ? [60, 75] : null,
    ductile: look === 'steel',
    damping: look === 'steel' ? 0.002 : look === 'wood' ? 0.01 : look === 'rubber' ? 0.1 : 0.02,
    source: material.source,
    ...KNOWN[id],
  };
}

/** The weakest that is still likely: two deviations under the mean. */
export const sureStrength = ({ strength, strengthSpread }: MaterialFacts): number =>
  strength * (1 - 2 * strengthSpread);
