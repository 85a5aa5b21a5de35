import { railCover } from '@tide-pebble/core';
import { sumsOfBodies, type CaseKind } from '../physicsCase';

export const loadouts: CaseKind = {
  kind: 'loadouts',
  compute: (given) => {
    const cover = railCover({
      pivot: given['pivot'],
      base: sumsOfBodies(given['baseBodies']),
      direction: given['rail'].direction,
      range: given['rail'].range,
      leanAllowed: given['leanAllowed'] ?? null,
      loadouts: given['loadouts'].map((l: { name: string; onRail: never[]; alsoFixed?: never[] }) => ({
        id: l.name,
        onRail: sumsOfBodies(l.onRail),
        ...(l.alsoFixed ? { alsoFixed: sumsOfBodies(l.alsoFixed) } : {}),
      })),
    });
    return {
      loadouts: cover.places.map((p) => ({
        name: p.id,
        railPosition: p.position,
        withinRange: p.withinRange,
        bottomHeaviness: p.bottomHeaviness,
        positionsWithinLean: p.withinLean,
      })),
      railFrom: cover.from,
      railTo: cover.to,
      travelNeeded: cover.travelNeeded,
      allWithinRange: cover.allWithinRange,
      oneFixedPositionServesAll: cover.fixed !== null,
      fixedPositionFrom: cover.fixed?.[0] ?? null,
      fixedPositionTo: cover.fixed?.[1] ?? null,
    };
  },
};
