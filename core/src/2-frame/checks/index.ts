/** All checks of the frame; written by scripts/lists.mjs from the files in this folder. */
import type { FrameCheck } from '../frameCheck';
import { bendTooTight } from './bendTooTight';
import { holeInBar } from './holeInBar';
import { partsWithoutMass } from './partsWithoutMass';

export const FRAME_CHECKS: readonly FrameCheck[] = [bendTooTight, holeInBar, partsWithoutMass];
