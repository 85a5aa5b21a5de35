/** Screws through the cap that closes a pipe: what goes up the pipe, and what clears the cap beside it. */
import { materialOf } from '../../0-base';
import { fittingFor } from '../fittings/fittingFor';
import { ACROSS_FLATS, FLAT_WASHER, SOCKET_WIDE } from '../hardware/sizes';
import type { OwnSizes } from './ownSizes';
import { pipeOf } from './pipes';

const HEAD_CLEAR = 0.0002; // round the corners of a head, in the pipe

/** The first of these threads whose head or nut, and the washer that plastic asks for, go up the pipe that the cap closes, and a socket into the cap; the last where none does. */
export function inPipe(pipe: string, own: OwnSizes, threads: readonly string[]): string {
  const { section, material } = pipeOf(pipe, own).size.stock;
  const bore = section.kind === 'tube' ? section.outerDiameter - 2 * section.wall : 0;
  const isSoft = materialOf(material)?.look === 'plastic';
  const open = section.kind === 'tube' ? section.outerDiameter : 0;
  const across = (name: string): number =>
    Math.max((2 / Math.sqrt(3)) * ACROSS_FLATS.of({ name })!, isSoft ? FLAT_WASHER.outside.of({ name })! : 0);
  return (
    threads.find(
      (t) => across(t) <= bore - HEAD_CLEAR && SOCKET_WIDE * ACROSS_FLATS.of({ name: t })! <= open - HEAD_CLEAR,
    ) ?? threads.at(-1)!
  );
}

/** A camera screw's head over its corners, and how wide the pipe is that it would lie in, m. */
export function headInPipe(pipe: string, own: OwnSizes): { readonly corners: number; readonly bore: number } {
  const { section } = pipeOf(pipe, own).size.stock;
  return {
    corners: (2 / Math.sqrt(3)) * ACROSS_FLATS.of({ name: '1/4-20' })!,
    bore: section.kind === 'tube' ? section.outerDiameter - 2 * section.wall : 0,
  };
}

/** Radius of the cap on a pipe, m. */
export function capRadius(pipe: string, own: OwnSizes): number {
  const { system, size } = pipeOf(pipe, own);
  const found = fittingFor(system, size, [[0, 0, 1]]);
  return found.kind === 'fits' ? found.hub.outerRadius : 0;
}

/** Least distance of the camera's own hole from the post's middle where its screw's head clears the cap, m, in whole millimetres. */
export function besideCap(pipe: string, own: OwnSizes): number {
  const name = '1/4-20';
  // Its corners, or a washer under them.
  const head = Math.max(ACROSS_FLATS.of({ name })! / Math.sqrt(3), FLAT_WASHER.outside.of({ name })! / 2);
  return Math.ceil((capRadius(pipe, own) + head) * 1000 + 0.5) / 1000;
}
