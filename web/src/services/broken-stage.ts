/** What broke on the page, in words: shown in the place of the stage, while all around it goes on. */
import { ErrorHandler, inject, Injectable, Injector, signal } from '@angular/core';
import { NavigationError, NavigationStart, Router } from '@angular/router';
import { filter } from 'rxjs';
import { Documents } from './keeping/documents';
import { Notices } from './notices';

@Injectable({ providedIn: 'root' })
export class BrokenStage {
  private readonly said = signal('');
  readonly words = this.said.asReadonly();

  constructor() {
    // Another stage, or another state of the data, may well be shown.
    const { events } = inject(Router);
    events.pipe(filter((e) => e instanceof NavigationStart)).subscribe(() => this.clear());
    // A stage that could not be fetched is not shown.
    events.pipe(filter((e) => e instanceof NavigationError)).subscribe(({ error }) => this.say(error));
    inject(Documents).history$.subscribe(() => this.clear());
  }

  say(error: unknown): void {
    this.said.set(error instanceof Error ? error.message : String(error));
  }

  clear(): void {
    this.said.set('');
  }
}

/** How browsers, and Angular for what is deferred, say that a part of the page did not come. */
const NOT_FETCHED = /dynamically imported module|module script failed|NG0?750/i;

/** Angular's own place for what nobody caught. It goes to the console too, where a developer looks. */
@Injectable()
export class StageErrors extends ErrorHandler {
  private readonly broken = inject(BrokenStage);
  private readonly injector = inject(Injector);

  override handleError(error: unknown): void {
    super.handleError(error);
    // The server is away, or lets this phone in no more: what stands goes on without that part.
    if (error instanceof Error && NOT_FETCHED.test(error.message)) {
      if (this.broken.words() === '') this.injector.get(Notices).say(PART_MISSING);
    } else this.broken.say(error);
  }
}
export const PART_MISSING = 'A part of this page did not come: the server cannot be reached. What stands here goes on.';
