import { pictureTurned, rmsOf, shareOfHeight, shareOfWidth, type PathTurned } from '@tide-pebble/core/steady';
import type { CaseKind, Given } from '../physicsCase';

export const clipMotion: CaseKind = {
  kind: 'clipMotion',
  compute: (given) => {
    const { frameRate, frameCount, imageWidth, imageHeight } = given;
    const focal = (given['focalLength'] / given['sensorWidth']) * imageWidth;
    const shifts = (way: string): Float64Array =>
      given['frames']
        ? Float64Array.from(given['frames'] as readonly Given[], (f) => f[way] ?? 0)
        : Float64Array.from({ length: frameCount - 1 }, (_, i) => shiftAt(given['formula'][way] ?? {}, i / frameRate));
    const found = pictureTurned(
      { right: shifts('right'), down: shifts('down'), clockwise: shifts('clockwise') },
      focal,
      frameRate,
    );
    const picture = { focalLength: focal, sensorWidth: imageWidth, sensorHeight: imageHeight };
    const told = ({ left, ...figures }: PathTurned, share?: typeof shareOfWidth): Given => ({
      ...figures,
      ...(share
        ? {
            // Of each frame’s own shift, not of the middling angle.
            shareOfPictureRms: rmsOf(left.map((a) => share(a, picture))),
            cropEachSide: share(figures.peak, picture),
          }
        : {}),
    });
    return {
      panLeft: told(found.panLeft, shareOfWidth),
      tiltUp: told(found.tiltUp, shareOfHeight),
      leftSideUp: told(found.leftSideUp),
    };
  },
};

function shiftAt(way: Given, time: number): number {
  return ((way['tones'] ?? []) as readonly (readonly [number, number, number])[]).reduce(
    (sum, [amplitude, frequency, phase]) => sum + amplitude * Math.sin(2 * Math.PI * frequency * time + phase),
    way['steady'] ?? 0,
  );
}
