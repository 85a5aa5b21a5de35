import { FAMILIES, changedDesign, doubled, stockById, coreFor, withEdit, assemble, withHardware } from '../../2-frame';
import { strengthOf } from '../../4-strength';
import { kit, loadout, rigOf } from '../../testing/rigs';
import { buildPlan } from '../../testing/builds';
import { rig as rigSchema, type Rig, type Stock } from '../../model';
import { workpiece } from '../derive';
import { billOf } from '../whole/bill';
import { stockPlan } from '../../5-stock';
import { cores } from './changes/cores';
import { doublers } from './changes/doublers';

/** A bar or tube that sticks out of a vice. */
const cantilever = (stock: Stock, size = 0.4): Rig =>
  rigSchema.parse({
    bodies: [
      {
        id: 'arm',
        name: 'arm',
        nodes: [
          { id: 'a', at: [0, 0, 0] },
          { id: 'b', at: [size, 0, 0] },
        ],
        members: [
          {
            id: 'bar',
            name: 'bar',
            from: 'a',
            to: 'b',
            stock,
            path: { kind: 'straight', widthDirection: [0, 1, 0] },
            leftLong: 0,
            holes: [],
          },
        ],
        joints: [],
        parts: [],
        stations: [],
        connections: [],
      },
    ],
    pivots: [],
    contacts: [{ id: 'vice', name: 'vice', kind: 'ground', body: 'arm', at: [0, 0, 0], direction: [0, 0, 1] }],
    poses: [],
    adjusters: [],
  });
const lowest = (rig: Rig): number => {
  const outcome = strengthOf({
    assembly: assemble(withHardware(rig), null),
    values: {},
    pose: null,
    bump: 3,
    modes: 2,
  });
  if (outcome.kind !== 'solved') throw new Error(outcome.kind);
  return outcome.strength.modes[0]!.frequency;
};
const made = (rig: Rig, stock: Stock, lies: 'over' | 'inside', from = 0, to = 0.4): Rig => {
  const outcome = doubled(rig, { body: 'arm', member: 'extra', target: 'bar', stretch: 0, from, to, lies, stock });
  if (outcome.kind !== 'made') throw new Error(JSON.stringify(outcome.reason));
  return outcome.rig;
};

describe('a piece doubled where it is weak', () => {
  const flat = stockById('aluminium-25x5')!;
  const strip = stockById('aluminium-25x3')!;
  const tube = stockById('tube-alu-25x2')!;

  it('bends as one thick bar all along its glue (parallel axes, no slip)', () => {
    const before = cantilever(flat);
    const ratio = lowest(made(before, strip, 'over')) / lowest(before);
    // (8/5)³ times as stiff and 8/5 times as heavy.
    expect(ratio).toBeGreaterThan(0.95 * 1.6);
    expect(ratio).toBeLessThan(1.01 * 1.6);
  });

  it('a filled tube bends as tube and core side by side', () => {
    const before = cantilever(tube);
    const core = coreFor(0.021, 'aluminium')!;
    const ratio = lowest(made(before, core, 'inside')) / lowest(before);
    const [full, hollow] = [25 ** 4, 25 ** 4 - 21 ** 4];
    const heavier = 25 ** 2 / (25 ** 2 - 21 ** 2);
    const expected = Math.sqrt(full / hollow / heavier);
    // The vice gives, and holds the tube alone.
    expect(ratio / expected).toBeGreaterThan(0.91);
    expect(ratio / expected).toBeLessThan(1.005);
  });

  it('of half its length is stiffer at the root than at the tip', () => {
    const before = cantilever(flat);
    const at = [
      [0, 0.2],
      [0.2, 0.4],
    ].map(([from, to]) => lowest(made(before, strip, 'over', from, to)));
    expect(at[0]!).toBeGreaterThan(1.2 * lowest(before));
    expect(at[1]!).toBeLessThan(lowest(before));
  });

  it('what does not fit is refused: a round that is slack, a strip wider than its bar, past its end, on a bend', () => {
    const on = (rig: Rig, stock: Stock, lies: 'over' | 'inside', from = 0, to = 0.2) =>
      doubled(rig, { body: 'arm', member: 'extra', target: 'bar', stretch: 0, from, to, lies, stock }).kind;
    expect(on(cantilever(tube), coreFor(0.02, 'oak')!, 'inside')).toBe('refused');
    expect(on(cantilever(flat), stockById('aluminium-40x3')!, 'over')).toBe('refused');
    expect(on(cantilever(flat), strip, 'over', 0.39, 0.5)).toBe('refused');
    expect(on(cantilever(tube), strip, 'over')).toBe('refused');
    expect(coreFor(0.004, 'oak')).toBeNull();
    // A bar made shorter since takes what there is room for.
    expect(on(cantilever(flat, 0.15), strip, 'over', 0, 0.4)).toBe('made');
  });
});

describe('what may be doubled or filled', () => {
  for (const { id } of FAMILIES)
    it(`${id}: each is cut, glued in a step, drilled for the screws it meets, and goes as it came`, () => {
      const rig = rigOf(id);
      const work = workpiece(rig, loadout, kit);
      if (!work.ok) throw new Error(work.reason);
      const outcome = strengthOf({
        assembly: work.work.assembly,
        values: {},
        pose: work.work.rig.poses[0] ?? null,
        bump: 3,
        ranges: false,
      });
      expect(outcome.kind).toBe('solved');
      if (outcome.kind !== 'solved') return;
      for (const { changes } of [doublers, cores].flatMap((s) => s.tries(work.work, outcome.strength))) {
        const design = changedDesign(rig.design, changes, () => 'try');
        const after = workpiece({ ...rig, design }, loadout, kit);
        if (!after.ok) throw new Error(after.reason);
        const { assembly } = after.work;
        const { steps } = buildPlan(design);
        const bought = billOf(stockPlan(after.work.rig, {}, [], 0.0015), assembly, {}).bill.flatMap((b) => b.pieces);
        for (const change of changes) {
          const member = after.work.rig.bodies.flatMap((b) => b.members).find((m) => m.id === change.id)!;
          expect(bought).toContain(member.id);
          expect(steps.some((s) => s.does?.includes(`${member.id}-glue`)))
            .withContext(member.name)
            .toBeTrue();
          const through = after.work.rig.bodies
            .flatMap((b) => b.connections ?? [])
            .filter(
              (c) =>
                c.kind === 'bolted' &&
                (c.inside?.includes(member.id) || c.stack.some((l) => l.kind === 'piece' && l.piece === member.id)),
            );
          expect(member.holes.map((h) => h.by).sort()).toEqual(through.map((c) => c.id).sort());
        }
        // Taken off one by one, nothing of it is left.
        const bare = changes.reduce((d, { id: target }) => withEdit(d, { kind: 'remove', id: 'off', target })!, design);
        expect(bare).toEqual(rig.design);
      }
    });
});
