import { dot, length } from '../../0-base';
import { placeLoad } from '../../1-load';
import { assemble, FAMILIES, USUAL_HANDS, type Family } from '../../2-frame';
import { THREE_LOADS } from '../../testing/loads';
import { kit, loadout } from '../../testing/rigs';
import { partOf } from '../../testing/partsRig';
import { frameAtRest, frameSystem, strengthOf, type RigStrength } from '..';
import { rigFrame } from './rigFrame';

const load = placeLoad(loadout, kit);
const assemblyOf = (family: Family, choices: Readonly<Record<string, string>> = {}) => {
  const sized = family.size(load, USUAL_HANDS);
  return assemble(family.build({ ...sized, choices: { ...sized.choices, ...choices } }), load);
};
function strength(assembly: ReturnType<typeof assemble>, modes?: number): RigStrength {
  const outcome = strengthOf({
    assembly,
    values: {},
    pose: assembly.rig.poses[0] ?? null,
    bump: 3,
    ...(modes === undefined ? {} : { modes }),
  });
  if (outcome.kind !== 'solved') throw new Error(outcome.kind);
  return outcome.strength;
}

describe('the strength of any family', () => {
  for (const family of FAMILIES)
    it(`${family.id}: every piece is in it, it is borne by what holds it, and rings in proven order`, () => {
      const assembly = assemblyOf(family);
      const { frame, modes, proven, sag, strains } = strength(assembly);
      expect(frame.loose.map((p) => p.name)).toEqual([]);
      expect(proven).toBeTrue();
      expect(sag).not.toBeNull();
      expect(strains.length).toBeGreaterThan(0);
      for (const s of strains) expect(s.reserve).toBeGreaterThan(0);
      // It weighs in the equations what the rig weighs with its load.
      const weight = assembly.pieces.reduce((m, p) => m + p.flat.mass, 0);
      const stacked = frame.pieces.reduce((m, p) => m + p.mass, 0);
      expect(stacked).toBeGreaterThanOrEqual(weight - 1e-9);
      const system = frameSystem(frame.model, () => 1);
      const rest = frameAtRest(system, frame.gravity);
      if (rest.kind !== 'solved') throw new Error('it moves');
      const borne = frame.model.supports.reduce(
        (sum, s) => sum + dot(rest.answer.reactionAt(s.node).force, frame.gravity),
        0,
      );
      expect(borne / (-(9.80665 ** 2) * stacked)).toBeCloseTo(1, 6);
      expect(frame.gravity[2]).toBeLessThan(0);
      modes.forEach((m) => {
        expect(m.range[0]).toBeLessThanOrEqual(m.frequency * (1 + 1e-6));
        expect(m.range[1]).toBeGreaterThanOrEqual(m.frequency * (1 - 1e-6));
        expect(m.livesIn[0]!.share).toBeGreaterThan(0);
      });
    });

  it('settles: pieces half as long change a first mode by less than a part in a hundred', () => {
    for (const family of FAMILIES) {
      const made = rigFrame({
        assembly: assemblyOf(family),
        values: {},
        pose: null,
        held: 'vice',
        pivots: 'still',
      });
      if (made.kind !== 'framed') throw new Error(made.kind);
      const lowest = (pieces: number): number => {
        const system = frameSystem(made.frame.model, () => pieces);
        const rest = frameAtRest(system, made.frame.gravity);
        return rest.kind === 'solved' ? length(rest.answer.at(made.frame.camera!).displacement) : NaN;
      };
      expect(lowest(2) / lowest(4))
        .withContext(family.id)
        .toBeCloseTo(1, 3);
    }
  });

  it('answers for each of three loads: a heavier camera sags more and rings lower', () => {
    const boom = FAMILIES.find((f) => f.id === 'boom')!;
    const rig = boom.build(boom.size(null, USUAL_HANDS));
    const answers = THREE_LOADS.flatMap((l) => {
      const placed = placeLoad(l.loadout, l.kit);
      return placed
        ? [{ mass: placed.bodies.reduce((m, b) => m + b.mass, 0), ...strength(assemble(rig, placed)) }]
        : [];
    }).sort((a, b) => a.mass - b.mass);
    for (const [i, a] of answers.slice(1).entries()) {
      const before = answers[i]!;
      if (a.mass < before.mass + 0.01) continue;
      expect(length(a.sag!.displacement)).toBeGreaterThan(length(before.sag!.displacement));
      expect(a.modes[0]!.frequency).toBeLessThan(before.modes[0]!.frequency);
    }
  });
});

describe('a rig that cannot be reckoned', () => {
  it('says that nothing holds it', () => {
    const assembly = assemble({ ...assemblyOf(FAMILIES[0]!).rig, contacts: [], poses: [] }, load);
    expect(strengthOf({ assembly, values: {}, pose: null, bump: 3 }).kind).toBe('notHeld');
  });

  it('leaves out what hangs on nothing, by name', () => {
    const plain = assemblyOf(FAMILIES.find((f) => f.id === 'boom')!).rig;
    const [first, ...rest] = plain.bodies;
    const afloat = partOf('afloat', { kind: 'box', size: [0.02, 0.02, 0.02] }, [2, 2, 2]);
    const rig = { ...plain, bodies: [{ ...first!, parts: [...first!.parts, afloat] }, ...rest] };
    expect(strength(assemble(rig, load)).frame.loose.map((p) => p.id)).toEqual(['afloat']);
  });
});

describe('what is told of a rig', () => {
  const made = (id: string) => assemblyOf(FAMILIES.find((f) => f.id === id)!);

  it('hangs with its mass centre under its pivot: no moment passes that a free joint would not bear', () => {
    const { rig } = made('tube-frame');
    const [low] = rig.pivots;
    // High over all it carries, so that it hangs whatever is on it.
    const pivot = { ...low!, at: [low!.at[0], low!.at[1], low!.at[2] + 0.6] as const };
    const { frame } = strength(assemble({ ...rig, pivots: [pivot] }, load));
    const beyond = frame.pieces.filter((p) => p.body === pivot.carries);
    const mass = beyond.reduce((m, p) => m + p.mass, 0);
    const centre = [0, 1, 2].map((i) => beyond.reduce((sum, p) => sum + (p.mass / mass) * p.centre[i]!, 0));
    const arm = centre.map((x, i) => x - pivot.at[i]!) as [number, number, number];
    const size = Math.hypot(...arm);
    arm.forEach((x, i) => expect(x / size).toBeCloseTo(frame.gravity[i]! / 9.80665, 9));
  });

  it('is strained more at a hole than beside it, and says so', () => {
    const assembly = made('gimballed-bent-bar');
    const whole = strength(assembly).strains.find((s) => s.piece === 'bar')!;
    expect(whole.hole).not.toBeNull();
    expect(whole.reserve).toBeGreaterThan(1);
  });

  it('tells of a screw, a clamp, glue and a socket what they hold, and of a rubber grip that it is not known', () => {
    const carried = FAMILIES.flatMap((f) => strength(assemblyOf(f)).carried);
    for (const kind of ['cameraScrew', 'bolted', 'bonded', 'socketed'] as const) {
      const known = carried.filter((c) => c.kind === kind && c.nearest !== null);
      expect(known.length).withContext(kind).toBeGreaterThan(0);
      for (const { nearest } of known) expect(nearest!.holds).withContext(kind).toBeGreaterThan(0.05);
    }
    expect(carried.some((c) => c.kind === 'slidOn' && c.nearest === null)).toBeTrue();
    expect(carried.every((c) => Number.isFinite(c.moment) && Number.isFinite(c.force))).toBeTrue();
  });

  it('has softer joints lower and stiffer ones higher: what carries a joint’s share of the swing moves with it', () => {
    const [lowest] = strength(made('helmet-pole')).modes;
    expect(lowest!.range[1] / lowest!.range[0]).toBeGreaterThan(1.3);
    const [slim] = strength(made('boom')).modes;
    expect(slim!.range[1] / slim!.range[0]).toBeLessThan(1.1);
  });
});
