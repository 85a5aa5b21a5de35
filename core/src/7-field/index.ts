/** Field: the set-up as it is re-created on the day. */
export { setupCard } from './setupCard';
export { cardMoves, cardTold, type CardPart } from './cardTold';
