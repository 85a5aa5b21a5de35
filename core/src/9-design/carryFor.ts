/** How a rig is carried well, with a load, as it is set. */
import { guidesFor, type GuideTold } from '../7-field';
import type { AdjusterValues } from '../2-frame';
import type { KitItem, Loadout, RigDocument } from '../model';
import { judged, workpiece } from './derive';

export interface CarryInput {
  readonly rig: Pick<RigDocument, 'design' | 'wants' | 'hands' | 'made'>;
  readonly loadout: Loadout | null;
  readonly kit: ReadonlyMap<string, KitItem>;
  readonly values: AdjusterValues;
}

/** None of a rig that cannot be drawn. */
export function carryFor({ rig, loadout, kit, values }: CarryInput): readonly GuideTold[] {
  const made = workpiece(rig, loadout, kit);
  return made.ok ? guidesFor(judged(made.work, values, rig.wants).context) : [];
}
