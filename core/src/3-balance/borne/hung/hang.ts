/** How a rig rests when hung on a free point: level, its lean both ways, or that it turns over. */
import { length, scale, type Vec3 } from '../../../0-base';
import { STANDARD_GRAVITY } from '../../../0-base';

/** Below this the mass centre is on the pivot for any bench's purpose, m; the cases state it. Not to be scaled. */
const NEUTRAL = 1e-9;

export interface Hang {
  readonly state: 'hangs' | 'topHeavy' | 'neutral';
  /** From the pivot to the mass centre, rig axes, m. */
  readonly fromPivot: Vec3;
  /** How far the mass centre lies under the pivot, m; negative is above. */
  readonly bottomHeaviness: number;
  /** The rest, when it hangs. */
  readonly rest: Rest | null;
  readonly friction: DeadBand | null;
}

export interface Rest {
  /** World up in rig axes. */
  readonly up: Vec3;
  /** Lens above the horizon, and the camera's left side above it, rad. */
  readonly lensElevation: number;
  readonly leftElevation: number;
  /** Seen square-on: positive is nose down, and left side down, rad. */
  readonly noseDown: number;
  readonly leftSideDown: number;
}

export interface DeadBand {
  /** Half width of the band in which friction holds it, rad; null when it stays anywhere. */
  readonly halfWidth: number | null;
  readonly staysAnywhere: boolean;
}

/**
 * d = mass centre - pivot (m, rig axes). At rest d points straight down, so world up is -d/|d|. With d.z ≥ 0 the rig
 * turns over and no angle is given. Friction torque (N m) holds it within ±asin(tf/(M g |d|)); docs/sources.md, Level.
 */
export function hang(fromPivot: Vec3, mass: number, frictionTorque: number | null = null): Hang {
  const size = length(fromPivot);
  const bottomHeaviness = -fromPivot[2] + 0;
  const friction = frictionTorque === null ? null : deadBand(frictionTorque, mass * STANDARD_GRAVITY * size);
  if (size < NEUTRAL) return { state: 'neutral', fromPivot, bottomHeaviness, rest: null, friction };
  if (fromPivot[2] >= 0) return { state: 'topHeavy', fromPivot, bottomHeaviness, rest: null, friction };
  return { state: 'hangs', fromPivot, bottomHeaviness, rest: restWithUp(scale(fromPivot, -1 / size)), friction };
}

/** The angles of a rest from the world's up direction in rig axes. */
export function restWithUp(up: Vec3): Rest {
  return {
    up,
    lensElevation: Math.asin(up[0]),
    leftElevation: Math.asin(up[1]),
    noseDown: Math.atan2(-up[0], up[2]),
    leftSideDown: Math.atan2(-up[1], up[2]),
  };
}

function deadBand(torque: number, righting: number): DeadBand {
  if (torque >= righting) return { halfWidth: null, staysAnywhere: true };
  return { halfWidth: Math.asin(torque / righting), staysAnywhere: false };
}

/** Travel of a stage (m along its unit direction) that brings d to zero along it, and the lean a metre gives there. */
export function stageToLevel(
  fromPivot: Vec3,
  mass: number,
  stageMass: number,
  direction: Vec3,
): { move: number; elevationPerMetre: number } {
  const along = fromPivot[0] * direction[0] + fromPivot[1] * direction[1] + fromPivot[2] * direction[2];
  const perMetre = stageMass / mass;
  const move = -along / perMetre;
  const after: Vec3 = [
    fromPivot[0] - along * direction[0],
    fromPivot[1] - along * direction[1],
    fromPivot[2] - along * direction[2],
  ];
  return { move, elevationPerMetre: -perMetre / length(after) };
}
