/** The findings of one stage, gravest first; a calm word when there are none. */
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { findingKey, render, type Fix, type Judgement } from '@tide-pebble/core';
import { Units } from '../../services/units';
import { Workspace } from '../../services/workspace';
import { FindingCard } from './finding-card';

@Component({
  selector: 'tp-findings',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FindingCard],
  template: `
    @if (calmly() && calm()) {
      <p class="calm">{{ calm() }}</p>
    }
    @for (finding of findings(); track key(finding)) {
      <tp-finding-card [finding]="finding" (fixed)="apply($event)" />
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .calm {
      padding: var(--space-3) 0;
      color: var(--sea-deep);
    }
  `,
})
export class Findings {
  private readonly workspace = inject(Workspace);
  private readonly units = inject(Units);
  readonly findings = input.required<readonly Judgement[]>();
  protected readonly key = findingKey;
  /** Nothing to mend or to stop at; notes may still stand. */
  protected readonly calmly = computed(() => this.findings().every((f) => f.severity === 'note'));
  /** Said when nothing is wrong. */
  readonly calm = input('Nothing to mend here.');

  protected apply(fix: Fix): void {
    this.workspace.apply(render(fix.label, this.units.now()), fix.changes);
  }
}
