/** Writes the demo scenario's documents: a tiny crew filming tide pools and a harbour. Run when the scenario changes. */
import { writeFileSync } from 'node:fs';
import { familyById, placeLoad, workpiece, judged, trim, FAMILIES, type KitItem, type Loadout, type RigDocument, type SetUp, type LogEntry, type BinItem } from '@tide-pebble/core';

const kit: KitItem[] = [
  { id: 'kit-heron', name: 'Heron body', class: 'camera', mass: { value: 0.486, spread: 0.0006, source: 'mass of Heron body', typed: '486 g' }, form: 'box', size: [0.062, 0.118, 0.072], boxCentre: [0.004, 0.003, 0.036], massCentre: { at: [0.006, 0.002, 0.034], spread: [0.0004, 0.0004, 0.0008], source: 'balanced on a dowel' }, mountPoints: [{ id: 'flange', name: 'lens flange', at: [0.035, 0.004, 0.038] }, { id: 'shoe', name: 'shoe', at: [0, 0.004, 0.073] }], sensor: { width: 0.0235, height: 0.0156 }, socketDepth: { value: 0.0055, typed: '5.5 mm' }, notes: 'Battery and card in, screen folded out.' },
  { id: 'kit-24', name: 'Wide lens 24', class: 'lens', mass: { value: 0.214, spread: 0.0006, source: 'mass of Wide lens 24', typed: '214 g' }, form: 'cylinder', size: [0.058, 0.062, 0.062], boxCentre: [0.029, 0, 0], massCentre: { at: [0.027, 0, 0], spread: [0.0005, 0.0002, 0.0002], source: 'balanced on a dowel' }, mountPoints: [], focalLength: { shortest: 0.024, longest: 0.024 } },
  { id: 'kit-70', name: 'Long lens 70', class: 'lens', form: 'cylinder', size: [0.104, 0.07, 0.07], boxCentre: [0.052, 0, 0], mountPoints: [], focalLength: { shortest: 0.07, longest: 0.07 } },
  { id: 'kit-mic', name: 'Small mic', class: 'microphone', mass: { value: 0.062, spread: 0.0006, source: 'mass of Small mic', typed: '62 g' }, form: 'cylinder', size: [0.085, 0.022, 0.022], boxCentre: [0.012, 0, 0.018], massCentre: { at: [0.009, 0, 0.015], spread: [0.001, 0.0003, 0.001], source: 'balanced on a dowel' }, mountPoints: [] },
];
const loadouts: Loadout[] = [
  { id: 'loadout-ebb', name: 'Ebb: body, 24, small mic', conditions: 'Strap off, screen out, battery and card in.', items: [
    { id: 'ebb-body', item: 'kit-heron', on: null, offset: [0, 0, 0] },
    { id: 'ebb-lens', item: 'kit-24', on: { mounted: 'ebb-body', point: 'flange' }, offset: [0, 0, 0] },
    { id: 'ebb-mic', item: 'kit-mic', on: { mounted: 'ebb-body', point: 'shoe' }, offset: [0, 0, 0] },
  ] },
  { id: 'loadout-flood', name: 'Flood: body, 70', conditions: 'Strap off, screen out, lens cap off.', items: [
    { id: 'flood-body', item: 'kit-heron', on: null, offset: [0, 0, 0] },
    { id: 'flood-lens', item: 'kit-70', on: { mounted: 'flood-body', point: 'flange' }, offset: [0, 0, 0] },
  ] },
];
const items = new Map(kit.map((k) => [k.id, k]));
const family = FAMILIES[0]!;
const wants: RigDocument['wants'] = { levelWithin: Math.PI / 180, dropTime: [1.8, 2.4], massAtMost: 2.2, calmAtLeast: 8, shopPrice: 210 };

function rigFor(id: string, name: string, loadout: Loadout, notes: string): RigDocument {
  const sized = familyById(family.id)!.size(placeLoad(loadout, items), { breadth: 0.088 });
  return {
    id, name, notes, wants, loadout: loadout.id, done: {}, kerf: 0.0015,
    design: { kind: 'family', family: family.id, dimensions: Object.fromEntries(Object.entries(sized.dimensions).map(([k, value]) => [k, { value }])), choices: { ...sized.choices }, edits: [] },
  };
}
const limpet = { ...rigFor('rig-limpet', 'Limpet', loadouts[0]!, 'For the pools below the slip: low, slow, one hand free.'), done: {} as Record<string, true> };
const whelk = rigFor('rig-whelk', 'Whelk', loadouts[1]!, 'Second bar, for the long lens on the harbour wall. Not balanced yet.');
const trimmed = solve(limpet, loadouts[0]!);
const flood = trimOf(limpet, loadouts[1]!);
const setups: SetUp[] = [
  ...(flood ? [{ id: 'setup-limpet-flood', rig: limpet.id, loadout: loadouts[1]!.id, values: flood }] : []),
  { id: 'setup-limpet-ebb', rig: limpet.id, loadout: loadouts[0]!.id, values: trimmed },
  { id: 'setup-whelk-flood', rig: whelk.id, loadout: loadouts[1]!.id, values: { 'rear-count': 8, 'front-count': 0, 'foot-count': 13 } },
];
function trimOf(rig: RigDocument, loadout: Loadout): Record<string, number> | null {
  const made = workpiece(rig, loadout, items);
  if (!made.ok) throw new Error(made.reason);
  const found = trim(made.piece.assembly, {}, rig.wants);
  console.log(loadout.name, JSON.stringify(found));
  return found.kind === 'solved' ? { ...found.values } : null;
}
function solve(rig: RigDocument, loadout: Loadout): Record<string, number> {
  const found = trimOf(rig, loadout);
  if (!found) throw new Error('the demo rig cannot be trimmed');
  return found;
}
const made = workpiece(limpet, loadouts[0]!, items);
if (!made.ok) throw new Error(made.reason);
const { evaluation, findings } = judged(made.piece, trimmed, wants);
const hung = evaluation.hung!;
const expected = { noseDown: hung.hang.rest!.noseDown, leftSideDown: hung.hang.rest!.leftSideDown, dropPitch: hung.pitch.drop.kind === 'falls' ? hung.pitch.drop.time : null, dropSpread: hung.spread.dropPitch };
const log: LogEntry[] = [
  { id: 'log-1', rig: limpet.id, loadout: loadouts[0]!.id, when: '2026-06-14T17:20:00Z', values: trimmed, expected, seen: { noseDown: 0.035, dropTimes: [1.7, 1.8, 1.6] }, notes: 'First hang on the slip. A little quick; tail still carries a burr and a blob of paint.' },
  { id: 'log-2', rig: limpet.id, loadout: loadouts[0]!.id, when: '2026-06-15T08:05:00Z', values: trimmed, expected, seen: { noseDown: 0.005, leftSideDown: 0.01, dropTimes: [2.0, 2.1, 2.0] }, notes: 'Tail dressed, fine screw two sixteenths back. Walked the wall twice: horizon stays put.' },
];
const bin: BinItem[] = [
  { id: 'bin-washers', name: 'M10 wide washer 30 mm', count: 12, lengths: [] },
  { id: 'bin-bar', name: 'aluminium flat 30 × 6', count: 0, lengths: [0.42] },
  { id: 'bin-screw', name: '1/4-20 camera screw', count: 3, lengths: [] },
];
for (const id of ['cut:bar', 'deburr:bar', 'mark:bar', 'bend:bar:1']) limpet.done[id] = true;
const of = (kind: string, list: readonly { id: string }[]) => list.map((body) => ({ kind, id: body.id, body }));
const documents = [...of('kit', kit), ...of('loadout', loadouts), ...of('rig', [limpet, whelk]), ...of('setup', setups), ...of('log', log), ...of('bin', bin)];
writeFileSync(new URL('../demo/tide-pools.json', import.meta.url), `${JSON.stringify({ format: 'tide-pebble-backup', version: 1, savedAt: '2026-06-15T09:00:00Z', documents }, null, 1)}\n`);
writeFileSync(new URL('../demo/limpet.rig.json', import.meta.url), `${JSON.stringify({ format: 'tide-pebble-rig', version: 1, rig: limpet, kit: kit.filter((k) => k.id !== 'kit-70'), loadouts: [loadouts[0]], setups: setups.filter((s) => s.id === 'setup-limpet-ebb') }, null, 1)}\n`);
console.log(JSON.stringify({ trimmed, mass: evaluation.mass, added: evaluation.addedMass, expected, calm: hung.calm, spread: hung.spread, findings: findings.map((f) => f.code), dims: limpet.design.kind === 'family' && limpet.design.dimensions }, null, 1));
