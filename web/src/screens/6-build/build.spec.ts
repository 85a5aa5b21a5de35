import { benchAt } from '../../testing/bench';
import { sheet } from '../../testing/sheets';
import { Build } from './build';

const items = (page: HTMLElement): readonly HTMLElement[] => [...page.querySelectorAll<HTMLElement>('ol > li')];
const tick = async (page: HTMLElement, n: number, settled: () => Promise<unknown>): Promise<void> => {
  items(page)[n]!.querySelector<HTMLInputElement>('input[type=checkbox]')!.click();
  await settled();
};

describe('the build', () => {
  it('shows what is next, ticks it off, and moves on', async () => {
    const { page, fixture, workspace } = await sheet(Build, benchAt({}));
    const [first, second] = items(page).map((li) => li.querySelector('strong')!.textContent.replace(/^\d+\. /, ''));
    expect(page.querySelector('.now')!.textContent).toBe(first!);
    await tick(page, 0, () => fixture.whenStable());
    expect(Object.keys(workspace.now.rig.done)).toHaveSize(1);
    expect(page.querySelector('.now')!.textContent).toBe(second!);
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
  it('lights up the part a step is about', async () => {
    const { page, fixture } = await sheet(Build, benchAt({}));
    const [li] = items(page);
    li!.dispatchEvent(new MouseEvent('mouseenter'));
    await fixture.whenStable();
    expect(li!.classList).toContain('lit');
  });
});
