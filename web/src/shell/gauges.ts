/** The six readouts of the tide line, from the bench: figure, target and place on the gauge. Pure. */
import {
  DEGREE,
  figure,
  holdFor,
  showFigure,
  someTurns,
  wristAtMost,
  type HeldHand,
  type SpreadOnBench,
  type UnitChoice,
} from '@tide-pebble/core';
import type { StockPlan } from '@tide-pebble/core/making';
import type { Bench } from '../services/workspace';
import type { Gauge } from '../ui/figures/tide-gauge';

export type GaugeId = 'nose' | 'sides' | 'drop' | 'mass' | 'calm' | 'cost';
export interface NamedGauge {
  readonly id: GaugeId;
  readonly gauge: Omit<Gauge, 'was'>;
}

/** A lean's spread is reckoned to first order: beyond this it is only known to be large, rad. */
const SPREAD_SHOWN = 45 * DEGREE;

export function gaugesOf({ judged, rig }: Bench, stock: StockPlan | null, units: UnitChoice): readonly NamedGauge[] {
  const { evaluation } = judged;
  const { hung } = evaluation;
  const { wants } = rig;
  const say = (kind: Parameters<typeof figure>[0], value: number, decimals?: number): string =>
    showFigure(figure(kind, value, decimals), units);
  const none = (name: string, rest = 'not known'): Omit<Gauge, 'was'> => ({
    name,
    figure: '–',
    rest,
    pebble: null,
    pool: null,
    out: false,
  });
  const rest = hung?.hang.rest;
  const overturned = hung?.hang.state === 'topHeavy';
  /** As far as a screw may have to go for it, which a hand can do something with; where none does, the lean itself. */
  const plusMinus = (axis: SpreadOnBench['axis'], spread: number): string => {
    const screw = judged.onBench.find((s) => s.axis === axis)?.screw;
    if (screw?.turns) return someTurns(screw.turns);
    if (screw && 2 * spread > SPREAD_SHOWN) return say('length', screw.goes, 1);
    return `${2 * spread > SPREAD_SHOWN ? '>' : ''}${say('angle', Math.min(2 * spread, SPREAD_SHOWN), 0)}`;
  };
  const level = (
    name: string,
    angle: number | undefined,
    axis: SpreadOnBench['axis'],
    spread: number,
    words: readonly [string, string],
  ): Omit<Gauge, 'was'> => {
    if (angle === undefined)
      return overturned ? { name, figure: 'turns over', rest: '', pebble: 1, pool: [0.4, 0.6], out: true } : none(name);
    const out = Math.abs(angle) > wants.levelWithin;
    const reach = 5 * wants.levelWithin;
    const flat = Math.abs(angle) < 0.0009;
    return {
      name,
      figure: flat ? 'level' : say('angle', Math.abs(angle)),
      rest: `${flat ? '' : words[angle > 0 ? 0 : 1]} ± ${plusMinus(axis, spread)}`.trim(),
      pebble: 0.5 + angle / (2 * reach),
      pool: [0.4, 0.6],
      out,
    };
  };
  const held = hung ? undefined : evaluation.held[0];
  /** Held rigidly: what tips in the wrist that carries most, in place of a lean it cannot have. */
  const wrist = (
    name: string,
    of: (hand: HeldHand) => number,
    words: readonly [string, string],
  ): Omit<Gauge, 'was'> | null => {
    if (!held || held.hands.length === 0) return null;
    const torque = held.hands.map(of).reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a));
    const most = wristAtMost(wants);
    const nil = Math.abs(torque) < 0.005;
    return {
      name,
      figure: say('torque', Math.abs(torque)),
      rest: nil ? 'nothing tips' : words[torque > 0 ? 0 : 1],
      pebble: 0.5 + torque / (5 * most),
      pool: [0.3, 0.7],
      out: Math.abs(torque) > most,
    };
  };
  /** Worn: what the hands and the rest must bear, against what is comfortable. */
  const worn = (name: string, ofHands: boolean): Omit<Gauge, 'was'> | null => {
    if (!held || (held.bears.length === 0 && !held.falls)) return null;
    if (held.falls) {
      const { noseDown, leftSideDown } = held.falls;
      const nose = Math.abs(noseDown) >= Math.abs(leftSideDown);
      return {
        name,
        figure: 'falls',
        rest: nose ? (noseDown > 0 ? 'nose down' : 'nose up') : leftSideDown > 0 ? 'left down' : 'right down',
        pebble: 1,
        pool: [0, 0.5],
        out: true,
      };
    }
    const bearing = held.bears.filter((b) => (b.contact.kind === 'hand') === ofHands);
    const most = bearing.reduce((a, b) => (b.share > a.share ? b : a), bearing[0]!);
    return {
      name,
      figure: say('force', most?.size ?? 0, 1),
      rest: most && most.size > 0.05 ? `${most.contact.name}, ${say('percent', most.share, 0)}` : 'carry nothing',
      pebble: Math.min(1, (most?.share ?? 0) / 2),
      pool: [0, 0.5],
      out: (most?.share ?? 0) > 1,
    };
  };
  /** Axes inside axes: what is left on each, against what its friction hides. A pole: where it rests, spun, and what the neck feels. */
  const turning = (index: 0 | 1 | 2): Omit<Gauge, 'was'> | null => {
    const axis = evaluation.axes[index];
    if (axis) {
      const reach = 3 * Math.max(axis.friction, 1e-4);
      return {
        name: axis.pivot.name[0]!.toUpperCase() + axis.pivot.name.slice(1),
        figure: say('torque', axis.residual, 3),
        rest: axis.residual <= axis.friction ? 'hidden' : 'pulls round',
        pebble: Math.min(1, axis.residual / reach),
        pool: [0, 1 / 3],
        out: axis.residual > axis.friction,
      };
    }
    const { pole } = evaluation;
    if (!pole) return null;
    const droops = (name: string, q: number | null, onStop: boolean): Omit<Gauge, 'was'> =>
      q === null
        ? none(name, 'no rest of its own')
        : {
            name,
            figure: Math.abs(q) < 0.0009 ? 'level' : say('angle', Math.abs(q)),
            rest: onStop ? 'on its stop' : Math.abs(q) < 0.0009 ? '' : q > 0 ? 'camera end down' : 'weight end down',
            pebble: Math.max(0, Math.min(1, 0.5 + q / 1.2)),
            pool: [0.2, 0.8],
            out: Math.abs(q) > 0.35,
          };
    if (index === 0) return droops('Droop at rest', pole.rest.droop, pole.rest.onStop !== null);
    if (index === 1) return droops('At one turn a second', pole.spun[1]!.droop, pole.spun[1]!.onStop !== null);
    const neck = Math.max(pole.rest.neckMoment, ...pole.spun.map((s) => s.neckMoment));
    return {
      name: 'On the neck',
      figure: say('torque', neck),
      rest: 'rough, at worst',
      pebble: Math.min(1, neck / 5),
      pool: [0, 0.5],
      out: neck > 2.5,
    };
  };
  const hold = (): Omit<Gauge, 'was'> | null => {
    if (!held) return null;
    const wanted = holdFor(wants);
    const { holds, tires } = held;
    if (holds.kind === 'anHour')
      return {
        name: 'Hold',
        figure: 'an hour',
        rest: `and more, ${say('percent', holds.share, 0)} of the ${tires}`,
        pebble: 0.9,
        pool: [0.4, 1],
        out: false,
      };
    if (holds.kind === 'tooMuch')
      return {
        name: 'Hold',
        figure: 'not at all',
        rest: `too much for the ${tires}`,
        pebble: 0,
        pool: [0.4, 1],
        out: true,
      };
    const usual = holds.usual * 60;
    return {
      name: 'Hold, roughly',
      figure: say('time', usual, 0),
      rest: `then the ${tires}`,
      pebble: Math.min(1, (0.4 * usual) / wanted),
      pool: [0.4, 1],
      out: usual < wanted,
    };
  };
  const drop = (): Omit<Gauge, 'was'> => {
    const [pitch, roll] = [hung?.pitch.drop, hung?.roll.drop];
    const [least, most] = wants.dropTime;
    const reach = 2 * most;
    if (!hung) return none('Drop', 'hangs on no joint');
    if (pitch?.kind !== 'falls')
      return {
        name: 'Drop',
        figure: 'never',
        rest: pitch?.kind === 'stops' ? 'friction stops it' : 'does not right itself',
        pebble: 1,
        pool: [least / reach, most / reach],
        out: true,
      };
    return {
      name: 'Drop, pitch and roll',
      figure: say('time', pitch.time),
      rest: roll?.kind === 'falls' ? `and ${roll.time.toFixed(1)} ± ${say('time', 2 * hung.spread.dropPitch)}` : '',
      pebble: pitch.time / reach,
      pool: [least / reach, most / reach],
      out: pitch.time < least || pitch.time > most,
    };
  };
  const calm = (): Omit<Gauge, 'was'> => {
    const ratio = evaluation.calm;
    if (!ratio) return none('Calm', evaluation.loadMass > 0 ? 'it turns' : 'nothing mounted');
    const reach = Math.max(2 * wants.calmAtLeast, 1);
    return {
      name: 'Calm',
      figure: say('ratio', ratio.pitch, ratio.pitch < 10 ? 1 : 0),
      rest: `bare camera, roll ${say('ratio', ratio.roll, 0)}`,
      pebble: Math.min(1, ratio.pitch / reach),
      pool: [wants.calmAtLeast / reach, 1],
      out: ratio.pitch < wants.calmAtLeast,
    };
  };
  const massReach = wants.massAtMost * 1.3;
  const cost = stock?.cost ?? null;
  return [
    {
      id: 'nose',
      gauge:
        turning(0) ??
        worn('Hands', true) ??
        wrist('Wrist, nose', (h) => h.noseDown, ['nose down', 'nose up']) ??
        level('Nose', rest?.noseDown, 'foreAft', hung?.spread.noseDown ?? 0, ['nose down', 'nose up']),
    },
    {
      id: 'sides',
      gauge:
        turning(1) ??
        worn('Body', false) ??
        wrist('Wrist, sides', (h) => h.leftSideDown, ['left down', 'right down']) ??
        level('Sides', rest?.leftSideDown, 'sideways', hung?.spread.leftSideDown ?? 0, ['left down', 'right down']),
    },
    { id: 'drop', gauge: turning(2) ?? hold() ?? drop() },
    {
      id: 'mass',
      gauge: {
        name: 'Mass',
        figure: say('mass', evaluation.mass),
        rest: `± ${say('mass', 2 * evaluation.massSpread)}`,
        pebble: evaluation.mass / massReach,
        pool: [0, 1 / 1.3],
        out: evaluation.mass > wants.massAtMost,
      },
    },
    { id: 'calm', gauge: calm() },
    {
      id: 'cost',
      gauge:
        cost === null
          ? none('Cost to buy', '…')
          : {
              name: 'Cost to buy',
              figure: say('money', cost),
              rest: wants.shopPrice > 0 ? `shop ${say('money', wants.shopPrice)}` : 'no shop price typed',
              pebble: cost / Math.max(wants.shopPrice * 1.3, cost, 1),
              pool: wants.shopPrice > 0 ? [0, 1 / 1.3] : null,
              out: wants.shopPrice > 0 && cost > wants.shopPrice,
            },
    },
  ];
}
