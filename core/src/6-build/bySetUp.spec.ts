import { assemble, FAMILIES, USUAL_HANDS } from '../2-frame';
import { buildSteps, bySetUp, changesIn, inStatedOrder, orderSteps, setUpOf, type BuildStep } from '.';

const step = (id: string, tool: string, needs: readonly string[] = []): BuildStep => ({
  id,
  about: id,
  title: [id],
  tool,
  figures: [],
  check: [id],
  caution: null,
  minutes: 5,
  final: false,
  needs,
});
const isValid = (steps: readonly BuildStep[]): boolean => {
  const at = new Map(steps.map((s, i) => [s.id, i]));
  return steps.every((s, i) => s.needs.every((n) => (at.get(n) ?? -1) < i));
};

describe('steps by set-up of a tool', () => {
  it('does with one what can be done with it, and no step before what it needs', () => {
    const found = bySetUp([
      step('saw a', 'saw'),
      step('drill a', 'drill', ['saw a']),
      step('saw b', 'saw'),
      step('drill b', 'drill', ['saw b']),
      step('join', 'hand', ['drill a', 'drill b']),
    ]);
    expect(found.map((s) => s.id)).toEqual(['saw a', 'saw b', 'drill a', 'drill b', 'join']);
    expect(changesIn(found)).toBe(3);
  });

  it('waits with a tool until all of its work has come up, where something else can be done', () => {
    const found = bySetUp([
      step('a', 'drill'),
      step('b', 'saw'),
      step('c', 'drill', ['b']),
      step('d', 'file', ['a', 'c']),
    ]);
    expect(found.map((s) => s.id)).toEqual(['b', 'a', 'c', 'd']);
  });

  it('leaves a ring as it was told', () => {
    const ring = [step('a', 'x', ['b']), step('b', 'y', ['a'])];
    expect(bySetUp(ring)).toBe(ring);
  });

  it('in every family is a whole, valid order with no more changes, and mostly fewer', () => {
    let fewer = 0;
    for (const family of FAMILIES) {
      const rig = family.build(family.size(null, USUAL_HANDS));
      const ordered = buildSteps(rig, {}, inStatedOrder(assemble(rig, null), {}));
      if (ordered.kind !== 'ordered') throw new Error(family.id);
      const found = bySetUp(ordered.steps);
      expect([...found].sort((a, b) => (a.id < b.id ? -1 : 1))).toEqual(
        [...ordered.steps].sort((a, b) => (a.id < b.id ? -1 : 1)),
      );
      expect(isValid(found)).withContext(family.id).toBeTrue();
      expect(orderSteps(found)).withContext(family.id).toEqual({ kind: 'ordered', steps: found });
      expect(changesIn(found)).withContext(family.id).toBeLessThanOrEqual(changesIn(ordered.steps));
      if (changesIn(found) < changesIn(ordered.steps)) fewer++;
      // One bit drilled through and through: no hole of that size apart from another that could have been done with it.
      expect(found.every((s) => setUpOf(s) !== '')).toBeTrue();
    }
    expect(fewer).toBeGreaterThan(FAMILIES.length / 2);
  });
});
