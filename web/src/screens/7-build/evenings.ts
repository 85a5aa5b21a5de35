/** The steps left over the evenings that the maker has: shortest for one pair of hands, replanned as steps are ticked. */
import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { Evenings as Time } from '@tide-pebble/core';
import { ROOM, type Pace } from '@tide-pebble/core/making';
import { saveCalendar } from '../../services/save-calendar';
import { Units } from '../../services/units';
import { Workspace, type Bench } from '../../services/workspace';
import { injectEvenings } from './evenings-now';
import { calendarOf, DEGREE, degreesTyped, warmthTyped } from './evenings-plan';
import type { StepShown } from './steps-now';

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;
/** Until the maker says: two hours after work, and half of Saturday. */
const USUAL: Time['days'] = [
  ...[0, 1, 2, 3, 4].map((day) => ({ day, from: 18 * 60, to: 20 * 60 })),
  { day: 5, from: 9 * 60, to: 13 * 60 },
];
/** Kinds of work, by the first word of a step's id. */
const WORK: Readonly<Record<string, string>> = {
  cut: 'sawing',
  deburr: 'rounding ends',
  mark: 'marking',
  pilot: 'piloting holes',
  drill: 'drilling',
  bend: 'bending',
  flatten: 'flattening',
  print: 'setting up prints',
  dryfit: 'dry fitting',
  connect: 'putting together',
  shape: 'shaping',
  finish: 'sanding and oiling',
  plumb: 'hanging and plumbing',
  hang: 'hanging',
  tail: 'cutting tails',
  balance: 'balancing',
};

@Component({
  selector: 'tp-evenings',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DatePipe, MatButton, RouterLink],
  templateUrl: './evenings.html',
  styleUrl: './evenings.css',
})
export class Evenings {
  private readonly workspace = inject(Workspace);
  private readonly units = inject(Units).now;
  readonly bench = input.required<Bench>();
  readonly steps = input.required<readonly StepShown[]>();
  readonly pace = input.required<ReadonlyMap<string, Pace>>();
  /** What was typed and cannot be: of the first day, the warmth, or a day of the week. */
  protected readonly wrong = signal<'from' | 'warmth' | number | null>(null);

  protected readonly time = computed(() => this.bench().rig.evenings ?? null);
  protected readonly week = computed(() =>
    DAYS.map((name, day) => {
      const free = this.time()?.days.find((d) => d.day === day);
      return { name, day, from: free ? clock(free.from) : '', to: free ? clock(free.to) : '' };
    }),
  );
  protected readonly plan = injectEvenings(this.bench, this.steps);
  protected readonly warmth = computed(() => degreesTyped(this.time()?.warmth ?? ROOM, this.units()));
  protected readonly degree = computed(() => DEGREE[this.units().system]);
  /** What is taught by the minutes typed at steps, where that is worth telling. */
  protected readonly learned = computed(() =>
    [...this.pace()]
      .filter(([, { factor }]) => Math.abs(factor - 1) >= 0.05)
      .map(([work, { factor, from }]) => ({
        work: WORK[work] ?? work,
        times: round(factor),
        from: from === 1 ? 'one step' : `${from} steps`,
      })),
  );

  protected begin(): void {
    this.keep({ from: today(), days: USUAL });
  }
  protected begins(field: HTMLInputElement): void {
    const time = this.time();
    const isDay = /^\d{4}-\d{2}-\d{2}$/.test(field.value);
    this.wrong.set(isDay ? null : 'from');
    if (time && isDay) this.keep({ ...time, from: field.value });
  }
  protected warm(field: HTMLInputElement): void {
    const time = this.time();
    const warmth = warmthTyped(field.valueAsNumber, this.units());
    this.wrong.set(warmth === null ? 'warmth' : null);
    if (time && warmth !== null) this.keep({ ...time, warmth });
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
    await saveCalendar(`${rig.name}: build`, calendarOf(rig, this.plan.days()));
  }
  private keep(evenings: Time): void {
    this.workspace.editRig('evenings to build in', (rig) => ({ ...rig, evenings }));
  }
}

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
