import { render, METRIC } from '../../0-base';
import type { Rig, Wants } from '../../model';
import { assemble, changedDesign, designRig, FAMILIES, type AdjusterValues } from '../../2-frame';
import { bentBar, bentBarAssembly, kit, loadout, plainRig, wants } from '../../testing/rigs';
import { THREE_LOADS } from '../../testing/loads';
import { placeLoad, sumsOf } from '../../1-load';
import { startRig } from '../../9-design/startRig';
import { evaluate, quickBalance, readings, toStep } from '..';
import { panReading, trim, trimExplained } from '../bench';

const withWants = (more: Partial<Wants>): Wants => ({ ...wants, massAtMost: 9, calmAtLeast: 0, ...more });

describe('trim', () => {
  it('meets the wants, as evaluating its answer shows', () => {
    const assembly = bentBarAssembly();
    const found = trim(assembly, {}, wants);
    if (found.kind !== 'solved') return fail(found.kind);
    const seen = readings(evaluate(assembly, found.values));
    expect(Math.abs(seen.noseDown!)).toBeLessThanOrEqual(wants.levelWithin);
    expect(Math.abs(seen.leftSideDown!)).toBeLessThanOrEqual(wants.levelWithin);
    expect(quickBalance(assembly)!.at(found.values).dropPitch!).toBeGreaterThanOrEqual(wants.dropTime[0]);
    expect(quickBalance(assembly)!.at(found.values).dropPitch!).toBeLessThanOrEqual(wants.dropTime[1]);
    expect(evaluate(assembly, found.values).addedMass).toBeCloseTo(found.addedMass, 12);
    expect(found.gap).toBeNull();
    for (const tie of found.ties) expect(tie.added).toBeCloseTo(found.addedMass, 9);
  });

  it('can be asked for calm, or for few moves, and none of these beats another at its own aim', () => {
    const assembly = bentBarAssembly();
    const outcomes = (['lightest', 'calmest', 'fewestMoves'] as const).map((aim) =>
      trim(assembly, { 'foot-count': 9 }, withWants({}), { aim }),
    );
    const [light, calm, few] = outcomes.map((o) => (o.kind === 'solved' ? o : null));
    if (!light || !calm || !few) return fail('all are possible');
    const inertia = (values: Record<string, number>): number =>
      evaluate(assembly, values).hung!.pitch.inertia * evaluate(assembly, values).hung!.roll.inertia;
    expect(light.addedMass).toBeLessThanOrEqual(Math.min(calm.addedMass, few.addedMass) + 1e-12);
    expect(inertia({ ...calm.values })).toBeGreaterThanOrEqual(
      Math.max(inertia({ ...light.values }), inertia({ ...few.values })) * (1 - 1e-9),
    );
    expect(few.ties[0]!.moves).toBeLessThanOrEqual(Math.min(light.ties[0]!.moves, calm.ties[0]!.moves) + 20);
    // From its own answer nothing need be moved.
    const again = trim(assembly, few.values, withWants({}), { aim: 'fewestMoves' });
    expect(again.kind === 'solved' && again.ties[0]!.moves).toBe(0);
  });

  it('asked for the most level pan leans no more than by any other aim, using the height too', () => {
    const assembly = bentBarAssembly();
    const lean = (values: Record<string, number>): number => {
      const { hung } = evaluate(assembly, values);
      return Math.abs(panReading(hung!, 0.6, 0.7)?.lean?.noseUp ?? Infinity);
    };
    const [pan, light] = (['steadiestPan', 'lightest'] as const).map((aim) =>
      trim(assembly, {}, withWants({}), { aim }),
    );
    if (pan!.kind !== 'solved' || light!.kind !== 'solved') return fail('both are possible');
    expect(lean({ ...pan!.values })).toBeLessThanOrEqual(lean({ ...light!.values }) + 1e-9);
  });

  it('lets a wish go before what is firm, and says so', () => {
    const assembly = bentBarAssembly();
    const found = trim(assembly, {}, withWants({ massAtMost: 0.1 }));
    expect(found.kind === 'solved' && found.unmet).toEqual(['mass']);
    const firm = trim(assembly, {}, withWants({ massAtMost: 0.1, firm: ['mass', 'levelForeAft'] }));
    expect(firm.kind).toBe('impossible');
  });

  it('names the slide that has too little travel and how much more would do', () => {
    const assembly = bentBarAssembly();
    const short: Rig = {
      ...assembly.rig,
      adjusters: assembly.rig.adjusters.map((a) =>
        a.id === 'stage-sideways' ? { ...a, range: [0.004, 0.005] as const, value: 0.004 } : a,
      ),
    };
    const found = trimExplained({ ...assembly, rig: short }, {}, wants);
    if (found.kind !== 'impossible') return fail(found.kind);
    const more = found.remedies
      .map((r) => render(r.label, METRIC))
      .find((t) => t.includes('more travel of the stage, side to side'));
    expect(more).toBeDefined();
    const by = Number(/^(\d+) mm/.exec(more!)![1]) / 1000;
    const widened = (d: number) =>
      trim(
        {
          ...assembly,
          rig: {
            ...short,
            adjusters: short.adjusters.map((a) =>
              a.id === 'stage-sideways' ? { ...a, range: [0.004 - d, 0.005 + d] as const } : a,
            ),
          },
        },
        {},
        wants,
      );
    expect(widened(by).kind).toBe('solved');
    expect(widened(by - 0.002).kind).toBe('impossible');
  });

  it('an impossible drop is explained, and each change it offers on the rig makes it possible', () => {
    const { loadout: l, kit: k } = THREE_LOADS[2]!;
    const start = startRig(bentBar, loadout, kit, wants);
    const made = designRig(start.design);
    if (!made.ok) return fail(made.reason);
    // A long lens on a rig made for a short one.
    const found = trimExplained(assemble(made.rig, placeLoad(l, k)), start.values, wants);
    if (found.kind === 'solved') return expect(found.addedMass).toBeGreaterThan(0);
    if (found.kind !== 'impossible') return fail(found.kind);
    const onTheRig = found.remedies.filter((r) => r.whole && !r.wants);
    expect(found.remedies.length).toBeGreaterThan(0);
    for (const { changes, label } of onTheRig) {
      const changed = designRig(changedDesign(start.design, changes, () => 'made'));
      expect(changed.ok && trim(assemble(changed.rig, placeLoad(l, k)), start.values, wants).kind)
        .withContext(render(label, METRIC))
        .toBe('solved');
    }
    for (const { wants: part, label } of found.remedies)
      if (part && found.remedies.some((r) => r.label === label && r.whole && r.changes.length === 0))
        expect(trim(assemble(made.rig, placeLoad(l, k)), start.values, { ...wants, ...part }).kind)
          .withContext(render(label, METRIC))
          .toBe('solved');
  });

  it('that must go in its bag says so when it does not, and each way it offers mends it', () => {
    const assembly = bentBarAssembly();
    const bag = [0.2, 0.15, 0.1] as const;
    const wish = trim(assembly, {}, withWants({ bag }));
    expect(wish.kind === 'solved' && wish.unmet).toContain('bag');
    const firm = withWants({ bag, firm: ['levelForeAft', 'levelSideways', 'dropPitch', 'bag'] });
    const found = trimExplained(assembly, {}, firm);
    if (found.kind !== 'impossible') return fail(found.kind);
    expect(found.failing).toBe('bag');
    const whole = found.remedies.filter((r) => r.whole);
    expect(whole.length).toBeGreaterThan(0);
    for (const r of whole)
      expect(trim(assembly, {}, { ...firm, ...r.wants }).kind)
        .withContext(render(r.label, METRIC))
        .toBe('solved');
    const roomy = trim(assembly, {}, withWants({ bag: [2, 2, 2], firm: ['bag'] }));
    expect(roomy.kind === 'solved' && roomy.unmet).toEqual([]);
  });

  it('needs something that bears it and something to set', () => {
    expect(
      trim(
        assemble({ ...plainRig, pivots: [], adjusters: bentBarAssembly().rig.adjusters.slice(0, 1) }, null),
        {},
        wants,
      ).kind,
    ).toBe('nothingBears');
    expect(trim(assemble(plainRig, null), {}, wants).kind).toBe('nothingToSet');
  });

  it('brings a started rig of every family to balance from a bad start, for what it suits', () => {
    for (const family of FAMILIES) {
      const mass = family.suits.loadAtMost ?? Infinity;
      for (const { name, loadout: l, kit: k } of THREE_LOADS) {
        const load = placeLoad(l, k);
        if (sumsOf(load.bodies).mass > mass) continue;
        const start = startRig(family, l, k, wants);
        const made = designRig(start.design);
        if (!made.ok) return fail(made.reason);
        expect(made.rig.adjusters.length).withContext(family.id).toBeGreaterThan(0);
        const bad = Object.fromEntries(
          made.rig.adjusters.map((a) => [a.id, a.kind === 'count' ? a.range[0] : a.range[1]]),
        );
        const found = trim(assemble(made.rig, load), bad, withWants({ wristAtMost: 6, dropTime: [1.5, 2.6] }));
        expect(found.kind)
          .withContext(`${family.id} with ${name}`)
          .toBe(family.id === 'three-axis-frame' ? 'axesSet' : 'solved');
      }
    }
  });

  it('brings a grip held out far from its mass centre nearer to it, as far as its slot or its length goes', () => {
    const [{ loadout: l, kit: k }] = [THREE_LOADS[1]!];
    for (const id of ['swivel-grip', 'self-filming-grip']) {
      const start = startRig(
        FAMILIES.find((f) => f.id === id)!,
        l,
        k,
        wants,
      );
      const made = designRig(start.design);
      if (!made.ok) return fail(made.reason);
      const assembly = assemble(made.rig, placeLoad(l, k));
      const tips = (values: AdjusterValues): number => Math.abs(evaluate(assembly, values).held[0]!.hands[0]!.noseDown);
      const ends = made.rig.adjusters[0]!.range.map((value) => ({ [made.rig.adjusters[0]!.id]: value }));
      const [bad, good] = ends.sort((a, b) => tips(b) - tips(a)) as [AdjusterValues, AdjusterValues];
      const most = (tips(bad) + Math.min(tips(good), tips({}))) / 2;
      expect(tips(bad)).withContext(id).toBeGreaterThan(most);
      const found = trim(assembly, bad, withWants({ wristAtMost: most, firm: ['wristNose'] }));
      if (found.kind !== 'solved') return fail(`${id}: ${found.kind}`);
      expect(tips(found.values))
        .withContext(id)
        .toBeLessThanOrEqual(most * (1 + 1e-9));
    }
  });

  it('rounds to what the hand can set', () => {
    expect(toStep({ range: [-0.01, 0.01], step: 0.0005 }, 0.00123)).toBe(0.001);
    expect(toStep({ range: [-0.01, 0.01], step: 0.0005 }, 0.4)).toBe(0.01);
  });
});
