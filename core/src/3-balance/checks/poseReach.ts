/** Can the maker reach each pose, and does the eye meet the camera when it stands on the shoulder. */
import { figure, say, type Finding } from '../../0-base';
import { valuesInOrder } from '../../2-frame';
import type { BalanceCheck } from '../balanceCheck';
import { shoulderOf } from '../borne/held/person';
import { stancesOf } from '../borne/held/stances';

/** From the eye to a camera's back: a finder or screen is used within this, m. */
const NEAREST = 0.015;
const FARTHEST = 0.25;

export const poseReach: BalanceCheck = {
  id: 'poseReach',
  stage: 'frame',
  look: ({ assembly: { rig }, values, hands, evaluation }) => {
    const inOrder = valuesInOrder(rig, values);
    return rig.poses.flatMap((pose): readonly Finding[] => {
      const stances = stancesOf(rig, pose, inOrder, hands);
      const onShoulder = shoulderOf(pose, rig.contacts);
      const far = stances.flatMap(({ contact, stance }) =>
        stance.kind === 'outOfReach' ? [{ contact, stance }] : [],
      )[0];
      if (far) {
        return [
          {
            code: 'poseOutOfReach',
            severity: 'stop',
            about: far.contact.id,
            place: pose.id,
            figure: figure('length', far.stance.asked),
            limit: figure('length', far.stance.reach),
            title: say`${pose.name}: the ${far.contact.name} is ${figure('length', far.stance.asked)} from the shoulder.`,
            why: say`An arm like yours reaches ${figure('length', far.stance.reach)}.`,
            toDo: say`Bring that grip nearer, or type your own stature.`,
            fixes: [],
          },
        ];
      }
      const [first] = stances;
      const load = evaluation.pieces.filter((p) => p.isLoad).map((p) => p.flat);
      if (!onShoulder || !first || first.stance.kind !== 'reaches' || load.length === 0) return [];
      const { eye } = first.stance;
      const back = Math.min(
        ...load.map(
          ({ shape, at }) =>
            at[0] - (shape.kind === 'box' ? shape.size[0] / 2 : shape.kind === 'tube' ? shape.length / 2 : 0),
        ),
      );
      const gap = back - eye[0];
      if (gap >= NEAREST && gap <= FARTHEST) return [];
      return [
        {
          code: 'eyeDistance',
          severity: 'note',
          about: load[0]!.owner,
          place: pose.id,
          figure: figure('length', Math.abs(gap)),
          limit: figure('length', gap < NEAREST ? NEAREST : FARTHEST),
          title:
            gap < NEAREST
              ? say`${pose.name}: the camera’s back is ${figure('length', NEAREST - gap)} too near the eye.`
              : say`${pose.name}: the camera’s back is ${figure('length', gap)} ahead of the eye.`,
          why: say`Reckoned for your stature; a finder is used from ${figure('length', NEAREST)}, a screen up to ${figure('length', FARTHEST)}.`,
          toDo: gap < NEAREST ? say`Move the camera forward.` : say`Move the camera back, or put a finder on an arm.`,
          fixes: [],
        },
      ];
    });
  },
};
