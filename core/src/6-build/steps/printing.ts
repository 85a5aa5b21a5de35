/** Parts that come out of the printer with their holes: what is dropped in is laid ready before. */
import { figure, say } from '../../0-base';
import { printedParts, type Connection } from '../../2-frame';
import { holeSheets, type HoleSheet } from '../../5-stock';
import type { Rig } from '../../model';
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
        needs: [],
        does: dropped.map((c) => c.id),
        makes: [printId(part.id), ...holes.map((h) => h.id)],
        handles: [part.id, ...inside],
        title: say`Print the ${part.name}`,
        tool: 'printer',
        figures: [
          ...(holes.length > 0
            ? [say`${figure('count', holes.length)} ${holes.length === 1 ? 'hole comes' : 'holes come'} with it`]
            : []),
          ...(inside.length > 0
            ? [say`stop it before the pockets close, and drop in the ${AND.format(counted(inside.map(nameOf)))}`]
            : []),
        ],
        check: say`Flat, no layer lifts, and a drill turned by hand passes each hole.`,
        caution:
          inside.length > 0
            ? 'Nozzle and bed are hot. Have what is dropped in at hand: a cold print lets go of its bed.'
            : 'Nozzle and bed are hot.',
      };
    });
  },
};

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
