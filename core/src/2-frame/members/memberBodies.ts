/** A member of the frame as exact solid pieces: a straight length is one, a bent bar one a stretch. */
import {
  alignZ,
  cross,
  dot,
  fromColumns,
  scale,
  subtract,
  unit,
  length,
  addScaled,
  type Material,
  type Vec3,
} from '../../0-base';
import { flatBody, solidOf, type FlatBody } from '../../1-load';
import type { Body, Joint, Member, Section, Shape } from '../../model';
import { followBends, stripStart, type BentStrip } from './bend';
import { outlineArea } from '../outlines/outlineArea';
import { memberEnds, type MemberEnds } from './memberEnds';

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
export function memberBodies(
  member: Member,
  nodes: ReadonlyMap<string, Vec3>,
  joints: readonly Joint[],
  material: Material,
): readonly FlatBody[] {
  const ends = memberEnds(member, nodes, joints);
  const from: readonly unknown[] = [
    nodes.get(member.from),
    nodes.get(member.to),
    ends.from.joint,
    ends.to.joint,
    material,
  ];
  const before = made.get(member);
  if (before?.from.every((part, i) => part === from[i])) return before.bodies;
  const bodies = bodiesOf(member, nodes, ends, material);
  made.set(member, { from, bodies });
  return bodies;
}

/** An edit of a freed frame leaves most members as they were, and their bodies, and what is drawn of those, with them. */
const made = new WeakMap<Member, { readonly from: readonly unknown[]; readonly bodies: readonly FlatBody[] }>();

function bodiesOf(
  member: Member,
  nodes: ReadonlyMap<string, Vec3>,
  ends: MemberEnds,
  material: Material,
): readonly FlatBody[] {
  const pieces = piecesOf(member, nodes, ends);
  const density = material.density * (1 - slottedPart(member.stock.section)) * sawnPart(member, pieces);
  const total = pieces.reduce((sum, piece) => sum + solidOf(piece.shape).volume, 0);
  const drawn =
    member.outline && pieces[0]?.shape.kind === 'box' ? outlineOn(member.outline, pieces[0].shape.size[0]) : null;
  const bodies = pieces.map((piece, index) =>
    flatBody({
      id: pieces.length === 1 ? member.id : `${member.id}/${index + 1}`,
      name: member.name,
      owner: member.id,
      ...piece,
      density,
      densitySpread: material.densitySpread,
      source: `density of ${material.name}`,
      look: material.look,
      ...(member.mass ? { mass: share(member.mass, solidOf(piece.shape).volume / total) } : {}),
    }),
  );
  return drawn ? bodies.map((b) => ({ ...b, outline: drawn })) : bodies;
}

/** Part of a strip's face that its outline leaves; its mass centre is left in the middle of the strip. */
function sawnPart({ outline, stock: { section } }: Member, [piece]: readonly PieceShape[]): number {
  if (!outline || section.kind !== 'flat' || piece?.shape.kind !== 'box') return 1;
  return Math.min(1, outlineArea(outline) / (piece.shape.size[0] * section.width));
}

/** From along the member to the box's own x, which runs both ways from its middle. */
const outlineOn = (outline: NonNullable<Member['outline']>, length: number): readonly (readonly [number, number])[] =>
  outline.map(([x, y]) => [x - length / 2, y] as const);

const share = (mass: NonNullable<Member['mass']>, part: number): NonNullable<Member['mass']> => ({
  ...mass,
  value: mass.value * part,
  ...(mass.spread === undefined ? {} : { spread: mass.spread * part }),
});

type PieceShape = { readonly shape: Shape; readonly at: Vec3; readonly rotation: ReturnType<typeof alignZ> };

function piecesOf(member: Member, nodes: ReadonlyMap<string, Vec3>, ends: MemberEnds): readonly PieceShape[] {
  const strip = bentStrip(member, nodes);
  if (strip) return strip.stretches.map((s) => ({ shape: s.shape, at: s.origin, rotation: s.rotation }));
  const [start, finish] = [nodes.get(member.from)!, nodes.get(member.to)!];
  const along = unit(subtract(finish, start));
  const from = addScaled(start, along, ends.from.takeOff + ends.from.shortBy);
  const run = subtract(addScaled(finish, along, -(ends.to.takeOff + ends.to.shortBy)), from);
  // Fittings that meet leave nothing between them: the check of cut lengths says so, and nothing is drawn.
  if (dot(run, along) <= 0) return [];
  const middle = addScaled(from, run, 0.5);
  const { section } = member.stock;
  const round = roundOf(section);
  if (round && section.kind === 'tube' && member.flattened)
    return flattenedTube(member, section, from, run, member.flattened);
  if (round) return [{ shape: { kind: 'tube', ...round, length: length(run) }, at: middle, rotation: alignZ(run) }];
  if (section.kind === 'tube' || section.kind === 'rod') return [];
  const wanted = member.path.kind === 'straight' ? member.path.widthDirection : ([0, 1, 0] as const);
  const width = unit(subtract(wanted, scale(along, dot(wanted, along))));
  const shape: Shape =
    section.kind === 'square'
      ? {
          kind: 'box',
          size: [length(run), section.width, section.height],
          bore: [section.width - 2 * section.wall, section.height - 2 * section.wall],
        }
      : { kind: 'box', size: [length(run), section.width, section.thickness] };
  return [{ shape, at: middle, rotation: fromColumns(along, width, cross(along, width)) }];
}

/** Round up to where its end is hammered flat; there as wide as half its middle line goes round, and two walls thick. */
function flattenedTube(
  { path }: Member,
  { outerDiameter, wall }: Extract<Section, { readonly kind: 'tube' }>,
  from: Vec3,
  run: Vec3,
  flat: number,
): readonly PieceShape[] {
  const [long, along] = [length(run), unit(run)];
  const end = Math.min(flat, long / 2);
  const wanted = path.kind === 'straight' ? path.widthDirection : ([0, 1, 0] as const);
  const width = unit(subtract(wanted, scale(along, dot(wanted, along))));
  return [
    {
      shape: {
        kind: 'tube',
        outerRadius: outerDiameter / 2,
        innerRadius: outerDiameter / 2 - wall,
        length: long - end,
      },
      at: addScaled(from, along, (long - end) / 2),
      rotation: alignZ(run),
    },
    {
      shape: { kind: 'box', size: [end, (Math.PI / 2) * (outerDiameter - wall), 2 * wall] },
      at: addScaled(from, along, long - end / 2),
      rotation: fromColumns(along, width, cross(along, width)),
    },
  ];
}

/** Round sections as radii; a threaded rod weighs as a plain one of its pitch diameter, d - 0.65 p. */
function roundOf(section: Section): { outerRadius: number; innerRadius: number } | null {
  if (section.kind === 'tube')
    return { outerRadius: section.outerDiameter / 2, innerRadius: section.outerDiameter / 2 - section.wall };
  if (section.kind === 'rod')
    return { outerRadius: (section.diameter - 0.65 * (section.threadPitch ?? 0)) / 2, innerRadius: 0 };
  return null;
}

/** Part of a strip that its slots take away: a rectangle with round ends, once a pitch. */
function slottedPart(section: Section): number {
  if (section.kind !== 'flat' || !section.slots) return 0;
  const { width, length: long, pitch } = section.slots;
  return (width * (long - width) + (Math.PI * width * width) / 4) / (pitch * section.width);
}

/** A fitting differs from its reckoned mass by about this much: makers thicken and ribs come and go. Weigh one to know. */
const HUB_SPREAD = 0.15;

/** The arms of a fitting as tubes from its centre to their mouths, a closed end where there is only one way in. */
export function hubBodies(joint: Joint, body: Pick<Body, 'nodes'>, material: Material): readonly FlatBody[] {
  const { hub } = joint;
  const centre = body.nodes.find((n) => n.id === joint.node)?.at;
  if (!hub || !centre) return [];
  const pieces = hub.sockets.flatMap(({ direction, takeOff, depth }): PieceShape[] => {
    const way = unit(direction);
    const closed = hub.sockets.length === 1 && takeOff > 0;
    const start = closed ? takeOff : 0;
    const arm: PieceShape = {
      shape: {
        kind: 'tube',
        outerRadius: hub.outerRadius,
        innerRadius: hub.boreRadius,
        length: takeOff + depth - start,
      },
      at: addScaled(centre, way, (takeOff + depth + start) / 2),
      rotation: alignZ(way),
    };
    return closed
      ? [
          {
            shape: { kind: 'tube', outerRadius: hub.outerRadius, innerRadius: 0, length: takeOff },
            at: addScaled(centre, way, takeOff / 2),
            rotation: alignZ(way),
          },
          arm,
        ]
      : [arm];
  });
  const total = pieces.reduce((sum, piece) => sum + solidOf(piece.shape).volume, 0);
  // Fittings of one kind come out of one mould: heavier or lighter together.
  const source = hub.mass?.source ?? `mass of ${hub.supply?.item ?? joint.name}`;
  return pieces.map((piece, index) =>
    flatBody({
      id: `${joint.id}/${index + 1}`,
      name: joint.name,
      owner: joint.id,
      ...piece,
      density: material.density,
      densitySpread: HUB_SPREAD,
      source,
      look: material.look,
      ...(hub.mass ? { mass: { source, ...share(hub.mass, solidOf(piece.shape).volume / total) } } : {}),
    }),
  );
}
