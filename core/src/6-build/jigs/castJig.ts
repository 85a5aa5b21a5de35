/** A jig as the one closed solid that a printer takes. */
import { addScaled } from '../../0-base';
import { castOf, hole, printedOf, type Mesh, type Printed, type SolidKit } from '../../2-frame';
import type { Block, Bore, Jig } from './jig';

export function castJig(kit: SolidKit, jig: Jig): Printed {
  const mesh = (of: Block): Mesh => castOf(kit, of)!.outside;
  const bored = ({ at, way, diameter, depth }: Bore): Mesh =>
    hole(kit, addScaled(at, way, -depth), way, diameter, 2 * depth);
  const solid = kit.Manifold.union(jig.blocks.map(mesh));
  const cuts = [...jig.cuts, ...jig.guides].map((c) => ('shape' in c ? mesh(c) : bored(c)));
  const made = printedOf(cuts.length > 0 ? solid.subtract(kit.Manifold.union(cuts)) : solid);
  kit.tidy();
  return made;
}
