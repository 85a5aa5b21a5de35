import { METRIC, render } from '../../0-base';
import { rig as rigSchema, type Rig } from '../../model';
import { plainRig } from '../../testing/rigs';
import { workpiece } from '../derive';
import { firmnessOf } from './firmness';
import { strengthSheet } from './strengthSheet';

const grip = { id: 'grip', name: 'grip', kind: 'hand' as const, body: 'rod', at: [0, 0, 0.1], direction: [0, 0, 1] };
type Rod = Rig['bodies'][number];
/** The plain rig held by a hand, changed, and read as a file would be. */
const rigWith = (change: (rod: Rod, rig: Rig) => void): ReturnType<typeof rigSchema.safeParse> => {
  const rig = JSON.parse(JSON.stringify({ ...plainRig, contacts: [grip] })) as Rig;
  change(
    rig.bodies.find((b) => b.id === 'rod')!,
    rig,
  );
  return rigSchema.safeParse(rig);
};
const madeOf = (change: Parameters<typeof rigWith>[0]) => {
  const read = rigWith(change);
  if (!read.success) throw new Error(read.error.issues[0]!.message);
  return workpiece({ design: { kind: 'free', rig: read.data } }, null, new Map());
};
const sheetOf = (change: Parameters<typeof rigWith>[0]) => {
  const made = madeOf(change);
  if (!made.ok) throw new Error(made.reason);
  return strengthSheet({ assembly: made.work.assembly, values: {}, pose: null, bump: 3 });
};
const titles = (change: Parameters<typeof rigWith>[0]): readonly string[] => {
  const outcome = sheetOf(change);
  const words = outcome.kind === 'told' ? outcome.sheet.words : [outcome.word];
  return words.map((w) => render(w.title, METRIC));
};
/** Nothing of it is no number. */
const sound = (change: Parameters<typeof rigWith>[0]): boolean =>
  !JSON.stringify(sheetOf(change), (_, v: unknown) =>
    typeof v === 'number' && !Number.isFinite(v) ? 'bad' : v,
  ).includes('"bad"');
/** A chain of bars fixed to each other, bent to and fro. */
const chain =
  (count: number) =>
  (rod: Rod): void => {
    const [post] = rod.members;
    for (let i = 0; i < count; i++) {
      const [from, before] = i === 0 ? ['top', 'post'] : [`n${i - 1}`, `bar${i - 1}`];
      rod.nodes.push({ id: `n${i}`, at: [0.03 * (i % 2), 0.02 * (i + 1), 0.1 + 0.01 * (i % 3)] });
      rod.members.push({ ...post!, id: `bar${i}`, name: `bar ${i + 1}`, from, to: `n${i}` });
      rod.joints.push({
        id: `j${i}`,
        name: `joint ${i}`,
        node: from,
        fitting: 'coupling',
        joins: [before, `bar${i}`],
        reversible: false,
      });
    }
  };

describe('what is put in badly', () => {
  it('a bar of no length is named, and where its ends stand', () => {
    const made = madeOf((rod) => (rod.nodes[1]!.at = rod.nodes[0]!.at));
    expect(made.ok).toBeFalse();
    if (!made.ok) expect(made.reason).toBe('post has no length: both its ends stand in one place. Move one of them.');
  });
  it('a tube without a wall, stuff without stiffness, yield or weight is refused where it is read', () => {
    const wall = (size: number) =>
      rigWith((rod) => {
        const { section } = rod.members[0]!.stock;
        if (section.kind === 'tube') section.wall = size;
      });
    for (const size of [0, -0.001, 0.02]) expect(wall(size).success).withContext(`${size}`).toBeFalse();
    for (const part of ['stiffness', 'yield', 'density'] as const)
      expect(rigWith((_, rig) => (rig.materials!['slate']![part] = 0)).success)
        .withContext(part)
        .toBeFalse();
  });
  it('of a material that is not known says so, and calls nothing firm by it', () => {
    const change = (rod: Rod): void => void (rod.members[0]!.stock.material = 'mystery');
    expect(titles(change)).toContain('How stiff and how strong post is, is not known.');
    const made = madeOf(change);
    if (!made.ok) throw new Error(made.reason);
    expect(firmnessOf({ assembly: made.work.assembly, values: {} }).against.length).toBeGreaterThan(0);
    expect(sound(change)).toBeTrue();
  });
  it('what hangs on nothing is named; where nothing holds the rig it says that', () => {
    expect(titles(() => undefined).some((t) => t.endsWith('hangs on nothing that is held.'))).toBeTrue();
    expect(titles((_, rig) => (rig.contacts = []))).toEqual(['Nothing says where this rig is held.']);
  });
  it('two ways of ringing at one rate, as of a round post, are both told', () => {
    const outcome = sheetOf(() => undefined);
    if (outcome.kind !== 'told') throw new Error('cannot');
    const [first, second] = outcome.sheet.modes;
    expect(second!.frequency / first!.frequency).toBeCloseTo(1, 6);
    expect(outcome.sheet.proven).toBeTrue();
    expect(sound(() => undefined)).toBeTrue();
  });
  it('two hundred bars end, and every figure is one', () => {
    expect(sound(chain(199))).toBeTrue();
    expect(titles(chain(3)).join()).not.toMatch(/NaN|undefined/);
  });
});
