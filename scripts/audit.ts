/**
 * Is each rig whole? Every family for three loadouts, each of its choices changed alone, sizes of the maker's own, any sizes and
 * choices together, freed, and after each change its findings and a trim that cannot be had offer; and the demo's rigs go through
 * an outsider's audit. None may have a fault.
 *
 *   node --import tsx scripts/audit.ts            fails when anything is not whole
 *   node --import tsx scripts/audit.ts --pairs    all pairs of choices too, not only some; takes long
 *   node --import tsx scripts/audit.ts --show ID  looks at one family alone and prints every fault.
 */
import { existsSync, readFileSync } from 'node:fs';
import {
  backup,
  BARS,
  changedDesign,
  cornersFor,
  FAMILIES,
  freed,
  headsFor,
  judged,
  METRIC,
  nutsFor,
  overlapsOf,
  placeLoad,
  RARER_THREADS,
  readWith,
  render,
  sizeLike,
  THREADS,
  upperFace,
  USUAL_HANDS,
  withEdit,
  withoutHardware,
  workpiece,
  type Design,
  type Edit,
  type Family,
  type KitItem,
  type Loadout,
  type OwnSize,
  type Rig,
  type RigDocument,
  type Workpiece,
} from '@tide-pebble/core';
import { trimExplained } from '@tide-pebble/core/bench';
import fc from 'fast-check';
import { wholeOf } from '@tide-pebble/core/making';
import { STIFFENERS, strengthOf, type StiffChange } from '@tide-pebble/core/strength';
import type { Whole } from '@tide-pebble/core';
import { kit as solids } from './solids';

const AUDIT = new URL('../../shared/audit-whole.mjs', import.meta.url);
/** Where solids were not cut with each other, what lies in another's box is not known. */
const NOT_LOOKED_AT = ['overlap', 'built'];
const LOADOUTS = ['Slack: phone', 'Neap: crab cam alone', 'Flood: body, 70'];

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
const outside = ((await import(AUDIT.href)) as { audit: (report: unknown) => readonly string[] }).audit;
/** And an order in which it can be put together, each screw within reach of a tool. */
const audit = (whole: Whole): readonly string[] => [
  ...outside(whole),
  ...whole.blocked.map((pieces) => `built: no order puts together ${pieces.join(', ')}`),
  ...whole.unreached.map((id) => `built: no tool reaches ${id}`),
];
const demo = readWith(backup, JSON.parse(readFileSync(new URL('../demo/tide-pools.json', import.meta.url), 'utf8')));
if (!demo.ok) throw new Error('the demo does not read');
const bodies = <T>(kind: string): readonly T[] =>
  demo.value.documents.flatMap((d) => (d.kind === kind && d.body ? [d.body as T] : []));
const kit = new Map(bodies<KitItem>('kit').map((k) => [k.id, k]));
const loadouts = bodies<Loadout>('loadout');
const shown = process.argv.includes('--show') ? process.argv[process.argv.indexOf('--show') + 1] : null;

/** Findings that say it cannot be built or bought so. */
const TOLD = new Set(['connectionLoose', 'heldByNothing', 'longerThanSold', 'holesMeet', 'headMeetsCap']);
/** Drops that few rigs have as they start: what is offered then is audited too. */
const FIRM = ['levelForeAft', 'levelSideways', 'dropPitch'];
const HARD_WANTS: readonly RigDocument['wants'][] = [
  { ...USUAL_WANTS, dropTime: [0.6, 0.75], firm: FIRM },
  { ...USUAL_WANTS, dropTime: [3.4, 3.8], firm: FIRM },
];
/** Of any sizes, a family and loadout. */
const ANY = Number(process.argv.includes('--any') ? process.argv[process.argv.indexOf('--any') + 1] : 6);
/** Pairs of choices, a family. */
const PAIRS = 8;
/** Of its own for each family: one more of them changes nothing for the others. */
const seedOf = (name: string): number => [...name].reduce((hash, c) => (hash * 31 + c.charCodeAt(0)) | 0, 7) >>> 1;
const OWN_SUPPLY = { item: 'own', packOf: 1, packPrice: 1 };
interface Changed {
  readonly label: string;
  readonly changed: Readonly<Record<string, string>>;
  readonly own?: OwnSize;
}
let n = 0;
let audited = 0;
const faults: string[] = [];
const count = (of: string, choice: string, told: readonly string[], looksInside = false): void => {
  audited++;
  for (const fault of told) {
    const rule = fault.slice(0, fault.indexOf(':'));
    if (NOT_LOOKED_AT.includes(rule) && !looksInside) continue;
    faults.push(`${of}, ${choice}: ${fault}`);
    if (shown === of) console.log(`${choice}  ${fault}`);
  }
};

for (const family of FAMILIES.filter((f) => !shown || f.id === shown))
  for (const name of LOADOUTS) {
    const loadout = loadouts.find((l) => l.name === name)!;
    const { dimensions, choices, startValues } = family.size(placeLoad(loadout, kit), USUAL_HANDS);
    for (const { label, changed, own } of [
      ...changes(family, choices),
      ...(name === LOADOUTS[1] ? pairs(family, choices) : []),
      ...ownSizes(family),
    ]) {
      const made = workpiece(
        {
          design: {
            kind: 'family',
            family: family.id,
            dimensions: quantities(dimensions),
            choices: { ...choices, ...changed },
            edits: [],
            ...(own ? { own: [own] } : {}),
          },
        },
        loadout,
        kit,
      );
      if (!made.ok) {
        count(family.id, label, [`pieces: ${made.reason}`]);
        continue;
      }
      // Cutting solids takes its time: each choice is looked at with one of the loads.
      const looksInside = label === 'as it starts' || (name === LOADOUTS[1] && !own);
      const whole = wholeOf({
        name: family.id,
        loadout: name,
        work: made.work,
        values: startValues,
        kerf: 0.0015,
        bin: [],
        kit: looksInside ? solids : null,
      });
      // One choice alone may not suit the sizes that were found for another: then it must be told.
      const told = label !== 'as it starts' && isTold(made.work, startValues);
      count(family.id, label, audit(whole), looksInside && !told);
      if (label !== 'as it starts') continue;
      // With each adjuster at both its ends.
      if (name === LOADOUTS[1])
        for (const { id, range } of made.work.rig.adjusters)
          for (const end of range)
            count(family.id, `${id} at ${end}`, insideAt(made.work, { ...startValues, [id]: end }));
      // Freed, and after whatever is offered in one click.
      const design = {
        kind: 'family' as const,
        family: family.id,
        dimensions: quantities(dimensions),
        choices,
        edits: [],
      };
      const plain = freed(design);
      if (plain) count(family.id, 'freed', auditOf(plain, loadout, startValues, true), true);
      for (const edit of ownWays(made.work.rig, family)) {
        const after = withEdit(design, edit);
        if (!after) continue;
        count(
          family.id,
          `${edit.kind} ${'target' in edit ? edit.target : ''}`,
          inItsPlace(after, loadout, startValues),
          true,
        );
        const free = plain && withEdit(plain, edit);
        if (free) count(family.id, `freed, ${edit.kind}`, untold(free, loadout, startValues));
      }
      for (const finding of judged(made.work, startValues, USUAL_WANTS).findings)
        for (const fix of finding.fixes) {
          const after = changedDesign(design, fix.changes, () => `mended-${++n}`);
          count(family.id, `mended: ${finding.code}`, auditOf(after, loadout, startValues, true), true);
        }
      if (name === LOADOUTS[1])
        for (const { name: what, to, changes } of stiffer(made.work, startValues)) {
          const after = changedDesign(design, changes, () => `stiffer-${++n}`);
          const label = `stiffer: ${what}, ${render(to, METRIC)}`;
          count(family.id, label, untold(after, loadout, startValues, true), true);
          const stiff = workpiece({ design: after }, loadout, kit);
          if (stiff.ok && !isTold(stiff.work, startValues))
            for (const { id, range, kind } of stiff.work.rig.adjusters)
              for (const end of kind === 'count' ? [] : range)
                count(family.id, `${label}, ${id} at ${end}`, insideAt(stiff.work, { ...startValues, [id]: end }));
          const free = plain && changedDesign(plain, changes, () => `stiffer-${++n}`);
          if (free && free !== plain) count(family.id, `freed, ${label}`, untold(free, loadout, startValues));
        }
      for (const wants of HARD_WANTS) {
        const trimmed = trimExplained(made.work.assembly, startValues, wants);
        if (trimmed.kind !== 'impossible') continue;
        for (const remedy of trimmed.remedies.filter((r) => r.whole && r.changes.length > 0)) {
          const after = changedDesign(design, remedy.changes, () => `remedy-${++n}`);
          count(family.id, `remedy: ${render(remedy.label, METRIC)}`, auditOf(after, loadout, startValues, true), true);
        }
      }
      const started = workpiece({ design }, loadout, kit);
      if (started.ok)
        for (const [i, edits] of fc.sample(editsOf(started.work.rig), { seed: 19, numRuns: ANY }).entries()) {
          const told = edits.map((e) => `${e.kind} ${'target' in e ? e.target : ''}`).join(', ');
          count(family.id, `edits ${i} ${told}`, untold({ ...design, edits }, loadout, startValues));
          const free = plain && edits.reduce<Design | null>((d, e) => d && withEdit(d, e), plain);
          if (free) count(family.id, `freed, edits ${i} ${told}`, untold(free, loadout, startValues));
        }
      for (const [i, any] of fc.sample(anyOf(family), { seed: 18, numRuns: ANY }).entries())
        count(
          family.id,
          `any ${i} ${JSON.stringify(any.choices)}`,
          untold({ ...design, ...any }, loadout, startValues),
        );
    }
  }

/** What Strength would try of it. */
function stiffer(work: Workpiece, values: Readonly<Record<string, number>>): readonly StiffChange[] {
  const outcome = strengthOf({
    assembly: work.assembly,
    values,
    pose: work.rig.poses[0] ?? null,
    bump: 3,
    ranges: false,
  });
  // Other choices and sizes are gone through above.
  const made = STIFFENERS.filter((s) => s.id !== 'choices' && s.id !== 'sizes');
  return outcome.kind === 'solved' ? made.flatMap((s) => s.tries(work, outcome.strength)) : [];
}

/** A maker's own ways: the camera on another plate, a bar between corners that folds or not. */
function ownWays(rig: Rig, { id }: Family): readonly Edit[] {
  const bare = withoutHardware(rig);
  const plates = bare.bodies.flatMap((b) => b.parts.filter((p) => !p.mount && upperFace(p)));
  const corners = bare.bodies.flatMap((b) => {
    const all = cornersFor(b);
    return all.flatMap((from, i) => all.slice(i + 1).map((to) => ({ body: b.id, from, to })));
  });
  const stock = BARS['aluminium-25x5'] ?? Object.values(BARS)[0]!;
  return [
    ...plates.slice(0, 3).map(({ id: target }): Edit => ({ kind: 'mount', id: 'own', target, forward: 0, left: 0 })),
    ...corners
      .slice(0, 12)
      .map((of, i): Edit => ({ kind: 'brace', id: 'own', member: `${id}-brace`, stock, folds: i % 2 === 1, ...of })),
  ];
}
/** It may stand in something's way, which is told on the Frame; all else of it is whole. */
function inItsPlace(...of: Parameters<typeof untold>): readonly string[] {
  return untold(...of).filter((f) => !NOT_LOOKED_AT.some((rule) => f.startsWith(rule)));
}

/** A few changes by hand of what a rig is made of. */
function editsOf(rig: Rig): fc.Arbitrary<Edit[]> {
  const parts = rig.bodies.flatMap((b) => b.parts.filter((p) => !p.by).map((p) => p.id));
  const members = rig.bodies.flatMap((b) => b.members);
  const bolts = rig.bodies.flatMap((b) => b.connections ?? []).flatMap((c) => (c.kind === 'bolted' ? [c] : []));
  const by = fc.double({ min: -0.02, max: 0.02, noNaN: true });
  const kinds: fc.Arbitrary<Edit>[] = [
    ...(parts.length > 0
      ? [
          fc.tuple(fc.constantFrom(...parts), by, by, by).map(([target, ...to]): Edit => ({
            kind: 'move',
            id: 'e',
            target,
            by: to,
          })),
          fc.constantFrom(...parts).map((target): Edit => ({ kind: 'remove', id: 'e', target })),
          fc.constantFrom(...parts).map((target): Edit => ({ kind: 'weigh', id: 'e', target, mass: { value: 0.05 } })),
        ]
      : []),
    ...(members.length > 0
      ? [
          fc.tuple(fc.constantFrom(...members), fc.constantFrom(...Object.values(BARS))).map(([m, stock]): Edit => ({
            kind: 'restock',
            id: 'e',
            target: m.id,
            stock: stock.section.kind === m.stock.section.kind ? stock : m.stock,
          })),
          fc.constantFrom(...members).map((m): Edit => ({ kind: 'remove', id: 'e', target: m.id })),
        ]
      : []),
    ...(bolts.length > 0
      ? [
          fc.tuple(fc.constantFrom(...bolts), fc.constantFrom(...THREADS, ...RARER_THREADS)).map(([b, t]): Edit => ({
            kind: 'thread',
            id: 'e',
            target: b.id,
            thread: t.name,
          })),
          fc.tuple(fc.constantFrom(...bolts), fc.nat(9)).map(([b, n]): Edit => {
            const nuts = nutsFor(b);
            const nut = nuts[n % (nuts.length + 1)];
            const head = headsFor(b)[n % 4];
            return {
              kind: 'fasten',
              id: 'e',
              target: b.id,
              lockWasher: n % 2 ? 'spring' : 'none',
              ...(nut ? { nut } : {}),
              ...(head ? { head } : {}),
              ...(n % 3 ? { holes: 'bite' as const } : {}),
            };
          }),
        ]
      : []),
  ];
  return fc
    .array(fc.oneof(...kinds), { minLength: 1, maxLength: 3 })
    .map((edits) => edits.map((e, i) => ({ ...e, id: `e${i}` })));
}

/** What stands inside another with the adjusters so. */
function insideAt({ assembly }: Workpiece, values: Readonly<Record<string, number>>): readonly string[] {
  return overlapsOf(solids, assembly, values)
    .overlaps.filter((o) => o.allowedBy === null)
    .map((o) => `inside: ${o.a} and ${o.b} share ${(o.volume * 1e9).toFixed(0)} mm³`);
}

/** Any sizes may make what does not hold: then it must be told, as something that stops. */
function untold(...of: Parameters<typeof auditOf>): readonly string[] {
  const [design, loadout, values] = of;
  const made = workpiece({ design }, loadout, kit);
  if (!made.ok) return [];
  return isTold(made.work, values) ? [] : auditOf(...of);
}
function isTold(work: Workpiece, values: Readonly<Record<string, number>>): boolean {
  return judged(work, values, USUAL_WANTS).findings.some((f) => f.severity === 'stop' || TOLD.has(f.code));
}

function auditOf(
  design: RigDocument['design'],
  loadout: Loadout,
  values: Readonly<Record<string, number>>,
  looksInside = false,
): readonly string[] {
  const after = workpiece({ design }, loadout, kit);
  if (!after.ok) return [`pieces: ${after.reason}`];
  const { name } = loadout;
  return audit(
    wholeOf({ name, loadout: name, work: after.work, values, kerf: 0.0015, bin: [], kit: looksInside ? solids : null }),
  );
}
for (const rig of shown ? [] : bodies<RigDocument>('rig')) {
  const loadout = loadouts.find((l) => l.id === rig.loadout) ?? null;
  const made = workpiece(rig, loadout, kit);
  if (!made.ok) throw new Error(`${rig.name}: ${made.reason}`);
  count(
    `demo: ${rig.name}`,
    'as it is',
    audit(
      wholeOf({
        name: rig.name,
        loadout: loadout?.name ?? null,
        work: made.work,
        values: {},
        kerf: rig.kerf,
        bin: [],
        kit: solids,
      }),
    ),
    true,
  );
}

/** Two of each kind a choice takes, thinner and thicker than what is sold. */
function ownSizes(family: Family): readonly Changed[] {
  return family.choices.flatMap((c) => {
    const like = c.options.map((o) => sizeLike(o.id, 'own-size')).find((size) => size && c.takes?.(size));
    return like
      ? [0.8, 1.2].map((by) => ({
          label: `${c.id}: own × ${by}`,
          changed: { [c.id]: 'own-size' },
          own: resized(like, by),
        }))
      : [];
  });
}

function resized(size: OwnSize, by: number): OwnSize {
  if ('washer' in size)
    return {
      ...size,
      washer: { ...size.washer, name: 'own', thickness: size.washer.thickness * by, supply: OWN_SUPPLY },
    };
  const { section } = size.stock;
  const other =
    section.kind === 'flat'
      ? { ...section, thickness: section.thickness * by }
      : section.kind === 'rod'
        ? section
        : { ...section, wall: section.wall * by };
  const stock = { ...size.stock, name: 'own', section: other };
  return size.kind === 'pipe' ? { ...size, stock, depth: size.depth * by } : { ...size, stock };
}

/** Any sizes within their ranges, any choices. */
function anyOf(family: Family) {
  return fc.record({
    dimensions: fc.record(
      Object.fromEntries(
        family.dimensions.map((d) => [
          d.id,
          fc.double({ min: d.range[0], max: d.range[1], noNaN: true }).map((value) => ({ value })),
        ]),
      ),
    ),
    choices: fc.record(
      Object.fromEntries(family.choices.map((c) => [c.id, fc.constantFrom(...c.options.map((o) => o.id))])),
    ),
  });
}

/** As it starts, and each choice changed alone. */
/** Two choices changed together, since one may show only with another: some of them, or all. */
function pairs({ id, choices }: Family, usual: Readonly<Record<string, string>>): readonly Changed[] {
  const others = choices.map((c) => c.options.filter((o) => o.id !== usual[c.id]).map((o) => [c.id, o.id] as const));
  const all = others.flatMap((first, i) =>
    others.slice(i + 1).flatMap((second) => first.flatMap((a) => second.map((b) => [a, b] as const))),
  );
  const some = process.argv.includes('--pairs')
    ? all
    : fc.sample(fc.constantFrom(...(all.length > 0 ? all : [null])), { seed: seedOf(id), numRuns: PAIRS });
  return [...new Set(some)].flatMap((pair) =>
    pair ? [{ label: pair.map(([c, o]) => `${c}: ${o}`).join(', '), changed: Object.fromEntries(pair) }] : [],
  );
}
function changes({ choices }: Family, usual: Readonly<Record<string, string>>): readonly Changed[] {
  return [
    { label: 'as it starts', changed: {} },
    ...choices.flatMap((c) =>
      c.options
        .filter((o) => o.id !== usual[c.id])
        .map((o) => ({ label: `${c.id}: ${o.id}`, changed: { [c.id]: o.id } })),
    ),
  ];
}

console.log(`${audited} rigs audited, ${faults.length} faults`);
if (faults.length > 0 && !shown) {
  const more = faults.length > 40 ? `\nand ${faults.length - 40} more` : '';
  console.error(`Not whole:\n${faults.slice(0, 40).join('\n')}${more}`);
  process.exit(1);
}

function quantities(sizes: Readonly<Record<string, number>>): Readonly<Record<string, { value: number }>> {
  return Object.fromEntries(Object.entries(sizes).map(([id, value]) => [id, { value }]));
}
