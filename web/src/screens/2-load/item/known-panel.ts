/** What is known of an item and how well: each figure, by which ways and whether they agree. */
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { axesKnown, itemFigures, type KitItem } from '@tide-pebble/core';
import { AXIS_WORDS, comparedOf, type Compared, type Result } from '@tide-pebble/core/measuring';
import { Units } from '../../../services/units';
import { FigurePipe } from '../../../ui/figures/figures.pipe';

@Component({
  selector: 'tp-known-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FigurePipe],
  templateUrl: './known-panel.html',
  styleUrl: './known-panel.css',
})
export class KnownPanel {
  protected readonly units = inject(Units).now;
  readonly item = input.required<KitItem>();
  readonly results = input.required<readonly Result[]>();

  private readonly compared = computed(() => comparedOf(this.item(), this.results()));
  protected readonly mass = computed(() => {
    const { mass, massSpread, weighed } = itemFigures(this.item());
    return { value: mass, spread: massSpread, measured: weighed, ...this.how('mass', null) };
  });
  protected readonly axes = computed(() => {
    const { centre, centreSpread } = itemFigures(this.item());
    const known = axesKnown(this.item());
    const { size, boxCentre } = this.item();
    return ([0, 1, 2] as const).map((axis) => ({
      name: AXIS_WORDS[axis].name,
      face: AXIS_WORDS[axis].face,
      value: centre[axis] - boxCentre[axis] + size[axis] / 2,
      spread: centreSpread[axis],
      measured: known[axis],
      ...this.how('centre', axis),
    }));
  });

  private how(
    what: Compared['what'],
    axis: 0 | 1 | 2 | null,
  ): { ways: readonly string[]; agrees: boolean | null; difference: number; allowed: number } {
    const found = this.compared().find((c) => c.what === what && c.axis === axis);
    return {
      ways: found?.methods ?? [],
      agrees: found?.agreement.agrees ?? null,
      difference: found?.agreement.widest?.difference ?? 0,
      allowed: found?.agreement.widest?.allowed ?? 0,
    };
  }
}
