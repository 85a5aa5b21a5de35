import { addScaled, followBends, massCentre, springBack, stripStart, sumsOf, flatBody } from '@tide-pebble/core';
import type { CaseKind, Given } from '../physicsCase';

export const shapeOfBend: CaseKind = {
  kind: 'shapeOfBend',
  // A strip springs back as each millimetre of its width does: how wide it is changes nothing there.
  compute: (given) => {
    if (given['width'] !== undefined && !(given['width'] > 0)) throw new Error('a strip has a width');
    return { ...(given['segments'] ? followed(given) : {}), ...(given['springBack'] ? sprung(given) : {}) };
  },
};

function followed(given: Given): Given {
  const [along, across] = given['startFrame'] ?? [
    [1, 0, 0],
    [0, 1, 0],
  ];
  const section = { thickness: given['thickness'], width: given['width'] };
  const strip = followBends(section, given['segments'], stripStart(given['startPosition'] ?? [0, 0, 0], along, across));
  const pieces = strip.stretches.map((s, i) =>
    flatBody({
      id: `${i}`,
      name: `${i}`,
      owner: `${i}`,
      shape: s.shape,
      at: s.origin,
      rotation: s.rotation,
      density: given['density'] ?? 1000,
    }),
  );
  const sums = sumsOf(pieces);
  const { end } = strip;
  return {
    developedLength: strip.developedLength,
    endPosition: addScaled(end.at, end.along, 0),
    endDirection: end.along,
    endAcross: end.across,
    centroid: massCentre(sums),
    turningPoints: strip.turningPoints,
    largestOuterStrain: strip.largestOuterStrain,
    volume: sums.mass / (given['density'] ?? 1000),
    mass: sums.mass,
  };
}

function sprung({ thickness, springBack: wanted }: Given): Given {
  const found = springBack({
    radius: wanted.wantedRadius,
    angle: wanted.wantedAngle,
    thickness,
    stiffness: wanted.E,
    yield: wanted.yield,
  });
  return found.kind === 'solved' ? found : {};
}
