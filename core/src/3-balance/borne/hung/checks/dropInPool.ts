/** Does it right itself in the wanted time? */
import { figure, say } from '../../../../0-base';
import type { BalanceCheck } from '../../../balanceCheck';
import { fixByAdjuster } from '../../../adjusters/fixByAdjuster';

export const dropInPool: BalanceCheck = {
  id: 'dropInPool',
  stage: 'balance',
  look: (context) => {
    const { hung } = context.evaluation;
    if (!hung || hung.hang.state !== 'hangs') return [];
    const { drop } = hung.pitch;
    const [least, most] = context.wants.dropTime;
    if (drop.kind === 'stops') {
      return [
        {
          code: 'stopsShort',
          severity: 'mend',
          about: hung.pivot.id,
          figure: figure('angle', drop.angle),
          limit: null,
          title: say`Let go level, friction stops it ${figure('angle', drop.angle)} short of upright.`,
          why: say`The joint's friction is as strong as its righting moment.`,
          toDo: say`Oil or change the bearing, or bring the mass centre lower.`,
          fixes: [],
        },
      ];
    }
    if (drop.kind !== 'falls' || (drop.time >= least && drop.time <= most)) return [];
    const long = drop.time > most;
    const offset = Math.abs(hung.hang.fromPivot[0]);
    const middle = (least + most) / 2;
    // Top-heavy is the far end of too long: the time grows without bound as the mass centre nears the pivot.
    const fix = fixByAdjuster(context, 2, (r) => (r.dropPitch ?? Infinity) - middle);
    return [
      {
        code: long ? 'dropTooLong' : 'dropTooShort',
        severity: 'mend',
        about: fix?.changes[0]?.id ?? hung.pivot.id,
        figure: figure('time', drop.time),
        limit: figure('time', long ? most : least),
        title: say`It takes ${figure('time', drop.time)} to right itself; you want ${figure('time', least)} to ${figure('time', most)}.`,
        why: long
          ? say`The mass centre lies only ${figure('length', hung.hang.bottomHeaviness, 2)} under the pivot: calm, but wind and touch move it.`
          : say`The mass centre lies ${figure('length', hung.hang.bottomHeaviness, 1)} under the pivot: it swings when you start and stop.`,
        toDo:
          offset > hung.hang.bottomHeaviness / 2
            ? say`Level it first: lying ${figure('length', offset, 1)} off the pivot keeps it quick.`
            : fix
              ? say`Turn the pivot, or trim with washers.`
              : long
                ? say`Put more on the foot.`
                : say`Take washers off the foot.`,
        fixes: fix ? [fix] : [],
      },
    ];
  },
};
