/** What each stiffening buys: changes tried one by one by a worker, as a table to sort and take from. */
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NgTemplateOutlet } from '@angular/common';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { figure, render, type BinItem, type JointsHeard, type KitItem } from '@tide-pebble/core';
import type { StiffenInput, Stiffened, Stiffening, Stiffenings, Stiffest } from '@tide-pebble/core/strength';
import { Asked, sameParts } from '../../services/asked';
import { Jobs } from '../../services/jobs';
import { Units } from '../../services/units';
import { Workspace, type Bench } from '../../services/workspace';
import { QuantityField } from '../../ui/figures/quantity-field';
import { FigurePipe, SayPipe } from '../../ui/figures/figures.pipe';
import { BuysChart } from './buys-chart';

const NO_KIT: ReadonlyMap<string, KitItem> = new Map();
const NO_BIN: readonly BinItem[] = [];
const SHOWN = 20;
/** kg and money. */
const LEAST_MONEY = 0.005;
const MORE = { mass: 0.2, cost: 10 };
const ORDERS = [
  { id: 'frequency', name: 'what rings highest', by: (a: Stiffening, b: Stiffening) => b.frequency - a.frequency },
  { id: 'mass', name: 'what weighs least', by: (a: Stiffening, b: Stiffening) => a.mass - b.mass },
  { id: 'cost', name: 'what costs least', by: (a: Stiffening, b: Stiffening) => a.cost - b.cost },
  { id: 'joined', name: 'what holds best', by: (a: Stiffening, b: Stiffening) => a.joined - b.joined },
  { id: 'sag', name: 'what sags least', by: (a: Stiffening, b: Stiffening) => a.sag - b.sag },
] as const;

@Component({
  selector: 'tp-stiffen-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [BuysChart, NgTemplateOutlet, MatButton, MatProgressBar, FigurePipe, SayPipe, QuantityField],
  template: `
    <h2>What each change buys</h2>
    @switch (looked.kind()) {
      @case ('notAsked') {
        <button matButton="outlined" type="button" (click)="look()">Try every change</button>
      }
      @case ('working') {
        <mat-progress-bar mode="determinate" [value]="100 * looked.part()!" aria-label="Trying each change" />
        <button matButton type="button" (click)="looked.stop()">Stop</button>
      }
      @case ('failed') {
        <p class="wrong">{{ looked.reason() }}</p>
      }
      @case ('found') {
        @if (looked.found(); as f) {
          <p class="note">
            {{ f.tried }} changes tried, one at a time; {{ f.better.length }} make it ring higher than
            {{ f.now.frequency | figure: units() : 'frequency' }} or hold better, each balanced again{{
              f.isBalancedFirst ? '; so told is it as it is once it is balanced' : ''
            }}.
          </p>
          @if (f.better.length > 1) {
            <label
              >First
              <select (change)="order.set($any($event.target).value)">
                @for (o of orders; track o.id) {
                  <option [value]="o.id" [selected]="o.id === order()">{{ o.name }}</option>
                }
              </select>
            </label>
          }
          @if (f.better.length > 2) {
            @defer (on immediate) {
              <tp-buys-chart [points]="plotted()" [now]="f.now" [units]="units()" (picked)="take($event)" />
            } @placeholder {
              <p class="note chart-room">Drawing what they buy…</p>
            }
          }
          <ul class="plain-list">
            @for (s of rows(); track $index) {
              <li><ng-container *ngTemplateOutlet="row; context: { $implicit: s, now: f.now }" /></li>
            } @empty {
              <li class="note">None does. Bring what it carries nearer to the hand, or add a brace on Frame.</li>
            }
          </ul>
          @if (f.better.length > 1) {
            <h3>Two or three together, for at most</h3>
            <tp-quantity-field
              label="More grams"
              kind="mass"
              [value]="moreMass()"
              [range]="[0, 5]"
              (changed)="moreMass.set($event.value)"
            />
            <tp-quantity-field
              label="More money"
              kind="number"
              [value]="moreCost()"
              [range]="[0, 10000]"
              (changed)="moreCost.set($event.value)"
            />
            @switch (pairs.kind()) {
              @case ('working') {
                <mat-progress-bar mode="determinate" [value]="100 * pairs.part()!" aria-label="Trying them together" />
                <button matButton type="button" (click)="pairs.stop()">Stop</button>
              }
              @case ('failed') {
                <p class="wrong">{{ pairs.reason() }}</p>
              }
              @default {
                <button matButton="outlined" type="button" (click)="lookForPairs(f)">Find the stiffest</button>
              }
            }
            @if (pairs.found(); as p) {
              <p class="note">
                @if (p.areAllThrees) {
                  All {{ p.pairs }} pairs and all {{ p.threes }} threes of changes that bring no fault were made and
                  reckoned: no others of at most three ring higher for that.
                } @else {
                  All {{ p.pairs }} pairs of changes that bring no fault were made and reckoned: no other one or two of
                  them ring higher for that. Threes were built on the best pairs, {{ p.threes }} of them: of other
                  threes nothing is proven.
                }
              </p>
              <ul class="plain-list">
                @for (s of p.best; track $index) {
                  <li><ng-container *ngTemplateOutlet="row; context: { $implicit: s, now: f.now }" /></li>
                } @empty {
                  <li class="note">None keeps within that. Allow it more grams or money.</li>
                }
              </ul>
            }
          }
        }
      }
    }
    <ng-template #row let-s let-now="now">
      <button matButton="outlined" type="button" (click)="take(s)">{{ s.name }}: {{ s.to | say: units() }}</button>
      <p>
        <span class="figure">{{ s.frequency | figure: units() : 'frequency' }}</span>, sags
        <span class="figure">{{ s.sag | figure: units() }}</span>, {{ s.mass < now.mass ? 'lighter' : 'heavier' }} by
        <span class="figure">{{ weight(s, now) | figure: units() : 'mass' }}</span>, {{ priceWords(s, now)
        }}{{ s.balance === 'notFound' ? '; it cannot be balanced as you want then' : '' }}
      </p>
      @for (b of s.brings; track $index) {
        <p class="wrong">Brings: {{ b | say: units() }}</p>
      }
    </ng-template>
  `,
  styles: `
    :host {
      display: block;
      margin: var(--space-4) 0;
    }
    li {
      padding: var(--space-2) 0;
      border-bottom: var(--line) solid var(--sand-line);
    }
    li p {
      margin: var(--space-1) 0 0;
    }
  `,
})
export class StiffenPanel {
  private readonly jobs = inject(Jobs);
  private readonly workspace = inject(Workspace);
  protected readonly units = inject(Units).now;
  readonly bench = input.required<Bench>();
  readonly pose = input.required<string | null>();
  readonly bump = input.required<number>();
  /** What flicks have said of its joints. */
  readonly joints = input.required<JointsHeard>();
  private readonly kit = toSignal(this.workspace.kit$, { initialValue: NO_KIT });
  protected readonly orders = ORDERS;
  protected readonly order = signal<string>('frequency');

  private readonly bin = toSignal(this.workspace.bin$, { initialValue: NO_BIN });
  private readonly about = computed(
    () => {
      const { rig, loadout, values } = this.bench();
      return [
        rig.design,
        rig.wants,
        loadout,
        values,
        this.kit(),
        this.bin(),
        this.pose(),
        this.bump(),
        this.joints(),
      ] as const;
    },
    { equal: sameParts },
  );
  protected readonly looked = new Asked<Stiffenings | null>(this.about);
  protected readonly rows = computed(() => {
    const order = ORDERS.find((o) => o.id === this.order())!;
    // What brings a fault comes after all that brings none.
    const fault = (s: Stiffening): number => Number(s.brings.length > 0);
    return [...(this.looked.found()?.better ?? [])]
      .sort((a, b) => fault(a) - fault(b) || order.by(a, b))
      .slice(0, SHOWN);
  });

  /** All that brings no fault, by itself and together. */
  protected readonly plotted = computed(() =>
    [...(this.looked.found()?.better ?? []), ...(this.pairs.found()?.best ?? [])].filter((s) => s.brings.length === 0),
  );

  protected readonly moreMass = signal(MORE.mass);
  protected readonly moreCost = signal(MORE.cost);
  protected readonly pairs = new Asked<Stiffest | null>(
    computed(() => [this.about(), this.moreMass(), this.moreCost()] as const, { equal: sameParts }),
  );

  private asked(): StiffenInput {
    const { rig, loadout, values } = this.bench();
    const [kit, bin, pose, bump, joints] = [this.kit(), this.bin(), this.pose(), this.bump(), this.joints()];
    return { rig, loadout, kit, bin, values, pose, bump, joints };
  }

  protected look(): void {
    this.looked.ask((told) => this.jobs.run('stiffen', this.asked(), told));
  }

  protected lookForPairs(among: Stiffenings): void {
    const most = { mass: this.moreMass(), cost: this.moreCost() };
    this.pairs.ask((told) => this.jobs.run('stiffest', { input: this.asked(), among, most }, told));
  }

  protected weight(s: Stiffening, now: Stiffened): number {
    return Math.abs(s.mass - now.mass);
  }

  protected priceWords(s: Stiffening, now: Stiffened): string {
    const more = s.cost - now.cost;
    if (Math.abs(more) < LEAST_MONEY) return 'for as much money';
    return `${more < 0 ? 'cheaper' : 'dearer'} by ${render([figure('money', Math.abs(more))], this.units())}`;
  }

  protected take({ name, to, changes }: Stiffening): void {
    this.workspace.apply(`${name} to ${render(to, this.units())}`, changes);
  }
}
