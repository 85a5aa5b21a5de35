/**
 * Which change of one size, choice, adjuster or place cures a finding, moving as little as it can. Found by rebuilding and
 * judging the rig for each try, so that it holds for every check and family alike.
 */
import { figure, say, type Change, type Finding, type Fix, type Judgement, type Phrase, type QuantityKind, type Vec3 } from './0-base';
import { judged, workpiece, type Workpiece } from './derive';
import { changedDesign, type AdjusterValues } from './2-frame';
import type { KitItem, Loadout, RigDocument } from './model';

export interface CureInput {
  readonly rig: Pick<RigDocument, 'design' | 'wants' | 'hands'>;
  readonly loadout: Loadout | null;
  readonly kit: ReadonlyMap<string, KitItem>;
  readonly values: AdjusterValues;
  readonly finding: Pick<Finding, 'code' | 'about'>;
}
export interface Cure extends Fix {
  /** What else would then be wrong that is not now, gravest first; level and drop time are left out, a trim mends them. */
  readonly brings: readonly Phrase[];
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
const MENDED_BY_TRIM: ReadonlySet<string> = new Set(['notLevelForeAft', 'notLevelSideways', 'dropTooLong', 'dropTooShort', 'topHeavy', 'stopsShort']);

/** Best first: those that bring nothing new before those that do, small changes before large. Empty when no single change cures it. */
export function cure(input: CureInput, tell: (part: number) => void = () => undefined): readonly Cure[] {
  const now = judgedWith(input, []);
  if (!now || !has(now.findings, input.finding)) return [];
  const before = new Set(now.findings.map(keyOf));
  const all = knobs(now.piece, input);
  const found = all.flatMap((knob, i) => {
    tell(i / all.length);
    return knob.tries.flatMap((tries): (Cure & { effort: number })[] => {
      const value = nearestCure(tries, (v) => {
        const made = judgedWith(input, [knob.change(v)]);
        return made !== null && !has(made.findings, input.finding);
      });
      const made = value === null ? null : judgedWith(input, [knob.change(value)]);
      if (value === null || !made) return [];
      const grave = made.findings.filter((f) => (f.severity === 'stop' || f.severity === 'mend') && !before.has(keyOf(f)));
      const brings = grave.filter((f) => !MENDED_BY_TRIM.has(f.code)).sort((a, b) => Number(b.severity === 'stop') - Number(a.severity === 'stop')).map((f) => f.title);
      return [{ label: knob.label(value), changes: [knob.change(value)], brings, trimAfter: grave.some((f) => MENDED_BY_TRIM.has(f.code)), effort: knob.effort(value) }];
    });
  });
  return found.sort((a, b) => a.brings.length - b.brings.length || a.effort - b.effort).slice(0, MOST_TOLD).map(({ effort: _effort, ...c }) => c);
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

function knobs(piece: Workpiece, { finding, values }: CureInput): readonly Knob[] {
  const { family, input, rig } = piece;
  const sizes = family && input ? family.dimensions.map((d) => runOf(input.dimensions[d.id]!, d.range, STEP[d.kind]!, (value) => ({ kind: 'dimension', id: d.id, value }), (value) => say`${d.name}: ${figure(d.kind, input.dimensions[d.id]!)} to ${figure(d.kind, value)}`)) : [];
  const choices = family && input
    ? family.choices.flatMap((c) => c.options.filter((o) => o.id !== input.choices[c.id]).map((o): Knob => ({ tries: [[0]], change: () => ({ kind: 'choice', id: c.id, value: o.id }), label: () => say`${c.name}: ${o.name}`, effort: () => 0.5 })))
    : [];
  const adjusters = rig.adjusters.map((a) => {
    const at = values[a.id] ?? a.value;
    const kind = a.kind === 'count' ? 'count' : 'length';
    return runOf(at, a.range, a.step, (value) => ({ kind: 'adjuster', id: a.id, value }), (value) => say`${a.name}: ${figure(kind, at)} to ${figure(kind, value)}`);
  });
  const part = rig.bodies.flatMap((b) => [...b.parts, ...b.stations]).find((p) => p.id === finding.about);
  const moves = part ? AXES.map(({ axis, ahead, back }) => runOf(0, [-FAR, FAR], STEP.length!, (value) => ({ kind: 'move', id: part.id, by: [axis[0] * value, axis[1] * value, axis[2] * value] }), (value) => say`Move the ${part.name} ${figure('length', Math.abs(value))} ${value > 0 ? ahead : back}`)) : [];
  return [...sizes, ...choices, ...adjusters, ...moves];
}

const AXES: readonly { readonly axis: Vec3; readonly ahead: string; readonly back: string }[] = [
  { axis: [1, 0, 0], ahead: 'forward', back: 'back' },
  { axis: [0, 1, 0], ahead: 'to the left', back: 'to the right' },
  { axis: [0, 0, 1], ahead: 'up', back: 'down' },
];

function runOf(now: number, [least, most]: readonly [number, number], step: number, change: Knob['change'], label: Knob['label']): Knob {
  const count = (room: number): number => Math.max(0, Math.min(4000, Math.floor(room / step + 1e-9)));
  const up = Array.from({ length: count(most - now) }, (_, i) => now + (i + 1) * step);
  const down = Array.from({ length: count(now - least) }, (_, i) => now - (i + 1) * step);
  return { tries: [up, down], change, label, effort: (value) => Math.abs(value - now) / Math.max(most - least, step) };
}

const keyOf = (f: Pick<Finding, 'code' | 'about'>): string => `${f.code} ${f.about}`;
const has = (findings: readonly Judgement[], wanted: Pick<Finding, 'code' | 'about'>): boolean => findings.some((f) => f.code === wanted.code && f.about === wanted.about);

function judgedWith(input: CureInput, changes: readonly Change[]): { readonly piece: Workpiece; readonly findings: readonly Judgement[] } | null {
  let n = 0;
  const design = changedDesign(input.rig.design, changes, () => `try-${++n}`);
  const values = { ...input.values, ...Object.fromEntries(changes.flatMap((c) => (c.kind === 'adjuster' ? [[c.id, c.value]] : []))) };
  const made = workpiece({ design, hands: input.rig.hands }, input.loadout, input.kit);
  return made.ok ? { piece: made.piece, findings: judged(made.piece, values, input.rig.wants).findings } : null;
}
