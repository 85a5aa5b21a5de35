import { FAMILIES, designRig, assemble, placedPieces, FRAME_CHECKS, USUAL_HANDS, withoutHardware } from '..';
import { familyInput } from '../family';
import { rig as rigSchema } from '../../model';
import { placeLoad, sumsOf } from '../../1-load';
import { frameContext, kit, loadout } from '../../testing/rigs';

const load = placeLoad(loadout, kit);

describe('every family', () => {
  it('was found', () => expect(FAMILIES.length).toBeGreaterThanOrEqual(1));

  for (const family of FAMILIES) {
    const usual = familyInput(family, {}, {}).input;
    describe(family.name, () => {
      it('builds a sound rig from its usual dimensions, the same each time', () => {
        const rig = family.build(usual);
        expect(rigSchema.safeParse(rig).error).toBeUndefined();
        expect(JSON.stringify(family.build(usual))).toBe(JSON.stringify(rig));
        expect(sumsOf(placedPieces(assemble(rig, null), {}).map((p) => p.flat)).mass).toBeGreaterThan(0.1);
        expect(assemble(rig, load).faults).toEqual([]);
      });

      it('keeps its identifiers when a dimension changes', () => {
        const stated = (input: typeof usual): string =>
          JSON.stringify(
            withoutHardware(family.build(input)).bodies.map((b) =>
              [...b.members, ...b.parts.filter((p) => !p.of), ...b.stations].map((e) => e.id),
            ),
          );
        /** What each connection that holds brings; a washer that takes up length comes and goes, and a head is a length of its screw. */
        const brought = (input: typeof usual): ReadonlyMap<string, string> => {
          const by = new Map<string, string>();
          for (const p of family.build(input).bodies.flatMap((b) => b.parts))
            if (p.by && !p.of && !p.id.includes('/washer-packing')) by.set(p.by, `${by.get(p.by) ?? ''} ${p.id}`);
          return by;
        };
        const ids = (input: typeof usual): string => stated(input);
        const before = brought(usual);
        for (const spec of family.dimensions)
          for (const value of spec.range)
            for (const [by, all] of brought({ ...usual, dimensions: { ...usual.dimensions, [spec.id]: value } }))
              expect(all)
                .withContext(`${spec.id} ${value}`)
                .toBe(before.get(by) ?? all);
        for (const spec of family.dimensions) {
          for (const value of spec.range)
            expect(ids({ ...usual, dimensions: { ...usual.dimensions, [spec.id]: value } }))
              .withContext(spec.id)
              .toBe(ids(usual));
        }
      });

      it('names every dimension that is out of range, and draws the nearest meanwhile', () => {
        for (const spec of family.dimensions) {
          const { faults, input } = familyInput(family, { [spec.id]: { value: spec.range[1] + 1 } }, {});
          expect(faults.map((f) => f.id))
            .withContext(spec.id)
            .toEqual([spec.id]);
          expect(input.dimensions[spec.id]).toBe(spec.range[1]);
        }
      });

      it('gives finite bodies at the ends of every range and for every choice', () => {
        const inputs = [
          ...family.dimensions.flatMap((d) =>
            d.range.map((value) => ({ ...usual, dimensions: { ...usual.dimensions, [d.id]: value } })),
          ),
          ...family.choices.flatMap((c) =>
            c.options.map((o) => ({ ...usual, choices: { ...usual.choices, [c.id]: o.id } })),
          ),
        ];
        for (const input of inputs) {
          const bodies = placedPieces(assemble(family.build(input), load), {});
          expect(bodies.every((b) => b.flat.mass > 0 && b.flat.centre.every(Number.isFinite))).toBeTrue();
          expect(family.advise(input, family.build(input)).every((f) => f.code.length > 0)).toBeTrue();
        }
      });

      it('sizes itself to the load within its own ranges', () => {
        const sized = family.size(load, USUAL_HANDS);
        for (const spec of family.dimensions)
          expect(sized.dimensions[spec.id]!).withContext(spec.id).toBeGreaterThanOrEqual(spec.range[0]);
        expect(sized.reasons.length).toBeGreaterThan(0);
        const rig = family.build(sized);
        const frame = frameContext(assemble(rig, load), sized.startValues);
        expect(
          [...family.advise(sized, rig), ...FRAME_CHECKS.flatMap((c) => c.look(frame))].filter(
            (f) => f.severity === 'stop',
          ),
        ).toEqual([]);
      });
    });
  }
});

describe('a design', () => {
  const design = { kind: 'family' as const, family: 'gimballed-bent-bar', dimensions: {}, choices: {}, edits: [] };
  it('takes the maker’s edits by identifier and keeps those that find nothing', () => {
    const made = designRig({
      ...design,
      edits: [
        { kind: 'weigh', id: 'e1', target: 'bar', mass: { value: 0.5 } },
        { kind: 'remove', id: 'e2', target: 'grip' },
        { kind: 'weigh', id: 'e3', target: 'sail', mass: { value: 1 } },
      ],
    });
    if (!made.ok) return fail(made.reason);
    expect(made.rig.bodies[1]!.members[0]!.mass!.value).toBe(0.5);
    expect(made.rig.bodies[0]!.parts.map((p) => p.id)).not.toContain('grip');
    expect(made.unapplied.map((e) => e.id)).toEqual(['e3']);
  });
  it('of a family that is not known says so', () => {
    const made = designRig({ ...design, family: 'kelp' });
    expect(made.ok).toBeFalse();
  });
});
