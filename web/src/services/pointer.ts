/** What is pointed at: lists and drawings light up together through this one id. */
import { Injectable, signal } from '@angular/core';

@Injectable({ providedIn: 'root' })
export class Pointer {
  private readonly current = signal<string | null>(null);
  readonly at = this.current.asReadonly();

  point(id: string | null): void {
    this.current.set(id);
  }
}
