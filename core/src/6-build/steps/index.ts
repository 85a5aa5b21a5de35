/** All makers of build steps; written by scripts/lists.mjs from the files in this folder. */
import type { StepMaker } from '../step';
import { balancing } from './balancing';
import { bending } from './bending';
import { connecting } from './connecting';
import { cutting } from './cutting';
import { drilling } from './drilling';
import { dryFitting } from './dryFitting';
import { flattening } from './flattening';
import { hangingLast } from './hangingLast';
import { joining } from './joining';
import { marking } from './marking';

export const STEP_MAKERS: readonly StepMaker[] = [
  balancing,
  bending,
  connecting,
  cutting,
  drilling,
  dryFitting,
  flattening,
  hangingLast,
  joining,
  marking,
];
