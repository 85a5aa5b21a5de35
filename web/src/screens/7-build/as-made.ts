/** What came out of a step, measured on the piece: kept beside the drawing, and the rig is reckoned from it. */
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { assemble, designRig, type Quantity } from '@tide-pebble/core';
import {
  asMadeOf,
  barPlans,
  holeSheets,
  isOf,
  massMeasure,
  measuresIn,
  turnsIn,
  valueAsTyped,
  weighedAt,
  type BuildStep,
  type Measure,
} from '@tide-pebble/core/making';
import { Workspace, type Bench } from '../../services/workspace';
import { QuantityField } from '../../ui/figures/quantity-field';

const LABELS = {
  length: 'Measured: sawn length',
  bend: 'Measured: angle of the bend',
  hole: 'Measured: hole from the start',
  across: 'Measured: hole from the middle',
  fromEdge: 'Measured: hole',
  mass: 'On the scale: the finished piece',
  turn: 'Measured: corner as it has set',
} as const;

const KINDS = {
  length: 'length',
  bend: 'angle',
  hole: 'length',
  across: 'length',
  fromEdge: 'length',
  mass: 'mass',
  turn: 'angle',
} as const;
/** A corner by a tape is a length. */
const kindOf = ({ of }: Measure): 'length' | 'angle' | 'mass' =>
  of.kind === 'turn' && of.legs ? 'length' : KINDS[of.kind];

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
  /** All of them: what is finished by this one comes onto the scale. */
  readonly steps = input<readonly BuildStep[]>([]);

  /** As they are drawn: the rig on the bench is that which was made. */
  private readonly drawn = computed(() => {
    const { rig, work } = this.bench();
    const drawn = rig.made?.length ? designRig(rig.design) : null;
    return drawn?.ok ? drawn.rig : work.rig;
  });
  private readonly bars = computed(() => barPlans(this.drawn()));
  private readonly sheets = computed(() => holeSheets(this.drawn()));
  private readonly onScale = computed(() => {
    const piece = weighedAt(this.steps()).get(this.step().id);
    if (piece === undefined) return [];
    const own = assemble(this.drawn(), null).pieces.filter((p) => p.flat.owner === piece);
    const mass = own.reduce((sum, p) => sum + p.flat.mass, 0);
    return mass > 0 ? [massMeasure(piece, mass)] : [];
  });
  protected readonly measures = computed(() => {
    const made = this.bench().rig.made ?? [];
    const all = [
      ...measuresIn(this.step(), this.bars(), this.sheets()),
      ...this.onScale(),
      ...turnsIn(this.step(), this.drawn()),
    ];
    // A hole through two boards is measured on each.
    const isShared = new Set(all.map((m) => m.member)).size > 1;
    return all.map((measure) => {
      const entry = made.find((e) => isOf(e, measure));
      return {
        measure,
        label: this.labelOf(measure, isShared),
        kind: kindOf(measure),
        value: entry ? valueAsTyped(entry, measure) : null,
      };
    });
  });

  private labelOf({ of, member }: Measure, isShared: boolean): string {
    if (of.kind === 'turn') return `${LABELS.turn}, to the ${this.nameOf(of.beside)}`;
    if (of.kind === 'across')
      return `${LABELS.across}, towards its ${of.edge} edge${isShared ? `, ${this.nameOf(member)}` : ''}`;
    if (of.kind === 'fromEdge') return `${LABELS.fromEdge} from its ${of.edge} edge`;
    return isShared ? `${LABELS[of.kind]}, ${this.nameOf(member)}` : LABELS[of.kind];
  }
  private nameOf(member: string): string {
    return this.bars().find((b) => b.member === member)?.name ?? '';
  }

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
