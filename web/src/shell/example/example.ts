/** The worked example: plays in the real pages, step by step, and can be left at any point. */
import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router } from '@angular/router';
import { ExampleNow } from './example-now';
import { EXAMPLE } from './steps';

/** How long a stage may take to show what is pointed at, ms. */
const LOOKED_FOR_MS = 6000;
const AGAIN_MS = 100;

@Component({
  selector: 'tp-example',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton],
  template: `
    <p class="note">A whole job, {{ now.at() + 1 }} of {{ all }}</p>
    <p role="status">{{ step().says }}</p>
    <div class="row">
      <button matButton type="button" (click)="now.leave()">Leave</button>
      <button matButton="outlined" type="button" [disabled]="now.at() === 0" (click)="now.go(-1)">Back</button>
      @if (step().presses) {
        <button matButton="outlined" type="button" [disabled]="!shown()" (click)="press()">Press it for me</button>
      }
      <button matButton="filled" type="button" (click)="now.go(1)">{{ isLast() ? 'Done' : 'Next' }}</button>
    </div>
  `,
  styles: `
    :host {
      position: fixed;
      z-index: 20;
      left: 16px;
      bottom: 96px;
      width: min(420px, calc(100vw - 32px));
      padding: var(--space-4);
      border: 2px solid var(--sea);
      border-radius: var(--corner);
      background: var(--paper);
      box-shadow: 0 8px 30px rgb(29 42 49 / 25%);
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      justify-content: flex-end;
      gap: var(--space-2);
      margin-top: var(--space-2);
    }
  `,
  host: {
    role: 'region',
    'aria-label': 'A whole job, step by step',
    class: 'no-print',
    '(keydown.escape)': 'now.leave()',
  },
})
export class Example {
  private readonly router = inject(Router);
  protected readonly now = inject(ExampleNow);
  protected readonly all = EXAMPLE.length;
  protected readonly step = computed(() => EXAMPLE[this.now.at()]!);
  protected readonly isLast = computed(() => this.now.at() === EXAMPLE.length - 1);
  /** What is pointed at, once it is there. */
  protected readonly shown = signal<HTMLElement | null>(null);
  private timer = 0;

  constructor() {
    effect(() => {
      const { path, at } = this.step();
      this.pointAt(null);
      void this.router.navigate(['/', path]).then(() => this.seek(at, Date.now() + LOOKED_FOR_MS));
    });
    inject(DestroyRef).onDestroy(() => this.pointAt(null));
  }

  protected press(): void {
    this.shown()?.click();
  }

  private seek(at: string, until: number): void {
    clearTimeout(this.timer);
    const found = document.querySelector<HTMLElement>(at);
    if (found) this.pointAt(found);
    else if (Date.now() < until) this.timer = setTimeout(() => this.seek(at, until), AGAIN_MS) as unknown as number;
  }

  private pointAt(element: HTMLElement | null): void {
    clearTimeout(this.timer);
    this.shown()?.removeAttribute('data-shown');
    element?.setAttribute('data-shown', '');
    element?.scrollIntoView({ block: 'nearest' });
    this.shown.set(element);
  }
}
