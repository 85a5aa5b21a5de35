/** How the server stands to the house's network, and its phones: asked of the server on this machine. */
import { HttpClient, HttpErrorResponse } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import type { LanLook, Right } from '@tide-pebble/core';
import { lanLook, problem, readWith } from '@tide-pebble/core/documents';
import { catchError, map, throwError, type Observable } from 'rxjs';

@Injectable({ providedIn: 'root' })
export class House {
  private readonly http = inject(HttpClient);

  look(): Observable<LanLook> {
    return this.http.get('/api/lan').pipe(map(read), catchError(told));
  }

  /** A new code in place of the one before. */
  offer(right: Right): Observable<LanLook> {
    return this.http.post('/api/lan/offer', { right }).pipe(map(read), catchError(told));
  }

  letGo(id: string): Observable<LanLook> {
    return this.http.delete(`/api/lan/devices/${encodeURIComponent(id)}`).pipe(map(read), catchError(told));
  }
}

function read(answer: unknown): LanLook {
  const found = readWith(lanLook, answer);
  if (!found.ok) throw new Error('The server answered in an unknown form.');
  return found.value;
}

function told(error: unknown): Observable<never> {
  const found = error instanceof HttpErrorResponse ? readWith(problem, error.error) : null;
  return throwError(() => new Error(found?.ok ? found.value.detail : 'The server cannot be reached.'));
}
