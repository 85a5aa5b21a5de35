/** What changes an item while it is the same item: screen in or out, zoom at wide or long, battery full size or small, strap on or off. */
import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { mdiDeleteOutline, mdiPlus } from '@mdi/js';
import type { ItemState, KitItem, Quantity, StateChange, StateChoice } from '@tide-pebble/core';
import { Icon } from '../../../../ui/icon';
import { QuantityField } from '../../../../ui/figures/quantity-field';
import { freshId, replaced, type ItemChange } from '../changes';

interface Preset {
  readonly name: string;
  readonly choices: readonly [string, string];
  readonly kind: StateChange['kind'];
}
const PRESETS: readonly Preset[] = [
  { name: 'screen', choices: ['in', 'out'], kind: 'moves' },
  { name: 'zoom', choices: ['at wide', 'at long'], kind: 'moves' },
  { name: 'focus', choices: ['far', 'near'], kind: 'moves' },
  { name: 'battery', choices: ['small', 'full size'], kind: 'adds' },
  { name: 'strap', choices: ['off', 'on'], kind: 'adds' },
];

@Component({
  selector: 'tp-states-editor',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, Icon, QuantityField],
  template: `
    <section aria-label="States">
      <header>
        <h2>States that change it</h2>
        <div class="presets">
          @for (p of presets; track p.name) {
            <button matButton="outlined" type="button" (click)="add(p)">
              <tp-icon [path]="icons.add" /> {{ p.name }}
            </button>
          }
        </div>
      </header>
      @for (s of item().states ?? []; track s.id) {
        <div class="state">
          <div class="top">
            <input
              type="text"
              maxlength="120"
              aria-label="Name of the state"
              [value]="s.name"
              (change)="renameState(s.id, $any($event.target).value)"
            />
            <button matButton type="button" (click)="addChoice(s)">Add a choice</button>
            <button type="button" class="tool" [attr.aria-label]="'Delete the state ' + s.name" (click)="remove(s.id)">
              <tp-icon [path]="icons.remove" />
            </button>
          </div>
          @for (c of s.choices; track c.id; let first = $first) {
            <div class="list-row">
              <input
                type="text"
                maxlength="120"
                [attr.aria-label]="'Choice of ' + s.name"
                [value]="c.name"
                (change)="renameChoice(s.id, c.id, $any($event.target).value)"
              />
              @if (first) {
                <span class="note">as it was measured</span><span></span><span></span><span></span>
              } @else {
                <select
                  [attr.aria-label]="'What ' + s.name + ' ' + c.name + ' does'"
                  (change)="does(s.id, c.id, $any($event.target).value)"
                >
                  <option value="" [selected]="!c.change">changes nothing</option>
                  <option value="moves" [selected]="c.change?.kind === 'moves'">moves the mass centre</option>
                  <option value="adds" [selected]="c.change?.kind === 'adds'">adds or takes mass</option>
                </select>
                @for (a of axes; track a.axis) {
                  @if (c.change; as change) {
                    <tp-quantity-field
                      class="bare"
                      [label]="s.name + ' ' + c.name + ', ' + (change.kind === 'moves' ? 'moves ' : 'sits ') + a.word"
                      [hideLabel]="true"
                      [help]="a.word"
                      kind="length"
                      [decimals]="1"
                      [value]="change.kind === 'moves' ? change.by[a.axis] : change.at[a.axis]"
                      [range]="[-1, 1]"
                      (changed)="place(s.id, c.id, a.axis, $event)"
                    />
                  } @else {
                    <span></span>
                  }
                }
              }
              @if (s.choices.length > 2 && !first) {
                <button
                  type="button"
                  class="tool"
                  [attr.aria-label]="'Delete the choice ' + c.name"
                  (click)="removeChoice(s.id, c.id)"
                >
                  <tp-icon [path]="icons.remove" />
                </button>
              } @else {
                <span></span>
              }
              @if (c.change?.kind === 'adds') {
                <tp-quantity-field
                  class="bare"
                  [label]="s.name + ' ' + c.name + ', adds'"
                  help="added; less than zero when taken away"
                  [hideLabel]="true"
                  kind="mass"
                  [decimals]="1"
                  [value]="$any(c.change).mass.value"
                  [range]="[-20, 20]"
                  (changed)="adds(s.id, c.id, $event)"
                />
              }
              @if (item().class === 'lens' && s.name === 'zoom') {
                <tp-quantity-field
                  class="bare"
                  [label]="s.name + ' ' + c.name + ', focal length'"
                  help="focal length"
                  [hideLabel]="true"
                  kind="length"
                  [value]="c.focalLength ?? null"
                  [range]="[0.001, 2]"
                  [optional]="true"
                  (changed)="focal(s.id, c.id, $event.value)"
                  (cleared)="focal(s.id, c.id, null)"
                />
              }
            </div>
          }
        </div>
      } @empty {
        <p class="note">
          None yet. The first choice is the item as you measured it; each other says what it moves or adds. Or measure
          it in that state above, and it is worked out.
        </p>
      }
    </section>
  `,
  styleUrl: './list-editor.css',
})
export class StatesEditor {
  readonly item = input.required<KitItem>();
  readonly edited = output<ItemChange>();
  protected readonly icons = { add: mdiPlus, remove: mdiDeleteOutline };
  protected readonly presets = PRESETS;
  protected readonly axes = [
    { axis: 0, word: 'forward' },
    { axis: 1, word: 'to the left' },
    { axis: 2, word: 'up' },
  ] as const;

  protected add({ name, choices, kind }: Preset): void {
    this.edited.emit((item) => {
      const states = item.states ?? [];
      const change: StateChange =
        kind === 'moves'
          ? { kind, by: [0, 0, 0] }
          : { kind, mass: { value: 0 }, at: item.massCentre?.at ?? item.boxCentre };
      const list: StateChoice[] = choices.map((c, i) => ({
        id: freshId(c, []),
        name: c,
        ...(i === 0 ? {} : { change }),
        ...(name === 'zoom' && item.focalLength
          ? { focalLength: i === 0 ? item.focalLength.shortest : item.focalLength.longest }
          : {}),
      }));
      return { ...item, states: [...states, { id: freshId(name, states), name, choices: list }].slice(0, 8) };
    });
  }

  protected remove(id: string): void {
    this.edited.emit((item) => ({
      ...item,
      states: (item.states ?? []).filter((s) => s.id !== id),
      ...(item.measurements ? { measurements: item.measurements.filter((m) => m.state?.state !== id) } : {}),
    }));
  }

  protected renameState(id: string, name: string): void {
    if (name.trim()) this.state(id, (s) => ({ ...s, name: name.trim().slice(0, 120) }));
  }

  protected addChoice(state: ItemState): void {
    this.state(state.id, (s) => {
      const name = `choice ${s.choices.length + 1}`;
      return { ...s, choices: [...s.choices, { id: freshId(name, s.choices), name }].slice(0, 8) };
    });
  }

  protected removeChoice(state: string, choice: string): void {
    this.state(state, (s) => ({ ...s, choices: s.choices.filter((c) => c.id !== choice) }));
  }

  protected renameChoice(state: string, choice: string, name: string): void {
    if (name.trim()) this.choice(state, choice, (c) => ({ ...c, name: name.trim().slice(0, 120) }));
  }

  protected does(state: string, choice: string, kind: string): void {
    const at = this.item().massCentre?.at ?? this.item().boxCentre;
    this.choice(state, choice, ({ change: _before, ...c }) =>
      kind === 'moves'
        ? { ...c, change: { kind, by: [0, 0, 0] } }
        : kind === 'adds'
          ? { ...c, change: { kind, mass: { value: 0 }, at } }
          : c,
    );
  }

  protected place(state: string, choice: string, axis: 0 | 1 | 2, { value }: Quantity): void {
    this.choice(state, choice, (c) => {
      if (!c.change) return c;
      return {
        ...c,
        change:
          c.change.kind === 'moves'
            ? { ...c.change, by: replaced(c.change.by, axis, value) }
            : { ...c.change, at: replaced(c.change.at, axis, value) },
      };
    });
  }

  protected adds(state: string, choice: string, mass: Quantity): void {
    this.choice(state, choice, (c) => (c.change?.kind === 'adds' ? { ...c, change: { ...c.change, mass } } : c));
  }

  protected focal(state: string, choice: string, focalLength: number | null): void {
    this.choice(state, choice, ({ focalLength: _before, ...c }) => (focalLength === null ? c : { ...c, focalLength }));
  }

  private state(id: string, change: (s: ItemState) => ItemState): void {
    this.edited.emit((item) => ({ ...item, states: (item.states ?? []).map((s) => (s.id === id ? change(s) : s)) }));
  }

  private choice(state: string, id: string, change: (c: StateChoice) => StateChoice): void {
    this.state(state, (s) => ({ ...s, choices: s.choices.map((c) => (c.id === id ? change(c) : c)) }));
  }
}
