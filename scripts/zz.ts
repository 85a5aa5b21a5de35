import { FAMILIES } from '../core/src/2-frame/wholeFamilies';
import { familyInput } from '../core/src/2-frame/family';
import { assemble, countOf, valuesInOrder } from '../core/src/2-frame/assemble';
import { toPart } from '../core/src/6-build/order/partsToPart';
import { linesOf, roomFor } from '../core/src/6-build/order/room';
import { toolsFor } from '../core/src/6-build/order/tools';
import { takeApart } from '../core/src/6-build/order/takeApart';
const only = process.argv[2];
import { connectionsOf, optionsOf } from '../core/src/2-frame';
const say = process.argv[3];
let worst = 0, n = 0;
for (const f of FAMILIES) {
  if (only && f.id !== only) continue;
  const all: Record<string, string>[] = [{}];
  for (const c of f.choices) for (const o of optionsOf(c, undefined)) if (o.id !== c.usual) all.push({ [c.id]: o.id });
  for (const choice of all) {
  const label = f.id + ' ' + JSON.stringify(choice);
  if (say && !label.includes(say)) continue;
  const rig = f.build(familyInput(f, {}, choice).input);
  const a = assemble(rig, null);
  const values = Object.fromEntries(rig.adjusters.map((x) => [x.id, x.value]));
  const inOrder = valuesInOrder(rig, values);
  const counts = new Map(a.stacks.map((s) => [s.station.id, countOf(s, inOrder)]));
  const of = toPart(a, values, connectionsOf(rig, (s) => counts.get(s) ?? 0));
  const t1 = performance.now();
  const room = roomFor(of, linesOf(of));
  const apart = takeApart(of, room, toolsFor(of, room));
  const ms = performance.now() - t1; n++;
  if (ms > worst) { worst = ms; console.log('slowest', label, ms.toFixed(0)); }
  const name = (i: number) => of.shapes[i]!.id;
  const w = (v: readonly number[]) => v.map((x) => +x.toFixed(2)).join(',');
  for (const p of apart.partings) if (p.unreached) console.log(label, '  UNREACHED', p.undoes[0]!.connection.id);
  if (apart.stuck.length) console.log(label, '  STUCK', apart.stuck.map((l) => l.map(name).join(' ')).join(' || '));
  if (say) for (const p of [...apart.partings].reverse())
      console.log(' ', (p.unreached ? 'UNREACHED ' : '') + p.undoes.map((b) => b.connection.kind + ' ' + b.connection.id).join(' + ').padEnd(36), '<-', [...p.leaves].reverse().map((l) => `[${l.pieces.map(name)}] ${l.out.map((o) => w(o.way)+(o.by<9?`*${(o.by*1000).toFixed(0)}`:'')).join(' then ')}`).join('; '), p.frees.length ? 'SHUTS IN ' + p.frees.map((b) => b.connection.id) : '');
  }
}
console.log(n, 'rigs');
