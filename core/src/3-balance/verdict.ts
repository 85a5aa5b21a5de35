/** One answer for every screen: does it hold, may it not, does it not; by how likely it is of all builds that fit what was measured. */
import { figure, say, type Figure, type Judgement, type Phrase } from '../0-base';
import type { Wants } from '../model';
import type { Evaluation, Hung } from './evaluate';
import { likelyOf } from './borne/hung/likely';

/** Holds: in 95 of 100 builds and more. Does not: in 5 of 100 and fewer. */
export const HOLDS_FROM = 0.95;
export const DOES_NOT_TO = 0.05;
/** Turning over is said from one build in a hundred. */
const SAID_FROM = 0.01;

export interface Verdict {
  readonly kind: 'holds' | 'mayNot' | 'doesNot';
  /** That it holds, of one; null where no odds can be told. */
  readonly odds: number | null;
  readonly title: Phrase;
  readonly why: Phrase;
  /** The finding that says so, which lists show with what to do; null where the odds do. */
  readonly against: Judgement | null;
}

/** What stands against it comes first; where nothing does, how likely the figures are. */
export function verdictOf(evaluation: Evaluation, findings: readonly Judgement[], wants: Wants): Verdict {
  const against = findings.find((f) => f.severity === 'stop' || f.severity === 'mend');
  if (against)
    return {
      kind: 'doesNot',
      odds: null,
      title: against.title,
      why: [...against.why, ...asItHangs(evaluation, against, wants)],
      against,
    };
  const unknown = findings.find((f) => f.severity === 'measure');
  const { hung } = evaluation;
  if (hung && evaluation.loadMass > 0)
    return unknown ? withUnknown(hungVerdict(hung, wants), unknown) : hungVerdict(hung, wants);
  if (unknown) return { kind: 'mayNot', odds: null, title: unknown.title, why: unknown.why, against: unknown };
  if (evaluation.loadMass === 0)
    return {
      kind: 'mayNot',
      odds: null,
      title: say`Nothing is mounted: every figure is of the bare rig.`,
      why: say`Mount what it should carry.`,
      against: null,
    };
  const [held] = evaluation.held;
  const where =
    evaluation.axes.length > 0
      ? say`What is left on its axes is hidden by their friction.`
      : evaluation.pole
        ? say`The pole rests and spins as it should.`
        : held && held.bears.length > 0
          ? say`Shoulder, chest and hands bear it within what is comfortable.`
          : held
            ? say`What tips in the wrist is within what you want.`
            : say`No check speaks against it.`;
  return {
    kind: 'holds',
    odds: null,
    title: where,
    why: say`By the figures as they are; how far these may be off is not reckoned in.`,
    against: null,
  };
}

/** What is wrong elsewhere does not keep it from hanging: that is told beside it. */
function asItHangs({ hung, loadMass }: Evaluation, against: Judgement, wants: Wants): Phrase {
  if (!hung || loadMass === 0 || against.stage === 'balance') return [];
  const { title, why } = hungVerdict(hung, wants);
  return [' As for how it hangs: ', ...title, ' ', ...why];
}

function hungVerdict(hung: Hung, wants: Wants): Verdict {
  const likely = likelyOf(hung, wants);
  const in100 = (share: number): Figure => figure('count', Math.min(99, Math.max(1, Math.round(share * 100))));
  const over = likely.topHeavy >= SAID_FROM ? say` ${in100(likely.topHeavy)} in 100 would turn over.` : [];
  const nil = likely.nil
    ? say` How far its mass centre lies from the joint is no more than its plus-minus: it may be neutral.`
    : [];
  if (likely.holds >= HOLDS_FROM)
    return {
      kind: 'holds',
      odds: likely.holds,
      title: say`It hangs level and rights itself in the time you want.`,
      why: say`So would 95 in 100 builds and more that fit what you measured.`,
      against: null,
    };
  const builds = say`Of builds that fit what you measured, `;
  if (likely.holds <= DOES_NOT_TO)
    return {
      kind: 'doesNot',
      odds: likely.holds,
      title: say`Set by these figures alone it will hardly hang level and in time: hang it, and finish with the screws.`,
      why: [
        ...builds,
        ...say`fewer than 5 in 100 would hang level and in time: level ${in100(likely.level)} in 100, in time ${in100(likely.drop)} in 100.`,
        ...over,
        ...nil,
      ],
      against: null,
    };
  return {
    kind: 'mayNot',
    odds: likely.holds,
    title: say`It should hang level and right itself in time, but may not: hang it before you trust it.`,
    why: [...builds, ...say`${in100(1 - likely.holds)} in 100 would not hang level and in time.`, ...over, ...nil],
    against: null,
  };
}

/** Something is only guessed: that is said first, and the odds beside it. */
const withUnknown = (verdict: Verdict, unknown: Judgement): Verdict => ({
  ...verdict,
  kind: verdict.kind === 'holds' ? 'mayNot' : verdict.kind,
  title: unknown.title,
  why: [...unknown.why, ' ', ...verdict.why],
  against: unknown,
});
