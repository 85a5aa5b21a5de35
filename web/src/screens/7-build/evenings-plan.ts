/** A plan told by the day: what is done when, what sets by itself meanwhile, and the same for a calendar. */
import { render, type Evenings, type UnitChoice } from '@tide-pebble/core';
import type { BuildStep, Schedule, Task, Window } from '@tide-pebble/core/making';
import type { CalendarEvent } from '../../services/save-calendar';

const ZERO_CELSIUS = 273.15;
/** Whoever measures in inches reads Fahrenheit. */
export const DEGREE: Readonly<Record<UnitChoice['system'], string>> = { mm: '°C', inch: '°F' };
export const degreesTyped = (warmth: number, { system }: UnitChoice): number =>
  Math.round(system === 'mm' ? warmth - ZERO_CELSIUS : ((warmth - ZERO_CELSIUS) * 9) / 5 + 32);
export const degrees = (warmth: number, units: UnitChoice): string =>
  `${degreesTyped(warmth, units)} ${DEGREE[units.system]}`;
/** K, of what was typed; null where no shop is so cold or hot. */
export function warmthTyped(typed: number, { system }: UnitChoice): number | null {
  const warmth = ZERO_CELSIUS + (system === 'mm' ? typed : ((typed - 32) * 5) / 9);
  return warmth >= 233.15 && warmth <= 333 ? warmth : null;
}

/** So far ahead is planned, days. */
const AHEAD = 180;

/** The maker's evenings as windows in seconds, by the clock on the wall, which summer time moves: from their first day, or from now where that is past; `now` in ms as clocks count. */
export function timeToBuild(
  { from, days }: Evenings,
  now: number,
): { readonly start: number; readonly windows: readonly Window[] } {
  const [year, month, day] = from.split('-').map(Number) as [number, number, number];
  const start = Math.max(new Date(year, month - 1, day).getTime(), now);
  const first = new Date(start);
  const windows: Window[] = [];
  for (let i = 0; i < AHEAD; i++) {
    const at = (minutes: number): number =>
      new Date(first.getFullYear(), first.getMonth(), first.getDate() + i, 0, minutes).getTime();
    const weekday = (new Date(at(0)).getDay() + 6) % 7;
    for (const d of days)
      if (d.day === weekday && at(d.to) > start)
        windows.push([Math.max(0, (at(d.from) - start) / 1000), (at(d.to) - start) / 1000]);
  }
  return { start, windows };
}

export interface PlannedStep {
  readonly id: string;
  readonly number: number;
  readonly title: string;
  readonly at: Date;
  readonly until: Date;
  /** It goes on by itself until then, and how that is called; null: it does not. */
  readonly goesOn: { readonly until: Date; readonly as: 'sets' | 'prints' } | null;
  /** It may be begun as late as that with nothing later for it; null: it may not wait. */
  readonly mayWait: Date | null;
}
export interface Evening {
  readonly day: Date;
  readonly steps: readonly PlannedStep[];
}
type Made = Extract<Schedule, { kind: 'planned' }>;

/** Less slack is not told, s. */
const WORTH = 3600;

export function eveningsOf(
  plan: Made,
  tasks: readonly Task[],
  start: number,
  steps: readonly { readonly step: BuildStep; readonly number: number }[],
  units: UnitChoice,
): readonly Evening[] {
  const byId = new Map(steps.map((s) => [s.step.id, s]));
  const taken = new Map(tasks.map((t) => [t.id, t]));
  const date = (seconds: number): Date => new Date(start + 1000 * seconds);
  const days = new Map<string, { day: Date; steps: PlannedStep[] }>();
  for (const { id, start: from, slack } of plan.tasks) {
    const { step, number } = byId.get(id)!;
    const { handsOn, wait } = taken.get(id)!;
    const [at, hands] = [date(from), from + handsOn];
    const key = at.toDateString();
    const evening = days.get(key) ?? { day: at, steps: [] };
    days.set(key, evening);
    evening.steps.push({
      id,
      number,
      title: render(step.title, units),
      at,
      until: date(hands),
      goesOn: wait > 0 ? { until: date(hands + wait), as: step.dries ? 'sets' : 'prints' } : null,
      mayWait: slack > WORTH ? date(from + slack) : null,
    });
  }
  return [...days.values()];
}

/** One for each evening, and one for each thing that sets or prints by itself. */
export function calendarOf(
  rig: { readonly id: string; readonly name: string },
  evenings: readonly Evening[],
): readonly CalendarEvent[] {
  return evenings.flatMap(({ day, steps }) => [
    {
      id: `${rig.id}-${dayKey(day)}`,
      start: steps[0]!.at,
      end: steps.at(-1)!.until,
      title: `${rig.name}: ${steps.length === 1 ? 'one step' : `${steps.length} steps`}`,
      notes: steps.map((s) => `${s.number}. ${s.title}`).join('\n'),
    },
    ...steps.flatMap((s) =>
      s.goesOn
        ? [
            {
              id: `${rig.id}-${s.id}`,
              start: s.until,
              end: s.goesOn.until,
              title: `${rig.name} ${s.goesOn.as}: ${s.title}`,
              notes: s.goesOn.as === 'sets' ? 'Leave it; its label decides.' : 'Look in on it now and then.',
            },
          ]
        : [],
    ),
  ]);
}
const dayKey = (day: Date): string => [day.getFullYear(), day.getMonth() + 1, day.getDate()].join('-');
