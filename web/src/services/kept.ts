/** What is kept, as streams: rigs, kit, loadouts, and which rig is on the bench. Nothing is worked out here, so the first load is small. */
import { inject, Injectable } from '@angular/core';
import type { BinItem, KitItem, Loadout, LogEntry, OwnSize, RigDocument, SetUp, Walk } from '@tide-pebble/core';
import { BehaviorSubject, combineLatest, distinctUntilChanged, map, shareReplay, type Observable } from 'rxjs';
import { Documents } from './keeping/documents';
import { HeldFolder } from './keeping/folder';

const CURRENT = 'tide-pebble.rig';

@Injectable({ providedIn: 'root' })
export class Kept {
  private readonly documents = inject(Documents);
  private readonly folder = inject(HeldFolder);
  private readonly current = new BehaviorSubject<string | null>(localStorage.getItem(CURRENT));

  private readonly allRigs$ = this.documents.list$('rig').pipe(distinctUntilChanged(), keep());
  readonly rigs$ = this.allRigs$.pipe(map(byName), keep());
  readonly kit$: Observable<ReadonlyMap<string, KitItem>> = this.documents.list$('kit').pipe(
    distinctUntilChanged(),
    map((items) => new Map(items.map((i) => [i.id, i]))),
    keep(),
  );
  readonly loadouts$ = this.documents.list$('loadout').pipe(distinctUntilChanged(), map(byName), keep());
  readonly setups$ = this.documents.list$('setup').pipe(distinctUntilChanged(), keep());
  readonly bin$: Observable<readonly BinItem[]> = this.documents.list$('bin').pipe(distinctUntilChanged(), keep());
  /** Sizes of the maker's own. */
  readonly sizes$: Observable<readonly OwnSize[]> = this.documents.list$('size').pipe(distinctUntilChanged(), keep());
  readonly log$: Observable<readonly LogEntry[]> = this.documents.list$('log').pipe(distinctUntilChanged(), keep());
  readonly walks$: Observable<readonly Walk[]> = this.documents.list$('walk').pipe(distinctUntilChanged(), keep());

  /** What a phone has in the hand, by rig: it may look at another loadout, and not change which one the rig is kept with. */
  private readonly inHand = new BehaviorSubject<ReadonlyMap<string, string | null>>(new Map());

  /** The chosen rig, or the first there is. */
  readonly rig$: Observable<RigDocument | null> = combineLatest([this.allRigs$, this.current, this.inHand]).pipe(
    map(([rigs, id, inHand]) => held(rigs.find((r) => r.id === id) ?? rigs[0] ?? null, inHand)),
    distinctUntilChanged(),
    keep(),
  );
  readonly loadout$: Observable<Loadout | null> = combineLatest([this.rig$, this.loadouts$]).pipe(
    map(([rig, all]) => all.find((l) => l.id === rig?.loadout) ?? null),
    distinctUntilChanged(),
    keep(),
  );
  readonly setup$: Observable<SetUp | null> = combineLatest([this.rig$, this.setups$]).pipe(
    map(([rig, all]) => all.find((s) => s.rig === rig?.id && s.loadout === (rig?.loadout ?? 'bare')) ?? null),
    distinctUntilChanged(),
    keep(),
  );

  choose(rig: string): void {
    this.current.next(rig);
    localStorage.setItem(CURRENT, rig);
  }

  /** Which loadout the rig carries. */
  chooseLoadout(loadout: string | null): void {
    const rig = this.rigNow();
    if (!rig) return;
    if (this.folder.right()) this.inHand.next(new Map(this.inHand.value).set(rig.id, loadout));
    else this.editRig('choice of loadout', (r) => ({ ...r, loadout }));
  }

  editRig(label: string, change: (rig: RigDocument) => RigDocument, merge: string | null = null): void {
    const rig = this.rigNow();
    if (rig) this.documents.commit(label, [{ kind: 'rig', id: rig.id, body: change(rig) }], merge);
  }

  rigNow(): RigDocument | null {
    const id = this.current.value;
    return held((id ? this.documents.get('rig', id) : null) ?? this.documents.all('rig')[0] ?? null, this.inHand.value);
  }
}

const BY_NAME = new Intl.Collator(undefined, { numeric: true });
const byName = <T extends { readonly name: string }>(list: readonly T[]): readonly T[] =>
  [...list].sort((a, b) => BY_NAME.compare(a.name, b.name));

export function keep<T>() {
  return shareReplay<T>({ bufferSize: 1, refCount: false });
}

/** The rig with the loadout that is in the hand; the same thing each time it is asked. */
const withInHand = new WeakMap<RigDocument, RigDocument>();
function held(rig: RigDocument | null, inHand: ReadonlyMap<string, string | null>): RigDocument | null {
  const loadout = rig && inHand.get(rig.id);
  if (!rig || loadout === undefined || loadout === rig.loadout) return rig;
  const made = withInHand.get(rig);
  if (made?.loadout === loadout) return made;
  const now = { ...rig, loadout };
  withInHand.set(rig, now);
  return now;
}
