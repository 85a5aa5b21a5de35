/** Every mark on every piece, from the end or face that all is measured from. */
import { barPlans, holeSheets, type BarMark } from '../../5-stock';
import type { Whole } from '../../contract';
import type { Rig } from '../../model';

type Sheet = Whole['marks'][number];

const KIND: Readonly<Record<BarMark['kind'], Sheet['marks'][number]['kind'] | null>> = {
  bendStart: null,
  bendMiddle: 'bend',
  bendEnd: null,
  hole: 'hole',
  finishedEnd: 'cut',
};

export function marksOf(rig: Rig): readonly Sheet[] {
  const needs = new Map(rig.bodies.flatMap((b) => b.members).flatMap((m) => m.holes.map((h) => [h.id, h.by ?? null])));
  const bars = barPlans(rig).map((plan) => ({
    piece: plan.member,
    from: plan.bends.length > 0 ? 'its start, along the flat blank' : 'its start',
    marks: plan.marks.flatMap((m) => {
      const kind = KIND[m.kind];
      return kind ? [{ id: m.id, kind, connection: needs.get(m.id) ?? null, diameter: m.diameter }] : [];
    }),
  }));
  return [
    ...bars.filter((b) => b.marks.length > 0),
    ...holeSheets(rig).map(({ piece, from, marks }) => ({
      piece,
      from,
      marks: marks.map(({ id, connection, diameter }) => ({ id, kind: 'hole' as const, connection, diameter })),
    })),
  ];
}
