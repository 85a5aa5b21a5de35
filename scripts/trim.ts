/** Command line: reads a rig file and prints how to balance it as JSON, the same set-up the Balance stage finds. */
import { parseArgs } from 'node:util';
import { binItem, METRIC, render, wants as wantsSchema, workpiece, type BinItem } from '@tide-pebble/core';
import { trimExplained, type Aim } from '@tide-pebble/core/bench';
import { loadoutNamed } from '@tide-pebble/core/making';
import { fail, readRigFile } from './rigFileArgument';

const USE =
  'Use: npm run -s trim -- FILE [--loadout NAME] [--aim lightest|calmest|fewestMoves|steadiestPan] [--want KEY=VALUE]… [--bin NAME=COUNT]…, for instance --want dropTime=1.8,2.4 --want levelWithin=0.0175 (SI: s, rad, kg); with --bin only the washers named, by their names in the shopping list';
const AIMS: readonly Aim[] = ['lightest', 'calmest', 'fewestMoves', 'steadiestPan'];
let args;
try {
  args = parseArgs({
    allowPositionals: true,
    options: {
      loadout: { type: 'string' },
      aim: { type: 'string' },
      want: { type: 'string', multiple: true },
      bin: { type: 'string', multiple: true },
    },
  });
} catch (error) {
  fail(`${error instanceof Error ? error.message : String(error)}\n${USE}`);
}
const [file, ...more] = args.positionals;
if (!file || more.length > 0) fail(USE);
const aim = (args.values.aim ?? 'lightest') as Aim;
if (!AIMS.includes(aim)) fail(`There is no aim “${aim}”. ${USE}`);
const rigFile = readRigFile(file);
const { rig, kit, setups } = rigFile;
const picked = loadoutNamed(rigFile, args.values.loadout ?? null);
if (!picked.ok) fail(picked.reason);
const { loadout } = picked;
const bin = (args.values.bin ?? []).map(binOf);
const wanted = wantsSchema.safeParse({
  ...rig.wants,
  onlyBin: bin.length > 0,
  ...Object.fromEntries((args.values.want ?? []).map(wantOf)),
});
if (!wanted.success) fail(wanted.error.issues.map((i) => `want ${i.path.join('.')}: ${i.message}`).join('\n'));
const made = workpiece({ ...rig, wants: wanted.data }, loadout, new Map(kit.map((k) => [k.id, k])), bin);
if (!made.ok) fail(made.reason);
const values = setups.find((s) => s.rig === rig.id && s.loadout === loadout?.id)?.values ?? {};
const outcome = trimExplained(made.work.assembly, values, wanted.data, { aim });
console.log(
  JSON.stringify(
    {
      rig: rig.name,
      loadout: loadout?.name ?? null,
      aim,
      ...(outcome.kind === 'impossible'
        ? { ...outcome, remedies: outcome.remedies.map((r) => ({ ...r, label: render(r.label, METRIC) })) }
        : outcome),
    },
    null,
    2,
  ),
);

/** "dropTime=1.8,2.4" is a pair, "levelWithin=0.0175" a number, "firm=levelForeAft,bag" names. */
function wantOf(given: string): readonly [string, number | readonly number[] | readonly string[]] {
  const [key, value, ...rest] = given.split('=');
  if (key === 'firm' && value !== undefined && rest.length === 0)
    return [
      key,
      value
        .split(',')
        .map((v) => v.trim())
        .filter(Boolean),
    ];
  const numbers = (value ?? '').split(',').map((v) => (v.trim() === '' ? NaN : Number(v)));
  if (!key || rest.length > 0 || numbers.some((n) => !Number.isFinite(n))) fail(`“${given}” is no want. ${USE}`);
  return [key, numbers.length === 1 ? numbers[0]! : numbers];
}

/** "M10 wide washer 30 mm=12": so many of them. */
function binOf(given: string): BinItem {
  const [name, count] = [given.slice(0, given.lastIndexOf('=')), given.slice(given.lastIndexOf('=') + 1)];
  const read = binItem.safeParse({ id: 'bin', name, count: count.trim() === '' ? NaN : Number(count), lengths: [] });
  return read.success ? read.data : fail(`“${given}” is not so many of a washer. ${USE}`);
}
