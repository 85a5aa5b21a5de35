/** The steps left laid over the maker's evenings, planned by a worker whenever they change. */
import { computed, inject, type Signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import type { Evenings } from '@tide-pebble/core';
import { criticalPath, ROOM, tasksOf, tooColdFor, type Schedule, type Task } from '@tide-pebble/core/making';
import { catchError, map, of, startWith, switchMap } from 'rxjs';
import { Jobs } from '../../services/jobs';
import { Units } from '../../services/units';
import type { Bench } from '../../services/workspace';
import { degrees, eveningsOf, timeToBuild, type Evening } from './evenings-plan';
import type { StepShown } from './steps-now';

interface Asked {
  readonly time: Evenings;
  readonly steps: readonly StepShown[];
  /** When steps that set or print were ticked off. */
  readonly setting: Readonly<Record<string, string>>;
}
type Now =
  | { readonly kind: 'working' }
  | { readonly kind: 'failed'; readonly reason: string }
  | { readonly kind: 'told'; readonly plan: Schedule; readonly start: number; readonly tasks: readonly Task[] };
const WORKING: Now = { kind: 'working' };
const HOUR = 3600;
const MATTERS = 600;

export interface Told {
  readonly begins: Date;
  readonly ends: Date;
  readonly proven: boolean;
  readonly bound: Date;
  /** Minutes to it, where they are too few to matter; else 0. */
  readonly nearly: number;
  /** Hours. */
  readonly hands: number;
  readonly chain: number;
}
export interface EveningsNow {
  readonly isWorking: Signal<boolean>;
  readonly days: Signal<readonly Evening[]>;
  readonly told: Signal<Told | null>;
  /** Why there is no plan; empty where there is, or soon will be. */
  readonly fault: Signal<string>;
}

export function injectEvenings(bench: Signal<Bench | null>, steps: Signal<readonly StepShown[]>): EveningsNow {
  const jobs = inject(Jobs);
  const units = inject(Units).now;
  const left = computed(() => steps().filter((s) => !s.done));
  const cold = computed(() => {
    const warmth = bench()?.rig.evenings?.warmth ?? ROOM;
    return tooColdFor(
      left().map((s) => s.step),
      warmth,
    );
  });
  const asked = computed(
    (): Asked | null => {
      const rig = bench()?.rig;
      return rig?.evenings && left().length > 0 && cold().length === 0
        ? { time: rig.evenings, steps: steps(), setting: rig.setting ?? {} }
        : null;
    },
    { equal: same },
  );
  const now = toSignal(
    toObservable(asked).pipe(
      switchMap((of_) => {
        if (!of_) return of(null);
        const { start, windows } = timeToBuild(of_.time, Date.now());
        const tasks = tasksFor(of_, start);
        return jobs.run('evenings', { tasks, windows }).pipe(
          map((plan): Now => ({ kind: 'told', plan, start, tasks })),
          catchError((fault: Error) => of<Now>({ kind: 'failed', reason: fault.message })),
          startWith(WORKING),
        );
      }),
    ),
    { initialValue: null },
  );
  const made = computed(() => {
    const is = now();
    return is?.kind === 'told' && is.plan.kind === 'planned' ? { ...is, plan: is.plan } : null;
  });
  return {
    isWorking: computed(() => now()?.kind === 'working'),
    days: computed(() => {
      const is = made();
      const known = new Set(steps().map((s) => s.step.id));
      // Until the new plan is there the old one may name what is no step any more.
      return is?.plan.tasks.every((t) => known.has(t.id))
        ? eveningsOf(is.plan, is.tasks, is.start, steps(), units())
        : [];
    }),
    told: computed(() => {
      const is = made();
      if (!is) return null;
      const date = (seconds: number): Date => new Date(is.start + 1000 * seconds);
      return {
        begins: date(is.plan.tasks[0]!.start),
        ends: date(is.plan.finish),
        proven: is.plan.proven,
        bound: date(is.plan.bound),
        nearly: is.plan.finish - is.plan.bound <= MATTERS ? Math.ceil((is.plan.finish - is.plan.bound) / 60) : 0,
        hands: round(is.tasks.reduce((sum, t) => sum + t.handsOn, 0) / HOUR),
        chain: round(criticalPath(is.tasks) / HOUR),
      };
    }),
    fault: computed(() => {
      const named = (ids: readonly string[]): string =>
        ids.map((id) => steps().find((s) => s.step.id === id)?.number ?? '?').join(', ');
      if (cold().length > 0) {
        const ids = cold().map((c) => c.step.id);
        const least = Math.max(...cold().map((c) => c.least));
        return `Too cold: ${ids.length > 1 ? `what is glued in steps ${named(ids)} does` : `what is glued in step ${named(ids)} does`} not set under ${degrees(least, units())}. Warm the shop, or glue it indoors and say how warm it is there.`;
      }
      const is = now();
      if (is?.kind === 'failed') return `It could not be planned: ${is.reason}.`;
      if (is?.kind !== 'told' || is.plan.kind === 'planned') return '';
      const { plan } = is;
      switch (plan.kind) {
        case 'ring':
          return `Steps ${named(plan.ids)} wait for each other: no evening is the first.`;
        case 'tooLong':
          return plan.longest > 0
            ? `Step ${named([plan.id])} takes longer than any of these evenings: ${round(plan.longest / HOUR)} h at most. Give one day more time.`
            : 'No day has time in it: say when you can work.';
        case 'noTime':
          return `These evenings end before all is done: ${plan.left.length} steps are left over after half a year. Give it more of them.`;
      }
    }),
  };
}

/** Hands at the maker's pace, glue by the warmth of the shop, what was ticked off and has not set yet waited for. */
export function tasksFor({ steps, setting }: Omit<Asked, 'time'>, start: number): readonly Task[] {
  const shown = new Map(steps.map((s) => [s.step.id, s]));
  return tasksOf(
    steps.map((s) => s.step),
    {
      isDone: ({ id }) => shown.get(id)!.done,
      handsOn: ({ id }) => 60 * shown.get(id)!.minutes,
      goesOn: ({ id }) => shown.get(id)!.goesOn,
      ends: ({ id }) => {
        const begun = setting[id];
        return begun ? (Date.parse(begun) - start) / 1000 + shown.get(id)!.goesOn : -Infinity;
      },
    },
  );
}

const same = (a: Asked | null, b: Asked | null): boolean =>
  a === b ||
  (a !== null &&
    b !== null &&
    a.time === b.time &&
    a.setting === b.setting &&
    a.steps.length === b.steps.length &&
    a.steps.every((s, i) => {
      const t = b.steps[i]!;
      return s.step === t.step && s.done === t.done && s.minutes === t.minutes && s.goesOn === t.goesOn;
    }));
const round = (x: number): number => Math.round(10 * x) / 10;
