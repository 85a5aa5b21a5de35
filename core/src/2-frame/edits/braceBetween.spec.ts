import {
  applyEdits,
  braceBetween,
  connectionsOf,
  cornersFor,
  FAMILIES,
  hardwareOf,
  stockById,
  withEdit,
  withoutHardware,
} from '..';
import { dot, length, subtract, unit, type Vec3 } from '../../0-base';
import { buildPlan } from '../../testing/builds';
import { familyInput } from '../family';
import { lotsOf } from '../connections/lots';
import type { Design, Rig } from '../../model';

const STOCK = stockById('aluminium-25x5')!;
const built = (id: string): Rig => {
  const family = FAMILIES.find((f) => f.id === id)!;
  return withoutHardware(family.build(familyInput(family, {}, {}).input));
};
const between = (rig: Rig, body: string, from: string, to: string, folds = false) =>
  braceBetween(rig, { body, from, to, member: 'brace', stock: STOCK, folds });

describe('a bar between two corners that stand already', () => {
  it('lies level on both, its bolts square through it and each fitting, with a nut each', () => {
    const made = between(built('hand-frame'), 'frame', 'low-left', 'high-right');
    if (made.kind !== 'made') throw new Error(JSON.stringify(made.reason));
    const { rig, faults } = hardwareOf(made.rig, null);
    expect(faults).toEqual([]);
    const bolts = connectionsOf(rig, () => 0).filter((c) => c.id.startsWith('brace-bolt'));
    expect(bolts.length).toBe(2);
    for (const bolt of bolts) {
      expect(bolt.screwLength).withContext(bolt.id).not.toBeNull();
      expect(bolt.holes.map((h) => h.piece)).toEqual(['brace', bolt.pieces[1]!]);
      const [bar, fitting] = bolt.holes;
      const off = subtract(fitting!.at, bar!.at);
      expect(Math.abs(dot(unit(off), unit(bar!.axis)))).toBeCloseTo(1, 9);
    }
    const placeOf = (id: string): Vec3 => rig.bodies[0]!.nodes.find((n) => n.id === id)!.at;
    const [low, high, from, to] = ['low-left', 'high-right', 'brace-end-1', 'brace-end-2'].map(placeOf) as [
      Vec3,
      Vec3,
      Vec3,
      Vec3,
    ];
    // As much beyond each bolt, and in line with the corners.
    expect(length(subtract(to, from))).toBeCloseTo(length(subtract(high, low)) + 0.024, 9);
    expect(rig.bodies[0]!.members.find((m) => m.id === 'brace')!.holes.length).toBe(2);
  });

  it('one that folds turns on a lock nut and comes off a wing nut when it is packed', () => {
    const made = between(built('hand-frame'), 'frame', 'low-left', 'low-right', true);
    if (made.kind !== 'made') throw new Error('refused');
    const bolts = made.rig.bodies[0]!.connections!.filter((c) => c.id.startsWith('brace-bolt'));
    expect(bolts.map((c) => c.kind === 'bolted' && [c.end.kind, c.packs ?? false])).toEqual([
      ['lock', false],
      ['wing', true],
    ]);
  });

  it('in any family: made and held by both corners, or refused with a reason', () => {
    let made = 0;
    for (const family of FAMILIES) {
      const rig = built(family.id);
      for (const body of rig.bodies) {
        const corners = cornersFor(body);
        corners.forEach((from, i) =>
          corners.slice(i + 1).forEach((to) => {
            const tried = between(rig, body.id, from, to, i % 2 === 0);
            if (tried.kind === 'refused') return expect(tried.reason.length).toBeGreaterThan(0);
            made++;
            const after = tried.rig.bodies.find((b) => b.id === body.id)!;
            expect(lotsOf(after, tried.rig).length)
              .withContext(`${family.id} ${from} ${to}`)
              .toBe(lotsOf(body, rig).length);
          }),
        );
      }
    }
    expect(made).toBeGreaterThan(20);
  });

  it('goes along when the frame is made larger, is kept while a corner is gone, and goes without a trace', () => {
    const brace = {
      kind: 'brace' as const,
      id: 'b',
      body: 'frame',
      member: 'brace',
      from: 'low-left',
      to: 'high-right',
      stock: STOCK,
      folds: false,
    };
    const design = (side: number): Extract<Design, { kind: 'family' }> => ({
      kind: 'family',
      family: 'hand-frame',
      dimensions: { side: { value: side } },
      choices: {},
      edits: [],
    });
    const [small, large] = [0.15, 0.25].map((side) => withEdit(design(side), brace)!);
    expect(small).not.toBeNull();
    const longOf = (d: Design): number => {
      const { rig } = buildPlan(d);
      const [a, b] = ['brace-end-1', 'brace-end-2'].map((id) => rig.bodies[0]!.nodes.find((n) => n.id === id)!.at);
      return length(subtract(b!, a!));
    };
    expect(longOf(large!)).toBeGreaterThan(longOf(small!) + 0.05);
    const off = withEdit(small!, { kind: 'remove', id: 'r', target: 'brace' })!;
    expect(off.kind === 'family' && off.edits).toEqual([]);
    const { unapplied } = applyEdits(built('gimballed-bent-bar'), [brace]);
    expect(unapplied.length).toBe(1);
  });

  it('is told in steps: sawn, drilled in bar and fittings, bolted on', () => {
    const design: Design = {
      kind: 'family',
      family: 'hand-frame',
      dimensions: {},
      choices: {},
      edits: [
        {
          kind: 'brace',
          id: 'b',
          body: 'frame',
          member: 'brace',
          from: 'low-left',
          to: 'high-right',
          stock: STOCK,
          folds: false,
        },
      ],
    };
    const { steps, blocked } = buildPlan(design);
    expect(blocked).toEqual([]);
    const does = steps.flatMap((s) => s.does ?? []);
    const makes = steps.flatMap((s) => s.makes ?? []);
    for (const corner of ['low-left', 'high-right']) {
      const id = `brace-bolt-joint-${corner}`;
      expect(does.filter((d) => d === id).length)
        .withContext(id)
        .toBe(1);
      expect(makes.filter((m) => m.endsWith(`/hole/${id}`)).length)
        .withContext(id)
        .toBe(2);
    }
  });
});
