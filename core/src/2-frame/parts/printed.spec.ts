import { boxFilled, cornerwise, NUTS, pauseLayer, printedMaterial, tubeFilled, type PrintSettings } from './printed';
import { familyById } from '..';
import { familyInput } from '../family';
import { METRIC, render } from '../../0-base';

const settings: PrintSettings = { plastic: 'petg', wall: 0.0012, skin: 0.001, infill: 0.2 };

describe('a printed part', () => {
  it('is walls and skins and a core filled to the infill', () => {
    const [a, b, c] = [0.1, 0.05, 0.01];
    const core = (a - 0.0024) * (b - 0.0024) * (c - 0.002);
    expect(boxFilled([a, b, c], settings)).toBeCloseTo((a * b * c - core + 0.2 * core) / (a * b * c), 12);
    expect(boxFilled([a, b, c], { ...settings, infill: 1 })).toBe(1);
    expect(boxFilled([0.002, 0.002, 0.002], settings)).toBe(1);
    const tube = { outerRadius: 0.016, innerRadius: 0.005, length: 0.1 };
    const inside = Math.PI * ((0.016 - 0.0012) ** 2 - (0.005 + 0.0012) ** 2) * 0.098;
    const whole = Math.PI * (0.016 ** 2 - 0.005 ** 2) * 0.1;
    expect(tubeFilled(tube, settings)).toBeCloseTo(1 - (inside / whole) * 0.8, 12);
    expect(printedMaterial('plate', 0.4, settings).density).toBeCloseTo(1270 * 0.4, 9);
  });
  it('pauses after the last layer that leaves the pocket open', () => {
    expect(pauseLayer(0.008, 0.0002)).toBe(40);
    expect(pauseLayer(0.0081, 0.0002)).toBe(40);
    expect(pauseLayer(0.0082, 0.0002)).toBe(41);
  });
  it('lies cornerwise on a square bed that is (long + wide) over root two', () =>
    expect(cornerwise(0.2, 0.05)).toBeCloseTo(0.25 / Math.SQRT2, 12));
});

describe('the printed phone frame answers its own questions', () => {
  const family = familyById('printed-phone-frame')!;
  const told = (dimensions: Record<string, number>, choices: Record<string, string> = {}) => {
    const { input } = familyInput(
      family,
      Object.fromEntries(Object.entries(dimensions).map(([id, value]) => [id, { value }])),
      choices,
    );
    return family.advise(input, family.build(input));
  };
  it('which layer to pause after', () => {
    expect(
      render(told({ pocketTop: 0.009, layer: 0.00025 }).find((f) => f.code === 'pauseLayer')!.title, METRIC),
    ).toContain('layer 36');
  });
  it('a nut that does not go in, spins, or has no roof: each with the figure that mends it', () => {
    for (const [dimensions, code] of [
      [{ pocketFlats: 0.0075 }, 'nutDoesNotFit'],
      [{ pocketFlats: 0.0095 }, 'nutSpins'],
      [{ pocketTop: 0.0119 }, 'pocketShallow'],
    ] as const) {
      const finding = told(dimensions).find((f) => f.code === code)!;
      expect(finding).withContext(code).toBeDefined();
      const change = finding.fixes[0]!.changes[0]!;
      if (change.kind !== 'dimension') return fail('a size mends it');
      expect(told({ ...dimensions, [change.id]: change.value }).map((f) => f.code))
        .withContext(code)
        .not.toContain(code);
    }
    expect(NUTS['m5']!.flats).toBe(0.008);
  });
  it('a plate longer than the bed is split, and halves that do not fit either are said so', () => {
    const long = told({ span: 0.36 }, { bed: '220' }).find((f) => f.code === 'doesNotFitBed')!;
    expect(long.fixes.length).toBe(1);
    expect(told({ span: 0.36 }, { bed: '220', split: 'two' }).map((f) => f.code)).not.toContain('doesNotFitBed');
    expect(told({ span: 0.36 }, { bed: '120', split: 'two' }).find((f) => f.code === 'doesNotFitBed')!.fixes).toEqual(
      [],
    );
  });
});
