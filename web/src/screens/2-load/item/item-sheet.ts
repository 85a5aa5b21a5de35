/** One item's sheet: drawn square-on, measured as many ways as the maker likes, and all that others need to know of it. */
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { mdiChevronLeft, mdiContentCopy, mdiDeleteOutline, mdiHistory } from '@mdi/js';
import { type KitItem } from '@tide-pebble/core';
import { remeasured, resultsOf, type MethodFound } from '@tide-pebble/core/measuring';
import { LoadBench } from '../../../services/load-bench';
import { Dialogs } from '../../../ui/dialogs';
import type { WhoseSaves } from '../../../ui/earlier-saves';
import { Icon } from '../../../ui/icon';
import { Notices } from '../../../services/notices';
import { StageLayout } from '../../../ui/stage-layout';
import type { ItemChange } from './changes';
import { ClearancesEditor } from './editors/clearances-editor';
import { ExtrasEditor } from './editors/extras-editor';
import { FactsEditor } from './editors/facts-editor';
import { ItemDrawing } from './item-drawing';
import { KnownPanel } from './known-panel';
import { Measuring } from './measuring/measuring';
import { PointsEditor } from './editors/points-editor';
import { ScalePanel } from './measuring/scale-panel';
import { StatesEditor } from './editors/states-editor';

@Component({
  selector: 'tp-item-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    RouterLink,
    MatButton,
    Icon,
    StageLayout,
    ItemDrawing,
    FactsEditor,
    ExtrasEditor,
    Measuring,
    PointsEditor,
    StatesEditor,
    ClearancesEditor,
    KnownPanel,
    ScalePanel,
  ],
  templateUrl: './item-sheet.html',
  styleUrl: './item-sheet.css',
})
export class ItemSheet {
  private readonly load = inject(LoadBench);
  private readonly router = inject(Router);
  private readonly notices = inject(Notices);
  private readonly dialogs = inject(Dialogs);
  /** The item's id, from the address. */
  readonly id = input.required<string>();
  protected readonly icons = {
    back: mdiChevronLeft,
    copy: mdiContentCopy,
    remove: mdiDeleteOutline,
    earlier: mdiHistory,
  };
  protected readonly item = computed(() => this.load.kit().get(this.id()) ?? null);
  protected readonly results = computed(() => {
    const item = this.item();
    return item ? resultsOf(item) : [];
  });
  /** Every single result, for the drawing to show beside the best one. */
  protected readonly found = computed<readonly MethodFound[]>(() =>
    this.results().flatMap((r) =>
      r.outcome.kind === 'found' && !r.measurement.state && !r.measurement.leftOut
        ? r.outcome.found.filter((f) => f.what === 'centre')
        : [],
    ),
  );

  /** A change of the box or foot is followed by all that was read from its faces. */
  protected change(change: ItemChange): void {
    this.load.changeItem(this.id(), (item) => remeasured(change(item)));
  }

  protected async earlier({ id, name }: KitItem): Promise<void> {
    const data: WhoseSaves = { kind: 'kit', id, name };
    await this.dialogs.open(() => import('../../../ui/earlier-saves').then((m) => m.EarlierSaves), {
      data,
      width: '720px',
    });
  }

  protected copy(item: KitItem): void {
    void this.router.navigate(['/load', this.load.copyItem(item).id]);
  }

  protected async remove(item: KitItem): Promise<void> {
    await this.router.navigate(['/load']);
    this.load.removeItem(item);
    this.notices.sayWithUndo(`${item.name} is deleted.`);
  }
}
