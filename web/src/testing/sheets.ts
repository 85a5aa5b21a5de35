/** A sheet of the bench on its own, for component specs: the real computation on the page's own thread, and what it asked of the store written down. */
import type { Type } from '@angular/core';
import { until } from './until';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { BehaviorSubject, combineLatest, EMPTY, map, Observable, of, type Subscriber } from 'rxjs';
import {
  judged,
  type AdjusterValues,
  type BinItem,
  type Change,
  type Edit,
  type KitItem,
  type Loadout,
  type LogEntry,
  type OwnSize,
  type RigDocument,
  type SetUp,
} from '@tide-pebble/core';
import { stockPlan } from '@tide-pebble/core/making';
import { Api } from '../services/keeping/api';
import { Documents } from '../services/keeping/documents';
import { Jobs } from '../services/jobs';
import { Workspace, type Bench, type BenchState, type StockNow } from '../services/workspace';
import { answer, type JobMessage, type JobName, type JobRequest, type JobResult } from '../workers/jobs';
import type { TablePart } from '../workers/read-table';
import { Notices } from '../services/notices';
import { camera, loadout } from './bench';

export class PlayedWorkspace {
  readonly bench$: BehaviorSubject<BenchState>;
  readonly kit$ = new BehaviorSubject<ReadonlyMap<string, KitItem>>(new Map([[camera.id, camera]]));
  readonly rigs$ = new BehaviorSubject<readonly RigDocument[]>([]);
  readonly loadouts$ = new BehaviorSubject<readonly Loadout[]>([loadout]);
  readonly setups$ = new BehaviorSubject<readonly SetUp[]>([]);
  readonly log$ = new BehaviorSubject<readonly LogEntry[]>([]);
  readonly bin$ = new BehaviorSubject<readonly BinItem[]>([]);
  readonly sizes$ = new BehaviorSubject<readonly OwnSize[]>([]);
  private readonly isLate$ = new BehaviorSubject(false);
  readonly stockNow$: Observable<StockNow>;
  readonly stock$: Observable<unknown>;
  readonly applied: (readonly Change[])[] = [];
  readonly edited: Edit[] = [];
  readonly set: AdjusterValues[] = [];

  constructor(private bench: Bench) {
    this.bench$ = new BehaviorSubject<BenchState>({ kind: 'ready', bench });
    this.stockNow$ = combineLatest([this.bench$, this.bin$, this.isLate$]).pipe(
      map(([state, bin, isLate]) => ({
        plan:
          state.kind === 'ready'
            ? stockPlan(state.bench.work.rig, state.bench.values, bin, state.bench.rig.kerf, state.bench.rig.taken)
            : null,
        isLate,
      })),
    );
    this.stock$ = this.stockNow$.pipe(map(({ plan }) => plan));
  }

  /** The rig was changed, what to cut is not worked out yet. */
  late(): void {
    this.isLate$.next(true);
  }

  get now(): Bench {
    return this.bench;
  }

  edit(_label: string, edits: Edit | readonly Edit[]): boolean {
    this.edited.push(...[edits].flat());
    return true;
  }

  editRig(_label: string, change: (rig: RigDocument) => RigDocument): void {
    this.put({ ...this.bench, rig: change(this.bench.rig) });
  }

  apply(_label: string, changes: readonly Change[]): void {
    this.applied.push(changes);
  }

  /** As the store would: the bench follows. */
  setAdjusters(_label: string, values: AdjusterValues): void {
    this.set.push(values);
    this.put({ ...this.bench, values: { ...this.bench.values, ...values } });
  }

  put(bench: Bench): void {
    this.bench = { ...bench, judged: judged(bench.work, bench.values, bench.rig.wants) };
    this.bench$.next({ kind: 'ready', bench: this.bench });
  }
}

export class PlayedDocuments {
  readonly committed: {
    readonly label: string;
    readonly edits: readonly { readonly kind: string; readonly id: string; readonly body: unknown }[];
  }[] = [];
  constructor(private readonly workspace: PlayedWorkspace) {}

  all(kind?: string): readonly unknown[] {
    return kind === 'bin' ? this.workspace.bin$.value : [];
  }

  get(kind: string, id: string): unknown {
    const { rig } = this.workspace.now;
    return kind === 'rig' && rig.id === id ? rig : null;
  }

  commit(label: string, edits: PlayedDocuments['committed'][number]['edits']): void {
    this.committed.push({ label, edits });
    const after = <T extends { readonly id: string }>(kind: string, before: readonly T[]): readonly T[] => {
      const mine = edits.filter((e) => e.kind === kind);
      return mine.length === 0
        ? before
        : [
            ...before.filter((b) => !mine.some((e) => e.id === b.id)),
            ...mine.flatMap((e) => (e.body === null ? [] : [e.body as T])),
          ];
    };
    this.workspace.log$.next(after('log', this.workspace.log$.value));
    this.workspace.bin$.next(after('bin', this.workspace.bin$.value));
    const rig = edits.find((e) => e.kind === 'rig' && e.id === this.workspace.now.rig.id)?.body;
    if (rig) this.workspace.put({ ...this.workspace.now, rig: rig as RigDocument });
  }
}

export class PlayedJobs {
  readonly asked: JobName[] = [];
  /** While held, jobs answer when they are let go: as a worker does, later. */
  held: (() => void)[] | null = null;

  letGo(): void {
    const waiting = this.held ?? [];
    this.held = null;
    for (const go of waiting) go();
  }

  run<N extends JobName>(
    name: N,
    input: JobRequest<N>,
    part: (part: TablePart) => void = () => undefined,
  ): Observable<JobResult<N>> {
    this.asked.push(name);
    return new Observable((subscriber) => {
      const work = (): void => this.work(name, input, subscriber, part);
      if (!this.held) return work();
      this.held.push(work);
      part({ done: 1, of: 4, rows: [] });
    });
  }

  private work<N extends JobName>(
    name: N,
    input: JobRequest<N>,
    subscriber: Subscriber<JobResult<N>>,
    part: (part: TablePart) => void,
  ): void {
    if (subscriber.closed) return;
    answer({ id: 1, name, input } as unknown as JobMessage, (said) => {
      if ('part' in said) part(said.part);
      if ('result' in said) subscriber.next(said.result as JobResult<N>);
      if ('fault' in said) subscriber.error(new Error(said.fault));
    });
    subscriber.complete();
  }
}

/** Earlier saves: none, until a spec says otherwise. */
export class PlayedApi implements Pick<Api, 'past' | 'onePast'> {
  past: Api['past'] = () => of([]);
  onePast: Api['onePast'] = () => EMPTY;
}

export interface Sheet<T> {
  readonly page: HTMLElement;
  readonly fixture: ComponentFixture<T>;
  readonly workspace: PlayedWorkspace;
  readonly documents: PlayedDocuments;
  readonly jobs: PlayedJobs;
  readonly api: PlayedApi;
  readonly said: string[];
  /** Presses the button with these words and waits for the page. */
  press(words: string | RegExp): Promise<void>;
  button(words: string | RegExp): HTMLButtonElement | undefined;
}

export async function sheet<T>(
  component: Type<T>,
  bench: Bench,
  prepare: (workspace: PlayedWorkspace) => void = () => undefined,
  inputs: Readonly<Record<string, unknown>> = {},
): Promise<Sheet<T>> {
  const workspace = new PlayedWorkspace(bench);
  prepare(workspace);
  const documents = new PlayedDocuments(workspace);
  const jobs = new PlayedJobs();
  const api = new PlayedApi();
  const said: string[] = [];
  const notices = { say: (text: string) => said.push(text), sayWithUndo: (text: string) => said.push(text) };
  TestBed.resetTestingModule().configureTestingModule({
    imports: [component],
    providers: [
      provideRouter([]),
      { provide: Workspace, useValue: workspace },
      { provide: Documents, useValue: documents },
      { provide: Jobs, useValue: jobs },
      { provide: Api, useValue: api },
      { provide: Notices, useValue: notices },
    ],
  });
  // What a sheet defers is fetched first.
  await TestBed.compileComponents();
  const fixture = TestBed.createComponent(component);
  for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value);
  await fixture.whenStable();
  const page = fixture.nativeElement as HTMLElement;
  // A long list comes a portion at a time.
  await until(() => !page.querySelector('ol[aria-busy=true], ul[aria-busy=true]'), 'the whole list');
  const button = (words: string | RegExp): HTMLButtonElement | undefined =>
    [...page.querySelectorAll('button')].find((b) =>
      typeof words === 'string' ? b.textContent.trim() === words : words.test(b.textContent.trim()),
    );
  return {
    page,
    fixture,
    workspace,
    documents,
    jobs,
    api,
    said,
    button,
    press: async (words) => {
      const found = button(words);
      if (!found)
        throw new Error(
          `no button “${String(words)}” among ${[...page.querySelectorAll('button')].map((b) => b.textContent.trim()).join(' | ')}`,
        );
      found.click();
      await fixture.whenStable();
    },
  };
}
