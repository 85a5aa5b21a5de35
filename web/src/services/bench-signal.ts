/** The bench as a signal, once a screen; null while there is no rig that can be evaluated. */
import { computed, inject, type Signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { Workspace, type Bench, type BenchState } from './workspace';

export function injectBench(): Signal<Bench | null> {
  const state = toSignal(inject(Workspace).bench$, { initialValue: { kind: 'none' } as BenchState });
  return computed(() => {
    const now = state();
    return now.kind === 'ready' ? now.bench : null;
  });
}
