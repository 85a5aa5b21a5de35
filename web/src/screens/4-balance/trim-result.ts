/** What the trim found beside the set-up itself: other ways as good, or what would make it possible, each to take in a click. */
import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  output,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { figure, render, showFigure } from '@tide-pebble/core';
import { type Remedy, type SetUpFound, type ExplainedTrim } from '@tide-pebble/core/bench';
import { together } from '../../services/keeping/history';
import { Units } from '../../services/units';
import { Workspace, type Bench } from '../../services/workspace';

const SHOWN = 6;

@Component({
  selector: 'tp-trim-result',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton],
  template: `
    @if (ties().length > 0) {
      <h2>Other ways as good</h2>
      @for (t of ties(); track $index) {
        <button matButton="outlined" type="button" (click)="take(t.found)">{{ t.text }}</button>
      }
    }
    @if (remedies().length > 0) {
      <h2>What would make it possible</h2>
      @for (r of remedies(); track $index) {
        @if (r.remedy.whole) {
          <button matButton="outlined" type="button" (click)="mend(r.remedy)">{{ r.text }}</button>
        } @else {
          <p>{{ r.text }}</p>
        }
      }
      <p class="note">
        Each is the smallest of its kind that does, found by trying. Buttons do it at once, then trim again.
      </p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: var(--space-1);
      justify-items: start;
    }
    button {
      height: auto;
      min-height: 36px;
      white-space: normal;
      text-align: left;
      line-height: 1.25;
      padding-block: 6px;
    }
  `,
})
export class TrimResult {
  private readonly workspace = inject(Workspace);
  private readonly units = inject(Units).now;
  readonly outcome = input.required<ExplainedTrim>();
  readonly bench = input.required<Bench>();
  /** A remedy was applied: what was found is stale, and the trim that follows is one step with it. */
  readonly mended = output<string>();

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef);
    // What would mend it is of no use below the fold; reading the list keeps it fresh.
    afterRenderEffect(() => {
      if (this.remedies().length > 0) host.nativeElement.scrollIntoView({ block: 'nearest' });
    });
  }

  protected readonly ties = computed(() => {
    const outcome = this.outcome();
    if (outcome.kind !== 'solved') return [];
    const { adjusters } = this.bench().work.rig;
    return outcome.ties.slice(1, SHOWN + 1).map((found) => ({
      found,
      text:
        adjusters
          .filter(
            (a) =>
              a.kind === 'count' && Math.abs((found.values[a.id] ?? a.value) - (outcome.values[a.id] ?? a.value)) > 0.5,
          )
          .map((a) => `${a.name} ${Math.round(found.values[a.id]!)}`)
          .join(', ') ||
        adjusters
          .filter((a) => a.kind !== 'count')
          .map((a) => `${a.name} ${showFigure(figure('length', found.values[a.id] ?? a.value, 1), this.units())}`)
          .join(', '),
    }));
  });
  protected readonly remedies = computed(() => {
    const outcome = this.outcome();
    return outcome.kind === 'impossible'
      ? outcome.remedies.map((remedy) => ({ remedy, text: render(remedy.label, this.units()) }))
      : [];
  });

  protected take(found: SetUpFound): void {
    this.workspace.setAdjusters('another way as good', found.values);
  }

  protected mend(remedy: Remedy): void {
    const step = together();
    this.workspace.apply(render(remedy.label, this.units()), remedy.changes, remedy.wants, step);
    this.mended.emit(step);
  }
}
