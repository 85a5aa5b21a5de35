/** What one reading by itself most likely comes from: of all figures that are unsure, the one that need be off least. */
import type { Phrase } from '../../0-base';
import { learnFrom, type LearnInput, type LearnOutcome } from './learnFrom';
import { impossibleWords, lessonWords, suspectWords, unexplainedWords } from './learnWords';

export type LikelyCauseInput = Omit<LearnInput, 'values' | 'bin'>;

/** Off by one of its own standard uncertainties: less than that is no cause of anything. */
const TOLD_FROM = 1;

/** One for each entry, in their order; empty where what was read is as it should be, or tells nothing of a cause. */
export const likelyCauses = ({ entries, ...of }: LikelyCauseInput): readonly Phrase[] =>
  entries.map((entry) => told(learnFrom({ ...of, bin: [], values: entry.values, entries: [entry] })));

function told(outcome: LearnOutcome): Phrase {
  if (outcome.kind === 'cannotBe') return impossibleWords(outcome.why);
  if (outcome.kind !== 'learned') return [];
  if (outcome.suspect) return suspectWords(outcome.suspect);
  const [first] = outcome.lessons;
  const rest = unexplainedWords(outcome.unexplained);
  if (first && Math.abs(first.spreads) >= TOLD_FROM) return ['Likeliest cause. ', ...lessonWords(first)];
  return rest;
}
