import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { figure, say, type Readout } from '@tide-pebble/core';
import { Units } from '../../services/units';
import { ReadoutList } from './readout-list';

@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReadoutList],
  template: `<tp-readout-list [readouts]="readouts()" [of]="of()" />`,
})
class Host {
  readonly of = signal('r1');
  readonly readouts = signal<readonly Readout[]>([]);
}
const load = (up: number, tips: number): Readout => ({
  id: 'low',
  name: 'Carried low',
  lines: [say`Bears ${figure('force', up)}, tips with ${figure('torque', tips)}.`],
});

describe('what is told of a rig in full', () => {
  async function shown() {
    const fixture = TestBed.createComponent(Host);
    const put = async (readouts: readonly Readout[], of = 'r1'): Promise<string> => {
      fixture.componentInstance.readouts.set(readouts);
      fixture.componentInstance.of.set(of);
      await fixture.whenStable();
      return (fixture.nativeElement as HTMLElement).querySelector('p')!.textContent.replace(/\s+/g, ' ').trim();
    };
    return { put };
  }
  it('says what a load was before a change, only of figures that changed, and keeps where a drag began', async () => {
    const { put } = await shown();
    expect(await put([load(24, 1)])).toBe('Bears 24 N, tips with 1.00 N·m.');
    expect(await put([load(24, 0.8)])).toMatch(/^Bears 24 N, tips with 0.80 N·m\. was 1.00 N·m$/);
    expect(await put([load(24, 0.5)])).toMatch(/was 1.00 N·m$/);
    expect(await put([load(24, 1)])).not.toContain('was');
  });
  it('says nothing of a change where only the units are others', async () => {
    const { put } = await shown();
    await put([load(24, 1)]);
    TestBed.inject(Units).setSystem('inch');
    const inch = await put([load(24, 1)]);
    expect(inch).toContain('lbf');
    expect(inch).not.toContain('was');
    localStorage.clear();
  });
  it('compares nothing with another rig', async () => {
    const { put } = await shown();
    await put([load(24, 1)]);
    expect(await put([load(30, 2)], 'r2')).not.toContain('was');
  });
});
