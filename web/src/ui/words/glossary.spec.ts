import { GLOSSARY, termFor, toldIn } from './glossary';

describe('the glossary', () => {
  it('explains each word once, shortly, and by no word that itself stands unexplained', () => {
    const forms = GLOSSARY.flatMap((t) => [t.word, ...(t.forms ?? [])].map((f) => f.toLowerCase()));
    expect(new Set(forms).size).toBe(forms.length);
    for (const { word, says } of GLOSSARY) {
      expect(says.split(' ').length).withContext(word).toBeLessThan(36);
      expect(says)
        .withContext(word)
        .toMatch(/[.:]$|\.$/);
    }
  });
  it('has the words that used to be explained nowhere', () => {
    for (const word of ['thou', 'foot', 'calm', 'drop', 'pool', 'trim', 'firm', 'kerf'])
      expect(termFor(word)).withContext(word).not.toBeNull();
  });
  it('marks a term where it first stands in a sentence, and gives the sentence back unchanged', () => {
    const text = 'Its mass centre lies 2.2 mm under; move the mass centre by a set-up.';
    const parts = toldIn(text);
    expect(parts.map((p) => p.text).join('')).toBe(text);
    expect(parts.flatMap((p) => p.term?.word ?? [])).toEqual(['mass centre', 'set-up']);
  });
  it('marks no part of a word, and no word of every day', () => {
    expect(toldIn('Trimmings, panorama; put a foot on the stage and hold it.').some((p) => p.term)).toBeFalse();
  });
});
