/** What broke on the page, in words: shown in the place of the stage, while all around it goes on. */
import { ErrorHandler, inject, Injectable, signal } from '@angular/core';
import { NavigationStart, Router } from '@angular/router';
import { filter } from 'rxjs';
import { Documents } from './keeping/documents';

@Injectable({ providedIn: 'root' })
export class BrokenStage {
  private readonly said = signal('');
  readonly words = this.said.asReadonly();

  constructor() {
    // Another stage, or another state of the data, may well be shown.
    inject(Router)
      .events.pipe(filter((e) => e instanceof NavigationStart))
      .subscribe(() => this.clear());
    inject(Documents).history$.subscribe(() => this.clear());
  }

  say(error: unknown): void {
    this.said.set(error instanceof Error ? error.message : String(error));
  }

  clear(): void {
    this.said.set('');
  }
}

/** Angular's own place for what nobody caught. It goes to the console too, where a developer looks. */
@Injectable()
export class StageErrors extends ErrorHandler {
  private readonly broken = inject(BrokenStage);

  override handleError(error: unknown): void {
    super.handleError(error);
    this.broken.say(error);
  }
}
