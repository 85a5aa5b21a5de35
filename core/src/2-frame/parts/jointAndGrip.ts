/** A universal joint on bearings with its hand grip: the upper half goes with the rig, all below the pivot is held. */
import type { Part } from '../../model';

const GRIP_RADIUS = 0.0165;

/** Upper half between the bar's underside (`height` above the pivot) and the pivot at the origin. */
export const upperJoint = (height: number): Part => ({
  id: 'joint-upper',
  name: 'joint, upper half',
  shape: { kind: 'tube', outerRadius: 0.009, innerRadius: 0, length: height },
  at: [0, 0, height / 2],
  material: 'steel',
  mass: { value: 0.038, spread: 0.003, source: 'mass of joint, upper half' },
  supply: { item: 'universal joint with two bearings', packOf: 1, packPrice: 9.9 },
});

/** What the hand holds: the lower half of the joint and the grip below it. */
export function lowerJointAndGrip(gripLength: number): readonly Part[] {
  const joint = 0.02;
  return [
    {
      id: 'joint-lower',
      name: 'joint, lower half with bearing',
      shape: { kind: 'tube', outerRadius: 0.011, innerRadius: 0, length: joint },
      at: [0, 0, -joint / 2],
      material: 'steel',
      mass: { value: 0.046, spread: 0.003, source: 'mass of joint, lower half' },
    },
    {
      id: 'grip',
      name: 'hand grip',
      shape: { kind: 'tube', outerRadius: GRIP_RADIUS, innerRadius: 0.006, length: gripLength },
      at: [0, 0, -joint - gripLength / 2],
      material: 'rubberFoam',
      supply: { item: 'foam grip on a sleeve', packOf: 1, packPrice: 5.4 },
    },
  ];
}
