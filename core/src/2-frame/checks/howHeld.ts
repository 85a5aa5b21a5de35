/** A rig freed before connections were kept does not say what holds its pieces: that is told, and not guessed. */
import { figure, say } from '../../0-base';
import { lotsOf } from '../connections/lots';
import type { FrameCheck } from '../frameCheck';

export const howHeld: FrameCheck = {
  id: 'howHeld',
  look: ({ rig }) =>
    rig.bodies.flatMap((body) => {
      if (body.connections) return [];
      const [, ...loose] = lotsOf(body, rig);
      const pieces = loose.flat();
      const part = body.parts.find((p) => pieces.includes(p.id));
      if (!part) return [];
      return [
        {
          code: 'notSaidHowHeld',
          severity: 'measure' as const,
          about: part.id,
          figure: figure('count', pieces.length),
          limit: null,
          title:
            pieces.length === 1
              ? say`What holds the ${part.name} is not known.`
              : say`What holds the ${part.name} and ${figure('count', pieces.length - 1)} more pieces is not known.`,
          why: say`This rig was freed before that was kept: their screws and nuts are not in its mass, its holes or To buy.`,
          toDo: say`Weigh the whole rig, or start it anew from its family.`,
          leavesOut: true as const,
          fixes: [],
        },
      ];
    }),
};
