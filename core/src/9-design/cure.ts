/**
 * Which change of one size, choice, adjuster or place cures a finding, moving as little as it can. Found by rebuilding and
 * judging the rig for each try, so that it holds for every check and family alike.
 */
import {
  findingKey,
  figure,
  say,
  type Change,
  type Finding,
  type Fix,
  type Judgement,
  type Phrase,
  type QuantityKind,
  type Vec3,
} from '../0-base';
import { askedAgain } from '../3-balance/judge';
import { trim } from '../3-balance/bench';
import { judged, type Workpiece } from './derive';
import { judgedWith, tried, type Tried, type TriedOn } from './tried';

export interface CureInput extends TriedOn {
  readonly finding: Pick<Finding, 'code' | 'about' | 'place'>;
}
export interface Cure extends Fix {
  /** Level or drop are then out: a trim of the changed rig was tried too, and mends them. */
  readonly trimAfter: boolean;
}

/** Something that can be changed by itself: the tries run outwards from where it stands, nearest first. */
interface Knob {
  /** From the least change on one side, in order; one list a direction. */
  readonly tries: readonly (readonly number[])[];
  readonly change: (value: number) => Change;
  readonly label: (value: number) => Phrase;
  /** How large a change is, for the order: a part of the whole range. */
  readonly effort: (value: number) => number;
}

/** Most cures told: more is no help in choosing. */
const MOST_TOLD = 3;
/** A part may be moved this far by a cure, m; further is another rig. */
const FAR = 0.15;
const STEP: Partial<Record<QuantityKind, number>> = { length: 0.001, angle: Math.PI / 360 };

/** Best first, small changes before large; only what brings no other fault. Empty when no single change cures it. */
export function cure(input: CureInput, tell: (part: number) => void = () => undefined): readonly Cure[] {
  const now = judgedWith(input, []);
  if (!now || !has(now.findings, input.finding)) return [];
  const isThere = askedAgain(now.context, () => now.work.advice, input.finding);
  const isGone = (change: Change): boolean => {
    const made = judgedWith(input, [change]);
    return made !== null && !isThere(made.context, () => made.work.advice);
  };
  const all = knobs(now.work, input);
  const found = all.flatMap((knob, i) => {
    tell(i / all.length);
    return knob.tries.flatMap((tries) => {
      const value = nearestCure(tries, (v) => isGone(knob.change(v)));
      const made = value === null ? null : tried(input, now.findings, input.finding, [knob.change(value)]);
      return value === null || !made?.cures || made.brings.length > 0 || made.comesInto
        ? []
        : [{ made, label: knob.label(value), changes: [knob.change(value)], effort: knob.effort(value) }];
    });
  });
  const offered: Cure[] = [];
  for (const { made, label, changes } of found.sort((a, b) => a.effort - b.effort)) {
    if (offered.length === MOST_TOLD) break;
    if (!made.trimAfter || trimMends(input, now.findings, made))
      offered.push({ label, changes, trimAfter: made.trimAfter });
  }
  return offered;
}

/** The changed rig trimmed: it is then out of nothing that it was not out of before, and what was to be cured is. */
function trimMends(input: CureInput, before: readonly Judgement[], made: Tried): boolean {
  const found = trim(made.work.assembly, made.values, input.rig.wants);
  if (found.kind !== 'solved') return false;
  const after = judged(made.work, { ...made.values, ...found.values }, input.rig.wants).findings;
  const was = new Set(before.map(findingKey));
  return (
    !has(after, input.finding) &&
    after.every((f) => was.has(findingKey(f)) || (f.severity !== 'stop' && f.severity !== 'mend'))
  );
}

/** The tries are walked at doubling strides; between the last that fails and the first that cures, by halves. Null when none cures. */
function nearestCure(tries: readonly number[], cures: (value: number) => boolean): number | null {
  let failed = -1;
  for (let i = 0; i < tries.length; i = Math.min(2 * i + 1, tries.length - 1)) {
    if (cures(tries[i]!)) {
      let works = i;
      while (works - failed > 1) {
        const middle = Math.floor((failed + works) / 2);
        if (cures(tries[middle]!)) works = middle;
        else failed = middle;
      }
      return tries[works]!;
    }
    failed = i;
    if (i === tries.length - 1) return null;
  }
  return null;
}

function knobs(work: Workpiece, { finding, values }: CureInput): readonly Knob[] {
  const { family, input, rig } = work;
  const sizes =
    family && input
      ? family.dimensions
          .filter((d) => d.given !== 'measured')
          .map((d) =>
            runOf(
              input.dimensions[d.id]!,
              d.range,
              STEP[d.kind]!,
              (value) => ({ kind: 'dimension', id: d.id, value }),
              (value) => say`${d.name}: ${figure(d.kind, input.dimensions[d.id]!)} to ${figure(d.kind, value)}`,
            ),
          )
      : [];
  const choices =
    family && input
      ? family.choices.flatMap((c) =>
          c.options
            .filter((o) => o.id !== input.choices[c.id])
            .map((o): Knob => ({
              tries: [[0]],
              change: () => ({ kind: 'choice', id: c.id, value: o.id }),
              label: () => say`${c.name}: ${o.name}`,
              effort: () => 0.5,
            })),
        )
      : [];
  const adjusters = rig.adjusters.map((a) => {
    const at = values[a.id] ?? a.value;
    const kind = a.kind === 'count' ? 'count' : 'length';
    return runOf(
      at,
      a.range,
      a.step,
      (value) => ({ kind: 'adjuster', id: a.id, value }),
      (value) => say`${a.name}: ${figure(kind, at)} to ${figure(kind, value)}`,
    );
  });
  const part = rig.bodies.flatMap((b) => [...b.parts, ...b.stations]).find((p) => p.id === finding.about);
  const moves = part
    ? AXES.map(({ axis, ahead, back }) =>
        runOf(
          0,
          [-FAR, FAR],
          STEP.length!,
          (value) => ({ kind: 'move', id: part.id, by: [axis[0] * value, axis[1] * value, axis[2] * value] }),
          (value) => say`Move the ${part.name} ${figure('length', Math.abs(value))} ${value > 0 ? ahead : back}`,
        ),
      )
    : [];
  return [...sizes, ...choices, ...adjusters, ...moves];
}

const AXES: readonly { readonly axis: Vec3; readonly ahead: string; readonly back: string }[] = [
  { axis: [1, 0, 0], ahead: 'forward', back: 'back' },
  { axis: [0, 1, 0], ahead: 'to the left', back: 'to the right' },
  { axis: [0, 0, 1], ahead: 'up', back: 'down' },
];

function runOf(
  now: number,
  [least, most]: readonly [number, number],
  step: number,
  change: Knob['change'],
  label: Knob['label'],
): Knob {
  const count = (room: number): number => Math.max(0, Math.min(4000, Math.floor(room / step + 1e-9)));
  const up = Array.from({ length: count(most - now) }, (_, i) => now + (i + 1) * step);
  const down = Array.from({ length: count(now - least) }, (_, i) => now - (i + 1) * step);
  return { tries: [up, down], change, label, effort: (value) => Math.abs(value - now) / Math.max(most - least, step) };
}

const has = (findings: readonly Judgement[], wanted: Pick<Finding, 'code' | 'about' | 'place'>): boolean =>
  findings.some((f) => f.code === wanted.code && f.about === wanted.about);
