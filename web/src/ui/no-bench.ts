/** What a stage shows while no rig can be evaluated: what is missing, and where to go. */
import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { Workspace, type BenchState } from '../services/workspace';

@Component({
  selector: 'tp-no-bench',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, RouterLink],
  template: `
    @switch (state().kind) {
      @case ('broken') {
        <h1>This rig cannot be drawn</h1>
        <p>{{ $any(state()).reason }}</p>
        <a matButton="outlined" routerLink="/shelf">Choose another on the Shelf</a>
      }
      @default {
        <h1>No rig on the bench</h1>
        <p>Start one on the Shelf: it sizes itself to your camera and your hand.</p>
        <a matButton="filled" routerLink="/shelf">To the Shelf</a>
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: var(--space-3);
      justify-items: start;
      padding: var(--space-6);
      max-width: 60ch;
    }
  `,
})
export class NoBench {
  protected readonly state = toSignal(inject(Workspace).bench$, { initialValue: { kind: 'none' } as BenchState });
}
