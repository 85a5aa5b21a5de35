import fc from 'fast-check';
import { METRIC, render } from '../0-base';
import { assemble, FAMILIES, USUAL_HANDS } from '../2-frame';
import { asMadeOf, buildOrder, buildSteps, isOf, turnsIn, valueAsTyped } from '.';
import { across, angleOver } from './measuresIn';

describe('a corner measured when it has set', () => {
  it('is an angle over both legs, and back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        (a, b, angle) => expect(angleOver([a, b], across([a, b], angle))).toBeCloseTo(angle, 6),
      ),
      { seed: 28 },
    );
    expect(across([3, 4], Math.PI / 2)).toBeCloseTo(5, 12);
    expect(angleOver([1, 1], 5)).toBe(Math.PI);
  });

  it('is drawn as its step tells it dry, in every family, and kept as the angle that it makes', () => {
    let looked = 0;
    for (const family of FAMILIES) {
      const rig = family.build(family.size(null, USUAL_HANDS));
      const ordered = buildSteps(rig, {}, buildOrder(assemble(rig, null), {}));
      if (ordered.kind !== 'ordered') throw new Error(family.id);
      for (const step of ordered.steps)
        for (const measure of turnsIn(step, rig)) {
          looked++;
          const told = step.figures.map((f) => render(f, METRIC)).join('; ');
          const drawn =
            measure.of.kind === 'turn' && measure.of.legs
              ? `${Math.round(measure.drawn * 1e4) / 10} mm`
              : `${Math.round((measure.drawn * 180) / Math.PI)}°`;
          expect(told).withContext(`${family.id} ${step.id}`).toContain(drawn);
          expect(measure.range[0]).toBeLessThan(measure.drawn);
          expect(measure.range[1]).toBeGreaterThan(measure.drawn);
          const made = asMadeOf(measure, measure.drawn);
          expect(isOf(made, measure)).toBeTrue();
          expect(valueAsTyped(made, measure)).toBeCloseTo(measure.drawn, 9);
        }
    }
    expect(looked).toBeGreaterThan(10);
  });
});
