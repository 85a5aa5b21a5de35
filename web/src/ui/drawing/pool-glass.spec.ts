import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { trim } from '@tide-pebble/core/bench';
import { benchAt } from '../../testing/bench';
import { sheet } from '../../testing/sheets';
import type { Bench } from '../../services/workspace';
import { PoolGlass } from './pool-glass';

@Component({
  selector: 'tp-glass',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PoolGlass],
  template: '<tp-pool-glass [bench]="bench()" />',
})
class Glass {
  readonly bench = input<Bench>(benchAt({}));
}
const shown = async (bench: Bench): Promise<HTMLElement> => {
  const { page, fixture } = await sheet(Glass, bench);
  fixture.componentRef.setInput('bench', bench);
  await fixture.whenStable();
  return page;
};
/** Trimmed, so that it hangs all but level. */
function level(): Bench {
  const bare = benchAt({});
  const found = trim(bare.work.assembly, {}, { ...bare.rig.wants, massAtMost: 9, calmAtLeast: 0 });
  return benchAt(found.kind === 'solved' ? found.values : {});
}
const place = (page: HTMLElement): readonly number[] =>
  /translate\(([-\d.e]+) ([-\d.e]+)\)/
    .exec(page.querySelector('g[transform]')!.getAttribute('transform')!)!
    .slice(1)
    .map(Number);

describe('the magnifier of the pool', () => {
  it('says in words where the mass centre lies, and draws it there: ahead to the right, under the pivot below it', async () => {
    const bench = benchAt({ 'foot-count': 10 });
    const [x, , z] = bench.judged.evaluation.hung!.hang.fromPivot;
    const page = await shown(bench);
    expect(page.querySelector('.words')!.textContent).toContain(x >= 0 ? 'ahead' : 'behind');
    expect(page.querySelector('.words')!.textContent).toContain(z < 0 ? 'under' : 'above');
    const [px, py] = place(page);
    expect(Math.sign(px!)).toBe(Math.sign(x));
    expect(py! > Number(page.querySelector('.pivot')!.getAttribute('cy'))).toBe(z < 0);
  });
  it('does not call it behind by nothing', async () => {
    const bench = benchAt({ 'foot-count': 10 });
    const hung = bench.judged.evaluation.hung!;
    const at = { ...hung, hang: { ...hung.hang, fromPivot: [-1e-6, 0, -0.0024] as const } };
    const page = await shown({
      ...bench,
      judged: { ...bench.judged, evaluation: { ...bench.judged.evaluation, hung: at } },
    });
    expect(page.querySelector('.words')!.textContent).toMatch(/2\.4 mm under$/);
  });
  it('calls it in the pool exactly when it is level and falls in the time that is wanted', async () => {
    const close = level();
    const { hung } = close.judged.evaluation;
    const { drop } = hung!.pitch;
    const time = drop.kind === 'falls' ? drop.time : 1;
    const lean = Math.abs(hung!.hang.rest!.noseDown);
    const at = (levelWithin: number, dropTime: readonly [number, number]): Bench => ({
      ...close,
      rig: { ...close.rig, wants: { ...close.rig.wants, levelWithin, dropTime } },
    });
    const label = async (bench: Bench): Promise<string> =>
      (await shown(bench)).querySelector('svg')!.getAttribute('aria-label')!;
    expect(await label(at(lean * 1.3 + 1e-4, [time * 0.9, time * 1.1]))).toContain(', in its pool');
    expect(await label(at(lean * 0.7, [time * 0.9, time * 1.1]))).toContain('out of its pool');
    expect(await label(at(lean * 1.3 + 1e-4, [time * 1.1, time * 1.2]))).toContain('out of its pool');
  });
  it('keeps a far-off mass centre inside the glass, and shows nothing of a rig that is held', async () => {
    const page = await shown(benchAt({ 'foot-count': 0, 'stage-fore-aft': 0.025 }));
    expect(Math.hypot(...place(page))).toBeLessThanOrEqual(63.001);
    expect((await shown(benchAt({}, 'hand-frame'))).querySelector('svg')).toBeNull();
  });
});
