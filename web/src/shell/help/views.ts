/** What each view is for: the question it answers, what to do there, its keys. One line a view; the help and the palette read it. */
export interface View {
  /** Its address without the first stroke. */
  readonly path: string;
  readonly title: string;
  readonly answers: string;
  readonly toDo: readonly string[];
  readonly keys?: readonly (readonly [string, string])[];
}

export const VIEWS: readonly View[] = [
  {
    path: 'shelf',
    title: 'Shelf',
    answers: 'Which rigs there are, how each of them stands, and which is on the bench.',
    toDo: [
      'Put a rig on the bench.',
      'Start another: by the shots, by four questions, or from all of them, drawn.',
      'Take a backup.',
    ],
  },
  {
    path: 'shelf/first',
    title: 'Four questions, three rigs',
    answers: 'Which three rigs suit your shots, your camera, your bin and your time, ready to be built.',
    toDo: ['Answer as far as you know; guesses are told as guesses.', 'Take one of the three.'],
  },
  {
    path: 'shelf/all',
    title: 'All kinds, drawn',
    answers: 'What each kind of rig looks like with a load on it and in the hand, and what it is for.',
    toDo: ['Say what it is for, and how broad your hand is.', 'Start the one you know, or like the look of.'],
  },
  {
    path: 'shelf/choose',
    title: 'Choose',
    answers: 'How all kinds of rig compare for what you want to shoot, each worked out for your load.',
    toDo: ['Say what you shoot and what you have.', 'Read why one comes before the other.', 'Start one.'],
  },
  {
    path: 'load',
    title: 'Load',
    answers: 'What is carried, how heavy it is, and where its mass centre lies.',
    toDo: [
      'Add each thing once, with its mass and its size.',
      'Put together what goes out on one rig.',
      'Measure first what is least known.',
    ],
  },
  {
    path: 'frame',
    title: 'Frame',
    answers: 'How the rig looks, what it is made of, and whether its pieces have room.',
    toDo: ['Set its sizes and its stock.', 'Touch a piece to move, swap or remove it.', 'Mend what the column tells.'],
    keys: [
      ['Arrow keys', 'move what is picked by 1 mm; with Shift 10 mm'],
      ['Escape', 'let go of it'],
    ],
  },
  {
    path: 'frame/print',
    title: 'Frame on paper',
    answers: 'The drawing with its figures, to scale.',
    toDo: ['Print it, and measure the bar on it before you trust the scale.'],
  },
  {
    path: 'balance',
    title: 'Balance',
    answers: 'Whether it hangs or holds level, how slowly it swings, and what to turn by how much.',
    toDo: ['Let it be trimmed, or turn what can be turned.', 'Say what you want below.', 'Play the drop.'],
    keys: [
      ['T', 'trim it'],
      ['P', 'play the drop'],
      ['Arrow keys', 'move a slider one step'],
    ],
  },
  {
    path: 'balance/set-ups',
    title: 'Set-ups',
    answers: 'How the rig is set for each loadout, and which moves lead from one to the other.',
    toDo: ['Work out all loadouts at once.', 'Take a set-up over.'],
  },
  {
    path: 'balance/pan',
    title: 'Pan',
    answers: 'How far it leans when you turn, and which weights would keep it level.',
    toDo: ['Set how quickly you turn.', 'Take the move that helps most.'],
  },
  {
    path: 'balance/swing',
    title: 'Swing',
    answers: 'How it moves in a walk, on stairs, after a stop, beside the bare camera.',
    toDo: ['Choose what the hand does, and play it.', 'Set two set-ups side by side.'],
  },
  {
    path: 'balance/accuracy',
    title: 'What must be accurate',
    answers: 'Which cut, hole or weight must be made how exactly for it to come out as wanted.',
    toDo: ['Take the most care where the list is longest.'],
  },
  {
    path: 'balance/learn',
    title: 'Learn from it',
    answers: 'What the real rig says of its drawing, and the next move.',
    toDo: ['Type what you read of the hanging rig.', 'Make the move, hang it again.'],
  },
  {
    path: 'strength',
    title: 'Strength',
    answers: 'Where it bends, how it rings, what is strained most, and what each change would buy.',
    toDo: ['Look at the slowest ringing.', 'Try every change; take the cheapest that is enough.'],
  },
  {
    path: 'stock',
    title: 'Stock',
    answers: 'What to cut from which bar, what lies in the bin, and what to buy for how much.',
    toDo: ['Type what you have.', 'Take the list to the shop.', 'Mark the cuts in the order they are drawn.'],
  },
  {
    path: 'stock/bin',
    title: 'Your bin',
    answers:
      'What lies at hand, where, and which rig wants it; what is built into this rig, and what of it would come back.',
    toDo: [
      'Count what you have.',
      'Say where it lies.',
      'Tick steps in Build: pieces leave the bin, offcuts come back.',
    ],
  },
  {
    path: 'stock/trip',
    title: 'Shopping trip',
    answers: 'What is missing for one rig or several, by the kind of shop that has it.',
    toDo: ['Pick the rigs you shop for.', 'Tick each thing at the shelf.', 'Put what is ticked into the bin.'],
  },
  {
    path: 'stock/sheets',
    title: 'Out of sheets',
    answers: 'How plates and boards come out of as few sheets as can be, with the grain kept.',
    toDo: ['Pick the rigs you saw for.', 'Type the size of your sheet.', 'Mark the pieces as they are drawn, and saw.'],
  },
  {
    path: 'build',
    title: 'Build',
    answers: 'In which order it goes together, with which tool, and when it will be done.',
    toDo: [
      'Lay out what a step asks for.',
      'Do it, check it, tick it.',
      'Type what came out otherwise: the rest follows.',
    ],
  },
  {
    path: 'build/patterns',
    title: 'Patterns at full size',
    answers: 'Each piece, bend and hole on paper, to lie on the work.',
    toDo: ['Choose the paper.', 'Print at 100 %, measure the bar, cut it out.'],
  },
  {
    path: 'build/sheets',
    title: 'A sheet for each evening',
    answers: 'What is done on each evening, on paper.',
    toDo: ['Print it, and hang it over the bench.'],
  },
  {
    path: 'field',
    title: 'Field',
    answers: 'How the rig is set up on the spot, and what to look at before each take.',
    toDo: ['Follow the card from the top.', 'Press the button when the real rig disagrees.'],
  },
  {
    path: 'field/hang',
    title: 'Set it and read it',
    answers: 'What is set in which order, what the rig then does, and what is moved next till it is right.',
    toDo: ['Tick off what is set.', 'Read it, by phone, watch or eye, and keep the reading.', 'Make the next move.'],
    keys: [['Space', 'start and stop the watch']],
  },
  {
    path: 'field/carry',
    title: 'How to carry it',
    answers: 'Which habits of the hand and the feet matter with this rig, in its own figures, and how each is trained.',
    toDo: ['Take one drill a day.', 'Measure it by three walks, or time a hold.'],
  },
  {
    path: 'field/handling',
    title: 'Pack it and set it up',
    answers:
      'What goes into the bag, whether it fits, what setting up takes by your own watch, and what would spare most.',
    toDo: ['Tick off what is packed.', 'Time it once, step by step.', 'Change what takes longest.'],
  },
  {
    path: 'field/phones',
    title: 'On a phone',
    answers: 'How a phone of the house reads the cards and keeps readings, and which phones may.',
    toDo: ['Make a code, and let the phone read it.', 'Let a phone go that is lost or lent.'],
  },
  {
    path: 'log',
    title: 'Log',
    answers: 'What was found with the real rig, beside what was expected.',
    toDo: ['Time the drop.', 'Write down what you saw and what to try next.'],
    keys: [['Space', 'start and stop the watch']],
  },
  {
    path: 'log/versions',
    title: 'Versions',
    answers: 'What was changed from one version of a rig to the next, and what it did to it.',
    toDo: ['Take up what the log wishes.', 'Begin the next version, with a cure made or as it is.'],
  },
  {
    path: 'log/steady',
    title: 'Was it steady?',
    answers: 'How much the picture shook on a walk, beside the bare camera, another loadout or what Swing foretold.',
    toDo: [
      'Walk the same path at the same pace, three times with the rig and three with the bare camera.',
      'Bring in the clips, or the gyro’s logs.',
      'Read which shakes less, and at which pace the rest comes.',
    ],
  },
];

/** Of a sheet that is not listed, its stage's. */
export function viewAt(url: string): View {
  const path = url.split(/[?#]/)[0]!.replace(/^\//, '');
  return VIEWS.find((v) => v.path === path) ?? VIEWS.find((v) => v.path === path.split('/')[0]) ?? VIEWS[0]!;
}

export const KEYS_EVERYWHERE: readonly (readonly [string, string])[] = [
  ['Ctrl K', 'find anything: a rig, a part, a stage, a word'],
  ['Alt 1 … Alt 9', 'go to a stage, Shelf to Log'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Y, Ctrl Shift Z', 'do again'],
  ['U', 'millimetres or inches'],
  ['Enter', 'take what you typed'],
  ['Escape', 'give back what was there; close'],
  ['?', 'this help'],
];
