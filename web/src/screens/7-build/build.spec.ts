import { barPlans } from '@tide-pebble/core/making';
import { benchAt, withRig } from '../../testing/bench';
import { until } from '../../testing/until';
import { sheet } from '../../testing/sheets';
import { Build } from './build';

const items = (page: HTMLElement): readonly HTMLElement[] => [
  ...page.querySelectorAll<HTMLElement>('ol.plain-list > li'),
];
const tick = async (page: HTMLElement, n: number, settled: () => Promise<unknown>): Promise<void> => {
  items(page)[n]!.querySelector<HTMLInputElement>('input[type=checkbox]')!.click();
  await settled();
};

describe('the build', () => {
  it('shows what is next, ticks it off, and moves on', async () => {
    const { page, fixture, workspace } = await sheet(Build, benchAt({}));
    const [first, second] = items(page).map((li) => li.querySelector('strong')!.textContent.replace(/^\d+\. /, ''));
    const next = (): string => page.querySelector('li.next strong')!.textContent.replace(/^\d+\. /, '');
    expect(next()).toBe(first!);
    await tick(page, 0, () => fixture.whenStable());
    expect(Object.keys(workspace.now.rig.done)).toHaveSize(1);
    expect(next()).toBe(second!);
    expect(page.textContent).toContain('1 of ');
    await tick(page, 0, () => fixture.whenStable());
    expect(workspace.now.rig.done).toEqual({});
  });
  it('keeps what is ticked when sizes change, and says when all is done', async () => {
    const { page, fixture, workspace } = await sheet(Build, benchAt({}));
    await tick(page, 0, () => fixture.whenStable());
    const [done] = Object.keys(workspace.now.rig.done);
    const other = benchAt({});
    workspace.put({ ...other, rig: { ...other.rig, done: workspace.now.rig.done } });
    await fixture.whenStable();
    await until(() => items(page).length > 10, 'all steps of the changed rig');
    expect(items(page)[0]!.classList).toContain('done');
    workspace.editRig('all', (rig) => ({
      ...rig,
      done: Object.fromEntries([
        [done!, true as const],
        ...items(page).map((_, i) => [`x${i}`, true as const] as const),
      ]),
    }));
    await fixture.whenStable();
    // What is ticked and no longer asked for counts for nothing.
    expect(page.textContent).toContain('1 of ');
  });
  it('warns before what can hurt and before what cannot be undone, and defers to those who know', async () => {
    const { page } = await sheet(Build, benchAt({}, 'pipe-post'));
    expect(page.textContent).toContain('local codes and trained people come first');
    expect(page.querySelectorAll('.caution').length).toBeGreaterThan(0);
    expect(page.textContent).toContain('Cannot be undone: check first.');
    expect(page.textContent).not.toMatch(/NaN|undefined/);
  });
  it('says that it is at work until the order is found, and shows the step that is asked for', async () => {
    const { page, fixture, jobs, workspace } = await sheet(Build, benchAt({}));
    jobs.held = [];
    workspace.put(benchAt({ 'camera-fore-aft': 0.004 }));
    await fixture.whenStable();
    expect(items(page).map((li) => li.textContent.trim())).toEqual(['Working out in what order it goes together…']);
    jobs.letGo();
    await until(() => items(page).length > 10, 'all steps');
    items(page)[7]!.querySelector<HTMLButtonElement>('button.look')!.click();
    await fixture.whenStable();
    expect(
      items(page)
        .map((li) => li.classList.contains('shown'))
        .indexOf(true),
    ).toBe(7);
  });
  it('says what no order puts together, and offers what frees it', async () => {
    const ring = benchAt({}, 'hand-frame', { pipe: 'steel/1/2' });
    const { page, workspace, press } = await sheet(
      Build,
      withRig(ring, (rig) => ({
        ...rig,
        bodies: rig.bodies.map((b) => ({
          ...b,
          joints: b.joints.map((j) =>
            j.fitting === 'union' ? { ...j, fitting: 'coupling' as const, name: 'coupling' } : j,
          ),
        })),
      })),
    );
    expect(page.querySelector('.blocked')!.textContent).toMatch(/No order puts together .*turns all the way round/s);
    await press('Make the coupling a union');
    expect(workspace.edited).toEqual([jasmine.objectContaining({ kind: 'fitting', fitting: 'union' })]);
  });
  it('tells each move of the hand of the step that is looked at, and of no other', async () => {
    const { page } = await sheet(Build, benchAt({}));
    const [first, second] = items(page);
    expect(first!.querySelectorAll('.moves li').length).toBeGreaterThan(1);
    expect(second!.querySelector('.moves')).toBeNull();
  });
  it('goes by the set-up of a tool where the maker wants it, and keeps that', async () => {
    const { page, fixture } = await sheet(Build, benchAt({}));
    const titles = (): readonly string[] =>
      items(page).map((li) => li.querySelector('strong')!.textContent.replace(/^\d+\. /, ''));
    const told = titles();
    const choose = async (n: number): Promise<void> => {
      page.querySelectorAll<HTMLInputElement>('.order input')[n]!.click();
      await fixture.whenStable();
    };
    await choose(1);
    expect(titles()).not.toEqual(told);
    expect([...titles()].sort()).toEqual([...told].sort());
    expect(localStorage.getItem('tide-pebble.step-order')).toBe('tools');
    await choose(0);
    expect(titles()).toEqual(told);
  });
  it('keeps how long a step took, goes by it, and refuses what is no time', async () => {
    const { page, fixture, workspace } = await sheet(Build, benchAt({}));
    const type = async (text: string): Promise<void> => {
      const field = page.querySelector<HTMLInputElement>('tp-own-minutes input')!;
      field.value = text;
      field.dispatchEvent(new Event('change'));
      await fixture.whenStable();
    };
    await type('14');
    const [[step, took]] = Object.entries(workspace.now.rig.took!) as [[string, { minutes: number; reckoned: number }]];
    expect(took.minutes).toBe(14);
    expect(page.querySelector('tp-own-minutes')!.textContent).toContain(`yours; reckoned were ${took.reckoned}`);
    await type('0');
    expect(page.querySelector('tp-own-minutes [role=alert]')!.textContent).toContain('Whole minutes');
    expect(workspace.now.rig.took![step]!.minutes).toBe(14);
    await type('');
    expect(workspace.now.rig.took).toBeUndefined();
  });
  it('lights up the part a step is about', async () => {
    const { page, fixture } = await sheet(Build, benchAt({}));
    const [li] = items(page);
    li!.dispatchEvent(new MouseEvent('mouseenter'));
    await fixture.whenStable();
    expect(li!.classList).toContain('lit');
  });
});

describe('what a step takes', () => {
  it('comes out of the bin as it is ticked, its offcut goes back, and unticked all is as it was', async () => {
    const { page, fixture, workspace } = await sheet(Build, benchAt({}));
    await until(() => items(page).length > 10, 'all steps');
    const bar = barPlans(workspace.now.work.rig)[0]!;
    const bin = [{ id: 'b', name: bar.stock, count: 0, lengths: [1.5] }];
    workspace.bin$.next(bin);
    const at = items(page).findIndex((li) => li.textContent.includes(`Cut the ${bar.name}`));
    await tick(page, at, () => fixture.whenStable());
    expect(workspace.bin$.value[0]!.lengths[0]).toBeCloseTo(1.5 - bar.blank - workspace.now.rig.kerf, 9);
    expect(workspace.now.rig.taken).toHaveSize(1);
    await tick(page, at, () => fixture.whenStable());
    expect(workspace.bin$.value).toEqual(bin);
    expect(workspace.now.rig.taken).toBeUndefined();
  });
});
