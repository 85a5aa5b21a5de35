/** How a rig on the shelf stands: judged in its turn, what it is, and what every screen says of it. */
import { computed, inject, type Signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { render, verdictWith, type RigDocument } from '@tide-pebble/core';
import { of, startWith, switchMap } from 'rxjs';
import { Firmnesses } from '../../services/firmnesses';
import { Units } from '../../services/units';
import { Workspace } from '../../services/workspace';
import { judgedInTurn, RigPicture } from '../../ui/drawing/rig-picture';

export interface Standing {
  readonly judged: ReturnType<typeof judgedInTurn>;
  readonly picture: typeof RigPicture;
  readonly about: Signal<string>;
  readonly state: Signal<{ readonly good: boolean; readonly text: string }>;
}

/** In an injection context. */
export function standingOf(rig: () => RigDocument): Standing {
  const workspace = inject(Workspace);
  const units = inject(Units).now;
  const judged = judgedInTurn(workspace, () => rig());
  const firmnesses = inject(Firmnesses);
  const firm = toSignal(
    toObservable(judged).pipe(
      switchMap((found) => (found?.ok ? firmnesses.of(rig().id, found.context).pipe(startWith(null)) : of(null))),
    ),
    { initialValue: null },
  );
  const about = computed(() => {
    const found = judged();
    if (!found) return '';
    if (!found.ok) return found.reason;
    return `${found.work.family?.name ?? 'a rig of its own'}${found.loadout ? `, for ${found.loadout}` : ''}`;
  });
  const state = computed(() => {
    const found = judged();
    if (!found?.ok) return { good: true, text: '' };
    const { kind, title, why, against } = verdictWith(found.verdict, firm());
    return {
      good: kind === 'holds',
      text: render(kind === 'holds' || against ? title : [...title, ' ', ...why], units()),
    };
  });
  return { judged, picture: RigPicture, about, state };
}
