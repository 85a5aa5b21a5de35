/** A step square-on, pulled apart: for paper, and for whoever wants it still. */
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { holesMade, type BuildStep } from '@tide-pebble/core/making';
import type { Bench } from '../../services/workspace';
import { squareOnStep, type SquareOnStep } from './square-on-step';

const SIZE = { width: 260, height: 150 };

@Component({
  selector: 'tp-step-square-on',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (drawn(); as d) {
      <figure>
        <svg [attr.viewBox]="'0 0 ' + size.width + ' ' + size.height" role="img" [attr.aria-label]="d.from">
          @for (s of d.shapes; track s.key) {
            <path [attr.d]="s.path" [class.comes]="s.comes" fill-rule="evenodd">
              <title>{{ s.name }}</title>
            </path>
          }
          @for (h of d.holes; track $index) {
            <circle class="hole" [attr.cx]="h.at[0]" [attr.cy]="h.at[1]" [attr.r]="h.radius" />
            <path class="cross" [attr.d]="crossAt(h)" />
          }
          @for (w of d.ways; track $index) {
            <line [attr.x1]="w.from[0]" [attr.y1]="w.from[1]" [attr.x2]="w.to[0]" [attr.y2]="w.to[1]" />
            <circle [attr.cx]="w.to[0]" [attr.cy]="w.to[1]" r="2.5" />
          }
        </svg>
        <figcaption class="note">{{ d.from }}</figcaption>
      </figure>
    }
  `,
  styles: `
    figure {
      margin: 0;
    }
    svg {
      width: 100%;
      max-width: 320px;
      display: block;
    }
    path {
      fill: var(--paper);
      stroke: var(--sand-edge);
      stroke-width: 0.8;
    }
    path.comes {
      fill: var(--tint-pale);
      stroke: var(--ink);
    }
    line {
      stroke: var(--sea);
      stroke-width: 1;
      stroke-dasharray: 4 3;
    }
    circle {
      fill: var(--sea);
    }
    circle.hole {
      fill: var(--paper);
      stroke: var(--sea);
      stroke-width: 1.4;
    }
    path.cross {
      fill: none;
      stroke: var(--sea);
    }
    figcaption {
      margin: var(--space-1) 18px 0;
      font-size: var(--size-note);
    }
  `,
})
export class StepSquareOn {
  protected readonly size = SIZE;
  readonly bench = input.required<Bench>();
  readonly step = input.required<BuildStep>();
  protected readonly drawn = computed(() => {
    const { work, judged } = this.bench();
    const holes = holesMade(this.step(), work.rig);
    // Where they go is told with every adjuster at zero.
    return squareOnStep(this.step(), holes.length > 0 ? work.assembly.pieces : judged.evaluation.pieces, SIZE, holes);
  });

  /** Well past the round, so that a small one is found. */
  protected crossAt({ at: [x, y], radius }: SquareOnStep['holes'][number]): string {
    const by = Math.max(6, 2 * radius);
    return `M${x - by} ${y}H${x + by}M${x} ${y - by}V${y + by}`;
  }
}
