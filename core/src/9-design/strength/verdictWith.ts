/** What is balanced and yet flimsy is not called good; nor what is not yet known to be firm. */
import { say } from '../../0-base';
import type { Verdict } from '../../3-balance';
import type { Firmness } from './firmness';

/** `firm`: null while it is worked out. */
export function verdictWith(verdict: Verdict, firm: Firmness | null): Verdict {
  if (verdict.kind !== 'holds') return verdict;
  if (!firm)
    return {
      ...verdict,
      kind: 'mayNot',
      title: say`Whether it is firm is being worked out.`,
      why: ['It is balanced: ', ...verdict.title],
    };
  const [worst] = firm.against;
  return worst
    ? {
        ...verdict,
        kind: worst.severity === 'stop' ? 'doesNot' : 'mayNot',
        title: worst.title,
        why: [...worst.why, ' It is balanced: ', ...verdict.title],
      }
    : verdict;
}
