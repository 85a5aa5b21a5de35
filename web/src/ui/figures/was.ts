/** What figures of a rig were before the last change, for a while: a drag keeps those it started from. */
import { effect, signal, untracked, type Signal } from '@angular/core';
import type { UnitChoice } from '@tide-pebble/core';

/** By their ids, as shown; of one thing, so that nothing is compared with a figure of another, nor of other units. */
export interface ShownFigures {
  readonly of: string;
  readonly units: UnitChoice;
  readonly figures: Readonly<Record<string, string>>;
}

/** Where a component is made: it lives as long as that. */
export function figuresBefore(now: Signal<ShownFigures>, forMs: number): Signal<Readonly<Record<string, string>>> {
  const was = signal<Readonly<Record<string, string>>>({});
  let before: ShownFigures | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  effect(() => {
    const shown = now();
    const last = before;
    before = shown;
    if (!last) return;
    if (last.of !== shown.of || last.units !== shown.units) return void untracked(() => was.set({}));
    const changed = Object.entries(last.figures).filter(([id, text]) => text !== shown.figures[id] && text !== '–');
    if (changed.length === 0) return;
    was.update((held) => (changed.every(([id]) => id in held) ? held : { ...Object.fromEntries(changed), ...held }));
    clearTimeout(timer);
    timer = setTimeout(() => was.set({}), forMs);
  });
  return was;
}
