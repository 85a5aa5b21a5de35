/** The published JSON Schemas of the open files, made from the Zod schemas. Not for the browser: they are written to docs/. */
import * as z from 'zod';
import { rigFile } from './rigFile';
import { kitFile } from './tables';
import { whole } from './whole';

const UNITS = 'SI units throughout: m, kg, rad, N m. Axes: x forward, y to the camera’s left, z up.';

export const rigFileJsonSchema = (): unknown => ({
  title: 'Tide Pebble rig file',
  description: UNITS,
  ...z.toJSONSchema(rigFile, { io: 'input' }),
});

export const kitFileJsonSchema = (): unknown => ({
  title: 'Tide Pebble kit file',
  description: `Kit and loadouts. ${UNITS}`,
  ...z.toJSONSchema(kitFile, { io: 'input' }),
});

export const wholeJsonSchema = (): unknown => ({
  title: 'Tide Pebble whole rig',
  description: `What \`npm run -s whole\` prints. ${UNITS}`,
  ...z.toJSONSchema(whole),
});
