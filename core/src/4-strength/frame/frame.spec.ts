import * as fc from 'fast-check';
import { add, cross, length, rotationAbout, scale, subtract, transform, unit, ZERO, type Vec3 } from '../../0-base';
import { anyFrame, fixed, flat, frame, load, mass, member, round, steel } from '../../testing/frames';
import { holds } from '../../testing/holds';
import {
  bucklingOf,
  frameAtRest,
  frameSystem,
  modesOf,
  settledModes,
  skinStress,
  standsUpTo,
  type FrameAnswer,
  type FrameModel,
} from '..';

const G: Vec3 = [0, 0, -9.80665];
const EI = steel.stiffness * round.aboutY;
const GJ = steel.shear * round.torsion;

function rest(model: FrameModel, field: Vec3 = ZERO, pieces = 1): FrameAnswer {
  const outcome = frameAtRest(
    frameSystem(model, () => pieces),
    field,
  );
  if (outcome.kind !== 'solved') throw new Error('it moves');
  return outcome.answer;
}
const frequencies = (model: FrameModel, count: number): readonly number[] =>
  settledModes(model, count)!.modes.map((m) => m.frequency);
const close = (got: number, want: number, part = 1e-9): void =>
  expect(Math.abs(got - want))
    .withContext(`${got} for ${want}`)
    .toBeLessThanOrEqual(part * Math.abs(want));

describe('a frame at rest, by closed forms', () => {
  const L = 0.8;
  const arm = frame({ a: [0, 0, 0], b: [L, 0, 0] }, [member('m', 'a', 'b')], { supports: [fixed('a')] });

  it('cantilever: P L³/3EI and P L²/2EI at its tip, w L⁴/8EI by its own weight', () => {
    const tip = rest({ ...arm, loads: [load('b', [0, 0, -12])] }).at('b');
    close(tip.displacement[2], (-12 * L ** 3) / (3 * EI));
    close(tip.rotation[1], (12 * L ** 2) / (2 * EI));
    close(rest(arm, G).at('b').displacement[2], (-9.80665 * steel.density * round.area * L ** 4) / (8 * EI));
  });

  it('shear adds P L/kGA to a stubby one', () => {
    const stubby: FrameModel = { ...arm, theory: 'timoshenko', loads: [load('b', [0, 5, 0])] };
    close(
      rest(stubby).at('b').displacement[1],
      (5 * L ** 3) / (3 * EI) + (5 * L) / (round.shearPart * steel.shear * round.area),
    );
  });

  it('fixed at both ends: w L⁴/384EI in the middle, w L²/12 at its ends', () => {
    const beam = frame(
      { a: [0, 0, 0], m: [L / 2, 0, 0], b: [L, 0, 0] },
      [member('1', 'a', 'm'), member('2', 'm', 'b')],
      { supports: [fixed('a'), fixed('b')] },
    );
    const w = 9.80665 * steel.density * round.area;
    const answer = rest(beam, G);
    close(answer.at('m').displacement[2], (-w * L ** 4) / (384 * EI));
    close(answer.reactionAt('a').moment[1], (-w * L ** 2) / 12);
    const middle = answer.through(0).find((c) => c.member === 0 && Math.abs(c.along - L / 2) < 1e-9)!;
    close(Math.abs(middle.moment[1]), (w * L ** 2) / 24);
  });

  it('portal pushed at one corner: its sway and the moments at its feet', () => {
    const [h, b, P] = [0.5, 0.4, 30];
    const portal = frame(
      { a: [0, 0, 0], b: [0, 0, h], c: [b, 0, h], d: [b, 0, 0] },
      [member('1', 'a', 'b'), member('2', 'b', 'c'), member('3', 'c', 'd')].map((m) => ({
        ...m,
        // So stiff along that the closed form, which leaves stretching out, holds.
        section: { ...round, area: 1e6 * round.area },
      })),
      { supports: [fixed('a'), fixed('d')], loads: [load('b', [P, 0, 0])] },
    );
    const k = b / h; // (I/h of a post over I/b of the beam), equal sections
    const answer = rest(portal);
    close(answer.reactionAt('a').moment[1], (-P * h * (3 / k + 1)) / (2 * (6 / k + 1)), 1e-5);
    close(answer.at('b').displacement[0], (P * h ** 3 * (3 / k + 2)) / (12 * EI * (6 / k + 1)) / 1, 1e-5);
  });

  it('quarter arc, end loads in its plane and across it', () => {
    const R = 0.2;
    const arc = { centre: [0, 0, -R] as Vec3, axis: [0, 1, 0] as Vec3, angle: Math.PI / 2 };
    const model = frame({ a: [0, 0, 0], b: [R, 0, -R] }, [member('m', 'a', 'b', { arc })], {
      supports: [fixed('a')],
    });
    const down = rest({ ...model, loads: [load('b', [0, 0, -8])] }).at('b').displacement;
    const EA = steel.stiffness * round.area;
    close(down[2], (-8 * R ** 3 * ((3 * Math.PI) / 4 - 2)) / EI - (8 * R * Math.PI) / (4 * EA), 1e-6);
    const across = rest({ ...model, loads: [load('b', [0, 8, 0])] }).at('b').displacement;
    close(across[1], 8 * R ** 3 * (Math.PI / 4 / EI + ((3 * Math.PI) / 4 - 2) / GJ), 1e-6);
  });

  it('ring squeezed across: 0.1488 P R³/EI closer, thin', () => {
    const R = 0.15;
    const at = (t: number): Vec3 => [R * Math.cos(t), 0, R * Math.sin(t)];
    const names = ['e', 'n', 'w', 's'];
    const thin = { ...round, area: 1e6 * round.area };
    const ring = frame(
      Object.fromEntries(names.map((n, i) => [n, at((i * Math.PI) / 2)])),
      names.map((n, i) =>
        member(n, n, names[(i + 1) % 4]!, {
          section: thin,
          arc: { centre: ZERO, axis: [0, -1, 0], angle: Math.PI / 2 },
        }),
      ),
      { supports: [fixed('s')], loads: [load('n', [0, 0, -20])] },
    );
    close(rest(ring).at('n').displacement[2], ((-20 * R ** 3) / EI) * (Math.PI / 4 - 2 / Math.PI), 1e-6);
  });

  it('bent round a corner: bending and torsion add', () => {
    const [a, b, P] = [0.3, 0.2, 15];
    const hook = frame({ o: [0, 0, 0], k: [a, 0, 0], t: [a, b, 0] }, [member('1', 'o', 'k'), member('2', 'k', 't')], {
      supports: [fixed('o')],
      loads: [load('t', [0, 0, -P])],
    });
    close(rest(hook).at('t').displacement[2], -P * ((a ** 3 + b ** 3) / (3 * EI) + (b * b * a) / GJ));
  });

  it('on a support of springs, and through a link: forces over stiffness', () => {
    const stiff = frame({ a: [0, 0, 0], b: [0.2, 0, 0], c: [0.2, 0, 0] }, [member('m', 'a', 'b')], {
      supports: [{ node: 'a', stiffness: [1e5, 1e5, 2e4, 40, 50, 60] }],
      links: [
        {
          id: 'l',
          from: 'b',
          to: 'c',
          at: [0.2, 0, 0],
          axes: [
            [1, 0, 0],
            [0, 1, 0],
            [0, 0, 1],
          ],
          stiffness: [1e6, 1e6, 3e4, 7, 8, 9],
        },
      ],
      loads: [load('c', [0, 0, -10], [0, 1, 0])],
    });
    const { at, reactionAt } = rest(stiff);
    close(at('a').displacement[2], -10 / 2e4);
    close(at('a').rotation[1], (10 * 0.2 + 1) / 50);
    close(at('c').rotation[1] - at('b').rotation[1], 1 / 8);
    close(at('c').displacement[2] - at('b').displacement[2], -10 / 3e4);
    close(reactionAt('a').force[2], 10);
  });

  it('stress in the skin of a bent and twisted tube', () => {
    const skin = skinStress({ force: [100, 0, 0], moment: [3, 4, 3] }, round);
    close(skin.along, 100 / round.area + (5 * 0.01) / round.aboutY);
    close(skin.twist, (3 * 0.01) / round.torsion);
    close(skin.vonMises, Math.sqrt(skin.along ** 2 + 3 * skin.twist ** 2));
    expect(skinStress({ force: ZERO, moment: [0, 2, 0] }, flat).along).toBeCloseTo((2 * 0.002) / flat.aboutY, 3);
  });
});

describe('how a frame rings, by closed forms', () => {
  const L = 0.7;
  const perMetre = steel.density * round.area;
  const arm = frame({ a: [0, 0, 0], b: [L, 0, 0] }, [member('m', 'a', 'b')], { supports: [fixed('a')] });

  it('bare cantilever, both ways at once: neither of an equal pair is missed', () => {
    const found = frequencies(arm, 4);
    [1.87510407, 1.87510407, 4.69409113, 4.69409113].forEach((k, i) =>
      close(found[i]!, (k ** 2 / (2 * Math.PI)) * Math.sqrt(EI / (perMetre * L ** 4)), 1e-5),
    );
  });

  it('with a mass on its tip that outweighs it: 3 EI/L³ over m + 33/140 of its own', () => {
    const heavy = frequencies({ ...arm, equipment: [mass('b', 3)] }, 2)[0]!;
    close(heavy, Math.sqrt((3 * EI) / (L ** 3 * (3 + (33 / 140) * perMetre * L))) / (2 * Math.PI), 2e-4);
  });

  it('a weight on a hinge spring: root of k over inertia', () => {
    const hinge = frame({ a: [0, 0, 0], b: [0.3, 0, 0] }, [
      member('m', 'a', 'b', {
        section: { ...round, aboutY: 1e-2, aboutZ: 1e-2, torsion: 1e-2, area: 1 },
        material: { ...steel, density: 1e-6 },
        startSpring: { along: [Infinity, Infinity, Infinity], about: [Infinity, 90, Infinity] },
      }),
    ]);
    const found = frequencies({ ...hinge, supports: [fixed('a')], equipment: [mass('b', 2)] }, 1)[0]!;
    close(found, Math.sqrt(90 / (2 * 0.3 ** 2)) / (2 * Math.PI), 2e-5);
  });

  it('a free frame has six motions that cost nothing, and then rings', () => {
    const free = frame({ a: [0, 0, 0], b: [0.3, 0.1, 0], c: [0.4, 0, 0.3] }, [
      member('1', 'a', 'b'),
      member('2', 'b', 'c'),
    ]);
    const { modes, proven } = modesOf(
      frameSystem(free, () => 4),
      8,
    )!;
    expect(proven).toBeTrue();
    for (const m of modes.slice(0, 6)) expect(m.frequency).toBeLessThan(1e-2);
    expect(modes[6]!.frequency).toBeGreaterThan(10);
    expect(
      frameAtRest(
        frameSystem(free, () => 1),
        G,
      ).kind,
    ).toBe('mechanism');
  });

  it('a member that turns freely where it should not is told, with the way it moves', () => {
    const loose = frame({ a: [0, 0, 0], b: [0.3, 0, 0] }, [
      member('m', 'a', 'b', { startSpring: { along: [Infinity, Infinity, Infinity], about: [Infinity, 0, Infinity] } }),
    ]);
    const outcome = frameAtRest(
      frameSystem({ ...loose, supports: [fixed('a')] }, () => 1),
      G,
    );
    expect(outcome.kind).toBe('mechanism');
    if (outcome.kind !== 'mechanism') return;
    const { displacement, rotation } = outcome.motion('b');
    expect(Math.abs(displacement[2])).toBeCloseTo(0.3 * Math.abs(rotation[1]), 9);
    expect(Math.abs(displacement[1])).toBeLessThan(1e-9);
  });

  it('a fixed post gives way at π² EI/4L², pinned ones at π² EI/L², held ones at 4 of it', () => {
    const post = (supports: FrameModel['supports']): number =>
      bucklingOf(
        frame({ a: [0, 0, 0], b: [0, 0, 1] }, [member('m', 'a', 'b')], { supports, loads: [load('b', [0, 0, -1])] }),
        1,
      ).factors[0]!;
    const euler = Math.PI ** 2 * EI;
    close(post([fixed('a')]), euler / 4, 1e-5);
    const pin = (node: string, z: boolean) => ({ node, fixed: [true, true, z, false, false, node === 'a'] as const });
    close(post([pin('a', true), pin('b', false)]), euler, 1e-4);
    close(post([fixed('a'), { node: 'b', fixed: [true, true, false, true, true, true] }]), 4 * euler, 1e-3);
  });
});

describe('any frame', () => {
  it('stands up to just under its lowest factor, and not to just over it', () => {
    holds(
      fc.property(anyFrame, (any) => {
        const model = { ...any, theory: 'eulerBernoulli' as const };
        const [factor] = bucklingOf(model, 1, G, 2).factors;
        const system = frameSystem(model, () => 2);
        const atRest = rest(model, G, 2);
        return factor === undefined
          ? standsUpTo(system, atRest, 1e6)
          : standsUpTo(system, atRest, 0.999 * factor) && !standsUpTo(system, atRest, 1.001 * factor);
      }),
      { seed: 23 },
    );
  });

  const scaleOf = (model: FrameModel): number =>
    Math.max(...[...model.nodes.keys()].map((n) => length(rest(model, G).at(n).displacement)));

  it('is borne by what holds it: reactions balance loads and weights, forces and moments', () => {
    holds(
      fc.property(anyFrame, (model) => {
        const { reactionAt } = rest(model, G, 2);
        const held = reactionAt('n0');
        const weights = model.members.map((m) => {
          const [a, b] = [model.nodes.get(m.from)!, model.nodes.get(m.to)!];
          const kg = m.material.density * m.section.area * length(subtract(b, a));
          return { at: scale(add(a, b), 0.5), force: scale(G, kg), moment: ZERO };
        });
        const all = [
          ...weights,
          ...model.equipment.map((e) => ({
            at: add(model.nodes.get(e.node)!, e.offset),
            force: scale(G, e.mass),
            moment: ZERO,
          })),
          ...model.loads.map((l) => ({ at: model.nodes.get(l.node)!, force: l.force, moment: l.moment })),
          { at: model.nodes.get('n0')!, ...held },
        ];
        const force = all.reduce<Vec3>((sum, f) => add(sum, f.force), ZERO);
        const moment = all.reduce<Vec3>((sum, f) => add(sum, add(f.moment, cross(f.at, f.force))), ZERO);
        expect(length(force)).toBeLessThan(1e-7);
        expect(length(moment)).toBeLessThan(1e-7);
      }),
      { seed: 41 },
    );
  });

  it('answers the same however its members are cut, and wherever and however it is turned', () => {
    holds(
      fc.property(anyFrame, (model) => {
        const last = model.equipment[0]!.node;
        const once = rest(model, G).at(last).displacement;
        const size = Math.max(scaleOf(model), 1e-9);
        expect(length(subtract(rest(model, G, 3).at(last).displacement, once)) / size).toBeLessThan(1e-6);
        const turn = rotationAbout(unit([1, 2, -1]), 0.9);
        const seen = (v: Vec3): Vec3 => transform(turn, v);
        const turned: FrameModel = {
          ...model,
          nodes: new Map([...model.nodes].map(([n, at]) => [n, add(seen(at), [3, -2, 1])])),
          members: model.members.map((m) => {
            const along = subtract(model.nodes.get(m.to)!, model.nodes.get(m.from)!);
            const y: Vec3 = m.yDirection ?? (Math.abs(along[1]) < 0.9 * length(along) ? [0, 1, 0] : [1, 0, 0]);
            return { ...m, yDirection: seen(y) };
          }),
          equipment: model.equipment.map((e) => ({ ...e, offset: seen(e.offset) })),
          loads: model.loads.map((l) => ({ ...l, force: seen(l.force), moment: seen(l.moment) })),
        };
        expect(length(subtract(rest(turned, seen(G)).at(last).displacement, seen(once))) / size).toBeLessThan(1e-6);
        const [a, b] = [frequencies(model, 3), frequencies(turned, 3)];
        a.forEach((f, i) => expect(Math.abs(b[i]! / f - 1)).toBeLessThan(1e-6));
      }),
      { seed: 42, numRuns: 40 },
    );
  });

  it('gives at one place to a push at another as at the other to the one; work done is energy kept', () => {
    holds(
      fc.property(anyFrame, (model) => {
        const bare: FrameModel = { ...model, loads: [] };
        const names = [...model.nodes.keys()];
        const [i, j] = [names[1]!, names.at(-1)!];
        const uij = rest({ ...bare, loads: [load(j, [0, 0, 1])] }).at(i).displacement[0];
        const answer = rest({ ...bare, loads: [load(i, [1, 0, 0])] });
        const size = Math.abs(answer.at(i).displacement[0]) + Math.abs(uij) + 1e-12;
        expect(Math.abs(uij - answer.at(j).displacement[2]) / size).toBeLessThan(1e-7);
        const system = frameSystem({ ...bare, loads: [load(i, [1, 0, 0])] }, () => 1);
        const solved = frameAtRest(system, ZERO);
        if (solved.kind !== 'solved') throw new Error('it moves');
        const energy = system.elements.reduce((sum, { unknowns, stiffness }) => {
          if (!stiffness) return sum;
          const u = unknowns.map((k) => solved.answer.moved[k]!);
          return (
            sum + u.reduce((s, a, r) => s + a * u.reduce((t, b, c) => t + stiffness[r * u.length + c]! * b, 0), 0) / 2
          );
        }, 0);
        const work = answer.at(i).displacement[0] / 2;
        expect(Math.abs(energy - work)).toBeLessThan(1e-7 * Math.abs(work) + 1e-15);
      }),
      { seed: 43 },
    );
  });

  it('rings in shapes that are square to each other by mass, none of the lowest missed', () => {
    holds(
      fc.property(anyFrame, (model) => {
        const system = frameSystem(model, () => 3);
        const { modes, proven } = modesOf(system, 6)!;
        expect(proven).toBeTrue();
        modes.forEach((m, i) => {
          if (i > 0) expect(m.frequency).toBeGreaterThanOrEqual(modes[i - 1]!.frequency * (1 - 1e-9));
          modes.forEach((n, j) => {
            const product = system.elements.reduce((sum, { unknowns, mass: own }) => {
              if (!own) return sum;
              const size = unknowns.length;
              return (
                sum +
                unknowns.reduce(
                  (s, a, r) => s + m.shape[a]! * unknowns.reduce((t, b, c) => t + own[r * size + c]! * n.shape[b]!, 0),
                  0,
                )
              );
            }, 0);
            expect(Math.abs(product - (i === j ? 1 : 0))).toBeLessThan(1e-6);
          });
        });
      }),
      { seed: 44, numRuns: 40 },
    );
  });

  it('of an arc cut finer settles with the fourth power of its pieces in how it rings', () => {
    const R = 0.2;
    const model = frame(
      { a: [0, 0, 0], b: [R, 0, -R] },
      [member('m', 'a', 'b', { arc: { centre: [0, 0, -R], axis: [0, 1, 0], angle: Math.PI / 2 } })],
      { supports: [fixed('a')], equipment: [mass('b', 0.2)] },
    );
    const third = (pieces: number): number =>
      modesOf(
        frameSystem(model, () => pieces),
        4,
      )!.modes[3]!.frequency;
    const [two, four, eight, best] = [third(2), third(4), third(8), third(24)];
    expect((two - best) / (four - best)).toBeGreaterThan(8);
    expect(Math.abs(eight / best - 1)).toBeLessThan(1e-3);
  });
});
