import { hang as hangFromPivot, hangOnTwoPins, massCentre, stageToLevel, sumsOf, type Vec3 } from '@tide-pebble/core';
import { bodiesOf, sumsOfBodies, type CaseKind, type Given } from '../physicsCase';

export const hang: CaseKind = {
  kind: 'hang',
  compute: (given) => (given['joint'] === 'twoPins' ? onPins(given) : onPoint(given)),
};

function onPoint(given: Given): Given {
  const sums = given['bodies'] ? sumsOfBodies(given['bodies']) : null;
  const mass: number = sums?.mass ?? given['mass'];
  const pivot = (given['pivot'] ?? [0, 0, 0]) as Vec3;
  const d: Vec3 = sums
    ? (massCentre(sums).map((c, i) => c - pivot[i]!) as unknown as Vec3)
    : given['massCentreFromPivot'];
  const found = hangFromPivot(d, mass, given['jointFrictionTorque'] ?? null);
  return {
    mass,
    massCentreFromPivot: d,
    bottomHeaviness: found.bottomHeaviness,
    state: found.state,
    ...angles(found.rest),
    deadBand: found.friction?.halfWidth ?? null,
    staysAnywhere: found.friction?.staysAnywhere,
    ...(given['stage'] ? stage(given, d, mass) : {}),
  };
}

function stage(given: Given, d: Vec3, mass: number): Given {
  const { bodies, direction, travel } = given['stage'];
  const all = bodiesOf(given['bodies']);
  const moved = sumsOf(bodies.map((i: number) => all[i]!));
  const { move, elevationPerMetre } = stageToLevel(d, mass, moved.mass, direction);
  return {
    stageMoveToLevel: move,
    withinTravel: travel ? move >= travel[0] && move <= travel[1] : true,
    elevationPerMetreAtLevel: elevationPerMetre,
  };
}

function onPins(given: Given): Given {
  const rig = sumsOfBodies(given['bodies']);
  const link = given['linkBodies']?.length ? sumsOfBodies(given['linkBodies']) : null;
  const found = hangOnTwoPins(
    given['upperPin'],
    given['lowerPin'],
    link && { mass: link.mass, centre: massCentre(link) },
    { mass: rig.mass, centre: massCentre(rig) },
  );
  if (found.state === 'topHeavy') return found;
  return {
    state: found.state,
    upperPinAngle: found.upperPinAngle,
    lowerPinAngle: found.lowerPinAngle,
    ...angles(found.rest),
  };
}

const angles = (rest: ReturnType<typeof hangFromPivot>['rest']): Given =>
  rest
    ? {
        upVector: rest.up,
        lensElevation: rest.lensElevation,
        leftAxisElevation: rest.leftElevation,
        noseDownInSideView: rest.noseDown,
        leftSideDownInFrontView: rest.leftSideDown,
      }
    : {};
