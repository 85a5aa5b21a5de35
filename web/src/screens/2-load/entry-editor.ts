/** One mounted thing: what it stands on, its place and turn, the states it is in, and what could be there instead. */
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  DEGREE,
  quaternionOfTurns,
  turnsOfRotation,
  type Loadout,
  type Mounted,
  type Quantity,
} from '@tide-pebble/core';
import { LoadBench } from '../../services/load-bench';
import { Pick } from '../../ui/pick';
import { QuantityField } from '../../ui/figures/quantity-field';

const OFFSETS = [
  { axis: 0, label: 'Forward' },
  { axis: 1, label: 'To the left' },
  { axis: 2, label: 'Up' },
] as const;
const TURNS = [
  { id: 'toTheLeft', label: 'Turned to the left' },
  { id: 'noseDown', label: 'Nose down' },
  { id: 'leftSideDown', label: 'Left side down' },
] as const;
const HALF_TURN = 180 * DEGREE;

@Component({
  selector: 'tp-entry-editor',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, Pick, QuantityField],
  template: `
    <div class="fields">
      @for (o of offsets; track o.axis) {
        <tp-quantity-field
          [label]="o.label"
          kind="length"
          [value]="entry().offset[o.axis]"
          [range]="[-1, 1]"
          (changed)="offset(o.axis, $event)"
        />
      }
      @for (t of turns(); track t.id) {
        <tp-quantity-field
          [label]="t.label"
          kind="angle"
          [value]="t.value"
          [range]="halfTurns"
          (changed)="turn(t.id, $event)"
        />
      }
    </div>
    @if (places().length > 0) {
      <label class="line"
        >Stands on
        <select aria-label="Stands on" (change)="standOn($any($event.target).value)">
          @for (p of places(); track p.value) {
            <option [value]="p.value" [selected]="p.value === standing()">{{ p.label }}</option>
          }
        </select>
      </label>
    }
    @for (s of states(); track s.id) {
      <label class="line"
        >{{ s.name }}
        <select [attr.aria-label]="s.name" (change)="state(s.id, $any($event.target).value)">
          <option value="" [selected]="!s.chosen">either, while shooting</option>
          @for (c of s.choices; track c.id) {
            <option [value]="c.id" [selected]="c.id === s.chosen">{{ c.name }}</option>
          }
        </select>
      </label>
    }
    @if (others().length > 0) {
      <div class="line">
        Swap for <tp-pick label="Swap for" hint="something else" [options]="others()" (picked)="swapFor($event)" />
      </div>
    }
    <button matButton type="button" (click)="opened.emit(entry().item)">Weigh and measure it</button>
  `,
  styles: `
    :host {
      display: block;
      padding: 0 0 var(--space-3) var(--space-2);
    }
    .line {
      display: grid;
      grid-template-columns: 96px 1fr;
      gap: var(--space-2);
      align-items: center;
      margin-top: var(--space-2);
    }
    .line select {
      width: 100%;
      min-width: 0;
    }
  `,
})
export class EntryEditor {
  private readonly load = inject(LoadBench);
  readonly loadout = input.required<Loadout>();
  readonly entry = input.required<Mounted>();
  readonly opened = output<string>();
  protected readonly offsets = OFFSETS;
  protected readonly halfTurns: readonly [number, number] = [-HALF_TURN, HALF_TURN];

  protected readonly turns = computed(() => {
    const q = this.entry().turn;
    const now = q ? turnsOfRotation(q) : { toTheLeft: 0, noseDown: 0, leftSideDown: 0 };
    return TURNS.map((t) => ({ ...t, value: Math.abs(now[t.id]) < 1e-9 ? 0 : now[t.id] }));
  });
  protected readonly standing = computed(() => placeOf(this.entry()));
  /** The rig itself, places of its own, and every point of everything else that does not stand on this. */
  protected readonly places = computed(() => {
    const kit = this.load.kit();
    const all = this.loadout().items;
    const standsOnThis = (m: Mounted): boolean => {
      for (let on = m.on, n = 0; on && n < all.length; n++) {
        if (on.mounted === this.entry().id) return true;
        on = all.find((o) => o.id === on!.mounted)?.on ?? null;
      }
      return false;
    };
    const points = all
      .filter((m) => m.id !== this.entry().id && !standsOnThis(m))
      .flatMap((m) => {
        const item = kit.get(m.item);
        return (item?.mountPoints ?? []).map((p) => ({ value: `${m.id} ${p.id}`, label: `${item!.name}, ${p.name}` }));
      });
    // The load's own foot stands on the mount, or nothing would.
    const isFoot = all.find((m) => m.on === null)?.id === this.entry().id;
    const own = (isFoot ? [] : this.load.rigPlaces()).map((p) => ({
      value: `${ON_RIG}${p.id}`,
      label: `the rig’s ${p.name}`,
    }));
    const { onRig } = this.entry();
    const gone =
      onRig !== undefined && !own.some((p) => p.value === `${ON_RIG}${onRig}`)
        ? [{ value: `${ON_RIG}${onRig}`, label: 'a place that this rig has not' }]
        : [];
    return [{ value: '', label: 'the rig, where its load stands' }, ...own, ...gone, ...points];
  });
  protected readonly states = computed(() =>
    (this.load.kit().get(this.entry().item)?.states ?? []).map((s) => ({
      ...s,
      chosen: this.entry().states?.[s.id] ?? '',
    })),
  );
  protected readonly others = computed(() => {
    const own = this.load.kit().get(this.entry().item);
    return this.load.kitList().filter((k) => k.id !== own?.id && k.class === own?.class);
  });

  protected offset(axis: 0 | 1 | 2, { value, typed }: Quantity): void {
    this.change((m) => ({
      ...m,
      ...(typed === undefined ? {} : { typed: { ...m.typed, [`offset ${axis}`]: typed } }),
      offset: m.offset.map((x, i) => (i === axis ? value : x)) as [number, number, number],
    }));
  }

  protected turn(id: (typeof TURNS)[number]['id'], { value }: Quantity): void {
    this.change(({ turn, ...m }) => {
      const turns = { ...(turn ? turnsOfRotation(turn) : { toTheLeft: 0, noseDown: 0, leftSideDown: 0 }), [id]: value };
      const still = Object.values(turns).every((t) => Math.abs(t) < 1e-12);
      return still ? m : { ...m, turn: quaternionOfTurns(turns) };
    });
  }

  /** On a place of the rig's own it keeps what it stands on elsewhere, for rigs that have no such place. */
  protected standOn(value: string): void {
    if (value.startsWith(ON_RIG))
      return this.change((m) => ({ ...m, onRig: value.slice(ON_RIG.length), offset: [0, 0, 0] }));
    const [mounted, point] = value.split(' ');
    this.change(({ onRig: _place, ...m }) => ({ ...m, on: mounted && point ? { mounted, point } : null }));
  }

  protected state(id: string, choice: string): void {
    this.change((m) => {
      const { [id]: _before, ...others } = m.states ?? {};
      return { ...m, states: choice ? { ...others, [id]: choice } : others };
    });
  }

  protected swapFor(item: string): void {
    this.load.remount(this.loadout().id, { kind: 'swap', mounted: this.entry().id, item });
  }

  private change(change: (m: Mounted) => Mounted): void {
    this.load.changeEntry(this.loadout().id, this.entry().id, change);
  }
}

/** Before a place of the rig's own, in the list. */
const ON_RIG = 'rig: ';
const placeOf = ({ on, onRig }: Mounted): string =>
  onRig !== undefined ? `${ON_RIG}${onRig}` : on ? `${on.mounted} ${on.point}` : '';
