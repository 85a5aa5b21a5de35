/** The readouts of the tide line: three by the way the rig is borne, then its mass, its calm, how it rings, and what it costs to buy. */
import { calmGauge, costGauge, leadingWay, massGauge, noGauge, wobbleGauge, type WayGauge } from '@tide-pebble/core';
import type { StockPlan } from '@tide-pebble/core/making';
import type { FirmNow } from '../services/firmnesses';
import type { Bench } from '../services/workspace';

const IDS = ['first', 'second', 'third', 'mass', 'calm', 'wobble', 'cost'] as const;
export type GaugeId = (typeof IDS)[number];
export type NamedGauge = WayGauge & { readonly id: GaugeId };

const UNBORNE: WayGauge = {
  gauge: noGauge('Balance', 'nothing bears it'),
  title: 'Nothing bears this rig yet',
  codes: [],
  wants: [],
};

export function gaugesOf(
  { judged: { context, evaluation }, rig }: Bench,
  stock: StockPlan | null,
  { firm, lags }: FirmNow,
): readonly NamedGauge[] {
  const way = leadingWay(evaluation);
  const all = [
    ...(way ? way.gauges(context) : [UNBORNE, UNBORNE, UNBORNE]),
    massGauge(context),
    calmGauge(context),
    wobbleGauge(firm, lags),
    costGauge(!stock ? 'reckoning' : stock.lines.some((l) => l.tooLong) ? 'unsold' : stock.cost, rig.wants),
  ];
  return all.map((gauge, i) => ({ ...gauge, id: IDS[i]! }));
}
