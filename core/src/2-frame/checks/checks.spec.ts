import { FRAME_CHECKS, assemble, designRig, type DesignedRig } from '..';
import type { Vec3 } from '../../0-base';
import type { PartHole, Rig } from '../../model';
import { frameContext, figuresOf, bentBar, plainRig, usual } from '../../testing/rigs';

const codes = (rig: Rig): readonly string[] =>
  FRAME_CHECKS.flatMap((c) => c.look(frameContext(assemble(rig, null)))).map((f) => `${f.code} ${f.severity}`);
const bar = (dimensions: Record<string, number>, choices: Record<string, string> = {}): Rig =>
  bentBar.build({ dimensions: { ...usual.dimensions, ...dimensions }, choices: { ...usual.choices, ...choices } });

describe('checks of the frame', () => {
  it('were found, and a usual rig passes them', () => {
    expect(FRAME_CHECKS.length).toBeGreaterThanOrEqual(3);
    expect(codes(bar({}))).toEqual([]);
  });
  it('see a bar too narrow for its hole', () => {
    expect(codes(bar({}, { bar: 'steel-20x5', washer: 'm12-37' }))).toContain('holeInBar mend');
  });
  it('see a bend tighter than the metal takes', () => {
    const rig = bar({ bendInsideRadius: 0.03 });
    const tight: Rig = {
      ...rig,
      bodies: rig.bodies.map((b) => ({
        ...b,
        members: b.members.map((m) => ({
          ...m,
          path:
            m.path.kind === 'bent'
              ? {
                  ...m.path,
                  segments: m.path.segments.map((s) =>
                    'angle' in s ? { ...s, insideRadius: 0.012, neutralFraction: 0.36 } : s,
                  ),
                }
              : m.path,
        })),
      })),
    };
    expect(codes(rig)).toContain('bendTooTight mend');
    expect(codes(tight)).toContain('bendTooTight stop');
  });
  it('see what has no mass, and a member between nodes that are not there', () => {
    const [hand, rod] = plainRig.bodies;
    expect(codes({ ...plainRig, materials: {} })).toContain('notCounted stop');
    expect(codes({ ...plainRig, bodies: [hand!, { ...rod!, nodes: [] }] })).toContain('notCounted stop');
  });
});

describe('the bent bar’s advice', () => {
  const advice = (dimensions: Record<string, number>): readonly string[] => {
    const input = { dimensions: { ...usual.dimensions, ...dimensions }, choices: usual.choices };
    return bentBar.advise(input, bentBar.build(input)).map((f) => f.code);
  };
  it('sees a tail too short for its foot, a fist in the weights, a bend out of its plane', () => {
    expect(advice({ tail: 0.05 })).toContain('tailTooShort');
    expect(advice({ bendInsideRadius: 0.1 })).toContain('fistMeetsWeights');
    expect(advice({ outOfPlane: 0.02 })).toContain('bendOutOfPlane');
  });
  it('offers fixes that cure what they are offered for', () => {
    for (const bad of [{ tail: 0.05 }, { bendInsideRadius: 0.1 }] as Record<string, number>[]) {
      const input = { dimensions: { ...usual.dimensions, ...bad }, choices: usual.choices };
      for (const finding of bentBar.advise(input, bentBar.build(input))) {
        for (const fix of finding.fixes) {
          const changed = figuresOf(fix.changes);
          const after = { ...input, dimensions: { ...input.dimensions, ...changed } };
          expect(bentBar.advise(after, bentBar.build(after)).map((f) => f.code))
            .withContext(finding.code)
            .not.toContain(finding.code);
        }
      }
    }
  });
});

describe('two holes in one piece', () => {
  const drilled = (along: number, diameter = 0.006) => ({
    id: `h${along}`,
    name: `hole at ${along}`,
    along,
    across: 0,
    diameter,
    afterBending: false,
  });
  const withHoles = (...holes: ReturnType<typeof drilled>[]): Rig => ({
    ...plainRig,
    bodies: plainRig.bodies.map((b) => ({ ...b, members: b.members.map((m) => ({ ...m, holes })) })),
  });
  const plate = (...holes: PartHole[]): Rig => ({
    ...plainRig,
    bodies: plainRig.bodies.map((b, i) =>
      i > 0
        ? b
        : {
            ...b,
            parts: [
              {
                id: 'p',
                name: 'plate',
                shape: { kind: 'box', size: [0.1, 0.1, 0.005] },
                at: [0, 0, 0],
                material: 'steel',
                holes,
              },
            ],
          },
    ),
  });
  const at = (x: number, y: number, by: string, slot?: Vec3): PartHole => ({
    at: [x, y, 0],
    axis: [0, 0, 1],
    diameter: 0.006,
    by,
    ...(slot ? { slot } : {}),
  });
  const meet = (rig: Rig): readonly string[] => codes(rig).filter((c) => c.startsWith('holesMeet'));
  it('may not run into each other, nor leave less than half of one between them', () => {
    expect(meet(withHoles(drilled(0.1), drilled(0.104)))).toEqual(['holesMeet stop']);
    expect(meet(withHoles(drilled(0.1), drilled(0.1089)))).toEqual(['holesMeet mend']);
    expect(meet(withHoles(drilled(0.1), drilled(0.1091)))).toEqual([]);
  });
  it('of a plate count slots as long as they are, and one screw’s own holes not', () => {
    expect(meet(plate(at(0, 0, 'a'), at(0.02, 0, 'b')))).toEqual([]);
    expect(meet(plate(at(0, 0, 'a', [0.03, 0, 0]), at(0.02, 0, 'b')))).toEqual(['holesMeet stop']);
    expect(meet(plate(at(0, 0, 'a', [0.03, 0, 0]), at(0, 0.0, 'b', [0, 0.03, 0])))).toEqual(['holesMeet stop']);
    expect(meet(plate(at(0, 0, 'a'), at(0.002, 0, 'a')))).toEqual([]);
  });
});

describe('a rig from before connections', () => {
  it('says that what holds its pieces is not known, and one from now does not', () => {
    const { rig } = designRig({
      kind: 'family',
      family: 'gimballed-bent-bar',
      dimensions: {},
      choices: {},
      edits: [],
    }) as Extract<DesignedRig, { ok: true }>;
    const before: Rig = {
      ...rig,
      bodies: rig.bodies.map(({ connections: _none, ...b }) => ({ ...b, parts: b.parts.filter((p) => !p.by) })),
    };
    expect(codes(rig)).not.toContain('notSaidHowHeld measure');
    expect(codes(before).filter((c) => c.startsWith('notSaidHowHeld')).length).toBeGreaterThan(0);
  });
});
