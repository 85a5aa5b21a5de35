/** What the bin lacks for a set-up, by the name it is kept under. */
import type { AdjusterValues, Assembly } from '../../2-frame';

export function missingWashers({ rig, stacks }: Assembly, values: AdjusterValues, bin: ReadonlyMap<string, number>): ReadonlyMap<string, number> {
  const needed = new Map<string, number>();
  for (const { station, countedBy } of stacks) {
    const name = station.washer.supply?.item ?? station.washer.name;
    const adjuster = countedBy === null ? null : rig.adjusters[countedBy]!;
    needed.set(name, (needed.get(name) ?? 0) + (adjuster ? Math.round(values[adjuster.id] ?? adjuster.value) : station.count));
  }
  return new Map([...needed].flatMap(([name, count]) => (count > (bin.get(name) ?? 0) ? [[name, count - (bin.get(name) ?? 0)] as const] : [])));
}
