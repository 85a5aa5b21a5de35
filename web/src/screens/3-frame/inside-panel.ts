/** Does everything have room? Looked at by the true solids of all pieces, once edits pause; what stands inside another is said, and lit. */
import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { insideAnother } from '@tide-pebble/core';
import { filter, map, switchMap } from 'rxjs';
import { Pointer } from '../../services/pointer';
import { Solids } from '../../services/solids';
import { Units } from '../../services/units';
import type { Bench } from '../../services/workspace';
import { SayPipe } from '../../ui/figures/figures.pipe';
import { settled } from '../../ui/timing/settled';

@Component({
  selector: 'tp-inside-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SayPipe],
  template: `
    <h2>Room for everything</h2>
    <p role="status" [class.wrong]="isWrong()">{{ says() }}</p>
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
