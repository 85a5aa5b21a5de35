import { readFileSync } from 'node:fs';
import Module from 'manifold-3d';
import { backup, FAMILIES, overlapsOf, placeLoad, readWith, solidKit, USUAL_HANDS, workpiece } from '@tide-pebble/core';
const kit = solidKit(await Module());
const demo: any = readWith(backup, JSON.parse(readFileSync(new URL('../demo/tide-pools.json', import.meta.url), 'utf8')));
const bodies = (kind: string): any[] => demo.value.documents.flatMap((d: any) => (d.kind === kind && d.body ? [d.body] : []));
const kits = new Map(bodies('kit').map((k) => [k.id, k]));
const loadouts = bodies('loadout');
const only = process.argv[2]; const all = process.argv.includes('--all');
let bad = 0;
const go = (label: string, design: any, loadout: any, values: any) => {
  const made: any = workpiece({ design } as any, loadout, kits as any);
  if (!made.ok) return console.log(label, made.reason);
  const t0 = performance.now();
  const seen = overlapsOf(kit, made.work.assembly, values);
  const list = seen.overlaps.filter((o) => process.argv.includes('--allowed') || !o.allowedBy);
  bad += list.length;
  if (!all || list.length) console.log(`== ${label}: ${seen.pieces} pieces, ${seen.clear.length + seen.overlaps.length} pairs, ${(performance.now() - t0).toFixed(0)} ms, ${list.length}`);
  for (const o of list) console.log(`   ${(o.volume * 1e9).toFixed(0).padStart(6)} mm³  ${o.a} × ${o.b} ${o.allowedBy ?? ''}`);
};
for (const family of FAMILIES) {
  if (only && only !== 'any' && family.id !== only) continue;
  for (const name of ['Slack: phone', 'Neap: crab cam alone', 'Flood: body, 70']) {
    const loadout = loadouts.find((l) => l.name === name);
    const { dimensions, choices, startValues } = family.size(placeLoad(loadout, kits as any), USUAL_HANDS);
    const d = Object.fromEntries(Object.entries(dimensions).map(([k, value]) => [k, { value }]));
    go(`${family.id} ${name}`, { kind: 'family', family: family.id, dimensions: d, choices, edits: [] }, loadout, startValues);
    if (all) for (const c of family.choices) for (const o of c.options) if (o.id !== choices[c.id]) go(`${family.id} ${name} ${c.id}=${o.id}`, { kind: 'family', family: family.id, dimensions: d, choices: { ...choices, [c.id]: o.id }, edits: [] }, loadout, startValues);
  }
}
console.log(bad, 'not allowed');
