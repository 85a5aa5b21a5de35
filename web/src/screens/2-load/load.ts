/** Load: what all loadouts cover, drawn; the one shown, to mount and move; and the kit it is made from. */
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { Router } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { Workspace } from '../../services/workspace';
import { LoadBench } from '../../services/load-bench';
import { Findings } from '../../ui/findings/findings';
import { StageLayout } from '../../ui/stage-layout';
import { CoverPanel } from './cover-panel';
import { KitList } from './kit-list';
import { LoadDrawing } from './load-drawing';
import { LoadoutPanel } from './loadout-panel';

@Component({
  selector: 'tp-load',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, StageLayout, Findings, LoadDrawing, KitList, LoadoutPanel, CoverPanel],
  templateUrl: './load.html',
  styleUrl: './load.css',
})
export class Load {
  protected readonly load = inject(LoadBench);
  private readonly workspace = inject(Workspace);
  private readonly router = inject(Router);
  protected readonly rig = toSignal(this.workspace.rig$, { initialValue: null });
  protected readonly onRig = computed(
    () => this.load.loadout() !== null && this.rig()?.loadout === this.load.loadout()?.id,
  );
  // A signal of its own: an edit of the loadout shown makes the same id again, which must not count as another.
  private readonly shownId = computed(() => this.load.loadout()?.id);
  /** The mounted entry whose place is being edited; another loadout starts with none. */
  protected readonly picked = linkedSignal<string | undefined, string | null>({
    source: this.shownId,
    computation: () => null,
  });

  protected open(item: string): void {
    void this.router.navigate(['/load', item]);
  }

  protected putOnRig(loadout: { id: string; name: string }): void {
    this.workspace.editRig(`mounting ${loadout.name}`, (rig) => ({ ...rig, loadout: loadout.id }));
  }
}
