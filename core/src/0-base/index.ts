/** Base: axes, vectors, roots, units, materials. Imported by every stage; imports none. */
export * from './axes';
export * from './vec';
export * from './rotation';
export { symmetricEigenvalues } from './eigen';
export { rootBetween, leastBetween, rootsOfQuadratic } from './roots';
export { lowerFactor } from './lowerFactor';
export { solveDefinite } from './solveDefinite';
export { evenDraws, normalDraws } from './chance';
export { sourceOf, sourceWords } from './source';
export { guardedCell, unguardedCell } from './formulaGuard';
export { ellipticK } from './ellipticK';
export { extrapolatedMidpoint } from './timeStep';
export { dominantFrequency, fourierMagnitudes } from './fourier';
export { MATERIALS, materialOf, type Material } from './materials';
export { propagate, type Uncertain } from './propagate';
export { combine, spreadOfStep } from './uncertain';
export { plainText, type Parsed } from './units/parsed';
export { INCH, parseLength, showLength, type Fraction, type LengthSystem } from './units/length';
export { drillName } from './units/drill';
export { OUNCE, POUND, parseMass, showMass } from './units/mass';
export { DEGREE, parseAngle, parseForce, parseTime, parseTorque, showAngle, showTime } from './units/angleAndTime';
export {
  decimalsApart,
  METRIC,
  figure,
  fromTo,
  render,
  say,
  showFigure,
  toldApart,
  type Figure,
  type Phrase,
  type QuantityKind,
  type UnitChoice,
} from './units/phrase';
export { noGauge, type Gauge } from './gauge';
export {
  findingKey,
  type Change,
  type Finding,
  type FindingStage,
  type Fix,
  type Judgement,
  type Severity,
} from './finding';
