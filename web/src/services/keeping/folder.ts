/** The mark of the data folder this window was opened on, sent with every request: a server that serves another refuses. */
import type { HttpInterceptorFn } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { FOLDER_HEADER } from '@tide-pebble/core/documents';

@Injectable({ providedIn: 'root' })
export class HeldFolder {
  /** Empty before anything was read. */
  mark = '';
}

export const withFolder: HttpInterceptorFn = (request, next) => {
  const { mark } = inject(HeldFolder);
  return next(mark ? request.clone({ setHeaders: { [FOLDER_HEADER]: mark } }) : request);
};
