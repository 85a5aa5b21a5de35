/** All checks of the frame; written by scripts/lists.mjs from the files in this folder. */
import type { FrameCheck } from '../frameCheck';
import { bendTooTight } from './bendTooTight';
import { cameraBumps } from './cameraBumps';
import { cameraScrewLength } from './cameraScrewLength';
import { doorsFree } from './doorsFree';
import { faceInFrame } from './faceInFrame';
import { fingersRoom } from './fingersRoom';
import { fittingsMeet } from './fittingsMeet';
import { heldInSocket } from './heldInSocket';
import { heldTogether } from './heldTogether';
import { holeInBar } from './holeInBar';
import { holeNearEnd } from './holeNearEnd';
import { holesMeet } from './holesMeet';
import { howHeld } from './howHeld';
import { inShot } from './inShot';
import { loadInJaws } from './loadInJaws';
import { longerThanSold } from './longerThanSold';
import { noFitting } from './noFitting';
import { partsWithoutMass } from './partsWithoutMass';
import { pinThroughTube } from './pinThroughTube';
import { playInPicture } from './playInPicture';
import { sharpEnds } from './sharpEnds';
import { sweptClear } from './sweptClear';
import { threadsUnderSlide } from './threadsUnderSlide';
import { weightMeetsLegs } from './weightMeetsLegs';

export const FRAME_CHECKS: readonly FrameCheck[] = [
  bendTooTight,
  cameraBumps,
  cameraScrewLength,
  doorsFree,
  faceInFrame,
  fingersRoom,
  fittingsMeet,
  heldInSocket,
  heldTogether,
  holeInBar,
  holeNearEnd,
  holesMeet,
  howHeld,
  inShot,
  loadInJaws,
  longerThanSold,
  noFitting,
  partsWithoutMass,
  pinThroughTube,
  playInPicture,
  sharpEnds,
  sweptClear,
  threadsUnderSlide,
  weightMeetsLegs,
];
