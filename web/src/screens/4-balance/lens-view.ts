/** Through the lens: a drawn shore with its horizon, as the lens at its width shows it when it pitches, rolls and pans. */
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { DEGREE } from '@tide-pebble/core';

const WIDTH = 300;
const HEIGHT = 200;
/** Headlands, stacks and a light, by bearing (degrees to the left of ahead) and height (degrees): an invented shore. */
const SHORE: readonly (readonly [bearing: number, height: number])[] = [
  [-60, 0.5],
  [-48, 2.4],
  [-41, 1.2],
  [-30, 0.4],
  [-22, 0.2],
  [-14, 1.6],
  [-9, 2.9],
  [-5, 1.4],
  [0, 0.3],
  [7, 0.2],
  [12, 1.1],
  [19, 3.6],
  [27, 2.2],
  [36, 0.6],
  [47, 1.9],
  [60, 0.4],
];
const ROUND = 120;

@Component({
  selector: 'tp-lens-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="'0 0 ' + width + ' ' + height" role="img" [attr.aria-label]="label()">
      <rect class="sky" x="0" y="0" [attr.width]="width" [attr.height]="height" />
      <g [attr.transform]="turn()">
        <rect class="sea" x="-900" [attr.y]="horizon()" width="2100" height="900" />
        <path class="land" [attr.d]="land()" />
        <line class="horizon" x1="-900" x2="1200" [attr.y1]="horizon()" [attr.y2]="horizon()" />
        <path class="light" [attr.d]="light()" />
      </g>
      <path class="level" [attr.d]="'M' + (width / 2 - 26) + ' ' + height / 2 + 'h18m16 0h18'" />
      @if (out()) {
        <text class="out" [attr.x]="width / 2" [attr.y]="height / 2 - 14" text-anchor="middle">drifts out</text>
      }
    </svg>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      display: block;
      width: 100%;
      border: var(--line) solid var(--ink);
      border-radius: 2px;
      overflow: hidden;
    }
    .sky {
      fill: var(--tint-pale);
    }
    .sea {
      fill: var(--pool);
      opacity: 0.55;
    }
    .land {
      fill: var(--sand-edge);
      stroke: var(--slate);
      stroke-width: 0.8;
    }
    .horizon {
      stroke: var(--ink);
      stroke-width: 1;
    }
    .light {
      fill: var(--paper);
      stroke: var(--ink);
      stroke-width: 0.9;
    }
    .level {
      fill: none;
      stroke: var(--coral);
      stroke-width: 1.2;
    }
    .out {
      fill: var(--coral-word);
      font-weight: 600;
      font-size: 15px;
    }
  `,
})
export class LensView {
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;
  /** Width of the picture, rad. */
  readonly across = input.required<number>();
  /** Lens up, left side up, and to the left, rad. */
  readonly pitch = input.required<number>();
  readonly roll = input.required<number>();
  readonly pan = input.required<number>();
  readonly out = input(false);

  private readonly perTangent = computed(() => WIDTH / 2 / Math.tan(this.across() / 2));
  protected readonly horizon = computed(() => HEIGHT / 2 + this.up(this.pitch()));
  /** With its left side up the camera is turned clockwise as seen from behind, so the world in the picture turns the other way. */
  protected readonly turn = computed(() => `rotate(${(-this.roll() / DEGREE).toFixed(2)} ${WIDTH / 2} ${HEIGHT / 2})`);
  protected readonly land = computed(() => {
    const base = this.horizon();
    const points = [-2, -1, 0, 1, 2]
      .flatMap((lap) =>
        SHORE.map(
          ([bearing, height]) => [this.across_(bearing + ROUND * lap), base - this.up(height * DEGREE)] as const,
        ),
      )
      .sort((a, b) => a[0] - b[0]);
    return `M${points[0]![0].toFixed(1)} ${base.toFixed(1)}L${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}L${points.at(-1)![0].toFixed(1)} ${base.toFixed(1)}Z`;
  });
  protected readonly light = computed(() => {
    const [x, base, tall, half] = [
      this.across_(19),
      this.horizon() - this.up(3.2 * DEGREE),
      this.up(3.4 * DEGREE),
      this.up(0.45 * DEGREE),
    ];
    return `M${x - half} ${base}L${x - half * 0.6} ${base - tall}h${half * 1.2}L${x + half} ${base}Z`;
  });
  protected readonly label = computed(() => {
    const say = (angle: number, words: readonly [string, string]): string =>
      Math.abs(angle) < 0.05 * DEGREE ? '' : `${Math.abs(angle / DEGREE).toFixed(1)}° ${words[angle > 0 ? 0 : 1]}`;
    return `Through the lens: ${[say(this.pitch(), ['up', 'down']), say(this.roll(), ['left side up', 'left side down'])].filter(Boolean).join(', ') || 'level'}.`;
  });

  private up(angle: number): number {
    return Math.tan(Math.max(-1.4, Math.min(1.4, angle))) * this.perTangent();
  }

  /** Paper place of a bearing, degrees to the left; what lies behind is kept outside the picture. */
  private across_(bearing: number): number {
    const off = bearing * DEGREE - this.pan();
    const near = Math.max(-1.35, Math.min(1.35, off));
    return WIDTH / 2 - Math.tan(near) * this.perTangent() - (off - near) * 4000;
  }
}
