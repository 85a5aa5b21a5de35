import fc from 'fast-check';
import { goesOnAt, ROOM, setsIn, tooColdFor, type BuildStep } from '..';

const step = (more: Partial<BuildStep>): BuildStep => ({
  id: 'connect:a',
  about: 'a',
  title: ['a'],
  tool: '',
  figures: [],
  check: ['a'],
  caution: null,
  minutes: 5,
  final: true,
  needs: [],
  ...more,
});

describe('glue in a cold shop', () => {
  it('sets as its label says at room warmth, twice as long ten degrees colder, never faster than in half the time', () => {
    expect(setsIn('epoxy', 86400, ROOM)).toEqual({ kind: 'sets', time: 86400 });
    expect(setsIn('epoxy', 86400, ROOM - 10)).toEqual({ kind: 'sets', time: 2 * 86400 });
    expect(setsIn('cement', 7200, ROOM + 40)).toEqual({ kind: 'sets', time: 3600 });
    fc.assert(
      fc.property(
        fc.double({ min: 288.15, max: 320, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (t, more) => {
          const [one, warmer] = [setsIn('contact', 1000, t), setsIn('contact', 1000, t + more)];
          expect(one.kind === 'sets' && warmer.kind === 'sets' && warmer.time <= one.time + 1e-9).toBeTrue();
        },
      ),
      { seed: 26 },
    );
  });

  it('does not set at all where it is too cold, and is told with the warmth that it needs', () => {
    expect(setsIn('wood', 86400, 280)).toEqual({ kind: 'tooCold', least: 283.15 });
    expect(setsIn('wood', 86400, NaN).kind).toBe('tooCold');
    const steps = [step({ dries: 86400, cures: 'wood' }), step({ dries: 900 }), step({})];
    expect(tooColdFor(steps, 280).map((f) => f.step)).toEqual([steps[0]!]);
    expect(tooColdFor(steps, ROOM)).toEqual([]);
  });

  it('leaves what only cools or prints as it is', () => {
    expect(goesOnAt(step({ dries: 900 }), 274)).toBe(900);
    expect(goesOnAt(step({ runs: { machine: 'printer', time: 5000 } }), 274)).toBe(5000);
    expect(goesOnAt(step({}), 274)).toBe(0);
    expect(goesOnAt(step({ dries: 100, cures: 'oil' }), 274)).toBe(200);
  });
});
