/** What is wanted of the balance: each with its figure, firm or only a wish. */
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import { DEGREE, figure, showFigure, wristAtMost, type ConditionId, type Wants } from '@tide-pebble/core';
import { Units } from '../../services/units';
import { Workspace, type Bench } from '../../services/workspace';
import { QuantityField, type FieldKind } from '../../ui/figures/quantity-field';

interface Want {
  readonly id: string;
  readonly name: string;
  readonly kind: FieldKind;
  readonly range: readonly [number, number];
  readonly help?: string;
  /** Can be left empty: then it is not asked. */
  readonly optional?: boolean;
  /** What is firm or not by it; none for what is no condition of the trim. */
  readonly firm: readonly ConditionId[];
  readonly of: (wants: Wants) => number | null;
  readonly with: (wants: Wants, value: number | null) => Wants;
}

/** Firm unless the maker says otherwise. */
const USUALLY_FIRM: readonly ConditionId[] = [
  'levelForeAft',
  'levelSideways',
  'dropPitch',
  'dropRoll',
  'wristNose',
  'wristSides',
  'overSupport',
];
const without = <K extends keyof Wants>(wants: Wants, key: K): Wants => {
  const { [key]: _gone, ...rest } = wants;
  return rest as Wants;
};
const optional = <K extends 'addedAtMost' | 'calmRollAtLeast' | 'calmPanAtLeast' | 'panLeanAtMost'>(key: K) => ({
  optional: true,
  of: (w: Wants) => w[key] ?? null,
  with: (w: Wants, value: number | null): Wants => (value === null ? without(w, key) : { ...w, [key]: value }),
});

const HUNG: readonly Want[] = [
  {
    id: 'level',
    name: 'Level within',
    kind: 'angle',
    range: [0.1 * DEGREE, 20 * DEGREE],
    firm: ['levelForeAft', 'levelSideways'],
    of: (w) => w.levelWithin,
    with: (w, v) => ({ ...w, levelWithin: v ?? w.levelWithin }),
  },
  {
    id: 'drop-least',
    name: 'Drop, at least',
    kind: 'time',
    range: [0.3, 20],
    firm: ['dropPitch'],
    of: (w) => w.dropTime[0],
    with: (w, v) => ({ ...w, dropTime: [v ?? w.dropTime[0], Math.max(v ?? 0, w.dropTime[1])] }),
  },
  {
    id: 'drop-most',
    name: 'Drop, at most',
    kind: 'time',
    range: [0.3, 20],
    firm: [],
    of: (w) => w.dropTime[1],
    with: (w, v) => ({ ...w, dropTime: [Math.min(v ?? Infinity, w.dropTime[0]), v ?? w.dropTime[1]] }),
  },
  {
    id: 'roll-least',
    name: 'Drop in roll, at least',
    kind: 'time',
    range: [0.3, 20],
    optional: true,
    firm: ['dropRoll'],
    of: (w) => w.dropRoll?.[0] ?? null,
    with: (w, v) => (v === null ? without(w, 'dropRoll') : { ...w, dropRoll: [v, Math.max(v, w.dropRoll?.[1] ?? 20)] }),
  },
  {
    id: 'added',
    name: 'Washers, at most',
    kind: 'mass',
    range: [0.001, 10],
    firm: ['added'],
    ...optional('addedAtMost'),
  },
  {
    id: 'calm-pitch',
    name: 'Calm in pitch, times the bare camera',
    kind: 'number',
    range: [0, 1000],
    firm: ['calmPitch'],
    of: (w) => w.calmAtLeast,
    with: (w, v) => ({ ...w, calmAtLeast: v ?? 0 }),
  },
  {
    id: 'calm-roll',
    name: 'Calm in roll, times',
    kind: 'number',
    range: [0, 1000],
    firm: ['calmRoll'],
    ...optional('calmRollAtLeast'),
  },
  {
    id: 'calm-pan',
    name: 'Calm in pan, times',
    kind: 'number',
    range: [0, 1000],
    firm: ['calmPan'],
    ...optional('calmPanAtLeast'),
  },
  {
    id: 'pan',
    name: 'Lean in a usual pan, at most',
    kind: 'angle',
    range: [0.1 * DEGREE, 45 * DEGREE],
    help: 'Panned at 45° a second.',
    firm: ['panLean'],
    ...optional('panLeanAtMost'),
  },
];
const HELD: readonly Want[] = [
  {
    id: 'wrist',
    name: 'Wrist carries at most',
    kind: 'torque',
    range: [0.05, 40],
    firm: ['wristNose', 'wristSides'],
    of: wristAtMost,
    with: (w, v) => ({ ...w, wristAtMost: v ?? wristAtMost(w) }),
  },
];
const ANY: readonly Want[] = [
  {
    id: 'mass',
    name: 'Mass at most',
    kind: 'mass',
    range: [0.05, 40],
    firm: ['mass'],
    of: (w) => w.massAtMost,
    with: (w, v) => ({ ...w, massAtMost: v ?? w.massAtMost }),
  },
];

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
    const held = !judged.evaluation.hung && judged.evaluation.held.length > 0;
    return [...(judged.evaluation.hung ? HUNG : held ? HELD : []), ...ANY].map((want) => ({
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
  protected readonly counts = computed(() => this.bench().piece.rig.adjusters.some((a) => a.kind === 'count'));

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
