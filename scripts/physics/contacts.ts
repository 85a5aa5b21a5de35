import { contactLoads, massCentre, STANDARD_GRAVITY, type Vec3 } from '@tide-pebble/core';
import { sumsOfBodies, type CaseKind, type Given } from '../physicsCase';

export const contacts: CaseKind = {
  kind: 'contacts',
  compute: (given) => {
    const sums = given['bodies'] ? sumsOfBodies(given['bodies']) : null;
    const list = given['contacts'] as Given[];
    const weight = given['weight'] ?? (given['mass'] ?? sums!.mass) * STANDARD_GRAVITY;
    const extra = given['extraForce'] as Given | undefined;
    const centre: Vec3 = given['massCentre'] ?? massCentre(sums!);
    const outside = extra
      ? [
          {
            force: (extra['force'] ?? extra['vector']) as Vec3,
            point: (extra['point'] ?? extra['at'] ?? centre) as Vec3,
          },
        ]
      : [];
    const outcome = contactLoads(
      weight,
      centre,
      list.map((c) => ({
        point: c['point'],
        direction: c['pushDirection'] ?? c['direction'],
        ...(c['comfortLimit'] === undefined ? {} : { comfortLimit: c['comfortLimit'] }),
      })),
      outside,
    );
    if (outcome.kind === 'cannotHold') return { possible: false, forces: null };
    const shares = outcome.forces.map((f, i) => f / (list[i]!['comfortLimit'] ?? Infinity));
    return {
      possible: true,
      forces: outcome.forces,
      unique: outcome.unique,
      sumOfSquaredShares: outcome.sumOfSquaredShares,
      shareOfLimit: shares,
      overLimit: shares.some((s) => s > 1),
    };
  },
};
