/** A size of a table as its maker would type it: what an own size is started from. */
import type { OwnSize } from '../../model';
import { BARS } from './bars';
import { DISC_PLATES } from './discs';
import { PIPE_SYSTEMS } from './pipes';
import { WASHERS } from './washers';

/** By the id of a choice's option; null where it is no size. */
export function sizeLike(option: string, id: string): OwnSize | null {
  const stock = BARS[option];
  if (stock) return { kind: 'stock', id, stock };
  for (const system of PIPE_SYSTEMS) {
    const size = system.sizes.find((s) => `${system.id}/${s.id}` === option);
    if (size) return { kind: 'pipe', like: system.id, ...size, id };
  }
  const washer = WASHERS[option];
  if (washer) {
    const { boltDiameter, ...rest } = washer;
    return { kind: 'washer', id, washer: rest, boltDiameter };
  }
  const disc = DISC_PLATES[option];
  return disc ? { kind: 'disc', id, washer: disc } : null;
}
