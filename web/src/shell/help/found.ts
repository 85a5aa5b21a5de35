/** Whether every word that was typed begins a word of what is searched. */
export const isFound = (wanted: string, texts: readonly string[]): boolean => {
  const words = texts.flatMap((t) => wordsOf(t));
  return wordsOf(wanted).every((typed) => words.some((w) => w.startsWith(typed)));
};
const wordsOf = (text: string): readonly string[] => text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
