import { benchAt, camera, loadout } from '../../../testing/bench';
import { pause } from '../../../testing/pause';
import { screen } from '../../../testing/store';
import { until } from '../../../testing/until';
import { OutOfSheets } from './sheets';

const limpet = benchAt({}).rig;
const axes = { ...benchAt({}, 'three-axis-frame').rig, id: 'r2', name: 'Axes' };
const open = async () => {
  const made = await screen(OutOfSheets, { rig: [axes, limpet], kit: [camera], loadout: [loadout] });
  const { page, fixture } = made;
  await pause(fixture);
  const tick = async (name: string): Promise<void> => {
    const box = [...page.querySelectorAll('[column] mat-checkbox')].find((b) => b.textContent.trim() === name)!;
    box.querySelector<HTMLInputElement>('input')!.click();
    await pause(fixture);
  };
  return { ...made, tick };
};

describe('out of sheets', () => {
  const forget = (): void => localStorage.removeItem('tide-pebble.sheets');
  beforeEach(forget);
  afterEach(forget);

  it('lays plates and boards on sheets of their material and thickness, each told where it lies', async () => {
    const { page, tick } = await open();
    await until(() => page.querySelector('section li'), 'the sheets');
    const names = [...page.querySelectorAll('section')].map((s) => s.getAttribute('aria-label'));
    expect(names).toEqual(['aluminium, 6 mm', 'birch plywood, 6 mm']);
    const ply = page.querySelectorAll('section')[1]!;
    expect([...ply.querySelectorAll('li strong')].map((e) => e.textContent).sort()).toEqual([
      'camera plate',
      'left cheek',
      'right cheek',
    ]);
    expect(ply.textContent).toContain('The grain runs along the sheet.');
    expect(ply.querySelectorAll('rect.piece').length).toBe(3);
    expect(ply.textContent).toMatch(/from the left/);
    await tick('Axes');
    await until(() => page.textContent.includes('Pick the rigs to saw for.'), 'the question');
    await tick('Limpet');
    await until(() => page.textContent.includes('Nothing of it is sawn out of a sheet.'), 'the answer');
  });
  it('takes the maker’s own sheet, says what is larger, and keeps it over a visit', async () => {
    const first = await open();
    await until(() => first.page.querySelector('section li'), 'the sheets');
    const field = first.page
      .querySelectorAll<HTMLInputElement>('section')[1]!
      .querySelector<HTMLInputElement>('input')!;
    field.value = '100 mm';
    field.dispatchEvent(new Event('input'));
    field.dispatchEvent(new Event('change'));
    await until(() => first.page.textContent.includes('larger than the sheet within its edge'), 'what is too large');
    expect(first.page.textContent).toContain('Not out of a sheet of 100 mm × 200 mm.');
    const { page } = await open();
    await until(() => page.textContent.includes('Not out of a sheet of 100 mm × 200 mm.'), 'the sheet kept');
  });
});
