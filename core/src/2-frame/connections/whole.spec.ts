/** All families: everything closes on something, and each rig that must fail is seen to. */
import { METRIC, render, type Vec3 } from '../../0-base';
import { placeLoad } from '../../1-load';
import { assemble, designRig, FAMILIES, FRAME_CHECKS, USUAL_HANDS } from '..';
import { applyEdits } from '../edits/applyEdits';
import { endCap } from '../parts/hardware';
import type { Design, Edit, Rig } from '../../model';
import { NUT_WORDS } from '../hardware/boltUp';
import { nutsFor } from './nutsFor';
import { frameContext } from '../../testing/rigs';
import { THREE_LOADS } from '../../testing/loads';
import { STATED_FAMILIES } from '../families';
import { familyInput } from '../family';
import { hardwareOf } from './withHardware';
import { lotsOf } from './lots';

const found = (rig: Rig): readonly string[] =>
  FRAME_CHECKS.flatMap((c) => c.look(frameContext(assemble(rig, null))))
    .filter((f) => f.code === 'heldByNothing')
    .map((f) => render(f.title, METRIC));
const usualOf = (id: string): Rig => {
  const family = STATED_FAMILIES.find((f) => f.id === id)!;
  return family.build(familyInput(family, {}, {}).input);
};
const changed = (rig: Rig, change: (body: Rig['bodies'][number]) => Rig['bodies'][number]): Rig => ({
  ...rig,
  bodies: rig.bodies.map(change),
});
const withoutConnection = (rig: Rig, id: string): Rig =>
  changed(rig, (b) => ({ ...b, connections: (b.connections ?? []).filter((c) => c.id !== id) }));

describe('every family, started for each load, with each choice', () => {
  for (const family of FAMILIES)
    it(`${family.name} hangs together, and every screw closes on what it passes`, () => {
      for (const { loadout, kit } of THREE_LOADS) {
        const sized = family.size(placeLoad(loadout, kit), USUAL_HANDS);
        const dimensions = Object.fromEntries(Object.entries(sized.dimensions).map(([k, value]) => [k, { value }]));
        for (const [choice, option] of [
          ['', ''],
          ...family.choices.flatMap((c) => c.options.map((o) => [c.id, o.id] as const)),
        ] as const) {
          const choices = { ...sized.choices, ...(choice ? { [choice]: option } : {}) };
          const design: Design = { kind: 'family', family: family.id, dimensions, choices, edits: [] };
          const made = designRig(design);
          if (!made.ok) return fail(made.reason);
          // A head wider than the pipe that is chosen for it stops the rig, with its cure: the family says so.
          const isTold = made.family!.advise(made.input!, made.rig).some((f) => f.code === 'headInPipe');
          expect(made.loose.filter(() => !isTold).map((f) => `${f.connection}: ${render(f.reason, METRIC)}`))
            .withContext(`${choice} ${option}`)
            .toEqual([]);
          for (const body of made.rig.bodies)
            expect(lotsOf(body, made.rig).length).withContext(`${choice} ${option} ${body.id}`).toBe(1);
        }
      }
    });
});

describe('a rig that must fail', () => {
  it('without what holds a piece, is told which, and how far off its neighbour is', () => {
    expect(found(usualOf('balance-arm'))).toEqual([]);
    expect(found(withoutConnection(usualOf('balance-arm'), 'low-on-arm'))).toEqual([
      'The clamp block is held by nothing.',
    ]);
  });
  it('with a plate lifted, a hole aside, or the wrong thread, has a screw that says so', () => {
    const reasons = (rig: Rig): string =>
      hardwareOf(rig, null)
        .faults.map((f) => render(f.reason, METRIC))
        .join(' ');
    const frame = usualOf('tube-frame');
    const moved = (id: string, by: Vec3): Rig =>
      changed(frame, (b) => ({
        ...b,
        parts: b.parts.map((p) =>
          p.id === id ? { ...p, at: [p.at[0] + by[0], p.at[1] + by[1], p.at[2] + by[2]] } : p,
        ),
      }));
    expect(reasons(frame)).toBe('');
    expect(reasons(moved('platform', [0, 0, 0.001]))).toContain('1 mm of air before the');
    expect(reasons(moved('camera-plate', [0.2, 0, 0]))).toContain('does not pass through the camera plate');
  });
});

describe('a bearing that is taken off', () => {
  it('leaves what turned in it held by nothing, and it is said', () => {
    for (const [id, piece] of [
      ['helmet-pole', 'swivel'],
      ['gimballed-bent-bar', 'joint-upper'],
    ] as const) {
      const rig = usualOf(id);
      expect(found(hardwareOf(rig, null).rig)).toEqual([]);
      const without = applyEdits(rig, [{ kind: 'remove', id: 'r', target: piece }]).rig;
      expect(found(hardwareOf(without, null).rig).join())
        .withContext(id)
        .toContain('has nothing to turn in');
    }
  });
});

describe('another thread', () => {
  it('changes screw, nut, washers and holes of its connection alone, or says in words why it cannot be', () => {
    for (const family of STATED_FAMILIES) {
      const rig = usualOf(family.id);
      const before = hardwareOf(rig, null).rig;
      for (const c of rig.bodies.flatMap((b) => b.connections ?? [])) {
        if (c.kind !== 'bolted' || c.end.kind === 'camera') continue;
        const thread = c.thread === 'M6' ? 'M5' : 'M6';
        const { rig: edited, unapplied } = applyEdits(rig, [{ kind: 'thread', id: 't', target: c.id, thread }]);
        if (c.screw) {
          expect(unapplied.length).withContext(c.id).toBe(1);
          continue;
        }
        const { rig: after, faults } = hardwareOf(edited, null);
        const of = (r: Rig, by: string): string =>
          r.bodies.flatMap((b) => b.parts.filter((p) => p.by === by).map((p) => `${p.id} ${p.name}`)).join();
        for (const other of rig.bodies.flatMap((b) => b.connections ?? []))
          if (other.id !== c.id)
            expect(of(after, other.id)).withContext(`${family.id} ${c.id} ${other.id}`).toBe(of(before, other.id));
        if (faults.length > 0) expect(faults.every((f) => render(f.reason, METRIC).length > 10)).toBeTrue();
        else {
          const made = of(after, c.id);
          expect(made).withContext(`${family.id} ${c.id}`).toContain(thread);
          expect(made).not.toContain(`${c.thread} `);
        }
      }
    }
  });
});

describe('another nut, and a spring washer', () => {
  it('change what a screw brings and nothing else, or say in words why they cannot be', () => {
    for (const family of STATED_FAMILIES) {
      const rig = usualOf(family.id);
      for (const c of rig.bodies.flatMap((b) => b.connections ?? [])) {
        if (c.kind !== 'bolted') continue;
        for (const change of [...nutsFor(c).map((nut) => ({ nut })), { lockWasher: 'spring' as const }]) {
          const { rig: edited, unapplied } = applyEdits(rig, [{ kind: 'fasten', id: 'n', target: c.id, ...change }]);
          expect(unapplied).withContext(c.id).toEqual([]);
          const { rig: after, faults } = hardwareOf(edited, null);
          const made = after.bodies.flatMap((b) => b.parts.filter((p) => p.by === c.id).map((p) => p.name));
          if (faults.length > 0) expect(faults.every((f) => render(f.reason, METRIC).length > 10)).toBeTrue();
          else
            expect(made)
              .withContext(`${family.id} ${c.id}`)
              .toContain('nut' in change ? `${c.thread} ${NUT_WORDS[change.nut]}` : `${c.thread} spring washer`);
          const back = applyEdits(edited, [{ kind: 'fasten', id: 'b', target: c.id, lockWasher: 'none' }]).rig;
          if ('lockWasher' in change) expect(back).toEqual(rig);
        }
      }
    }
  });
  it('of a thread they are not made in are said not to be', () => {
    const rig = usualOf('tube-frame');
    const bolt = rig.bodies
      .flatMap((b) => b.connections ?? [])
      .find((c) => c.kind === 'bolted' && nutsFor(c).includes('cap'))!;
    const edits: Edit[] = [
      { kind: 'fasten', id: 'n', target: bolt.id, nut: 'cap' },
      { kind: 'thread', id: 't', target: bolt.id, thread: 'M12' },
    ];
    const reasons = hardwareOf(applyEdits(rig, edits).rig, null).faults.map((f) => render(f.reason, METRIC));
    expect(reasons).toContain('No cap nut is made in M12: take another nut.');
  });
});

describe('a part that a maker adds', () => {
  const rig = usualOf('tube-frame');
  const cap = (at: Vec3) =>
    applyEdits(rig, [
      { kind: 'add', id: 'a', body: 'sled', part: endCap({ id: 'own-cap', at, axis: [0, 1, 0], across: 0.01 }) },
    ]).rig;
  it('is held by what it touches, and told when it touches nothing', () => {
    const rod = rig.bodies[1]!.members.find((m) => m.id === 'rod-front-across')!;
    const end = rig.bodies[1]!.nodes.find((n) => n.id === rod.from)!.at;
    const on = cap(end);
    expect(on.bodies[1]!.connections!.find((c) => c.id === 'own-cap-on')).toEqual(
      jasmine.objectContaining({ kind: 'slidOn', piece: 'own-cap', over: 'rod-front-across' }),
    );
    expect(found(on)).toEqual([]);
    const off = cap([end[0], end[1] + 0.05, end[2]]);
    expect(found(off)).toEqual(['The end cap is held by nothing.']);
  });
  it('moved up to what is nearest, it is held', () => {
    const rod = rig.bodies[1]!.nodes.find((n) => n.id === 'front-rod-left')!.at;
    const off = cap([rod[0], rod[1] + 0.05, rod[2]]);
    const told = FRAME_CHECKS.flatMap((c) => c.look(frameContext(assemble(off, null)))).find(
      (f) => f.code === 'heldByNothing',
    )!;
    const [change] = told.fixes[0]!.changes;
    if (change?.kind !== 'move') return fail('no move');
    const part = endCap({ id: 'own-cap', at: [rod[0], rod[1] + 0.05, rod[2]], axis: [0, 1, 0], across: 0.01 });
    const mended = applyEdits(rig, [
      { kind: 'add', id: 'a', body: 'sled', part },
      { kind: 'move', id: 'b', target: 'own-cap', by: change.by },
    ]).rig;
    expect(found(mended)).toEqual([]);
  });
});

describe('what is moved', () => {
  const reasons = (rig: Rig): readonly string[] => hardwareOf(rig, null).faults.map((f) => render(f.reason, METRIC));
  it('a hung rig’s pivot takes joint, grip and hand along, while the stud has thread for it', () => {
    for (const id of ['gimballed-bent-bar', 'balance-arm', 'tube-frame']) {
      const rig = usualOf(id);
      const moved = (z: number): Rig =>
        applyEdits(rig, [{ kind: 'move', id: 'm', target: 'joint', by: [0, 0, z] }]).rig;
      const up = moved(0.002);
      const at = (r: Rig, part: string): number => r.bodies.flatMap((b) => b.parts).find((p) => p.id === part)!.at[2];
      for (const part of ['joint-upper', 'joint-lower', 'grip', 'grip-sleeve'])
        expect(at(up, part) - at(rig, part))
          .withContext(`${id} ${part}`)
          .toBeCloseTo(0.002, 12);
      expect(up.contacts[0]!.at[2] - rig.contacts[0]!.at[2]).toBeCloseTo(0.002, 12);
      expect(reasons(up)).withContext(id).toEqual([]);
      expect(reasons(moved(0.02)).length)
        .withContext(id)
        .toBeGreaterThan(0);
    }
  });
  it('a slide takes along what a maker put on it', () => {
    const rig = usualOf('tube-frame');
    const plate = rig.bodies[1]!.parts.find((p) => p.id === 'camera-plate')!;
    if (plate.shape.kind !== 'box') return fail('no plate');
    const knob = {
      ...plate,
      id: 'own',
      name: 'own lump',
      at: [plate.at[0] + plate.shape.size[0], 0, plate.at[2]] as Vec3,
    };
    const made = applyEdits(rig, [{ kind: 'add', id: 'a', body: 'sled', part: knob }]).rig;
    expect(made.adjusters.find((a) => a.id === 'deck-fore-aft')!.moves).toContain({ kind: 'part', id: 'own' });
    expect(made.adjusters.find((a) => a.id === 'deck-sideways')!.moves).not.toContain({ kind: 'part', id: 'own' });
  });
});
