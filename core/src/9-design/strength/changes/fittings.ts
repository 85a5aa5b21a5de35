/** Fittings that are only pushed in: glued where they may stay together, pinned where they come apart to be packed; all at once. */
import type { Stiffener, StiffChange } from '../stiffener';

const HOLDS = [
  { packs: false, hold: 'glued', to: 'glued: they no more come apart' },
  { packs: true, hold: 'pinned', to: 'pinned: a pin through each, pulled to pack' },
] as const;

export const fittings: Stiffener = {
  id: 'fittings',
  tries: ({ assembly }) => {
    const pressed = assembly.rig.bodies.flatMap((b) => b.joints).filter((j) => j.hold === 'pressed');
    return HOLDS.flatMap(({ packs, hold, to }): readonly StiffChange[] => {
      const all = pressed.filter((j) => (j.packs ?? false) === packs);
      if (all.length === 0) return [];
      const name = all.length === 1 ? all[0]!.name : `All ${all.length} fittings that are pushed in`;
      return [{ name, to: [to], changes: all.map((j) => ({ kind: 'hold', id: j.id, hold })) }];
    });
  },
};
