/** Whoever holds a rig, as lines on paper: arm, trunk, head and hand where the pose has them. */
import {
  besideRig,
  stancesOf,
  valuesInOrder,
  type AdjusterValues,
  type Hands,
  type Rig,
  type Stance,
  type Vec3,
} from '@tide-pebble/core';
import type { DrawnView } from './rig-drawing';

export interface DrawnPerson {
  readonly arm: string;
  readonly trunk: string;
  /** Centre and radius on paper, px. */
  readonly head: readonly [number, number, number];
  readonly hand: readonly [number, number];
}

/** One figure a hand, on one body, with z up; none for a hand that does not reach so far. */
export function holdersIn(rig: Rig, poseId: string | null, values: AdjusterValues, hands: Hands): readonly Stance[] {
  const pose = rig.poses.find((p) => p.id === poseId);
  return pose
    ? stancesOf(rig, pose, valuesInOrder(rig, values), hands)
        .slice(0, 2)
        .flatMap(({ stance }) => (stance.kind === 'reaches' ? [stance] : []))
    : [];
}

/** The same beside the rig as it is drawn. */
export function peopleIn(rig: Rig, poseId: string | null, values: AdjusterValues, hands: Hands): readonly Stance[] {
  const pose = rig.poses.find((p) => p.id === poseId);
  return pose ? holdersIn(rig, poseId, values, hands).map((s) => besideRig(pose, s)) : [];
}

export function drawnPerson(s: Stance, { place }: DrawnView, pixelsPerMetre: number): DrawnPerson {
  const at = (p: Vec3): string =>
    place(p)
      .map((x) => Math.round(x * 10) / 10)
      .join(' ');
  const line = (...points: readonly Vec3[]): string => `M${points.map(at).join('L')}`;
  const breast: Vec3 = [s.neck[0], s.neck[1], s.shoulder[2]];
  const [x, y] = place(s.head.centre);
  const [u, v] = place(s.hand);
  return {
    arm: line(s.shoulder, s.elbow, s.hand),
    trunk: line(s.neck, breast, s.shoulder, breast, s.hip),
    head: [x, y, s.head.radius * pixelsPerMetre],
    hand: [u, v],
  };
}

/** The corners of a figure, for the paper to have room for it. */
export const roomOf = ({ head, hip, shoulder, elbow, hand, neck }: Stance): readonly Vec3[] => [
  hip,
  shoulder,
  elbow,
  hand,
  neck,
  [head.centre[0], head.centre[1], head.centre[2] + head.radius],
  [head.centre[0] - head.radius, head.centre[1] - head.radius, head.centre[2]],
  [head.centre[0] + head.radius, head.centre[1] + head.radius, head.centre[2]],
];
