import { benchAt } from '../../testing/bench';
import { sheet } from '../../testing/sheets';
import { AsMadeFields } from './as-made';
import { MadePanel } from './made-panel';
import type { BuildStep } from '@tide-pebble/core/making';

const step = (makes: readonly string[]): BuildStep => ({
  id: 'x',
  about: 'bar',
  title: ['x'],
  tool: '',
  figures: [],
  check: ['x'],
  caution: null,
  minutes: 1,
  final: false,
  needs: [],
  makes,
});

describe('as made', () => {
  it('asks for what a step makes, keeps it, and forgets it when it is emptied', async () => {
    const bench = benchAt({});
    const { page, fixture, workspace } = await sheet(AsMadeFields, bench, undefined, {
      bench,
      step: step(['bar/cut', 'elsewhere/cut']),
    });
    const fields = [...page.querySelectorAll('input')];
    expect(fields.length).toBe(1);
    expect(page.textContent).toContain('Measured: sawn length');
    const type = async (text: string): Promise<void> => {
      fields[0]!.value = text;
      fields[0]!.dispatchEvent(new Event('input'));
      fields[0]!.dispatchEvent(new Event('change'));
      fields[0]!.dispatchEvent(new Event('blur'));
      fixture.componentRef.setInput('bench', workspace.now);
      await fixture.whenStable();
    };
    await type('800');
    expect(workspace.now.rig.made).toEqual([{ kind: 'length', member: 'bar', length: 0.8 }]);
    await type('');
    expect(workspace.now.rig.made).toEqual([]);
  });

  it('shows the drawing and what was made side by side, and sets it as it was found in a click', async () => {
    const bench = benchAt({});
    const rig = {
      ...bench.rig,
      made: [{ kind: 'bend' as const, member: 'bar', bend: 0, angle: (176 * Math.PI) / 180 }],
    };
    const { page, workspace, press, jobs } = await sheet(MadePanel, { ...bench, rig }, undefined, {
      bench: { ...bench, rig },
    });
    expect(jobs.asked).toContain('whatNow');
    expect(page.textContent).toContain('bend 1 of the bar: 176.0°, drawn 180.0°');
    expect([...page.querySelectorAll('thead th')].map((th) => th.textContent)).toEqual(['', 'Drawn', 'Made', 'Then']);
    await press(/^Set it so/);
    expect(workspace.set.length).toBe(1);
  });
});
