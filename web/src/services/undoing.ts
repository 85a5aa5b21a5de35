/** One step back or on again, and what it was said at the foot of the page. */
import { inject, Injectable } from '@angular/core';
import { Documents } from './keeping/documents';
import { Notices } from './notices';

@Injectable({ providedIn: 'root' })
export class Undoing {
  private readonly documents = inject(Documents);
  private readonly notices = inject(Notices);

  undo(): void {
    const label = this.documents.undo();
    this.notices.say(label ? `Undone: ${label}` : 'Nothing to undo.');
  }

  redo(): void {
    const label = this.documents.redo();
    this.notices.say(label ? `Done again: ${label}` : 'Nothing to do again.');
  }
}
