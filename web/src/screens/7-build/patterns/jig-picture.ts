/** A jig in outline, with the guides in it: seen from above, or of a tall one from its side. */
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { addScaled, nearness, outline, project, type Point2, type View } from '@tide-pebble/core';
import type { Jig } from '@tide-pebble/core/patterns';

const SIZE = 130;
const MARGIN = 6;

@Component({
  selector: 'tp-jig-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let d = drawn();
    <svg [attr.viewBox]="d.box" [attr.width]="size" role="img" [attr.aria-label]="d.label">
      @for (r of d.rings; track $index) {
        <polygon [attr.points]="r" />
      }
      @for (l of d.lines; track $index) {
        <line [attr.x1]="l[0][0]" [attr.y1]="l[0][1]" [attr.x2]="l[1][0]" [attr.y2]="l[1][1]" />
      }
      @for (c of d.rounds; track $index) {
        <circle [attr.cx]="c.at[0]" [attr.cy]="c.at[1]" [attr.r]="c.radius" />
      }
    </svg>
  `,
  styles: `
    svg {
      display: block;
    }
    polygon {
      fill: var(--tint-pale);
      stroke: var(--ink);
      stroke-width: 0.8;
    }
    line {
      stroke: var(--sea);
      stroke-dasharray: 4 3;
    }
    circle {
      fill: var(--paper);
      stroke: var(--sea);
    }
  `,
})
export class JigPicture {
  protected readonly size = SIZE;
  readonly jig = input.required<Jig>();
  protected readonly drawn = computed(() => {
    const { blocks, cuts, guides, size } = this.jig();
    const view: View = size[2] > size[0] ? 'side' : 'top';
    const rings = blocks.map((b) => outline(b, view));
    const all = rings.flat();
    const range = (k: 0 | 1): readonly [number, number] => [
      Math.min(...all.map((p) => p[k])),
      Math.max(...all.map((p) => p[k])),
    ];
    const [[left, right], [low, high]] = [range(0), range(1)];
    const scale = (SIZE - 2 * MARGIN) / Math.max(right - left, high - low);
    const place = ([x, y]: Point2): Point2 => [MARGIN + (x - left) * scale, MARGIN + (high - y) * scale];
    const bores = [...guides, ...cuts.flatMap((c) => ('shape' in c ? [] : [c]))];
    const isSeenThrough = (way: (typeof bores)[number]['way']): boolean => Math.abs(nearness(way, view)) > 0.9;
    return {
      label: view === 'top' ? 'From above' : 'From the side',
      box: `0 0 ${SIZE} ${2 * MARGIN + (high - low) * scale}`,
      rings: rings.map((r) => r.map(place).join(' ')),
      rounds: bores
        .filter((b) => isSeenThrough(b.way))
        .map((b) => ({ at: place(project(b.at, view)), radius: Math.max(1.2, (b.diameter / 2) * scale) })),
      lines: bores
        .filter((b) => !isSeenThrough(b.way))
        .map((b) => [-1, 1].map((s) => place(project(addScaled(b.at, b.way, s * b.depth), view))) as [Point2, Point2]),
    };
  });
}
