/** What of a step can be measured when it is done: a length sawn, a bend, a hole along its bar. */
import type { AsMade } from '../model';
import type { BarPlan } from '../5-stock';
import { cutId, type BuildStep } from './step';

export interface Measure {
  /** What is kept of it, but for its figure. */
  readonly of:
    | { readonly kind: 'length' }
    | { readonly kind: 'bend'; readonly bend: number }
    | { readonly kind: 'hole'; readonly hole: string };
  readonly member: string;
  /** As it is drawn, m or rad. */
  readonly drawn: number;
  /** What can be believed. */
  readonly range: readonly [number, number];
}

/** A measurement further off than this part of what is drawn was read wrongly. */
const BELIEVED = 0.5;

export function measuresIn({ makes = [] }: BuildStep, bars: readonly BarPlan[]): readonly Measure[] {
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
      return hole ? measure({ kind: 'hole', hole: hole.id }, hole.along, [0, bar.blank]) : [];
    });
  });
}

/** The same thing measured. */
export const isOf = (made: AsMade, { of, member }: Measure): boolean =>
  made.member === member &&
  made.kind === of.kind &&
  (made.kind !== 'bend' || of.kind !== 'bend' || made.bend === of.bend) &&
  (made.kind !== 'hole' || of.kind !== 'hole' || made.hole === of.hole);

export function asMadeOf({ of, member }: Measure, value: number): AsMade {
  switch (of.kind) {
    case 'length':
      return { kind: 'length', member, length: value };
    case 'bend':
      return { kind: 'bend', member, bend: of.bend, angle: value };
    case 'hole':
      return { kind: 'hole', member, hole: of.hole, along: value };
  }
}
