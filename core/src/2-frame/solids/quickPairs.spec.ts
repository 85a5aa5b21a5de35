import * as fc from 'fast-check';
import { alignZ, IDENTITY, rotationAbout, unit, type Vec3 } from '../../0-base';
import { holds } from '../../testing/holds';
import { partOf, rigOf } from '../../testing/partsRig';
import { assemble, placedPieces } from '../assemble';
import { solidGap } from '../clearances/clearance';
import { familyInput } from '../family';
import { FAMILIES } from '../wholeFamilies';
import { pairOf, quickPairs } from './quickPairs';
import { HAIR, reachInto, type Convex } from './reachInto';

const number = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true });
const place = fc.tuple(number(-0.05, 0.05), number(-0.05, 0.05), number(-0.05, 0.05));
const turned = fc
  .tuple(number(-1, 1), number(-1, 1), number(-1, 1), number(0, 3))
  .filter(([x, y, z]) => Math.hypot(x, y, z) > 0.1)
  .map(([x, y, z, by]) => rotationAbout(unit([x, y, z]), by));
const shape: fc.Arbitrary<Convex['shape']> = fc.oneof(
  fc
    .tuple(number(0.004, 0.08), number(0.004, 0.08), number(0.004, 0.08))
    .map((size) => ({ kind: 'box' as const, size: size as unknown as Vec3 })),
  fc
    .tuple(number(0.002, 0.03), number(0.004, 0.1))
    .map(([outerRadius, length]) => ({ kind: 'tube' as const, outerRadius, innerRadius: 0, length })),
);
const body: fc.Arbitrary<Convex> = fc.record({ shape, at: place, rotation: turned });
const grown = ({ shape: s, at, rotation }: Convex, by: number): Convex => ({
  at,
  rotation,
  shape:
    s.kind === 'box'
      ? { kind: 'box', size: s.size.map((x) => x + 2 * by) as unknown as Vec3 }
      : { ...s, outerRadius: s.outerRadius + by, length: s.length + 2 * by },
});

describe('what reaches into what, quickly', () => {
  it('agrees with the gap between the same bodies, either way round', () => {
    holds(
      fc.property(body, body, (a, b) => {
        const meets = reachInto(a, b);
        if (reachInto(b, a) !== meets) return false;
        // By nearest points, on bodies a little smaller and a little larger than those that were asked about.
        const [inner, outer] = [-HAIR - 1e-5, -HAIR + 1e-5].map((by) => solidGap(grown(a, by), grown(b, by)));
        return meets ? outer! < 1e-5 : inner! > 0;
      }),
      { seed: 51, numRuns: 600 },
    );
  });

  it('what only touches does not meet; what reaches in by half a millimetre does', () => {
    const cube = (x: number): Convex => ({
      shape: { kind: 'box', size: [0.01, 0.01, 0.01] },
      at: [x, 0, 0],
      rotation: IDENTITY,
    });
    expect(reachInto(cube(0), cube(0.01))).toBeFalse();
    expect(reachInto(cube(0), cube(0.0095))).toBeTrue();
    expect(reachInto(cube(0), cube(0))).toBeTrue();
    const rod: Convex = {
      shape: { kind: 'tube', outerRadius: 0.004, innerRadius: 0, length: 0.1 },
      at: [0.009, 0, 0],
      rotation: alignZ([0, 1, 0]),
    };
    expect(reachInto(cube(0), rod)).toBeFalse();
    expect(reachInto(cube(0), { ...rod, at: [0.0085, 0, 0] })).toBeTrue();
  });

  it('sees what slides into another, and nothing new while it slides free', () => {
    const fixed = partOf('post', { kind: 'box', size: [0.02, 0.02, 0.2] }, [0, 0, 0]);
    const slider = partOf('slider', { kind: 'tube', outerRadius: 0.01, innerRadius: 0, length: 0.03 }, [0.06, 0, 0]);
    const rig = {
      ...rigOf([fixed, slider]),
      adjusters: [
        {
          id: 's',
          name: 's',
          kind: 'slide' as const,
          axis: [1, 0, 0] as Vec3,
          range: [-0.05, 0.05] as const,
          step: 0.001,
          value: 0,
          moves: [{ kind: 'part' as const, id: 'slider' }],
        },
      ],
    };
    const at = (s: number) => [...quickPairs(rig, placedPieces(assemble(rig, null), { s }))].map(pairOf);
    expect(at(0)).toEqual([]);
    expect(at(-0.039)).toEqual([]);
    expect(at(-0.041)).toEqual([['post', 'slider']]);
  });

  it('of every family, nothing comes into anything as its adjusters go from end to end', () => {
    for (const family of FAMILIES) {
      const rig = family.build(familyInput(family, {}, {}).input);
      const assembly = assemble(rig, null);
      const before = quickPairs(rig, placedPieces(assembly, {}));
      for (const { id, range } of rig.adjusters)
        for (const end of range) {
          const now = quickPairs(rig, placedPieces(assembly, { [id]: end }));
          expect([...now].filter((k) => !before.has(k)).map(pairOf))
            .withContext(`${family.id} ${id}`)
            .toEqual([]);
        }
    }
  });
});
