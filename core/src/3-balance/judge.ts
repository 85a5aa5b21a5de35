/** All findings of frame and balance, gravest first. */
import { FRAME_CHECKS, type Finding, type Severity } from '../2-frame';
import type { BalanceContext } from './balanceCheck';
import { BALANCE_CHECKS } from './checks';

const GRAVITY: Readonly<Record<Severity, number>> = { stop: 0, mend: 1, measure: 2, note: 3 };

export function judge(context: BalanceContext, advice: readonly Finding[] = []): readonly Finding[] {
  const frame = { rig: context.assembly.rig, assembly: context.assembly };
  const findings = [...FRAME_CHECKS.flatMap((c) => c.look(frame)), ...advice, ...BALANCE_CHECKS.flatMap((c) => c.look(context))];
  return findings.sort((a, b) => GRAVITY[a.severity] - GRAVITY[b.severity]);
}
