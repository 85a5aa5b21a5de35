import { METRIC, render } from '../../0-base';
import { FAMILIES } from '../../2-frame';
import { wants } from '../../testing/rigs';
import { started } from '../../testing/started';
import { judged } from '../derive';
import { firmnessOf, type Firmness } from './firmness';
import { strengthSheet } from './strengthSheet';
import { verdictWith } from './verdictWith';
import { wobbleGauge } from './wobbleGauge';

const says = (firm: Firmness | null, lags = false): string => {
  const { gauge } = wobbleGauge(firm, lags);
  return `${render(gauge.figure, METRIC)} ${render(gauge.rest, METRIC)}`;
};

describe('how firm a rig is, in short', () => {
  for (const { id } of FAMILIES)
    it(`${id}: is what its sheet of strength says, and what is against it denies the verdict`, () => {
      const { work, values } = started(id);
      const { verdict } = judged(work, values, wants);
      const firm = firmnessOf({ assembly: work.assembly, values });
      const outcome = strengthSheet({
        assembly: work.assembly,
        values,
        pose: work.rig.poses[0] ?? null,
        bump: 3,
      });
      if (outcome.kind !== 'told') throw new Error('cannot be told');
      const { sheet } = outcome;
      expect(firm.rings!.frequency).toBeCloseTo(sheet.lowest!.frequency, 6);
      const grave = sheet.words.filter((w) => w.severity === 'stop' || w.severity === 'mend');
      expect(firm.against.map((w) => render(w.title, METRIC))).toEqual(grave.map((w) => render(w.title, METRIC)));
      expect(verdictWith(verdict, null).kind).not.toBe('holds');
      expect(verdictWith(verdict, firm).kind === 'holds').toBe(verdict.kind === 'holds' && grave.length === 0);
      expect(firm.tight.every((t) => sheet.carried.some((c) => c.name === t.name))).toBeTrue();
    });

  it('is told against what a walk shakes', () => {
    const ringing = (frequency: number): Firmness => ({
      rings: { frequency, way: 'nods', gives: 'the neck' },
      walk: 0.001,
      against: [],
      tight: [],
    });
    expect(says(ringing(5))).toBe('5.0 Hz felt');
    expect(wobbleGauge(ringing(5), false).gauge.out).toBeTrue();
    expect(says(ringing(12))).toBe('12 Hz may ring');
    expect(says(ringing(40))).toBe('40 Hz firm');
    expect(wobbleGauge(ringing(15), false).gauge.pebble).toBeCloseTo(wobbleGauge(ringing(15), false).gauge.pool![0], 9);
    expect(says(ringing(40), true)).toBe('40 Hz working…');
    expect(says(null)).toBe('– working…');
    expect(says({ ...ringing(5), rings: null })).toBe('– not known');
  });
});
