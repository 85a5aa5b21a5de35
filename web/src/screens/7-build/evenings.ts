/** The steps left over the evenings that the maker has: shortest for one pair of hands, replanned as steps are ticked. */
import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import type { Evenings as Time } from '@tide-pebble/core';
import { criticalPath, tasksOf, type BuildStep, type Schedule } from '@tide-pebble/core/making';
import { catchError, distinctUntilChanged, map, of, startWith, switchMap } from 'rxjs';
import { Jobs } from '../../services/jobs';
import { saveCalendar } from '../../services/save-calendar';
import { Units } from '../../services/units';
import { Workspace, type Bench } from '../../services/workspace';
import { calendarOf, eveningsOf, timeToBuild } from './evenings-plan';

export interface StepShown {
  readonly step: BuildStep;
  readonly number: number;
  readonly done: boolean;
}
type Now =
  | { readonly kind: 'working' }
  | { readonly kind: 'failed'; readonly reason: string }
  | { readonly kind: 'told'; readonly plan: Schedule; readonly start: number };
const WORKING: Now = { kind: 'working' };
const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;
/** Until the maker says: two hours after work, and half of Saturday. */
const USUAL: Time['days'] = [
  ...[0, 1, 2, 3, 4].map((day) => ({ day, from: 18 * 60, to: 20 * 60 })),
  { day: 5, from: 9 * 60, to: 13 * 60 },
];
const HOUR = 3600;

@Component({
  selector: 'tp-evenings',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DatePipe, MatButton],
  templateUrl: './evenings.html',
  styleUrl: './evenings.css',
})
export class Evenings {
  private readonly jobs = inject(Jobs);
  private readonly workspace = inject(Workspace);
  private readonly units = inject(Units).now;
  readonly bench = input.required<Bench>();
  readonly steps = input.required<readonly StepShown[]>();
  /** What was typed and cannot be: of the first day, or of a day of the week. */
  protected readonly wrong = signal<'from' | number | null>(null);

  protected readonly time = computed(() => this.bench().rig.evenings ?? null);
  protected readonly week = computed(() =>
    DAYS.map((name, day) => {
      const free = this.time()?.days.find((d) => d.day === day);
      return { name, day, from: free ? clock(free.from) : '', to: free ? clock(free.to) : '' };
    }),
  );
  private readonly left = computed(() => this.steps().filter((s) => !s.done));
  private readonly asked = computed(
    () => {
      const time = this.time();
      return time && this.left().length > 0 ? { time, steps: this.left().map((s) => s.step) } : null;
    },
    { equal: (a, b) => a === b || (a !== null && b !== null && a.time === b.time && same(a.steps, b.steps)) },
  );
  protected readonly now = toSignal(
    toObservable(this.asked).pipe(
      distinctUntilChanged(),
      switchMap((asked) => {
        if (!asked) return of(null);
        const { start, windows } = timeToBuild(asked.time, Date.now());
        return this.jobs.run('evenings', { tasks: tasksOf(asked.steps), windows }).pipe(
          map((plan): Now => ({ kind: 'told', plan, start })),
          catchError((fault: Error) => of<Now>({ kind: 'failed', reason: fault.message })),
          startWith(WORKING),
        );
      }),
    ),
    { initialValue: null },
  );
  private readonly made = computed(() => {
    const now = this.now();
    return now?.kind === 'told' && now.plan.kind === 'planned' ? { plan: now.plan, start: now.start } : null;
  });
  protected readonly days = computed(() => {
    const made = this.made();
    const known = new Set(this.steps().map((s) => s.step.id));
    // Until the new plan is there the old one may name what is no step any more.
    return made?.plan.tasks.every((t) => known.has(t.id))
      ? eveningsOf(made.plan, made.start, this.steps(), this.units())
      : [];
  });
  protected readonly told = computed(() => {
    const made = this.made();
    const tasks = tasksOf(this.left().map((s) => s.step));
    if (!made) return null;
    const { plan, start } = made;
    const date = (seconds: number): Date => new Date(start + 1000 * seconds);
    return {
      begins: date(plan.tasks[0]!.start),
      ends: date(plan.finish),
      proven: plan.proven,
      bound: date(plan.bound),
      hands: round(tasks.reduce((sum, t) => sum + t.handsOn, 0) / HOUR),
      chain: round(criticalPath(tasks) / HOUR),
    };
  });
  /** Why there is no plan; empty where there is, or soon will be. */
  protected readonly fault = computed(() => {
    const now = this.now();
    if (now?.kind === 'failed') return `It could not be planned: ${now.reason}.`;
    if (now?.kind !== 'told' || now.plan.kind === 'planned') return '';
    const { plan } = now;
    const named = (ids: readonly string[]): string =>
      ids.map((id) => this.steps().find((s) => s.step.id === id)?.number ?? '?').join(', ');
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
  });

  protected begin(): void {
    this.keep({ from: today(), days: USUAL });
  }
  protected begins(field: HTMLInputElement): void {
    const time = this.time();
    const isDay = /^\d{4}-\d{2}-\d{2}$/.test(field.value);
    this.wrong.set(isDay ? null : 'from');
    if (time && isDay) this.keep({ ...time, from: field.value });
  }
  /** Both are needed, and in order; a day with neither has no time. */
  protected day(day: number, from: HTMLInputElement, to: HTMLInputElement): void {
    const time = this.time();
    if (!time) return;
    const others = time.days.filter((d) => d.day !== day);
    const [low, high] = [minutes(from.value), minutes(to.value)];
    const isWrong = low !== null && high !== null && high <= low;
    this.wrong.set(isWrong ? day : null);
    if (isWrong) return;
    if (low === null && high === null) this.keep({ ...time, days: others });
    else if (low !== null && high !== null)
      this.keep({ ...time, days: [...others, { day, from: low, to: high }].sort((a, b) => a.day - b.day) });
  }
  protected forget(): void {
    this.workspace.editRig('forgetting the evenings', ({ evenings: _evenings, ...rig }) => rig);
  }
  protected async save(): Promise<void> {
    const { rig } = this.bench();
    await saveCalendar(`${rig.name}: build`, calendarOf(rig, this.days()));
  }
  private keep(evenings: Time): void {
    this.workspace.editRig('evenings to build in', (rig) => ({ ...rig, evenings }));
  }
}

const same = (a: readonly BuildStep[], b: readonly BuildStep[]): boolean =>
  a.length === b.length && a.every((s, i) => s === b[i]);
const round = (x: number): number => Math.round(10 * x) / 10;
const two = (n: number): string => String(n).padStart(2, '0');
const clock = (minutes: number): string => `${two(Math.floor(minutes / 60) % 24)}:${two(minutes % 60)}`;
const minutes = (text: string): number | null => {
  const found = /^(\d{2}):(\d{2})/.exec(text);
  return found ? 60 * Number(found[1]) + Number(found[2]) : null;
};
function today(): string {
  const now = new Date();
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}
