/** What is told in full of a rig as it is set: each pose, axis, clamp, with its curve where it has one. */
import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { Readout } from '@tide-pebble/core';
import { Units } from '../../services/units';
import { SayPipe } from '../../ui/figures/figures.pipe';
import { CurveChart } from './curve-chart';

@Component({
  selector: 'tp-readout-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SayPipe, CurveChart],
  template: `
    @for (r of readouts(); track r.id) {
      <section class="pose">
        <h2>{{ r.name }}</h2>
        @for (line of r.lines; track $index) {
          <p [class.note]="$index > 0">{{ line | say: units() }}</p>
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
  protected readonly units = inject(Units).now;
  readonly readouts = input.required<readonly Readout[]>();
}
