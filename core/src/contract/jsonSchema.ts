/** The published JSON Schema of the rig file, made from the Zod schemas. Not for the browser: it is written to docs/. */
import * as z from 'zod';
import { rigFile } from './rigFile';

export const rigFileJsonSchema = (): unknown => ({
  title: 'Tide Pebble rig file',
  description: 'SI units throughout: m, kg, rad, N m. Axes: x forward, y to the camera’s left, z up.',
  ...z.toJSONSchema(rigFile, { io: 'input' }),
});
