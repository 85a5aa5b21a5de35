/**
 * Is each rig whole? Every family for three loadouts, each of its choices changed alone, freed, and after each change its findings
 * offer; and the demo's rigs go through an outsider's audit. What is not whole yet stands in `known-faults.json`, counted by rule: the list may only shrink.
 *
 *   node --import tsx scripts/audit.ts            fails when anything is worse than what is known, or when the list could shrink
 *   node --import tsx scripts/audit.ts --shrink   writes what is left, never more than was known
 *   node --import tsx scripts/audit.ts --show ID  prints every fault of one family; with --later also of the order of building
 */
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import {
  backup,
  changedDesign,
  FAMILIES,
  freed,
  judged,
  placeLoad,
  readWith,
  USUAL_HANDS,
  workpiece,
  type Family,
  type KitItem,
  type Loadout,
  type RigDocument,
} from '@tide-pebble/core';
import { wholeOf } from '@tide-pebble/core/making';

const AUDIT = new URL('../../shared/audit-whole.mjs', import.meta.url);
const KNOWN = new URL('./known-faults.json', import.meta.url);
/** The order of building, and what may lie in another's box, come with what finds them. */
const LATER = new Set(['order', 'overlap']);
const LOADOUTS = ['Slack: phone', 'Neap: crab cam alone', 'Flood: body, 70'];

type Counts = Record<string, number>;
/** By family or rig, then by what was chosen: the worst of all loadouts by rule. */
type Known = Record<string, Record<string, Counts>>;
/** Strict enough that there is something to mend. */
const USUAL_WANTS = {
  levelWithin: Math.PI / 180,
  dropTime: [1.8, 2.4],
  massAtMost: 2.2,
  calmAtLeast: 8,
  shopPrice: 200,
} as const;

if (!existsSync(AUDIT)) {
  console.log('The audit is not beside this project: nothing was audited.');
  process.exit(0);
}
const { audit } = (await import(AUDIT.href)) as { audit: (report: unknown) => readonly string[] };
const demo = readWith(backup, JSON.parse(readFileSync(new URL('../demo/tide-pools.json', import.meta.url), 'utf8')));
if (!demo.ok) throw new Error('the demo does not read');
const bodies = <T>(kind: string): readonly T[] =>
  demo.value.documents.flatMap((d) => (d.kind === kind && d.body ? [d.body as T] : []));
const kit = new Map(bodies<KitItem>('kit').map((k) => [k.id, k]));
const loadouts = bodies<Loadout>('loadout');
const shown = process.argv.includes('--show') ? process.argv[process.argv.indexOf('--show') + 1] : null;

let n = 0;
const found: Known = {};
const count = (of: string, choice: string, faults: readonly string[]): void => {
  const counts: Counts = {};
  for (const fault of faults) {
    const rule = fault.slice(0, fault.indexOf(':'));
    if (LATER.has(rule) && !process.argv.includes('--later')) continue;
    counts[rule] = (counts[rule] ?? 0) + 1;
    if (shown === of) console.log(`${choice}  ${fault}`);
  }
  const worst = ((found[of] ??= {})[choice] ??= {});
  for (const [rule, n] of Object.entries(counts)) worst[rule] = Math.max(worst[rule] ?? 0, n);
};

for (const family of FAMILIES)
  for (const name of LOADOUTS) {
    const loadout = loadouts.find((l) => l.name === name)!;
    const { dimensions, choices, startValues } = family.size(placeLoad(loadout, kit), USUAL_HANDS);
    for (const { label, changed } of changes(family, choices)) {
      const made = workpiece(
        {
          design: {
            kind: 'family',
            family: family.id,
            dimensions: quantities(dimensions),
            choices: { ...choices, ...changed },
            edits: [],
          },
        },
        loadout,
        kit,
      );
      if (!made.ok) {
        count(family.id, label, [`pieces: ${made.reason}`]);
        continue;
      }
      const whole = wholeOf({
        name: family.id,
        loadout: name,
        work: made.work,
        values: startValues,
        kerf: 0.0015,
        bin: [],
      });
      count(family.id, label, audit(whole));
      if (label !== 'as it starts') continue;
      // Freed, and after whatever is offered in one click.
      const design = {
        kind: 'family' as const,
        family: family.id,
        dimensions: quantities(dimensions),
        choices,
        edits: [],
      };
      const own = freed(design);
      if (own) count(family.id, 'freed', auditOf(own, loadout, startValues));
      for (const finding of judged(made.work, startValues, USUAL_WANTS).findings)
        for (const fix of finding.fixes) {
          const after = changedDesign(design, fix.changes, () => `mended-${++n}`);
          count(family.id, `mended: ${finding.code}`, auditOf(after, loadout, startValues));
        }
    }
  }

function auditOf(
  design: RigDocument['design'],
  loadout: Loadout,
  values: Readonly<Record<string, number>>,
): readonly string[] {
  const after = workpiece({ design }, loadout, kit);
  if (!after.ok) return [`pieces: ${after.reason}`];
  const { name } = loadout;
  return audit(wholeOf({ name, loadout: name, work: after.work, values, kerf: 0.0015, bin: [] }));
}
for (const rig of bodies<RigDocument>('rig')) {
  const loadout = loadouts.find((l) => l.id === rig.loadout) ?? null;
  const made = workpiece(rig, loadout, kit);
  if (!made.ok) throw new Error(`${rig.name}: ${made.reason}`);
  count(
    `demo: ${rig.name}`,
    'as it is',
    audit(
      wholeOf({ name: rig.name, loadout: loadout?.name ?? null, work: made.work, values: {}, kerf: rig.kerf, bin: [] }),
    ),
  );
}

/** As it starts, and each choice changed alone. */
function changes(
  { choices }: Family,
  usual: Readonly<Record<string, string>>,
): readonly { readonly label: string; readonly changed: Readonly<Record<string, string>> }[] {
  return [
    { label: 'as it starts', changed: {} },
    ...choices.flatMap((c) =>
      c.options
        .filter((o) => o.id !== usual[c.id])
        .map((o) => ({ label: `${c.id}: ${o.id}`, changed: { [c.id]: o.id } })),
    ),
  ];
}

const known = existsSync(KNOWN) ? (JSON.parse(readFileSync(KNOWN, 'utf8')) as Known) : null;
const worse: string[] = [];
const better: string[] = [];
for (const [of, byChoice] of Object.entries(found))
  for (const [choice, counts] of Object.entries(byChoice)) {
    const before = known?.[of]?.[choice] ?? {};
    for (const rule of new Set([...Object.keys(counts), ...Object.keys(before)])) {
      const [now, was] = [counts[rule] ?? 0, before[rule] ?? 0];
      if (now > was) worse.push(`${of}, ${choice}: ${rule} ${now}, was ${was}`);
      if (now < was) better.push(`${of}, ${choice}: ${rule} ${now}, was ${was}`);
    }
  }
const total = Object.values(found)
  .flatMap((c) => Object.values(c))
  .flatMap((c) => Object.values(c))
  .reduce((s, n) => s + n, 0);
const clean = Object.entries(found)
  .filter(([, c]) => Object.values(c).every((r) => Object.keys(r).length === 0))
  .map(([of]) => of);
console.log(
  `${total} faults known in ${Object.keys(found).length} families and rigs; whole: ${clean.join(', ') || 'none yet'}`,
);
if (process.argv.includes('--shrink')) {
  if (known && worse.length > 0) fail(worse, 'It may only shrink');
  writeFileSync(KNOWN, `${JSON.stringify(sorted(found), null, 1)}\n`);
} else if (!shown) {
  if (worse.length > 0) fail(worse, 'Not whole');
  if (better.length > 0) fail(better, 'Better than what is known: run node --import tsx scripts/audit.ts --shrink');
}

function fail(lines: readonly string[], why: string): never {
  console.error(
    `${why}:\n${lines.slice(0, 40).join('\n')}${lines.length > 40 ? `\nand ${lines.length - 40} more` : ''}`,
  );
  process.exit(1);
}

/** Only what is not whole, in an order that makes for small changes. */
function sorted(known: Known): Known {
  const inOrder = <T>(o: Record<string, T>): Record<string, T> =>
    Object.fromEntries(Object.entries(o).sort(([a], [b]) => (a < b ? -1 : 1)));
  return inOrder(
    Object.fromEntries(
      Object.entries(known).flatMap(([of, byChoice]) => {
        const left = Object.entries(byChoice).filter(([, counts]) => Object.keys(counts).length > 0);
        return left.length === 0 ? [] : [[of, inOrder(Object.fromEntries(left.map(([c, n]) => [c, inOrder(n)])))]];
      }),
    ),
  );
}

function quantities(sizes: Readonly<Record<string, number>>): Readonly<Record<string, { value: number }>> {
  return Object.fromEntries(Object.entries(sizes).map(([id, value]) => [id, { value }]));
}
