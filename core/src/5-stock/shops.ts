/** Which kind of shop has a thing: from what it is in the rig, its material and how it is come by, never from its name. */
import { keptAs } from '../2-frame';
import type { Part, Rig, Stock } from '../model';

export const SHOPS = [
  { id: 'metal', name: 'Metal' },
  { id: 'pipes', name: 'Pipes and fittings' },
  { id: 'timber', name: 'Timber' },
  { id: 'plastic', name: 'Plastic and composite' },
  { id: 'fasteners', name: 'Fasteners' },
  { id: 'glue', name: 'Glue, solder and paint' },
  { id: 'parts', name: 'Finished parts, often by post' },
  { id: 'printed', name: 'From your printer' },
] as const;
export type Shop = (typeof SHOPS)[number]['id'];

const METALS = ['steel', 'aluminium', 'brass', 'copper'];
const WOODS = ['birchPly', 'oak', 'pine'];
/** As a rig keeps the print of a part: a material of its own. */
const PRINTED = /^printed-/;

/** By item as it is bought, over all rigs. */
export function shopOf(rigs: readonly Rig[]): (item: string) => Shop {
  const shops = new Map<string, Shop>();
  const put = (item: string, shop: Shop): void => {
    if (!shops.has(keptAs(item))) shops.set(keptAs(item), shop);
  };
  for (const { bodies } of rigs) {
    // What ends in sockets is a pipe, whatever it is made of.
    const piped = new Set(
      bodies.flatMap((b) => {
        const fitted = new Set(b.joints.filter((j) => j.hub?.supply).flatMap((j) => j.joins));
        return b.members.filter((m) => fitted.has(m.id)).map((m) => m.stock.name);
      }),
    );
    for (const body of bodies) {
      for (const m of body.members) put(m.stock.name, piped.has(m.stock.name) ? 'pipes' : ofStock(m.stock));
      for (const j of body.joints) if (j.hub?.supply) put(j.hub.supply.item, 'pipes');
      for (const s of body.stations) if (s.washer.supply) put(s.washer.supply.item, 'fasteners');
      for (const p of body.parts) if (p.supply) put(p.supply.item, ofPart(p));
    }
  }
  return (item) => shops.get(keptAs(item)) ?? 'parts';
}

function ofStock({ section, material }: Stock): Shop {
  // Rod with a thread is sold where its nuts are.
  if (section.kind === 'rod' && section.threadPitch !== undefined) return 'fasteners';
  return ofMaterial(material);
}

function ofPart({ uses, by, supply, material = '' }: Part): Shop {
  if (uses) return 'glue';
  if (PRINTED.test(material)) return 'printed';
  // What a connection brings along is its screw, its nut, its washer.
  if (by !== undefined) return 'fasteners';
  return supply!.sawn ? ofMaterial(material) : 'parts';
}

const ofMaterial = (material: string): Shop =>
  METALS.includes(material) ? 'metal' : WOODS.includes(material) ? 'timber' : 'plastic';
