/** Looseness seen in the picture, as an angle and as a part of the frame at the lens in use. */
import { DEGREE, figure, type Finding } from '../../0-base';
import type { FrameCheck } from '../frameCheck';
import { playsOf } from '../clearances/plays';

/** Half a per cent of the frame's width each way is seen as a tick; three times that spoils the take. */
const SEEN = 0.005;
const SPOILS = 3 * SEEN;
/** Width of the picture where no lens is known: a middling one. */
const USUAL_WIDTH = 40 * DEGREE;

export const playInPicture: FrameCheck = {
  id: 'playInPicture',
  look: (frame) => {
    const across = frame.cones.length > 0 ? Math.min(...frame.cones.map((c) => c.long.across)) : USUAL_WIDTH;
    return playsOf(frame.rig).flatMap(({ about, place, angle, words }): readonly Finding[] => {
      const part = partOfFrame(angle, across);
      if (part <= SEEN) return [];
      return [
        {
          code: 'playInPicture',
          severity: part > SPOILS ? 'mend' : 'note',
          about,
          ...(place === undefined ? {} : { place }),
          figure: figure('percent', part),
          limit: figure('percent', SEEN),
          ...words({
            across,
            part,
            partOf: (a) => partOfFrame(a, across),
            seen: Math.tan(SEEN * 2 * Math.tan(across / 2)),
          }),
        },
      ];
    });
  },
};

/** Part of the frame's width that an angle shifts the picture by: tan(q) / (2 tan(fov/2)). */
const partOfFrame = (angle: number, across: number): number =>
  Math.tan(Math.min(angle, 1.5)) / (2 * Math.tan(across / 2));
