/** Walks of one path by the way the camera was carried, and what one way is beside another, in words. */
import { figure, say, type Phrase } from '../../0-base';
import type { Walk } from '../../model';
import { difference, middleOf, type Middle } from './difference';

export const WALK_AXES = ['tilt', 'pan', 'roll'] as const;
export type WalkAxis = (typeof WALK_AXES)[number];
export const AXIS_NAMES: Readonly<Record<WalkAxis, string>> = { tilt: 'Tilt', pan: 'Pan', roll: 'Roll' };

export interface WayWalked {
  readonly key: string;
  /** Null: the bare camera. */
  readonly rig: string | null;
  readonly loadout: string | null;
  readonly walks: readonly Walk[];
  readonly shake: Readonly<Record<WalkAxis, Middle>>;
}

/** The ways in which a path was walked; the bare camera first, then as they were first walked. Gyro and clip do not read alike enough to be one way. */
export function waysWalked(path: string, walks: readonly Walk[]): readonly WayWalked[] {
  const ways = new Map<string, Walk[]>();
  for (const walk of [...walks].filter((w) => w.path === path).sort((a, b) => a.when.localeCompare(b.when))) {
    const key = `${walk.rig ?? 'bare'}/${walk.loadout ?? 'none'}/${walk.by}`;
    ways.set(key, [...(ways.get(key) ?? []), walk]);
  }
  return [...ways]
    .map(([key, of]) => ({
      key,
      rig: of[0]!.rig,
      loadout: of[0]!.loadout,
      walks: of,
      shake: {
        tilt: middleOf(of.map((w) => w.tilt.rms))!,
        pan: middleOf(of.map((w) => w.pan.rms))!,
        roll: middleOf(of.map((w) => w.roll.rms))!,
      },
    }))
    .sort((a, b) => Number(a.rig !== null) - Number(b.rig !== null));
}

export interface Beside {
  readonly axis: WalkAxis;
  readonly kind: 'less' | 'more' | 'not told' | 'too few';
  readonly words: Phrase;
}

/** The second way beside the first, axis by axis. */
export function besideWalked(first: WayWalked, second: WayWalked, nameOfFirst: string): readonly Beside[] {
  return WALK_AXES.map((axis) => {
    const of = (way: WayWalked): readonly number[] => way.walks.map((w) => w[axis].rms);
    const told = difference(of(first), of(second));
    if (told.kind === 'too few') {
      const [a, b] = told.more;
      return { axis, kind: told.kind, words: say`Three walks of each tell chance from cause: ${lacking(a, b)}.` };
    }
    const range = say`${figure('ratio', told.from, 2)} to ${figure('ratio', told.to, 2)}`;
    const words: Phrase =
      told.kind === 'not told'
        ? [...say`no difference from ${nameOfFirst} can be told: it may shake `, ...range, ' as much.']
        : [...say`shakes ${figure('ratio', told.ratio, 2)} as much as ${nameOfFirst}, surely `, ...range, '.'];
    return { axis, kind: told.kind, words };
  });
}

const lacking = (first: number, second: number): string =>
  [...(second > 0 ? [`${second} more of this`] : []), ...(first > 0 ? [`${first} more of that`] : [])].join(' and ');

/** Steps of a walk come so often, Hz (Pachi and Ji 2005: 1.8 ± 0.2); a sway comes with each second one. */
const STEPS = { from: 1.4, to: 2.4 };
/** A flick and a reckoning name the same ringing when they are this near. */
const SAME_RINGING = 0.15;

/** What a tone most likely comes from; null where nothing known shakes at it. `rings` is the rig’s own ringing, Hz. */
export function namedTone(frequency: number, rings: number | null): string | null {
  if (rings !== null && Math.abs(frequency / rings - 1) < SAME_RINGING) return 'the rig’s own ringing';
  const isIn = (f: number): boolean => f >= STEPS.from && f <= STEPS.to;
  if (isIn(frequency)) return 'your steps';
  if (isIn(2 * frequency)) return 'your sway from foot to foot';
  if (isIn(frequency / 2)) return 'the second harmonic of your steps';
  return null;
}
