import { TestBed } from '@angular/core/testing';
import type { Stored } from '@tide-pebble/core';
import { Drafts } from './drafts';
import type { Draft } from './page';

const draft = (id: string, serial = 1, folder = 'f1'): Draft => ({
  folder,
  serial,
  kind: 'kit',
  id,
  revision: 0,
  body: { id, serial },
});
const stored = (id: string, body: unknown = { id }): Stored => ({ kind: 'kit', id, revision: 1, body, savedAt: '' });
const drop = (id: string, serial = 1) => ({ key: `kit/${id}`, serial });
/** Each a window of its own on the same browser. */
const window = (): Drafts => TestBed.runInInjectionContext(() => new Drafts());
const ids = (list: readonly { readonly id: string }[]): string[] => list.map((d) => d.id).sort();
const any = (): boolean => true;

describe('drafts in the browser', () => {
  let drafts: Drafts;
  /** What this browser holds, seen from a folder that is none of those. */
  const all = (): Promise<readonly Draft[]> => drafts.ofOthers('none of them');
  beforeEach(async () => {
    drafts = window();
    await drafts.forgetOthers('none of them');
    await drafts.replaceCopy('f1', []);
  });

  it('are kept by document, many at once, and dropped when saved', async () => {
    await drafts.put(Array.from({ length: 700 }, (_, i) => draft(`k${i}`)));
    await drafts.put([draft('k0', 3)]);
    expect(await all()).toHaveSize(700);
    expect((await all()).find((d) => d.id === 'k0')!.serial).toBe(3);
    await drafts.drop('f1', [drop('k0', 3), drop('k1')]);
    expect(await all()).toHaveSize(698);
  });
  it('stay when they were edited again while their save was acknowledged', async () => {
    await drafts.put([draft('k0', 1)]);
    await drafts.put([draft('k0', 2)]);
    await drafts.drop('f1', [drop('k0', 1)]);
    expect((await all()).map((d) => d.serial)).toEqual([2]);
  });
  it('of edits that follow one another are written once, the newest, and not after they were dropped', async () => {
    void drafts.put([draft('k0', 1)]);
    void drafts.put([draft('k0', 2), draft('k1', 1)]);
    await drafts.drop('f1', [drop('k1')]);
    expect((await all()).map((d) => [d.id, d.serial])).toEqual([['k0', 2]]);
  });
  it('are written at once when the page is left', async () => {
    const put = drafts.put([draft('k0', 5)]);
    dispatchEvent(new Event('pagehide'));
    await put;
    expect((await all())[0]!.serial).toBe(5);
  });
  it('of two windows are two: what one saves takes nothing from the other, and none is taken from a window that is open', async () => {
    const other = window();
    await drafts.put([draft('k0', 1)]);
    await other.put([draft('k0', 7)]);
    await other.drop('f1', [drop('k0', 7)]);
    expect((await all()).map((d) => d.serial)).toEqual([1]);
    expect(await other.adopt('f1', any)).toEqual([]);
  });
  it('of a window that is gone are taken up by the next, one a document, by one window only, and only of that folder', async () => {
    const open = await indexedDbDrafts();
    await open([
      { ...draft('k0', 4), tab: 'gone' },
      { ...draft('k0', 9), tab: 'gone too' },
      { ...draft('k1', 2), tab: 'gone' },
      { ...draft('k2', 1, 'f2'), tab: 'gone' },
    ]);
    const other = window();
    const [one, two] = await Promise.all([drafts.adopt('f1', any), other.adopt('f1', any)]);
    expect(ids([...one, ...two])).toEqual(['k0', 'k0', 'k1']);
    expect(new Set(ids(one)).size).toBe(one.length);
    expect((await all()).map((d) => d.id).sort()).toEqual(['k0', 'k0', 'k1', 'k2']);
    expect(ids(await drafts.ofOthers('f1'))).toEqual(['k2']);
    await drafts.forgetOthers('f1');
    expect(ids(await all())).toEqual(['k0', 'k0', 'k1']);
  });
  it('are left where the document is being edited here', async () => {
    const open = await indexedDbDrafts();
    await open([{ ...draft('k0'), tab: 'gone' }]);
    expect(await drafts.adopt('f1', () => false)).toEqual([]);
    expect(ids(await drafts.adopt('f1', any))).toEqual(['k0']);
  });
  it('stand beside a copy that knows its folder, follows each save, and forgets what was deleted', async () => {
    await drafts.replaceCopy('f1', [stored('a'), stored('b')]);
    await drafts.keepCopy([stored('b', null), stored('c')]);
    const copy = await drafts.copy();
    expect([copy.folder, ...ids(copy.documents)]).toEqual(['f1', 'a', 'c']);
    await drafts.replaceCopy('f2', [stored('z')]);
    expect((await drafts.copy()).folder).toBe('f2');
  });
});

/** Puts drafts there as a window would have that is closed by now. */
async function indexedDbDrafts(): Promise<(list: readonly (Draft & { tab: string })[]) => Promise<void>> {
  const db = await new Promise<IDBDatabase>((done, failed) => {
    const asked = indexedDB.open('tide-pebble', 3);
    asked.onsuccess = () => done(asked.result);
    asked.onerror = () => failed(asked.error ?? new Error('not opened'));
  });
  return async (list) => {
    const step = db.transaction('drafts', 'readwrite');
    for (const d of list) step.objectStore('drafts').put(d, `${d.folder} ${d.tab} ${d.kind}/${d.id}`);
    await new Promise((done) => (step.oncomplete = done));
    db.close();
  };
}
