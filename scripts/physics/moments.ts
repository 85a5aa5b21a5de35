import { inertiaAbout, inertiaAboutMassCentre, massCentre, symmetricEigenvalues } from '@tide-pebble/core';
import { sumsOfBodies, type CaseKind } from '../physicsCase';

export const moments: CaseKind = {
  kind: 'moments',
  compute: (given) => {
    const sums = sumsOfBodies(given['bodies']);
    const own = inertiaAboutMassCentre(sums);
    return {
      mass: sums.mass,
      massCentre: massCentre(sums),
      inertiaAboutMassCentre: own,
      inertiaAboutPoint: inertiaAbout(sums, given['about'] ?? [0, 0, 0]),
      ...(given['principal'] === false ? {} : { principalMoments: symmetricEigenvalues(own) }),
    };
  },
};
