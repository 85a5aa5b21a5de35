/** Strength: for now screws, pins and clamped faces; beams come with the strength stage. */
export {
  requiredEngagement,
  screwFit,
  stackHeight,
  suitableLengths,
  withFewestWashers,
  type Socket,
} from './screwStack';
export { preload, slipTwist } from './clampedRing';
