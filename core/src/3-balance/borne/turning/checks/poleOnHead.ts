/** A pole spinning on a helmet: where it rests, what it does spun, what it pulls on head and neck, and whether it lets go. */
import { figure, say, type Finding } from '../../../../0-base';
import type { BalanceCheck, BalanceContext } from '../../../balanceCheck';
import { fixByAdjuster } from '../../../adjusters/fixByAdjuster';
import { DROOP_WITHIN, HOLDS_TIMES, LETS_GO_BY, MOST_DROOP, NECK_AT_MOST } from '../poleLimits';
import { hingeRaise } from '../spinningPole';
import type { PoleReading } from '../turning';

export const poleOnHead: BalanceCheck = {
  id: 'poleOnHead',
  stage: 'balance',
  look: (context) => {
    const { pole } = context.evaluation;
    return pole ? [...restOf(context, pole), ...pullOf(pole)] : [];
  },
};

function restOf(context: BalanceContext, { hinge, pole, rest, spun }: PoleReading): readonly Finding[] {
  const fix = fixByAdjuster(context, 0, (r) => r.fromPivot[0]);
  const fixes = fix ? [fix] : [];
  const turning = spun[1]!;
  if (rest.droop === null) {
    return [
      {
        code: 'poleNeutral',
        severity: 'mend',
        about: hinge.id,
        figure: figure('length', 0),
        limit: null,
        title: say`The pole has no rest of its own: its mass centre lies on the hinge.`,
        why: say`Friction holds it anywhere; spun it comes level, stopped it stays as it fell.`,
        toDo: say`Raise the hinge a little above the mass centre: ${figure('length', 0.01)} is enough.`,
        fixes: [],
      },
    ];
  }
  const out: Finding[] = [];
  const upsideDown = pole.fromHinge[2] >= 0;
  if (rest.onStop || Math.abs(rest.droop) > MOST_DROOP) {
    const raise = hingeRaise(pole, DROOP_WITHIN);
    const end = rest.droop > 0 ? 'camera end' : 'weight end';
    out.push({
      code: 'poleDroops',
      severity: 'mend',
      about: fix?.changes[0]?.id ?? hinge.id,
      figure: figure('angle', Math.abs(rest.droop), 0),
      limit: figure('angle', MOST_DROOP, 0),
      title: rest.onStop
        ? say`At rest the ${end} lies on its stop, ${figure('angle', Math.abs(rest.droop), 0)} down.`
        : say`At rest the ${end} hangs ${figure('angle', Math.abs(rest.droop), 0)} down.`,
      why: upsideDown
        ? say`The mass centre lies ${figure('length', pole.fromHinge[2])} above the hinge, so it has no rest but its stops. At one turn a second it comes to ${figure('angle', Math.abs(turning.droop ?? 0), 0)}.`
        : say`The mass centre lies ${figure('length', Math.abs(pole.fromHinge[0]))} towards it and ${figure('length', -pole.fromHinge[2])} under the hinge. At one turn a second it comes to ${figure('angle', Math.abs(turning.droop ?? 0), 0)}.`,
      toDo:
        raise > 0.0005
          ? say`Bring the mass centre in by the camera’s slide or by washers, or raise the hinge by ${figure('length', raise)}.`
          : say`Bring the mass centre in by the camera’s slide or by washers.`,
      fixes,
    });
  }
  return out;
}

function pullOf({ hinge, swivel, rest, spun }: PoleReading): readonly Finding[] {
  const fast = spun.at(-1)!;
  const worstNeck = Math.max(rest.neckMoment, ...spun.map((s) => s.neckMoment));
  const out: Finding[] = [];
  if (worstNeck > NECK_AT_MOST) {
    out.push({
      code: 'neckMoment',
      severity: 'stop',
      about: hinge.id,
      figure: figure('torque', worstNeck),
      limit: figure('torque', NECK_AT_MOST),
      title: say`It leans on your neck with ${figure('torque', worstNeck)}.`,
      why: say`Its mass centre lies to one side of the swivel. Over ${figure('torque', NECK_AT_MOST)} (rough) a neck is strained, and it goes round with the pole.`,
      toDo: say`Balance it over the swivel first. If your neck tells you anything, take it off.`,
      fixes: [],
    });
  }
  if (!swivel.breaksAwayAt) {
    out.push({
      code: 'mountMustLetGo',
      severity: 'stop',
      about: swivel.id,
      figure: null,
      limit: null,
      title: say`The mount must break away, and at a force you have measured.`,
      why: say`A pole that catches on a branch and does not let go turns the head.`,
      toDo: say`Hold it by hook-and-loop or a magnet; pull it off sideways with a luggage scale and type what it read.`,
      fixes: [],
    });
    return out;
  }
  if (swivel.breaksAwayAt > LETS_GO_BY) {
    out.push({
      code: 'letsGoTooLate',
      severity: 'stop',
      about: swivel.id,
      figure: figure('force', swivel.breaksAwayAt),
      limit: figure('force', LETS_GO_BY),
      title: say`The mount holds ${figure('force', swivel.breaksAwayAt)} before it lets go.`,
      why: say`Caught on something, the neck meets all of that. ${figure('force', LETS_GO_BY)} is much already.`,
      toDo: say`Less hook-and-loop, or a weaker magnet.`,
      fixes: [],
    });
  } else if (fast.swivelSideLoad * HOLDS_TIMES > swivel.breaksAwayAt) {
    out.push({
      code: 'fliesOff',
      severity: 'stop',
      about: swivel.id,
      figure: figure('force', fast.swivelSideLoad, 1),
      limit: figure('force', swivel.breaksAwayAt / HOLDS_TIMES, 1),
      title: say`Spun at a turn and a half a second it pulls ${figure('force', fast.swivelSideLoad, 1)} to the side: it may fly off.`,
      why: say`The mount lets go at ${figure('force', swivel.breaksAwayAt)}; it should hold twice what the spin pulls.`,
      toDo: say`Balance it nearer the swivel, or spin it more slowly.`,
      fixes: [],
    });
  }
  return out;
}
