/** How a rig bends, rings and holds. A door of its own (`@tide-pebble/core/strength`), fetched by that stage. */
export * from './4-strength';
export { strengthReport, USUAL_BUMP, type StrengthReport } from './9-design/strengthReport';
