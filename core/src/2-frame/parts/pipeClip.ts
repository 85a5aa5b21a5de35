/** A clip round a pipe, with a flat face that something is screwed to. */
import { addScaled, cross, fromColumns, quaternionOf, scale, unit, type Vec3 } from '../../0-base';
import type { Part, StatedConnection } from '../../model';

/** From the pipe's skin to the clip's face, and beside the pipe, m. */
export const CLIP_FACE = 0.008;
const BESIDE = 0.006;
const THREAD = 'M5';
const PER_WIDTH = 1.2; // kg a metre
/** From the clip's end to a screw, m. */
const TO_SCREW = 0.009;
/** A narrower clip has one screw, m. */
const FOR_TWO = 0.034;

export interface PipeClip {
  readonly id: string;
  readonly name: string;
  /** A point of the pipe's axis, the way along it, and the way to the clip's face. */
  readonly at: Vec3;
  readonly along: Vec3;
  readonly face: Vec3;
  readonly outside: number;
  readonly width: number;
  /** The pipe, and what is screwed to the face, the nearest first, with their thickness together, m. */
  readonly pipe: string;
  readonly holds: readonly string[];
  readonly thickness: number;
}

/** The clip, clamped on its pipe, and the flush screws that hold what lies on its face. */
export function pipeClip(of: PipeClip): { readonly part: Part; readonly connections: readonly StatedConnection[] } {
  const [along, face] = [unit(of.along), unit(of.face)];
  const side = cross(face, along);
  const tall = of.outside + 2 * CLIP_FACE;
  const offs = of.width >= FOR_TWO ? [-1, 1].map((e) => e * (of.width / 2 - TO_SCREW)) : [0];
  const top = of.outside / 2 + CLIP_FACE + of.thickness;
  return {
    part: {
      id: of.id,
      name: of.name,
      shape: {
        kind: 'box',
        size: [of.width, of.outside + 2 * BESIDE, tall],
        bore: [of.outside, of.outside],
      },
      at: of.at,
      turn: quaternionOf(fromColumns(along, side, face)),
      material: 'steel',
      // Bent strip with welded nuts, drawn as a block: weighed by its width.
      mass: { value: PER_WIDTH * of.width, spread: 0.15 * PER_WIDTH * of.width, source: 'mass of pipe clip' },
      supply: {
        item: `pipe clip ${Math.round(of.outside * 1000)} mm, ${Math.round(of.width * 1000)} wide, tapped`,
        packOf: 1,
        packPrice: 3.2,
      },
    },
    connections: [
      { kind: 'clamped', id: `${of.id}-on`, name: `${of.name} on its pipe`, piece: of.id, on: of.pipe },
      ...offs.map((off, i): StatedConnection => ({
        kind: 'bolted',
        id: `${of.id}-screw-${i + 1}`,
        name: `screw of the ${of.name}`,
        on: of.id,
        point: addScaled(addScaled(of.at, along, off), face, top),
        way: scale(face, -1),
        thread: THREAD,
        head: 'sunk',
        stack: [...of.holds].reverse().map((piece) => ({ kind: 'piece' as const, piece })),
        end: { kind: 'tapped', piece: of.id, depth: CLIP_FACE, in: 'steel', sold: true },
      })),
    ],
  };
}
