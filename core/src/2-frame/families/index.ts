/** All rig families; written by scripts/lists.mjs from the files in this folder. */
import type { Family } from '../family';
import { gimballedBentBar } from './gimballedBentBar';

export const FAMILIES: readonly Family[] = [gimballedBentBar];
