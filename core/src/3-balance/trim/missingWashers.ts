/** What is lacking at hand for a set-up, by the name it is kept under. */
import {
  countOf,
  keptAs,
  valuesInOrder,
  washerName,
  type AdjusterValues,
  type Assembly,
  type AtHand,
} from '../../2-frame';

export function missingWashers(
  { rig, stacks }: Assembly,
  values: AdjusterValues,
  atHand: NonNullable<AtHand>,
): ReadonlyMap<string, number> {
  const inOrder = valuesInOrder(rig, values);
  const needed = new Map<string, number>();
  for (const stack of stacks)
    needed.set(washerName(stack.station), (needed.get(washerName(stack.station)) ?? 0) + countOf(stack, inOrder));
  return new Map(
    [...needed].flatMap(([name, count]) => {
      const short = count - (atHand.get(keptAs(name)) ?? 0);
      return short > 0 ? [[name, short] as const] : [];
    }),
  );
}
