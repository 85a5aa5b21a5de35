/** One rigid piece with all that the balance needs: what a rig, its load and a file of bodies all come down to. */
import { add, scaleMatrix, sourceOf, transform, ZERO, IDENTITY, type Mat3, type Vec3 } from '../0-base';
import type { Quantity, Shape } from '../model';
import { solidOf } from './solid';

export interface FlatBody {
  readonly id: string;
  readonly name: string;
  /** The rig element it stands for (part, member, station or mounted item), so that lists and drawing light up together. */
  readonly owner: string;
  readonly shape: Shape;
  /** Origin of the shape's frame and its rotation to rig axes. */
  readonly at: Vec3;
  readonly rotation: Mat3;
  readonly mass: number;
  readonly density: number | null;
  readonly massFrom: 'measured' | 'density' | 'estimate';
  /** Mass centre, rig axes. */
  readonly centre: Vec3;
  /** About its own mass centre, in its own axes. */
  readonly inertia: Mat3;
  readonly massSpread: number;
  readonly centreSpread: Vec3;
  /** Figures with the same source vary together. */
  readonly source: string;
  readonly look: 'steel' | 'wood' | 'plastic' | 'rubber' | 'gear';
  /** What a flat box is really sawn to, for drawing: places in its own x and y, m. */
  readonly outline?: readonly (readonly [number, number])[];
  /** The rig's piece that a thing of the load stands on, where that is not its mount. */
  readonly carriedBy?: string;
  /** How it moves with each thing that is not known and moves other bodies too. */
  readonly shifts?: readonly Shift[];
}
/** One standard uncertainty of a place, m, rig axes; equal sources move together. */
export interface Shift {
  readonly source: string;
  readonly by: Vec3;
}

export interface FlatBodyInput {
  readonly id: string;
  readonly name: string;
  readonly owner: string;
  readonly shape: Shape;
  readonly at: Vec3;
  readonly rotation?: Mat3;
  readonly density?: number;
  readonly densitySpread?: number;
  readonly mass?: Quantity;
  readonly massFrom?: FlatBody['massFrom'];
  /** Overrides the mass centre; the inertia about the body's own centre is left as it is. */
  readonly centre?: Vec3;
  readonly centreSpread?: Vec3;
  readonly source?: string;
  readonly look?: FlatBody['look'];
}

/**
 * A measured mass overrides the one from density and scales the inertia; a measured mass centre overrides the shape's.
 * Neither mass nor density is the caller's mistake and throws: a mass is never invented here.
 */
export function flatBody(input: FlatBodyInput): FlatBody {
  const solid = solidOf(input.shape);
  const rotation = input.rotation ?? IDENTITY;
  const computed = input.density === undefined ? null : input.density * solid.volume;
  const mass = input.mass?.value ?? computed;
  if (mass === null || !(mass > 0)) throw new RangeError(`${input.name} has neither a mass nor a density above zero`);
  const perVolume = solid.volume > 0 ? mass / solid.volume : 0;
  return {
    id: input.id,
    name: input.name,
    owner: input.owner,
    shape: input.shape,
    at: input.at,
    rotation,
    mass,
    density: input.mass ? null : (input.density ?? null),
    massFrom: input.massFrom ?? (input.mass ? 'measured' : 'density'),
    centre: input.centre ?? add(input.at, transform(rotation, solid.centroid)),
    inertia: scaleMatrix(solid.inertia, perVolume),
    massSpread: input.mass ? (input.mass.spread ?? 0) : mass * (input.densitySpread ?? 0),
    centreSpread: input.centreSpread ?? ZERO,
    // Weighed by itself it is known by itself, whatever others are made of.
    source: (input.mass ? input.mass.source : input.source) ?? sourceOf(`mass of ${input.name}`, input.owner),
    look: input.look ?? 'steel',
  };
}

/** The same body shifted by `by` (m, rig axes). */
export const shifted = (body: FlatBody, by: Vec3): FlatBody => ({
  ...body,
  at: add(body.at, by),
  centre: add(body.centre, by),
});
