/** All makers of build steps; written by scripts/lists.mjs from the files in this folder. */
import type { StepMaker } from '../step';
import { balancing } from './balancing';
import { bending } from './bending';
import { cutting } from './cutting';
import { drilling } from './drilling';
import { drillingParts } from './drillingParts';
import { dryFitting } from './dryFitting';
import { finishing } from './finishing';
import { flattening } from './flattening';
import { hanging } from './hanging';
import { hangingLast } from './hangingLast';
import { joining } from './joining';
import { marking } from './marking';
import { printing } from './printing';
import { sawingOut } from './sawingOut';
import { shaping } from './shaping';

export const STEP_MAKERS: readonly StepMaker[] = [
  balancing,
  bending,
  cutting,
  drilling,
  drillingParts,
  dryFitting,
  finishing,
  flattening,
  hanging,
  hangingLast,
  joining,
  marking,
  printing,
  sawingOut,
  shaping,
];
