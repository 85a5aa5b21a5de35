/** How to carry it: habits in this rig's own figures, drills and their measure; and how long it can be held, by the maker's own watch. */
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { RouterLink } from '@angular/router';
import { toSignal } from '@angular/core/rxjs-interop';
import { designedOf, fromTo, NOTHING_SEEN, readingsOf, withSeen, type KitItem, type Phrase } from '@tide-pebble/core';
import type { GuideTold } from '@tide-pebble/core/making';
import { Asked, sameParts } from '../../../services/asked';
import { injectBench } from '../../../services/bench-signal';
import { Documents } from '../../../services/keeping/documents';
import { Jobs } from '../../../services/jobs';
import { newReading } from '../../../services/new-reading';
import { Notices } from '../../../services/notices';
import { Splits } from '../../../services/splits';
import { Units } from '../../../services/units';
import { Workspace } from '../../../services/workspace';
import { FigurePipe, SayPipe } from '../../../ui/figures/figures.pipe';
import { NoBench } from '../../../ui/no-bench';

const NO_KIT: ReadonlyMap<string, KitItem> = new Map();
/** The watch is looked at so often, ms. */
const LOOKS_MS = 500;

const inWords = (e: { readonly least: number; readonly most: number } | null): Phrase =>
  e ? ['Expected ', ...fromTo('time', e.least, e.most, 0), '.'] : ['An hour and more, or not known.'];

@Component({
  selector: 'tp-carry',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatProgressBar, RouterLink, NoBench, FigurePipe, SayPipe],
  templateUrl: './carry.html',
  styleUrls: ['../column.css', './carry.css'],
})
export class CarryIt {
  private readonly documents = inject(Documents);
  private readonly notices = inject(Notices);
  private readonly jobs = inject(Jobs);
  protected readonly units = inject(Units).now;
  protected readonly bench = injectBench();
  private readonly kit = toSignal(inject(Workspace).kit$, { initialValue: NO_KIT });
  private readonly splits = new Splits();

  private readonly given = computed(() => [this.bench(), this.kit()] as const, { equal: sameParts });
  protected readonly guides = new Asked<readonly GuideTold[]>(this.given);

  /** Poses whose hold can be timed. */
  protected readonly holds = computed(() => {
    const bench = this.bench();
    return bench
      ? readingsOf(bench.work.rig, bench.judged.evaluation)
          .filter((r) => r.kind === 'heldFor')
          .map((reading) => ({
            reading,
            of: `hold ${bench.rig.id} ${reading.about ?? ''}`,
            expected: inWords(reading.expects(bench.judged.context)),
          }))
      : [];
  });
  private readonly clock = signal(Date.now());

  constructor() {
    effect(() => {
      const [bench, kit] = this.given();
      if (!bench) return;
      const { rig, loadout, values } = bench;
      untracked(() =>
        this.guides.ask(() =>
          this.jobs.run('carry', { rig: { ...designedOf(rig), wants: rig.wants }, loadout, kit, values }),
        ),
      );
    });
    const ticking = setInterval(() => {
      if (this.holds().some((h) => this.splits.since(h.of) !== null)) this.clock.set(Date.now());
    }, LOOKS_MS);
    inject(DestroyRef).onDestroy(() => clearInterval(ticking));
  }

  /** s; null where it is not timed now. */
  protected elapsed(of: string): number | null {
    const since = this.splits.since(of);
    return since === null ? null : Math.max(0, this.clock() - since) / 1000;
  }

  protected start(of: string): void {
    this.clock.set(Date.now());
    this.splits.start(of);
  }

  protected leave(): void {
    this.splits.leave();
  }

  protected letGo({ reading }: ReturnType<CarryIt['holds']>[number]): void {
    const bench = this.bench();
    if (!bench) return;
    this.splits.mark();
    const [seconds = 0] = this.splits.end();
    const [least, most] = reading.range;
    if (seconds < least || seconds > most) return this.notices.say('That was too short to tell anything: not kept.');
    const entry = newReading(bench, null, withSeen(NOTHING_SEEN, reading, Math.round(seconds)), {});
    this.documents.commit('a hold', [{ kind: 'log', id: entry.id, body: entry }]);
    this.notices.sayWithUndo('How long it was held is in the log.');
  }
}
