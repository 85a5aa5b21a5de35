/** A rig made ready: its picture, what speaks for it and against it, what it gives up, what was changed to clear it and what is left. */
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  familyById,
  figure,
  placedPieces,
  say,
  USUAL_HANDS,
  workpiece,
  type KitItem,
  type Loadout,
} from '@tide-pebble/core';
import type { ReadyCandidate } from '@tide-pebble/core/making';
import { Units } from '../../../services/units';
import { PLAIN, sheetOf } from '../../../ui/drawing/rig-drawing';
import { SayPipe } from '../../../ui/figures/figures.pipe';

const SIZE = { width: 240, height: 190 };
const MARGINS = { ...PLAIN, left: 6, right: 6, top: 6, bottom: 6 };

@Component({
  selector: 'tp-ready-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, SayPipe],
  template: `
    <article [attr.aria-label]="family().name">
      <svg
        [attr.viewBox]="'0 0 ' + size.width + ' ' + size.height"
        role="img"
        [attr.aria-label]="family().name + ', from the side'"
      >
        @for (shape of picture(); track shape.key) {
          <path [attr.d]="shape.path" [attr.class]="'shape ' + shape.look" />
        }
      </svg>
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
    svg {
      width: 100%;
      max-height: 190px;
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
  protected readonly size = SIZE;
  readonly candidate = input.required<ReadyCandidate>();
  readonly loadout = input.required<Loadout | null>();
  readonly kit = input.required<ReadonlyMap<string, KitItem>>();
  readonly taken = output();
  protected readonly family = computed(() => familyById(this.candidate().family)!);
  protected readonly figures = computed(() => {
    const { mass, cost, hours } = this.candidate();
    return say`${figure('mass', mass)}, ${figure('money', cost)} to buy, ${figure('count', hours, 1)} h at the bench`;
  });
  protected readonly picture = computed(() => {
    const { start } = this.candidate();
    const made = workpiece({ design: start.design, hands: USUAL_HANDS }, this.loadout(), this.kit());
    if (!made.ok) return [];
    return sheetOf(placedPieces(made.work.assembly, start.values), ['side'], SIZE, null, MARGINS).views[0]!.shapes;
  });
}
