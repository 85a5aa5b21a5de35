/** What each stiffening buys: changes tried one by one by a worker, as a table to sort and take from. */
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { render, type KitItem } from '@tide-pebble/core';
import type { Stiffening, Stiffenings } from '@tide-pebble/core/strength';
import { Asked, sameParts } from '../../services/asked';
import { Jobs } from '../../services/jobs';
import { Units } from '../../services/units';
import { Workspace, type Bench } from '../../services/workspace';
import { FigurePipe, SayPipe } from '../../ui/figures/figures.pipe';

const NO_KIT: ReadonlyMap<string, KitItem> = new Map();
const ORDERS = [
  { id: 'frequency', name: 'what rings highest', by: (a: Stiffening, b: Stiffening) => b.frequency - a.frequency },
  { id: 'mass', name: 'what weighs least', by: (a: Stiffening, b: Stiffening) => a.mass - b.mass },
  { id: 'sag', name: 'what sags least', by: (a: Stiffening, b: Stiffening) => a.sag - b.sag },
  {
    id: 'brings',
    name: 'what brings no fault',
    by: (a: Stiffening, b: Stiffening) => a.brings.length - b.brings.length,
  },
] as const;

@Component({
  selector: 'tp-stiffen-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatProgressBar, FigurePipe, SayPipe],
  template: `
    <h2>What each change buys</h2>
    @switch (looked.kind()) {
      @case ('notAsked') {
        <button matButton="outlined" type="button" (click)="look()">Try all choices and sizes</button>
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
            {{ f.now.frequency | figure: units() : 'frequency' }}. Balance it again after one.
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
          <ul class="plain-list">
            @for (s of rows(); track $index) {
              <li>
                <button matButton="outlined" type="button" (click)="take(s)">
                  {{ s.name }}: {{ s.to | say: units() }}
                </button>
                <p>
                  <span class="figure">{{ s.frequency | figure: units() : 'frequency' }}</span>, sags
                  <span class="figure">{{ s.sag | figure: units() }}</span>,
                  {{ s.mass - f.now.mass < 0 ? 'lighter' : 'heavier' }} by
                  <span class="figure">{{ weight(s, f) | figure: units() : 'mass' }}</span>
                </p>
                @for (b of s.brings; track $index) {
                  <p class="wrong">Brings: {{ b | say: units() }}</p>
                }
              </li>
            } @empty {
              <li class="note">None does. Bring what it carries nearer to the hand, or add a brace on Frame.</li>
            }
          </ul>
        }
      }
    }
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
  private readonly kit = toSignal(this.workspace.kit$, { initialValue: NO_KIT });
  protected readonly orders = ORDERS;
  protected readonly order = signal<string>('frequency');

  private readonly about = computed(
    () => {
      const { rig, loadout, values } = this.bench();
      return [rig.design, rig.wants, loadout, values, this.kit(), this.pose(), this.bump()] as const;
    },
    { equal: sameParts },
  );
  protected readonly looked = new Asked<Stiffenings | null>(this.about);
  protected readonly rows = computed(() => {
    const order = ORDERS.find((o) => o.id === this.order())!;
    return [...(this.looked.found()?.better ?? [])].sort(order.by).slice(0, 20);
  });

  protected look(): void {
    const { rig, loadout, values } = this.bench();
    this.looked.ask((told) =>
      this.jobs.run('stiffen', { rig, loadout, kit: this.kit(), values, pose: this.pose(), bump: this.bump() }, told),
    );
  }

  protected weight(s: Stiffening, { now }: Stiffenings): number {
    return Math.abs(s.mass - now.mass);
  }

  protected take({ name, to, changes }: Stiffening): void {
    this.workspace.apply(`${name} to ${render(to, this.units())}`, changes);
  }
}
