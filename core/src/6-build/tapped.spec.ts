import { METRIC, render } from '../0-base';
import { assemble, FAMILIES, USUAL_HANDS } from '../2-frame';
import { buildSteps, inStatedOrder } from '.';
import { holeSheets } from '../5-stock';

describe('tapped holes', () => {
  it('are said to be tapped where they are marked and where they are drilled, unless their piece is bought so', () => {
    let [tapped, sold] = [0, 0];
    for (const family of FAMILIES) {
      const rig = family.build(family.size(null, USUAL_HANDS));
      const ends = rig.bodies
        .flatMap((b) => b.connections ?? [])
        .flatMap((c) =>
          c.kind === 'bolted' && c.end.kind === 'tapped' ? [{ id: c.id, thread: c.thread, end: c.end }] : [],
        );
      const ordered = buildSteps(rig, {}, inStatedOrder(assemble(rig, null), {}));
      const steps = ordered.kind === 'ordered' ? ordered.steps : [];
      for (const { id, thread, end } of ends) {
        const mark = holeSheets(rig)
          .find((s) => s.piece === end.piece)
          ?.marks.find((m) => m.connection === id);
        if (end.sold) {
          sold++;
          expect(mark).withContext(`${family.id} ${id}`).toBeUndefined();
          continue;
        }
        if (!mark) continue;
        tapped++;
        expect([mark.thread, mark.deep]).withContext(`${family.id} ${id}`).toEqual([thread, end.depth]);
        const step = steps.find((s) => s.makes?.includes(mark.id))!;
        expect(render(step.title, METRIC)).toContain(`tap it ${thread}`);
        expect(step.tool).toContain(`${thread} tap`);
      }
    }
    expect(tapped).toBeGreaterThan(8);
    expect(sold).toBeGreaterThan(3);
  });
});
