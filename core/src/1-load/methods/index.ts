/** All ways to measure an item; written by scripts/lists.mjs from the files in this folder. */
import type { Method } from '../method';
import { difference } from './difference';
import { hungTwice } from './hungTwice';
import { onABoard } from './onABoard';
import { onAnEdge } from './onAnEdge';
import { onTwoScales } from './onTwoScales';
import { oneEndAtATime } from './oneEndAtATime';
import { outsideSize } from './outsideSize';
import { socketWithNut } from './socketWithNut';
import { weigh } from './weigh';

export const METHODS: readonly Method[] = [
  difference,
  hungTwice,
  onABoard,
  onAnEdge,
  onTwoScales,
  oneEndAtATime,
  outsideSize,
  socketWithNut,
  weigh,
];
