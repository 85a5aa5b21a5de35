/** A rig made ready: its picture, what speaks for it and against it, what it gives up, what was changed to clear it and what is left. */
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { familyById, figure, say, type KitItem, type Loadout } from '@tide-pebble/core';
import type { ReadyCandidate } from '@tide-pebble/core/making';
import { Units } from '../../../services/units';
import { StartPicture } from '../../../ui/drawing/start-picture';
import { SayPipe } from '../../../ui/figures/figures.pipe';

@Component({
  selector: 'tp-ready-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, SayPipe, StartPicture],
  template: `
    <article [attr.aria-label]="family().name">
      <tp-start-picture [name]="family().name" [start]="candidate().start" [loadout]="loadout()" [kit]="kit()" />
      <h2>{{ family().name }}</h2>
      <p class="figures">{{ figures() | say: units() }}</p>
      <ul class="plain-list reasons">
        @for (r of candidate().reasons; track $index) {
          <li [class.bad]="!r.good">
            <span aria-hidden="true">{{ r.good ? '+' : '–' }}</span>
            <span class="visually-hidden">{{ r.good ? 'For it:' : 'Against it:' }}</span>
            {{ r.text | say: units() }}
          </li>
        }
        @for (f of candidate().left; track $index) {
          <li class="bad">
            <span aria-hidden="true">–</span> <span class="visually-hidden">Against it:</span>
            {{ f.title | say: units() }}
          </li>
        }
      </ul>
      @if (candidate().cured.length > 0) {
        <p class="note">
          Changed so that nothing stands against it:
          @for (c of candidate().cured; track $index) {
            {{ c | say: units() }}{{ $last ? '.' : '; ' }}
          }
        </p>
      }
      <p class="note">Gives up: {{ family().givesUp }}</p>
      <button
        matButton="filled"
        type="button"
        (click)="taken.emit()"
        [attr.aria-label]="'Put it on the bench: ' + family().name"
      >
        Put it on the bench
      </button>
    </article>
  `,
  styles: `
    article {
      display: grid;
      gap: var(--space-2);
      align-content: start;
      height: 100%;
      padding: var(--space-3);
      border: var(--line) solid var(--sand-edge);
      border-radius: var(--corner);
      background: var(--paper);
    }
    .figures {
      font-weight: 600;
    }
    .reasons .bad {
      color: var(--coral-word);
    }
    button {
      justify-self: start;
    }
  `,
})
export class ReadyCard {
  protected readonly units = inject(Units).now;
  readonly candidate = input.required<ReadyCandidate>();
  readonly loadout = input.required<Loadout | null>();
  readonly kit = input.required<ReadonlyMap<string, KitItem>>();
  readonly taken = output();
  protected readonly family = computed(() => familyById(this.candidate().family)!);
  protected readonly figures = computed(() => {
    const { mass, cost, hours } = this.candidate();
    return say`${figure('mass', mass)}, ${figure('money', cost)} to buy, ${figure('count', hours, 1)} h at the bench`;
  });
}
