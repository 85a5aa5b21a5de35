/** A whole job, told on the rig that is on the bench: where to look, what it means, what to press. */
export interface ExampleStep {
  readonly path: string;
  /** What is pointed at: the first that is there. */
  readonly at: string;
  readonly says: string;
  /** Pressed when the maker asks to be shown; undo takes back what it changes. */
  readonly presses?: true;
}

export const EXAMPLE: readonly ExampleStep[] = [
  {
    path: 'load',
    at: 'tp-loadout-panel',
    says: 'Everything begins with what is carried. Here stands what is on the rig: each thing with its mass and its place.',
  },
  {
    path: 'load',
    at: 'tp-cover-panel',
    says: 'How well the mass centre is known, and what to measure next. A minute on the scale now saves an evening later.',
  },
  {
    path: 'frame',
    at: 'tp-rig-views',
    says: 'The rig, drawn from the same figures it is built from. Touch a piece to change it; sizes stand in the column.',
  },
  {
    path: 'balance',
    at: 'tp-verdict, tp-finding-card',
    says: 'One answer first: does it balance, and how sure is that. Below it, why, and what to do.',
  },
  {
    path: 'balance',
    at: '.action button',
    says: 'The set-up is worked out here: how many washers, how far each slide, proven the lightest.',
    presses: true,
  },
  {
    path: 'balance',
    at: 'tp-tide-line',
    says: 'The tide line stays at the foot of every stage. A pebble in its pool is a figure as you want it. Touch one to ask why.',
  },
  {
    path: 'strength',
    at: '.readouts, .sheet',
    says: 'Balanced is not yet firm: here it bends and rings before a bar is cut, and you see what each change would buy.',
  },
  {
    path: 'stock',
    at: '.lines, tp-bar-sheet',
    says: 'What to cut from which bar, with each hole, and what to buy. What lies in your bin is taken first.',
  },
  {
    path: 'build',
    at: '.steps',
    says: 'Step by step, in an order that can be done. Tick what is done; type what came out otherwise.',
  },
  {
    path: 'field',
    at: 'main',
    says: 'The card goes along. It tells how the rig is set for what you carry, and what to look at before each take.',
  },
  {
    path: 'log',
    at: 'main',
    says: 'Hang it, time the drop, write it down. From one reading the next move is worked out, and the next version is better.',
  },
];
