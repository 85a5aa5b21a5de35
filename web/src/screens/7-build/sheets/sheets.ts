/** One sheet an evening, for the wall of the workshop: what to lay ready, each step in full with its picture, what sets meanwhile. */
import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { Units } from '../../../services/units';
import { SayPipe } from '../../../ui/figures/figures.pipe';
import { NoBench } from '../../../ui/no-bench';
import { injectEvenings } from '../evenings-now';
import { StepDetail } from '../step-detail';
import { StepSquareOn } from '../step-square-on';
import { injectSteps, type StepShown } from '../steps-now';

@Component({
  selector: 'tp-evening-sheets',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DatePipe, MatButton, RouterLink, SayPipe, NoBench, StepDetail, StepSquareOn],
  templateUrl: './sheets.html',
  styleUrl: './sheets.css',
})
export class EveningSheets {
  protected readonly units = inject(Units).now;
  protected readonly now = injectSteps();
  protected readonly plan = injectEvenings(this.now.bench, this.now.steps);
  /** With no evenings planned, all that is left on one sheet. */
  protected readonly sheets = computed(() => {
    const byId = new Map(this.now.steps().map((s) => [s.step.id, s]));
    const days = this.plan.days();
    if (days.length > 0)
      return days.map(({ day, steps }) => {
        const these = steps.map((planned) => ({ planned, shown: byId.get(planned.id)! }));
        return { day, steps: withSame(these), tools: toolsOf(these.map((s) => s.shown.step.tool)) };
      });
    const left = this.now.steps().filter((s) => !s.done);
    return left.length > 0
      ? [
          {
            day: null,
            steps: withSame(left.map((shown) => ({ planned: null, shown }))),
            tools: toolsOf(left.map((s) => s.step.tool)),
          },
        ]
      : [];
  });
  protected print(): void {
    window.print();
  }
}

/** Moves that stood on the same sheet before are not written out again: at which step they stand. */
function withSame<T extends { readonly shown: StepShown }>(
  steps: readonly T[],
): readonly (T & { readonly as: number | null })[] {
  const told = new Map<string, number>();
  return steps.map((s) => {
    const { step, number } = s.shown;
    const key = JSON.stringify(step.moves ?? []);
    const before = (step.moves?.length ?? 0) > 1 ? (told.get(key) ?? null) : null;
    if (before === null) told.set(key, number);
    return { ...s, as: before };
  });
}
const toolsOf = (tools: readonly string[]): string => [...new Set(tools.flatMap((t) => t.split(', ')))].join(', ');
