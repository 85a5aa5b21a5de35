/** What each way of joining is like: can it come apart, can it be undone without harm, how long until it may be loaded, with what it is made. */
import type { Fitting, Hold, Joint } from '../../model';

export interface JointFacts {
  readonly packs: boolean;
  readonly reversible: boolean;
  /** s, at room temperature; the label on the tin comes first. */
  readonly dryingTime: number;
  readonly tool: string;
  /** Hands-on minutes for one joint, rough. */
  readonly minutes: number;
  readonly caution: string | null;
}

const HOUR = 3600;
const facts = (
  packs: boolean,
  reversible: boolean,
  dryingTime: number,
  minutes: number,
  tool: string,
  caution: string | null = null,
): JointFacts => ({ packs, reversible, dryingTime, tool, minutes, caution });
const BOLT = facts(true, true, 0, 3, 'spanners, thread lock');

/** Joints that are not pipe fittings. */
const BY_FITTING: Readonly<Partial<Record<Fitting, JointFacts>>> = {
  boltThrough: BOLT,
  flattened: facts(
    true,
    true,
    0,
    12,
    'vise, drill, spanners',
    'Flatten slowly between smooth jaws: a crack at the fold is a break later.',
  ),
  rodInSleeve: facts(true, true, 0, 5, 'spanners'),
  hingePin: facts(true, true, 0, 4, 'hammer, pliers'),
  hoseClamp: facts(true, true, 0, 2, 'screwdriver', 'Cut and cover the strap’s end: it is a blade.'),
  groundClamp: facts(true, true, 0, 2, 'screwdriver'),
  screw: facts(true, true, 0, 2, 'screwdriver'),
  woodScrew: facts(false, true, 0, 4, 'drill, screwdriver', 'Pilot hole first: end grain splits.'),
  glue: facts(false, false, 24 * HOUR, 5, 'wood glue, clamps', 'Gloves and fresh air; follow the label.'),
  epoxy: facts(
    false,
    false,
    24 * HOUR,
    8,
    'epoxy, gloves',
    'Gloves and fresh air: epoxy sensitises skin. Follow the label.',
  ),
  heatSetInsert: facts(
    false,
    false,
    60,
    3,
    'soldering iron',
    'Hot metal and fumes: a stand, fresh air, press with heat and not with force.',
  ),
  solder: facts(
    false,
    false,
    900,
    8,
    'torch, flux, solder',
    'Open flame and flux fumes: clear the bench, ventilate, water at hand.',
  ),
  weld: facts(
    false,
    false,
    HOUR,
    20,
    'welder',
    'Weld only if you are trained, with screen and gloves; local rules come first.',
  ),
};
const BY_HOLD: Readonly<Record<Hold, JointFacts>> = {
  threaded: facts(true, true, 0, 3, 'two pipe wrenches'),
  glued: facts(
    false,
    false,
    2 * HOUR,
    3,
    'primer and cement',
    'Primer and cement: gloves, open window, no flame. Seconds to set: mark the angle before.',
  ),
  soldered: facts(
    false,
    false,
    900,
    8,
    'torch, flux, solder',
    'Open flame and flux fumes: clear the bench, ventilate, water at hand.',
  ),
  pressed: facts(true, true, 0, 1, 'hand, mallet'),
  setScrew: facts(true, true, 0, 4, 'drill, screwdriver'),
  pinned: facts(true, true, 0, 5, 'drill, pin'),
};

/** What the thing that joins usually weighs, kg: to start from where it is counted; a kitchen scale says better. */
const USUAL_MASS: Readonly<Partial<Record<Fitting, number>>> = {
  boltThrough: 0.02,
  flattened: 0.02,
  rodInSleeve: 0.03,
  hingePin: 0.015,
  hoseClamp: 0.015,
  groundClamp: 0.03,
  screw: 0.006,
  woodScrew: 0.004,
  glue: 0.003,
  epoxy: 0.005,
  heatSetInsert: 0.002,
  solder: 0.004,
  weld: 0.003,
};

/** Null for pipe fittings, which are weighed by their own body. */
export const usualJointMass = (fitting: Fitting): number | null => USUAL_MASS[fitting] ?? null;

/** A fitting's hold decides for pipe; else the fitting itself. */
export const jointFacts = (joint: Pick<Joint, 'fitting' | 'hold'>): JointFacts =>
  joint.hold ? BY_HOLD[joint.hold] : (BY_FITTING[joint.fitting] ?? BOLT);
