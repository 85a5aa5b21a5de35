/** All things done to a rig that it has to bear; written by scripts/lists.mjs from the files in this folder. */
import type { StrengthCase } from '../strengthCase';
import { bump } from './bump';
import { pulled } from './pulled';
import { setDown } from './setDown';
import { spun } from './spun';
import { stumble } from './stumble';

export const STRENGTH_CASES: readonly StrengthCase[] = [bump, pulled, setDown, spun, stumble];
