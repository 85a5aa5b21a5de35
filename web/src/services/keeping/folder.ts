/** The mark of the data folder this window was opened on, sent with every request: a server that serves another refuses. */
import type { HttpInterceptorFn } from '@angular/common/http';
import { inject, Injectable, signal } from '@angular/core';
import type { Right } from '@tide-pebble/core';
import { FOLDER_HEADER } from '@tide-pebble/core/documents';

const RIGHT = 'tide-pebble.right';

@Injectable({ providedIn: 'root' })
export class HeldFolder {
  /** Empty before anything was read. */
  mark = '';
  private readonly may = signal<Right | undefined>(storedRight());
  /** What this window may do there: undefined on the machine itself, where everything may be done. Known too while the server is away. */
  readonly right = this.may.asReadonly();

  setRight(right: Right | undefined): void {
    this.may.set(right);
    if (right) localStorage.setItem(RIGHT, right);
    else localStorage.removeItem(RIGHT);
  }
}

function storedRight(): Right | undefined {
  const kept = localStorage.getItem(RIGHT);
  return kept === 'field' || kept === 'read' ? kept : undefined;
}

export const withFolder: HttpInterceptorFn = (request, next) => {
  const { mark } = inject(HeldFolder);
  return next(mark ? request.clone({ setHeaders: { [FOLDER_HEADER]: mark } }) : request);
};
