/** All builds that fit what was measured, as draws of the mass centre: the same ones every time, so that the same rig gets the same odds. */
import { lowerFactor, normalDraws, type Mat3, type Vec3 } from '../../0-base';

/** A share of a half is then within 1 % (one standard uncertainty), one of a twentieth within 0.4 %. */
export const BUILDS = 4096;
const SEED = 15;
let drawn: readonly Vec3[] | null = null;

/**
 * Calls `look` with the mass centre's shift (m) in each build: normal, with this covariance (m²), to first order in what is
 * not known. Mass and inertia are known far better than where the mass centre lies.
 */
export function eachBuild(covariance: Mat3, look: (dx: number, dy: number, dz: number) => void): void {
  const [rx, ry, rz] = lowerFactor(covariance) as unknown as readonly [Vec3, Vec3, Vec3];
  for (const draw of (drawn ??= draws()))
    look(
      rx[0] * draw[0] + rx[1] * draw[1] + rx[2] * draw[2],
      ry[0] * draw[0] + ry[1] * draw[1] + ry[2] * draw[2],
      rz[0] * draw[0] + rz[1] * draw[1] + rz[2] * draw[2],
    );
}

/** Of one: the share of builds for which it is so. */
export function shareOfBuilds(covariance: Mat3, isSo: (dx: number, dy: number, dz: number) => boolean): number {
  let count = 0;
  eachBuild(covariance, (dx, dy, dz) => {
    if (isSo(dx, dy, dz)) count++;
  });
  return count / BUILDS;
}

function draws(): readonly Vec3[] {
  const normal = normalDraws(SEED);
  return Array.from({ length: BUILDS }, () => [normal(), normal(), normal()] as const);
}
