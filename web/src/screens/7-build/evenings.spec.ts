import { TestBed } from '@angular/core/testing';
import { tasksOf, schedule } from '@tide-pebble/core/making';
import { benchAt } from '../../testing/bench';
import { sheet } from '../../testing/sheets';
import { until } from '../../testing/until';
import { Build } from './build';
import { calendarOf, eveningsOf, timeToBuild } from './evenings-plan';

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
    const plan = schedule(tasksOf(steps.map((s) => s.step)), windows, 300);
    if (plan.kind !== 'planned') throw new Error(plan.kind);
    const evenings = eveningsOf(plan, start, steps, { system: 'mm', fraction: 32 });
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
async function planned() {
  const { page, fixture } = await sheet(Build, benchAt({}));
  await until(() => page.querySelectorAll('ol > li').length > 1, 'the steps');
  const build = fixture.componentInstance as unknown as { readonly steps: () => Parameters<typeof eveningsOf>[2] };
  const steps = build.steps();
  TestBed.resetTestingModule();
  return { steps };
}
