/** What stands inside another, in words, with what to do: only what no connection allows. */
import { figure, say, type Phrase } from '../../0-base';
import type { Rig } from '../../model';
import { jointName } from '../fittings/jointName';
import type { Looked } from './overlaps';

export interface InsideAnother {
  readonly pieces: readonly [string, string];
  readonly title: Phrase;
  readonly why: Phrase;
  readonly toDo: Phrase;
}

/** What each piece is called, by id; a fitting by what meets in it. */
export const pieceNames = ({ bodies }: Rig): ReadonlyMap<string, string> =>
  new Map(
    bodies.flatMap((b) => [
      ...[...b.members, ...b.parts].map((e) => [e.id, e.name] as const),
      ...b.joints.map((j) => [j.id, jointName(j, b)] as const),
      ...b.stations.map((s) => [s.id, s.name] as const),
    ]),
  );

export function insideAnother(looked: Looked, rig: Rig): readonly InsideAnother[] {
  const names = pieceNames(rig);
  const name = (id: string): string => names.get(id) ?? 'piece';
  const found = looked.overlaps.filter((o) => o.allowedBy === null);
  const called = (o: (typeof found)[number]): string => `${name(o.a)} ${name(o.b)}`;
  // Of things of one name the worst stands for all.
  return found
    .filter((o, i) => found.findIndex((other) => called(other) === called(o)) === i)
    .map(({ a, b, volume }) => ({
      pieces: [a, b],
      title: say`The ${name(a)} and the ${name(b)} stand inside each other.`,
      why: say`What they share is as much as a cube of ${figure('length', Math.cbrt(volume), 1)}.`,
      toDo: say`Move one, change a size that sets them apart, or take another stock.`,
    }));
}
