/** What must be accurate, in words. */
import { figure, type Figure, type Phrase } from '../0-base';
import { WANT_WORDS, type Accuracy, type Leeway } from '../3-balance/bench';
import type { AccuracyOutcome } from './accuracyOf';

/** Spreads that go into the tighter side: fewer ask for care, or an eye on it. */
const [CARE, SAFE] = [2, 4];
/** All builds, to what so many drawn can tell. */
const ALL = 0.9995;

export const asksForCare = ({ spreads }: Leeway): boolean => spreads < CARE;

export const leewayVerdict = (leeway: Leeway): string =>
  asksForCare(leeway)
    ? 'with care'
    : leeway.spreads < SAFE
      ? 'watch it'
      : leeway.less === null && leeway.more === null
        ? 'does not matter'
        : 'easy';

/** Of what a leeway is of: as finely as its size asks. */
export const leewayFigure = (kind: Leeway['kind'], value: number): Figure =>
  figure(kind, value, kind === 'angle' ? 1 : value < 0.01 ? 1 : 0);

/** How far it may be off: “± 2 mm”, “+ 3 mm, − any”. */
export function withinWords({ kind, less, more }: Leeway): Phrase {
  if (less === null && more === null) return ['any'];
  if (less !== null && more !== null && Math.abs(less - more) < 0.05 * Math.max(less, more))
    return ['± ', leewayFigure(kind, Math.min(less, more))];
  const side = (value: number | null, sign: string): Phrase =>
    value === null ? [`${sign} any`] : [`${sign} `, leewayFigure(kind, value)];
  return [...side(more, '+'), ', ', ...side(less, '−')];
}

export const chanceWords = ({ part, uncertain }: Accuracy['chance']): Phrase =>
  part > ALL ? ['practically all'] : [figure('percent', part, 0), ' (± ', figure('percent', 2 * uncertain, 0), ')'];

export const failsWords = ({ condition }: Extract<AccuracyOutcome, { readonly kind: 'fails' }>): string =>
  `As it is set up, ${condition ? `“${WANT_WORDS[condition]}”` : 'what is wanted'} is not met wherever its slides go: no leeway is left to be told. Mend that first, in Bench.`;
