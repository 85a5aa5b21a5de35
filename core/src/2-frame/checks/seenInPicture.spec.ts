import { assemble, designRig, familyById, FRAME_CHECKS, pinPlay, type Family } from '..';
import { DEGREE, METRIC, render, type Finding } from '../../0-base';
import { lensCones, placeLoad } from '../../1-load';
import { THREE_LOADS } from '../../testing/loads';
import { frameContext } from '../../testing/rigs';
import { familyInput } from '../family';

const grip: Family = familyById('self-filming-grip')!;
const { loadout, kit } = THREE_LOADS[1]!;
const cones = lensCones(loadout, kit).flatMap((c) => (c.kind === 'cone' ? [c.cone] : []));
function found(code: string, dimensions: Record<string, number> = {}, family = grip, lens = cones): Finding | undefined {
  const { input } = familyInput(family, Object.fromEntries(Object.entries(dimensions).map(([id, value]) => [id, { value }])), {});
  return FRAME_CHECKS.flatMap((c) => c.look(frameContext(assemble(family.build(input), placeLoad(loadout, kit)), {}, { cones: lens }))).find((f) => f.code === code);
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
    expect(render(found('playInPicture', { pin: 0.004, pinHole: 0.0041, screwHole: 0.008 })!.why, METRIC)).toContain('The screw’s hole does most of it');
  });
  it('a snug pin is not seen', () => expect(found('playInPicture', { pin: 0.0041, pinHole: 0.0041, screwHole: 0.00635 })).toBeUndefined());
  it('counts more at a longer lens, and stands in a middling one where none is known', () => {
    const play = { pin: 0.003, pinHole: 0.0046 };
    const long = cones.map((c) => ({ ...c, long: { ...c.long, across: 10 * DEGREE } }));
    expect(found('playInPicture', play, grip, long)!.figure!.value).toBeGreaterThan(3 * found('playInPicture', play)!.figure!.value);
    expect(render(found('playInPicture', play, grip, [])!.why, METRIC)).toContain('40°');
  });
  it('a stage that rocks on its rails is play too; its wider base cures it', () => {
    const arm = familyById('balance-arm')!;
    const one = designRig({ kind: 'family', family: arm.id, dimensions: { railPlay: { value: 0.0004 } }, choices: { rails: 'one' }, edits: [] });
    const two = designRig({ kind: 'family', family: arm.id, dimensions: { railPlay: { value: 0.0004 }, railSpacing: { value: 0.12 } }, choices: { rails: 'two' }, edits: [] });
    if (!one.ok || !two.ok) return fail('not built');
    const shift = (rig: typeof one.rig): number => FRAME_CHECKS.flatMap((c) => c.look(frameContext(assemble(rig, null)))).find((f) => f.code === 'playInPicture')?.figure?.value ?? 0;
    expect(shift(one.rig)).toBeGreaterThan(3 * shift(two.rig));
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
  it('is not asked of a rig that looks ahead', () => expect(found('faceInFrame', {}, familyById('plate-and-pillar')!)).toBeUndefined());
});
