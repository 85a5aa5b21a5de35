import { TestBed } from '@angular/core/testing';
import { NavigationError, Router } from '@angular/router';
import { NEVER, Subject } from 'rxjs';
import { BrokenStage, PART_MISSING, StageErrors } from './broken-stage';
import { Documents } from './keeping/documents';
import { Notices } from './notices';

describe('what nobody caught', () => {
  const start = () => {
    const said: string[] = [];
    const events = new Subject<unknown>();
    TestBed.configureTestingModule({
      providers: [
        StageErrors,
        { provide: Router, useValue: { events } },
        { provide: Documents, useValue: { history$: NEVER } },
        { provide: Notices, useValue: { say: (text: string) => said.push(text) } },
      ],
    });
    spyOn(console, 'error');
    return { errors: TestBed.inject(StageErrors), broken: TestBed.inject(BrokenStage), events, said };
  };
  it('takes the place of the stage, in words', () => {
    const { errors, broken, said } = start();
    errors.handleError(new Error('no such piece'));
    expect(broken.words()).toBe('no such piece');
    expect(said).toEqual([]);
  });
  for (const message of [
    'Failed to fetch dynamically imported module: https://x/chunk.js',
    'error loading dynamically imported module',
    'Importing a module script failed.',
    'NG0750',
  ])
    it(`leaves what stands where only a part did not come: ${message}`, () => {
      const { errors, broken, said } = start();
      errors.handleError(new TypeError(message));
      expect(broken.words()).toBe('');
      expect(said).toEqual([PART_MISSING]);
    });
  it('is told once, in its place, where the stage itself did not come', () => {
    const { errors, broken, events, said } = start();
    const fault = new TypeError('Failed to fetch dynamically imported module: https://x/log.js');
    events.next(new NavigationError(1, '/log', fault));
    errors.handleError(fault);
    expect(broken.words()).toContain('log.js');
    expect(said).toEqual([]);
  });
});
