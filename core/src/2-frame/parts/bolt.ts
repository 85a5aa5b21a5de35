/** A steel bolt or stud as a plain rod, with its nut counted in the length. */
import { addScaled, alignZ, quaternionOf, unit, type Vec3 } from '../../0-base';
import type { Part } from '../../model';

/** From the seat outwards along `axis`; `length` is what sticks out, head and bar thickness included by `inside`. */
export function bolt(at: {
  id: string;
  name: string;
  seat: Vec3;
  axis: Vec3;
  diameter: number;
  length: number;
  inside: number;
  price: number;
}): Part {
  const axis = unit(at.axis);
  const total = at.length + at.inside;
  const turn = quaternionOf(alignZ(axis));
  return {
    id: at.id,
    name: at.name,
    shape: { kind: 'tube', outerRadius: at.diameter / 2, innerRadius: 0, length: total },
    at: addScaled(at.seat, axis, total / 2 - at.inside),
    turn,
    material: 'steel',
    supply: { item: `${at.name.split(',')[0]}, with nut`, packOf: 1, packPrice: at.price },
  };
}
