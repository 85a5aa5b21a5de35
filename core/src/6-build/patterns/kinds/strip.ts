/** The blank of a flat bar or board at full size: its outline, mitred ends, holes, bend lines with the former they go round, and the way its grain runs. */
import { add, dot, figure, materialOf, say, subtract, transform, transpose, unit, type Phrase } from '../../../0-base';
import { bentStrip, placesOf, type PieceShape, type Point2 } from '../../../2-frame';
import type { BarMark, BarPlan } from '../../../5-stock';
import type { Body, Member } from '../../../model';
import { faceName } from '../faceName';
import { clipped } from '../clipped';
import { slanted } from '../mitres';
import { marked, type HoleToMark } from '../marks';
import { boxOf, WORDS, type Ink, type Pattern, type PatternInput, type PatternMaker } from '../pattern';

export const strip: PatternMaker = (input) =>
  input.assembly.rig.bodies.flatMap((body) => body.members.flatMap((m) => stripOf(m, body, input) ?? []));

function stripOf(member: Member, body: Body, { bars, shapes, assembly }: PatternInput): Pattern | null {
  const { section } = member.stock;
  const bar = bars.find((b) => b.member === member.id);
  const shape = shapes.get(member.id);
  if (section.kind !== 'flat' || !bar || !shape) return null;
  const ends = endsOf(member, bar, section, shape);
  const bends = bendInk(member, bar);
  const holes = bar.marks.filter((m) => m.kind === 'hole');
  if (holes.length + bends.length + ends.notes.length === 0 && !member.outline) return null;
  const seen = seenFace(member, body, shape);
  const marks = marked(
    holes.map((m) => holeOn(m, seen)),
    boxOf(ends.ink),
  );
  const isWood = materialOf(member.stock.material, assembly.rig.materials)?.look === 'wood';
  return {
    id: `blank:${member.id}`,
    about: member.id,
    title: say`Blank of the ${bar.name}`,
    says: [
      say`${bar.stock}, ${figure('length', bar.blank, 1)} long. Its start, which all is measured from, lies at the left${bends.length > 0 ? '' : seen ? `; you look at its ${seen} face` : ''}.`,
      ...(bar.topEdge ? [say`Its ${bar.topEdge} edge lies at the top.`] : []),
      ...ends.notes,
      ...bar.bends.map((b, i) => bendWords(b, i, signsOf(member)[i] ?? 1)),
      ...(isWood ? [say`The grain runs along the arrow.`] : []),
    ],
    ink: [...ends.ink, ...bends, ...marks.ink, ...(isWood ? grain(boxOf(ends.ink).max) : [])],
    holes: marks.holes,
  };
}

function holeOn(m: BarMark, seen: string | null): HoleToMark {
  return {
    id: m.id,
    at: [m.along, m.across],
    diameter: m.diameter!,
    last: m.last,
    says: [
      ...say`${figure('length', m.along, 1)}: ${m.name}, ${figure('drill', m.diameter!)}, ${m.when}`,
      ...(m.recess ? say`; a pocket of ${figure('drill', m.recess.diameter)} in its ${m.recess.face} face` : []),
    ],
    ...(m.recess ? { recess: { diameter: m.recess.diameter, behind: m.recess.face !== seen } } : {}),
  };
}

/** The face that lies towards whoever looks at the sheet; null for a bent one, which is marked flat. */
function seenFace(member: Member, { nodes }: Body, { flats }: PieceShape): string | null {
  if (bentStrip(member, placesOf(nodes)) || !flats[0]) return null;
  return faceName(transform(flats[0].rotation, [0, 0, 1]));
}

/** The strip from end to end, or what it is sawn to, less what its mitres take off; what is left long is told apart. */
function endsOf(
  member: Member,
  bar: BarPlan,
  { width, thickness }: { readonly width: number; readonly thickness: number },
  { flats, mitres }: PieceShape,
): { readonly ink: readonly Ink[]; readonly notes: readonly Phrase[] } {
  const half = width / 2;
  const whole: readonly Point2[] = member.outline ?? [
    [0, -half],
    [bar.blank, -half],
    [bar.blank, half],
    [0, half],
  ];
  const flat = flats[0];
  const long = flat?.shape.kind === 'box' ? flat.shape.size[0] : 0;
  const planes = flat && member.path.kind === 'straight' ? slanted(mitres, transform(flat.rotation, [1, 0, 0])) : [];
  const inwards = flat ? transpose(flat.rotation) : null;
  const faceAt = (z: number): readonly Point2[] =>
    planes.reduce((points, plane) => {
      const normal = transform(inwards!, plane.normal);
      const at = add(transform(inwards!, subtract(plane.at, flat!.at)), [long / 2, 0, 0]);
      return clipped(points, [normal[0], normal[1]], dot(normal, at) - normal[2] * z);
    }, whole);
  const [front, back] = [faceAt(thickness / 2), faceAt(-thickness / 2)];
  const leans = planes.filter((p) => Math.abs(transform(inwards!, p.normal)[2]) > LEANS);
  return {
    ink: [
      { kind: 'path', points: front, closed: true, stroke: 'cut' },
      ...(leans.length > 0 ? [{ kind: 'path' as const, points: back, closed: true, stroke: 'behind' as const }] : []),
      ...(bar.blank > bar.finished
        ? [
            {
              kind: 'path' as const,
              points: [[bar.finished, -half] as const, [bar.finished, half] as const],
              closed: false,
              stroke: 'last' as const,
            },
          ]
        : []),
    ],
    notes: planes.map(({ normal }) => {
      const run = transform(flat!.rotation, [1, 0, 0]);
      const off = Math.acos(Math.min(1, Math.abs(dot(unit(normal), run))));
      return leans.length > 0
        ? say`An end is mitred through its thickness, ${figure('angle', off, 1)} off square: dashed is its far face.`
        : say`An end is mitred, ${figure('angle', off, 1)} off square.`;
    }),
  };
}
const LEANS = 1e-6;

/** Where each bend begins, has its middle and ends, right across. */
function bendInk({ stock }: Member, bar: BarPlan): readonly Ink[] {
  if (stock.section.kind !== 'flat') return [];
  const half = stock.section.width / 2;
  return bar.marks
    .filter((m) => m.kind === 'bendStart' || m.kind === 'bendMiddle' || m.kind === 'bendEnd')
    .map((m) => ({
      kind: 'path',
      points: [
        [m.along, -half],
        [m.along, half],
      ],
      closed: false,
      stroke: m.kind === 'bendMiddle' ? 'bend' : 'line',
    }));
}

/** Which way each bend turns. */
const signsOf = ({ path }: Member): readonly number[] =>
  path.kind === 'bent' ? path.segments.flatMap((s) => ('angle' in s && s.angle !== 0 ? [Math.sign(s.angle)] : [])) : [];

/** A positive bend turns towards the side that lies away from whoever looks at the sheet: along × across of the strip is its width, up the page. */
function bendWords({ angle, insideRadius, former }: BarPlan['bends'][number], i: number, sign: number): Phrase {
  const way = sign > 0 ? 'away from you' : 'towards you';
  return former
    ? say`Bend ${String(i + 1)}: ${figure('angle', angle, 1)} ${way}, round a former of ${figure('length', former.radius, 1)} radius, pulled to ${figure('angle', former.overbendAngle, 1)}: it springs open to the rest.`
    : say`Bend ${String(i + 1)}: ${figure('angle', angle, 1)} ${way}, inside radius ${figure('length', insideRadius, 1)}; how far it springs back is not known: bend a scrap first.`;
}

/** An arrow along the middle, a third of the way in. */
function grain([x]: Point2): readonly Ink[] {
  const [from, to] = [0.3 * x, 0.45 * x];
  const head = Math.min(0.004, (to - from) / 4);
  const at = 0.2 * head;
  return [
    {
      kind: 'path',
      points: [
        [from, at],
        [to, at],
      ],
      closed: false,
      stroke: 'line',
    },
    {
      kind: 'path',
      points: [
        [to - head, at + head / 2],
        [to, at],
        [to - head, at - head / 2],
      ],
      closed: false,
      stroke: 'line',
    },
    { kind: 'words', at: [(from + to) / 2, at + WORDS.small], says: say`grain`, height: WORDS.small },
  ];
}
