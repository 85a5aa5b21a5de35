/** All checks of a loadout; written by scripts/lists.mjs from the files in this folder. */
import type { LoadCheck } from '../loadCheck';
import { neverWeighed } from './neverWeighed';
import { notPlaced } from './notPlaced';
import { standsInTheWay } from './standsInTheWay';
import { tiesKept } from './tiesKept';

export const LOAD_CHECKS: readonly LoadCheck[] = [neverWeighed, notPlaced, standsInTheWay, tiesKept];
