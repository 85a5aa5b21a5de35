/** For a finding without a change worked out: looks, when asked, which one size, choice, setting or place would cure it. */
import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { designedOf, type Finding, type Fix, type KitItem } from '@tide-pebble/core';
import type { Cure } from '@tide-pebble/core/making';
import { Asked } from '../../services/asked';
import { injectBench } from '../../services/bench-signal';
import { Jobs } from '../../services/jobs';
import { Units } from '../../services/units';
import { Workspace } from '../../services/workspace';
import { SayPipe } from '../figures/figures.pipe';

const NO_KIT: ReadonlyMap<string, KitItem> = new Map();

@Component({
  selector: 'tp-cure-finder',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatProgressBar, SayPipe],
  template: `
    @switch (search.kind()) {
      @case ('notAsked') {
        <button matButton type="button" (click)="look()">Look for a change that cures it</button>
      }
      @case ('working') {
        <mat-progress-bar
          mode="determinate"
          [value]="100 * search.part()!"
          aria-label="Trying sizes, choices and settings"
        />
        <button matButton type="button" (click)="search.stop()">Stop looking</button>
      }
      @case ('failed') {
        <p class="wrong">{{ search.reason() }}</p>
      }
      @case ('found') {
        @for (c of search.found() ?? []; track $index) {
          <button matButton="outlined" type="button" (click)="fixed.emit(c)">{{ c.label | say: units() }}</button>
          @if (c.trimAfter) {
            <p class="note">then trim it again: that was tried, and does</p>
          }
        } @empty {
          <p class="note" role="status">
            No single size, choice or setting of this rig cures it without another fault. It takes two changes, other
            kit, or another kind of rig.
          </p>
        }
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: var(--space-1);
      justify-items: start;
    }
    button {
      height: auto;
      min-height: 36px;
      white-space: normal;
      text-align: left;
      line-height: 1.25;
      padding-block: 6px;
    }
  `,
})
export class CureFinder {
  private readonly workspace = inject(Workspace);
  private readonly jobs = inject(Jobs);
  protected readonly units = inject(Units).now;
  private readonly bench = injectBench();
  private readonly kit = toSignal(this.workspace.kit$, { initialValue: NO_KIT });

  readonly finding = input.required<Finding>();
  readonly fixed = output<Fix>();
  /** An edit of the rig makes what was found stale. */
  protected readonly search = new Asked<readonly Cure[]>(this.finding);

  protected look(): void {
    const bench = this.bench();
    if (!bench) return;
    const { rig, loadout, values } = bench;
    const asked = this.finding();
    this.search.ask((told) =>
      this.jobs.run(
        'cure',
        {
          rig: { ...designedOf(rig), wants: rig.wants },
          loadout,
          kit: this.kit(),
          values,
          finding: {
            code: asked.code,
            about: asked.about,
            ...(asked.place === undefined ? {} : { place: asked.place }),
          },
        },
        told,
      ),
    );
  }
}
