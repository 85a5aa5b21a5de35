/**
 * What to do now that a rig came out otherwise than drawn: where the holes that are drilled last go, how it is then trimmed, and where
 * that does not bring it level, what has to be made again: the least of it first. Each is tried on the rig as it was made.
 */
import { rootBetween, type Gauge, type Phrase } from '../../0-base';
import { calmGauge, leadingWay, massGauge } from '../../3-balance';
import { firmnessOf } from '../strength/firmness';
import { wobbleGauge } from '../strength/wobbleGauge';
import { trim } from '../../3-balance/bench';
import { finishedLength, type AdjusterValues } from '../../2-frame';
import type { AsMade, KitItem, Loadout, Member, Part, Rig, RigDocument } from '../../model';
import { judged, workpiece, type Judged, type Workpiece } from '../derive';
import { movesBetween, type Move } from '../setUpsFor';

export interface WhatNowInput {
  readonly rig: RigDocument;
  readonly loadout: Loadout | null;
  readonly kit: ReadonlyMap<string, KitItem>;
  readonly values: AdjusterValues;
}
/** A hole that is not drilled yet, and where it brings the rig level. */
export interface LastHole {
  readonly member: string;
  readonly hole: string;
  readonly name: string;
  readonly drawn: number;
  readonly along: number;
}
export interface WhatNow {
  /** The tide line’s figures in one order: as drawn, as made, and where something is to be done, after it. */
  readonly drawn: readonly Gauge[];
  readonly made: readonly Gauge[];
  readonly then: readonly Gauge[] | null;
  readonly hole: LastHole | null;
  readonly moves: readonly Move[];
  readonly values: AdjusterValues;
  /** Faults of level and drop that stay when all this is done; none: it is within reach. */
  readonly left: readonly Phrase[];
  /** Pieces that nobody can follow as they are, and what to cut like them. */
  readonly fellows: readonly { readonly member: string; readonly name: string; readonly length: number }[];
  /** Pieces that made anew, as drawn, bring all within reach, the least stuff first. */
  readonly again: readonly { readonly of: AsMade; readonly name: string; readonly stuff: number }[];
}
export type WhatNowOutcome =
  { readonly kind: 'told'; readonly now: WhatNow } | { readonly kind: 'failed'; readonly reason: string };

export function whatNow(input: WhatNowInput, tell: (part: number) => void = () => undefined): WhatNowOutcome {
  const entries = input.rig.made ?? [];
  const [drawn, made] = [workWith(input, []), workWith(input, entries)];
  if (!drawn.ok || !made.ok) return { kind: 'failed', reason: drawn.ok ? (made.ok ? '' : made.reason) : drawn.reason };
  tell(0.1);
  const hole = lastHole(input, drawn.work, made.work);
  const withHole = hole ? [...entries, asEntry(hole)] : entries;
  const done = trimmed(input, withHole);
  tell(0.5);
  const left = done ? faultsOf(done.judged) : [];
  return {
    kind: 'told',
    now: {
      drawn: gaugesOf(judgedOf(input, drawn.work)),
      made: gaugesOf(judgedOf(input, made.work)),
      then: done && (hole || done.moves.length > 0) ? gaugesOf(done.judged) : null,
      hole,
      moves: done?.moves ?? [],
      values: done?.values ?? input.values,
      left,
      fellows: fellowsOf(input, entries),
      again: left.length > 0 ? againOf(input, entries, tell) : [],
    },
  };
}

/** Three by the way it is borne, mass, calm and wobble. */
function gaugesOf({ context, evaluation }: Judged): readonly Gauge[] {
  const { assembly, values } = context;
  const firm = firmnessOf({ assembly, values });
  return [
    ...(leadingWay(evaluation)?.gauges(context) ?? []),
    massGauge(context),
    calmGauge(context),
    wobbleGauge(firm, false),
  ].map((g) => g.gauge);
}

const workWith = ({ rig, loadout, kit }: WhatNowInput, made: readonly AsMade[]) =>
  workpiece({ ...rig, made: [...made] }, loadout, kit);
const judgedOf = ({ values, rig }: WhatNowInput, work: Workpiece): Judged => judged(work, values, rig.wants);

const asEntry = ({ member, hole, along }: LastHole): AsMade => ({ kind: 'hole', member, hole, along });

/** How far a last hole may go from where it is drawn, m, and how near an end it may come. */
const REACH = 0.06;
const FROM_END = 0.012;

/** The first hole that waits for the hanging rig and was not drilled: along its bar until the nose is level as it is set. */
function lastHole(input: WhatNowInput, drawn: Workpiece, made: Workpiece): LastHole | null {
  const entries = input.rig.made ?? [];
  for (const body of drawn.rig.bodies)
    for (const member of body.members)
      for (const hole of member.holes) {
        if (!hole.afterBending || entries.some((e) => e.kind === 'hole' && e.hole === hole.id)) continue;
        const nose = (along: number): number => {
          const work = workWith(input, [...entries, { kind: 'hole', member: member.id, hole: hole.id, along }]);
          return work.ok ? (judgedOf(input, work.work).evaluation.hung?.hang.rest?.noseDown ?? NaN) : NaN;
        };
        const long = lengthOf(made.rig, member.id) + member.leftLong;
        const [from, to] = [Math.max(FROM_END, hole.along - REACH), Math.min(long - FROM_END, hole.along + REACH)];
        const [a, b] = [nose(from), nose(to)];
        if (!Number.isFinite(a) || !Number.isFinite(b)) continue;
        // Out of its reach: as near as it comes.
        const along = a * b < 0 ? rootBetween(nose, from, to) : Math.abs(a) < Math.abs(b) ? from : to;
        if (along === null || Math.abs(along - hole.along) < WORTH) continue;
        return { member: member.id, hole: hole.id, name: hole.name, drawn: hole.along, along };
      }
  return null;
}
/** A hole that would move by less stays where it is drawn, m. */
const WORTH = 0.0003;

/** How long a piece of its stuff a part takes, m. */
const longSide = ({ shape }: Part): number =>
  shape.kind === 'box' ? Math.max(...shape.size) : shape.kind === 'tube' ? shape.length : 0;

const lengthOf = (rig: Rig, id: string): number => {
  for (const body of rig.bodies) {
    const member = body.members.find((m) => m.id === id);
    if (member) return finishedLength(member, body);
  }
  return 0;
};

function trimmed(
  input: WhatNowInput,
  entries: readonly AsMade[],
): { readonly judged: Judged; readonly values: AdjusterValues; readonly moves: readonly Move[] } | null {
  const made = workWith(input, entries);
  if (!made.ok) return null;
  const outcome = trim(made.work.assembly, input.values, input.rig.wants, { aim: 'fewestMoves' });
  const found = outcome.kind === 'solved' || outcome.kind === 'axesSet' ? outcome.values : input.values;
  const set = { ...input.values, ...found };
  return {
    judged: judged(made.work, set, input.rig.wants),
    values: set,
    moves: movesBetween(made.work.rig.adjusters, input.values, set),
  };
}

/** What a trim is for, and what does not fit. */
const OUT = new Set([
  'notLevelForeAft',
  'notLevelSideways',
  'dropTooLong',
  'dropTooShort',
  'topHeavy',
  'stopsShort',
  'madeTied',
]);
const faultsOf = ({ findings }: Judged): readonly Phrase[] =>
  findings.filter((f) => OUT.has(f.code)).map((f) => f.title);

/** The mirror image of a piece that was cut otherwise, where that was not. */
function fellowsOf({ rig, loadout, kit }: WhatNowInput, entries: readonly AsMade[]): WhatNow['fellows'] {
  const drawn = workpiece({ ...rig, made: [] }, loadout, kit);
  if (!drawn.ok) return [];
  const members = new Map<string, Member>(
    drawn.work.rig.bodies.flatMap((b) => b.members.map((m) => [m.id, m] as const)),
  );
  return entries.flatMap((e) => {
    const twin = e.kind === 'length' ? members.get(members.get(e.member)?.twin ?? '') : undefined;
    if (e.kind !== 'length' || !twin || entries.some((o) => o.kind === 'length' && o.member === twin.id)) return [];
    return [{ member: twin.id, name: twin.name, length: e.length }];
  });
}

/** One piece after the other made again as drawn: those that bring it within reach, by how much of their stock that takes, m. */
function againOf(input: WhatNowInput, entries: readonly AsMade[], tell: (part: number) => void): WhatNow['again'] {
  // What only weighs otherwise would weigh so again.
  const pieces = [...new Set(entries.flatMap((e) => (e.kind === 'mass' ? [] : [e.member])))];
  return pieces
    .flatMap((piece, i) => {
      tell(0.5 + (0.5 * i) / pieces.length);
      const others = entries.filter((e) => e.member !== piece);
      const done = trimmed(input, others);
      if (!done || faultsOf(done.judged).length > 0) return [];
      const work = workWith(input, []);
      if (!work.ok) return [];
      const { bodies } = work.work.rig;
      const part = bodies.flatMap((b) => b.parts).find((p) => p.id === piece);
      const name = part?.name ?? bodies.flatMap((b) => b.members).find((m) => m.id === piece)?.name;
      const of = entries.find((e) => e.member === piece && e.kind !== 'mass')!;
      return name === undefined ? [] : [{ of, name, stuff: part ? longSide(part) : lengthOf(work.work.rig, piece) }];
    })
    .sort((a, b) => a.stuff - b.stuff);
}
