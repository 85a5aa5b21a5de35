/** Which keys of a case were read while it was computed: one that is not known must be refused, not passed over. */

/** Words about a case; no figure stands in them. Axes are the same in all cases. */
const ABOUT = new Set(['name', 'title', 'note', 'notes', 'axes']);

/** The same data, and what of it was never looked at, as dotted paths. Lists of figures are read whole. */
export function watched<T extends object>(data: T): { readonly data: T; unread(): readonly string[] } {
  const read = new Set<string>();
  const view = (value: unknown, path: string): unknown => {
    if (
      typeof value !== 'object' ||
      value === null ||
      (Array.isArray(value) && value.every((v) => typeof v === 'number'))
    )
      return value;
    return new Proxy(value, {
      get: (target, key, receiver) => {
        const found: unknown = Reflect.get(target, key, receiver);
        if (typeof key === 'symbol' || typeof found === 'function') return found;
        const at = path === '' ? key : `${path}.${key}`;
        read.add(at);
        return view(found, at);
      },
      has: (target, key) => {
        if (typeof key === 'string') read.add(path === '' ? key : `${path}.${key}`);
        return Reflect.has(target, key);
      },
    });
  };
  const missed = (value: unknown, path: string): readonly string[] => {
    if (typeof value !== 'object' || value === null) return [];
    return Object.entries(value).flatMap(([key, inner]) => {
      if (ABOUT.has(key)) return [];
      const at = path === '' ? key : `${path}.${key}`;
      return read.has(at) ? missed(inner, at) : Array.isArray(value) && typeof inner === 'number' ? [] : [at];
    });
  };
  return { data: view(data, '') as T, unread: () => missed(data, '') };
}
