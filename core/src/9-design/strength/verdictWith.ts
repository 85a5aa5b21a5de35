/** What is balanced and yet flimsy is not called good. */
import type { Verdict } from '../../3-balance';
import type { StrengthWord } from './strengthSheet';

/** `worst`: what strength says against it, gravest first; null: nothing. */
export const verdictWith = (verdict: Verdict, worst: StrengthWord | null): Verdict =>
  verdict.kind !== 'holds' || !worst
    ? verdict
    : {
        ...verdict,
        kind: worst.severity === 'stop' ? 'doesNot' : 'mayNot',
        title: worst.title,
        why: [...worst.why, ' It is balanced: ', ...verdict.title],
      };
