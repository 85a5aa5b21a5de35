/** A load held between jaws: do they open far enough, and close far enough. */
import { dot, figure, say, type Finding } from '../../0-base';
import type { FrameCheck } from '../frameCheck';
import { pointsOf } from '../clearances/near';

export const loadInJaws: FrameCheck = {
  id: 'loadInJaws',
  look: ({ rig, pieces }) =>
    rig.bodies
      .flatMap((b) => b.parts)
      .flatMap((part): readonly Finding[] => {
        // What stands on the foot itself is gripped; a lamp on it is not.
        const gripped = pieces.find((p) => p.isLoad);
        if (!part.jaws || !part.mount || !gripped) return [];
        const {
          axis,
          opens: [least, most],
        } = part.jaws;
        const along = pointsOf(gripped.flat).map((p) => dot(p, axis));
        const across = Math.max(...along) - Math.min(...along);
        if (across >= least && across <= most) return [];
        const wide = across > most;
        return [
          {
            code: 'loadInJaws',
            severity: 'stop',
            about: part.id,
            figure: figure('length', across),
            limit: figure('length', wide ? most : least),
            title: wide
              ? say`The ${gripped.flat.name} is ${figure('length', across)} across: the ${part.name} opens to ${figure('length', most)}.`
              : say`The ${gripped.flat.name} is only ${figure('length', across)} across: the ${part.name} closes to ${figure('length', least)}.`,
            why: say`It would ${wide ? 'not go in' : 'slip out'}, and may break what it holds.`,
            toDo: wide
              ? say`Take a clamp that opens ${figure('length', across)} or more, or turn the load on its side.`
              : say`Line the jaws with rubber, or take a smaller clamp.`,
            fixes: [],
          },
        ];
      }),
};
