import { until } from '../testing/until';
import { TestBed } from '@angular/core/testing';
import { NavigationEnd, provideRouter, Router } from '@angular/router';
import { BehaviorSubject, of, Subject } from 'rxjs';
import { Documents } from '../services/keeping/documents';
import { Progress } from '../services/progress';
import { Shoreline } from './shoreline';
import { STAGES } from './stages';

type Marks = Readonly<Record<string, { readonly done: boolean; readonly count: number }>>;
const none: Marks = Object.fromEntries(STAGES.map((s) => [s.path, { done: false, count: 0 }]));

describe('the shoreline', () => {
  const marks$ = new BehaviorSubject<Marks>(none);
  const shown = async (marks: Marks, url: string) => {
    TestBed.resetTestingModule().configureTestingModule({
      providers: [
        provideRouter([]),
        { provide: Progress, useValue: { marks$ } },
        { provide: Documents, useValue: { state$: of({ kind: 'kept', at: null }) } },
      ],
    });
    const events = new Subject<NavigationEnd>();
    spyOnProperty(TestBed.inject(Router), 'events').and.returnValue(events as never);
    marks$.next(marks);
    const fixture = TestBed.createComponent(Shoreline);
    await fixture.whenStable();
    TestBed.inject(Router).navigated = true;
    events.next(new NavigationEnd(1, url, url));
    await fixture.whenStable();
    const page = fixture.nativeElement as HTMLElement;
    return {
      fixture,
      links: [...page.querySelectorAll<HTMLAnchorElement>('nav a')],
    };
  };

  it('has every stage in its order, the one that is open marked, also on a sheet of it', async () => {
    for (const [url, title] of [
      ['/balance', 'Balance'],
      ['/balance/pan', 'Balance'],
      ['/load/cam?from=x', 'Load'],
    ] as const) {
      const { links } = await shown(none, url);
      expect(links.map((a) => a.textContent.trim())).toEqual(STAGES.map((s) => s.title));
      expect(links.filter((a) => a.getAttribute('aria-current') === 'page').map((a) => a.textContent.trim())).toEqual([
        title,
      ]);
    }
  });
  it('fills what is done, and says aloud how many things want a look', async () => {
    const { links, fixture } = await shown(
      { ...none, frame: { done: false, count: 3 }, load: { done: true, count: 0 } },
      '/shelf',
    );
    await until(() => links.some((a) => a.classList.contains('done')), 'the marks');
    const of = (title: string): HTMLAnchorElement => links.find((a) => a.textContent.includes(title))!;
    expect([...of('Load').classList]).toContain('done');
    expect([...of('Frame').classList]).not.toContain('done');
    expect(of('Frame').textContent.replace(/\s+/g, ' ')).toContain(', 3 to look at');
    expect(of('Frame').querySelector('.count')!.getAttribute('aria-hidden')).toBe('true');
    marks$.next({ ...none, frame: { done: true, count: 0 } });
    await fixture.whenStable();
    expect(of('Frame').querySelector('.count')).toBeNull();
    expect([...of('Frame').classList]).toContain('done');
  });
});
