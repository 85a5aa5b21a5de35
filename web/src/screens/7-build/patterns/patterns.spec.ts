import { layPages, patternsOf } from '@tide-pebble/core/patterns';
import { of, throwError } from 'rxjs';
import { PatternPaper } from '../../../services/pattern-paper';
import { benchAt } from '../../../testing/bench';
import { sheet } from '../../../testing/sheets';
import type { PatternsAsked } from '../../../workers/paper.worker';
import { PatternSheets } from './patterns';

type Asked = PatternsAsked;
/** Laid out at once, and no file; what was asked is kept. */
const laidHere = (asked: Asked[]) =>
  spyOn(PatternPaper.prototype, 'ask').and.callFake((any) => {
    const now = any as PatternsAsked;
    asked.push(now);
    if (now.file) return of({ id: 1, file: new ArrayBuffer(8) });
    return of({ id: 1, pages: layPages(patternsOf(now.assembly, now.cope), now.printer, now.without) });
  });
const open = async (asked: Asked[] = []) => {
  laidHere(asked);
  return sheet(PatternSheets, benchAt({}, 'pipe-post'));
};
const save = (page: HTMLElement): HTMLButtonElement =>
  [...page.querySelectorAll('button')].find(
    (b) => b.textContent.includes('Save as PDF') || b.textContent.includes('Making'),
  )!;

describe('patterns on paper', () => {
  const forget = (): void => ['printer', 'cope'].forEach((k) => localStorage.removeItem(`tide-pebble.${k}`));
  beforeEach(forget);
  afterEach(forget);

  it('are listed with their pictures, holes and sheets; what is left out is not printed', async () => {
    const asked: Asked[] = [];
    const { page, fixture } = await open(asked);
    const items = [...page.querySelectorAll('ol.plain-list > li')];
    expect(items.length).toBe(3);
    expect(items.every((li) => li.querySelector('svg path') !== null)).toBeTrue();
    expect(items[0]!.textContent).toContain('sheet 1');
    expect(items[0]!.querySelectorAll('.holes li').length).toBe(1);
    items[0]!.querySelector<HTMLInputElement>('input[type=checkbox]')!.click();
    await fixture.whenStable();
    expect(asked.at(-1)!.without.length).toBe(1);
    expect(page.querySelector('ol.plain-list > li')!.textContent).toContain('not printed');
    // The others keep their numbers.
    expect(page.querySelectorAll('ol.plain-list > li')[1]!.textContent).toContain('2. ');
  });

  it('ask for a file in the units on show', async () => {
    const asked: Asked[] = [];
    const { page, fixture } = await open(asked);
    spyOn(HTMLAnchorElement.prototype, 'click');
    save(page).click();
    await fixture.whenStable();
    expect(asked.at(-1)!.file!.units.system).toBe('mm');
    expect(HTMLAnchorElement.prototype.click).toHaveBeenCalledTimes(1);
  });

  it('take in a tube of the maker’s own that ends on another, and keep what was typed', async () => {
    const asked: Asked[] = [];
    const { page, fixture } = await open(asked);
    const before = page.querySelectorAll('ol.plain-list > li').length;
    page.querySelector<HTMLInputElement>('tp-cope-form input[type=checkbox]')!.click();
    await fixture.whenStable();
    expect(asked.at(-1)!.cope!.angle).toBeCloseTo(Math.PI / 2, 12);
    expect(page.querySelectorAll('ol.plain-list > li').length).toBe(before + 1);
    expect(page.textContent).toContain('Sheet to end a tube of');
    expect(JSON.parse(localStorage.getItem('tide-pebble.cope')!)).toEqual(asked.at(-1)!.cope);
  });

  it('say why there is no file', async () => {
    spyOn(PatternPaper.prototype, 'ask').and.returnValue(throwError(() => new Error('out of memory')));
    const { page } = await sheet(PatternSheets, benchAt({}, 'pipe-post'));
    expect(page.querySelector('[role=alert]')!.textContent).toContain('could not be drawn: out of memory');
    expect(save(page).disabled).toBeTrue();
  });

  it('start from the usual printer where what was kept cannot be read', async () => {
    localStorage.setItem('tide-pebble.printer', '{"paper":"vellum"}');
    const { page } = await open();
    expect(page.querySelector<HTMLInputElement>('input[type=radio]:checked')!.value).toBe('a4');
  });
});
