/** What an adjuster has moved on from a size, taken over into that size: the rig stays as it is set, and the adjuster is in its middle again. */
import type { Change } from '../0-base';
import type { AdjusterValues, DimensionSpec } from '../2-frame';
import type { Rig } from '../model';

/** The size as it is set now, m, and the changes that make it the size; null where nothing is set beside it. */
export function asSet(
  { id, setOn, range }: Pick<DimensionSpec, 'id' | 'setOn' | 'range'>,
  size: number,
  { adjusters }: Pick<Rig, 'adjusters'>,
  values: AdjusterValues,
): { readonly value: number; readonly changes: readonly Change[] | null } | null {
  const adjuster = adjusters.find((a) => a.id === setOn?.adjuster);
  if (!setOn || !adjuster) return null;
  const by = values[adjuster.id] ?? adjuster.value;
  if (Math.abs(by) < NOTHING) return null;
  const value = size + setOn.sense * by;
  const isInside = value >= range[0] - NOTHING && value <= range[1] + NOTHING;
  return {
    value,
    changes: isInside
      ? [
          { kind: 'dimension', id, value },
          { kind: 'adjuster', id: adjuster.id, value: 0 },
        ]
      : null,
  };
}
const NOTHING = 1e-9;
