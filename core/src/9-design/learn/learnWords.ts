/** What was learned, in sentences. */
import { figure, say, type Figure, type Phrase } from '../../0-base';
import type { Learned, LearnOutcome, Lesson } from './learnFrom';

const capital = (text: string): string => `${text[0]!.toUpperCase()}${text.slice(1)}`;
const massFigure = (value: number): Figure => figure('mass', value, value < 0.1 ? 1 : 0);
/** Lies off by less than this, m: not told. */
const TOLD = 0.0002;

export function lessonWords({ words, spreads, mass, friction }: Lesson): Phrase {
  if (friction)
    return say`${capital(words)}: ${figure('torque', friction.to, 3)} instead of ${figure('torque', friction.from, 3)}, ± ${figure('torque', 2 * friction.spread, 3)}.`;
  if (mass)
    return say`${capital(words)}: ${massFigure(mass.to)} instead of ${massFigure(mass.from)}, ± ${figure('mass', 2 * mass.spread, 1)}.`;
  return say`${capital(words)}: off by ${figure('ratio', Math.abs(spreads), 1)} of its plus-minus.`;
}

export const suspectWords = ({ words, spreads, mass }: Lesson): Phrase =>
  mass
    ? say`Suspect: the ${words}. By these readings it is some ${massFigure(mass.to)}, and not ${massFigure(mass.from)}. Weigh it again, with all that is on it.`
    : say`Suspect: the ${words}. It would have to be off by ${figure('ratio', Math.abs(spreads), 1)} times its plus-minus. Measure it again before trusting the rest.`;

/** What no figure of the model explains; empty where that is nothing. */
export function unexplainedWords(off: Learned['unexplained']): Phrase {
  const ways = [
    ['ahead', 'behind'],
    ['to the left', 'to the right'],
    ['higher', 'lower'],
  ] as const;
  const places = ways.flatMap(([more, less], i): readonly Phrase[] =>
    Math.abs(off[i]!) < TOLD ? [] : [say`${figure('length', Math.abs(off[i]!), 1)} ${off[i]! > 0 ? more : less}`],
  );
  if (places.length === 0) return [];
  return [
    'No figure of the model explains all of it: its mass centre lies ',
    ...places.flatMap((p, i) => (i > 0 ? [', ', ...p] : p)),
    ', against what they say. A cable, a strap, paint?',
  ];
}

type CannotBe = Extract<LearnOutcome, { readonly kind: 'cannotBe' }>;

/** Of a reading that stands beside it. */
export const impossibleWords = (why: CannotBe['why']): Phrase => [
  'It cannot be: ',
  whyNot(why),
  ' Take it out of the log, or read again.',
];

export const cannotBeWords = ({ reading, why }: CannotBe): Phrase => [
  `Reading ${reading + 1} cannot be: `,
  whyNot(why),
  ' Take it out of the log, or read again.',
];

const whyNot = (why: CannotBe['why']): string =>
  why === 'mass'
    ? 'the mass is not that of this rig with this loadout. Is it the right loadout, and was the scale at zero?'
    : 'nothing of this size falls so fast. Was it held level and let go without a push?';
