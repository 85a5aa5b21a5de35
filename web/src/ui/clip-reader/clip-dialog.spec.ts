import { TestBed } from '@angular/core/testing';
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import { provideHttpClient } from '@angular/common/http';
import { BufferTarget, CanvasSource, Output, WebMOutputFormat } from 'mediabunny';
import { until } from '../../testing/until';
import { ClipDialog } from './clip-dialog';

const [WIDTH, HEIGHT] = [320, 240];
/** Held level till this frame, upright from that one on; its frames do not come evenly. */
const [LET_GO, UPRIGHT] = [12, 40];
const stampOf = (frame: number): number => frame / 30 + (frame % 3) / 200;

/** A pale bar before a dark ground: level, then upright. */
async function clip(): Promise<File> {
  const canvas = new OffscreenCanvas(WIDTH, HEIGHT);
  const draw = canvas.getContext('2d')!;
  const target = new BufferTarget();
  const output = new Output({ format: new WebMOutputFormat(), target });
  const source = new CanvasSource(canvas, { codec: 'vp8', bitrate: 1_000_000 });
  output.addVideoTrack(source, { frameRate: 30 });
  await output.start();
  for (let i = 0; i < 50; i++) {
    draw.setTransform(1, 0, 0, 1, 0, 0);
    draw.fillStyle = '#203040';
    draw.fillRect(0, 0, WIDTH, HEIGHT);
    draw.translate(WIDTH / 2, HEIGHT / 2);
    draw.rotate((Math.min(1, Math.max(0, (i - LET_GO) / (UPRIGHT - LET_GO))) * Math.PI) / 2);
    draw.fillStyle = '#f0f0f0';
    draw.fillRect(-80, -6, 160, 12);
    await source.add(stampOf(i), 1 / 30);
  }
  await output.finalize();
  return new File([target.buffer!], 'drop.webm', { type: 'video/webm' });
}

describe('a clip read by hand', () => {
  async function opened(file: File) {
    const drops: number[] = [];
    const leans: number[] = [];
    TestBed.resetTestingModule().configureTestingModule({
      imports: [ClipDialog],
      providers: [
        provideHttpClient(),
        { provide: MatDialogRef, useValue: {} },
        {
          provide: MAT_DIALOG_DATA,
          useValue: {
            leans: true,
            drops: true,
            takeDrop: (time: number) => drops.push(time),
            takeLean: (lean: number) => leans.push(lean),
          },
        },
      ],
    });
    const fixture = TestBed.createComponent(ClipDialog);
    await fixture.whenStable();
    const page = fixture.nativeElement as HTMLElement;
    document.body.append(page);
    const button = (name: string): HTMLButtonElement =>
      [...page.querySelectorAll('button')].find((b) => (b.ariaLabel ?? b.textContent).trim() === name)!;
    const press = async (name: string): Promise<void> => {
      button(name).click();
      await fixture.whenStable();
    };
    const files = new DataTransfer();
    files.items.add(file);
    const field = page.querySelector<HTMLInputElement>('input[type=file]')!;
    field.files = files.files;
    field.dispatchEvent(new Event('change'));
    await until(() => page.querySelector('canvas') ?? page.querySelector('.wrong'), 'the clip or why not');
    await fixture.whenStable();
    return { fixture, page, button, press, drops, leans };
  }

  it('steps from frame to frame, and times the drop by the frames’ own stamps', async () => {
    const { page, press, drops, fixture } = await opened(await clip());
    const at = (x: number, y: number): number =>
      page.querySelector('canvas')!.getContext('2d')!.getImageData(x, y, 1, 1).data[0]!;
    await until(() => at(WIDTH / 2 + 60, HEIGHT / 2) > 180, 'the bar lying level');
    await press('On 10 frames');
    for (let i = 10; i < LET_GO; i++) await press('On 1 frame');
    await press('Let go here');
    const slider = page.querySelector<HTMLInputElement>('input[type=range]')!;
    slider.value = `${UPRIGHT + 1}`;
    slider.dispatchEvent(new Event('input'));
    await press('Back 1 frame');
    await until(() => at(WIDTH / 2, HEIGHT / 2 + 60) > 180, 'the bar standing upright');
    await press('First upright here');
    expect(page.textContent).toMatch(/to upright, ± 0\.0\d s/);
    await press('Take this drop');
    await fixture.whenStable();
    expect(drops[0]!).toBeCloseTo(stampOf(UPRIGHT) - stampOf(LET_GO), 2);
    expect(page.textContent).toContain('Taken:');
    page.remove();
  });

  it('reads a lean by two lines, moved by arrow keys too', async () => {
    const { page, press, button, leans, fixture } = await opened(await clip());
    await press('Lay two lines');
    const end = button('Line along the rig, other end: drag it, or move it by the arrow keys');
    for (let i = 0; i < 2; i++)
      end.dispatchEvent(
        new KeyboardEvent('keydown', { key: 'ArrowDown', shiftKey: true, bubbles: true, cancelable: true }),
      );
    await fixture.whenStable();
    const wide = page.querySelector('canvas')!.clientWidth;
    // Its right end is lower, and its nose points to the left: nose up.
    expect(page.textContent).toMatch(/nose up, ± \d/);
    const nose = page.querySelector<HTMLSelectElement>('select[aria-label="Its nose points"]')!;
    nose.value = 'right';
    nose.dispatchEvent(new Event('change'));
    await fixture.whenStable();
    await press('Take this lean');
    expect(leans[0]!).toBeCloseTo(Math.atan2(20, 0.6 * wide), 3);
    page.remove();
  });

  it('says in words of what is no clip that it is none', async () => {
    const { page } = await opened(new File(['no clip'], 'x.webm', { type: 'video/webm' }));
    expect(page.querySelector('.wrong')!.textContent).toContain('no picture in this file');
    expect(page.querySelector('canvas')).toBeNull();
    page.remove();
  });
});
