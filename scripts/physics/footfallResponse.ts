import { settledModes, shakenBy } from '@tide-pebble/core/strength';
import { frameOf } from '../frameCase';
import type { CaseKind, Given } from '../physicsCase';

export const footfallResponse: CaseKind = {
  kind: 'footfallResponse',
  compute: (given) => {
    const model = frameOf(given);
    const { system, modes } = settledModes(model, given['modes'])!;
    const answer = shakenBy(system, modes, {
      direction: given['base'].direction,
      frequency: given['base'].stepFrequency,
      harmonics: (given['base'].harmonics as readonly Given[]).map((h) => ({
        order: h['order'],
        amplitude: h['amplitude'],
        phase: h['phase'] ?? 0,
      })),
      damping: given['dampingRatio'],
      at: given['at'],
      ...(given['exposure'] === undefined ? {} : { exposure: given['exposure'] }),
    });
    return {
      frequencies: modes.map((m) => m.frequency),
      rotationRms: answer.rotation.rms,
      rotationPeak: answer.rotation.peak,
      displacementRms: answer.displacement.rms,
      displacementPeak: answer.displacement.peak,
      ...(answer.overExposure
        ? {
            rotationOverExposureRms: answer.overExposure.rms,
            rotationOverExposurePeak: answer.overExposure.peak,
          }
        : {}),
    };
  },
};
