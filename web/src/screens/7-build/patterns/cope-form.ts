/** A tube of the maker's own that is to end on another: asks for both and their angle, and its sheet joins the others. */
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import type { Quantity } from '@tide-pebble/core';
import { SHARPEST, type Cope } from '@tide-pebble/core/patterns';
import { OwnCope } from '../../../services/own-cope';
import type { Bench } from '../../../services/workspace';
import { QuantityField } from '../../../ui/figures/quantity-field';

@Component({
  selector: 'tp-cope-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatCheckbox, QuantityField],
  template: `
    <h2>A tube of your own</h2>
    <mat-checkbox [checked]="now() !== null" (change)="own.set($event.checked ? usual() : null)"
      >Add a sheet for a tube that ends on another’s side</mat-checkbox
    >
    @if (now(); as c) {
      <tp-quantity-field
        label="The tube that ends"
        kind="length"
        [value]="c.tube"
        [range]="SIZES"
        (changed)="change({ tube: $event.value })"
      />
      <tp-quantity-field
        label="The tube it ends on"
        kind="length"
        [value]="c.onto"
        [range]="SIZES"
        (changed)="change({ onto: $event.value })"
      />
      <tp-quantity-field
        label="Angle between them"
        kind="angle"
        [value]="c.angle"
        [range]="ANGLES"
        (changed)="change({ angle: $event.value })"
      />
      @if (c.tube > c.onto) {
        <p class="wrong" role="alert">The tube it ends on must be at least as thick: its sides would hang over.</p>
      }
    }
  `,
})
export class CopeForm {
  readonly bench = input.required<Bench>();
  protected readonly own = inject(OwnCope);
  protected readonly now = this.own.now;
  protected readonly SIZES = [0.004, 0.2] as const;
  protected readonly ANGLES = [SHARPEST, Math.PI / 2] as const;
  /** As thick as the first tube of the rig, square. */
  protected readonly usual = computed((): Cope => {
    const sections = this.bench().work.rig.bodies.flatMap((b) => b.members.map((m) => m.stock.section));
    const tube = sections.flatMap((s) => (s.kind === 'tube' ? [s.outerDiameter] : []))[0] ?? 0.02;
    return { tube, onto: tube, angle: Math.PI / 2 };
  });

  protected change(by: Partial<Record<keyof Cope, Quantity['value']>>): void {
    const now = this.now();
    if (now) this.own.set({ ...now, ...by });
  }
}
