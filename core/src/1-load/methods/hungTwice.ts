/** Hung from two points: each plumb line passes through the mass centre, so it lies where they cross. */
import { figure, propagate, say, spreadOfStep, type Vec3 } from '../../0-base';
import { twoHangings } from '../formulas/twoHangings';
import { fromFoot, impossible, insideBox, missing, VIEW_AXES, type Method, type MethodReading } from '../method';

const POINTS = ['aAcross', 'aUp', 'aAcross2', 'aUp2', 'bAcross', 'bUp', 'bAcross2', 'bUp2'] as const;
const place = (id: string, name: string): MethodReading => ({ id, kind: 'length', name: () => name, least: 'any' });

export const hungTwice: Method = {
  id: 'hungTwice',
  name: 'Hung twice',
  finds: 'centre',
  reach: 5,
  minutes: 10,
  needs: 'view',
  choose: 'Two axes at once, for odd shapes; by squared paper or from a photo.',
  how: [
    'Tape squared paper to the side you look at, its corner at the rear and underside.',
    'Hang it by a cord from one point. Mark two places on the plumb line below the cord.',
    'Hang it from a point well round from the first. Mark two places on that line.',
    'Where the two lines cross is the mass centre. Or take a photo and touch the places on it.',
  ],
  readings: [
    place('aAcross', 'First line, upper mark, across'),
    place('aUp', 'First line, upper mark, up'),
    place('aAcross2', 'First line, lower mark, across'),
    place('aUp2', 'First line, lower mark, up'),
    place('bAcross', 'Second line, upper mark, across'),
    place('bUp', 'Second line, upper mark, up'),
    place('bAcross2', 'Second line, lower mark, across'),
    place('bUp2', 'Second line, lower mark, up'),
  ],
  picture: [
    { look: 'cord', path: 'M58 4V14M58 14V86M142 4V18' },
    { look: 'item', path: 'M34 14H90V70H34Z' },
    { look: 'item', path: 'M142 18 180 58 140 96 102 56Z' },
    { look: 'cord', path: 'M142 18V96' },
    { look: 'measure', path: 'M64 24 50 66' },
    { look: 'pebble', path: 'M54 44c-1-3 2-5 5-4 4 0 6 1 5 4 0 2-3 3-6 3-2 0-4-1-4-3z' },
    { look: 'pebble', path: 'M138 56c-1-3 2-5 5-4 4 0 6 1 5 4 0 2-3 3-6 3-2 0-4-1-4-3z' },
  ],
  work: (input) => {
    const { item, view } = input;
    const waiting = missing(hungTwice, input);
    if (waiting) return waiting;
    const reads = POINTS.map((id) => input.read(id)!);
    const [across, up] = VIEW_AXES[view];
    const cross = (v: readonly number[]): readonly number[] => {
      const point = (i: number): Vec3 => [v[i]!, v[i + 1]!, 0];
      const down = (i: number): Vec3 => [v[i + 2]! - v[i]!, v[i + 3]! - v[i + 1]!, 0];
      const found = twoHangings({ point: point(0), down: down(0) }, { point: point(4), down: down(4) });
      return found.ok ? [found.massCentre[0], found.massCentre[1], found.angleBetweenLines] : [NaN, NaN, NaN];
    };
    const length = (i: number): number =>
      Math.hypot(reads[i + 2]!.value - reads[i]!.value, reads[i + 3]!.value - reads[i + 1]!.value);
    if (length(0) < 4 * input.rulerStep || length(4) < 4 * input.rulerStep)
      return impossible(
        length(0) < length(4) ? 'aUp2' : 'bUp2',
        'The two marks on a line are too close together. Mark them as far apart as the item allows.',
      );
    const at = propagate(
      POINTS.map((name, i) => ({
        name,
        value: reads[i]!.value,
        spread: Math.max(reads[i]!.spread, spreadOfStep(input.rulerStep)),
      })),
      [],
      cross,
    );
    const [x, z, angle] = at.values as [number, number, number];
    if (!Number.isFinite(x + z))
      return impossible('bAcross2', 'The two plumb lines are almost parallel. Hang it from a point further round.');
    const sharp = Math.min(Math.abs(angle), Math.PI - Math.abs(angle));
    for (const [axis, value, i] of [
      [across, x, 0],
      [up, z, 1],
    ] as const) {
      const outside = insideBox(item, axis, value, at.spreads[i]!);
      if (outside) return impossible(i === 0 ? 'aAcross' : 'aUp', outside);
    }
    return {
      kind: 'found',
      found: [
        { what: 'centre', axis: across, value: fromFoot(item, across, x), spread: at.spreads[0]! },
        { what: 'centre', axis: up, value: fromFoot(item, up, z), spread: at.spreads[1]! },
      ],
      sum: say`The lines cross at ${figure('angle', sharp)}, ${figure('length', x, 1)} across and ${figure('length', z, 1)} up.`,
      better:
        sharp < Math.PI / 4
          ? say`Hang it from points nearer a right angle apart: the lines cross at ${figure('angle', sharp)}.`
          : say`Marks further apart along each line.`,
    };
  },
};
