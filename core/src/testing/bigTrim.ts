/** Four bolts of up to forty washers and two slides: 2.8 million ways, the size the solver is measured by. */
import { dropCondition, levelCondition, uprightCondition, type TrimProblem } from '../3-balance/bench';
import { sumsOf, type Sums } from '../1-load';

export function bigTrim(): TrimProblem {
  const lump = (mass: number, at: readonly [number, number, number]): Sums =>
    sumsOf([
      {
        mass,
        centre: at,
        inertia: [
          [mass * 1e-4, 0, 0],
          [0, mass * 1e-4, 0],
          [0, 0, mass * 1e-4],
        ],
      },
    ]);
  const seats = [
    [0.16, 0, -0.3],
    [-0.17, 0, -0.28],
    [0, 0.12, -0.26],
    [0, -0.12, -0.26],
  ] as const;
  return {
    movers: [
      { id: 'x', axis: [1, 0, 0], range: [-0.03, 0.03], step: 0.00025, now: 0 },
      { id: 'y', axis: [0, 1, 0], range: [-0.01, 0.01], step: 0.00025, now: 0 },
    ],
    groups: [{ movedBy: [0, 1], sums: lump(1.4, [0.02, 0.006, 0.11]) }],
    fixed: lump(0.5, [0, 0, -0.1]),
    support: [0, 0, 0],
    supportMovedBy: [],
    stacks: seats.map((seat, i) => ({
      id: `c${i}`,
      least: 0,
      now: 0,
      byCount: Array.from({ length: 41 }, (_, n) =>
        n === 0 ? sumsOf([]) : lump(n * (0.011 + 0.0007 * i), [seat[0], seat[1], seat[2] - 0.001 * n]),
      ),
    })),
    conditions: [
      uprightCondition,
      levelCondition('foreAft', 0.0175),
      levelCondition('sideways', 0.0175),
      dropCondition('pitch', [1.8, 2.2], 0.0175),
    ],
  };
}
