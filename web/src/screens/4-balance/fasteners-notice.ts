/** Told once of a rig kept before its screws and nuts were counted: what they weigh, how it hangs by them, and to trim it anew. */
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { fastenersCounted, figure, say, type Hung, type Phrase } from '@tide-pebble/core';
import { Units } from '../../services/units';
import { Workspace, type Bench } from '../../services/workspace';
import { SayPipe } from '../../ui/figures/figures.pipe';

@Component({
  selector: 'tp-fasteners-notice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, SayPipe],
  template: `
    @if (told(); as t) {
      <section aria-label="What is counted now">
        <p class="title">{{ t.title | say: units() }}</p>
        <p class="note">{{ t.why | say: units() }}</p>
        <p class="acts">
          @if (bench().work.rig.adjusters.length > 0) {
            <button matButton="outlined" type="button" (click)="trimAnew()">Trim it anew</button>
          }
          <button matButton="text" type="button" (click)="seen()">I know</button>
        </p>
      </section>
    }
  `,
  styles: `
    section {
      padding: var(--space-3);
      background: var(--tint-pale);
      border-radius: var(--corner);
      margin-bottom: var(--space-2);
    }
    .title {
      font-weight: 600;
    }
    .acts {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-2);
      margin-top: var(--space-2);
    }
  `,
})
export class FastenersNotice {
  private readonly workspace = inject(Workspace);
  protected readonly units = inject(Units).now;
  readonly bench = input.required<Bench>();
  readonly trim = output<void>();

  private readonly log = toSignal(this.workspace.log$, { initialValue: [] });
  protected readonly told = computed((): { readonly title: Phrase; readonly why: Phrase } | null => {
    const { rig, work, judged } = this.bench();
    if (rig.fastenersCounted) return null;
    const { pieces, mass } = fastenersCounted(work.assembly);
    if (pieces === 0) return null;
    const { hung } = judged.evaluation;
    const then = this.log()
      .filter((e) => e.rig === rig.id && e.loadout === rig.loadout)
      .sort((a, b) => b.when.localeCompare(a.when))[0]?.expected;
    return {
      title: say`The screws, nuts and washers of this rig count now: ${figure('count', pieces)} pieces, ${figure('mass', mass)}.`,
      why: [
        ...say`It was kept before all of them did: what was set then was found with less on it.`,
        ...(hung
          ? [...say` As it is set it hangs `, ...hangs(hung.hang.rest?.noseDown ?? null, timeOf(hung)), '.']
          : []),
        ...(hung && then
          ? [...say` When it was last read it was reckoned to hang `, ...hangs(then.noseDown, then.dropPitch), '.']
          : []),
        ...say` They are in To buy and in Build.`,
      ],
    };
  });

  protected seen(): void {
    this.workspace.editRig('what is counted now', (rig) => ({ ...rig, fastenersCounted: true }));
  }
  protected trimAnew(): void {
    this.seen();
    this.trim.emit();
  }
}

const timeOf = ({ pitch }: Hung): number | null => (pitch.drop.kind === 'falls' ? pitch.drop.time : null);

/** Nose down is positive, rad; null where it turns over, or does not fall to rest upright. */
function hangs(noseDown: number | null, dropTime: number | null): Phrase {
  if (noseDown === null) return ['upside down'];
  const way = noseDown >= 0 ? 'nose down' : 'nose up';
  const level = say`${figure('angle', Math.abs(noseDown), 1)} ${way}`;
  return dropTime === null ? level : [...level, ...say` with a drop of ${figure('time', dropTime, 2)}`];
}
