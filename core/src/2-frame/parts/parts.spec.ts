import * as fc from 'fast-check';
import { materialOf, type Vec3 } from '../../0-base';
import { rig as rigSchema, type Part, type Rig } from '../../model';
import { holds } from '../../testing/holds';
import { plainRig } from '../../testing/rigs';
import { PIPE_SYSTEMS } from './pipes';
import { assemble } from '../assemble';
import { bolt } from './bolt';
import { crossSlide, FINE_SCREW } from './crossSlide';
import { CENTRINGS, DISC_PLATES, sideError } from './discs';
import {
  cameraScrew,
  clampBlock,
  endCap,
  foamGrip,
  handlebarClamp,
  quickRelease,
  QUICK_RELEASE_HEIGHT,
  rubberFoot,
  shoulderPad,
  strap,
  wingNut,
  woodenGrip,
} from './hardware';
import { jointAndGrip } from './jointAndGrip';
import { SUNK_HEAD, THIN_NUT } from '../hardware/sizes';
import { threadOf } from '../hardware/thread';
import { holesOf, plate } from './plate';
import { WASHERS, washerOf } from './washers';

/** A rig with this part and nothing else that hangs. */
const rigWith = (part: Part): Rig => ({
  ...plainRig,
  bodies: plainRig.bodies.map((b) => (b.id === 'rod' ? { ...b, parts: [part], stations: [] } : b)),
});
const faultIn = (part: Part) => rigSchema.safeParse(rigWith(part)).error;
const bodyOf = (part: Part) => assemble(rigWith(part), null).pieces.find((p) => p.flat.owner === part.id)!.flat;

const mm = (least: number, most: number) => fc.integer({ min: least, max: most }).map((n) => n / 1000);
const place = fc.tuple(mm(-200, 200), mm(-200, 200), mm(-200, 200));
const ways: readonly Vec3[] = [
  [1, 0, 0],
  [-1, 0, 0],
  [0, 1, 0],
  [0, -1, 0],
  [0, 0, 1],
  [0, 0, -1],
];
const way = fc.constantFrom(...ways);
const along = (p: Vec3, q: Vec3, axis: Vec3): number =>
  (p[0] - q[0]) * axis[0] + (p[1] - q[1]) * axis[1] + (p[2] - q[2]) * axis[2];

describe('washers and discs', () => {
  it('go over their bolt and have steel left', () => {
    for (const [id, w] of Object.entries(WASHERS)) {
      expect(2 * w.innerRadius)
        .withContext(id)
        .toBeGreaterThan(w.boltDiameter);
      expect(w.outerRadius)
        .withContext(id)
        .toBeGreaterThan(1.5 * w.innerRadius);
      expect(washerOf(id).boltDiameter).withContext(id).toBe(w.boltDiameter);
      expect('boltDiameter' in washerOf(id).washer)
        .withContext(id)
        .toBeFalse();
    }
    expect(() => washerOf('m99')).toThrowError(RangeError);
  });
  it('a disc plate weighs about what its size in iron would', () => {
    for (const [id, { outerRadius, innerRadius, thickness, mass }] of Object.entries(DISC_PLATES)) {
      const solid = Math.PI * (outerRadius ** 2 - innerRadius ** 2) * thickness * materialOf('steel')!.density;
      // Cast with hollows and a rim: between half and all of the solid ring.
      expect(mass!.value / solid)
        .withContext(id)
        .toBeGreaterThan(0.5);
      expect(mass!.value / solid)
        .withContext(id)
        .toBeLessThan(1.05);
    }
  });
  it('lie the nearer to the middle the better they are centred', () => {
    for (const { innerRadius } of Object.values(DISC_PLATES)) {
      const errors = (['none', 'washers', 'tape', 'bush'] as const).map((c) => sideError(2 * innerRadius, 0.01, c));
      expect([...errors].sort((a, b) => b - a)).toEqual(errors);
      expect(errors[0]).toBeCloseTo(innerRadius - 0.005, 12);
      expect(Math.min(...errors)).toBeGreaterThanOrEqual(0);
    }
    // A bolt as thick as the bush: nothing helps, and nothing is needed.
    for (const centring of Object.keys(CENTRINGS))
      expect(sideError(0.026, 0.026, centring))
        .withContext(centring)
        .toBeGreaterThanOrEqual(0);
  });
});

describe('a bolt', () => {
  it('sticks out as far as it is long, from as far inside as the bar is thick', () => {
    holds(
      fc.property(place, way, mm(4, 12), mm(10, 120), mm(0, 20), (seat, axis, diameter, length, inside) => {
        const made = bolt({ id: 'b', name: 'bolt M10, long', seat, axis, diameter, length, inside, price: 1 });
        const total = (made.shape as Extract<Part['shape'], { kind: 'tube' }>).length;
        const middle = along(made.at, seat, axis);
        expect(middle + total / 2).toBeCloseTo(length, 9);
        expect(middle - total / 2).toBeCloseTo(-inside, 9);
        expect(made.supply!.item).toBe('bolt M10, with nut');
      }),
      { seed: 51 },
    );
  });
});

describe('a plate', () => {
  it('takes the load on its top, and keeps its holes in pairs about its middle', () => {
    holds(
      fc.property(
        place,
        mm(40, 200),
        mm(40, 200),
        mm(3, 12),
        fc.integer({ min: 1, max: 7 }),
        fc.integer({ min: 1, max: 5 }),
        (middle, long, wide, thick, alongCount, across) => {
          const holes = holesOf({ kind: 'grid', diameter: 0.0065, pitch: 0.01, along: alongCount, across }, middle);
          const made = plate({
            id: 'p',
            name: 'plate',
            middle,
            size: [long, wide, thick],
            material: 'birchPly',
            holes,
            mount: true,
          });
          expect(made.mount![2] - middle[2]).toBeCloseTo(thick / 2, 12);
          expect(made.holes!.length).toBe(alongCount * across);
          for (const axis of [0, 1] as const)
            expect(made.holes!.reduce((sum, h) => sum + h.at[axis] - middle[axis], 0)).toBeCloseTo(0, 9);
          expect(faultIn(made)).toBeUndefined();
        },
      ),
      { seed: 52, numRuns: 50 },
    );
  });
  it('has one hole or one slot where that is asked', () => {
    expect(holesOf({ kind: 'single', diameter: 0.007 }, [0, 0, 0])).toEqual([
      { at: [0, 0, 0], axis: [0, 0, 1], diameter: 0.007 },
    ]);
    expect(holesOf({ kind: 'slot', diameter: 0.007, length: 0.06 }, [0, 0, 0])[0]!.slot).toEqual([0.06, 0, 0]);
  });
});

describe('small hardware', () => {
  const all = {
    foamGrip: (at) => foamGrip({ id: 'x', at, axis: [1, 0, 0], length: 0.1, inside: 0.02 }),
    woodenGrip: (at) => woodenGrip({ id: 'x', at, axis: [0, 0, 1], length: 0.12, diameter: 0.034, bore: 0.01 }),
    cameraScrew: (at) => cameraScrew({ id: 'x', at }),
    wingNut: (at) => wingNut({ id: 'x', at, axis: [0, 1, 0] }),
    quickRelease: (at) => quickRelease({ id: 'x', at }),
    rubberFoot: (at) => rubberFoot({ id: 'x', at }),
    endCap: (at) => endCap({ id: 'x', at, axis: [0, 0, -1], across: 0.02 }),
    handlebarClamp: (at) => handlebarClamp({ id: 'x', at }),
    clampBlock: (at) => clampBlock({ id: 'x', at }),
    shoulderPad: (at) => shoulderPad({ id: 'x', at }),
    strap: (at) => strap({ id: 'x', at }),
  } satisfies Record<string, (at: Vec3) => Part>;
  const centre = (part: Part): Vec3 => bodyOf(part).centre;
  it('is sound, can be bought, and is carried with its place', () => {
    for (const [name, make] of Object.entries(all)) {
      expect(faultIn(make([0, 0, 0])))
        .withContext(name)
        .toBeUndefined();
      expect(make([0, 0, 0]).supply!.packPrice)
        .withContext(name)
        .toBeGreaterThan(0);
      const [here, there] = [centre(make([0, 0, 0])), centre(make([0.1, -0.2, 0.3]))];
      [0.1, -0.2, 0.3].forEach((by, i) =>
        expect(there[i]! - here[i]!)
          .withContext(name)
          .toBeCloseTo(by, 12),
      );
      expect(bodyOf(make([0, 0, 0])).mass)
        .withContext(name)
        .toBeGreaterThan(0);
    }
  });
  it('lies on the side of its place that it is said to', () => {
    expect(centre(all.cameraScrew([0, 0, 0]))[2]).toBeLessThan(0);
    expect(centre(all.rubberFoot([0, 0, 0]))[2]).toBeLessThan(0);
    expect(centre(all.quickRelease([0, 0, 0]))[2]).toBeCloseTo(QUICK_RELEASE_HEIGHT / 2, 12);
    // A cap covers the end: most of it back over the tube.
    expect(centre(all.endCap([0, 0, 0]))[2]).toBeGreaterThan(0);
  });
});

describe('the joint and the stage', () => {
  const jointOf = (height: number, thickness: number, gripLength = 0.118) =>
    jointAndGrip({ height, thickness, on: 'bar', gripLength });
  it('the joint’s upper half ends at the pivot, all below it is held', () => {
    const [upper] = jointOf(0.05, 0.006).carried.parts;
    const { length } = upper!.shape as Extract<Part['shape'], { kind: 'tube' }>;
    expect(upper!.at[2] - length / 2).toBeCloseTo(0, 12);
    const boxes = jointOf(0.05, 0.006).held.parts.map((p) => {
      const shape = p.shape as Extract<Part['shape'], { kind: 'tube' }>;
      return [p.at[2] - shape.length / 2, p.at[2] + shape.length / 2];
    });
    expect(Math.max(...boxes.map(([, top]) => top!))).toBeCloseTo(0, 12);
    expect(Math.min(...boxes.map(([low]) => low!))).toBeCloseTo(-0.02 - 0.118, 12);
  });
  it('the joint’s stud is flush in any plate, and holds over all its travel', () => {
    holds(
      fc.property(mm(20, 120), fc.constantFrom(0.003175, 0.004, 0.005, 0.006, 0.00635), (height, thickness) => {
        const { carried, pivotHeight } = jointOf(height, thickness);
        const stud = carried.connections.find((c) => c.id === 'joint-stud')!;
        if (stud.kind !== 'bolted' || stud.end.kind !== 'tapped') throw new Error('no stud');
        const thread = threadOf(stud.thread);
        const [upper] = carried.parts;
        const { length } = upper!.shape as Extract<Part['shape'], { kind: 'tube' }>;
        const travel = pivotHeight.range[1];
        // Screwed right up it meets the nut under the plate and no more; screwed right down the stud still holds by its diameter.
        expect(height - length - 2 * THIN_NUT.of(thread)!).toBeGreaterThanOrEqual(travel - 1e-9);
        expect(stud.end.depth).toBeLessThan(length);
        if (travel > 0) expect(stud.end.depth).toBeGreaterThanOrEqual(2 * travel + thread.diameter - 1e-9);
        return SUNK_HEAD.height.of(thread)! <= thickness + 1e-9;
      }),
      { seed: 54, numRuns: 100 },
    );
  });
  it('the stage stands where it says on either rails, its screws clear of what comes up under it, and its steps make whole turns', () => {
    holds(
      fc.property(
        place,
        mm(5, 40),
        mm(3, 20),
        mm(-60, 60),
        fc.constantFrom(undefined, 0.02, 0.07, 0.12),
        (...drawn) => {
          const [foot, foreAft, sideways, beside, railSpacing] = drawn;
          const travel = { foreAft, sideways };
          const keepOff = { x: foot[0] + beside, within: 0.015 };
          const rails = railSpacing === undefined ? {} : { railSpacing };
          const { parts, adjusters, connections } = crossSlide({
            foot,
            travel,
            on: 'bar',
            thickness: 0.006,
            keepOff,
            ...rails,
          });
          expect(parts.find((p) => p.mount)!.mount![2] - foot[2]).toBeCloseTo(
            railSpacing === undefined ? 0.02 : 0.026,
            12,
          );
          expect(adjusters.map((a) => a.range)).toEqual([
            [-foreAft, foreAft],
            [-sideways, sideways],
          ]);
          const screws = connections.flatMap((c) =>
            c.kind === 'bolted' && ['stage-rear', 'stage-front'].includes(c.id) ? [c.point[0]] : [],
          );
          expect(screws[1]! - screws[0]!).toBeGreaterThanOrEqual(0.02 - 1e-9);
          expect(screws.every((at) => Math.abs(at - keepOff.x) >= 0.015 - 1e-9)).toBeTrue();
          return adjusters.every((a) => a.moves.every((m) => parts.some((p) => p.id === m.id)));
        },
      ),
      { seed: 53, numRuns: 60 },
    );
    expect(FINE_SCREW.perTurn / FINE_SCREW.step).toBeCloseTo(Math.round(FINE_SCREW.perTurn / FINE_SCREW.step), 9);
  });
});

describe('plastic pipe', () => {
  it('weighs what pipe tables say, not what its least wall would: 9 to 11 % more', () => {
    const least: Readonly<Record<string, number>> = {
      'PVC pipe 1/2 in Sch 40 (DN 15)': 2.77,
      'PVC pipe 3/4 in Sch 40 (DN 20)': 2.87,
      'PVC pipe 1 in Sch 40 (DN 25)': 3.38,
      'CPVC pipe 1/2 in': 1.73,
      'CPVC pipe 3/4 in': 2.03,
    };
    let seen = 0;
    for (const size of PIPE_SYSTEMS.flatMap((s) => s.sizes)) {
      const { section, name } = size.stock;
      const wall = least[name];
      if (wall === undefined || section.kind !== 'tube') continue;
      seen++;
      const area = (t: number): number => t * (section.outerDiameter - t);
      const part = area(wall / 1000) / area(section.wall);
      expect(1 - part)
        .withContext(name)
        .toBeGreaterThan(0.085);
      expect(1 - part)
        .withContext(name)
        .toBeLessThan(0.115);
      // Its spread covers the makers' tables, which differ by some per cent.
      expect(materialOf(size.stock.material)!.densitySpread).toBeGreaterThanOrEqual(0.04);
    }
    expect(seen).toBe(5);
  });
});
