import * as fc from 'fast-check';
import load from 'manifold-3d';
import { alignZ, IDENTITY, METRIC, render, unit, type Vec3 } from '../../0-base';
import type { Part, Rig, Shape } from '../../model';
import { holds } from '../../testing/holds';
import { partOf, rigOf } from '../../testing/partsRig';
import { assemble } from '../assemble';
import { withHardware } from '../connections/withHardware';
import { familyInput } from '../family';
import { USUAL_HANDS } from '../hands';
import { FAMILIES } from '../wholeFamilies';
import { insideAnother } from './insideAnother';
import { castOf, sidesOf } from './meshOf';
import { connectionsOf } from '../connections/connectionsOf';
import { printedParts } from '../parts/printed';
import { overlapsOf, type Looked } from './overlaps';
import { printedSolid } from './printedSolid';
import { solidKit, type SolidKit } from './solidKit';

let kit: SolidKit;
beforeAll(async () => {
  kit = solidKit(await load());
});

const box = (size: Vec3): Shape => ({ kind: 'box', size });
const look = (rig: Rig, values: Readonly<Record<string, number>> = {}): Looked =>
  overlapsOf(kit, assemble(withHardware(rig), null), values);
const volume = (shape: Shape): number => {
  const cast = castOf(kit, { shape, at: [0, 0, 0], rotation: IDENTITY })!;
  const solid = cast.bore ? cast.outside.subtract(cast.bore) : cast.outside;
  const found = solid.volume() / 1e9;
  kit.tidy();
  return found;
};

describe('solids', () => {
  it('give back all memory that a look took, whatever a mesh was made by', () => {
    const { Manifold, CrossSection } = kit;
    const cube = Manifold.cube([1, 1, 1]);
    const square = new CrossSection(
      [
        [
          [0, 0],
          [1, 0],
          [1, 1],
        ],
      ],
      'NonZero',
    );
    const made = [
      cube,
      Manifold.cylinder(1, 1),
      Manifold.extrude(square, 1),
      Manifold.union([cube, cube]),
      cube.translate([1, 0, 0]),
      cube.transform([1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 1]),
      cube.subtract(cube),
      cube.intersect(cube),
      cube.trimByPlane([0, 0, 1], 0),
    ];
    square.delete();
    kit.tidy();
    expect(made.map((m) => (m as unknown as { isDeleted(): boolean }).isDeleted())).toEqual(made.map(() => true));
  });

  it('have the volume of what they stand for: exact where flat, a little under where round, bored a little wide', () => {
    expect(volume(box([0.1, 0.02, 0.03]))).toBeCloseTo(6e-5, 12);
    expect(volume({ kind: 'box', size: [0.1, 0.02, 0.03], bore: [0.01, 0.02] })).toBeCloseTo(4e-5, 12);
    const rod = volume({ kind: 'tube', outerRadius: 0.01, innerRadius: 0, length: 0.1 }) / (Math.PI * 1e-4 * 0.1);
    expect([rod < 1, rod > 0.98]).toEqual([true, true]);
    const tube = volume({ kind: 'tube', outerRadius: 0.01, innerRadius: 0.008, length: 0.1 });
    const whole = Math.PI * (1e-4 - 0.64e-4) * 0.1;
    expect([tube < whole, tube > 0.93 * whole]).toEqual([true, true]);
    const arc = volume({ kind: 'arcBar', midRadius: 0.1, thickness: 0.006, width: 0.03, angle: Math.PI });
    expect(arc / (Math.PI * 0.1 * 0.006 * 0.03)).toBeCloseTo(1, 2);
    // No side of a round lies further inside it than is said.
    for (const radius of [0.002, 0.008, 0.03])
      expect(radius * (1 - Math.cos(Math.PI / sidesOf(radius)))).toBeLessThan(5.1e-5);
  });

  it('that overlap by a known block are told so, and those that touch or stand apart are not', () => {
    const cube = box([0.02, 0.02, 0.02]);
    const shared = (x: number): number =>
      look(rigOf([partOf('a', cube, [0, 0, 0]), partOf('b', cube, [x, 0, 0])])).overlaps[0]?.volume ?? 0;
    expect(shared(0.02)).toBe(0);
    expect(shared(0.021)).toBe(0);
    expect(shared(0.019)).toBeCloseTo(0.001 * 4e-4, 12);
    expect(shared(0)).toBeCloseTo(8e-6, 12);
  });

  it('share as much whichever way they are turned and moved together', () => {
    const axis = fc.tuple(
      fc.double({ min: -1, max: 1, noNaN: true }),
      fc.double({ min: -1, max: 1, noNaN: true }),
      fc.double({ min: 0.1, max: 1, noNaN: true }),
    );
    const whole = (way: Vec3): number => {
      const turn = alignZ(unit(way));
      const of = (shape: Shape, at: Vec3) =>
        castOf(kit, {
          shape,
          at: turn.map((r) => r[0] * at[0] + r[1] * at[1] + r[2] * at[2]) as unknown as Vec3,
          rotation: turn,
        })!.outside;
      const found = of(box([0.05, 0.01, 0.02]), [0, 0, 0])
        .intersect(of({ kind: 'tube', outerRadius: 0.008, innerRadius: 0, length: 0.04 }, [0.01, 0.002, 0.003]))
        .volume();
      kit.tidy();
      return found;
    };
    const straight = whole([0, 0, 1]);
    holds(
      fc.property(axis, (way) => Math.abs(whole(way) / straight - 1) < 1e-6),
      { seed: 4, numRuns: 60 },
    );
  });

  it('of round pieces that fit never seem to overlap, at any radius and phase', () => {
    holds(
      fc.property(
        fc.double({ min: 0.001, max: 0.05, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        (radius, phase) => {
          const ring = castOf(kit, {
            shape: { kind: 'tube', outerRadius: 1.5 * radius, innerRadius: radius, length: 0.01 },
            at: [0, 0, 0],
            rotation: IDENTITY,
          })!;
          const [c, s] = [Math.cos(phase), Math.sin(phase)];
          const rod = castOf(kit, {
            shape: { kind: 'tube', outerRadius: radius, innerRadius: 0, length: 0.02 },
            at: [0, 0, 0],
            rotation: [
              [c, -s, 0],
              [s, c, 0],
              [0, 0, 1],
            ],
          })!;
          const shared = ring.outside.subtract(ring.bore!).intersect(rod.outside).volume();
          kit.tidy();
          return shared < 1e-6;
        },
      ),
      { seed: 8, numRuns: 80 },
    );
  });

  it('are where the adjusters put them', () => {
    const rig: Rig = {
      ...rigOf([partOf('a', box([0.02, 0.02, 0.02]), [0, 0, 0]), partOf('b', box([0.02, 0.02, 0.02]), [0.03, 0, 0])]),
      adjusters: [
        {
          id: 'slide',
          name: 'slide',
          kind: 'slide',
          axis: [1, 0, 0],
          range: [-0.02, 0.02],
          step: 0.001,
          value: 0,
          moves: [{ kind: 'part', id: 'b' }],
        },
      ],
    };
    expect(look(rig).overlaps).toEqual([]);
    expect(look(rig, { slide: -0.015 }).overlaps[0]!.volume).toBeCloseTo(0.005 * 4e-4, 12);
  });
});

describe('a printed part', () => {
  const family = FAMILIES.find((f) => f.id === 'printed-phone-frame')!;
  const rig = family.build(family.size(null, USUAL_HANDS));
  const assembly = assemble(rig, null);
  it('is closed, and lacks its holes and the pockets of its nuts', () => {
    const plate = printedParts(rig).find((p) => p.id === 'plate')!;
    const made = printedSolid(kit, assembly, {}, 'plate')!;
    if (plate.shape.kind !== 'box') return fail(plate.shape.kind);
    const nut = rig.bodies.flatMap((b) => b.parts).find((p) => p.id === 'nut-left')!;
    if (nut.shape.kind !== 'tube') return fail(nut.shape.kind);
    const flats = 2 * nut.shape.outerRadius * Math.sqrt(Math.PI / (2 * Math.sqrt(3))) + 0.0004;
    const pockets = 2 * (Math.sqrt(3) / 2) * flats ** 2 * (nut.shape.length + 0.0004);
    const [long, deep, thick] = plate.shape.size;
    const holes = connectionsOf(rig, () => 0)
      .flatMap((c) => c.holes)
      .filter((h) => h.piece === 'plate')
      .reduce((sum, h) => sum + (Math.PI / 4) * h.diameter ** 2 * (h.deep ?? thick), 0);
    // Its slot takes the rest.
    const part = made.volume / (long * deep * thick - pockets - holes);
    expect([part < 1.001, part > 0.98]).toEqual([true, true]);
    // Each edge is shared by two triangles, once each way.
    const edges = new Map<string, number>();
    for (let t = 0; t < made.triangles.length; t += 3)
      for (const [a, b] of [
        [0, 1],
        [1, 2],
        [2, 0],
      ] as const) {
        const [from, to] = [made.triangles[t + a]!, made.triangles[t + b]!];
        const key = `${Math.min(from, to)} ${Math.max(from, to)}`;
        edges.set(key, (edges.get(key) ?? 0) + (from < to ? 1 : -1));
      }
    expect([...edges.values()].every((n) => n === 0)).toBeTrue();
  });
  it('is not made of what is not there', () => expect(printedSolid(kit, assembly, {}, 'nothing')).toBeNull());
});

describe('nothing stands inside another', () => {
  for (const family of FAMILIES)
    it(`in a ${family.name} as it starts, and it is looked at`, () => {
      const rig = family.build(family.size(null, USUAL_HANDS));
      const looked = look(rig);
      expect(looked.pieces).toBeGreaterThan(8);
      expect(looked.clear.length).toBeGreaterThan(8);
      expect(insideAnother(looked, rig).map((f) => render(f.title, METRIC))).toEqual([]);
    });

  it('is denied of a rig whose piece is moved into its neighbour, in every family', () => {
    for (const family of FAMILIES) {
      const rig = family.build(familyInput(family, {}, {}).input);
      const own = rig.bodies.flatMap((b) => b.parts).filter((p) => !p.by && !p.of && !p.uses);
      // Two blocks, or what is slid over a pipe beside it.
      const blocks = own.filter((p) => p.shape.kind === 'box');
      const [first, second] = blocks.length > 1 ? blocks : own;
      const other = second ?? { at: rig.bodies[0]!.nodes[0]!.at };
      const moved: Rig = {
        ...rig,
        bodies: rig.bodies.map((b) => ({
          ...b,
          parts: b.parts.map((p) =>
            p.id === first!.id ? { ...p, at: [other.at[0], other.at[1], other.at[2] + 0.0021] as Vec3 } : p,
          ),
        })),
      };
      expect(overlapsOf(kit, assemble(moved, null), {}).overlaps.some((o) => o.allowedBy === null))
        .withContext(family.id)
        .toBeTrue();
    }
  });

  it('keeps what it has cut: a second look at the same rig cuts nothing anew', () => {
    const family = FAMILIES[0]!;
    const assembly = assemble(family.build(familyInput(family, {}, {}).input), null);
    const memory = new Map<string, number>();
    const first = overlapsOf(kit, assembly, {}, { memory });
    const size = memory.size;
    // What stands to each other as its twins do is asked once.
    expect(size).toBeLessThanOrEqual(first.clear.length + first.overlaps.length);
    expect(size).toBeGreaterThan(10);
    expect(overlapsOf(kit, assembly, {}, { memory })).toEqual(first);
    expect(memory.size).toBe(size);
  });

  it('remembers a pair wherever it is taken to, and not one that is turned or holed otherwise', () => {
    const rigOfPair = (by: Vec3, more: Partial<Part> = {}): Rig =>
      rigOf([
        partOf('a', box([0.04, 0.02, 0.01]), by),
        partOf('b', box([0.03, 0.03, 0.01]), [by[0] + 0.01, by[1], by[2] + 0.005], more),
      ]);
    const memory = new Map<string, number>();
    const at = (rig: Rig) => overlapsOf(kit, assemble(rig, null), {}, { memory });
    const first = at(rigOfPair([0, 0, 0]));
    expect(at(rigOfPair([0.3, -0.2, 0.1])).overlaps[0]!.volume).toBe(first.overlaps[0]!.volume);
    expect(memory.size).toBe(1);
    const turned = at(rigOfPair([0, 0, 0], { turn: [Math.cos(0.2), 0, 0, Math.sin(0.2)] }));
    expect(memory.size).toBe(2);
    expect(turned.overlaps[0]!.volume).not.toBeCloseTo(first.overlaps[0]!.volume, 9);
  });

  it('can be stopped on the way', () => {
    const family = FAMILIES[0]!;
    const assembly = assemble(family.build(familyInput(family, {}, {}).input), null);
    const looked = overlapsOf(kit, assembly, {}, { tell: (done) => done < 3 });
    expect(looked.clear.length + looked.overlaps.length).toBe(3);
  });
});
