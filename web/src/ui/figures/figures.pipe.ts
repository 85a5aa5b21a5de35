/** Figures and sentences in the maker's units: the one place where SI becomes text in a template. */
import { Pipe, type PipeTransform } from '@angular/core';
import type { Figure, Phrase, QuantityKind, UnitChoice } from '@tide-pebble/core';
import { figure, render, showFigure } from '@tide-pebble/core/words';

@Pipe({ name: 'say' })
export class SayPipe implements PipeTransform {
  transform(phrase: Phrase, units: UnitChoice): string {
    return render(phrase, units);
  }
}

@Pipe({ name: 'figure' })
export class FigurePipe implements PipeTransform {
  transform(
    value: number | Figure | null | undefined,
    units: UnitChoice,
    kind: QuantityKind = 'length',
    decimals?: number,
  ): string {
    if (value === null || value === undefined) return 'not known';
    return showFigure(typeof value === 'number' ? figure(kind, value, decimals) : value, units);
  }
}
