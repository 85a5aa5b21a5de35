/** What the Load stage works on: the kit, the loadout shown, what all of them cover, and every change that can be made to them. */
import { computed, inject, Injectable, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import {
  changedLoadout,
  KIT_CLASSES,
  kitPlaces,
  loadFindings,
  nameByKit,
  NEW_LOADOUT,
  renamedByKit,
  newItem,
  placeItems,
  placeLoad,
  placesMissing,
  placesOnRig,
  type KitClass,
  type Judgement,
  type KitItem,
  type KitPlaceOnRig,
  type Loadout,
  type LoadoutChange,
  type Mounted,
  type Quantity,
} from '@tide-pebble/core';
import { coverageOf, lensCones, weighedAs } from '@tide-pebble/core/measuring';
import { distinctUntilChanged, map } from 'rxjs';
import { Documents } from './keeping/documents';
import { Workspace } from './workspace';

/** A kitchen scale counts in grams unless the maker says otherwise. */
const USUAL_STEP = 0.001;
/** In the order things are mounted. */
const RANK: ReadonlyMap<KitClass, number> = new Map(KIT_CLASSES.map((kind, i) => [kind, i]));
/** Made once: `localeCompare` makes one of these for each pair. */
const BY_NAME = new Intl.Collator();
const newEntryId = (): string => `on-${crypto.randomUUID().slice(0, 8)}`;

@Injectable({ providedIn: 'root' })
export class LoadBench {
  private readonly documents = inject(Documents);
  private readonly workspace = inject(Workspace);
  private readonly wanted = signal<string | null>(null);
  private readonly rig = toSignal(this.workspace.rig$, { initialValue: null });

  readonly kit = toSignal(this.workspace.kit$, {
    initialValue: new Map<string, KitItem>() as ReadonlyMap<string, KitItem>,
  });
  readonly loadouts = toSignal(this.workspace.loadouts$, { initialValue: [] });
  /** In the order things are mounted, then by name: sorted as the kit changes, so that of ten thousand drawing need not wait for it. */
  readonly kitList = toSignal(
    this.workspace.kit$.pipe(
      map((kit): readonly KitItem[] =>
        [...kit.values()].sort((a, b) => RANK.get(a.class)! - RANK.get(b.class)! || BY_NAME.compare(a.name, b.name)),
      ),
    ),
    { initialValue: [] },
  );
  readonly loadout = computed<Loadout | null>(() => {
    const all = this.loadouts();
    return all.find((l) => l.id === this.wanted()) ?? all.find((l) => l.id === this.rig()?.loadout) ?? all[0] ?? null;
  });
  readonly coverage = computed(() => coverageOf(this.loadouts(), this.kit()));
  private readonly rigAtHand = toSignal(
    this.workspace.bench$.pipe(
      map((state) => (state.kind === 'ready' ? state.bench.work.rig : null)),
      distinctUntilChanged(),
    ),
    { initialValue: null },
  );
  /** Kit on the rig's own places is drawn where it stands there. */
  readonly onRig = computed(() => {
    const rig = this.rigAtHand();
    return rig ? placesOnRig(rig) : undefined;
  });
  readonly placed = computed(() => {
    const loadout = this.loadout();
    return loadout ? placeItems(loadout, this.kit(), this.onRig()) : { items: [], faults: [] };
  });
  readonly bodies = computed(() => {
    const loadout = this.loadout();
    return loadout ? placeLoad(loadout, this.kit(), this.onRig()).bodies : [];
  });
  readonly cones = computed(() => {
    const loadout = this.loadout();
    return loadout ? lensCones(loadout, this.kit(), this.placed().items) : [];
  });
  readonly findings = computed<readonly Judgement[]>(() => {
    const [loadout, rig] = [this.loadout(), this.rigAtHand()];
    if (!loadout) return [];
    return [...loadFindings(loadout, this.kit()), ...(rig ? placesMissing(rig, loadout, this.kit()) : [])];
  });

  /** Where the rig at hand takes kit beside its load. */
  readonly rigPlaces = computed<readonly KitPlaceOnRig[]>(() => {
    const rig = this.rigAtHand();
    return rig ? kitPlaces(rig) : [];
  });

  show(loadout: string): void {
    this.wanted.set(loadout);
  }

  addItem(kind: KitClass): KitItem {
    const names = new Set(this.kitList().map((k) => k.name));
    let n = this.kit().size + 1;
    while (names.has(`New item ${n}`)) n++;
    return this.keepItem(newItem(crypto.randomUUID(), kind, `New item ${n}`));
  }

  keepItem(item: KitItem): KitItem {
    this.documents.commit(`adding ${item.name}`, [{ kind: 'kit', id: item.id, body: item }]);
    return item;
  }

  /** The change is made to the item as it is now, not as it was last drawn. */
  changeItem(id: string, change: (item: KitItem) => KitItem): void {
    const item = this.documents.get('kit', id);
    if (!item) return;
    const changed = change(item);
    this.documents.commit(
      `change of ${item.name}`,
      [{ kind: 'kit', id, body: changed }, ...(changed.name === item.name ? [] : this.renamedWith(changed))],
      `kit ${id}`,
    );
  }

  weigh(id: string, mass: Quantity | null): void {
    this.changeItem(id, (item) => weighedAs(item, mass, crypto.randomUUID(), USUAL_STEP));
  }

  /** With everything that stands on it, in every loadout. */
  removeItem(item: KitItem): void {
    const changed = this.loadouts()
      .filter((l) => l.items.some((m) => m.item === item.id))
      .map((l) =>
        l.items
          .filter((m) => m.item === item.id)
          .reduce((now, m) => this.changed(now, { kind: 'takeOff', mounted: m.id }), l),
      );
    const untied = this.kitList()
      .filter((k) => k.goesWith?.includes(item.id))
      .map((k) => ({
        kind: 'kit' as const,
        id: k.id,
        body: { ...k, goesWith: k.goesWith!.filter((t) => t !== item.id) },
      }));
    this.documents.commit(`deleting ${item.name}`, [
      { kind: 'kit', id: item.id, body: null },
      ...untied,
      ...changed.map((l) => ({ kind: 'loadout' as const, id: l.id, body: l })),
    ]);
  }

  copyItem(item: KitItem): KitItem {
    const copy: KitItem = { ...item, id: crypto.randomUUID(), name: `${item.name} (copy)`.slice(0, 120) };
    this.documents.commit(`copying ${item.name}`, [{ kind: 'kit', id: copy.id, body: copy }]);
    return copy;
  }

  addLoadout(): void {
    const camera = this.kitList()[0];
    const items: Loadout['items'] = camera ? [{ id: newEntryId(), item: camera.id, on: null, offset: [0, 0, 0] }] : [];
    const loadout: Loadout = {
      id: crypto.randomUUID(),
      name: nameByKit({ items }, this.kit()) ?? NEW_LOADOUT,
      conditions: 'Strap off, battery and card in.',
      items,
    };
    const rig = this.rig();
    this.documents.commit(`new loadout ${loadout.name}`, [
      { kind: 'loadout', id: loadout.id, body: loadout },
      ...(rig && rig.loadout === null
        ? [{ kind: 'rig' as const, id: rig.id, body: { ...rig, loadout: loadout.id } }]
        : []),
    ]);
    this.show(loadout.id);
  }

  /** A copy to change one thing in. */
  copyLoadout(loadout: Loadout): void {
    const copy: Loadout = { ...loadout, id: crypto.randomUUID(), name: `${loadout.name} (copy)`.slice(0, 120) };
    this.documents.commit(`copying ${loadout.name}`, [{ kind: 'loadout', id: copy.id, body: copy }]);
    this.show(copy.id);
  }

  removeLoadout(loadout: Loadout): void {
    const rigs = this.documents
      .all('rig')
      .filter((r) => r.loadout === loadout.id)
      .map((r) => ({ kind: 'rig' as const, id: r.id, body: { ...r, loadout: null } }));
    const setups = this.documents
      .all('setup')
      .filter((s) => s.loadout === loadout.id)
      .map((s) => ({ kind: 'setup' as const, id: s.id, body: null }));
    this.documents.commit(`deleting ${loadout.name}`, [
      { kind: 'loadout', id: loadout.id, body: null },
      ...rigs,
      ...setups,
    ]);
  }

  changeLoadout(id: string, change: (loadout: Loadout) => Loadout, merge = `loadout ${id}`): void {
    const loadout = this.documents.get('loadout', id);
    if (loadout)
      this.documents.commit(`change of ${loadout.name}`, [{ kind: 'loadout', id, body: change(loadout) }], merge);
  }

  /** Mount, take off, swap: what is tied goes along. */
  remount(id: string, change: LoadoutChange): void {
    const loadout = this.documents.get('loadout', id);
    if (loadout)
      this.documents.commit(`change of ${loadout.name}`, [
        { kind: 'loadout', id, body: this.changed(loadout, change) },
      ]);
  }

  changeEntry(
    loadout: string,
    entry: string,
    change: (entry: Mounted) => Mounted,
    merge = `entry ${loadout} ${entry}`,
  ): void {
    this.changeLoadout(loadout, (l) => ({ ...l, items: l.items.map((m) => (m.id === entry ? change(m) : m)) }), merge);
  }

  private changed(loadout: Loadout, change: LoadoutChange): Loadout {
    const kit = this.kitNow();
    return renamedByKit(loadout, changedLoadout(loadout, change, kit, newEntryId), kit);
  }

  /** Loadouts called after what stands on them follow its new name. */
  private renamedWith(item: KitItem): { kind: 'loadout'; id: string; body: Loadout }[] {
    const before = this.kitNow();
    const after = new Map(before).set(item.id, item);
    return this.documents.all('loadout').flatMap((l) => {
      const body = renamedByKit(l, l, before, after);
      return body === l ? [] : [{ kind: 'loadout' as const, id: l.id, body }];
    });
  }

  private kitNow(): Map<string, KitItem> {
    return new Map(this.documents.all('kit').map((k) => [k.id, k]));
  }
}
