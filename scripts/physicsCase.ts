/** The form of a file of checked physics cases, and its bodies as the core's. */
import {
  alignZ,
  flatBody,
  IDENTITY,
  quaternionOfTurns,
  rotationOf,
  sumsOf,
  type FlatBody,
  type Mat3,
  type Shape,
  type Sums,
  type Vec3,
} from '@tide-pebble/core';

export type Given = Readonly<Record<string, any>>; // eslint-disable-line @typescript-eslint/no-explicit-any -- the file's own loose form, checked by comparing

/** Computes what a case expects, from what it gives, with the core's functions. Null: this version cannot. */
export interface CaseKind {
  readonly kind: string;
  compute(given: Given, expect: Given): Given | null;
}

export function bodiesOf(list: readonly Given[]): readonly FlatBody[] {
  return list.map((given, index) => bodyOf(given, `${index}`));
}

export const sumsOfBodies = (list: readonly Given[]): Sums => sumsOf(bodiesOf(list));

/** How a rig is held, as a turn from rig axes to level ones: nose up, then left side down, then panned to the left. */
export function attitudeOf(given: Given | undefined): Mat3 {
  if (!given) return IDENTITY;
  return rotationOf(
    quaternionOfTurns({
      noseDown: -(given['noseUp'] ?? 0) + (given['noseDown'] ?? 0),
      leftSideDown: (given['leftSideDown'] ?? 0) - (given['leftSideUp'] ?? 0),
      toTheLeft: given['toTheLeft'] ?? given['pan'] ?? 0,
    }),
  );
}

function bodyOf(given: Given, id: string): FlatBody {
  const { shape, at, rotation } = placedShape(given);
  const mass = given['measuredMass'] ?? given['mass'];
  const body = flatBody({
    id,
    name: given['name'] ?? id,
    owner: id,
    shape,
    at,
    rotation,
    ...(mass === undefined ? {} : { mass: { value: mass } }),
    ...(given['density'] === undefined ? {} : { density: given['density'] }),
    ...(given['measuredCentre'] ? { centre: given['measuredCentre'] as Vec3 } : {}),
  });
  return body;
}

function placedShape(given: Given): { shape: Shape; at: Vec3; rotation: Mat3 } {
  switch (given['shape']) {
    case 'box':
      return {
        shape: { kind: 'box', size: given['size'] },
        at: given['centre'],
        rotation: given['rotation'] ?? IDENTITY,
      };
    case 'tube':
      return {
        shape: {
          kind: 'tube',
          outerRadius: given['outerRadius'],
          innerRadius: given['innerRadius'] ?? 0,
          length: given['length'],
        },
        at: given['centre'],
        rotation: alignZ(given['axis'] ?? [0, 0, 1]),
      };
    case 'disc': {
      const length = (given['count'] ?? 1) * given['thickness'];
      const [seat, axis, offset] = [
        given['seat'] as Vec3,
        given['axis'] as Vec3,
        (given['offset'] ?? [0, 0, 0]) as Vec3,
      ];
      const at = seat.map((s, i) => s + (axis[i]! * length) / 2 + offset[i]!) as unknown as Vec3;
      return {
        shape: { kind: 'tube', outerRadius: given['outerRadius'], innerRadius: given['innerRadius'] ?? 0, length },
        at,
        rotation: alignZ(axis),
      };
    }
    case 'arcBar': {
      const { midRadius, thickness, width, angle } = given;
      return {
        shape: { kind: 'arcBar', midRadius, thickness, width, angle },
        at: given['bendCentre'],
        rotation: alignZ(given['bendAxis'], given['startDirection']),
      };
    }
    case 'mesh':
      return {
        shape: { kind: 'mesh', vertices: given['vertices'], triangles: given['triangles'] },
        at: [0, 0, 0],
        rotation: IDENTITY,
      };
    case 'point':
      return { shape: { kind: 'point' }, at: given['centre'], rotation: IDENTITY };
    default:
      throw new Error(`no shape “${given['shape']}”`);
  }
}
