/** All findings of frame and balance, gravest first, and of those the one furthest beyond its limit. */
import { findingKey, toldApart, type Judgement, type Phrase, type Severity } from '../0-base';
import { FRAME_CHECKS } from '../2-frame';
import type { FrameContext } from '../2-frame/frameCheck';
import type { BalanceContext } from './balanceCheck';
import { BALANCE_CHECKS } from './checks';

const SEVERITY_ORDER: Readonly<Record<Severity, number>> = { stop: 0, mend: 2, measure: 3, note: 4 };
/** Without a load every figure is of another thing than what is wanted: that is said before what to mend. */
const BEFORE_MENDING = { code: 'nothingMounted', order: 1 };

type Advice = readonly Judgement[];
type Teller = (context: BalanceContext, frame: FrameContext, advice: () => Advice) => readonly Judgement[];
/** All that can tell a finding: what was told with the rig's design stands between the checks of frame and balance. */
const TELLERS: readonly Teller[] = [
  ...FRAME_CHECKS.map(
    (c): Teller =>
      (_context, frame) =>
        c.look(frame).map((f) => ({ ...f, stage: 'frame' as const })),
  ),
  (_context, _frame, advice) => advice(),
  ...BALANCE_CHECKS.map(
    (c): Teller =>
      (context) =>
        c.look(context).map((f) => ({ ...f, stage: c.stage })),
  ),
];

export function judge(context: BalanceContext, advice: Advice = []): readonly Judgement[] {
  const frame = frameOf(context);
  return TELLERS.flatMap((tell) => tell(context, frame, () => advice))
    .map(apart)
    .sort((a, b) => order(a) - order(b) || excess(b) - excess(a));
}

/** Asks again only what tells this finding now: a search that asks of hundreds of rigs whether it is gone need not make every check of each. */
export function askedAgain(
  context: BalanceContext,
  advice: () => Advice,
  finding: Pick<Judgement, 'code' | 'about' | 'place'>,
): (context: BalanceContext, advice: () => Advice) => boolean {
  const key = findingKey(finding);
  const isIt = (f: Judgement): boolean => findingKey(f) === key;
  const frame = frameOf(context);
  const tellers = TELLERS.filter((tell) => tell(context, frame, advice).some(isIt));
  return (now, then) => {
    const seen = frameOf(now);
    return tellers.some((tell) => tell(now, seen, then).some(isIt));
  };
}

const frameOf = ({ assembly, hands, cones, spaces, socket, values, evaluation }: BalanceContext): FrameContext => ({
  rig: assembly.rig,
  assembly,
  hands,
  cones,
  spaces,
  socket,
  values,
  pieces: evaluation.pieces,
});

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
