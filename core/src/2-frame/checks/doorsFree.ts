/** Battery and card doors, ports, screens, eyepieces and hand room of the load, with a part of the rig in them. */
import { figure, say, type Finding } from '../../0-base';
import type { Solid3 } from '../clearances/clearance';
import type { FrameCheck, FrameContext } from '../frameCheck';
import { framePieces, gapUnder, loadPlace, pointsOf, spaceSolid } from '../clearances/near';

/** Things that touch share a face; only what reaches in counts. */
const TOUCHING = 1e-5;

export const doorsFree: FrameCheck = {
  id: 'doorsFree',
  look: (frame) => {
    const place = loadPlace(frame);
    if (!place) return [];
    return frame.spaces.flatMap((space) => {
      const solid = spaceSolid(space, place);
      // Shrunk by a hair, so that a plate under the camera does not count as in the door beside it.
      const inner = {
        ...solid,
        shape: {
          kind: 'box' as const,
          size:
            solid.shape.kind === 'box'
              ? (solid.shape.size.map((s) => Math.max(1e-4, s - 0.002)) as unknown as readonly [number, number, number])
              : ([1, 1, 1] as const),
        },
      };
      const first = framePieces(frame).find(({ flat }) => gapUnder(flat, inner, TOUCHING) !== null);
      if (!first) return [];
      return [
        {
          code: 'doorsFree',
          severity: 'mend' as const,
          about: first.flat.owner,
          place: `${space.entry} ${space.kind}`,
          figure: null,
          limit: null,
          title: say`The ${first.flat.name} stands in the ${space.kind} of ${space.item}.`,
          why: say`That space, ${figure('length', space.size[0])} by ${figure('length', space.size[1])} by ${figure('length', space.size[2])}, must stay free to open, plug in or look.`,
          toDo: say`Move the camera along its plate, turn it on its screw, or put a riser under it.`,
          fixes: riser(frame, first.flat, solid),
        },
      ];
    });
  },
};

/** The plate the camera stands on cannot be cleared by raising it; anything else below the door can. */
function riser(frame: FrameContext, part: Solid3 & { readonly owner: string }, space: Solid3): Finding['fixes'] {
  const holder = frame.rig.bodies.flatMap((b) => b.parts).find((p) => p.mount);
  const by = Math.max(...pointsOf(part).map((p) => p[2])) - Math.min(...pointsOf(space).map((p) => p[2])) + 0.0005;
  if (!holder || part.owner === holder.id || by <= 0 || by > 0.06) return [];
  return [
    {
      label: say`Camera on a riser of ${figure('length', by)}`,
      changes: [{ kind: 'move', id: holder.id, by: [0, 0, by] }],
    },
  ];
}
