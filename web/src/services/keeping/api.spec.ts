import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { firstValueFrom, type Observable } from 'rxjs';
import { Api, Refused, ServerAway } from './api';

const EMPTY = { folder: 'f1', documents: [], damaged: [] };
const LOOK = { savedAt: null, photos: 0, holds: [], goes: [] };

describe('what the page asks the server', () => {
  let api: Api;
  let server: HttpTestingController;
  beforeEach(() => {
    TestBed.configureTestingModule({ providers: [provideHttpClient(), provideHttpClientTesting()] });
    api = TestBed.inject(Api);
    server = TestBed.inject(HttpTestingController);
  });
  afterEach(() => server.verify());

  const failing = async (asked: Observable<unknown>, answer: () => void): Promise<unknown> => {
    const waiting = firstValueFrom(asked).then(
      () => 'it came',
      (error: unknown) => error,
    );
    answer();
    return waiting;
  };

  it('takes an answer of the form agreed on, and hands on nothing else', async () => {
    const all = firstValueFrom(api.loadAll());
    server.expectOne('/api/documents').flush(EMPTY);
    expect(await all).toEqual(EMPTY);
    for (const strange of [{ ...EMPTY, documents: 'many' }, 'a page of another program', null]) {
      const error = await failing(api.loadAll(), () => server.expectOne('/api/documents').flush(strange));
      expect(error).toBeInstanceOf(Error);
      expect(error).not.toBeInstanceOf(ServerAway);
      expect((error as Error).message).toContain('unknown form');
    }
  });
  it('a refusal comes with its reason; silence, and an answer by something else, are a server that is away', async () => {
    const refused = await failing(api.save([]), () =>
      server
        .expectOne('/api/changes')
        .flush(
          { type: 'about:blank', title: 'Not saved', detail: 'This rig was changed elsewhere.', status: 409 },
          { status: 409, statusText: 'Conflict' },
        ),
    );
    expect(refused).toBeInstanceOf(Refused);
    expect((refused as Refused).message).toBe('This rig was changed elsewhere.');
    const silent = await failing(api.save([]), () =>
      server.expectOne('/api/changes').error(new ProgressEvent('error')),
    );
    expect(silent).toBeInstanceOf(ServerAway);
    const other = await failing(api.save([]), () =>
      server.expectOne('/api/changes').flush('<html>gateway</html>', { status: 502, statusText: 'Bad Gateway' }),
    );
    expect(other).toBeInstanceOf(ServerAway);
  });
  it('asks for a thing by its name as it is, whatever letters are in it', async () => {
    const past = firstValueFrom(api.past('rig', 'a/b ü'));
    server.expectOne('/api/documents/rig/a%2Fb%20%C3%BC/past').flush({ past: [] });
    expect(await past).toEqual([]);
    const one = failing(api.onePast('rig', 'a/b', 7), () =>
      server
        .expectOne('/api/documents/rig/a%2Fb/past/7')
        .flush({ kind: 'rig', id: 'a/b', revision: 7, body: null, savedAt: '2026-06-14T10:00:00Z' }),
    );
    expect(await one).toBe('it came');
  });
  it('a backup the server keeps goes by its name, one taken out as a zip', async () => {
    const zip = new Blob(['PK'], { type: 'application/zip' });
    const byName = firstValueFrom(api.restore('2026-06-14.zip', 'beside'));
    server.expectOne('/api/backups/2026-06-14.zip/restore?way=beside').flush(EMPTY);
    expect(await byName).toEqual(EMPTY);
    const byZip = firstValueFrom(api.restore(zip, 'instead'));
    const sent = server.expectOne('/api/restore?way=instead');
    expect(sent.request.body).toBe(zip);
    expect(sent.request.headers.get('Content-Type')).toBe('application/zip');
    sent.flush(EMPTY);
    expect(await byZip).toEqual(EMPTY);
    expect(await failing(api.look(zip), () => server.expectOne('/api/restore/look').flush(LOOK))).toBe('it came');
    expect(await failing(api.look('kept'), () => server.expectOne('/api/backups/kept/look').flush(LOOK))).toBe(
      'it came',
    );
    const kept = firstValueFrom(api.backups());
    server.expectOne('/api/backups').flush({ backups: [] });
    expect(await kept).toEqual([]);
  });
});
