/** Whether anything on a rig stands inside another: asked of a worker of its own, which keeps what it has cut before. */
import { Injectable } from '@angular/core';
import type { AdjusterValues, Assembly, Looked, Printed } from '@tide-pebble/core';
import { BehaviorSubject, map, Observable, startWith } from 'rxjs';
import type { SolidsAnswer, SolidsMessage } from '../workers/solids.worker';

export type Look =
  | { readonly kind: 'looking'; readonly part: number }
  | { readonly kind: 'looked'; readonly looked: Looked }
  | { readonly kind: 'failed'; readonly reason: string };

@Injectable({ providedIn: 'root' })
export class Solids {
  private readonly lastFound = new BehaviorSubject<{ readonly assembly: Assembly; readonly pairs: number } | null>(
    null,
  );
  /** How many pairs stood inside each other at the last look, and on which rig. */
  readonly lastFound$ = this.lastFound.asObservable();
  private worker: Worker | null = null;
  private next = 0;

  /** Tells how far it is, then what was found; what is not waited for any more is dropped. */
  look(assembly: Assembly, values: AdjusterValues): Observable<Look> {
    return this.ask({ assembly, values }).pipe(
      map((answer): Look => {
        if ('done' in answer) return { kind: 'looking', part: answer.done / answer.all };
        if ('looked' in answer) return { kind: 'looked', looked: answer.looked };
        return { kind: 'failed', reason: 'fault' in answer ? answer.fault : 'it was not looked at' };
      }),
      startWith<Look>({ kind: 'looking', part: 0 }),
    );
  }

  found(assembly: Assembly, pairs: number): void {
    this.lastFound.next({ assembly, pairs });
  }

  /** A printed part as one closed solid; null where there is no such part. */
  printed(assembly: Assembly, values: AdjusterValues, part: string): Observable<Printed | null> {
    return this.solid({ assembly, values, part });
  }

  /** A jig to print, by its id. */
  jig(assembly: Assembly, jig: string): Observable<Printed | null> {
    return this.solid({ assembly, values: {}, jig });
  }

  private solid(input: Omit<SolidsMessage, 'id'>): Observable<Printed | null> {
    return this.ask(input).pipe(
      map((answer) => {
        if ('printed' in answer) return answer.printed;
        throw new Error('fault' in answer ? answer.fault : 'it was not made');
      }),
    );
  }

  private ask(input: Omit<SolidsMessage, 'id'>): Observable<SolidsAnswer> {
    return new Observable((subscriber) => {
      const worker = (this.worker ??= new Worker(new URL('../workers/solids.worker', import.meta.url), {
        type: 'module',
      }));
      const id = ++this.next;
      const hear = ({ data }: MessageEvent<SolidsAnswer>): void => {
        if (data.id !== id) return;
        subscriber.next(data);
        if (!('done' in data)) subscriber.complete();
      };
      const fail = (event: ErrorEvent): void =>
        subscriber.next({ id, fault: event.message || 'the computation stopped' });
      worker.addEventListener('message', hear);
      worker.addEventListener('error', fail);
      worker.postMessage({ id, ...input } satisfies SolidsMessage);
      return () => {
        worker.removeEventListener('message', hear);
        worker.removeEventListener('error', fail);
      };
    });
  }
}
