/** A hole: what is tried on scrap first, and what to do when it is off or its thread has gone. */
import { say } from '../0-base';
import type { BuildStep } from './step';
import type { Worked } from './workedAs';

/** `thread`: cut in it by a tap, or by the bolt itself; null for a plain hole. */
export function drillCare(worked: Worked, thread: 'tap' | 'bolt' | null): Pick<BuildStep, 'trial' | 'wrong'> {
  if (!thread) return { wrong: say`${worked.holeOff}` };
  return {
    trial:
      thread === 'bolt'
        ? say`Drill a scrap of the same stuff first and turn the bolt in: it must go by hand, and not fall through.`
        : say`Drill and tap a scrap first: bits cut wider than they are marked.`,
    wrong: say`${worked.holeOff} A thread that has torn out takes the next larger screw, or a longer one with a nut behind.`,
  };
}
