import { readFileSync } from 'node:fs';
import { workpiece, judged, evaluate } from '/work/main/core/src/index.ts';
import * as B from '/work/main/core/src/3-balance/index.ts';
const d = JSON.parse(readFileSync('/work/main/demo/tide-pools.json', 'utf8')).documents;
const of = (k: string) => d.filter((x: any) => x.kind === k).map((x: any) => x.body);
const kit = new Map(of('kit').map((k: any) => [k.id, k])) as any;
const time = (f: () => void, n = 60) => { for (let i = 0; i < 15; i++) f(); const t = []; for (let i = 0; i < n; i++) { const s = performance.now(); f(); t.push(performance.now() - s); } return t.sort((a, b) => a - b)[n >> 1]!; };
const mods = await Promise.all([import('/work/main/core/src/2-frame/checks/index.ts'), import('/work/main/core/src/3-balance/checks/index.ts')]);
const all = mods.flatMap((m: any) => Object.values(m).flatMap((x: any) => (Array.isArray(x) ? x : [x]))).filter((c: any) => c?.look);
for (const rig of of('rig')) {
  const lo = of('loadout').find((l: any) => l.id === rig.loadout) ?? null;
  const w = workpiece(rig, lo, kit); if (!w.ok) continue;
  const values = of('setup').find((s: any) => s.rig === rig.id && s.loadout === (rig.loadout ?? 'bare'))?.values ?? {};
  const piece = w.piece; const ev = evaluate(piece.assembly, values, piece.hands);
  const ctx: any = { rig: piece.assembly.rig, pieces: ev.pieces, assembly: piece.assembly, values, evaluation: ev, wants: rig.wants, quick: piece.quick, hands: piece.hands, cones: piece.cones, spaces: piece.spaces, socket: piece.socket };
  const rows = all.map((c: any) => [c.id, time(() => c.look(ctx), 30)] as const).sort((a, b) => b[1] - a[1]).slice(0, 6);
  console.log(rig.id.padEnd(18), 'make', time(() => workpiece(rig, lo, kit)).toFixed(2), 'eval', time(() => evaluate(piece.assembly, values, piece.hands)).toFixed(2), 'judged', time(() => judged(piece, values, rig.wants)).toFixed(2), rows.map(([i, t]) => `${i} ${t.toFixed(2)}`).join(' '));
}
