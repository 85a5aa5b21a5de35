/**
 * The library that cuts and intersects meshes. Whoever has its file loads it (a worker, the command line, a test) and hands it
 * over; the core only uses it. Its meshes lie outside the script's own memory: `tidy` gives back all that were made since.
 */
import type { ManifoldToplevel } from 'manifold-3d';

export interface SolidKit extends Pick<ManifoldToplevel, 'Manifold' | 'CrossSection'> {
  readonly tidy: () => void;
}
export type Mesh = InstanceType<SolidKit['Manifold']>;

/** What is called here that gives a new mesh or outline. */
const MAKES = {
  Manifold: ['cube', 'cylinder', 'extrude', 'union', 'ofMesh'],
  prototype: ['translate', 'transform', 'subtract', 'intersect', 'trimByPlane'],
} as const;

interface Made {
  delete(): void;
}
type Callable = (this: unknown, ...given: readonly unknown[]) => Made;

/** Made ready once for a freshly loaded library: from then on it knows what it made. */
export function solidKit(library: ManifoldToplevel): SolidKit {
  library.setup();
  const made: Made[] = [];
  const watched = (owner: object, name: string): void => {
    const own = Reflect.get(owner, name) as Callable;
    Reflect.set(owner, name, function (this: unknown, ...given: readonly unknown[]): Made {
      const result = own.apply(this, given as unknown[]);
      made.push(result);
      return result;
    });
  };
  for (const name of MAKES.Manifold) watched(library.Manifold, name);
  // What the constructor calls its prototype is not the one that meshes have.
  const one = library.Manifold.cube([1, 1, 1]);
  for (const name of MAKES.prototype) watched(Reflect.getPrototypeOf(one)!, name);
  return {
    Manifold: library.Manifold,
    CrossSection: library.CrossSection,
    tidy: () => {
      for (const mesh of made) mesh.delete();
      made.length = 0;
    },
  };
}
