/** A stopwatch for a drop: one big button, or the space bar. */
import { ChangeDetectionStrategy, Component, DestroyRef, inject, output, signal } from '@angular/core';
import { Units } from '../services/units';
import { FigurePipe } from './figures/figures.pipe';

/** Shorter is a press by mistake, longer one forgotten, s. */
const BETWEEN = [0.1, 60] as const;

@Component({
  selector: 'tp-stopwatch',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FigurePipe],
  template: `
    <button type="button" class="watch" [class.running]="running() !== null" (click)="press()">
      <span class="figure">{{ elapsed() | figure: units() : 'time' : 2 }}</span>
      <span>{{ running() === null ? 'Let go' : 'Upright' }}</span>
    </button>
  `,
  styles: `
    .watch {
      width: 100%;
      min-height: 120px;
      margin: var(--space-2) 0;
      border: 0;
      border-radius: var(--corner);
      background: var(--ink);
      color: var(--paper);
      display: grid;
      place-items: center;
      align-content: center;
      cursor: pointer;
    }
    .figure {
      font-size: 2.4rem;
    }
    .running {
      background: var(--sea);
      color: var(--on-sea);
    }
  `,
  host: { '(document:keydown)': 'key($event)' },
})
export class Stopwatch {
  protected readonly units = inject(Units).now;
  /** s, to a hundredth: a thumb is no surer. */
  readonly timed = output<number>();
  protected readonly running = signal<number | null>(null);
  protected readonly elapsed = signal(0);
  private ticking = 0;

  constructor() {
    inject(DestroyRef).onDestroy(() => cancelAnimationFrame(this.ticking));
  }

  protected press(): void {
    const started = this.running();
    const now = performance.now();
    if (started === null) {
      this.running.set(now);
      const tick = (at: number): void => {
        this.elapsed.set(Math.max(0, at - now) / 1000);
        this.ticking = requestAnimationFrame(tick);
      };
      this.ticking = requestAnimationFrame(tick);
      return;
    }
    cancelAnimationFrame(this.ticking);
    this.running.set(null);
    const time = Math.round((now - started) / 10) / 100;
    this.elapsed.set(time);
    if (time >= BETWEEN[0] && time <= BETWEEN[1]) this.timed.emit(time);
  }

  protected key(event: KeyboardEvent): void {
    if (
      event.key !== ' ' ||
      (event.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT|BUTTON|A)$/.test(event.target.tagName))
    )
      return;
    event.preventDefault();
    this.press();
  }
}
