/** The whole of a rig: every piece, what holds it, what it is made and bought from, its marks and its steps. */
import { METRIC, render } from '../../0-base';
import { connectionsOf, countOf, overlapsOf, valuesInOrder, type AdjusterValues, type SolidKit } from '../../2-frame';
import { stockPlan } from '../../5-stock';
import { buildOrder, buildSteps, inStatedOrder } from '../../6-build';
import type { RigFile, Whole } from '../../contract';
import type { BinItem } from '../../model';
import type { Workpiece } from '../derive';
import { workOfFile } from '../workOfFile';
import { billOf } from './bill';
import { insideOf } from './inside';
import { marksOf } from './marks';
import { piecesOf } from './pieces';

export interface WholeInput {
  readonly name: string;
  readonly loadout: string | null;
  readonly work: Workpiece;
  readonly values: AdjusterValues;
  readonly kerf: number;
  readonly bin: readonly BinItem[];
  /** What meshes are cut with, to look whether anything stands inside another; null: neither that is looked at nor an order for building. */
  readonly kit: SolidKit | null;
}

export function wholeOf({ name, loadout, work, values, kerf, bin, kit }: WholeInput): Whole {
  const { assembly } = work;
  const { rig } = assembly;
  const inOrder = valuesInOrder(rig, values);
  const counts = new Map(assembly.stacks.map((s) => [s.station.id, countOf(s, inOrder)]));
  const connections = connectionsOf(rig, (station) => counts.get(station) ?? 0);
  const pieces = piecesOf(assembly, values, connections);
  const plan = stockPlan(rig, values, bin, kerf);
  const order = kit ? buildOrder(assembly, values) : inStatedOrder(assembly, values);
  const ordered = buildSteps(rig, values, order);
  const steps = ordered.kind === 'ordered' ? ordered.steps : [];
  const known = new Set(steps.map((s) => s.id));
  return {
    rig: name,
    loadout,
    rigMass: assembly.pieces.reduce((m, p) => (p.isLoad ? m : m + p.flat.mass), 0) + stackMass(assembly, counts),
    pieces,
    connections,
    ...billOf(plan, assembly, values),
    marks: marksOf(rig),
    steps: steps.map((s) => ({
      id: s.id,
      title: render(s.title, METRIC),
      does: s.does ?? [],
      makes: s.makes ?? [],
      handles: s.handles ?? [],
      needs: s.needs.filter((n) => known.has(n)),
    })),
    blocked: order.blocked.map((b) => b.pieces),
    unreached: order.joinings.flatMap((j) => (j.unreached ? [j.id] : [])),
    ...(kit ? insideOf(overlapsOf(kit, assembly, values), assembly, counts, pieces) : { overlaps: [] }),
  };
}

const stackMass = ({ stacks }: Workpiece['assembly'], counts: ReadonlyMap<string, number>): number =>
  stacks.reduce((m, s) => m + s.one.mass * (counts.get(s.station.id) ?? 0), 0);

export type WholeOutcome =
  { readonly ok: true; readonly whole: Whole } | { readonly ok: false; readonly reason: string };

/** Of a rig file, with one of its loadouts as `analyse` picks it. */
export function wholeOfFile(file: RigFile, loadoutName: string | null, kit: SolidKit | null): WholeOutcome {
  const opened = workOfFile(file, loadoutName);
  if (!opened.ok) return opened;
  const { work, loadout, values } = opened;
  return {
    ok: true,
    whole: wholeOf({
      name: file.rig.name,
      loadout: loadout?.name ?? null,
      work,
      values,
      kerf: file.rig.kerf,
      bin: [],
      kit,
    }),
  };
}
