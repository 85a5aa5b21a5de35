/** The flat blank of a bar drawn with its bend lines and holes, every figure from the same end. */
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { drillName, figure, render, showFigure } from '@tide-pebble/core';
import { barTemplate, type BarPlan, type SheetMark } from '@tide-pebble/core/making';
import { Pointer } from '../../services/pointer';
import { Units } from '../../services/units';
import { FigurePipe } from '../../ui/figures/figures.pipe';

const WIDTH = 820; // viewBox units; the sheet scales with the page
const LABEL = 62; // room a figure takes beside its neighbour

@Component({
  selector: 'tp-bar-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FigurePipe],
  templateUrl: './bar-sheet.html',
  styleUrl: './bar-sheet.css',
})
export class BarSheet {
  protected readonly pointer = inject(Pointer);
  protected readonly units = inject(Units).now;
  readonly bar = input.required<BarPlan>();

  /** What all is measured from: a piece mitred at one end alone is not the same from both. */
  protected readonly from = computed(() => {
    const { bends, mitres } = this.bar();
    if (bends.length > 0) return 'the rear end, on the flat bar';
    if (mitres.length !== 1) return mitres.length > 1 ? 'the long side of one end: mark which' : 'one end: mark which';
    return mitres[0]!.end === 'start' ? 'the long side of its mitred end' : 'its square end';
  });
  protected readonly drawn = computed(() => {
    const bar = this.bar();
    const perMetre = WIDTH / bar.blank;
    const sheet = barTemplate(bar, LABEL / perMetre);
    const height = Math.max(16, bar.width * perMetre);
    const mark = (m: SheetMark) => ({
      ...m,
      x: m.along * perMetre,
      labelX: m.labelAt * perMetre,
      y: (0.5 - m.across / bar.width) * height,
      radius: Math.max(2.5, ((m.diameter ?? 0) / 2) * perMetre),
      figure: showFigure(figure('length', m.along, 1), this.units()),
      size: `${m.last ? 'last ' : ''}⌀${m.diameter ? ` ${drillName(m.diameter, this.units().system)}` : ''}`,
    });
    return {
      height,
      finishedX: sheet.finished * perMetre,
      above: sheet.marks.filter((m) => m.row === 'above').map(mark),
      below: sheet.marks.filter((m) => m.row === 'below').map(mark),
    };
  });
  protected readonly list = computed(() =>
    this.bar().marks.map((m) => ({
      ...m,
      what:
        m.kind === 'hole'
          ? `hole ${showFigure(figure('drill', m.diameter ?? 0), this.units())} for the ${m.name}`
          : m.name,
      // Where across or round the bar, and when.
      note: [...(m.place ? [render(m.place, this.units())] : []), m.when].join('; '),
    })),
  );
}
