/** Everything that can be added to a rig, added to a rig of every family: it is there, weighs something, and can be taken off again. */
import * as fc from 'fast-check';
import { rig as rigSchema, type Design, type Edit } from '../../model';
import { sumsOf } from '../../1-load';
import {
  assemble,
  BORROWED,
  designRig,
  FAMILIES,
  PART_LIBRARY,
  placedPieces,
  STOCK_OPTIONS,
  stockById,
  WASHERS,
} from '..';
import { withEdit } from '../edits/withEdit';
import { holds } from '../../testing/holds';

const designs = FAMILIES.map((f): Design => ({ kind: 'family', family: f.id, dimensions: {}, choices: {}, edits: [] }));
const rigOf = (design: Design) => {
  const made = designRig(design);
  if (!made.ok) throw new Error(made.reason);
  expect(made.unapplied).toEqual([]);
  expect(rigSchema.safeParse(made.rig).error).toBeUndefined();
  return made.rig;
};
const massOf = (design: Design): number =>
  sumsOf(placedPieces(assemble(rigOf(design), null), {}).map((p) => p.flat)).mass;
const changed = (design: Design, edits: readonly Edit[]): Design =>
  edits.reduce<Design>((made, e) => {
    const next = withEdit(made, e);
    if (!next) throw new Error(`${e.kind} was refused`);
    return next;
  }, design);
const anyDesign = fc.nat(designs.length - 1).map((n) => designs[n]!);
const place = fc.tuple(
  ...([0, 1, 2].map(() => fc.integer({ min: -200, max: 200 }).map((n) => n / 1000)) as [
    fc.Arbitrary<number>,
    fc.Arbitrary<number>,
    fc.Arbitrary<number>,
  ]),
);

describe('what can be added to a rig', () => {
  it('has a name and an id of its own', () => {
    for (const list of [PART_LIBRARY, BORROWED, STOCK_OPTIONS]) {
      expect(new Set(list.map((e) => e.id)).size).toBe(list.length);
      expect(list.every((e) => e.name.length > 2)).toBeTrue();
    }
    for (const { id } of STOCK_OPTIONS) expect(stockById(id)?.sold.length).withContext(id).toBeGreaterThan(0);
  });
  it('a part is there, heavier by itself, where it was put; taken off, all is as before', () => {
    holds(
      fc.property(anyDesign, fc.nat(PART_LIBRARY.length - 1), place, (design, n, at) => {
        const kind = PART_LIBRARY[n]!;
        const body = rigOf(design).bodies.at(-1)!;
        const id = 'new-part';
        const added = changed(design, [{ kind: 'add', id: 'e1', body: body.id, part: kind.make(id, at) }]);
        const found = rigOf(added)
          .bodies.flatMap((b) => b.parts)
          .find((p) => p.id === id);
        expect(found).withContext(kind.name).toBeDefined();
        expect(massOf(added)).withContext(kind.name).toBeGreaterThan(massOf(design));
        expect(massOf(changed(added, [{ kind: 'remove', id: 'e2', target: id }])))
          .withContext(kind.name)
          .toBeCloseTo(massOf(design), 12);
      }),
      { seed: 81, numRuns: 80 },
    );
  });
  it('a borrowed piece brings where it is held and a pose for it, and both go with it', () => {
    holds(
      fc.property(anyDesign, fc.nat(BORROWED.length - 1), place, (design, n, near) => {
        const piece = BORROWED[n]!;
        const rig = rigOf(design);
        const body = rig.bodies.at(-1)!.id;
        const { parts, contact, pose } = piece.make('lent', body, near, rig);
        const added = changed(
          design,
          parts.map((part, i): Edit => ({
            kind: 'add',
            id: `e${i}`,
            body,
            part,
            ...(i === 0 ? { hold: { contact, pose } } : {}),
          })),
        );
        const after = rigOf(added);
        expect(after.contacts.some((c) => c.id === contact.id))
          .withContext(piece.name)
          .toBeTrue();
        expect(
          after.poses
            .find((p) => p.id === pose.id)
            ?.contacts.every((c) => after.contacts.some((have) => have.id === c)),
        )
          .withContext(piece.name)
          .toBeTrue();
        const gone = rigOf(
          changed(
            added,
            parts.map((p, i): Edit => ({ kind: 'remove', id: `r${i}`, target: p.id })),
          ),
        );
        expect(gone.contacts.map((c) => c.id))
          .withContext(piece.name)
          .toEqual(rig.contacts.map((c) => c.id));
        expect(gone.poses.map((p) => p.id))
          .withContext(piece.name)
          .toEqual(rig.poses.map((p) => p.id));
      }),
      { seed: 82, numRuns: 60 },
    );
  });
  it('a bar of any stock stands from its corner to where it goes, and weighs as its length', () => {
    holds(
      fc.property(anyDesign, fc.nat(STOCK_OPTIONS.length - 1), fc.integer({ min: 50, max: 900 }), (design, n, mm) => {
        const rig = rigOf(design);
        const body = rig.bodies.find((b) => b.nodes.length > 0);
        if (!body) return;
        const stock = stockById(STOCK_OPTIONS[n]!.id)!;
        const [corner] = body.nodes;
        const bar = (long: number): Design =>
          changed(design, [
            {
              kind: 'addMember',
              id: 'e1',
              body: body.id,
              nodes: [{ id: 'new-end', at: [corner!.at[0], corner!.at[1], corner!.at[2] + long] }],
              joints: [],
              member: {
                id: 'new-bar',
                name: stock.name,
                from: corner!.id,
                to: 'new-end',
                stock,
                path: { kind: 'straight', widthDirection: [0, 1, 0] },
                leftLong: 0,
                holes: [],
              },
            },
          ]);
        // What the fittings at its corner take off is the same for all: each further length weighs alike.
        const [one, two, three] = [1, 2, 3].map((n) => massOf(bar((n * mm) / 1000))) as [number, number, number];
        expect(two - one)
          .withContext(stock.name)
          .toBeGreaterThan(0);
        expect((three - two) / (two - one))
          .withContext(stock.name)
          .toBeCloseTo(1, 6);
      }),
      { seed: 83, numRuns: 80 },
    );
  });
  it('a bolt for washers is set by a count of its own, and each washer weighs the same', () => {
    holds(
      fc.property(anyDesign, fc.constantFrom(...Object.keys(WASHERS)), place, (design, id, seat) => {
        const { boltDiameter, ...washer } = WASHERS[id]!;
        const body = rigOf(design).bodies.at(-1)!.id;
        const most = Math.floor(0.04 / washer.thickness + 1e-9);
        const added = changed(design, [
          {
            kind: 'addStation',
            id: 'e1',
            body,
            countMost: most,
            station: {
              id: 'new-bolt',
              name: 'Washers',
              seat,
              axis: [0, 0, -1],
              boltDiameter,
              room: 0.04,
              washer,
              count: 0,
            },
          },
        ]);
        const rig = rigOf(added);
        const counter = rig.adjusters.find((a) => a.kind === 'count' && a.moves.some((m) => m.id === 'new-bolt'))!;
        expect(counter.range).withContext(id).toEqual([0, most]);
        const weigh = (count: number): number =>
          sumsOf(placedPieces(assemble(rig, null), { [counter.id]: count }).map((p) => p.flat)).mass;
        const each = weigh(1) - weigh(0);
        expect(each).withContext(id).toBeGreaterThan(0);
        expect(weigh(most) - weigh(0))
          .withContext(id)
          .toBeCloseTo(most * each, 9);
      }),
      { seed: 84, numRuns: 50 },
    );
  });
});
