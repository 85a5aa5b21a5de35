/** The camera and lens of the answers as kit and a loadout, without being kept yet. */
import { standingOn, type KitItem, type Loadout } from '@tide-pebble/core';
import { takesLens, TYPICAL_CAMERAS, TYPICAL_LENSES, typicalItem } from '@tide-pebble/core/making';
import type { Answers } from '../../../services/own-answers';

export interface FirstLoad {
  readonly loadout: Loadout;
  readonly items: readonly KitItem[];
}

/** Null: no camera is said. */
export function firstLoad(of: Pick<Answers, 'camera' | 'cameraMass' | 'lens' | 'lensMass'>): FirstLoad | null {
  const camera = TYPICAL_CAMERAS.find((c) => c.id === of.camera);
  if (!camera) return null;
  const lens = takesLens(camera) ? TYPICAL_LENSES.find((l) => l.id === of.lens) : undefined;
  const body = typicalItem(camera, 'first-camera', of.cameraMass);
  const alone: Loadout = {
    id: 'first-loadout',
    name: lens ? `${camera.name}, ${lens.name.toLowerCase()}` : camera.name,
    conditions: '',
    items: [{ id: 'first-1', item: body.id, on: null, offset: [0, 0, 0] }],
  };
  if (!lens) return { loadout: alone, items: [body] };
  const glass = typicalItem(lens, 'first-lens', of.lensMass);
  const on = standingOn(glass, alone, new Map([[body.id, body]]));
  return {
    items: [body, glass],
    loadout: { ...alone, items: [...alone.items, { id: 'first-2', item: glass.id, on, offset: [0, 0, 0] }] },
  };
}

/** Under ids of their own, to be kept. */
export function withOwnIds({ loadout, items }: FirstLoad): FirstLoad {
  const ids = new Map(items.map((i) => [i.id, crypto.randomUUID()]));
  return {
    items: items.map((i) => ({ ...i, id: ids.get(i.id)! })),
    loadout: {
      ...loadout,
      id: crypto.randomUUID(),
      items: loadout.items.map((m) => ({ ...m, item: ids.get(m.item)! })),
    },
  };
}
