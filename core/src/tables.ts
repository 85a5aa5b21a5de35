/** Kit and loadouts in and out of tables and files: a door of its own (`@tide-pebble/core/tables`), fetched when a list is brought in or taken out. */
export * from './contract/tables';
