/** The only place that talks to the server. */
import { HttpClient, HttpErrorResponse } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { problem, readWith, saved, storedList, type ChangeRequest, type Problem, type Stored } from '@tide-pebble/core';
import { catchError, map, throwError, type Observable } from 'rxjs';

/** The server cannot be reached: what was typed is kept here and sent later. */
export class ServerAway extends Error {}
/** The server answered with a reason. */
export class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }
}

export interface SavedRevision {
  readonly kind: Stored['kind'];
  readonly id: string;
  readonly revision: number;
}

@Injectable({ providedIn: 'root' })
export class Api {
  private readonly http = inject(HttpClient);

  loadAll(): Observable<readonly Stored[]> {
    return this.http.get('/api/documents').pipe(map((answer) => parsed(storedList, answer).documents), catchError(told));
  }

  save(changes: readonly ChangeRequest[]): Observable<readonly SavedRevision[]> {
    return this.http.post('/api/changes', { changes }).pipe(map((answer) => parsed(saved, answer).saved), catchError(told));
  }

  restore(file: Blob): Observable<readonly Stored[]> {
    return this.http.post('/api/restore', file, { headers: { 'Content-Type': 'application/zip' } }).pipe(map((answer) => parsed(storedList, answer).documents), catchError(told));
  }
}

function parsed<T>(schema: Parameters<typeof readWith<T>>[0], answer: unknown): T {
  const read = readWith(schema, answer);
  if (!read.ok) throw new Error(`the server answered in an unknown form: ${read.faults[0]?.path} ${read.faults[0]?.message}`);
  return read.value;
}

function told(error: unknown): Observable<never> {
  if (!(error instanceof HttpErrorResponse)) return throwError(() => error);
  const read = readWith(problem, error.error);
  if (read.ok) return throwError(() => new Refused(read.value));
  return throwError(() => new ServerAway('The server cannot be reached.'));
}
