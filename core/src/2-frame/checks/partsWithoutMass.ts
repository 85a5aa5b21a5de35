/** What the assembly could not place or weigh, said in words. */
import { say } from '../../0-base';
import type { FrameCheck } from '../frameCheck';

export const partsWithoutMass: FrameCheck = {
  id: 'partsWithoutMass',
  look: ({ assembly }) =>
    assembly.faults.map((fault) => ({
      code: 'notCounted',
      severity: 'stop' as const,
      about: fault.about,
      figure: null,
      limit: null,
      title: say`${fault.reason}`,
      why: say`It is left out of every figure until this is mended.`,
      toDo: say`Mend it in the rig, then look again.`,
      fixes: [],
    })),
};
