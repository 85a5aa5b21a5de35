/** Tables and files of kit, loadouts and the bin, in and out. */
export { BIN_COLUMNS, binRow, readBinTable } from './binTable';
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
