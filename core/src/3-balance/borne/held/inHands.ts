/** A rig that the hands hold rigidly: what tips in the wrist, how long it lasts, where each hand comes. */
import { figure, say } from '../../../0-base';
import type { Way } from '../way';
import { handReadings } from './handReadings';
import { heldGauges } from './heldGauges';
import { heldOdds } from './heldOdds';
import { heldReadouts } from './heldReadouts';
import { HELD_WANTS } from './heldWants';
import { holdTimeWords } from './holdWords';
import { fromHandWords, placeWords, wristSpread } from './wristSpread';
import { wristAtMost } from './wantsOfHands';

export const held: Way = {
  id: 'held',
  bears: ({ held: [first] }) => first !== undefined && first.bears.length === 0 && first.falls === null,
  willBear: (_rig, support) => support.kind === 'hands',
  gauges: heldGauges,
  wants: HELD_WANTS,
  aim: (wants) => say`nothing tips in the wrist; at most ${figure('torque', wristAtMost(wants))}`,
  odds: heldOdds,
  readouts: heldReadouts,
  after: ({ quick }, adjuster, values) => fromHandWords(quick?.at(values).fromPivot ?? null, adjuster, 'hand'),
  placesHeading: 'Where each loadout lies over the hand',
  plusMinus: (context) => wristSpread(context),
  readings: handReadings,
  learned: (from, spread) => placeWords(from, spread, 'hand'),
  firstReading: 'Lay it across a finger, or put a luggage scale under each grip, and type what you read.',
  card: ({ evaluation }) => {
    const [first] = evaluation.held;
    if (!first) return [];
    const most = Math.max(0, ...first.hands.map((h) => Math.hypot(h.noseDown, h.leftSideDown)));
    // What hangs on a joint, or is balanced on its axes, tips no wrist: then the time alone is told.
    const rigid = evaluation.fromSupport !== null && !evaluation.hung && evaluation.axes.length === 0;
    return [
      ...(rigid
        ? [{ figure: [figure('torque', most)], rest: [`tips in the wrist: ${first.pose.name.toLowerCase()}`] }]
        : []),
      {
        figure: holdTimeWords(first.holds),
        rest: [
          first.holds.kind === 'tooMuch' ? `can the ${first.tires} hold it` : `is how long the ${first.tires} holds it`,
        ],
      },
    ];
  },
  buildsCan: 'can be set so that the wrist carries no more than you want; the others want more travel, or weight.',
  lastStep: {
    title: 'Mount the camera as it will shoot, and find how it lies in the hand',
    check: 'Held as you will hold it, nothing tips more than the wrist likes; mark where the hand goes.',
  },
  noPan: 'A pan is asked of a rig that hangs on a joint; this one is held fast, and turns as your hand does.',
  noSwing: () => 'Nobody holds it yet: give it a hand in Frame.',
};
