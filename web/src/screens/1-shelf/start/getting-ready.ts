/** While a rig is sized, trimmed and cleared: how long it takes, a way out, and before it is started what still stands against it. */
import { afterNextRender, ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog';
import { MatProgressBar } from '@angular/material/progress-bar';
import type { Family, Hands, KitItem, Loadout, Wants } from '@tide-pebble/core';
import type { ReadyCandidate } from '@tide-pebble/core/making';
import { Jobs } from '../../../services/jobs';
import { OwnAnswers } from '../../../services/own-answers';
import { Units } from '../../../services/units';
import { SayPipe } from '../../../ui/figures/figures.pipe';

export interface ToMakeReady {
  readonly family: Family;
  readonly loadout: Loadout | null;
  readonly kit: ReadonlyMap<string, KitItem>;
  readonly hands: Hands;
  readonly wants: Wants;
}

@Component({
  selector: 'tp-getting-ready',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatDialogTitle, MatDialogContent, MatDialogActions, MatDialogClose, MatProgressBar, SayPipe],
  template: `
    <h2 mat-dialog-title>{{ of.family.name }}</h2>
    <mat-dialog-content aria-live="polite">
      @if (ready(); as r) {
        <p>
          Sized and trimmed for {{ of.loadout?.name ?? 'a bare camera' }}. {{ r.left.length === 1 ? 'This' : 'These' }}
          no single change cures:
        </p>
        <ul class="plain-list">
          @for (f of r.left; track $index) {
            <li>
              <strong>{{ f.title | say: units() }}</strong> {{ f.why | say: units() }}
              <span class="note">{{ f.toDo | say: units() }}</span>
            </li>
          }
        </ul>
      } @else if (failed()) {
        <p class="wrong" role="alert">It could not be worked out: {{ failed() }}.</p>
      } @else {
        <p>Sizing it to {{ of.loadout?.name ?? 'a bare camera' }}, trimming it, clearing what stands against it…</p>
        <mat-progress-bar mode="indeterminate" [attr.aria-label]="'Making ready: ' + of.family.name" />
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button matButton mat-dialog-close>{{ ready() ? 'Not this one' : 'Stop' }}</button>
      @if (ready(); as r) {
        <button matButton="filled" type="button" (click)="dialog.close(r)">Start it all the same</button>
      }
    </mat-dialog-actions>
  `,
  styles: `
    li {
      padding: var(--space-2) 0;
      border-top: var(--line) solid var(--sand-line);
    }
  `,
})
export class GettingReady {
  protected readonly of = inject<ToMakeReady>(MAT_DIALOG_DATA);
  protected readonly dialog = inject<MatDialogRef<GettingReady, ReadyCandidate>>(MatDialogRef);
  protected readonly units = inject(Units).now;
  /** Worked out, with something left to tell. */
  protected readonly ready = signal<ReadyCandidate | null>(null);
  protected readonly failed = signal('');

  constructor() {
    const { family, ...asked } = this.of;
    const input = { ...asked, wishes: inject(OwnAnswers).now().wishes };
    const found$ = inject(Jobs).run('ready', { family: family.id, input }).pipe(takeUntilDestroyed());
    // A dialog can be closed once it is there.
    afterNextRender(() =>
      found$.subscribe({
        next: (found) => (found && found.left.length === 0 ? this.dialog.close(found) : this.ready.set(found)),
        error: (fault: Error) => this.failed.set(fault.message),
      }),
    );
  }
}
