/** What is traded for what: the lightest set-up, and the calmest, for each drop time that can be had; each best of its kind. */
import type { AdjusterValues, Assembly } from '../../2-frame';
import type { Wants } from '../../model';
import { supportOf } from '../borne/support';
import { dropOnJoint } from './conditions';
import { solveTrim, type Aim } from './solveTrim';
import { trimProblem } from './trimProblem';
import { valuesOf } from './trim';
import { wantedOf } from './wantedOf';

export interface TradePoint {
  readonly aim: Extract<Aim, 'lightest' | 'calmest'>;
  readonly values: AdjusterValues;
  readonly added: number;
  readonly dropPitch: number;
  /** About the pivot, kg m². */
  readonly inertiaRoll: number;
  readonly inertiaPitch: number;
}

/** Drop times looked at, s: quicker snaps, slower is neutral by any bench. */
const [FROM, TO, SLICE] = [0.8, 4.4, 0.2];

/** Level and upright stay as wanted; the drop is each slice in turn. Empty for a rig that does not hang. */
export function tradeCurve(
  assembly: Assembly,
  values: AdjusterValues,
  wants: Wants,
  tell: (part: number) => void = () => undefined,
): readonly TradePoint[] {
  const support = supportOf(assembly.rig);
  if (support?.kind !== 'pivot') return [];
  const slices = Array.from({ length: Math.round((TO - FROM) / SLICE) }, (_, i) => FROM + i * SLICE);
  const found = slices.flatMap((from, i) => {
    tell(i / slices.length);
    const { dropRoll: _roll, ...rest } = wants;
    const wanted = wantedOf(assembly, values, { ...rest, dropTime: [from, from + SLICE] })!;
    const mass = wanted.wishes.filter((w) => w.id === 'mass' || w.id === 'added');
    return (['lightest', 'calmest'] as const).flatMap((aim): readonly TradePoint[] => {
      // The calmest of all would be the heaviest of all: it keeps to the mass that is wanted.
      const problem = trimProblem(
        assembly,
        values,
        wanted.borne,
        aim === 'calmest' ? [...wanted.firm, ...mass] : wanted.firm,
      );
      const solved = solveTrim(problem, aim);
      if (solved.kind === 'none') return [];
      const [best] = solved.best;
      const { about } = best!.settled;
      return [
        {
          aim,
          values: valuesOf(problem, best!.counts, best!.settled.settings),
          added: best!.added,
          dropPitch: dropOnJoint(support.pivot, about),
          inertiaRoll: about.inertia[0][0],
          inertiaPitch: about.inertia[1][1],
        },
      ];
    });
  });
  return found.filter((p) => !found.some((q) => beats(q, p)));
}

/** As good in everything and better in one; a slower drop is no better by itself, so only like is compared with like. */
const beats = (q: TradePoint, p: TradePoint): boolean =>
  q !== p &&
  Math.abs(q.dropPitch - p.dropPitch) < SLICE / 2 &&
  q.added <= p.added &&
  q.inertiaRoll >= p.inertiaRoll &&
  q.inertiaPitch >= p.inertiaPitch &&
  (q.added < p.added || q.inertiaRoll > p.inertiaRoll);
