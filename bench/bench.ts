/** Timings of the heavy paths as ratios within this one run, each with its aim. No test asserts any of them. */
import { measureOrder } from './order';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import Database from 'better-sqlite3';
import {
  assemble,
  evaluate,
  FAMILIES,
  judged,
  massCentre,
  parseRigFile,
  placedPieces,
  quickPairs,
  sumsOf,
  USUAL_HANDS,
  workpiece,
  type Rig,
} from '@tide-pebble/core';
import { startRig } from '@tide-pebble/core/bench';
import { coverageOf } from '@tide-pebble/core/measuring';
import { STATED_FAMILIES } from '../core/src/2-frame/families';
import { familyInput } from '../core/src/2-frame/family';
import { openStore } from '../server/src/store/openStore';
import { queryText } from '../server/src/store/sqlFiles';
import { measureBuilds, measureSolver, measureSwing } from './balance';
import { measureFrame } from './frame';
import { madeKit, measureLoad } from './load';
import { measurePage } from './page';
import { measureStrength } from './strength';
import { measureViews } from './views';
import { measureWorkshop } from './workshop';
import type { EditTimes } from './painted';

const file = parseRigFile(readFileSync(new URL('../demo/limpet.rig.json', import.meta.url), 'utf8'));
if (!file.ok) throw new Error(file.faults[0]!.message);
const { rig, loadouts, kit, setups } = file.value;
const made = workpiece(rig, loadouts[0]!, new Map(kit.map((k) => [k.id, k])));
if (!made.ok) throw new Error(made.reason);
const values = setups[0]!.values;

/** Median time of one call, ms, after a warm-up. */
function timeOf(work: () => void, calls: number): number {
  for (let n = 0; n < calls / 4; n++) work();
  const times = Array.from({ length: calls }, () => {
    const started = performance.now();
    work();
    return performance.now() - started;
  }).sort((a, b) => a - b);
  return times[Math.floor(times.length / 2)]!;
}

const line = (what: string, figure: string, aim: string): void =>
  console.log(`${what.padEnd(58)} ${figure.padStart(16)}   ${aim}`);

const demo = timeOf(() => evaluate(made.work.assembly, values), 2000);
const bodies = evaluate(made.work.assembly, values).pieces.map((p) => p.flat);
const adding = timeOf(() => massCentre(sumsOf(bodies)), 4000);
const big = bigRig(made.work.rig, 200);
const bigMade = workpiece({ design: { kind: 'free', rig: big } }, loadouts[0]!, new Map(kit.map((k) => [k.id, k])));
if (!bigMade.ok) throw new Error(bigMade.reason);
const large = timeOf(() => evaluate(bigMade.work.assembly, values), 600);
line(
  `evaluate the demo rig (${bodies.length} bodies), over adding it up once`,
  `${(demo / adding).toFixed(1)} ×`,
  `aim under 60 ×; ${demo.toFixed(3)} ms here, aim under 1 ms`,
);
line(
  'evaluate a rig of 200 bodies, over the demo rig',
  `${(large / demo).toFixed(1)} ×`,
  `aim under 20 ×; ${large.toFixed(3)} ms here`,
);

const FRAME_MS = 1000 / 60;
const families = FAMILIES.map((family) => {
  const start = startRig(family, loadouts[0]!, new Map(kit.map((k) => [k.id, k])), rig.wants);
  const one = workpiece({ design: start.design }, loadouts[0]!, new Map(kit.map((k) => [k.id, k])));
  if (!one.ok) throw new Error(one.reason);
  const kept = timeOf(() => evaluate(one.work.assembly, start.values), 400);
  const checked = timeOf(() => judged(one.work, start.values, rig.wants).findings, 200);
  // The naive way: from the documents again at each edit, as if nothing were kept.
  const naive = timeOf(() => {
    const again = workpiece({ design: start.design }, loadouts[0]!, new Map(kit.map((k) => [k.id, k])));
    if (again.ok) void judged(again.work, start.values, rig.wants).findings;
  }, 200);
  return { id: family.id, kept, checked, naive };
});
for (const f of families)
  line(
    `${f.id}: setting an adjuster, all checks, over from the documents`,
    `${(f.checked / f.naive).toFixed(2)} ×`,
    `aim under 1 ×; evaluate ${f.kept.toFixed(2)} ms (aim under 1), with checks ${f.checked.toFixed(2)}, naive ${f.naive.toFixed(2)}`,
  );
// A size dragged: each step another length, so that no screw found before will do.
const connecting = STATED_FAMILIES.map((stated) => {
  const { input } = familyInput(stated, {}, {});
  const size = stated.dimensions[0]!;
  let n = 0;
  const dragged = () => ({
    ...input,
    dimensions: { ...input.dimensions, [size.id]: size.usual + 0.0001 * (n++ % 50) },
  });
  const whole = FAMILIES.find((f) => f.id === stated.id)!;
  return {
    id: stated.id,
    bare: timeOf(() => stated.build(dragged()), 400),
    whole: timeOf(() => whole.build(dragged()), 400),
  };
}).sort((a, b) => b.whole - b.bare - (a.whole - a.bare));
const [most, usual] = [connecting[0]!, connecting[Math.floor(connecting.length / 2)]!];
line(
  'connections: a size edit built whole, over as stated (usual)',
  `${(usual.whole / usual.bare).toFixed(1)} ×`,
  `aim at most 0.3 ms more; ${(usual.whole - usual.bare).toFixed(2)} ms more here, most ${(most.whole - most.bare).toFixed(2)} (${most.id})`,
);
const coming = FAMILIES.map((family) => {
  const rig = family.build(family.size(null, USUAL_HANDS));
  const assembly = assemble(rig, null);
  const pieces = placedPieces(assembly, {});
  return {
    id: family.id,
    evaluating: timeOf(() => evaluate(assembly, {}), 200),
    pairs: timeOf(() => quickPairs(rig, pieces), 200),
  };
}).sort((a, b) => a.pairs - b.pairs);
const [longest, common] = [coming.at(-1)!, coming[Math.floor(coming.length / 2)]!];
line(
  'what comes into what while dragging, over an evaluation (usual)',
  `${(common.pairs / common.evaluating).toFixed(1)} ×`,
  `aim inside a frame of 16 ms; most ${longest.pairs.toFixed(2)} ms here (${longest.id})`,
);
const order = measureOrder();
const [slowest, middling] = [order.families.at(-1)!, order.families[Math.floor(order.families.length / 2)]!];
line(
  'order of building found, the slowest family over the middling one',
  `${(slowest.ms / middling.ms).toFixed(1)} ×`,
  `aim under 100 ms each; ${slowest.ms.toFixed(0)} ms here (${slowest.id}), middling ${middling.ms.toFixed(0)}`,
);
line(
  `order of ${order.many.pieces} pieces, over the middling family`,
  `${(order.many.ms / middling.ms).toFixed(1)} ×`,
  `aim under 1 s; ${(order.many.ms / 1000).toFixed(2)} s here`,
);
const { rigs: workshop, many: ladder } = measureWorkshop();
const planned = (r: { readonly steps: number; readonly plan: number }): number => r.steps + r.plan;
const slowPlan = workshop.reduce((a, b) => (planned(b) > planned(a) ? b : a));
const largest = (of: 'patterns' | 'jigs'): (typeof workshop)[number] =>
  workshop.reduce((a, b) => (b[of] > a[of] ? b : a));
const sooner = workshop.map((r) => (r.told - r.finish) / 86_400).sort((a, b) => a - b);
line(
  'evenings as told over evenings planned, the last step of all families',
  `${(workshop.reduce((sum, r) => sum + r.told, 0) / workshop.reduce((sum, r) => sum + r.finish, 0)).toFixed(2)} ×`,
  `days sooner: middling ${sooner[Math.floor(sooner.length / 2)]!.toFixed(1)}, most ${sooner.at(-1)!.toFixed(1)}; ${workshop.filter((r) => r.finish - r.bound < 1).length} of ${workshop.length} proven, the rest within ${(Math.max(...workshop.map((r) => r.finish - r.bound)) / 60).toFixed(0)} min`,
);
line(
  'steps and their plan, the slowest over the order they are found from',
  `${(planned(slowPlan) / slowest.ms).toFixed(2)} ×`,
  `aim under 100 ms; ${planned(slowPlan).toFixed(0)} ms here (${slowPlan.id})`,
);
line(
  `the same of a free frame of ${ladder.members} pipes, over that`,
  `${(planned(ladder) / planned(slowPlan)).toFixed(1)} ×`,
  `aim under 1 s; ${planned(ladder).toFixed(0)} ms here, ${ladder.steps.toFixed(0)} of it the steps`,
);
line(
  'patterns of a rig drawn and laid on their sheets, the slowest over its jigs',
  `${(largest('patterns').patterns / Math.max(0.1, largest('patterns').jigs)).toFixed(1)} ×`,
  `aim under 2 s with its PDF; ${largest('patterns').patterns.toFixed(0)} ms here (${largest('patterns').id}), jigs ${largest('jigs').jigs.toFixed(0)} ms`,
);
const strength = measureStrength();
const hardest = strength.families.at(-1)!;
line(
  `six modes of ${strength.frame.unknowns} unknowns, a dense solver’s time (from 300) over ours`,
  `${(strength.frame.denseMs / strength.frame.ms).toFixed(0)} ×`,
  `aim at least 50 ×; ours ${strength.frame.ms.toFixed(0)} ms (aim under 150)${strength.frame.proven ? ', none missed' : ', NOT PROVEN'}; apart by ${strength.apart.toExponential(0)} at 300`,
);
line(
  `six modes of a frame of ${strength.many.members} members, over that`,
  `${(strength.many.ms / strength.frame.ms).toFixed(1)} ×`,
  `aim under 0.5 s; ${(strength.many.ms / 1000).toFixed(2)} s here`,
);
line(
  'a rig’s whole strength, the slowest family over the middling one',
  `${(hardest.ms / strength.families[Math.floor(strength.families.length / 2)]!.ms).toFixed(1)} ×`,
  `aim under 50 ms each; ${hardest.ms.toFixed(0)} ms here (${hardest.id})`,
);
const many = madeKit(120, 200);
const manyKit = new Map(many.kit.map((k) => [k.id, k]));
const covering = timeOf(() => coverageOf(many.loadouts, manyKit), 200);
const coveringOne = timeOf(() => coverageOf(many.loadouts.slice(0, 1), manyKit), 2000);
line(
  'cover 200 loadouts with states and spreads, over one',
  `${(covering / coveringOne).toFixed(0)} ×`,
  `aim under 400 ×; ${covering.toFixed(2)} ms here, aim under 16 ms`,
);

const swung = await measureSwing();
line(
  '60 s of swing at the error of a rigid-body engine, its time over ours',
  `${swung.atEqualError.toFixed(0)} ×`,
  `aim at least 10 ×; the engine ${swung.engine.ms.toFixed(0)} ms at steps of 1/${Math.round(1 / swung.engine.step)} s, off by ${swung.engine.error.toExponential(1)} rad`,
);
line(
  'the same in its time, its error over ours',
  `${swung.errorAtEqualTime.toExponential(1)} ×`,
  `aim at least 100 ×; ours off by ${swung.ours.error.toExponential(1)} rad in ${swung.ours.ms.toFixed(1)} ms; energy kept to ${swung.energy.toExponential(0)} (aim 1e-9)`,
);
const solver = await measureSolver();
line(
  '4 bolts of 40 washers, 2 slides: trying all over the solver',
  `${solver.overAll.toFixed(0)} ×`,
  `aim at least 100 ×; ${solver.ms.toFixed(1)} ms, proven best (aim under 1 s)`,
);
line(
  'an integer-programming solver on the part both can state, over ours',
  `${(solver.milp.ms / solver.milp.oursMs).toFixed(0)} ×`,
  `ours ${(1000 * solver.milp.ours).toFixed(2)} g in ${solver.milp.oursMs.toFixed(1)} ms, its ${(1000 * solver.milp.its).toFixed(2)} g in ${solver.milp.ms.toFixed(0)} ms: never worse`,
);
const builds = measureBuilds({
  rig,
  loadout: loadouts[0]!,
  kit: new Map(kit.map((k) => [k.id, k])),
  values,
  lengths: 0.0005,
  angles: 0.0087,
  builds: 10_000,
  seed: 20,
});
line(
  '10,000 builds by chance, over 2 s',
  `${(builds / 2000).toFixed(2)} ×`,
  `aim under 1 ×; ${(builds / 1000).toFixed(2)} s`,
);

const { throughStore, onDriver } = saving();
line('save, over the same SQL straight on the driver', `${(throughStore / onDriver).toFixed(2)} ×`, 'aim under 2 ×');

const load = await measureLoad();
line(
  'find among 500 items, beyond 10, over one frame',
  `${((load.large.search - load.small.search) / FRAME_MS).toFixed(2)} ×`,
  `aim under 1 ×; ${load.large.search.toFixed(1)} against ${load.small.search.toFixed(1)} ms`,
);
line(
  'weigh one of 500 in 60 loadouts, beyond 10 in 2, a frame',
  `${((load.large.cover - load.small.cover) / FRAME_MS).toFixed(2)} ×`,
  `aim under 1 ×; ${load.large.cover.toFixed(1)} against ${load.small.cover.toFixed(1)} ms`,
);
line(
  'CSV of 10,000 rows read, checked and shown, over 2 s',
  `${(load.reading.shown / 2000).toFixed(2)} ×`,
  `aim under 1 ×; ${(load.reading.shown / 1000).toFixed(2)} s, longest hold-up ${load.reading.longest.toFixed(0)} ms (aim under 50)`,
);
const longestOfRows = Math.max(load.reading.longestTakenIn, load.reading.longestTakenBack);
line(
  '10,000 rows taken in, kept and taken back: longest task over 50 ms',
  `${(longestOfRows / 50).toFixed(2)} ×`,
  `aim at most 1 ×; in ${load.reading.longestTakenIn.toFixed(0)} ms, back ${load.reading.longestTakenBack.toFixed(0)} ms (0: none over 50)`,
);

const page = await measurePage();
const asFigures = ({ painted, figures, late }: EditTimes): string =>
  `${painted.median.toFixed(1)} ms, p99 ${painted.p99.toFixed(1)}; figures made in ${figures.median.toFixed(1)}${late > 0 ? `; ${late} not in the first frame` : ''}`;
line(
  'Balance: a slider dragged, edit to painted, over 8 ms',
  `${(page.edits.painted.median / 8).toFixed(2)} ×`,
  `aim under 1 ×; ${asFigures(page.edits)}`,
);
line('the same at the 99th percentile, over 16 ms', `${(page.edits.painted.p99 / 16).toFixed(2)} ×`, 'aim under 1 ×');
line(
  'the same drag, over a page with nothing but a slider and a figure',
  `${(page.edits.painted.median / page.bare.painted.median).toFixed(1)} ×`,
  `that page: ${asFigures(page.bare)}`,
);
line(
  'longest task on the main thread while editing, over 50 ms',
  `${(page.longest / 50).toFixed(2)} ×`,
  'aim under 1 ×; zero when none reached 50 ms',
);
const bytes = page.fetched.reduce((sum, body) => sum + gzipSync(body, { level: 9 }).length, 0);
line(
  'first load with the Shelf usable, gz, over 200 kB',
  `${(bytes / 200_000).toFixed(2)} ×`,
  `aim under 1 ×; ${(bytes / 1000).toFixed(0)} kB of page, styles and code`,
);
line('fonts of the first load (woff2)', `${(page.fontBytes / 1000).toFixed(0)} kB`, 'latin only');

const frame = await measureFrame();
for (const { rig: id, times } of frame.families)
  line(
    `Frame, ${id}: edit of a size to painted, all checks, over 16 ms`,
    `${(times.painted.median / 16).toFixed(2)} ×`,
    `aim under 1 ×; ${asFigures(times)}`,
  );
line(
  'the same on a free frame of 200 members',
  `${(frame.free.painted.median / 16).toFixed(2)} ×`,
  `aim under 1 ×; ${asFigures(frame.free)}`,
);
for (const { rig: id, rate } of frame.turning)
  line(
    `3D turned in software, ${id}, over 50 a second`,
    `${(rate / 50).toFixed(2)} ×`,
    `aim over 1 ×; ${rate.toFixed(0)} frames a second`,
  );

const views = await measureViews();
line(
  'first load, its Shelf usable at a processor 4 times slower, over 1.5 s',
  `${(views.firstLoad / 1500).toFixed(2)} ×`,
  `aim under 1 ×; ${(views.firstLoad / 1000).toFixed(2)} s here`,
);
line(
  'three rigs made ready after four questions, over 2 s',
  `${(views.three / 2000).toFixed(2)} ×`,
  `aim under 1 ×; ${(views.three / 1000).toFixed(2)} s here`,
);
for (const [opened, limit, at] of [
  [views.full, 50, 'at full speed'],
  [views.slow, 100, '4 times slower'],
] as const)
  line(
    `opening a view, longest task ${at}, over ${limit} ms`,
    `${(opened[0]!.longest / limit).toFixed(2)} ×`,
    `aim under 1 ×; ${opened.map((o) => `${o.view} ${o.longest.toFixed(0)}`).join(', ')} ms (0: none over 50)`,
  );
const [worst] = views.much;
line(
  `200 items, 60 loadouts, 40 rigs over the demo: ${worst!.view}`,
  `${(worst!.many / worst!.few).toFixed(2)} ×`,
  `aim under 1.5 ×; ${views.much
    .slice(0, 5)
    .map((m) => `${m.view} ${m.few.toFixed(0)} to ${m.many.toFixed(0)}`)
    .join(', ')} ms`,
);

function bigRig(base: Rig, count: number): Rig {
  const [hand, sled] = base.bodies;
  const more = Array.from({ length: count - bodies.length }, (_, i) => ({
    id: `stone-${i}`,
    name: 'stone',
    shape: { kind: 'box' as const, size: [0.01, 0.01, 0.01] as const },
    at: [0.001 * (i % 7), 0.001 * (i % 5), -0.1] as const,
    mass: { value: 0.0005, spread: 0.00002 },
  }));
  return { ...base, bodies: [hand!, { ...sled!, parts: [...sled!.parts, ...more] }] };
}

function saving(): { throughStore: number; onDriver: number } {
  const folder = mkdtempSync(join(tmpdir(), 'tide-pebble-bench-'));
  const store = openStore(join(folder, 'a.db'), 'own');
  let revision = 0;
  const throughStore = timeOf(() => {
    revision = store.save([{ kind: 'rig', id: rig.id, revision, body: { ...rig, notes: `${revision}` } }])[0]!.revision;
  }, 400);
  store.close();
  const other = openStore(join(folder, 'b.db'), 'own');
  other.close();
  const db = new Database(join(folder, 'b.db'));
  db.pragma('synchronous = FULL');
  db.pragma('foreign_keys = ON');
  const [keep, put, thin] = (['keepPast', 'putDocument', 'thinPast'] as const).map((q) => db.prepare(queryText(q)));
  let n = 0;
  const once = db.transaction(() => {
    n++;
    const key = { kind: 'rig', id: rig.id };
    keep!.run(key);
    put!.run({ ...key, revision: n, body: JSON.stringify({ ...rig, notes: `${n}` }), savedAt: 'now' });
    thin!.run({ ...key, revision: n });
  });
  const onDriver = timeOf(() => once.immediate(), 400);
  db.close();
  rmSync(folder, { recursive: true, force: true });
  return { throughStore, onDriver };
}
