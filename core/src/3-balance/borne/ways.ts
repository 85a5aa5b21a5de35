/** All ways of being borne, and which of them a rig is borne by: the first leads, the others answer beside it. */
import type { Rig } from '../../model';
import type { Evaluation } from '../evaluate';
import type { ConditionId } from '../trim/conditions';
import { clampReadings } from './clamped/clampReadings';
import { held } from './held/inHands';
import { hung } from './hung/hung';
import { axes } from './turning/onAxes';
import { supportOf } from './support';
import { pole } from './turning/onHead';
import type { ReadingKind, Want, Way } from './way';
import { ANY_RIG } from './wantsOfAny';
import { worn } from './worn/onBody';

/** In this order: what hangs is told before the hand that holds its grip. */
const WAYS: readonly Way[] = [hung, pole, axes, worn, held];

/** None for a rig that nothing bears yet. */
export const waysOf = (evaluation: Evaluation): readonly Way[] => WAYS.filter((w) => w.bears(evaluation));

/** The way a rig will be borne, by its joints and hands alone. */
export function wayOfRig(rig: Rig): Way | null {
  const support = supportOf(rig);
  return (support && WAYS.find((w) => w.willBear(rig, support))) ?? null;
}

export const leadingWay = (evaluation: Evaluation): Way | null => waysOf(evaluation)[0] ?? null;

/** Without doubles, in the order of its ways: what can be wanted of this rig. */
export const wantsOf = (evaluation: Evaluation): readonly Want[] => [
  ...new Map([...waysOf(evaluation).flatMap((w) => w.wants), ...ANY_RIG].map((w) => [w.id, w])).values(),
];

/** What can be read of this rig, by whichever way. */
export function readingsOf(rig: Rig, evaluation: Evaluation): readonly ReadingKind[] {
  const all = [...waysOf(evaluation).flatMap((w) => w.readings(rig)), ...clampReadings(rig)];
  const isSame = (a: ReadingKind, b: ReadingKind): boolean => a.kind === b.kind && a.about === b.about;
  // Where two ways ask the same, the leading one says how.
  return all.filter((r, i) => all.findIndex((other) => isSame(r, other)) === i);
}

/** Firm unless the maker says otherwise. */
export const USUALLY_FIRM: readonly ConditionId[] = [
  'levelForeAft',
  'levelSideways',
  'dropPitch',
  'dropRoll',
  'droop',
  'wristNose',
  'wristSides',
  'overSupport',
];

export const NOTHING_BEARS =
  'Nothing bears this rig yet: it hangs on no joint and no hand holds it. Give it one in Frame.';
