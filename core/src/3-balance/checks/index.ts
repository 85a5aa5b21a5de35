/** All checks of the balance; written by scripts/lists.mjs from the files in this folder and those of the rooms. */
import type { BalanceCheck } from '../balanceCheck';
import { axesBalanced } from '../borne/turning/checks/axesBalanced';
import { clampSlips } from '../borne/clamped/checks/clampSlips';
import { dropInPool } from '../borne/hung/checks/dropInPool';
import { eyeAtFinder } from './eyeAtFinder';
import { fitsTheBag } from './fitsTheBag';
import { gripOrder } from '../borne/held/checks/gripOrder';
import { hangsLevel } from '../borne/hung/checks/hangsLevel';
import { heavyAndCalm } from './heavyAndCalm';
import { holdTime } from '../borne/held/checks/holdTime';
import { idleHand } from '../borne/held/checks/idleHand';
import { leansInPan } from './leansInPan';
import { levelNotKnown } from '../borne/hung/checks/levelNotKnown';
import { nothingMounted } from './nothingMounted';
import { offTheMark } from '../borne/held/checks/offTheMark';
import { poleOnHead } from '../borne/turning/checks/poleOnHead';
import { poseReach } from './poseReach';
import { stackFitsBolt } from './stackFitsBolt';
import { standsOnFeet } from './standsOnFeet';
import { stopPadding } from '../borne/turning/checks/stopPadding';
import { topHeavy } from '../borne/hung/checks/topHeavy';
import { topHeavyInHand } from '../borne/held/checks/topHeavyInHand';
import { wornLoads } from '../borne/worn/checks/wornLoads';
import { wristLoad } from '../borne/held/checks/wristLoad';

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
