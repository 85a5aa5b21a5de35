/** A rig on shoulder, chest and hands at once: what each bears, and whether pushing can hold it at all. */
import { figure, noGauge, say, type Gauge, type Vec3 } from '../../../0-base';
import { moveSums } from '../../../1-load';
import { valuesInOrder } from '../../../2-frame';
import type { BalanceContext } from '../../balanceCheck';
import { shareOfBuilds } from '../../spread/builds';
import { spreadOf } from '../../spread/spread';
import type { HeldPose } from '../held/held';
import { handReadings } from '../held/handReadings';
import { holdGauge } from '../held/heldGauges';
import { heldReadouts } from '../held/heldReadouts';
import { HOLD } from '../held/heldWants';
import { holdTimeWords } from '../held/holdWords';
import { holdFor } from '../held/wantsOfHands';
import { fromHandWords, placeWords } from '../held/wristSpread';
import type { Odds, Way } from '../way';
import { fallsWay, SIDES_SHORT } from '../words';
import { WASHERS_AT_MOST } from '../wantsOfAny';
import { wornIn } from './worn';

const CODES = ['cannotBeHeld', 'overComfort', 'idleHand'];
/** Less than this is nothing, N. */
const NOTHING = 0.05;

export const worn: Way = {
  id: 'worn',
  bears: ({ held: [first] }) => first !== undefined && (first.bears.length > 0 || first.falls !== null),
  willBear: (_rig, support) => support.kind === 'hands' && support.hands.some((h) => h.kind !== 'hand'),
  gauges: ({
    evaluation: {
      held: [pose],
    },
    wants,
  }) => [
    { gauge: bearing(pose, 'Hands', true), title: 'What the hands bear; an estimate', codes: CODES, wants: [] },
    {
      gauge: bearing(pose, 'Body', false),
      title: 'What shoulder and chest bear; an estimate',
      codes: CODES,
      wants: [],
    },
    holdGauge(pose, holdFor(wants)),
  ],
  wants: [HOLD, WASHERS_AT_MOST],
  aim: () => say`its mass over the shoulder, a hair ahead`,
  odds: wornOdds,
  readouts: heldReadouts,
  after: ({ quick }, adjuster, values) => fromHandWords(quick?.at(values).fromPivot ?? null, adjuster, 'shoulder'),
  placesHeading: 'Where each loadout lies over the shoulder',
  plusMinus: () => [],
  readings: handReadings,
  learned: (from, spread) => placeWords(from, spread, 'shoulder'),
  firstReading: 'Put it on as you wear it, a luggage scale on each grip, and type what you read.',
  card: ({
    evaluation: {
      held: [first],
    },
  }) => {
    if (!first) return [];
    if (first.falls) return [{ figure: ['falls'], rest: [`cannot be held: ${first.pose.name.toLowerCase()}`] }];
    const most = first.bears.reduce((a, b) => (b.share > a.share ? b : a));
    return [
      {
        figure: [figure('force', most.size, 0)],
        rest: say`on the ${most.contact.name}, ${figure('percent', most.share, 0)} of what is comfortable`,
      },
      {
        figure: holdTimeWords(first.holds),
        rest: [
          first.holds.kind === 'tooMuch' ? `can the ${first.tires} hold it` : `is how long the ${first.tires} holds it`,
        ],
      },
    ];
  },
  buildsCan: 'can be set with their mass over the shoulder; the others want more travel, or another weight.',
  lastStep: {
    title: 'Mount the camera as it will shoot, put the rig on, and set camera and weight',
    check: 'Let go with both hands, it stays on the shoulder; the hands only steer.',
  },
  noPan: 'A pan is asked of a rig that hangs on a joint; this one is on your shoulder, and turns as you do.',
  noSwing: () => 'Nobody wears it yet: give it a pose in Frame.',
};

function bearing(pose: HeldPose | undefined, name: string, ofHands: boolean): Gauge {
  if (!pose) return noGauge(name);
  if (pose.falls)
    return { name, figure: ['falls'], rest: [fallsWay(pose.falls, SIDES_SHORT)], pebble: 1, pool: [0, 0.5], out: true };
  const these = pose.bears.filter((b) => (b.contact.kind === 'hand') === ofHands);
  const most = these.reduce<(typeof these)[number] | null>((a, b) => (a && a.share >= b.share ? a : b), null);
  return {
    name,
    figure: [figure('force', most?.size ?? 0, 1)],
    rest:
      most && most.size > NOTHING ? say`${most.contact.name}, ${figure('percent', most.share, 0)}` : ['carry nothing'],
    pebble: Math.min(1, (most?.share ?? 0) / 2),
    pool: [0, 0.5],
    out: (most?.share ?? 0) > 1,
  };
}

/** What each bears bends a little where a contact takes hold or lets go: over so small a shift it is taken as straight, m. */
const LOOK = 0.001;

function wornOdds({ assembly: { rig }, values, evaluation, hands }: BalanceContext): Odds {
  const words = {
    title: say`Shoulder, chest and hands bear it within what is comfortable.`,
    does: 'be comfortable to wear',
    mayNot: say`It should be comfortable to wear, but may not: put it on before you trust it.`,
    hardly: say`By these figures alone it will hardly be comfortable: put it on, and move the weight till it is.`,
    besides: [say`What each contact bears is an estimate: the share that asks least of all together.`],
  };
  const [first] = evaluation.held;
  if (!first || first.falls) return { ...words, holds: first ? 0 : null };
  const { sums, pieces } = evaluation;
  const inOrder = valuesInOrder(rig, values);
  const shares = (by: Vec3): readonly number[] =>
    wornIn(rig, inOrder, moveSums(sums, by), hands)
      .find((p) => p.pose.id === first.pose.id)
      ?.bears.map((b) => b.share) ?? [];
  const now = first.bears.map((b) => b.share);
  const ways = (
    [
      [LOOK, 0, 0],
      [0, LOOK, 0],
      [0, 0, LOOK],
    ] as const
  ).map(shares);
  const { covariance } = spreadOf(
    pieces.map((p) => p.flat),
    sums,
    [0, 0, 0],
  );
  // A shift that lets it fall is not straight: then the odds are not told.
  if (ways.some((w) => w.length !== now.length)) return { ...words, holds: null };
  return {
    ...words,
    holds: shareOfBuilds(covariance, (dx, dy, dz) =>
      now.every(
        (share, i) =>
          share + ((ways[0]![i]! - share) * dx + (ways[1]![i]! - share) * dy + (ways[2]![i]! - share) * dz) / LOOK <=
          1 + 1e-9,
      ),
    ),
  };
}
