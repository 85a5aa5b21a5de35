import { aboutAxis, equivalentPendulum as pendulum } from '@tide-pebble/core';
import { sumsOfBodies, type CaseKind, type Given } from '../physicsCase';

export const equivalentPendulum: CaseKind = {
  kind: 'equivalentPendulum',
  compute: (given) => {
    const sums = given['bodies'] ? sumsOfBodies(given['bodies']) : null;
    const axes: Given = sums ? {} : given['axes_'];
    const about = (axis: 'pitch' | 'roll'): Given | null => {
      const lumped = axes[axis];
      if (!sums && !lumped) return null;
      const { inertia, distance } = sums
        ? aboutAxis(sums, given['pivot'] ?? [0, 0, 0], axis)
        : { inertia: lumped.inertiaAboutAxis, distance: lumped.massCentreDistance };
      const found = pendulum(sums?.mass ?? given['mass'], inertia, distance);
      return (
        found && {
          equivalentLength: found.length,
          dropTimeFromLevel: found.dropFromLevel,
          smallSwingPeriod: found.smallSwingPeriod,
        }
      );
    };
    return { pitch: about('pitch'), roll: about('roll') };
  },
};
