/** For which rigs pages of Stock reckon: the one on the bench till others are picked, each with its loadout and as it is set. Made where services can be injected. */
import { computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import type { RigDocument } from '@tide-pebble/core';
import { map } from 'rxjs';
import { Workspace } from '../../services/workspace';

export class PickedRigs {
  private readonly workspace = inject(Workspace);
  readonly all = toSignal(this.workspace.rigs$, { initialValue: [] });
  private readonly current = toSignal(
    this.workspace.bench$.pipe(map((b) => (b.kind === 'ready' ? b.bench.rig.id : null))),
    { initialValue: null },
  );
  private readonly loadouts = toSignal(this.workspace.loadouts$, { initialValue: [] });
  private readonly kit = toSignal(this.workspace.kit$, { initialValue: new Map() });
  private readonly setups = toSignal(this.workspace.setups$, { initialValue: [] });

  /** Null: the rig on the bench alone. */
  private readonly asked = signal<readonly string[] | null>(null);
  private readonly chosen = computed(() => new Set(this.asked() ?? [this.current()].filter((id) => id !== null)));
  readonly isNone = computed(() => this.chosen().size === 0);
  readonly input = computed(() => ({
    rigs: this.all()
      .filter((r) => this.chosen().has(r.id))
      .map((document) => ({
        document,
        loadout: this.loadouts().find((l) => l.id === document.loadout) ?? null,
        values:
          this.setups().find((s) => s.rig === document.id && s.loadout === (document.loadout ?? 'bare'))?.values ?? {},
      })),
    kit: this.kit(),
  }));

  has(rig: RigDocument): boolean {
    return this.chosen().has(rig.id);
  }
  pick(rig: RigDocument, on: boolean): void {
    const others = [...this.chosen()].filter((id) => id !== rig.id);
    this.asked.set(on ? [...others, rig.id] : others);
  }
}
