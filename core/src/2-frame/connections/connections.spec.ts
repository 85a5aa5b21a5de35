import * as fc from 'fast-check';
import {
  applyEdits,
  assemble,
  connectionsOf,
  designRig,
  familyById,
  freed,
  placedPieces,
  withEdit,
  withHardware,
  withoutHardware,
  withoutWeight,
} from '..';
import { IDENTITY, METRIC, render, rotationAbout, type Vec3 } from '../../0-base';
import { flatBody, massCentre, sumsOf, type FlatBody } from '../../1-load';
import type { Design, Edit, Rig, Shape, StatedConnection } from '../../model';
import { rig as rigSchema } from '../../model';
import { holds } from '../../testing/holds';
import { familyInput } from '../family';
import { crossings } from './crossing';
import { hardwareOf } from './withHardware';

const solid = (shape: Shape, at: Vec3 = [0, 0, 0], rotation = IDENTITY): FlatBody =>
  flatBody({ id: 's', name: 's', owner: 's', shape, at, rotation, density: 1000 });
const up = { point: [0, 0, 0] as Vec3, way: [0, 0, 1] as Vec3 };
const close = (found: readonly (readonly [number, number])[], wanted: readonly (readonly [number, number])[]): void => {
  expect(found.length).toBe(wanted.length);
  found.forEach((s, i) => s.forEach((v, k) => expect(v).toBeCloseTo(wanted[i]![k]!, 9)));
};
const post = (choices: Record<string, string> = {}, dimensions: Record<string, number> = {}): Rig => {
  const family = familyById('pipe-post')!;
  const usual = familyInput(family, {}, {}).input;
  const made = family.build({
    dimensions: { ...usual.dimensions, ...dimensions },
    choices: { ...usual.choices, ...choices },
  });
  return withoutHardware(made);
};
const stated = (rig: Rig, id: string): StatedConnection =>
  rig.bodies.flatMap((b) => b.connections ?? []).find((c) => c.id === id)!;
const countsOf = (rig: Rig) => (id: string) => rig.bodies.flatMap((b) => b.stations).find((s) => s.id === id)!.count;
const bolt = (rig: Rig, id: string) => connectionsOf(rig, countsOf(rig)).find((c) => c.id === id)!;

describe('a screw’s axis through solids', () => {
  it('meets a plate by its thickness, a hollow bar by both walls, a bent bar by each limb', () => {
    close(crossings(up, [solid({ kind: 'box', size: [0.1, 0.1, 0.006] })], 0.004), [[-0.003, 0.003]]);
    close(crossings(up, [solid({ kind: 'box', size: [0.1, 0.02, 0.02], bore: [0.016, 0.016] })], 0.004), [
      [-0.01, -0.008],
      [0.008, 0.01],
    ]);
    const limbs = [-0.05, 0.05].map((z) => solid({ kind: 'box', size: [0.1, 0.02, 0.004] }, [0, 0, z]));
    close(crossings(up, limbs, 0.004), [
      [-0.052, -0.048],
      [0.048, 0.052],
    ]);
    expect(crossings({ ...up, point: [0.2, 0, 0] }, limbs, 0.004)).toEqual([]);
  });
  it('bears on the crown of a tube across it, and on the rim of a ring round it; a bore wider than a washer is passed by', () => {
    const across = rotationAbout([0, 1, 0], Math.PI / 2);
    const tube = solid({ kind: 'tube', outerRadius: 0.01, innerRadius: 0.008, length: 0.1 }, [0, 0, 0], across);
    const [near, far] = crossings(up, [tube], 0.004);
    expect(near![0]).toBeCloseTo(-0.01, 9);
    expect(far![1]).toBeCloseTo(0.01, 9);
    close(crossings(up, [solid({ kind: 'tube', outerRadius: 0.02, innerRadius: 0.003, length: 0.006 })], 0.005), [
      [-0.003, 0.003],
    ]);
    expect(
      crossings(up, [solid({ kind: 'tube', outerRadius: 0.02, innerRadius: 0.013, length: 0.006 })], 0.005),
    ).toEqual([]);
  });
  it('meets an arc where its thickness lies, within its angle only', () => {
    const arc = solid({ kind: 'arcBar', midRadius: 0.05, thickness: 0.004, width: 0.02, angle: Math.PI / 2 });
    const out = { point: [0, 0, 0] as Vec3, way: [Math.SQRT1_2, Math.SQRT1_2, 0] as Vec3 };
    close(crossings(out, [arc], 0).slice(0, 1), [[0.048, 0.052]]);
    expect(crossings({ ...out, way: [-1, -1, 0] }, [arc], 0).filter(([a]) => a > 0)).toEqual([]);
  });
  it('finds in any box, turned any way, the same length as walking along it', () => {
    holds(
      fc.property(
        fc.tuple(...[0, 1, 2].map(() => fc.double({ min: 0.005, max: 0.1, noNaN: true }))),
        fc.double({ min: 0, max: 6, noNaN: true }),
        fc
          .tuple(...[0, 1, 2].map(() => fc.double({ min: -1, max: 1, noNaN: true })))
          .filter((v) => Math.hypot(...v) > 0.2),
        (size, turn, axis) => {
          const rotation = rotationAbout(axis as unknown as Vec3, turn);
          const box = solid({ kind: 'box', size: size as unknown as Vec3 }, [0, 0, 0], rotation);
          const inside = (z: number): boolean =>
            [0, 1, 2].every((k) => Math.abs(rotation[2][k]! * z) <= size[k]! / 2 + 1e-12);
          const length = crossings(up, [box], 0).reduce((s, [a, b]) => s + b - a, 0);
          const steps = 2000;
          let walked = 0;
          for (let i = 0; i < steps; i++) if (inside(-0.1 + (0.2 * (i + 0.5)) / steps)) walked += 0.2 / steps;
          expect(Math.abs(length - walked)).toBeLessThan(2.5 * (0.2 / steps));
        },
      ),
      { seed: 1811, numRuns: 100 },
    );
  });
});

describe('hardware a connection brings', () => {
  it('weighs, stands and is bought with the rig, and goes before the rig is kept', () => {
    const stored = post();
    const whole = withHardware(stored);
    const brought = whole.bodies[0]!.parts.filter((p) => p.by === 'weights');
    expect(brought.map((p) => p.id)).toContain('weights/nut');
    const mass = (r: Rig): number => sumsOf(placedPieces(assemble(r, null), {}).map((p) => p.flat)).mass;
    const added = whole.bodies[0]!.parts.filter((p) => p.by).reduce((m, p) => m + p.mass!.value, 0);
    // Holes take a little away.
    expect(mass(whole) - mass(stored)).toBeLessThan(added + 1e-12);
    expect(mass(whole) - mass(stored)).toBeGreaterThan(added - 0.002);
    expect(withoutHardware(whole)).toEqual(stored);
    expect(withHardware(whole)).toEqual(whole);
    expect(rigSchema.safeParse(JSON.parse(JSON.stringify(whole))).success).toBeTrue();
  });
  it('follows its thread in length, washers, holes and mass, its names staying', () => {
    const thicker = (thread: string): Rig => {
      const rig = post({ pipe: 'steel/3/4' });
      return {
        ...rig,
        bodies: rig.bodies.map((b) => ({
          ...b,
          connections: b.connections!.map((c) => (c.kind === 'bolted' && c.id === 'weights' ? { ...c, thread } : c)),
        })),
      };
    };
    const [small, large] = [bolt(thicker('M8'), 'weights'), bolt(thicker('M10'), 'weights')];
    expect(large.hardware).toEqual(small.hardware);
    expect(large.engagement!).toBeGreaterThan(small.engagement!);
    const cap = (c: typeof small): number => c.holes.find((h) => h.piece === 'joint-weight-end')!.diameter;
    expect([cap(small), cap(large)].map((d) => Math.round(d * 1e6))).toEqual([9000, 11000]);
    const nut = (r: Rig): number => withHardware(r).bodies[0]!.parts.find((p) => p.id === 'weights/nut')!.mass!.value;
    expect(nut(thicker('M10'))).toBeGreaterThan(nut(thicker('M8')));
  });
  it('is named the same at other sizes, and its holes are where the pieces are', () => {
    const ids = (r: Rig): readonly string[] =>
      connectionsOf(r, countsOf(r)).flatMap((c) => [c.id, ...c.hardware, ...c.holes.map((h) => h.piece)]);
    expect(ids(post({}, { upperPost: 0.22, lowerPost: 0.33 }))).toEqual(ids(post()));
    for (const c of connectionsOf(post({ carry: 'low' }), () => 1))
      for (const h of c.holes) {
        const off = h.at.map((v, i) => v - c.holes[0]!.at[i]!);
        const along = off.reduce((s, v, i) => s + v * h.axis[i]!, 0);
        expect(Math.hypot(...off.map((v, i) => v - along * h.axis[i]!))).toBeLessThan(1e-9);
      }
  });
  it('a screw into the camera ends short of the bottom of its own thread', () => {
    for (const depth of [0.005, 0.0055, 0.007, 0.009]) {
      const { rig, faults } = hardwareOf(post(), { socketDepth: depth });
      expect(faults).toEqual([]);
      const into = bolt({ ...rig, bodies: withoutHardware(rig).bodies }, 'camera').engagement!;
      expect(into).toBeGreaterThanOrEqual(0.0045 - 1e-9);
      expect(into).toBeLessThanOrEqual(depth - 0.0005 + 1e-9);
    }
  });
  it('goes up the pipe that its cap closes, whatever pipe it is', () => {
    const { options } = familyById('pipe-post')!.choices.find((c) => c.id === 'pipe')!;
    for (const { id } of options)
      for (const choices of [{ pipe: id }, { pipe: id, carry: 'low' }, { pipe: id, discs: '3' }]) {
        const [body] = withHardware(post(choices)).bodies;
        for (const [bolt, pipe] of [
          ['weights', 'lower-post'],
          ['bracket-on-cap', 'upper-post'],
        ] as const) {
          const { section } = body!.members.find((m) => m.id === pipe)!.stock;
          const bore = section.kind === 'tube' ? section.outerDiameter / 2 - section.wall : 0;
          // On the pipe's side of the cap's wall: head, or nut and rod, and what lies under it.
          const inside = body!.parts.filter(
            (p) => p.by === bolt && /screw\.1$|nut-head$|washer-(head|packing)/.test(p.id),
          );
          for (const p of inside)
            if (p.shape.kind === 'tube')
              expect(p.shape.outerRadius)
                .withContext(`${id} ${JSON.stringify(choices)} ${p.id}`)
                .toBeLessThan(bore);
        }
      }
  });
  it('what lies on counted washers goes out with them, by their thickness', () => {
    const assembly = assemble(withHardware(post()), null);
    const at = (id: string, count: number): number =>
      placedPieces(assembly, { 'trim-count': count }).find((p) => p.flat.id === id)!.flat.centre[2];
    const { thickness } = post().bodies[0]!.stations.find((s) => s.id === 'trim')!.washer;
    for (const id of ['foot', 'weights/nut', 'weights/washer-end'])
      expect(at(id, 0) - at(id, 3))
        .withContext(id)
        .toBeCloseTo(3 * thickness, 12);
    expect(at('weights/screw', 3)).toBe(at('weights/screw', 0));
  });
});

describe('a connection under edits', () => {
  const family: Design = { kind: 'family', family: 'pipe-post', dimensions: {}, choices: {}, edits: [] };
  const free = freed(family)!;
  const after = (design: Design, edit: Record<string, unknown>): Design =>
    withEdit(design, { id: 'e', ...edit } as unknown as Edit)!;
  const rigOf = (design: Design): Rig => {
    const made = designRig(design);
    if (!made.ok) throw new Error(made.reason);
    return made.rig;
  };

  it('of a freed rig is kept, not what it brings', () => {
    if (free.kind !== 'free') return fail();
    expect(free.rig.bodies[0]!.parts.some((p) => p.by)).toBeFalse();
    expect(rigOf(free)).toEqual(rigOf(family));
  });
  it('hardware is weighed by what it does there, and goes back to what it is reckoned at', () => {
    for (const design of [family, free]) {
      const edit = { kind: 'weigh', target: 'weights/nut', mass: { value: 0.009, typed: '9 g' } };
      const weighed = after(design, edit);
      const nut = (d: Design): number => rigOf(d).bodies[0]!.parts.find((p) => p.id === 'weights/nut')!.mass!.value;
      expect(nut(weighed)).toBe(0.009);
      expect(nut(withoutWeight(weighed, 'weights/nut'))).toBe(nut(design));
    }
  });
  it('goes along when its piece is moved, and its screw goes when what it held is gone', () => {
    const { rig } = applyEdits(post(), [
      { kind: 'short', id: 'e', target: 'lower-post', end: 0, by: { value: 0.0018 } },
    ]);
    const before = stated(post(), 'weights');
    const moved = stated(rig, 'weights');
    if (before.kind !== 'bolted' || moved.kind !== 'bolted') return fail();
    expect(moved.point[2] - before.point[2]).toBeCloseTo(-0.0018, 12);
    expect(hardwareOf(rig, null).faults).toEqual([]);
    const footless = rigOf(after(free, { kind: 'remove', target: 'foot' }));
    expect(bolt(footless, 'weights').stack!.map((l) => l.piece)).not.toContain('foot');
    const capless = rigOf(after(free, { kind: 'remove', target: 'joint-weight-end' }));
    expect(capless.bodies[0]!.parts.some((p) => p.by === 'weights')).toBeFalse();
  });
  it('that holds air, misses its piece, or has no thread says so in words, with nothing that is no number', () => {
    const broken = (
      change: (c: Extract<StatedConnection, { kind: 'bolted' }>) => StatedConnection,
      moved = 0,
    ): string => {
      const rig = post();
      const made = hardwareOf(
        {
          ...rig,
          bodies: rig.bodies.map((b) => ({
            ...b,
            parts: b.parts.map((p) =>
              p.id === 'foot' ? { ...p, at: [p.at[0], p.at[1], p.at[2] - moved] as Vec3 } : p,
            ),
            connections: b.connections!.map((c) => (c.kind === 'bolted' && c.id === 'weights' ? change(c) : c)),
          })),
        },
        null,
      );
      const sums = sumsOf(placedPieces(assemble(made.rig, null), {}).map((p) => p.flat));
      expect([sums.mass, ...massCentre(sums)].every(Number.isFinite)).toBeTrue();
      return made.faults.map((f) => render(f.reason, METRIC)).join(' ');
    };
    expect(broken((c) => c)).toBe('');
    expect(broken((c) => c, 0.02)).toContain('20 mm of air before the dished foot washer');
    expect(broken((c) => c, -0.003)).toContain('stands 3 mm inside what lies before it');
    expect(broken((c) => ({ ...c, point: [0.2, 0, 0] }))).toContain('does not pass through the cap');
    expect(broken((c) => ({ ...c, way: [0, 0, 0] }))).toContain('which way');
    expect(broken((c) => ({ ...c, thread: '5/16-18', stack: [c.stack[0]!], washer: 'flat' }))).toBe('');
    expect(broken((c) => ({ ...c, thread: 'M77' }))).toContain('“M77” is no thread');
    expect(broken((c) => ({ ...c, stack: [...c.stack, { kind: 'piece', piece: 'gone' }] }))).toContain(
      'not on this rig any more',
    );
  });
});
