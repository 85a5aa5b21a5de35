/** One answer for every screen: does it hold, may it not, does it not; by how likely it is of all builds that fit what was measured. */
import { figure, say, type Figure, type Judgement, type Phrase } from '../0-base';
import type { BalanceContext } from './balanceCheck';
import type { Odds } from './borne/way';
import { leadingWay, NOTHING_BEARS } from './borne/ways';

/** Holds: in 95 of 100 builds and more. Does not: in 5 of 100 and fewer. */
export const HOLDS_FROM = 0.95;
export const DOES_NOT_TO = 0.05;

export interface Verdict {
  readonly kind: 'holds' | 'mayNot' | 'doesNot';
  /** That it holds, of one; null where no odds can be told. */
  readonly odds: number | null;
  readonly title: Phrase;
  readonly why: Phrase;
  /** The finding that says so, which lists show with what to do; null where the odds do. */
  readonly against: Judgement | null;
}

/** What stands against it comes first; where nothing does, how likely the figures are, by the way it is borne. */
export function verdictOf(context: BalanceContext, findings: readonly Judgement[]): Verdict {
  const { evaluation } = context;
  const way = leadingWay(evaluation);
  const borne = way && evaluation.loadMass > 0 ? byOdds(way.odds(context)) : null;
  const against = findings.find((f) => f.severity === 'stop' || f.severity === 'mend');
  if (against) {
    // What is wrong elsewhere does not keep it from being balanced: that is told beside it.
    const beside =
      borne && against.stage !== 'balance' ? [' Apart from that: ', ...borne.title, ' ', ...borne.why] : [];
    return { kind: 'doesNot', odds: null, title: against.title, why: [...against.why, ...beside], against };
  }
  const unknown = findings.find((f) => f.severity === 'measure');
  if (borne) return unknown ? withUnknown(borne, unknown) : borne;
  if (unknown) return { kind: 'mayNot', odds: null, title: unknown.title, why: unknown.why, against: unknown };
  const nothing = way
    ? { title: say`Nothing is mounted: every figure is of the bare rig.`, why: say`Mount what it should carry.` }
    : { title: [NOTHING_BEARS], why: say`Until then no figure says whether it is balanced.` };
  return { kind: 'mayNot', odds: null, ...nothing, against: null };
}

const in100 = (share: number): Figure => figure('count', Math.min(99, Math.max(1, Math.round(share * 100))));
const joined = (sentences: readonly Phrase[]): Phrase => sentences.flatMap((s, i) => (i > 0 ? [' ', ...s] : s));

function byOdds({ holds, title, does, mayNot, hardly, besides, besidesHardly = [] }: Odds): Verdict {
  const told = { odds: holds, against: null };
  if (holds === null)
    return {
      ...told,
      kind: 'mayNot',
      title: mayNot,
      why: joined([say`How far its figures may be off cannot be told here.`, ...besides]),
    };
  if (holds >= HOLDS_FROM)
    return {
      ...told,
      kind: 'holds',
      title,
      why: joined([say`So would 95 in 100 builds and more that fit what you measured.`, ...besides]),
    };
  if (holds <= DOES_NOT_TO)
    return {
      ...told,
      kind: 'doesNot',
      title: hardly,
      why: joined([
        say`Of builds that fit what you measured, fewer than 5 in 100 would ${does}.`,
        ...besidesHardly,
        ...besides,
      ]),
    };
  return {
    ...told,
    kind: 'mayNot',
    title: mayNot,
    why: joined([say`Of builds that fit what you measured, ${in100(1 - holds)} in 100 would not ${does}.`, ...besides]),
  };
}

/** Something is only guessed: that is said first, and the odds beside it. */
const withUnknown = (verdict: Verdict, unknown: Judgement): Verdict => ({
  ...verdict,
  kind: verdict.kind === 'holds' ? 'mayNot' : verdict.kind,
  title: unknown.title,
  why: [...unknown.why, ' By the figures as they are: ', ...verdict.title, ' ', ...verdict.why],
  against: unknown,
});
