/** What is told in full of a rig as it is set: each pose, axis, clamp, with its curve where it has one; and what it was before the last change. */
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { render, showFigure, type Readout } from '@tide-pebble/core';
import { Units } from '../../services/units';
import { figuresBefore } from '../../ui/figures/was';
import { CurveChart } from './curve-chart';

/** Long enough to read them all. */
const WAS_SHOWN_MS = 30_000;

@Component({
  selector: 'tp-readout-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [CurveChart],
  template: `
    @for (r of shown(); track r.id) {
      <section class="pose">
        <h2>{{ r.name }}</h2>
        @for (line of r.lines; track $index) {
          <p [class.note]="$index > 0">
            {{ line.text }}
            @if (line.was) {
              <span class="was">was {{ line.was }}</span>
            }
          </p>
        }
        @if (r.curve; as curve) {
          @defer (on viewport) {
            <tp-curve-chart [curve]="curve" />
          } @placeholder {
            <p class="note">Drawing {{ curve.of.toLowerCase() }}…</p>
          }
        }
      </section>
    }
  `,
  styleUrl: './pose.css',
})
export class ReadoutList {
  private readonly units = inject(Units).now;
  readonly readouts = input.required<readonly Readout[]>();
  /** Whose they are: another rig's are not compared. */
  readonly of = input('');
  private readonly lines = computed(() =>
    this.readouts().map((r) => ({
      ...r,
      lines: r.lines.map((line, n) => ({
        text: render(line, this.units()),
        figures: line
          .filter((piece) => typeof piece !== 'string')
          .map((piece, k) => ({ id: `${r.id} ${n} ${k} ${piece.kind}`, text: showFigure(piece, this.units()) })),
      })),
    })),
  );
  private readonly was = figuresBefore(
    computed(() => ({
      of: this.of(),
      units: this.units(),
      figures: Object.fromEntries(
        this.lines().flatMap((r) => r.lines.flatMap((l) => l.figures.map((f) => [f.id, f.text] as const))),
      ),
    })),
    WAS_SHOWN_MS,
  );
  protected readonly shown = computed(() => {
    const was = this.was();
    return this.lines().map((r) => ({
      ...r,
      lines: r.lines.map(({ text, figures }) => ({
        text,
        was: figures.flatMap((f) => (was[f.id] && was[f.id] !== f.text ? [was[f.id]] : [])).join(', '),
      })),
    }));
  });
}
