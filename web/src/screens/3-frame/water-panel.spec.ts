import { panel } from '../../testing/panel';
import { WaterPanel } from './water-panel';

describe('into the water', () => {
  it('is reckoned once it is opened, for the water that is picked', async () => {
    const { page, fixture } = await panel(WaterPanel);
    expect(page.querySelector('li')).toBeNull();
    const details = page.querySelector('details')!;
    details.open = true;
    details.dispatchEvent(new Event('toggle'));
    await fixture.whenStable();
    expect(page.textContent).toContain('It sinks in sea water, too heavy by');
    expect(page.textContent).toContain('Tether it');
    const select = page.querySelector('select')!;
    select.value = 'fresh';
    select.dispatchEvent(new Event('change'));
    await fixture.whenStable();
    expect(page.textContent).toContain('It sinks in fresh water');
    expect(page.textContent).not.toMatch(/NaN|undefined/);
  });
});
