import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import type { ChangeRequest, KitItem, Stored } from '@tide-pebble/core';
import { firstValueFrom, skipWhile, type Observable } from 'rxjs';
import { Documents, type SaveState } from './documents';
import { NoDrafts } from '../../testing/store';
import { until } from '../../testing/until';
import { Drafts } from './drafts';
import { HeldFolder } from './folder';

const item = (name: string): KitItem => ({
  id: 'a',
  name,
  class: 'camera',
  form: 'box',
  size: [0.06, 0.12, 0.07],
  boxCentre: [0, 0, 0],
  mountPoints: [],
});
const stored = (revision: number, name: string): Stored => ({
  kind: 'kit',
  id: 'a',
  revision,
  body: item(name),
  savedAt: '2026-06-14T10:00:00Z',
});

describe('documents', () => {
  let http: HttpTestingController;
  let drafts: NoDrafts;
  const reached = (state$: Observable<SaveState>, kind: SaveState['kind']): Promise<SaveState> =>
    firstValueFrom(state$.pipe(skipWhile((s) => s.kind !== kind)));
  const open = (): Documents => {
    TestBed.configureTestingModule({
      providers: [provideHttpClient(), provideHttpClientTesting(), { provide: Drafts, useValue: drafts }],
    });
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
    (await request('/api/documents')).flush({ folder: 'f1', damaged: [], documents: [stored(3, 'Heron')] });
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

  it('of a phone takes up what it may keep, and refuses the rest before it waits for the server', async () => {
    const documents = open();
    const refused: string[] = [];
    documents.refused$.subscribe((reason) => refused.push(reason));
    (await request('/api/documents')).flush({
      folder: 'f1',
      damaged: [],
      documents: [stored(3, 'Heron')],
      right: 'field',
    });
    await reached(documents.state$, 'kept');
    documents.commit('renaming', [{ kind: 'kit', id: 'a', body: item('Egret') }]);
    expect(documents.get('kit', 'a')!.name).toBe('Heron');
    expect(refused).toEqual([jasmine.stringContaining('readings, walks and set-ups')]);
    expect(documents.undo()).toBeNull();
    const setup = { id: 's', rig: 'r', loadout: 'bare', values: {} };
    documents.commit('setting', [{ kind: 'setup', id: 's', body: setup }]);
    expect(documents.get('setup', 's')).toEqual(setup);
    (await request('/api/changes')).flush({ saved: [{ kind: 'setup', id: 's', revision: 1 }] });
    // It is known while the server is away too.
    TestBed.resetTestingModule();
    open();
    expect(TestBed.inject(HeldFolder).right()).toBe('field');
    TestBed.inject(HeldFolder).setRight(undefined);
  });

  it('undoes and does again, over the same revision chain', async () => {
    const documents = open();
    (await request('/api/documents')).flush({ folder: 'f1', damaged: [], documents: [stored(1, 'Heron')] });
    await reached(documents.state$, 'kept');
    documents.commit('renaming', [{ kind: 'kit', id: 'a', body: item('Egret') }]);
    expect(documents.undo()).toBe('renaming');
    expect(documents.get('kit', 'a')!.name).toBe('Heron');
    documents.redo();
    expect(documents.get('kit', 'a')!.name).toBe('Egret');
    (await request('/api/changes')).flush({ saved: [{ kind: 'kit', id: 'a', revision: 2 }] });
  });

  for (const [after, act, left] of [
    [
      'with an edit right after it',
      (d: Documents) => d.commit('one more', [{ kind: 'kit', id: 'b', body: { ...item('Plover'), id: 'b' } }]),
      2501,
    ],
    ['taken back right after it', (d: Documents) => d.undo(), 0],
    ['with the page left right after it', () => dispatchEvent(new Event('pagehide')), 2500],
  ] as const) {
    it(`takes up thousands task by task, as one step, ${after}`, async () => {
      const documents = open();
      (await request('/api/documents')).flush({ folder: 'f1', damaged: [], documents: [] });
      await reached(documents.state$, 'kept');
      const shown: number[] = [];
      documents.list$('kit').subscribe((list) => shown.push(list.length));
      documents.commit(
        'bringing in',
        Array.from({ length: 2500 }, (_, n) => ({
          kind: 'kit' as const,
          id: `k${n}`,
          body: { ...item(`Item ${n}`), id: `k${n}` },
        })),
      );
      expect(drafts.kept.size).toBeLessThan(2500);
      act(documents);
      if (left > 0) expect(drafts.kept.size).toBe(left);
      await until(() => shown.at(-1) === left, `${left} shown`);
      expect(documents.all('kit')).toHaveSize(left);
      expect(shown.filter((n) => n > 0 && n < 2500)).toEqual([]);
      if (left === 2500) {
        documents.undo();
        await until(() => shown.at(-1) === 0, 'all taken back');
      }
    });
  }

  it('keeps what is typed while the server is away, and sends it when it is back', async () => {
    const documents = open();
    (await request('/api/documents')).flush({ folder: 'f1', damaged: [], documents: [stored(1, 'Heron')] });
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
      (await request('/api/documents')).flush({ folder: 'f1', damaged: [], documents: [stored(1, 'Heron')] });
      await reached(documents.state$, 'kept');
      documents.commit('one', [{ kind: 'kit', id: 'a', body }]);
      // It arrived; the answer did not.
      (await request('/api/changes')).error(new ProgressEvent('timeout'));
      await reached(documents.state$, 'away');
      documents.commit('two', [{ kind: 'kit', id: 'a', body: item('Plover') }]);
      const theirs = { ...stored(2, 'Egret'), body: body && Object.fromEntries(Object.entries(body).reverse()) };
      const mine = { kind: 'kit', id: 'a', revision: 1, body: item('Plover') };
      (await request('/api/changes')).flush(
        { type: 'about:blank', title: 'x', status: 409, detail: 'x', conflicts: [{ mine, theirs }] },
        { status: 409, statusText: 'Conflict' },
      );
      const sent = await request('/api/changes');
      expect((sent.request.body as { changes: ChangeRequest[] }).changes).toEqual([
        { kind: 'kit', id: 'a', revision: 2, body: item('Plover') },
      ]);
      expect(drafts.kept.get('kit/a')!.revision).toBe(2);
      sent.flush({ saved: [{ kind: 'kit', id: 'a', revision: 3 }] });
      await reached(documents.state$, 'kept');
      expect(documents.get('kit', 'a')!.name).toBe('Plover');
    }, 15_000);
  }

  it('opens from its last copy when the server is away from the start, with drafts on top', async () => {
    drafts.left = [{ kind: 'kit', id: 'a', revision: 1, body: item('typed yesterday') }];
    const documents = open();
    (await request('/api/documents')).error(new ProgressEvent('offline'));
    await reached(documents.state$, 'away');
    expect(documents.get('kit', 'a')!.name).toBe('typed yesterday');
  });

  for (const keep of ['mine', 'theirs'] as const) {
    it(`never overwrites in silence: a conflict waits for a choice, ${keep}`, async () => {
      const documents = open();
      (await request('/api/documents')).flush({ folder: 'f1', damaged: [], documents: [stored(1, 'Heron')] });
      await reached(documents.state$, 'kept');
      documents.commit('renaming', [{ kind: 'kit', id: 'a', body: item('mine') }]);
      const theirs = stored(5, 'theirs');
      (await request('/api/changes')).flush(
        {
          type: 'about:blank',
          title: 'x',
          status: 409,
          detail: 'x',
          conflicts: [{ mine: { kind: 'kit', id: 'a', revision: 1, body: item('mine') }, theirs }],
        },
        { status: 409, statusText: 'Conflict' },
      );
      await reached(documents.state$, 'conflict');
      documents.settle(keep);
      expect(documents.get('kit', 'a')!.name).toBe(keep);
      if (keep === 'theirs') {
        expect(drafts.kept.size).toBe(0);
        documents.undo();
      }
      expect(documents.get('kit', 'a')!.name).toBe('mine');
      const sent = await request('/api/changes');
      expect((sent.request.body as { changes: ChangeRequest[] }).changes).toEqual([
        { kind: 'kit', id: 'a', revision: 5, body: item('mine') },
      ]);
      sent.flush({ saved: [{ kind: 'kit', id: 'a', revision: 6 }] });
    });
  }

  const list = (...documents: Stored[]) => ({ folder: 'f1', damaged: [], documents });
  const ready = async (...documents: Stored[]): Promise<Documents> => {
    const documents$ = open();
    (await request('/api/documents')).flush(list(...documents));
    await reached(documents$.state$, 'kept');
    return documents$;
  };

  it('keeps an edit made while a server that came back is read again', async () => {
    const documents = open();
    (await request('/api/documents')).error(new ProgressEvent('offline'));
    await reached(documents.state$, 'away');
    const reading = await request('/api/documents');
    documents.commit('renaming', [{ kind: 'kit', id: 'a', body: item('typed meanwhile') }]);
    reading.flush(list(stored(3, 'Heron')));
    expect(documents.get('kit', 'a')!.name).toBe('typed meanwhile');
    expect((await firstValueFrom(documents.state$)).kind).not.toBe('kept');
    // Made before the server's save was known: asked about, never put over it.
    const sent = await request('/api/changes');
    expect((sent.request.body as { changes: ChangeRequest[] }).changes[0]!.revision).toBe(0);
    expect(drafts.kept.size).toBe(1);
  }, 15_000);

  it('keeps what is edited, and undone, while a save is under way', async () => {
    const documents = await ready(stored(1, 'Heron'), {
      ...stored(1, 'Plover'),
      id: 'b',
      body: { ...item('Plover'), id: 'b' },
    });
    documents.commit('renaming', [{ kind: 'kit', id: 'a', body: item('Egret') }]);
    const under = await request('/api/changes');
    documents.undo();
    documents.commit('another', [{ kind: 'kit', id: 'b', body: { ...item('Avocet'), id: 'b' } }]);
    under.flush({ saved: [{ kind: 'kit', id: 'a', revision: 2 }] });
    const next = await request('/api/changes');
    expect([documents.get('kit', 'a')!.name, documents.get('kit', 'b')!.name]).toEqual(['Heron', 'Avocet']);
    expect((next.request.body as { changes: ChangeRequest[] }).changes.map((c) => [c.id, c.revision]).sort()).toEqual([
      ['a', 2],
      ['b', 1],
    ]);
    expect(drafts.kept.size).toBe(2);
    next.flush({
      saved: [
        { kind: 'kit', id: 'a', revision: 3 },
        { kind: 'kit', id: 'b', revision: 2 },
      ],
    });
    await reached(documents.state$, 'kept');
  });

  it('goes on saving the rest while a conflict waits', async () => {
    const documents = await ready(stored(1, 'Heron'), {
      ...stored(1, 'Plover'),
      id: 'b',
      body: { ...item('Plover'), id: 'b' },
    });
    documents.commit('renaming', [{ kind: 'kit', id: 'a', body: item('mine') }]);
    (await request('/api/changes')).flush(
      {
        type: 'about:blank',
        title: 'x',
        status: 409,
        detail: 'x',
        conflicts: [{ mine: { kind: 'kit', id: 'a', revision: 1, body: item('mine') }, theirs: stored(2, 'theirs') }],
      },
      { status: 409, statusText: 'Conflict' },
    );
    await reached(documents.state$, 'conflict');
    documents.commit('another', [{ kind: 'kit', id: 'b', body: { ...item('Avocet'), id: 'b' } }]);
    const sent = await request('/api/changes');
    expect((sent.request.body as { changes: ChangeRequest[] }).changes.map((c) => c.id)).toEqual(['b']);
    sent.flush({ saved: [{ kind: 'kit', id: 'b', revision: 2 }] });
    expect((await firstValueFrom(documents.state$)).kind).toBe('conflict');
    expect(drafts.kept.has('kit/a')).toBeTrue();
  });

  it('says so when the address serves another folder, and sends nothing there', async () => {
    const documents = await ready(stored(1, 'Heron'));
    documents.commit('renaming', [{ kind: 'kit', id: 'a', body: item('typed for f1') }]);
    (await request('/api/changes')).flush(
      { type: 'about:blank', title: 'x', status: 409, detail: 'x', folder: 'f2' },
      { status: 409, statusText: 'Conflict' },
    );
    expect(await reached(documents.state$, 'elsewhere')).toEqual({ kind: 'elsewhere', waiting: 1 });
    documents.commit('more', [{ kind: 'kit', id: 'a', body: item('still for f1') }]);
    expect(drafts.kept.get('kit/a')!.folder).toBe('f1');
  });

  it('says disk full and tries again by itself', async () => {
    const documents = await ready(stored(1, 'Heron'));
    documents.commit('renaming', [{ kind: 'kit', id: 'a', body: item('Egret') }]);
    (await request('/api/changes')).flush(
      { type: 'about:blank', title: 'Disk full', status: 507, detail: 'x' },
      { status: 507, statusText: 'x' },
    );
    expect(await reached(documents.state$, 'full')).toEqual({ kind: 'full', waiting: 1 });
    (await request('/api/changes')).flush({ saved: [{ kind: 'kit', id: 'a', revision: 2 }] });
    await reached(documents.state$, 'kept');
    expect(documents.get('kit', 'a')!.name).toBe('Egret');
  }, 15_000);

  it('never says there is nothing when reading failed', async () => {
    const documents = open();
    (await request('/api/documents')).flush(
      { type: 'about:blank', title: 'x', status: 500, detail: 'The file is damaged.' },
      { status: 500, statusText: 'x' },
    );
    expect(await reached(documents.state$, 'unread')).toEqual({ kind: 'unread', reason: 'The file is damaged.' });
  });

  it('sets a damaged document aside, and puts its earlier save back over it', async () => {
    const documents = open();
    const damaged = [
      {
        kind: 'kit' as const,
        id: 'a',
        revision: 5,
        reason: 'not JSON',
        past: [{ revision: 4, savedAt: '2026-06-14T10:00:00Z' }],
      },
    ];
    (await request('/api/documents')).flush({ folder: 'f1', documents: [], damaged });
    await reached(documents.state$, 'kept');
    expect(await firstValueFrom(documents.damaged$)).toEqual(damaged);
    const back = documents.goBack('kit', 'a', 4, 'putting it back');
    (await request('/api/documents/kit/a/past/4')).flush(stored(4, 'as it was'));
    await back;
    expect(documents.get('kit', 'a')!.name).toBe('as it was');
    expect(((await request('/api/changes')).request.body as { changes: ChangeRequest[] }).changes[0]!.revision).toBe(5);
    expect(await firstValueFrom(documents.damaged$)).toEqual([]);
  });

  it('undoes a restored backup, what it took away included', async () => {
    const documents = await ready(stored(1, 'Heron'), {
      ...stored(4, 'Plover'),
      id: 'b',
      body: { ...item('Plover'), id: 'b' },
    });
    const restored = documents.restore('tide-pebble.db', 'instead');
    (await request('/api/backups/tide-pebble.db/restore?way=instead')).flush(list(stored(2, 'from backup')));
    await restored;
    expect(documents.all('kit').map((k) => k.name)).toEqual(['from backup']);
    expect(documents.undo()).toBe('restoring a backup');
    expect(
      documents
        .all('kit')
        .map((k) => k.name)
        .sort(),
    ).toEqual(['Heron', 'Plover']);
    const sent = (await request('/api/changes')).request.body as { changes: ChangeRequest[] };
    expect(sent.changes.map((c) => [c.id, c.revision]).sort()).toEqual([
      ['a', 2],
      ['b', 5],
    ]);
  });

  it('does not take a body that its schema refuses', async () => {
    const documents = open();
    (await request('/api/documents')).flush({ folder: 'f1', damaged: [], documents: [] });
    await reached(documents.state$, 'kept');
    expect(() =>
      documents.commit('x', [{ kind: 'kit', id: 'a', body: { ...item('x'), size: [-1, 1, 1] } }]),
    ).toThrowError(/size/);
  });
});
