/** A clip read by hand: opened large over the page; what is taken from it goes into the reading. */
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { DROPS_AT_MOST, withSeen, type LogEntry, type ReadingKind } from '@tide-pebble/core';
import { Dialogs } from '../dialogs';
import type { ClipAsked } from './clip-dialog';

type Seen = LogEntry['seen'];

@Component({
  selector: 'tp-clip-reader',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton],
  template: `
    @if (leans() || drops()) {
      <h2>By a clip</h2>
      <p class="note">
        Film it squarely from its side, with something upright in the picture. Step through it frame by frame.
      </p>
      <button matButton="outlined" type="button" (click)="open()">Read a clip by hand</button>
    }
  `,
  styles: `
    :host {
      display: block;
      margin: var(--space-3) 0;
    }
  `,
})
export class ClipReader {
  private readonly dialogs = inject(Dialogs);
  readonly readings = input.required<readonly ReadingKind[]>();
  readonly seen = input.required<Seen>();
  readonly noted = output<Seen>();
  protected readonly leans = computed(() => this.readings().some((r) => r.kind === 'noseDown'));
  protected readonly drops = computed(() => this.readings().some((r) => r.kind === 'dropTimes'));

  protected open(): void {
    const data: ClipAsked = {
      leans: this.leans(),
      drops: this.drops(),
      takeDrop: (time) => {
        const dropTimes = [...this.seen().dropTimes, Math.round(time * 100) / 100];
        this.noted.emit({ ...this.seen(), dropTimes: dropTimes.slice(-DROPS_AT_MOST) });
      },
      takeLean: (noseDown) => {
        // To a tenth of a degree, as it is told.
        const rounded = (Math.round((noseDown * 1800) / Math.PI) * Math.PI) / 1800;
        this.noted.emit(withSeen(this.seen(), { kind: 'noseDown', about: null }, rounded));
      },
    };
    void this.dialogs.open(() => import('./clip-dialog').then((m) => m.ClipDialog), { data, width: '1100px' });
  }
}
