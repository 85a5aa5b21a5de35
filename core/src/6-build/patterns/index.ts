/** Patterns at full size and the sheets they are printed on. */
export { patternsOf } from './patternsOf';
export { SHARPEST, type Cope } from './kinds/cope';
export { boxOf, wide, type Box, type Ink, type Pattern, type Stroke } from './pattern';
export { inkOn, layPages, onSheet, TITLE, type Fragment, type Laid, type Pages } from './pages';
export { BAR, BELIEVABLE, FOOT, PAPERS, SIDE, USUAL_PRINTER, type PaperSize, type Printer } from './paper';
