/** How a rig is started and set: the solver, swings, pans, water. A door of its own (`@tide-pebble/core/bench`), fetched by the Balance stage and by workers. */
export * from './3-balance/bench';
export { holdPlaces, startRig, type HoldPlace, type Start } from './9-design/startRig';
