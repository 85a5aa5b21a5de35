/** A step in the round: what is there by then, and what comes to it along its way; still where motion is not wanted. */
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { holesMade, type BuildStep } from '@tide-pebble/core/making';
import type { Bench } from '../../services/workspace';
import { Rig3d } from '../../ui/drawing/rig-3d';
import { RigViews } from '../../ui/drawing/rig-views';
import { offsetsAt } from './coming-together';
import { StepSquareOn } from './step-square-on';

/** One piece after the other takes so long, and all of them at most, ms. */
const EACH_MS = 800;
const ALL_MS = 6000;

@Component({
  selector: 'tp-build-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Rig3d, RigViews, MatButton, StepSquareOn],
  template: `
    @if (isFlat()) {
      <tp-step-square-on [bench]="bench()" [step]="step()" />
    } @else if (has3d()) {
      <tp-rig-3d
        [bench]="bench()"
        [only]="there()"
        [away]="away()"
        [picked]="handled()"
        [about]="step().id"
        (failed)="has3d.set(false)"
      />
    } @else {
      <tp-rig-views [bench]="bench()" [views]="['side']" />
    }
    @if (comes().length > 0) {
      <p class="note">{{ says() }}</p>
    }
    <p class="no-print">
      @if (has3d() && handled().size > 0) {
        <button mat-button [attr.aria-pressed]="isFlat()" (click)="isFlat.set(!isFlat())">
          {{ isFlat() ? 'In the round' : 'Square-on' }}
        </button>
      }
      @if (comes().length > 0 && !isFlat()) {
        @if (still) {
          <button mat-button (click)="t.set(t() < 1 ? 1 : 0)">
            {{ t() < 1 ? 'Show it together' : 'Show it apart' }}
          </button>
        } @else {
          <button mat-button (click)="play()">Show it again</button>
        }
      }
    </p>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-rows: minmax(0, 1fr) auto auto;
      height: 100%;
    }
    p {
      margin: 0 18px;
    }
    p:last-child {
      margin: 0 var(--space-2);
    }
  `,
})
export class BuildPicture {
  readonly bench = input.required<Bench>();
  readonly step = input.required<BuildStep>();
  /** Without it the rig is drawn square-on. */
  protected readonly has3d = signal(true);
  /** Pulled apart and still, as on paper; what is drilled is best seen from where the drill comes. */
  protected readonly isFlat = linkedSignal(() => {
    const step = this.step();
    return !step.joins && holesMade(step, this.bench().work.rig).length > 0;
  });
  protected readonly still = matchMedia('(prefers-reduced-motion: reduce)').matches;
  protected readonly comes = computed(() => this.step().joins?.comes ?? []);
  /** How far it has come together, 0 to 1. */
  protected readonly t = linkedSignal({ source: this.step, computation: () => 0 });
  protected readonly handled = computed(() => new Set((this.step().handles ?? []).map(ownerOf)));
  /** Everything that hangs together by then; of a step that handles nothing, the whole rig, with its load only where that goes on. */
  protected readonly there = computed(() => {
    const { id, joins } = this.step();
    if (this.handled().size > 0) return new Set([...(joins?.lot ?? []), ...this.handled()]);
    const { pieces } = this.bench().judged.evaluation;
    return new Set(pieces.flatMap((p) => (p.isLoad && id !== 'balance' ? [] : [p.flat.owner])));
  });
  /** Washers of a row count as one. */
  protected readonly says = computed(() => {
    const lot = this.step().joins!.lot.length;
    const come = this.comes().reduce((n, c) => n + c.pieces.length, 0);
    return `${lot} pieces together, the last ${come === 1 ? 'one comes' : `${come} come`} now.`;
  });
  protected readonly away = computed(() => offsetsAt(this.comes(), this.bench().judged.evaluation.pieces, this.t()));
  private frame = 0;

  constructor() {
    effect(() => {
      this.step();
      untracked(() => this.play());
    });
    inject(DestroyRef).onDestroy(() => cancelAnimationFrame(this.frame));
  }

  protected play(): void {
    cancelAnimationFrame(this.frame);
    this.t.set(0);
    if (this.still || this.comes().length === 0) return;
    const lasts = Math.min(ALL_MS, EACH_MS * this.comes().length);
    const start = performance.now() + EACH_MS / 2;
    const tick = (now: number): void => {
      this.t.set(Math.min(1, Math.max(0, (now - start) / lasts)));
      if (this.t() < 1) this.frame = requestAnimationFrame(tick);
    };
    this.frame = requestAnimationFrame(tick);
  }
}

/** A washer is drawn with its row. */
const ownerOf = (piece: string): string => piece.replace(/\/\d+$/, '');
