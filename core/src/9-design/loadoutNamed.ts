/** Which loadout of a rig file a command is about. */
import type { RigFile } from '../contract';
import type { Loadout } from '../model';

export type PickedLoadout =
  { readonly ok: true; readonly loadout: Loadout | null } | { readonly ok: false; readonly reason: string };

/** By name or id; without one the rig's own loadout is taken, else the first. */
export function loadoutNamed({ rig, loadouts }: RigFile, name: string | null): PickedLoadout {
  if (name === null) return { ok: true, loadout: loadouts.find((l) => l.id === rig.loadout) ?? loadouts[0] ?? null };
  const loadout = loadouts.find((l) => l.name === name || l.id === name);
  return loadout
    ? { ok: true, loadout }
    : {
        ok: false,
        reason: `No loadout “${name}” in this file. It has: ${loadouts.map((l) => l.name).join(', ') || 'none'}.`,
      };
}
