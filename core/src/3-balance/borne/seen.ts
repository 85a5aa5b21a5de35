/** A reading in a log entry: taken out, put in, and told. */
import { figure, say, type Figure, type Phrase } from '../../0-base';
import type { LogEntry } from '../../model';
import type { ReadingKind } from './way';
import { ringRead } from './ringRead';
import { isLevel, wayOfSign } from './words';

type Seen = LogEntry['seen'];
export const NOTHING_SEEN: Seen = { dropTimes: [] };

/** Of one asked for several times, the mean; null where it was not read. */
export function seenOf(seen: Seen, { kind, about }: Pick<ReadingKind, 'kind' | 'about'>): number | null {
  switch (kind) {
    case 'dropTimes':
      return seen.dropTimes.length > 0 ? seen.dropTimes.reduce((s, t) => s + t, 0) / seen.dropTimes.length : null;
    case 'turnsOver':
      return seen.turnsOver ? 1 : null;
    case 'noseDown':
    case 'leftSideDown':
    case 'mass':
    case 'fingerAhead':
      return seen[kind] ?? null;
    default:
      return seen.others?.find((o) => o.kind === kind && o.about === about)?.value ?? null;
  }
}

/** Null takes it out again. Drop times are a list, and stay as they are. */
export function withSeen(seen: Seen, { kind, about }: Pick<ReadingKind, 'kind' | 'about'>, value: number | null): Seen {
  switch (kind) {
    case 'dropTimes':
      return seen;
    case 'turnsOver': {
      const { turnsOver: _was, ...rest } = seen;
      return value ? { ...rest, turnsOver: true } : rest;
    }
    case 'noseDown':
    case 'leftSideDown':
    case 'mass':
    case 'fingerAhead': {
      const { [kind]: _was, ...rest } = seen;
      return value === null ? rest : { ...rest, [kind]: value };
    }
    default: {
      const { others = [], ...rest } = seen;
      const left = others.filter((o) => o.kind !== kind || o.about !== about);
      const now = value === null || about === null ? left : [...left, { kind, about, value }];
      return now.length > 0 ? { ...rest, others: now } : rest;
    }
  }
}

export const sawNothing = (seen: Seen): boolean =>
  seen.dropTimes.length === 0 &&
  !seen.turnsOver &&
  [seen.noseDown, seen.leftSideDown, seen.mass, seen.fingerAhead].every((x) => x === undefined) &&
  (seen.others ?? []).length === 0 &&
  !seen.rings;

/** One reading with its unit: “3.1° nose down”, “hand scale under the left grip 7.8 N”. */
export function readingWords(reading: ReadingKind, value: number): Phrase {
  const { quantity, words, name, kind } = reading;
  if (quantity === 'flag') return ['turned over'];
  if (words)
    return [
      kind === 'spinDroop' ? 'spun ' : '',
      ...(isLevel(value)
        ? [`level (${words[0].split(' ')[0]!})`]
        : say`${figure('angle', Math.abs(value))} ${wayOfSign(value, words)}`),
    ];
  if (kind === 'fingerAhead')
    return say`balances ${figure('length', Math.abs(value), 0)} ${value >= 0 ? 'ahead' : 'behind'}`;
  if (kind === 'mass') return [figure('mass', value)];
  return say`${name[0]!.toLowerCase()}${name.slice(1)} ${readingFigure(reading, value)}`;
}

export const readingFigure = ({ quantity, kind }: ReadingKind, value: number): Figure =>
  quantity === 'torque'
    ? figure('torque', value, value < 1 ? 3 : 2)
    : quantity === 'force'
      ? figure('force', value, 1)
      : figure(quantity === 'flag' ? 'count' : quantity, value, ...(kind === 'heldFor' ? [0] : []));

/** All of an entry, by the readings this rig has. */
export const seenWords = (seen: Seen, kinds: readonly ReadingKind[]): Phrase =>
  [
    ...kinds.flatMap((kind) => {
      const value = seenOf(seen, kind);
      return value === null ? [] : [readingWords(kind, value)];
    }),
    ...(seen.rings ? [say`flicked rings at ${figure('frequency', ringRead(seen.rings).frequency)}`] : []),
  ].flatMap((words, i) => (i > 0 ? [', ', ...words] : words));
