/** What a spread means with the rig in the hand: how far which screw may have to go, whether there is travel for it, and what to measure to make it less. */
import { figure, say, sourceWords, unit, type Phrase } from '../../0-base';
import { valuesInOrder } from '../../2-frame';
import type { Adjuster } from '../../model';
import type { BalanceContext } from '../balanceCheck';
import { someTurns } from '../adjusters/fixByAdjuster';
import type { Contribution } from './spread';

export interface SpreadOnBench {
  readonly axis: 'foreAft' | 'sideways';
  /** Two standard uncertainties of the mass centre that way, m. */
  readonly plusMinus: number;
  /** The adjuster that takes it up: how far it may have to go either way, m, and how far it can, the nearer end. Null: none moves it that way. */
  readonly screw: {
    readonly id: string;
    readonly name: string;
    readonly goes: number;
    readonly left: number;
    readonly turns: number | null;
  } | null;
  readonly shrinkBy: Contribution | null;
}

/** An adjuster serves a way that it mostly runs along. */
const ALONG = 0.7;
/** Moves of less than this part of itself are no lever on the mass centre. */
const LEAST_EFFECT = 1e-4;

/** Of a rig that hangs, both ways; empty for others, and where nothing is unsure. */
export function spreadOnBench({
  assembly,
  values,
  evaluation,
  quick,
}: Pick<BalanceContext, 'assembly' | 'values' | 'evaluation' | 'quick'>): readonly SpreadOnBench[] {
  const { hung } = evaluation;
  if (!hung || !quick || hung.hang.state !== 'hangs') return [];
  const inOrder = valuesInOrder(assembly.rig, values);
  return (
    [
      [0, 'foreAft', hung.spread.largestForeAft],
      [1, 'sideways', hung.spread.largestSideways],
    ] as const
  ).flatMap(([i, axis, shrinkBy]) => {
    const plusMinus = 2 * hung.spread.massCentre[i];
    return plusMinus > 0 ? [{ axis, plusMinus, screw: screwFor(i, plusMinus), shrinkBy }] : [];
  });

  function screwFor(i: 0 | 1, plusMinus: number): SpreadOnBench['screw'] {
    let best: { readonly adjuster: Adjuster; readonly goes: number; readonly left: number } | null = null;
    for (const [n, adjuster] of assembly.rig.adjusters.entries()) {
      if (adjuster.kind === 'count' || !adjuster.axis || Math.abs(unit(adjuster.axis)[i]) < ALONG) continue;
      const here = inOrder[n]!;
      const there = here + adjuster.step <= adjuster.range[1] ? here + adjuster.step : here - adjuster.step;
      const effect =
        (quick!.at({ ...values, [adjuster.id]: there }).fromPivot[i] - quick!.at(values).fromPivot[i]) / (there - here);
      if (!(Math.abs(effect) > LEAST_EFFECT)) continue;
      const one = {
        adjuster,
        goes: plusMinus / Math.abs(effect),
        left: Math.max(0, Math.min(here - adjuster.range[0], adjuster.range[1] - here)),
      };
      // One with room for it; of those the finer.
      const roomy = (o: typeof one): number => Number(o.left >= o.goes);
      if (!best || roomy(one) > roomy(best) || (roomy(one) === roomy(best) && adjuster.step < best.adjuster.step))
        best = one;
    }
    return (
      best && {
        id: best.adjuster.id,
        name: best.adjuster.name,
        goes: best.goes,
        left: best.left,
        turns: best.adjuster.perTurn ? best.goes / best.adjuster.perTurn : null,
      }
    );
  }
}

/** What to do about the largest part of it. */
function measureFirst({ what, source }: Contribution): string {
  const words = sourceWords(source);
  if (words.startsWith('density of ')) return `Weigh what is made of ${words.slice('density of '.length)}`;
  if (what === 'mass') return `Weigh the ${words.replace(/^mass of /, '')}`;
  return what === 'centre' ? `Balance the ${words.replace(/^mass centre of /, '')}` : `Measure ${words}`;
}

/** "Fore and aft: up to 1 1/2 turns of the fine screw either way, and there is room for it. Balance the lens first: it makes 80 % of this." */
export function spreadWords({ axis, plusMinus, screw, shrinkBy }: SpreadOnBench): Phrase {
  const way = axis === 'foreAft' ? 'Fore and aft' : 'Sideways';
  const move: Phrase =
    screw === null
      ? say`${way} the mass centre is known to ± ${figure('length', plusMinus, 1)}, and nothing on this rig takes that up.`
      : [
          ...say`${way} it may take up to ${screw.turns === null ? figure('length', screw.goes, 1) : someTurns(screw.turns)} of “${screw.name}” either way`,
          ...(screw.left >= screw.goes
            ? say`; there is room for it.`
            : say`; only ${figure('length', screw.left, 1)} is left on its nearer side.`),
        ];
  if (!shrinkBy) return move;
  return [
    ...move,
    ...say` ${measureFirst(shrinkBy)} first: ${figure('percent', shrinkBy.share, 0)} of this comes from it.`,
  ];
}
