/** A rig file opened for a command: one of its loadouts, the rig with it, and the set-up kept for the two. */
import type { AdjusterValues } from '../2-frame';
import type { RigFile } from '../contract';
import type { Loadout } from '../model';
import { workpiece, type Workpiece } from './derive';
import { loadoutNamed } from './loadoutNamed';

export type OpenedFile =
  | { readonly ok: true; readonly work: Workpiece; readonly loadout: Loadout | null; readonly values: AdjusterValues }
  | { readonly ok: false; readonly reason: string };

export function workOfFile(file: RigFile, loadoutName: string | null): OpenedFile {
  const picked = loadoutNamed(file, loadoutName);
  if (!picked.ok) return picked;
  const { loadout } = picked;
  const made = workpiece(file.rig, loadout, new Map(file.kit.map((k) => [k.id, k])));
  if (!made.ok) return made;
  const values = file.setups.find((s) => s.rig === file.rig.id && s.loadout === loadout?.id)?.values ?? {};
  return { ok: true, work: made.work, loadout, values };
}
