/**
 * A frame as beams and rigid masses: nodes, members between them, springs at members' ends, links between nodes, supports, equipment, loads. Rig axes, SI.
 * A member's own axes: x from start to end, y the given direction made square to x, z = x × y.
 */
import type { Mat3, Vec3 } from '../../0-base';
import type { BeamMaterial, Theory } from './element';
import type { Section } from './section';

/** Six figures: along x y z, then about them. */
export type Six = readonly [number, number, number, number, number, number];

/** What gives between a node and a member's end, about and along the member's own axes; Infinity is rigid, nought is free. */
export interface EndSpring {
  /** N/m */
  readonly along: Vec3;
  /** N m/rad */
  readonly about: Vec3;
}
export interface FrameArc {
  readonly centre: Vec3;
  readonly axis: Vec3;
  /** Right-handed about the axis, from the start, rad. */
  readonly angle: number;
}
export interface FrameMember {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly section: Section;
  readonly material: BeamMaterial;
  /** Left out: any. */
  readonly yDirection?: Vec3;
  readonly arc?: FrameArc;
  readonly startSpring?: EndSpring;
  readonly endSpring?: EndSpring;
}
/** Two nodes joined by springs that meet at one place: `axes` has their x y z as rows. */
export interface FrameLink {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly at: Vec3;
  readonly axes: Mat3;
  readonly stiffness: Six;
}
export interface FrameSupport {
  readonly node: string;
  /** Held altogether. */
  readonly fixed?: readonly [boolean, boolean, boolean, boolean, boolean, boolean];
  /** Held by springs, N/m and N m/rad. */
  readonly stiffness?: Six;
}
export interface FrameEquipment {
  readonly node: string;
  readonly mass: number;
  /** From the node to its mass centre. */
  readonly offset: Vec3;
  /** About its own mass centre, kg m². */
  readonly inertia: Mat3;
}
export interface FrameLoad {
  readonly node: string;
  readonly force: Vec3;
  readonly moment: Vec3;
}
export interface FrameModel {
  readonly theory: Theory;
  readonly nodes: ReadonlyMap<string, Vec3>;
  readonly members: readonly FrameMember[];
  readonly links: readonly FrameLink[];
  readonly supports: readonly FrameSupport[];
  readonly equipment: readonly FrameEquipment[];
  readonly loads: readonly FrameLoad[];
}
