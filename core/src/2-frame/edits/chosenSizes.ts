/** Own sizes go along in the design that chooses them, so that it is whole wherever it is opened. */
import type { Design, OwnSize } from '../../model';

/** The design with those of `known` that it chooses, as they are there; what it has and `known` has not, it keeps while it is chosen. */
export function withChosenSizes(design: Design, known: readonly OwnSize[]): Design {
  if (design.kind === 'free') return design;
  const { own: before = [], ...rest } = design;
  const chosen = new Set(Object.values(design.choices));
  const named = new Map([...before, ...known].map((o) => [o.id, o]));
  const own = [...named.values()].filter((o) => chosen.has(o.id));
  return own.length === 0 ? rest : { ...rest, own };
}
