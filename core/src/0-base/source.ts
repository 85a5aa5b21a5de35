/** Where a figure comes from: words for people, and a mark that tells two things of the same name apart. Equal sources vary together. */

const MARK = ' #';

/** `id` is the thing itself: two lenses called "Lens" are two sources. */
export const sourceOf = (words: string, id: string): string => `${words}${MARK}${id}`;

/** The words alone, for a sentence. */
export const sourceWords = (source: string): string => source.split(MARK)[0]!;
