/** A change tried on a copy of the rig before it is offered: what it cures, and what else it would do. */
import { findingKey, type Change, type Finding, type Judgement } from '../0-base';
import { designedOf, judged, workpiece, type Judged, type Workpiece, type WorkpieceOutcome } from './derive';
import { changedDesign, comesInto, standing, type AdjusterValues, type Standing } from '../2-frame';
import type { KitItem, Loadout, RigDocument } from '../model';

export interface TriedOn {
  readonly rig: Pick<RigDocument, 'design' | 'wants' | 'hands' | 'made'>;
  readonly loadout: Loadout | null;
  readonly kit: ReadonlyMap<string, KitItem>;
  readonly values: AdjusterValues;
}
export interface Tried {
  readonly work: Workpiece;
  readonly values: AdjusterValues;
  readonly findings: readonly Judgement[];
  /** The finding it was tried for is gone, or less grave, or less far beyond its limit. */
  readonly helps: boolean;
  readonly cures: boolean;
  /** Faults that were not there before, or that got graver or further beyond their limit; gravest first. */
  readonly brings: readonly Judgement[];
  /** Among them some that a trim is for: level and drop time. The others a trim does not mend. */
  readonly trimAfter: boolean;
  /** Among those, one that stops all else: it turns over. */
  readonly stops: boolean;
  /** A piece comes into another that it was clear of, by boxes and rounds; of pieces that the change brings the proof tells afterwards. */
  readonly comesInto: boolean;
}

/** What a trim is for. */
const MENDED_BY_TRIM: ReadonlySet<string> = new Set([
  'notLevelForeAft',
  'notLevelSideways',
  'dropTooLong',
  'dropTooShort',
  'topHeavy',
  'stopsShort',
]);
const GRAVE: Readonly<Record<Judgement['severity'], number>> = { stop: 3, mend: 2, measure: 1, note: 0 };
/** A fault that was there already may pass its limit by a quarter more: less than that is another shade of the same. */
const WORSE_BY = 0.25;
/** A figure must come this part nearer its limit to be less of it: rounding is none. */
const NEARER_BY = 1e-6;

const beyond = (f: Judgement): number => (f.figure && f.limit ? Math.abs(f.figure.value - f.limit.value) : 0);
const worseThan = (now: Judgement, before: Judgement): boolean =>
  GRAVE[now.severity] > GRAVE[before.severity] ||
  (now.severity === before.severity && beyond(now) > beyond(before) * (1 + WORSE_BY) + 1e-9);

export function judgedWith(on: TriedOn, changes: readonly Change[]): (Pick<Tried, 'work' | 'values'> & Judged) | null {
  let n = 0;
  const design = changedDesign(on.rig.design, changes, () => `try-${++n}`);
  const values = {
    ...on.values,
    ...Object.fromEntries(changes.flatMap((c) => (c.kind === 'adjuster' ? [[c.id, c.value]] : []))),
  };
  const made =
    design === on.rig.design ? asItStands(on) : workpiece({ ...designedOf(on.rig), design }, on.loadout, on.kit);
  if (!made.ok) return null;
  const found = judged(made.work, values, on.rig.wants);
  return {
    work: made.work,
    values,
    context: found.context,
    evaluation: found.evaluation,
    // Every check: made where it is asked for.
    get findings() {
      return found.findings;
    },
    get verdict() {
      return found.verdict;
    },
  };
}

/** `before`: all findings as it stands. Null when the rig cannot be built so. */
export function tried(
  on: TriedOn,
  before: readonly Judgement[],
  finding: Pick<Finding, 'code' | 'about' | 'place'>,
  changes: readonly Change[],
): Tried | null {
  const made = judgedWith(on, changes);
  if (!made) return null;
  const { findings } = made;
  const was = new Map(before.map((f) => [findingKey(f), f]));
  const target = was.get(findingKey(finding));
  const left = findings.find((f) => findingKey(f) === findingKey(finding));
  const cures = target !== undefined && left === undefined;
  const helps =
    cures ||
    (target !== undefined &&
      left !== undefined &&
      (GRAVE[left.severity] < GRAVE[target.severity] ||
        (left.severity === target.severity && beyond(left) < beyond(target) * (1 - NEARER_BY))));
  const all = findings.filter((f) => {
    if (f.severity !== 'stop' && f.severity !== 'mend') return false;
    const same = was.get(findingKey(f));
    return findingKey(f) !== findingKey(finding) && (!same || worseThan(f, same));
  });
  const brings = all.filter((f) => !MENDED_BY_TRIM.has(f.code));
  return {
    work: made.work,
    values: made.values,
    findings,
    helps,
    cures,
    brings,
    trimAfter: all.length > brings.length,
    stops: all.some((f) => f.severity === 'stop'),
    // Seldom asked, and long in the answer.
    get comesInto() {
      const stands = standingOf(on);
      return stands !== null && comesInto(stands, made.work.assembly, made.values);
    },
  };
}

const stood = new WeakMap<TriedOn, WorkpieceOutcome>();
/** What only sets it anew builds nothing anew. */
function asItStands(on: TriedOn): WorkpieceOutcome {
  const made = stood.get(on) ?? workpiece(designedOf(on.rig), on.loadout, on.kit);
  stood.set(on, made);
  return made;
}

const known = new WeakMap<TriedOn, Standing | null>();
/** As it stands before any try; worked out once for all tries on it. */
function standingOf(on: TriedOn): Standing | null {
  const found = known.get(on);
  if (found !== undefined) return found;
  const made = judgedWith(on, []);
  const stands = made && standing(made.work.assembly, made.values);
  known.set(on, stands);
  return stands;
}

/** Whether a fix that a check has worked out may be offered: it helps, and brings nothing as grave that a trim would not mend. Kit to be mounted is always told. */
export function mayOffer(
  on: TriedOn,
  before: readonly Judgement[],
  finding: Judgement,
  changes: readonly Change[],
): boolean {
  if (changes.some((c) => c.kind === 'mount')) return true;
  const found = tried(on, before, finding, changes);
  // One fault for a lesser one is a gain; for the same again it is none.
  return (
    found !== null &&
    found.helps &&
    !found.stops &&
    !found.comesInto &&
    found.brings.every((b) => GRAVE[b.severity] < GRAVE[finding.severity])
  );
}
