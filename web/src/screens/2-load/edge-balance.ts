/** Guided: balance the item on an edge along each axis, read where it tips each way, and take the mass centre from that. */
import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { balanceOnEdge, type KitItem, type MeasuredPlace, type Quantity } from '@tide-pebble/core';
import { Units } from '../../services/units';
import { FigurePipe } from '../../ui/figures.pipe';
import { QuantityField } from '../../ui/quantity-field';

const RULER_STEP = 0.001;
const AXES = [
  { axis: 0, name: 'Fore and aft', from: 'the rear face' },
  { axis: 1, name: 'Sideways', from: 'the right side' },
  { axis: 2, name: 'Height', from: 'the underside' },
] as const;
type Tips = readonly (readonly [number | null, number | null])[];

@Component({
  selector: 'tp-edge-balance',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, QuantityField, FigurePipe],
  templateUrl: './edge-balance.html',
  styleUrl: './edge-balance.css',
})
export class EdgeBalance {
  protected readonly units = inject(Units).now;
  readonly item = input.required<KitItem>();
  readonly found = output<(item: KitItem) => KitItem>();
  /** Readings belong to one item; another item starts with none. */
  protected readonly tips = linkedSignal<string, Tips>({ source: () => this.item().id, computation: () => [[null, null], [null, null], [null, null]] });

  protected readonly rows = computed(() =>
    AXES.map((a) => {
      const [one, other] = this.tips()[a.axis]!;
      const { size, boxCentre, massCentre } = this.item();
      const result: MeasuredPlace | null = one === null || other === null ? null : balanceOnEdge({ tipsOneWay: one, tipsOtherWay: other, length: size[a.axis], rulerStep: RULER_STEP });
      const fromFace = (centre: number): number => centre - boxCentre[a.axis] + size[a.axis] / 2;
      return { ...a, one, other, result, now: fromFace(massCentre?.at[a.axis] ?? boxCentre[a.axis]), size: size[a.axis], known: massCentre !== undefined };
    }),
  );
  protected readonly ready = computed(() => this.rows().some((r) => r.result?.ok));

  protected tip(axis: number, side: 0 | 1, { value }: Quantity): void {
    this.tips.update((tips) => tips.map((pair, i) => (i === axis ? (side === 0 ? [value, pair[1]] : [pair[0], value]) : pair)));
  }

  /** Axes not read keep what was known of them, with its spread. */
  protected use(): void {
    const rows = this.rows();
    this.found.emit((item) => {
      const at = [...(item.massCentre?.at ?? item.boxCentre)] as [number, number, number];
      const spread = [...(item.massCentre?.spread ?? item.size.map((s) => s / 10))] as [number, number, number];
      for (const { axis, result } of rows) {
        if (!result?.ok) continue;
        at[axis] = result.at - item.size[axis] / 2 + item.boxCentre[axis];
        spread[axis] = result.spread;
      }
      return { ...item, massCentre: { at, spread, source: 'balanced on an edge' } };
    });
    this.tips.set([[null, null], [null, null], [null, null]]);
  }
}
