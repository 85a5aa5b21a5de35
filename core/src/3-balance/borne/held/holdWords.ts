/** How long a pose can be held, in words: the same on the bench, the card and the shelf. */
import { figure, fromTo, say, type Phrase } from '../../../0-base';
import type { Endurance, Tires } from './endurance';

const MINUTE = 60;
const NAMES: Readonly<Record<Tires, string>> = { wrist: 'wrist', shoulder: 'shoulder', pad: 'shoulder under the pad' };

/** The time alone: “an hour and more”, “roughly 3 min to 12 min”. */
export function holdTimeWords(holds: Endurance): Phrase {
  switch (holds.kind) {
    case 'tooMuch':
      return ['not at all'];
    case 'anHour':
      return ['an hour and more'];
    case 'minutes':
      return ['roughly ', ...fromTo('time', holds.least * MINUTE, holds.most * MINUTE, 0)];
  }
}

/** What gives out first, and when. */
export function holdWords({ holds, tires }: { readonly holds: Endurance; readonly tires: Tires }): Phrase {
  const name = NAMES[tires];
  switch (holds.kind) {
    case 'tooMuch':
      return say`More than the ${name} can hold.`;
    case 'anHour':
      return say`An hour and more: ${figure('percent', holds.share, 0)} of what the ${name} can do, less than was ever measured to the end.`;
    case 'minutes':
      return [
        `The ${name} gives out first, after `,
        ...holdTimeWords(holds),
        holds.measured ? '.' : ', further than was measured.',
      ];
  }
}
