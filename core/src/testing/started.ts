/** A rig of a family as it is started for the usual load, set up. */
import type { Design } from '../model';
import { FAMILIES, type AdjusterValues, type Assembly } from '../2-frame';
import { workpiece, type Workpiece } from '../9-design/derive';
import { startRig } from '../9-design/startRig';
import { kit, loadout, wants } from './rigs';

export function started(family: string): {
  readonly design: Design;
  readonly work: Workpiece;
  readonly assembly: Assembly;
  readonly values: AdjusterValues;
} {
  const { design, values } = startRig(
    FAMILIES.find((f) => f.id === family)!,
    loadout,
    kit,
    wants,
  );
  const made = workpiece({ design }, loadout, kit);
  if (!made.ok) throw new Error(made.reason);
  return { design, work: made.work, assembly: made.work.assembly, values };
}
