/** For dirty hands: one big button that ticks off what is next, the step said aloud, and a screen that stays awake. */
import { ChangeDetectionStrategy, Component, DestroyRef, inject, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { mdiCheckBold, mdiVolumeHigh } from '@mdi/js';
import { render, type Phrase } from '@tide-pebble/core';
import type { BuildStep } from '@tide-pebble/core/making';
import { Units } from '../../services/units';
import { Icon } from '../../ui/icon';

@Component({
  selector: 'tp-at-bench',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, Icon],
  template: `
    <button matButton="filled" type="button" class="big" (click)="done.emit()">
      <tp-icon [path]="icons.done" /> Step {{ number() }} is done
    </button>
    <div class="row">
      <button matButton="outlined" type="button" (click)="say()"><tp-icon [path]="icons.say" /> Say it</button>
      <label
        ><input type="checkbox" [checked]="awake()" (change)="keepAwake(box.checked, box)" #box /><span class="long"
          >Keep the screen awake</span
        ><span class="short">Awake</span></label
      >
    </div>
    @if (fault()) {
      <p class="wrong" role="alert">{{ fault() }}</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: var(--space-2);
    }
    .big {
      min-height: 56px;
      width: 100%;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: var(--space-3);
    }
    label {
      display: flex;
      align-items: center;
      gap: var(--space-2);
      min-height: 44px;
    }
    .short {
      display: none;
    }
    @media (max-width: 56.25em) {
      :host {
        grid-template-columns: minmax(0, 1fr) auto;
        align-items: center;
      }
      .row {
        flex-wrap: nowrap;
      }
      .long {
        display: none;
      }
      .short {
        display: inline;
      }
    }
  `,
})
export class AtBench {
  private readonly units = inject(Units).now;
  protected readonly icons = { done: mdiCheckBold, say: mdiVolumeHigh };
  readonly number = input.required<number>();
  readonly step = input.required<BuildStep>();
  readonly done = output<void>();
  protected readonly awake = signal(false);
  protected readonly fault = signal('');
  private lock: WakeLockSentinel | null = null;

  constructor() {
    // The list of voices is fetched the first time that it is asked for.
    if ('speechSynthesis' in window) speechSynthesis.getVoices();
    const again = (): void => {
      // A browser lets go of it while the page is hidden.
      if (this.awake() && document.visibilityState === 'visible') void this.keepAwake(true);
    };
    document.addEventListener('visibilitychange', again);
    inject(DestroyRef).onDestroy(() => {
      document.removeEventListener('visibilitychange', again);
      void this.lock?.release();
      if ('speechSynthesis' in window) speechSynthesis.cancel();
    });
  }

  protected say(): void {
    if (!('speechSynthesis' in window) || speechSynthesis.getVoices().length === 0)
      return this.fault.set('This browser has no voice to say it with.');
    const { title, figures, check, caution } = this.step();
    const words = (p: Phrase): string => render(p, this.units());
    this.fault.set('');
    speechSynthesis.cancel();
    const said = [words(title), ...figures.map(words), `Check: ${words(check)}`, ...(caution ? [caution] : [])];
    speechSynthesis.speak(new SpeechSynthesisUtterance(said.join('. ')));
  }

  protected async keepAwake(on: boolean, box?: HTMLInputElement): Promise<void> {
    this.fault.set('');
    this.awake.set(on);
    try {
      if (on) this.lock = await navigator.wakeLock.request('screen');
      else await this.lock?.release();
    } catch {
      this.awake.set(false);
      // It may have been refused before the page saw that it was asked.
      if (box) box.checked = false;
      this.fault.set('This browser does not let the screen be kept awake here.');
    }
  }
}
