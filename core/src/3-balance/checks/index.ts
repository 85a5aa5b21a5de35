/** All checks of the balance; written by scripts/lists.mjs from the files in this folder. */
import type { BalanceCheck } from '../balanceCheck';
import { axesBalanced } from './axesBalanced';
import { clampSlips } from './clampSlips';
import { dropInPool } from './dropInPool';
import { eyeAtFinder } from './eyeAtFinder';
import { fitsTheBag } from './fitsTheBag';
import { gripOrder } from './gripOrder';
import { hangsLevel } from './hangsLevel';
import { heavyAndCalm } from './heavyAndCalm';
import { holdTime } from './holdTime';
import { idleHand } from './idleHand';
import { leansInPan } from './leansInPan';
import { levelNotKnown } from './levelNotKnown';
import { nothingMounted } from './nothingMounted';
import { offTheMark } from './offTheMark';
import { poleOnHead } from './poleOnHead';
import { poseReach } from './poseReach';
import { stackFitsBolt } from './stackFitsBolt';
import { standsOnFeet } from './standsOnFeet';
import { stopPadding } from './stopPadding';
import { topHeavy } from './topHeavy';
import { topHeavyInHand } from './topHeavyInHand';
import { wornLoads } from './wornLoads';
import { wristLoad } from './wristLoad';

export const BALANCE_CHECKS: readonly BalanceCheck[] = [
  axesBalanced,
  clampSlips,
  dropInPool,
  eyeAtFinder,
  fitsTheBag,
  gripOrder,
  hangsLevel,
  heavyAndCalm,
  holdTime,
  idleHand,
  leansInPan,
  levelNotKnown,
  nothingMounted,
  offTheMark,
  poleOnHead,
  poseReach,
  stackFitsBolt,
  standsOnFeet,
  stopPadding,
  topHeavy,
  topHeavyInHand,
  wornLoads,
  wristLoad,
];
