/** What to move for a level pan, taken into the rig's design as the app does, and the whole rig added up anew: no formula of the plan is used. */
import * as fc from 'fast-check';
import { length, subtract, type Vec3 } from '../0-base';
import { bodiesBeyond, changedDesign, connectionsOf, familyById, outriggerId } from '../2-frame';
import { evaluate, steadyPan, type Evaluation } from '../3-balance';
import { panPlans, panRigOf, type PanPlan } from '../3-balance/bench';
import { judged, workpiece } from './derive';
import type { Design, Edit, Part } from '../model';
import { startRig } from './startRig';
import { stockPlan } from '../5-stock';
import { holds } from '../testing/holds';
import { kit, loadout, wants } from '../testing/rigs';

const start = startRig(familyById('gimballed-bent-bar')!, loadout, kit, wants);
interface Made {
  readonly design: Design;
  readonly values: Readonly<Record<string, number>>;
  readonly evaluation: Evaluation;
}
function madeOf(design: Design, values: Made['values']): Made {
  const outcome = workpiece({ design }, loadout, kit);
  if (!outcome.ok) throw new Error(outcome.reason);
  return { design, values, evaluation: evaluate(outcome.work.assembly, values) };
}
const rigOf = ({ design }: Made) => {
  const outcome = workpiece({ design }, loadout, kit);
  if (!outcome.ok) throw new Error(outcome.reason);
  return outcome.work.rig;
};
let n = 0;
const newId = (): string => `e${++n}`;

/** Heavy things fixed to the bar in pairs opposite one another about the pivot, one high and one low: level stays, the pan does not. */
function lopsided(
  pairs: readonly {
    readonly x: number;
    readonly y: number;
    readonly high: number;
    readonly low: number;
    readonly grams: number;
  }[],
  values = start.values,
): Made {
  const pivot = madeOf(start.design, values).evaluation.hung!.pivotAt;
  const lump = (id: string, off: Vec3, grams: number): Part => ({
    id,
    name: id,
    shape: { kind: 'tube', outerRadius: 0.02, innerRadius: 0, length: 0.02 },
    at: [pivot[0] + off[0], pivot[1] + off[1], pivot[2] + off[2]],
    material: 'steel',
    mass: { value: grams / 1000, spread: 0.001, source: id },
  });
  const edits = pairs.flatMap(({ x, y, high, low, grams }, i): Edit[] => [
    { kind: 'add', id: newId(), body: 'sled', part: lump(`high-${i}`, [x / 1000, y / 1000, high / 1000], grams) },
    { kind: 'add', id: newId(), body: 'sled', part: lump(`low-${i}`, [-x / 1000, -y / 1000, -low / 1000], grams) },
  ]);
  if (start.design.kind !== 'family') throw new Error('a family');
  return madeOf({ ...start.design, edits }, values);
}
function plansOf(made: Made): readonly PanPlan[] {
  const { hung, pieces } = made.evaluation;
  const rig = rigOf(made);
  return panPlans({ rig, values: made.values, hung: hung!, pieces, carries: bodiesBeyond(rig, hung!.pivot) });
}
/** Slides go where the plan says, to the digit: a hand's step would hide what is looked at. */
function after(made: Made, { changes, moves }: PanPlan): Made {
  const slid = Object.fromEntries(
    moves.flatMap((m) =>
      m.kind === 'adjuster'
        ? [[m.id, (made.values[m.id] ?? rigOf(made).adjusters.find((a) => a.id === m.id)!.value) + m.by]]
        : [],
    ),
  );
  return madeOf(changedDesign(made.design, changes, newId), { ...made.values, ...slid });
}
const panned = ({ evaluation: { hung } }: Made): number => {
  const rig = panRigOf(hung!);
  const [still, turning] = [steadyPan(rig, 0), steadyPan(rig, Math.PI / 4)];
  return still && turning ? length(subtract(still.up, turning.up)) : Infinity;
};
const pairs = fc.array(
  fc.record({
    x: fc.integer({ min: -160, max: 160 }),
    y: fc.constantFrom(0, 0, 60, -90),
    high: fc.integer({ min: 0, max: 80 }),
    low: fc.integer({ min: 110, max: 240 }),
    grams: fc.integer({ min: 20, max: 160 }),
  }),
  { minLength: 1, maxLength: 2 },
);
const loaded = { ...start.values, 'rear-count': 4, 'front-count': 3 };

describe('plans for a level pan', () => {
  it('take away what they say, strips and bolts counted, and leave it level', () => {
    let [whole, carried] = [0, 0];
    holds(
      fc.property(pairs, (list) => {
        const made = lopsided(list, loaded);
        const { hung } = made.evaluation;
        if (!hung || hung.hang.fromPivot[2] >= 0) return true;
        return plansOf(made).every((plan) => {
          const then = after(made, plan).evaluation.hung!;
          const [a, b] = [panRigOf(hung), panRigOf(then)];
          const moment = (r: typeof a, i: 0 | 1): number => r.mass * r.fromPivot[i];
          if (plan.takesAway === 1) whole++;
          carried += plan.moves.filter((m) => m.carrier).length;
          const level = Math.abs(moment(a, 0) - moment(b, 0)) < 2e-7 && Math.abs(moment(a, 1) - moment(b, 1)) < 2e-7;
          const { drop } = then.pitch;
          const height =
            plan.dropPitch === null
              ? drop.kind !== 'falls'
              : drop.kind === 'falls' && Math.abs(drop.time - plan.dropPitch) < 0.02 * plan.dropPitch;
          const taken = ([0, 1] as const).every(
            (i) =>
              Math.abs(b.inertia[i][2] - (1 - plan.takesAway) * a.inertia[i][2]) < 2e-7 ||
              (plan.takes !== 'both' && (i === 0) !== (plan.takes === 'nose')),
          );
          return level && height && taken;
        });
      }),
      { seed: 31, numRuns: 40 },
    );
    expect(whole).toBeGreaterThan(10);
    expect(carried).toBeGreaterThan(10);
  });

  it('make a real rig: each strip cut from a bar, held by its bolt, the weight with its own bolt at its end, no check the worse for a hole', () => {
    const made = lopsided([{ x: 120, y: 0, high: 30, low: 200, grams: 90 }], loaded);
    const plan = plansOf(made).find((p) => p.moves.some((m) => m.carrier?.kind === 'strip'))!;
    const then = after(made, plan);
    const rig = rigOf(then);
    for (const move of plan.moves.filter((m) => m.carrier?.kind === 'strip')) {
      const member = rig.bodies.flatMap((b) => b.members).find((m) => m.id === outriggerId(move.id))!;
      const cut = stockPlan(rig, then.values, [], 0.0015)
        .cuts.flatMap((c) => c.pieces)
        .find((p) => p.member === member.id)!;
      expect(cut.length).toBeCloseTo(move.carrier!.length, 9);
      // Held at each end by a screw of its own.
      const holding = connectionsOf(rig, () => 0).filter((c) => c.pieces.includes(member.id));
      expect(holding.map((c) => c.screwLength !== null))
        .withContext('bolted at both ends')
        .toEqual([true, true]);
    }
    // All that was added is what the plan said it weighs.
    const massOf = (m: Made): number => m.evaluation.pieces.reduce((sum, p) => sum + p.flat.mass, 0);
    const told = plan.moves.reduce((sum, m) => sum + (m.carrier?.mass ?? 0), 0);
    expect(massOf(then) - massOf(made)).toBeCloseTo(told, 12);
    const outcome = workpiece({ design: then.design }, loadout, kit);
    const findings = outcome.ok ? judged(outcome.work, then.values, wants).findings : [];
    expect(
      findings
        .filter((f) => f.about.startsWith('outrigger') && (f.severity === 'stop' || f.code === 'holeNearEnd'))
        .map((f) => f.code),
    ).toEqual([]);
  });

  it('carry a weight on from where it was first, by one strip and not a second', () => {
    let made = lopsided([{ x: -160, y: 0, high: 60, low: 220, grams: 140 }], loaded);
    const first = panned(made);
    for (let i = 0; i < 4; i++) {
      const [plan] = plansOf(made);
      if (!plan) break;
      made = after(made, plan);
      const ids = rigOf(made).bodies.flatMap((b) =>
        [...b.members, ...b.parts, ...b.nodes, ...b.joints].map((e) => e.id),
      );
      expect(new Set(ids).size).toBe(ids.length);
      for (const m of plan.moves.filter((p) => p.carrier)) {
        const station = rigOf(made)
          .bodies.flatMap((b) => b.stations)
          .find((s) => s.id === m.id)!;
        const home = rigOf(madeOf(start.design, loaded))
          .bodies.flatMap((b) => b.stations)
          .find((s) => s.id === m.id)!;
        expect(length(subtract(station.seat, home.seat))).toBeLessThan(0.2 + 0.006);
      }
    }
    expect(panned(made)).toBeLessThan(first);
  });

  it('never move anything but weights on their bolts and slides', () => {
    const made = lopsided([{ x: 150, y: 60, high: 40, low: 200, grams: 150 }], loaded);
    const stations = new Set(rigOf(made).bodies.flatMap((b) => b.stations.map((s) => s.id)));
    for (const plan of plansOf(made))
      for (const m of plan.moves)
        expect(m.kind === 'adjuster' || stations.has(m.id))
          .withContext(m.name)
          .toBeTrue();
  });
});
