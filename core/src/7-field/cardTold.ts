/** A set-up card in words, the same on the screen, on paper and in a pack that a phone carries. */
import { figure, say, type Phrase } from '../0-base';
import { turnsOf } from '../3-balance';
import type { SetUpCard } from './setupCard';

export interface CardPart {
  readonly id: string;
  readonly name: string;
  /** What is read at arm's length. */
  readonly big: Phrase;
  readonly beside: string;
  readonly small: readonly Phrase[];
  /** Of washers: how many, to be drawn as a stack. */
  readonly count: number | null;
  /** Of a slide: where on its ruler. */
  readonly mark: { readonly value: number; readonly range: readonly [number, number] } | null;
}

export function cardTold(card: SetUpCard): readonly CardPart[] {
  return [
    ...card.counts.map((c): CardPart => ({
      id: c.id,
      name: c.name,
      big: [figure('count', c.count, 0)],
      beside:
        c.count === 0 ? 'bare bolt' : c.washer.includes('disc') ? 'on the bolt' : c.count === 1 ? 'washer' : 'washers',
      small: [],
      count: c.count,
      mark: null,
    })),
    ...card.marks.map((m): CardPart => ({
      id: m.id,
      name: m.name,
      big: [figure('length', Math.abs(m.value), 2)],
      beside: m.way || 'on the mark',
      small: [
        ...(m.fromEnd ? [say`${figure('length', m.fromEnd.along)} from the rear end of the ${m.fromEnd.tube}`] : []),
        ...(m.turns ? [say`${turnsOf(Math.abs(m.turns))} from the middle mark`] : []),
      ],
      count: null,
      mark: { value: m.value, range: m.range },
    })),
  ];
}

/** What is moved to come from one set-up of a rig to another: nothing else needs a hand. */
export function cardMoves(
  from: readonly CardPart[],
  to: readonly CardPart[],
): readonly { readonly id: string; readonly name: string; readonly was: Phrase; readonly is: Phrase }[] {
  const told = (p: CardPart): Phrase => [...p.big, ` ${p.beside}`];
  return to.flatMap((part) => {
    const before = from.find((p) => p.id === part.id);
    const alike =
      before?.count === part.count && before.mark?.value === part.mark?.value && before.beside === part.beside;
    return !before || alike ? [] : [{ id: part.id, name: part.name, was: told(before), is: told(part) }];
  });
}
