import { FAMILIES, optionsOf } from '@tide-pebble/core';
import { familyInput } from '../core/src/2-frame/family';
import { assemble } from '../core/src/2-frame/assemble';
import { inStatedOrder } from '../core/src/6-build';
import { closedBy } from '../core/src/6-build/closedHollow';
for (const f of FAMILIES) {
  const all: Record<string, string>[] = [{}];
  for (const c of f.choices) for (const o of optionsOf(c, undefined)) if (o.id !== c.usual) all.push({ [c.id]: o.id });
  for (const choice of all) {
    const rig = f.build(familyInput(f, {}, choice).input);
    const s = closedBy(rig, inStatedOrder(assemble(rig, null), {}));
    if (s.size) console.log(f.id, JSON.stringify(choice), [...s]);
  }
}
