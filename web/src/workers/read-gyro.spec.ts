import { render } from '@tide-pebble/core/words';
import { METRIC } from '@tide-pebble/core';
import { gyroTable, readGyro, type GyroRead } from './read-gyro';

const rows = (count: number, row: (t: number, i: number) => string): string =>
  Array.from({ length: count }, (_, i) => row(i / 100, i)).join('\n');
const shaken = (t: number, size = 0.1): string => (size * Math.cos(2 * Math.PI * 2 * t)).toFixed(6);

function read(text: string): GyroRead {
  const found = gyroTable(text);
  if (!found.ok) throw new Error(render(found.reason, METRIC));
  return readGyro(found.table, null);
}
const reason = (text: string): string => {
  const found = gyroTable(text);
  return found.ok ? 'none' : render(found.reason, METRIC);
};

describe('a gyro’s table', () => {
  it('is read with its holes left out, its columns and units guessed', () => {
    const found = read(
      `t,gyro_x,gyro_y,gyro_z\n${rows(1200, (t, i) => (i === 500 ? `${t},,1,1` : `${t},${shaken(t)},0,0`))}\n`,
    );
    expect([found.unread, found.isTooMuch]).toEqual([1, false]);
    if (!found.outcome.ok) return fail();
    expect(found.outcome.told.rowsMissing).toBe(1);
    // Upright it tilts about x: 0.1 rad/s at 2 Hz.
    expect(found.outcome.figures.tilt.rms).toBeCloseTo(0.1 / (4 * Math.PI) / Math.SQRT2, 4);
    expect(found.outcome.figures.pan.rms).toBeLessThan(1e-6);
  });
  it('read by other columns, as it lay, or in degrees, says so much else', () => {
    const found = gyroTable(`t;a;b;c\n${rows(1200, (t) => `${t};${shaken(t)};0;0`).replaceAll('.', ',')}`);
    if (!found.ok) return fail();
    const blind = readGyro(found.table, null);
    expect(blind.outcome.ok).toBeFalse();
    const columns = { ...blind.chosen.columns, x: 1, y: 2, z: 3, rateUnit: 'deg/s' as const };
    const said = readGyro(found.table, { columns, laid: 'long side' });
    if (!said.outcome.ok) return fail();
    expect(said.outcome.figures.pan.rms).toBeCloseTo(((0.1 / (4 * Math.PI) / Math.SQRT2) * Math.PI) / 180, 6);
    expect(said.outcome.figures.tilt.rms).toBeLessThan(1e-6);
  });
  it('of a hundred thousand rows, in several parts, loses none', () => {
    const found = gyroTable(
      `time,x,y,z\n${rows(100_000, (t) => `${t.toFixed(4)},${shaken(t)},0.00000001,0.00000001`)}`,
    );
    if (!found.ok) return fail();
    expect(found.table.columns.map((c) => c.length)).toEqual([100_000, 100_000, 100_000, 100_000]);
    expect(found.table.columns[0]!.at(-1)).toBeCloseTo(999.99, 6);
    expect(found.table.columns.every((c) => c.every((v) => !Number.isNaN(v)))).toBeTrue();
  });
  it('that is none is refused in words, and degrees called radians are seen', () => {
    for (const text of ['', 't,x\n1,2', 'only a line', '\u0000\u0001'])
      expect(reason(text)).withContext(text).toContain('This is no gyro’s log');
    const fast = read(`t,gyro_x_rad,gyro_y_rad,gyro_z_rad\n${rows(1200, (t) => `${t},${shaken(t, 40)},0,0`)}`);
    expect(fast.isTooMuch).toBeTrue();
  });
});
