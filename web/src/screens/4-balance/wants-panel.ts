/** What is wanted of the balance: each with its figure, firm or only a wish. */
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import { figure, showFigure, USUALLY_FIRM, wantsOf, type Want } from '@tide-pebble/core';
import { type ConditionId } from '@tide-pebble/core/bench';
import { Units } from '../../services/units';
import { Workspace, type Bench } from '../../services/workspace';
import { QuantityField } from '../../ui/figures/quantity-field';

@Component({
  selector: 'tp-wants-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [QuantityField, MatCheckbox],
  template: `
    <details>
      <summary>What you want of it</summary>
      @for (w of shown(); track w.want.id) {
        <div class="want">
          <tp-quantity-field
            [label]="w.want.name"
            [kind]="w.want.kind"
            [value]="w.value"
            [range]="w.want.range"
            [help]="w.want.help ?? ''"
            [optional]="w.want.optional ?? false"
            hint="not asked"
            (changed)="set(w.want, $event.value)"
            (cleared)="set(w.want, null)"
          />
          @if (w.want.firm.length > 0 && w.value !== null) {
            <mat-checkbox
              [checked]="w.firm"
              (change)="firm(w.want, $event.checked)"
              [aria-label]="w.want.name + ': firm'"
              >firm</mat-checkbox
            >
          }
        </div>
      }
      @if (bag(); as b) {
        <mat-checkbox [checked]="b.firm" (change)="firmBag($event.checked)"
          >It must go in its bag ({{ b.size }})</mat-checkbox
        >
      } @else {
        <p class="note">No bag is said yet: its size stands in Frame, under what it packs down to.</p>
      }
      @if (counts()) {
        <mat-checkbox [checked]="bench().rig.wants.onlyBin ?? false" (change)="onlyBin($event.checked)"
          >Only washers that are in my bin</mat-checkbox
        >
      }
      <p class="note">Firm is kept whatever it costs; a wish is let go when both cannot be had.</p>
    </details>
  `,
  styles: `
    :host {
      display: block;
      margin-top: var(--space-4);
    }
    summary {
      padding: 6px 0;
      font-weight: 600;
    }
    .want {
      display: grid;
      grid-template-columns: 1fr 84px;
      align-items: center;
    }
  `,
})
export class WantsPanel {
  private readonly workspace = inject(Workspace);
  private readonly units = inject(Units).now;
  readonly bench = input.required<Bench>();

  protected readonly shown = computed(() => {
    const { rig, judged } = this.bench();
    const { wants } = rig;
    const firm = wants.firm ?? USUALLY_FIRM;
    return wantsOf(judged.evaluation).map((want) => ({
      want,
      value: want.of(wants),
      firm: want.firm.every((id) => firm.includes(id)),
    }));
  });

  protected readonly bag = computed(() => {
    const { bag, firm } = this.bench().rig.wants;
    return bag
      ? {
          firm: firm?.includes('bag') ?? false,
          size: bag.map((side) => showFigure(figure('length', side, 0), this.units())).join(' × '),
        }
      : null;
  });
  protected readonly counts = computed(() => this.bench().work.rig.adjusters.some((a) => a.kind === 'count'));

  protected firmBag(firm: boolean): void {
    this.setFirm('in the bag', ['bag'], firm);
  }

  protected onlyBin(onlyBin: boolean): void {
    this.workspace.editRig(onlyBin ? 'only washers in the bin' : 'any washers', (rig) => ({
      ...rig,
      wants: { ...rig.wants, onlyBin },
    }));
  }

  protected set(want: Want, value: number | null): void {
    this.workspace.editRig(
      `what you want: ${want.name.toLowerCase()}`,
      (rig) => ({ ...rig, wants: want.with(rig.wants, value) }),
      `want ${want.id}`,
    );
  }

  protected firm(want: Want, firm: boolean): void {
    this.setFirm(want.name.toLowerCase(), want.firm, firm);
  }

  private setFirm(name: string, ids: readonly ConditionId[], firm: boolean): void {
    this.workspace.editRig(`${name}: ${firm ? 'firm' : 'a wish'}`, (rig) => {
      const rest = (rig.wants.firm ?? USUALLY_FIRM).filter((id) => !ids.includes(id as ConditionId));
      return { ...rig, wants: { ...rig.wants, firm: firm ? [...rest, ...ids] : rest } };
    });
  }
}
