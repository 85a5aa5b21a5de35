import { settledModes } from '@tide-pebble/core/strength';
import { frameOf } from '../frameCase';
import type { CaseKind } from '../physicsCase';

/** Below this a mode is felt at each step, Hz. */
const FELT = 8;

export const frameModes: CaseKind = {
  kind: 'frameModes',
  compute: (given) => {
    void given['closedForm']; // how the case was checked
    const frequencies = settledModes(frameOf(given), given['modes'] ?? 6)!.modes.map((m) => m.frequency);
    return { frequencies, firstModeFelt: frequencies[0]! < FELT };
  },
};
