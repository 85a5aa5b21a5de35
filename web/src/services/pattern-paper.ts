/** Patterns and drawings laid on paper in a worker of their own, which keeps the PDF's writer away from all else. */
import { Injectable } from '@angular/core';
import { Observable } from 'rxjs';
import type { PaperAnswer, PaperAsked, PaperMessage } from '../workers/paper.worker';

type Told = Exclude<PaperAnswer, { readonly fault: string }>;

@Injectable({ providedIn: 'root' })
export class PatternPaper {
  private worker: Worker | null = null;
  private next = 0;

  /** Answers once, or fails with the reason. */
  ask(asked: PaperAsked): Observable<Told> {
    return new Observable((subscriber) => {
      const worker = (this.worker ??= new Worker(new URL('../workers/paper.worker', import.meta.url), {
        type: 'module',
      }));
      const id = ++this.next;
      const hear = ({ data }: MessageEvent<PaperAnswer>): void => {
        if (data.id !== id) return;
        if ('fault' in data) return subscriber.error(new Error(data.fault));
        subscriber.next(data);
        subscriber.complete();
      };
      const fail = (event: ErrorEvent): void => subscriber.error(new Error(event.message || 'the work stopped'));
      worker.addEventListener('message', hear);
      worker.addEventListener('error', fail);
      worker.postMessage({ id, ...asked } satisfies PaperMessage);
      return () => {
        worker.removeEventListener('message', hear);
        worker.removeEventListener('error', fail);
      };
    });
  }
}
