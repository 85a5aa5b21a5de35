import fc from 'fast-check';
import { addSums, NO_SUMS, scaleSums, type Sums } from '../../1-load';
import { bodiesBeyond, familyById, pivotAt, valuesInOrder } from '../../2-frame';
import { workpiece } from '../derive';
import { startRig } from '../startRig';
import { sourceOf } from '../../0-base';
import { massId } from '../../3-balance';
import { holds } from '../../testing/holds';
import { kit, loadout, wants } from '../../testing/rigs';
import { asLearned, figuresOf, fromHere, carriedAt, withUnsureLoad } from './unsure';

function rigOf(family: string) {
  const start = startRig(familyById(family)!, loadout, kit, wants);
  const made = workpiece({ design: start.design }, loadout, kit);
  if (!made.ok) throw new Error(made.reason);
  const assembly = withUnsureLoad(made.work.assembly);
  const pivot = assembly.rig.pivots.find((p) => p.kind === 'universal')!;
  const beyond = bodiesBeyond(assembly.rig, pivot);
  return {
    assembly,
    at: (set: Readonly<Record<string, number>>, of = assembly) =>
      carriedAt(
        of,
        { carries: beyond, at: (s) => pivotAt(of.rig, pivot, valuesInOrder(of.rig, s)), mayLack: true },
        set,
      ),
  };
}
const rigs = ['gimballed-bent-bar', 'balance-arm', 'tube-frame'].map(rigOf);
const someRig = fc.nat(rigs.length - 1);
/** Somewhere between the ends of every adjuster. */
const setOf = (rig: (typeof rigs)[number], part: number): Record<string, number> =>
  Object.fromEntries(
    rig.assembly.rig.adjusters.map((a, i) => {
      const value = a.range[0] + (a.range[1] - a.range[0]) * ((part * (i + 1)) % 1);
      return [a.id, a.kind === 'count' ? Math.round(value) : value];
    }),
  );
const places = ({ mass, first }: Sums): readonly number[] => [mass, ...first];

describe('what is unsure of a rig that hangs', () => {
  it('a figure moved by a little changes the sums as said, wherever the slides stand', () => {
    holds(
      fc.property(someRig, fc.double({ min: 0, max: 1, noNaN: true }), fc.nat(200), (n, part, pick) => {
        const rig = rigs[n]!;
        const set = setOf(rig, part);
        const here = rig.at(set);
        const figures = figuresOf(here).filter((f) => !/^mass centre of \d+ ×/.test(f.source));
        const { id } = figures[pick % figures.length]!;
        const off = 1e-3;
        const moved = places(rig.at(set, asLearned(rig.assembly, new Map([[id, off]]))).base);
        const said = places(addSums(here.base, scaleSums(here.changes.get(id)!, off)));
        return moved.every((x, i) => Math.abs(x - said[i]!) < 1e-12);
      }),
      { seed: 21, numRuns: 60 },
    );
  });
  it('nothing learned leaves the rig as it was', () => {
    for (const { assembly, at } of rigs)
      expect(places(at({}, asLearned(assembly, new Map())).base)).toEqual(places(at({}).base));
  });
  it('a slide carries with it what is unsure of the camera', () => {
    const [{ at }] = rigs as [(typeof rigs)[number]];
    const heavier = (set: Record<string, number>): number => {
      const { changes } = at(set);
      const { mass, first } = changes.get(massId(sourceOf('mass of Heron body', 'cam')))!;
      return first[0] / mass;
    };
    expect(heavier({ 'stage-fore-aft': 0.02 }) - heavier({ 'stage-fore-aft': -0.01 })).toBeCloseTo(0.03, 9);
  });
  it('a mass is never learned to be less than nothing', () => {
    const [{ assembly }] = rigs as [(typeof rigs)[number]];
    const learned = asLearned(assembly, new Map([[massId(sourceOf('mass of Heron body', 'cam')), -1e3]]));
    for (const p of learned.pieces) expect(p.flat.mass).toBeGreaterThanOrEqual(0);
  });
  it('is carried to another point and back', () => {
    const place = fc.tuple(
      ...([0, 1, 2].map(() => fc.double({ min: -1, max: 1, noNaN: true })) as [
        fc.Arbitrary<number>,
        fc.Arbitrary<number>,
        fc.Arbitrary<number>,
      ]),
    );
    holds(
      fc.property(place, place, fc.double({ min: -1, max: 1, noNaN: true }), (p, first, mass) => {
        const sums: Sums = { ...NO_SUMS, mass, first };
        const back = fromHere(fromHere(sums, p), [-p[0], -p[1], -p[2]]);
        return (
          places(back).every((x, i) => Math.abs(x - places(sums)[i]!) < 1e-12) &&
          back.inertia.every((row) => row.every((x) => Math.abs(x) < 1e-12))
        );
      }),
      { seed: 22 },
    );
  });
});
