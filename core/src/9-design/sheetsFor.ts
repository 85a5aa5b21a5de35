/** What rigs as they are kept need out of sheets, laid on sheets of the maker’s sizes; a rig that cannot be built is told and left out. */
import { sheetNeeds, sheetNest, type SheetNeed, type SheetNest } from '../5-stock';
import { workpiece } from './derive';
import type { TripInput } from './tripFor';

export interface SheetSize {
  /** m; the grain runs along the width. */
  readonly width: number;
  readonly height: number;
  readonly margin: number;
}
export interface SheetsInput extends Omit<TripInput, 'bin'> {
  /** By `SheetNeed.id`; what is not there is the usual one. */
  readonly sizes: Readonly<Record<string, SheetSize>>;
}
export interface SheetPlan {
  readonly need: SheetNeed;
  readonly size: SheetSize;
  readonly kerf: number;
  readonly nest: SheetNest;
}
export interface SheetsFor {
  readonly plans: readonly SheetPlan[];
  readonly leftOut: readonly { readonly name: string; readonly reason: string }[];
}

/** A small sheet as shops cut them, m; stand-ins until typed. */
export const USUAL_SHEET: SheetSize = { width: 0.3, height: 0.2, margin: 0.005 };

export function sheetsFor({ rigs, kit, sizes }: SheetsInput): SheetsFor {
  const made = rigs.map(({ document, loadout }) => ({
    name: document.name,
    outcome: workpiece(document, loadout, kit),
  }));
  // One saw cuts for all: the widest kerf typed.
  const kerf = Math.max(0, ...rigs.map((r) => r.document.kerf));
  const needs = sheetNeeds(made.flatMap(({ name, outcome }) => (outcome.ok ? [{ name, rig: outcome.work.rig }] : [])));
  return {
    plans: needs.map((need) => {
      const size = sizes[need.id] ?? USUAL_SHEET;
      const pieces = need.pieces.map(({ width, height }) => ({ width, height, count: 1, turn: !need.hasGrain }));
      return { need, size, kerf, nest: sheetNest({ sheet: size, kerf, margin: size.margin, pieces }) };
    }),
    leftOut: made.flatMap(({ name, outcome }) => (outcome.ok ? [] : [{ name, reason: outcome.reason }])),
  };
}
