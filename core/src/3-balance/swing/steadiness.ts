/** What a viewer sees of a rig in use: turns and bob in a walk, a start, a turn and a gust, beside the bare camera in the same hands. */
import { DEGREE, figure, fromTo, say, type Phrase } from '../../0-base';
import type { Assembly } from '../../2-frame';
import type { BalanceContext } from '../balanceCheck';
import { bobPassed, type Firmness } from '../borne/held/handSprings';
import type { Readout } from '../borne/way';
import { MOTIONS, type Motion } from './motions';
import { SMALL, sway, type Sway } from './sway';
import { bareSwinger, swingerOf } from './swinger';

export interface Seen {
  readonly motion: Motion;
  readonly rig: Sway;
  readonly bare: Sway;
}

const motionOf = (id: string): Motion => MOTIONS.find((m) => m.id === id)!;
const WALK = motionOf('walk');
const OTHERS = ['start', 'pan', 'gust'].map(motionOf);
/** Without a lens that is known: a middling one. */
const USUAL_WIDTH = 40 * DEGREE;
/** Steps a second, and the shoulder's own bob in them, m: what 1.9 m/s² at that pace makes. */
const PACE = 1.8;
const BOB = 1.9 / (2 * Math.PI * PACE) ** 2;

/** Null where nothing swings in a hand: a pole, a rig on the body, what turns over, or no camera on it. */
export function seenIn(motion: Motion, context: BalanceContext, firmness: Firmness = 'usual'): Seen | null {
  const { assembly, values, evaluation } = context;
  // On shoulder and chest the body's own sway leads: that no spring of a wrist tells.
  if (evaluation.held[0]?.bears.length && !evaluation.hung) return null;
  const own = swingerOf(assembly, values, evaluation, firmness);
  const bare = bareSway(motion, context, firmness);
  return own && bare ? { motion, rig: sway(own, motion), bare } : null;
}

/** The camera alone is the same wherever the slides stand: followed once a rig. */
const bareSways = new WeakMap<Assembly, Map<string, Sway | null>>();
function bareSway(motion: Motion, { assembly, values, evaluation }: BalanceContext, firmness: Firmness): Sway | null {
  const known = bareSways.get(assembly) ?? new Map<string, Sway | null>();
  bareSways.set(assembly, known);
  const key = `${motion.id} ${firmness}`;
  const before = known.get(key);
  if (before !== undefined) return before;
  const bare = bareSwinger(assembly, values, evaluation, firmness);
  const found = bare && sway(bare, motion);
  known.set(key, found);
  return found;
}

export const walking = (context: BalanceContext): Seen | null => seenIn(WALK, context);

/** Share of the picture's width that a turn shifts it by, for the longest lens on it. */
export function ofPicture(angle: number, { cones }: Pick<BalanceContext, 'cones'>): number {
  const across = cones.length > 0 ? Math.min(...cones.map((c) => c.long.across)) : USUAL_WIDTH;
  return Math.min(1, Math.tan(Math.min(angle, 1.5)) / (2 * Math.tan(across / 2)));
}

export function steadinessReadouts(context: BalanceContext): readonly Readout[] {
  if (context.evaluation.loadMass === 0) return [];
  const walk = walking(context);
  if (!walk) return [];
  const [slack, firm] = (['slack', 'firm'] as const).map((f) => seenIn(WALK, context, f)!);
  return [
    {
      id: 'steadiness',
      name: 'What is seen of it, beside the bare camera in the same hands',
      lines: [
        seenWords(walk, context),
        ...OTHERS.map((m) => seenWords(seenIn(m, context)!, context)),
        ...bobWords(context),
        say`Hands from slack to firm: walking, nose ${range(slack!.rig.pitch, firm!.rig.pitch)}, the bare camera ${range(slack!.bare.pitch, firm!.bare.pitch)}. For small turns; Swing plays them in full.`,
      ],
    },
  ];

  function range(a: number, b: number): string {
    const [least, most] = [Math.min(a, b), Math.max(a, b)].map((x) => (x / DEGREE).toFixed(1)) as [string, string];
    return least === most ? `${least}°` : `${least}° to ${most}°`;
  }
}

/** “Walk: nose 0.4° and 1 % of the picture (bare camera 1.1°), horizon 0.3° (0.9°).” */
function seenWords({ motion, rig, bare }: Seen, context: BalanceContext): Phrase {
  const angle = (x: number): Phrase => (x > SMALL ? ['far over'] : [figure('angle', x)]);
  const one = (name: string, own: number, other: number, first: boolean): Phrase => [
    `${name} `,
    ...angle(own),
    ...(first && own <= SMALL
      ? say`, ${figure('percent', ofPicture(own, context), ofPicture(own, context) < 0.1 ? 1 : 0)} of the picture`
      : []),
    first ? ' (bare camera ' : ' (',
    ...angle(other),
    ')',
  ];
  const told: readonly Phrase[] =
    (motion.motion.turns?.length ?? 0) > 0
      ? [one('pan', rig.pan, bare.pan, true)]
      : motion.motion.gusts?.length
        ? [one('horizon', rig.roll, bare.roll, true)]
        : [one('nose', rig.pitch, bare.pitch, true), one('horizon', rig.roll, bare.roll, false)];
  return [`${motion.name}: `, ...told.flatMap((t, i) => (i > 0 ? ['; ', ...t] : t)), '.'];
}

/** A frame that turns less bobs as much: the arms under it are the same. */
function bobWords({ evaluation }: BalanceContext): readonly Phrase[] {
  const hands = Math.max(1, evaluation.held[0]?.hands.length ?? 1);
  const bob = (mass: number): Phrase => {
    const both = (['slack', 'firm'] as const).map((f) => BOB * bobPassed(mass, hands, PACE, f));
    return fromTo('length', Math.min(...both), Math.max(...both), 0);
  };
  return [
    [
      'It bobs by ',
      ...bob(evaluation.mass),
      ' each way with every step, the bare camera by ',
      ...bob(evaluation.loadMass),
      ': no frame takes that away, soft knees do.',
    ],
  ];
}
