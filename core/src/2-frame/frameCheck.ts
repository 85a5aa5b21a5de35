/** One check of the frame as built: pure, from the rig, its assembly and where everything stands to findings. */
import type { Finding } from '../0-base';
import type { FreeSpace, LensCone, LoadSocket } from '../1-load';
import type { Hands, Rig } from '../model';
import type { AdjusterValues, Assembly, PlacedPiece } from './assemble';

export interface FrameContext {
  readonly rig: Rig;
  readonly assembly: Assembly;
  readonly values: AdjusterValues;
  readonly pieces: readonly PlacedPiece[];
  readonly hands: Hands;
  /** What the lenses see and what must stay free round the load, from the mount and not yet turned with it. */
  readonly cones: readonly LensCone[];
  readonly spaces: readonly FreeSpace[];
  /** Of what stands on the mount; null when nothing with a socket does. */
  readonly socket: LoadSocket | null;
}
export interface FrameCheck {
  readonly id: string;
  look(frame: FrameContext): readonly Finding[];
}
