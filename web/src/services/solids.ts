/** Whether anything on a rig stands inside another: asked of a worker of its own, which keeps what it has cut before. */
import { Injectable } from '@angular/core';
import type { AdjusterValues, Assembly, Looked } from '@tide-pebble/core';
import { Observable } from 'rxjs';
import type { SolidsAnswer, SolidsMessage } from '../workers/solids.worker';

export type Look =
  | { readonly kind: 'looking'; readonly part: number }
  | { readonly kind: 'looked'; readonly looked: Looked }
  | { readonly kind: 'failed'; readonly reason: string };

@Injectable({ providedIn: 'root' })
export class Solids {
  private worker: Worker | null = null;
  private next = 0;

  /** Tells how far it is, then what was found; what is not waited for any more is dropped. */
  look(assembly: Assembly, values: AdjusterValues): Observable<Look> {
    return new Observable((subscriber) => {
      const worker = (this.worker ??= new Worker(new URL('../workers/solids.worker', import.meta.url), {
        type: 'module',
      }));
      const id = ++this.next;
      const hear = ({ data }: MessageEvent<SolidsAnswer>): void => {
        if (data.id !== id) return;
        if ('done' in data) return subscriber.next({ kind: 'looking', part: data.done / data.all });
        subscriber.next(
          'looked' in data ? { kind: 'looked', looked: data.looked } : { kind: 'failed', reason: data.fault },
        );
        subscriber.complete();
      };
      const fail = (event: ErrorEvent): void =>
        subscriber.next({ kind: 'failed', reason: event.message || 'the computation stopped' });
      worker.addEventListener('message', hear);
      worker.addEventListener('error', fail);
      subscriber.next({ kind: 'looking', part: 0 });
      worker.postMessage({ id, assembly, values } satisfies SolidsMessage);
      return () => {
        worker.removeEventListener('message', hear);
        worker.removeEventListener('error', fail);
      };
    });
  }
}
