/** Who holds it: the maker's own measures, the pose to look at, and what hand, elbow and shoulder feel in it. */
import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import {
  comfortOf,
  elbowMoment,
  figure,
  reachOfArm,
  showFigure,
  statureOf,
  USUAL_HANDS,
  type Hands,
} from '@tide-pebble/core';
import { Units } from '../../services/units';
import { Workspace, type Bench } from '../../services/workspace';
import { holdersIn } from '../../ui/drawing/person';
import { QuantityField, type FieldKind } from '../../ui/figures/quantity-field';

const MEASURES: readonly {
  readonly id: 'stature' | 'breadth' | 'armClose' | 'armOut' | 'wristStrength';
  readonly name: string;
  readonly kind: FieldKind;
  readonly range: readonly [number, number];
  readonly help: string;
}[] = [
  {
    id: 'stature',
    name: 'Your height',
    kind: 'length',
    range: [0.9, 2.3],
    help: 'Arms, eyes and shoulders are reckoned from it.',
  },
  { id: 'breadth', name: 'Closed hand, across the knuckles', kind: 'length', range: [0.05, 0.13], help: '' },
  { id: 'armClose', name: 'Hand ahead of the shoulder, arm close', kind: 'length', range: [0.05, 1], help: '' },
  { id: 'armOut', name: 'The same, arm out', kind: 'length', range: [0.1, 1.2], help: '' },
  {
    id: 'wristStrength',
    name: 'Most your wrist can turn with',
    kind: 'torque',
    range: [1, 60],
    help: 'Less for small or hurt hands: hold a weight on a stick and find out.',
  },
];

@Component({
  selector: 'tp-holder-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [QuantityField, MatCheckbox],
  template: `
    <h2>Who holds it</h2>
    <label
      >Draw the pose
      <select (change)="draw($any($event.target).value)">
        <option value="">none</option>
        @for (p of poses(); track p.id) {
          <option [value]="p.id" [selected]="p.id === pose()">{{ p.name }}</option>
        }
      </select>
    </label>
    @if (says()) {
      <p class="note" role="status">{{ says() }}</p>
    }
    @if (bearing().length > 0) {
      <details>
        <summary>What you can bear for a while</summary>
        @for (c of bearing(); track c.id) {
          <tp-quantity-field
            [label]="c.name"
            kind="force"
            [value]="c.limit"
            [range]="[1, 2000]"
            [help]="c.help"
            (changed)="bears(c.id, c.name, $event.value)"
          />
        }
      </details>
    }
    <details>
      <summary>Your measures</summary>
      @for (m of measures; track m.id) {
        <tp-quantity-field
          [label]="m.name"
          [kind]="m.kind"
          [value]="value(m.id)"
          [range]="m.range"
          [help]="m.help"
          (changed)="measure(m.id, $event.value)"
        />
      }
      <mat-checkbox [checked]="bench().work.hands.leftHanded" (change)="change({ leftHanded: $event.checked })"
        >left-handed</mat-checkbox
      >
    </details>
  `,
  styles: `
    :host {
      display: block;
      margin-top: var(--space-4);
    }
    label {
      display: grid;
      grid-template-columns: 1fr 210px;
      align-items: center;
      padding: 6px 0;
    }
    summary {
      padding: 6px 0;
      color: var(--quiet);
    }
  `,
})
export class HolderPanel {
  private readonly workspace = inject(Workspace);
  private readonly units = inject(Units).now;
  protected readonly measures = MEASURES;
  readonly bench = input.required<Bench>();
  private readonly rig = computed(() => this.bench().rig.id);
  readonly pose = linkedSignal<string, string | null>({ source: this.rig, computation: () => null });
  readonly posed = output<string | null>();

  protected readonly poses = computed(() => this.bench().work.rig.poses);
  protected readonly says = computed(() => {
    const bench = this.bench();
    const people = holdersIn(bench.work.rig, this.pose(), bench.values, bench.work.hands);
    if (!this.pose()) return '';
    const say = (kind: 'length' | 'torque', value: number, decimals?: number): string =>
      showFigure(figure(kind, value, decimals), this.units());
    if (people.length === 0)
      return `Out of reach: an arm like yours goes ${say('length', reachOfArm(bench.work.hands), 0)}.`;
    const held = bench.judged.evaluation.held.find((p) => p.pose.id === this.pose());
    const weights =
      held && held.bears.length > 0
        ? held.bears.filter((b) => b.contact.kind === 'hand').map((b) => Math.max(0, b.force[2]))
        : (held?.hands.map((h) => h.up) ?? []);
    const elbows = people.map((s, i) => elbowMoment(s, weights[i] ?? 0));
    return `At the elbow ${say('torque', Math.max(...elbows), 1)}, arm and all; the hand is ${say('length', Math.hypot(...[0, 1].map((k) => people[0]!.hand[k]! - people[0]!.shoulder[k]!)), 0)} out from the shoulder. Rough: people differ.`;
  });

  /** What bears in the drawn pose, each with what is comfortable. */
  protected readonly bearing = computed(() => {
    const { work } = this.bench();
    const pose = work.rig.poses.find((p) => p.id === this.pose());
    return work.rig.contacts
      .filter((c) => c.kind !== 'ground' && pose?.contacts.includes(c.id))
      .map((c) => ({
        id: c.id,
        name: c.name[0]!.toUpperCase() + c.name.slice(1),
        limit: comfortOf(c),
        help: c.comfortLimit === undefined ? 'A usual figure: type your own.' : '',
      }));
  });

  protected bears(target: string, name: string, limit: number): void {
    this.workspace.edit(
      `what the ${name.toLowerCase()} can bear`,
      { kind: 'comfort', id: crypto.randomUUID(), target, limit },
      `comfort ${target}`,
    );
  }

  protected value(id: (typeof MEASURES)[number]['id']): number {
    const { hands } = this.bench().work;
    return id === 'stature' ? statureOf(hands) : hands[id];
  }

  protected draw(id: string): void {
    this.pose.set(id || null);
    this.posed.emit(id || null);
  }

  protected measure(id: (typeof MEASURES)[number]['id'], value: number): void {
    this.change({ [id]: value });
  }

  protected change(part: Partial<Hands>): void {
    this.workspace.editRig('your measures', (rig) => ({ ...rig, hands: { ...(rig.hands ?? USUAL_HANDS), ...part } }));
  }
}
