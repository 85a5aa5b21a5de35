import * as fc from 'fast-check';
import { drillName } from './drill';
import { holds } from '../../testing/holds';
import {
  decimalsApart,
  figure,
  fromTo,
  INCH,
  METRIC,
  OUNCE,
  parseAngle,
  parseLength,
  parseMass,
  parseTime,
  POUND,
  render,
  say,
  showLength,
  showMass,
  showTime,
  toldApart,
} from '..';

const lengthOf = (text: string, system: 'mm' | 'inch' = 'mm'): number => {
  const read = parseLength(text, system);
  return read.ok ? read.value : NaN;
};

describe('units', () => {
  it('reads lengths as makers write them', () => {
    const quarters = 4.75 * INCH;
    for (const text of ['4 3/4', '4-3/4"', '4 3/4 in', '4¾"', '4 3/4 inches'])
      expect(lengthOf(text)).withContext(text).toBeCloseTo(quarters, 12);
    expect(lengthOf(`1' 2 1/2"`)).toBeCloseTo(14.5 * INCH, 12);
    expect(lengthOf('1′ 2½″')).toBeCloseTo(14.5 * INCH, 12);
    expect(lengthOf('120 mm')).toBeCloseTo(0.12, 12);
    expect(lengthOf('12,5 cm')).toBeCloseTo(0.125, 12);
    expect(lengthOf('1.2m')).toBeCloseTo(1.2, 12);
    expect([lengthOf('142 mm'), lengthOf('14.2 cm')]).toEqual([0.142, 0.142]);
    expect(lengthOf('-3')).toBeCloseTo(-0.003, 12);
    expect(lengthOf('5', 'inch')).toBeCloseTo(5 * INCH, 12);
  });

  it('gives a reason for what it cannot read', () => {
    for (const text of ['', 'a lot', '4 kg', '3/0', '1,200', '12 mm 3 m', '4 3', '--3', 'NaN', 'Infinity', '1e5']) {
      const read = parseLength(text);
      expect(read.ok).withContext(text).toBeFalse();
      if (!read.ok) expect(read.reason.length).withContext(text).toBeGreaterThan(10);
    }
  });

  it('reads masses, angles and times', () => {
    const mass = (text: string, system: 'mm' | 'inch' = 'mm'): number => {
      const read = parseMass(text, system);
      return read.ok ? read.value : NaN;
    };
    expect(mass('1 lb 6 oz')).toBeCloseTo(POUND + 6 * OUNCE, 12);
    expect(mass('22 1/2 oz')).toBeCloseTo(22.5 * OUNCE, 12);
    expect(mass('620 g')).toBeCloseTo(0.62, 12);
    expect(mass('1.2 kg')).toBeCloseTo(1.2, 12);
    expect(mass('8', 'inch')).toBeCloseTo(8 * OUNCE, 12);
    expect(parseAngle('12.5°')).toEqual(jasmine.objectContaining({ ok: true, value: (12.5 * Math.PI) / 180 }));
    expect(parseTime('2.1 s')).toEqual(jasmine.objectContaining({ ok: true, value: 2.1 }));
    expect(parseTime('2 min')).toEqual(jasmine.objectContaining({ ok: true, value: 120 }));
  });

  it('rounds fractions to the one chosen and says by how much', () => {
    expect(showLength(4.75 * INCH, 'inch', 16)).toEqual({ text: '4 3/4 in', roundedBy: 0 });
    const shown = showLength(0.1, 'inch', 32);
    expect(shown.text).toBe('3 15/16 in');
    expect(shown.roundedBy).toBeCloseTo(3.9375 * INCH - 0.1, 9);
    expect(showLength(-0.0127, 'inch', 64).text).toBe('-1/2 in');
    expect(showLength(1e-6, 'inch', 16).text).toBe('0 in');
    expect(render(say`make it ${figure('length', 0.1)}`, { system: 'inch', fraction: 32 })).toBe('make it ~3 15/16 in');
  });

  it('loses nothing between typing and showing', () => {
    holds(
      fc.property(
        fc.integer({ min: -200_000, max: 200_000 }),
        (tenths) => Math.abs(lengthOf(showLength(tenths / 1e4, 'mm').text) - tenths / 1e4) < 1e-12,
      ),
      { seed: 7 },
    );
    holds(
      fc.property(
        fc.integer({ min: 0, max: 4000 }),
        fc.constantFrom(16 as const, 32 as const, 64 as const),
        (n, f) => Math.abs(lengthOf(showLength((n * INCH) / f, 'inch', f).text) - (n * INCH) / f) < 1e-12,
      ),
      { seed: 8 },
    );
    holds(
      fc.property(fc.integer({ min: 1, max: 99_999 }), (g) => {
        const read = parseMass(showMass(g / 1000, 'mm').replace(',', ''), 'mm');
        return read.ok && Math.abs(read.value - g / 1000) < 1e-12;
      }),
      { seed: 9 },
    );
  });

  it('never shows a figure that is not one', () => {
    expect(render(say`${figure('mass', NaN)}`, { system: 'mm', fraction: 32 })).toBe('not known');
  });
});

describe('figures that separate', () => {
  const inch = { system: 'inch' as const, fraction: 32 as const };
  it('gives a figure the digits that tell it from its limit, and no more', () => {
    expect(decimalsApart('time', 1.79, 1.8)).toBe(2);
    expect(decimalsApart('time', 1.7, 1.8)).toBeUndefined();
    expect(decimalsApart('time', 1.8, 1.8)).toBeUndefined();
    const told = toldApart(
      say`It takes ${figure('time', 1.796)}; you want ${figure('time', 1.8)} to ${figure('time', 2.4)}.`,
      'time',
      1.796,
      1.8,
    );
    expect(render(told, METRIC)).toBe('It takes 1.796 s; you want 1.800 s to 2.4 s.');
    holds(
      fc.property(fc.integer({ min: 1, max: 400 }), fc.integer({ min: 2, max: 40 }), (a, parts) => {
        const [x, y] = [a / 100, a / 100 + 1 / 10 ** (parts / 10)];
        const decimals = decimalsApart('time', x, y);
        return y - x < 1e-4 || showTime(x, decimals) !== showTime(y, decimals);
      }),
      { seed: 20 },
    );
  });
  it('names drills by the sizes sold', () => {
    expect(render(say`${figure('drill', 0.00635)}`, METRIC)).toBe('6.35 mm');
    expect(render(say`${figure('drill', 0.00635)}`, inch)).toBe('1/4 in');
    expect(render(say`${figure('drill', 0.002)}`, inch)).toBe('5/64 in');
    expect(render(say`${figure('drill', 0.0066)}`, inch)).toBe('letter G (0.261 in)');
    expect(render(say`${figure('drill', 0.0051)}`, inch)).toBe('no. 7 (0.201 in)');
    expect(render(say`${figure('drill', 0.0052)}`, inch)).toBe('13/64 in');
    expect(render(say`${figure('drill', 0.0118)}`, inch)).toBe('11.8 mm');
    expect(['mm', 'inch'].map((s) => drillName(0.0066, s as 'mm'))).toEqual(['6.6 mm', 'letter G']);
    expect(render(say`${figure('drill', 0.005)}`, METRIC)).toBe('5 mm');
  });
  it('no drill sold is another, and each hole that one fits is named by it', () => {
    holds(
      fc.property(fc.double({ min: 0.0011, max: 0.013, noNaN: true }), (d) => {
        const text = render(say`${figure('drill', d)}`, inch);
        const told = /\((0\.\d+) in\)/.exec(text);
        return told === null || Math.abs(Number(told[1]) * 0.0254 - d) <= 0.00005 + 0.0254 * 0.0005 + 1e-12;
      }),
      { seed: 21 },
    );
  });
  it('says what prices are in where that is said', () => {
    expect(render(say`${figure('money', 43.7)}`, METRIC)).toBe('43.70');
    expect(render(say`${figure('money', 43.7)}`, { ...METRIC, currency: 'kr' })).toBe('43.70 kr');
  });
  it('never tells a small length as none', () => {
    expect(
      ['time', 'time', 'time'].map((kind, i) =>
        render(fromTo(kind as 'time', [1.8, 92, 1500][i]!, [2.4, 360, 14_400][i]!, i === 0 ? 1 : 0), inch),
      ),
    ).toEqual(['1.8 s to 2.4 s', '1.5 min to 6 min', '0.4 h to 4 h']);
    expect(render(say`${figure('length', 0)}`, inch)).toBe('0 in');
    expect(render(say`${figure('length', 0.00001)}`, inch)).toBe('<1 thou');
    expect(render(say`${figure('length', 1e-7)}`, inch)).toBe('<1 thou');
    expect(render(say`${figure('length', 0.0005)}`, inch)).toBe('20 thou');
  });
});
