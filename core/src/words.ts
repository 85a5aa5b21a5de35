/** Figures in words, both ways: a door of its own (`@tide-pebble/core/words`), small enough for the first load. Names single files, so that nothing else comes along. */
export { plainText, type Parsed } from './0-base/units/parsed';
export { parseLength, showLength, type Fraction, type LengthSystem } from './0-base/units/length';
export { parseMass, showMass } from './0-base/units/mass';
export { parseAngle, parseForce, parseTime, parseTorque, showAngle, showTime } from './0-base/units/angleAndTime';
export { figure, render, say, showFigure, type Figure, type Phrase, type UnitChoice } from './0-base/units/phrase';
