/** Rows of things to pick, hundreds at times: in portions, so that what is scrolled away costs nothing. */
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { Pointer } from '../../services/pointer';
import type { Bench } from '../../services/workspace';
import { ElementEditor } from './element-editor';

export interface ElementRow {
  readonly id: string;
  readonly name: string;
  readonly figure: string;
}

/** Rows in a portion: each portion is watched for coming into view, each row in one that is there is laid out. */
const PORTION = 24;
const ROW_PX = 31;

@Component({
  selector: 'tp-element-rows',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ElementEditor],
  template: `
    <div role="list">
      @for (portion of portions(); track portion[0]!.id) {
        <div
          role="presentation"
          class="portion"
          [style.contain-intrinsic-block-size]="'auto ' + portion.length * rowPx + 'px'"
        >
          @for (row of portion; track row.id) {
            <div role="listitem">
              <button
                type="button"
                [class.lit]="pointer.at() === row.id"
                [attr.aria-pressed]="picked() === row.id"
                (click)="pick.emit(picked() === row.id ? null : row.id)"
                (mouseenter)="pointer.point(row.id)"
                (mouseleave)="pointer.point(null)"
                (focus)="pointer.point(row.id)"
                (blur)="pointer.point(null)"
              >
                <span>{{ row.name }}</span>
                @if (row.figure) {
                  <span class="figure">{{ row.figure }}</span>
                }
              </button>
              @if (picked() === row.id) {
                <tp-element-editor
                  [bench]="bench()"
                  [target]="row.id"
                  (closed)="pick.emit(null)"
                  (picked)="pick.emit($event)"
                />
              }
            </div>
          }
        </div>
      }
    </div>
  `,
  styleUrl: './element-rows.css',
})
export class ElementRows {
  protected readonly pointer = inject(Pointer);
  protected readonly rowPx = ROW_PX;
  readonly rows = input.required<readonly ElementRow[]>();
  readonly bench = input.required<Bench>();
  readonly picked = input<string | null>(null);
  readonly pick = output<string | null>();

  protected readonly portions = computed(() => {
    const rows = this.rows();
    return Array.from({ length: Math.ceil(rows.length / PORTION) }, (_, i) =>
      rows.slice(i * PORTION, (i + 1) * PORTION),
    );
  });
}
