import * as fc from 'fast-check';
import { add, cross, dot, length, materialOf, scale, subtract, unit, type Vec3 } from '../../0-base';
import { massCentre, sumsOf } from '../../1-load';
import { rig as rigSchema, type Design, type Edit } from '../../model';
import { holds } from '../../testing/holds';
import { plainRig } from '../../testing/rigs';
import { applyEdits } from '../edits/applyEdits';
import { assemble } from '../assemble';
import { changedDesign } from '../edits/changedDesign';
import { fastenerId, homeOf, outrigger, outriggerBodies, outriggerId, type OutriggerInput } from './outrigger';

const mm = (least: number, most: number) => fc.integer({ min: least, max: most }).map((n) => n / 1000);
const place: fc.Arbitrary<Vec3> = fc.tuple(mm(-200, 200), mm(-200, 200), mm(-200, 200));
const way: fc.Arbitrary<Vec3> = fc
  .tuple(
    fc.double({ min: -1, max: 1, noNaN: true }),
    fc.double({ min: -1, max: 1, noNaN: true }),
    fc.double({ min: -1, max: 1, noNaN: true }),
  )
  .filter((v) => length(v) > 0.2)
  .map((v) => unit(v));
const weight = fc
  .record({
    seat: place,
    axis: way,
    boltDiameter: fc.constantFrom(0.006, 0.008, 0.01, 0.012),
    washerRadius: mm(12, 20),
  })
  .map((w): OutriggerInput['weight'] => ({ id: 'foot', name: 'Foot', ...w }));
const square = (axis: Vec3): Vec3 => unit(cross(axis, Math.abs(axis[1]) < 0.9 ? [0, 1, 0] : [1, 0, 0]));
const near = (a: Vec3, b: Vec3, within = 1e-9): boolean => length(subtract(a, b)) < within;

describe('an outrigger', () => {
  it('is a strip flat on the face, with the weight on it as far off as asked and only its thickness higher', () => {
    holds(
      fc.property(weight, mm(45, 200), (w, far) => {
        const by = scale(square(w.axis), far);
        const made = outrigger({ weight: w, by, onto: 'bar' })!;
        const lifted = subtract(made.seat, add(w.seat, by));
        const [start, end] = made.nodes;
        // Both holes clear of the ends, the weight's over its new place.
        const [first, second] = made.member.holes;
        const long = length(subtract(end.at, start.at));
        const hole = (along: number): Vec3 => add(start.at, scale(unit(subtract(end.at, start.at)), along));
        return (
          near(lifted, scale(unit(w.axis), 0.005)) &&
          near(cross(unit(by), unit(subtract(end.at, start.at))), [0, 0, 0]) &&
          first!.along >= 1.5 * first!.diameter - 1e-12 &&
          long - second!.along >= 1.5 * second!.diameter - 1e-9 &&
          near(cross(subtract(hole(first!.along), w.seat), w.axis), [0, 0, 0]) &&
          near(cross(subtract(hole(second!.along), made.seat), w.axis), [0, 0, 0]) &&
          Math.abs(dot(hole(first!.along), unit(w.axis)) - dot(w.seat, unit(w.axis)) - 0.0025) < 1e-9
        );
      }),
      { seed: 3, numRuns: 200 },
    );
  });
  it('along the bolt is a rod of its thread from the old face to the new, joined by a long nut', () => {
    holds(
      fc.property(
        weight,
        mm(-200, 200).filter((x) => Math.abs(x) > 0.036),
        (w, far) => {
          const by = scale(unit(w.axis), far);
          const made = outrigger({ weight: w, by, onto: 'bar' })!;
          const section = made.member.stock.section;
          return (
            section.kind === 'rod' &&
            section.diameter === w.boltDiameter &&
            near(made.seat, add(w.seat, by)) &&
            near(made.nodes[0].at, w.seat) &&
            near(made.nodes[1].at, made.seat) &&
            made.fastener.name.startsWith('long nut')
          );
        },
      ),
      { seed: 4, numRuns: 100 },
    );
  });
  it('there is none where the washers would meet the bolt that holds it, nor for a thread no rod has', () => {
    const w: OutriggerInput['weight'] = {
      id: 'foot',
      name: 'Foot',
      seat: [0, 0, 0],
      axis: [0, 0, 1],
      boltDiameter: 0.01,
      washerRadius: 0.015,
    };
    expect(outrigger({ weight: w, by: [0.02, 0, 0], onto: '' })).toBeNull();
    expect(outrigger({ weight: w, by: [0, 0, 0], onto: '' })).toBeNull();
    expect(outrigger({ weight: w, by: [0, 0, 0.02], onto: '' })).toBeNull();
    expect(outrigger({ weight: { ...w, boltDiameter: 0.011 }, by: [0, 0, 0.1], onto: '' })).toBeNull();
    expect(outrigger({ weight: { ...w, boltDiameter: 0.011 }, by: [0.1, 0, 0], onto: '' })).not.toBeNull();
  });
  it('weighs what its strip and bolt do, between the old place and the new', () => {
    const made = outrigger({
      weight: { id: 'foot', name: 'Foot', seat: [0, 0, 0], axis: [0, 0, 1], boltDiameter: 0.01, washerRadius: 0.015 },
      by: [-0.12, 0, 0],
      onto: 'bar',
    })!;
    const sums = sumsOf(outriggerBodies(made));
    const strip = (0.12 + 2 * 1.5 * 0.0105) * 0.025 * 0.005 * materialOf('aluminium')!.density;
    const bolt = Math.PI * 0.005 ** 2 * (0.005 + 0.01 + 0.012) * materialOf('steel')!.density;
    expect(sums.mass).toBeCloseTo(strip + bolt, 9);
    expect(massCentre(sums)[0]).toBeCloseTo((strip * -0.06) / (strip + bolt), 9);
  });
});

describe('a rig with a weight carried away', () => {
  const station = plainRig.bodies[1]!.stations[0]!;
  const w: OutriggerInput['weight'] = {
    id: station.id,
    name: station.name,
    seat: station.seat,
    axis: station.axis,
    boltDiameter: station.boltDiameter,
    washerRadius: station.washer.outerRadius,
  };
  const free: Design = { kind: 'free', rig: plainRig };
  let n = 0;
  const carried = (design: Design, by: Vec3, again = false): Design =>
    changedDesign(
      design,
      [{ kind: 'carry', id: w.id, body: 'rod', onto: 'post', by, again, weight: w }],
      () => `c${++n}`,
    );
  const rigOf = (design: Design) => (design.kind === 'free' ? design.rig : plainRig);

  it('has it as the drawing says, sound, and knows where the weight was and how far it went', () => {
    holds(
      fc.property(
        fc.constantFrom<Vec3>([0.1, 0, 0], [0, -0.08, 0], [0.06, 0.09, 0], [0, 0, -0.05], [0, 0, 0.07]),
        (by) => {
          const rig = rigOf(carried(free, by));
          expect(rigSchema.safeParse(rig).error).toBeUndefined();
          const home = homeOf(station, rig)!;
          expect(home.onto).toBe('post');
          expect(near(home.seat, station.seat) && near(home.by, by))
            .withContext(by.join())
            .toBeTrue();
          const more = outriggerBodies(outrigger({ weight: w, by, onto: 'post' })!);
          expect(
            assemble(rig, null)
              .pieces.filter((p) => p.flat.owner.startsWith('outrigger'))
              .map(({ flat: { owner, mass, centre } }) => ({ owner, mass, centre })),
          ).toEqual(more.map(({ owner, mass, centre }) => ({ owner, mass, centre })));
        },
      ),
      { seed: 5, numRuns: 20 },
    );
    expect(homeOf(station, plainRig)).toBeNull();
  });
  it('carried on has one strip from where it was, and not two', () => {
    const rig = rigOf(carried(carried(free, [0.1, 0, 0]), [0.15, 0.05, 0], true));
    const body = rig.bodies[1]!;
    expect(body.members.filter((m) => m.id === outriggerId(w.id))).toHaveSize(1);
    expect(body.parts.filter((p) => p.id === fastenerId(w.id))).toHaveSize(1);
    expect(body.nodes.filter((m) => m.id.startsWith('outrigger'))).toHaveSize(2);
    expect(near(homeOf(station, rig)!.by, [0.15, 0.05, 0])).toBeTrue();
  });
});

describe('a member bolted on', () => {
  const slide = {
    id: 'slide',
    name: 'Slide',
    kind: 'slide' as const,
    axis: [1, 0, 0] as const,
    range: [-0.02, 0.02] as const,
    step: 0,
    value: 0,
    moves: [{ kind: 'part' as const, id: 'plate' }],
  };
  const rig = { ...plainRig, adjusters: [slide] };
  const made = outrigger({
    weight: { id: 'x', name: 'X', seat: [0, 0, 0.11], axis: [0, 0, 1], boltDiameter: 0.006, washerRadius: 0.012 },
    by: [0.08, 0, 0],
    onto: 'plate',
  })!;
  const edits = (joins: readonly string[]): readonly Edit[] => [
    { kind: 'add', id: 'a', body: 'rod', part: made.fastener },
    {
      kind: 'addMember',
      id: 'b',
      body: 'rod',
      nodes: [...made.nodes],
      member: made.member,
      joints: [{ ...made.joint, joins: [...joins] }],
    },
  ];
  const movedBySlide = (joins: readonly string[]): readonly string[] =>
    applyEdits(rig, edits(joins)).rig.adjusters[0]!.moves.map((m) => `${m.kind} ${m.id}`);
  it('goes with what a slide moves, with its own bolt', () => {
    expect(movedBySlide(made.joint.joins)).toEqual([
      'part plate',
      `member ${made.member.id}`,
      `part ${made.fastener.id}`,
    ]);
  });
  it('stays where it is when it is bolted to something that stays, or to both', () => {
    expect(movedBySlide(['post', made.member.id, made.fastener.id])).toEqual(['part plate']);
    expect(movedBySlide(['post', 'plate', made.member.id, made.fastener.id])).toEqual(['part plate']);
  });
});
