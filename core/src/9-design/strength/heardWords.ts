/** What a flick says, in words: heard against reckoned, the joint that explains it, and whether it bends, slips or has play. */
import { figure, say, type Phrase } from '../../0-base';
import { ringRead } from '../../3-balance';
import { jointsHeard, type HeardOutcome, type JointMoved, type JointsHeard } from '../../4-strength';
import type { AdjusterValues, Assembly } from '../../2-frame';
import type { Ringing } from '../../model';

export interface FlickInput {
  readonly assembly: Assembly;
  readonly values: AdjusterValues;
  readonly joints: JointsHeard;
  readonly rings: Ringing;
}
export interface FlickTold {
  /** As reckoned before it was heard, Hz; null: it cannot be told. */
  readonly expected: number | null;
  /** To be kept with the reading. */
  readonly joints: NonNullable<Ringing['joints']>;
  readonly says: readonly { readonly words: Phrase; readonly about: string | null }[];
}

/** Nearer than this part the two agree. */
const AGREES = 0.05;
/** Moved by more of its deviations than this a joint is not like its kind. */
const UNLIKE = 2;
const LEAST = 0.3;
const TOLD = 3;

export function flickTold({ rings, ...input }: FlickInput): FlickTold {
  const { frequency, uncertainty } = ringRead(rings);
  const outcome = jointsHeard({ ...input, frequency, uncertainty, way: rings.way ?? null });
  const dies = rings.dies ? [{ words: DIES[rings.dies], about: null }] : [];
  if (outcome.kind !== 'heard') return { expected: null, joints: [], says: [whyNot(outcome.kind), ...dies] };
  const { expected, explained, joints } = outcome;
  const agrees = Math.abs(frequency / expected - 1) < AGREES;
  const isExplained = Math.abs(frequency / explained - 1) < 2 * AGREES;
  const heard = say`Heard ${figure('frequency', frequency)}, reckoned ${figure('frequency', expected)}`;
  return {
    expected,
    joints: isExplained
      ? joints.map(({ id, name, factor, within }) => ({ join: id, name: name.slice(0, 120), factor, within }))
      : [],
    says: [
      {
        words: agrees
          ? [...heard, ': they agree. The joints are known better by it.']
          : isExplained
            ? [...heard, '. What explains it best:']
            : [
                ...heard,
                ...say`. No joint may be so far off: with all of them at their ends it would ring at ${figure('frequency', explained)}. Look whether it was another way of ringing, whether something is cracked or not done up, and whether its masses are right. Nothing is learned from it.`,
              ],
        about: null,
      },
      ...(agrees || !isExplained
        ? []
        : joints
            .filter((j) => Math.abs(j.spreads) > LEAST)
            .slice(0, TOLD)
            .map((j) => ({ words: jointWords(j), about: j.piece }))),
      ...dies,
    ],
  };
}

const jointWords = ({ name, factor, within, spreads }: JointMoved): Phrase => [
  ...say`${name}: ${figure('count', factor, factor < 1 ? 2 : 1)} times as stiff as its kind is, known within ${figure('count', within, 1)} times either way.`,
  ...(spreads < -UNLIKE ? [' That is slack: see that it is tight, whole and a close fit.'] : []),
];

const DIES: Readonly<Record<NonNullable<Ringing['dies']>, Phrase>> = {
  even: ['It keeps its pace as it dies away: it bends, nothing has play.'],
  slower: ['It slows down as it dies away: something has play. Look for a loose fit, a pin hole too large, a slide.'],
  quicker: [
    'It quickens as it dies away: something slips while it swings wide. Tighten clamps and screws, flick it again.',
  ],
};

const whyNot = (kind: Exclude<HeardOutcome['kind'], 'heard'>): FlickTold['says'][number] => ({
  words:
    kind === 'notHeld'
      ? ['Nothing says where this rig is held: give it something that holds it, on Frame.']
      : ['By its figures nothing rings that way: look again which way the picture goes.'],
  about: null,
});
