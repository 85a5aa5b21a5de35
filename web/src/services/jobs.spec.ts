import { TestBed } from '@angular/core/testing';
import { Jobs } from './jobs';

/** A worker that answers when told to. */
class PlayedWorker {
  static made: PlayedWorker[] = [];
  onmessage: ((event: { data: unknown }) => void) | null = null;
  onerror: ((event: { message: string }) => void) | null = null;
  readonly asked: { readonly id: number; readonly name: string }[] = [];
  ended = false;
  constructor() {
    PlayedWorker.made.push(this);
  }
  postMessage(message: { readonly id: number; readonly name: string }): void {
    this.asked.push(message);
  }
  terminate(): void {
    this.ended = true;
  }
  answer(rest: object, id = this.asked.at(-1)!.id): void {
    this.onmessage!({ data: { id, ...rest } });
  }
}

describe('jobs on a worker', () => {
  const real = globalThis.Worker;
  let jobs: Jobs;
  beforeEach(() => {
    PlayedWorker.made = [];
    globalThis.Worker = PlayedWorker as unknown as typeof Worker;
    jasmine.clock().install();
    jobs = TestBed.inject(Jobs);
  });
  afterEach(() => {
    globalThis.Worker = real;
    jasmine.clock().uninstall();
  });
  const asked = (): {
    readonly parts: number[];
    readonly results: unknown[];
    readonly faults: string[];
    readonly stop: () => void;
  } => {
    const [parts, results, faults]: [number[], unknown[], string[]] = [[], [], []];
    const running = jobs
      .run('swing', [], ({ done }) => parts.push(done))
      .subscribe({ next: (r) => results.push(r), error: (e: Error) => faults.push(e.message) });
    return { parts, results, faults, stop: () => running.unsubscribe() };
  };

  it('tell their parts, then their result; the worker serves the next one', () => {
    const first = asked();
    const [worker] = PlayedWorker.made;
    worker!.answer({ part: { done: 0.5, of: 1, rows: [] } });
    worker!.answer({ result: ['a'] });
    expect([first.parts, first.results, first.faults]).toEqual([[0.5], [['a']], []]);
    const second = asked();
    worker!.answer({ result: ['b'] });
    expect(second.results).toEqual([['b']]);
    expect(PlayedWorker.made).toHaveSize(1);
  });
  it('take no answer that is meant for another', () => {
    const job = asked();
    PlayedWorker.made[0]!.answer({ result: ['old'] }, 99);
    expect(job.results).toEqual([]);
  });
  it('three at a time run on three workers, of which two are kept', () => {
    const [a, b, c] = [asked(), asked(), asked()];
    expect(PlayedWorker.made).toHaveSize(3);
    const [one, two, three] = PlayedWorker.made;
    one!.answer({ result: ['a'] });
    two!.answer({ result: ['b'] });
    three!.answer({ result: ['c'] });
    expect([a.results, b.results, c.results]).toEqual([[['a']], [['b']], [['c']]]);
    expect([one!.ended, two!.ended, three!.ended]).toEqual([true, false, false]);
    asked();
    asked();
    expect(PlayedWorker.made).toHaveSize(3);
    expect([two!.asked.length, three!.asked.length]).toEqual([2, 2]);
  });
  it('that are not wanted any more are stopped, unless they are just about to end', () => {
    const job = asked();
    const [worker] = PlayedWorker.made;
    job.stop();
    worker!.answer({ part: { done: 0.2, of: 1, rows: [] } });
    expect(job.parts).toEqual([]);
    jasmine.clock().tick(1000);
    expect(worker!.ended).toBeTrue();
    const soon = asked();
    const second = PlayedWorker.made[1]!;
    soon.stop();
    second.answer({ result: [] });
    jasmine.clock().tick(1000);
    expect(second.ended).toBeFalse();
    expect(soon.results).toEqual([]);
  });
  it('that fail say why, and so does a worker that breaks', () => {
    const job = asked();
    PlayedWorker.made[0]!.answer({ fault: 'no such rig' });
    expect(job.faults).toEqual(['no such rig']);
    const next = asked();
    PlayedWorker.made[0]!.onerror!({ message: '' });
    expect(next.faults).toEqual(['the computation stopped']);
  });
});
