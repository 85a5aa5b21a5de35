/** Every family at any size and with any choice: a sound rig, what is a pair mirrored, what can be set there to be set. */
import * as fc from 'fast-check';
import { rig as rigSchema, type Rig } from '../../model';
import { placeLoad, sumsOf } from '../../1-load';
import { assemble, bodiesBeyond, FAMILIES, placedPieces, type Family } from '..';
import { familyInput } from '../family';
import { holds } from '../../testing/holds';
import { kit, loadout } from '../../testing/rigs';

const load = placeLoad(loadout, kit);
interface Sized {
  readonly family: Family;
  readonly rig: Rig;
}
const sized: fc.Arbitrary<Sized> = fc
  .record({
    family: fc.constantFrom(...FAMILIES),
    parts: fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 40, maxLength: 40 }),
    options: fc.array(fc.nat(60), { minLength: 14, maxLength: 14 }),
    which: fc.array(fc.nat(40), { maxLength: 8 }),
  })
  .map(({ family, parts, options, which }) => {
    const dimensions = Object.fromEntries(
      which
        .map((n) => family.dimensions[n % family.dimensions.length]!)
        .map((d, i) => [d.id, { value: d.range[0] + (d.range[1] - d.range[0]) * parts[i]! }]),
    );
    const { input, faults } = familyInput(
      family,
      dimensions,
      Object.fromEntries(family.choices.map((c, i) => [c.id, c.options[options[i]! % c.options.length]!.id])),
    );
    if (faults.length > 0) throw new Error(`${family.name}: ${faults.map((f) => f.id).join()}`);
    return { family, rig: family.build(input) };
  });
/** Ends of every adjuster and places between. */
const setTo = (rig: Rig, part: number): Record<string, number> =>
  Object.fromEntries(
    rig.adjusters.map((a) => {
      const value = a.range[0] + (a.range[1] - a.range[0]) * part;
      return [a.id, a.kind === 'count' ? Math.round(value) : value];
    }),
  );
const elements = (rig: Rig): readonly { readonly id: string; readonly twin?: string | undefined }[] =>
  rig.bodies.flatMap((b) => [...b.nodes, ...b.members, ...b.parts]);

describe('a family at any size', () => {
  it('is a sound rig of bodies that weigh something, with nothing at no place', () => {
    holds(
      fc.property(sized, fc.double({ min: 0, max: 1, noNaN: true }), ({ family, rig }, part) => {
        expect(rigSchema.safeParse(rig).error).withContext(family.name).toBeUndefined();
        const assembly = assemble(rig, load);
        expect(assembly.faults).withContext(family.name).toEqual([]);
        for (const { flat } of placedPieces(assembly, setTo(rig, part))) {
          expect(
            flat.mass > 0 &&
              flat.massSpread >= 0 &&
              [...flat.centre, ...flat.at, ...flat.inertia.flat()].every(Number.isFinite),
          )
            .withContext(`${family.name}: ${flat.name}`)
            .toBeTrue();
          // A body's own inertias about its mass centre: each positive, none more than the other two together.
          const [a, b, c] = [flat.inertia[0][0], flat.inertia[1][1], flat.inertia[2][2]];
          expect(Math.min(a, b, c) >= 0 && Math.max(a, b, c) <= (a + b + c) / 2 + 1e-12)
            .withContext(`${family.name}: ${flat.name}`)
            .toBeTrue();
        }
      }),
      { seed: 71, numRuns: 300 },
    );
  });
  it('names every element once, and pairs only what is there', () => {
    holds(
      fc.property(sized, ({ family, rig }) => {
        const all = elements(rig);
        const ids = all.map((e) => e.id);
        expect(new Set(ids).size).withContext(family.name).toBe(ids.length);
        for (const { id, twin } of all)
          if (twin !== undefined)
            expect(all.find((e) => e.id === twin)?.twin)
              .withContext(`${family.name}: ${id}`)
              .toBe(id);
      }),
      { seed: 72, numRuns: 300 },
    );
  });
  it('mirrors what is a pair: nodes and parts at as much left as right', () => {
    holds(
      fc.property(sized, ({ family, rig }) => {
        for (const body of rig.bodies) {
          const places = new Map([
            ...body.nodes.map((n) => [n.id, n] as const),
            ...body.parts.map((p) => [p.id, p] as const),
          ]);
          for (const [id, { at, twin }] of places) {
            const other = twin === undefined ? null : places.get(twin);
            if (!other) continue;
            const off = [other.at[0] - at[0], other.at[1] + at[1], other.at[2] - at[2]].map(Math.abs);
            expect(Math.max(...off))
              .withContext(`${family.name}: ${id} and ${twin!}`)
              .toBeLessThan(1e-9);
          }
        }
      }),
      { seed: 73, numRuns: 300 },
    );
  });
  it('has for every adjuster something it moves, and stands within its range at the start', () => {
    holds(
      fc.property(sized, ({ family, rig }) => {
        const known = new Set([
          ...rig.bodies.flatMap((b) => [
            b.id,
            ...b.parts.map((p) => p.id),
            ...b.stations.map((s) => s.id),
            ...b.members.map((m) => m.id),
          ]),
          ...rig.pivots.map((p) => p.id),
          ...rig.contacts.map((c) => c.id),
        ]);
        for (const a of rig.adjusters) {
          expect(a.moves.every((m) => known.has(m.id)) && a.moves.length > 0)
            .withContext(`${family.name}: ${a.name}`)
            .toBeTrue();
          expect(
            a.value >= a.range[0] - 1e-12 && a.value <= a.range[1] + 1e-12 && a.range[0] <= a.range[1] && a.step > 0,
          )
            .withContext(`${family.name}: ${a.name}`)
            .toBeTrue();
        }
      }),
      { seed: 74, numRuns: 300 },
    );
  });
  it('moves by its adjusters along their ways: a slide leaves the mass as it is, a count leaves the places', () => {
    holds(
      fc.property(sized, fc.double({ min: 0, max: 1, noNaN: true }), fc.nat(20), ({ family, rig }, part, pick) => {
        if (rig.adjusters.length === 0) return;
        const assembly = assemble(rig, load);
        const a = rig.adjusters[pick % rig.adjusters.length]!;
        const [before, after] = [setTo(rig, part), { ...setTo(rig, part), [a.id]: a.range[1] }].map((values) =>
          placedPieces(assembly, values),
        );
        // A nut or a foot lies on the stack.
        const riders = new Set(rig.bodies.flatMap((b) => b.parts.filter((p) => p.rides).map((p) => p.id)));
        const masses = [before!, after!].map((pieces) => sumsOf(pieces.map((p) => p.flat)).mass);
        if (a.kind !== 'count') expect(masses[1]!).withContext(`${family.name}: ${a.name}`).toBeCloseTo(masses[0]!, 9);
        else {
          expect(masses[1]!)
            .withContext(`${family.name}: ${a.name}`)
            .toBeGreaterThanOrEqual(masses[0]! - 1e-12);
          const places = (pieces: typeof before): string =>
            pieces!
              .filter((p) => !p.flat.id.endsWith('/stack') && !riders.has(p.flat.id))
              .map((p) => p.flat.centre.join())
              .join(';');
          expect(places(after!)).withContext(`${family.name}: ${a.name}`).toBe(places(before!));
        }
      }),
      { seed: 75, numRuns: 300 },
    );
  });
  it('carries its load beyond the joint it hangs on, never below it in the hand', () => {
    holds(
      fc.property(sized, ({ family, rig }) => {
        const pivot = rig.pivots.find((p) => p.kind === 'universal');
        const { pieces } = assemble(rig, load);
        const loaded = pieces.filter((p) => p.isLoad);
        expect(loaded.length).withContext(family.name).toBeGreaterThan(0);
        if (pivot)
          expect(loaded.every((p) => bodiesBeyond(rig, pivot).has(p.body)))
            .withContext(family.name)
            .toBeTrue();
      }),
      { seed: 76, numRuns: 60 },
    );
  });
});
