/** One rig on the shelf: a small drawing, what state it is in, and what can be done with it. */
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { mdiContentCopy, mdiDeleteOutline, mdiFileExportOutline } from '@mdi/js';
import { DEGREE, judged, render, workpiece, type RigDocument } from '@tide-pebble/core';
import { Units } from '../../services/units';
import { Workspace } from '../../services/workspace';
import { Icon } from '../../ui/icon';
import { inTurn } from '../../ui/in-turn';
import { sheetOf } from '../../ui/rig-drawing';

const PICTURE = { width: 290, height: 190 };
const AS_DESIGNED = {};

@Component({
  selector: 'tp-rig-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, Icon],
  templateUrl: './rig-card.html',
  styleUrl: './rig-card.css',
})
export class RigCard {
  private readonly workspace = inject(Workspace);
  private readonly units = inject(Units).now;
  protected readonly icons = { copy: mdiContentCopy, remove: mdiDeleteOutline, export: mdiFileExportOutline };

  readonly rig = input.required<RigDocument>();
  readonly current = input(false);
  readonly opened = output<void>();
  readonly copied = output<void>();
  readonly renamed = output<string>();
  readonly removed = output<void>();
  readonly exported = output<void>();

  private readonly kit = toSignal(this.workspace.kit$, { initialValue: new Map() });
  private readonly loadouts = toSignal(this.workspace.loadouts$, { initialValue: [] });
  private readonly setups = toSignal(this.workspace.setups$, { initialValue: [] });

  private readonly asked = computed(
    () => {
      const rig = this.rig();
      return {
        rig,
        kit: this.kit(),
        loadout: this.loadouts().find((l) => l.id === rig.loadout) ?? null,
        values: this.setups().find((s) => s.rig === rig.id && s.loadout === (rig.loadout ?? 'bare'))?.values ?? AS_DESIGNED,
      };
    },
    // What another rig is set to does not matter here.
    { equal: (a, b) => a.rig === b.rig && a.kit === b.kit && a.loadout === b.loadout && a.values === b.values },
  );
  private readonly judged = inTurn(this.asked, ({ rig, kit, loadout, values }) => {
    const made = workpiece(rig, loadout, kit);
    return made.ok ? { ok: true as const, piece: made.piece, loadout, ...judged(made.piece, values, rig.wants) } : { ok: false as const };
  });
  protected readonly about = computed(() => {
    const found = this.judged();
    if (!found) return '';
    if (!found.ok) return 'of a family this version does not know';
    return `${found.piece.family?.name ?? 'a rig of its own'}${found.loadout ? `, for ${found.loadout.name}` : ''}`;
  });
  protected readonly state = computed(() => {
    const found = this.judged();
    if (!found?.ok) return { good: true, text: '' };
    const worst = found.findings.find((f) => f.severity === 'stop' || f.severity === 'mend' || f.severity === 'measure');
    return worst ? { good: false, text: render(worst.title, this.units()) } : { good: true, text: found.evaluation.hung ? 'Hangs level and rights itself in the time you want.' : 'Lies well in the hand.' };
  });
  protected readonly picture = computed(() => {
    const found = this.judged();
    if (!found?.ok) return null;
    const { hung, pieces } = found.evaluation;
    const [view] = sheetOf(pieces, ['side'], { width: PICTURE.width + 110, height: PICTURE.height + 96 }, hung ? { bodies: new Set([hung.pivot.carries]), pivot: hung.pivotAt, lean: { side: hung.hang.rest?.noseDown ?? 0, front: 0, top: 0 } } : null).views;
    const at = hung ? view!.place(hung.pivotAt) : null;
    return { shapes: view!.shapes, turn: at ? `rotate(${((hung!.hang.rest?.noseDown ?? 0) / DEGREE).toFixed(2)} ${at[0]} ${at[1]})` : '' };
  });
}
