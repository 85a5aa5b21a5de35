import { aboutAxis, dropTime as drop, FROM_LEVEL } from '@tide-pebble/core';
import { sumsOfBodies, type CaseKind } from '../physicsCase';

export const dropTime: CaseKind = {
  kind: 'dropTime',
  compute: (given) => {
    const { axis } = given;
    if (axis !== undefined && axis !== 'pitch' && axis !== 'roll') throw new Error(`no axis “${axis}”`);
    const sums = given['bodies'] ? sumsOfBodies(given['bodies']) : null;
    const { inertia, distance } = sums
      ? aboutAxis(sums, given['pivot'] ?? [0, 0, 0], axis)
      : { inertia: given['inertiaAboutAxis'], distance: given['massCentreDistance'] };
    const found = drop(
      { mass: sums?.mass ?? given['mass'], inertia, distance, releaseAngle: given['releaseAngle'] ?? FROM_LEVEL },
      {
        dry: given['dryFrictionTorque'] ?? 0,
        viscous: given['viscousTorquePerRate'] ?? 0,
        drag: given['dragTorquePerRateSquared'] ?? 0,
      },
    );
    return {
      inertiaAboutAxis: inertia,
      massCentreDistance: distance,
      dropTime: found.kind === 'falls' ? found.time : null,
      ...(found.kind === 'falls'
        ? { rateAtUpright: found.rateAtUpright }
        : found.kind === 'stops'
          ? { stopsAtAngle: found.angle, timeToStop: found.time }
          : {}),
    };
  },
};
