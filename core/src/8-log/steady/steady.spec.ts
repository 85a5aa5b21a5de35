import fc from 'fast-check';
import { evenDraws, normalDraws, render, METRIC } from '../../0-base';
import { holds } from '../../testing/holds';
import { difference, middleOf } from './difference';
import { evenTurning, type EvenTurning, type TurningRows } from './evenTurning';
import { gyroColumns } from './gyroColumns';
import { cropToHide } from './picture';
import { pictureTurned } from './pictureTurned';
import { BANDS, shakeIn } from './shake';
import { turned } from './turned';
import { walkOfClip, walkOfGyro } from './walkFigures';

const tone =
  (amplitude: number, frequency: number, phase = 0) =>
  (t: number): number =>
    amplitude * Math.sin(2 * Math.PI * frequency * t + phase);
/** Rows of one signal about all axes. */
function rowsOf(rate: number, seconds: number, of: (t: number) => number): TurningRows {
  const times = Float64Array.from({ length: rate * seconds }, (_, i) => i / rate);
  const values = times.map(of);
  return { times, pan: values, tilt: values, roll: values };
}
const only = (rows: TurningRows, keep: (t: number, i: number) => boolean): TurningRows => {
  const at = [...rows.times.keys()].filter((i) => keep(rows.times[i]!, i));
  const of = (list: Float64Array): Float64Array => Float64Array.from(at, (i) => list[i]!);
  return { times: of(rows.times), pan: of(rows.pan), tilt: of(rows.tilt), roll: of(rows.roll) };
};
function even(rows: TurningRows): EvenTurning {
  const found = evenTurning(rows);
  if (!found.ok) throw new Error(render(found.reason, METRIC));
  return found.even;
}

describe('a gyro’s rows on even times', () => {
  it('bridge holes by straight lines and count what is missing', () => {
    const found = even(
      only(
        rowsOf(100, 6, (t) => 3 * t),
        (t) => !(t > 2 && t < 2.5),
      ),
    );
    expect(found.rowsMissing).toBe(49);
    expect(found.longestGap).toBeCloseTo(0.5, 9);
    expect(found.rate).toBeCloseTo(100, 9);
    found.pan.forEach((v, i) => expect(v).toBeCloseTo(3 * (i / 100), 9));
  });
  it('join a clock that begins anew at the usual step', () => {
    const rows = rowsOf(50, 8, tone(0.2, 1));
    const wrapped = { ...rows, times: rows.times.map((t) => (t < 5 ? t + 60 : t - 5)) };
    const found = even(wrapped);
    expect(found.restarts).toBe(1);
    expect(found.outOfOrder).toBe(0);
    found.pan.forEach((v, i) => expect(v).toBeCloseTo(rows.pan[i]!, 9));
  });
  it('put late rows in their place, and keep one of two told of one moment', () => {
    const rows = rowsOf(50, 4, (t) => t);
    const order = [...rows.times.keys()];
    [order[40], order[42]] = [order[42]!, order[40]!];
    order.splice(90, 0, 90);
    const mixed = (list: Float64Array): Float64Array => Float64Array.from(order, (i) => list[i]!);
    const found = even({
      times: mixed(rows.times),
      pan: mixed(rows.pan),
      tilt: mixed(rows.tilt),
      roll: mixed(rows.roll),
    });
    expect(found.outOfOrder).toBeGreaterThan(0);
    expect(found.pan.length).toBe(200);
    found.pan.forEach((v, i) => expect(v).toBeCloseTo(i / 50, 9));
  });
  it('refuse what is no log, in words', () => {
    const told = (rows: TurningRows): string => {
      const found = evenTurning(rows);
      return found.ok ? 'ok' : render(found.reason, METRIC);
    };
    const short = rowsOf(10, 2, () => 0);
    expect(told(short)).toContain('20 rows');
    const still = rowsOf(50, 2, () => 0);
    expect(told({ ...still, times: still.times.map(() => 3) })).toContain('No time passes');
    const holed = rowsOf(50, 2, () => 0);
    holed.tilt[7] = NaN;
    expect(told(holed)).toContain('Row 8');
  });
  it('keep their jitter out: stamps that shake by a tenth of a step leave a tone as it is', () => {
    const draws = evenDraws(5);
    const rows = rowsOf(200, 20, () => 0);
    const times = rows.times.map((t) => t + (draws() - 0.5) * 0.0005);
    const values = times.map(tone(0.3, 2));
    const found = even({ times, pan: values, tilt: values, roll: values });
    const plain = turned(rowsOf(200, 20, tone(0.3, 2)).pan, 200);
    expect(turned(found.pan, found.rate).angleRms / plain.angleRms).toBeCloseTo(1, 3);
  });
});

describe('shake, less what was meant', () => {
  it('is all of a tone of whole hertz, whatever its size', () => {
    holds(
      fc.property(
        fc.integer({ min: 1, max: 9 }),
        fc.double({ min: 1e-4, max: 0.2, noNaN: true }),
        (frequency, size) => {
          const found = shakeIn(
            Float64Array.from({ length: 4000 }, (_, i) => tone(size, frequency)(i / 200)),
            200,
          )!;
          expect(found.rms / (size / Math.SQRT2)).toBeCloseTo(1, 2);
          expect(found.strongest).toBeCloseTo(frequency, 1);
          expect(Math.hypot(...found.bands) / found.rms).toBeCloseTo(1, 2);
          const loudest = found.bands.indexOf(Math.max(...found.bands));
          expect(BANDS[loudest]!.from).toBeLessThanOrEqual(frequency * 1.03);
          expect(BANDS[loudest]!.to).toBeGreaterThanOrEqual(frequency / 1.03);
        },
      ),
      { seed: 23, numRuns: 40 },
    );
  });
  it('keeps as much of half a hertz as the averages leave, and next to nothing of a slow pan', () => {
    const rms = (frequency: number): number =>
      shakeIn(
        Float64Array.from({ length: 8000 }, (_, i) => tone(1, frequency)(i / 100)),
        100,
      )!.rms * Math.SQRT2;
    const kept = (f: number): number => 1 - (Math.sin(Math.PI * f) / (Math.PI * f)) ** 2;
    expect(rms(0.5)).toBeCloseTo(kept(0.5), 1);
    expect(rms(0.1)).toBeLessThan(0.05);
    // Led steadily, it does not shake.
    expect(
      shakeIn(
        Float64Array.from({ length: 3000 }, (_, i) => 0.2 * i),
        100,
      )!.peak,
    ).toBeLessThan(1e-9);
  });
  it('says nothing of a start and a stop', () => {
    expect(shakeIn(new Float64Array(499), 100)).toBeNull();
    const short = walkOfGyro(even(rowsOf(100, 4, tone(1, 2))));
    expect(short.ok).toBeFalse();
  });
  it('of a long log, cut into stretches, is the same as of a short one', () => {
    const of = (seconds: number): readonly number[] =>
      shakeIn(
        Float64Array.from({ length: seconds * 200 }, (_, i) => tone(0.01, 1.6)(i / 200) + tone(0.002, 6.4)(i / 200)),
        200,
      )!.bands;
    const [long, short] = [of(1500), of(100)];
    // Beside the tones stands what leaks from them, by as much as the stretch is short.
    const strong = short.flatMap((b, i) => (b > 0.1 * Math.max(...short) ? [i] : []));
    expect(strong.length).toBe(2);
    for (const i of strong) expect(Math.abs(long[i]! / short[i]! - 1)).toBeLessThan(0.02);
  });
});

describe('a walk', () => {
  /** One walk by a gyro and by a clip of 30 frames a second. */
  const angle = (t: number): number => tone(0.006, 1.8)(t) + tone(0.002, 3.6, 1)(t);
  const rate = (t: number): number => (angle(t + 1e-5) - angle(t - 1e-5)) / 2e-5;
  it('made into a gyro log and into a clip says the same', () => {
    const gyro = walkOfGyro(even(rowsOf(200, 30, (t) => rate(t) + 0.013)));
    const focal = 1400;
    const shifts = Float64Array.from(
      { length: 899 },
      (_, i) => focal * Math.tan(angle((i + 1) / 30) - angle(i / 30) + 0.002),
    );
    const clip = walkOfClip(
      { right: shifts, down: shifts, clockwise: shifts.map((s) => -s / focal) },
      focal,
      Float64Array.from({ length: 900 }, (_, i) => i / 30),
    );
    if (!gyro.ok || !clip.ok) throw new Error('no figures');
    for (const axis of ['pan', 'tilt', 'roll'] as const) {
      expect(clip.figures[axis].rms / gyro.figures[axis].rms).toBeCloseTo(1, 1);
      expect(clip.figures[axis].strongest).toBeCloseTo(gyro.figures[axis].strongest!, 1);
    }
    expect(gyro.figures.pan.rms).toBeCloseTo(Math.hypot(0.006, 0.002) / Math.SQRT2, 3);
  });
  it('on a clip whose frames come unevenly is the same', () => {
    const draws = evenDraws(3);
    const stamps = Float64Array.from({ length: 900 }, (_, i) => (i + 0.6 * draws()) / 30);
    const shifts = Float64Array.from(
      { length: 899 },
      (_, i) => 1000 * Math.tan(angle(stamps[i + 1]!) - angle(stamps[i]!)),
    );
    const [uneven, exact] = [
      walkOfClip({ right: shifts, down: shifts, clockwise: shifts }, 1000, stamps),
      walkOfGyro(even(rowsOf(200, 30, rate))),
    ];
    if (!uneven.ok || !exact.ok) throw new Error('no figures');
    expect(Math.abs(uneven.figures.pan.rms / exact.figures.pan.rms - 1)).toBeLessThan(0.03);
  });
  it('turned by its picture adds up to what it turned by', () => {
    const { panLeft, tiltUp, leftSideUp } = pictureTurned(
      {
        right: new Float64Array(60).fill(2),
        down: new Float64Array(60),
        clockwise: new Float64Array(60).fill(-0.001),
      },
      1000,
      30,
    );
    expect(panLeft.total).toBeCloseTo(60 * Math.atan(0.002), 12);
    expect(panLeft.intentRate).toBeCloseTo(30 * Math.atan(0.002), 10);
    expect(panLeft.peak).toBeLessThan(1e-12);
    expect([tiltUp.total, tiltUp.dominantFrequency]).toEqual([0, null]);
    expect(leftSideUp.total).toBeCloseTo(0.06, 12);
  });
  it('is hidden by a crop that takes in shift and lifted corners', () => {
    const picture = { focalLength: 0.035, sensorWidth: 0.036, sensorHeight: 0.024 };
    const still = { pan: 0, tilt: 0, roll: 0 };
    expect(cropToHide(still, picture)).toEqual({ width: 0, height: 0 });
    expect(cropToHide({ ...still, pan: 0.01 }, picture).width).toBeCloseTo((0.01 * 35) / 36, 5);
    // A corner of a picture of 3 to 2, rolled by a hundredth, stands 0.5 · 3/2 · 0.01 above the edge.
    expect(cropToHide({ ...still, roll: 0.01 }, picture).height).toBeCloseTo(0.0075, 5);
  });
});

describe('a difference between two ways', () => {
  it('is told only when both were walked three times', () => {
    expect(difference([1, 1.1], [0.4, 0.5, 0.45])).toEqual({ kind: 'too few', more: [1, 0] });
    expect(middleOf([])).toBeNull();
    expect(middleOf([2])).toEqual({ middle: 2, within: null, count: 1 });
    expect(middleOf([1, 4])!.middle).toBeCloseTo(2, 12);
  });
  it('is told where it is plain, both ways round, and its range holds the truth', () => {
    const [loud, calm] = [
      [1, 1.1, 0.95],
      [0.41, 0.38, 0.43],
    ];
    const less = difference(loud!, calm!);
    const more = difference(calm!, loud!);
    if (less.kind === 'too few' || more.kind === 'too few') throw new Error('too few');
    expect([less.kind, more.kind]).toEqual(['less', 'more']);
    expect(less.ratio * more.ratio).toBeCloseTo(1, 12);
    expect(less.from * more.to).toBeCloseTo(1, 12);
    expect(less.from).toBeLessThan(0.4);
    expect(less.to).toBeGreaterThan(0.4);
  });
  it('of two alike is told falsely once in twenty, however often they are walked', () => {
    for (const [n, m] of [
      [3, 3],
      [3, 6],
      [8, 5],
    ] as const) {
      const draws = normalDraws(7 + n);
      const walks = (count: number): number[] => Array.from({ length: count }, () => 0.01 * Math.exp(0.2 * draws()));
      const false_ = Array.from({ length: 3000 }, () => difference(walks(n), walks(m)).kind).filter(
        (k) => k !== 'not told',
      ).length;
      // 5 %; the degrees of freedom rounded down make it rather less.
      expect(false_ / 3000).toBeLessThan(0.06);
      expect(false_ / 3000).toBeGreaterThan(0.01);
    }
  });
});

describe('columns of a gyro’s table', () => {
  const steady = (step: number): number[][] => Array.from({ length: 20 }, (_, i) => [i * step, 0.2, -0.1, 0.4]);
  it('are known by the headings that loggers write', () => {
    for (const [headings, time, x, y, z, timeUnit, rateUnit] of [
      [['time', 'gx', 'gy', 'gz'], 0, 1, 2, 3, 's', 'rad/s'],
      [['seconds_elapsed', 'x', 'y', 'z'], 0, 1, 2, 3, 's', 'rad/s'],
      [['Time (s)', 'Gyroscope z (rad/s)', 'Gyroscope y (rad/s)', 'Gyroscope x (rad/s)'], 0, 3, 2, 1, 's', 'rad/s'],
      [['t', 'gyro_x_dps', 'gyro_y_dps', 'gyro_z_dps'], 0, 1, 2, 3, 's', 'deg/s'],
      [['timestamp', 'alpha', 'beta', 'gamma'], 0, 2, 3, 1, 's', 'deg/s'],
    ] as const)
      expect(gyroColumns(headings, steady(0.005)))
        .withContext(headings.join())
        .toEqual(jasmine.objectContaining({ time, x, y, z, timeUnit, rateUnit }));
    const many = ['t_ms', 'acc x', 'acc y', 'acc z', 'gyro x', 'gyro y', 'gyro z', 'mag x'];
    expect(gyroColumns(many, [])).toEqual(jasmine.objectContaining({ time: 0, x: 4, y: 5, z: 6, timeUnit: 'ms' }));
  });
  it('have the unit of time by which rows come as often as a gyro gives them', () => {
    for (const [step, unit] of [
      [0.01, 's'],
      [5, 'ms'],
      [10_000, 'µs'],
      [5e6, 'ns'],
    ] as const)
      expect(gyroColumns(['time', 'x', 'y', 'z'], steady(step)).timeUnit)
        .withContext(unit)
        .toBe(unit);
  });
  it('ask for the unit of rates that nothing tells', () => {
    expect(gyroColumns(['t', 'x', 'y', 'z'], steady(0.01)).isUnitSure).toBeFalse();
    const fast = steady(0.01).map((r) => r.map((v, i) => (i === 0 ? v : v * 200)));
    expect(gyroColumns(['t', 'x', 'y', 'z'], fast)).toEqual(
      jasmine.objectContaining({ rateUnit: 'deg/s', isUnitSure: true }),
    );
  });
});
