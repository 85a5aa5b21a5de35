/** A wood or self-tapping screw through one piece into another: flush in the first, its pilot hole drilled on through it. */
import { addScaled, alignZ, quaternionOf, say, unit, type Vec3 } from '../../../0-base';
import type { Part, ScrewedIn } from '../../../model';
import { plainly } from '../connection';
import { crossings } from '../crossing';
import { GONE, type KindOfConnection } from '../kind';

const STEEL = 7850;
/** A wood screw weighs about this part of a plain rod of its size, its head included. */
const PART = 0.75;

export const screwedIn: KindOfConnection<'screwedIn'> = {
  kind: 'screwedIn',
  datum: (of) => of.through,
  holds: (of) => [of.through, of.into],
  without: (of, gone) => (gone.has(of.through) || gone.has(of.into) ? null : of),
  resolve: (of, { solids }) => {
    const { id, name, through, into, packs } = of;
    const way = unit(of.way);
    const line = { point: of.point, way };
    const [first] = crossings(line, solids(through), of.diameter);
    const second = crossings(line, solids(into), 0).find((s) => s[1] > (first?.[1] ?? 0));
    const reaches = first && second && first[0] + of.length > second[0] && first[0] + of.length < second[1];
    const gone = solids(through).length === 0 || solids(into).length === 0;
    const isPlastic = solids(into)[0]?.look === 'plastic';
    return {
      parts: first ? [screw(of, addScaled(of.point, way, first[0]), way, isPlastic)] : [],
      faults: reaches
        ? []
        : [{ about: through, connection: id, name, reason: gone ? GONE : say`It does not hold in both pieces.` }],
      connection: {
        ...plainly({
          id,
          name,
          kind: 'screwedIn',
          pieces: [through, into],
          reversible: true,
          comesApart: packs ?? false,
        }),
        hardware: first ? [`${id}/screw`] : [],
        holes: first
          ? [
              {
                piece: through,
                at: addScaled(of.point, way, first[0]),
                axis: way,
                diameter: of.diameter,
                thread: null,
                sunk: true,
              },
            ]
          : [],
      },
    };
  },
};

function screw(of: ScrewedIn, at: Vec3, way: Vec3, isPlastic: boolean): Part {
  const mass = PART * STEEL * (Math.PI / 4) * of.diameter ** 2 * of.length;
  const item = `${isPlastic ? 'self-tapping' : 'wood'} screw ${Math.round(of.diameter * 10000) / 10} × ${Math.round(of.length * 1000)}`;
  return {
    id: `${of.id}/screw`,
    name: item,
    shape: { kind: 'tube', outerRadius: of.diameter / 2, innerRadius: 0, length: of.length },
    at: addScaled(at, way, of.length / 2),
    turn: quaternionOf(alignZ(way)),
    material: 'steel',
    mass: { value: mass, spread: 0.15 * mass, source: `mass of ${item}` },
    by: of.id,
    reckoned: true,
    supply: { item, packOf: 20, packPrice: 2.5 },
  };
}
