/** The rig as it was made beside the drawing: what it does to the balance, and what to do about it, each in a click. */
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { designRig, type Rig } from '@tide-pebble/core';
import { madeWords, moveWords, type WhatNow } from '@tide-pebble/core/making';
import { catchError, distinctUntilChanged, map, of, startWith, switchMap, type Observable } from 'rxjs';
import { Jobs } from '../../services/jobs';
import { Units } from '../../services/units';
import { Workspace, type Bench } from '../../services/workspace';
import { FigurePipe, SayPipe } from '../../ui/figures/figures.pipe';

type Told =
  | { readonly kind: 'working' }
  | { readonly kind: 'failed'; readonly reason: string }
  | { readonly kind: 'told'; readonly now: WhatNow };
const WORKING: Told = { kind: 'working' };

@Component({
  selector: 'tp-made-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, FigurePipe, SayPipe],
  templateUrl: './made-panel.html',
  styleUrl: './made-panel.css',
})
export class MadePanel {
  private readonly workspace = inject(Workspace);
  private readonly jobs = inject(Jobs);
  private readonly kit = toSignal(this.workspace.kit$, { requireSync: true });
  protected readonly units = inject(Units).now;
  readonly bench = input.required<Bench>();

  private readonly drawn = computed((): Rig => {
    const { rig, work } = this.bench();
    const drawn = designRig(rig.design);
    return drawn.ok ? drawn.rig : work.rig;
  });
  protected readonly entries = computed(() =>
    (this.bench().rig.made ?? []).map((entry) => ({ entry, words: madeWords(entry, this.drawn()) })),
  );

  private readonly asked = computed(
    () => {
      const { rig, loadout, values } = this.bench();
      return { rig, loadout, values, kit: this.kit() };
    },
    {
      equal: (a, b) =>
        a.rig.design === b.rig.design &&
        a.rig.made === b.rig.made &&
        a.rig.wants === b.rig.wants &&
        a.loadout === b.loadout &&
        a.values === b.values &&
        a.kit === b.kit,
    },
  );
  protected readonly told = toSignal(
    toObservable(this.asked).pipe(
      distinctUntilChanged(),
      switchMap((asked): Observable<Told> =>
        this.jobs.run('whatNow', asked).pipe(
          map((answer): Told => answer),
          catchError((fault: Error) => of<Told>({ kind: 'failed', reason: fault.message })),
          startWith(WORKING),
        ),
      ),
    ),
    { initialValue: WORKING },
  );
  /** Readouts side by side, row by row. */
  protected readonly rows = computed(() => {
    const told = this.told();
    if (told.kind !== 'told') return [];
    const { drawn, made, then } = told.now;
    return made.map((now, i) => ({ name: now.name, drawn: drawn[i], made: now, then: then?.[i] }));
  });
  protected readonly moves = computed(() => {
    const told = this.told();
    return told.kind === 'told' ? told.now.moves.map((m) => ({ name: m.adjuster.name, words: moveWords(m) })) : [];
  });

  protected drill({ member, hole, along }: NonNullable<WhatNow['hole']>): void {
    this.workspace.editRig('where the last hole goes', (rig) => ({
      ...rig,
      made: [
        ...(rig.made ?? []).filter((e) => e.kind !== 'hole' || e.hole !== hole),
        { kind: 'hole', member, hole, along },
      ],
    }));
  }
  protected set({ values }: WhatNow): void {
    this.workspace.setAdjusters('setting it as it was made', values);
  }
  protected cutAlike({ member, length }: WhatNow['fellows'][number]): void {
    this.workspace.editRig('cutting its fellow the same', (rig) => ({
      ...rig,
      made: [...(rig.made ?? []), { kind: 'length', member, length }],
    }));
  }
  /** What was measured on the piece is forgotten, and its steps wait to be done again. */
  protected again({ of: { member } }: WhatNow['again'][number]): void {
    // What was sawn is gone: its next one is cut from what is left.
    this.workspace.editRig('making a piece again', (rig) => ({
      ...rig,
      made: (rig.made ?? []).filter((e) => e.member !== member),
      done: Object.fromEntries(Object.entries(rig.done).filter(([step]) => !isStepOf(step, member))),
      ...(rig.taken ? { taken: rig.taken.filter((t) => !t.pieces.includes(member)) } : {}),
    }));
  }
}

/** Steps name what they work on after their kind: “cut:leg”, “drill:leg/hole/bolt”. */
const isStepOf = (step: string, member: string): boolean => {
  const piece = step.slice(step.indexOf(':') + 1);
  return piece === member || piece.startsWith(`${member}/`) || piece.startsWith(`${member}:`);
};
