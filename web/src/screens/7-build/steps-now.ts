/** The steps of the rig on the bench as they are shown: in the maker's order, which are done, how long each takes these hands in this shop. */
import { computed, inject, type Signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import type { RigDocument } from '@tide-pebble/core';
import {
  bySetUp,
  changesIn,
  goesOnAt,
  isDone,
  minutesOf,
  paceOf,
  ROOM,
  type BuildPlan,
  type BuildStep,
  type Pace,
} from '@tide-pebble/core/making';
import { injectBench } from '../../services/bench-signal';
import { BuildPlans } from '../../services/building';
import { StepOrder } from '../../services/step-order';
import { Workspace, type Bench } from '../../services/workspace';

export interface StepShown {
  readonly step: BuildStep;
  readonly number: number;
  readonly done: boolean;
  /** Hands on it. */
  readonly minutes: number;
  /** By itself after, s. */
  readonly goesOn: number;
}
export interface StepsNow {
  readonly bench: Signal<Bench | null>;
  readonly plan: Signal<BuildPlan | null>;
  /** Why there are no steps; empty where there are, or soon will be. */
  readonly fault: Signal<string>;
  readonly steps: Signal<readonly StepShown[]>;
  readonly pace: Signal<ReadonlyMap<string, Pace>>;
  /** How often a tool is set up: as told, and by tools. */
  readonly changes: Signal<{ readonly told: number; readonly tools: number }>;
}

export function injectSteps(): StepsNow {
  const bench = injectBench();
  const building = toSignal(inject(BuildPlans).plan$, { initialValue: null });
  const rigs = toSignal(inject(Workspace).rigs$, { initialValue: [] as readonly RigDocument[] });
  const order = inject(StepOrder).now;
  /** Of the rig as it stands: of one before it nothing is said. */
  const plan = computed(() => {
    const [now, b] = [building(), bench()];
    return now?.kind === 'planned' && b?.work === now.bench.work && b.values === now.bench.values ? now.plan : null;
  });
  const told = computed(() => {
    const ordered = plan()?.ordered;
    return ordered?.kind === 'ordered' ? ordered.steps : [];
  });
  const tools = computed(() => bySetUp(told()));
  const pace = computed(() => {
    const [own, others] = [bench()?.rig, rigs()];
    // The rig on the bench as it is now, and not as it was last kept.
    const all = own ? [own, ...others.filter((r) => r.id !== own.id)] : others;
    return paceOf(all.flatMap((r) => Object.entries(r.took ?? {})));
  });
  return {
    bench,
    plan,
    pace,
    changes: computed(() => ({ told: changesIn(told()), tools: changesIn(tools()) })),
    fault: computed(() => {
      const now = building();
      if (now?.kind === 'failed')
        return `The order could not be worked out: ${now.reason}. The next change tries again.`;
      return plan()?.ordered.kind === 'loop' ? 'Two steps wait for each other; the rig file must be mended.' : '';
    }),
    steps: computed(() => {
      const rig = bench()?.rig;
      const warmth = rig?.evenings?.warmth ?? ROOM;
      return (order() === 'tools' ? tools() : told()).map((step, i) => ({
        step,
        number: i + 1,
        done: isDone(rig?.done ?? {}, step),
        minutes: minutesOf(step, rig?.took ?? {}, pace()),
        goesOn: goesOnAt(step, warmth),
      }));
    }),
  };
}
