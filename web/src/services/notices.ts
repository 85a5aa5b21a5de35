/** Short notes at the foot of the page, with undo where there is something to undo. */
import { inject, Injectable, Injector } from '@angular/core';
import { Documents } from './keeping/documents';

const SHOWN_MS = 10_000;

@Injectable({ providedIn: 'root' })
export class Notices {
  private readonly injector = inject(Injector);
  private readonly documents = inject(Documents);

  say(text: string): void {
    void this.open(text);
  }

  sayWithUndo(text: string): void {
    void this.open(text, 'Undo').then((shown) => shown.onAction().subscribe(() => this.documents.undo()));
  }

  /** The bar's code is fetched with the first thing to say. */
  private async open(text: string, action?: string) {
    const { MatSnackBar } = await import('@angular/material/snack-bar');
    return this.injector.get(MatSnackBar).open(text, action, { duration: SHOWN_MS });
  }
}
