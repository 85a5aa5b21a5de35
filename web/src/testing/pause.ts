import type { ComponentFixture } from '@angular/core/testing';

/** Longer than anything on the page waits for on purpose (a frame drawn and then a value that stands still: `afterPaint`, `settled`, a refused figure that goes back). Timers fire in their order, so on a slow machine too. */
const PAUSE_MS = 450;

/** Hands off for a moment: what waits till edits pause has then been shown. */
export async function pause(fixture: ComponentFixture<unknown>): Promise<void> {
  await fixture.whenStable();
  await new Promise((done) => setTimeout(done, PAUSE_MS));
  await fixture.whenStable();
}
