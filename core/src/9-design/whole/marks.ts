/** Every mark on every piece, from the end or face that all is measured from. */
import { barPlans, type BarMark } from '../../5-stock';
import { drilledElsewhere, type Connection } from '../../2-frame';
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

export function marksOf(rig: Rig, connections: readonly Connection[]): readonly Sheet[] {
  const needs = new Map(rig.bodies.flatMap((b) => b.members).flatMap((m) => m.holes.map((h) => [h.id, h.by ?? null])));
  const bars = barPlans(rig).map((plan) => ({
    piece: plan.member,
    from: plan.bends.length > 0 ? 'its start, along the flat blank' : 'its start',
    marks: plan.marks.flatMap((m) => {
      const kind = KIND[m.kind];
      return kind ? [{ id: m.id, kind, connection: needs.get(m.id) ?? null, diameter: m.diameter }] : [];
    }),
  }));
  const others = new Map<string, Sheet['marks'][number][]>();
  for (const { id, piece, connection, diameter } of drilledElsewhere(rig, connections))
    others.set(piece, [...(others.get(piece) ?? []), { id, kind: 'hole', connection, diameter }]);
  const fittings = new Set(rig.bodies.flatMap((b) => b.joints).map((j) => j.id));
  return [
    ...bars.filter((b) => b.marks.length > 0),
    ...[...others].map(([piece, marks]) => ({
      piece,
      from: fittings.has(piece) ? 'the middle of its closed end' : 'its rear and its right edge',
      marks,
    })),
  ];
}
