import {
  aboutAxis,
  adjusterSteps,
  dropMotion,
  dropTime,
  equivalentPendulum,
  evaluate,
  FROM_LEVEL,
  hang,
  hangOnTwoPins,
  heightForDrop,
  poolOf,
  quickBalance,
  restWithUp,
  sliderForDrop,
  stageToLevel,
} from '../..';
import * as fc from 'fast-check';
import { STANDARD_GRAVITY } from '../../../0-base';
import { addSums, moveSums, sumsOf } from '../../../1-load';
import { placedPieces, assemble } from '../../../2-frame';
import { holds } from '../../../testing/holds';
import { balanceContext, bentBarAssembly, plainRig, wants } from '../../../testing/rigs';

describe('hanging on a point', () => {
  it('dips the nose for a mass ahead, the left side for one at the left', () => {
    const found = hang([0.01, 0.002, -0.02], 1.5);
    expect(found.state).toBe('hangs');
    expect(found.rest!.noseDown).toBeCloseTo(Math.atan2(0.01, 0.02), 14);
    expect(found.rest!.leftSideDown).toBeCloseTo(Math.atan2(0.002, 0.02), 14);
    expect(found.rest!.lensElevation).toBeLessThan(0);
  });
  it('turns over when the mass centre is at or above the pivot, and is neutral on it', () => {
    expect(hang([0.01, 0, 0], 1).state).toBe('topHeavy');
    expect(hang([0, 0, 1e-6], 1).rest).toBeNull();
    expect(hang([0, 0, -1e-10], 1).state).toBe('neutral');
  });
  it('is held by friction within its band, or anywhere', () => {
    expect(hang([0, 0, -0.01], 1, 0.5 * 0.01 * STANDARD_GRAVITY).friction).toEqual({
      halfWidth: jasmine.any(Number) as unknown as number,
      staysAnywhere: false,
    });
    expect(hang([0, 0, -0.01], 1, 0.01 * STANDARD_GRAVITY).friction!.staysAnywhere).toBeTrue();
  });
  it('is brought level by the stage move it tells', () => {
    const d = [0.012, 0, -0.03] as const;
    const { move, elevationPerMetre } = stageToLevel(d, 2, 0.8, [1, 0, 0]);
    expect(d[0] + (move * 0.8) / 2).toBeCloseTo(0, 15);
    expect(elevationPerMetre).toBeCloseTo(-0.8 / 2 / 0.03, 12);
  });
  it('on two pins at one place is hanging on a point', () => {
    holds(
      fc.property(
        fc.double({ min: -0.02, max: 0.02, noNaN: true }),
        fc.double({ min: -0.02, max: 0.02, noNaN: true }),
        fc.double({ min: -0.1, max: -0.01, noNaN: true }),
        (x, y, z) => {
          const pins = hangOnTwoPins({ axis: 'y', point: [0, 0, 0] }, { axis: 'x', point: [0, 0, 0] }, null, {
            mass: 1,
            centre: [x, y, z],
          });
          const point = hang([x, y, z], 1);
          return pins.state === 'hangs' && pins.rest.up.every((u, i) => Math.abs(u - point.rest!.up[i]!) < 1e-12);
        },
      ),
      { seed: 21 },
    );
    expect(
      hangOnTwoPins({ axis: 'x', point: [0, 0, 0] }, { axis: 'y', point: [0, 0, -0.02] }, null, {
        mass: 1,
        centre: [0, 0, 0.01],
      }).state,
    ).toBe('topHeavy');
    expect(restWithUp([0, 0, 1]).noseDown).toBeCloseTo(0, 15);
  });
});

describe('drop time', () => {
  const pendulum = { mass: 2, inertia: 0.1, distance: 0.02, releaseAngle: FROM_LEVEL };
  it('is K √(I/(M g d)), and the equivalent pendulum has the same', () => {
    const drop = dropTime(pendulum);
    expect(drop.kind === 'falls' && drop.time).toBeCloseTo(
      1.8540746773 * Math.sqrt(0.1 / (2 * STANDARD_GRAVITY * 0.02)),
      9,
    );
    const alike = equivalentPendulum(2, 0.1, 0.02)!;
    const point = dropTime({ mass: 1, inertia: alike.length ** 2, distance: alike.length, releaseAngle: FROM_LEVEL });
    expect(drop.kind === 'falls' && point.kind === 'falls' && drop.time - point.time).toBeCloseTo(0, 12);
    expect(equivalentPendulum(2, 0.1, 0)).toBeNull();
  });
  it('integrated without friction is the closed form', () => {
    const free = dropTime(pendulum);
    const timed = dropTime(pendulum, { drag: 1e-15 });
    expect(
      free.kind === 'falls' &&
        timed.kind === 'falls' &&
        Math.abs(free.time - timed.time) < 1e-8 &&
        Math.abs(free.rateAtUpright - timed.rateAtUpright) < 1e-8,
    ).toBeTrue();
  });
  it('spends just the energy that friction takes', () => {
    const dry = 0.05;
    const drop = dropTime(pendulum, { dry });
    if (drop.kind !== 'falls') return fail('it must fall');
    expect(0.5 * 0.1 * drop.rateAtUpright ** 2).toBeCloseTo(2 * STANDARD_GRAVITY * 0.02 - (dry * Math.PI) / 2, 8);
  });
  it('does not exist for a rig that sticks, balances or creeps', () => {
    expect(dropTime({ ...pendulum, distance: 0 }).kind).toBe('never');
    expect(dropTime({ ...pendulum, releaseAngle: Math.PI }, {}).kind).toBe('never');
    expect(dropTime(pendulum, { dry: 1 })).toEqual({ kind: 'stops', angle: FROM_LEVEL, time: 0 });
    expect(dropTime(pendulum, { viscous: 50 }).kind).toBe('never');
    const stops = dropTime(pendulum, { dry: 0.3 });
    expect(stops.kind === 'stops' && stops.angle).toBeGreaterThan(0);
  });
  it('played keeps its energy', () => {
    const angles = dropMotion(pendulum, 1 / 60, 6);
    expect(Math.min(...angles)).toBeCloseTo(-FROM_LEVEL, 3);
    expect(angles[0]).toBe(FROM_LEVEL);
  });
  it('is had at the height it tells', () => {
    const found = heightForDrop(1.6, 0.03, FROM_LEVEL, 2);
    const drop = dropTime({
      mass: 1.6,
      inertia: 0.03 + 1.6 * found.height! ** 2,
      distance: found.height!,
      releaseAngle: FROM_LEVEL,
    });
    expect(drop.kind === 'falls' && drop.time).toBeCloseTo(2, 10);
    expect(heightForDrop(1.6, 0.03, FROM_LEVEL, 0.01).possible).toBeFalse();
  });
  it('of a slider agrees with evaluating at the places it tells', () => {
    const bodies = placedPieces(assemble(plainRig, null), {}).map((p) => p.flat);
    const moving = bodies.filter((b) => b.owner === 'weights');
    const fixed = bodies.filter((b) => b.owner !== 'weights');
    const problem = {
      fixed: sumsOf(fixed),
      moving: sumsOf(moving),
      direction: [0, 0, 1] as const,
      range: [0, 0.35] as const,
      pivot: [0, 0, 0] as const,
      axis: 'pitch' as const,
      releaseAngle: FROM_LEVEL,
    };
    const wanted = 1.1 * sliderForDrop(problem, 1).leastTime;
    const { positions } = sliderForDrop(problem, wanted);
    expect(positions.length).toBeGreaterThan(0);
    for (const s of positions) {
      const { inertia, distance } = aboutAxis(
        addSums(problem.fixed, moveSums(problem.moving, [0, 0, s])),
        [0, 0, 0],
        'pitch',
      );
      const drop = dropTime({
        mass: problem.fixed.mass + problem.moving.mass,
        inertia,
        distance,
        releaseAngle: FROM_LEVEL,
      });
      expect(drop.kind === 'falls' && drop.time).toBeCloseTo(wanted, 9);
    }
  });
});

describe('evaluating', () => {
  const assembly = bentBarAssembly();
  const values = { 'foot-count': 10 };
  it('adds up its own flat list', () => {
    const found = evaluate(assembly, values);
    const outside = found.pieces.reduce((m, p) => m + p.flat.mass, 0);
    expect(found.mass).toBeCloseTo(outside, 12);
    expect(found.hung!.sums.mass).toBeLessThan(found.mass);
    expect(found.loadMass).toBeCloseTo(0.7, 12);
    expect(found.addedMass).toBeCloseTo(10 * assembly.stacks[0]!.one.mass, 12);
  });
  it('moves what an adjuster moves and nothing else', () => {
    const [a, b] = [evaluate(assembly, values), evaluate(assembly, { ...values, 'stage-fore-aft': 0.01 })];
    const moved = b.pieces
      .filter((p, i) => p.flat.centre[0] !== a.pieces[i]!.flat.centre[0])
      .map((p) => p.flat.owner)
      .sort();
    expect(moved).toEqual(['camera/screw', 'camera/screw', 'm-cam', 'm-lens', 'stage-top']);
    const stage = b.pieces.filter((p) => moved.includes(p.flat.owner)).reduce((m, p) => m + p.flat.mass, 0);
    expect(b.hung!.hang.fromPivot[0] - a.hung!.hang.fromPivot[0]).toBeCloseTo((0.01 * stage) / a.hung!.sums.mass, 12);
  });
  it('keeps an adjuster within its range, whatever it is told', () => {
    expect(evaluate(assembly, { 'foot-count': 1e9 }).mass).toBe(evaluate(assembly, { 'foot-count': 16 }).mass);
  });
  it('raising the pivot lowers the mass centre by as much, less what of the joint goes up with it', () => {
    const [a, b] = [evaluate(assembly, values), evaluate(assembly, { ...values, 'pivot-height': 0.002 })];
    const goesUp = a.pieces
      .filter((p) => ['joint-upper', 'joint-stud/nut-2'].includes(p.flat.owner))
      .reduce((m, p) => m + p.flat.mass, 0);
    const lowered = 0.002 * (1 - goesUp / a.hung!.sums.mass);
    expect(b.hung!.hang.bottomHeaviness - a.hung!.hang.bottomHeaviness).toBeCloseTo(lowered, 12);
  });
  it('tells what the next step of each adjuster does', () => {
    const steps = adjusterSteps(balanceContext(assembly, { ...values, 'rear-count': 16 }));
    expect(steps.length).toBe(assembly.rig.adjusters.length);
    const rear = steps.find((s) => s.id === 'rear-count')!;
    expect(rear.direction).toBe(-1);
    expect(rear.left).toEqual([16, 0]);
  });
  it('quickly finds what the full evaluation finds', () => {
    const quick = quickBalance(assembly)!;
    holds(
      fc.property(
        fc.nat(16),
        fc.nat(16),
        fc.double({ min: -0.02, max: 0.02, noNaN: true }),
        fc.double({ min: -0.006, max: 0.006, noNaN: true }),
        (foot, rear, slide, height) => {
          const at = { 'foot-count': foot, 'rear-count': rear, 'stage-fore-aft': slide, 'pivot-height': height };
          const [fast, full] = [quick.at(at), evaluate(assembly, at).hung!];
          return (
            fast.fromPivot.every((x, i) => Math.abs(x - full.hang.fromPivot[i]!) < 1e-12) &&
            (fast.noseDown === null) === (full.hang.rest === null) &&
            Math.abs((fast.noseDown ?? 0) - (full.hang.rest?.noseDown ?? 0)) < 1e-9
          );
        },
      ),
      { seed: 22, numRuns: 60 },
    );
    expect(quickBalance(assemble({ ...plainRig, pivots: [] }, null))).toBeNull();
  });
  it('works for a rig of no family, and for one that hangs on nothing', () => {
    const found = evaluate(assemble(plainRig, null), {});
    expect(found.hung!.hang.state).toBe('hangs');
    expect(found.hung!.hang.rest!.noseDown).toBeCloseTo(0, 12);
    expect(evaluate(assemble({ ...plainRig, pivots: [] }, null), {}).hung).toBeNull();
  });
  it('says how well it knows: a heavier guess, a wider spread, and whose it is', () => {
    const spread = evaluate(assembly, values).hung!.spread;
    expect(spread.massCentre.every((s) => s > 0)).toBeTrue();
    expect(spread.largestHeight!.share).toBeGreaterThan(0.2);
    const surer = evaluate(
      { ...assembly, stacks: assembly.stacks.map((s) => ({ ...s, one: { ...s.one, massSpread: 0 } })) },
      values,
    ).hung!.spread;
    expect(surer.massCentre[2]).toBeLessThan(spread.massCentre[2]);
  });
  it('draws a pool in which every depth gives a wanted drop time', () => {
    const hung = evaluate(assembly, values).hung!;
    const pool = poolOf(hung, wants)!;
    expect(pool.under[0]).toBeLessThan(pool.under[1]);
    expect(poolOf(hung, { ...wants, dropTime: [0.01, 0.02] })).toBeNull();
  });
});
