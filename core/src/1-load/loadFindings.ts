/** All findings of a loadout, in the order of the checks. */
import type { Judgement } from '../0-base';
import type { KitItem, Loadout } from '../model';
import { LOAD_CHECKS } from './checks';
import { placeItems } from './placeLoad';

export function loadFindings(loadout: Loadout, kit: ReadonlyMap<string, KitItem>): readonly Judgement[] {
  const context = { loadout, kit, placed: placeItems(loadout, kit) };
  return LOAD_CHECKS.flatMap((check) => check.look(context)).map((finding) => ({ ...finding, stage: 'load' as const }));
}
