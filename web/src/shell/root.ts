/** The bench around every screen: head, shoreline, the stage, and the tide line at its foot. */
import { NgComponentOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, effect, inject } from '@angular/core';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router, RouterOutlet } from '@angular/router';
import { SwUpdate } from '@angular/service-worker';
import { distinctUntilChanged, filter, map, NEVER, skip } from 'rxjs';
import { Documents } from '../services/keeping/documents';
import { Theme } from '../services/theme';
import { Units } from '../services/units';
import { Kept } from '../services/kept';
import { afterStage$ } from '../services/later';
import { Notices } from '../services/notices';
import { Dialogs } from '../ui/dialogs';
import { BrokenStage } from '../services/broken-stage';
import { Undoing } from '../services/undoing';
import { Example } from './example/example';
import { ExampleNow } from './example/example-now';
import { Head } from './head';
import { Shoreline } from './shoreline';
import { today } from '../ui/today';
import { STAGES } from './stages';

@Component({
  selector: 'tp-root',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NgComponentOutlet, RouterOutlet, Head, Shoreline, Example],
  template: `
    <a class="skip no-print" href="#stage" (click)="toStage($event)">To the stage</a>
    <tp-head class="no-print" (undone)="undoing.undo()" (redone)="undoing.redo()" (helped)="help()" (sought)="find()" />
    <tp-shoreline class="no-print" />
    @if (rig(); as r) {
      <p class="paper-head">{{ r.name }}{{ loadout() ? ', ' + loadout()!.name : '' }} · {{ today }}</p>
    }
    <ng-container [ngComponentOutlet]="nextLine()" />
    <main id="stage" tabindex="-1">
      @switch (saveState().kind) {
        @case ('loading') {
          <p class="waiting" role="status">Opening your bench…</p>
        }
        @case ('unread') {
          <div class="trouble" role="alert">
            <h1>Your data could not be read</h1>
            <p>{{ reason() }} Nothing is lost by this: the data folder is as it was.</p>
            <button type="button" class="again" (click)="again()">Try again</button>
          </div>
        }
        @default {
          @if (elsewhere(); as words) {
            <p class="elsewhere" role="alert">
              {{ words }} <button type="button" class="again" (click)="again()">Open what is here now</button>
            </p>
          }
          @if (isNewer()) {
            <p class="elsewhere" role="status">
              A newer version of this page is ready. What you typed is kept.
              <button type="button" class="again" (click)="again()">Open it</button>
            </p>
          }
          @if (broken.words(); as words) {
            <div class="trouble" role="alert">
              <h1>This stage could not be shown</h1>
              <p>{{ words }}</p>
              <p>What you typed is kept. Undo takes back the last change; the other stages go on.</p>
              <button type="button" class="again" (click)="broken.clear()">Show it again</button>
            </div>
          } @else {
            <router-outlet />
          }
        }
      }
    </main>
    @if (rig()) {
      <ng-container [ngComponentOutlet]="tideLine()" />
    }
    @if (example.isOn()) {
      @defer (on immediate) {
        <tp-example />
      }
    }
  `,
  styleUrl: './root.css',
  host: { '(document:keydown)': 'key($event)' },
})
export class Root {
  private readonly documents = inject(Documents);
  private readonly dialogs = inject(Dialogs);
  private readonly router = inject(Router);
  private readonly units = inject(Units);
  protected readonly undoing = inject(Undoing);
  /** Shown as soon as it is there. */
  protected readonly theme = inject(Theme);
  protected readonly example = inject(ExampleNow);
  protected readonly broken = inject(BrokenStage);
  protected readonly saveState = toSignal(this.documents.state$, { requireSync: true });
  /** A newer page waits; it is opened when asked, and never in the middle of something. */
  protected readonly isNewer = toSignal(
    (inject(SwUpdate, { optional: true })?.versionUpdates ?? NEVER).pipe(
      filter((e) => e.type === 'VERSION_READY'),
      map(() => true),
    ),
    { initialValue: false },
  );
  /** The figures of it come after the page stands. */
  protected readonly rig = toSignal(inject(Kept).rig$, { initialValue: null });
  protected readonly loadout = toSignal(inject(Kept).loadout$, { initialValue: null });
  /** As it stands on paper. */
  protected readonly today = today();
  protected readonly nextLine = toSignal(
    afterStage$(() => import('./next-line').then((m) => m.NextLine)),
    { initialValue: null },
  );
  protected readonly tideLine = toSignal(
    afterStage$(() => import('./tide-line').then((m) => m.TideLine)),
    { initialValue: null },
  );

  constructor() {
    const notices = inject(Notices);
    this.documents.refused$.pipe(takeUntilDestroyed()).subscribe((reason) => notices.say(reason));
    // Whoever goes on by keys or hears the page begins at the stage that came, not where the last one was left.
    this.router.events
      .pipe(
        filter((e) => e instanceof NavigationEnd),
        map((e) => e.urlAfterRedirects.split(/[?#]/)[0]!),
        distinctUntilChanged(),
        skip(1),
        takeUntilDestroyed(),
      )
      .subscribe(() => document.getElementById('stage')?.focus({ preventScroll: true }));
    let asking = false;
    effect(() => {
      const state = this.saveState();
      if (state.kind !== 'conflict' || asking) return;
      asking = true;
      void this.dialogs
        .open<'mine' | 'theirs'>(() => import('./conflict-dialog').then((m) => m.ConflictDialog), {
          data: state.conflicts,
          must: true,
          width: '520px',
        })
        .then((keep) => {
          asking = false;
          // Gone without an answer: asked again, never guessed.
          if (keep) this.documents.settle(keep);
        });
    });
  }

  protected readonly reason = computed(() => {
    const state = this.saveState();
    return state.kind === 'unread' ? state.reason : '';
  });
  protected readonly elsewhere = computed(() => {
    const state = this.saveState();
    if (state.kind !== 'elsewhere') return '';
    const waiting =
      state.waiting === 0
        ? ''
        : ` What you typed last (${state.waiting === 1 ? 'one change' : `${state.waiting} changes`}) is kept in this browser for the folder it was typed for.`;
    return `This address serves another data folder now: what you see is the one before, and is not saved any more.${waiting}`;
  });

  protected again(): void {
    location.reload();
  }

  protected toStage(event: Event): void {
    event.preventDefault();
    document.getElementById('stage')?.focus();
  }

  protected help(): void {
    void this.dialogs.open(() => import('./help/help-dialog').then((m) => m.HelpDialog), { width: '720px' });
  }

  protected find(): void {
    void this.dialogs.open(() => import('./help/palette').then((m) => m.Palette), { width: '560px', top: '72px' });
  }

  protected key(event: KeyboardEvent): void {
    const typing =
      event.target instanceof HTMLElement &&
      /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName) &&
      (event.target as HTMLInputElement).type !== 'range';
    const command = event.ctrlKey || event.metaKey;
    if (command && !typing && event.key.toLowerCase() === 'z') {
      event.preventDefault();
      if (event.shiftKey) this.undoing.redo();
      else this.undoing.undo();
    } else if (command && !typing && event.key.toLowerCase() === 'y') {
      event.preventDefault();
      this.undoing.redo();
    } else if (command && event.key.toLowerCase() === 'k') {
      event.preventDefault();
      this.find();
    } else if (event.altKey && /^[1-9]$/.test(event.key)) {
      event.preventDefault();
      // What is half typed is taken before its field goes.
      if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
      void this.router.navigateByUrl(`/${STAGES[Number(event.key) - 1]!.path}`);
    } else if (!typing && !command && event.key === '?') {
      this.help();
    } else if (!typing && !command && !event.altKey && event.key === 'u') {
      this.units.setSystem(this.units.now().system === 'mm' ? 'inch' : 'mm');
    }
  }
}
