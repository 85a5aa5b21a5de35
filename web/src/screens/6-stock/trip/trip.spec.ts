import { benchAt, camera, loadout } from '../../../testing/bench';
import { pause } from '../../../testing/pause';
import { screen } from '../../../testing/store';
import { until } from '../../../testing/until';
import { ShoppingTrip } from './trip';

const limpet = benchAt({}).rig;
const post = { ...benchAt({}, 'pipe-post').rig, id: 'r2', name: 'Post' };
const open = async (held: Parameters<typeof screen>[1] = {}) => {
  const made = await screen(ShoppingTrip, { rig: [limpet, post], kit: [camera], loadout: [loadout], ...held });
  const { page, fixture } = made;
  await pause(fixture);
  await until(() => page.querySelector('section li') ?? page.querySelector('.nothing'), 'the list');
  const tick = async (box: Element): Promise<void> => {
    box.querySelector<HTMLInputElement>('input')!.click();
    await pause(fixture);
  };
  const rigBox = (name: string): Element =>
    [...page.querySelectorAll('[column] mat-checkbox')].find((b) => b.textContent.trim() === name)!;
  const lines = (): readonly string[] => [...page.querySelectorAll('section li')].map((li) => li.textContent);
  return { ...made, tick, rigBox, lines };
};

describe('the shopping trip', () => {
  const forget = (): void => localStorage.removeItem('tide-pebble.bag');
  beforeEach(forget);
  afterEach(forget);

  it('is for the rig on the bench till others are picked too, each thing with what it is for', async () => {
    const { page, lines, tick, rigBox } = await open();
    const shops = [...page.querySelectorAll('section')].map((s) => s.getAttribute('aria-label'));
    expect(shops).toContain('Metal');
    expect(lines().every((l) => l.includes('for Limpet') && !l.includes('Post'))).toBeTrue();
    await tick(rigBox('Post'));
    await until(() => lines().some((l) => l.includes('for Post')), 'the other rig');
    expect(lines().some((l) => /\d+ for Limpet, \d+ for Post/.test(l))).toBeTrue();
    await tick(rigBox('Limpet'));
    await tick(rigBox('Post'));
    await until(() => page.textContent.includes('Pick the rigs to shop for.'), 'the question');
  });

  it('keeps what is ticked over a visit, and puts it into the bin', async () => {
    const first = await open();
    const bar = [...first.page.querySelectorAll('section li')].find((li) => li.textContent.includes('aluminium flat'))!;
    await first.tick(bar);
    expect(first.page.textContent).toContain('1 in the bag');
    const { page, press, documents, lines, said } = await open();
    expect(page.querySelectorAll('section li.in').length).toBe(1);
    await press('What is ticked: into the bin');
    expect(documents.all('bin').map((b) => [b.name, b.lengths])).toEqual([['aluminium flat 30 × 6', [1]]]);
    expect(said.join()).toContain('One thing lies in the bin now.');
    await until(() => !lines().some((l) => l.includes('aluminium flat 30')), 'the list without it');
    expect(localStorage.getItem('tide-pebble.bag')).toBe('[]');
  });

  it('tells which rig is left out, and why', async () => {
    const odd = {
      ...limpet,
      id: 'r9',
      name: 'Odd',
      design: { kind: 'family' as const, family: 'sail', dimensions: {}, choices: {}, edits: [] },
    };
    const { page, tick, rigBox } = await open({ rig: [limpet, odd] });
    await tick(rigBox('Odd'));
    await until(() => page.querySelector('[role=alert]'), 'the reason');
    expect(page.querySelector('[role=alert]')!.textContent).toContain(
      'Odd is left out: This rig is of a family “sail”',
    );
  });
});
