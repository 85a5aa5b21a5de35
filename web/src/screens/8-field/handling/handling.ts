/** Pack it and set it up: what goes into the bag, what it takes by the maker's own watch, and what would spare most. */
import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import {
  breakDown,
  figure,
  fitsBag,
  NOTHING_SEEN,
  placeItems,
  say,
  type KitItem,
  type Phrase,
} from '@tide-pebble/core';
import { handlingSteps, handlingTools, timingsOf, type Handling } from '@tide-pebble/core/making';
import { injectBench } from '../../../services/bench-signal';
import { Documents } from '../../../services/keeping/documents';
import { newReading } from '../../../services/new-reading';
import { Notices } from '../../../services/notices';
import { Splits } from '../../../services/splits';
import { Units } from '../../../services/units';
import { Workspace } from '../../../services/workspace';
import { FigurePipe, SayPipe } from '../../../ui/figures/figures.pipe';
import { NoBench } from '../../../ui/no-bench';

const TICKS = 'tide-pebble.packed';
const KEPT = 400;
const NO_KIT: ReadonlyMap<string, KitItem> = new Map();
/** Smaller things go in a tin, m. */
const IN_A_TIN = 0.04;
/** The watch is looked at so often, ms. */
const LOOKS_MS = 500;

@Component({
  selector: 'tp-handling',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, RouterLink, NoBench, FigurePipe, SayPipe],
  templateUrl: './handling.html',
  styleUrls: ['../column.css', './handling.css'],
})
export class PackAndSetUp {
  private readonly documents = inject(Documents);
  private readonly notices = inject(Notices);
  private readonly workspace = inject(Workspace);
  protected readonly units = inject(Units).now;
  protected readonly bench = injectBench();
  private readonly log = toSignal(this.workspace.log$, { initialValue: [] });
  private readonly kit = toSignal(this.workspace.kit$, { initialValue: NO_KIT });
  protected readonly splits = new Splits();

  protected readonly ways = [
    { what: 'setUp', name: 'Setting it up' },
    { what: 'breakDown', name: 'Breaking it down' },
  ] as const satisfies readonly { what: Handling; name: string }[];
  protected readonly what = signal<Handling>('setUp');

  private readonly packed = computed(() => {
    const bench = this.bench();
    return bench ? breakDown(bench.work.rig, bench.values) : null;
  });
  /** What is mounted goes along; it is packed beside the rig or in a bag of its own. */
  private readonly load = computed(() => {
    const bench = this.bench();
    if (!bench?.loadout) return [];
    return placeItems(bench.loadout, this.kit()).items.map(({ entry, item }) => ({
      id: `load/${entry.id}`,
      name: item.name,
      box: [...item.size].sort((a, b) => b - a) as unknown as readonly [number, number, number],
      mass: item.mass?.value ?? 0,
    }));
  });
  private readonly steps = computed(() => {
    const bench = this.bench();
    return bench ? handlingSteps(bench.judged.context, bench.loadout, this.what()) : [];
  });
  private readonly ticks = signal<readonly string[]>(ticked());
  protected readonly list = computed(() => {
    const packed = this.packed();
    const bench = this.bench();
    if (!packed || !bench) return [];
    const length = (box: readonly number[]): Phrase =>
      box.flatMap((b, i) => [...(i > 0 ? [' × '] : []), figure('length', b, 0)]);
    const large = packed.pieces.filter((p) => p.box[0] > IN_A_TIN);
    const small = packed.pieces.length - large.length;
    const both = (up: Handling) => handlingSteps(bench.judged.context, bench.loadout, up);
    const tools = handlingTools([...both('setUp'), ...both('breakDown')]);
    const lines = [
      ...large.map((p) => ({ id: p.ids.join(' '), name: p.name, beside: length(p.box) })),
      ...(small > 0
        ? [{ id: 'tin', name: 'A tin for small pieces', beside: say`${figure('count', small, 0)} of them` }]
        : []),
      ...this.load().map((l) => ({ id: l.id, name: l.name, beside: length(l.box) })),
      ...tools.map((t) => ({ id: `tool/${t}`, name: t, beside: [] as Phrase })),
      ...(packed.opens.length > 0
        ? [
            {
              id: 'spares',
              name: 'Spares',
              beside: [`a nut and a washer more of each kind that is opened: small things get lost in grass`] as Phrase,
            },
          ]
        : []),
    ];
    return lines.map((l) => {
      const tick = `${bench.rig.id} ${l.id}`;
      return { ...l, tick, isPacked: this.ticks().includes(tick) };
    });
  });
  protected readonly left = computed(() => this.list().filter((l) => !l.isPacked).length);
  protected readonly fit = computed((): { readonly fits: boolean; readonly says: Phrase } | null => {
    const bag = this.bench()?.rig.wants.bag;
    const packed = this.packed();
    if (!bag || !packed) return null;
    const alone = fitsBag(packed.pieces, bag);
    if (!alone.fits) {
      const [worst] = [...alone.tooLong].sort((a, b) => b.by - a.by);
      return {
        fits: false,
        says: worst
          ? say`It does not go in its bag: the piece with the ${worst.piece.name} is too large by ${figure('length', worst.by, 0)}.`
          : say`It does not go in its bag: its pieces fill more than the bag.`,
      };
    }
    const all = fitsBag([...packed.pieces, ...this.load().map((l) => ({ ...l, ids: [l.id] }))], bag);
    return {
      fits: true,
      says: all.fits
        ? say`Piece by piece it goes in its bag, with what is mounted too. That all of it lies side by side is for you to try.`
        : say`Piece by piece it goes in its bag; what is mounted wants a bag of its own.`,
    };
  });

  private readonly of = computed(() => {
    const bench = this.bench();
    return bench ? [bench.rig.id, bench.loadout?.id ?? '', this.what()].join(' ') : '';
  });
  /** The step at hand while it is timed. */
  protected readonly timing = computed(() => {
    const done = this.splits.done(this.of());
    const steps = this.steps();
    const step = done === null ? undefined : steps[done];
    return step ? { step, number: done! + 1, of: steps.length, next: steps[done! + 1]?.name ?? null } : null;
  });
  private readonly clock = signal(Date.now());
  protected readonly elapsed = computed(() => {
    const since = this.splits.since(this.of());
    return since === null ? 0 : Math.max(0, this.clock() - since) / 1000;
  });
  protected readonly took = computed(() => {
    const bench = this.bench();
    if (!bench) return null;
    const own = this.log().filter((e) => e.rig === bench.rig.id && (e.loadout ?? null) === (bench.loadout?.id ?? null));
    return timingsOf(own, this.what(), this.steps());
  });
  protected readonly reckoned = computed(() => {
    const packed = this.packed();
    return packed ? 60 * Math.round(this.what() === 'setUp' ? packed.setUpMinutes : packed.packMinutes) : null;
  });
  /** Broken down, they are the same steps the other way round. */
  protected readonly plan = computed(() => this.steps().map(({ id, name, tool }) => ({ id, name, tool })));

  constructor() {
    const ticking = setInterval(() => {
      if (this.timing()) this.clock.set(Date.now());
    }, LOOKS_MS);
    inject(DestroyRef).onDestroy(() => clearInterval(ticking));
  }

  protected tick(tick: string, isPacked: boolean): void {
    const others = this.ticks().filter((t) => t !== tick);
    this.hold(isPacked ? [...others, tick] : others);
  }

  protected unpack(): void {
    const own = new Set(this.list().map((l) => l.tick));
    this.hold(this.ticks().filter((t) => !own.has(t)));
  }

  protected start(): void {
    this.clock.set(Date.now());
    this.splits.start(this.of());
  }

  protected stepDone(): void {
    const bench = this.bench();
    const at = this.timing();
    if (!bench || !at) return;
    this.splits.mark();
    this.clock.set(Date.now());
    if (at.number < at.of) return;
    const seconds = this.splits.end();
    const steps = this.steps();
    const entry = newReading(bench, null, NOTHING_SEEN, {
      timed: {
        what: this.what(),
        splits: steps.map(({ id, name }, i) => ({ step: id, name, seconds: seconds[i] ?? 0 })),
      },
    });
    this.documents.commit('a timing', [{ kind: 'log', id: entry.id, body: entry }]);
    this.notices.sayWithUndo('The timing is in the log.');
  }

  private hold(ticks: readonly string[]): void {
    this.ticks.set(ticks.slice(-KEPT));
    localStorage.setItem(TICKS, JSON.stringify(this.ticks()));
  }
}

function ticked(): readonly string[] {
  try {
    const read: unknown = JSON.parse(localStorage.getItem(TICKS) ?? '[]');
    return Array.isArray(read) ? read.filter((t) => typeof t === 'string') : [];
  } catch {
    return [];
  }
}
