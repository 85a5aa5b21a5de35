/** All findings of frame and balance, gravest first, and of those the one furthest beyond its limit. */
import { toldApart, type Judgement, type Phrase, type Severity } from '../0-base';
import { FRAME_CHECKS } from '../2-frame';
import type { BalanceContext } from './balanceCheck';
import { BALANCE_CHECKS } from './checks';

const SEVERITY_ORDER: Readonly<Record<Severity, number>> = { stop: 0, mend: 2, measure: 3, note: 4 };
/** Without a load every figure is of another thing than what is wanted: that is said before what to mend. */
const BEFORE_MENDING = { code: 'nothingMounted', order: 1 };

export function judge(context: BalanceContext, advice: readonly Judgement[] = []): readonly Judgement[] {
  const { assembly, hands, cones, spaces, socket, values } = context;
  const frame = {
    rig: assembly.rig,
    assembly,
    hands,
    cones,
    spaces,
    socket,
    values,
    pieces: context.evaluation.pieces,
  };
  const findings: readonly Judgement[] = [
    ...FRAME_CHECKS.flatMap((c) => c.look(frame)).map((f) => ({ ...f, stage: 'frame' as const })),
    ...advice,
    ...BALANCE_CHECKS.flatMap((c) => c.look(context).map((f) => ({ ...f, stage: c.stage }))),
  ];
  return findings.map(apart).sort((a, b) => order(a) - order(b) || excess(b) - excess(a));
}

/** A figure is shown with the digits that separate it from its limit: "takes 1.8 s; you want 1.8 s to 2.4 s" says nothing. */
function apart(finding: Judgement): Judgement {
  const { figure, limit, title, why } = finding;
  if (!figure || figure.kind !== limit?.kind) return finding;
  const told = (phrase: Phrase): Phrase => toldApart(phrase, figure.kind, figure.value, limit.value);
  return { ...finding, title: told(title), why: told(why) };
}

/** How many times a figure is beyond its limit, either way; 1 where there is none to compare. */
function excess({ figure, limit }: Judgement): number {
  if (!figure || !limit || !(figure.value > 0) || !(limit.value > 0)) return 1;
  return Math.max(figure.value / limit.value, limit.value / figure.value);
}

function order({ code, severity }: Judgement): number {
  return code === BEFORE_MENDING.code ? BEFORE_MENDING.order : SEVERITY_ORDER[severity];
}
