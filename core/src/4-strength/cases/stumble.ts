/** Worn, it stops with its wearer: 2 to 3 times its weight down and forwards or back (from memory). */
import { add, scale, type Vec3 } from '../../0-base';
import type { StrengthCase } from '../strengthCase';

const DOWN = 2.5;
const ALONG = 1.5;
const WORN = ['shoulder', 'chest', 'helmet'];
const G = 9.80665;

export const stumble: StrengthCase = {
  id: 'stumble',
  name: 'A stumble',
  loads: ({ frame, holding }) =>
    holding.some((c) => WORN.includes(c.kind))
      ? [-1, 1].map((way) => {
          const stop: Vec3 = [way * ALONG * G, 0, 0];
          return { field: add(scale(frame.gravity, DOWN), stop), pushes: [] };
        })
      : [],
  says: () => `stumbled with, ${DOWN} times its weight down and ${ALONG} forwards or back`,
};
