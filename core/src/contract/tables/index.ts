/** Tables and files of kit and loadouts, in and out. */
export { KIT_COLUMNS, heldOf, kitRow, readKitTable, type Held } from './kitTable';
export { LOADOUT_COLUMNS, loadoutRows, readLoadoutTable } from './loadoutTable';
export { kitFile, kitFileOf, parseKitFile, standingOf, type KitFile } from './kitFile';
export {
  matchHeadings,
  rawTable,
  USUAL_OPTIONS,
  type CellFault,
  type Column,
  type ImportRow,
  type Matched,
  type RawTable,
  type Standing,
  type TableOptions,
} from './table';
