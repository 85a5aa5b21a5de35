/** A rig drawn small from the side, hanging as it would: for cards and lists. */
import { ChangeDetectionStrategy, Component, computed, input, type Signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import {
  DEGREE,
  judged,
  workpiece,
  type AdjusterValues,
  type Judged,
  type RigDocument,
  type Workpiece,
} from '@tide-pebble/core';
import type { Workspace } from '../../services/workspace';
import { inTurn } from '../timing/in-turn';
import { sheetOf } from './rig-drawing';

const PICTURE = { width: 290, height: 190 };
const AS_DESIGNED: AdjusterValues = {};

export type JudgedRig =
  | ({ readonly ok: true; readonly work: Workpiece; readonly loadout: string | null } & Judged)
  | { readonly ok: false; readonly reason: string };

/** The rig with its loadout and set-up, judged after the page is drawn, one a task. Call it where effects may be made. */
export function judgedInTurn(workspace: Workspace, rig: () => RigDocument | null): Signal<JudgedRig | null> {
  const kit = toSignal(workspace.kit$, { initialValue: new Map() });
  const loadouts = toSignal(workspace.loadouts$, { initialValue: [] });
  const setups = toSignal(workspace.setups$, { initialValue: [] });
  const asked = computed(
    () => {
      const now = rig();
      return {
        rig: now,
        kit: kit(),
        loadout: loadouts().find((l) => l.id === now?.loadout) ?? null,
        values: setups().find((s) => s.rig === now?.id && s.loadout === (now.loadout ?? 'bare'))?.values ?? AS_DESIGNED,
      };
    },
    // What another rig is set to does not matter here.
    { equal: (a, b) => a.rig === b.rig && a.kit === b.kit && a.loadout === b.loadout && a.values === b.values },
  );
  return inTurn(asked, ({ rig: now, kit: items, loadout, values }): JudgedRig | null => {
    if (!now) return null;
    try {
      const made = workpiece(now, loadout, items);
      if (!made.ok) return { ok: false, reason: made.reason };
      const { context, evaluation, findings, verdict } = judged(made.work, values, now.wants);
      return { ok: true, work: made.work, loadout: loadout?.name ?? null, context, evaluation, findings, verdict };
    } catch (error) {
      return { ok: false, reason: error instanceof Error ? error.message : String(error) };
    }
  });
}

@Component({
  selector: 'tp-rig-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (picture(); as p) {
      <svg viewBox="55 40 290 206" aria-hidden="true">
        @for (s of p.shapes; track s.key) {
          <path [attr.d]="s.path" [attr.class]="'shape ' + s.look" [attr.transform]="s.swings ? p.turn : null" />
        }
      </svg>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      width: 100%;
      height: 190px;
      display: block;
    }
  `,
})
export class RigPicture {
  readonly judged = input.required<JudgedRig | null>();
  protected readonly picture = computed(() => {
    const found = this.judged();
    if (!found?.ok) return null;
    const { hung, pieces } = found.evaluation;
    const [view] = sheetOf(
      pieces,
      ['side'],
      { width: PICTURE.width + 110, height: PICTURE.height + 96 },
      hung
        ? {
            bodies: new Set([hung.pivot.carries]),
            pivot: hung.pivotAt,
            lean: { side: hung.hang.rest?.noseDown ?? 0, front: 0, top: 0 },
          }
        : null,
    ).views;
    const at = hung ? view!.place(hung.pivotAt) : null;
    return {
      shapes: view!.shapes,
      turn: at ? `rotate(${((hung!.hang.rest?.noseDown ?? 0) / DEGREE).toFixed(2)} ${at[0]} ${at[1]})` : '',
    };
  });
}
