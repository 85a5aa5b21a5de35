/** Everything the rig is made of, body by body: pick one here or on the drawing, it is the same. */
import { afterRenderEffect, ChangeDetectionStrategy, Component, computed, ElementRef, inject, input, output } from '@angular/core';
import { figure, showFigure } from '@tide-pebble/core';
import { Pointer } from '../../services/pointer';
import { Units } from '../../services/units';
import type { Bench } from '../../services/workspace';
import { ElementEditor } from './element-editor';
import { nodeName } from './elements';

interface Row {
  readonly id: string;
  readonly name: string;
  readonly figure: string;
}

@Component({
  selector: 'tp-element-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ElementEditor],
  template: `
    <h2>Made of</h2>
    @for (body of bodies(); track body.id) {
      @if (bodies().length > 1) {
        <h3>{{ body.name }}</h3>
      }
      <ul class="plain-list">
        @for (row of body.rows; track row.id) {
          <li>
            <button type="button" [class.lit]="pointer.at() === row.id" [attr.aria-pressed]="picked() === row.id" (click)="pick.emit(picked() === row.id ? null : row.id)" (mouseenter)="pointer.point(row.id)" (mouseleave)="pointer.point(null)" (focus)="pointer.point(row.id)" (blur)="pointer.point(null)">
              <span>{{ row.name }}</span><span class="figure">{{ row.figure }}</span>
            </button>
            @if (picked() === row.id) {
              <tp-element-editor [bench]="bench()" [target]="row.id" (closed)="pick.emit(null)" (picked)="pick.emit($event)" />
            }
          </li>
        }
      </ul>
      @if (body.corners.length > 0) {
        <details [open]="cornerPicked()">
          <summary>{{ body.corners.length }} corners</summary>
          <ul class="plain-list">
            @for (row of body.corners; track row.id) {
              <li><button type="button" [attr.aria-pressed]="picked() === row.id" (click)="pick.emit(picked() === row.id ? null : row.id)"><span>{{ row.name }}</span></button>
                @if (picked() === row.id) {
                  <tp-element-editor [bench]="bench()" [target]="row.id" (closed)="pick.emit(null)" (picked)="pick.emit($event)" />
                }
              </li>
            }
          </ul>
        </details>
      }
    }
  `,
  styleUrl: './element-list.css',
})
export class ElementList {
  protected readonly pointer = inject(Pointer);
  private readonly units = inject(Units).now;
  readonly bench = input.required<Bench>();
  readonly picked = input<string | null>(null);
  readonly pick = output<string | null>();

  protected readonly cornerPicked = computed(() => this.bodies().some((b) => b.corners.some((c) => c.id === this.picked())));

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef);
    // Picked on the drawing, its row comes into view; one picked here is in view already.
    afterRenderEffect(() => {
      if (this.picked()) host.nativeElement.querySelector('[aria-pressed="true"]')?.closest('li')?.scrollIntoView({ block: 'nearest' });
    });
  }

  protected readonly bodies = computed(() => {
    const { piece, judged } = this.bench();
    const masses = new Map<string, { mass: number; measured: boolean }>();
    for (const { flat, isLoad } of judged.evaluation.pieces) {
      if (isLoad) continue;
      const before = masses.get(flat.owner);
      masses.set(flat.owner, { mass: (before?.mass ?? 0) + flat.mass, measured: flat.massFrom === 'measured' });
    }
    const row = (id: string, name: string): Row => {
      const known = masses.get(id);
      return { id, name, figure: known ? showFigure(figure('mass', known.mass, known.mass < 0.1 ? 1 : 0), this.units()) : '' };
    };
    return piece.rig.bodies
      .map((b) => ({
        id: b.id, name: b.name,
        rows: [...b.members.map((m) => row(m.id, m.name)), ...b.joints.map((j) => row(j.id, `${j.name}, ${nodeName(j.node)}`)), ...b.parts.map((p) => row(p.id, p.name)), ...b.stations.map((s) => row(s.id, s.name))],
        corners: b.nodes.map((n) => ({ id: n.id, name: nodeName(n.id), figure: '' })),
      }))
      .filter((b) => b.rows.length > 0);
  });
}
