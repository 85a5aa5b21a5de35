/** A steady pan in sentences: how it leans, up to which rate, and what makes it level. */
import { DEGREE, figure, say, type Phrase } from '../../0-base';
import { wayOf } from '../adjusters/fixByAdjuster';
import type { PanPlan } from './panPlans';
import type { PanReading } from './panReading';
import type { PanMove } from './panWays';

/** Leans less than this are not told, rad. */
const TOLD = 0.05 * DEGREE;

export function panLimitWords({ limit: { balanced, unstableAbove } }: PanReading): Phrase {
  if (unstableAbove === null) return ['It keeps upright at every rate: its inertia in pan is the largest.'];
  const at = figure('angle', unstableAbove, 0);
  return balanced
    ? say`Upright is a rest up to ${at} a second; beyond it drifts out, over seconds.`
    : say`Evenly laid out it would be steady up to ${at} a second. Near that the lean grows fast.`;
}

/** “1.2° nose up, 0.4° left side down: 3.0 % of the picture”; null for what does not hang. */
export function panReadingWords(reading: PanReading | null): Phrase {
  if (!reading) return ['it does not hang'];
  if (!reading.lean) return ['drifts out'];
  const { noseUp, leftUp } = reading.lean;
  const part = (angle: number, more: string, less: string): readonly Phrase[] =>
    Math.abs(angle) < TOLD ? [] : [say`${figure('angle', Math.abs(angle))} ${angle > 0 ? more : less}`];
  const said = [...part(noseUp, 'nose up', 'nose down'), ...part(leftUp, 'left side up', 'left side down')];
  return said.length === 0
    ? ['stays level']
    : [
        ...said.flatMap((p, i) => (i > 0 ? [', ', ...p] : p)),
        ...say`: ${figure('percent', reading.ofFrame!, 1)} of the picture`,
      ];
}

export const overshootWords = ({ overshoot }: PanReading): Phrase =>
  overshoot === null
    ? []
    : say`A pan shorter than its swing starts from zero and may overshoot to ${figure('angle', overshoot)}.`;

export function panPlanWords({ takes, takesAway, dropPitch }: PanPlan): Phrase {
  const lean = { both: 'makes it lean', nose: 'makes its nose lean', sides: 'makes its sides lean' }[takes];
  return [
    ...(takesAway === 1
      ? [`Takes away all that ${lean}`]
      : say`As far as slides go and weights should be carried: takes away ${figure('percent', takesAway, 0)} of what ${lean}`),
    ...(dropPitch === null
      ? ['. It stays level, but would turn over.']
      : say`. It stays level; its drop is then ${figure('time', dropPitch, 1)}.`),
  ];
}

const CARRIED_BY = { rod: 'nut', strip: 'bolt', spacer: 'longer bolt' } as const;

export const panMoveWords = ({ along, by, carrier }: PanMove): Phrase => [
  ...say`${figure('length', Math.abs(by), 0)} ${wayOf({ axis: along }, by)}`,
  ...(carrier
    ? say`, on a ${carrier.kind} ${figure('length', carrier.length, 0)} long (${figure('mass', carrier.mass, 0)} with its ${CARRIED_BY[carrier.kind]})`
    : []),
];
