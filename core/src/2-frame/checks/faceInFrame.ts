/** Filming oneself at arm's length: does the face fit the picture, with room round it, and what else is in it. */
import { DEGREE, figure, say } from '../../0-base';
import { contactAt, valuesInOrder } from '../assemble';
import type { FrameCheck } from '../frameCheck';
import { loadPlace } from '../clearances/near';

/** Head of a grown person over hair and chin, and across the shoulders, m. */
const HEAD = 0.24;
const SHOULDERS = 0.42;
/** More than this of the picture's height is a nose, less than that a figure in a landscape. */
const FILLS = 0.75;
const SMALL = 0.18;
/** A wrist bends this far without strain. */
const EASY_WRIST = 35 * DEGREE;

export const faceInFrame: FrameCheck = {
  id: 'faceInFrame',
  look: (frame) => {
    const pose = frame.rig.poses.find((p) => p.facesHolder);
    const contact = frame.rig.contacts.find((c) => c.kind === 'hand' && pose?.contacts.includes(c.id));
    const [cone] = frame.cones;
    const place = loadPlace(frame);
    if (!pose || !contact || !cone || !place) return [];
    const hand = contactAt(frame.rig, contact, valuesInOrder(frame.rig, frame.values));
    const front = place(cone.front);
    // The lens looks forward, at whoever holds it: they stand an arm ahead of the hand.
    const distance = (pose.arm ?? frame.hands.armOut) - (front[0] - hand[0]);
    const { up, across } = cone.wide;
    if (!(distance > 0.05)) {
      return [
        {
          code: 'faceInFrame',
          severity: 'stop' as const,
          about: contact.id,
          figure: figure('length', Math.max(0, distance)),
          limit: figure('length', 0.05),
          title: say`The lens stands ${figure('length', Math.abs(distance))} ${distance >= 0 ? 'from' : 'beyond'} your face.`,
          why: say`The grip reaches as far forward as your arm does.`,
          toDo: say`Shorten the shelf, or stretch the arm further.`,
          fixes: [],
        },
      ];
    }
    const fills = HEAD / (2 * distance * Math.tan(up / 2));
    const wide = 2 * distance * Math.tan(across / 2);
    const beside = wide - SHOULDERS;
    const rest =
      beside > 0
        ? say`Beside your shoulders ${figure('length', beside)} of what lies behind is in it.`
        : say`Your shoulders reach past its sides.`;
    const needed = HEAD / (2 * FILLS * Math.tan(up / 2));
    return [
      {
        code: 'faceInFrame',
        severity: fills > FILLS ? ('mend' as const) : ('note' as const),
        about: contact.id,
        figure: figure('percent', fills, 0),
        limit: figure('percent', FILLS, 0),
        title:
          fills > FILLS
            ? say`Your face fills ${figure('percent', fills, 0)} of the picture’s height.`
            : fills < SMALL
              ? say`Your face is small: ${figure('percent', fills, 0)} of the picture’s height.`
              : say`Your face fills ${figure('percent', fills, 0)} of the picture’s height, ${figure('length', distance)} from the lens.`,
        why: [
          ...say`The lens takes in ${figure('length', wide)} across at that distance (${figure('angle', across, 0)}). `,
          ...rest,
        ],
        toDo:
          fills > FILLS
            ? say`Be ${figure('length', needed - distance)} further away: a longer grip, or a wider lens.`
            : say`Check it on the screen with your own arm; up to ${figure('angle', EASY_WRIST, 0)} of bend in the wrist is easy.`,
        fixes: [],
      },
    ];
  },
};
