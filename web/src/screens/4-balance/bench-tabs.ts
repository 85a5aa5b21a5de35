/** The sheets of the balance bench: how it hangs, all loadouts' set-ups, the pan, the swing, what must be accurate, what the bench taught. */
import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';

@Component({
  selector: 'tp-bench-tabs',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, RouterLinkActive],
  template: `
    <nav aria-label="Sheets of the bench" class="no-print">
      @for (s of sheets; track s.path) {
        <a
          [routerLink]="s.path"
          routerLinkActive="here"
          ariaCurrentWhenActive="page"
          [routerLinkActiveOptions]="{ exact: true }"
          >{{ s.name }}</a
        >
      }
    </nav>
  `,
  styles: `
    nav {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-1);
    }
    a {
      display: inline-flex;
      align-items: center;
      min-height: 36px;
      padding: 4px 12px;
      border: var(--line) solid var(--sand-edge);
      border-radius: var(--corner);
      color: inherit;
      font-size: var(--size-note);
      text-decoration: none;
      background: var(--paper);
    }
    a.here {
      background: var(--ink);
      color: var(--paper);
    }
  `,
})
export class BenchTabs {
  protected readonly sheets = [
    { path: '/balance', name: 'Bench' },
    { path: '/balance/set-ups', name: 'Set-ups' },
    { path: '/balance/pan', name: 'Pan' },
    { path: '/balance/swing', name: 'Swing' },
    { path: '/balance/accuracy', name: 'What must be accurate' },
    { path: '/balance/learn', name: 'Learn from it' },
  ] as const;
}
