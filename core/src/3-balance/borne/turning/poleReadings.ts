/** What can be read of a pole: its droop at rest and spun, and what its mount lets go at. */
import { bodiesBeyond } from '../../../2-frame';
import type { Rig } from '../../../model';
import type { BalanceContext } from '../../balanceCheck';
import { spreadOf } from '../../spread/spread';
import { within } from '../expected';
import { ON_THE_SCALE } from '../held/handReadings';
import { poleHinge } from '../support';
import type { Expected, ReadingKind } from '../way';
import type { TwoWays } from '../words';
import { spinningPole } from './spinningPole';

export const ENDS: TwoWays = ['camera end down', 'weight end down'];
/** One turn a second, rad/s. */
const SPUN_AT = 2 * Math.PI;
/** A pull by hand differs from the next by this part. */
const AGAIN = 0.1;

export function poleReadings(rig: Rig): readonly ReadingKind[] {
  const found = poleHinge(rig);
  if (!found) return [ON_THE_SCALE];
  const { hinge, swivel } = found;
  const droop = { quantity: 'angle' as const, range: [-1.5, 1.5] as const, about: hinge.id, words: ENDS };
  return [
    {
      ...droop,
      kind: 'droop',
      name: 'Camera end down, at rest',
      help: 'By a level or a phone laid on; weight end down is negative. Not on its stop.',
      expects: (context) => droopAt(context, 0),
    },
    {
      ...droop,
      kind: 'spinDroop',
      name: 'Camera end down, at one turn a second',
      help: 'From a film of it, by the horizon; weight end down is negative.',
      expects: (context) => droopAt(context, SPUN_AT),
    },
    {
      kind: 'breaksAway',
      name: 'Pulled sideways, it lets go at',
      help: 'By a luggage scale at the mount, three times; the least.',
      quantity: 'force',
      range: [1, 400],
      about: swivel.id,
      expects: ({ assembly }) => {
        const force = assembly.rig.pivots.find((p) => p.id === swivel.id)?.breaksAwayAt;
        return force === undefined ? null : within(force, 2 * AGAIN * force);
      },
    },
    ON_THE_SCALE,
  ];
}

/** With the mass centre as far along the pole, either way, as it may be off. */
function droopAt({ assembly: { rig }, evaluation }: BalanceContext, rate: number): Expected | null {
  const reading = evaluation.pole;
  if (!reading) return null;
  const beyond = bodiesBeyond(rig, reading.hinge);
  const { massCentre } = spreadOf(
    evaluation.pieces.filter((p) => beyond.has(p.body)).map((p) => p.flat),
    reading.sums,
    reading.hingeAt,
  );
  const [x, y, z] = reading.pole.fromHinge;
  const all = [0, 2, -2].map(
    (by) => spinningPole({ ...reading.pole, fromHinge: [x + by * massCentre[0], y, z] }, rate).droop,
  );
  const [value, ...ends] = all;
  if (value === null || value === undefined || ends.some((e) => e === null)) return null;
  return { value, least: Math.min(value, ...(ends as number[])), most: Math.max(value, ...(ends as number[])) };
}
