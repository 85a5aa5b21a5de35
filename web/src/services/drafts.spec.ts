import { TestBed } from '@angular/core/testing';
import type { ChangeRequest, Stored } from '@tide-pebble/core';
import { Drafts } from './drafts';

const draft = (id: string, revision = 0): ChangeRequest => ({ kind: 'kit', id, revision, body: { id } });
const stored = (id: string, body: unknown = { id }): Stored => ({ kind: 'kit', id, revision: 1, body, savedAt: '' });

describe('drafts in the browser', () => {
  let drafts: Drafts;
  beforeEach(async () => {
    drafts = TestBed.inject(Drafts);
    await drafts.drop((await drafts.all()).map((d) => `${d.kind}/${d.id}`));
    await drafts.replaceCopy([]);
  });

  it('are kept by document, many at once, and dropped when saved', async () => {
    await drafts.put(Array.from({ length: 700 }, (_, i) => draft(`k${i}`)));
    await drafts.put([draft('k0', 3)]);
    expect(await drafts.all()).toHaveSize(700);
    expect((await drafts.all()).find((d) => d.id === 'k0')!.revision).toBe(3);
    await drafts.drop(['kit/k0', 'kit/k1']);
    expect(await drafts.all()).toHaveSize(698);
  });
  it('of edits that follow one another are written once, the newest, and not after they were dropped', async () => {
    void drafts.put([draft('k0', 1)]);
    void drafts.put([draft('k0', 2), draft('k1', 1)]);
    await drafts.drop(['kit/k1']);
    expect((await drafts.all()).map((d) => [d.id, d.revision])).toEqual([['k0', 2]]);
  });
  it('are written at once when the page is left', async () => {
    const put = drafts.put([draft('k0', 5)]);
    dispatchEvent(new Event('pagehide'));
    await put;
    expect((await drafts.all())[0]!.revision).toBe(5);
  });
  it('stand beside a copy that follows each save, and forgets what was deleted', async () => {
    await drafts.replaceCopy([stored('a'), stored('b')]);
    await drafts.keepCopy([stored('b', null), stored('c')]);
    expect((await drafts.copy()).map((d) => d.id).sort()).toEqual(['a', 'c']);
    await drafts.replaceCopy([stored('z')]);
    expect((await drafts.copy()).map((d) => d.id)).toEqual(['z']);
  });
});
