import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { MatDialogRef } from '@angular/material/dialog';
import type { BackupLook } from '@tide-pebble/core';
import { Documents } from '../../../services/keeping/documents';
import { Notices } from '../../../services/notices';
import { until } from '../../../testing/until';
import { Backups } from './backups';

const look: BackupLook = {
  savedAt: '2026-06-01T08:00:00.000Z',
  photos: 2,
  holds: [
    { kind: 'rig', id: 'r1', name: 'Limpet', here: 'changed' },
    { kind: 'kit', id: 'k1', name: 'Heron', here: 'new' },
    { kind: 'kit', id: 'k2', name: 'Egret', here: 'same' },
  ],
  goes: Array.from({ length: 15 }, (_, i) => ({ kind: 'kit' as const, id: `g${i}`, name: `Only here ${i}` })),
};

describe('backups', () => {
  const start = async () => {
    const restored: string[] = [];
    let refuse = '';
    const closed = jasmine.createSpyObj<{ close(): void }>('ref', ['close']);
    TestBed.configureTestingModule({
      providers: [
        provideHttpClient(),
        provideHttpClientTesting(),
        { provide: MatDialogRef, useValue: closed },
        { provide: Notices, useValue: { sayWithUndo: (text: string) => restored.push(text) } },
        {
          provide: Documents,
          useValue: {
            restore: (_from: unknown, way: string) =>
              refuse ? Promise.reject(new Error(refuse)) : Promise.resolve(restored.push(way)),
          },
        },
      ],
    });
    const fixture = TestBed.createComponent(Backups);
    const http = TestBed.inject(HttpTestingController);
    await fixture.whenStable();
    http.expectOne('/api/backups').flush({
      backups: [
        { name: 'tide-pebble-2026-06-14T10-00-00-000Z.db', savedAt: '2026-06-14T10:00:00.000Z', bytes: 2_345_678 },
      ],
    });
    const page = fixture.nativeElement as HTMLElement;
    await until(() => page.textContent.includes('Look into it'), 'the list');
    const press = async (name: string): Promise<void> => {
      [...page.querySelectorAll('button')].find((b) => b.textContent.trim() === name)!.click();
      await fixture.whenStable();
    };
    return { fixture, http, page, press, restored, closed, refuse: (reason: string) => (refuse = reason) };
  };
  it('are listed with their age and size, and looked into before anything is done', async () => {
    const { fixture, http, page, press } = await start();
    expect(page.textContent).toContain('14 June 2026');
    expect(page.textContent).toContain('2.3 MB');
    await press('Look into it');
    http.expectOne('/api/backups/tide-pebble-2026-06-14T10-00-00-000Z.db/look').flush(look);
    await until(() => page.textContent.includes('1 rig: Limpet'), 'the look');
    await fixture.whenStable();
    expect(page.textContent).toMatch(/Not here now, and would come.*1 kit item: Heron/);
    expect(page.textContent).toMatch(/Here in another form.*1 rig: Limpet/);
    expect(page.textContent).toMatch(/take these away.*15 kit items: Only here 0.*and 3 more/);
    expect(page.textContent).toContain('with 2 photos');
  });
  for (const [button, way] of [
    ['Put beside what is here', 'beside'],
    ['Put in place of everything', 'instead'],
  ] as const) {
    it(`are brought back ${way}, with undo; a failure is said and changes nothing`, async () => {
      const { fixture, http, page, press, restored, closed, refuse } = await start();
      await press('Look into it');
      http.expectOne((r) => r.url.endsWith('/look')).flush(look);
      await until(() => page.textContent.includes('Limpet'), 'the look');
      refuse('The disk is full.');
      await press(button);
      await until(() => page.textContent.includes('The disk is full.'), 'the reason');
      expect(page.textContent).toContain('nothing has changed');
      refuse('');
      await press(button);
      await fixture.whenStable();
      expect(restored[0]).toBe(way);
      expect(closed.close).toHaveBeenCalledTimes(1);
    });
  }
  it('that cannot be read say why', async () => {
    const { http, page, press } = await start();
    await press('Look into it');
    http
      .expectOne((r) => r.url.endsWith('/look'))
      .flush(
        { type: 'about:blank', title: 'x', status: 400, detail: 'This is not a backup of Tide Pebble.' },
        { status: 400, statusText: 'x' },
      );
    await until(() => page.textContent.includes('not a backup of Tide Pebble'), 'the reason');
    expect(page.textContent).toContain('nothing has changed');
  });
});
