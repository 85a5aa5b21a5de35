/** Full-size patterns and the sheets they are printed on. A door of its own (`@tide-pebble/core/patterns`), fetched by the sheet that shows them and the worker that draws them. */
export * from './6-build/patterns';
