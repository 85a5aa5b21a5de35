/** A way the rig rings, moving: its beams from the side and the front, at rest in a thin line. Without motion both ends of the swing are drawn. */
import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { Vec3 } from '@tide-pebble/core';
import type { ShownMode, StrengthSheet } from '@tide-pebble/core/strength';
import { Pointer } from '../../services/pointer';

interface View {
  readonly name: string;
  /** Place to paper, m. */
  readonly at: (p: Vec3) => readonly [number, number];
}
const VIEWS: readonly View[] = [
  { name: 'Side', at: ([x, , z]) => [x, -z] },
  { name: 'Front', at: ([, y, z]) => [-y, -z] },
];
/** The largest movement is drawn as this part of the rig. */
const DRAWN = 0.07;
/** It is shown slower than it rings, s a swing. */
const SWING_S = 1.2;

@Component({
  selector: 'tp-mode-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton],
  template: `
    <div class="views">
      @for (v of drawn(); track v.name) {
        <figure>
          <svg
            [attr.viewBox]="v.box"
            role="img"
            [attr.aria-label]="v.name + ': how it moves as it rings, much enlarged'"
          >
            <path class="rest" [attr.d]="v.rest" />
            @for (p of v.moved; track $index) {
              <path class="moved" [attr.d]="p" />
            }
            @if (v.lit) {
              <path class="lit" [attr.d]="v.lit" />
            }
            @for (c of v.camera; track $index) {
              <circle class="camera" [attr.cx]="c[0]" [attr.cy]="c[1]" [attr.r]="v.dot" />
            }
          </svg>
          <figcaption class="note">{{ v.name }}</figcaption>
        </figure>
      }
    </div>
    <p class="note">
      Much enlarged and slowed.
      @if (!still) {
        <button matButton type="button" (click)="playing.set(!playing())">
          {{ playing() ? 'Hold still' : 'Move' }}
        </button>
      }
    </p>
  `,
  styles: `
    :host {
      display: block;
    }
    .views {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-4);
    }
    figure {
      margin: 0;
      flex: 1 1 260px;
    }
    svg {
      width: 100%;
      height: 250px;
    }
    path {
      fill: none;
      vector-effect: non-scaling-stroke;
    }
    .rest {
      stroke: var(--sand-edge);
      stroke-width: var(--draw-thin);
    }
    .moved {
      stroke: var(--sea);
      stroke-width: 2;
    }
    .lit {
      stroke: var(--coral);
      stroke-width: 3;
    }
    .camera {
      fill: var(--ink);
    }
    p {
      margin: 0 0 var(--space-2);
    }
  `,
})
export class ModePicture {
  private readonly pointer = inject(Pointer);
  readonly sheet = input.required<StrengthSheet>();
  readonly mode = input.required<ShownMode>();
  protected readonly still = matchMedia('(prefers-reduced-motion: reduce)').matches;
  protected readonly playing = signal(!this.still);
  /** Where in its swing it is drawn, -1 to 1. */
  private readonly phase = signal(1);
  private frame = 0;

  constructor() {
    effect((stop) => {
      if (!this.playing()) return;
      const start = performance.now();
      const tick = (now: number): void => {
        this.phase.set(Math.sin((2 * Math.PI * (now - start)) / 1000 / SWING_S));
        this.frame = requestAnimationFrame(tick);
      };
      this.frame = requestAnimationFrame(tick);
      stop(() => cancelAnimationFrame(this.frame));
    });
    inject(DestroyRef).onDestroy(() => cancelAnimationFrame(this.frame));
  }

  private readonly frames = computed(() => {
    const { nodes } = this.sheet();
    return VIEWS.map((view) => {
      const places = nodes.map(view.at);
      const [left, right] = [Math.min(...places.map((p) => p[0])), Math.max(...places.map((p) => p[0]))];
      const [top, foot] = [Math.min(...places.map((p) => p[1])), Math.max(...places.map((p) => p[1]))];
      const size = Math.max(right - left, foot - top, 0.05);
      const room = size * (DRAWN + 0.05);
      return {
        view,
        size,
        box: `${left - room} ${top - room} ${right - left + 2 * room} ${foot - top + 2 * room}`,
      };
    });
  });

  protected readonly drawn = computed(() => {
    const { nodes, lines, camera } = this.sheet();
    const { shape } = this.mode();
    const lit = this.pointer.at();
    const swings = this.playing() ? [this.phase()] : [1, -1];
    return this.frames().map(({ view, size, box }) => {
      const place = (i: number, swing: number): readonly [number, number] => {
        const [p, s] = [nodes[i]!, shape[i]!];
        const k = swing * DRAWN * size;
        return view.at([p[0] + k * s[0], p[1] + k * s[1], p[2] + k * s[2]]);
      };
      const path = (of: typeof lines, swing: number): string =>
        of
          .map(({ from, to }) => {
            const [a, b] = [place(from, swing), place(to, swing)];
            return `M${a[0].toFixed(5)} ${a[1].toFixed(5)}L${b[0].toFixed(5)} ${b[1].toFixed(5)}`;
          })
          .join('');
      return {
        name: view.name,
        box,
        dot: size / 60,
        rest: path(lines, 0),
        moved: swings.map((s) => path(lines, s)),
        lit: lit
          ? path(
              lines.filter((l) => l.piece === lit),
              swings[0]!,
            )
          : '',
        camera: camera === null ? [] : swings.map((s) => place(camera, s)),
      };
    });
  });
}
