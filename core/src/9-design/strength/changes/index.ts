/** All kinds of change that may stiffen a rig; written by scripts/lists.mjs from the files in this folder. */
import type { Stiffener } from '../stiffener';
import { braces } from './braces';
import { choices } from './choices';
import { cores } from './cores';
import { corners } from './corners';
import { doublers } from './doublers';
import { fittings } from './fittings';
import { screws } from './screws';
import { sizes } from './sizes';
import { stock } from './stock';

export const STIFFENERS: readonly Stiffener[] = [
  braces,
  choices,
  cores,
  corners,
  doublers,
  fittings,
  screws,
  sizes,
  stock,
];
