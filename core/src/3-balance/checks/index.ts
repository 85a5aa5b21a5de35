/** All checks of the balance; written by scripts/lists.mjs from the files in this folder. */
import type { BalanceCheck } from '../balanceCheck';
import { dropInPool } from './dropInPool';
import { hangsLevel } from './hangsLevel';
import { heavyAndCalm } from './heavyAndCalm';
import { levelNotKnown } from './levelNotKnown';
import { nothingMounted } from './nothingMounted';
import { stackFitsBolt } from './stackFitsBolt';
import { topHeavy } from './topHeavy';

export const BALANCE_CHECKS: readonly BalanceCheck[] = [dropInPool, hangsLevel, heavyAndCalm, levelNotKnown, nothingMounted, stackFitsBolt, topHeavy];
