/** One rig on the shelf: a small drawing, what state it is in, and what can be done with it. */
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { mdiContentCopy, mdiDeleteOutline, mdiFileExportOutline, mdiHistory } from '@mdi/js';
import { render, verdictWith, type RigDocument } from '@tide-pebble/core';
import { of, startWith, switchMap } from 'rxjs';
import { Firmnesses } from '../../services/firmnesses';
import { Units } from '../../services/units';
import { Workspace } from '../../services/workspace';
import { Icon } from '../../ui/icon';
import { judgedInTurn, RigPicture } from '../../ui/drawing/rig-picture';

@Component({
  selector: 'tp-rig-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, Icon, RigPicture],
  templateUrl: './rig-card.html',
  styleUrl: './rig-card.css',
})
export class RigCard {
  private readonly workspace = inject(Workspace);
  private readonly units = inject(Units).now;
  protected readonly icons = {
    copy: mdiContentCopy,
    remove: mdiDeleteOutline,
    export: mdiFileExportOutline,
    earlier: mdiHistory,
    mdiHistory,
  };

  readonly rig = input.required<RigDocument>();
  readonly current = input(false);
  readonly opened = output<void>();
  readonly copied = output<void>();
  readonly renamed = output<string>();
  readonly removed = output<void>();
  readonly exported = output<void>();
  readonly earlier = output<void>();

  protected readonly judged = judgedInTurn(this.workspace, () => this.rig());
  private readonly firmnesses = inject(Firmnesses);
  private readonly firm = toSignal(
    toObservable(this.judged).pipe(
      switchMap((found) =>
        found?.ok ? this.firmnesses.of(this.rig().id, found.context).pipe(startWith(null)) : of(null),
      ),
    ),
    { initialValue: null },
  );
  protected readonly about = computed(() => {
    const found = this.judged();
    if (!found) return '';
    if (!found.ok) return found.reason;
    return `${found.work.family?.name ?? 'a rig of its own'}${found.loadout ? `, for ${found.loadout}` : ''}`;
  });
  protected readonly state = computed(() => {
    const found = this.judged();
    if (!found?.ok) return { good: true, text: '' };
    const { kind, title, why, against } = verdictWith(found.verdict, this.firm());
    return {
      good: kind === 'holds',
      text: render(kind === 'holds' || against ? title : [...title, ' ', ...why], this.units()),
    };
  });
}
