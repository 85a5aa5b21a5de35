/** The permanent head: which rig, which loadout, units, undo and redo, and whether all is kept. */
import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { mdiHelp, mdiMagnify, mdiRedo, mdiUndo } from '@mdi/js';
import type { Fraction } from '@tide-pebble/core';
import { Documents, type SaveState } from '../services/keeping/documents';
import { HeldFolder } from '../services/keeping/folder';
import { NO_HISTORY } from '../services/keeping/history';
import { Units } from '../services/units';
import { Kept } from '../services/kept';
import { Icon } from '../ui/icon';

@Component({
  selector: 'tp-head',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon],
  templateUrl: './head.html',
  styleUrl: './head.css',
  host: { role: 'banner' },
})
export class Head {
  private readonly documents = inject(Documents);
  private readonly kept = inject(Kept);
  protected readonly units = inject(Units);
  protected readonly icons = { undo: mdiUndo, redo: mdiRedo, help: mdiHelp, find: mdiMagnify };

  readonly undone = output<void>();
  readonly redone = output<void>();
  readonly helped = output<void>();
  readonly sought = output<void>();

  protected readonly rigs = toSignal(this.kept.rigs$, { initialValue: [] });
  protected readonly rig = toSignal(this.kept.rig$, { initialValue: null });
  protected readonly loadouts = toSignal(this.kept.loadouts$, { initialValue: [] });
  private readonly state = toSignal(this.documents.state$, { initialValue: { kind: 'loading' } as SaveState });
  private readonly history = toSignal(this.documents.history$, { initialValue: NO_HISTORY });

  protected readonly canUndo = computed(() => this.history().past.length > 0);
  protected readonly canRedo = computed(() => this.history().future.length > 0);
  protected readonly undoLabel = computed(() =>
    this.history().past.length ? `Undo ${this.history().past.at(-1)!.label}` : 'Nothing to undo',
  );
  protected readonly redoLabel = computed(() =>
    this.history().future.length ? `Redo ${this.history().future[0]!.label}` : 'Nothing to redo',
  );
  private readonly right = inject(HeldFolder).right;
  protected readonly saved = computed(() => {
    const state = this.state();
    return this.right() === 'read' && state.kind === 'kept' ? 'This phone only reads' : words(state);
  });
  protected readonly trouble = computed(() =>
    ['away', 'full', 'elsewhere', 'unread', 'conflict', 'refused'].includes(this.state().kind),
  );

  protected choose(id: string): void {
    this.kept.choose(id);
  }

  protected chooseLoadout(id: string): void {
    this.kept.chooseLoadout(id || null);
  }

  protected fraction(value: string): void {
    this.units.setFraction(Number(value) as Fraction);
  }
}

function words(state: SaveState): string {
  switch (state.kind) {
    case 'loading':
      return 'Opening…';
    case 'keeping':
      return 'Keeping…';
    case 'kept':
      return state.at === null
        ? 'All kept'
        : `All kept, ${new Date(state.at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}`;
    case 'away':
      return state.waiting > 0 ? 'Server away: kept in this browser, sent later' : 'Server away';
    case 'full':
      return 'Disk full: kept in this browser, tried again by itself';
    case 'elsewhere':
      return 'Another data folder is served here now';
    case 'unread':
      return 'Could not be read';
    case 'conflict':
      return 'Changed elsewhere: choose';
    case 'refused':
      return `Not kept: ${state.reason}`;
  }
}
