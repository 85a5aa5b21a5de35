/** The thread through the stages, in one line under the shoreline: the one next thing to do, and why. */
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import { render } from '@tide-pebble/core';
import { switchMap } from 'rxjs';
import { Thread } from '../services/thread';
import { Units } from '../services/units';
import { injectStage } from './here';

@Component({
  selector: 'tp-next-line',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink],
  template: `
    @if (next(); as n) {
      <p>
        <span class="lead">Next</span>
        @if (n.isHere) {
          <strong>{{ n.title }}</strong>
        } @else {
          <a [routerLink]="n.to">{{ n.title }}</a>
        }
        @if (n.why) {
          <span class="why">{{ n.why }}</span>
        }
      </p>
    }
  `,
  styles: `
    :host {
      display: block;
      grid-row: 3;
      border-bottom: var(--line) solid var(--sand-line);
      background: var(--tint-pale);
    }
    p {
      display: flex;
      flex-wrap: wrap;
      align-items: baseline;
      gap: 0 var(--space-2);
      margin: 0;
      padding: 6px 18px;
      line-height: 22px;
    }
    .lead {
      color: var(--quiet);
    }
    a,
    strong {
      font-weight: 600;
    }
    a {
      color: var(--sea);
    }
    .why {
      color: var(--slate);
    }
    @media (max-width: 56.25em) {
      p {
        padding: 6px var(--space-3);
      }
    }
  `,
  host: { class: 'no-print', role: 'region', 'aria-label': 'The next thing to do' },
})
export class NextLine {
  private readonly thread = inject(Thread);
  private readonly units = inject(Units).now;
  private readonly stage = injectStage();
  private readonly found = toSignal(toObservable(this.stage).pipe(switchMap((stage) => this.thread.nextAt(stage))), {
    initialValue: null,
  });

  protected readonly next = computed(() => {
    const found = this.found();
    if (!found) return null;
    const isHere = found.stage === this.stage() && found.sheet === null;
    return {
      isHere,
      title: render(found.title, this.units()),
      why: isHere && found.isTold ? '' : render(found.why, this.units()),
      to: found.sheet === null ? ['/', found.stage] : ['/', found.stage, found.sheet],
    };
  });
}
