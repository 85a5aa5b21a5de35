/** A button that takes photos from the camera or a file: each made small, kept on the server, and handed on. */
import { ChangeDetectionStrategy, Component, inject, input, output, signal } from '@angular/core';
import type { Photo } from '@tide-pebble/core';
import { Photos } from '../services/photos';

@Component({
  selector: 'tp-photo-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="file-button"
      >{{ label() }}
      <input
        type="file"
        class="visually-hidden"
        accept="image/*"
        [multiple]="atMost() > 1"
        [disabled]="isComing()"
        (change)="take($event)"
    /></label>
    @if (isComing()) {
      <p class="note" role="status">Making it small and keeping it…</p>
    }
    @if (fault()) {
      <p class="wrong" role="alert">{{ fault() }}</p>
    }
  `,
})
export class PhotoField {
  private readonly photos = inject(Photos);
  readonly label = input.required<string>();
  /** More than one may be chosen at once, up to so many. */
  readonly atMost = input(1);
  readonly picked = output<Photo>();
  protected readonly fault = signal('');
  protected readonly isComing = signal(false);

  protected async take(event: Event): Promise<void> {
    const field = event.target as HTMLInputElement;
    const files = [...(field.files ?? [])];
    const taken = files.slice(0, this.atMost());
    if (taken.length === 0) return;
    this.fault.set('');
    this.isComing.set(true);
    try {
      for (const file of taken) this.picked.emit(await this.photos.keep(file));
      if (taken.length < files.length)
        this.fault.set(`${taken.length} of ${files.length} are kept: there is no room for more here.`);
    } catch (error) {
      this.fault.set(error instanceof Error ? error.message : 'The photo could not be kept.');
    } finally {
      this.isComing.set(false);
      field.value = '';
    }
  }
}
