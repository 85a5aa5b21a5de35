/** The thread through the stages: the one next thing to do, worked out from what is missing, in the order of the work. */
import { figure, say, type Judgement, type Phrase } from '../0-base';
import { coverageOf } from '../1-load/coverage';
import { METHODS } from '../1-load/methods';
import { nextMeasureWords } from '../1-load/loadWords';
import { sawNothing, type Verdict } from '../3-balance';
import type { AdjusterValues } from '../2-frame';
import type { KitItem, Loadout, LogEntry, RigDocument } from '../model';
import { leansReadRight } from './learn/lastSays';
import type { Firmness } from './strength/firmness';

export const WORK = ['shelf', 'load', 'frame', 'balance', 'strength', 'stock', 'build', 'field', 'log'] as const;
export type Stage = (typeof WORK)[number];

export interface RigSoFar {
  readonly rig: RigDocument;
  readonly loadout: Loadout | null;
  /** As it is set. */
  readonly values: AdjusterValues;
  readonly findings: readonly Judgement[];
  /** By what is balanced alone; `firm` is asked for itself. */
  readonly verdict: Verdict;
  /** Something on it can be set, and nothing ever was. */
  readonly isUnset: boolean;
}
/** What is there so far; null: not there, or not yet worked out. */
export interface WorkSoFar {
  readonly kit: ReadonlyMap<string, KitItem>;
  readonly bench: RigSoFar | null;
  readonly firm: Firmness | null;
  readonly toBuy: { readonly lines: number; readonly cost: number } | null;
  /** Of its steps the first that is not done, and how many are not. */
  readonly step: { readonly title: Phrase; readonly left: number } | null;
  readonly isBuilt: boolean;
  readonly log: readonly LogEntry[];
}
export interface NextThing {
  readonly stage: Stage;
  /** The sheet of the stage where it is done; else the stage itself. */
  readonly sheet: string | null;
  readonly title: Phrase;
  readonly why: Phrase;
  /** What comes after it would stand on sand: it is said in every later stage too. */
  readonly first: boolean;
  /** Its own stage tells why in full: there it need not be said twice. */
  readonly isTold: boolean;
}

type Ask = (work: WorkSoFar) => NextThing | null;
type Thing = Omit<NextThing, 'sheet' | 'first' | 'isTold'> & Partial<NextThing>;
const thing = (t: Thing): NextThing => ({ sheet: null, first: false, isTold: false, ...t });

/** In the order of the work; each answers from what is missing, or not at all. */
const ASKS: readonly Ask[] = [
  ({ bench }) =>
    bench
      ? null
      : thing({
          stage: 'shelf',
          sheet: 'first',
          first: true,
          title: say`Answer four questions, and take one of three rigs`,
          why: say`They come ready for your camera, your bin and your time.`,
        }),
  ({ kit }) =>
    kit.size > 0
      ? null
      : thing({
          stage: 'load',
          first: true,
          title: say`Add your camera`,
          why: say`Everything else is sized to it: its mass, its size and where its screw goes in.`,
        }),
  ({ bench }) =>
    bench && !bench.loadout?.items.length
      ? thing({
          stage: 'load',
          first: true,
          title: say`Mount what ${bench.rig.name} should carry`,
          why: say`Until then every figure is of the bare rig.`,
        })
      : null,
  inTheWay('load'),
  toMeasure,
  inTheWay('frame'),
  inTheWay('balance'),
  ({ bench }) =>
    bench?.isUnset ? thing({ stage: 'balance', first: true, title: say`Trim it`, why: bench.verdict.title }) : null,
  ({ firm }) => {
    const worst = firm?.against[0];
    return worst
      ? thing({ stage: 'strength', isTold: true, title: say`See what would make it firmer`, why: worst.title })
      : null;
  },
  ({ toBuy, isBuilt }) =>
    toBuy && toBuy.lines > 0 && !isBuilt
      ? thing({
          stage: 'stock',
          title:
            toBuy.lines === 1
              ? say`Buy the one thing that is missing`
              : say`Buy the ${`${toBuy.lines}`} things missing`,
          why: say`About ${figure('money', toBuy.cost)} in all. What lies in your bin is taken off.`,
        })
      : null,
  ({ step }) =>
    step
      ? thing({
          stage: 'build',
          title: step.title,
          why: step.left === 1 ? say`It is the last step.` : say`${`${step.left}`} steps are left.`,
        })
      : null,
  ({ bench, isBuilt, log }) =>
    bench && isBuilt && !log.some((e) => e.rig === bench.rig.id && !sawNothing(e.seen))
      ? thing({
          stage: 'log',
          title: say`Hang it, let it go, and write down what you see`,
          why: say`One reading tells how far your ${bench.rig.name} is from its drawing, and the next move.`,
        })
      : null,
  ({ bench, log }) =>
    bench && log.some((e) => e.rig === bench.rig.id && !sawNothing(e.seen))
      ? thing({
          stage: 'field',
          title: say`Take ${bench.rig.name} out`,
          why: say`Its card tells how it is set up, and what to look at before each take.`,
        })
      : null,
];

/** What stands against the rig in one stage, gravest first. */
function inTheWay(stage: 'load' | 'frame' | 'balance'): Ask {
  return ({ bench, log }) => {
    const seen = bench ? seenRight(bench, log) : [];
    const here = bench?.findings.filter((f) => f.stage === stage && !seen.includes(f.code)) ?? [];
    const worst = here.find((f) => f.severity === 'stop') ?? here.find((f) => f.severity === 'mend');
    return worst ? thing({ stage, first: true, isTold: true, title: worst.toDo, why: worst.title }) : null;
  };
}

/** What is reckoned against each lean. */
const LEANS: Readonly<Record<string, string>> = { noseDown: 'notLevelForeAft', leftSideDown: 'notLevelSideways' };

/** What the figures say against it, and the last reading, set so, does not: the real rig is right. */
function seenRight({ rig, loadout, values }: RigSoFar, log: readonly LogEntry[]): readonly string[] {
  const own = log.filter(
    (e) => e.rig === rig.id && (e.loadout ?? null) === (loadout?.id ?? null) && !sawNothing(e.seen),
  );
  const last = own.reduce<LogEntry | undefined>((a, b) => (a && a.when > b.when ? a : b), undefined);
  return leansReadRight(last, values, rig.wants).flatMap((kind) => LEANS[kind] ?? []);
}

/** Measuring is asked for while it is in doubt whether the rig holds, and only where it tells a good deal. */
const WORTH_IT = 0.8;

function toMeasure({ kit, bench }: WorkSoFar): NextThing | null {
  if (!bench?.loadout) return null;
  const { next } = coverageOf([bench.loadout], kit);
  if (!next || bench.verdict.kind === 'holds' || next.after > WORTH_IT * next.before) return null;
  const item = kit.get(next.item);
  const [way] = METHODS.filter((m) => m.finds === next.what).sort((a, b) => a.reach - b.reach);
  if (!item || !way) return null;
  const { what, along } = nextMeasureWords(next, item.name);
  const length = (value: number) => figure('length', 2 * value, 1);
  return thing({
    stage: 'load',
    sheet: item.id,
    title: [what],
    why: say`${way.minutes === 1 ? 'A minute' : `${way.minutes} minutes`}; then the mass centre is known to ${length(next.after)} ${along} instead of ${length(next.before)}.`,
  });
}

/** The one next thing as seen from a stage: what stands in the way of it, else its own, else the next in the order of the work; null: nothing is missing. */
export function nextThing(work: WorkSoFar, here: Stage): NextThing | null {
  const at = ({ stage }: NextThing): number => WORK.indexOf(stage) - WORK.indexOf(here);
  const asked = ASKS.flatMap((ask) => ask(work) ?? []);
  return (
    asked.find((t) => t.first && at(t) < 0) ??
    asked.find((t) => at(t) === 0) ??
    asked.find((t) => at(t) > 0) ??
    asked[0] ??
    null
  );
}
