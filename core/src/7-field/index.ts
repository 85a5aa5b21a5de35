/** Field: the set-up as it is re-created on the day. */
export { setupCard, type CountLine, type MarkLine, type SetUpCard } from './setupCard';
