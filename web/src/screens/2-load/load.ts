/** Load: the kit with masses and sizes, the loadout on the mount, and each mass centre found by balancing on an edge. */
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { mdiDeleteOutline, mdiPlus } from '@mdi/js';
import { itemFigures, KIT_CLASSES, type KitItem, type Loadout, type Mounted, type Quantity } from '@tide-pebble/core';
import { Documents } from '../../services/documents';
import { Pointer } from '../../services/pointer';
import { Units } from '../../services/units';
import { Workspace } from '../../services/workspace';
import { FigurePipe } from '../../ui/figures.pipe';
import { Findings } from '../../ui/findings';
import { Icon } from '../../ui/icon';
import { Notices } from '../../ui/notices';
import { QuantityField } from '../../ui/quantity-field';
import { StageLayout } from '../../ui/stage-layout';
import { injectBench } from '../../services/bench-signal';
import { ItemEditor } from './item-editor';
import { newItem, standingOn } from './new-item';

/** A kitchen scale with a step of 1 g: half a step either way, as a standard uncertainty, with its own drift. */
const SCALE_SPREAD = 0.0006;

@Component({
  selector: 'tp-load',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, StageLayout, ItemEditor, QuantityField, Findings, Icon, FigurePipe],
  templateUrl: './load.html',
  styleUrl: './load.css',
})
export class Load {
  private readonly documents = inject(Documents);
  private readonly workspace = inject(Workspace);
  private readonly notices = inject(Notices);
  protected readonly pointer = inject(Pointer);
  protected readonly units = inject(Units).now;
  protected readonly icons = { add: mdiPlus, remove: mdiDeleteOutline };
  protected readonly classes = KIT_CLASSES;

  private readonly bench = injectBench();
  private readonly kitMap = toSignal(this.workspace.kit$, { initialValue: new Map<string, KitItem>() });
  protected readonly loadouts = toSignal(this.workspace.loadouts$, { initialValue: [] });
  protected readonly rig = toSignal(this.workspace.rig$, { initialValue: null });
  protected readonly kit = computed(() => [...this.kitMap().values()].sort(byKind).map((item) => ({ item, figures: itemFigures(item) })));
  private readonly picked = signal<string | null>(null);
  protected readonly selected = computed(() => this.kitMap().get(this.picked() ?? '') ?? this.kit()[0]?.item ?? null);
  private readonly shown = signal<string | null>(null);
  protected readonly loadout = computed<Loadout | null>(() => {
    const all = this.loadouts();
    return all.find((l) => l.id === (this.shown() ?? this.rig()?.loadout)) ?? all[0] ?? null;
  });
  protected readonly rows = computed(() => this.loadout()?.items.map((m) => ({ m, item: this.kitMap().get(m.item), under: this.nameUnder(m) })) ?? []);
  protected readonly total = computed(() => {
    const figures = this.rows().flatMap((r) => (r.item ? [itemFigures(r.item)] : []));
    return { mass: figures.reduce((s, f) => s + f.mass, 0), spread: Math.hypot(...figures.map((f) => f.massSpread)), guessed: figures.filter((f) => !f.weighed).length };
  });
  protected readonly findings = computed(() => this.bench()?.judged.findings.filter((f) => f.stage === 'load') ?? []);
  protected readonly spare = computed(() => this.kit().filter((k) => !this.loadout()?.items.some((m) => m.item === k.item.id)));
  protected readonly onRig = computed(() => this.loadout() !== null && this.rig()?.loadout === this.loadout()?.id);

  protected pick(id: string): void {
    this.picked.set(id);
  }

  protected show(id: string): void {
    this.shown.set(id);
  }

  protected addItem(): void {
    const item = newItem(crypto.randomUUID(), this.kit().some((k) => k.item.class === 'camera') ? 'other' : 'camera', `New item ${this.kit().length + 1}`);
    this.documents.commit(`adding ${item.name}`, [{ kind: 'kit', id: item.id, body: item }]);
    this.picked.set(item.id);
  }

  /** The change is made to the item as it is now, not as it was last drawn. */
  protected save(id: string, change: (item: KitItem) => KitItem): void {
    const item = this.documents.get('kit', id);
    if (item) this.documents.commit(`change of ${item.name}`, [{ kind: 'kit', id, body: change(item) }], `kit ${id}`);
  }

  protected weigh(item: KitItem, quantity: Quantity): void {
    this.save(item.id, (now) => ({ ...now, mass: { ...quantity, spread: SCALE_SPREAD, source: `mass of ${now.name}` } }));
  }

  protected unweigh(item: KitItem): void {
    this.save(item.id, ({ mass: _mass, ...rest }) => rest);
  }

  protected removeItem(item: KitItem): void {
    const changed = this.loadouts().filter((l) => l.items.some((m) => m.item === item.id)).map((l) => ({ ...l, items: without(l.items, (m) => m.item === item.id) }));
    this.documents.commit(`deleting ${item.name}`, [{ kind: 'kit', id: item.id, body: null }, ...changed.map((l) => ({ kind: 'loadout' as const, id: l.id, body: l }))]);
    this.notices.sayWithUndo(`${item.name} is deleted${changed.length ? `, and off ${changed.length} loadout${changed.length > 1 ? 's' : ''}` : ''}.`);
  }

  /** A new loadout goes on the rig at once when the rig has none. */
  protected addLoadout(): void {
    const camera = this.kit().find((k) => k.item.class === 'camera' || k.item.class === 'phone')?.item;
    const loadout: Loadout = {
      id: crypto.randomUUID(),
      name: camera ? `${camera.name} alone` : 'New loadout',
      conditions: 'Strap off, battery and card in.',
      items: camera ? [{ id: `on-${crypto.randomUUID().slice(0, 8)}`, item: camera.id, on: null, offset: [0, 0, 0] }] : [],
    };
    const rig = this.rig();
    this.documents.commit(`new loadout ${loadout.name}`, [
      { kind: 'loadout', id: loadout.id, body: loadout },
      ...(rig && rig.loadout === null ? [{ kind: 'rig' as const, id: rig.id, body: { ...rig, loadout: loadout.id } }] : []),
    ]);
    this.shown.set(loadout.id);
  }

  protected renameLoadout(loadout: Loadout, name: string): void {
    const text = name.trim();
    if (text) this.saveLoadout(loadout.id, (l) => ({ ...l, name: text.slice(0, 120) }));
  }

  protected conditions(loadout: Loadout, conditions: string): void {
    this.saveLoadout(loadout.id, (l) => ({ ...l, conditions: conditions.slice(0, 400) }));
  }

  protected removeLoadout(loadout: Loadout): void {
    const rigs = this.documents.all('rig').filter((r) => r.loadout === loadout.id).map((r) => ({ kind: 'rig' as const, id: r.id, body: { ...r, loadout: null } }));
    const setups = this.documents.all('setup').filter((s) => s.loadout === loadout.id).map((s) => ({ kind: 'setup' as const, id: s.id, body: null }));
    this.documents.commit(`deleting ${loadout.name}`, [{ kind: 'loadout', id: loadout.id, body: null }, ...rigs, ...setups]);
    this.notices.sayWithUndo(`${loadout.name} is deleted.`);
  }

  protected mount(loadout: Loadout, itemId: string): void {
    const item = this.kitMap().get(itemId);
    if (!item) return;
    this.saveLoadout(loadout.id, (l) => ({ ...l, items: [...l.items, { id: `on-${crypto.randomUUID().slice(0, 8)}`, item: itemId, on: standingOn(item, l, this.kitMap()), offset: [0, 0, 0] }] }));
  }

  protected unmount(loadout: Loadout, mounted: string): void {
    this.saveLoadout(loadout.id, (l) => ({ ...l, items: without(l.items, (m) => m.id === mounted) }));
  }

  protected putOnRig(loadout: Loadout): void {
    this.workspace.editRig(`mounting ${loadout.name}`, (rig) => ({ ...rig, loadout: loadout.id }));
  }

  private saveLoadout(id: string, change: (loadout: Loadout) => Loadout): void {
    const loadout = this.documents.get('loadout', id);
    if (loadout) this.documents.commit(`change of ${loadout.name}`, [{ kind: 'loadout', id, body: change(loadout) }], `loadout ${id}`);
  }

  private nameUnder(m: Mounted): string {
    if (!m.on) return 'on the rig';
    const below = this.loadout()?.items.find((other) => other.id === m.on!.mounted);
    const item = below && this.kitMap().get(below.item);
    return item ? `on ${item.name}, ${item.mountPoints.find((p) => p.id === m.on!.point)?.name ?? 'a point that is gone'}` : 'on something that is gone';
  }
}

/** In the order things are mounted, then by name. */
const byKind = (a: KitItem, b: KitItem): number => KIT_CLASSES.indexOf(a.class) - KIT_CLASSES.indexOf(b.class) || a.name.localeCompare(b.name);

/** Takes entries off, and all that stands on them. */
function without(items: readonly Mounted[], gone: (m: Mounted) => boolean): Mounted[] {
  const removed = new Set(items.filter(gone).map((m) => m.id));
  for (let before = -1; before !== removed.size; ) {
    before = removed.size;
    for (const m of items) if (m.on && removed.has(m.on.mounted)) removed.add(m.id);
  }
  return items.filter((m) => !removed.has(m.id));
}
