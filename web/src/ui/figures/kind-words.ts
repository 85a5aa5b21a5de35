/** What each kind of document is called. */
import type { DocumentKind } from '@tide-pebble/core';

export const KIND_WORDS: Readonly<Record<DocumentKind, string>> = {
  rig: 'rig',
  kit: 'kit item',
  loadout: 'loadout',
  setup: 'set-up',
  log: 'log entry',
  bin: 'thing in the bin',
  size: 'size of your own',
  walk: 'walk',
};
