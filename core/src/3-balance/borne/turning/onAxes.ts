/** Axes inside axes: what is left on each against what its friction hides. */
import {
  figure,
  noGauge,
  normalDraws,
  say,
  STANDARD_GRAVITY,
  subtract,
  dot,
  scale,
  unit,
  type Vec3,
} from '../../../0-base';
import { addSums, massCentre, sumsOf } from '../../../1-load';
import { bodiesBeyond, placedPieces, valuesInOrder } from '../../../2-frame';
import type { BalanceContext } from '../../balanceCheck';
import { shiftsOf } from '../../spread/spread';
import { heldGauges } from '../held/heldGauges';
import { axisReadings } from './axisReadings';
import type { Odds, Readout, Way, WayGauge } from '../way';
import { freeAxes } from '../support';
import { capital } from '../words';
import { axesIn, type AxisReading } from './turning';

/** The gauge of an axis is this many times as wide as what its friction hides. */
const REACH = 3;
/** A change of torque below this is none, N m. */
const NO_CHANGE = 5e-7;

export const axes: Way = {
  id: 'axes',
  bears: (evaluation) => evaluation.axes.length > 0,
  willBear: (rig) => freeAxes(rig).length > 0,
  gauges: (context) => {
    const own = context.evaluation.axes.slice(0, 3).map(axisGauge);
    // Fewer than three: what the hand holds fills the line.
    const [, nose, hold] = heldGauges(context);
    return [...own, hold, nose, none].slice(0, 3) as [WayGauge, WayGauge, WayGauge];
  },
  wants: [],
  aim: () => say`each axis left with less than its friction hides`,
  odds: axesOdds,
  readouts: ({ evaluation }) => evaluation.axes.map(axisReadout),
  after: ({ assembly, evaluation }, _adjuster, values) => {
    const then = axesIn(assembly, valuesInOrder(assembly.rig, values), placedPieces(assembly, values));
    const now = evaluation.axes;
    // Its own axis: the innermost that it moves.
    const own = then.findIndex((axis, i) => now[i] && Math.abs(axis.residual - now[i].residual) > NO_CHANGE);
    if (own < 0) return ['nothing changes on its axes'];
    const by = then[own]!.residual - now[own]!.residual;
    return say`${then[own]!.pivot.name} ${figure('torque', then[own]!.residual, 3)}, ${figure('torque', Math.abs(by), 3)} ${by > 0 ? 'more' : 'less'}`;
  },
  placesHeading: 'Where the camera goes, by loadout',
  plusMinus: () => [],
  readings: axisReadings,
  learned: () => say`What rubs on each axis, and what is left on it, is as these readings say.`,
  firstReading: 'Turn each axis from where it hangs, and type how far it may be turned and still stays.',
  card: ({ evaluation }) => {
    const worst = worstOf(evaluation.axes);
    return worst
      ? [
          {
            figure: [figure('torque', worst.residual, 3)],
            rest: say`left on the ${worst.pivot.name}; its friction hides ${figure('torque', worst.friction, 3)}`,
          },
        ]
      : [];
  },
  buildsCan: 'can be balanced on every axis, as near as its friction hides; the others want more travel.',
  lastStep: {
    title: 'Mount the camera as it will shoot, and balance axis by axis, from the inside out',
    check: 'Turned to any angle, each axis stays where it is left.',
  },
  noPan: 'Its own axis takes up a pan, as far as it rubs: Swing plays one.',
  noSwing: () => 'Only three axes square to each other can be swung here: this rig has others.',
};

const none: WayGauge = { gauge: noGauge('–', ''), title: '', codes: [], wants: [] };

export const worstOf = (all: readonly AxisReading[]): AxisReading | null =>
  all.reduce<AxisReading | null>((a, b) => (a && a.residual - a.friction >= b.residual - b.friction ? a : b), null);

const axisGauge = ({ pivot, residual, friction }: AxisReading): WayGauge => ({
  gauge: {
    name: capital(pivot.name),
    figure: [figure('torque', residual, 3)],
    rest: [residual <= friction ? 'hidden' : 'pulls round'],
    pebble: Math.min(1, residual / (REACH * Math.max(friction, 1e-4))),
    pool: [0, 1 / REACH],
    out: residual > friction,
  },
  title: `What is left on the ${pivot.name}, against its friction`,
  codes: ['axisOffBalance', 'axesMiss'],
  wants: [],
});

const axisReadout = ({ pivot, residual, friction, carriedMass, distance }: AxisReading): Readout => ({
  id: pivot.id,
  name: capital(pivot.name),
  lines: [
    say`${figure('torque', residual, 3)} at worst${residual <= friction ? ', hidden by friction' : ''}.`,
    say`Carries ${figure('mass', carriedMass)}, its mass centre ${figure('length', distance)} off the axis. Friction hides ${figure('torque', friction, 3)}.`,
  ],
});

/** All axes in each build: a mass that is off is off on every axis that carries it. */
const BUILDS = 1024;
const SEED = 29;

function axesOdds({ assembly: { rig }, evaluation }: BalanceContext): Odds {
  const found = evaluation.axes.map((axis) => {
    const beyond = bodiesBeyond(rig, axis.pivot);
    const bodies = evaluation.pieces.filter((p) => beyond.has(p.body)).map((p) => p.flat);
    const sums = sumsOf(bodies);
    const along = unit(axis.pivot.axis ?? [0, 0, 1]);
    const square = (v: Vec3): Vec3 => subtract(v, scale(along, dot(v, along)));
    const centre = massCentre(sums);
    const shifts = shiftsOf(bodies).map((s) => ({
      id: s.id,
      by: square(subtract(massCentre(addSums(sums, s.sums)), centre)),
    }));
    return { axis, shifts, friction: axis.pivot.frictionTorque };
  });
  const ids = [...new Set(found.flatMap((f) => f.shifts.map((s) => s.id)))];
  const place = new Map(ids.map((id, i) => [id, i]));
  const next = normalDraws(SEED);
  let holds = 0;
  for (let n = 0; n < BUILDS; n++) {
    const draw = ids.map(() => next());
    if (
      found.every(({ axis, shifts, friction }) => {
        let [x, y, z] = axis.offset;
        for (const { id, by } of shifts) {
          const d = draw[place.get(id)!]!;
          x += by[0] * d;
          y += by[1] * d;
          z += by[2] * d;
        }
        const hides = (friction?.value ?? 0) + (friction?.spread ?? 0) * next();
        return axis.carriedMass * STANDARD_GRAVITY * Math.hypot(x, y, z) <= Math.max(0, hides) + 1e-12;
      })
    )
      holds++;
  }
  return {
    holds: holds / BUILDS,
    title: say`What is left on its axes is hidden by their friction.`,
    does: 'stay as they are put on every axis',
    mayNot: say`It should stay as it is put on every axis, but may not: try each with the camera on.`,
    hardly: say`By these figures alone it will hardly stay as it is put: set the slides, try each axis, and finish by hand.`,
    besides: [],
  };
}
