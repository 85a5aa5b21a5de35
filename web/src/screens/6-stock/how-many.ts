/** A line of what to buy in words: “2 packs of 10”, “1 bar of 1 m”, “3”; and how much of it is needed or in the rig. */
import { figure, showFigure, type UnitChoice } from '@tide-pebble/core';
import type { BuyLine } from '@tide-pebble/core/making';

export function howMany({ kind, buy, packOf, barLength, unit }: BuyLine, units: UnitChoice): string {
  if (kind === 'bars')
    return `${buy === 1 ? '1 bar' : `${buy} bars`} of ${showFigure(figure('length', barLength ?? 0), units)}`;
  const pack = buy === 1 ? '1 pack' : `${buy} packs`;
  if (unit) return `${pack} of ${showFigure(figure('mass', packOf), units)}`;
  return packOf === 1 ? `${buy}` : `${pack} of ${packOf}`;
}

export function lineTold(line: BuyLine, units: UnitChoice): string {
  const { kind, needed, taken, inBin, tooLong, unit, packOf } = line;
  const amount = (n: number): string => (unit ? `about ${showFigure(figure('mass', n), units)}` : `${n}`);
  const isIn = taken === 0 ? '' : `${amount(taken)} ${kind === 'bars' ? 'cut' : 'built in'} already`;
  if (needed === 0 && isIn) return isIn;
  return [
    tooLong === undefined
      ? `${howMany(line, units)}${kind === 'packs' && !unit && packOf === 1 ? ' to buy' : ''}`
      : `a piece of ${showFigure(figure('length', tooLong), units)} comes out of none`,
    `need ${amount(needed)}${kind === 'bars' && inBin ? ', one cut comes from the bin' : ''}`,
    ...(isIn ? [isIn] : []),
  ].join('; ');
}
