/** Reads a walk out of a gyro’s log or a clip, on a worker of its own; what is not waited for any more is stopped. */
import { Injectable } from '@angular/core';
import type { Phrase } from '@tide-pebble/core';
import { Observable } from 'rxjs';
import type { ClipRead } from '../workers/read-clip';
import type { GyroChosen, GyroRead } from '../workers/read-gyro';
import type { WalkAnswer, WalkMessage } from '../workers/walk.worker';

export type Reading<T> =
  | { readonly kind: 'reading'; readonly part: number }
  | { readonly kind: 'read'; readonly read: T }
  | { readonly kind: 'refused'; readonly reason: Phrase };

type Asked = WalkMessage extends infer M ? (M extends WalkMessage ? Omit<M, 'id'> : never) : never;

const knownBy = (file: File): string => `${file.name}/${file.size}/${file.lastModified}`;

@Injectable({ providedIn: 'root' })
export class WalkReader {
  private worker: Worker | null = null;
  private next = 0;

  gyro(file: File, chosen: GyroChosen | null): Observable<Reading<GyroRead>> {
    return this.ask({ kind: 'gyro', file, known: knownBy(file), chosen }, (a) => ('gyro' in a ? a.gyro : null));
  }

  clip(file: File, across: number): Observable<Reading<ClipRead>> {
    return this.ask({ kind: 'clip', file, known: knownBy(file), across }, (a) => ('clip' in a ? a.clip : null));
  }

  private ask<T>(asked: Asked, of: (answer: WalkAnswer) => T | null): Observable<Reading<T>> {
    return new Observable((subscriber) => {
      const worker = (this.worker ??= new Worker(new URL('../workers/walk.worker', import.meta.url), {
        type: 'module',
      }));
      const id = ++this.next;
      let isOver = false;
      const end = (last: Reading<T>): void => {
        isOver = true;
        subscriber.next(last);
        subscriber.complete();
      };
      worker.onmessage = ({ data }: MessageEvent<WalkAnswer>): void => {
        if (data.id !== id) return;
        if ('done' in data) return subscriber.next({ kind: 'reading', part: data.done });
        if ('refused' in data) return end({ kind: 'refused', reason: data.refused });
        if ('fault' in data) return end({ kind: 'refused', reason: [`It could not be read: ${data.fault}`] });
        const read = of(data);
        if (read !== null) end({ kind: 'read', read });
      };
      worker.onerror = (event) => end({ kind: 'refused', reason: [event.message || 'The reading stopped.'] });
      subscriber.next({ kind: 'reading', part: 0 });
      worker.postMessage({ id, ...asked });
      return () => {
        if (isOver) return;
        worker.terminate();
        this.worker = null;
      };
    });
  }
}
