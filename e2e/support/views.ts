/** Every view by its address, for goals that walk them all. */
export const STAGES = ['shelf', 'load', 'frame', 'balance', 'strength', 'stock', 'build', 'field', 'log'];

/** Those that speak of the rig on the bench. */
export const OF_THE_BENCH = [
  'frame',
  'frame/print',
  'balance',
  'balance/set-ups',
  'balance/pan',
  'balance/swing',
  'balance/accuracy',
  'balance/learn',
  'strength',
  'stock',
  'stock/bin',
  'stock/trip',
  'stock/sheets',
  'build',
  'build/patterns',
  'field',
  'field/carry',
  'field/handling',
  'field/hang',
  'log',
  'log/steady',
  'log/versions',
];

export const VIEWS = [
  'shelf',
  'shelf/all',
  'shelf/choose',
  'shelf/first',
  'load',
  'load/kit-heron',
  'load/kit-zoom',
  ...OF_THE_BENCH,
  'build/sheets',
  'field/phones',
];
