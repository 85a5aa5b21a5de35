/** All findings of frame and balance, gravest first. */
import { FRAME_CHECKS, type Judgement, type Severity } from '../2-frame';
import type { BalanceContext } from './balanceCheck';
import { BALANCE_CHECKS } from './checks';

const GRAVITY: Readonly<Record<Severity, number>> = { stop: 0, mend: 1, measure: 2, note: 3 };

export function judge(context: BalanceContext, advice: readonly Judgement[] = []): readonly Judgement[] {
  const frame = { rig: context.assembly.rig, assembly: context.assembly };
  const findings: readonly Judgement[] = [
    ...FRAME_CHECKS.flatMap((c) => c.look(frame)).map((f) => ({ ...f, stage: 'frame' as const })),
    ...advice,
    ...BALANCE_CHECKS.flatMap((c) => c.look(context).map((f) => ({ ...f, stage: c.stage }))),
  ];
  return [...findings].sort((a, b) => GRAVITY[a.severity] - GRAVITY[b.severity]);
}
