/** A clip stepped frame by frame: where it is let go and where it stands upright are marked, or two lines are laid on a frame. */
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  type ElementRef,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogTitle,
} from '@angular/material/dialog';
import { figure, say, type Phrase } from '@tide-pebble/core';
import { readClipDrop, readClipLean, type At, type LinesLaid } from '@tide-pebble/core/making';
import { openClip, type ClipFrames } from '../../services/clip-frames';
import { Units } from '../../services/units';
import { FigurePipe, SayPipe } from '../figures/figures.pipe';

export interface ClipAsked {
  readonly leans: boolean;
  readonly drops: boolean;
  /** s */
  readonly takeDrop: (time: number) => void;
  /** Nose down is positive, rad. */
  readonly takeLean: (noseDown: number) => void;
}

/** The ends of both lines, as shares of the picture's width and height. */
const ENDS = [
  { id: 'plumb/0', name: 'Plumb line, upper end', line: 'plumb', at: [0.5, 0.1] },
  { id: 'plumb/1', name: 'Plumb line, lower end', line: 'plumb', at: [0.5, 0.9] },
  { id: 'rig/0', name: 'Line along the rig, one end', line: 'rig', at: [0.2, 0.5] },
  { id: 'rig/1', name: 'Line along the rig, other end', line: 'rig', at: [0.8, 0.5] },
] as const;
type End = (typeof ENDS)[number]['id'];
/** By an arrow key, px on the screen; ten times as far with Shift. */
const NUDGE = 1;
/** Less is told as nothing, rad. */
const TOLD_FROM = 0.0008;
/** Told as twice the standard uncertainty, as everywhere. */
const SIGMAS = 2;

@Component({
  selector: 'tp-clip-dialog',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatDialogTitle, MatDialogContent, MatDialogActions, MatDialogClose, SayPipe, FigurePipe],
  templateUrl: './clip-dialog.html',
  styleUrl: './clip-dialog.css',
})
export class ClipDialog {
  protected readonly asked = inject<ClipAsked>(MAT_DIALOG_DATA);
  protected readonly units = inject(Units).now;
  private readonly canvas = viewChild<ElementRef<HTMLCanvasElement>>('canvas');
  protected readonly steps = [-10, -1, 1, 10] as const;
  protected readonly ends = ENDS;

  protected readonly frames = signal<ClipFrames | null>(null);
  protected readonly isOpening = signal(false);
  protected readonly fault = signal<Phrase>([]);
  protected readonly now = signal(0);
  protected readonly letGo = signal<number | null>(null);
  protected readonly upright = signal<number | null>(null);
  protected readonly areLaid = signal(false);
  protected readonly along = signal<LinesLaid['along']>('level');
  protected readonly nose = signal<LinesLaid['nose']>('left');
  protected readonly places = signal<Readonly<Record<End, At>>>(asLaid());
  protected readonly taken = signal<Phrase>([]);

  protected readonly drop = computed(() => {
    const [frames, from, to] = [this.frames(), this.letGo(), this.upright()];
    return frames && from !== null && to !== null ? readClipDrop(frames.stamps, from, to) : null;
  });
  protected readonly dropSays = computed((): Phrase => {
    const drop = this.drop();
    if (!drop?.ok) return drop?.reason ?? [];
    const { time, spread } = drop.found;
    return say`${figure('time', time, 2)} to upright, ± ${figure('time', SIGMAS * spread, 2)}`;
  });
  protected readonly lean = computed(() => {
    const frames = this.frames();
    if (!frames || !this.areLaid()) return null;
    // In points as they are seen: a finger lays no finer where the picture is shown smaller.
    const wide = this.shown();
    const high = (wide * frames.height) / frames.width;
    const at = (end: End): At => [this.places()[end][0] * wide, this.places()[end][1] * high];
    return readClipLean({
      plumb: [at('plumb/0'), at('plumb/1')],
      rig: [at('rig/0'), at('rig/1')],
      along: this.along(),
      nose: this.nose(),
    });
  });
  protected readonly leanSays = computed((): Phrase => {
    const lean = this.lean();
    if (!lean?.ok) return lean?.reason ?? [];
    const { noseDown, spread } = lean.found;
    const way = Math.abs(noseDown) < TOLD_FROM ? 'either way' : noseDown > 0 ? 'nose down' : 'nose up';
    return say`${figure('angle', Math.abs(noseDown))} ${way}, ± ${figure('angle', SIGMAS * spread)}`;
  });
  /** How broad the picture is shown, px. */
  private readonly shown = signal(1);

  constructor() {
    inject(DestroyRef).onDestroy(() => this.frames()?.close());
  }

  protected async open(event: Event): Promise<void> {
    const field = event.target as HTMLInputElement;
    const file = field.files?.[0];
    field.value = '';
    if (!file) return;
    this.fault.set([]);
    this.taken.set([]);
    this.isOpening.set(true);
    try {
      const opened = await openClip(file);
      if (!opened.ok) return this.fault.set(opened.reason);
      this.frames()?.close();
      this.frames.set(opened.frames);
      this.letGo.set(null);
      this.upright.set(null);
      this.areLaid.set(false);
      this.places.set(asLaid());
      // The canvas stands with the next look at the page.
      requestAnimationFrame(() => this.go(0));
    } catch (error) {
      this.fault.set([`It could not be read: ${error instanceof Error ? error.message : String(error)}.`]);
    } finally {
      this.isOpening.set(false);
    }
  }

  protected step(by: number): void {
    this.go(this.now() + by);
  }

  protected go(frame: number): void {
    const frames = this.frames();
    if (!frames) return;
    this.now.set(Math.min(frames.stamps.length - 1, Math.max(0, Math.round(frame))));
    void this.draw();
  }

  private isDrawing = false;
  /** One frame after the other: while one is being decoded, only the newest wish is kept. */
  private async draw(): Promise<void> {
    const canvas = this.canvas()?.nativeElement;
    const frames = this.frames();
    if (!canvas || !frames || this.isDrawing) return;
    this.isDrawing = true;
    this.shown.set(canvas.clientWidth || 1);
    try {
      for (let drawn = -1; drawn !== this.now();) {
        drawn = this.now();
        if (!(await frames.draw(drawn, canvas.getContext('2d')!)))
          this.fault.set(['This frame could not be decoded: step on.']);
      }
    } catch (error) {
      this.fault.set([`This frame could not be decoded: ${error instanceof Error ? error.message : String(error)}.`]);
    } finally {
      this.isDrawing = false;
    }
  }

  protected percent(end: End, axis: 0 | 1): number {
    return 100 * this.places()[end][axis];
  }

  protected drag(event: PointerEvent, end: End): void {
    const handle = event.target as Element;
    if (event.type === 'pointerdown') handle.setPointerCapture(event.pointerId);
    if (event.type === 'pointermove' && event.buttons !== 1) return;
    const box = this.canvas()!.nativeElement.getBoundingClientRect();
    this.put(end, [(event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height]);
  }

  protected nudge(event: KeyboardEvent, end: End): void {
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!way) return;
    event.preventDefault();
    event.stopPropagation();
    const box = this.canvas()!.nativeElement.getBoundingClientRect();
    const by = NUDGE * (event.shiftKey ? 10 : 1);
    const [x, y] = this.places()[end];
    this.put(end, [x + (way[0]! * by) / box.width, y + (way[1]! * by) / box.height]);
  }

  private put(end: End, [x, y]: At): void {
    const within = (share: number): number => Math.min(1, Math.max(0, share));
    this.places.update((places) => ({ ...places, [end]: [within(x), within(y)] }));
    this.shown.set(this.canvas()!.nativeElement.clientWidth || 1);
  }

  protected takeDrop(): void {
    const drop = this.drop();
    if (!drop?.ok) return;
    this.asked.takeDrop(drop.found.time);
    this.taken.set(['Taken: ', ...this.dropSays(), '.']);
    this.letGo.set(null);
    this.upright.set(null);
  }

  protected takeLean(): void {
    const lean = this.lean();
    if (!lean?.ok) return;
    this.asked.takeLean(lean.found.noseDown);
    this.taken.set(['Taken: ', ...this.leanSays(), '.']);
    this.areLaid.set(false);
  }
}

const asLaid = (): Record<End, At> => Object.fromEntries(ENDS.map((e) => [e.id, e.at])) as unknown as Record<End, At>;
