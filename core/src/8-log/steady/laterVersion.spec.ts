import type { Walk } from '../../model';
import { laterVersion } from './laterVersion';

const shake = (rms: number) => ({ rms, peak: 3 * rms, strongest: 2, bands: [] });
let n = 0;
const walk = (rig: string | null, rms: number, more: Partial<Walk> = {}): Walk => ({
  id: `w${n++}`,
  rig,
  loadout: 'ebb',
  when: '2026-06-14T10:00:00Z',
  path: 'harbour wall',
  by: 'gyro',
  seconds: 30,
  rate: 100,
  pan: shake(rms),
  tilt: shake(rms),
  roll: shake(rms),
  horizon: 0,
  foretold: null,
  view: null,
  notes: '',
  ...more,
});
const three = (rig: string, rms: number, more: Partial<Walk> = {}): readonly Walk[] =>
  [0.95, 1, 1.05].map((f) => walk(rig, rms * f, more));

describe('a later version on the same walk', () => {
  it('is told steadier when three walks of each say so, and not when they are alike', () => {
    const steadier = laterVersion([...three('one', 0.02), ...three('two', 0.012)], 'one', 'two', 'version 1')!;
    expect(steadier.path).toBe('harbour wall');
    expect(steadier.axes.map((a) => a.kind)).toEqual(['less', 'less', 'less']);
    const alike = laterVersion([...three('one', 0.02), ...three('two', 0.0201)], 'one', 'two', 'version 1')!;
    expect(alike.axes.map((a) => a.kind)).toEqual(['not told', 'not told', 'not told']);
    const few = laterVersion([...three('one', 0.02), walk('two', 0.001)], 'one', 'two', 'version 1')!;
    expect(few.axes.map((a) => a.kind)).toEqual(['too few', 'too few', 'too few']);
  });

  it('is held only against the same path, load and instrument; of several the one walked most', () => {
    const one = three('one', 0.02);
    for (const more of [{ path: 'dunes' }, { loadout: 'flood' }, { by: 'clip' as const }])
      expect(laterVersion([...one, ...three('two', 0.01, more)], 'one', 'two', 'version 1')).toBeNull();
    expect(laterVersion(one, 'one', 'two', 'version 1')).toBeNull();
    const both = [
      ...one,
      walk('two', 0.01),
      ...three('one', 0.02, { path: 'dunes' }),
      ...three('two', 0.01, { path: 'dunes' }),
    ];
    expect(laterVersion(both, 'one', 'two', 'version 1')!.path).toBe('dunes');
  });
});
