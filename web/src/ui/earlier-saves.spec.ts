import { provideHttpClient } from '@angular/common/http';
import { TestBed } from '@angular/core/testing';
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import { BehaviorSubject, NEVER, of, throwError } from 'rxjs';
import type { KitItem } from '@tide-pebble/core';
import { Api } from '../services/keeping/api';
import { Documents } from '../services/keeping/documents';
import { Notices } from '../services/notices';
import { Workspace } from '../services/workspace';
import { camera } from '../testing/bench';
import { EarlierSaves } from './earlier-saves';

const now: KitItem = { ...camera, name: 'Heron', mass: { value: 0.5, typed: '500 g' } };
const SAVED = { kind: 'kit', id: 'cam', revision: 3, savedAt: '2026-06-14T10:00:00Z' } as const;
const then: KitItem = { ...camera, name: 'Crab', mass: { value: 0.6, typed: '600 g' } };

describe('earlier saves of one thing', () => {
  let api: jasmine.SpyObj<Api>;
  let goBack: jasmine.Spy;
  const closed: string[] = [];
  const said: string[] = [];
  beforeEach(() => {
    closed.length = said.length = 0;
    api = jasmine.createSpyObj<Api>('api', ['past', 'onePast']);
    api.past.and.returnValue(of([SAVED]));
    goBack = jasmine.createSpy('goBack').and.resolveTo();
  });
  const shown = async (body: KitItem | null = then, held: KitItem | null = now) => {
    api.onePast.and.returnValue(of({ ...SAVED, body }));
    const nothing = new BehaviorSubject([]);
    TestBed.configureTestingModule({
      providers: [
        provideHttpClient(),
        { provide: Api, useValue: api },
        { provide: Documents, useValue: { get: () => held, goBack } },
        {
          provide: Workspace,
          useValue: { kit$: new BehaviorSubject(new Map()), loadouts$: nothing, setups$: nothing, bench$: NEVER },
        },
        { provide: Notices, useValue: { sayWithUndo: (t: string) => said.push(t) } },
        { provide: MatDialogRef, useValue: { close: () => closed.push('closed'), id: 'd' } },
        { provide: MAT_DIALOG_DATA, useValue: { kind: 'kit', id: 'cam', name: 'Heron' } },
      ],
    });
    const fixture = TestBed.createComponent(EarlierSaves);
    await fixture.whenStable();
    const page = fixture.nativeElement as HTMLElement;
    const press = async (words: RegExp): Promise<void> => {
      [...page.querySelectorAll('button')].find((b) => words.test(b.textContent!.trim()))!.click();
      await fixture.whenStable();
    };
    const back = (): HTMLButtonElement =>
      [...page.querySelectorAll('button')].find((b) => b.textContent!.includes('Go back to this one'))!;
    return { fixture, page, press, back };
  };

  it('tells what going back would change, each thing once and in what was typed, and goes back', async () => {
    const s = await shown();
    expect(s.back().disabled).toBeTrue();
    await s.press(/^14 Jun/);
    const changes = [...s.page.querySelectorAll('.both ul li')].map((l) => l.textContent!.trim());
    expect(changes).toEqual(['name: Heron → Crab', 'mass: 500 g → 600 g']);
    await s.press(/Go back to this one/);
    expect(goBack).toHaveBeenCalledOnceWith('kit', 'cam', 3, 'going back to an earlier Heron');
    expect(closed).toEqual(['closed']);
    expect(said).toEqual(['Heron is as it was saved then.']);
  });
  it('one that is as it is now offers no way back to it', async () => {
    const s = await shown(now);
    await s.press(/^14 Jun/);
    expect(s.page.textContent).toContain('Just as it is now.');
    expect(s.back().disabled).toBeTrue();
  });
  it('says that it was deleted then, or is now', async () => {
    const gone = await shown(null);
    await gone.press(/^14 Jun/);
    expect(gone.page.textContent).toContain('it was deleted then');
    TestBed.resetTestingModule();
    const here = await shown(then, null);
    await here.press(/^14 Jun/);
    expect(here.page.textContent).toContain('it is deleted now');
  });
  it('a list, a save and a way back that fail are each told, and the dialog stays', async () => {
    api.past.and.returnValue(throwError(() => new Error('The server cannot be reached.')));
    const away = await shown();
    expect(away.page.querySelector('[role=alert]')!.textContent).toContain('cannot be reached');
    TestBed.resetTestingModule();
    api.past.and.returnValue(of([SAVED]));
    goBack.and.rejectWith(new Error('This save is gone.'));
    const s = await shown();
    await s.press(/^14 Jun/);
    await s.press(/Go back to this one/);
    expect(s.page.querySelector('[role=alert]')!.textContent).toContain('This save is gone.');
    api.onePast.and.returnValue(throwError(() => new Error('It cannot be read.')));
    await s.press(/^14 Jun/);
    expect(s.page.querySelector('[role=alert]')!.textContent).toContain('It cannot be read.');
    expect(closed).toEqual([]);
  });
  it('none yet is said, not an empty list', async () => {
    api.past.and.returnValue(of([]));
    const s = await shown();
    expect(s.page.textContent).toContain('no earlier save of this yet');
  });
});
