/** A rig of a family on the bench: made ready first, with what is left against it told before it is there. */
import { inject, Injectable } from '@angular/core';
import { Router } from '@angular/router';
import { render, type Family } from '@tide-pebble/core';
import type { ReadyCandidate } from '@tide-pebble/core/making';
import { NewRig } from '../../../services/new-rig';
import { Notices } from '../../../services/notices';
import { Units } from '../../../services/units';
import { Workspace } from '../../../services/workspace';
import { Dialogs } from '../../../ui/dialogs';
import type { ToMakeReady } from './getting-ready';

@Injectable({ providedIn: 'root' })
export class StartRig {
  private readonly dialogs = inject(Dialogs);
  private readonly newRig = inject(NewRig);
  private readonly notices = inject(Notices);
  private readonly workspace = inject(Workspace);
  private readonly router = inject(Router);
  private readonly units = inject(Units).now;

  /** False where the maker would rather not. */
  async start(family: Family, of: Omit<ToMakeReady, 'family'> & { readonly name: string }): Promise<boolean> {
    const data: ToMakeReady = { family, ...of };
    const ready = await this.dialogs.open<ReadyCandidate>(() => import('./getting-ready').then((m) => m.GettingReady), {
      data,
      width: '520px',
    });
    if (!ready) return false;
    const rig = this.newRig.start({ ...of, ready: ready.start });
    this.workspace.choose(rig.id);
    await this.router.navigateByUrl('/frame');
    if (ready.cured.length > 0)
      this.notices.say(
        `Changed so that less stands against it: ${ready.cured.map((c) => render(c, this.units())).join('; ')}.`,
      );
    return true;
  }
}
