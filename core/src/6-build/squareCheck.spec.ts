import { METRIC, render } from '../0-base';
import { buildPlan } from '../testing/builds';
import type { Design } from '../model';

const checks = (family: string, choices: Record<string, string> = {}, angle?: number): readonly string[] => {
  const design: Design = {
    kind: 'family',
    family,
    dimensions: angle === undefined ? {} : { angle: { value: (angle * Math.PI) / 180 } },
    choices,
    edits: [],
  };
  return buildPlan(design)
    .steps.flatMap((s) => s.figures.map((f) => render(f, METRIC)))
    .filter((f) => f.includes('dry first'));
};

describe('what is measured before a glue-up', () => {
  it('two strips glued at an angle: by a bevel set to it', () => {
    expect(checks('self-filming-grip', { make: 'oak-45x18' }, 100)).toContain(
      'dry first: 100° between the shelf and the grip, by a bevel set to it',
    );
  });
  it('pipes that are cemented: a length from end to end each, or both diagonals', () => {
    const found = checks('hand-frame', { pipe: 'pvc/3/4' });
    expect(found.some((f) => /\d mm from the/.test(f))).toBeTrue();
    expect(found.some((f) => f.includes('corner to corner'))).toBeTrue();
  });
  it('nothing where all comes apart again', () => {
    expect(checks('plate-and-pillar')).toEqual([]);
  });
});
