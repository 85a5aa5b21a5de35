import { benchAt } from '../testing/bench';
import { sheet, type Sheet } from '../testing/sheets';
import { type } from '../testing/type';
import { TideLine } from './tide-line';

const gauges = ({ page }: Sheet<TideLine>): readonly HTMLButtonElement[] => [
  ...page.querySelectorAll<HTMLButtonElement>('.line button'),
];
const open = async (line: Sheet<TideLine>, i: number): Promise<HTMLElement> => {
  gauges(line)[i]!.click();
  await line.fixture.whenStable();
  return line.page.querySelector<HTMLElement>('.panel')!;
};

describe('the tide line', () => {
  it('opens over a figure: its target to change, and the rig’s wants follow', async () => {
    const line = await sheet(TideLine, benchAt({ 'foot-count': 10 }));
    expect(gauges(line)).toHaveSize(7);
    const panel = await open(line, 2);
    expect(panel.querySelector('h2')!.textContent).toBe('Drop time, let go lying level');
    expect(panel.textContent).toMatch(/It swings like a plain pendulum [\d.,]+ m{1,2} long\./);
    await type(line.page, 'Drop at least', '1.1 s', () => line.fixture.whenStable());
    expect(line.workspace.now.rig.wants.dropTime).toEqual([1.1, 2.4]);
    // A least above the most takes the most along.
    await type(line.page, 'Drop at least', '3 s', () => line.fixture.whenStable());
    expect(line.workspace.now.rig.wants.dropTime).toEqual([3, 3]);
  });
  it('says why a figure is out, with what to do, and nothing where it lies in its pool', async () => {
    const line = await sheet(TideLine, benchAt({ 'foot-count': 16 }));
    const panel = await open(line, 0);
    expect(panel.querySelectorAll('tp-finding-card').length).toBeGreaterThan(0);
    line.workspace.put({
      ...line.workspace.now,
      rig: { ...line.workspace.now.rig, wants: { ...line.workspace.now.rig.wants, shopPrice: 400 } },
    });
    const cost = await open(line, 6);
    expect(cost.textContent).toContain('It lies in its pool.');
  });
  it('closes by its key and by a second press', async () => {
    const line = await sheet(TideLine, benchAt({ 'foot-count': 10 }));
    await open(line, 3);
    line.page.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape' }));
    await line.fixture.whenStable();
    expect(line.page.querySelector('.panel')).toBeNull();
    await open(line, 3);
    await open(line, 3);
    expect(line.page.querySelector('.panel')).toBeNull();
  });
  it('shows for a while what a figure was before the change, of the same rig only', async () => {
    const line = await sheet(TideLine, benchAt({ 'foot-count': 10 }));
    const before = gauges(line)[3]!.querySelector('.figure')!.textContent;
    line.workspace.setAdjusters('one more', { 'foot-count': 11 });
    await line.fixture.whenStable();
    expect(gauges(line)[3]!.querySelector('.was')!.textContent).toBe(`was ${before}`);
    line.workspace.setAdjusters('one more', { 'foot-count': 12 });
    await line.fixture.whenStable();
    expect(gauges(line)[3]!.querySelector('.was')!.textContent).toBe(`was ${before}`);
    const other = await sheet(TideLine, benchAt({ 'foot-count': 10 }));
    other.workspace.put({ ...benchAt({}), rig: { ...benchAt({}).rig, id: 'r2' } });
    await other.fixture.whenStable();
    expect(gauges(other)[3]!.querySelector('.was')!.textContent).toBe('');
  });
  it('of a held rig asks what the wrist should bear and for how long', async () => {
    const line = await sheet(TideLine, benchAt({}, 'pipe-post'));
    expect((await open(line, 0)).querySelector('h2')!.textContent).toBe('What tips in the wrist, nose down or up');
    await type(line.page, 'Wrist carries at most', '2.5 N m', () => line.fixture.whenStable());
    expect(line.workspace.now.rig.wants.wristAtMost).toBe(2.5);
    await open(line, 2);
    await type(line.page, 'Held for at least', '60 s', () => line.fixture.whenStable());
    expect(line.workspace.now.rig.wants.holdFor).toBe(60);
  });
});
