/** What each reading of the log most likely comes from, worked out beside the page for the entries that are seen. */
import { inject, signal, type Signal } from '@angular/core';
import { takeUntilDestroyed, toObservable } from '@angular/core/rxjs-interop';
import {
  designedOf,
  sawNothing,
  type KitItem,
  type Loadout,
  type LogEntry,
  type Phrase,
  type RigDocument,
} from '@tide-pebble/core';
import {
  catchError,
  combineLatest,
  concatMap,
  debounceTime,
  EMPTY,
  firstValueFrom,
  from,
  lastValueFrom,
  map,
  switchMap,
  tap,
  type Observable,
} from 'rxjs';
import { sameParts } from './asked';
import { Jobs } from './jobs';
import { Workspace } from './workspace';

/** Entries of one rig with one load. */
interface Alike {
  readonly rig: RigDocument;
  readonly loadout: Loadout | null;
  readonly entries: readonly LogEntry[];
}
interface Known {
  /** What it was worked out from. */
  readonly of: readonly unknown[];
  readonly words: Phrase;
}
/** Typing in the search, or entries that grow down the page, are asked about once they rest. */
const RESTS_MS = 150;

/** Made where effects may be made; one rig with one load is worked out after the other. */
export class LikelyCauses {
  private readonly jobs = inject(Jobs);
  private readonly workspace = inject(Workspace);
  private readonly kept$ = combineLatest({
    rigs: this.workspace.rigs$,
    loadouts: this.workspace.loadouts$,
    kit: this.workspace.kit$,
  });
  private readonly known = signal<ReadonlyMap<LogEntry, Known>>(new Map());

  constructor(seen: Signal<readonly LogEntry[]>) {
    toObservable(seen)
      .pipe(
        switchMap((entries) =>
          this.kept$.pipe(
            debounceTime(RESTS_MS),
            map((kept) => ({ entries, ...kept })),
          ),
        ),
        switchMap(({ entries, rigs, loadouts, kit }) => this.found(entries, rigs, loadouts, kit)),
        takeUntilDestroyed(),
      )
      .subscribe();
  }

  /** Resolves once those of these entries are known that can be. */
  async all(entries: readonly LogEntry[]): Promise<void> {
    const { rigs, loadouts, kit } = await firstValueFrom(this.kept$);
    await lastValueFrom(this.found(entries, rigs, loadouts, kit), { defaultValue: null });
  }

  private found(
    entries: readonly LogEntry[],
    rigs: readonly RigDocument[],
    loadouts: readonly Loadout[],
    kit: ReadonlyMap<string, KitItem>,
  ): Observable<unknown> {
    return from(byRig(entries, rigs, loadouts)).pipe(
      concatMap((alike) => this.asked(alike, kit)),
      tap((found) => this.known.update((known) => new Map([...known, ...found]))),
    );
  }

  /** Empty: it is not known yet, or nothing is wrong. */
  of(entry: LogEntry): Phrase {
    return this.known().get(entry)?.words ?? [];
  }

  private asked({ rig, loadout, entries }: Alike, kit: ReadonlyMap<string, KitItem>) {
    const of = [rig.design, rig.made, rig.hands, rig.wants, loadout, kit];
    const fresh = entries.filter((e) => !sameParts(this.known().get(e)?.of ?? [], of));
    if (fresh.length === 0) return EMPTY;
    // What was told of the rig as it was is told no more.
    this.known.update((known) => new Map([...known].filter(([e]) => !fresh.includes(e))));
    return this.jobs
      .run('likelyCauses', {
        rig: { ...designedOf(rig), wants: rig.wants },
        loadout,
        kit,
        entries: fresh.map(({ values, seen }) => ({ values, seen })),
      })
      .pipe(
        map((words) => fresh.map((e, i): [LogEntry, Known] => [e, { of, words: words[i] ?? [] }])),
        // Where it cannot be worked out no cause is told: what was found against expected stands all the same.
        catchError(() => EMPTY),
      );
  }
}

/** Those of rigs and loads that are still here. */
function byRig(
  entries: readonly LogEntry[],
  rigs: readonly RigDocument[],
  loadouts: readonly Loadout[],
): readonly Alike[] {
  const groups = new Map<string, LogEntry[]>();
  for (const entry of entries.filter((e) => !sawNothing(e.seen))) {
    const key = `${entry.rig}\n${entry.loadout ?? ''}`;
    groups.set(key, [...(groups.get(key) ?? []), entry]);
  }
  return [...groups.values()].flatMap((alike) => {
    const [{ rig: id, loadout: load }] = alike as [LogEntry];
    const rig = rigs.find((r) => r.id === id);
    const loadout = loadouts.find((l) => l.id === load) ?? null;
    return rig && (loadout || load === null) ? [{ rig, loadout, entries: alike }] : [];
  });
}
