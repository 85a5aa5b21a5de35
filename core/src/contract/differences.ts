/** Where two saves of a document differ, leaf by leaf, so that a maker sees what going back would change. */

export interface Difference {
  /** Keys from the top; a list's entries by their id where they have one. */
  readonly path: readonly string[];
  readonly before: unknown;
  readonly after: unknown;
}

/** `before` and `after` are JSON values; undefined where one of them lacks the leaf. At most `most`, in the order of the first. */
export function differences(before: unknown, after: unknown, most = 200): readonly Difference[] {
  const found: Difference[] = [];
  const visit = (a: unknown, b: unknown, path: readonly string[]): void => {
    if (found.length >= most || Object.is(a, b)) return;
    const [left, right] = [branches(a), branches(b)];
    if (!left || !right) return void found.push({ path, before: a, after: b });
    for (const key of new Set([...left.keys(), ...right.keys()])) visit(left.get(key), right.get(key), [...path, key]);
  };
  visit(before, after, []);
  return found;
}

function branches(value: unknown): ReadonlyMap<string, unknown> | null {
  if (Array.isArray(value))
    return new Map(
      value.map((v: unknown, i) => [
        typeof v === 'object' && v !== null && 'id' in v && typeof v.id === 'string' ? v.id : `${i + 1}`,
        v,
      ]),
    );
  return typeof value === 'object' && value !== null ? new Map(Object.entries(value)) : null;
}
