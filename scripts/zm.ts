import { FAMILIES, optionsOf } from '@tide-pebble/core';
import { familyInput } from '../core/src/2-frame/family';
import { assemble } from '../core/src/2-frame/assemble';
import { connectionsOf } from '../core/src/2-frame/connections/connectionsOf';
const seen = new Set<string>();
for (const f of FAMILIES) {
  const all: Record<string, string>[] = [{}];
  for (const c of f.choices) for (const o of optionsOf(c, undefined)) if (o.id !== c.usual) all.push({ [c.id]: o.id });
  for (const choice of all) {
    const rig = f.build(familyInput(f, {}, choice).input);
    void assemble(rig, null);
    const cs = connectionsOf(rig, () => 1);
    const root = new Map<string, string>();
    const find = (x: string): string => { while (root.get(x) && root.get(x) !== x) x = root.get(x)!; return x; };
    for (const c of cs) if (!c.reversible) for (const p of c.pieces.slice(1)) root.set(find(p), find(c.pieces[0]!));
    for (const c of cs) {
      const made = c.holes.filter((h) => !h.sold);
      const groups = new Map<string, string[]>();
      for (const h of made) groups.set(find(h.piece), [...(groups.get(find(h.piece)) ?? []), h.piece]);
      for (const g of groups.values()) if (new Set(g).size > 1) { const k = `${f.id} ${c.kind} ${c.id}: ${g} ${made.map((h) => h.thread)}`; if (!seen.has(k)) { seen.add(k); console.log(k, JSON.stringify(choice)); } }
    }
  }
}
