import { evenDraws, normalDraws } from '../0-base';
import { changedDesign, familyById } from '../2-frame';
import { trim } from '../3-balance/bench';
import { accuracyOf, type AccuracyInput } from './accuracyOf';
import { workpiece } from './derive';
import { startRig } from './startRig';
import { kit, loadout, wants } from '../testing/rigs';

const start = startRig(familyById('gimballed-bent-bar')!, loadout, kit, wants);
const made = workpiece({ design: start.design }, loadout, kit);
if (!made.ok) throw new Error(made.reason);
const trimmed = trim(made.work.assembly, {}, wants);
const values = trimmed.kind === 'solved' ? trimmed.values : {};
const input: AccuracyInput = {
  rig: { design: start.design, wants },
  loadout,
  kit,
  values,
  lengths: 0.0005,
  angles: 0.01,
  builds: 400,
  seed: 7,
};
const found = accuracyOf(input);
const accuracy = found.kind === 'found' ? found.accuracy : null;

describe('what must be accurate', () => {
  it('lists sizes and masses, the most demanding first, and how likely a build can be trimmed', () => {
    expect(accuracy!.leeway.length).toBeGreaterThan(6);
    const order = accuracy!.leeway.map((l) => l.spreads);
    expect([...order].sort((a, b) => a - b)).toEqual(order);
    expect(accuracy!.chance.part).toBeGreaterThan(0);
    expect(accuracy!.chance.part).toBeLessThanOrEqual(1);
    for (const more of accuracy!.withMore) expect(more.part).toBeGreaterThanOrEqual(accuracy!.chance.part);
  });
  it('a size off by a little less than its leeway can still be trimmed with the same washers, by much more cannot', () => {
    if (start.design.kind !== 'family') return fail('a family');
    const tight = accuracy!.leeway.find(
      (l) => l.kind === 'length' && l.more !== null && l.more > 0.002 && l.more < 0.03,
    )!;
    const offBy = (by: number): string => {
      const now = made.ok ? made.work.input!.dimensions[tight.id]! : 0;
      const there = workpiece(
        { design: changedDesign(start.design, [{ kind: 'dimension', id: tight.id, value: now + by }], () => 'e') },
        loadout,
        kit,
      );
      if (!there.ok) return 'broken';
      const { rig } = there.work.assembly;
      // The washers stay as they are: their counts may not change.
      const fixedCounts = {
        ...there.work.assembly,
        rig: {
          ...rig,
          adjusters: rig.adjusters.map((a) =>
            a.kind === 'count' ? { ...a, range: [values[a.id] ?? a.value, values[a.id] ?? a.value] as const } : a,
          ),
        },
      };
      return trim(fixedCounts, values, { ...wants, massAtMost: 99, calmAtLeast: 0 }).kind;
    };
    expect(offBy(0.8 * tight.more!))
      .withContext(tight.id)
      .toBe('solved');
    expect(offBy(1.5 * tight.more! + 0.002))
      .withContext(tight.id)
      .not.toBe('solved');
  });
  it('is the same for the same seed, and rougher work lowers the chance', () => {
    const again = accuracyOf(input);
    expect(again).toEqual(found);
    const rough = accuracyOf({ ...input, lengths: 0.004, angles: 0.06 });
    expect(rough.kind === 'found' && rough.accuracy.chance.part).toBeLessThan(accuracy!.chance.part + 1e-9);
  });
});

describe('seeded chance', () => {
  it('is even, normal and repeatable', () => {
    const [even, normal] = [evenDraws(3), normalDraws(3)];
    const many = Array.from({ length: 20000 }, () => [even(), normal()] as const);
    const mean = (pick: (d: readonly [number, number]) => number): number =>
      many.reduce((s, d) => s + pick(d), 0) / many.length;
    expect(mean((d) => d[0])).toBeCloseTo(0.5, 1);
    expect(mean((d) => d[1])).toBeCloseTo(0, 1);
    expect(mean((d) => d[1] ** 2)).toBeCloseTo(1, 1);
    expect(Array.from({ length: 3 }, evenDraws(9))).toEqual(Array.from({ length: 3 }, evenDraws(9)));
  });
});

describe('what must be accurate of axes inside axes', () => {
  const frame = startRig(familyById('three-axis-frame')!, loadout, kit, wants);
  const built = workpiece({ design: frame.design }, loadout, kit);
  if (!built.ok) throw new Error(built.reason);
  const set = trim(built.work.assembly, {}, wants);
  const onAxes = accuracyOf({
    ...input,
    rig: { design: frame.design, wants },
    values: set.kind === 'axesSet' ? set.values : {},
  });
  const list = onAxes.kind === 'found' ? onAxes.accuracy : null;
  /** The worst axis after balancing anew, as a part of what its friction holds. */
  const worst = (id: string, by: number): number => {
    const there = workpiece(
      {
        design: changedDesign(
          frame.design,
          [{ kind: 'dimension', id, value: built.work.input!.dimensions[id]! + by }],
          () => 'e',
        ),
      },
      loadout,
      kit,
    );
    if (!there.ok) return NaN;
    const after = trim(there.work.assembly, {}, wants);
    return after.kind === 'axesSet' ? Math.max(...after.left.map((l) => l.residual / l.friction)) : NaN;
  };

  it('a size off by less than its leeway is balanced by the slides, by more is not', () => {
    const tight = list!.leeway.filter((l) => l.kind === 'length' && l.more !== null);
    expect(tight.length).toBeGreaterThan(0);
    for (const { id, less, more } of tight) {
      expect(worst(id, 0.8 * more!))
        .withContext(id)
        .toBeLessThanOrEqual(1);
      expect(worst(id, -0.8 * less!))
        .withContext(id)
        .toBeLessThanOrEqual(1);
    }
    expect(Math.max(...tight.map(({ id, more }) => worst(id, 1.3 * more! + 0.002)))).toBeGreaterThan(1);
  });
  it('what its slides have no travel for is said of the axis, and more travel helps', () => {
    // Camera slides that hardly move: rough work is then beyond them.
    const stiff = { ...frame.design, edits: [] };
    const rough = accuracyOf({
      ...input,
      rig: { design: stiff, wants },
      values: set.kind === 'axesSet' ? set.values : {},
      lengths: 0.02,
    });
    if (rough.kind !== 'found') return fail(rough.kind);
    const { leeway, chance, withMore } = rough.accuracy;
    expect(leeway[0]!.fails).toBe('axis');
    expect(chance.part).toBeLessThan(1);
    expect(Math.max(...withMore.map((m) => m.part))).toBeGreaterThan(chance.part);
    for (const m of withMore) expect(m.part).toBeGreaterThanOrEqual(chance.part);
  });
});

describe('what must be accurate of a rig that does not hang', () => {
  const look = (family: string, more: Partial<AccuracyInput> = {}) => {
    const start = startRig(familyById(family)!, loadout, kit, wants);
    return accuracyOf({
      rig: { design: start.design, wants: { ...wants, massAtMost: 9 } },
      loadout,
      kit,
      values: start.values,
      lengths: 0.001,
      angles: 0.02,
      builds: 200,
      seed: 3,
      ...more,
    });
  };
  it('tells of a figure what it is felt as, and of a set-up that fails already no leeway of zero', () => {
    const frame = look('hand-frame');
    if (frame.kind !== 'found') return fail(frame.kind);
    const felt = frame.accuracy.leeway.map((l) => l.felt);
    expect(felt.every((f) => f.kind === 'torque')).toBeTrue();
    expect(felt.some((f) => f.value > 0)).toBeTrue();
    // A post with its weights off to one side tips more than is wanted, whatever is set.
    expect(look('pipe-post')).toEqual({ kind: 'fails', condition: 'wristSides' });
  });
  it('asks of axes that they are square, by how far along an axis what it carries lies', () => {
    const frame = look('three-axis-frame');
    if (frame.kind !== 'found') return fail(frame.kind);
    const square = frame.accuracy.leeway.filter((l) => l.name.includes('out of square'));
    expect(square.length).toBeGreaterThan(0);
    // Felt as weight times lean times its way along the axis: never more than all of its weight at a foot's length.
    for (const { felt } of square) expect(felt.value).toBeLessThan(10 * 0.3 * 0.04);
  });
});
