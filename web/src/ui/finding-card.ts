/** A judgement as the column shows it: what is wrong, why, what to do, and the fix already worked out. */
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { mdiAlert, mdiAlertOctagon, mdiInformationOutline, mdiScaleBalance } from '@mdi/js';
import type { Fix, Judgement, Severity } from '@tide-pebble/core';
import { Pointer } from '../services/pointer';
import { Units } from '../services/units';
import { CureFinder } from './cure-finder';
import { SayPipe } from './figures.pipe';
import { Icon } from './icon';

const LOOKS: Readonly<Record<Severity, { icon: string; word: string }>> = {
  stop: { icon: mdiAlertOctagon, word: 'Stop' },
  mend: { icon: mdiAlert, word: 'Mend' },
  measure: { icon: mdiScaleBalance, word: 'Measure' },
  note: { icon: mdiInformationOutline, word: 'Note' },
};

@Component({
  selector: 'tp-finding-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, SayPipe, Icon, CureFinder],
  template: `
    <tp-icon [path]="look().icon" />
    <div>
      <p class="title"><span class="visually-hidden">{{ look().word }}: </span>{{ finding().title | say: units() }}</p>
      <p>{{ finding().why | say: units() }}</p>
      <p class="note">{{ finding().toDo | say: units() }}</p>
      <div class="fixes">
        @for (fix of finding().fixes; track $index) {
          <button matButton="outlined" type="button" (click)="fixed.emit(fix)">{{ fix.label | say: units() }}</button>
        } @empty {
          @if (searchable()) {
            <tp-cure-finder [finding]="finding()" (fixed)="fixed.emit($event)" />
          }
        }
      </div>
    </div>
  `,
  styleUrl: './finding-card.css',
  host: {
    role: 'article',
    '[class.lit]': 'pointer.at() === finding().about',
    '[class.grave]': "finding().severity === 'stop' || finding().severity === 'mend'",
    '(mouseenter)': 'pointer.point(finding().about)',
    '(mouseleave)': 'pointer.point(null)',
    '(focusin)': 'pointer.point(finding().about)',
    '(focusout)': 'pointer.point(null)',
  },
})
export class FindingCard {
  protected readonly pointer = inject(Pointer);
  protected readonly units = inject(Units).now;
  readonly finding = input.required<Judgement>();
  readonly fixed = output<Fix>();
  /** What is to be measured, or lies in the load, no change of the rig cures. */
  protected readonly searchable = computed(() => this.finding().stage !== 'load' && (this.finding().severity === 'stop' || this.finding().severity === 'mend'));
  protected readonly look = computed(() => LOOKS[this.finding().severity]);
}
