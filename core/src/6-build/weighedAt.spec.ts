import { assemble, FAMILIES, USUAL_HANDS } from '../2-frame';
import { buildSteps, inStatedOrder, weighedAt } from '.';

describe('what comes onto the scale', () => {
  it('is each piece once, after all that is done to it and before it is put to anything', () => {
    let found = 0;
    for (const family of FAMILIES) {
      const rig = family.build(family.size(null, USUAL_HANDS));
      const ordered = buildSteps(rig, {}, inStatedOrder(assemble(rig, null), {}));
      if (ordered.kind !== 'ordered') throw new Error(family.id);
      const at = weighedAt(ordered.steps);
      expect(new Set(at.values()).size).toBe(at.size);
      for (const [step, piece] of at) {
        found++;
        const n = ordered.steps.findIndex((s) => s.id === step);
        ordered.steps.forEach((s, i) => {
          if (!s.handles?.includes(piece)) return;
          expect(s.joins ? i > n : i <= n)
            .withContext(`${family.id} ${piece} ${s.id}`)
            .toBeTrue();
        });
      }
      // What is left long until it hangs is not finished before.
      for (const m of rig.bodies.flatMap((b) => b.members))
        if (m.leftLong > 0) expect([...at.values()]).not.toContain(m.id);
    }
    expect(found).toBeGreaterThan(50);
  });
});
