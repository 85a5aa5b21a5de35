import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { mayOffer, type Fix, type Judgement } from '@tide-pebble/core';
import { benchAt, camera } from '../../testing/bench';
import { pause } from '../../testing/pause';
import { sheet } from '../../testing/sheets';
import { FindingCard } from './finding-card';
import { Findings } from './findings';

const KIT = new Map([[camera.id, camera]]);
/** Too few washers: it turns over, or takes another time than is wanted. */
const bench = benchAt({ 'foot-count': 16, 'rear-count': 2 });
const finding: Judgement = { ...bench.judged.findings.find((f) => f.severity === 'mend')!, fixes: [] };

@Component({
  selector: 'tp-one-finding',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Findings],
  template: '<tp-findings [findings]="findings()" />',
})
class OneFinding {
  readonly findings = input<readonly Judgement[]>([finding]);
}
@Component({
  selector: 'tp-one-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FindingCard],
  template: '<tp-finding-card [finding]="finding()" (fixed)="fixed.emit($event)" />',
})
class OneCard {
  readonly finding = input<Judgement>(finding);
  readonly fixed = output<Fix>();
}

describe('a finding without a change worked out', () => {
  it('is looked into when asked; a cure is applied by a click, and really cures it', async () => {
    const { page, press, jobs, workspace } = await sheet(OneFinding, bench);
    expect(jobs.asked).toEqual([]);
    await press('Look for a change that cures it');
    expect(jobs.asked).toEqual(['cure']);
    const cures = [...page.querySelectorAll<HTMLButtonElement>('tp-cure-finder button')];
    expect(cures.length).toBeGreaterThan(0);
    cures[0]!.click();
    const [changes] = workspace.applied;
    const set = changes!.flatMap((c) => (c.kind === 'adjuster' ? [[c.id, c.value] as const] : []));
    if (set.length > 0) {
      const after = benchAt({ ...bench.values, ...Object.fromEntries(set) });
      expect(after.judged.findings.some((f) => f.code === finding.code && f.about === finding.about)).toBeFalse();
    } else expect(changes!.some((c) => c.kind === 'dimension' || c.kind === 'choice' || c.kind === 'move')).toBeTrue();
  });
  it('forgets what was found when the finding changes', async () => {
    const { page, press, fixture } = await sheet(OneCard, bench);
    await press('Look for a change that cures it');
    expect(page.querySelectorAll('tp-cure-finder button[matButton]').length).toBeGreaterThan(0);
    fixture.componentRef.setInput('finding', { ...finding, title: ['It changed.'] });
    await fixture.whenStable();
    expect(page.textContent).toContain('Look for a change that cures it');
  });
  it('is not looked into where only measuring or the load could help, nor where it is but a note', async () => {
    for (const other of [
      { ...finding, stage: 'load' as const },
      { ...finding, severity: 'measure' as const },
      { ...finding, severity: 'note' as const },
    ]) {
      const { page, fixture } = await sheet(OneCard, bench);
      fixture.componentRef.setInput('finding', other);
      await fixture.whenStable();
      expect(page.querySelector('tp-cure-finder')).withContext(`${other.stage} ${other.severity}`).toBeNull();
    }
  });
  it('says that nothing single helps where nothing does', async () => {
    const { page, press, fixture } = await sheet(OneCard, bench);
    fixture.componentRef.setInput('finding', { ...finding, code: 'no such thing' });
    await fixture.whenStable();
    await press('Look for a change that cures it');
    expect(page.querySelector('[role=status]')!.textContent).toContain(
      'No single size, choice or setting of this rig cures it without another fault.',
    );
  });
  it('with its fix worked out tries that on a copy and offers it only where it cures, and lights up what it is about', async () => {
    const real = bench.judged.findings.find((f) => f.code === 'dropTooShort')!;
    const tries = bench.work.rig.adjusters.flatMap((a) =>
      [0.2, 0.4, 0.6, 0.8].map((part) => [
        { kind: 'adjuster' as const, id: a.id, value: a.range[0] + part * (a.range[1] - a.range[0]) },
      ]),
    );
    const changes = tries.find((t) =>
      mayOffer(
        { rig: bench.rig, loadout: bench.loadout, kit: KIT, values: bench.values },
        bench.judged.findings,
        real,
        t,
      ),
    );
    if (!changes) return fail('no fix to try');
    const good: Fix = { label: ['Take one off'], changes };
    const withFix: Judgement = { ...real, fixes: [good, { label: ['Change nothing'], changes: [] }] };
    const { page, press, fixture, workspace } = await sheet(OneFinding, bench);
    fixture.componentRef.setInput('findings', [withFix]);
    await fixture.whenStable();
    await pause(fixture);
    expect(page.querySelector('tp-cure-finder')).toBeNull();
    expect(page.textContent).not.toContain('Change nothing');
    const card = page.querySelector('tp-finding-card')!;
    card.dispatchEvent(new Event('mouseenter'));
    await fixture.whenStable();
    expect(card.classList).toContain('lit');
    expect(card.classList).toContain('grave');
    await press('Take one off');
    expect(workspace.applied[0]).toEqual(withFix.fixes[0]!.changes);
  });
});
