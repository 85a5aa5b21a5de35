import fc from 'fast-check';
import { DEGREE } from '../../0-base';
import { familyById } from '../../2-frame';
import { NOTHING_SEEN, readingsOf, seenOf, strengthFrom, withSeen, type BalanceContext } from '../../3-balance';
import type { KitItem, LogEntry } from '../../model';
import { holds } from '../../testing/holds';
import { kit, lens, loadout, wants } from '../../testing/rigs';
import { judged, workpiece } from '../derive';
import { startRig } from '../startRig';
import { learnFrom, type LearnInput } from './learnFrom';

type Values = Readonly<Record<string, number>>;

/** A started rig that bears itself otherwise than by hanging, as its model has it and as it really is with one item off. */
function rigOf(family: string) {
  const start = startRig(familyById(family)!, loadout, kit, wants);
  const rig = { design: start.design, wants: { ...wants, massAtMost: 9, calmAtLeast: 0 } };
  const contextWith = (items: ReadonlyMap<string, KitItem>, set: Values): BalanceContext => {
    const made = workpiece(rig, loadout, items);
    if (!made.ok) throw new Error(made.reason);
    return judged(made.work, set, rig.wants).context;
  };
  const values: Values = start.values;
  return { family, rig, values, contextWith };
}
type Of = ReturnType<typeof rigOf>;
const withItem = (item: KitItem): ReadonlyMap<string, KitItem> => new Map([...kit, [item.id, item]]);
/** Known from a list only, so that it may be off. */
const fromAList: KitItem = { ...lens, mass: { ...lens.mass!, spread: 0.1 * lens.mass!.value } };
const listed = withItem(fromAList);

/** What a maker reads of the real rig, of these kinds, exactly. */
function readAt(
  of: Of,
  real: ReadonlyMap<string, KitItem>,
  set: Values,
  kinds: readonly string[],
): Pick<LogEntry, 'values' | 'seen'> {
  const context = of.contextWith(real, set);
  const seen = readingsOf(context.assembly.rig, context.evaluation)
    .filter((r) => kinds.includes(r.kind))
    .reduce((s, r) => withSeen(s, r, r.expects(context)?.value ?? null), NOTHING_SEEN);
  return { values: set, seen };
}

const learnt = (of: Of, entries: LearnInput['entries']): ReturnType<typeof learnFrom> =>
  learnFrom({ rig: of.rig, loadout, kit, bin: [], values: of.values, entries });

/** How far from what is wanted of it: the mass centre off the hand, or along the pole, m; what is left on the worst axis, N m. */
function off(of: Of, real: ReadonlyMap<string, KitItem>, set: Values): number {
  const { evaluation } = of.contextWith(real, set);
  if (evaluation.axes.length > 0) return Math.max(...evaluation.axes.map((a) => a.residual));
  const [x, , z] = evaluation.fromSupport!;
  // A pole is to droop a little: where its mass centre should then lie.
  return Math.abs(evaluation.pole ? x + z * Math.tan(4 * DEGREE) : x);
}

const CASES: readonly { readonly of: Of; readonly kinds: readonly string[]; readonly near: number }[] = [
  { of: rigOf('boom'), kinds: ['fingerAhead'], near: 0.003 },
  { of: rigOf('sliding-top-handle'), kinds: ['fingerAhead', 'mass'], near: 0.002 },
  { of: rigOf('helmet-pole'), kinds: ['droop', 'mass'], near: 0.003 },
];

describe('learning of a rig that does not hang', () => {
  it('a secretly wrong mass: a reading or two and the move they ask for bring it where it is wanted', () => {
    holds(
      fc.property(fc.nat(CASES.length - 1), fc.double({ min: 0.8, max: 1.25, noNaN: true }), (n, part) => {
        const { of, kinds, near } = CASES[n]!;
        const real = withItem({ ...lens, mass: { ...lens.mass!, value: lens.mass!.value * part } });
        let set = of.values;
        const entries: Pick<LogEntry, 'values' | 'seen'>[] = [];
        for (let turn = 0; turn < 2; turn++) {
          entries.push(readAt(of, real, set, kinds));
          const outcome = learnFrom({ rig: of.rig, loadout, kit: listed, bin: [], values: set, entries });
          expect(outcome.kind).withContext(of.family).toBe('learned');
          const next = outcome.kind === 'learned' ? outcome.next?.outcome : undefined;
          if (next?.kind === 'solved' || next?.kind === 'axesSet') set = { ...set, ...next.values };
        }
        expect(off(of, real, set))
          .withContext(`${of.family}, lens × ${part.toFixed(2)}`)
          .toBeLessThan(Math.max(near, 0.35 * off(of, real, of.values)));
      }),
      { seed: 23, numRuns: 24 },
    );
  });
  it('of two grips on scales says where between the hands it lies', () => {
    const of = rigOf('hand-frame');
    const real = withItem({ ...lens, massCentre: { ...lens.massCentre!, at: [0.027, 0.08, 0] } });
    const unsure = withItem({ ...fromAList, massCentre: { ...lens.massCentre!, spread: [0.04, 0.04, 0.04] } });
    const outcome = learnFrom({
      rig: of.rig,
      loadout,
      kit: unsure,
      bin: [],
      values: of.values,
      entries: [readAt(of, real, of.values, ['gripScale'])],
    });
    if (outcome.kind !== 'learned') return fail(outcome.kind);
    const truth = of.contextWith(real, of.values).evaluation.fromSupport![1];
    const before = of.contextWith(unsure, of.values).evaluation.fromSupport![1];
    expect(Math.abs(outcome.fromSupport[1] - truth)).toBeLessThan(0.5 * Math.abs(before - truth));
  });
  it('of an axis that moves later than it should learns its friction', () => {
    const of = rigOf('three-axis-frame');
    const context = of.contextWith(kit, of.values);
    const tilt = readingsOf(context.assembly.rig, context.evaluation).find((r) => r.kind === 'axisMoves')!;
    const taken = context.evaluation.axes[0]!.friction;
    const outcome = learnt(of, [{ values: of.values, seen: withSeen(NOTHING_SEEN, tilt, 2 * taken) }]);
    if (outcome.kind !== 'learned') return fail(outcome.kind);
    const lesson = outcome.lessons.find((l) => l.friction !== null)!;
    expect(lesson.owner).toBe(context.evaluation.axes[0]!.pivot.id);
    expect(lesson.friction!.to).toBeGreaterThan(1.3 * taken);
    expect(lesson.friction!.spread).toBeGreaterThan(0);
  });
  it('takes over by themselves what a clamp slips at, a mount lets go at, and how long a pose is held', () => {
    for (const [family, kind] of [
      ['swivel-grip', 'slips'],
      ['helmet-pole', 'breaksAway'],
      ['pipe-post', 'heldFor'],
    ] as const) {
      const of = rigOf(family);
      const context = of.contextWith(kit, of.values);
      const reading = readingsOf(context.assembly.rig, context.evaluation).find((r) => r.kind === kind)!;
      const value = 2 * reading.expects(context)!.value;
      const seen = withSeen(NOTHING_SEEN, reading, value);
      expect(seenOf(seen, reading)).toBe(value);
      const outcome = learnt(of, [{ values: of.values, seen }]);
      if (outcome.kind !== 'learned') return fail(`${family}: ${outcome.kind}`);
      const [own] = outcome.own;
      expect(own?.take.kind)
        .withContext(family)
        .toBe(({ slips: 'friction', breaksAway: 'breaksAway', heldFor: 'wristStrength' } as const)[kind]);
      // Nothing was read of where its mass centre lies.
      expect(outcome.placed).withContext(family).toBeFalse();
      expect(outcome.next).withContext(family).toBeNull();
    }
  });
  it('of a pole put out of its rest takes the friction that would hold it just there, and then tells how far that is', () => {
    const of = rigOf('helmet-pole');
    holds(
      fc.property(fc.double({ min: 0.01, max: 0.6, noNaN: true }), (tilt) => {
        const context = of.contextWith(kit, of.values);
        const reading = readingsOf(context.assembly.rig, context.evaluation).find((r) => r.kind === 'hingeStays')!;
        expect(reading.expects(context)).withContext('not known before it is read').toBeNull();
        const outcome = learnt(of, [{ values: of.values, seen: withSeen(NOTHING_SEEN, reading, tilt) }]);
        if (outcome.kind !== 'learned') return fail(outcome.kind);
        const { take } = outcome.own[0]!;
        if (take.kind !== 'friction') return fail(take.kind);
        const found = context.evaluation.pole!;
        const rubbing = { ...found, hinge: { ...found.hinge, frictionTorque: take.torque } };
        const then = reading.expects({ ...context, evaluation: { ...context.evaluation, pole: rubbing } });
        expect(then!.value).toBeCloseTo(tilt, 9);
        expect(then!.least).toBeLessThan(tilt);
        expect(then!.most).toBeGreaterThan(tilt);
      }),
      { seed: 1731, numRuns: 20 },
    );
  });
  it('of a pose held till it had to be let go takes the strength that would have forecast just that', () => {
    holds(
      fc.property(fc.double({ min: 20, max: 900, noNaN: true }), (time) => {
        const of = CASES[0]!.of;
        const context = of.contextWith(kit, of.values);
        const [pose] = context.evaluation.held;
        const strength = strengthFrom(pose!, context.hands, time)!;
        const made = workpiece({ ...of.rig, hands: { ...context.hands, wristStrength: strength } }, loadout, kit);
        if (!made.ok) return false;
        const after = judged(made.work, of.values, of.rig.wants).evaluation.held[0]!;
        if (after.tires !== pose!.tires || after.holds.kind !== 'minutes') return true;
        return Math.abs(after.holds.usual * 60 - time) < 1e-6 * time;
      }),
      { seed: 24, numRuns: 20 },
    );
  });
});
