import * as fc from 'fast-check';
import { cutLengthOf, fittingFor, jointFacts, memberEnds, pipeOf, pipework, PIPE_SYSTEMS } from '..';
import { rotationAbout, transform, unit, type Vec3 } from '../../0-base';
import { FITTINGS, HOLDS } from '../../model';

const { system, size } = pipeOf('pvc/1/2');
const steel = pipeOf('steel/1/2');

describe('the fitting where pipes meet', () => {
  it('is found from their directions', () => {
    const ways: readonly [string, readonly Vec3[]][] = [
      ['cap', [[1, 0, 0]]],
      [
        'coupling',
        [
          [1, 0, 0],
          [-2, 0, 0],
        ],
      ],
      [
        'elbow90',
        [
          [1, 0, 0],
          [0, 0, 3],
        ],
      ],
      [
        'elbow45',
        [
          [1, 0, 0],
          [-1, 1, 0],
        ],
      ],
      [
        'tee',
        [
          [0, 1, 0],
          [0, -1, 0],
          [0, 0, 1],
        ],
      ],
      [
        'sideOutlet',
        [
          [1, 0, 0],
          [0, 1, 0],
          [0, 0, -1],
        ],
      ],
      [
        'cross',
        [
          [1, 0, 0],
          [-1, 0, 0],
          [0, 1, 0],
          [0, -1, 0],
        ],
      ],
      [
        'fourWay',
        [
          [1, 0, 0],
          [-1, 0, 0],
          [0, 1, 0],
          [0, 0, 1],
        ],
      ],
    ];
    for (const [fitting, directions] of ways) {
      const found = fittingFor(system, size, directions);
      expect(found.kind === 'fits' ? found.fitting : found.kind)
        .withContext(fitting)
        .toBe(fitting);
    }
  });

  it('does not depend on how the whole is turned or in what order the pipes are named', () => {
    expect(() =>
      fc.assert(
        fc.property(
          fc.double({ min: -3, max: 3, noNaN: true }),
          fc.tuple(
            fc.double({ min: -1, max: 1, noNaN: true }),
            fc.double({ min: -1, max: 1, noNaN: true }),
            fc.double({ min: 0.1, max: 1, noNaN: true }),
          ),
          fc.shuffledSubarray(
            [
              [1, 0, 0],
              [-1, 0, 0],
              [0, 1, 0],
            ] as Vec3[],
            { minLength: 3 },
          ),
          (angle, axis, ways) => {
            const turn = rotationAbout(unit(axis), angle);
            const found = fittingFor(
              system,
              size,
              ways.map((w) => transform(turn, w)),
            );
            return found.kind === 'fits' && found.fitting === 'tee' && found.hub.sockets.length === 3;
          },
        ),
        { numRuns: 200, seed: 4 },
      ),
    ).not.toThrow();
  });

  it('names the pipe in the way, how far to turn it, and what takes the rest', () => {
    const found = fittingFor(system, size, [
      [0, 1, 0],
      [0, -1, 0],
      [0, 0.5, 1],
    ]);
    if (found.kind === 'fits') return fail('a tee at an odd angle');
    expect(found.inTheWay).toBe(2);
    expect(found.without).toBe('coupling');
    expect(found.nearest!.fitting).toBe('tee');
    expect(found.nearest!.turn).toBeCloseTo(Math.atan(0.5), 6);
  });

  it('is refused where the system has none: steel has no four-way', () => {
    const four = fittingFor(steel.system, steel.size, [
      [1, 0, 0],
      [-1, 0, 0],
      [0, 1, 0],
      [0, 0, 1],
    ]);
    expect(four.kind).toBe('none');
    expect(four.kind === 'none' && four.without).toBe('tee');
    expect(
      fittingFor(system, size, [
        [1, 0, 0],
        [-1, 0, 0],
        [0, 1, 0],
        [0, -1, 0],
        [0, 0, 1],
      ]).kind,
    ).toBe('none');
  });

  it('has a take-off, a socket and facts in every system and for every way of holding', () => {
    expect(PIPE_SYSTEMS.length).toBeGreaterThanOrEqual(6);
    for (const s of PIPE_SYSTEMS) {
      for (const one of s.sizes) {
        expect(one.depth).toBeGreaterThan(0.005);
        expect(one.takeOff.square).withContext(one.stock.name).toBeGreaterThan(one.takeOff.half);
        expect(one.stock.source).toContain('measure yours');
      }
    }
    for (const fitting of FITTINGS) expect(jointFacts({ fitting }).minutes).toBeGreaterThan(0);
    for (const hold of HOLDS) expect(jointFacts({ fitting: 'tee', hold }).tool).not.toBe('');
  });
});

describe('pipework', () => {
  const ring = (shortBy: number) =>
    pipework({
      pipe: { system, size },
      start: { node: 'a', at: [0, 0, 0] },
      short: { value: shortBy, spread: 0 },
      runs: [
        { id: 'ab', name: 'ab', from: 'a', to: 'b', direction: [1, 0, 0], cut: 0.2 },
        { id: 'bc', name: 'bc', from: 'b', to: 'c', direction: [0, 0, 1], cut: 0.1 },
        { id: 'cd', name: 'cd', from: 'c', to: 'd', direction: [-1, 0, 0], cut: 0.2 },
        { id: 'da', name: 'da', from: 'd', to: 'a', direction: [0, 0, -1], cut: 0.1 },
      ],
    });

  it('lays nodes by cut lengths and take-offs, and its members saw back to those cuts', () => {
    const made = ring(0);
    expect(made.at('b')[0]).toBeCloseTo(0.2 + 2 * size.takeOff.square, 12);
    expect(made.gap).toBeLessThan(1e-12);
    for (const m of made.members)
      expect(cutLengthOf(m, made as never)).toBeCloseTo(m.id === 'ab' || m.id === 'cd' ? 0.2 : 0.1, 12);
    expect(made.joints.every((j) => j.fitting === 'elbow90' && j.hub)).toBeTrue();
  });

  it('grows by what stands short of home, and the cuts stay', () => {
    const made = ring(0.003);
    expect(made.at('b')[0]).toBeCloseTo(0.2 + 2 * size.takeOff.square + 0.006, 12);
    expect(cutLengthOf(made.members[0]!, made as never)).toBeCloseTo(0.2, 12);
    const nodes = new Map(made.nodes.map((n) => [n.id, n.at]));
    expect(memberEnds(made.members[0]!, nodes, made.joints).from.shortBy).toBe(0.003);
  });

  it('tells how far a ring is from closing', () => {
    const odd = pipework({
      pipe: { system, size },
      start: { node: 'a', at: [0, 0, 0] },
      runs: [
        { id: 'ab', name: '', from: 'a', to: 'b', direction: [1, 0, 0], cut: 0.2 },
        { id: 'bc', name: '', from: 'b', to: 'c', direction: [0, 0, 1], cut: 0.1 },
        { id: 'cd', name: '', from: 'c', to: 'd', direction: [-1, 0, 0], cut: 0.196 },
        { id: 'da', name: '', from: 'd', to: 'a', direction: [0, 0, -1], cut: 0.1 },
      ],
    });
    expect(odd.gap).toBeCloseTo(0.004, 9);
  });
});
