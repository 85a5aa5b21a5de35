import { METRIC, render, type Phrase } from '../0-base';
import { assemble, FAMILIES, USUAL_HANDS } from '../2-frame';
import type { Rig } from '../model';
import { buildSteps, inStatedOrder, type BuildStep } from '.';

const rigs = FAMILIES.flatMap((family) => {
  const sized = family.size(null, USUAL_HANDS);
  const inputs = [
    sized,
    ...family.choices.flatMap((c) => c.options.map((o) => ({ ...sized, choices: { ...sized.choices, [c.id]: o.id } }))),
  ];
  return inputs.map((input) => ({ family: family.id, rig: family.build(input) }));
});
const stepsOf = (rig: Rig): readonly BuildStep[] => {
  const ordered = buildSteps(rig, {}, inStatedOrder(assemble(rig, null), {}));
  return ordered.kind === 'ordered' ? ordered.steps : [];
};
const words = (p: Phrase | undefined): string => (p ? render(p, METRIC) : '');

describe('the care of a step, in every family with every choice', () => {
  const all = rigs.flatMap(({ family, rig }) => stepsOf(rig).map((step) => ({ family, rig, step })));

  it('what cannot be undone says what can be done when it has gone wrong', () => {
    const silent = all
      .filter(({ step }) => step.final && !step.wrong)
      .map(({ family, step }) => `${family} ${step.id}`);
    expect([...new Set(silent)]).toEqual([]);
  });

  it('what sets has all it needs laid ready, each piece by name; what does not has no clock to run against', () => {
    for (const { family, rig, step } of all) {
      if (!step.id.startsWith('connect:')) continue;
      expect(step.ready !== undefined)
        .withContext(`${family} ${step.id}`)
        .toBe((step.dries ?? 0) > 0);
      if (!step.ready) continue;
      const names = new Map(rig.bodies.flatMap((b) => [...b.members, ...b.parts].map((e) => [e.id, e.name] as const)));
      for (const id of step.handles ?? []) if (names.has(id)) expect(words(step.ready)).toContain(names.get(id)!);
      expect(words(step.ready)).not.toContain('undefined');
    }
  });

  it('what is bolted, clamped or screwed says how tight, and no wood in a rig of metal', () => {
    for (const { family, rig, step } of all) {
      const kinds = new Set(step.joins?.connections.map((c) => c.kind) ?? []);
      const stated = new Map(rig.bodies.flatMap((b) => b.connections ?? []).map((c) => [c.id, c]));
      const bolted = step.joins?.connections.some((c) => stated.get(c.id)?.kind === 'bolted') ?? false;
      if (bolted || kinds.has('clamped') || kinds.has('screwedIn'))
        expect(step.tight).withContext(`${family} ${step.id}`).toBeDefined();
      if (!/wood/.test(words(step.tight)) || kinds.has('screwedIn')) continue;
      const looks = new Set(
        (step.handles ?? []).flatMap((id) =>
          rig.bodies.flatMap((b) => [
            ...b.members.filter((m) => m.id === id).map((m) => m.stock.material),
            ...b.parts.filter((p) => p.id === id).map((p) => p.material),
          ]),
        ),
      );
      expect([...looks].some((m) => m && /oak|pine|birch|ply/.test(m)))
        .withContext(`${family} ${step.id}`)
        .toBeTrue();
    }
  });

  it('what is fitted by a thread, a bend or a pocket is tried on scrap first', () => {
    for (const { family, step } of all) {
      const fits = /^bend:|^flatten:/.test(step.id) || /and tap it|under size|^Tap /.test(words(step.title));
      if (fits) expect(step.trial).withContext(`${family} ${step.id}`).toBeDefined();
    }
  });
});
