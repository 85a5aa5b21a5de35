/** Parts that come out of the printer with their holes: what is dropped in is laid ready before. */
import { figure, materialOf, say, type Phrase } from '../../0-base';
import { solidOf } from '../../1-load';
import { pauseLayer, printedParts, type Connection } from '../../2-frame';
import { holeSheets, type HoleSheet } from '../../5-stock';
import type { Part, Rig } from '../../model';
import { AND, counted } from '../joinedAs';
import { namesOf } from '../namesOf';
import type { BuildOrder } from '../order/buildOrder';
import { printId, type BuildStep, type StepMaker } from '../step';

export const printStep = (piece: string): string => `print:${piece}`;

export const printing: StepMaker = {
  id: 'printing',
  place: 5,
  make: ({ rig, order }) => {
    const nameOf = namesOf(rig);
    const sheets = holeSheets(rig);
    return printedParts(rig).map((part): BuildStep => {
      const dropped = droppedInto(part.id, rig, order);
      const holes = printedHoles(part.id, sheets);
      const inside = dropped.map((c) => c.pieces[0]!);
      return {
        id: printStep(part.id),
        about: part.id,
        final: false,
        minutes: 10,
        runs: { machine: 'printer', time: printTime(part, rig) },
        needs: [],
        does: dropped.map((c) => c.id),
        makes: [printId(part.id), ...holes.map((h) => h.id)],
        handles: [part.id, ...inside],
        title: say`Print the ${part.name}`,
        tool: 'printer',
        figures: [
          say`roughly ${figure('time', printTime(part, rig), 0)} on the printer by itself`,
          ...(holes.length > 0
            ? [say`${figure('count', holes.length)} ${holes.length === 1 ? 'hole comes' : 'holes come'} with it`]
            : []),
          ...pauses(part, inside, rig),
        ],
        ...(inside.length > 0
          ? {
              moves: [
                say`Slice it with the pause in it, and stay by the printer when it comes.`,
                say`Drop in the ${AND.format(counted(inside.map(nameOf)))}, each flat on its pocket’s floor: nothing may stand above the last layer.`,
                say`Where no bolt pulls it down, a dab of glue under it.`,
                say`Let it go on at once, and watch the first bridge over each pocket.`,
              ],
            }
          : {}),
        check: say`Flat, no layer lifts, and a drill turned by hand passes each hole.`,
        ...(inside.length > 0
          ? {
              ready: say`Lay ready by the printer: the ${AND.format(counted(inside.map(nameOf)))}, and tweezers.`,
              trial: say`Print a slice with one pocket first: what goes in must drop in and not turn.`,
            }
          : {}),
        wrong: say`A hole too tight: turn a drill of its size through by hand. A layer that lifted or split: print it again, it does not hold by glue.`,
        caution:
          inside.length > 0
            ? 'Nozzle and bed are hot. Have what is dropped in at hand: a cold print lets go of its bed.'
            : 'Nozzle and bed are hot.',
      };
    });
  },
};

/** Layers as they are usually printed, m. */
const LAYERS = [0.00015, 0.0002, 0.00025, 0.0003];
/** Where the print stops for what is dropped in: its upper face on the bed, so that what stands on it comes out flat. */
function pauses(part: Part, inside: readonly string[], { bodies }: Rig): readonly Phrase[] {
  const { shape } = part;
  if (shape.kind !== 'box' || part.turn) return [];
  const bed = part.at[2] + shape.size[2] / 2;
  const heights = bodies
    .flatMap((b) => b.parts)
    .flatMap((p) =>
      inside.includes(p.id) && p.shape.kind === 'tube' && !p.turn
        ? [Math.round(1e6 * (bed - (p.at[2] - p.shape.length / 2))) / 1e6]
        : [],
    );
  return [...new Set(heights)].map((top) => [
    ...say`its upper face on the bed, stop it ${figure('length', top, 2)} up`,
    ...LAYERS.flatMap((layer, i) => [
      i === 0 ? ': after layer ' : ', ',
      ...say`${figure('count', pauseLayer(top, layer))} of ${figure('length', layer, 2)}`,
    ]),
  ]);
}

/** A desk printer with a 0.4 mm nozzle and layers of 0.2 mm lays about 12 g an hour, half or twice that by its make; kg/s. From memory. */
const LAYS = 0.012 / 3600;
/** Of the plastic that is in it; of a part that is not known to weigh anything, none. */
function printTime({ shape, material, mass }: Part, rig: Rig): number {
  const density = material === undefined ? 0 : (materialOf(material, rig.materials)?.density ?? 0);
  return (mass?.value ?? solidOf(shape).volume * density) / LAYS;
}

/** Plain holes are printed, and those that a bolt cuts its thread in; a tap's thread is cut afterwards. */
export const printedHoles = (piece: string, sheets: readonly HoleSheet[]): HoleSheet['marks'] =>
  sheets.find((s) => s.piece === piece)?.marks.filter((m) => m.thread === null || m.bitten) ?? [];

/** What is shut in by the print itself. */
export function droppedInto(piece: string, rig: Rig, { joinings }: BuildOrder): readonly Connection[] {
  const six = new Set(
    rig.bodies
      .flatMap((b) => b.connections ?? [])
      .flatMap((c) => (c.kind === 'seated' && c.six && c.in === piece ? [c.id] : [])),
  );
  return joinings.flatMap((j) => j.connections).filter((c) => six.has(c.id));
}
