/** Figures that a reading gives by itself: what a clamp holds, what a mount lets go at, how strong the maker is; each to be taken over with a press. */
import { figure, say, type Phrase } from '../../0-base';
import type { AdjusterValues } from '../../2-frame';
import { clampHolds, strengthFrom, type BalanceContext } from '../../3-balance';
import type { LogEntry } from '../../model';

export interface OwnFigure {
  readonly id: string;
  readonly words: Phrase;
  /** What takes it over: a change of the rig, or of the maker's own measures. */
  readonly take:
    | {
        readonly kind: 'friction';
        readonly target: string;
        readonly torque: { readonly value: number; readonly spread: number; readonly source: string };
      }
    | { readonly kind: 'breaksAway'; readonly target: string; readonly force: number }
    | { readonly kind: 'wristStrength'; readonly value: number };
}

type Entry = Pick<LogEntry, 'values' | 'seen'>;
/** A figure read and one known this near are one. */
const SAME = 0.03;
/** One try against the next, as a part. */
const AGAIN = 0.1;

/** `at`: the rig set as it was read. */
export function ownFigures(
  entries: readonly Entry[],
  at: (values: AdjusterValues) => BalanceContext,
): readonly OwnFigure[] {
  const all = entries.flatMap(({ values, seen }) => (seen.others ?? []).map((o) => ({ ...o, values })));
  const now = entries.length > 0 ? at(entries.at(-1)!.values) : null;
  if (!now) return [];
  const { rig } = now.assembly;
  const of = (kind: string, about: string): readonly number[] =>
    all.filter((o) => o.kind === kind && o.about === about).map((o) => o.value);
  const clamps = clampHolds(now.assembly, now.values, now.evaluation).flatMap(
    ({ pivot, worst, holds }): readonly OwnFigure[] => {
      const read = of('slips', pivot.id);
      if (read.length === 0) return [];
      const mean = read.reduce((s, x) => s + x, 0) / read.length;
      if (holds !== null && Math.abs(holds - mean) < SAME * mean) return [];
      return [
        {
          id: `slips ${pivot.id}`,
          words: [
            ...say`The ${pivot.name} slips at ${figure('torque', mean)}`,
            ...(holds === null ? say`; that was not known.` : say`; ${figure('torque', holds)} was taken.`),
            ...say` The camera asks for ${figure('torque', worst)} at most.`,
          ],
          take: {
            kind: 'friction',
            target: pivot.id,
            torque: { value: mean, spread: AGAIN * mean, source: 'slipped under a weight' },
          },
        },
      ];
    },
  );
  const mounts = rig.pivots.flatMap((pivot): readonly OwnFigure[] => {
    const read = of('breaksAway', pivot.id);
    if (read.length === 0) return [];
    // What must let go is judged by its least, what must hold too.
    const force = Math.min(...read);
    if (pivot.breaksAwayAt !== undefined && Math.abs(pivot.breaksAwayAt - force) < SAME * force) return [];
    return [
      {
        id: `breaksAway ${pivot.id}`,
        words: [
          ...say`The mount lets go at ${figure('force', force)}`,
          ...(pivot.breaksAwayAt === undefined
            ? say`; that was not known.`
            : say`; ${figure('force', pivot.breaksAwayAt)} was taken.`),
        ],
        take: { kind: 'breaksAway', target: pivot.id, force },
      },
    ];
  });
  return [...clamps, ...mounts, ...strength(entries, at)];
}

/** By how long each pose was held: what the arm must be able to do for a moment, by the same curve that forecast it. */
function strength(entries: readonly Entry[], at: (values: AdjusterValues) => BalanceContext): readonly OwnFigure[] {
  const read = entries.flatMap(({ values, seen }) => {
    const held = (seen.others ?? []).filter((o) => o.kind === 'heldFor');
    if (held.length === 0) return [];
    const { evaluation, hands } = at(values);
    return held.flatMap((o) => {
      const pose = evaluation.held.find((p) => p.pose.id === o.about);
      const own = pose ? strengthFrom(pose, hands, o.value) : null;
      return own === null ? [] : [{ own, hands }];
    });
  });
  if (read.length === 0) return [];
  // Strengths are compared by their ratios.
  const value = Math.exp(read.reduce((s, r) => s + Math.log(r.own), 0) / read.length);
  const taken = read[0]!.hands.wristStrength;
  if (Math.abs(value - taken) < SAME * taken) return [];
  return [
    {
      id: 'wristStrength',
      words: say`By how long you held it, your wrist turns with ${figure('torque', value, 1)} for a moment; ${figure('torque', taken, 1)} was taken. Hold times follow it.`,
      take: { kind: 'wristStrength', value },
    },
  ];
}
