/** A stage: the drawing or work at the left, one column that decides at the right, its one big action at the column's foot. */
import { ChangeDetectionStrategy, Component } from '@angular/core';

@Component({
  selector: 'tp-stage-layout',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="work" tabindex="0" role="region" aria-label="Work"><ng-content /></div>
    <div class="column">
      <div class="scroll" tabindex="0" role="region" aria-label="Decide"><ng-content select="[column]" /></div>
      <div class="action no-print"><ng-content select="[action]" /></div>
    </div>
  `,
  styleUrl: './stage-layout.css',
})
export class StageLayout {}
