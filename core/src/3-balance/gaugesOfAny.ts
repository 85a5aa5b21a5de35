/** Readouts that every rig has, however it is borne: its mass, how it resists a twist against the bare camera, its cost. */
import { figure, noGauge, say } from '../0-base';
import type { BalanceContext } from './balanceCheck';
import { CALM_PITCH } from './borne/hung/hungWants';
import { MASS_AT_MOST, SHOP_PRICE } from './borne/wantsOfAny';
import type { WayGauge } from './borne/way';
import type { Wants } from '../model';

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

export function calmGauge({ evaluation: { calm, loadMass }, wants }: BalanceContext): WayGauge {
  const reach = Math.max(2 * wants.calmAtLeast, 1);
  return {
    gauge: calm
      ? {
          name: 'Calm',
          figure: [figure('ratio', calm.pitch, calm.pitch < 10 ? 1 : 0)],
          rest: say`bare camera, roll ${figure('ratio', calm.roll, 0)}`,
          pebble: Math.min(1, calm.pitch / reach),
          pool: [wants.calmAtLeast / reach, 1],
          out: calm.pitch < wants.calmAtLeast,
        }
      : noGauge('Calm', loadMass > 0 ? 'it turns' : 'nothing mounted'),
    title: 'Calm: how it resists a twist, against the bare camera',
    codes: ['notCalm', 'nothingMounted'],
    wants: [CALM_PITCH],
  };
}

/** What is still to buy, against what the shop asks for a finished one, where the maker has said so. `cost` is null while it is worked out. */
export function costGauge(cost: number | null, { shopPrice }: Wants): WayGauge {
  const told = { title: 'Cost of what is still to buy', codes: [], wants: [SHOP_PRICE] };
  if (cost === null) return { ...told, gauge: noGauge('Cost to buy', '…') };
  return {
    ...told,
    gauge: {
      name: 'Cost to buy',
      figure: [figure('money', cost)],
      rest: shopPrice > 0 ? say`shop ${figure('money', shopPrice)}` : ['no shop price typed'],
      pebble: cost / Math.max(shopPrice * PAST, cost, 1),
      pool: shopPrice > 0 ? [0, 1 / PAST] : null,
      out: shopPrice > 0 && cost > shopPrice,
    },
  };
}
