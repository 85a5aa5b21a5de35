/** All kinds of physics case; written by scripts/lists.mjs from the files in this folder. */
import type { CaseKind } from '../physicsCase';
import { axesInsideAxes } from './axesInsideAxes';
import { buckling } from './buckling';
import { clipMotion } from './clipMotion';
import { contacts } from './contacts';
import { counterweights } from './counterweights';
import { cutLength } from './cutLength';
import { dropTime } from './dropTime';
import { dropTimeWanted } from './dropTimeWanted';
import { endurance } from './endurance';
import { equivalentPendulum } from './equivalentPendulum';
import { fastenerMass } from './fastenerMass';
import { footfallResponse } from './footfallResponse';
import { frameFraction } from './frameFraction';
import { frameModes } from './frameModes';
import { frameStatic } from './frameStatic';
import { gyroLog } from './gyroLog';
import { hang } from './hang';
import { heldBoom } from './heldBoom';
import { loadouts } from './loadouts';
import { massCentreByMeasurement } from './massCentreByMeasurement';
import { moments } from './moments';
import { nest } from './nest';
import { panLean } from './panLean';
import { pushResponse } from './pushResponse';
import { rigidHandleTorque } from './rigidHandleTorque';
import { ringing } from './ringing';
import { schedule } from './schedule';
import { screwStack } from './screwStack';
import { semiRigidFrame } from './semiRigidFrame';
import { shapeOfBend } from './shapeOfBend';
import { sheetBound } from './sheetBound';
import { spinningPole } from './spinningPole';
import { stackUp } from './stackUp';
import { sweepClearance } from './sweepClearance';
import { tipOver } from './tipOver';
import { uncertainty } from './uncertainty';

export const KINDS: readonly CaseKind[] = [
  axesInsideAxes,
  buckling,
  clipMotion,
  contacts,
  counterweights,
  cutLength,
  dropTime,
  dropTimeWanted,
  endurance,
  equivalentPendulum,
  fastenerMass,
  footfallResponse,
  frameFraction,
  frameModes,
  frameStatic,
  gyroLog,
  hang,
  heldBoom,
  loadouts,
  massCentreByMeasurement,
  moments,
  nest,
  panLean,
  pushResponse,
  rigidHandleTorque,
  ringing,
  schedule,
  screwStack,
  semiRigidFrame,
  shapeOfBend,
  sheetBound,
  spinningPole,
  stackUp,
  sweepClearance,
  tipOver,
  uncertainty,
];
