import { assemble, designRig, familyById, FRAME_CHECKS, pinPlay, type Family } from '..';
import { DEGREE, METRIC, render, type Finding } from '../../0-base';
import { lensCones, placeLoad } from '../../1-load';
import { THREE_LOADS } from '../../testing/loads';
import { frameContext } from '../../testing/rigs';
import type { Edit } from '../../model';
import { familyInput } from '../family';
import { memberEnds, placesOf } from '../members/memberEnds';

const grip: Family = familyById('self-filming-grip')!;
const { loadout, kit } = THREE_LOADS[1]!;
const cones = lensCones(loadout, kit).flatMap((c) => (c.kind === 'cone' ? [c.cone] : []));
function found(
  code: string,
  dimensions: Record<string, number> = {},
  family = grip,
  lens = cones,
): Finding | undefined {
  const { input } = familyInput(
    family,
    Object.fromEntries(Object.entries(dimensions).map(([id, value]) => [id, { value }])),
    {},
  );
  return FRAME_CHECKS.flatMap((c) =>
    c.look(frameContext(assemble(family.build(input), placeLoad(loadout, kit)), {}, { cones: lens })),
  ).find((f) => f.code === code);
}

describe('play seen in the picture', () => {
  it('is the pin’s turn at the lens in use, as an angle and a part of the frame', () => {
    const loose = found('playInPicture', { pin: 0.003, pinHole: 0.0046, screwHole: 0.007 })!;
    const angle = pinPlay({ pin: 0.003, pinHole: 0.0046, pinToScrew: 0.0125, screw: 0.00635, screwHole: 0.007 });
    const [cone] = cones;
    expect(loose.figure!.value).toBeCloseTo(Math.tan(angle) / (2 * Math.tan(cone!.long.across / 2)), 12);
    expect(loose.severity).toBe('mend');
    expect(render(loose.toDo, METRIC)).toContain('4.5 mm');
    expect(render(loose.why, METRIC)).toContain('The pin’s hole does most of it');
  });
  it('blames the screw’s hole when that is the looser', () => {
    expect(render(found('playInPicture', { pin: 0.004, pinHole: 0.0041, screwHole: 0.008 })!.why, METRIC)).toContain(
      'The screw’s hole does most of it',
    );
  });
  it('a snug pin is not seen', () =>
    expect(found('playInPicture', { pin: 0.0041, pinHole: 0.0041, screwHole: 0.00635 })).toBeUndefined());
  it('counts more at a longer lens, and stands in a middling one where none is known', () => {
    const play = { pin: 0.003, pinHole: 0.0046 };
    const long = cones.map((c) => ({ ...c, long: { ...c.long, across: 10 * DEGREE } }));
    expect(found('playInPicture', play, grip, long)!.figure!.value).toBeGreaterThan(
      3 * found('playInPicture', play)!.figure!.value,
    );
    expect(render(found('playInPicture', play, grip, [])!.why, METRIC)).toContain('40°');
  });
  it('a stage that rocks on its rails is play too; its wider base cures it', () => {
    const arm = familyById('balance-arm')!;
    const one = designRig({
      kind: 'family',
      family: arm.id,
      dimensions: { railPlay: { value: 0.0004 } },
      choices: { rails: 'one' },
      edits: [],
    });
    const two = designRig({
      kind: 'family',
      family: arm.id,
      dimensions: { railPlay: { value: 0.0004 }, railSpacing: { value: 0.12 } },
      choices: { rails: 'two' },
      edits: [],
    });
    if (!one.ok || !two.ok) return fail('not built');
    const shift = (rig: typeof one.rig): number =>
      FRAME_CHECKS.flatMap((c) => c.look(frameContext(assemble(rig, null)))).find((f) => f.code === 'playInPicture')
        ?.figure?.value ?? 0;
    expect(shift(one.rig)).toBeGreaterThan(3 * shift(two.rig));
  });
});

describe('looseness between hand and camera', () => {
  const built = (edits: readonly Edit[], family = 'hand-frame') => {
    const made = designRig({
      kind: 'family',
      family,
      dimensions: {},
      choices: { pipe: 'steel/1/2' },
      edits: [...edits],
    });
    if (!made.ok) throw new Error(made.reason);
    return {
      rig: made.rig,
      found: FRAME_CHECKS.flatMap((c) => c.look(frameContext(assemble(made.rig, null)))).filter(
        (f) => f.code === 'playInPicture',
      ),
    };
  };
  it('a tapered thread backed off by s rocks by s/16 over what is left engaged; one change screws it home', () => {
    const { rig: whole } = built([]);
    const [body] = whole.bodies;
    const ends = body!.members.map((m) => ({ m, ends: memberEnds(m, placesOf(body!.nodes), body!.joints) }));
    const threaded = ends.find(({ ends: e }) => e.to.joint?.hold === 'threaded' && e.to.depth !== null)!;
    const by = 0.004;
    const { found } = built([{ kind: 'short', id: 's', target: threaded.m.id, end: 1, by: { value: by } }]);
    const told = found.find((f) => f.about === threaded.m.id)!;
    const angle = Math.atan2(by / 16, threaded.ends.to.depth! - by);
    expect(told.figure!.value).toBeCloseTo(Math.tan(angle) / (2 * Math.tan(20 * DEGREE)), 12);
    const [change] = told.fixes[0]!.changes;
    expect(change).toEqual(jasmine.objectContaining({ kind: 'short', id: threaded.m.id, value: 0 }));
  });
  it('a joint with room rocks by its room over its length, until the room is taken up', () => {
    const { rig: whole, found } = built([{ kind: 'fitting', id: 's', target: 'joint-top', clearance: 0.001 }]);
    const pin = whole.bodies[0]!.joints.find((j) => j.loose)!;
    expect(found.find((f) => f.about === pin.id)!.figure!.value).toBeCloseTo(
      pin.loose!.clearance / pin.loose!.over / (2 * Math.tan(20 * DEGREE)),
      12,
    );
    expect(
      built([{ kind: 'fitting', id: 't', target: pin.id, clearance: 0 }]).found.find((f) => f.about === pin.id),
    ).toBeUndefined();
    expect(
      built([{ kind: 'fitting', id: 't', target: pin.id, clearance: 0.002 }]).found.find((f) => f.about === pin.id)!
        .severity,
    ).toBe('mend');
  });
});

describe('a phone in its clamp', () => {
  const frame = familyById('printed-phone-frame')!;
  const phoneOf = (across: number, clamp: string): Finding | undefined => {
    const load = THREE_LOADS[0]!;
    const kit = new Map(
      [...load.kit].map(([id, item]) => [
        id,
        { ...item, size: [item.size[0], item.size[1], across] as [number, number, number] },
      ]),
    );
    const rig = frame.build(familyInput(frame, {}, { clamp }).input);
    return FRAME_CHECKS.flatMap((c) => c.look(frameContext(assemble(rig, placeLoad(load.loadout, kit)), {}))).find(
      (f) => f.code === 'loadInJaws',
    );
  };
  it('must be as wide as the jaws take; one wider is told, with the clamp that takes it', () => {
    expect(phoneOf(0.075, 'phone')).toBeUndefined();
    expect(phoneOf(0.12, 'phone')!.severity).toBe('stop');
    expect(phoneOf(0.12, 'phone')!.figure!.value).toBeCloseTo(0.12, 9);
    expect(phoneOf(0.12, 'wide')).toBeUndefined();
    expect(render(phoneOf(0.06, 'wide')!.title, METRIC)).toContain('closes to 90 mm');
  });
});

describe('one’s own face in the picture', () => {
  it('fills what the lens takes in at the distance of the arm', () => {
    const told = found('faceInFrame', { armOut: 0.5 })!;
    expect(told.severity).toBe('note');
    const [cone] = cones;
    // The lens stands this far ahead of the hand, so the face is that much nearer.
    const distance = 0.24 / (2 * told.figure!.value * Math.tan(cone!.wide.up / 2));
    expect(distance).toBeGreaterThan(0.35);
    expect(distance).toBeLessThan(0.5);
  });
  it('is too much of it with the arm bent close, and says how much further', () => {
    const told = found('faceInFrame', { armOut: 0.22 })!;
    expect(told.severity).toBe('mend');
    expect(render(told.toDo, METRIC)).toMatch(/further away/);
  });
  it('is not asked of a rig that looks ahead', () =>
    expect(found('faceInFrame', {}, familyById('plate-and-pillar')!)).toBeUndefined());
});
