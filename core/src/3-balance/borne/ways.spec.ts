import * as fc from 'fast-check';
import { METRIC, render, type Phrase } from '../../0-base';
import { FAMILIES } from '../../2-frame';
import { setupCard } from '../../7-field';
import { judged, workpiece } from '../../9-design/derive';
import { startRig } from '../../9-design/startRig';
import { holds, seedOf } from '../../testing/holds';
import { kit, loadout, wants } from '../../testing/rigs';
import { adjusterSteps } from '../adjusters/adjusterSteps';
import { readoutsOf } from '../readoutsOf';
import { leadingWay, readingsOf, wantsOf, waysOf } from './ways';

/** Words that cannot apply to a rig that is borne another way; of the drop and the lean of what hangs, of the wrist, of axes, of a pole. */
const FOREIGN: Readonly<Record<string, readonly RegExp[]>> = {
  hung: [/in the wrist/, /mass centre .* the hand\b/, /end down/, /its friction hides/],
  held: [
    /drop\b/,
    /let go lying level/,
    /hangs level/,
    /rights itself/,
    /end down/,
    /its friction hides/,
    /turns over/,
  ],
  worn: [/drop\b/, /hangs level/, /rights itself/, /end down/, /its friction hides/, /ahead of the hand\b/],
  axes: [/drop\b/, /hangs level/, /rights itself/, /end down/, /tips in the wrist/, /ahead of the hand\b/],
  pole: [/drop\b/, /hangs level/, /rights itself/, /its friction hides/, /tips in the wrist/, /ahead of the hand\b/],
};

const rigs = FAMILIES.flatMap((family) =>
  [loadout, null].flatMap((load) => {
    const { design, values } = startRig(family, load, kit, wants);
    const made = workpiece({ design }, load, kit);
    if (!made.ok) throw new Error(made.reason);
    const freed = workpiece({ design: { kind: 'free', rig: made.work.rig } }, load, kit);
    if (!freed.ok) throw new Error(freed.reason);
    return [made.work, freed.work].map((work, i) => ({
      name: `${family.id}${load ? '' : ', bare'}${i ? ', freed' : ''}`,
      work,
      values,
    }));
  }),
);

/** Every sentence that a screen may show of a rig as it is set, apart from findings of the frame and the load. */
function sentences(n: number, part: number): { name: string; led: string; said: readonly string[] } {
  const { name, work, values } = rigs[n]!;
  const set = Object.fromEntries(
    work.rig.adjusters.map((a) => {
      const value = (values[a.id] ?? a.value) + part * (a.range[1] - a.range[0]);
      return [a.id, Math.min(a.range[1], Math.max(a.range[0], a.kind === 'count' ? Math.round(value) : value))];
    }),
  );
  const found = judged(work, set, wants);
  const { context, evaluation } = found;
  const ways = waysOf(evaluation);
  const [way] = ways;
  const phrases: readonly Phrase[] = [
    ...(way?.gauges(context) ?? []).flatMap((g) => [
      [g.gauge.name],
      [...g.gauge.figure, ' ', ...g.gauge.rest],
      [g.title],
      ...(g.notes ?? []).map((x) => x.words),
    ]),
    ...(way
      ? [way.aim(wants), [way.firstReading], [way.placesHeading], ...way.plusMinus(context).map((x) => x.words)]
      : []),
    ...readoutsOf(context).flatMap((r) => r.lines),
    ...adjusterSteps(context).map((s) => s.says),
    ...setupCard(context, '').expect.map((l) => [...l.figure, ' ', ...l.rest]),
    found.verdict.title,
    found.verdict.why,
    ...found.findings
      .filter((f) => f.stage === 'balance')
      .flatMap((f) => [f.title, f.why, f.toDo, ...f.fixes.map((x) => x.label)]),
  ];
  return { name, led: way?.id ?? 'none', said: phrases.map((p) => render(p, METRIC)) };
}

describe('the ways a rig is borne', () => {
  it('answer for every family, with a load and bare, freed too', () => {
    for (const { name, work, values } of rigs) {
      const { context, evaluation } = judged(work, values, wants);
      const way = leadingWay(evaluation);
      expect(way).withContext(name).not.toBeNull();
      expect(way!.gauges(context).length).withContext(name).toBe(3);
      expect(readingsOf(work.rig, evaluation).length).withContext(name).toBeGreaterThan(0);
      const ids = wantsOf(evaluation).map((w) => w.id);
      expect(new Set(ids).size).withContext(name).toBe(ids.length);
      // What is wanted is kept as it is typed.
      for (const want of wantsOf(evaluation)) {
        const value = want.range[0] + 0.25 * (want.range[1] - want.range[0]);
        expect(want.of(want.with(wants, value)))
          .withContext(`${name}: ${want.id}`)
          .toBe(value);
        if (want.optional) expect(want.of(want.with(want.with(wants, value), null))).toBeNull();
      }
    }
  });
  it('say no sentence of another way, however the rig is set', () => {
    rigs.forEach(({ name: rig }, n) =>
      holds(
        fc.property(fc.double({ min: -0.6, max: 0.6, noNaN: true }), (part) => {
          const { name, led, said } = sentences(n, part);
          for (const sentence of said) {
            for (const foreign of FOREIGN[led] ?? [])
              expect(sentence).withContext(`${name}, which is ${led}`).not.toMatch(foreign);
            expect(sentence)
              .withContext(name)
              .not.toMatch(/NaN|undefined|Infinity|not known ±| {2}|\.\.$/);
          }
        }),
        { seed: seedOf(rig), numRuns: 5 },
      ),
    );
  });
  it('tell a verdict by its odds for every one of them, where the load is on and nothing speaks against it', () => {
    for (const { name, work, values } of rigs) {
      const { context, evaluation, verdict } = judged(work, values, wants);
      const way = leadingWay(evaluation)!;
      const { holds: share } = way.odds(context);
      if (share !== null) {
        expect(share).withContext(name).toBeGreaterThanOrEqual(0);
        expect(share).withContext(name).toBeLessThanOrEqual(1);
      }
      if (verdict.kind === 'holds') {
        expect(verdict.odds).withContext(name).toBeGreaterThanOrEqual(0.95);
        expect(evaluation.loadMass).withContext(name).toBeGreaterThan(0);
      }
    }
  });
});
