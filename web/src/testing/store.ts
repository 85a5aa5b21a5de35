/** The real store over a server that is played: answers when asked, keeps drafts in memory. For specs of services and whole screens. */
import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import type { Type } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import type { BodyOf, ChangeRequest, DocumentKind, StoredList } from '@tide-pebble/core';
import { firstValueFrom, skipWhile } from 'rxjs';
import { Documents } from '../services/keeping/documents';
import { Drafts } from '../services/keeping/drafts';
import type { Draft, DropDraft } from '../services/keeping/page';
import { Jobs } from '../services/jobs';
import { Workspace, type Bench } from '../services/workspace';
import { Notices } from '../services/notices';
import { PlayedJobs } from './sheets';

export class NoDrafts {
  readonly kept = new Map<string, Draft>();
  /** What windows that are gone left. */
  left: readonly ChangeRequest[] = [];
  put(drafts: readonly Draft[]): Promise<void> {
    for (const d of drafts) this.kept.set(`${d.kind}/${d.id}`, d);
    return Promise.resolve();
  }
  drop(_folder: string, list: readonly DropDraft[]): Promise<void> {
    for (const { key, serial } of list) if ((this.kept.get(key)?.serial ?? Infinity) <= serial) this.kept.delete(key);
    return Promise.resolve();
  }
  adopt(_folder: string, free: (draft: ChangeRequest) => boolean): Promise<readonly ChangeRequest[]> {
    const { left } = this;
    this.left = [];
    return Promise.resolve(left.filter(free));
  }
  ofOthers(): Promise<readonly Draft[]> {
    return Promise.resolve([]);
  }
  forgetOthers(): Promise<void> {
    return Promise.resolve();
  }
  keepCopy(): Promise<void> {
    return Promise.resolve();
  }
  replaceCopy(): Promise<void> {
    return Promise.resolve();
  }
  copy(): Promise<StoredList> {
    return Promise.resolve({ folder: 'f1', documents: [], damaged: [] });
  }
}

type Held = { readonly [K in DocumentKind]?: readonly BodyOf[K][] };

export interface Store {
  readonly documents: Documents;
  readonly workspace: Workspace;
  readonly jobs: PlayedJobs;
  readonly said: string[];
  readonly went: string[];
  /** What is on the bench; throws when nothing is. */
  bench(): Promise<Bench>;
}

/** With these documents on the server, loaded. */
export async function store(held: Held, component: Type<unknown> | null = null): Promise<Store> {
  const jobs = new PlayedJobs();
  const said: string[] = [];
  const went: string[] = [];
  TestBed.resetTestingModule().configureTestingModule({
    imports: component ? [component] : [],
    providers: [
      provideHttpClient(),
      provideHttpClientTesting(),
      provideRouter([]),
      { provide: Drafts, useValue: new NoDrafts() },
      { provide: Jobs, useValue: jobs },
      {
        provide: Notices,
        useValue: { say: (text: string) => said.push(text), sayWithUndo: (text: string) => said.push(text) },
      },
    ],
  });
  // What is deferred is fetched first.
  await TestBed.compileComponents();
  const documents = TestBed.inject(Documents);
  spyOn(TestBed.inject(Router), 'navigateByUrl').and.callFake((url) => Promise.resolve(went.push(String(url)) > 0));
  TestBed.inject(HttpTestingController)
    .expectOne('/api/documents')
    .flush({
      folder: 'f1',
      damaged: [],
      documents: Object.entries(held).flatMap(([kind, bodies]) =>
        bodies.map((body) => ({ kind, id: body.id, revision: 1, body, savedAt: '2026-06-14T10:00:00Z' })),
      ),
    });
  await firstValueFrom(documents.state$.pipe(skipWhile((s) => s.kind === 'loading')));
  const workspace = TestBed.inject(Workspace);
  return {
    documents,
    workspace,
    jobs,
    said,
    went,
    bench: async () => {
      const state = await firstValueFrom(workspace.bench$);
      if (state.kind !== 'ready') throw new Error(`the bench is ${state.kind}`);
      return state.bench;
    },
  };
}

/** A whole screen over that store. */
export async function screen<T>(
  component: Type<T>,
  held: Held,
): Promise<
  Store & {
    readonly page: HTMLElement;
    readonly fixture: ComponentFixture<T>;
    press(name: string | RegExp): Promise<void>;
  }
> {
  const made = await store(held, component);
  const fixture = TestBed.createComponent(component);
  await fixture.whenStable();
  const page = fixture.nativeElement as HTMLElement;
  return {
    ...made,
    page,
    fixture,
    press: async (name) => {
      const names = [...page.querySelectorAll('button')].map((b) => ({
        b,
        name: (b.getAttribute('aria-label') ?? b.textContent).trim(),
      }));
      const found = names.find((n) => (typeof name === 'string' ? n.name === name : name.test(n.name)));
      if (!found) throw new Error(`no button “${String(name)}” among ${names.map((n) => n.name).join(' | ')}`);
      found.b.click();
      await fixture.whenStable();
    },
  };
}
