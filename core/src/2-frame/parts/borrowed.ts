/** Pieces of one family that any rig may borrow: a shoulder rest, a top handle, a grip to film oneself. Each with where it is held and its pose. */
import { add, type Vec3 } from '../../0-base';
import type { Contact, Part, Pose, Rig } from '../../model';
import { foamGrip, shoulderPad, woodenGrip } from './hardware';

export interface BorrowedPiece {
  readonly id: string;
  readonly name: string;
  readonly help: string;
  /** The parts, the one that is held first; `at` is where it is fastened to the rig. Ids are made from `id`. */
  make(
    id: string,
    body: string,
    at: Vec3,
    rig: Rig,
  ): { readonly parts: readonly Part[]; readonly contact: Contact; readonly pose: Pose };
}

const holdOf = (id: string): string => `${id}-hold`;
const hand = (id: string, body: string, at: Vec3): Contact => ({
  id: holdOf(id),
  name: 'hand on the added piece',
  kind: 'hand',
  body,
  at,
  direction: [0, 0, 1],
});

export const BORROWED: readonly BorrowedPiece[] = [
  {
    id: 'shoulder-piece',
    name: 'shoulder piece',
    help: 'A tube back to a pad: the shoulder bears, the hands of the first pose guide.',
    make: (id, body, at, rig) => {
      const pad = add(at, [-0.26, 0, -0.06]);
      const hands =
        rig.poses[0]?.contacts.filter((c) => rig.contacts.some((k) => k.id === c && k.kind === 'hand')) ?? [];
      return {
        parts: [
          { ...shoulderPad({ id, at: pad }), name: 'shoulder piece, pad' },
          {
            id: `${id}-tube`,
            name: 'shoulder piece, tube',
            shape: { kind: 'tube', outerRadius: 0.0125, innerRadius: 0.0105, length: 0.26 },
            at: add(at, [-0.13, 0, -0.03]),
            turn: [0.6509, 0, 0.7592, 0],
            material: 'aluminium',
            supply: { item: 'aluminium tube 25 × 2, 300 mm, with a clamp', packOf: 1, packPrice: 9 },
          },
        ],
        contact: {
          id: holdOf(id),
          name: 'shoulder',
          kind: 'shoulder',
          body,
          at: add(pad, [0, 0, -0.015]),
          direction: [0, 0, 1],
          also: [
            [-1, 0, 0],
            [0, 1, 0],
            [0, -1, 0],
          ],
        },
        pose: { id: `${id}-pose`, name: 'On the shoulder piece', contacts: [holdOf(id), ...hands], arm: 0.3 },
      };
    },
  },
  {
    id: 'top-handle',
    name: 'top handle',
    help: 'A grip on two posts: for the low carry.',
    make: (id, body, at) => {
      const grip = add(at, [0, 0, 0.06]);
      return {
        parts: [
          { ...foamGrip({ id, at: grip, axis: [1, 0, 0], length: 0.14, inside: 0.017 }), name: 'top handle, grip' },
          ...[-1, 1].map((e): Part => ({
            id: `${id}-post-${e > 0 ? 'front' : 'rear'}`,
            name: 'top handle, post',
            shape: { kind: 'tube', outerRadius: 0.006, innerRadius: 0, length: 0.05 },
            at: add(at, [e * 0.062, 0, 0.028]),
            material: 'aluminium',
            supply: { item: 'stand-off 50 mm with screws', packOf: 2, packPrice: 5 },
          })),
        ],
        contact: hand(id, body, grip),
        pose: { id: `${id}-pose`, name: 'Carried low by the top handle', contacts: [holdOf(id)], arm: 0.12 },
      };
    },
  },
  {
    id: 'self-grip',
    name: 'self-filming grip',
    help: 'A turned grip below: hold the rig out and turn the camera to you.',
    make: (id, body, at) => {
      const grip = add(at, [0, 0, -0.09]);
      return {
        parts: [
          {
            ...woodenGrip({ id, at: grip, axis: [0, 0, 1], length: 0.13, diameter: 0.032, bore: 0.0065 }),
            name: 'self-filming grip',
          },
        ],
        contact: hand(id, body, grip),
        pose: { id: `${id}-pose`, name: 'Arm out, facing me', contacts: [holdOf(id)], arm: 0.55, facesHolder: true },
      };
    },
  },
];
