/** Was it steady: turns read from a gyro or a clip, and what they say of a rig. A door of its own (`@tide-pebble/core/steady`), fetched when a walk is brought in. */
export * from './8-log/steady';
export { walking } from './3-balance/swing/steadiness';
