/** Finder or screen on the rig: how far the eye is from it on the shoulder, at the waist and behind the tripod. */
import { figure, length, say, subtract, type Finding, type Phrase, type Vec3 } from '../../0-base';
import { contactAt, valuesInOrder } from '../../2-frame';
import type { BalanceCheck, BalanceContext } from '../balanceCheck';
import { eyeOverShoulder, stanceOf } from '../borne/held/person';

/** Standing behind a tripod, the eye comes this near to a camera's back: nose and brow, m. */
const BEHIND = 0.03;

export const eyeAtFinder: BalanceCheck = {
  id: 'eyeAtFinder',
  stage: 'frame',
  look: (context) =>
    context.evaluation.pieces.flatMap(({ flat }) => {
      const part = context.assembly.rig.bodies.flatMap((b) => b.parts).find((p) => p.id === flat.owner);
      return part?.seenFrom ? one(context, part.id, part.name, part.seenFrom, flat.centre) : [];
    }),
};

function one(
  { assembly: { rig, mount }, values, hands, evaluation }: BalanceContext,
  id: string,
  name: string,
  [nearest, farthest]: readonly [number, number],
  at: Vec3,
): readonly Finding[] {
  const inOrder = valuesInOrder(rig, values);
  const pose = rig.poses.find((p) => p.arm !== undefined && !p.turn && p.arm >= hands.armClose) ?? rig.poses[0];
  const hand = rig.contacts.find((c) => c.kind === 'hand' && pose?.contacts.includes(c.id));
  const stance = pose && hand ? stanceOf(pose, contactAt(rig, hand, inOrder), hands) : null;
  const load = evaluation.pieces.filter((p) => p.isLoad).map((p) => p.flat);
  if (load.length === 0 || !mount) return [];
  const back = Math.min(
    ...load.map(
      ({ shape, at: middle }) =>
        middle[0] - (shape.kind === 'box' ? shape.size[0] / 2 : shape.kind === 'tube' ? shape.length / 2 : 0),
    ),
  );
  // On the shoulder the camera's foot stands where the shoulder is; behind a tripod the eye comes to the finder's own height.
  const places = [
    { name: 'on the shoulder', away: length(subtract(at, eyeOverShoulder(mount, hands))) },
    ...(stance?.kind === 'reaches'
      ? [{ name: `held (${pose!.name.toLowerCase()})`, away: length(subtract(at, stance.eye)) }]
      : []),
    // Behind a tripod one steps nearer or further.
    { name: 'behind the tripod', away: Math.max(nearest, at[0] - back + BEHIND) },
  ];
  const serves = places.filter((p) => p.away >= nearest && p.away <= farthest);
  const listed: Phrase = places.flatMap((p, i) => [`${i > 0 ? ', ' : ''}${p.name} `, figure('length', p.away, 0)]);
  return [
    {
      code: 'eyeAtFinder',
      severity: serves.length === 0 ? 'mend' : 'note',
      about: id,
      figure: figure('length', Math.min(...places.map((p) => p.away)), 0),
      limit: figure('length', farthest, 0),
      title:
        serves.length === places.length
          ? say`The ${name} meets the eye however it is held.`
          : serves.length === 0
            ? say`The ${name} meets the eye nowhere.`
            : say`The ${name} meets the eye ${serves.map((p) => p.name).join(' and ')} only.`,
      why: [
        ...say`From your eye, at your stature: `,
        ...listed,
        ...say`. It is used from ${figure('length', nearest, 0)} to ${figure('length', farthest, 0)}.`,
      ],
      toDo:
        serves.length === places.length
          ? say`Tighten it there.`
          : say`An arm that turns serves more places than one fixed to the rail; or a screen, where it is held away from the eye.`,
      fixes: [],
    },
  ];
}
