/** The upright box, in rig axes, that a body just fits in. */
import { add, transform, type Vec3 } from '../0-base';
import type { FlatBody } from './flatBody';

export type Box = readonly [low: Vec3, high: Vec3];

/** An arc is walked in steps of this, rad: its box is short of the true one by less than a 500th of its radius. */
const ARC_STEP = 0.05;

/** m. Exact for boxes, tubes and meshes. */
export function boundingBox({ shape, at, rotation }: Pick<FlatBody, 'shape' | 'at' | 'rotation'>): Box {
  switch (shape.kind) {
    case 'point':
      return [at, at];
    case 'tube': {
      const reach = [0, 1, 2].map((i) => {
        const along = rotation[i]![2];
        return Math.abs(along) * (shape.length / 2) + shape.outerRadius * Math.sqrt(Math.max(0, 1 - along * along));
      });
      return around(at, reach);
    }
    case 'box': {
      const reach = [0, 1, 2].map((i) =>
        shape.size.reduce((s, side, k) => s + Math.abs(rotation[i]![k]!) * (side / 2), 0),
      );
      return around(at, reach);
    }
    case 'arcBar': {
      const [inside, outside] = [shape.midRadius - shape.thickness / 2, shape.midRadius + shape.thickness / 2];
      const steps = Math.max(1, Math.ceil(shape.angle / ARC_STEP));
      const corners: Vec3[] = [];
      for (let s = 0; s <= steps; s++) {
        const turn = (shape.angle * s) / steps;
        for (const r of [inside, outside])
          for (const side of [-1, 1]) corners.push([r * Math.cos(turn), r * Math.sin(turn), (side * shape.width) / 2]);
      }
      return boxOf(corners.map((c) => add(at, transform(rotation, c))));
    }
    case 'mesh':
      return boxOf(shape.vertices.map((v) => add(at, transform(rotation, v))));
  }
}

const around = (at: Vec3, reach: readonly number[]): Box => [
  at.map((v, i) => v - reach[i]!) as unknown as Vec3,
  at.map((v, i) => v + reach[i]!) as unknown as Vec3,
];

const boxOf = (points: readonly Vec3[]): Box => [
  [0, 1, 2].map((i) => points.reduce((m, p) => Math.min(m, p[i]!), Infinity)) as unknown as Vec3,
  [0, 1, 2].map((i) => points.reduce((m, p) => Math.max(m, p[i]!), -Infinity)) as unknown as Vec3,
];

/** The box round several. */
export const boxRound = (boxes: readonly Box[]): Box => boxOf(boxes.flat());
