/** A flick noted: the frequency heard, or swings counted on film; what it says is worked out by a worker and kept with the reading. */
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  output,
  untracked,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { figure, jointsKnown, say, type LogEntry, type Ringing } from '@tide-pebble/core';
import type { FlickTold } from '@tide-pebble/core/strength';
import { Asked, sameParts } from '../services/asked';
import { injectBench } from '../services/bench-signal';
import { Jobs } from '../services/jobs';
import { Pointer } from '../services/pointer';
import { Units } from '../services/units';
import { Workspace } from '../services/workspace';
import { QuantityField } from './figures/quantity-field';
import { SayPipe } from './figures/figures.pipe';

type Seen = LogEntry['seen'];
type Film = Extract<Ringing['read'], { by: 'film' }>;
const WAYS = [
  { id: 'nods', name: 'it nods' },
  { id: 'pans', name: 'it pans' },
  { id: 'rolls', name: 'it rolls' },
] as const;
const DYING = [
  { id: 'even', name: 'it keeps its pace' },
  { id: 'slower', name: 'it slows down' },
  { id: 'quicker', name: 'it quickens' },
] as const;
const USUAL_FILM: Film = { by: 'film', frameRate: 240, swings: 10, frames: 240 };

@Component({
  selector: 'tp-flick-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [QuantityField, SayPipe],
  template: `
    <h2 class="head">Flick it</h2>
    <p class="note">
      Clamp the grip in a vice with rags, wedge its joint so that it cannot turn, and flick the camera with a finger.
      Read the note off a tuner or a vibration app, or film it in slow motion and count whole swings.
    </p>
    <tp-quantity-field
      label="Rings at, Hz"
      kind="number"
      [value]="ear()"
      [range]="[0.2, 500]"
      [optional]="true"
      (changed)="read({ by: 'ear', frequency: $event.value })"
      (cleared)="clear()"
    />
    <tp-quantity-field
      label="Or on film: whole swings"
      kind="count"
      [value]="film()?.swings ?? null"
      [range]="[1, 1000]"
      [optional]="true"
      (changed)="count({ swings: $event.value })"
      (cleared)="clear()"
    />
    @if (film(); as f) {
      <tp-quantity-field
        label="over so many frames"
        kind="count"
        [value]="f.frames"
        [range]="[1, 1000000]"
        (changed)="count({ frames: $event.value })"
      />
      <tp-quantity-field
        label="at frames a second"
        kind="number"
        [value]="f.frameRate"
        [range]="[10, 10000]"
        (changed)="count({ frameRate: $event.value })"
      />
    }
    @if (felt(); as words) {
      <p role="status">
        {{ words | say: units() }} <button type="button" class="tool" (click)="clear()">Take it out</button>
      </p>
    }
    @if (rings(); as r) {
      <label class="pick"
        >The picture
        <select (change)="add({ way: $any($event.target).value || undefined })">
          <option value="" [selected]="!r.way">not seen</option>
          @for (w of ways; track w.id) {
            <option [value]="w.id" [selected]="r.way === w.id">{{ w.name }}</option>
          }
        </select>
      </label>
      <label class="pick"
        >As it dies away
        <select (change)="add({ dies: $any($event.target).value || undefined })">
          <option value="" [selected]="!r.dies">not heard</option>
          @for (d of dying; track d.id) {
            <option [value]="d.id" [selected]="r.dies === d.id">{{ d.name }}</option>
          }
        </select>
      </label>
      <div role="status">
        @for (line of says(); track $index) {
          <p
            [class.lit]="line.about !== null && pointer.at() === line.about"
            (mouseenter)="pointer.point(line.about)"
            (mouseleave)="pointer.point(null)"
          >
            {{ line.words | say: units() }}
          </p>
        }
        @if (asked.reason()) {
          <p class="wrong">{{ asked.reason() }}</p>
        }
      </div>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .pick {
      display: flex;
      justify-content: space-between;
      align-items: center;
      gap: var(--space-3);
      padding: var(--space-1) 0;
    }
    .lit {
      background: var(--pool);
    }
  `,
})
export class FlickSheet {
  private readonly jobs = inject(Jobs);
  private readonly bench = injectBench();
  private readonly log = toSignal(inject(Workspace).log$, { initialValue: [] });
  protected readonly pointer = inject(Pointer);
  protected readonly units = inject(Units).now;
  protected readonly ways = WAYS;
  protected readonly dying = DYING;

  readonly seen = input.required<Seen>();
  readonly noted = output<Seen>();

  protected readonly rings = computed(() => this.seen().rings ?? null);
  protected readonly ear = computed(() => {
    const read = this.rings()?.read;
    return read?.by === 'ear' ? read.frequency : null;
  });
  protected readonly film = computed(() => {
    const read = this.rings()?.read;
    return read?.by === 'film' ? read : null;
  });
  /** Read by the phone. */
  protected readonly felt = computed(() => {
    const read = this.rings()?.read;
    return read?.by === 'phone'
      ? say`Felt by the phone: ${figure('frequency', read.frequency, 2)}, ± ${figure('frequency', 2 * read.spread, 2)}.`
      : null;
  });
  private readonly given = computed(
    () => {
      const bench = this.bench();
      const rings = this.rings();
      return [
        bench?.work.assembly,
        bench?.values,
        bench?.rig.id,
        this.log(),
        rings?.read,
        rings?.way,
        rings?.dies,
      ] as const;
    },
    { equal: sameParts },
  );
  protected readonly asked = new Asked<FlickTold>(this.given);
  protected readonly says = computed(() => this.asked.found()?.says ?? []);

  constructor() {
    effect(() => {
      this.given();
      untracked(() => this.ask());
    });
    inject(DestroyRef).onDestroy(() => this.pointer.point(null));
  }

  protected read(read: Ringing['read']): void {
    const { way, dies } = this.rings() ?? {};
    this.note({ read, ...(way ? { way } : {}), ...(dies ? { dies } : {}) });
  }

  protected count(part: Partial<Film>): void {
    this.read({ ...(this.film() ?? USUAL_FILM), ...part });
  }

  protected add(part: { readonly way?: Ringing['way']; readonly dies?: Ringing['dies'] }): void {
    const rings = this.rings();
    if (!rings) return;
    const { way, dies } = { way: rings.way, dies: rings.dies, ...part };
    this.note({ read: rings.read, ...(way ? { way } : {}), ...(dies ? { dies } : {}) });
  }

  protected clear(): void {
    const { rings: _, ...seen } = this.seen();
    this.noted.emit(seen);
  }

  private note(rings: Ringing): void {
    this.noted.emit({ ...this.seen(), rings });
  }

  /** What it says of the joints goes along with the reading. */
  private ask(): void {
    const bench = this.bench();
    const rings = this.rings();
    if (!bench || !rings) return;
    const { assembly } = bench.work;
    const joints = jointsKnown(this.log(), bench.rig.id);
    this.asked.ask(
      () => this.jobs.run('flick', { assembly, values: bench.values, joints, rings }),
      (told) => this.note({ ...rings, joints: [...told.joints] }),
    );
  }
}
