/** What of a step can be measured when it is done: a length sawn, a bend, a hole along its bar, what a finished piece weighs. */
import type { AsMade, Edge, Rig } from '../model';
import { cornersIn } from './squareCheck';
import type { BarPlan, HoleSheet } from '../5-stock';
import { cutId, type BuildStep } from './step';

export interface Measure {
  /** What is kept of it, but for its figure. */
  readonly of:
    | { readonly kind: 'length' }
    | { readonly kind: 'bend'; readonly bend: number }
    | { readonly kind: 'hole'; readonly hole: string }
    /** From the middle of its width towards an edge; `side`: that edge's sign. */
    | { readonly kind: 'across'; readonly hole: string; readonly side: 1 | -1; readonly edge: string }
    | { readonly kind: 'fromEdge'; readonly hole: string; readonly edge: Edge }
    | { readonly kind: 'mass' }
    /** By a tape from end to end, over legs so long, m; without them by a bevel. */
    | {
        readonly kind: 'turn';
        readonly joint: string;
        readonly beside: string;
        readonly legs: readonly [number, number] | null;
      };
  readonly member: string;
  /** As it is drawn, m, rad or kg. */
  readonly drawn: number;
  /** What can be believed. */
  readonly range: readonly [number, number];
}

/** A measurement further off than this part of what is drawn was read wrongly. */
const BELIEVED = 0.5;

/** A hole that is off by more was meant for something else, m. */
const HOLE_OFF = 0.03;

export function measuresIn(
  step: BuildStep,
  bars: readonly BarPlan[],
  sheets: readonly HoleSheet[],
): readonly Measure[] {
  return [...onBars(step, bars), ...inParts(step, sheets)];
}

function onBars({ makes = [] }: BuildStep, bars: readonly BarPlan[]): readonly Measure[] {
  return bars.flatMap((bar) => {
    const bends = bar.marks.filter((m) => m.kind === 'bendMiddle');
    return makes.flatMap((id): readonly Measure[] => {
      const measure = (of: Measure['of'], drawn: number, range?: readonly [number, number]): readonly Measure[] => [
        { of, member: bar.member, drawn, range: range ?? [drawn * (1 - BELIEVED), drawn * (1 + BELIEVED)] },
      ];
      if (id === cutId(bar.member)) return measure({ kind: 'length' }, bar.finished);
      const bend = bends.findIndex((m) => m.id === id);
      if (bend >= 0) return measure({ kind: 'bend', bend }, bar.bends[bend]!.angle);
      const hole = bar.marks.find((m) => m.kind === 'hole' && m.id === id);
      if (!hole) return [];
      const along = measure({ kind: 'hole', hole: hole.id }, hole.along, [0, bar.blank]);
      if (hole.nearer === null) return along;
      const side = hole.across < 0 ? -1 : 1;
      const half = bar.width / 2;
      const across: Measure['of'] = { kind: 'across', hole: hole.id, side, edge: hole.nearer };
      return [...along, ...measure(across, side * hole.across, [-half, half])];
    });
  });
}

/** Of a plate from two edges, of a round from its end. What is drilled through several in one go comes out in all of them alike. */
function inParts({ makes = [] }: BuildStep, sheets: readonly HoleSheet[]): readonly Measure[] {
  if (makes.length !== 1) return [];
  return sheets.flatMap(({ piece, marks }) =>
    marks.flatMap((mark): readonly Measure[] => {
      if (mark.id !== makes[0] || new Set(mark.from.map((f) => f.edge)).size < mark.from.length) return [];
      return mark.from.map(({ edge, off }) => ({
        of: { kind: 'fromEdge', hole: mark.id, edge },
        member: piece,
        drawn: off,
        range: [Math.max(0, off - HOLE_OFF), off + HOLE_OFF],
      }));
    }),
  );
}

/** The same thing measured. */
export const isOf = (made: AsMade, { of, member }: Measure): boolean =>
  made.member === member &&
  made.kind === of.kind &&
  (made.kind !== 'bend' || of.kind !== 'bend' || made.bend === of.bend) &&
  (made.kind !== 'turn' || of.kind !== 'turn' || (made.joint === of.joint && made.beside === of.beside)) &&
  (!('hole' in made) || !('hole' in of) || made.hole === of.hole) &&
  (made.kind !== 'fromEdge' || of.kind !== 'fromEdge' || made.edge === of.edge);

export function asMadeOf({ of, member }: Measure, value: number): AsMade {
  switch (of.kind) {
    case 'length':
      return { kind: 'length', member, length: value };
    case 'bend':
      return { kind: 'bend', member, bend: of.bend, angle: value };
    case 'hole':
      return { kind: 'hole', member, hole: of.hole, along: value };
    case 'across':
      return { kind: 'across', member, hole: of.hole, across: of.side * value };
    case 'fromEdge':
      return { kind: 'fromEdge', member, hole: of.hole, edge: of.edge, off: value };
    case 'mass':
      return { kind: 'mass', member, mass: value };
    case 'turn': {
      const angle = of.legs ? angleOver(of.legs, value) : value;
      return { kind: 'turn', member, joint: of.joint, beside: of.beside, angle };
    }
  }
}

/**
 * What comes onto the scale at which step: each piece after the last that is done to it alone, before it is put to anything. A bar
 * whose tail is cut off at the end is not finished before, and is not weighed.
 */
export function weighedAt(steps: readonly BuildStep[]): ReadonlyMap<string, string> {
  const last = new Map<string, BuildStep>();
  const joined = new Set<string>();
  const late = new Set<string>();
  for (const step of steps) {
    const [piece, ...others] = step.handles ?? [];
    if (piece === undefined || !isWork(step)) {
      for (const p of step.handles ?? []) joined.add(p);
      continue;
    }
    if (others.length > 0 || joined.has(piece)) for (const p of step.handles!) late.add(p);
    else last.set(piece, step);
  }
  return new Map([...last].flatMap(([piece, step]) => (late.has(piece) ? [] : [[step.id, piece] as const])));
}
const isWork = (step: BuildStep): boolean => !step.joins;

/** `drawn`: kg. */
export const massMeasure = (piece: string, drawn: number): Measure => ({
  of: { kind: 'mass' },
  member: piece,
  drawn,
  range: [drawn * (1 - BELIEVED), drawn * (1 + BELIEVED)],
});

/** The figure that was typed, as its measure has it. */
export function valueAsTyped(made: AsMade, { of }: Measure): number {
  switch (made.kind) {
    case 'bend':
      return made.angle;
    case 'hole':
      return made.along;
    case 'across':
      return of.kind === 'across' ? of.side * made.across : made.across;
    case 'fromEdge':
      return made.off;
    case 'length':
      return made.length;
    case 'mass':
      return made.mass;
    case 'turn':
      return of.kind === 'turn' && of.legs ? across(of.legs, made.angle) : made.angle;
  }
}

/** Angle between two legs whose ends are so far apart, and back; m, rad. Further apart than both together is a straight line. */
export const angleOver = ([a, b]: readonly [number, number], apart: number): number =>
  Math.acos(Math.min(1, Math.max(-1, (a * a + b * b - apart * apart) / (2 * a * b))));
export const across = ([a, b]: readonly [number, number], angle: number): number =>
  Math.sqrt(a * a + b * b - 2 * a * b * Math.cos(angle));

/** Set further off than this it was read wrongly, rad. */
const TURN_BELIEVED = (20 * Math.PI) / 180;

/** What is checked dry at a corner can be measured once it has set. */
export function turnsIn({ joins }: BuildStep, rig: Rig): readonly Measure[] {
  if (!joins) return [];
  return cornersIn(rig, joins.connections, new Set(joins.lot)).map(({ member, joint, beside, legs, angle }) => {
    const [low, high] = [Math.max(0.02, angle - TURN_BELIEVED), Math.min(Math.PI - 0.02, angle + TURN_BELIEVED)];
    return {
      of: { kind: 'turn', joint, beside, legs },
      member,
      drawn: legs ? across(legs, angle) : angle,
      range: legs ? [across(legs, low), across(legs, high)] : [low, high],
    };
  });
}
