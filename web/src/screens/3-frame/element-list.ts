/** Everything the rig is made of, body by body: pick one here or on the drawing, it is the same. */
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
import { figure, showFigure } from '@tide-pebble/core';
import { Units } from '../../services/units';
import type { Bench } from '../../services/workspace';
import { ElementRows, type ElementRow } from './element-rows';
import { nodeName } from './elements';

@Component({
  selector: 'tp-element-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ElementRows],
  template: `
    <h2>Made of</h2>
    @for (body of bodies(); track body.id) {
      @if (bodies().length > 1) {
        <h3>{{ body.name }}</h3>
      }
      <tp-element-rows [rows]="body.rows" [bench]="bench()" [picked]="picked()" (pick)="pick.emit($event)" />
      @if (body.corners.length > 0) {
        <details [open]="cornerPicked()">
          <summary>{{ body.corners.length }} corners</summary>
          <tp-element-rows [rows]="body.corners" [bench]="bench()" [picked]="picked()" (pick)="pick.emit($event)" />
        </details>
      }
    }
  `,
  styleUrl: './element-list.css',
})
export class ElementList {
  private readonly units = inject(Units).now;
  readonly bench = input.required<Bench>();
  readonly picked = input<string | null>(null);
  readonly pick = output<string | null>();

  protected readonly cornerPicked = computed(() =>
    this.bodies().some((b) => b.corners.some((c) => c.id === this.picked())),
  );

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef);
    // Picked on the drawing, its row comes into view; one picked here is in view already.
    afterRenderEffect(() => {
      if (this.picked())
        host.nativeElement
          .querySelector('[aria-pressed="true"]')
          ?.closest('[role=listitem]')
          ?.scrollIntoView({ block: 'nearest' });
    });
  }

  protected readonly bodies = computed(() => {
    const { work, judged } = this.bench();
    const masses = new Map<string, { mass: number; measured: boolean }>();
    for (const { flat, isLoad } of judged.evaluation.pieces) {
      if (isLoad) continue;
      const before = masses.get(flat.owner);
      masses.set(flat.owner, { mass: (before?.mass ?? 0) + flat.mass, measured: flat.massFrom === 'measured' });
    }
    const row = (id: string, name: string): ElementRow => {
      const known = masses.get(id);
      return {
        id,
        name,
        figure: known ? showFigure(figure('mass', known.mass, known.mass < 0.1 ? 1 : 0), this.units()) : '',
      };
    };
    return work.rig.bodies
      .map((b) => ({
        id: b.id,
        name: b.name,
        rows: [
          ...b.members.map((m) => row(m.id, m.name)),
          ...b.joints.map((j) => row(j.id, `${j.name}, ${nodeName(j.node)}`)),
          ...b.parts.filter((p) => !p.of).map((p) => row(p.id, p.name)),
          ...b.stations.map((s) => row(s.id, s.name)),
        ],
        corners: b.nodes.map((n) => ({ id: n.id, name: nodeName(n.id), figure: '' })),
      }))
      .filter((b) => b.rows.length > 0);
  });
}
