/** Fresh kit items by class, and where an item naturally stands in a loadout. Pure. */
import type { KitItem, Loadout, Mounted } from '@tide-pebble/core';

const SIZES: Readonly<Record<KitItem['class'], readonly [number, number, number]>> = {
  camera: [0.06, 0.12, 0.08], lens: [0.07, 0.065, 0.065], battery: [0.04, 0.03, 0.02], microphone: [0.08, 0.022, 0.022], light: [0.03, 0.08, 0.06],
  monitor: [0.025, 0.13, 0.08], plate: [0.05, 0.05, 0.01], phone: [0.008, 0.15, 0.072], other: [0.05, 0.05, 0.05],
};

/** Sizes are only a start to overtype; nothing is weighed until it is. */
export function newItem(id: string, kind: KitItem['class'], name: string): KitItem {
  return withClass({ id, name, class: kind, form: 'box', size: SIZES[kind], boxCentre: [0, 0, 0], mountPoints: [] }, kind);
}

/** Takes on what belongs to a class: its form, where its foot is, and the points others stand on. */
export function withClass(item: KitItem, kind: KitItem['class']): KitItem {
  const [length, , height] = item.size;
  const round = kind === 'lens' || kind === 'microphone';
  return {
    ...item,
    class: kind,
    form: round ? 'cylinder' : 'box',
    // A lens stands on its rear face, all else on its underside.
    boxCentre: kind === 'lens' ? [length / 2, 0, 0] : [0, 0, height / 2],
    mountPoints: kind === 'camera' || kind === 'phone' ? [{ id: 'flange', name: 'lens flange', at: [length / 2, 0, height / 2] }, { id: 'shoe', name: 'shoe', at: [0, 0, height] }] : item.mountPoints,
  };
}

/** Lenses go on a flange that is free, other things on a shoe; the first item on the rig itself. */
export function standingOn(item: KitItem, loadout: Loadout, kit: ReadonlyMap<string, KitItem>): Mounted['on'] {
  if (loadout.items.length === 0) return null;
  const wanted = item.class === 'lens' ? 'flange' : 'shoe';
  const taken = new Set(loadout.items.map((m) => (m.on ? `${m.on.mounted} ${m.on.point}` : '')));
  for (const m of loadout.items) {
    const point = kit.get(m.item)?.mountPoints.find((p) => p.id === wanted && !taken.has(`${m.id} ${p.id}`));
    if (point) return { mounted: m.id, point: point.id };
  }
  const first = loadout.items[0]!;
  const any = kit.get(first.item)?.mountPoints[0];
  return any ? { mounted: first.id, point: any.id } : null;
}
