/** The maker's own sizes beside those of the tables: which a choice can take, and how one is found by its id. */
import { MATERIALS } from '../../0-base';
import type { OwnSize, Section } from '../../model';
import { RARER_THREADS, THREADS } from '../hardware/thread';

export type OwnSizes = readonly OwnSize[] | undefined;
/** Whether a choice can take a size. */
export type Takes = (size: OwnSize) => boolean;

export function ownOf<K extends OwnSize['kind']>(
  own: OwnSizes,
  kind: K,
  id: string,
): Extract<OwnSize, { kind: K }> | null {
  const found = own?.find((o): o is Extract<OwnSize, { kind: K }> => o.kind === kind && o.id === id);
  return found ?? null;
}

const METALS = new Set(['steel', 'stainless', 'aluminium', 'brass', 'copper']);
const isMetal = (material: string): boolean => METALS.has(material);
const isWood = (material: string): boolean => MATERIALS[material]?.look === 'wood';
const isSection = (size: OwnSize, ...kinds: readonly Section['kind'][]): size is Extract<OwnSize, { kind: 'stock' }> =>
  size.kind === 'stock' && kinds.includes(size.stock.section.kind);

export const ANY_FLAT: Takes = (size) => isSection(size, 'flat');
/** It is bent, or tapped. */
export const METAL_FLAT: Takes = (size) => isSection(size, 'flat') && isMetal(size.stock.material);
export const BOARD: Takes = (size) => isSection(size, 'flat') && isWood(size.stock.material);
export const ROUND_TUBE: Takes = (size) => isSection(size, 'tube');
export const ANY_TUBE: Takes = (size) => isSection(size, 'tube', 'square');
export const pipeLike =
  (systems: readonly string[]): Takes =>
  (size) =>
    size.kind === 'pipe' && systems.includes(size.like);
/** On a bolt of a thread that is known here. */
export const ANY_WASHER: Takes = (size) =>
  size.kind === 'washer' && [...THREADS, ...RARER_THREADS].some((t) => Math.abs(t.diameter - size.boltDiameter) < 1e-5);
export const ANY_DISC: Takes = (size) => size.kind === 'disc';
