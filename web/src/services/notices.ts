/** Short notes at the foot of the page, with undo where there is something to undo. */
import { inject, Injectable, Injector } from '@angular/core';
import { defer, firstValueFrom, retry, shareReplay } from 'rxjs';
import { Documents } from './keeping/documents';
import { afterStage$ } from './later';

const SHOWN_MS = 10_000;
const AGAIN_MS = 3000;

@Injectable({ providedIn: 'root' })
export class Notices {
  private readonly injector = inject(Injector);
  private readonly documents = inject(Documents);
  private readonly bar$ = defer(() => import('@angular/material/snack-bar')).pipe(
    retry({ delay: AGAIN_MS }),
    shareReplay(1),
  );

  constructor() {
    // Once the first stage stands: what is to be said when the server is away cannot be fetched then.
    afterStage$(() => firstValueFrom(this.bar$)).subscribe();
  }

  say(text: string): void {
    void this.open(text);
  }

  sayWithUndo(text: string): void {
    void this.open(text, 'Undo').then((shown) => shown.onAction().subscribe(() => this.documents.undo()));
  }

  private async open(text: string, action?: string) {
    const { MatSnackBar } = await firstValueFrom(this.bar$);
    return this.injector.get(MatSnackBar).open(text, action, { duration: SHOWN_MS });
  }
}
