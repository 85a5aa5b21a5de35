import { applyEdits, assemble, changedDesign, designRig, familyById, FRAME_CHECKS, type FamilyInput } from '..';
import { familyInput } from '../family';
import type { FrameContext } from '../frameCheck';
import { METRIC, render, type Change, type Finding, type Vec3 } from '../../0-base';
import { lensCones, placeItems, placeLoad, spacesOf } from '../../1-load';
import { THREE_LOADS } from '../../testing/loads';
import { plainRig, frameContext } from '../../testing/rigs';
import type { Part, Rig } from '../../model';

const built = (id: string, dimensions: Record<string, number> = {}, choices: Record<string, string> = {}): Rig => {
  const family = familyById(id)!;
  const usual = familyInput(family, {}, {}).input;
  const input: FamilyInput = {
    dimensions: { ...usual.dimensions, ...dimensions },
    choices: { ...usual.choices, ...choices },
  };
  return family.build(input);
};
const found = (
  rig: Rig,
  code: string,
  more: Partial<FrameContext> = {},
  load = placeLoad(THREE_LOADS[2]!.loadout, THREE_LOADS[2]!.kit),
): readonly Finding[] =>
  FRAME_CHECKS.flatMap((c) => c.look(frameContext(assemble(rig, load), {}, more))).filter((f) => f.code === code);
const applied = (rig: Rig, changes: readonly Change[]): Rig => {
  const design = changedDesign({ kind: 'free', rig }, changes, () => 'e');
  if (design.kind !== 'free' || design.rig === rig) throw new Error('the change finds nothing to act on');
  return design.rig;
};
/** Found, lit up on a part that is there, and gone after its own fix. */
function cures(rig: Rig, code: string, more: Partial<FrameContext> = {}): void {
  const before = found(rig, code, more);
  expect(before.length).withContext(code).toBeGreaterThan(0);
  const [first] = before;
  expect(rig.bodies.some((b) => [...b.members, ...b.parts, ...b.joints].some((e) => e.id === first!.about)))
    .withContext(first!.about)
    .toBeTrue();
  expect(first!.fixes.length).withContext(`${code} offers a change`).toBeGreaterThan(0);
  const after = found(applied(rig, first!.fixes[0]!.changes), code, more);
  expect(after.filter((f) => f.about === first!.about).map((f) => render(f.title, METRIC)))
    .withContext(`${code} after its fix`)
    .toEqual([]);
}
const withPart = (rig: Rig, part: Part): Rig => ({
  ...rig,
  bodies: rig.bodies.map((b, i) => (i === rig.bodies.length - 1 ? { ...b, parts: [...b.parts, part] } : b)),
});
const block = (at: Vec3, size: Vec3 = [0.02, 0.02, 0.02]): Part => ({
  id: 'block',
  name: 'block',
  shape: { kind: 'box', size },
  at,
  material: 'pvc',
});

describe('fits and clearances', () => {
  const [, action, long] = THREE_LOADS as [
    (typeof THREE_LOADS)[number],
    (typeof THREE_LOADS)[number],
    (typeof THREE_LOADS)[number],
  ];
  const cones = (l: (typeof THREE_LOADS)[number]) =>
    lensCones(l.loadout, l.kit).flatMap((c) => (c.kind === 'cone' ? [c.cone] : []));

  it('a plate in the picture of a wide lens is told, and a riser or a move forward clears it', () => {
    const rig = withPart(built('pipe-post'), block([0.09, 0, 0.21]));
    const load = placeLoad(action.loadout, action.kit);
    const [finding] = found(rig, 'inShot', { cones: cones(action) }, load);
    expect(finding!.about).toBe('block');
    const after = found(applied(rig, finding!.fixes[0]!.changes), 'inShot', { cones: cones(action) }, load);
    expect(after.filter((f) => f.about === 'block')).toEqual([]);
    expect(found(built('pipe-post'), 'inShot', { cones: cones(action) }, load)).toEqual([]);
  });

  it('something in the battery door is told, with a riser worked out', () =>
    cures(withPart(built('pipe-post'), block([0, -0.05, 0.22], [0.03, 0.03, 0.012])), 'doorsFree', {
      spaces: spacesOf(placeItems(long.loadout, long.kit).items),
    }));

  it('a part a hair from the camera is told and moved off', () => {
    const rig = built('pipe-post');
    const top = assemble(rig, null).mount!;
    cures(withPart(rig, block([top[0], 0.081, top[2] + 0.05])), 'cameraBumps');
  });

  it('a knuckle trap beside the hand is told and moved away', () => {
    const rig = built('pipe-post');
    const hand = rig.contacts[0]!.at;
    cures(withPart(rig, block([hand[0] + 0.048, hand[1], hand[2]])), 'fingersRoom');
  });

  it('a bolt let into the handle is in nobody’s way; a collar round it is', () => {
    const rig = built('swivel-grip', { handBelow: 0.085 });
    const [x, y, z] = rig.contacts[0]!.at;
    const round = (outerRadius: number): Part => ({
      ...block([x, y, z + 0.05]),
      shape: { kind: 'tube', outerRadius, innerRadius: 0, length: 0.03 },
    });
    const about = (part: Part): readonly string[] => found(withPart(rig, part), 'fingersRoom').map((f) => f.about);
    expect(about(round(0.004))).not.toContain('block');
    expect(about(round(0.04))).toContain('block');
  });

  it('fittings that meet are told, and set apart', () => cures(short(built('pipe-post')), 'fittingsMeet'));

  it('a pipe out of its socket is told at each end, and pushed home there', () => {
    const rig = built('pipe-post', { pushedShort: 0.012 });
    const before = found(rig, 'heldInSocket');
    expect(before.length).toBe(6);
    expect(
      found(
        applied(
          rig,
          before.flatMap((f) => f.fixes[0]!.changes),
        ),
        'heldInSocket',
      ),
    ).toEqual([]);
  });

  it('a pipe no fitting takes is told, and turned to where one does', () => {
    const rig = built('pipe-post');
    const made = applyEdits(rig, [{ kind: 'move', id: 'm', target: 'handle-end', by: [0, 0, 0.08] }]).rig;
    cures(made, 'noFitting');
  });

  it('a hole too wide for its tube is told, with a thicker tube', () =>
    cures(built('tube-frame', {}, { tube: 'copper/1/2-M', washer: 'm8-24' }), 'pinThroughTube'));
  it('a hole too wide for its bar is told, with a wider bar', () =>
    cures(built('gimballed-bent-bar', {}, { bar: 'steel-20x5', washer: 'm10-30' }), 'holeInBar'));

  it('a screw too long or too short for the socket is told, with the length to take', () => {
    const socket = { item: 'Gannet body', depth: 0.0055 };
    // Where no connection says what holds the camera, the part it stands on may.
    const id = plainRig.bodies.flatMap((b) => b.parts).find((p) => p.mount)!.id;
    const screw = { diameter: 0.00635, length: 0.0127, passes: 0.008 };
    const rig = {
      ...plainRig,
      bodies: plainRig.bodies.map((b) => ({ ...b, parts: b.parts.map((p) => (p.id === id ? { ...p, screw } : p)) })),
    };
    cures(applied(rig, [{ kind: 'screw', id, length: 0.0254 }]), 'screwTooLong', { socket });
    cures(applied(rig, [{ kind: 'screw', id, length: 0.0095 }]), 'screwTooShort', { socket });
    expect(found(rig, 'screwTooLong', { socket: { item: 'Gannet body', depth: null } })).toEqual([]);
  });

  it('a slide on bare thread is told, with plain rod for it', () => {
    const rig = built('plate-and-pillar');
    const slid: Rig = {
      ...rig,
      adjusters: [
        ...rig.adjusters,
        {
          id: 's',
          name: 's',
          kind: 'slide',
          axis: [0, 0, 1],
          range: [0, 0.01],
          step: 0.001,
          value: 0,
          moves: [{ kind: 'part', id: 'post-left' }],
        },
      ],
    };
    cures(slid, 'threadsUnderSlide');
  });

  it('holes near an edge, open ends and low weights are told with figure and limit', () => {
    const plate: Part = {
      id: 'plate',
      name: 'plate',
      shape: { kind: 'box', size: [0.1, 0.05, 0.006] },
      at: [0, 0, 0.3],
      material: 'aluminium',
      holes: [{ at: [0.046, 0, 0.3], axis: [0, 0, 1], diameter: 0.0066 }],
    };
    const [near] = found(withPart(built('pipe-post'), plate), 'holeNearEnd');
    expect(near!.figure!.value).toBeLessThan(near!.limit!.value);
    // A web of the same piece beyond that edge; then one that is another piece's.
    const web: Part = {
      id: 'web',
      name: 'web',
      of: 'plate',
      shape: { kind: 'box', size: [0.006, 0.05, 0.03] },
      at: [0.053, 0, 0.3],
      material: 'aluminium',
    };
    expect(found(withPart(withPart(built('pipe-post'), plate), web), 'holeNearEnd')).toEqual([]);
    const { of: _of, ...apart } = web;
    expect(found(withPart(withPart(built('pipe-post'), plate), apart), 'holeNearEnd').length).toBe(1);
    const open = applyEdits(built('pipe-post'), [{ kind: 'remove', id: 'r', target: 'joint-handle-end' }]).rig;
    expect(found(open, 'sharpEnds').map((f) => f.about)).toEqual(['handle']);
    cures(open, 'sharpEnds');
    const [legs] = found(built('pipe-post', { armClose: 0.2 }), 'weightMeetsLegs');
    expect(render(legs!.title, METRIC)).toContain('Arm close');
  });

  it('looks at every family without a fault, lit on something that is there', () => {
    for (const id of [
      'pipe-post',
      'tube-frame',
      'balance-arm',
      'boom',
      'hand-frame',
      'plate-and-pillar',
      'gimballed-bent-bar',
    ]) {
      const made = designRig({ kind: 'family', family: id, dimensions: {}, choices: {}, edits: [] });
      if (!made.ok) return fail(made.reason);
      const { rig } = made;
      const known = new Set([
        ...rig.contacts.map((c) => c.id),
        ...rig.bodies.flatMap((b) => [...b.members, ...b.parts, ...b.joints, ...b.stations].map((e) => e.id)),
      ]);
      for (const l of THREE_LOADS) {
        const all = FRAME_CHECKS.flatMap((c) =>
          c.look(
            frameContext(
              assemble(rig, placeLoad(l.loadout, l.kit)),
              {},
              { cones: cones(l), spaces: spacesOf(placeItems(l.loadout, l.kit).items) },
            ),
          ),
        );
        for (const f of all) expect(known.has(f.about)).withContext(`${id}: ${f.code} about ${f.about}`).toBeTrue();
      }
    }
  });
});

/** The lower post's corner brought so near that its cap and the tee meet. */
function short(rig: Rig): Rig {
  const low = rig.bodies[0]!.nodes.find((n) => n.id === 'weight-end')!;
  return applyEdits(rig, [{ kind: 'move', id: 'm', target: 'weight-end', by: [0, 0, -low.at[2] - 0.02] }]).rig;
}
