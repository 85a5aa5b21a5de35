import { heardRinging, lumpedStiffness, springHeard } from '@tide-pebble/core/strength';
import { frameOf } from '../frameCase';
import type { CaseKind } from '../physicsCase';

export const ringing: CaseKind = {
  kind: 'ringing',
  compute: (given) => {
    const heard = heardRinging({
      frameRate: given['frameRate'],
      frameUncertainty: given['frameUncertainty'],
      swings: given['swings'],
      amplitudes: given['amplitudes'],
    });
    const { naturalFrequency: f, frequencyUncertainty: u } = heard;
    const stiffnessAt = given['frame']
      ? (frequency: number) => springHeard(frameOf(given['frame']), given['unknown'], frequency, given['search'])
      : (frequency: number) => ({
          stiffness: lumpedStiffness(frequency, given['inertia'], given['gravityMoment'] ?? 0),
          ifRigid: null,
        });
    const at = stiffnessAt(f);
    const range = [stiffnessAt(f - 2 * u).stiffness, stiffnessAt(f + 2 * u).stiffness];
    return {
      ...heard,
      stiffness: at.stiffness,
      stiffnessRange: at.stiffness === null ? null : range,
      ...(at.stiffness === null && at.ifRigid !== null ? { frequencyIfRigid: at.ifRigid } : {}),
    };
  },
};
