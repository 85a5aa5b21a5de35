import { TestBed } from '@angular/core/testing';
import { tasksOf, schedule } from '@tide-pebble/core/making';
import { benchAt } from '../../testing/bench';
import { sheet } from '../../testing/sheets';
import { until } from '../../testing/until';
import { Build } from './build';
import { tasksFor } from './evenings-now';
import { calendarOf, degreesTyped, eveningsOf, timeToBuild, warmthTyped } from './evenings-plan';
import type { StepShown } from './steps-now';

/** Tuesday. */
const FROM = '2031-04-01';
const WEEK = { from: FROM, days: [1, 2, 3].map((day) => ({ day, from: 18 * 60, to: 20 * 60 })) };

describe('a build over the maker’s evenings', () => {
  it('has windows by the clock on the wall, none of them past', () => {
    const midnight = new Date(2031, 3, 1).getTime();
    const { start, windows } = timeToBuild(WEEK, midnight - 5e8);
    expect(start).toBe(midnight);
    expect(windows[0]).toEqual([18 * 3600, 20 * 3600]);
    expect(windows[1]).toEqual([42 * 3600, 44 * 3600]);
    // Thursday to Tuesday.
    expect(new Date(start + 1000 * windows[3]![0]).toDateString()).toBe(new Date(2031, 3, 8).toDateString());
    const late = timeToBuild(WEEK, midnight + 19 * 3600e3);
    expect(late.windows[0]).toEqual([0, 3600]);
  });

  it('tells each step once, by the day, with what sets, and the same to a calendar', async () => {
    const { steps } = await planned();
    const { start, windows } = timeToBuild(WEEK, 0);
    const tasks = tasksOf(steps.map((s) => s.step));
    const plan = schedule(tasks, windows, 300);
    if (plan.kind !== 'planned') throw new Error(plan.kind);
    const evenings = eveningsOf(plan, tasks, start, steps, { system: 'mm', fraction: 32 });
    expect(evenings.flatMap((e) => e.steps.map((s) => s.id)).sort()).toEqual(steps.map((s) => s.step.id).sort());
    for (const { day, steps: of } of evenings) {
      expect([2, 3, 4]).toContain(day.getDay());
      expect(of.every((s) => s.at.getHours() >= 18 && s.until.getHours() <= 20)).toBeTrue();
    }
    const events = calendarOf({ id: 'r', name: 'Winkle' }, evenings);
    const setting = evenings.flatMap((e) => e.steps).filter((s) => s.goesOn);
    expect(events.length).toBe(evenings.length + setting.length);
    expect(new Set(events.map((e) => e.id)).size).toBe(events.length);
  });

  it('waits for what was ticked off and has not set, and for no longer', async () => {
    const { steps } = await planned('hand-frame');
    const glued = steps.find((s) => s.goesOn > 0)!;
    const done = steps.map((s) => ({ ...s, done: s === glued }));
    const begun = Date.parse('2031-04-01T18:00:00Z');
    const tasks = tasksFor({ steps: done, setting: { [glued.step.id]: '2031-04-01T18:00:00Z' } }, begun + 600e3);
    expect(tasks.some((t) => t.id === glued.step.id)).toBeFalse();
    // What loads it waits for it, what is cut meanwhile does not.
    expect(tasks.find((t) => t.id === 'balance')!.notBefore).toBeCloseTo(glued.goesOn - 600, 6);
    expect(tasks.some((t) => t.notBefore === undefined)).toBeTrue();
    const late = tasksFor({ steps: done, setting: { [glued.step.id]: '2031-04-01T18:00:00Z' } }, begun + 1e12);
    expect(late.every((t) => t.notBefore === undefined)).toBeTrue();
  });

  it('reads the warmth of the shop in the maker’s degrees', () => {
    expect(warmthTyped(20, { system: 'mm', fraction: 32 })).toBeCloseTo(293.15, 9);
    expect(warmthTyped(68, { system: 'inch', fraction: 32 })).toBeCloseTo(293.15, 9);
    expect(degreesTyped(293.15, { system: 'inch', fraction: 32 })).toBe(68);
    for (const typed of [NaN, -60, 90]) expect(warmthTyped(typed, { system: 'mm', fraction: 32 })).toBeNull();
  });

  it('is planned in one press, keeps what is typed, and refuses an evening that ends before it begins', async () => {
    const { page, fixture, workspace } = await sheet(Build, benchAt({}));
    await press(page, 'Plan it over my evenings', () => fixture.whenStable());
    expect(workspace.now.rig.evenings!.days.length).toBe(6);
    await until(() => /Start \w+ \d+ \w+,\s+done/.test(page.textContent), 'the plan');
    const field = (label: string): HTMLInputElement =>
      [...page.querySelectorAll<HTMLInputElement>('input[type=time]')].find((f) => f.ariaLabel === label)!;
    const type = async (label: string, value: string): Promise<void> => {
      field(label).value = value;
      field(label).dispatchEvent(new Event('change'));
      await fixture.whenStable();
    };
    await type('Sunday from', '10:00');
    // Half of it says nothing yet.
    expect(workspace.now.rig.evenings!.days.length).toBe(6);
    await type('Sunday to', '09:00');
    expect(field('Sunday to').getAttribute('aria-invalid')).toBe('true');
    expect(page.textContent).toContain('It must end after it begins.');
    expect(workspace.now.rig.evenings!.days.length).toBe(6);
    await type('Sunday to', '12:30');
    expect(workspace.now.rig.evenings!.days.at(-1)).toEqual({ day: 6, from: 600, to: 750 });
    await press(page, 'No plan', () => fixture.whenStable());
    expect(workspace.now.rig.evenings).toBeUndefined();
  });

  it('says when no evening is long enough, or none is given', async () => {
    const bench = benchAt({});
    const short = { from: FROM, days: [{ day: 1, from: 1080, to: 1082 }] };
    const { page, workspace, fixture } = await sheet(Build, { ...bench, rig: { ...bench.rig, evenings: short } });
    await until(() => /takes longer than any of these evenings/.test(page.textContent), 'why there is none');
    workspace.editRig('none', (rig) => ({ ...rig, evenings: { from: FROM, days: [] } }));
    await fixture.whenStable();
    await until(() => /No day has time in it/.test(page.textContent), 'why there is none');
    expect(page.querySelector('tp-evenings h3')).toBeNull();
  });
});

async function press(page: HTMLElement, text: string, settled: () => Promise<unknown>): Promise<void> {
  [...page.querySelectorAll('button')].find((b) => b.textContent.trim() === text)!.click();
  await settled();
}
/** The steps as the page has them. */
async function planned(family = 'gimballed-bent-bar') {
  const { page, fixture } = await sheet(Build, benchAt({}, family));
  await until(() => page.querySelectorAll('ol.plain-list > li').length > 1, 'the steps');
  const build = fixture.componentInstance as unknown as { readonly steps: () => readonly StepShown[] };
  const steps = build.steps();
  TestBed.resetTestingModule();
  return { steps };
}
