import { benchAt, withRig } from '../../testing/bench';
import { sheet } from '../../testing/sheets';
import { until } from '../../testing/until';
import { Strength } from './strength';

const told = async (bench = benchAt({}, 'boom')) => {
  const made = await sheet(Strength, bench);
  await until(() => made.page.querySelector('tp-mode-picture, .word.grave'), 'the strength');
  await made.fixture.whenStable();
  return made;
};

describe('the strength', () => {
  it('tells how it rings, sags and what is strained most, and draws it from two sides', async () => {
    const { page } = await told();
    expect(page.querySelector('.readouts')!.textContent).toMatch(/Rings at\s*\d+\.\d Hz/);
    expect(page.querySelectorAll('tp-mode-picture svg').length).toBe(2);
    expect(page.textContent).toContain('boom tube');
    expect(page.textContent).toContain('It does not say that it is safe');
    expect(page.textContent).not.toMatch(/NaN|undefined|Infinity/);
  });

  it('tells each case that may come to it, what the lens sees, and what joints carry of what they hold', async () => {
    const { page } = await told();
    const rows = [...page.querySelectorAll('.rows:not(.plays)')].map((r) => r.textContent);
    expect(rows[0]).toContain('bumped to 3 times its weight');
    expect(rows[0]).toContain('A pull');
    expect(rows[2]).toMatch(/of what it holds|opens or slips at|is not known/);
    expect(page.querySelectorAll('.shaken tbody tr').length).toBe(3);
    expect(page.querySelector('.shaken')!.textContent).toMatch(/steps a second/);
  });

  it('shows the way of ringing that is picked', async () => {
    const { page, fixture } = await told();
    const before = page.querySelector('.says')!.textContent;
    page.querySelectorAll<HTMLButtonElement>('.modes button')[4]!.click();
    await fixture.whenStable();
    expect(page.querySelector('.says')!.textContent).not.toBe(before);
    expect(page.querySelectorAll('.modes [aria-pressed=true]').length).toBe(1);
  });

  it('tells six more ways of ringing when asked', async () => {
    const { page, press, fixture } = await told();
    expect(page.querySelectorAll('.modes button').length).toBe(6);
    await press('Six more');
    await until(() => page.querySelectorAll('.modes button').length === 12, 'six more');
    await fixture.whenStable();
    expect(page.textContent).not.toMatch(/NaN|undefined|Infinity/);
  });

  it('says what cannot be reckoned and why: a rig that nothing holds', async () => {
    const bench = withRig(benchAt({}, 'boom'), (rig) => ({ ...rig, contacts: [], poses: [] }));
    const { page } = await told(bench);
    expect(page.textContent).toContain('Nothing says where this rig is held.');
    expect(page.querySelector('tp-mode-picture')).toBeNull();
    expect(page.querySelector('tp-rig-views svg')).not.toBeNull();
  });

  it('tries every change when asked, and sets the one that is pressed', async () => {
    const { page, fixture, workspace } = await told();
    const panel = page.querySelector('tp-stiffen-panel')!;
    panel.querySelector('button')!.click();
    await until(() => panel.textContent.includes('changes tried'), 'the changes');
    await fixture.whenStable();
    panel.querySelector<HTMLButtonElement>('li button')!.click();
    expect(workspace.applied.length).toBe(1);
    expect(workspace.applied[0]![0]!.kind).toMatch(/choice|dimension/);
  });
});
