/** The pieces of a rig as strength sees them: slender ones as lines with a section, all others rigid. */
import {
  add,
  addMatrix,
  addScaled,
  length,
  materialOf,
  NO_INERTIA,
  scale,
  subtract,
  transform,
  transpose,
  unit,
  ZERO,
  multiply,
  type Mat3,
  type Material,
  type Vec3,
} from '../../0-base';
import { boundingBox, type Box, type FlatBody } from '../../1-load';
import { placedPieces, type AdjusterValues, type Assembly } from '../../2-frame';
import type { Member, Rig } from '../../model';
import type { BeamMaterial } from '../frame/element';
import type { FrameArc } from '../frame/frameModel';
import { barSection, boxSection, tubeSection, type Section } from '../frame/section';
import { materialFacts, type MaterialFacts } from './materialFacts';

/** A stretch of a slender piece. */
export interface Stretch {
  readonly from: Vec3;
  readonly to: Vec3;
  readonly arc?: FrameArc;
  readonly section: Section;
  readonly yDirection: Vec3;
  readonly material: BeamMaterial;
}
export interface StrengthPiece {
  readonly id: string;
  readonly name: string;
  readonly body: string;
  readonly isLoad: boolean;
  /** In order along it; none where it is rigid. */
  readonly stretches: readonly Stretch[];
  readonly mass: number;
  readonly centre: Vec3;
  /** About its own mass centre, rig axes. */
  readonly inertia: Mat3;
  readonly box: Box;
  readonly flats: readonly FlatBody[];
  readonly material: { readonly name: string; readonly stiffness: number; readonly facts: MaterialFacts } | null;
}

/** Longer than so many times its widest side it bends as a beam. */
const SLENDER = 2.5;

/** Everything of rig and load where the adjusters put it, one a piece; washers of one station are one. */
export function strengthPieces(assembly: Assembly, values: AdjusterValues): readonly StrengthPiece[] {
  const { rig } = assembly;
  const materials = materialsOf(rig);
  const members = new Map(rig.bodies.flatMap((b) => b.members.map((m) => [m.id, m] as const)));
  const found = new Map<string, { body: string; isLoad: boolean; flats: FlatBody[] }>();
  for (const { body, isLoad, flat } of placedPieces(assembly, values)) {
    const id = isLoad ? `load/${flat.carriedBy ?? ''}` : flat.owner;
    const known = found.get(id);
    if (known) known.flats.push(flat);
    else found.set(id, { body, isLoad, flats: [flat] });
  }
  return [...found].map(([id, { body, isLoad, flats }]) => {
    const material = isLoad ? null : (materials.get(id) ?? null);
    return {
      id,
      name: isLoad ? 'load' : flats[0]!.name,
      body,
      isLoad,
      flats,
      material,
      // Straps, foam and grips bear nothing by bending: they weigh.
      stretches:
        material && !isLoad && flats[0]!.look !== 'rubber' ? stretchesOf(flats, members.get(id), material) : [],
      ...momentsOf(flats),
      box: flats.map(boundingBox).reduce(around),
    };
  });
}

const around = (a: Box, b: Box): Box => [
  a[0].map((x, i) => Math.min(x, b[0][i]!)) as unknown as Vec3,
  a[1].map((x, i) => Math.max(x, b[1][i]!)) as unknown as Vec3,
];

function momentsOf(flats: readonly FlatBody[]): Pick<StrengthPiece, 'mass' | 'centre' | 'inertia'> {
  const mass = flats.reduce((m, f) => m + f.mass, 0);
  const centre = scale(
    flats.reduce<Vec3>((sum, f) => addScaled(sum, f.centre, f.mass), ZERO),
    1 / mass,
  );
  const inertia = flats.reduce<Mat3>((sum, f) => {
    const [x, y, z] = subtract(f.centre, centre);
    const own = multiply(multiply(f.rotation, f.inertia), transpose(f.rotation));
    const m = f.mass;
    return addMatrix(
      sum,
      addMatrix(own, [
        [m * (y * y + z * z), -m * x * y, -m * x * z],
        [-m * x * y, m * (x * x + z * z), -m * y * z],
        [-m * x * z, -m * y * z, m * (x * x + y * y)],
      ]),
    );
  }, NO_INERTIA);
  return { mass, centre, inertia };
}

type Made = NonNullable<StrengthPiece['material']>;
function materialsOf(rig: Rig): ReadonlyMap<string, Made> {
  const made = new Map<string, Made>();
  const put = (id: string, materialId: string | undefined): void => {
    const material: Material | null = materialId ? materialOf(materialId, rig.materials) : null;
    if (material && materialId)
      made.set(id, { name: material.name, stiffness: material.stiffness, facts: materialFacts(materialId, material) });
  };
  for (const body of rig.bodies) {
    for (const m of body.members) put(m.id, m.stock.material);
    for (const p of body.parts) put(p.id, p.material);
    for (const j of body.joints) put(j.id, j.hub?.material);
    for (const s of body.stations) put(s.id, s.washer.material);
  }
  return made;
}

function stretchesOf(flats: readonly FlatBody[], member: Member | undefined, made: Made): readonly Stretch[] {
  const lines = flats.map((flat) => lineOf(flat, member));
  if (lines.some((l) => l === null) || (flats.length > 1 && !member)) return [];
  const whole = lines.reduce((sum, l) => sum + l!.length, 0);
  const widest = Math.max(...lines.map((l) => 2 * Math.max(l!.section.halfWidth, l!.section.halfHeight)));
  if (!(whole >= SLENDER * widest)) return [];
  return lines.map((line, i) => ({
    from: line!.from,
    to: line!.to,
    ...(line!.arc ? { arc: line!.arc } : {}),
    section: line!.section,
    yDirection: line!.yDirection,
    // What it weighs is spread along it: holes and slots that are taken out of its mass are so here.
    material: {
      stiffness: made.stiffness,
      shear: made.facts.shear,
      density: flats[i]!.mass / (line!.section.area * line!.length),
    },
  }));
}

interface Line extends Omit<Stretch, 'material'> {
  readonly length: number;
}
/** Null for what has no line: meshes, points. */
function lineOf({ shape, at, rotation }: FlatBody, member: Member | undefined): Line | null {
  const axis = (i: number): Vec3 => transform(rotation, [i === 0 ? 1 : 0, i === 1 ? 1 : 0, i === 2 ? 1 : 0]);
  switch (shape.kind) {
    case 'tube': {
      const half = scale(axis(2), shape.length / 2);
      return {
        from: subtract(at, half),
        to: add(at, half),
        section: tubeSection(
          rootRadius(shape.outerRadius, member),
          Math.min(shape.innerRadius, 0.98 * shape.outerRadius),
        ),
        yDirection: axis(0),
        length: shape.length,
      };
    }
    case 'box': {
      const long = shape.size.indexOf(Math.max(...shape.size));
      const [wide, high] = [(long + 1) % 3, (long + 2) % 3];
      const half = scale(axis(long), shape.size[long]! / 2);
      const slot = member?.stock.section.kind === 'flat' ? (member.stock.section.slots?.width ?? 0) : 0;
      // Slots run along the middle of its broad face.
      const isWideBroad = shape.size[wide]! >= shape.size[high]!;
      const [w, h] = [shape.size[wide]! - (isWideBroad ? slot : 0), shape.size[high]! - (isWideBroad ? 0 : slot)];
      return {
        from: subtract(at, half),
        to: add(at, half),
        section: shape.bore && long === 0 ? boxSection(w, h, shape.bore[0], shape.bore[1]) : barSection(w, h),
        yDirection: axis(wide),
        length: shape.size[long]!,
      };
    }
    case 'arcBar': {
      const end = (angle: number): Vec3 =>
        add(at, transform(rotation, [shape.midRadius * Math.cos(angle), shape.midRadius * Math.sin(angle), 0]));
      return {
        from: end(0),
        to: end(shape.angle),
        arc: { centre: at, axis: unit(axis(2)), angle: shape.angle },
        section: barSection(shape.width, shape.thickness),
        yDirection: axis(2),
        length: shape.midRadius * shape.angle,
      };
    }
    case 'mesh':
    case 'point':
      return null;
  }
}

/** Depth of a 60° thread, in pitches: H = 0.866, seven eighths less a quarter of it (ISO 68-1). */
const THREAD_DEPTH = 0.6134;
/** Under a thread it is as thin as its root. */
const rootRadius = (radius: number, member: Member | undefined): number =>
  member?.stock.section.kind === 'rod' && member.stock.section.threadPitch
    ? radius - THREAD_DEPTH * member.stock.section.threadPitch
    : radius;

/** The nearest point of a piece's line: on which stretch, and at which part of it. */
export function nearestOn(
  stretches: readonly Stretch[],
  to: Vec3,
): { readonly stretch: number; readonly part: number } {
  let best = { stretch: 0, part: 0, off: Infinity };
  stretches.forEach((s, stretch) => {
    const part = partNearest(s, to);
    const off = length(subtract(pointOf(s, part), to));
    if (off < best.off) best = { stretch, part, off };
  });
  return best;
}

export function pointOf(stretch: Stretch, part: number): Vec3 {
  const { arc, from, to } = stretch;
  if (!arc) return addScaled(from, subtract(to, from), part);
  const [arm, side] = arcFrame(stretch);
  const a = arc.angle * part;
  return add(arc.centre, add(scale(arm, Math.cos(a)), scale(side, Math.sin(a))));
}

function arcFrame({ arc, from }: Stretch): readonly [Vec3, Vec3] {
  const arm = subtract(from, arc!.centre);
  const [x, y, z] = arc!.axis;
  return [arm, [y * arm[2] - z * arm[1], z * arm[0] - x * arm[2], x * arm[1] - y * arm[0]]];
}

function partNearest(stretch: Stretch, to: Vec3): number {
  const { arc, from } = stretch;
  if (!arc) {
    const along = subtract(stretch.to, from);
    const off = subtract(to, from);
    const size = along[0] ** 2 + along[1] ** 2 + along[2] ** 2;
    return clamp((off[0] * along[0] + off[1] * along[1] + off[2] * along[2]) / size);
  }
  const [arm, side] = arcFrame(stretch);
  const off = subtract(to, arc.centre);
  const dot = (v: Vec3): number => v[0] * off[0] + v[1] * off[1] + v[2] * off[2];
  const angle = Math.atan2(dot(side), dot(arm));
  // Beyond either end the nearer end.
  return clamp((angle < arc.angle / 2 - Math.PI ? angle + 2 * Math.PI : angle) / arc.angle);
}
const clamp = (x: number): number => Math.min(1, Math.max(0, x));
