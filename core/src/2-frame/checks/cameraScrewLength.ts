/** The screw into the camera: enough to hold, not so much that it meets the socket's bottom. */
import { figure, say } from '../../0-base';
import type { FrameCheck } from '../frameCheck';

/** Turns of a 1/4-20 thread that hold without drawing: four, of 1.27 mm; less in a metal socket is a risk. */
const LEAST_IN = 0.0045;
/** Left free at the bottom of the socket, m. */
const FREE = 0.0005;
/** Lengths camera screws are sold in, m. */
const SOLD = [0.008, 0.0095, 0.0127, 0.0159, 0.0191, 0.0222, 0.0254, 0.0318, 0.0381];

export const cameraScrewLength: FrameCheck = {
  id: 'cameraScrewLength',
  look: ({ rig, socket }) => {
    // Where the screw is worked out it is of the right length, or said to be none.
    const isStated = rig.bodies.some((b) => b.connections?.some((c) => c.kind === 'bolted' && c.end.kind === 'camera'));
    if (isStated) return [];
    const part = rig.bodies.flatMap((b) => b.parts).find((p) => p.screw);
    if (!part?.screw || !socket) return [];
    const engaged = part.screw.length - part.screw.passes;
    const about = part.id;
    const deepest = socket.depth === null ? null : socket.depth - FREE;
    const fits = SOLD.find(
      (s) => s - part.screw!.passes >= LEAST_IN && (deepest === null || s - part.screw!.passes <= deepest),
    );
    const take =
      fits === undefined
        ? say`No length sold fits: change the plate's thickness, or add a washer under the head.`
        : say`Take a screw ${figure('length', fits, 1)} long under its head.`;
    const other =
      fits === undefined
        ? []
        : [
            {
              label: say`Screw of ${figure('length', fits, 1)}`,
              changes: [{ kind: 'screw' as const, id: about, length: fits }],
            },
          ];
    if (engaged < LEAST_IN - 1e-9) {
      return [
        {
          code: 'screwTooShort',
          severity: engaged <= 0 ? ('stop' as const) : ('mend' as const),
          about,
          figure: figure('length', Math.max(0, engaged), 1),
          limit: figure('length', LEAST_IN, 1),
          title: say`The camera screw goes only ${figure('length', Math.max(0, engaged), 1)} into ${socket.item}.`,
          why: say`It is ${figure('length', part.screw.length, 1)} long and passes ${figure('length', part.screw.passes, 1)} first. Under ${figure('length', LEAST_IN, 1)} a knock pulls the thread out.`,
          toDo: take,
          fixes: other,
        },
      ];
    }
    if (deepest !== null && engaged > deepest + 1e-9) {
      return [
        {
          code: 'screwTooLong',
          severity: 'stop' as const,
          about,
          figure: figure('length', engaged, 1),
          limit: figure('length', deepest, 1),
          title: say`The camera screw reaches ${figure('length', engaged, 1)} into a socket ${figure('length', socket.depth!, 1)} deep.`,
          why: say`It bottoms out before it clamps, and turned harder it pushes the socket out of ${socket.item}.`,
          toDo: take,
          fixes: other,
        },
      ];
    }
    return [];
  },
};
