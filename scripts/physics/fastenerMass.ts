import { fastenerMass as weigh, type Fastener } from '@tide-pebble/core';
import type { CaseKind, Given } from '../physicsCase';

export const fastenerMass: CaseKind = {
  kind: 'fastenerMass',
  compute: (given) => {
    const density: number = given['density'];
    const all = (given['pieces'] as Given[]).map((p) => weigh(p as unknown as Fastener, p['density'] ?? density));
    const mass = all.reduce((s, x) => s + x.mass, 0);
    return {
      masses: all.map((x) => x.mass),
      centres: all.map((x) => x.centre),
      mass,
      centre: all.reduce((s, x) => s + x.mass * x.centre, 0) / mass,
    };
  },
};
