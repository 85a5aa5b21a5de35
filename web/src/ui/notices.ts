/** Short notes at the foot of the page, with undo where there is something to undo. */
import { inject, Injectable } from '@angular/core';
import { MatSnackBar } from '@angular/material/snack-bar';
import { Documents } from '../services/documents';

const SHOWN_MS = 6000;

@Injectable({ providedIn: 'root' })
export class Notices {
  private readonly bar = inject(MatSnackBar);
  private readonly documents = inject(Documents);

  say(text: string): void {
    this.bar.open(text, undefined, { duration: SHOWN_MS });
  }

  sayWithUndo(text: string): void {
    this.bar.open(text, 'Undo', { duration: SHOWN_MS }).onAction().subscribe(() => this.documents.undo());
  }
}
