/** Typing a size of one's own: the dialog over a copy of one that is sold, and what came of it kept. */
import { inject, Injectable } from '@angular/core';
import { sizeLike, type OwnSize } from '@tide-pebble/core';
import { Workspace } from '../../services/workspace';
import { Dialogs } from '../dialogs';
import type { OwnSizeAsked } from './own-size-dialog';

@Injectable({ providedIn: 'root' })
export class OwnSizes {
  private readonly workspace = inject(Workspace);
  private readonly dialogs = inject(Dialogs);

  /** Started from one that is sold, by its option's id. `choice`: of the rig on the bench, which takes it then. */
  async add(like: string, choice: string | null): Promise<boolean> {
    const start = sizeLike(like, `own-${crypto.randomUUID()}`);
    if (!start) return false;
    return this.ask({ size: start, isNew: true }, choice);
  }

  /** A copy of an own one, to be another. */
  async addFrom(size: OwnSize, choice: string | null): Promise<boolean> {
    return this.ask({ size: { ...size, id: `own-${crypto.randomUUID()}` }, isNew: true }, choice);
  }

  change(size: OwnSize): Promise<boolean> {
    return this.ask({ size, isNew: false }, null);
  }

  private async ask(asked: OwnSizeAsked, choice: string | null): Promise<boolean> {
    const size = await this.dialogs.open<OwnSize>(() => import('./own-size-dialog').then((m) => m.OwnSizeDialog), {
      data: asked,
      width: '520px',
    });
    if (size) this.workspace.keepSize(size, choice);
    return size !== undefined;
  }
}
