import * as fc from 'fast-check';
import {
  applyEdits,
  assemble,
  bentStrip,
  BORROWED,
  breakDown,
  designRig,
  frameAlong,
  FAMILIES,
  familyById,
  freed,
  placedPieces,
  usualJointMass,
  withEdit,
  withHardware,
  withoutHardware,
  withoutWeight,
} from '..';
import { quaternionAbout, type Vec3 } from '../../0-base';
import { inertiaAboutMassCentre, massCentre, sumsOf } from '../../1-load';
import type { Design, Edit, Joint, Rig } from '../../model';
import { BARS } from '../parts/bars';
import { familyInput } from '../family';
import { evaluate } from '../../3-balance';

const built = (id: string): Rig => {
  const family = familyById(id)!;
  return family.build(familyInput(family, {}, {}).input);
};
const sums = (rig: Rig) => sumsOf(placedPieces(assemble(rig, null), {}).map((p) => p.flat));
const done = (
  rig: Rig,
  ...edits: readonly (Edit extends infer E ? (E extends Edit ? Omit<E, 'id'> : never) : never)[]
): Rig => {
  const made = applyEdits(
    rig,
    edits.map((e, i) => ({ ...e, id: `e${i}` }) as Edit),
  );
  expect(made.unapplied).toEqual([]);
  return made.rig;
};

describe('a rig built part by part as a free frame', () => {
  // Everything of a family's rig is taken off and put on again by edits: the figures must be the family's.
  for (const family of FAMILIES) {
    it(`gives the figures of its family: ${family.name}`, () => {
      const rig = built(family.id);
      const bare: Rig = {
        ...rig,
        adjusters: rig.adjusters.filter((a) => a.kind !== 'count'),
        bodies: rig.bodies.map((b) => ({ ...b, members: [], parts: [], stations: [], joints: [], nodes: [] })),
      };
      // Corners first, then what runs between them.
      const withNodes: Rig = {
        ...bare,
        bodies: bare.bodies.map((b, i) => ({ ...b, nodes: rig.bodies[i]!.nodes.map(withoutTwin) })),
      };
      const members = applyEdits(
        withNodes,
        rig.bodies.flatMap((b) =>
          b.members.map((m): Edit => ({
            kind: 'addMember',
            id: `m${m.id}`,
            body: b.id,
            nodes: [],
            member: withoutTwin(m),
            joints: [],
          })),
        ),
      ).rig;
      const joints: Rig = {
        ...members,
        bodies: members.bodies.map((b, i) => ({ ...b, joints: rig.bodies[i]!.joints })),
      };
      const whole = applyEdits(
        joints,
        rig.bodies.flatMap((b): Edit[] => [
          ...b.parts.map((p): Edit => ({ kind: 'add', id: `p${p.id}`, body: b.id, part: withoutTwin(p) })),
          ...b.stations.map((s): Edit => ({
            kind: 'addStation',
            id: `s${s.id}`,
            body: b.id,
            station: s,
            countMost: 20,
          })),
        ]),
      ).rig;
      const [a, z] = [sums(rig), sums(whole)];
      expect(z.mass).toBeCloseTo(a.mass, 12);
      massCentre(a).forEach((c, i) => expect(massCentre(z)[i]!).toBeCloseTo(c, 12));
      inertiaAboutMassCentre(a)
        .flat()
        .forEach((x, i) => expect(inertiaAboutMassCentre(z).flat()[i]!).toBeCloseTo(x, 12));
    });
  }
});

const withoutTwin = <T extends { twin?: string | undefined }>(e: T): T => {
  const { twin: _twin, ...rest } = e;
  return rest as T;
};

describe('edits', () => {
  it('move a part by so much, and the mass centre by its share', () => {
    const rig = built('tube-frame');
    const moved = done(rig, { kind: 'move', target: 'platform', by: [0.01, 0, 0.02] });
    const platform = placedPieces(assemble(rig, null), {}).find((p) => p.flat.owner === 'platform')!.flat.mass;
    const [a, z] = [sums(rig), sums(moved)];
    expect(massCentre(z)[0] - massCentre(a)[0]).toBeCloseTo((0.01 * platform) / a.mass, 12);
    expect(massCentre(z)[2] - massCentre(a)[2]).toBeCloseTo((0.02 * platform) / a.mass, 12);
  });

  it('keep mirror pairs pairs: whatever is done to one, the rig stays balanced side to side', () => {
    const edit = fc.oneof(
      fc.record({
        kind: fc.constant('move' as const),
        target: fc.constantFrom('rear-foot-left', 'leg-left', 'front-top-right', 'foot-right'),
        by: fc.tuple(
          fc.double({ min: -0.05, max: 0.05, noNaN: true }),
          fc.double({ min: -0.02, max: 0.02, noNaN: true }),
          fc.double({ min: -0.05, max: 0.05, noNaN: true }),
        ),
      }),
      fc.record({
        kind: fc.constant('restock' as const),
        target: fc.constantFrom('leg-left', 'foot-right', 'top-left'),
        stock: fc.constantFrom(BARS['tube-alu-20x1.5']!, BARS['round-12']!),
      }),
      fc.record({ kind: fc.constant('remove' as const), target: fc.constantFrom('foot-left', 'leg-right') }),
    );
    expect(() =>
      fc.assert(
        fc.property(edit, (one) => {
          const rig = built('tube-frame');
          const sled: Rig = { ...rig, bodies: rig.bodies.slice(1), pivots: [] };
          const { rig: made, unapplied } = applyEdits(sled, [{ ...one, id: 'e' } as Edit]);
          return unapplied.length === 0 && Math.abs(massCentre(sums(made))[1]) < 1e-12;
        }),
        { numRuns: 100, seed: 11 },
      ),
    ).not.toThrow();
  });

  it('find the fitting again: a pipe taken off a tee leaves an elbow, one more makes a cross', () => {
    const rig = built('pipe-post');
    const without = done(rig, { kind: 'remove', target: 'lower-post' });
    expect(without.bodies[0]!.joints.find((j) => j.node === 'tee')!.fitting).toBe('elbow90');
    const more = done(rig, {
      kind: 'addMember',
      body: 'post',
      nodes: [{ id: 'n', at: [0, 0.2, 0] }],
      joints: [],
      member: { ...rig.bodies[0]!.members[2]!, id: 'second-handle', to: 'n' },
    });
    expect(more.bodies[0]!.joints.find((j) => j.node === 'tee')!.fitting).toBe('cross');
    const odd = done(rig, {
      kind: 'addMember',
      body: 'post',
      nodes: [{ id: 'n', at: [0.1, 0.2, 0.07] }],
      joints: [],
      member: { ...rig.bodies[0]!.members[2]!, id: 'odd', to: 'n' },
    });
    expect(odd.bodies[0]!.joints.find((j) => j.node === 'tee')!.hub).toBeUndefined();
  });

  it('move all beyond a pipe that stands short of home', () => {
    const rig = built('pipe-post');
    const at = (r: Rig, node: string): Vec3 => r.bodies[0]!.nodes.find((n) => n.id === node)!.at;
    const short = done(rig, { kind: 'short', target: 'lower-post', end: 0, by: { value: 0.0018 } });
    expect(at(short, 'weight-end')[2]).toBeCloseTo(at(rig, 'weight-end')[2] - 0.0018, 12);
    expect(at(short, 'camera-end')).toEqual(at(rig, 'camera-end'));
    expect(short.bodies[0]!.stations[0]!.seat[2]).toBeCloseTo(rig.bodies[0]!.stations[0]!.seat[2] - 0.0018, 12);
  });

  it('turn a part about itself: its mass stays, the camera on it turns with it', () => {
    const rig = built('pipe-post');
    const turned = done(rig, { kind: 'turn', target: 'camera-plate', turn: quaternionAbout([0, 1, 0], 0.3) });
    expect(sums(turned).mass).toBeCloseTo(sums(rig).mass, 12);
    expect(turned.bodies[0]!.parts[0]!.mountTurn).toBeDefined();
    expect(assemble(turned, null).mountTurn[0][2]).toBeCloseTo(Math.sin(0.3), 12);
  });

  it('measure a fitting: what the pipe takes off follows', () => {
    const rig = built('pipe-post');
    const made = done(rig, { kind: 'fitting', target: 'joint-tee', takeOff: 0.02, depth: 0.012 });
    expect(
      made.bodies[0]!.joints.find((j) => j.id === 'joint-tee')!.hub!.sockets.every(
        (s) => s.takeOff === 0.02 && s.depth === 0.012,
      ),
    ).toBeTrue();
  });
});

describe('a joint held another way', () => {
  const joint = (rig: Rig, id: string) => rig.bodies.flatMap((b) => b.joints).find((j) => j.id === id)!;
  it('pressed dry it opens for the bag; glued it sets and does not', () => {
    const dry = done(built('hand-frame'), { kind: 'fitting', target: 'joint-low-left', hold: 'pressed' });
    expect(joint(dry, 'joint-low-left')).toEqual(
      jasmine.objectContaining({ packs: true, reversible: true, hold: 'pressed', dryingTime: 0 }),
    );
    const glued = done(dry, { kind: 'fitting', target: 'joint-low-left', hold: 'glued' });
    expect(joint(glued, 'joint-low-left')).toEqual(jasmine.objectContaining({ packs: false, reversible: false }));
    expect(joint(glued, 'joint-low-left').dryingTime!).toBeGreaterThan(0);
    expect(breakDown(dry).opens.length).toBe(breakDown(glued).opens.length + 1);
  });
  it('a union in place of a coupling comes apart though it is soldered', () => {
    const made = done(built('tube-frame'), { kind: 'fitting', target: 'joint-rear-top-left', fitting: 'union' });
    expect(joint(made, 'joint-rear-top-left')).toEqual(
      jasmine.objectContaining({ fitting: 'union', name: 'union', packs: true, reversible: true }),
    );
  });
});

describe('the pipe post turned over', () => {
  it('hangs the camera in its bracket hole over hole, under the post', () => {
    const family = familyById('pipe-post')!;
    const usual = familyInput(family, {}, {}).input;
    const rig = withHardware(family.build({ ...usual, choices: { ...usual.choices, carry: 'low' } }));
    const [body] = rig.bodies;
    const bracket = body!.members.find((m) => m.id === 'bracket')!;
    const strip = bentStrip(bracket, new Map(body!.nodes.map((n) => [n.id, n.at])))!;
    const [cap, camera] = ['bracket-on-cap', 'camera'].map(
      (by) => frameAlong(strip, bracket.holes.find((h) => h.by === by)!.along).at,
    );
    expect(camera![0]).toBeCloseTo(cap![0], 9);
    expect(camera![1]).toBeCloseTo(cap![1], 9);
    expect(cap![2] - camera![2]).toBeCloseTo(usual.dimensions['bracketInside']! + 0.005, 3);
    const mount = assemble(rig, null).mount!;
    // The camera stands in the bracket, on its pad.
    expect(mount[2] - camera![2]).toBeCloseTo(0.005 / 2 + 0.0015, 9);
    expect(Math.abs(mount[1])).toBeLessThan(1e-9);
    expect(sums(rig).mass).toBeGreaterThan(1);
  });
});

describe('prices', () => {
  it('are of an item or a length of stock, wherever the rig uses it', () => {
    const rig = built('tube-frame');
    const made = done(
      rig,
      { kind: 'price', item: 'elbow 90°, copper tube 1/2 in type M', price: 3.2 },
      { kind: 'price', item: 'copper tube 1/2 in type M', length: 0.6096, price: 9 },
    );
    const elbows = made.bodies[1]!.joints.filter((j) => j.fitting === 'elbow90');
    expect(elbows.length).toBe(4);
    expect(elbows.every((j) => j.hub!.supply!.packPrice === 3.2)).toBeTrue();
    expect(
      made.bodies[1]!.members.filter((m) => m.stock.name.startsWith('copper')).every(
        (m) => m.stock.sold[0]!.price === 9,
      ),
    ).toBeTrue();
    const priced = (item: string): number => {
      const edits = [{ kind: 'price' as const, id: 'x', item, price: 1 }];
      const whole = designRig({ kind: 'family', family: 'tube-frame', dimensions: {}, choices: {}, edits });
      return whole.ok ? whole.unapplied.length : NaN;
    };
    expect(priced('kelp')).toBe(1);
    expect(priced('M5 nut')).toBe(0);
  });
});

describe('not knowing how far pipes are pushed home', () => {
  it('spreads the mass centre along them, all pipes of one size together', () => {
    const known = evaluate(assemble(built('tube-frame'), null), {}).hung!.spread.massCentre[2];
    const frame = built('tube-frame');
    const strip = (r: Rig): Rig => ({
      ...r,
      bodies: r.bodies.map((b) => ({ ...b, members: b.members.map(({ shortBy: _s, ...m }) => m) })),
    });
    const without = evaluate(assemble(strip(frame), null), {}).hung!.spread.massCentre[2];
    expect(known).toBeGreaterThan(without);
    // The foot hangs below two ends of the leg and of its elbow: a millimetre of it for half a millimetre an end.
    const shifts = assemble(frame, null).pieces.find((p) => p.flat.owner === 'foot-left')!.flat.shifts!;
    expect(shifts.reduce((s, x) => s + x.by[2], 0)).toBeCloseTo(-0.001, 9);
  });
});

describe('a design with edits', () => {
  const design: Design = { kind: 'family', family: 'pipe-post', dimensions: {}, choices: {}, edits: [] };
  const edit = (now: Design, e: Edit): Design => withEdit(now, e)!;

  it('folds one move into the next, and forgets what was added and taken off again', () => {
    const twice = edit(edit(design, { kind: 'move', id: 'a', target: 'grip', by: [0.01, 0, 0] }), {
      kind: 'move',
      id: 'b',
      target: 'grip',
      by: [0, 0.02, 0],
    });
    expect(twice.kind === 'family' && twice.edits).toEqual([
      { kind: 'move', id: 'b', target: 'grip', by: [0.01, 0.02, 0] },
    ]);
    const part = {
      id: 'knob',
      name: 'knob',
      shape: { kind: 'point' as const },
      at: [0, 0, 0] as Vec3,
      mass: { value: 0.02 },
    };
    const gone = edit(edit(design, { kind: 'add', id: 'c', body: 'post', part }), {
      kind: 'remove',
      id: 'd',
      target: 'knob',
    });
    expect(gone.kind === 'family' && gone.edits).toEqual([]);
  });

  it('refuses what finds nothing, and leaves the design alone', () => {
    expect(withEdit(design, { kind: 'move', id: 'x', target: 'sail', by: [0, 0, 1] })).toBeNull();
    expect(withEdit(freed(design)!, { kind: 'remove', id: 'x', target: 'sail' })).toBeNull();
  });

  it('gives the same rig freed as on its family, and takes the same edits', () => {
    for (const e of [
      { kind: 'weigh', id: 'w', target: 'handle', mass: { value: 0.4 } },
      { kind: 'move', id: 'm', target: 'grip', by: [0, 0.01, 0] },
      { kind: 'remove', id: 'r', target: 'foot' },
    ] as const satisfies readonly Edit[]) {
      const [a, z] = [designRig(edit(design, e)), designRig(edit(freed(design)!, e))];
      if (!a.ok || !z.ok) return fail('not built');
      expect(z.rig).toEqual(a.rig);
    }
  });

  it('goes back to the reckoned mass when a weight is forgotten', () => {
    const weighed = edit(design, { kind: 'weigh', id: 'w', target: 'handle', mass: { value: 0.4 } });
    expect(withoutWeight(weighed, 'handle')).toEqual(design);
    const free = edit(freed(design)!, { kind: 'weigh', id: 'w', target: 'handle', mass: { value: 0.4 } });
    expect(withoutWeight(free, 'handle')).toEqual(freed(design)!);
  });
});

describe('a borrowed piece', () => {
  const rig = built('plate-and-pillar');
  const body = rig.bodies[0]!.id;
  for (const piece of BORROWED) {
    it(`comes with its hold and its pose, moves and goes with them: ${piece.name}`, () => {
      const { parts, contact, pose } = piece.make('own', body, [0, 0, 0.1], rig);
      const edits = parts.map((part, i): Edit => ({
        kind: 'add',
        id: `e${i}`,
        body,
        part,
        ...(i === 0 ? { hold: { contact, pose } } : {}),
      }));
      const made = applyEdits(rig, edits);
      expect(made.unapplied).toEqual([]);
      expect(made.rig.contacts.map((c) => c.id)).toContain(contact.id);
      expect(made.rig.poses.map((p) => p.id)).toContain(pose.id);
      const held = evaluate(assemble(made.rig, null), {}).held.find((p) => p.pose.id === pose.id)!;
      expect(held.hands.length + held.bears.length).toBeGreaterThan(0);
      const moved = applyEdits(made.rig, [{ kind: 'move', id: 'm', target: 'own', by: [0.02, 0, 0.01] }]).rig;
      expect(moved.contacts.find((c) => c.id === contact.id)!.at[0]).toBeCloseTo(contact.at[0] + 0.02, 12);
      const gone = applyEdits(moved, [{ kind: 'remove', id: 'r', target: 'own' }]).rig;
      expect(gone.contacts.map((c) => c.id)).not.toContain(contact.id);
      expect(gone.poses.map((p) => p.id)).not.toContain(pose.id);
      expect(gone.poses.length).toBe(rig.poses.length);
    });
  }
});

describe('a joint that is no pipe fitting', () => {
  it('counts at its node once it is weighed, and no more when that is forgotten', () => {
    const made = built('plate-and-pillar');
    const [body] = made.bodies;
    const joint: Joint = {
      id: 'by-hand',
      name: 'bolts through',
      node: body!.nodes[0]!.id,
      fitting: 'boltThrough',
      joins: body!.members.slice(0, 2).map((m) => m.id),
      reversible: true,
    };
    const rig: Rig = { ...made, bodies: [{ ...body!, joints: [joint] }, ...made.bodies.slice(1)] };
    const at = rig.bodies[0]!.nodes.find((n) => n.id === joint.node)!.at;
    const weighed = done(rig, { kind: 'weigh', target: joint.id, mass: { value: 0.05 } });
    const [a, b] = [sums(rig), sums(weighed)];
    expect(b.mass - a.mass).toBeCloseTo(0.05, 12);
    at.forEach((x, i) => expect(b.first[i]! - a.first[i]!).toBeCloseTo(0.05 * x, 12));
    const back = withoutWeight({ kind: 'free', rig: weighed }, joint.id);
    expect(back.kind === 'free' && sums(back.rig).mass).toBeCloseTo(a.mass, 12);
    expect(usualJointMass('boltThrough')).toBeGreaterThan(0);
    expect(usualJointMass('tee')).toBeNull();
  });
});

describe('what is taken off', () => {
  it('takes the bolts along that went through nothing else, with their washers and their counts', () => {
    const boom = withoutHardware(built('boom'));
    const { rig } = applyEdits(boom, [{ kind: 'remove', id: 'r', target: 'tail-bar' }]);
    expect(boom.bodies.flatMap((b) => b.stations).length).toBe(2);
    expect(rig.bodies.flatMap((b) => b.stations)).toEqual([]);
    expect(rig.adjusters.filter((a) => a.kind === 'count')).toEqual([]);
    // What it was bolted to stays, with its own screws.
    expect(rig.bodies.flatMap((b) => b.parts).some((p) => p.id === 'tail-plug')).toBeTrue();
  });
});
