/**
 * Does everything have room? Looked at by the true solids of all pieces, once edits pause; what stands inside another is said, and
 * lit. While something is dragged, boxes and rounds tell at once what it comes into.
 */
import { ChangeDetectionStrategy, Component, computed, effect, inject, input, linkedSignal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { insideAnother, pairOf, pieceNames, quickPairs, type PairKey } from '@tide-pebble/core';
import { filter, map, switchMap } from 'rxjs';
import { Pointer } from '../../services/pointer';
import { Solids } from '../../services/solids';
import { Units } from '../../services/units';
import type { Bench } from '../../services/workspace';
import { SayPipe } from '../../ui/figures/figures.pipe';
import { settled } from '../../ui/timing/settled';

/** More at once are one thing that has gone wrong. */
const SHOWN = 4;

@Component({
  selector: 'tp-inside-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SayPipe],
  template: `
    <h2>Room for everything</h2>
    <p role="status" [class.wrong]="isWrong()">{{ says() }}</p>
    @if (coming().length > 0) {
      <ul class="plain-list" aria-label="Coming into each other">
        @for (c of coming(); track c.pieces.join()) {
          <li>
            <strong>The {{ c.names[0] }} comes into the {{ c.names[1] }}.</strong>
            <span class="note">By their boxes and rounds; their true shapes are looked at when you let go.</span>
          </li>
        }
      </ul>
    }
    <ul class="plain-list">
      @for (f of found(); track f.pieces.join()) {
        <li
          [class.lit]="pointer.at() === f.pieces[0] || pointer.at() === f.pieces[1]"
          (mouseenter)="pointer.point(f.pieces[0])"
          (mouseleave)="pointer.point(null)"
        >
          <strong>{{ f.title | say: units() }}</strong>
          <span class="note">{{ f.why | say: units() }} {{ f.toDo | say: units() }}</span>
        </li>
      }
    </ul>
  `,
  styles: `
    h2 {
      margin: var(--space-4) 0 var(--space-1);
    }
    li {
      display: grid;
      padding: 3px 6px;
      border-bottom: var(--line) solid var(--sand-line);
    }
    li.lit {
      background: var(--tint-pale);
    }
  `,
})
export class InsidePanel {
  private readonly solids = inject(Solids);
  protected readonly pointer = inject(Pointer);
  protected readonly units = inject(Units).now;
  readonly bench = input.required<Bench>();

  private readonly still = settled(this.bench);
  private readonly answer = toSignal(
    toObservable(this.still).pipe(
      filter((bench) => bench !== null),
      switchMap((bench) => this.solids.look(bench.work.assembly, bench.values).pipe(map((look) => ({ bench, look })))),
    ),
    { initialValue: null },
  );
  /** Of the rig as it stands now; of one before it nothing is said. */
  private readonly look = computed(() => {
    const answer = this.answer();
    return answer?.bench === this.bench() ? answer.look : null;
  });
  protected readonly found = computed(() => {
    const look = this.look();
    return look?.kind === 'looked' ? insideAnother(look.looked, this.bench().work.rig) : [];
  });
  /** As it stood when it was last looked at: what reached into what by boxes and rounds, right or not. */
  private readonly before = linkedSignal<Bench | null, ReadonlySet<PairKey> | null>({
    source: () => (this.look()?.kind === 'looked' ? this.bench() : null),
    computation: (bench, previous) =>
      bench ? quickPairs(bench.work.rig, bench.judged.evaluation.pieces) : (previous?.value ?? null),
  });
  /** Till the next look: pairs that were apart then. */
  protected readonly coming = computed(() => {
    const [before, { work, judged }] = [this.before(), this.bench()];
    if (!before || this.look()?.kind === 'looked') return [];
    const named = pieceNames(work.rig);
    return [...quickPairs(work.rig, judged.evaluation.pieces)]
      .filter((key) => !before.has(key))
      .slice(0, SHOWN)
      .map((key) => {
        const pieces = pairOf(key);
        return { pieces, names: pieces.map((id) => named.get(id) ?? 'piece') };
      });
  });
  constructor() {
    effect(() => {
      if (this.look()?.kind === 'looked') this.solids.found(this.bench().work.assembly, this.found().length);
    });
  }

  protected readonly isWrong = computed(() => this.found().length > 0 || this.look()?.kind === 'failed');
  protected readonly says = computed(() => {
    const look = this.look();
    if (look?.kind === 'failed')
      return `It could not be looked at: ${look.reason}. Nothing is known of it; the next change tries again.`;
    if (look?.kind !== 'looked')
      return `Looking whether anything stands inside another${look && look.part > 0 ? `: ${Math.round(100 * look.part)} %` : ''}…`;
    const { pieces, clear, overlaps } = look.looked;
    const pairs = clear.length + overlaps.length;
    const looked = `${pieces} pieces; ${pairs === 1 ? 'the one pair that comes' : `the ${pairs} pairs that come`} near each other ${pairs === 1 ? 'was' : 'were'} cut with each other.`;
    const wrong = this.found().length;
    return wrong === 0
      ? `Nothing stands inside another. ${looked}`
      : `${wrong === 1 ? 'One pair has' : `${wrong} pairs have`} no room beside each other. ${looked}`;
  });
}
