/** Whether a step is ticked off: by itself, or by the steps that stood for it in a file from before the order was found. */
import type { BuildStep } from './step';

export const isDone = (done: Readonly<Record<string, true>>, { id, was = [] }: BuildStep): boolean =>
  done[id] === true || (was.length > 0 && was.every((ids) => ids.some((i) => done[i] === true)));

/** The ticks with this step's set or taken back, whatever stood for it before. */
export function ticked(
  done: Readonly<Record<string, true>>,
  { id, was = [] }: BuildStep,
  isTicked: boolean,
): Readonly<Record<string, true>> {
  if (isTicked) return { ...done, [id]: true };
  const gone = new Set([id, ...was.flat()]);
  return Object.fromEntries(Object.entries(done).filter(([step]) => !gone.has(step)));
}
