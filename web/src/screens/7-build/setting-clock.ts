/** What sets or prints by itself just now, and until when; it says so when it has. */
import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, effect, inject, input, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { figure, render, showFigure } from '@tide-pebble/core';
import { map, timer } from 'rxjs';
import { Notices } from '../../services/notices';
import { Units } from '../../services/units';
import type { StepShown } from './steps-now';

const SECOND = 1000;

@Component({
  selector: 'tp-setting-clock',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DatePipe],
  template: `
    @if (wet().length > 0) {
      <section aria-label="Going on by itself">
        <h2>Going on by itself</h2>
        <ul>
          @for (w of wet(); track w.id) {
            <li>
              {{ w.title }}: until <strong>{{ w.until | date: 'EEE HH:mm' }}</strong>, {{ w.left }} to go
            </li>
          }
        </ul>
      </section>
    }
  `,
  styles: `
    section {
      border-left: 4px solid var(--sea);
      padding-left: var(--space-3);
      margin: var(--space-3) 0;
    }
    ul {
      margin: 0;
      padding-left: 1.2em;
    }
  `,
})
export class SettingClock {
  private readonly notices = inject(Notices);
  private readonly units = inject(Units).now;
  /** When each was ticked off, by its step's id. */
  readonly setting = input.required<Readonly<Record<string, string>>>();
  readonly steps = input.required<readonly StepShown[]>();

  private readonly now = toSignal(timer(0, SECOND).pipe(map(() => Date.now())), { initialValue: Date.now() });
  private readonly all = computed(() =>
    this.steps().flatMap(({ step, done, goesOn }) => {
      const begun = this.setting()[step.id];
      if (!done || !begun || goesOn === 0) return [];
      return [
        {
          id: step.id,
          title: render(step.title, this.units()),
          until: Date.parse(begun) + SECOND * goesOn,
          has: step.dries ? 'set' : 'been printed',
        },
      ];
    }),
  );
  protected readonly wet = computed(() => {
    const now = this.now();
    return this.all()
      .filter((w) => w.until > now)
      .map((w) => ({
        ...w,
        left: showFigure(figure('time', Math.ceil((w.until - now) / 60_000) * 60, 0), this.units()),
      }));
  });

  constructor() {
    let before: ReadonlySet<string> = new Set();
    effect(() => {
      const wet = new Set(this.wet().map((w) => w.id));
      untracked(() => {
        // Only what ran out while it was watched: not what was unticked.
        for (const w of this.all())
          if (before.has(w.id) && !wet.has(w.id)) this.notices.say(`It has ${w.has}: ${w.title}.`);
      });
      before = wet;
    });
  }
}
