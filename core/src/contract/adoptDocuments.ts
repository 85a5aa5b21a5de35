/** Documents from outside put beside what a data folder holds: under ids that are free there, pointing at one another as before. */
import type { BodyOf, DocumentKind } from './documents';

export type NewDocument = {
  readonly [K in DocumentKind]: { readonly kind: K; readonly id: string; readonly body: BodyOf[K] };
}[DocumentKind];
/** As it comes out of a file whose every body was read against its kind's schema. */
export interface AnyDocument {
  readonly kind: DocumentKind;
  readonly id: string;
  readonly body: unknown;
}

/** What others point at comes before what points. */
const ORDER: readonly DocumentKind[] = ['bin', 'size', 'kit', 'loadout', 'rig', 'setup', 'log', 'walk'];

/**
 * `held` gives the body a document has here, null when there is none. What is here already, word for word, is used as it
 * stands; what differs comes in under a new id, and a rig's or loadout's name then says how it came (`called`). Kinds in
 * `alwaysOwn` come in as their own even when the same is here. What the bin holds here is counted here: it is left alone.
 */
export function adoptDocuments(
  documents: readonly AnyDocument[],
  held: (kind: DocumentKind, id: string) => unknown,
  newId: () => string,
  { alwaysOwn = [], called }: { readonly alwaysOwn?: readonly DocumentKind[]; readonly called: string },
): readonly NewDocument[] {
  const ids = new Map<string, string>();
  const idOf = (kind: DocumentKind, id: string): string => ids.get(`${kind}/${id}`) ?? id;
  const brought: AnyDocument[] = [];
  for (const { kind, id, body } of [...documents].sort((a, b) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind))) {
    const here = held(kind, id);
    if (kind === 'bin' && here !== null) continue;
    const pointed = repointed(kind, body, idOf);
    if (here !== null && !alwaysOwn.includes(kind) && JSON.stringify(here) === JSON.stringify(pointed)) continue;
    const free = here === null ? id : newId();
    ids.set(`${kind}/${id}`, free);
    const name = nameOf(body);
    const renamed =
      name !== null && free !== id && kind !== 'bin' && kind !== 'kit' && kind !== 'size'
        ? { name: `${name} (${called})`.slice(0, 120) }
        : {};
    brought.push({ kind, id: free, body: { ...(pointed as object), id: free, ...renamed } });
  }
  // Kit points at kit, and a version at its line: only now is it known under which ids all of it came.
  return brought.map(({ kind, id, body }) => ({
    kind,
    id,
    body: kind === 'kit' ? repointed(kind, body, idOf) : kind === 'rig' ? withLine(body as BodyOf['rig'], idOf) : body,
  })) as unknown as readonly NewDocument[];
}

function withLine(rig: BodyOf['rig'], idOf: (kind: DocumentKind, id: string) => string): BodyOf['rig'] {
  if (!rig.version) return rig;
  const { line, from, entries } = rig.version;
  return {
    ...rig,
    version: {
      ...rig.version,
      line: idOf('rig', line),
      from: idOf('rig', from),
      entries: entries.map((id) => idOf('log', id)),
    },
  };
}

/** What a document is called, or what it is a size of; those without a name are known by what they belong to. */
export function nameOf(body: unknown): string | null {
  const named = (of: unknown): string | null =>
    typeof of === 'object' && of !== null && 'name' in of && typeof of.name === 'string' ? of.name : null;
  if (typeof body !== 'object' || body === null) return null;
  return named(body) ?? ('stock' in body ? named(body.stock) : 'washer' in body ? named(body.washer) : null);
}

/** The same body with each pointer to another document led through `idOf`. */
function repointed(kind: DocumentKind, body: unknown, idOf: (kind: DocumentKind, id: string) => string): unknown {
  switch (kind) {
    case 'kit': {
      const item = body as BodyOf['kit'];
      return item.goesWith ? { ...item, goesWith: item.goesWith.map((id) => idOf('kit', id)) } : item;
    }
    case 'loadout': {
      const loadout = body as BodyOf['loadout'];
      return { ...loadout, items: loadout.items.map((m) => ({ ...m, item: idOf('kit', m.item) })) };
    }
    case 'rig': {
      const rig = body as BodyOf['rig'];
      const loadout = rig.loadout === null ? null : idOf('loadout', rig.loadout);
      return { ...rig, loadout, design: withSizes(rig.design, (id) => idOf('size', id)) };
    }
    case 'setup':
    case 'log':
    case 'walk': {
      const record = body as BodyOf['setup'] | BodyOf['log'] | BodyOf['walk'];
      return {
        ...record,
        rig: record.rig === null ? null : idOf('rig', record.rig),
        loadout: record.loadout === null ? null : idOf('loadout', record.loadout),
      };
    }
    case 'bin':
    case 'size':
      return body;
  }
}

/** A design takes its own sizes along: known by new ids, they are chosen by those. */
function withSizes(design: BodyOf['rig']['design'], idOf: (id: string) => string): BodyOf['rig']['design'] {
  if (design.kind === 'free' || !design.own) return design;
  const own = design.own.map((o) => ({ ...o, id: idOf(o.id) }));
  const known = new Set(design.own.map((o) => o.id));
  const choices = Object.fromEntries(
    Object.entries(design.choices).map(([id, value]) => [id, known.has(value) ? idOf(value) : value]),
  );
  return { ...design, own, choices };
}
