import { NOTHING_SEEN, type LogEntry } from '@tide-pebble/core';
import { benchAt } from '../testing/bench';
import { sheet } from '../testing/sheets';
import { type } from '../testing/type';
import { until } from '../testing/until';
import { FlickSheet } from './flick-sheet';

type Seen = LogEntry['seen'];
const shown = async (seen: Seen = NOTHING_SEEN) => {
  const bench = benchAt({ 'foot-count': 10 });
  const noted: Seen[] = [];
  const made = await sheet(FlickSheet, bench, () => undefined, { seen });
  made.fixture.componentInstance.noted.subscribe((next) => {
    noted.push(next);
    made.fixture.componentRef.setInput('seen', next);
  });
  return { ...made, noted, last: () => noted.at(-1)! };
};

describe('a flick noted', () => {
  it('is typed as heard; what it says of the joints goes along with it', async () => {
    const page = await shown();
    await type(page.page, 'Rings at, Hz', '9', () => page.fixture.whenStable());
    await until(() => page.last().rings?.joints !== undefined, 'the joints');
    expect(page.last().rings!.read).toEqual({ by: 'ear', frequency: 9 });
    expect(page.page.textContent).toMatch(/Heard 9\.0 Hz, reckoned [\d.]+ Hz/);
    const dying = page.page.querySelectorAll('select')[1]!;
    dying.value = 'slower';
    dying.dispatchEvent(new Event('change'));
    await until(() => page.page.textContent.includes('something has play'), 'how it dies');
    expect(page.last().rings!.dies).toBe('slower');
  });
  it('is counted on film, and taken out again', async () => {
    const page = await shown();
    await type(page.page, 'Or on film: whole swings', '10', () => page.fixture.whenStable());
    await type(page.page, 'over so many frames', '300', () => page.fixture.whenStable());
    expect(page.last().rings!.read).toEqual({ by: 'film', frameRate: 240, swings: 10, frames: 300 });
    await until(() => page.page.textContent.includes('Heard 8.0 Hz'), 'what was counted');
    await type(page.page, 'Or on film: whole swings', '', () => page.fixture.whenStable());
    expect(page.last().rings).toBeUndefined();
  });
});
