/** Fresh kit by class, and where an item naturally stands in a loadout. */
import type { KitClass, KitItem, Loadout, Mounted, MountPoint } from '../model';
import { CLASS_FACTS } from './kitClasses';

/** Sizes are only a start to overtype; nothing is weighed until it is. */
export function newItem(id: string, kind: KitClass, name: string): KitItem {
  return withClass(
    { id, name, class: kind, form: 'box', size: CLASS_FACTS[kind].size, boxCentre: [0, 0, 0], mountPoints: [] },
    kind,
  );
}

/** Takes on what belongs to a class: its form, where its foot is, and the points others stand on. Sizes stay. */
export function withClass(item: KitItem, kind: KitClass): KitItem {
  const facts = CLASS_FACTS[kind];
  const [length, , height] = item.size;
  return {
    ...item,
    class: kind,
    form: facts.form,
    foot: facts.foot,
    boxCentre: facts.standsOnRear ? [length / 2, 0, 0] : [0, 0, height / 2],
    mountPoints: [...facts.points(item.size)],
  };
}

interface Place {
  readonly mounted: Mounted;
  readonly point: MountPoint;
}

/** Every mounting point of a loadout that nothing stands on yet. A bay or flange holds one thing; so does any point here. */
export function freePoints(loadout: Loadout, kit: ReadonlyMap<string, KitItem>): readonly Place[] {
  const taken = new Set(loadout.items.map((m) => (m.on ? `${m.on.mounted} ${m.on.point}` : '')));
  return loadout.items.flatMap((mounted) =>
    (kit.get(mounted.item)?.mountPoints ?? [])
      .filter((p) => !taken.has(`${mounted.id} ${p.id}`))
      .map((point) => ({ mounted, point })),
  );
}

/** On a free point of its own kind; else any free point, else the first item's; the first item on the rig itself. */
export function standingOn(item: KitItem, loadout: Loadout, kit: ReadonlyMap<string, KitItem>): Mounted['on'] {
  if (loadout.items.length === 0) return null;
  const free = freePoints(loadout, kit);
  const wanted = item.foot ?? CLASS_FACTS[item.class].foot;
  const place =
    free.find((f) => f.point.kind === wanted) ??
    free.find((f) => f.point.kind !== 'lens mount' && f.point.kind !== 'bay') ??
    free[0];
  if (place) return { mounted: place.mounted.id, point: place.point.id };
  const first = loadout.items[0]!;
  const any = kit.get(first.item)?.mountPoints[0];
  return any ? { mounted: first.id, point: any.id } : null;
}
