/** Nuts that a connection's screw may end in, those made in its thread; and heads that it may have. */
import { NUT_KINDS, type Bolted, type NutKind } from '../../model';
import { NUT_SIZES } from '../hardware/boltUp';

/** None where it is screwed into something. */
export function nutsFor({ end, thread }: Pick<Bolted, 'end' | 'thread'>): readonly NutKind[] {
  if (end.kind === 'tapped' || end.kind === 'camera') return [];
  return NUT_KINDS.filter((kind) => NUT_SIZES[kind].of({ name: thread }) !== null);
}

export const HEADS = ['hexagon', 'low', 'sunk'] as const;
/** None where a rod stands for it, or its head is held by what it lies in. */
export const headsFor = ({ screw, rod, root, head, held }: Bolted): readonly (typeof HEADS)[number][] =>
  screw !== undefined || rod || root || held || head === 'square' || head === 'wing' ? [] : HEADS;
