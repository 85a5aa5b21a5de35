/** A name for a rig that no other has yet. */
import { inject, Injectable } from '@angular/core';
import { Documents } from './keeping/documents';

@Injectable({ providedIn: 'root' })
export class FreeNames {
  private readonly documents = inject(Documents);

  free(base: string): string {
    const taken = new Set(this.documents.all('rig').map((r) => r.name));
    let name = base;
    for (let n = 2; taken.has(name); n++) name = `${base} ${n}`;
    return name;
  }
}
