/** All rig families; written by scripts/lists.mjs from the files in this folder. */
import type { Family } from '../family';
import { balanceArm } from './balanceArm';
import { boom } from './boom';
import { gimballedBentBar } from './gimballedBentBar';
import { handFrame } from './handFrame';
import { helmetPole } from './helmetPole';
import { pipePost } from './pipePost';
import { plateAndPillar } from './plateAndPillar';
import { printedPhoneFrame } from './printedPhoneFrame';
import { selfFilmingGrip } from './selfFilmingGrip';
import { shoulderRig } from './shoulderRig';
import { slidingTopHandle } from './slidingTopHandle';
import { swivelGrip } from './swivelGrip';
import { threeAxisFrame } from './threeAxisFrame';
import { tubeFrame } from './tubeFrame';

export const STATED_FAMILIES: readonly Family[] = [
  balanceArm,
  boom,
  gimballedBentBar,
  handFrame,
  helmetPole,
  pipePost,
  plateAndPillar,
  printedPhoneFrame,
  selfFilmingGrip,
  shoulderRig,
  slidingTopHandle,
  swivelGrip,
  threeAxisFrame,
  tubeFrame,
];
