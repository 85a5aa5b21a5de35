/**
 * The one statement of axes and signs. Rig axes are right-handed: x forward (the way the lens looks), y to the camera's
 * left, z up when the rig is held level. Roll is about x, pitch about y, pan about z; positive turns follow the right
 * hand, so a positive pitch brings the nose DOWN and a positive roll brings the left side UP.
 * Inertia tensors carry the minus sign: Ixy = -integral(x y dm).
 */
import type { Vec3 } from './vec';

export const FORWARD: Vec3 = [1, 0, 0];
export const LEFT: Vec3 = [0, 1, 0];
export const UP: Vec3 = [0, 0, 1];
export const DOWN: Vec3 = [0, 0, -1];

/** Standard gravity, m/s². CODATA defined value; the cases use it, do not touch. */
export const STANDARD_GRAVITY = 9.80665;
