/** Readouts that every rig has, however it is borne: its mass, how steady it is beside the bare camera, its cost. */
import { figure, noGauge, say } from '../0-base';
import type { BalanceContext } from './balanceCheck';
import { CALM_PITCH } from './borne/hung/hungWants';
import { MASS_AT_MOST, SHOP_PRICE } from './borne/wantsOfAny';
import type { WayGauge } from './borne/way';
import type { Wants } from '../model';
import { ofPicture, walking } from './swing/steadiness';

/** The gauge runs this far past what is wanted at most. */
const PAST = 1.3;

export const massGauge = ({ evaluation, wants }: BalanceContext): WayGauge => ({
  gauge: {
    name: 'Mass',
    figure: [figure('mass', evaluation.mass)],
    rest: say`± ${figure('mass', 2 * evaluation.massSpread)}`,
    pebble: evaluation.mass / (wants.massAtMost * PAST),
    pool: [0, 1 / PAST],
    out: evaluation.mass > wants.massAtMost,
  },
  title: 'Mass of rig and load',
  codes: ['tooHeavy', 'notWeighed', 'notCounted'],
  wants: [MASS_AT_MOST],
});

/** How far the nose goes in a walk, against the bare camera in the same hands; how it resists a twist is told beside it. */
export function calmGauge(context: BalanceContext): WayGauge {
  const { calm, loadMass } = context.evaluation;
  const seen = loadMass > 0 ? walking(context) : null;
  return {
    gauge: seen
      ? {
          name: 'In a walk',
          figure: [figure('angle', seen.rig.pitch)],
          rest: say`bare camera ${figure('angle', seen.bare.pitch)}`,
          pebble: Math.min(1, seen.rig.pitch / (2 * seen.bare.pitch)),
          pool: [0, 0.5],
          out: seen.rig.pitch > seen.bare.pitch * NO_WORSE,
        }
      : noGauge('In a walk', loadMass > 0 ? 'not from a hand' : 'nothing mounted'),
    title: 'How steady it is in a walk, against the bare camera in the same hands',
    codes: ['notCalm', 'nothingMounted'],
    wants: [CALM_PITCH],
    notes: [
      ...(seen
        ? [
            {
              words: say`The nose goes ${figure('angle', seen.rig.pitch)}: ${figure('percent', ofPicture(seen.rig.pitch, context))} of the picture’s width. The horizon goes ${figure('angle', seen.rig.roll)}, the bare camera’s ${figure('angle', seen.bare.roll)}.`,
              about: null,
            },
          ]
        : []),
      ...(calm
        ? [
            {
              words: say`It resists a twist ${figure('ratio', calm.pitch)} as hard in pitch as the bare camera, ${figure('ratio', calm.roll)} in roll, ${figure('ratio', calm.pan)} in pan.`,
              about: null,
            },
          ]
        : []),
    ],
  };
}
/** Nearer than this the two are alike, by what a sway for small turns errs. */
const NO_WORSE = 1.2;

/** What is still to buy, against what the shop asks for a finished one, where the maker has said so. `cost` is null while it is worked out. */
/** Of what is still to buy; or that it is being reckoned, or that not all of it is sold. */
export function costGauge(cost: number | 'reckoning' | 'unsold', { shopPrice }: Wants): WayGauge {
  const told = { title: 'Cost of what is still to buy', codes: [], wants: [SHOP_PRICE] };
  if (typeof cost !== 'number')
    return {
      ...told,
      gauge: noGauge('Cost to buy', cost === 'unsold' ? 'not known: a piece is longer than is sold' : '…'),
    };
  return {
    ...told,
    gauge: {
      name: 'Cost to buy',
      figure: [figure('money', cost)],
      // To the whole, without what it is in: it stands beside the cost, which says so.
      rest: shopPrice > 0 ? say`shop ${figure('count', shopPrice)}` : ['shop ?'],
      pebble: cost / Math.max(shopPrice * PAST, cost, 1),
      pool: shopPrice > 0 ? [0, 1 / PAST] : null,
      out: shopPrice > 0 && cost > shopPrice,
    },
  };
}
