/** A rig taken into water, in words: does it float, which way up, what fills and drains, what would float it. */
import { figure, say, type Phrase } from '../../0-base';
import type { Rig } from '../../model';
import type { InWater, Water } from './inWater';

export interface WaterWords {
  /** Null where nothing can be told: then `toDo` says what is missing. */
  readonly verdict: Phrase | null;
  readonly more: readonly { readonly about: string | null; readonly text: Phrase }[];
}

const NAME: Readonly<Record<Water, string>> = { fresh: 'fresh water', sea: 'sea water' };
/** Nearer to hanging in the water than this many standard uncertainties, neither is said. */
const SURE = 2;
/** Level enough, rad. */
const LEVEL = 0.09;
/** As good as upside down, rad. */
const OVER = 2.4;

export function waterWords(found: InWater, water: Water, { bodies }: Pick<Rig, 'bodies'>): WaterWords {
  if (found.withoutSize.length > 0)
    return {
      verdict: null,
      more: [
        {
          about: null,
          text: say`Not known: ${found.withoutSize.join(', ')} has no size. Give it one on its sheet in Load.`,
        },
      ],
    };
  const nameOf = new Map(bodies.flatMap((b) => b.members).map((m) => [m.id, m.name]));
  const isSure = Math.abs(found.lift) > SURE * found.liftSpread;
  const off = say`${figure('mass', Math.abs(found.lift))}, give or take ${figure('mass', SURE * found.liftSpread)}`;
  const verdict: Phrase = !isSure
    ? say`In ${NAME[water]} it about hangs: whether it floats is not known. Try it on a string in a basin.`
    : found.lift > 0
      ? [
          ...say`It floats in ${NAME[water]}, lifted by `,
          ...off,
          ...say`; ${figure('percent', found.stands!, 0)} of it stays out.`,
        ]
      : [...say`It sinks in ${NAME[water]}, too heavy by `, ...off, '.'];
  return {
    verdict,
    more: [
      { about: null, text: turnsWords(found) },
      ...(found.foam > 0
        ? [
            {
              about: null,
              text: say`${figure('count', found.foam * 1000, 1)} litres of closed foam, fixed high, float it with a tenth to spare.`,
            },
          ]
        : []),
      ...found.hollows.map(({ pipes, room, isClosed, keepsAt }) => ({
        about: keepsAt ?? pipes[0] ?? null,
        text: isClosed
          ? say`The ${pipes.length === 1 ? (nameOf.get(pipes[0]!) ?? 'pipe') : 'pipework'} is closed and keeps its air: a leak takes ${figure('mass', room * 1000)} of lift.`
          : keepsAt === null
            ? say`The ${pipes.length === 1 ? (nameOf.get(pipes[0]!) ?? 'pipe') : 'pipework'} fills, and runs dry by itself when held level.`
            : say`The ${nameOf.get(keepsAt) ?? 'pipe'} keeps water: a hole of 5 mm at its lowest place lets it out.`,
      })),
      {
        about: null,
        text: say`Tether it to a hand or a float. What is mounted counts as closed: only in a housing that is rated for it.`,
      },
    ],
  };
}

function turnsWords({ turns }: InWater): Phrase {
  if (!turns) return say`Which way up it turns is not known: its lift is about where its weight is. Try it in a basin.`;
  const { by, noseDown, leftSideDown } = turns;
  if (by < LEVEL) return say`Under water it stays upright.`;
  if (by > OVER) return say`Let go under water it turns over: a float high up or a weight low down keeps it upright.`;
  const ways = [
    ...(Math.abs(noseDown) >= LEVEL
      ? [say`${figure('angle', Math.abs(noseDown), 0)} nose ${noseDown > 0 ? 'down' : 'up'}`]
      : []),
    ...(Math.abs(leftSideDown) >= LEVEL
      ? [say`${figure('angle', Math.abs(leftSideDown), 0)} ${leftSideDown > 0 ? 'left' : 'right'} side down`]
      : []),
  ];
  return [...say`Let go under water it turns `, ...ways.flatMap((w, i) => (i === 0 ? w : [' and ', ...w])), '.'];
}
