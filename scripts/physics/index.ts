/** All kinds of physics case; written by scripts/lists.mjs from the files in this folder. */
import type { CaseKind } from '../physicsCase';
import { cutLength } from './cutLength';
import { dropTime } from './dropTime';
import { dropTimeWanted } from './dropTimeWanted';
import { equivalentPendulum } from './equivalentPendulum';
import { frameFraction } from './frameFraction';
import { hang } from './hang';
import { loadouts } from './loadouts';
import { massCentreByMeasurement } from './massCentreByMeasurement';
import { moments } from './moments';
import { nest } from './nest';
import { screwStack } from './screwStack';
import { shapeOfBend } from './shapeOfBend';
import { uncertainty } from './uncertainty';

export const KINDS: readonly CaseKind[] = [cutLength, dropTime, dropTimeWanted, equivalentPendulum, frameFraction, hang, loadouts, massCentreByMeasurement, moments, nest, screwStack, shapeOfBend, uncertainty];
