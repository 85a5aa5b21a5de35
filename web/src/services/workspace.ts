/** The rig on the bench with its loadout and set-up, and every figure derived from them. What is only kept, and which rig it is, has its own place. */
import { inject, Injectable } from '@angular/core';
import {
  changedDesign,
  edit as editSchema,
  changedLoadout,
  freed,
  judged,
  ownName,
  withChosenSizes,
  withEdit,
  withoutWeight,
  workpiece,
  type AdjusterValues,
  type BinItem,
  type Taken,
  type Change,
  type Design,
  type Edit,
  type Judged,
  type Loadout,
  type OwnSize,
  type Quantity,
  type RigDocument,
  type SetUp,
  type Workpiece,
} from '@tide-pebble/core';
import type { StockPlan } from '@tide-pebble/core/making';
import {
  catchError,
  combineLatest,
  debounceTime,
  distinctUntilChanged,
  map,
  of,
  startWith,
  switchMap,
  type Observable,
} from 'rxjs';
import { keep, Kept } from './kept';
import { Documents } from './keeping/documents';
import { Notices } from './notices';
import { Jobs } from './jobs';

export interface Bench {
  readonly rig: RigDocument;
  readonly loadout: Loadout | null;
  readonly setup: SetUp | null;
  readonly values: AdjusterValues;
  readonly work: Workpiece;
  readonly judged: Judged;
}
export type BenchState =
  | { readonly kind: 'none' }
  | { readonly kind: 'broken'; readonly rig: RigDocument; readonly reason: string }
  | { readonly kind: 'ready'; readonly bench: Bench };

export interface StockNow {
  readonly plan: StockPlan | null;
  readonly isLate: boolean;
}
/** All that what to cut and buy depends on. */
interface ToStock {
  readonly of: string;
  readonly work: Workpiece;
  readonly values: AdjusterValues;
  readonly kerf: number;
  readonly bin: readonly BinItem[];
  readonly taken: readonly Taken[] | undefined;
}
const TO_STOCK = ['of', 'work', 'values', 'kerf', 'bin', 'taken'] as const;

const NO_VALUES: AdjusterValues = {};
/** A drag makes many edits a second; the cut plan waits for the last of them, else it would only be begun and given up. */
const STOCK_AFTER_MS = 300;

@Injectable({ providedIn: 'root' })
export class Workspace {
  private readonly documents = inject(Documents);
  private readonly jobs = inject(Jobs);
  private readonly notices = inject(Notices);
  private readonly kept = inject(Kept);
  readonly rigs$ = this.kept.rigs$;
  readonly kit$ = this.kept.kit$;
  readonly loadouts$ = this.kept.loadouts$;
  readonly setups$ = this.kept.setups$;
  readonly bin$ = this.kept.bin$;
  readonly sizes$ = this.kept.sizes$;
  readonly log$ = this.kept.log$;
  readonly walks$ = this.kept.walks$;
  readonly rig$ = this.kept.rig$;
  readonly loadout$ = this.kept.loadout$;
  readonly setup$ = this.kept.setup$;

  private readonly work$ = combineLatest([
    this.rig$.pipe(
      distinctUntilChanged(
        (a, b) =>
          a?.design === b?.design &&
          a?.made === b?.made &&
          a?.hands === b?.hands &&
          (a?.taken === b?.taken || !a?.wants.onlyBin) &&
          a?.wants.onlyBin === b?.wants.onlyBin,
      ),
    ),
    this.loadout$,
    this.kit$,
    this.bin$,
  ]).pipe(
    // What is in the bin changes nothing for a rig that may take any washers.
    distinctUntilChanged((a, b) => a.every((v, i) => v === b[i] || (i === 3 && !b[0]?.wants.onlyBin))),
    map(([rig, loadout, kit, bin]) => (rig ? guarded(() => workpiece(rig, loadout, kit, bin)) : null)),
    keep(),
  );

  readonly bench$: Observable<BenchState> = combineLatest([this.rig$, this.loadout$, this.setup$, this.work$]).pipe(
    map(([rig, loadout, setup, made]): BenchState => {
      if (!rig || !made) return { kind: 'none' };
      if (!made.ok) return { kind: 'broken', rig, reason: made.reason };
      const values = setup?.values ?? NO_VALUES;
      const figures = guarded(() => ({ ok: true as const, judged: judged(made.work, values, rig.wants) }));
      return figures.ok
        ? { kind: 'ready', bench: { rig, loadout, setup, values, work: made.work, judged: figures.judged } }
        : { kind: 'broken', rig, reason: figures.reason };
    }),
    keep(),
  );

  private readonly toStock$: Observable<ToStock | null> = combineLatest([this.bench$, this.bin$]).pipe(
    map(([state, bin]) =>
      state.kind === 'ready'
        ? {
            of: state.bench.rig.id,
            work: state.bench.work,
            values: state.bench.values,
            kerf: state.bench.rig.kerf,
            bin,
            taken: state.bench.rig.taken,
          }
        : null,
    ),
    // A step ticked off that takes nothing in hand changes nothing of what to cut and buy.
    distinctUntilChanged((a, b) => a === b || (a !== null && b !== null && TO_STOCK.every((k) => a[k] === b[k]))),
    keep(),
  );
  private readonly stocked$ = this.toStock$.pipe(
    debounceTime(STOCK_AFTER_MS),
    switchMap((asked) => this.stockOf(asked).pipe(map((plan) => ({ asked, plan })))),
    startWith({ asked: null, plan: null }),
    keep(),
  );
  /** What to cut and buy, and whether it is still that of the rig before its last change; null until the worker has answered for this rig. */
  readonly stockNow$: Observable<StockNow> = combineLatest([this.toStock$, this.stocked$]).pipe(
    map(([now, { asked, plan }]) => ({ plan: asked?.of === now?.of ? plan : null, isLate: asked !== now })),
    distinctUntilChanged((a, b) => a.plan === b.plan && a.isLate === b.isLate),
    keep(),
  );
  readonly stock$: Observable<StockPlan | null> = this.stockNow$.pipe(
    map(({ plan }) => plan),
    distinctUntilChanged(),
  );

  choose(rig: string): void {
    this.kept.choose(rig);
  }

  editRig(label: string, change: (rig: RigDocument) => RigDocument, merge: string | null = null): void {
    this.kept.editRig(label, change, merge);
  }

  setDimension(id: string, quantity: Quantity): void {
    this.editRig(
      `change of ${id}`,
      (rig) =>
        rig.design.kind === 'family'
          ? { ...rig, design: { ...rig.design, dimensions: { ...rig.design.dimensions, [id]: quantity } } }
          : rig,
      `dimension ${id}`,
    );
  }

  /** Changes of things on the rig, as one step. False when one finds nothing to act on; then none is kept. */
  edit(label: string, edits: Edit | readonly Edit[], merge: string | null = null): boolean {
    const rig = this.kept.rigNow();
    const design =
      rig && [edits].flat().reduce<Design | null>((made, edit) => made && withEdit(made, edit), rig.design);
    if (!rig || !design) return false;
    // A freed frame may have hundreds of members: when each change is sound and adds none, they are not all read again.
    const sound =
      rig.design.kind === 'free' &&
      [edits].flat().every((e) => !/^add/.test(e.kind) && editSchema.safeParse(e).success);
    this.documents.commit(label, [{ kind: 'rig', id: rig.id, body: { ...rig, design } }], merge, sound);
    return true;
  }

  forgetWeight(target: string): void {
    this.editRig('forgetting a weight', (rig) => ({ ...rig, design: withoutWeight(rig.design, target) }));
  }

  setChoice(id: string, value: string): void {
    this.editRig(`choice of ${id}`, (rig) => ({
      ...rig,
      design: this.chosen(rig.design, id, value, this.documents.all('size')),
    }));
  }

  /** A size of the maker's own is kept, chosen where it was asked for, and every rig that has it follows: one step. */
  keepSize(size: OwnSize, choice: string | null = null): void {
    const known = [...this.documents.all('size').filter((s) => s.id !== size.id), size];
    const rig = this.kept.rigNow();
    const uses = ({ design }: RigDocument): boolean =>
      design.kind === 'family' && (design.own?.some((o) => o.id === size.id) ?? false);
    const rigs = this.documents.all('rig').flatMap((r) => {
      const asks = choice !== null && r.id === rig?.id;
      if (!asks && !uses(r)) return [];
      const design = asks ? this.chosen(r.design, choice, size.id, known) : withChosenSizes(r.design, known);
      return [{ kind: 'rig' as const, id: r.id, body: { ...r, design } }];
    });
    this.documents.commit(`size “${ownName(size)}”`, [{ kind: 'size', id: size.id, body: size }, ...rigs]);
  }

  /** Rigs that have it keep it. */
  dropSize(size: OwnSize): void {
    this.documents.commit(`deleting the size “${ownName(size)}”`, [{ kind: 'size', id: size.id, body: null }]);
  }

  private chosen(design: Design, id: string, value: string, sizes: readonly OwnSize[]): Design {
    const changed = changedDesign(design, [{ kind: 'choice', id, value }], () => crypto.randomUUID());
    return withChosenSizes(changed, sizes);
  }

  /** From now on the rig is plain parts, and its family's dimensions are gone; one undo brings them back. */
  free(): void {
    this.editRig('freeing the rig from its family', (rig) => ({ ...rig, design: freed(rig.design) ?? rig.design }));
  }

  setAdjusters(
    label: string,
    values: AdjusterValues,
    merge: string | null = null,
    typed: Readonly<Record<string, string>> = {},
  ): void {
    const edit = this.setupWith(values, typed);
    if (edit) this.documents.commit(label, [{ kind: 'setup', id: edit.id, body: edit }], merge);
  }

  /** A fix, and wants let out with it: all in one undoable step. */
  apply(
    label: string,
    changes: readonly Change[],
    wants: Partial<RigDocument['wants']> | null = null,
    merge: string | null = null,
  ): void {
    const rig = this.kept.rigNow();
    if (!rig) {
      // Kit can be put in order before there is a rig.
      const loadouts = this.mounting(changes);
      if (loadouts.length > 0) this.documents.commit(label, loadouts);
      return;
    }
    const values = Object.fromEntries(changes.filter((c) => c.kind === 'adjuster').map((c) => [c.id, c.value]));
    const design = changedDesign(rig.design, changes, () => crypto.randomUUID());
    const setup = Object.keys(values).length > 0 ? this.setupWith(values) : null;
    this.documents.commit(
      label,
      [
        ...(design === rig.design && !wants
          ? []
          : [{ kind: 'rig' as const, id: rig.id, body: { ...rig, design, wants: { ...rig.wants, ...wants } } }]),
        ...(setup ? [{ kind: 'setup' as const, id: setup.id, body: setup }] : []),
        ...this.mounting(changes),
      ],
      merge,
    );
  }

  private stockOf(asked: ToStock | null): Observable<StockPlan | null> {
    if (!asked) return of(null);
    return this.jobs
      .run('stock', { rig: asked.work.rig, values: asked.values, bin: asked.bin, kerf: asked.kerf, taken: asked.taken })
      .pipe(
        catchError((fault: Error) => {
          this.notices.say(`What to cut and buy could not be worked out: ${fault.message}. All else goes on.`);
          return of(null);
        }),
      );
  }

  private mounting(changes: readonly Change[]): { kind: 'loadout'; id: string; body: Loadout }[] {
    const kit = new Map(this.documents.all('kit').map((k) => [k.id, k]));
    return changes.flatMap((c) => {
      const loadout = c.kind === 'mount' ? this.documents.get('loadout', c.into) : null;
      return loadout
        ? [
            {
              kind: 'loadout' as const,
              id: loadout.id,
              body: changedLoadout(
                loadout,
                { kind: 'mount', item: c.id },
                kit,
                () => `on-${crypto.randomUUID().slice(0, 8)}`,
              ),
            },
          ]
        : [];
    });
  }

  /** The set-up of the rig with its loadout, made when there is none yet. */
  private setupWith(values: AdjusterValues, typed: Readonly<Record<string, string>> = {}): SetUp | null {
    const rig = this.kept.rigNow();
    if (!rig) return null;
    const loadout = rig.loadout ?? 'bare';
    const held = this.documents.all('setup').find((s) => s.rig === rig.id && s.loadout === loadout);
    // Words stand only for the setting they were typed for.
    const words = Object.fromEntries(Object.entries(held?.typed ?? {}).filter(([id]) => !(id in values)));
    return {
      id: held?.id ?? crypto.randomUUID(),
      rig: rig.id,
      loadout,
      values: { ...held?.values, ...values },
      typed: { ...words, ...typed },
    };
  }
}

/** Sizes that a rig cannot be worked out for stop its figures, not the page: what is wrong is said, and can be undone. */
function guarded<T>(work: () => T): T | { readonly ok: false; readonly reason: string } {
  try {
    return work();
  } catch (error) {
    return {
      ok: false,
      reason: `These sizes cannot be worked out: ${error instanceof Error ? error.message : String(error)}.`,
    };
  }
}
