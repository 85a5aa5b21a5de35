/** One check of the frame as built: pure, from the rig and its assembly to findings. */
import type { Rig } from '../model';
import type { Assembly } from './assemble';
import type { Finding } from '../0-base';

export interface FrameCheck {
  readonly id: string;
  look(frame: { readonly rig: Rig; readonly assembly: Assembly }): readonly Finding[];
}
