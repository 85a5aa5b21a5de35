/** The families with what their connections bring: what is said of pieces in their files is built whole. */
import { withHardware } from './connections/withHardware';
import { STATED_FAMILIES } from './families';
import type { Family } from './family';

export const FAMILIES: readonly Family[] = STATED_FAMILIES.map((family) => ({
  ...family,
  build: (input) => withHardware(family.build(input)),
}));
