/** Words in lines of so many letters; a word longer than a line is broken. */
export function wrapped(text: string, letters: number): readonly string[] {
  const most = Math.max(1, letters);
  const lines: string[] = [];
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const pieces = Array.from({ length: Math.ceil(word.length / most) }, (_, i) =>
      word.slice(i * most, (i + 1) * most),
    );
    for (const piece of pieces) {
      const last = lines.at(-1);
      if (last !== undefined && last.length + 1 + piece.length <= most) lines[lines.length - 1] = `${last} ${piece}`;
      else lines.push(piece);
    }
  }
  return lines;
}
