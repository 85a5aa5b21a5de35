/** A judgement as the column shows it: what is wrong, why, what to do, and the fix already worked out. */
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { mdiAlert, mdiAlertOctagon, mdiInformationOutline, mdiScaleBalance } from '@mdi/js';
import { mayOffer, type Fix, type Judgement, type KitItem, type Severity } from '@tide-pebble/core';
import { injectBench } from '../../services/bench-signal';
import { Pointer } from '../../services/pointer';
import { Units } from '../../services/units';
import { Workspace } from '../../services/workspace';
import { CureFinder } from './cure-finder';
import { SayPipe } from '../figures/figures.pipe';
import { Icon } from '../icon';
import { inTurn } from '../timing/in-turn';
import { settled } from '../timing/settled';
import { Told } from '../words/told';

const NO_KIT: ReadonlyMap<string, KitItem> = new Map();
const LOOKS: Readonly<Record<Severity, { icon: string; word: string }>> = {
  stop: { icon: mdiAlertOctagon, word: 'Stop' },
  mend: { icon: mdiAlert, word: 'Mend' },
  measure: { icon: mdiScaleBalance, word: 'Measure' },
  note: { icon: mdiInformationOutline, word: 'Note' },
};

@Component({
  selector: 'tp-finding-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, SayPipe, Told, Icon, CureFinder],
  template: `
    <tp-icon [path]="look().icon" />
    <div>
      <p class="title">
        <span class="visually-hidden">{{ look().word }}: </span>{{ finding().title | say: units() }}
      </p>
      <p><tp-told [text]="finding().why | say: units()" /></p>
      <p class="note"><tp-told [text]="finding().toDo | say: units()" /></p>
      <div class="fixes">
        @for (fix of offered(); track $index) {
          <button matButton="outlined" type="button" (click)="fixed.emit(fix)">{{ fix.label | say: units() }}</button>
        } @empty {
          @if (searchable() && tried()) {
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
  private readonly bench = injectBench();
  private readonly kit = toSignal(inject(Workspace).kit$, { initialValue: NO_KIT });
  private readonly asked = settled(
    computed(() => ({ bench: this.bench(), kit: this.kit(), finding: this.finding() }), {
      equal: (a, b) => a.bench === b.bench && a.kit === b.kit && a.finding === b.finding,
    }),
  );
  /** Each fix tried on a copy against all findings, one a task, once edits pause: only what cures is offered. */
  private readonly proven = inTurn(this.asked, (asked) => {
    if (!asked?.bench) return null;
    const {
      bench: { rig, loadout, values, judged },
      kit,
      finding,
    } = asked;
    const on = { rig, loadout, kit, values };
    return { finding, fixes: finding.fixes.filter((fix) => mayOffer(on, judged.findings, finding, fix.changes)) };
  });
  protected readonly tried = computed(
    () => this.finding().fixes.length === 0 || this.proven()?.finding === this.finding(),
  );
  protected readonly offered = computed(() => (this.proven()?.finding === this.finding() ? this.proven()!.fixes : []));
  /** What is to be measured, or lies in the load, no change of the rig cures. */
  protected readonly searchable = computed(
    () => this.finding().stage !== 'load' && (this.finding().severity === 'stop' || this.finding().severity === 'mend'),
  );
  protected readonly look = computed(() => LOOKS[this.finding().severity]);
}
