/** Looseness seen in the picture: a pin in its hole, a carriage on its rails; as an angle and as a part of the frame at the lens in use. */
import { DEGREE, figure, say, type Finding } from '../../0-base';
import type { FrameCheck, FrameContext } from '../frameCheck';
import { pinPlay } from '../pinPlay';

/** Half a per cent of the frame's width each way is seen as a tick; three times that spoils the take. */
const SEEN = 0.005;
const SPOILS = 3 * SEEN;
/** Width of the picture where no lens is known: a middling one. */
const USUAL_WIDTH = 40 * DEGREE;
/** Twist drills in the usual set go by tenths, m. */
const DRILL_STEP = 0.0001;

export const playInPicture: FrameCheck = {
  id: 'playInPicture',
  look: (frame) => [...pins(frame), ...slides(frame)],
};

/** Part of the frame's width that an angle shifts the picture by, at the longest lens: tan(q) / (2 tan(fov/2)). */
function partOfFrame({ cones }: FrameContext, angle: number): { readonly part: number; readonly across: number } {
  const across = cones.length > 0 ? Math.min(...cones.map((c) => c.long.across)) : USUAL_WIDTH;
  return { part: Math.tan(Math.min(angle, 1.5)) / (2 * Math.tan(across / 2)), across };
}

function pins(frame: FrameContext): readonly Finding[] {
  return frame.rig.bodies.flatMap((b) => b.parts).flatMap((part): readonly Finding[] => {
    const { screw } = part;
    if (!screw?.pin) return [];
    const { pin, diameter, hole = diameter } = screw;
    const playAt = (pinHole: number): number => pinPlay({ pin: pin.diameter, pinHole, pinToScrew: pin.fromScrew, screw: diameter, screwHole: hole });
    const angle = playAt(pin.hole);
    const { part: shift, across } = partOfFrame(frame, angle);
    if (shift <= SEEN) return [];
    const smaller = Math.max(pin.diameter, Math.floor((pin.hole - DRILL_STEP / 2) / DRILL_STEP) * DRILL_STEP);
    const next = partOfFrame(frame, playAt(smaller)).part;
    const pinBlamed = pin.hole - pin.diameter >= hole - diameter;
    return [{
      code: 'playInPicture', severity: shift > SPOILS ? 'mend' : 'note', about: part.id, figure: figure('percent', shift), limit: figure('percent', SEEN),
      title: say`The camera turns ${figure('angle', angle, 2)} each way on its pin: ${figure('percent', shift)} of the picture.`,
      why: say`The pin has ${figure('length', pin.hole - pin.diameter, 2)} of room and the screw ${figure('length', hole - diameter, 2)}, ${figure('length', pin.fromScrew, 1)} apart; the picture is ${figure('angle', across, 0)} wide. ${pinBlamed ? 'The pin’s hole' : 'The screw’s hole'} does most of it.`,
      toDo: smaller < pin.hole - 1e-9 ? say`Drill the pin’s hole ${figure('length', smaller, 1)}: that leaves ${figure('percent', next)}. Or set the pin further from the screw.` : say`Set the pin further from the screw, or close up the screw’s hole with a sleeve.`,
      fixes: [],
    }];
  });
}

const WAYS = { roll: 'rolls', pitch: 'nods', pan: 'turns' } as const;

function slides(frame: FrameContext): readonly Finding[] {
  return frame.rig.adjusters.flatMap((adjuster): readonly Finding[] => {
    if (!adjuster.play) return [];
    const { angle, way } = adjuster.play;
    // A roll lifts one side of the picture and drops the other: its edges move by about as much as a turn of that angle in a frame of 3 : 2.
    const { part: shift, across } = partOfFrame(frame, angle);
    if (shift <= SEEN) return [];
    return [{
      code: 'playInPicture', severity: shift > SPOILS ? 'mend' : 'note', about: adjuster.id, figure: figure('percent', shift), limit: figure('percent', SEEN),
      title: say`The camera ${WAYS[way]} ${figure('angle', angle, 2)} each way on “${adjuster.name}”.`,
      why: say`That is ${figure('percent', shift)} of a picture ${figure('angle', across, 0)} wide, at each step.`,
      toDo: say`Take up the play with a shim or a lock screw, or let what slides stand on a wider base.`,
      fixes: [],
    }];
  });
}
