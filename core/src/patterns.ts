/** Full-size patterns, jigs to print, and the sheets they are printed on. A door of its own (`@tide-pebble/core/patterns`), fetched by the sheet that shows them and the worker that draws them. */
export * from './6-build/patterns';
export { castJig, jigsOf, type Jig } from './6-build/jigs';
