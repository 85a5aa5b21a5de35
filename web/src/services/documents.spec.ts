import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import type { ChangeRequest, KitItem, Stored } from '@tide-pebble/core';
import { firstValueFrom, skipWhile, type Observable } from 'rxjs';
import { Documents, type SaveState } from './documents';
import { NoDrafts } from '../testing/store';
import { until } from '../testing/until';
import { Drafts } from './drafts';

const item = (name: string): KitItem => ({ id: 'a', name, class: 'camera', form: 'box', size: [0.06, 0.12, 0.07], boxCentre: [0, 0, 0], mountPoints: [] });
const stored = (revision: number, name: string): Stored => ({ kind: 'kit', id: 'a', revision, body: item(name), savedAt: '2026-06-14T10:00:00Z' });

describe('documents', () => {
  let http: HttpTestingController;
  let drafts: NoDrafts;
  const reached = (state$: Observable<SaveState>, kind: SaveState['kind']): Promise<SaveState> => firstValueFrom(state$.pipe(skipWhile((s) => s.kind !== kind)));
  const open = (): Documents => {
    TestBed.configureTestingModule({ providers: [provideHttpClient(), provideHttpClientTesting(), { provide: Drafts, useValue: drafts }] });
    http = TestBed.inject(HttpTestingController);
    return TestBed.inject(Documents);
  };
  /** Lets the store's own debounce and promises pass; a request is then waiting. */
  const request = async (url: string): Promise<ReturnType<HttpTestingController['expectOne']>> => {
    return until(() => http.match(url)[0], `a request to ${url}`);
  };
  beforeEach(() => (drafts = new NoDrafts()));

  it('saves an edit by itself and forgets its draft once acknowledged', async () => {
    const documents = open();
    (await request('/api/documents')).flush({ documents: [stored(3, 'Heron')] });
    await reached(documents.state$, 'kept');
    documents.commit('renaming', [{ kind: 'kit', id: 'a', body: item('Egret') }]);
    expect(drafts.kept.size).toBe(1);
    const sent = await request('/api/changes');
    expect((sent.request.body as { changes: ChangeRequest[] }).changes[0]!.revision).toBe(3);
    sent.flush({ saved: [{ kind: 'kit', id: 'a', revision: 4 }] });
    await reached(documents.state$, 'kept');
    await Promise.resolve();
    expect(documents.get('kit', 'a')!.name).toBe('Egret');
    expect(drafts.kept.size).toBe(0);
  });

  it('undoes and does again, over the same revision chain', async () => {
    const documents = open();
    (await request('/api/documents')).flush({ documents: [stored(1, 'Heron')] });
    await reached(documents.state$, 'kept');
    documents.commit('renaming', [{ kind: 'kit', id: 'a', body: item('Egret') }]);
    expect(documents.undo()).toBe('renaming');
    expect(documents.get('kit', 'a')!.name).toBe('Heron');
    documents.redo();
    expect(documents.get('kit', 'a')!.name).toBe('Egret');
    (await request('/api/changes')).flush({ saved: [{ kind: 'kit', id: 'a', revision: 2 }] });
  });

  it('keeps what is typed while the server is away, and sends it when it is back', async () => {
    const documents = open();
    (await request('/api/documents')).flush({ documents: [stored(1, 'Heron')] });
    await reached(documents.state$, 'kept');
    documents.commit('renaming', [{ kind: 'kit', id: 'a', body: item('Egret') }]);
    (await request('/api/changes')).error(new ProgressEvent('offline'));
    expect(await reached(documents.state$, 'away')).toEqual({ kind: 'away', waiting: 1 });
    expect(drafts.kept.size).toBe(1);
    const again = await request('/api/changes');
    again.flush({ saved: [{ kind: 'kit', id: 'a', revision: 2 }] });
    expect((await reached(documents.state$, 'kept')).kind).toBe('kept');
  }, 10_000);

  for (const body of [item('Egret'), null]) {
    it(`is in no conflict with what it sent itself and got no answer to: ${body ? 'a change' : 'deleted'}`, async () => {
      const documents = open();
      (await request('/api/documents')).flush({ documents: [stored(1, 'Heron')] });
      await reached(documents.state$, 'kept');
      documents.commit('one', [{ kind: 'kit', id: 'a', body }]);
      // It arrived; the answer did not.
      (await request('/api/changes')).error(new ProgressEvent('timeout'));
      await reached(documents.state$, 'away');
      documents.commit('two', [{ kind: 'kit', id: 'a', body: item('Plover') }]);
      const theirs = { ...stored(2, 'Egret'), body: body && Object.fromEntries(Object.entries(body).reverse()) };
      const mine = { kind: 'kit', id: 'a', revision: 1, body: item('Plover') };
      (await request('/api/changes')).flush({ type: 'about:blank', title: 'x', status: 409, detail: 'x', conflicts: [{ mine, theirs }] }, { status: 409, statusText: 'Conflict' });
      const sent = await request('/api/changes');
      expect((sent.request.body as { changes: ChangeRequest[] }).changes).toEqual([{ kind: 'kit', id: 'a', revision: 2, body: item('Plover') }]);
      expect(drafts.kept.get('kit/a')!.revision).toBe(2);
      sent.flush({ saved: [{ kind: 'kit', id: 'a', revision: 3 }] });
      await reached(documents.state$, 'kept');
      expect(documents.get('kit', 'a')!.name).toBe('Plover');
    }, 15_000);
  }

  it('opens from its last copy when the server is away from the start, with drafts on top', async () => {
    drafts.kept.set('kit/a', { kind: 'kit', id: 'a', revision: 1, body: item('typed yesterday') });
    const documents = open();
    (await request('/api/documents')).error(new ProgressEvent('offline'));
    await reached(documents.state$, 'away');
    expect(documents.get('kit', 'a')!.name).toBe('typed yesterday');
  });

  for (const keep of ['mine', 'theirs'] as const) {
    it(`never overwrites in silence: a conflict waits for a choice, ${keep}`, async () => {
      const documents = open();
      (await request('/api/documents')).flush({ documents: [stored(1, 'Heron')] });
      await reached(documents.state$, 'kept');
      documents.commit('renaming', [{ kind: 'kit', id: 'a', body: item('mine') }]);
      const theirs = stored(5, 'theirs');
      (await request('/api/changes')).flush({ type: 'about:blank', title: 'x', status: 409, detail: 'x', conflicts: [{ mine: { kind: 'kit', id: 'a', revision: 1, body: item('mine') }, theirs }] }, { status: 409, statusText: 'Conflict' });
      await reached(documents.state$, 'conflict');
      documents.settle(keep);
      expect(documents.get('kit', 'a')!.name).toBe(keep);
      const sent = await request('/api/changes');
      expect((sent.request.body as { changes: ChangeRequest[] }).changes[0]!.revision).toBe(5);
      if (keep === 'theirs') {
        documents.undo();
        expect(documents.get('kit', 'a')!.name).toBe('mine');
      }
      sent.flush({ saved: [{ kind: 'kit', id: 'a', revision: 6 }] });
    });
  }

  it('does not take a body that its schema refuses', async () => {
    const documents = open();
    (await request('/api/documents')).flush({ documents: [] });
    await reached(documents.state$, 'kept');
    expect(() => documents.commit('x', [{ kind: 'kit', id: 'a', body: { ...item('x'), size: [-1, 1, 1] } }])).toThrowError(/size/);
  });
});
