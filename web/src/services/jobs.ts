/** Heavy work on workers: one job a subscription, ended with it. */
import { Injectable } from '@angular/core';
import { Observable } from 'rxjs';
import type { JobAnswer, JobName, JobRequest, JobResult, PackedMessage } from '../workers/jobs';
import type { TablePart } from '../workers/read-table';
import { Sender } from '../workers/sent-once';

/** How long an unwanted job may still run before its worker is stopped. */
const GRACE_MS = 250;
/** Workers kept for the next job: a new one takes longer to start than most jobs to end. Beside the page there is room for two. */
const KEPT_IDLE = 2;

/** A worker, and what it has been sent. */
interface Hand {
  readonly worker: Worker;
  readonly sender: Sender;
}

@Injectable({ providedIn: 'root' })
export class Jobs {
  private readonly idle: Hand[] = [];
  private next = 0;

  /** Emits the outcome once; portions on the way go to `part`. Unsubscribing before that stops the worker, unless it is just about to end. */
  run<N extends JobName>(
    name: N,
    input: JobRequest<N>,
    part: (part: TablePart) => void = () => undefined,
  ): Observable<JobResult<N>> {
    return new Observable((subscriber) => {
      const hand = this.idle.pop() ?? {
        worker: new Worker(new URL('../workers/core.worker', import.meta.url), { type: 'module' }),
        sender: new Sender(),
      };
      const { worker, sender } = hand;
      const id = ++this.next;
      let over = false;
      worker.onmessage = ({ data }: MessageEvent<JobAnswer>) => {
        if (data.id !== id) return;
        if ('part' in data) return subscriber.closed ? undefined : part(data.part);
        over = true;
        this.release(hand);
        if ('fault' in data) subscriber.error(new Error(data.fault));
        else {
          subscriber.next(data.result as JobResult<N>);
          subscriber.complete();
        }
      };
      worker.onerror = (event) => subscriber.error(new Error(event.message || 'the computation stopped'));
      worker.postMessage({ id, name, input: sender.pack(input) } satisfies PackedMessage);
      return () => {
        if (!over) setTimeout(() => over || worker.terminate(), GRACE_MS);
      };
    });
  }

  /** The one used last is taken first: it holds what the next job is likely to be about. */
  private release(hand: Hand): void {
    this.idle.push(hand);
    if (this.idle.length > KEPT_IDLE) this.idle.shift()!.worker.terminate();
  }
}
