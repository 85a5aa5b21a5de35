/** Taken apart: which joints open, what pieces are left, whether they go in the bag, and how long it takes. */
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { breakDown, figure, fitsBag, showFigure, type Quantity } from '@tide-pebble/core';
import { Pointer } from '../../services/pointer';
import { Units } from '../../services/units';
import { Workspace, type Bench } from '../../services/workspace';
import { QuantityField } from '../../ui/figures/quantity-field';
import { settled } from '../../ui/timing/settled';

const SIDES = ['Bag, inside length', 'Bag, width', 'Bag, height'] as const;
/** A day's rucksack. */
const USUAL_BAG: readonly [number, number, number] = [0.5, 0.32, 0.2];

@Component({
  selector: 'tp-pack-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [QuantityField],
  template: `
    <h2>In the bag</h2>
    <p>{{ says() }}</p>
    <ul class="plain-list">
      @for (p of pieces(); track $index) {
        <li [class.lit]="lit(p.ids)" (mouseenter)="pointer.point(p.ids[0] ?? null)" (mouseleave)="pointer.point(null)">
          <span>{{ p.name }}</span><span class="figure">{{ p.text }}</span>
        </li>
      }
    </ul>
    @for (side of sides; track side; let i = $index) {
      <tp-quantity-field
        [label]="side"
        kind="length"
        [value]="bag()?.[i] ?? null"
        [range]="[0.05, 2]"
        [optional]="true"
        hint="no bag yet"
        (changed)="size(i, $event)"
        (cleared)="forget()"
      />
    }
    @if (verdict()) {
      <p [class.wrong]="!fits()">{{ verdict() }}</p>
    }
  `,
  styles: `
    h2 {
      margin: var(--space-4) 0 var(--space-1);
    }
    li {
      display: flex;
      justify-content: space-between;
      gap: var(--space-3);
      padding: 3px 6px;
      border-bottom: var(--line) solid var(--sand-line);
      font-size: var(--size-note);
    }
    li.lit {
      background: var(--tint-pale);
    }
    .figure {
      white-space: nowrap;
    }
  `,
})
export class PackPanel {
  private readonly workspace = inject(Workspace);
  private readonly units = inject(Units).now;
  protected readonly pointer = inject(Pointer);
  protected readonly sides = SIDES;
  readonly bench = input.required<Bench>();

  /** Searched through again only once the edits pause. */
  private readonly still = settled(this.bench);
  private readonly packed = computed(() => {
    const bench = this.still();
    return bench ? breakDown(bench.work.rig, bench.values) : null;
  });
  protected readonly bag = computed(() => this.bench().rig.wants.bag ?? null);
  /** Nuts and screws go in a tin. */
  protected readonly pieces = computed(() =>
    (this.packed()?.pieces ?? [])
      .filter((p) => p.box[0] > 0.04)
      .slice(0, 8)
      .map((p) => ({ ...p, text: p.box.map((b) => showFigure(figure('length', b, 0), this.units())).join(' × ') })),
  );
  protected readonly says = computed(() => {
    const packed = this.packed();
    if (!packed) return 'Looking which joints open…';
    const { opens, pieces, packMinutes, setUpMinutes } = packed;
    const minutes = (m: number): string => showFigure(figure('time', Math.round(m) * 60, 0), this.units());
    return `${opens.length} ${opens.length === 1 ? 'joint opens' : 'joints open'}; ${pieces.length} ${pieces.length === 1 ? 'piece' : 'pieces'}. About ${minutes(packMinutes)} to pack and ${minutes(setUpMinutes)} to set up again, balanced.`;
  });
  private readonly fit = computed(() => {
    const bag = this.bag();
    const packed = this.packed();
    return bag && packed ? fitsBag(packed.pieces, bag) : null;
  });
  protected readonly fits = computed(() => this.fit()?.fits ?? true);
  protected readonly verdict = computed(() => {
    const fit = this.fit();
    if (!fit) return '';
    return fit.fits
      ? 'It goes in this bag, piece by piece; try the camera with it.'
      : 'It does not go in this bag: the finding above says what stands out.';
  });

  protected lit(ids: readonly string[]): boolean {
    const at = this.pointer.at();
    return at !== null && ids.includes(at);
  }

  protected size(side: number, { value }: Quantity): void {
    // From the rig as it is kept, not as it was last drawn: two sides may be typed between two frames.
    this.workspace.editRig('the bag', (rig) => {
      const bag = [...(rig.wants.bag ?? USUAL_BAG)] as [number, number, number];
      bag[side] = value;
      return { ...rig, wants: { ...rig.wants, bag } };
    });
  }

  protected forget(): void {
    this.workspace.editRig('the bag', (rig) => {
      const { bag: _bag, ...wants } = rig.wants;
      return { ...rig, wants };
    });
  }
}
