/** Touches on an item's photo, one after the other: two corners for scale and turn, then two marks on each plumb line. */
import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { type KitItem } from '@tide-pebble/core';
import { AXIS_WORDS, planeOfPhoto, VIEW_AXES, type PhotoPlane } from '@tide-pebble/core/measuring';
import { Photos } from '../../../../services/photos';

type Touch = readonly [number, number];
const MARKS = ['aAcross', 'aAcross2', 'bAcross', 'bAcross2'] as const;

@Component({
  selector: 'tp-photo-marks',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton],
  template: `
    <p role="status">
      <strong>{{ asks() }}</strong>
    </p>
    <div class="photo">
      <img
        [src]="photos.address(item().photo!)"
        alt="Photo of {{ item().name }}. Arrow keys move the cross, Enter touches there."
        tabindex="0"
        (click)="clicked($event)"
        (keydown)="key($event)"
        (error)="gone.set(true)"
      />
      <svg [attr.viewBox]="'0 0 ' + item().photo!.width + ' ' + item().photo!.height" aria-hidden="true">
        @if (cross(); as c) {
          <path class="cross" [attr.d]="'M' + (c[0] - 40) + ' ' + c[1] + 'h80M' + c[0] + ' ' + (c[1] - 40) + 'v80'" />
        }
        @for (t of touches(); track $index) {
          <circle [attr.cx]="t[0]" [attr.cy]="t[1]" [attr.r]="item().photo!.width / 120" />
        }
      </svg>
    </div>
    @if (gone()) {
      <p class="wrong" role="alert">The photo is not in this data folder. Choose it again under “What it is”.</p>
    }
    @if (fault()) {
      <p class="wrong" role="alert">{{ fault() }}</p>
    }
    <button matButton type="button" [disabled]="touches().length === 0" (click)="touches.set(touches().slice(0, -1))">
      Take back the last touch
    </button>
    <p class="note">
      Works for a photo taken square-on from well away, two metres or more. Without one, type the places below.
    </p>
  `,
  styles: `
    :host {
      display: block;
      margin: var(--space-2) 0;
    }
    .photo {
      position: relative;
      max-width: 520px;
    }
    img {
      width: 100%;
      display: block;
      cursor: crosshair;
      border-radius: var(--corner);
    }
    svg {
      position: absolute;
      inset: 0;
      width: 100%;
      height: 100%;
      pointer-events: none;
    }
    .cross {
      stroke: var(--sea);
      stroke-width: 4;
    }
    circle {
      fill: none;
      stroke: var(--coral);
      stroke-width: 4;
    }
  `,
})
export class PhotoMarks {
  protected readonly photos = inject(Photos);
  readonly item = input.required<KitItem>();
  readonly view = input.required<'side' | 'front' | 'top'>();
  /** Places by reading, m. */
  readonly marked = output<Readonly<Record<string, number>>>();
  protected readonly touches = signal<readonly Touch[]>([]);
  /** Where the keys have moved to; null while a finger or mouse is used. */
  protected readonly cross = signal<Touch | null>(null);
  protected readonly gone = signal(false);
  protected readonly fault = signal('');

  protected readonly asks = computed(() => {
    const across = AXIS_WORDS[VIEW_AXES[this.view()][0]];
    const up = AXIS_WORDS[VIEW_AXES[this.view()][1]];
    return [
      `Touch the ${across.near} ${up.near} corner of the item.`,
      `Touch its ${across.far} ${up.near} corner.`,
      'Touch the first plumb line near its upper end.',
      'Touch the first plumb line near its lower end.',
      'Touch the second plumb line near its upper end.',
      'Touch the second plumb line near its lower end.',
    ][this.touches().length]!;
  });

  protected clicked(event: MouseEvent): void {
    const { left, top, width } = (event.currentTarget as HTMLImageElement).getBoundingClientRect();
    const scale = this.item().photo!.width / width;
    this.touch([(event.clientX - left) * scale, (event.clientY - top) * scale]);
  }

  protected key(event: KeyboardEvent): void {
    const { width, height } = this.item().photo!;
    const [x, y] = this.cross() ?? [width / 2, height / 2];
    const step = event.shiftKey ? 40 : 6;
    const way = (
      { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] } as Readonly<Record<string, Touch>>
    )[event.key];
    if (way)
      this.cross.set([
        Math.min(width, Math.max(0, x + way[0] * step)),
        Math.min(height, Math.max(0, y + way[1] * step)),
      ]);
    else if (event.key === 'Enter') this.touch([x, y]);
    else return;
    event.preventDefault();
  }

  private touch(at: Touch): void {
    const touches = [...this.touches(), at];
    this.fault.set('');
    if (touches.length >= 2) {
      const plane = planeOfPhoto(touches[0]!, touches[1]!, this.item().size[VIEW_AXES[this.view()][0]]);
      if (!plane) {
        this.fault.set('The two corners are too close together on the photo. Touch them again.');
        return this.touches.set([]);
      }
      if (touches.length === 6) {
        this.touches.set([]);
        return this.marked.emit(placesOf(plane, touches.slice(2)));
      }
    }
    this.touches.set(touches);
  }
}

function placesOf(plane: PhotoPlane, marks: readonly Touch[]): Readonly<Record<string, number>> {
  return Object.fromEntries(
    marks.flatMap((mark, i) => {
      const [across, up] = plane.place(mark);
      const id = MARKS[i]!;
      // To a tenth of a millimetre: a finger is no finer.
      return [
        [id, Math.round(across * 1e4) / 1e4],
        [id.replace('Across', 'Up'), Math.round(up * 1e4) / 1e4],
      ];
    }),
  );
}
