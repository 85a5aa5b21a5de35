/** The only place that talks to the server about documents. */
import { HttpClient, HttpErrorResponse } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import type {
  BackupLook,
  ChangeRequest,
  DocumentKind,
  KeptBackup,
  PastSave,
  Problem,
  RestoreWay,
  Stored,
  StoredList,
} from '@tide-pebble/core';
import {
  backupList,
  backupLook,
  pastSaves,
  problem,
  readWith,
  saved,
  stored,
  storedList,
} from '@tide-pebble/core/documents';
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
/** A zip that was taken out, or by name one that the server keeps. */
export type BackupFrom = Blob | string;

@Injectable({ providedIn: 'root' })
export class Api {
  private readonly http = inject(HttpClient);

  loadAll(): Observable<StoredList> {
    return this.http.get('/api/documents').pipe(
      map((answer) => parsed(storedList, answer)),
      catchError(told),
    );
  }

  save(changes: readonly ChangeRequest[]): Observable<readonly SavedRevision[]> {
    return this.http.post('/api/changes', { changes }).pipe(
      map((answer) => parsed(saved, answer).saved),
      catchError(told),
    );
  }

  past(kind: DocumentKind, id: string): Observable<readonly PastSave[]> {
    return this.http.get(`/api/documents/${kind}/${encodeURIComponent(id)}/past`).pipe(
      map((answer) => parsed(pastSaves, answer).past),
      catchError(told),
    );
  }

  onePast(kind: DocumentKind, id: string, revision: number): Observable<Stored> {
    return this.http.get(`/api/documents/${kind}/${encodeURIComponent(id)}/past/${revision}`).pipe(
      map((answer) => parsed(stored, answer)),
      catchError(told),
    );
  }

  backups(): Observable<readonly KeptBackup[]> {
    return this.http.get('/api/backups').pipe(
      map((answer) => parsed(backupList, answer).backups),
      catchError(told),
    );
  }

  look(from: BackupFrom): Observable<BackupLook> {
    const asked =
      typeof from === 'string'
        ? this.http.get(`/api/backups/${from}/look`)
        : this.http.post('/api/restore/look', from, ZIP);
    return asked.pipe(
      map((answer) => parsed(backupLook, answer)),
      catchError(told),
    );
  }

  restore(from: BackupFrom, way: RestoreWay): Observable<StoredList> {
    const asked =
      typeof from === 'string'
        ? this.http.post(`/api/backups/${from}/restore?way=${way}`, null)
        : this.http.post(`/api/restore?way=${way}`, from, ZIP);
    return asked.pipe(
      map((answer) => parsed(storedList, answer)),
      catchError(told),
    );
  }
}

const ZIP = { headers: { 'Content-Type': 'application/zip' } };

function parsed<T>(schema: Parameters<typeof readWith<T>>[0], answer: unknown): T {
  const read = readWith(schema, answer);
  if (!read.ok)
    throw new Error(`the server answered in an unknown form: ${read.faults[0]?.path} ${read.faults[0]?.message}`);
  return read.value;
}

function told(error: unknown): Observable<never> {
  if (!(error instanceof HttpErrorResponse)) return throwError(() => error);
  const read = readWith(problem, error.error);
  if (read.ok) return throwError(() => new Refused(read.value));
  return throwError(() => new ServerAway('The server cannot be reached.'));
}
