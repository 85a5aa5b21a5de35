/** Heavy work on a worker: one job a subscription, ended with it. */
import { Injectable } from '@angular/core';
import { Observable } from 'rxjs';
import type { JobAnswer, JobName, JobRequest, JobResult } from '../workers/jobs';
import type { TablePart } from '../workers/read-table';

/** How long an unwanted job may still run before its worker is stopped. */
const GRACE_MS = 250;

@Injectable({ providedIn: 'root' })
export class Jobs {
  private idle: Worker | null = null;
  private next = 0;

  /** Emits the outcome once; portions on the way go to `part`. Unsubscribing before that stops the worker, unless it is just about to end. */
  run<N extends JobName>(
    name: N,
    input: JobRequest<N>,
    part: (part: TablePart) => void = () => undefined,
  ): Observable<JobResult<N>> {
    return new Observable((subscriber) => {
      const worker = this.idle ?? new Worker(new URL('../workers/core.worker', import.meta.url), { type: 'module' });
      this.idle = null;
      const id = ++this.next;
      let over = false;
      worker.onmessage = ({ data }: MessageEvent<JobAnswer>) => {
        if (data.id !== id) return;
        if ('part' in data) return subscriber.closed ? undefined : part(data.part);
        over = true;
        this.release(worker);
        if ('fault' in data) subscriber.error(new Error(data.fault));
        else {
          subscriber.next(data.result as JobResult<N>);
          subscriber.complete();
        }
      };
      worker.onerror = (event) => subscriber.error(new Error(event.message || 'the computation stopped'));
      worker.postMessage({ id, name, input });
      return () => {
        // A worker takes longer to start than most jobs to end: one that ends soon is kept for the next.
        if (!over) setTimeout(() => over || worker.terminate(), GRACE_MS);
      };
    });
  }

  private release(worker: Worker): void {
    if (this.idle) worker.terminate();
    else this.idle = worker;
  }
}
