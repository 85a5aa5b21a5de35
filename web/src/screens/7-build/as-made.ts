/** What came out of a step, measured on the piece: kept beside the drawing, and the rig is reckoned from it. */
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { designRig, type Quantity } from '@tide-pebble/core';
import { asMadeOf, barPlans, isOf, measuresIn, type BuildStep, type Measure } from '@tide-pebble/core/making';
import { Workspace, type Bench } from '../../services/workspace';
import { QuantityField } from '../../ui/figures/quantity-field';

const LABELS = {
  length: 'Measured: sawn length',
  bend: 'Measured: angle of the bend',
  hole: 'Measured: hole from the start',
} as const;

@Component({
  selector: 'tp-as-made',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [QuantityField],
  template: `
    @for (m of measures(); track $index) {
      <tp-quantity-field
        [label]="m.label"
        [kind]="m.kind"
        [value]="m.value"
        [range]="m.measure.range"
        [optional]="true"
        [decimals]="1"
        hint="as drawn"
        (changed)="keep(m.measure, $event)"
        (cleared)="forget(m.measure)"
      />
    }
  `,
})
export class AsMadeFields {
  private readonly workspace = inject(Workspace);
  readonly bench = input.required<Bench>();
  readonly step = input.required<BuildStep>();

  /** As they are drawn: the rig on the bench is that which was made. */
  private readonly bars = computed(() => {
    const { rig, work } = this.bench();
    const drawn = rig.made?.length ? designRig(rig.design) : null;
    return barPlans(drawn?.ok ? drawn.rig : work.rig);
  });
  protected readonly measures = computed(() => {
    const made = this.bench().rig.made ?? [];
    return measuresIn(this.step(), this.bars()).map((measure) => {
      const entry = made.find((e) => isOf(e, measure));
      return {
        measure,
        label: LABELS[measure.of.kind],
        kind: measure.of.kind === 'bend' ? ('angle' as const) : ('length' as const),
        value: !entry ? null : entry.kind === 'bend' ? entry.angle : entry.kind === 'hole' ? entry.along : entry.length,
      };
    });
  });

  protected keep(measure: Measure, { value }: Quantity): void {
    this.workspace.editRig('what came out of a step', (rig) => ({
      ...rig,
      made: [...(rig.made ?? []).filter((e) => !isOf(e, measure)), asMadeOf(measure, value)],
    }));
  }

  protected forget(measure: Measure): void {
    this.workspace.editRig('forgetting what came out of a step', (rig) => ({
      ...rig,
      made: (rig.made ?? []).filter((e) => !isOf(e, measure)),
    }));
  }
}
