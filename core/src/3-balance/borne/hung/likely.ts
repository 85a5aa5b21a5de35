/** Of all builds that fit what was measured: how many hang as wanted, and how many turn over. */
import { rootBetween, STANDARD_GRAVITY } from '../../../0-base';
import type { Wants } from '../../../model';
import { dropFromLevel } from './dropFactor';
import type { Hung } from '../../evaluate';
import { BUILDS, eachBuild } from '../../spread/builds';
import { lowestPin, pinDepth } from './pins';

export interface Likely {
  /** Level both ways and with the wanted drop, of one; and each by itself. */
  readonly holds: number;
  readonly level: number;
  readonly drop: number;
  /** Mass centre above the joint: it turns over. */
  readonly topHeavy: number;
  /** The mass centre's distance from the joint is nil within its plus-minus (two standard uncertainties). */
  readonly nil: boolean;
}

/**
 * The mass centre is spread as its sources say (first order, normal, with their covariance); mass and inertia are known far
 * better than its height and stand. Drawn with one seed: the same rig gives the same odds. A lean or a drop on its very
 * limit counts as met, as `judge` counts it.
 */
export function likelyOf(
  { hang, sums, spread, pitch, pivot }: Hung,
  wants: Pick<Wants, 'levelWithin' | 'dropTime'>,
): Likely {
  const [x, y, z] = hang.fromPivot;
  const [byPitch, byRoll, lowest] = [pinDepth(pivot, 'pitch'), pinDepth(pivot, 'roll'), lowestPin(pivot)];
  const [nearest, farthest] = distancesFor(wants.dropTime, pitch.inertia, sums.mass, pivot.frictionTorque?.value ?? 0);
  let [holds, level, drop, over] = [0, 0, 0, 0];
  eachBuild(spread.covariance, (byX, byY, byZ) => {
    const [dx, dy, dz] = [x + byX, y + byY, z + byZ];
    if (dz + lowest >= 0) {
      over++;
      return;
    }
    const flat =
      Math.abs(Math.atan2(dx, -(dz + byPitch))) <= wants.levelWithin + 1e-12 &&
      Math.abs(Math.atan2(dy, -(dz + byRoll))) <= wants.levelWithin + 1e-12;
    const away = Math.hypot(dx, dz + byPitch);
    const inTime = away >= nearest && away <= farthest;
    if (flat) level++;
    if (inTime) drop++;
    if (flat && inTime) holds++;
  });
  const plusMinus = spread.massCentre.map((s) => 2 * s);
  return {
    holds: holds / BUILDS,
    level: level / BUILDS,
    drop: drop / BUILDS,
    topHeavy: over / BUILDS,
    nil: [x, y, z + lowest].every((d, i) => Math.abs(d) <= plusMinus[i]!) && plusMinus[2]! > 0,
  };
}

/** Mass centre to the pin, m, for the longest and the shortest wanted drop: nearer is slower. Inertia kg m², mass kg, friction N m. */
function distancesFor(
  [least, most]: readonly [number, number],
  inertia: number,
  mass: number,
  friction: number,
): readonly [number, number] {
  const time = (distance: number): number =>
    Math.min(1e6, dropFromLevel(inertia, mass * STANDARD_GRAVITY * distance, friction));
  const [near, far] = [1e-8, 10];
  const at = (wanted: number): number =>
    time(far) >= wanted
      ? far
      : Math.exp(rootBetween((log) => time(Math.exp(log)) - wanted, Math.log(near), Math.log(far)));
  // A hair of rounding each way: what stands on its limit keeps it.
  return [at(most) * (1 - 1e-9), at(least) * (1 + 1e-9)];
}
