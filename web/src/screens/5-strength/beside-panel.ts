/** This rig beside another, or beside an earlier save of itself: all figures, what differs, and what each difference alone would do to this one. */
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { DatePipe } from '@angular/common';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { figure, jointsKnown, render, type KitItem, type PastSave, type RigDocument } from '@tide-pebble/core';
import type { Differs, Side, SideBySide, SideTold } from '@tide-pebble/core/strength';
import { firstValueFrom } from 'rxjs';
import { Asked, sameParts } from '../../services/asked';
import { Jobs } from '../../services/jobs';
import { Api } from '../../services/keeping/api';
import { Units } from '../../services/units';
import { Workspace, type Bench } from '../../services/workspace';
import { SayPipe } from '../../ui/figures/figures.pipe';

const NO_KIT: ReadonlyMap<string, KitItem> = new Map();
/** kg and money. */
const LEAST = { mass: 0.0005, cost: 0.005 };
/** Degrees of a hundredth. */
const TURN_DIGITS = 2;

interface Row {
  readonly name: string;
  readonly one: string;
  readonly other: string;
}

@Component({
  selector: 'tp-beside-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DatePipe, MatButton, MatProgressBar, SayPipe],
  template: `
    <h2 id="beside">Beside another</h2>
    <p class="pick">
      <select aria-labelledby="beside" (change)="pick($any($event.target).value)">
        <option value="">choose a rig</option>
        @for (r of others(); track r.id) {
          <option [value]="'rig ' + r.id">{{ r.name }}</option>
        }
        @for (p of past(); track p.revision) {
          <option [value]="'past ' + p.revision">as saved {{ p.savedAt | date: 'd MMM, HH:mm:ss' }}</option>
        }
      </select>
      @if (!sought()) {
        <button matButton type="button" (click)="seek()">Earlier saves of this one</button>
      }
    </p>
    @if (fault()) {
      <p class="wrong" role="alert">{{ fault() }}</p>
    }
    @if (asked.part() !== null) {
      <mat-progress-bar mode="determinate" [value]="100 * asked.part()!" aria-label="Reckoning both" />
    }
    @if (asked.reason()) {
      <p class="wrong" role="alert">{{ asked.reason() }}</p>
    }
    @if (cannot()) {
      <p class="wrong" role="alert">{{ cannot() }}</p>
    }
    @if (told(); as t) {
      <div class="wide">
        <table aria-label="Both in figures">
          <thead>
            <tr>
              <th scope="col"><span class="visually-hidden">Figure</span></th>
              <th scope="col">{{ bench().rig.name }}</th>
              <th scope="col">{{ otherName() }}</th>
            </tr>
          </thead>
          <tbody>
            @for (r of rows(); track r.name) {
              <tr>
                <th scope="row">{{ r.name }}</th>
                <td class="figure">{{ r.one }}</td>
                <td class="figure">{{ r.other }}</td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      @if (!t.isOneKind) {
        <p class="note">They are of two kinds: what differs cannot be taken over one at a time.</p>
      } @else if (t.differs.length === 0) {
        <p class="note">Nothing differs between them.</p>
      }
      @if (t.differs.length > 0) {
        <div class="wide">
          <table aria-label="What differs, one at a time">
            <thead>
              <tr>
                <th scope="col">What differs</th>
                <th scope="col">alone it would ring at</th>
                <th scope="col">weigh</th>
                <th scope="col">cost</th>
              </tr>
            </thead>
            <tbody>
              @for (d of t.differs; track $index) {
                <tr>
                  <th scope="row">
                    {{ d.name }}<span class="note">{{ d.from | say: units() }} → {{ d.to | say: units() }}</span>
                  </th>
                  <td class="figure">{{ rings(d) }}</td>
                  <td class="figure">{{ weighs(d) }}</td>
                  <td class="figure">{{ costs(d) }}</td>
                </tr>
              }
            </tbody>
          </table>
        </div>
        <p class="note">
          Each alone on {{ bench().rig.name }} as it is set, not balanced again. Together they may do more or less than
          their sum.
        </p>
      }
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .pick {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-2);
      align-items: center;
    }
    .wide {
      overflow-x: auto;
    }
    table {
      border-collapse: collapse;
      width: 100%;
      margin: var(--space-2) 0;
    }
    th,
    td {
      text-align: left;
      padding: var(--space-1) var(--space-3) var(--space-1) 0;
      border-bottom: var(--line) solid var(--sand-line);
      vertical-align: top;
    }
    th {
      font-weight: 400;
    }
    thead th {
      color: var(--slate);
      font-size: var(--size-note);
    }
    th .note {
      display: block;
    }
    @media (max-width: 43.75em) {
      th[scope='row'] {
        width: 34%;
      }
    }
  `,
})
export class BesidePanel {
  private readonly workspace = inject(Workspace);
  private readonly jobs = inject(Jobs);
  private readonly api = inject(Api);
  protected readonly units = inject(Units).now;
  readonly bench = input.required<Bench>();

  private readonly rigs = toSignal(this.workspace.rigs$, { initialValue: [] });
  private readonly kit = toSignal(this.workspace.kit$, { initialValue: NO_KIT });
  private readonly loadouts = toSignal(this.workspace.loadouts$, { initialValue: [] });
  private readonly setups = toSignal(this.workspace.setups$, { initialValue: [] });
  private readonly log = toSignal(this.workspace.log$, { initialValue: [] });
  protected readonly others = computed(() => this.rigs().filter((r) => r.id !== this.bench().rig.id));
  protected readonly sought = signal(false);
  protected readonly past = signal<readonly PastSave[]>([]);
  protected readonly fault = signal('');
  private readonly other = signal<{ readonly rig: RigDocument; readonly name: string } | null>(null);
  protected readonly otherName = computed(() => this.other()?.name ?? '');

  protected readonly asked = new Asked<SideBySide>(
    computed(
      () => {
        const { work, values } = this.bench();
        return [work.assembly, values, this.other(), this.kit(), this.loadouts(), this.setups()] as const;
      },
      { equal: sameParts },
    ),
  );
  protected readonly told = computed(() => {
    const found = this.asked.found();
    return found?.kind === 'told' ? found : null;
  });
  protected readonly cannot = computed(() => {
    const found = this.asked.found();
    return found?.kind === 'cannot' ? found.reason : '';
  });
  protected readonly rows = computed((): readonly Row[] => {
    const told = this.told();
    if (!told) return [];
    const [a, b] = [told.one, told.other];
    const row = (name: string, of: (s: NonNullable<SideTold['strength']>) => string): Row => ({
      name,
      one: a.strength ? of(a.strength) : 'not known',
      other: b.strength ? of(b.strength) : 'not known',
    });
    return [
      row('Rings at', (s) => this.say(figure('frequency', s.frequency))),
      row('Sags', (s) => this.say(figure('length', s.sag))),
      row('Turns in a walk, by bending', (s) => this.say(figure('angle', s.walk, TURN_DIGITS))),
      row('Weakest piece, of what it should bear', (s) =>
        s.reserve > MANY ? `over ${MANY} times` : `${this.say(figure('count', s.reserve, 1))} times`,
      ),
      row('Joint nearest to giving', (s) => `${this.say(figure('percent', s.joined, 0))} of what it holds`),
      row('Mass', (s) => this.say(figure('mass', s.mass))),
      row('Cost from an empty bin', (s) => this.say(figure('money', s.cost))),
      ...a.balance.flatMap((g): readonly Row[] => {
        const same = b.balance.find((o) => o.name === g.name);
        return same ? [{ name: g.name, one: this.gauge(g), other: this.gauge(same) }] : [];
      }),
      {
        name: 'To stop at or mend',
        one: a.faults.length === 0 ? 'nothing' : String(a.faults.length),
        other: b.faults.length === 0 ? 'nothing' : String(b.faults.length),
      },
    ];
  });

  protected pick(which: string): void {
    const [kind, id] = which.split(' ');
    if (kind === 'rig') {
      const rig = this.rigs().find((r) => r.id === id);
      this.set(rig ? { rig, name: rig.name } : null);
    } else if (kind === 'past') void this.pickPast(Number(id));
    else this.set(null);
  }

  protected seek(): void {
    this.sought.set(true);
    firstValueFrom(this.api.past('rig', this.bench().rig.id)).then(
      (list) => {
        this.past.set(list);
        this.fault.set(list.length === 0 ? 'There is no earlier save of this yet.' : '');
      },
      (error: Error) => {
        this.sought.set(false);
        this.fault.set(`They could not be fetched: ${error.message}`);
      },
    );
  }

  private async pickPast(revision: number): Promise<void> {
    try {
      const { body } = await firstValueFrom(this.api.onePast('rig', this.bench().rig.id, revision));
      this.set(body ? { rig: body as RigDocument, name: 'as it was saved' } : null);
    } catch (error) {
      this.fault.set(`It could not be fetched: ${(error as Error).message}`);
    }
  }

  private set(other: { readonly rig: RigDocument; readonly name: string } | null): void {
    this.fault.set('');
    this.other.set(other);
    if (!other) return;
    const { rig, loadout, values } = this.bench();
    const one: Side = { rig, loadout, values, joints: jointsKnown(this.log(), rig.id) };
    this.asked.ask((tell) => this.jobs.run('beside', { one, other: this.sideOf(other.rig), kit: this.kit() }, tell));
  }

  private sideOf(rig: RigDocument): Side {
    return {
      rig,
      loadout: this.loadouts().find((l) => l.id === rig.loadout) ?? null,
      values: this.setups().find((s) => s.rig === rig.id && s.loadout === (rig.loadout ?? 'bare'))?.values ?? {},
      joints: jointsKnown(this.log(), rig.id),
    };
  }

  protected rings({ alone }: Differs): string {
    return alone ? this.say(figure('frequency', alone.frequency)) : 'cannot be made so';
  }

  protected weighs({ alone }: Differs): string {
    const now = this.told()?.one.strength;
    return alone && now ? this.more('mass', alone.mass - now.mass) : '–';
  }

  protected costs({ alone }: Differs): string {
    const now = this.told()?.one.strength;
    return alone && now ? this.more('cost', alone.cost - now.cost) : '–';
  }

  private more(of: keyof typeof LEAST, by: number): string {
    if (Math.abs(by) < LEAST[of]) return 'as much';
    return `${this.say(figure(of === 'mass' ? 'mass' : 'money', Math.abs(by)))} ${by > 0 ? 'more' : 'less'}`;
  }

  private say(f: Parameters<typeof render>[0][number]): string {
    return render([f], this.units());
  }

  private gauge({ figure: told, rest }: SideTold['balance'][number]): string {
    return `${render(told, this.units())} ${render(rest, this.units())}`.trim();
  }
}
/** So many times what it should bear is told as over it. */
const MANY = 30;
