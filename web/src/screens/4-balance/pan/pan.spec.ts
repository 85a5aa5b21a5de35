import type { Change } from '@tide-pebble/core';
import { benchAt } from '../../../testing/bench';
import { sheet, type Sheet } from '../../../testing/sheets';
import { Pan } from './pan';

const trimmed = { 'foot-count': 5, 'pivot-height': 0.0075 };
const leans = ({ page }: Sheet<Pan>): string => page.querySelector('.big')!.textContent;
const turn = async ({ page, fixture }: Sheet<Pan>, rate: number): Promise<void> => {
  const slider = page.querySelector<HTMLInputElement>('input[type=range]')!;
  slider.value = String(rate);
  slider.dispatchEvent(new Event('input'));
  await fixture.whenStable();
};

describe('the pan', () => {
  it('is still at zero, and told in the picture’s own measure at a rate', async () => {
    const pan = await sheet(Pan, benchAt(trimmed));
    await turn(pan, 0);
    expect(leans(pan)).toBe('stays level');
    await turn(pan, 120);
    expect(pan.page.querySelector('h2')!.textContent).toBe('Panned at 120° a second');
    expect(leans(pan)).toMatch(/°.*of the picture|stays level|drifts out/);
    expect(pan.page.querySelectorAll('table tr')).toHaveSize(3);
    // Beyond its end the slider is not believed.
    await turn(pan, 900);
    expect(pan.page.querySelector('h2')!.textContent).toBe('Panned at 180° a second');
  });
  it('says what to move on what, and carries a weight on to its strip by one change', async () => {
    const pan = await sheet(Pan, benchAt(trimmed));
    const offer = pan.page.querySelector<HTMLButtonElement>('.move button')!;
    expect(pan.page.querySelector('.move li:has(strong)')!.parentElement!.textContent).toMatch(
      /\d+ mm (back|forward|up|down), on a (strip|spacer) \d+ mm long \(\d+ g with its (longer )?bolt\)/,
    );
    expect(pan.page.querySelector('.move .note')!.textContent).toMatch(/It stays level; its drop is then \d+\.\d s\./);
    // The strip is asked whether it bends.
    expect(pan.page.querySelector('.move')!.textContent).toMatch(/It (then rings at|rings as before, at) [\d.]+ Hz/);
    offer.click();
    const [changes] = pan.workspace.applied;
    expect(changes!.length).toBeGreaterThan(0);
    const moves = changes!.filter((c): c is Extract<Change, { kind: 'move' }> => c.kind === 'move');
    for (const m of moves) expect(moves.filter((o) => o.id === m.id)).toHaveSize(1);
    const carries = changes!.filter((c): c is Extract<Change, { kind: 'carry' }> => c.kind === 'carry');
    expect(carries.length).toBeGreaterThan(0);
    // Strip, screws and weight go by one change: what holds the weight is said, and the rest follows.
    for (const c of carries) expect(moves.some((m) => m.id.startsWith(c.id))).toBeFalse();
    for (const c of changes!) if (c.kind === 'adjuster') expect(Number.isFinite(c.value)).toBeTrue();
  });
  it('finds the set-up that leans least and says how sure that is', async () => {
    const pan = await sheet(Pan, benchAt(trimmed));
    await pan.press('Set it so that it leans least');
    // What to move is looked for anew when it is set otherwise.
    expect(pan.jobs.asked.filter((job) => job !== 'firmAfter')).toEqual(['pan', 'trim', 'pan']);
    expect(pan.page.querySelector('.said')!.textContent.length).toBeGreaterThan(10);
  });
  it('is not asked of a rig that is held fast', async () => {
    const { page, button } = await sheet(Pan, benchAt({}, 'hand-frame'));
    expect(page.textContent).toContain('this one is held fast');
    expect(button('Set it so that it leans least')).toBeUndefined();
  });
  it('wants a trim first where it would turn over', async () => {
    const { page } = await sheet(
      Pan,
      benchAt({ 'foot-count': 0, 'rear-count': 0, 'front-count': 0, 'pivot-height': -0.0075 }),
    );
    expect(page.textContent).toContain('It would turn over: trim it first.');
  });
});
