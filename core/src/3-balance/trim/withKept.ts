/** The same rig with some of its adjusters left as they are: what a trim may then not touch. */
import type { AdjusterValues, Assembly } from '../../2-frame';
import type { Adjuster } from '../../model';

export function withKept(assembly: Assembly, values: AdjusterValues, kept: (a: Adjuster) => boolean): Assembly {
  const keep = (a: Adjuster): Adjuster =>
    kept(a) ? { ...a, range: [values[a.id] ?? a.value, values[a.id] ?? a.value] } : a;
  return { ...assembly, rig: { ...assembly.rig, adjusters: assembly.rig.adjusters.map(keep) } };
}
export const isCount = (a: Adjuster): boolean => a.kind === 'count';
export const countsIn = ({ rig }: Assembly, values: AdjusterValues): AdjusterValues =>
  Object.fromEntries(rig.adjusters.flatMap((a) => (isCount(a) ? [[a.id, values[a.id] ?? a.value]] : [])));
