/** A member of the frame as exact solid pieces: a straight length is one, a bent bar one a stretch. */
import { alignZ, cross, dot, fromColumns, scale, subtract, unit, length, addScaled, type Material, type Vec3 } from '../0-base';
import { flatBody, solidOf, type FlatBody } from '../1-load';
import type { Member, Shape } from '../model';
import { followBends, stripStart, type BentStrip } from './bend';

/** The bent strip of a member; null when it is not a bent flat bar. */
export function bentStrip(member: Member, nodes: ReadonlyMap<string, Vec3>): BentStrip | null {
  const { path, stock } = member;
  if (path.kind !== 'bent' || stock.section.kind !== 'flat') return null;
  const start = stripStart(nodes.get(member.from) ?? [0, 0, 0], path.along, path.across);
  return followBends(stock.section, path.segments, start);
}

/**
 * The pieces, each with its mass from the material's density; a weighed member spreads its mass over them by volume.
 * Holes are not taken out (a 6 mm hole in a 6 mm bar is half a gram; see docs/limits.md).
 */
export function memberBodies(member: Member, nodes: ReadonlyMap<string, Vec3>, material: Material): readonly FlatBody[] {
  const pieces = piecesOf(member, nodes);
  const total = pieces.reduce((sum, piece) => sum + solidOf(piece.shape).volume, 0);
  return pieces.map((piece, index) =>
    flatBody({
      id: pieces.length === 1 ? member.id : `${member.id}/${index + 1}`,
      name: member.name,
      owner: member.id,
      ...piece,
      density: material.density,
      densitySpread: material.densitySpread,
      source: member.mass?.source ?? `density of ${material.name}`,
      look: material.look,
      ...(member.mass ? { mass: share(member.mass, solidOf(piece.shape).volume / total) } : {}),
    }),
  );
}

const share = (mass: NonNullable<Member['mass']>, part: number): NonNullable<Member['mass']> => ({
  ...mass,
  value: mass.value * part,
  ...(mass.spread === undefined ? {} : { spread: mass.spread * part }),
});

type PieceShape = { readonly shape: Shape; readonly at: Vec3; readonly rotation: ReturnType<typeof alignZ> };

function piecesOf(member: Member, nodes: ReadonlyMap<string, Vec3>): readonly PieceShape[] {
  const strip = bentStrip(member, nodes);
  if (strip) return strip.stretches.map((s) => ({ shape: s.shape, at: s.origin, rotation: s.rotation }));
  const from = nodes.get(member.from)!;
  const run = subtract(nodes.get(member.to)!, from);
  const middle = addScaled(from, run, 0.5);
  const { section } = member.stock;
  if (section.kind === 'tube') {
    const outerRadius = section.outerDiameter / 2;
    return [{ shape: { kind: 'tube', outerRadius, innerRadius: outerRadius - section.wall, length: length(run) }, at: middle, rotation: alignZ(run) }];
  }
  const along = unit(run);
  const wanted = member.path.kind === 'straight' ? member.path.widthDirection : ([0, 1, 0] as const);
  const width = unit(subtract(wanted, scale(along, dot(wanted, along))));
  return [{ shape: { kind: 'box', size: [length(run), section.width, section.thickness] }, at: middle, rotation: fromColumns(along, width, cross(along, width)) }];
}
